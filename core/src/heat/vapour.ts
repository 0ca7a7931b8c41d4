/**
 * Water as vapour in the air of each layer, as drops and frost on its faces, in the skin of the soil. Contract:
 * `vapourBalance` after each look at the step, `movedWater` once it has settled.
 */
import { surfacePa } from '../sky/air';
import { WATER } from './links';
import { skinWaterAfter } from './soil';
import { FUSION_JKG, LATENT_JKG, VAPOUR_WPA } from './storage';
import { FLOW, type Work } from './work';

/** Saturation at each wet face as this look has it, Pa. */
const wetPa = new Float64Array(512);

/** Vapour pressure in each air from what its wet faces give and take and what the air brings in. */
export function vapourBalance(w: Work, dt: number, vapourOutPa: number): void {
  const { net } = w;
  const count = net.layers.length;
  const from = w.given ? net.shared : 0;
  for (let s = 0; s < w.wets; s++) wetPa[s] = w.wetPa[s]! + w.wetSlope[s]! * w.guess[w.wetNode[s]!]!;
  for (let sweep = 0; sweep < 2; sweep++) {
    for (let i = from; i < count; i++) {
      if (w.active[i] !== 1) continue;
      const store = (net.layers[i]!.geometry.volumeM3 * VAPOUR_WPA) / dt;
      const out = w.outer[i]!;
      const flow = w.vapourM3s[i]! * VAPOUR_WPA;
      let gives = store * w.vapourOld[i]! + flow * (out < 0 ? vapourOutPa : w.vapour[out]!);
      let takes = store + flow;
      for (let j = i + 1; j < count; j++) {
        if (w.active[j] !== 1 || w.outer[j] !== i) continue;
        const inner = w.vapourM3s[j]! * VAPOUR_WPA;
        gives += inner * w.vapour[j]!;
        takes += inner;
      }
      for (let s = 0; s < w.wets; s++) {
        if (w.wetAir[s] !== i) continue;
        const es = wetPa[s]!;
        const g = w.wetWPa[s]! * (es < w.vapour[i]! ? 1 : w.wetShare[s]!);
        gives += g * es;
        takes += g;
      }
      w.vapour[i] = gives / takes;
    }
  }
  for (let i = from; i < count; i++) {
    if (w.active[i] === 1) continue;
    const around = w.enclosing[i]!;
    w.vapour[i] = around < 0 ? vapourOutPa : w.vapour[around]!;
  }
}

/** What a wet face gives off as vapour, W (as for liquid water; frost takes more, see `sublimes`). */
export function latentW(w: Work, s: number, vapourOutPa: number): number {
  const air = w.wetAir[s]!;
  const e = air < 0 ? vapourOutPa : w.vapour[air]!;
  const es = surfacePa(w.t[w.wetNode[s]!]!);
  return w.wetWPa[s]! * (es < e ? 1 : w.wetShare[s]!) * (es - e);
}

/** More than this runs down a film or drips off cloth, kg/m². */
const HOLDS_KGM2 = 0.08;

/** Water gathered on and lost from covers and the soil's skin in the step; what runs down is gone. */
export function movedWater(w: Work, k: number, dt: number): void {
  const { net } = w;
  const vapourOut = w.weather.vapourPa[k]!;
  const rain = w.weather.rainKgM2s[k]! * dt;
  for (let s = 0; s < w.wets; s++) {
    const water = w.wetLayer[s]! % 4;
    const owner = w.wetLayer[s]! >> 2;
    if (water === WATER.none) continue;
    const kg = (latentW(w, s, vapourOut) * dt) / LATENT_JKG;
    if (water === WATER.skin) {
      const column = net.columns[owner]!;
      const wetted = w.columnAir[owner]! < 0 ? rain : 0;
      w.skinWater[owner] = skinWaterAfter(w.skinWater[owner]!, column.soil, kg / column.areaM2, wetted, dt);
      continue;
    }
    const face = water === WATER.film ? w.film : w.dew;
    const given = kg / net.layers[owner]!.geometry.coverM2;
    face[owner] = Math.min(HOLDS_KGM2, Math.max(0, face[owner]! - given));
    if (w.t[w.wetNode[s]!]! < 0) w.frost[owner] = Math.max(0, w.frost[owner]! - given);
  }
  for (let e = 0; e < w.edges; e++) {
    if (w.edgeKind[e] !== FLOW.melt) continue;
    const layer = net.sheets[w.edgeNode[e]!]!.layer;
    const kg = (w.edgeWK[e]! * w.t[w.edgeNode[e]!]! * dt) / FUSION_JKG / net.layers[layer]!.geometry.coverM2;
    w.frost[layer] = Math.max(0, w.frost[layer]! - kg);
  }
  for (let i = 0; i < net.layers.length; i++) w.frost[i] = Math.min(w.frost[i]!, w.film[i]! + w.dew[i]!);
}
