/**
 * What a bed's water is reckoned from, hour by hour. Contract: `recordWater(w, part, trace, i, k)` writes for entry i, at step k, the air that is over the bed (the
 * innermost layer's, or outside), its vapour, how fast it moves, and what leaves and ground lose by thermal radiation to all that is over them.
 */
import { STEFAN_BOLTZMANN } from '../sky/longwave';
import { windAtMps } from './convection';
import type { Part } from './network';
import type { Rows } from './rows';
import type { Work } from './work';

export interface WaterTrace {
  airC: Float64Array;
  vapourPa: Float64Array;
  /** At 2 m in the open, m/s. */
  speedMps: Float64Array;
  longwaveWm2: Float64Array;
}

const KELVIN = 273.15;
const OPEN_M = 2;
const blackWm2 = (c: number): number => STEFAN_BOLTZMANN * (c + KELVIN) ** 4;

export const makeWaterTrace = (n: number, rows: Rows): WaterTrace => ({
  airC: rows.f64(n),
  vapourPa: rows.f64(n),
  speedMps: rows.f64(n),
  longwaveWm2: rows.f64(n),
});

export function recordWater(w: Work, part: Part, trace: WaterTrace, i: number, k: number): void {
  const { net, weather } = w;
  const inner = w.columnAir[part.column]!;
  trace.airC[i] = inner < 0 ? weather.airC[k]! : w.t[net.air0 + inner]!;
  trace.vapourPa[i] = inner < 0 ? weather.vapourPa[k]! : w.vapour[inner]!;
  trace.speedMps[i] = inner < 0 ? windAtMps(weather.windMps[k]!, OPEN_M) : w.airSpeed[inner]!;
  const pile = w.piles[part.column]!;
  const ground = net.ground0 + part.column;
  const isBed = (node: number) => node === part.leaf || node === ground;
  let lost = 0;
  for (let j = 0; j < pile.count; j++) {
    if (!isBed(pile.node[j]!)) continue;
    const own = blackWm2(w.t[pile.node[j]!]!);
    const row = j * (pile.count + 1);
    for (let e = 0; e < pile.count; e++)
      if (!isBed(pile.node[e]!)) lost += pile.factors[row + e]! * (own - blackWm2(w.t[pile.node[e]!]!));
    lost += pile.factors[row + pile.count]! * (own - weather.skyWm2[k]!);
  }
  trace.longwaveWm2[i] = lost;
}
