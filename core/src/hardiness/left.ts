/**
 * What is left of a planting after the nights that were. Contract: `shareLeft` takes the newest harm score, if any, and the
 * lowest leaf of each night since, and gives the share of the value that can still be lost, 0 to 1.
 */
import type { Aim } from '../crops/crops';
import { lastingLoss, type Thresholds } from './hardiness';

/** How a planting was seen after a night: nothing, tips, leaves, all of it. */
export const HARM = ['none', 'tips', 'leaves', 'dead'] as const;
export type HarmScore = (typeof HARM)[number];

/** What a grower's own score leaves: starting values. Tips and leaves grow out or are trimmed; the dead stay dead. */
const LEFT_BY_SCORE: Record<HarmScore, number> = { none: 1, tips: 0.95, leaves: 0.7, dead: 0 };

/**
 * Example: scored dead: 0; never scored, a night 3 K under what kills it: under 0.01.
 * @example shareLeft(thresholds(cropById('spinach'), 0, 'survive'), 'survive', 'dead', []) // 0
 */
export function shareLeft(
  t: Thresholds,
  aim: Aim,
  score: HarmScore | null,
  lowsSinceC: readonly number[],
): number {
  const start = score === null ? 1 : LEFT_BY_SCORE[score];
  return lowsSinceC.reduce((left, c) => left * (1 - lastingLoss(t, aim, { leafMinC: c })), start);
}
