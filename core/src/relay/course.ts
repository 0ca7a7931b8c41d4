/**
 * A planting's course in a place's mean year. Contract: `meanYear` sums a prepared season up once; `courseOf` then gives any planting's
 * days in microseconds, so that a strip can be dragged: up, ready, each cut, over. Days are whole days since 1970; what a single
 * year does beside the mean is said by the odds of the century (`windows/dates.ts`), not here.
 */
import { YEAR_DAYS } from '../climate/climate';
import type { Crop } from '../crops/crops';
import { standsFor, wayToPick, type How, type Season } from '../growth/course';

const DAY_MS = 86_400_000;
/**
 * Days since 1970 of an ISO day, and back.
 * @example dayOf('1970-01-11') // 10
 */
export const dayOf = (date: string): number => Math.round(Date.parse(`${date}T00:00:00Z`) / DAY_MS);
/** @example isoOf(10) // '1970-01-11' */
export const isoOf = (day: number): string => new Date(Math.round(day) * DAY_MS).toISOString().slice(0, 10);

/** What a day of each fifth of a year's days adds: degree days to the picking, and to coming up. 73 of each. */
export interface MeanYear {
  growthDd: readonly number[];
  riseDd: readonly number[];
}

const FIFTHS = YEAR_DAYS / 5;

/**
 * Degree days of the middle year by five days: of growth and of coming up.
 * @example meanYear(aSeason(), 6).growthDd.length // 73
 */
export function meanYear(s: Season, years: number): MeanYear {
  const of = (sums: Float64Array) =>
    Array.from({ length: FIFTHS }, (_, f) => {
      let sum = 0;
      for (let y = 0; y < years; y++) {
        const from = y * YEAR_DAYS + f * 5;
        sum += sums[from + 5]! - sums[from]!;
      }
      return sum / (years * 5);
    });
  return { growthDd: of(s.growth), riseDd: of(s.rise) };
}

/** A year on the calendar, days; what lies between two of them is by the part of the year. */
const CALENDAR = 365.2425;

/** Sums over all time of something that comes back every year. */
class Sums {
  private readonly at: Float64Array;
  constructor(daily: readonly number[]) {
    this.at = new Float64Array(FIFTHS + 1);
    daily.forEach((x, f) => (this.at[f + 1] = this.at[f]! + (x * CALENDAR) / FIFTHS));
  }
  /** From 1970 to the beginning of a day. */
  to(day: number): number {
    const years = Math.floor(day / CALENDAR);
    const part = ((day - years * CALENDAR) / CALENDAR) * FIFTHS;
    const f = Math.min(FIFTHS - 1, Math.floor(part));
    return years * this.at[FIFTHS]! + this.at[f]! + (part - f) * (this.at[f + 1]! - this.at[f]!);
  }
  /** First day at whose end `amount` has come together from `from` on; null where it has not within `within`. */
  when(from: number, amount: number, within: number): number | null {
    const target = this.to(from) + amount;
    if (this.to(from + within) < target) return null;
    let [lo, hi] = [from, from + within];
    while (hi - lo > 1) {
      const mid = (lo + hi) >> 1;
      if (this.to(mid) >= target) hi = mid;
      else lo = mid;
    }
    return hi;
  }
}

const known = new WeakMap<MeanYear, { growth: Sums; rise: Sums }>();
function sumsOf(mean: MeanYear) {
  const found = known.get(mean) ?? { growth: new Sums(mean.growthDd), rise: new Sums(mean.riseDd) };
  known.set(mean, found);
  return found;
}

export interface Course {
  /** In the ground. */
  startDay: number;
  /** Up, or planted; null where it does not come up. */
  upDay: number | null;
  /** First picking; null where the mean year never has one. */
  readyDay: number | null;
  /** Days on which it is cut and grows again; empty of what is picked once or all the time. */
  cutDays: number[];
  /** Picked out or grown old; null where it is never ready. */
  overDay: number | null;
}

const ROTS_AFTER = 60;
const FOLLOWED = 420;

/**
 * What the century's middle is of the first picking and of the end, where it is known, is taken for the mean year's.
 * @example courseOf(cropById('radish'), 'sow', 0, { growthDd: new Array(73).fill(10), riseDd: new Array(73).fill(10) }).readyDay // 38
 */
export function courseOf(
  crop: Crop,
  how: How,
  startDay: number,
  mean: MeanYear,
  ready: { readyDays: number | null; overDays: number | null } = { readyDays: null, overDays: null },
): Course {
  const { growth, rise } = sumsOf(mean);
  const sown = how === 'sow' && crop.emergence;
  const upDay = sown ? rise.when(startDay, crop.emergence!.degreeDays, ROTS_AFTER) : startDay;
  const none = { startDay, upDay, readyDay: null, cutDays: [], overDay: null };
  if (upDay === null) return none;
  const readyDay =
    ready.readyDays !== null
      ? startDay + ready.readyDays
      : growth.when(upDay, wayToPick(crop, how), FOLLOWED);
  if (readyDay === null) return none;
  const grown = growth.when(readyDay, standsFor(crop), FOLLOWED) ?? readyDay + FOLLOWED;
  const overDay =
    ready.overDays === null ? grown : Math.max(readyDay + 1, Math.min(grown, startDay + ready.overDays));
  const cutDays: number[] = [];
  if (crop.habit === 'cut' && crop.againDd !== null) {
    let at: number | null = readyDay;
    for (let n = 0; n < (crop.cuts ?? 1) && at !== null && at < overDay; n++) {
      cutDays.push(at);
      at = growth.when(at, crop.againDd, FOLLOWED);
    }
  }
  return { startDay, upDay, readyDay, cutDays, overDay };
}

/** What a cut leaves of its height. */
const STUBBLE = 0.4;

/**
 * How high it stands on a day, m: from nothing when it comes up to its height when it can be picked; a cut leaves four tenths.
 * @example heightOn(cropById('kale'), { startDay: 0, upDay: 10, readyDay: 60, cutDays: [], overDay: 90 }, 5) // 0
 */
export function heightOn(crop: Crop, c: Course, day: number): number {
  if (c.upDay === null || day < c.upDay) return 0;
  if (c.readyDay === null) return crop.heightM * Math.min(1, (day - c.upDay) / 120);
  if (day < c.readyDay) return crop.heightM * ((day - c.upDay) / Math.max(1, c.readyDay - c.upDay)) ** 1.3;
  // it is cut for the first time when it is ready: until the second it stands at its height
  const last = c.cutDays
    .slice(1)
    .filter((d) => d <= day)
    .at(-1);
  if (last === undefined) return crop.heightM;
  const next = c.cutDays.find((d) => d > day) ?? c.overDay ?? last + 30;
  return crop.heightM * (STUBBLE + (1 - STUBBLE) * Math.min(1, (day - last) / Math.max(1, next - last)));
}
