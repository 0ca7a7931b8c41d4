/**
 * A forecast or a weather record as CSV: hourly rows, columns and units recognised from the header. All of it is taken
 * or none; each bad row is named by its number in the file with the reason.
 *
 * Columns (any order, any case; the unit stands in the header, °C, m/s and % where none does):
 *   time | date + hour           ISO 8601; without an offset it is the farm's time
 *   air, temp, temperature       °C or °F
 *   dew point | humidity (RH)    one of the two; °C or °F; %
 *   wind                         m/s, km/h, mph or kn, at 10 m
 *   cloud                        % or a share 0 to 1; left out it is taken as half
 *   radiation, global, solar     W/m², optional
 *   rain, snow                   mm (snow also cm), optional
 */
import Papa from 'papaparse';
import type { WeatherEntry } from '../heat/types';
import { dewPointC } from '../sky/air';
import { atLocal, HOUR_MS } from '../time/farmTime';

export interface BadRow {
  /** Line of the file, the header being 1. */
  row: number;
  reason: string;
}

export interface CsvReading {
  entries: WeatherEntry[];
  badRows: BadRow[];
  /** What each column was taken for: "Temp (°F)" → "air temperature, °F". */
  columns: { header: string; meaning: string }[];
}

type Field =
  'time' | 'date' | 'hour' | 'air' | 'dew' | 'humidity' | 'wind' | 'cloud' | 'global' | 'rain' | 'snow';

interface Column {
  field: Field;
  index: number;
  unit: string;
  toSi: (x: number) => number;
}

const same = (x: number) => x;
const fahrenheit = (x: number) => ((x - 32) * 5) / 9;

/** A unit at the end of a header: "(°F)", "[km/h]", ", mph", "_f", "airF". */
function headerUnit(header: string): string {
  const bracket = /[([]([^)\]]+)[)\]]/.exec(header);
  if (bracket) return bracket[1]!.trim();
  const tail =
    /(?:[\s_,-]|(?<=[a-z]))(°?[FC]|km\/?h|kmh|kph|m\/?s|ms|mph|kn|kt|knots|%|mm|cm|W\/?m[²2])$/.exec(
      header.trim(),
    );
  return tail ? tail[1]! : (/[\s_,-](f|c)$/.exec(header.trim())?.[1]?.toUpperCase() ?? '');
}

