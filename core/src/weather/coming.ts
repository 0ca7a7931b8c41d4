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
  | {
      why: 'past' | 'short' | 'late';
      name: string;
      source: Issue['source'];
      fromAtMs: number;
      toAtMs: number;
    };

/** An issue may begin so long after now: its first hour is a round one. */
const LATE_H = 1;

const at = (e: WeatherEntry) => Date.parse(e.time);

function lackOf(issue: Issue, nowAtMs: number, needAtMs: number): Lack | null {
  const fromAtMs = at(issue.entries[0]!);
  const toAtMs = at(issue.entries.at(-1)!);
  const of = { name: issue.name, source: issue.source, fromAtMs, toAtMs };
  if (toAtMs < nowAtMs) return { why: 'past', ...of };
  if (toAtMs < needAtMs) return { why: 'short', ...of };
  if (fromAtMs > nowAtMs + LATE_H * HOUR_MS) return { why: 'late', ...of };
  return null;
}

/**
 * The issue to go by, the newest first; `needAtMs` is how far the night has to be known. Where none will do, what is lacking of
 * the newest.
 * @example issueFor([], 0, 0) // { why: 'none' }
 */
export function issueFor(issues: readonly Issue[], nowAtMs: number, needAtMs: number): Issue | Lack {
  const held = issues.filter((i) => i.entries.length > 0);
  const fit = held.find((i) => lackOf(i, nowAtMs, needAtMs) === null);
  if (fit) return fit;
  return held.length === 0 ? { why: 'none' } : lackOf(held[0]!, nowAtMs, needAtMs)!;
}

/**
 * Its hours from `fromAtMs` to `toAtMs`. Before its first hour that hour stands; after its last, the same hour of the day
 * before, or the last: hours beyond the night that only what is tried by day looks at.
 * @example hoursOf({ entries: weather() }, START_MS - 3_600_000, START_MS + 3_600_000).map((e) => e.airC === weather()[0].airC) // [true, true, false]
 */
export function hoursOf(issue: Issue, fromAtMs: number, toAtMs: number): WeatherEntry[] {
  const held = new Map(issue.entries.map((e) => [at(e), e]));
  const first = issue.entries[0]!;
  const last = issue.entries.at(-1)!;
  const hours: WeatherEntry[] = [];
  for (let ms = Math.floor(fromAtMs / HOUR_MS) * HOUR_MS; ms <= toAtMs; ms += HOUR_MS) {
    const e = held.get(ms) ?? (ms < at(first) ? first : (held.get(ms - 24 * HOUR_MS) ?? last));
    const time = new Date(ms).toISOString();
    hours.push(e.time === time ? e : { ...e, time });
  }
  return hours;
}
