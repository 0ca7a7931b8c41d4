/** Weather and beds that the tests share. */
import type { Bed, BedSpec, Cover, Layer, SimulationCase, Structure, WeatherEntry } from '../src';
import { runBed, prepareWeather, type BedRun } from '../src';

export const SITE = { latitude: 42.7, longitude: -5.4, elevationM: 860 };
export const START_MS = Date.parse('2027-01-14T12:00:00Z');

export interface WeatherShape {
  meanC?: number;
  swingK?: number;
  dewK?: number;
  windMs?: number;
  cloud?: number;
  hours?: number;
  startAtMs?: number;
}

/** Hourly weather with a daily swing; warmest at 15:00 UTC. */
export function weather(w: WeatherShape = {}): WeatherEntry[] {
  const { meanC = -1, swingK = 6, dewK = 6, windMs = 0.5, cloud = 0, hours = 48, startAtMs = START_MS } = w;
  return Array.from({ length: hours + 1 }, (_, i) => {
    const ms = startAtMs + i * 3_600_000;
    const hour = (ms / 3_600_000) % 24;
    const airC = meanC + swingK * Math.cos(((hour - 15) / 24) * 2 * Math.PI);
    return {
      time: new Date(ms).toISOString(),
      airC,
      dewPointC: Math.min(airC, meanC - dewK),
      windMs,
      cloudFraction: cloud,
    };
  });
}

export const HOUSE: Layer = {
  lengthM: 20,
  widthM: 6,
  heightM: 2.6,
  shape: 'arch',
  material: 'pe-film',
  ventAreaM2: 10,
};
export const FLEECE: Layer = { lengthM: 18, widthM: 1.2, heightM: 0.5, shape: 'arch', material: 'fleece-30' };
export const TUNNEL: Layer = { ...FLEECE, material: 'pe-film', ventAreaM2: 3 };
export const FRAME: Layer = {
  lengthM: 3,
  widthM: 1.2,
  heightM: 0.4,
  shape: 'box',
  sides: 'board',
  material: 'glass',
  ventAreaM2: 0.36,
};
export const BLANKET: Layer = {
  lengthM: 18.2,
  widthM: 1.4,
  heightM: 0.6,
  shape: 'arch',
  material: 'frost-blanket',
};

export const bed = (stack: Layer[], more: Partial<BedSpec> = {}): BedSpec => ({
  ground: { deepC: 6 },
  stack,
  ...more,
});

export function night(
  stack: Layer[],
  shape: WeatherShape = {},
  more: Partial<BedSpec> = {},
  options: { books?: boolean } = {},
): BedRun {
  return runBed(bed(stack, more), prepareWeather(SITE, weather(shape)), options);
}

/** Lowest of a series in the night between the two days (hours 4 to 22 of the case). */
export function nightMin(series: ArrayLike<number>): number {
  return Math.min(...Array.from(series).slice(4, 23));
}

export function nightMax(series: ArrayLike<number>): number {
  return Math.max(...Array.from(series));
}

export function simulationCase(stack: Layer[] = [HOUSE], more: Partial<SimulationCase> = {}): SimulationCase {
  return {
    format: 'fogata-case/1',
    site: SITE,
    weather: weather({ hours: 24 }),
    ground: { deepC: 6 },
    stack,
    ...more,
  };
}

/** An ordinary house of a farm, changed where a test asks for it. */
export const aStructure = (more: Partial<Structure> = {}): Structure => ({
  id: 's',
  name: 'House',
  kind: 'house',
  shape: 'arch',
  sides: 'cover',
  lengthM: 20,
  widthM: 6,
  heightM: 2.6,
  material: 'pe-film',
  plies: 1,
  tightness: 'average',
  ventAreaM2: 8,
  order: 0,
  ...more,
});

/** A glazed frame on the ground. */
export const aFrame = (): Structure =>
  aStructure({
    kind: 'frame',
    shape: 'box',
    sides: 'board',
    lengthM: 3,
    widthM: 1.2,
    heightM: 0.4,
    material: 'glass',
  });

export const aBed = (more: Partial<Bed> = {}): Bed => ({
  id: 'b',
  structureId: 's',
  name: 'B',
  lengthM: 18,
  widthM: 1,
  rows: 4,
  on: 'ground',
  texture: 'loam',
  wetness: 'moist',
  mulchM: 0,
  hoopHeightM: 0.5,
  order: 0,
  ...more,
});

export const aCover = (more: Partial<Cover> = {}): Cover => ({
  id: 'a',
  name: 'a',
  material: 'fleece-30',
  plies: 1,
  lengthM: 20,
  widthM: 2.1,
  count: 2,
  use: 'hoops',
  minutes: 6,
  order: 0,
  ...more,
});