function classify(header: string, index: number): Column | null {
  const unit = headerUnit(header);
  const name = header.toLowerCase();
  const isF = /^°?f/i.test(unit) || /fahrenheit/i.test(name);
  const temperature = { unit: isF ? '°F' : '°C', toSi: isF ? fahrenheit : same };
  if (/dew/.test(name)) return { field: 'dew', index, ...temperature };
  if (/humid|^rh\b|^rh[\s_(%]/.test(name)) return { field: 'humidity', index, unit: '%', toSi: same };
  if (/wind|gust/.test(name)) {
    if (/gust|dir/.test(name)) return null;
    if (/k(m\/?h|mh|ph)/i.test(unit) || /km\/?h|kmh|kph/.test(name))
      return { field: 'wind', index, unit: 'km/h', toSi: (x) => x / 3.6 };
    if (/mph/i.test(unit) || /mph/.test(name))
      return { field: 'wind', index, unit: 'mph', toSi: (x) => x * 0.44704 };
    if (/^k(n|t|nots)/i.test(unit)) return { field: 'wind', index, unit: 'kn', toSi: (x) => x * 0.514444 };
    return { field: 'wind', index, unit: 'm/s', toSi: same };
  }
  if (/cloud|nebul/.test(name)) return { field: 'cloud', index, unit: /%/.test(unit) ? '%' : '', toSi: same };
  if (/global|radiation|solar|ghi/.test(name)) return { field: 'global', index, unit: 'W/m²', toSi: same };
  if (/snow/.test(name)) {
    const cm = /cm/i.test(unit);
    return { field: 'snow', index, unit: cm ? 'cm' : 'mm', toSi: cm ? (x) => x * 10 : same };
  }
  if (/rain|precip/.test(name)) return { field: 'rain', index, unit: 'mm', toSi: same };
  if (/^(date)?[\s_-]*time|timestamp|datetime|valid/.test(name))
    return { field: 'time', index, unit: '', toSi: same };
  if (/^date/.test(name)) return { field: 'date', index, unit: '', toSi: same };
  if (/^hour/.test(name)) return { field: 'hour', index, unit: '', toSi: same };
  if (/temp|^air|^t2m|^t\b/.test(name)) return { field: 'air', index, ...temperature };
  return null;
}

const MEANING: Record<Field, string> = {
  time: 'time',
  date: 'date',
  hour: 'hour',
  air: 'air temperature',
  dew: 'dew point',
  humidity: 'relative humidity',
  wind: 'wind at 10 m',
  cloud: 'cloud',
  global: 'sun on the level',
  rain: 'rain',
  snow: 'new snow',
};

function parseTime(text: string, hourText: string | undefined, timeZone: string): number | null {
  const raw = text.trim().replace(' ', 'T');
  const m =
    /^(\d{4})-(\d{2})-(\d{2})(?:T(\d{1,2})(?::?(\d{2}))?(?::\d{2}(?:\.\d+)?)?)?(Z|[+-]\d{2}:?\d{2})?$/.exec(
      raw,
    );
  if (!m) return null;
  const hour = m[4] ?? hourText?.trim().replace(/:\d{2}$/, '') ?? '';
  if (!/^\d{1,2}$/.test(hour) || Number(hour) > 23 || Number(m[2]) > 12 || Number(m[3]) > 31) return null;
  if (m[6]) {
    const zone = m[6] === 'Z' ? 'Z' : m[6].replace(/^([+-]\d{2}):?(\d{2})$/, '$1:$2');
    return Date.parse(`${m[1]}-${m[2]}-${m[3]}T${hour.padStart(2, '0')}:${m[5] ?? '00'}:00${zone}`);
  }
  return atLocal(`${m[1]}-${m[2]}-${m[3]}`, Number(hour), Number(m[5] ?? 0), timeZone);
}

interface Range {
  min: number;
  max: number;
  what: string;
}
const RANGES: Partial<Record<Field, Range>> = {
  air: { min: -60, max: 60, what: '−60 to 60 °C' },
  dew: { min: -80, max: 40, what: '−80 to 40 °C' },
  humidity: { min: 1, max: 100, what: '1 to 100 %' },
  wind: { min: 0, max: 75, what: '0 to 75 m/s' },
  cloud: { min: 0, max: 100, what: '0 to 100 %' },
  global: { min: 0, max: 1500, what: '0 to 1500 W/m²' },
  rain: { min: 0, max: 200, what: '0 to 200 mm' },
  snow: { min: 0, max: 500, what: '0 to 500 mm' },
};

/** Reads one row; a string is the reason why it cannot be taken. */
function readRow(
  cells: string[],
  columns: Map<Field, Column>,
  cloudInPercent: boolean,
  timeZone: string,
): WeatherEntry | string {
  const cell = (f: Field) => {
    const c = columns.get(f);
    return c ? (cells[c.index] ?? '').trim() : undefined;
  };
  const time = parseTime(cell('time') ?? cell('date') ?? '', cell('hour'), timeZone);
  if (time === null || Number.isNaN(time))
    return `the time “${cell('time') ?? cell('date') ?? ''}” is not a date and hour like 2027-01-14T15:00`;
  const values: Partial<Record<Field, number>> = {};
  for (const [field, range] of Object.entries(RANGES) as [Field, Range][]) {
    const column = columns.get(field);
    if (!column) continue;
    const text = cell(field)!;
    if (text === '') {
      if (field === 'global' || field === 'rain' || field === 'snow') continue;
      return `${MEANING[field]} is empty`;
    }
    const raw = Number(text.replace('−', '-'));
    if (!Number.isFinite(raw)) return `${MEANING[field]} “${text}” is not a number`;
    const si = column.toSi(raw);
    if (si < range.min || si > range.max)
      return `${MEANING[field]} ${text} ${column.unit} is outside ${range.what}`;
    values[field] = si;
  }
  const airC = values.air!;
  const dew = values.dew ?? dewPointC(airC, values.humidity! / 100);
  if (dew > airC + 0.5) return `dew point ${dew.toFixed(1)} °C is above the air's ${airC.toFixed(1)} °C`;
  const cloud = values.cloud === undefined ? 0.5 : cloudInPercent ? values.cloud / 100 : values.cloud;
  if (cloud > 1) return `cloud ${cell('cloud')} is above 1 where the column is a share`;
  return {
    time: new Date(time).toISOString(),
    airC,
    dewPointC: Math.min(airC, dew),
    windMs: values.wind!,
    cloudFraction: cloud,
    ...(values.global === undefined ? {} : { globalWm2: values.global }),
    rainMm: values.rain ?? 0,
    snowMm: values.snow ?? 0,
  };
}

/** Reads a CSV text; nothing is thrown. Where `badRows` is not empty none of it may be used. */
export function readForecastCsv(text: string, timeZone: string): CsvReading {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' });
  const rows = parsed.data;
  const header = rows[0] ?? [];
  const columns = new Map<Field, Column>();
  header.forEach((h, i) => {
    const c = classify(h.trim(), i);
    if (c && !columns.has(c.field)) columns.set(c.field, c);
  });
  const listed = [...columns.values()].map((c) => ({
    header: header[c.index]!.trim(),
    meaning: c.unit ? `${MEANING[c.field]}, ${c.unit}` : MEANING[c.field],
  }));
  const fail = (row: number, reason: string): CsvReading => ({
    entries: [],
    badRows: [{ row, reason }],
    columns: listed,
  });
  if (rows.length < 2) return fail(1, 'there are no rows under a header');
  if (!columns.has('time') && !(columns.has('date') && columns.has('hour')))
    return fail(1, 'no column for time (or date and hour)');
  if (!columns.has('air')) return fail(1, 'no column for air temperature');
  if (!columns.has('wind')) return fail(1, 'no column for wind');
  if (!columns.has('dew') && !columns.has('humidity')) return fail(1, 'no column for dew point or humidity');
  const cloudColumn = columns.get('cloud');
  const cloudInPercent =
    cloudColumn !== undefined &&
    (cloudColumn.unit === '%' || rows.slice(1).some((r) => Number(r[cloudColumn.index]) > 1));
  const entries: WeatherEntry[] = [];
  const badRows: BadRow[] = [];
  let last: number | null = null;
  rows.slice(1).forEach((cells, i) => {
    const row = i + 2;
    const entry = readRow(cells, columns, cloudInPercent, timeZone);
    if (typeof entry === 'string') {
      badRows.push({ row, reason: entry });
      return;
    }
    const ms = Date.parse(entry.time);
    if (last !== null && ms - last !== HOUR_MS && badRows.length === 0) {
      const gap = (ms - last) / HOUR_MS;
      badRows.push({
        row,
        reason:
          gap <= 0
            ? 'its time is not after the row before it'
            : `${gap} hours after the row before it, where one hour is expected`,
      });
    }
    last = ms;
    entries.push(entry);
  });
  if (badRows.length === 0 && entries.length < 12)
    return fail(entries.length + 1, `only ${entries.length} hours, at least 12 are needed`);
  return { entries, badRows, columns: listed };
}
