/**
 * What a night does to a planting. Contract: `injuryOf` takes what the planting stands, the lowest leaf temperature and for how long it
 * was about that cold, and gives shares with nothing rounded; it never gets less as the night gets colder or longer. One law for
 * the night's plan, for what is left of a planting, and for the years of a season.
 *
 * Thresholds of the literature are of freezers held for one to two hours; each doubling of the time costs about 0.4 K (potted
 * trials of leafy crops lie between 0.2 and 0.6). A leaf that touches its cover is as cold as the cover's inner face, about 1 K
 * under the leaves beside it; sun on leaves still frozen does as much as 1 K more. Plants of one bed differ by some 0.7 K.
 * Starting values.
 */
import type { Crop } from '../crops/crops';
import { atHardness } from './acclimation';

export interface ColdNight {
  /** Lowest leaf temperature, °C. */
  leafMinC: number;
  /** Hours within a kelvin of it; two where it is not known. */
  hours?: number;
  /** Lowest temperature of the soil about the roots, °C. */
  soilMinC?: number;
  touches?: boolean;
  /** Sun comes on it before it has thawed. */
  suddenSun?: boolean;
}

/** What a planting stands as hard as it is, °C; null where that does not count. */
export interface Stands {
  /** Leaf damage begins. */
  damageC: number;
  /** Half are dead. */
  deathC: number;
  /** Roots are killed, by the soil about them. */
  rootC: number | null;
  flowerC: number | null;
  /** Harmed above zero by nights below this. */
  chillingC: number | null;
}

export interface Injury {
  /** Shares, 0 to 1: plants lost, leaves lost on those that live, open flowers and young fruit lost. */
  plants: number;
  leaves: number;
  flowers: number;
  /** Growth that it costs, in days as they are then. */
  daysLost: number;
  /** Days until the next flower can be picked; 0 where none was lost. */
  nextFlowerDays: number;
}

const SPREAD_K = 0.7;
/**
 * Share of a bed past a threshold.
 * @example sharePast(-8, -8) // 0.5
 */
export const sharePast = (thresholdC: number, c: number) =>
  1 / (1 + Math.exp((c - thresholdC) / (SPREAD_K / 1.8)));

/**
 * What a longer night counts colder, K. Example: 4 hours: 0.4; half an hour: −0.8.
 * @example durationK(1) // -0.4
 */
export function durationK(hours: number): number {
  return 0.4 * Math.log2(Math.min(16, Math.max(0.25, hours)) / 2);
}

/**
 * The night's lowest as it counts against a threshold of two hours, °C.
 * @example effectiveC({ leafMinC: -4, hours: 4, touches: true }) // -5.4
 */
export const effectiveC = (night: ColdNight): number =>
  night.leafMinC -
  (night.hours === undefined ? 0 : durationK(night.hours)) -
  (night.touches ? 1 : 0) -
  (night.suddenSun && night.leafMinC < 0 ? 1 : 0);

/** A flower cluster after this: strawberries about a month, cut flowers with many stems less. */
const nextFlower = (crop: Crop) => (crop.group === 'strawberry' ? 30 : crop.aim === 'flower' ? 21 : 0);

/**
 * What a crop stands at hardness `h`.
 * @example standsOf(cropById('spinach'), 0).damageC // -5
 */
export const standsOf = (crop: Crop, h: number): Stands => ({
  damageC: atHardness(crop.damageC, h),
  deathC: atHardness(crop.deathC, h),
  rootC: atHardness(crop.rootC, h),
  flowerC: crop.flowerC,
  chillingC: crop.chillingC,
});

/**
 * Share of plants lost, by their growing point and by their roots; plain numbers, for a century's innermost loop.
 * @example plantsLost(-8, -8, null, undefined) // 0.5
 */
export function plantsLost(
  deathC: number,
  c: number,
  rootC: number | null,
  soilMinC: number | undefined,
): number {
  const byRoot = soilMinC === undefined || rootC === null ? 0 : sharePast(rootC, soilMinC);
  return 1 - (1 - sharePast(deathC, c)) * (1 - byRoot);
}

/**
 * Share of leaves lost: burn begins at `damageC`, half are gone six tenths of the way to where plants die.
 * @example leavesLost(-4, -9, -7) // 0.5
 */
export function leavesLost(damageC: number, deathC: number, c: number): number {
  const depth = Math.max(0, (damageC - c) / (0.6 * (damageC - deathC)));
  return 1 - 2 ** -(depth * depth);
}

/**
 * Days of growth that burnt leaves and chill cost.
 * @example daysLost(0.5, null, -3) // 7
 */
export function daysLost(leaves: number, chillingC: number | null, leafMinC: number): number {
  const chilled = chillingC === null ? 0 : Math.max(0, chillingC - leafMinC) / 4;
  return Math.min(30, 14 * leaves + Math.min(6, chilled));
}

/** @example injuryOf(standsOf(cropById('spinach'), 0), { leafMinC: 0 }).leaves // 0 */
export function injuryOf(s: Stands, night: ColdNight): Omit<Injury, 'nextFlowerDays'> {
  const c = effectiveC(night);
  const leaves = leavesLost(s.damageC, s.deathC, c);
  return {
    plants: plantsLost(s.deathC, c, s.rootC, night.soilMinC),
    leaves,
    flowers: s.flowerC === null ? 0 : sharePast(s.flowerC, c),
    daysLost: daysLost(leaves, s.chillingC, night.leafMinC),
  };
}

/** @example injury(cropById('strawberry'), 0, { leafMinC: -6 }).nextFlowerDays // 30 */
export function injury(crop: Crop, h: number, night: ColdNight): Injury {
  const i = injuryOf(standsOf(crop, h), night);
  return { ...i, nextFlowerDays: i.flowers > 0.05 ? nextFlower(crop) : 0 };
}
