/**
 * When nobody is on the farm. Contract: `thereOn` takes a day's span and what hours the grower is away, and gives what is left of it: the
 * spans in which somebody can move something. Times are the farm's clock; a line holds on its weekdays, or on its one date.
 */
import { atLocal, localDate } from '../time/farmTime';

export interface Away {
  /** 0 Sunday to 6 Saturday; counts where `on` is null. */
  days: readonly number[];
  /** One day alone; null for every week. */
  on: string | null;
  /** "10:00" to "17:00". */
  from: string;
  to: string;
}

export interface Span {
  fromAtMs: number;
  toAtMs: number;
}

const clock = (date: string, time: string, timeZone: string): number =>
  atLocal(date, Number(time.slice(0, 2)), Number(time.slice(3, 5)), timeZone);

/**
 * Away spans of the local day of an instant.
 * @example awayOn(Date.parse('2027-01-15T12:00:00Z'), [], 'UTC') // []
 */
export function awayOn(ms: number, away: readonly Away[], timeZone: string): Span[] {
  const date = localDate(ms, timeZone);
  const weekday = new Date(`${date}T12:00:00Z`).getUTCDay();
  return away
    .filter((a) => (a.on === null ? a.days.includes(weekday) : a.on === date))
    .map((a) => ({ fromAtMs: clock(date, a.from, timeZone), toAtMs: clock(date, a.to, timeZone) }))
    .filter((s) => s.toAtMs > s.fromAtMs)
    .sort((a, b) => a.fromAtMs - b.fromAtMs);
}

/**
 * What of a span is left outside others. Example: 6 to 18 without 10 to 17 is 6 to 10 and 17 to 18.
 * @example without({ fromAtMs: 0, toAtMs: 10 }, [{ fromAtMs: 2, toAtMs: 4 }]) // [{ fromAtMs: 0, toAtMs: 2 }, { fromAtMs: 4, toAtMs: 10 }]
 */
export function without(span: Span, others: readonly Span[]): Span[] {
  let left = [span];
  for (const o of others)
    left = left.flatMap((s) => {
      if (o.toAtMs <= s.fromAtMs || o.fromAtMs >= s.toAtMs) return [s];
      return [
        ...(o.fromAtMs > s.fromAtMs ? [{ fromAtMs: s.fromAtMs, toAtMs: o.fromAtMs }] : []),
        ...(o.toAtMs < s.toAtMs ? [{ fromAtMs: o.toAtMs, toAtMs: s.toAtMs }] : []),
      ];
    });
  return left;
}

/** @example thereOn({ fromAtMs: 0, toAtMs: 10 }, [], 'UTC') // [{ fromAtMs: 0, toAtMs: 10 }] */
export const thereOn = (span: Span, away: readonly Away[], timeZone: string): Span[] =>
  without(span, awayOn((span.fromAtMs + span.toAtMs) / 2, away, timeZone));
