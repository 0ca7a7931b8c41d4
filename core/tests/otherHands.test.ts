/** The second best: what a night comes to with one person fewer or more, held against the night planned with as many. */
import type { NightPlan } from '../planning';
import { evening, planned } from './eveningFixture';

/** Two sheets that take the whole of what is left of the afternoon to lay, so that hands count. */
const slow = (hands: number, minutes = 60) => {
  const e = evening(-6, 2);
  return {
    ...e,
    data: {
      ...e.data,
      farm: { ...e.data.farm, hands },
      covers: e.data.covers.map((c) => ({ ...c, minutes })),
    },
  };
};
const lossOf = (plan: NightPlan) => plan.beds.reduce((s, b) => s + b.loss[b.chosen]!, 0);

test('with time for all, one person fewer would do and one more saves nothing', async () => {
  const plan = await planned(slow(2, 2));
  expect(plan.otherHands?.more).toBeNull();
  expect(plan.otherHands?.fewer?.money ?? NaN).toBeCloseTo(0, 2);
  expect(plan.otherHands?.fewer?.bedIds).toEqual([]);
});

test('alone there is nobody to miss; nothing to lay, nothing is told', async () => {
  expect((await planned(slow(1, 2))).otherHands?.fewer).toBeNull();
  const mild = await planned(evening(14, 2));
  expect(mild.otherHands).toEqual({ fewer: null, more: null });
});

test('where hands are short, fewer is never better than as many, more never worse, and the beds that differ are named', async () => {
  let differs = 0;
  for (const minutes of [60, 200]) {
    const plan = await planned(slow(2, minutes));
    const { fewer, more } = plan.otherHands!;
    expect(fewer === null || fewer.money > -0.02).toBe(true);
    expect(more === null || more.money < 0).toBe(true);
    if (fewer && fewer.money >= 1) expect(fewer.bedIds.length).toBeGreaterThan(0);
    if (more) expect(more.bedIds.length).toBeGreaterThan(0);
    if (more || (fewer && fewer.money >= 1)) differs += 1;
  }
  expect(differs).toBeGreaterThan(0);
}, 20_000);

test('what one fewer costs is what the night planned with one fewer comes to', async () => {
  const two = await planned(slow(2, 150));
  const one = await planned(slow(1, 150));
  const { fewer } = two.otherHands!;
  // the night alone is worked out with its own latest times and its own late steps: near, not the same to the cent
  expect(Math.abs(lossOf(one) - lossOf(two) - fewer!.money)).toBeLessThan(0.15 * Math.max(20, lossOf(one)));
});
