import { AIMS, cropById, CROPS, hardening, hardeningRate, lossShare, thresholds, verdict } from '../src';

test('there are at least fifteen crops, each harder when hardened and damaged before it dies', () => {
  expect(CROPS.length).toBeGreaterThanOrEqual(15);
  for (const c of CROPS) {
    for (const i of [0, 1] as const) expect(c.damageC[i]).toBeGreaterThanOrEqual(c.deathC[i]);
    expect(c.damageC[1]).toBeLessThanOrEqual(c.damageC[0]);
    expect(c.deathC[1]).toBeLessThanOrEqual(c.deathC[0]);
  }
});

test('three weeks of cold days harden, a warm week undoes it', () => {
  const lettuce = cropById('lettuce');
  const cold = Array<number>(24).fill(3);
  expect(hardening([], lettuce)).toBeCloseTo(0.1);
  expect(hardening(cold, lettuce)).toBe(1);
  expect(hardening([...cold, ...Array<number>(7).fill(17)], lettuce)).toBeLessThan(0.4);
  expect(hardeningRate(3)).toBeGreaterThan(hardeningRate(-9));
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
  expect(lossShare(t, 'flower', -3)).toBeGreaterThan(0.5);
  expect(lossShare(thresholds(berry, 1, 'survive'), 'survive', -3)).toBeLessThan(0.01);
});

test.each([...CROPS])('$id: loss never falls as it gets colder, from nothing to everything', (crop) => {
  for (const aim of AIMS) {
    const t = thresholds(crop, 0.6, aim);
    let last = 0;
    for (let c = 12; c > -35; c -= 0.5) {
      const loss = lossShare(t, aim, c);
      expect(loss).toBeGreaterThanOrEqual(last - 1e-9);
      last = loss;
    }
    expect(lossShare(t, aim, 12)).toBeLessThan(0.001);
    expect(last).toBeGreaterThan(0.99);
  }
});

test('the verdict says what happens to the crop', () => {
  const lettuce = cropById('lettuce');
  const t = thresholds(lettuce, 1, 'survive');
  expect(verdict(lettuce, t, -8)).toBe('plants lost');
  expect(verdict(lettuce, t, -5)).toBe('leaf burn');
  expect(verdict(lettuce, t, -3)).toBe('close');
  expect(verdict(lettuce, t, 1)).toBe('safe');
});
