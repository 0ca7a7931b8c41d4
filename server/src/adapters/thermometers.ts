/**
 * Where minimum and maximum come from. The simulated thermometers are driven by the heat engine under the true weather
 * and the covers that were on, with hidden properties of each structure that differ from the book's: something for
 * calibration to find. A real one answers the same question (docs/stand-ins.md).
 */
import {
  BOOK_CALIBRATION,
  preparedFor,
  runHouse,
  type BedSpec,
  type Calibration,
  type Site,
  type WeatherEntry,
} from '@fogata/core';

export interface MinMax {
  minC: number;
  maxC: number;
}

export interface ThermometerSource {
  /** Lowest and highest since `fromMs` up to `toMs` at a spot: `outside` or a structure. Null where there is none. */
  read(spot: ThermometerSpot, fromMs: number, toMs: number): MinMax | null;
}

export interface ThermometerSpot {
  id: string;
  /** The beds of the structure as they were covered, the one it hangs over first; null for outside. */
  specs: BedSpec[] | null;
  /** Place of the structure in the stack. */
  structureLayer: number;
  site: Site;
  /** Hourly, from some days before `fromMs`. */
  weather: WeatherEntry[];
}

function hashOf(text: string): number {
  let h = 2166136261;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 16777619);
  return ((h >>> 0) % 10_000) / 10_000;
}

/** The hidden truth about a structure: joints, film, soil and spot differ from the book by a factor drawn from its id. */
export function hiddenProperties(id: string): Calibration {
  return {
    leakage: 0.7 + 1.4 * hashOf(`${id}/leakage`),
    filmTransparency: 0.85 + 0.3 * hashOf(`${id}/film`),
    soilExchange: 0.75 + 0.5 * hashOf(`${id}/soil`),
    zoneOffsetC: -1.1 + 0.9 * hashOf(`${id}/zone`),
  };
}

/** Air at a spot, hourly: the structure's own layer, or outside. */
export function spotAirC(
  spot: ThermometerSpot,
  calibration: Calibration,
): { timesMs: number[]; airC: number[] } {
  if (spot.specs === null || spot.structureLayer < 0) {
    return { timesMs: spot.weather.map((e) => Date.parse(e.time)), airC: spot.weather.map((e) => e.airC) };
  }
  const weather = preparedFor(spot.site, [spot.weather]).members[0]!;
  const run = runHouse(spot.specs, weather, {
    calibration: { ...calibration, zoneOffsetC: 0 },
    audit: false,
  }).beds[0]!;
  return {
    timesMs: run.entryMs,
    airC: [...run.layerAirC[spot.structureLayer]!].map((c) => c + calibration.zoneOffsetC),
  };
}

export function minMaxBetween(
  series: { timesMs: number[]; airC: number[] },
  fromMs: number,
  toMs: number,
): MinMax | null {
  const inside = series.airC.filter(
    (c, i) => series.timesMs[i]! >= fromMs && series.timesMs[i]! <= toMs && !Number.isNaN(c),
  );
  return inside.length === 0 ? null : { minC: Math.min(...inside), maxC: Math.max(...inside) };
}

/** Thermometers as they hang there: read to a tenth, wrong by up to 0.3 K each in its own way. */
export function simulatedThermometers(): ThermometerSource {
  return {
    read: (spot, fromMs, toMs) => {
      const hidden = spot.structureLayer < 0 ? BOOK_CALIBRATION : hiddenProperties(spot.id);
      const found = minMaxBetween(spotAirC(spot, hidden), fromMs, toMs);
      if (!found) return null;
      const own = 0.6 * hashOf(`${spot.id}/instrument`) - 0.3;
      const tenth = (c: number) => Math.round((c + own) * 10) / 10;
      return { minC: tenth(found.minC), maxC: tenth(found.maxC) };
    },
  };
}
