/**
 * A station's record from a file, whichever of three kinds it is: days (low and high), hours (air temperature), or an EPW of a typical
 * year. Contract: `readStationFile` gives days, or the rows that are wrong by their line, all or nothing; `useOf` says what days are
 * good for: a record of at least three years, twelve months where every month is there, or nothing, with the reason.
 *
 * EPW: eight lines of header, the first beginning with LOCATION, then year, month, day, hour 1 to 24, minute, flags, dry bulb °C
 * (99.9 where it is missing).
 */
import Papa from 'papaparse';
import { dateOrder, timeReader } from '../formats/csvTimes';
import { numberOf, type BadRow } from '../formats/forecastCsv';
import { localDate } from '../time/farmTime';
import { dayOfYear, MONTH_STARTS, YEAR_DAYS, type Monthly } from './climate';
import { MISSING, readDailyCsv } from './dailyCsv';
import { LEAST_DAYS, type Day } from './record';
import { said, type Said } from '../words/said';

export type StationKind = 'days' | 'hours' | 'epw';
export interface StationRead {
  kind: StationKind;
  days: Day[];
  /** Days or rows that lack something and were left out. */
  gaps: number;
  badRows: BadRow[];
}

/** A day of fewer readings than this does not show its low and high. */
const LEAST_A_DAY = 8;

class DayTally {
  private readonly held = new Map<string, { low: number; high: number; n: number }>();
  add(date: string, c: number): void {
    const d = this.held.get(date) ?? { low: Infinity, high: -Infinity, n: 0 };
    this.held.set(date, { low: Math.min(d.low, c), high: Math.max(d.high, c), n: d.n + 1 });
  }
  days(): { days: Day[]; gaps: number } {
    const all = [...this.held].filter(([date]) => !date.endsWith('-02-29'));
    const whole = all.filter(([, d]) => d.n >= LEAST_A_DAY);
    return {
      days: whole
        .map(([date, d]) => ({ date, lowC: d.low, highC: d.high }))
        .sort((a, b) => a.date.localeCompare(b.date)),
      gaps: all.length - whole.length,
    };
  }
}

const bad = (kind: StationKind, row: number, reason: Said): StationRead => ({
  kind,
  days: [],
  gaps: 0,
  badRows: [{ row, reason }],
});

const EPW_HEADER = 8;

function readEpw(text: string): StationRead {
  const lines = text.split(/\r?\n/);
  const tally = new DayTally();
  for (let i = EPW_HEADER; i < lines.length; i++) {
    if (lines[i]!.trim() === '') continue;
    const cells = lines[i]!.split(',');
    const [month, day, c] = [Number(cells[1]), Number(cells[2]), Number(cells[6])];
    const two = (n: number) => String(n).padStart(2, '0');
    if (!(month >= 1 && month <= 12 && day >= 1 && day <= 31)) return bad('epw', i + 1, said('row.epwDate'));
    if (c === 99.9) continue;
    if (cells.length < 7 || !Number.isFinite(c) || c < -70 || c > 60)
      return bad('epw', i + 1, said('row.epwAir', { text: (cells[6] ?? '').slice(0, 40) }));
    // its months are from different years: they stand for one
    tally.add(`2001-${two(month)}-${two(day)}`, c);
  }
  return { kind: 'epw', ...tally.days(), badRows: [] };
}

