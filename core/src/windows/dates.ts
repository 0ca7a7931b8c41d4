/**
 * What becomes of a crop by the day it is sown or planted, over plausible years. Contract: `datesOf` gives a row for every fifth day of
 * the year: when it is ready (early, middle, late year), and the share of years that each thing goes wrong in; the shares of what
 * goes wrong and of success add up to one.
 */
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { probit, YEAR_DAYS } from '../climate/climate';
import { course, type How, type Luck, type Season } from '../growth/course';

/** What it is wanted for: to be picked from one day to another, or to be out of the way by a day. Days of the year. */
export type Want = { from: number; to: number } | { clearBy: number } | null;

export const FAILURES = ['lostToCold', 'notReady', 'notClear', 'bolted', 'cooked'] as const;
export type Failure = (typeof FAILURES)[number];

export interface DateRow extends Record<Failure, number> {
  day: number;
  /** Days after `day`; null where fewer than a tenth, a half, nine tenths of the years come to a picking. */
  ready: { early: number | null; middle: number | null; late: number | null };
  success: number;
  /** Days until it has nothing more to give, or bolts, spoils or dies, in the middle of the years that come to a picking; null where that was not asked. */
  overDays: number | null;
  /** Days until it is up, of what is sown, in the middle year; null where in fewer than half of the years it comes. */
  upDays: number | null;
  /** Share of its leaves that have mildew at the first picking, the mean of the years that come to one; 0 where none does. */
  mildew: number;
}

export const EVERY_DAYS = 5;
/** A picking takes so long, days: what has to be clear is ready by then. */
const PICKING_DAYS = 7;
/** Ready so many days after the need begins is in time. */
const GRACE_DAYS = 7;
/** Where nothing is wanted of it: it is to be ready in so many days. */
const PATIENCE_DAYS = 365;

/** Days from `day` to the next `of` in the year. */
const until = (day: number, of: number) => (of - (day % YEAR_DAYS) + YEAR_DAYS) % YEAR_DAYS;

/** The last day of the series that a need asks about. */
function lastAsked(day: number, want: Want): number | 'ready' {
  if (want === null) return 'ready';
  if ('clearBy' in want) return day + until(day, want.clearBy);
  return day + until(day, want.from) + ((want.to - want.from + YEAR_DAYS) % YEAR_DAYS);
}

function outcome(
  s: Season,
  day: number,
  how: How,
  want: Want,
  luck: Luck,
): { failed: Failure | null; ready: number | null; up: number | null } {
  const c = course(s, day, how, luck, lastAsked(day, want));
  const ready = c.readyDay === null ? null : c.readyDay - day;
  const ended = c.fate === null ? Infinity : c.endDay - day;
  const because: Failure =
    c.fate === 'cold'
      ? 'lostToCold'
      : c.fate === 'bolted'
        ? 'bolted'
        : c.fate === 'cooked'
          ? 'cooked'
          : 'notReady';
  const up = c.fate === 'never-up' ? null : c.upDay - day;
  const is = (failed: Failure | null) => ({ failed, ready, up });
  if (want === null) return ready !== null && ready <= PATIENCE_DAYS ? is(null) : is(because);
  if ('clearBy' in want) {
    const by = until(day, want.clearBy);
    if (ready === null) return is(ended < by ? because : 'notClear');
    return is(ready + PICKING_DAYS <= by ? null : 'notClear');
  }
  const from = until(day, want.from);
  const to = from + ((want.to - want.from + YEAR_DAYS) % YEAR_DAYS);
  if (ready === null) return is(ended <= to ? because : 'notReady');
  if (ready > from + GRACE_DAYS) return is('notReady');
  if (ended >= to) return is(null);
  // picked out before the need is over: sown too early for it
  return is(c.fate === 'over' ? 'notReady' : because);
}

/** How much years and cultivars differ: 8 % on the way to the picking, 15 % in the call to flower, 0.7 K in what they stand. */
const SPREAD = { pick: 0.08, bolt: 0.15, standsK: 0.7 } as const;

/**
 * The luck of each year, the same for every day and crop that is asked about, so that answers can be compared.
 * @example lucks(10).length // 10
 */
export function lucks(years: number, seed = 8191): Luck[] {
  const rng = xoroshiro128plus(seed);
  const normal = () => probit(0.001 + 0.998 * uniformFloat64(rng));
  return Array.from({ length: years }, () => ({
    pick: Math.exp(SPREAD.pick * normal()),
    bolt: Math.exp(SPREAD.bolt * normal()),
    standsK: SPREAD.standsK * normal(),
  }));
}

/** What comes after the first picking is followed in one of so many years: it costs more than all before. */
const STANDS_EVERY = 8;

/** Days until it is over, where it comes to a picking. */
function standsUntil(s: Season, day: number, how: How, luck: Luck): number | null {
  const c = course(s, day, how, luck);
  return c.readyDay === null ? null : c.endDay - day;
}

/**
 * `years` of the season's series are looked at, each with the year after it.
 * @example datesOf(aSeason(), 'sow', null, 6).length // 73
 */
export function datesOf(s: Season, how: How, want: Want, years: number, stands = false): DateRow[] {
  const rows: DateRow[] = [];
  const luck = lucks(years);
  for (let day = 0; day < YEAR_DAYS; day += EVERY_DAYS) {
    const counts: Record<Failure, number> = { lostToCold: 0, notReady: 0, notClear: 0, bolted: 0, cooked: 0 };
    const readies: number[] = [];
    const ups: number[] = [];
    const overs: number[] = [];
    let sick = 0;
    for (let y = 0; y < years; y++) {
      const { failed, ready, up } = outcome(s, y * YEAR_DAYS + day, how, want, luck[y]!);
      if (failed) counts[failed] += 1;
      if (ready !== null) {
        readies.push(ready);
        sick += s.mildew[y * YEAR_DAYS + day + ready]!;
      }
      if (up !== null) ups.push(up);
      if (stands && ready !== null && y % STANDS_EVERY === 0) {
        const over = standsUntil(s, y * YEAR_DAYS + day, how, luck[y]!);
        if (over !== null) overs.push(over);
      }
    }
    const byDay = (a: number, b: number) => a - b;
    readies.sort(byDay);
    ups.sort(byDay);
    overs.sort(byDay);
    const at = (q: number, days = readies) => days[Math.ceil(q * years) - 1] ?? null;
    const failed = FAILURES.reduce((sum, f) => sum + counts[f], 0);
    const share = (n: number) => Math.round((n / years) * 1e6) / 1e6;
    rows.push({
      day,
      ready: { early: at(0.1), middle: at(0.5), late: at(0.9) },
      lostToCold: share(counts.lostToCold),
      notReady: share(counts.notReady),
      notClear: share(counts.notClear),
      bolted: share(counts.bolted),
      cooked: share(counts.cooked),
      success: share(years - failed),
      overDays: overs[overs.length >> 1] ?? null,
      upDays: at(0.5, ups),
      mildew: readies.length > 0 ? sick / readies.length : 0,
    });
  }
  return rows;
}
