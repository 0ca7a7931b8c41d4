/** Mildew: what it waits for, how it grows, what it costs; and the same house shut and aired. */
import { cropById } from '../src/crops/crops';
import { YEAR_DAYS } from '../src/climate/climate';
import type { Under } from '../src/climate/underCover';
import { season } from '../src/growth/course';
import { getsMildew, mildewOf, spreadsAt } from '../src/growth/mildew';
import { daysUnder, fitUnder, fromMonthly, plausibleYears, type Venting } from '../season';
import { dayLengths } from '../src/windows/request';

const spinach = cropById('spinach');

/** Days alike but for those that are damp. */
function days(damp: (day: number) => boolean, meanC = 12): Under {
  const n = 2 * YEAR_DAYS;
  const all = (x: number) => new Float32Array(n).fill(x);
  return {
    count: 2,
    meanC: all(meanC),
    leafMinC: all(meanC - 3),
    maxC: all(meanC + 3),
    soilC: all(meanC),
    lightMol: all(20),
    damp: Uint8Array.from({ length: n }, (_, d) => Number(damp(d))),
  };
}

test('it spreads from 3 to 24 °C, best from 10 to 16', () => {
  expect([3, 6.5, 10, 13, 16, 20, 24].map(spreadsAt)).toEqual([0, 0.5, 1, 1, 1, 0.5, 0]);
});

test('three wet days are nothing; each one after multiplies it; airy days dry it off', () => {
  const had = mildewOf(
    spinach,
    days((d) => d < 20),
  );
  expect([...had.slice(0, 3)]).toEqual([0, 0, 0]);
  // 0.02, and 0.18 of it more, of what is still clean
  expect(had[3]).toBeCloseTo(0.02 + 0.18 * 0.02 * 0.98, 6);
  for (let d = 4; d < 20; d++) expect(had[d]).toBeGreaterThan(had[d - 1]!);
  expect(had[20]).toBeCloseTo(had[19]! * 0.92, 6);
  expect(had[80]).toBeLessThan(0.01);
});

test('in frost nothing spreads, and a wet week now and then stays a trace', () => {
  expect(
    Math.max(
      ...mildewOf(
        spinach,
        days(() => true, 2),
      ),
    ),
  ).toBe(0);
  expect(
    Math.max(
      ...mildewOf(
        spinach,
        days((d) => d % 21 < 7),
      ),
    ),
  ).toBeLessThan(0.06);
});

test('garlic and kale get none, whatever the weather; what is ill grows less', () => {
  expect(getsMildew(cropById('garlic')) || getsMildew(cropById('kale'))).toBe(false);
  expect(
    Math.max(
      ...mildewOf(
        cropById('kale'),
        days(() => true),
      ),
    ),
  ).toBe(0);
  const lengths = dayLengths(47);
  const grown = (damp: boolean) =>
    season(
      spinach,
      days(() => damp),
      lengths,
    ).growth.at(-1)!;
  expect(grown(true)).toBeLessThan(0.6 * grown(false));
});

test('a film house that is left shut has more of it than one that is aired; fleece over open ground has none', () => {
  const site = { latitude: 47, longitude: 0, elevationM: 450 };
  const months = [-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2].map((lowC) => ({ lowC, highC: lowC + 9 }));
  const climate = fromMonthly(site, months);
  const years = plausibleYears(climate, 4, 3);
  const house = {
    material: 'pe-film',
    shape: 'arch',
    lengthM: 20,
    widthM: 6,
    heightM: 3,
    sides: 'cover',
    tightness: 'average',
    ventAreaM2: 12,
  } as const;
  const mean = (venting: Venting, stack: readonly object[] = [house]) => {
    const under = daysUnder(fitUnder({ site, climate, stack: stack as never, venting }), years);
    const had = mildewOf(spinach, under);
    return had.reduce((a, b) => a + b, 0) / had.length;
  };
  const [shut, warm, air] = [mean('shut'), mean('warm'), mean('air')];
  expect(shut).toBeGreaterThan(2 * air);
  expect(warm).toBeGreaterThanOrEqual(air);
  expect(air).toBeGreaterThan(0);
  const fleece = { ...house, material: 'fleece-30', heightM: 0.4, shape: 'flat', ventAreaM2: 0 };
  expect(mean('shut', [fleece])).toBe(0);
});
