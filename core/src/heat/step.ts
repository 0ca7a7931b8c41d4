/**
 * One implicit step of the bed, or of all beds of a house: iterate the linearised balance until no node moves, then the
 * water. Books are kept in `books.ts`.
 */
import { assemble } from './assemble';
import { absorbSun, SNOW_MIN_M, updateThermalPiles } from './radiation';
import { fallingSnow, settleMelting } from './snow';
import { FREEZE_SPAN_C } from './soil';
import { solveSymmetric } from './solve';
import { movedWater, vapourBalance } from './vapour';
import type { Work } from './work';

/** The step ends when the next iteration would move no node and no cell further than this, as the last two promise. */
const TOLERANCE_K = 0.01;
/** In the dark, where less flows and less is out of balance by a move. */
const NIGHT_TOLERANCE_K = 0.03;
const MAX_ITERATIONS = 14;
/** A first look is never trusted more than this. */
const FIRST_LOOK = 0.25;

/** Which layers are on and how far they are open at the middle of the step; what wraps what. */
export function setLayers(w: Work, midAtMs: number): void {
  const { net } = w;
  let changed = false;
  let moved = false;
  for (let i = 0; i < net.layers.length; i++) {
    const layer = net.layers[i]!;
    let on = layer.on === null ? 1 : 0;
    if (layer.on) for (const span of layer.on) if (midAtMs >= span.from && midAtMs < span.to) on = 1;
    if (w.active[i] !== on) {
      changed = true;
      w.active[i] = on;
    }
    let opening = 0;
    for (const step of layer.open) if (midAtMs >= step.from) opening = step.fraction;
    if (w.opening[i] !== opening) {
      w.opening[i] = opening;
      moved = true;
    }
  }
  // after a move nothing goes on as it went: neither where temperatures head nor the air that goes through
  if (!changed && !moved) return;
  w.trust = 0;
  w.contraction = 1;
  w.keptWm2K.fill(0);
  if (!changed) return;
  w.opticsStale = true;
  w.outermost = -1;
  for (let i = 0; i < net.layers.length; i++) {
    const { parent } = net.layers[i]!;
    const outer = parent < 0 ? -1 : w.enclosing[parent]!;
    w.outer[i] = outer;
    w.enclosing[i] = w.active[i] === 1 ? i : outer;
    if (w.active[i] === 1) {
      if (w.outermost < 0) w.outermost = i;
    } else {
      w.film[i] = 0;
      w.dew[i] = 0;
      w.frost[i] = 0;
    }
  }
  for (let c = 0; c < net.columns.length; c++) {
    const { layer } = net.columns[c]!;
    w.columnAir[c] = layer < 0 ? -1 : w.enclosing[layer]!;
  }
}

/** Takes what a whole house was found to be at the end of step k: water, air speed, vapour and snow of the shared layers. */
function takeGiven(w: Work, k: number): void {
  const { given } = w;
  if (!given) return;
  const { layers, sheets, rows } = given;
  let at = k * given.stride + sheets + layers;
  for (let i = 0; i < layers; i++) w.vapour[i] = rows[at++]!;
  for (let i = 0; i < layers; i++) w.film[i] = rows[at++]!;
  for (let i = 0; i < layers; i++) w.dew[i] = rows[at++]!;
  for (let i = 0; i < layers; i++) w.airSpeed[i] = rows[at++]!;
  for (let i = 0; i < layers; i++) w.gradientKM[i] = rows[at++]!;
  if (w.snowNode < 0) return;
  const lies = given.snowLayer[k]!;
  const before = w.snowM;
  w.snowM = lies >= 0 ? rows[at]! : 0;
  w.snowLayer = lies;
  if (before > SNOW_MIN_M !== w.snowM > SNOW_MIN_M) w.opticsStale = true;
}

/** The first guess goes on as the last step went: the first look is then nearly the last. */
function firstGuess(w: Work, steady: boolean): void {
  for (let i = 0; i < w.n; i++) {
    const c = w.t[i]!;
    w.guess[i] = steady || i === w.snowNode ? c : c + w.trust * (c - w.tOld[i]!);
    w.tOld[i] = c;
  }
  const go = steady ? 0 : w.trust;
  for (let x = 0; x < w.soil.length; x++) {
    const c = w.soil[x]!;
    w.soil[x] = c + go * (c - w.soilOld[x]!);
    w.soilOld[x] = c;
  }
  for (let i = 0; i < w.vapour.length; i++) {
    const e = w.vapour[i]!;
    if (!steady) w.vapour[i] = Math.max(0.5 * e, e + w.trust * (e - w.vapourOld[i]!));
    w.vapourOld[i] = e;
  }
}

/**
 * Takes a step of `dt` s to what stands at index k of the prepared weather; `midAtMs` is its middle. `steady` leaves the soil alone and drops other storage:
 * the state at the very start.
 */
export function step(w: Work, k: number, midAtMs: number, dt: number, steady = false): void {
  if (dt !== w.lastDt) {
    // the elimination of the soil and the guess of where things head are for one length of step
    w.factored.fill(0);
    w.trust *= Math.min(1, dt / Math.max(1, w.lastDt));
    w.lastDt = dt;
  }
  setLayers(w, midAtMs);
  if (w.snowNode >= 0 && !w.given) fallingSnow(w, k, dt);
  firstGuess(w, steady);
  takeGiven(w, k);
  updateThermalPiles(w, w.weather.rainKgM2s[k]! > 1e-6);
  absorbSun(w, k);
  const vapourOut = w.weather.vapourPa[k]!;
  let before = Infinity;
  w.trust = steady ? 0 : 1;
  for (let it = 0; it < MAX_ITERATIONS; it++) {
    w.reuse = it > 0;
    assemble(w, k, dt, steady);
    solveSymmetric(w.a, w.b, w.n);
    const freezing = backSubstituteSoil(w, it > 4, Math.min(4, Math.max(2, FREEZING_WEIGHT_S / dt)));
    const turned = it < 6 && settleMelting(w);
    let moved = freezing;
    for (let i = 0; i < w.n; i++) {
      const d = Math.abs(w.b[i]! - w.guess[i]!);
      if (d > moved) moved = d;
      w.guess[i] = w.b[i]!;
    }
    vapourBalance(w, dt, vapourOut);
    if (turned) continue;
    // how much of a move the next look would still find: of the first look, as the last steps had it
    // freezing ground is no straight line: there the first look is never the last
    const first = before === Infinity;
    const contraction = first
      ? freezing > 0
        ? 1
        : Math.max(FIRST_LOOK, w.contraction)
      : Math.min(1, moved / before);
    if (!first) w.contraction = Math.max(contraction, 0.8 * w.contraction);
    if (moved * contraction < (w.sunTotalW > 0 ? TOLERANCE_K : NIGHT_TOLERANCE_K)) break;
    before = moved;
  }
  w.t.set(w.guess);
  if (steady) {
    w.soil.set(w.soilOld);
    return;
  }
  movedWater(w, k, dt);
}

/**
 * A freezing cell holds several times more than its neighbours: how far it moved counts that much more, in short steps
 * where that is much heat in little time.
 */
const FREEZING_WEIGHT_S = 2400;

/** Temperatures of the cells from that of the surface; returns how far the furthest freezing cell moved, weighted. */
function backSubstituteSoil(w: Work, late: boolean, weight: number): number {
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
        moved = Math.max(moved, weight * Math.abs(now - was));
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
