/**
 * The open format: a case in, a result out. See the format's page in docs/formats.md.
 */
import { prepareWeather } from './prepare';
import { runBed, type BedRun } from './run';
import type { Calibration, SimulationCase, SimulationResult } from './types';

const round = (x: number, digits = 2) => Number(x.toFixed(digits));

/**
 * Runs a checked case. `refine` and `maxStepS` are for convergence tests.
 * @example simulate(simulationCase()).format // 'fogata-result/1'
 */
export function simulate(
  input: SimulationCase,
  options: { calibration?: Calibration; refine?: number; maxStepS?: number } = {},
): SimulationResult {
  const weather = prepareWeather(input.site, input.weather, options.maxStepS);
  const run = runBed(input, weather, {
    ...(options.calibration ? { calibration: options.calibration } : {}),
    ...(options.refine ? { refine: options.refine } : {}),
  });
  return { ...resultOf(input, run), ...(options.calibration ? { calibration: options.calibration } : {}) };
}

/**
 * The result in the open format, from a run of that case.
 * @example resultOf(simulationCase(), night([HOUSE], { hours: 24 })).format // 'fogata-result/1'
 */
export function resultOf(input: SimulationCase, run: BedRun): SimulationResult {
  const times = input.weather.map((e) => e.time);
  let below0 = 0;
  const entryH = (run.entryAtMs[1]! - run.entryAtMs[0]!) / 3_600_000;
  for (let i = 1; i < run.leafC.length; i++) below0 += hoursBelow(run.leafC[i - 1]!, run.leafC[i]!) * entryH;
  return {
    format: 'fogata-result/1',
    hours: times.map((time, i) => ({
      time,
      outsideC: round(run.outsideC[i]!),
      skyC: round(run.skyC[i]!),
      sunWm2: round(run.sunWm2[i]!, 1),
      layers: run.layerAirC.map((air, j) =>
        Number.isNaN(air[i]!) ? null : { airC: round(air[i]!), coverC: round(run.coverC[j]![i]!) },
      ),
      canopyAirC: round(run.canopyAirC[i]!),
      leafC: round(run.leafC[i]!),
      soilC: {
        '0': round(run.soilC[0][i]!),
        '5': round(run.soilC[1][i]!),
        '10': round(run.soilC[2][i]!),
        '30': round(run.soilC[3][i]!),
      },
    })),
    summary: {
      minLeafC: round(run.minLeafC),
      minLeafAt: times[run.minLeafIndex]!,
      minCanopyAirC: round(Math.min(...run.canopyAirC)),
      maxCanopyAirC: round(Math.max(...run.canopyAirC)),
      hoursLeafBelow0: round(below0),
      energyErrorWm2: round(run.energyErrorWm2, 4),
    },
  };
}

/** Share of an interval that a straight line from a to b spends below 0. */
function hoursBelow(a: number, b: number): number {
  if (a < 0 && b < 0) return 1;
  if (a >= 0 && b >= 0) return 0;
  return a < 0 ? a / (a - b) : b / (b - a);
}
