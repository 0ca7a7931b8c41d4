/**
 * Times as tables write them. Contract: `dateOrder` decides by a whole column how its dates are written; `timeReader` gives a
 * function that reads a row's time, one after the other, so that the hour that a clock shows twice in autumn is read as two.
 */
import { atLocal, HOUR_MS, localHour } from '../time/farmTime';

export type DateOrder = 'year-month-day' | 'day/month/year' | 'month/day/year';

const SLASHED = /^(\d{1,2})[/.](\d{1,2})[/.](\d{4}|\d{2})\b/;

/**
 * How the dates of a column are written, null where they are none that is known. Ambiguous ones run as the days do.
 * @example dateOrder(['31/12/2026']) // 'day/month/year'
 */
export function dateOrder(cells: readonly string[]): DateOrder | null {
  const first = cells.find((c) => c.trim() !== '')?.trim() ?? '';
  if (/^\d{4}-\d{2}-\d{2}/.test(first)) return 'year-month-day';
  if (!SLASHED.test(first)) return null;
  const parts = cells.flatMap((c) => {
    const m = SLASHED.exec(c.trim());
    return m ? [[Number(m[1]), Number(m[2])] as const] : [];
  });
  if (parts.some(([a]) => a > 12)) return 'day/month/year';
  if (parts.some(([, b]) => b > 12)) return 'month/day/year';
  // both could be: the part that changes from row to row is the day
  const kinds = (i: 0 | 1) => new Set(parts.map((p) => p[i])).size;
  return kinds(1) > kinds(0) ? 'month/day/year' : 'day/month/year';
}

interface Parts {
  date: string;
  hour: number;
  minute: number;
  zone: string | null;
}

const CLOCK = /^(\d{1,2})(?::?(\d{2}))?(?::\d{2}(?:\.\d+)?)?\s*(am|pm)?\s*(Z|[+-]\d{2}:?\d{2})?$/i;

function readDate(text: string, order: DateOrder): { date: string; rest: string } | null {
  const two = (x: string) => x.padStart(2, '0');
  if (order === 'year-month-day') {
    const m = /^(\d{4})-(\d{2})-(\d{2})(.*)$/.exec(text);
    return m && Number(m[2]) <= 12 && Number(m[3]) <= 31
      ? { date: `${m[1]}-${m[2]}-${m[3]}`, rest: m[4]!.replace(/^[T\s]+/, '') }
      : null;
  }
  const m = SLASHED.exec(text);
  if (!m) return null;
  const [day, month] = order === 'day/month/year' ? [m[1]!, m[2]!] : [m[2]!, m[1]!];
  const year = m[3]!.length === 2 ? `20${m[3]}` : m[3]!;
  if (Number(month) > 12 || Number(day) > 31 || Number(month) < 1 || Number(day) < 1) return null;
  return { date: `${year}-${two(month)}-${two(day)}`, rest: text.slice(m[0].length).replace(/^[T,\s]+/, '') };
}

function partsOf(text: string, clock: string | undefined, order: DateOrder): Parts | null {
  const read = readDate(text.trim(), order);
  if (!read) return null;
  const m = CLOCK.exec((read.rest || clock || '').trim());
  if (!m) return null;
  const half = m[3]?.toLowerCase();
  const hour = Number(m[1]);
  const minute = Number(m[2] ?? 0);
  if (half ? hour < 1 || hour > 12 : hour > 24) return null;
  if (minute > 59 || (hour === 24 && minute > 0)) return null;
  const whole = half ? (hour % 12) + (half === 'pm' ? 12 : 0) : hour;
  return { date: read.date, hour: whole, minute, zone: m[4] ?? null };
}

/** Reads rows in their order; null for what is no time. Without an offset a time is the farm's own. */
export function timeReader(
  timeZone: string,
  order: DateOrder,
): (text: string, clock: string | undefined) => number | null {
  let last = -Infinity;
  return (text, clock) => {
    const p = partsOf(text, clock, order);
    if (!p) return null;
    if (p.zone) {
      const zone = /^z$/i.test(p.zone) ? 'Z' : p.zone.replace(/^([+-]\d{2}):?(\d{2})$/, '$1:$2');
      const two = (n: number) => String(n).padStart(2, '0');
      const ms = Date.parse(`${p.date}T${two(p.hour)}:${two(p.minute)}:00${zone}`);
      return Number.isNaN(ms) ? null : ms;
    }
    const ms = atLocal(p.date, p.hour, p.minute, timeZone);
    if (Number.isNaN(ms)) return null;
    // the night that the clock goes back it shows an hour twice: the first that follows the row before
    const shown = [ms - HOUR_MS, ms, ms + HOUR_MS].filter(
      (x) => localHour(x, timeZone) === localHour(ms, timeZone),
    );
    last = shown.find((x) => x > last) ?? ms;
    return last;
  };
}
