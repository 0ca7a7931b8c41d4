/**
 * How hard a planting gets, day by day. Contract: `acclimate` takes its state through one day under its own covers; hardness
 * `h` runs from 0 (fresh from the tray) to 1 (as hard as it gets), and what it stands moves between the soft and the hard
 * value of the library with it. Pure; the days and their temperatures are the caller's.
 *
 * The form is that of the winter-cereal models (Fowler et al. 1999, Crop Science 39; Byrns et al. 2020): gain towards what is left to
 * gain, faster the further the day is under a threshold, the threshold the higher the hardier the plant can become
 * (3.72 − 0.401 × the hard limit, °C); loss over the threshold along a logistic curve of temperature. What is ours: every crop
 * has its own days to nine tenths at 3 °C (the library's), in the place of one rate for wheat; loss as a share of the whole
 * range; rooting and age. Starting values; harm scores move them.
 */
import type { Crop } from '../crops/crops';

export interface Hardness {
  /** 0 to 1. */
  h: number;
  /** Degree days over freezing since it was set out or came up, K day. */
  degreeDays: number;
}

/** Fresh from a tray that was hardened off for some days. */
export const FRESH: Hardness = { h: 0.1, degreeDays: 0 };

/** Degree days until roots have taken and hardening begins; until it is grown enough to get as hard as it can, K day. */
export const ROOTED_DD = 30;
const GROWN_DD = 200;
/** What a seedling can get of it. */
const SEEDLING = 0.7;
/** At which temperature the library's days to nine tenths are meant, °C. */
const COLD_DAY_C = 3;

/**
 * Above this a day no longer hardens, °C. Example: wheat that stands −24: 13.3; lettuce that stands −7: 6.5, taken as 9.
 * @example hardensBelowC({ deathC: [-8, -14] }) // 9.334
 */
export function hardensBelowC(crop: Pick<Crop, 'deathC'>): number {
  return Math.max(9, 3.72 - 0.401 * crop.deathC[1]);
}

/**
 * Share of the range that a day of this mean loses, 0 to about 0.24. Example: 15 °C: 0.11.
 * @example lossRate(0) // 0.003064
 */
export function lossRate(meanC: number): number {
  return 5.05 / (1 + Math.exp(4.35 - 0.28 * meanC)) / 21;
}

/**
 * Gain a day as a share of what is left to gain, 1/day. Example: spinach at 3 °C: 0.096, nine tenths in 24 days.
 * @example gainRate({ deathC: [-8, -14], hardenDays: 24 }, 25) // 0
 */
export function gainRate(crop: Pick<Crop, 'deathC' | 'hardenDays'>, meanC: number): number {
  const belowC = hardensBelowC(crop);
  const cold = Math.min(1.3, Math.max(0, (belowC - meanC) / (belowC - COLD_DAY_C)));
  // frozen through it does not live fast enough to change
  const alive = meanC >= -3 ? 1 : Math.max(0.2, 1 + (meanC + 3) / 6);
  return (Math.LN10 / crop.hardenDays) * cold * alive;
}

/**
 * The most that a planting of this age can have: roots first, then leaves; 0 to 1.
 * @example hardnessLimit(0) // 0.7
 */
export function hardnessLimit(degreeDays: number): number {
  if (degreeDays >= GROWN_DD) return 1;
  return SEEDLING + (1 - SEEDLING) * (degreeDays / GROWN_DD);
}

/**
 * What a day of this mean takes off, and what share it adds of what is left to gain; one of them is nothing.
 * @example hardnessOf({ deathC: [-8, -14], hardenDays: 24 }, 25).gain // 0
 */
export function hardnessOf(
  crop: Pick<Crop, 'deathC' | 'hardenDays'>,
  meanC: number,
): { gain: number; loss: number } {
  const over = meanC - hardensBelowC(crop);
  return over > 0
    ? { gain: 0, loss: lossRate(meanC) * Math.min(1, over / 3) }
    : { gain: gainRate(crop, meanC), loss: 0 };
}

/**
 * One day on. `meanC` is the mean of the air among its leaves.
 * @example acclimate({ h: 0, degreeDays: 500 }, 2, cropById('spinach')).h > 0 // true
 */
export function acclimate(
  state: Hardness,
  meanC: number,
  crop: Pick<Crop, 'deathC' | 'hardenDays'>,
): Hardness {
  const degreeDays = state.degreeDays + Math.max(0, meanC);
  const { gain, loss } = hardnessOf(crop, meanC);
  let h = state.h - loss;
  if (state.degreeDays >= ROOTED_DD) h += gain * Math.max(0, hardnessLimit(degreeDays) - h);
  return { h: Math.min(1, Math.max(0, h)), degreeDays };
}

/**
 * A value of the library at a hardness, °C.
 * @example atHardness([-4, -10], 0.5) // -7
 */
export const atHardness = ([soft, hard]: readonly [number, number], h: number): number =>
  soft + (hard - soft) * h;
