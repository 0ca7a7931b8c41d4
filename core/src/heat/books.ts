/**
 * The energy books of a step: what came in, what left, what is stored, from the temperatures reached and the unlinearised
 * laws. Contract: `balance` after a step and before snow is shed; an unconverged step shows as an imbalance.
 */
import { KELVIN, STEFAN_BOLTZMANN } from '../sky/longwave';
import { SNOW_MIN_M } from './radiation';
import { heatContent } from './soil';
import { nodeCapacity, storedHeat, sublimes, VAPOUR_WPA } from './storage';
import { latentW } from './vapour';
import { FLOW, FLOWS, type Work } from './work';

/** Heat to the surroundings in this step by kind, W out of the bed; written by `balance`. */
export interface Books {
  /** W in from sun and heaters. */
  gainsW: number;
  /** W out: to the sky; then by the kinds of FLOW; then with vapour. */
  skyW: number;
  edgeW: Float64Array;
  vapourW: number;
  storedW: number;
  imbalanceW: number;
}

export function makeBooks(): Books {
  return { gainsW: 0, skyW: 0, edgeW: new Float64Array(FLOWS), vapourW: 0, storedW: 0, imbalanceW: 0 };
}

export function balance(w: Work, k: number, dt: number, books: Books): void {
  const { net, t, tOld } = w;
  books.gainsW = w.sunTotalW + net.parts.reduce((s, p) => s + p.bottomW, 0) + net.airW;
  books.edgeW.fill(0);
  books.skyW = 0;
  for (let e = 0; e < w.edges; e++) {
    const watts = w.edgeWK[e]! * (t[w.edgeNode[e]!]! - w.edgeC[e]!);
    books.edgeW[w.edgeKind[e]!]! += watts;
  }
  if (w.melting) books.edgeW[FLOW.melt]! += w.meltW;
  for (let c = 0; c < w.piles.length; c++) {
    const p = w.piles[c]!;
    for (let j = 0; j < p.count; j++) {
      const f = p.factors[j * (p.count + 1) + p.count]!;
      const emitted = STEFAN_BOLTZMANN * Math.pow(t[p.node[j]!]! + KELVIN, 4);
      books.skyW += net.columns[c]!.areaM2 * f * (emitted - w.weather.skyWm2[k]!);
    }
  }
  books.vapourW = vapourOut(w, k);
  let stored = 0;
  for (let i = 0; i < w.n; i++) {
    if (i === net.mass) stored += (storedHeat(w, t[i]!) - storedHeat(w, tOld[i]!)) / dt;
    else if (isActive(w, i)) stored += (nodeCapacity(w, i) * (t[i]! - tOld[i]!)) / dt;
  }
  for (let i = 0; i < net.layers.length; i++) {
    if (w.active[i] === 1)
      stored += (net.layers[i]!.geometry.volumeM3 * VAPOUR_WPA * (w.vapour[i]! - w.vapourOld[i]!)) / dt;
  }
  stored += soilStored(w, k, dt, books);
  books.storedW = stored;
  let out = books.skyW + books.vapourW;
  for (let e = 0; e < FLOWS; e++) out += books.edgeW[e]!;
  books.imbalanceW = books.gainsW - out - stored;
}

/** Latent heat that leaves with vapour, and what frost takes or gives over dew. */
function vapourOut(w: Work, k: number): number {
  const outPa = w.weather.vapourPa[k]!;
  let watts = 0;
  for (let s = 0; s < w.wets; s++) {
    const gives = latentW(w, s, outPa);
    if (w.wetAir[s]! < 0) watts += gives;
    watts += (sublimes(w.t[w.wetNode[s]!]!) - 1) * gives;
  }
  if (w.outermost >= 0) watts += w.vapourM3s[w.outermost]! * VAPOUR_WPA * (w.vapour[w.outermost]! - outPa);
  return watts;
}

function isActive(w: Work, node: number): boolean {
  const { net } = w;
  if (node < net.air0) return w.active[net.sheets[node]!.layer] === 1;
  if (node < net.ground0) return w.active[node - net.air0] === 1;
  return node !== w.snowNode || w.snowM > SNOW_MIN_M;
}

/** Heat gained by the soil's cells; what they lose sideways to the outside and downwards goes into `edgeW`. */
function soilStored(w: Work, k: number, dt: number, books: Books): number {
  const { net, soil, soilOld, outside } = w;
  let stored = 0;
  for (const col of net.columns) {
    const n = col.grid.count;
    for (let j = 0; j < n; j++) {
      const x = col.first + j;
      const cap = col.capacityJK[j]!;
      const lat = col.latentJ[j]!;
      stored += (heatContent(soil[x]!, cap, lat) - heatContent(soilOld[x]!, cap, lat)) / dt;
      if (col.outer < 0 && outside && j >= col.grid.mulchCells && !col.bench) {
        const there = outside.cellsC[k * outside.cellsPerStep + col.sideCell[j]!]!;
        books.edgeW[FLOW.side]! += col.sideWK[j]! * (soil[x]! - there);
      }
    }
    let bottomC = net.deepC;
    if (col.bench) {
      bottomC =
        col.benchAir >= 0 && w.active[col.benchAir] === 1
          ? w.tOld[net.air0 + col.benchAir]!
          : w.weather.airC[k]!;
    }
    books.edgeW[FLOW.deep]! += col.bottomWK * (soil[col.first + n - 1]! - bottomC);
  }
  return stored;
}
