/**
 * One implicit step of the bed: iterate the linearised balance until no node moves, then the water and the books.
 */
import { saturationSurfacePa } from '../sky/air';
import { KELVIN, STEFAN_BOLTZMANN } from '../sky/longwave';
import { assemble, VAPOUR_WPA } from './assemble';
import { nodeCapacity, SNOW_MELTED_C, storedHeat } from './storage';
import { absorbSun, SNOW_MIN_M, updateThermalPiles } from './radiation';
import { FREEZE_SPAN_C, heatContent, liquidShare } from './soil';
import { FLOW, type Work } from './work';

/** The step ends when the next iteration would move no node and no cell further than this, as the last two promise. */
const TOLERANCE_K = 0.01;
const MAX_ITERATIONS = 14;
/** A first look is never trusted more than this. */
const FIRST_LOOK = 0.25;
const LATENT_JKG = 2.5e6;

const MAX_NODES = 48;
const scaled = new Float64Array(MAX_NODES);

/** Solves the symmetric system in place (L D Lᵀ, lower triangle), the answer in `b`. `n` up to 48. */
export function solveSymmetric(a: Float64Array, b: Float64Array, n: number): void {
  for (let j = 0; j < n; j++) {
    const jn = j * n;
    let d = a[jn + j]!;
    for (let k = 0; k < j; k++) {
      const l = a[jn + k]!;
      const v = l * a[k * n + k]!;
      scaled[k] = v;
      d -= l * v;
    }
    a[jn + j] = d;
    const inverse = 1 / d;
    for (let i = j + 1; i < n; i++) {
      const row = i * n;
      let s = a[row + j]!;
      for (let k = 0; k < j; k++) s -= a[row + k]! * scaled[k]!;
      a[row + j] = s * inverse;
    }
  }
  for (let i = 0; i < n; i++) {
    let s = b[i]!;
    for (let k = 0; k < i; k++) s -= a[i * n + k]! * b[k]!;
    b[i] = s;
  }
  for (let i = 0; i < n; i++) b[i]! /= a[i * n + i]!;
  for (let i = n - 1; i >= 0; i--) {
    let s = b[i]!;
    for (let k = i + 1; k < n; k++) s -= a[k * n + i]! * b[k]!;
    b[i] = s;
  }
}

/** Which layers are on and how far they are open at the middle of the step; what wraps what. */
export function setLayers(w: Work, midMs: number): void {
  const { net } = w;
  let changed = false;
  for (let i = 0; i < net.layers.length; i++) {
    const layer = net.layers[i]!;
    let on = layer.on === null ? 1 : 0;
    if (layer.on) for (const span of layer.on) if (midMs >= span.from && midMs < span.to) on = 1;
    if (w.active[i] !== on) {
      changed = true;
      w.active[i] = on;
    }
    let opening = 0;
    for (const step of layer.open) if (midMs >= step.from) opening = step.fraction;
    w.opening[i] = opening;
  }
  if (!changed) return;
  w.trust = 0;
  w.contraction = 1;
  w.opticsStale = true;
  w.keptWm2K.fill(0);
  let inner = -1;
  w.outermost = -1;
  for (let i = 0; i < net.layers.length; i++) {
    w.outer[i] = inner;
    if (w.active[i] === 1) {
      if (w.outermost < 0) w.outermost = i;
      inner = i;
    } else {
      w.film[i] = 0;
    }
    w.columnAir[i] = inner;
  }
  if (net.layers.length === 0) w.columnAir[0] = -1;
  w.innermost = inner;
}

function fallingSnow(w: Work, k: number, dt: number): void {
  const top = w.outermost;
  if (w.snowLayer !== top) {
    w.snowM = 0;
    w.snowLayer = top;
  }
  const before = w.snowM > SNOW_MIN_M;
  w.snowM = Math.min(0.6, w.snowM + w.weather.snowMs[k]! * dt);
  if (w.snowM > SNOW_MIN_M && !before) {
    w.opticsStale = true;
    w.keptWm2K.fill(0);
    w.t[w.snowNode] = Math.min(SNOW_MELTED_C - 1, w.weather.airC[k]!);
  }
}

