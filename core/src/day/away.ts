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
  fromMs: number;
  toMs: number;
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
    .map((a) => ({ fromMs: clock(date, a.from, timeZone), toMs: clock(date, a.to, timeZone) }))
    .filter((s) => s.toMs > s.fromMs)
    .sort((a, b) => a.fromMs - b.fromMs);
}

/**
 * What of a span is left outside others. Example: 6 to 18 without 10 to 17 is 6 to 10 and 17 to 18.
 * @example without({ fromMs: 0, toMs: 10 }, [{ fromMs: 2, toMs: 4 }]) // [{ fromMs: 0, toMs: 2 }, { fromMs: 4, toMs: 10 }]
 */
export function without(span: Span, others: readonly Span[]): Span[] {
  let left = [span];
  for (const o of others)
    left = left.flatMap((s) => {
      if (o.toMs <= s.fromMs || o.fromMs >= s.toMs) return [s];
      return [
        ...(o.fromMs > s.fromMs ? [{ fromMs: s.fromMs, toMs: o.fromMs }] : []),
        ...(o.toMs < s.toMs ? [{ fromMs: o.toMs, toMs: s.toMs }] : []),
      ];
    });
  return left;
}

/** @example thereOn({ fromMs: 0, toMs: 10 }, [], 'UTC') // [{ fromMs: 0, toMs: 10 }] */
export const thereOn = (span: Span, away: readonly Away[], timeZone: string): Span[] =>
  without(span, awayOn((span.fromMs + span.toMs) / 2, away, timeZone));
