/**
 * How much cold a planting stands tonight: the hardness that the days since it was planted have left it (`acclimation.ts`), and
 * what a leaf temperature then does to it. Starting values; harm scores move the thresholds.
 */
import type { Aim, Crop } from '../crops/crops';
import { acclimate, atHardness, FRESH } from './acclimation';

/** Hardness 0 to 1 after `dailyMeansC` among its leaves, one for each day since planting, oldest first. */
export function hardening(dailyMeansC: readonly number[], crop: Crop): number {
  return dailyMeansC.reduce((state, meanC) => acclimate(state, meanC, crop), FRESH).h;
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
  const damageC = atHardness(crop.damageC, h);
  const deathC = atHardness(crop.deathC, h);
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
