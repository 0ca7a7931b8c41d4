/**
 * A record of days as CSV. Contract: `readDailyCsv` takes a column for the date and one each for low and high, by their headers, with or
 * without units (°C, °F; another is refused), and gives every day or the rows that are wrong with their line; a day without
 * one of the two is left out and counted. All or nothing.
 */
import Papa from 'papaparse';
import { dateOrder } from '../formats/csvTimes';
import { numberOf, type BadRow } from '../formats/forecastCsv';
import type { Day } from './record';
import { said, type Said } from '../words/said';

export interface DailyRead {
  days: Day[];
  /** Rows in which low or high is missing. */
  gaps: number;
  badRows: BadRow[];
}

const LOW = /(^|[\s_(-])(low|min|minimum|tmin|tn)([\s_)-]|$)|^t_?min|lowest/i;
const HIGH = /(^|[\s_(-])(high|max|maximum|tmax|tx)([\s_)-]|$)|^t_?max|highest/i;
const CELSIUS = (x: number) => x;
const FAHRENHEIT = (x: number) => ((x - 32) * 5) / 9;

/** The way to °C, or the unit as it is written where it is none of temperature. */
function toC(header: string): ((x: number) => number) | string {
  const unit = (
    /[([]\s*([^)\]]*)[)\]]/.exec(header)?.[1] ??
    /[\s_-]([cfk])$/i.exec(header)?.[1] ??
    ''
  ).replace(/[°\s]|deg(rees)?/gi, '');
  if (unit === '' || /^c(elsius)?$/i.test(unit)) return CELSIUS;
  return /^f(ahrenheit)?$/i.test(unit) ? FAHRENHEIT : unit;
}

/** How tables write that there is no value. */
export const MISSING = /^(|-|na|n\/a|null|nan|-?99(99)?(\.9)?)$/i;

/** @example readDailyCsv('date,low,high\n2026-01-01,-2,5').days.length // 1 */
export function readDailyCsv(text: string): DailyRead {
  const lines = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''))
    .data.map((cells, i) => ({ line: i + 1, cells: cells.map((c) => c.trim()) }))
    .filter(({ cells }) => cells.some((c) => c !== ''));
  const fail = (row: number, reason: Said): DailyRead => ({
    days: [],
    gaps: 0,
    badRows: [{ row, reason }],
  });
  const header = lines[0]?.cells ?? [];
  const at = lines[0]?.line ?? 1;
  if (lines.length < 2) return fail(at, said('row.none'));
  if (header.length > 60) return fail(at, said('row.manyColumns', { columns: header.length, most: 60 }));
  const find = (test: RegExp) => header.findIndex((h) => test.test(h.slice(0, 80)));
  const dated = find(/^(date|day|time)/i);
  const [low, high] = [find(LOW), find(HIGH)];
  if (dated < 0) return fail(at, said('row.noDate'));
  if (low < 0) return fail(at, said('row.noLow'));
  if (high < 0) return fail(at, said('row.noHigh'));
  const [lowC, highC] = [toC(header[low]!), toC(header[high]!)];
  for (const [unit, name] of [
    [lowC, header[low]],
    [highC, header[high]],
  ] as const)
    if (typeof unit === 'string') return fail(at, said('row.unitOfDay', { unit, header: name! }));
  const order = dateOrder(lines.slice(1).map((l) => l.cells[dated] ?? ''));
  if (order === null)
    return fail(lines[1]!.line, said('row.notDate', { text: (lines[1]!.cells[dated] ?? '').slice(0, 40) }));
  const days: Day[] = [];
  const badRows: BadRow[] = [];
  const seen = new Set<string>();
  let gaps = 0;
  for (const { line, cells } of lines.slice(1)) {
    const date = dateIn(cells[dated] ?? '', order);
    const raw = [cells[low] ?? '', cells[high] ?? ''] as const;
    if (date === null)
      badRows.push({
        row: line,
        reason: said('row.notDate', { text: (cells[dated] ?? '').slice(0, 40) }),
      });
    else if (raw.some((c) => MISSING.test(c))) gaps += 1;
    else {
      const [l, h] = [
        (lowC as typeof CELSIUS)(numberOf(raw[0])),
        (highC as typeof CELSIUS)(numberOf(raw[1])),
      ];
      if (!Number.isFinite(l) || !Number.isFinite(h))
        badRows.push({
          row: line,
          reason: said('row.notTemperature', { text: (Number.isFinite(l) ? raw[1] : raw[0]).slice(0, 40) }),
        });
      else if (l < -70 || h > 60)
        badRows.push({ row: line, reason: said('row.dayOutside', { low: raw[0], high: raw[1] }) });
      else if (h < l)
        badRows.push({ row: line, reason: said('row.highUnderLow', { high: raw[1], low: raw[0] }) });
      else if (seen.has(date)) badRows.push({ row: line, reason: said('row.dateTwice', { date }) });
      else {
        seen.add(date);
        if (!date.endsWith('-02-29')) days.push({ date, lowC: l, highC: h });
      }
    }
  }
  return badRows.length > 0 ? { days: [], gaps, badRows } : { days, gaps, badRows };
}

/** A date of a table, by the order of its column; null for what is none. */
function dateIn(text: string, order: NonNullable<ReturnType<typeof dateOrder>>): string | null {
  const parts = (
    /^(\d{4})-(\d{2})-(\d{2})/.exec(text) ?? /^(\d{1,2})[/.](\d{1,2})[/.](\d{4})/.exec(text)
  )?.slice(1);
  if (!parts) return null;
  const [y, m, d] =
    order === 'year-month-day'
      ? parts
      : order === 'day/month/year'
        ? [parts[2], parts[1], parts[0]]
        : [parts[2], parts[0], parts[1]];
  const date = `${y}-${m!.padStart(2, '0')}-${d!.padStart(2, '0')}`;
  const ms = Date.parse(`${date}T00:00:00Z`);
  return Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== date ? null : date;
}
