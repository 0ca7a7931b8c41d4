/**
 * Hourly weather as CSV: columns and units recognised from the header (`csvColumns.ts`), times as written there
 * (`csvTimes.ts`). All of it is taken or none; each bad row is named by its line in the file with the reason. Rows up to three
 * hours apart are taken, the hours between them on the line between. Without dew point or humidity the dew point is taken from
 * the lowest of the hours around (FAO-56, equation 48, less 1 K), said, and to be doubted more.
 */
import Papa from 'papaparse';
import type { WeatherEntry } from '../heat/types';
import { dewPointC } from '../sky/air';
import { HOUR_MS } from '../time/farmTime';
import { hourBetween } from '../weather/between';
import { classify, type Column, type ForecastField } from './csvColumns';
import { dateOrder, timeReader } from './csvTimes';
import { isSaid, said, type Said } from '../words/said';

export interface BadRow {
  /** Line of the file, its first being 1. */
  row: number;
  reason: Said;
}

export interface CsvReading {
  entries: WeatherEntry[];
  badRows: BadRow[];
  /** What each column was taken for: "Temp (°F)" → "air temperature, °F". */
  columns: { header: string; meaning: Said }[];
  /** What was not in the table and was estimated, in words. */
  estimated: Said[];
}

const LONGEST_STEP_H = 3;
const MOST_COLUMNS = 60;
const LEAST_HOURS = 12;

interface Range {
  min: number;
  max: number;
}
const RANGES: Partial<Record<ForecastField, Range>> = {
  air: { min: -60, max: 60 },
  dew: { min: -80, max: 40 },
  humidity: { min: 1, max: 100 },
  wind: { min: 0, max: 75 },
  windFrom: { min: 0, max: 360 },
  cloud: { min: 0, max: 1 },
  global: { min: 0, max: 1500 },
  rain: { min: 0, max: 200 },
  snow: { min: 0, max: 500 },
};
const MAY_BE_EMPTY: ForecastField[] = ['windFrom', 'global', 'rain', 'snow', 'cloud'];

/**
 * A number as tables write it: a decimal point or comma, a real minus.
 * @example numberOf('1,5') // 1.5
 */
