/**
 * A planting's course through days under its covers. Contract: `season(crop, under, dayLengthH)` prepares a crop for a place's years once;
 * `course` then gives what becomes of one sown or planted on a day: when it is up, ready, over, and what it dies of, in
 * days of the whole series. Only numbers; what that means for a need is `windows/`.
 */
import type { Crop } from '../crops/crops';
import { YEAR_DAYS } from '../climate/climate';
import type { Under } from '../climate/underCover';
import { FRESH, hardnessLimit, hardnessOf, ROOTED_DD } from '../hardiness/acclimation';
import { daysLost, leavesLost, plantsLost } from '../hardiness/injury';
import { mildewOf } from './mildew';
import { growthOf, risingDays } from './thermal';

export type How = 'sow' | 'transplant';
export type Fate = 'cold' | 'bolted' | 'cooked' | 'never-up' | 'over' | null;

export interface Season {
  crop: Crop;
  under: Under;
  /** Sums over the days before, one longer than the days. */
  rise: Float64Array;
  growth: Float64Array;
  /** Of each day: what it adds of what is left to gain in hardness, what it takes off (see `acclimate`). */
  gain: Float32Array;
  loss: Float32Array;
  dayH: Float64Array;
  /** Of each day, the share of leaves that has mildew. */
  mildew: Float32Array;
}

/** A leaf that has mildew makes less by this share. Starting value. */
const SICK_LEAF = 0.6;

/**
 * A crop through every year of a place.
 * @example aSeason().crop.id // 'spinach'
 */
export function season(crop: Crop, under: Under, dayH: Float64Array): Season {
  const n = under.leafMinC.length;
  const rise = new Float64Array(n + 1);
  const growth = new Float64Array(n + 1);
  const gain = new Float32Array(n);
  const loss = new Float32Array(n);
  const mildew = mildewOf(crop, under);
  for (let i = 0; i < n; i++) {
    rise[i + 1] = rise[i]! + (crop.emergence ? risingDays(under.soilC[i]!, crop.emergence) : 0);
    const grows = growthOf(crop, under.leafMinC[i]!, under.maxC[i]!, under.lightMol[i]!);
    growth[i + 1] = growth[i]! + grows * (1 - SICK_LEAF * mildew[i]!);
    const change = hardnessOf(crop, under.meanC[i]!);
    gain[i] = change.gain;
    loss[i] = change.loss;
  }
  return { crop, under, rise, growth, gain, loss, dayH, mildew };
}

/** First day at whose end a sum has come to `target`, from `from`; the series' length where it never does. */
function dayWhen(sums: Float64Array, from: number, target: number): number {
  let [lo, hi] = [from, sums.length - 1];
  if (sums[hi]! < target) return hi;
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if (sums[mid + 1]! >= target) hi = mid;
    else lo = mid + 1;
  }
  return lo;
}

/** A seed that lies longer than this rots, days; a transplant stands still for the growth of so many degree days. */
const ROTS_AFTER = 60;
const CHECK_DD = 30;
/** How long any planting is followed, days. */
const FOLLOWED = 420;

/**
 * Degree days from planting to the first picking: what was raised in the tray is behind it.
 * @example wayToPick(cropById('radish'), 'sow') // 300
 */
export function wayToPick(crop: Crop, how: How): number {
  return how === 'transplant' && crop.raiseDd !== null ? crop.pickDd - crop.raiseDd + CHECK_DD : crop.pickDd;
}

/**
 * How long it stands from the first picking, degree days: what is cut and grows again, until its last cut is over.
 * @example standsFor(cropById('radish')) // 110
 */
export function standsFor(crop: Crop): number {
  const again = ['cut', 'leaves'].includes(crop.habit) ? ((crop.cuts ?? 1) - 1) * (crop.againDd ?? 0) : 0;
  return crop.standDd + again;
}

export interface Course {
  /** Day it is up or planted. */
  upDay: number;
  /** Day of the first picking; null where it never is. */
  readyDay: number | null;
  /** What ended it, and when; `over` where it was picked out or grew old. */
  fate: Fate;
  endDay: number;
}

/** Half of the plants gone is a planting lost. */
const LOST = 0.5;
/** Days over where it spoils, and days too warm after it is ready, until it is: starting values. */
const COOKED_DAYS = 4;
const HEAT_BOLTS_DAYS = 8;
/**
 * Heads of the cauliflower kind that stand cold while they are small make buttons: so many days with a mean under this while
 * they are a tenth to four tenths grown. Starting values, from general accounts of it.
 */
const BUTTONS = new Set(['cauliflower', 'broccoli']);
/** @example makesButtons('cauliflower') // true */
export const makesButtons = (cropId: string): boolean => BUTTONS.has(cropId);
const BUTTON = { belowC: 8, days: 18, fromShare: 0.1 } as const;
/** Grown at least so far that it can hear the call to flower. */
const JUVENILE = 0.4;
/** From the call to when it shows, degree days; in long days the faster the longer they are, by this for an hour more. */
const LONG_DD = 420;
const LONG_FASTER = 0.8;
const COLD_DD = 250;

/**
 * What a year's plants have of their own: the way to the picking and the call to flower, as factors, and what they stand, K. The
 * library's figures are starting values; cultivars, seed and soil differ by about so much.
 */