/** Vapour pressure in each air from what its wet faces give and take and what the air brings in. */
function vapourBalance(w: Work, dt: number, vapourOutPa: number): void {
  const { net } = w;
  const count = net.layers.length;
  for (let sweep = 0; sweep < 2; sweep++) {
    for (let i = 0; i < count; i++) {
      if (w.active[i] !== 1) continue;
      const store = (net.layers[i]!.geometry.volumeM3 * VAPOUR_WPA) / dt;
      const out = w.outer[i]!;
      const flow = w.flowM3s[i]! * VAPOUR_WPA;
      let gives = store * w.vapourOld[i]! + flow * (out < 0 ? vapourOutPa : w.vapour[out]!);
      let takes = store + flow;
      for (let j = i + 1; j < count; j++) {
        if (w.active[j] !== 1) continue;
        if (w.outer[j] === i) {
          const inner = w.flowM3s[j]! * VAPOUR_WPA;
          gives += inner * w.vapour[j]!;
          takes += inner;
        }
        break;
      }
      for (let s = 0; s < w.wets; s++) {
        if (w.wetAir[s] !== i) continue;
        const es = w.wetPa[s]! + w.wetSlope[s]! * w.guess[w.wetNode[s]!]!;
        const g = w.wetWPa[s]! * (es < w.vapour[i]! ? 1 : w.wetShare[s]!);
        gives += g * es;
        takes += g;
      }
      w.vapour[i] = gives / takes;
    }
  }
  for (let i = 0; i < count; i++) {
    if (w.active[i] === 1) continue;
    const around = w.columnAir[i]!;
    w.vapour[i] = around < 0 ? vapourOutPa : w.vapour[around]!;
  }
}

function latentW(w: Work, s: number, vapourOutPa: number): number {
  const air = w.wetAir[s]!;
  const e = air < 0 ? vapourOutPa : w.vapour[air]!;
  const es = saturationSurfacePa(w.t[w.wetNode[s]!]!);
  return w.wetWPa[s]! * (es < e ? 1 : w.wetShare[s]!) * (es - e);
}

/** Water gathered on and lost from the inner faces; what runs down is gone. */
function waterFilms(w: Work, dt: number, vapourOutPa: number): void {
  for (let s = 0; s < w.wets; s++) {
    const layer = w.wetLayer[s]!;
    if (layer < 0) continue;
    const kg = (-latentW(w, s, vapourOutPa) * dt) / LATENT_JKG / w.net.layers[layer]!.geometry.coverM2;
    w.film[layer] = Math.min(0.08, Math.max(0, w.film[layer]! + kg));
  }
}

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
  return { gainsW: 0, skyW: 0, edgeW: new Float64Array(8), vapourW: 0, storedW: 0, imbalanceW: 0 };
}

/**
 * The energy books of the step just taken, from the temperatures reached and the unlinearised laws: what came in, what
 * left, what is stored. Radiation and latent heat are taken exactly, so an unconverged step shows.
 */
