/**
 * Twelve months where nothing is typed. Contract: `coarseMonths(site)` is what the nearest town of a coarse table has, good to some 2 K
 * there; far from all towns what the latitude and height say, good to some 5 K; always to be shown as that; `climateOfFarm` takes a station's days where there are, else the months that the
 * grower typed, else these, and the frost dates.
 */
import type { Site } from '../heat/types';
import { fromMonthly, type Climate, type Monthly } from './climate';
import { fromDaily, type Day } from './record';
import { withFrostDates, type FrostDates } from './frost';
import { nearTown } from './nearTown';
import { zonalMeanC } from './zonal';

const MIDDLES = Array.from({ length: 12 }, (_, m) => Date.UTC(2001, m, 15, 12));
/** Half of what a day swings, K: more where it is warm. Starting values. */
const halfSwingK = (meanC: number) => 3 + 0.15 * Math.min(20, Math.max(0, meanC));

/** @example coarseMonths(SITE).length // 12 */
export function coarseMonths(site: Site): Monthly[] {
  return nearTown(site)?.months ?? byLatitude(site);
}

function byLatitude(site: Site): Monthly[] {
  return MIDDLES.map((ms) => {
    const meanC = zonalMeanC(site, ms);
    return { lowC: meanC - halfSwingK(meanC), highC: meanC + halfSwingK(meanC) };
  });
}

/**
 * The climate of a site: of its record, its months, or the nearest town of the table.
 * @example climateOfFarm(SITE, null, {}).missed // []
 */
export function climateOfFarm(
  site: Site,
  months: readonly Monthly[] | null,
  frost: FrostDates,
  record: readonly Day[] | null = null,
): { climate: Climate; missed: string[] } {
  if (record) return withFrostDates(fromDaily(site, record), frost);
  const own = months !== null && months.length === 12;
  return withFrostDates(
    fromMonthly(site, own ? months : coarseMonths(site), own ? 'monthly' : 'table'),
    frost,
  );
}
