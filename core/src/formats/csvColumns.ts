/**
 * What a column of weather is, from its header. Contract: `classify` gives its field and the way to SI, null for a column that
 * says nothing here, or a sentence where its unit is not known: a unit is never guessed. Headers are looked at up to 80 letters.
 */
import { said, type Said } from '../words/said';
export type ForecastField =
  | 'time'
  | 'date'
  | 'clock'
  | 'air'
  | 'dew'
  | 'humidity'
  | 'wind'
  | 'windFrom'
  | 'cloud'
  | 'global'
  | 'rain'
  | 'snow';

export interface Column {
  field: ForecastField;
  index: number;
  /** As it is shown; empty where a column has none. */
  unit: string;
  toSi: (x: number) => number;
}

type Unit = [name: string, test: RegExp, toSi: (x: number) => number];
const same = (x: number) => x;
const TEMPERATURE: Unit[] = [
  ['°C', /^(°|deg)?\s?c(elsius)?$/i, same],
  ['°F', /^(°|deg)?\s?f(ahrenheit)?$/i, (x) => ((x - 32) * 5) / 9],
];
const LENGTH: Unit[] = [
  ['mm', /^mm(\/h)?$/i, same],
  ['cm', /^cm$/i, (x) => x * 10],
  ['in', /^(in|inch|inches|″|")$/i, (x) => x * 25.4],
];
/** The first of each is taken where a header has no unit at all, and said. */
const UNITS: Record<ForecastField, Unit[]> = {
  time: [],
  date: [],
  clock: [],
  air: TEMPERATURE,
  dew: TEMPERATURE,
  humidity: [['%', /^(%|percent)$/i, same]],
  wind: [
    ['m/s', /^(m\/?s|m s-1|mps)$/i, same],
    ['km/h', /^(km\/?h|kmh|kph)$/i, (x) => x / 3.6],
    ['mph', /^(mph|mi\/h)$/i, (x) => x * 0.44704],
    ['kn', /^(kn|kt|kts|knots?)$/i, (x) => x * 0.514444],
  ],
  windFrom: [['°', /^(°|deg(rees?)?|compass)$/i, same]],
  cloud: [
    ['', /^(share|0-1|fraction)$/i, same],
    ['%', /^(%|percent)$/i, (x) => x / 100],
    ['okta', /^(oktas?|\/8|eighths)$/i, (x) => x / 8],
  ],
  global: [['W/m²', /^w\/?m[²2]$|^w m-2$/i, same]],
  rain: LENGTH,
  snow: LENGTH,
};

/** Of a column of times a bracket names a zone or a form; it is read from the cells. */
const UNITLESS: ForecastField[] = ['time', 'date', 'clock'];

function fieldOf(name: string): ForecastField | null {
  if (/dew/.test(name)) return 'dew';
  if (/humid|^rh\b|^rh[\s_(%]/.test(name)) return 'humidity';
  if (/gust/.test(name)) return null;
  // radiation that comes direct is not where a wind is from
  if (/wind.*(dir|from)|^dir/.test(name)) return 'windFrom';
  if (/dir/.test(name)) return null;
  if (/wind/.test(name)) return 'wind';
  if (/cloud|nebul|okta/.test(name)) return 'cloud';
  if (/global|radiation|solar|ghi/.test(name)) return 'global';
  if (/snow/.test(name)) return 'snow';
  if (/rain|precip/.test(name)) return 'rain';
  if (/^(date)[\s_-]*(and[\s_-]*)?time|timestamp|datetime|valid/.test(name)) return 'time';
  if (/^date|^day\b/.test(name)) return 'date';
  if (/^(time|hour|clock)/.test(name)) return 'clock';
  if (/temp|^air|^t2m|^t\b/.test(name)) return 'air';
  return null;
}

/** A unit of a header: "(°F)", "[km/h]", ", mph", "_f", "airF". */
function headerUnit(header: string): string {
  const open = header.search(/[([]/);
  if (open >= 0)
    return header
      .slice(open + 1)
      .split(/[)\]]/)[0]!
      .trim();
  const tail =
    /(?:[\s_,/-]|(?<=[a-z]))(°?[FC]|km\/?h|kmh|kph|m\/?s|ms|mph|kn|kt|knots|%|mm|cm|inch|oktas?|W\/?m[²2])$/.exec(
      header,
    );
  if (tail) return tail[1]!;
  return /[\s_,-](f|c|in)$/.exec(header)?.[1] ?? (/okta/i.test(header) ? 'okta' : '');
}

/** @example classify('Temperature (°F)', 1).unit // '°F' */
export function classify(header: string, index: number): Column | Said | null {
  const text = header.trim().slice(0, 80);
  const field = fieldOf(text.toLowerCase());
  if (!field) return null;
  if (UNITLESS.includes(field)) return { field, index, unit: '', toSi: same };
  const unit = headerUnit(text);
  const units = UNITS[field];
  if (unit === '') {
    const [name, , toSi] = units[0]!;
    return { field, index, unit: name, toSi };
  }
  const found = units.find(([, test]) => test.test(unit));
  if (found) return { field, index, unit: found[0], toSi: found[2] };
  return said('row.unit', {
    unit,
    header: text,
    units: units.map(([name]) => name),
  });
}
