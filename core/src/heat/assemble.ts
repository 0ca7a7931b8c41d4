/**
 * The balance of one step as linear equations: every exchange between nodes, linearised by its secant at the last
 * guess, so that a converged step conserves energy. Heat W, conductance W/K. The laws are in `convection.ts`, `flow.ts`
 * and `optics.ts`; who exchanges with whom, in `coverFlows.ts` and `cropFlows.ts`.
 */
import { surfacePa } from '../sky/air';
import { covers } from './coverFlows';
import { groundAndCrop } from './cropFlows';
import { edge, link, pin, radiative, TO_GROUND, TO_SKY } from './links';
import { soilColumns } from './soilColumns';
import { nodeCapacity, storedHeat, sublimes } from './storage';
import { SNOW_MIN_M } from './radiation';
import { FLOW, type Work } from './work';

function sideRadiation(w: Work, skyC: number, outsideSkinC: number): void {
  for (let i = 0; i < w.sides; i++) {
    const node = w.sideNode[i]!;
    const to = w.sideTo[i]!;
    const c = to === TO_SKY ? skyC : to === TO_GROUND ? outsideSkinC : w.guess[to]!;
    const g = w.sideM2[i]! * radiative(w.guess[node]!, c);
    if (to < 0) edge(w, node, g, c, FLOW.radiationSide);
    else link(w, node, to, g);
  }
}

function thermalRadiation(w: Work, skyC: number): void {
  const { a, b, n, guess, pairI, pairJ, pairM2, skyM2 } = w;
  for (let x = 0; x < w.pairs; x++) {
    const i = pairI[x]!;
    const j = pairJ[x]!;
    const g = pairM2[x]! * radiative(guess[i]!, guess[j]!);
    a[i * n + i]! += g;
    a[j * n + j]! += g;
    a[i * n + j]! -= g;
  }
  for (let i = 0; i < n; i++) {
    const area = skyM2[i]!;
    if (area === 0) continue;
    const g = area * radiative(guess[i]!, skyC);
    a[i * n + i]! += g;
    b[i]! += g * skyC;
  }
}

/** Latent heat at every wet surface: gives off at its share, takes dew at full rate; linear in its own temperature. */
function latentHeat(w: Work, vapourOutPa: number): void {
  for (let i = 0; i < w.wets; i++) {
    const node = w.wetNode[i]!;
    const c = w.guess[node]!;
    const es = surfacePa(c);
    const slope =
      (es * (c < 0 ? 6185 : 4283)) / ((c + (c < 0 ? 273.86 : 243.04)) * (c + (c < 0 ? 273.86 : 243.04)));
    w.wetPa[i] = es - slope * c;
    w.wetSlope[i] = slope;
    const air = w.wetAir[i]!;
    const e = air < 0 ? vapourOutPa : w.vapour[air]!;
    const share = es < e ? 1 : w.wetShare[i]!;
    w.wetUsedShare[i] = share;
    if (share <= 0) continue;
    const g = w.wetWPa[i]! * share * sublimes(c);
    w.a[node * w.n + node]! += g * slope;
    w.b[node]! += g * (e - w.wetPa[i]!);
  }
}

/**
 * What stays the same while a step is iterated: storage, convection, conduction, air. Kept as `base`, so that the later
 * iterations only add what depends on the guess.
 */
function assembleBase(w: Work, k: number, dt: number, steady: boolean): void {
  const { net, n, a, b } = w;
  a.fill(0);
  w.edges = 0;
  w.sides = 0;
  w.wets = 0;
  w.kept = 0;
  for (let i = 0; i < n; i++) {
    const c = steady || i === net.mass ? 0 : nodeCapacity(w, i) / dt;
    a[i * n + i] = c + 1e-9;
    b[i] = w.sun[i]! + c * w.tOld[i]!;
  }
  covers(w, k, dt);
  groundAndCrop(w, k);
  w.base.set(a);
  w.baseB.set(b);
  w.baseEdges = w.edges;
}

/** Heat held by water that freezes, by Newton's slope at the guess. */
function freezingStorage(w: Work, node: number, dt: number): void {
  const c = nodeCapacity(w, node) / dt;
  w.a[node * w.n + node]! += c;
  w.b[node]! += c * w.guess[node]! + (storedHeat(w, w.tOld[node]!) - storedHeat(w, w.guess[node]!)) / dt;
}

/** Writes matrix and right side for step k; `dt` in s; `steady` drops all storage but the soil's. */
export function assemble(w: Work, k: number, dt: number, steady: boolean): void {
  const { net } = w;
  if (w.reuse) {
    w.a.set(w.base);
    w.b.set(w.baseB);
    w.edges = w.baseEdges;
  } else assembleBase(w, k, dt, steady);
  if (!steady && net.mass >= 0) freezingStorage(w, net.mass, dt);
  const skyC = w.skyC[k]!;
  const outsideSkinC = w.outside ? w.outside.skinC[k]! : w.weather.airC[k]!;
  thermalRadiation(w, skyC);
  sideRadiation(w, skyC, outsideSkinC);
  latentHeat(w, w.weather.vapourPa[k]!);
  soilColumns(w, k, dt);
  holdGiven(w, k);
  // layers that are off, and snow that is not there, follow the air around them
  for (let i = 0; i < net.layers.length; i++) {
    if (w.active[i] === 1) continue;
    const layer = net.layers[i]!;
    for (let s = layer.firstSheet; s <= layer.lastSheet; s++) pin(w, s, airAround(w, i, k));
    pin(w, net.air0 + i, airAround(w, i, k));
  }
  if (w.snowNode < 0) return;
  if (w.snowM <= SNOW_MIN_M) pin(w, w.snowNode, w.weather.airC[k]!);
  else if (w.melting) {
    const row = w.snowNode * w.n;
    for (let j = 0; j <= w.snowNode; j++) w.snowRow[j] = w.a[row + j]!;
    w.snowRow[w.n] = w.b[w.snowNode]!;
    pin(w, w.snowNode, 0);
  }
}

/** Shared layers that are given for the whole house stand as they were found there. */
function holdGiven(w: Work, k: number): void {
  const { given, net } = w;
  if (!given) return;
  const row = k * given.stride;
  for (let s = 0; s < given.sheets; s++) pin(w, s, given.rows[row + s]!);
  for (let i = 0; i < given.layers; i++) pin(w, net.air0 + i, given.rows[row + given.sheets + i]!);
  if (w.snowNode >= 0 && w.snowLayer >= 0 && w.snowLayer < given.layers)
    pin(w, w.snowNode, given.rows[row + given.stride - 1]!);
}

function airAround(w: Work, layer: number, k: number): number {
  const out = w.enclosing[layer]!;
  return out < 0 ? w.weather.airC[k]! : w.guess[w.net.air0 + out]!;
}