export function numberOf(text: string): number {
  const plain = text.replace('−', '-').trim();
  if (!/^[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/i.test(plain)) return NaN;
  return Number(plain.replace(',', '.'));
}

const COMPASS = 'N NNE NE ENE E ESE SE SSE S SSW SW WSW W WNW NW NNW'.split(' ');

/**
 * Degrees from north of a direction in degrees or in letters; NaN where it is neither. Example: "wsw": 247.5.
 * @example directionDeg('SW') // 225
 */
export function directionDeg(text: string): number {
  const at = COMPASS.indexOf(text.trim().toUpperCase());
  return at >= 0 ? at * 22.5 : numberOf(text);
}

type Cells = (f: ForecastField) => string | undefined;
type Values = Partial<Record<ForecastField, number>>;

/** The numbers of one row in SI; or the reason why it cannot be taken. */
function readValues(cell: Cells, columns: ReadonlyMap<ForecastField, Column>): Values | Said {
  const values: Values = {};
  for (const [field, range] of Object.entries(RANGES) as [ForecastField, Range][]) {
    const column = columns.get(field);
    if (!column) continue;
    const text = cell(field)!;
    if (text === '') {
      if (MAY_BE_EMPTY.includes(field)) continue;
      return said('row.empty', { field });
    }
    const raw = field === 'windFrom' ? directionDeg(text) : numberOf(text);
    if (!Number.isFinite(raw))
      return field === 'windFrom'
        ? said('row.notDirection', { field, text: text.slice(0, 40) })
        : said('row.notNumber', { field, text: text.slice(0, 40) });
    const si = column.toSi(raw);
    if (si < range.min || si > range.max) return said('row.outside', { field, text, unit: column.unit });
    values[field] = si;
  }
  return values;
}

/**
 * One hour from its numbers, as the CSV and the feed give them; or the reason why it cannot be.
 * @example entryFrom(START_MS, { air: -2, dew: -5, wind: 1, cloud: 0.2 }).dewPointC // -5
 */
export function entryFrom(ms: number, v: Values): WeatherEntry | Said {
  const airC = v.air!;
  const dew = v.dew ?? (v.humidity === undefined ? NaN : dewPointC(airC, v.humidity / 100));
  if (dew > airC + 0.5) return said('row.dewOverAir', { dewPointC: dew, airC });
  return {
    time: new Date(ms).toISOString(),
    airC,
    dewPointC: Math.min(airC, dew),
    windMs: v.wind!,
    ...(v.windFrom === undefined ? {} : { windFromDeg: v.windFrom % 360 }),
    cloudFraction: v.cloud ?? 0.5,
    ...(v.global === undefined ? {} : { globalWm2: v.global }),
    rainMm: v.rain ?? 0,
    snowMm: v.snow ?? 0,
  };
}

/**
 * Dew points where none came: a degree under the lowest of the twelve hours before and after.
 * @example withDewPoints([{ ...weather()[0], airC: 4, dewPointC: NaN }])[0].dewPointC // 3
 */
export function withDewPoints(entries: readonly WeatherEntry[]): WeatherEntry[] {
  return entries.map((e, i) => {
    if (!Number.isNaN(e.dewPointC)) return e;
    const around = entries.slice(Math.max(0, i - 12), i + 13).map((x) => x.airC);
    return { ...e, dewPointC: Math.min(e.airC - 0.1, Math.min(...around) - 1) };
  });
}

/**
 * Puts one row after those that are there; a sentence where it does not follow.
 * @example append([], { ...weather()[0], time: '2027-01-14T12:30:00Z' }) // { say: 'row.notFullHour' }
 */
export function append(entries: WeatherEntry[], next: WeatherEntry): Said | null {
  const last = entries.at(-1);
  const ms = Date.parse(next.time);
  if (!last) {
    if (ms % HOUR_MS !== 0) return said('row.notFullHour');
    entries.push(next);
    return null;
  }
  const lastAtMs = Date.parse(last.time);
  const gap = (ms - lastAtMs) / HOUR_MS;
  if (gap <= 0) return said('row.notAfter');
  if (gap > LONGEST_STEP_H || !Number.isInteger(gap)) {
    const hours = Number(gap.toFixed(1));
    return said('row.gap', { hours });
  }
  // what fell in the step is shared out over its hours
  const fell = { rainMm: (next.rainMm ?? 0) / gap, snowMm: (next.snowMm ?? 0) / gap };
  for (let h = 1; h < gap; h++)
    entries.push({ ...hourBetween(last, next, h / gap, lastAtMs + h * HOUR_MS), ...fell });
  entries.push(gap > 1 ? { ...next, ...fell } : next);
  return null;
}

/**
 * Reads a CSV text; nothing is thrown. Where `badRows` is not empty none of it may be used.
 * @example readForecastCsv(`time,air (°C),dew (°C),wind (m/s)\n${weather({ hours: 30 }).map((e) => `${e.time},-1,-4,1.5`).join('\n')}`, 'UTC').entries.length // 31
 */
export function readForecastCsv(text: string, timeZone: string): CsvReading {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''));
  // lines keep their numbers, whatever blank ones stand between
  const rows = parsed.data
    .map((cells, i) => ({ line: i + 1, cells }))
    .filter(({ cells }) => cells.some((c) => c.trim() !== ''));
  const header = rows[0]?.cells ?? [];
  const columns = new Map<ForecastField, Column>();
  const listed = () =>
    [...columns.values()].map((c) => ({
      header: header[c.index]!.trim().slice(0, 80),
      meaning: said('column.meaning', {
        field: c.field,
        unit: c.unit,
        order: c.field === 'date' || c.field === 'time' ? order : null,
      }),
    }));
  let order = null as ReturnType<typeof dateOrder>;
  const fail = (row: number, reason: Said): CsvReading => ({
    entries: [],
    badRows: [{ row, reason }],
    columns: listed(),
    estimated: [],
  });
  const headLine = rows[0]?.line ?? 1;
  if (rows.length < 2) return fail(headLine, said('row.none'));
  if (header.length > MOST_COLUMNS)
    return fail(headLine, said('row.manyColumns', { columns: header.length, most: MOST_COLUMNS }));
  for (const [i, h] of header.entries()) {
    const c = classify(h, i);
    if (isSaid(c)) return fail(headLine, c);
    if (c && !columns.has(c.field)) columns.set(c.field, c);
  }
  const column = (f: ForecastField) => rows.slice(1).map((r) => r.cells[columns.get(f)!.index] ?? '');
  // "time" alone may hold instants, and so may "date"
  const clock = columns.get('clock');
  if (clock && !columns.has('time') && !columns.has('date') && dateOrder(column('clock')) !== null) {
    columns.delete('clock');
    columns.set('time', { ...clock, field: 'time' });
  }
  const dated: ForecastField | null = columns.has('time') ? 'time' : columns.has('date') ? 'date' : null;
  if (!dated) return fail(headLine, said('row.noTimeOrDate'));
  order = dateOrder(column(dated));
  if (!columns.has('air')) return fail(headLine, said('row.noAir'));
  if (!columns.has('wind')) return fail(headLine, said('row.noWind'));
  const cloud = columns.get('cloud');
  // a share cannot be above 1: such a column without a unit is per cent
  if (cloud?.unit === '' && column('cloud').some((c) => numberOf(c) > 1))
    columns.set('cloud', { ...cloud, unit: '%', toSi: (x) => x / 100 });
  const read = timeReader(timeZone, order ?? 'year-month-day');
  const entries: WeatherEntry[] = [];
  const badRows: BadRow[] = [];
  let gapSaid = false;
  for (const { line, cells } of rows.slice(1)) {
    const cell: Cells = (f) => {
      const c = columns.get(f);
      return c ? (cells[c.index] ?? '').trim() : undefined;
    };
    const ms = read(cell(dated)!, cell('clock'));
    const values = ms === null ? null : readValues(cell, columns);
    const entry =
      ms === null || values === null
        ? said('row.notTime', {
            text: `${cell(dated)} ${cell('clock') ?? ''}`.trim().slice(0, 40),
          })
        : isSaid(values)
          ? values
          : entryFrom(ms, values);
    const problem = isSaid(entry) ? entry : append(entries, entry);
    if (problem === null) continue;
    const gap = !isSaid(entry);
    // after one gap all that follows is out of step: it is said once
    if (!gap || !gapSaid) badRows.push({ row: line, reason: problem });
    gapSaid ||= gap;
    if (gap) entries.push(entry as WeatherEntry);
  }
  if (badRows.length === 0 && entries.length < LEAST_HOURS)
    return fail(rows.at(-1)!.line, said('row.fewHours', { hours: entries.length, least: LEAST_HOURS }));
  const estimated = [
    ...(columns.has('dew') || columns.has('humidity') ? [] : [said('column.dewEstimated')]),
    ...(cloud ? [] : [said('column.cloudEstimated')]),
  ];
  return {
    entries: badRows.length > 0 ? entries : withDewPoints(entries),
    badRows,
    columns: listed(),
    estimated,
  };
}
