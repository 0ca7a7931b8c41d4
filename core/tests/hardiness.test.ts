import {
  acclimate,
  AIMS,
  atHardness,
  cropById,
  CROPS,
  FRESH,
  gainRate,
  hardening,
  hardensBelowC,
  hardnessLimit,
  injury,
  lastingLoss,
  lossRate,
  lossShare,
  thresholds,
  verdict,
  type ColdNight,
} from '../src';
import { told } from '../words';
import { style } from './eveningFixture';

const days = (n: number, meanC: number) => Array<number>(n).fill(meanC);

describe('hardening', () => {
  const lettuce = cropById('lettuce');
  const wheat = { deathC: [-3, -24] as [number, number], hardenDays: 16 };
  const grown = (h: number) => ({ h, degreeDays: 300 });
  const through = (means: number[], h: number, crop: Parameters<typeof acclimate>[2]) =>
    means.reduce((s, m) => acclimate(s, m, crop), grown(h)).h;

  test('winter wheat goes from −3 to within a kelvin or two of −24 in seven weeks at 3 °C, half of the way in the first week', () => {
    // the published curve: ever slower towards its limit, an exponential whose rate is 0.014 × the degrees under 13.3 °C
    const lt50 = (n: number) => atHardness(wheat.deathC, through(days(n, 3), 0, wheat));
    expect(lt50(0)).toBe(-3);
    expect(hardensBelowC(wheat)).toBeCloseTo(13.34, 1);
    expect(gainRate(wheat, 3)).toBeCloseTo(0.014 * (13.34 - 3), 2);
    for (const n of [7, 14, 28, 49]) {
      const published = -24 + 21 * Math.exp(-0.1448 * n);
      expect(Math.abs(lt50(n) - published)).toBeLessThan(0.8);
    }
  });

  test('three weeks of cold days harden, a warm week undoes more than it took two to gain', () => {
    const cold = hardening(days(24, 3), lettuce);
    expect(hardening([], lettuce)).toBeCloseTo(0.1);
    expect(cold).toBeGreaterThan(0.55);
    expect(hardening([...days(24, 3), ...days(7, 17)], lettuce)).toBeLessThan(cold - 0.5);
    expect(lossRate(15)).toBeCloseTo(0.109, 2);
    expect(lossRate(15)).toBeGreaterThan(gainRate(lettuce, 3) * 0.5);
  });

  test('nothing is gained before it has rooted, and a seedling does not get as hard as what has grown', () => {
    expect(hardening(days(8, 3), lettuce)).toBeCloseTo(0.1);
    expect(hardening(days(20, 3), lettuce)).toBeGreaterThan(0.3);
    expect(hardnessLimit(0)).toBeLessThan(hardnessLimit(100));
    expect(hardnessLimit(100)).toBeLessThan(hardnessLimit(1000));
    const young = Array.from({ length: 60 }).reduce<{ h: number; degreeDays: number }>(
      (s) => acclimate(s, 1, lettuce),
      FRESH,
    );
    expect(young.h).toBeLessThan(through(days(60, 1), 0.1, lettuce));
  });

  test.each([...CROPS])(
    '$id: stays between 0 and 1 through any weather, and is never softer for a colder week above freezing',
    (crop) => {
      let seed = 11;
      const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
      let state = FRESH;
      let out = false;
      for (let i = 0; i < 300; i++) {
        state = acclimate(state, -20 + 50 * random(), crop);
        out ||= !(state.h >= 0 && state.h <= 1);
      }
      expect(out).toBe(false);
      const week = [2, 5, 8, 11, 14, 17].map((c) => through(days(7, c), 0.5, crop));
      week.forEach((h, i) => i > 0 && expect(h).toBeLessThanOrEqual(week[i - 1]! + 1e-9));
    },
  );
});

describe("a night's injury", () => {
  const spinach = cropById('spinach');

  test('half the plants are lost at what the library says after two hours, at 0.8 K warmer after eight', () => {
    expect(injury(spinach, 1, { leafMinC: -14, hours: 2 }).plants).toBeCloseTo(0.5, 2);
    expect(injury(spinach, 0, { leafMinC: -8, hours: 2 }).plants).toBeCloseTo(0.5, 2);
    expect(injury(spinach, 1, { leafMinC: -13.2, hours: 8 }).plants).toBeCloseTo(0.5, 2);
    expect(injury(spinach, 1, { leafMinC: -9, hours: 2 }).leaves).toBeLessThan(0.1);
    expect(injury(spinach, 1, { leafMinC: -12, hours: 2 }).leaves).toBeCloseTo(0.5, 1);
  });

  test('what touches its cover, and what the sun comes on while frozen, is hurt more', () => {
    const at = (more: object) => injury(spinach, 0.7, { leafMinC: -10, ...more });
    expect(at({ touches: true }).leaves).toBeGreaterThan(at({}).leaves);
    expect(at({ suddenSun: true }).plants).toBeGreaterThan(at({}).plants);
    expect(injury(spinach, 0.7, { leafMinC: 2, suddenSun: true })).toEqual(
      injury(spinach, 0.7, { leafMinC: 2 }),
    );
  });

  test('a strawberry flower lost costs about a month; a radish root is lost by its soil; basil is set back above zero', () => {
    const berry = injury(cropById('strawberry'), 1, { leafMinC: -2.5 });
    expect(berry.flowers).toBeGreaterThan(0.9);
    expect(berry.nextFlowerDays).toBe(30);
    expect(berry.plants).toBeLessThan(0.01);
    expect(injury(cropById('radish'), 1, { leafMinC: -3, soilMinC: -7 }).plants).toBeGreaterThan(0.9);
    expect(injury(cropById('basil'), 0, { leafMinC: 3 }).daysLost).toBeGreaterThan(1);
    expect(injury(cropById('kale'), 0, { leafMinC: 3 }).daysLost).toBeLessThan(0.1);
  });

  test.each([...CROPS])(
    '$id: never less hurt for a colder or a longer night, or for being softer',
    (crop) => {
      const parts = ['plants', 'leaves', 'flowers', 'daysLost'] as const;
      const less: string[] = [];
      for (let c = 5; c > -30; c -= 0.7) {
        const here = injury(crop, 0.5, { leafMinC: c, hours: 3 });
        const worse = [
          injury(crop, 0.5, { leafMinC: c - 0.7, hours: 3 }),
          injury(crop, 0.5, { leafMinC: c, hours: 6 }),
          injury(crop, 0.2, { leafMinC: c, hours: 3 }),
        ];
        for (const w of worse) for (const p of parts) if (w[p] < here[p] - 1e-9) less.push(`${p} at ${c}`);
      }
      expect(less).toEqual([]);
    },
  );
});