export interface Luck {
  pick: number;
  bolt: number;
  standsK: number;
}
export const USUAL_LUCK: Luck = { pick: 1, bolt: 1, standsK: 0 };

/**
 * `until` is the last day that is asked about, of the whole series; `ready` stops at the first picking. What comes later is not
 * looked at.
 * @example course(aSeason(), 90, 'sow').fate // 'bolted'
 */
export function course(
  s: Season,
  day: number,
  how: How,
  luck: Luck = USUAL_LUCK,
  until: number | 'ready' = Infinity,
): Course {
  const { crop, under, growth, dayH } = s;
  const n = under.leafMinC.length;
  let upDay = day;
  if (how === 'sow' && crop.emergence) {
    upDay = dayWhen(s.rise, day, s.rise[day]! + crop.emergence.degreeDays);
    if (upDay - day > ROTS_AFTER || upDay >= n)
      return { upDay, readyDay: null, fate: 'never-up', endDay: Math.min(n - 1, day + ROTS_AFTER) };
  }
  const way = wayToPick(crop, how) * luck.pick;
  const stands = standsFor(crop);
  const start = growth[upDay]!;
  const end = Math.min(n - 1, upDay + FOLLOWED, until === 'ready' ? Infinity : until);
  let { h, degreeDays } = FRESH;
  let alive = 1;
  let debt = 0;
  let readyDay: number | null = null;
  let readyAt = 0;
  let hot = 0;
  let warm = 0;
  let cold = 0;
  let called = 0;
  // read once: this is the innermost loop of a century
  const { leafMinC: lowsC, maxC: highsC, meanC: meansC } = under;
  const { gain, loss } = s;
  const { standsK } = luck;
  const rootedAt = ROOTED_DD;
  const yearDays = YEAR_DAYS;
  const [softC, hardC] = crop.damageC;
  const [softDeathC, hardDeathC] = crop.deathC;
  const [softRootC, hardRootC] = crop.rootC;
  const always = Math.max(crop.flowerC ?? -99, crop.chillingC ?? -99) + 0.5;
  const { by, dayH: longH, coldDays } = crop.bolts;
  const cooksAbove = crop.spoilC + 4;
  const juvenile = JUVENILE * way;
  const youngFrom = BUTTONS.has(crop.id) ? BUTTON.fromShare * way : Infinity;
  let small = 0;
  for (let i = upDay; i <= end; i++) {
    const leafMinC = lowsC[i]! + standsK;
    const today = growth[i + 1]! - growth[i]!;
    if (leafMinC < softC + (hardC - softC) * h + 0.5 || leafMinC < always) {
      // `injury`, without its objects
      const deathC = softDeathC + (hardDeathC - softDeathC) * h;
      const leaves = leavesLost(softC + (hardC - softC) * h, deathC, leafMinC);
      alive *= 1 - plantsLost(deathC, leafMinC, softRootC + (hardRootC - softRootC) * h, under.soilC[i]!);
      debt += daysLost(leaves, crop.chillingC, leafMinC) * Math.max(0.5, today) * 0.5;
      if (alive < LOST) return { upDay, readyDay, fate: 'cold', endDay: i };
    }
    // `acclimate`, with the day's rates worked out before
    const rooted = degreeDays >= rootedAt;
    const meanC = meansC[i]!;
    if (meanC > 0) degreeDays += meanC;
    if (loss[i]! > 0) h = Math.max(0, h - loss[i]!);
    else if (rooted) h += gain[i]! * Math.max(0, hardnessLimit(degreeDays) - h);
    const grown = growth[i + 1]! - start - debt;
    if (readyDay === null && grown >= way) {
      readyDay = i;
      readyAt = grown;
      if (until === 'ready') return { upDay, readyDay, fate: null, endDay: i };
    }
    if (grown > youngFrom && grown < juvenile && meanC < BUTTON.belowC) {
      small += 1;
      if (small >= BUTTON.days * luck.bolt) return { upDay, readyDay, fate: 'bolted', endDay: i };
    }
    const maxC = highsC[i]!;
    hot = maxC > cooksAbove ? hot + 1 : Math.max(0, hot - 0.25);
    if (hot >= COOKED_DAYS) return { upDay, readyDay, fate: 'cooked', endDay: i };
    if (by !== 'none' && grown > juvenile) {
      const light = dayH[i % yearDays]!;
      if (by === 'heat') {
        warm = maxC > crop.stopC ? warm + 1 : Math.max(0, warm - 0.5);
        if (warm >= HEAT_BOLTS_DAYS && readyDay !== null)
          return { upDay, readyDay, fate: 'bolted', endDay: i };
      } else {
        if (meanC < 10) cold += 1;
        if (by === 'long' && light > longH!)
          called += (today * (1 + LONG_FASTER * (light - longH!))) / LONG_DD;
        if (by === 'cold' && cold >= coldDays! && light > longH! && dayH[(i + 1) % yearDays]! > light)
          called += today / COLD_DD;
        if (called >= luck.bolt) return { upDay, readyDay, fate: 'bolted', endDay: i };
      }
    }
    if (readyDay !== null && grown - readyAt > stands) return { upDay, readyDay, fate: 'over', endDay: i };
  }
  return { upDay, readyDay, fate: null, endDay: end };
}
