/**
 * The bare ground outside under a weather, as the edge of every covered bed sees it. Contract: `runOutside` is run once
 * for each weather and ground, and shared.
 */
import { advance, begin, spinUp, startSoil } from './begin';
import { OPEN_BED, type LyingSnow } from './carry';
import { compileBeds } from './network';
import type { PreparedWeather } from './prepare';
import { BOOK_CALIBRATION, type BedSpec, type Calibration, type Ground } from './types';
import { makeWork, type OutsideTrace } from './work';

const OPEN_GROUND_CROP = { heightM: 0.05, groundCover: 0.2 };

export type OutsideRun = OutsideTrace & { end: Float64Array; endSnow?: LyingSnow };

/**
 * The bare ground outside through a weather: skin and cells, °C, by step; started anew where nothing is given.
 * @example runOutside(prepareWeather(SITE, weather()), { deepC: 6 }).skinC[30] < 3 // true
 */
export function runOutside(
  weather: PreparedWeather,
  ground: Ground,
  calibration: Calibration = BOOK_CALIBRATION,
  initial?: Float64Array,
  refine = 1,
  snow?: LyingSnow,
): OutsideRun {
  const bare: BedSpec = {
    ground: {
      texture: ground.texture,
      wetness: ground.wetness,
      deepC: ground.deepC,
      surfaceC: ground.surfaceC,
    },
    stack: [],
    crop: OPEN_GROUND_CROP,
  };
  const net = compileBeds([bare], calibration, refine);
  const w = makeWork(net, weather, null, snow !== undefined);
  const cells = net.cells;
  const skinC = new Float64Array(weather.steps + 2);
  const cellsC = new Float64Array((weather.steps + 2) * cells);
  const keep = (k: number) => {
    skinC[k] = w.t[net.ground0]!;
    cellsC.set(w.soil, k * cells);
  };
  startSoil(w, [bare.ground]);
  if (initial) w.soil.set(initial.subarray(0, cells));
  begin(w, snow && [{ outside: new Float64Array(0), columns: [], snow: { on: OPEN_BED, ...snow } }]);
  if (!initial && ground.surfaceC === undefined) spinUp(w);
  keep(0);
  for (let k = 1; k <= weather.steps; k++) {
    advance(w, k);
    keep(k);
  }
  return {
    skinC,
    cellsC,
    cellsPerStep: cells,
    centreM: net.columns[0]!.grid.centreM,
    end: w.soil.slice(),
    ...(w.snowM > 0 ? { endSnow: { depthM: w.snowM, snowC: w.t[w.snowNode]! } } : {}),
  };
}
