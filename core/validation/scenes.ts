/**
 * The scenes of the published situations: weather, houses, covers, and what is measured in them. Contract: nothing here
 * knows a range; `situations.ts` puts scenes together, `docs/published-ranges.csv` says what is reported.
 */
import { prepareWeather, runBed, type BedRun, type BedSpec, type Layer, type WeatherEntry } from '../src';

export const SITE = { latitude: 42.7, longitude: -5.4, elevationM: 300 };
const HOUR_MS = 3_600_000;

export interface Sky {
  start?: string;
  hours?: number;
  meanC?: number;
  swingK?: number;
  windMs?: number;
  cloud?: number;
  snowMm?: number;
  dewK?: number;
}

function hour(ms: number, o: Required<Omit<Sky, 'start' | 'hours' | 'snowMm'>>): WeatherEntry {
  const airC = o.meanC + o.swingK * Math.cos((((ms / HOUR_MS) % 24) - 15) * (Math.PI / 12));
  return {
    time: new Date(ms).toISOString(),
    airC,
    dewPointC: Math.min(airC, o.meanC - o.dewK),
    windMs: o.windMs,
    cloudFraction: o.cloud,
  };
}

/** Days before the scene, as the weeks around it are: mostly cloudy, a little wind, the scene's own mean and a degree. */
const LEAD_DAYS = 10;

/**
 * Hourly weather with a daily swing, warmest at 15:00 UTC, after days that lead to it. The default: clear and still from
 * noon, lowest −5 °C, the dew point at the lowest (FAO-56).
 */
export function weather(o: Sky = {}, leadDays = LEAD_DAYS): WeatherEntry[] {
  const {
    start = '2027-02-10T12:00:00Z',
    hours = 36,
    meanC = 1,
    swingK = 6,
    windMs = 0.7,
    cloud = 0,
    snowMm = 0,
    dewK = 6,
  } = o;
  const from = Date.parse(start);
  const before = { meanC: meanC + 1, swingK: 4, windMs: 2.5, cloud: 0.8, dewK: 4 };
  const lead = Array.from({ length: leadDays * 24 }, (_, i) =>
    hour(from - (leadDays * 24 - i) * HOUR_MS, before),
  );
  const scene = Array.from({ length: hours + 1 }, (_, i) => ({
    ...hour(from + i * HOUR_MS, { meanC, swingK, windMs, cloud, dewK }),
    ...(snowMm && i > 4 && i < 9 ? { snowMm } : {}),
  }));
  return [...lead, ...scene];
}

export const HOUSE: Layer = {
  lengthM: 24,
  widthM: 7,
  heightM: 3,
  shape: 'arch',
  material: 'pe-film',
  ventAreaM2: 29,
};
export const HOOPS: Layer = { lengthM: 20, widthM: 1.2, heightM: 0.5, shape: 'arch', material: 'fleece-30' };
export const LAID: Layer = {
  ...HOOPS,
  shape: 'flat',
  heightM: 0.1,
  material: 'fleece-17',
  touchesCrop: true,
};
export const FRAME: Layer = {
  lengthM: 3,
  widthM: 1.2,
  heightM: 0.4,
  shape: 'box',
  sides: 'board',
  material: 'glass',
  ventAreaM2: 0.36,
};
export const CROP = { heightM: 0.1, groundCover: 0.5 };
export const BARE = { heightM: 0.03, groundCover: 0.02 };

/** Deep ground, °C: in the open some 2 K over the month's mean air, under a house what the winter's sun has left there. */
export const DEEP = { open: 3, house: 6 };

/** A bed through a scene, the days that lead to it cut off. */
export function scene(stack: Layer[], sky: Sky = {}, more: Partial<BedSpec> = {}): BedRun {
  const leadDays = (sky.hours ?? 0) > 100 ? 0 : LEAD_DAYS;
  const deepC = (stack[0]?.heightM ?? 0) > 1 ? DEEP.house : DEEP.open;
  const entries = weather(sky, leadDays);
  const run = runBed({ ground: { deepC }, stack, crop: CROP, ...more }, prepareWeather(SITE, entries), {
    books: true,
  });
  const cut = (a: Float64Array) => a.slice(leadDays * 24);
  return {
    ...run,
    entryAtMs: run.entryAtMs.slice(leadDays * 24),
    outsideC: cut(run.outsideC),
    skyC: cut(run.skyC),
    sunWm2: cut(run.sunWm2),
    cropSunWm2: cut(run.cropSunWm2),
    layerAirC: run.layerAirC.map(cut),
    coverC: run.coverC.map(cut),
    canopyAirC: cut(run.canopyAirC),
    leafC: cut(run.leafC),
    soilC: run.soilC.map(cut) as BedRun['soilC'],
    humidity: cut(run.humidity),
    flows: run.flows.slice(leadDays * 24),
  };
}

/** The night in a series that begins at noon: from 16:00 to 10:00. */
const nightOf = (series: ArrayLike<number>) => Array.from(series).slice(4, 23);
export const nightMin = (series: ArrayLike<number>) => Math.min(...nightOf(series));
/** Mean of the hours from 22:00 to 06:00. */
export const deepNight = (series: ArrayLike<number>) => {
  const part = Array.from(series).slice(10, 19);
  return part.reduce((s, x) => s + x, 0) / part.length;
};
/** Greatest excess over the air outside, K. */
export const excess = (series: ArrayLike<number>, run: BedRun) =>
  Math.max(...Array.from(series).map((c, i) => c - run.outsideC[i]!));
export const mean = (series: ArrayLike<number>, from = 0) => {
  const part = Array.from(series).slice(from);
  return part.reduce((s, x) => s + x, 0) / part.length;
};
