/**
 * The days that were, from the best that is known of each hour. Contract: `pastHours` gives hourly weather without a gap and
 * what each hour is worth: measured; corrected (issued, then moved so that the night's lowest is the one that was read
 * outside); issued (the newest forecast that held it); guessed (like the nearest known day, leaning to the season the further
 * off it is). Nothing known at all gives the season alone. `doubtK` says what that leaves in doubt at the leaf.
 */
import { zonalMeanC } from '../climate/zonal';
import type { Site, WeatherEntry } from '../heat/types';
import { hourBetween } from './between';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

export type Worth = 'measured' | 'corrected' | 'issued' | 'guessed';

/** What was issued, whole: a forecast of a service, a file, or what somebody typed. */
export interface Issue {
  id: string;
  /** As the grower knows it. */
  name: string;
  source: 'typed' | 'file' | 'push' | 'poll' | 'simulated';
  issuedAtMs: number;
  entries: readonly WeatherEntry[];
  /** How much wider than usual its error is. */
  doubt: number;
}

/** The lowest that was read outside between two noons. */
export interface OutsideLow {
  fromAtMs: number;
  toAtMs: number;
  minC: number;
}

export interface Known {
  observed: readonly WeatherEntry[];
  issues: readonly Issue[];
  lows: readonly OutsideLow[];
}

export interface PastHours {
  hours: WeatherEntry[];
  worth: Worth[];
}

/** Hours between two measured ones that are still taken as measured, on the line between them. */
const BRIDGE_H = 3;
/** A spell lasts: what a day differs from the season by falls to a third in so many days (starting value). */
const SPELL_DAYS = 5;
/** Days either way in which a guess looks for one to be like. */
const REACH_DAYS = 70;
/** Usual swing of a day of which nothing is known, K from mean to highest: starting value. */
const HALF_SWING_K = 4.5;

const at = (e: WeatherEntry) => Date.parse(e.time);

/** Short gaps between measured hours closed. */
function bridged(observed: readonly WeatherEntry[]): Map<number, WeatherEntry> {
  const out = new Map<number, WeatherEntry>();
  let last: WeatherEntry | null = null;
  for (const e of [...observed].sort((a, b) => at(a) - at(b))) {
    if (last) {
      const gap = (at(e) - at(last)) / HOUR_MS;
      for (let h = 1; h < gap && gap <= BRIDGE_H; h++) {
        const ms = at(last) + h * HOUR_MS;
        out.set(ms, hourBetween(last, e, h / gap, ms));
      }
    }
    out.set(at(e), e);
    last = e;
  }
  return out;
}

/** An hour moved by `k` in temperature; its vapour stays, as far as the colder air can hold it. */
function moved(e: WeatherEntry, k: number, time = e.time): WeatherEntry {
  const airC = e.airC + k;
  return { ...e, time, airC, dewPointC: Math.min(airC - 0.1, e.dewPointC + 0.7 * k) };
}

/** Issued hours of a night moved to the lowest that was read, in full through the night and fading to both noons. */
function correct(
  hours: (WeatherEntry | null)[],
  worth: (Worth | null)[],
  firstAtMs: number,
  low: OutsideLow,
): void {
  const index = hours.flatMap((e, i) => {
    const ms = firstAtMs + i * HOUR_MS;
    return e && ms >= low.fromAtMs && ms <= low.toAtMs ? [i] : [];
  });
  if (!index.some((i) => worth[i] === 'issued')) return;
  const lowest = Math.min(...index.map((i) => hours[i]!.airC));
  for (const i of index) {
    if (worth[i] !== 'issued') continue;
    const ms = firstAtMs + i * HOUR_MS;
    const weight = Math.min(1, (ms - low.fromAtMs) / (4 * HOUR_MS), (low.toAtMs - ms) / (4 * HOUR_MS));
    hours[i] = moved(hours[i]!, weight * (low.minC - lowest));
    worth[i] = 'corrected';
  }
}

/** The nearest known hour at the same time of day; the later one of two as near. */
function likeliest(
  known: ReadonlyMap<number, WeatherEntry>,
  ms: number,
): { e: WeatherEntry; days: number } | null {
  for (let d = 0; d <= REACH_DAYS; d++)
    for (const side of [1, -1]) {
      const e = known.get(ms + side * d * DAY_MS);
      if (e) return { e, days: d };
    }
  return null;
}