export function balance(w: Work, k: number, dt: number, books: Books): void {
  const { net, t, tOld } = w;
  books.gainsW = w.sunTotalW + net.bottomW + net.airW;
  books.edgeW.fill(0);
  books.skyW = 0;
  for (let e = 0; e < w.edges; e++) {
    const watts = w.edgeWK[e]! * (t[w.edgeNode[e]!]! - w.edgeC[e]!);
    books.edgeW[w.edgeKind[e]!]! += watts;
  }
  for (let c = 0; c < w.piles.length; c++) {
    const p = w.piles[c]!;
    for (let j = 0; j < p.count; j++) {
      const f = p.factors[j * (p.count + 1) + p.count]!;
      const emitted = STEFAN_BOLTZMANN * Math.pow(t[p.node[j]!]! + KELVIN, 4);
      books.skyW += net.columns[c]!.areaM2 * f * (emitted - w.weather.skyWm2[k]!);
    }
  }
  const vapourOut = w.weather.vapourPa[k]!;
  books.vapourW = 0;
  for (let s = 0; s < w.wets; s++) if (w.wetAir[s]! < 0) books.vapourW += latentW(w, s, vapourOut);
  if (w.outermost >= 0) {
    books.vapourW += w.flowM3s[w.outermost]! * VAPOUR_WPA * (w.vapour[w.outermost]! - vapourOut);
  }
  let stored = 0;
  for (let i = 0; i < w.n; i++) {
    if (i === net.mass || i === w.snowNode) {
      if (i === net.mass || w.snowM > SNOW_MIN_M)
        stored += (storedHeat(w, i, t[i]!) - storedHeat(w, i, tOld[i]!)) / dt;
    } else if (isActive(w, i)) stored += (nodeCapacity(w, i) * (t[i]! - tOld[i]!)) / dt;
  }
  for (let i = 0; i < net.layers.length; i++) {
    if (w.active[i] === 1)
      stored += (net.layers[i]!.geometry.volumeM3 * VAPOUR_WPA * (w.vapour[i]! - w.vapourOld[i]!)) / dt;
  }
  soilBooks(w, k, dt, books);
  stored += books.storedW;
  books.storedW = stored;
  let out = books.skyW + books.vapourW;
  for (let e = 0; e < 8; e++) out += books.edgeW[e]!;
  books.imbalanceW = books.gainsW - out - stored;
}

function isActive(w: Work, node: number): boolean {
  const { net } = w;
  if (node < net.air0) return w.active[net.sheets[node]!.layer] === 1;
  if (node < net.ground0) return w.active[node - net.air0] === 1;
  return true;
}

/** Soil: heat gained by the cells into `storedW`; heat lost sideways to the outside and downwards into `edgeW`. */
function soilBooks(w: Work, k: number, dt: number, books: Books): void {
  const { net, soil, soilOld, outside } = w;
  let stored = 0;
  for (let c = 0; c < net.columns.length; c++) {
    const col = net.columns[c]!;
    const n = col.grid.count;
    for (let j = 0; j < n; j++) {
      const x = col.first + j;
      const cap = col.capacityJK[j]!;
      const lat = col.latentJ[j]!;
      stored += (heatContent(soil[x]!, cap, lat) - heatContent(soilOld[x]!, cap, lat)) / dt;
      if (c === 0 && outside && j >= col.grid.mulchCells && !col.bench) {
        const there = outside.cellsC[k * outside.cellsPerStep + j - col.grid.mulchCells]!;
        books.edgeW[FLOW.side]! += col.sideWK[j]! * (soil[x]! - there);
      }
    }
    let bottomC = net.deepC;
    if (col.bench) {
      bottomC =
        net.benchAir >= 0 && w.active[net.benchAir] === 1
          ? w.tOld[net.air0 + net.benchAir]!
          : w.weather.airC[k]!;
    }
    books.edgeW[FLOW.deep]! += col.bottomWK * (soil[col.first + n - 1]! - bottomC);
  }
  books.storedW = stored;
}

/**
 * Takes the step that ends at index k of the prepared weather. `steady` leaves the soil alone and drops other storage:
 * the state at the very start.
 */
