/** Preloaded by a test: this process's clock runs, but so many milliseconds ahead. Nothing of the product knows of it. */
const shift = Number(process.env['FOGATA_TEST_SHIFT_MS'] ?? 0);
const Real = Date;
globalThis.Date = class extends Real {
  constructor(...args) {
    if (args.length === 0) super(Real.now() + shift);
    else super(...args);
  }
  static now() {
    return Real.now() + shift;
  }
};