/** A mean of the day around an instant, from what is known of it; null where that is less than half. */
function dayMean(known: ReadonlyMap<number, WeatherEntry>, ms: number): number | null {
  let sum = 0;
  let n = 0;
  for (let h = -12; h < 12; h++) {
    const e = known.get(ms + h * HOUR_MS);
    if (e) {
      sum += e.airC;
      n += 1;
    }
  }
  return n >= 12 ? sum / n : null;
}

function seasonHour(site: Site, ms: number): WeatherEntry {
  const solarH = (((ms / HOUR_MS + site.longitude / 15) % 24) + 24) % 24;
  const mean = zonalMeanC(site, ms);
  const airC = mean + HALF_SWING_K * Math.cos((2 * Math.PI * (solarH - 14.5)) / 24);
  return {
    time: new Date(ms).toISOString(),
    airC,
    dewPointC: Math.min(airC - 0.1, mean - HALF_SWING_K - 1),
    windMs: 2,
    cloudFraction: 0.5,
    rainMm: 0,
    snowMm: 0,
  };
}

/**
 * Hourly from the hour of `fromAtMs` to `toAtMs`; what is known may reach beyond both ends and is used for the guesses.
 * @example pastHours({ observed: weather(), issues: [], lows: [] }, SITE, START_MS, START_MS + 7_200_000).worth // ['measured', 'measured', 'measured']
 */
export function pastHours(known: Known, site: Site, fromAtMs: number, toAtMs: number): PastHours {
  const firstAtMs = Math.floor(fromAtMs / HOUR_MS) * HOUR_MS;
  const measured = bridged(known.observed);
  const issued = new Map<number, WeatherEntry>();
  // the newest word on an hour counts
  for (const issue of [...known.issues].sort((a, b) => a.issuedAtMs - b.issuedAtMs))
    for (const e of issue.entries) issued.set(at(e), e);
  const count = Math.max(0, Math.floor((toAtMs - firstAtMs) / HOUR_MS) + 1);
  const times = Array.from({ length: count }, (_, i) => firstAtMs + i * HOUR_MS);
  const hours = times.map((ms) => measured.get(ms) ?? issued.get(ms) ?? null);
  const worth = times.map((ms): Worth | null =>
    measured.has(ms) ? 'measured' : issued.has(ms) ? 'issued' : null,
  );
  for (const low of known.lows) correct(hours, worth, firstAtMs, low);
  const all = new Map([...issued, ...measured]);
  times.forEach((ms, i) => hours[i] && all.set(ms, hours[i]));
  const filled = times.map((ms, i): WeatherEntry => {
    const own = hours[i];
    if (own) return own;
    const like = all.size === 0 ? null : likeliest(all, ms);
    if (!like) return seasonHour(site, ms);
    const thenAtMs = at(like.e);
    const then = dayMean(all, thenAtMs) ?? zonalMeanC(site, thenAtMs);
    const spell = (then - zonalMeanC(site, thenAtMs)) * Math.exp(-like.days / SPELL_DAYS);
    return moved(like.e, zonalMeanC(site, ms) + spell - then, new Date(ms).toISOString());
  });
  return { hours: filled, worth: worth.map((w) => w ?? 'guessed') };
}

/** What an hour of each worth leaves in doubt at the leaf a night later, through ground and walls, K: starting values. */
const DOUBT_K: Record<Worth, number> = { measured: 0, corrected: 0.25, issued: 0.5, guessed: 1 };

/**
 * Doubt about the leaf that comes from not knowing the days before, K: the root of the mean square over their hours.
 * @example doubtK([]) // 0
 */
export function doubtK(worth: readonly Worth[]): number {
  if (worth.length === 0) return 0;
  return Math.sqrt(worth.reduce((s, w) => s + DOUBT_K[w] ** 2, 0) / worth.length);
}

/**
 * Share of these hours that are of a worth, 0 to 1.
 * @example shareOf(['measured', 'typed'], 'typed') // 0.5
 */
export function shareOf(worth: readonly Worth[], which: Worth): number {
  return worth.length === 0 ? 0 : worth.filter((w) => w === which).length / worth.length;
}
