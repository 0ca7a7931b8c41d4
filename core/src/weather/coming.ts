/**
 * The hours to come, from one issue. Contract: `comingHours` gives the newest issue that reaches through the night, with its
 * hours, or what is lacking: none, one that has run out, one that ends before the night does, one that begins too late. Two
 * issues are never put together, and nothing is invented to fill a night.
 */
import type { WeatherEntry } from '../heat/types';
import type { Issue } from './record';

const HOUR_MS = 3_600_000;

export type Lack =
  | { why: 'none' }
  | { why: 'past' | 'short' | 'late'; name: string; source: Issue['source']; fromMs: number; toMs: number };

/** An issue may begin so long after now: its first hour is a round one. */
const LATE_H = 1;

const at = (e: WeatherEntry) => Date.parse(e.time);

function lackOf(issue: Issue, nowMs: number, needMs: number): Lack | null {
  const fromMs = at(issue.entries[0]!);
  const toMs = at(issue.entries.at(-1)!);
  const of = { name: issue.name, source: issue.source, fromMs, toMs };
  if (toMs < nowMs) return { why: 'past', ...of };
  if (toMs < needMs) return { why: 'short', ...of };
  if (fromMs > nowMs + LATE_H * HOUR_MS) return { why: 'late', ...of };
  return null;
}

/**
 * The issue to go by, the newest first; `needMs` is how far the night has to be known. Where none will do, what is lacking of
 * the newest.
 * @example issueFor([], 0, 0) // { why: 'none' }
 */
export function issueFor(issues: readonly Issue[], nowMs: number, needMs: number): Issue | Lack {
  const held = issues.filter((i) => i.entries.length > 0);
  const fit = held.find((i) => lackOf(i, nowMs, needMs) === null);
  if (fit) return fit;
  return held.length === 0 ? { why: 'none' } : lackOf(held[0]!, nowMs, needMs)!;
}

/**
 * Its hours from `fromMs` to `toMs`. Before its first hour that hour stands; after its last, the same hour of the day
 * before, or the last: hours beyond the night that only what is tried by day looks at.
 * @example hoursOf({ entries: weather() }, START_MS - 3_600_000, START_MS + 3_600_000).map((e) => e.airC === weather()[0].airC) // [true, true, false]
 */
export function hoursOf(issue: Issue, fromMs: number, toMs: number): WeatherEntry[] {
  const held = new Map(issue.entries.map((e) => [at(e), e]));
  const first = issue.entries[0]!;
  const last = issue.entries.at(-1)!;
  const hours: WeatherEntry[] = [];
  for (let ms = Math.floor(fromMs / HOUR_MS) * HOUR_MS; ms <= toMs; ms += HOUR_MS) {
    const e = held.get(ms) ?? (ms < at(first) ? first : (held.get(ms - 24 * HOUR_MS) ?? last));
    const time = new Date(ms).toISOString();
    hours.push(e.time === time ? e : { ...e, time });
  }
  return hours;
}
