/**
 * The coming hours, moved by what the last ones were. Contract: `partedBy` says how far the air that was measured in the last three hours is
 * off what an issue said of them; `fading` what is left of that some hours on; `movedCentre` moves an issue's hours by it.
 *
 * A forecast's error lasts: what it is off now it is mostly off in an hour, and hardly in a day. A third of it is left after six
 * hours (starting value, of the order that verifications of hourly temperature find).
 */
import type { WeatherEntry } from '../heat/types';
import type { Issue } from './record';

const HOUR_MS = 3_600_000;
const LAST_H = 3;
/** Fewer measured hours than this say nothing yet. */
const LEAST = 2;
const FADES_H = 6;
/** More than this is a thermometer in the sun or a wrong unit, K. */
const MOST_K = 6;
/** Less is not worth a word or a new plan, K. */
export const WORTH_MOVING_K = 0.3;

export interface Parted {
  /** Measured less said, K: below zero it is colder than was said. */
  offK: number;
  /** Hours that were measured. */
  hours: number;
}

/**
 * Null where too little is measured, the issue said nothing of these hours or knew them, or they hardly differ.
 * @example partedBy({ issuedAtMs: START_MS, entries: weather() }, [], START_MS) // null
 */
export function partedBy(issue: Issue, observed: readonly WeatherEntry[], nowAtMs: number): Parted | null {
  const said = new Map(issue.entries.map((e) => [Date.parse(e.time), e.airC]));
  const off = observed.flatMap((e) => {
    const ms = Date.parse(e.time);
    const airC = said.get(ms);
    const counts = ms > nowAtMs - LAST_H * HOUR_MS && ms <= nowAtMs && ms >= issue.issuedAtMs;
    return counts && airC !== undefined ? [{ k: e.airC - airC, weight: ms > nowAtMs - HOUR_MS ? 2 : 1 }] : [];
  });
  if (off.length < LEAST) return null;
  const weight = off.reduce((s, o) => s + o.weight, 0);
  const offK = off.reduce((s, o) => s + o.k * o.weight, 0) / weight;
  if (Math.abs(offK) < WORTH_MOVING_K || Math.abs(offK) > MOST_K) return null;
  return { offK, hours: off.length };
}

/**
 * Share of it that is left at an instant, 1 up to `nowAtMs`. Example: six hours on, 0.37.
 * @example fading(0, 0) // 1
 */
export const fading = (ms: number, nowAtMs: number): number =>
  Math.exp(-Math.max(0, ms - nowAtMs) / (FADES_H * HOUR_MS));

/**
 * The centre moved by how far the last hours are off, which fades; no hour before the moment.
 * @example movedCentre(weather(), { offK: -2, hours: 3 }, START_MS)[0].airC - weather()[0].airC // -2
 */
export function movedCentre(
  centre: readonly WeatherEntry[],
  parted: Parted,
  nowAtMs: number,
): WeatherEntry[] {
  return centre.map((e) => {
    const ms = Date.parse(e.time);
    if (ms < nowAtMs - HOUR_MS) return e;
    const k = parted.offK * fading(ms, nowAtMs);
    const airC = e.airC + k;
    return { ...e, airC, dewPointC: Math.min(airC - 0.1, e.dewPointC + 0.7 * k) };
  });
}
