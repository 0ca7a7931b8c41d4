/** Counted by hand: known warmth, known cold, and a band that narrows as days become known. */
import { addDays, cropById } from '../src';
import { countOn, countsFor, usualCount, type CounterRule } from '../season';

const YEAR = 365;
/** Years of which each has one mean all year: `means[y]` °C. */
const evenYears = (means: readonly number[]) => ({
  count: means.length,
  lowC: Float32Array.from({ length: means.length * YEAR }, (_, i) => means[Math.floor(i / YEAR)]! - 5),
  highC: Float32Array.from({ length: means.length * YEAR }, (_, i) => means[Math.floor(i / YEAR)]! + 5),
});
const known = (from: string, means: readonly number[]) =>
  new Map(means.map((c, n) => [addDays(from, n), c] as const));
const ripe: CounterRule = { what: 'ripe', from: '2027-06-01', baseC: 10, target: 100 };

test('ten degrees over the base, ten days: full on the tenth', () => {
  const c = countOn(ripe, known('2027-06-01', new Array<number>(12).fill(20)), evenYears([20]), 0);
  expect(c).toMatchObject({
    full: true,
    early: '2027-06-10',
    middle: '2027-06-10',
    late: '2027-06-10',
    share: 1,
  });
});

test('half of it known, the other half by the years: early, middle and late differ as they do', () => {
  const years = evenYears([12, 14, 15, 15, 15, 15, 15, 15, 20, 30]);
  const c = countOn(ripe, known('2027-06-01', [20, 20, 20, 20, 20]), years, 0);
  expect(c.sofar).toBe(50);
  expect(c.middle).toBe('2027-06-15');
  expect(c.early! < c.middle!).toBe(true);
  expect(c.late! > c.middle!).toBe(true);
});

test('the band narrows with every day that becomes known', () => {
  const years = evenYears([11, 12, 13, 14, 15, 16, 17, 18, 20, 25]);
  const width = (n: number) => {
    const c = countOn(ripe, known('2027-06-01', new Array<number>(n).fill(15)), years, 0);
    return Date.parse(c.late!) - Date.parse(c.early!);
  };
  for (const n of [3, 6, 9, 12, 15]) expect(width(n + 3)).toBeLessThanOrEqual(width(n));
  expect(width(15)).toBeLessThan(width(0) / 3);
});

test('a day that nobody knows counts as the one before it', () => {
  const gap = new Map([
    ['2027-06-01', 20],
    ['2027-06-04', 14],
  ]);
  expect(countOn(ripe, gap, evenYears([15]), 0).sofar).toBe(10 + 10 + 10 + 4);
});

test('bulbs count days of cold, not of frozen ground and not of warm ones', () => {
  const cold: CounterRule = { what: 'cold', from: '2026-11-01', baseC: 9, target: 98 };
  expect([countsFor(cold, 5), countsFor(cold, 9), countsFor(cold, 12), countsFor(cold, -4)]).toEqual([
    1, 1, 0, 0,
  ]);
  const c = countOn(cold, known('2026-11-01', new Array<number>(60).fill(4)), evenYears([4]), 0);
  expect(c).toMatchObject({ sofar: 60, full: false, middle: addDays('2026-11-01', 97) });
});

test('where it never comes to it, no day is named', () => {
  const c = countOn(ripe, new Map(), evenYears([8]), 0);
  expect(c).toMatchObject({ early: null, middle: null, late: null, full: false });
  // under cover it does
  expect(countOn(ripe, new Map(), evenYears([8]), 5).middle).not.toBeNull();
});

test('where it starts from: a crop’s own way to its flower, the book’s for fruit and bulbs', () => {
  const anemone = cropById('anemone');
  expect(usualCount('bloom', anemone)).toEqual({ baseC: anemone.baseC, target: Math.round(anemone.pickDd) });
  expect(usualCount('ripe', cropById('tomato')).baseC).toBe(10);
  expect(usualCount('cold', null)).toEqual({ baseC: 9, target: 98 });
});
