/**
 * How much cold a planting stands tonight: the hardness that the days since it was planted have left it (`acclimation.ts`), and
 * what a leaf temperature then does to it. Starting values; harm scores move the thresholds.
 */
import type { Aim, Crop } from '../crops/crops';
import { acclimate, FRESH } from './acclimation';
import { injuryOf, sharePast, standsOf, type ColdNight, type Stands } from './injury';

/**
 * Hardness 0 to 1 after `dailyMeansC` among its leaves, one for each day since planting, oldest first.
 * @example hardening(new Array(60).fill(2), cropById('spinach')) // 0.8529
 */
export function hardening(dailyMeansC: readonly number[], crop: Crop): number {
  return dailyMeansC.reduce((state, meanC) => acclimate(state, meanC, crop), FRESH).h;
}

export interface Thresholds extends Stands {
  /** The temperature that the margin is measured to: the first harm that counts for the aim, °C. */
  harmC: number;
}

/**
 * Thresholds of a planting with hardening `h` under its aim; flowers only where they are the aim.
 * @example thresholds(cropById('spinach'), 1, 'survive').harmC < thresholds(cropById('spinach'), 0, 'survive').harmC // true
 */
export function thresholds(crop: Crop, h: number, aim: Aim): Thresholds {
  const stands = standsOf(crop, h);
  const { damageC } = stands;
  const flowerC = aim === 'flower' ? (crop.flowerC ?? damageC) : null;
  // who wants it to keep growing counts a night near freezing as a check, before any leaf is hurt
  const harmC = aim === 'flower' ? flowerC! : aim === 'grow' ? Math.max(damageC, -0.5) : damageC;
  return { ...stands, flowerC, harmC };
}

/** What a day of growth that is lost costs of the value: more of what has to keep growing. Starting values. */
const A_DAY: Record<Aim, number> = { survive: 0.32 / 14, flower: 0.32 / 14, grow: 0.66 / 14 };
/** Of what has to keep growing, a night near freezing takes this; flowers that were the aim, when all are lost. */
const CHECK = 0.04;
const FLOWERS = 0.6;

/**
 * Share of the planting's value that a night costs, 0 to 1: the dead, and of the living the days of growth that their burnt leaves
 * or the chill cost, or the flowers. All leaves gone are two weeks: a third of what only has to survive, two thirds of what
 * has to keep growing.
 * @example lossShare(thresholds(cropById('spinach'), 0, 'survive'), 'survive', { leafMinC: 2 }) // 0
 */
export function lossShare(t: Thresholds, aim: Aim, night: ColdNight): number {
  const i = injuryOf(t, night);
  let alive = A_DAY[aim] * i.daysLost;
  if (aim === 'grow') alive = Math.max(alive, CHECK * sharePast(-0.5, night.leafMinC));
  if (aim === 'flower') alive = Math.max(alive, FLOWERS * i.flowers);
  return i.plants + (1 - i.plants) * alive;
}

/**
 * Of that, what does not grow out again: the dead, and flowers that were the aim.
 * @example lastingLoss(thresholds(cropById('spinach'), 0, 'survive'), 'survive', { leafMinC: -20 }) // 1
 */
export function lastingLoss(t: Thresholds, aim: Aim, night: ColdNight): number {
  const i = injuryOf(t, night);
  return i.plants + (1 - i.plants) * (aim === 'flower' ? FLOWERS * i.flowers : 0);
}
