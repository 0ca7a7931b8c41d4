/**
 * Seed for a stand. Contract: `standFor` says how many seeds a hole or a metre, how many grams, and when it is up, for the stand that is wanted
 * at the confidence that is wanted; one that no number of seeds gives is a `CalcProblem` that names the input.
 *
 * Plants come up or not each by itself: the binomial distribution. A lot loses half of its germination in the crop's own
 * half-life (kept cool and dry). A seed that lies longer is likelier to be lost on the way, e-folding in 45 days: that fits carrot's
 * and onion's field emergence of half to two thirds in a cool spring; starting value.
 */
import { risingDays } from '../growth/thermal';
import type { Crop } from '../crops/crops';
import { said } from '../words/said';
import { CalcProblem } from './calc';

const LOST_IN_DAYS = 45;
const MOST_SEEDS = 5000;

/**
 * Share of a lot that still germinates. Example: parsnip, half-life 1 year, 0.65 fresh: 0.33 after a year.
 * @example germinationNow(0.8, 4, 4) // 0.4
 */
export function germinationNow(fresh: number, ageYears: number, halfLifeYears: number): number {
  return fresh * 0.5 ** (Math.max(0, ageYears) / halfLifeYears);
}

/**
 * Days until it is up in a seedbed of this temperature; null where it does not come up, or lies over two months.
 * @example daysUp(cropById('spinach').emergence, 12) // 9.328
 */
export function daysUp(emergence: NonNullable<Crop['emergence']>, soilC: number): number | null {
  const rise = risingDays(soilC, emergence);
  const days = rise > 0 ? emergence.degreeDays / rise : Infinity;
  return days > 60 ? null : days;
}

/**
 * Chance that at least `want` of `n` come up, each with the chance `p`.
 * @example atLeast(3, 1, 0.5) // 0.875
 */
export function atLeast(n: number, want: number, p: number): number {
  if (want <= 0) return 1;
  if (n < want || p <= 0) return 0;
  if (p >= 1) return 1;
  // from the top down, each term from the one before: no factorials
  let term = n * Math.log(p);
  let sum = 0;
  const odds = Math.log(1 - p) - Math.log(p);
  for (let k = n; k >= want; k--) {
    sum += Math.exp(term);
    term += Math.log(k) - Math.log(n - k + 1) + odds;
  }
  return Math.min(1, sum);
}

/**
 * The fewest seeds of which at least `want` come up with this confidence; null over 5,000. Example: 0.8, one wanted, 0.95: 2.
 * @example seedsFor(1, 0.5, 0.9) // 4
 */
export function seedsFor(want: number, p: number, confidence: number): number | null {
  for (let n = want; n <= MOST_SEEDS; n++) if (atLeast(n, want, p) >= confidence) return n;
  return null;
}

export interface StandInput {
  crop: Crop;
  /** Of a hundred fresh or as it was tested, 0 to 1; the crop's usual where it is not known. */
  germination: number;
  ageYears: number;
  soilC: number;
  /** Sown in holes or cells with one plant wanted in each, or along a row with so many plants a metre. */
  per: 'hole' | 'metre';
  plantsPerMetre: number;
  /** How many holes, or metres of row. */
  count: number;
  confidence: number;
  /** What of it is kept to spare, 0 to 1. */
  spare: number;
}

export interface Stand {
  /** For each hole or metre. */
  seeds: number;
  all: number;
  grams: number;
  germination: number;
  /** Share of seeds that come up in that bed. */
  comesUp: number;
  daysUp: number;
}

/**
 * Seeds for a stand; grams, and days until it is up. Refuses what no number of seeds gives.
 * @example standFor({ crop: cropById('spinach'), germination: 0.8, ageYears: 0, soilC: 12, per: 'metre', plantsPerMetre: 30, count: 10, confidence: 0.9, spare: 0.1 }).seeds // 53
 */
export function standFor(i: StandInput): Stand {
  const { crop } = i;
  if (!crop.sowing || !crop.emergence) throw new CalcProblem('crop', said('want.sownCrop'));
  const days = daysUp(crop.emergence, i.soilC);
  if (days === null)
    throw new CalcProblem(
      'soilC',
      said('want.comesUp', { overC: crop.emergence.minC ?? 0, notOverC: crop.emergence.maxC }),
    );
  const germination = germinationNow(i.germination, i.ageYears, crop.sowing.halfLifeYears);
  const comesUp = germination * Math.exp(-days / LOST_IN_DAYS);
  const want = Math.ceil((i.per === 'hole' ? 1 : i.plantsPerMetre) / crop.sowing.germs);
  const seeds = seedsFor(Math.max(1, want), comesUp, i.confidence);
  if (seeds === null) throw new CalcProblem('germination', said('want.betterLot'));
  const all = Math.ceil(seeds * i.count * (1 + i.spare));
  return { seeds, all, grams: (all * crop.sowing.seedMg) / 1000, germination, comesUp, daysUp: days };
}
