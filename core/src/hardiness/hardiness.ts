/**
 * How much cold a planting stands tonight: hardening gained and lost by the cold of the last weeks, and what a leaf
 * temperature then does to it.
 *
 * Acclimation as a state h from 0 (fresh from the tray) to 1 (as hard as it gets), after the usual single-state models
 * (e.g. Fuchigami et al. 1982): a day whose mean is between −3 and 9 °C gains 1/hardenDays; above 12 °C it is lost
 * three times as fast. Starting values; harm scores move the thresholds.
 */
import type { Aim, Crop } from '../crops/crops';

/** Daily gain of hardening as a share of the fastest, by daily mean temperature. */
export function hardeningRate(meanC: number): number {
  if (meanC <= -8) return 0.2;
  if (meanC <= -3) return 0.2 + (0.8 * (meanC + 8)) / 5;
  if (meanC <= 6) return 1;
  if (meanC <= 12) return 1 - (meanC - 6) / 6;
  return -3 * Math.min(1, (meanC - 12) / 6);
}

/** Hardening 0 to 1 after `dailyMeansC`, one for each day since planting, oldest first. */
export function hardening(dailyMeansC: readonly number[], crop: Crop): number {
  let h = 0.1;
  for (const mean of dailyMeansC) h = Math.min(1, Math.max(0, h + hardeningRate(mean) / crop.hardenDays));
  return h;
}

export interface Thresholds {
  /** Leaf damage begins, °C. */
  damageC: number;
  /** Half are dead, °C. */
  deathC: number;
  /** Flowers lost, °C; null where flowers are not the aim. */
  flowerC: number | null;
  /** The temperature that the margin is measured to: the first harm that counts for the aim, °C. */
  harmC: number;
}

/** Thresholds of a planting with hardening `h` under its aim. */
export function thresholds(crop: Crop, h: number, aim: Aim): Thresholds {
  const at = ([soft, hard]: [number, number]) => soft + (hard - soft) * h;
  const damageC = at(crop.damageC);
  const deathC = at(crop.deathC);
  const flowerC = aim === 'flower' ? (crop.flowerC ?? damageC) : null;
  // who wants it to keep growing counts a night near freezing as a check, before any leaf is hurt
  const harmC = aim === 'flower' ? flowerC! : aim === 'grow' ? Math.max(damageC, -0.5) : damageC;
  return { damageC, deathC, flowerC, harmC };
}

/** Leaves of one bed differ; the share past a threshold rises over about this many K. */
const SPREAD_K = 0.7;
const past = (thresholdC: number, leafC: number) =>
  1 / (1 + Math.exp((leafC - thresholdC) / (SPREAD_K / 1.8)));

/**
 * Share of the planting's value that a night with the lowest leaf temperature `leafMinC` costs, 0 to 1. Leaf damage on
 * what only has to survive costs a sixth (it grows out or is trimmed); of what has to keep growing a third, and a
 * freeze without damage a twenty-fifth; lost flowers 60 %.
 */
export function lossShare(t: Thresholds, aim: Aim, leafMinC: number): number {
  const dead = past(t.deathC, leafMinC);
  const hurt = past(t.damageC, leafMinC);
  let alive = (aim === 'grow' ? 0.33 : 0.16) * hurt;
  if (aim === 'grow') alive = Math.max(alive, 0.04 * past(-0.5, leafMinC));
  if (t.flowerC !== null) alive = Math.max(alive, 0.6 * past(t.flowerC, leafMinC));
  return dead + (1 - dead) * alive;
}

/** Of that, what does not grow out again: the dead, and flowers that were the aim. */
export function lastingLoss(t: Thresholds, aim: Aim, leafMinC: number): number {
  const dead = past(t.deathC, leafMinC);
  const flowers = aim === 'flower' && t.flowerC !== null ? 0.6 * past(t.flowerC, leafMinC) : 0;
  return dead + (1 - dead) * flowers;
}

/** What a leaf temperature will do, as a grower says it. */
export function verdict(crop: Crop, t: Thresholds, leafMinC: number): string {
  if (leafMinC < t.deathC + 0.5) return crop.deathWord;
  if (leafMinC < t.damageC) return crop.damageWord;
  if (t.flowerC !== null && leafMinC < t.flowerC) return 'flowers lost';
  if (leafMinC < t.harmC) return 'growth checked';
  if (leafMinC < t.harmC + 1) return 'close';
  return 'safe';
}
