import type { Locator } from '@playwright/test';

/** A thumb that counts: `tap` presses, `taps()` says how often it has. */
export function countedTaps(): { tap: (what: Locator) => Promise<void>; taps: () => number } {
  let n = 0;
  return {
    tap: async (what) => {
      n += 1;
      await what.click();
    },
    taps: () => n,
  };
}
