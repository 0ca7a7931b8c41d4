/** Seed for a stand: the binomial distribution, lots that age, beds that are cold. */
import {
  atLeast,
  CROPS,
  cropById,
  daysUp,
  germinationNow,
  seedsFor,
  standFor,
  type StandInput,
} from '../src';
import { refusal } from './refusal';

/** By going through every outcome of a few seeds. */
function counted(n: number, want: number, p: number): number {
  let sum = 0;
  for (let mask = 0; mask < 1 << n; mask++) {
    const up = [...Array(n).keys()].filter((b) => mask & (1 << b)).length;
    if (up >= want) sum += p ** up * (1 - p) ** (n - up);
  }
  return sum;
}

test.each([
  [1, 1, 0.8],
  [5, 3, 0.5],
  [10, 8, 0.72],
  [12, 12, 0.9],
  [9, 0, 0.3],
])('of %s seeds at least %s come up: as counting every outcome has it', (n, want, p) => {
  expect(atLeast(n, want, p)).toBeCloseTo(counted(n, want, p), 10);
});

test('the fewest seeds that give the stand, and one fewer does not', () => {
  expect(seedsFor(1, 0.8, 0.95)).toBe(2);
  expect(seedsFor(1, 0.5, 0.95)).toBe(5);
  for (const [want, p, sure] of [
    [10, 0.7, 0.9],
    [40, 0.55, 0.8],
    [3, 0.95, 0.99],
  ] as const) {
    const n = seedsFor(want, p, sure)!;
    expect(atLeast(n, want, p)).toBeGreaterThanOrEqual(sure);
    expect(atLeast(n - 1, want, p)).toBeLessThan(sure);
  }
  expect(seedsFor(1, 0.0001, 0.99)).toBeNull();
  expect(atLeast(800, 400, 0.5)).toBeCloseTo(0.514, 2);
});

test('a lot loses half in its half-life: parsnip in a year, tomatoes in six', () => {
  expect(germinationNow(0.65, 1, 1)).toBeCloseTo(0.325);
  expect(germinationNow(0.9, 3, 6)).toBeCloseTo(0.9 * Math.SQRT1_2);
  expect(germinationNow(0.9, 0, 2)).toBe(0.9);
});

const carrots: StandInput = {
  crop: cropById('carrot'),
  germination: 0.75,
  ageYears: 0,
  soilC: 12,
  per: 'metre',
  plantsPerMetre: 33,
  count: 20,
  confidence: 0.9,
  spare: 0.1,
};

test('twenty metres of carrots: more seed in a cold bed and from an old lot, more for being surer, never fewer than plants', () => {
  const now = standFor(carrots);
  expect(now.daysUp).toBeCloseTo(170 / 10.7, 5);
  expect(now.seeds).toBeGreaterThan(33 / now.comesUp);
  expect(now.all).toBe(Math.ceil(now.seeds * 20 * 1.1));
  expect(now.grams).toBeCloseTo((now.all * 1.1) / 1000);
  for (const more of [{ soilC: 7 }, { ageYears: 2 }, { confidence: 0.99 }, { plantsPerMetre: 40 }])
    expect(standFor({ ...carrots, ...more }).seeds).toBeGreaterThan(now.seeds);
  // a beet's cluster gives two
  const beet = { ...carrots, crop: cropById('beetroot'), plantsPerMetre: 12, soilC: 16 };
  expect(standFor(beet).seeds).toBeLessThan(12 / standFor(beet).comesUp);
});

test('what cannot be is said by its input', () => {
  expect(() => standFor({ ...carrots, soilC: 0 })).toThrow(/soilC/);
  expect(refusal(() => standFor({ ...carrots, crop: cropById('lettuce'), soilC: 31 }))).toBe(
    'Soil temperature: one at which it comes up within two months: over 4 °C and not over 27 °C.',
  );
  expect(() => standFor({ ...carrots, germination: 0.0005 })).toThrow(/germination/);
  expect(() => standFor({ ...carrots, crop: cropById('fig') })).toThrow(/crop/);
  for (const c of CROPS.filter((x) => x.emergence && x.emergence.bestC !== null))
    expect(daysUp(c.emergence!, c.emergence!.bestC!)).toBeLessThan(60);
});
