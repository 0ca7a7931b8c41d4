/**
 * Snow that falls, lies, melts and slides. It lies on one thing at a time: the outermost cover, or the crop. Contract:
 * `fallingSnow` before a step, `settleMelting` after each look at it, `shedSnow` when its books are closed.
 */
import { SNOW_MIN_M } from './radiation';
import { FUSION_JKG, snowKg } from './storage';
import type { Work } from './work';

const MOST_M = 0.6;

/** New snow; what lies stays where it lies, also under a sheet put on since, and goes only with the cover it lies on. */
export function fallingSnow(w: Work, k: number, dt: number): void {
  const top = w.outermost;
  if (w.snowLayer >= 0 && w.active[w.snowLayer] !== 1) w.snowM = 0;
  if (w.snowM <= 0) w.snowLayer = top;
  const before = w.snowM > SNOW_MIN_M;
  w.snowM = Math.min(MOST_M, w.snowM + w.weather.snowMps[k]! * dt);
  if (w.snowM > SNOW_MIN_M && !before) {
    w.opticsStale = true;
    w.keptWm2K.fill(0);
    w.melting = false;
    w.t[w.snowNode] = Math.min(-0.5, w.weather.airC[k]!);
  }
}

/**
 * Snow is below 0 °C, or at it and melting by what comes to it. After a look at the step: whether it was the wrong one of
 * the two, so that another look is needed. Nothing leaps: where melting is held, it is a straight line again.
 */
export function settleMelting(w: Work): boolean {
  if (w.snowNode < 0 || w.snowM <= SNOW_MIN_M || w.given) return false;
  if (!w.melting) {
    w.meltW = 0;
    if (w.b[w.snowNode]! <= 0) return false;
    w.melting = true;
    return true;
  }
  let out = 0;
  for (let j = 0; j < w.snowNode; j++) out += w.snowRow[j]! * w.b[j]!;
  w.meltW = w.snowRow[w.n]! - out;
  if (w.meltW >= 0) return false;
  w.melting = false;
  return true;
}

/** Halves in twenty minutes on an arch whose cover is warm. */
const SLIDES_S = 1200;

/** Melts and sheds snow after the books of the step are closed: meltwater runs off, a slope sheds a wet load. */
export function shedSnow(w: Work, dt: number): void {
  if (w.snowNode < 0 || w.snowM <= SNOW_MIN_M || w.given) return;
  if (w.melting) {
    const perM = snowKg(w) / w.snowM;
    w.snowM = Math.max(0, w.snowM - (w.meltW * dt) / FUSION_JKG / perM);
  }
  if (w.snowLayer >= 0) {
    const layer = w.net.layers[w.snowLayer]!;
    if (layer.spec.shape === 'arch' && w.t[layer.firstSheet]! > 0.3) w.snowM *= Math.pow(0.5, dt / SLIDES_S);
  }
  if (w.snowM <= SNOW_MIN_M) {
    w.snowM = 0;
    w.melting = false;
    w.opticsStale = true;
  }
}