test('plants set out last week are harmed at milder temperatures than those that stood for weeks', () => {
  const spinach = cropById('spinach');
  const fresh = thresholds(spinach, 0.2, 'survive');
  const hard = thresholds(spinach, 1, 'survive');
  expect(hard.deathC).toBeLessThan(fresh.deathC - 3);
  expect(hard.deathC).toBe(-14);
});

test('the aim decides what counts as harm', () => {
  const berry = cropById('strawberry');
  const [survive, grow, flower] = AIMS.map((aim) => thresholds(berry, 1, aim).harmC);
  expect(survive).toBe(-8);
  expect(grow).toBe(-0.5);
  expect(flower).toBe(-1);
  const t = thresholds(berry, 1, 'flower');
  expect(lossShare(t, 'flower', { leafMinC: -3 })).toBeGreaterThan(0.5);
  expect(lossShare(thresholds(berry, 1, 'survive'), 'survive', { leafMinC: -3 })).toBeLessThan(0.01);
});

test.each([...CROPS])('$id: loss never falls as it gets colder, from nothing to everything', (crop) => {
  const falls: string[] = [];
  for (const aim of AIMS) {
    const t = thresholds(crop, 0.6, aim);
    let last = 0;
    for (let c = 12; c > -35; c -= 0.5) {
      const loss = lossShare(t, aim, { leafMinC: c });
      if (loss < last - 1e-9) falls.push(`${aim} at ${c}`);
      last = loss;
    }
    expect(lossShare(t, aim, { leafMinC: 12 })).toBeLessThan(0.001);
    expect(last).toBeGreaterThan(0.99);
  }
  expect(falls).toEqual([]);
});

test('a longer night, cold ground and lost roots cost more; one law prices the night and follows the season', () => {
  const lettuce = cropById('lettuce');
  const t = thresholds(lettuce, 1, 'survive');
  const at = (more: object) => lossShare(t, 'survive', { leafMinC: -6, ...more });
  expect(at({ hours: 8 })).toBeGreaterThan(at({ hours: 2 }) + 0.1);
  expect(at({ hours: 0.5 })).toBeLessThan(at({ hours: 2 }) - 0.1);
  const radish = thresholds(cropById('radish'), 1, 'survive');
  const dead = { leafMinC: -3, soilMinC: -7 };
  expect(lossShare(radish, 'survive', dead)).toBeGreaterThan(0.9);
  expect(lossShare(radish, 'survive', { ...dead, soilMinC: 1 })).toBeLessThan(0.2);
  const night = { leafMinC: -7, hours: 2, soilMinC: 2 };
  expect(lastingLoss(t, 'survive', night)).toBe(injury(lettuce, 1, night).plants);
  // chilled above zero: days of growth, dearer where it has to keep growing
  const basil = (aim: 'survive' | 'grow') =>
    lossShare(thresholds(cropById('basil'), 0, aim), aim, { leafMinC: 4 });
  expect(basil('grow')).toBeGreaterThan(basil('survive'));
  expect(basil('survive')).toBeGreaterThan(0.005);
});

test('the verdict says what happens to the crop', () => {
  const lettuce = cropById('lettuce');
  const t = thresholds(lettuce, 1, 'survive');
  const said = (leafMinC: number, more: Partial<ColdNight> = {}) =>
    told(verdict(lettuce, t, { leafMinC, hours: 2, ...more }), style);
  expect(said(t.deathC - 1)).toBe('plants lost');
  expect(said(t.deathC + 0.5)).toMatch(/^[1-4] in 10 plants lost$/);
  expect(said(t.damageC - 0.8)).toMatch(/^leaf burn/);
  expect(said(t.damageC + 0.5)).toBe('close');
  expect(said(t.damageC + 3)).toBe('safe');
  // what stands above harm all night is never said to be under it
  expect(said(t.damageC + 0.9, { hours: 14 })).toBe('close');
  // a whole night of it does more than an hour, and so does frozen soil
  expect(said(t.damageC - 0.8, { hours: 0.5 })).not.toBe(said(t.damageC - 0.8, { hours: 12 }));
  expect(said(t.damageC + 3, { soilMinC: (t.rootC ?? 0) - 2 })).toBe('plants lost');
});
