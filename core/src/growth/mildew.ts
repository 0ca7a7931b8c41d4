/**
 * Mildew in damp closed weeks. Contract: `mildewOf` gives, day by day of a place's years, the share of leaves of a crop that has it, 0
 * to 1; all zeros for a crop that gets none and where nothing closes over it.
 *
 * Downy and grey moulds ask for leaves that stay wet: a cover that no air passes, shut through a dull day. After three such days in a
 * row they spread as anything that doubles does, fastest at 10 to 16 °C, not at all under 3 or over 24; an airy day dries
 * them, and new leaves come clean. Ranges from general plant pathology; the rates are starting values.
 */
import type { Crop } from '../crops/crops';
import type { Under } from '../climate/underCover';

/** Whose soft leaves and flowers downy mildew or grey mould takes under cover; the powdery ones, that like it dry, are not meant. */
const GET_IT = new Set(
  `spinach chard lettuce lettuce-leaf lettuce-romaine endive escarole rocket mizuna mustard-leaf tatsoi komatsuna pak-choi napa-cabbage
  radish basil parsley pea-shoots snap-pea onion spring-onion strawberry day-neutral anemone ranunculus stock snapdragon
  sweet-pea`.split(/\s+/),
);
/** @example getsMildew({ id: 'spinach' }) // true */
export const getsMildew = (crop: Pick<Crop, 'id'>): boolean => GET_IT.has(crop.id);

const COLDEST_C = 3;
const BEST_C = [10, 16] as const;
const HOTTEST_C = 24;
/**
 * How fast it spreads at a mean temperature, 0 to 1. Example: 6.5 °C is half way to its best.
 * @example spreadsAt(30) // 0
 */
export function spreadsAt(meanC: number): number {
  if (meanC <= COLDEST_C || meanC >= HOTTEST_C) return 0;
  if (meanC < BEST_C[0]) return (meanC - COLDEST_C) / (BEST_C[0] - COLDEST_C);
  return meanC > BEST_C[1] ? (HOTTEST_C - meanC) / (HOTTEST_C - BEST_C[1]) : 1;
}

/** A day at its best multiplies it so, and it begins from so little; an airy day takes this share of it off. */
const DAILY = 0.18;
const BEGINS = 0.02;
const DRIES = 0.08;
/** Days in a row that leaves have to stay wet before it begins. */
const WET_RUN = 3;

/**
 * How likely mildew is by day, 0 to 1.
 * @example mildewOf(cropById('spinach'), aPlaceOfYears().under).length > 300 // true
 */
export function mildewOf(crop: Crop, under: Under): Float32Array {
  const n = under.meanC.length;
  const share = new Float32Array(n);
  if (!getsMildew(crop)) return share;
  let [has, run] = [0, 0];
  for (let i = 0; i < n; i++) {
    run = under.damp[i] ? run + 1 : 0;
    const rate = DAILY * spreadsAt(under.meanC[i]!);
    if (run > WET_RUN && rate > 0) {
      has = Math.max(BEGINS, has);
      has += rate * has * (1 - has);
    } else if (run === 0) has *= 1 - DRIES;
    share[i] = has;
  }
  return share;
}
