/** What is believed of a place, drawn from and learnt. */
import { BOOK_BELIEF, drawFactors, factorSd, learn, nightFor, toCalibration, toCoordinates } from '../src';
import fc from 'fast-check';

const offsets = (list: { zoneOffsetC: number }[]) => list.map((c) => c.zoneOffsetC);
const mean = (x: number[]) => x.reduce((s, v) => s + v, 0) / x.length;

/** A house that is at −3 °C as the book has it, 2 K colder for each factor of e in leakage, and hangs where it hangs. */
const BOOK = BOOK_BELIEF.mean;
const minimum = (c: ReturnType<typeof toCalibration>) =>
  -3 - 2 * Math.log(c.leakage / BOOK.leakage) + c.zoneOffsetC - BOOK.zoneOffsetC;
const reads = (measuredC: number, times = 1) =>
  Array.from({ length: times }, () => nightFor(BOOK_BELIEF, measuredC, minimum));

test('the first draw is the mean and the others spread as widely as the doubt', () => {
  const draws = drawFactors(BOOK_BELIEF, 40);
  expect(draws[0]).toEqual(BOOK_BELIEF.mean);
  const rest = offsets(draws.slice(1));
  const book = BOOK_BELIEF.mean.zoneOffsetC;
  expect(mean(rest)).toBeCloseTo(book, 6);
  expect(Math.sqrt(mean(rest.map((x) => (x - book) ** 2)))).toBeCloseTo(factorSd(BOOK_BELIEF, 3), 6);
  expect(drawFactors(BOOK_BELIEF, 40)).toEqual(draws);
});

test('a film never passes more than all, nor a leak nothing, however far a draw goes', () => {
  const wild = { ...BOOK_BELIEF, covariance: BOOK_BELIEF.covariance.map((v) => v * 100) };
  for (const c of drawFactors(wild, 60)) {
    expect(c.filmTransparency).toBeGreaterThanOrEqual(0.5);
    expect(c.filmTransparency).toBeLessThanOrEqual(1.4);
    expect(c.leakage).toBeGreaterThan(0);
  }
});

test('coordinates and calibration are each other’s inverse', () => {
  const c = { leakage: 1.7, filmTransparency: 0.9, soilExchange: 0.8, zoneOffsetC: -0.4 };
  const back = toCalibration(toCoordinates(c));
  for (const key of Object.keys(c) as (keyof typeof c)[]) expect(back[key]).toBeCloseTo(c[key], 12);
});

test('a reading as the model had it moves nothing and still takes doubt away', () => {
  const after = learn(BOOK_BELIEF, reads(-3));
  expect(after.mean.zoneOffsetC).toBeCloseTo(BOOK.zoneOffsetC, 6);
  expect(factorSd(after, 3)).toBeLessThan(factorSd(BOOK_BELIEF, 3));
  expect(after.nights).toBe(1);
});

test('what the readings say together comes out, whichever factor takes it', () => {
  const after = learn(BOOK_BELIEF, reads(-4, 25));
  expect(minimum(after.mean)).toBeCloseTo(-4, 1);
  // a house that reads colder leaks more or hangs colder: each takes its part by how doubtful it was
  expect(after.mean.leakage).toBeGreaterThan(1.1 * BOOK.leakage);
  expect(after.mean.zoneOffsetC).toBeLessThan(BOOK.zoneOffsetC - 0.1);
});

test('one slip of the pen moves it less than one good night', () => {
  const slip = learn(BOOK_BELIEF, reads(-33));
  const good = learn(BOOK_BELIEF, reads(-4.2));
  expect(Math.abs(minimum(slip.mean) + 3)).toBeLessThan(Math.abs(minimum(good.mean) + 3));
  expect(factorSd(slip, 3)).toBeGreaterThan(factorSd(good, 3));
});

test('doubt never grows with a reading', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: -30, max: 20, noNaN: true }), { maxLength: 30 }), (minima) => {
      let belief = BOOK_BELIEF;
      for (const m of minima) {
        const next = learn(belief, [nightFor(belief, m, minimum)]);
        for (let f = 0; f < 4; f++) expect(factorSd(next, f)).toBeLessThanOrEqual(factorSd(belief, f) + 1e-9);
        belief = next;
      }
    }),
    { numRuns: 50, seed: 3 },
  );
});