export function step(w: Work, k: number, midMs: number, steady = false): void {
  const dt = w.weather.stepS;
  setLayers(w, midMs);
  if (w.snowNode >= 0) fallingSnow(w, k, dt);
  updateThermalPiles(w, w.weather.rainKgM2s[k]! > 1e-6);
  absorbSun(w, k);
  // the first guess goes on as the last step went: the first look is then nearly the last
  for (let i = 0; i < w.n; i++) {
    const c = w.t[i]!;
    w.guess[i] = steady || i === w.snowNode ? c : c + w.trust * (c - w.tOld[i]!);
    w.tOld[i] = c;
  }
  w.soilOld.set(w.soil);
  for (let i = 0; i < w.vapour.length; i++) {
    const e = w.vapour[i]!;
    if (!steady) w.vapour[i] = Math.max(0.5 * e, e + w.trust * (e - w.vapourOld[i]!));
    w.vapourOld[i] = e;
  }
  const vapourOut = w.weather.vapourPa[k]!;
  let before = Infinity;
  w.trust = steady ? 0 : 1;
  for (let it = 0; it < MAX_ITERATIONS; it++) {
    w.reuse = it > 0;
    assemble(w, k, dt, steady);
    solveSymmetric(w.a, w.b, w.n);
    const freezing = backSubstituteSoil(w, it > 4);
    let moved = freezing;
    for (let i = 0; i < w.n; i++) {
      const d = Math.abs(w.b[i]! - w.guess[i]!);
      if (d > moved) moved = d;
      w.guess[i] = w.b[i]!;
      // melting snow cannot run away: the next look is from the middle of the melt
      if (i === w.snowNode && w.snowM > SNOW_MIN_M && w.b[i]! > 0.5) w.guess[i] = SNOW_MELTED_C - 0.5;
    }
    vapourBalance(w, dt, vapourOut);
    // how much of a move the next look would still find: of the first look, as the last steps had it
    // freezing ground is no straight line: there the first look is never the last
    const first = before === Infinity;
    const contraction = first
      ? freezing > 0
        ? 1
        : Math.max(FIRST_LOOK, w.contraction)
      : Math.min(1, moved / before);
    if (!first) w.contraction = Math.max(contraction, 0.8 * w.contraction);
    if (moved * contraction < TOLERANCE_K) break;
    before = moved;
  }
  w.t.set(w.guess);
  if (steady) {
    w.soil.set(w.soilOld);
    return;
  }
  waterFilms(w, dt, vapourOut);
}

/** Melts and sheds snow after the books of the step are closed: meltwater runs off, a slope sheds a wet load. */
export function shedSnow(w: Work): void {
  if (w.snowNode < 0 || w.snowM <= SNOW_MIN_M) return;
  const melted = liquidShare(w.t[w.snowNode]! - SNOW_MELTED_C);
  w.snowM *= 1 - melted;
  if (melted > 0) w.t[w.snowNode] = SNOW_MELTED_C - 1;
  if (w.snowLayer >= 0) {
    const layer = w.net.layers[w.snowLayer]!;
    if (layer.spec.shape === 'arch' && w.t[layer.firstSheet]! > 0.3) w.snowM *= 0.5;
  }
  if (w.snowM <= SNOW_MIN_M) {
    w.snowM = 0;
    w.opticsStale = true;
  }
}

/** Temperatures of the cells from that of the surface; returns four times how far the furthest freezing cell moved: it holds that much more. */
function backSubstituteSoil(w: Work, late: boolean): number {
  const { net, soil, alpha, beta, b } = w;
  let moved = 0;
  for (let c = 0; c < net.columns.length; c++) {
    const col = net.columns[c]!;
    let above = b[net.ground0 + c]!;
    for (let j = 0; j < col.grid.count; j++) {
      const x = col.first + j;
      above = alpha[x]! * above + beta[x]!;
      const was = soil[x]!;
      let now = above;
      if (now < 0.05 || was < 0.05) {
        moved = Math.max(moved, 4 * Math.abs(now - was));
        // a guess that leaps over the freezing span would leap back: the next look is from its middle
        if ((was >= 0 && now <= -FREEZE_SPAN_C) || (was <= -FREEZE_SPAN_C && now >= 0))
          now = -0.5 * FREEZE_SPAN_C;
        else if (late) now = 0.5 * (now + was);
      }
      soil[x] = now;
    }
  }
  return moved;
}
