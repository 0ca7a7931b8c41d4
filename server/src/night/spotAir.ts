/** The air where a thermometer hangs, by the engine, and the lowest and highest of it. */
import { preparedFor, runHouse, type Calibration } from '@fogata/core';
import type { MinMax, ThermometerSpot } from '../sources/ports';

/** Air at a spot, hourly: the structure's own layer, or outside. */
export function spotAirC(
  spot: ThermometerSpot,
  calibration: Calibration,
): { timesAtMs: number[]; airC: number[] } {
  if (spot.specs === null || spot.structureLayer < 0) {
    return { timesAtMs: spot.weather.map((e) => Date.parse(e.time)), airC: spot.weather.map((e) => e.airC) };
  }
  const weather = preparedFor(spot.site, [spot.weather]).members[0]!;
  const run = runHouse(spot.specs, weather, {
    calibration: { ...calibration, zoneOffsetC: 0 },
    audit: false,
  }).beds[0]!;
  return {
    timesAtMs: run.entryAtMs,
    airC: [...run.layerAirC[spot.structureLayer]!].map((c) => c + calibration.zoneOffsetC),
  };
}

export function minMaxBetween(
  series: { timesAtMs: number[]; airC: number[] },
  fromAtMs: number,
  toAtMs: number,
): MinMax | null {
  const inside = series.airC.filter(
    (c, i) => series.timesAtMs[i]! >= fromAtMs && series.timesAtMs[i]! <= toAtMs && !Number.isNaN(c),
  );
  return inside.length === 0 ? null : { minC: Math.min(...inside), maxC: Math.max(...inside) };
}