const AIR = /air|temp|dry.?bulb|^t$|^t[\s_([]/i;
const NOT_AIR = /dew|soil|ground|wet|feel|min|max|low|high/i;

function readHours(text: string, timeZone: string): StationRead {
  const rows = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''))
    .data.map((cells, i) => ({ line: i + 1, cells: cells.map((c) => c.trim()) }))
    .filter(({ cells }) => cells.some((c) => c !== ''));
  const header = rows[0]?.cells ?? [];
  const at = rows[0]?.line ?? 1;
  const dated = header.findIndex((h) => /^(date|time|day|timestamp|valid)/i.test(h));
  const clock = header.findIndex((h, i) => i !== dated && /^(hour|clock|time)/i.test(h));
  const air = header.findIndex((h) => AIR.test(h) && !NOT_AIR.test(h));
  if (dated < 0) return bad('hours', at, said('row.noDateOrTime'));
  if (air < 0) return bad('hours', at, said('row.noDayNorAir'));
  const fahrenheit = /[([\s_]°?\s*f(ahrenheit)?\b/i.test(header[air]!);
  const order = dateOrder(rows.slice(1).map((r) => r.cells[dated] ?? ''));
  if (order === null) return bad('hours', rows[1]?.line ?? at, said('row.dateForm'));
  const read = timeReader(timeZone, order);
  const tally = new DayTally();
  const badRows: BadRow[] = [];
  let missing = 0;
  for (const { line, cells } of rows.slice(1)) {
    const ms = read(cells[dated] ?? '', clock < 0 ? undefined : cells[clock]);
    if (ms === null) {
      badRows.push({
        row: line,
        reason: said('row.notInstant', { text: (cells[dated] ?? '').slice(0, 40) }),
      });
      continue;
    }
    const cell = cells[air] ?? '';
    if (MISSING.test(cell)) {
      missing += 1;
      continue;
    }
    const raw = numberOf(cell);
    const c = fahrenheit ? ((raw - 32) * 5) / 9 : raw;
    if (!Number.isFinite(c) || c < -70 || c > 60)
      badRows.push({ row: line, reason: said('row.notAir', { text: cell.slice(0, 40) }) });
    else tally.add(localDate(ms, timeZone), c);
  }
  if (badRows.length > 0) return { kind: 'hours', days: [], gaps: missing, badRows };
  const { days, gaps } = tally.days();
  return { kind: 'hours', days, gaps: gaps + missing, badRows };
}

/**
 * A station's days, hours or EPW as days with low and high.
 * @example readStationFile('date,low,high\n2026-01-01,-3,6', 'UTC').days // [{ date: '2026-01-01', lowC: -3, highC: 6 }]
 */
export function readStationFile(text: string, timeZone: string): StationRead {
  if (/^\uFEFF?\s*LOCATION,/i.test(text)) return readEpw(text);
  const first =
    text
      .slice(0, 20_000)
      .split(/\r?\n/)
      .find((l) => l.trim() !== '') ?? '';
  const daily =
    /\b(t?_?min|low|lowest|tn|minimum)/i.test(first) && /\b(t?_?max|high|highest|tx|maximum)/i.test(first);
  return daily ? { kind: 'days', ...readDailyCsv(text) } : readHours(text, timeZone);
}

export type StationUse =
  | { use: 'record'; years: number }
  | { use: 'months'; months: Monthly[] }
  | { use: 'nothing'; why: Said };

/** Fewer days of a month do not give its means. */
const LEAST_A_MONTH = 20;

/**
 * What a record of days is good for.
 * @example useOf([]) // { use: 'nothing', why: { say: 'row.fewDays', values: { month: 1, days: 0, least: 20 } } }
 */
export function useOf(days: readonly Day[]): StationUse {
  const byMonth = Array.from({ length: 12 }, () => ({ low: 0, high: 0, n: 0 }));
  for (const d of days) {
    const month = MONTH_STARTS.findLastIndex((from) => dayOfYear(d.date) >= from);
    const m = byMonth[month]!;
    m.low += d.lowC;
    m.high += d.highC;
    m.n += 1;
  }
  const short = byMonth.findIndex((m) => m.n < LEAST_A_MONTH);
  if (short >= 0)
    return {
      use: 'nothing',
      why: said('row.fewDays', { month: short + 1, days: byMonth[short]!.n, least: LEAST_A_MONTH }),
    };
  if (days.length >= LEAST_DAYS)
    return { use: 'record', years: Math.max(3, Math.round(days.length / YEAR_DAYS)) };
  return { use: 'months', months: byMonth.map((m) => ({ lowC: m.low / m.n, highC: m.high / m.n })) };
}
