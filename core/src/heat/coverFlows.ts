/**
 * What covers exchange in a step: air through them, convection at their faces, their sides, water on them. Contract:
 * `covers(w, k, dt)` writes it for every layer that is on, with coefficients as the step began.
 */
import {
  draughtWm2K,
  freeWm2K,
  lyingSheetWm2K,
  standingCoverWm2K,
  turningMps,
  windAtMps,
} from './convection';
import { drivingPa, throughCloth, throughHoles, throughOpening, windAcross } from './flow';
import type { CompiledLayer } from './layers';
import { edge, keep, link, sideways, TO_GROUND, TO_SKY, wet, WATER } from './links';
import { SNOW_MIN_M } from './radiation';
import { FUSION_JKG } from './storage';
import { FLOW, type Work } from './work';

const SNOW_CONDUCTIVITY = 0.12;
/** Melting water on a face holds it at 0 °C this strongly, W/(m² K). */
const MELT_WM2K = 25;

/** How much warmer a metre is than the one below in a closed house in full sun, K/m for each W/m²; an open one mixes. */
const GRADIENT_KM_PER_WM2 = 0.001;
const MIXED_AT_CHANGES_H = 15;
const TALL_M = 1.5;
/** Where an arch's air and its roof have their mean, as shares of its height. */
export const MEAN_AIR_HEIGHT = 0.42;
const MEAN_ROOF_HEIGHT = 0.64;

function gradient(w: Work, k: number, i: number, flowM3s: number): number {
  const { geometry } = w.net.layers[i]!;
  if (geometry.heightM < TALL_M) return 0;
  const sun = w.weather.beamWm2[k]! + w.weather.diffuseWm2[k]!;
  const changesH = (flowM3s * 3600) / geometry.volumeM3;
  return (GRADIENT_KM_PER_WM2 * sun) / (1 + changesH / MIXED_AT_CHANGES_H);
}

/** Air through joints, cloth and holes, m³/s. */
function leaksThrough(w: Work, layer: CompiledLayer, dT: number, wind: number): number {
  const g = layer.geometry;
  const pa = drivingPa(g.heightM, dT, wind, layer.windShare);
  let through = throughOpening(layer.leakM2, g.heightM, dT, wind);
  if (layer.permeabilityMsPa > 0) through += throughCloth(layer.clothM2, layer.permeabilityMsPa, pa);
  if (layer.holesM2 > 0) through += throughHoles(layer.holesM2, pa);
  return keep(w, through);
}

/** Air through what stands open, m³/s. */
function ventsThrough(w: Work, k: number, i: number, dT: number, wind: number): number {
  const layer = w.net.layers[i]!;
  const vent = layer.ventM2 * w.opening[i]!;
  if (vent <= 0) return keep(w, 0);
  const across = windAcross(layer.spec.turnDeg, w.weather.windFromDeg[k]!);
  return keep(w, throughOpening(vent, Math.max(0.3, layer.geometry.heightM), dT, wind, across));
}

/** Ice on a face that has come above freezing takes its heat of fusion before the face warms on. */
function melt(w: Work, i: number, dt: number): void {
  const layer = w.net.layers[i]!;
  const face = layer.lastSheet;
  const c = w.guess[face]!;
  const kg = w.frost[i]!;
  if (kg <= 0 || c <= 0) return;
  const most = (kg * FUSION_JKG) / dt / Math.max(0.3, c);
  edge(w, face, Math.min(MELT_WM2K, most) * layer.geometry.coverM2, 0, FLOW.melt);
}

/** Convection, sides, dew and rain at the outer face; returns its coefficient. */
function outerFace(w: Work, k: number, i: number, localWind: number): number {
  const { net, guess, weather } = w;
  const layer = net.layers[i]!;
  const g = layer.geometry;
  const airC = weather.airC[k]!;
  const out = w.outer[i]!;
  const top = layer.firstSheet;
  const snow = w.snowM > SNOW_MIN_M && w.snowLayer === i;
  const face = snow ? w.snowNode : top;
  const side = Math.max(0, g.coverM2 - g.floorM2);
  const emit = 1 - w.passedTop[i]!;
  if (snow) link(w, w.snowNode, top, (SNOW_CONDUCTIVITY / w.snowM) * g.coverM2);
  if (out < 0) {
    const c = guess[face]!;
    const h = keep(
      w,
      layer.spec.shape === 'flat'
        ? lyingSheetWm2K(weather.windMps[k]!, airC, c, g.heightM, weather.airJM3K)
        : standingCoverWm2K(localWind, layer.spec.widthM, c - airC, weather.density),
    );
    edge(w, face, h * g.coverM2, airC, FLOW.convection);
    if (!snow) wet(w, top, weather.latentPerSensible * h * g.coverM2, -1, w.dewUsed[i]!, WATER.dew, i);
    if (side > 0) {
      // sides beyond the floor's area see half sky, half ground
      const e = 0.5 * side * net.sheets[top]!.emitTop * emit;
      sideways(w, face, TO_SKY, e);
      sideways(w, face, TO_GROUND, e);
    }
    const rain = weather.rainKgM2s[k]!;
    if (rain > 0) edge(w, face, rain * 4186 * g.floorM2, airC, FLOW.rain);
    return h;
  }
  const outAir = net.air0 + out;
  const dT = guess[face]! - guess[outAir]!;
  const h = keep(w, freeWm2K(dT, dT > 0, weather.density) + draughtWm2K(w.airSpeed[out]!));
  link(w, face, outAir, h * g.coverM2);
  if (!snow) wet(w, top, weather.latentPerSensible * h * g.coverM2, out, w.dewUsed[i]!, WATER.dew, i);
  if (side > 0) {
    const e = 0.5 * side * net.sheets[top]!.emitTop * 0.8;
    sideways(w, face, net.layers[out]!.lastSheet, e);
    sideways(w, face, net.ground0 + floorColumn(w, out), e);
  }
  return h;
}

/** The column of bare floor under a layer. */
function floorColumn(w: Work, layer: number): number {
  const { columns } = w.net;
  for (let c = 0; c < columns.length; c++) if (columns[c]!.layer === layer) return c;
  return 0;
}

export function covers(w: Work, k: number, dt: number): void {
  const { net, guess, weather } = w;
  const airC = weather.airC[k]!;
  const wind = weather.windMps[k]!;
  const from = w.given ? net.shared : 0;
  for (let i = from; i < net.layers.length; i++) {
    if (w.active[i] !== 1) continue;
    const layer = net.layers[i]!;
    const g = layer.geometry;
    const air = net.air0 + i;
    const out = w.outer[i]!;
    const outC = out < 0 ? airC : guess[net.air0 + out]!;
    const localWind = out < 0 ? windAtMps(wind, Math.max(0.2, g.heightM)) : w.airSpeed[out]!;
    const leaks = leaksThrough(w, layer, guess[air]! - outC, localWind);
    const vents = ventsThrough(w, k, i, guess[air]! - outC, localWind);
    const flow = leaks + vents;
    w.flowM3s[i] = flow;
    const turns = turningMps(g.heightM, guess[air]! - guess[layer.lastSheet]!);
    w.airSpeed[i] = turns + Math.min(localWind, (0.5 * flow) / layer.crossM2);
    w.gradientKM[i] = gradient(w, k, i, flow);
    if (out < 0) {
      edge(w, air, weather.airJM3K * leaks, airC, FLOW.leakage);
      if (vents > 0) edge(w, air, weather.airJM3K * vents, airC, FLOW.vent);
      if (layer.boardWK > 0) edge(w, air, layer.boardWK, airC, FLOW.boards);
    } else {
      link(w, air, net.air0 + out, weather.airJM3K * flow + layer.boardWK);
    }
    if (layer.earthWK > 0) edge(w, air, layer.earthWK, earthC(w, k, layer), FLOW.boards);
    const hOut = outerFace(w, k, i, localWind);
    melt(w, i, dt);
    for (let s = layer.firstSheet; s < layer.lastSheet; s++) link(w, s, s + 1, net.sheets[s]!.gapWK);
    const inner = layer.lastSheet;
    const up = w.gradientKM[i]! * (MEAN_ROOF_HEIGHT - MEAN_AIR_HEIGHT) * g.heightM;
    const dIn = guess[inner]! - guess[air]! - up;
    const hIn = keep(w, freeWm2K(dIn, dIn < 0, weather.density) + draughtWm2K(w.airSpeed[i]!));
    link(w, inner, air, hIn * g.coverM2, up);
    w.vapourM3s[i] = flow + throughPores(w, layer, hIn, hOut);
    wet(w, inner, weather.latentPerSensible * hIn * g.coverM2, i, w.wetUsed[i]!, WATER.film, i);
  }
}

/**
 * Vapour that diffuses through cloth as if m³/s of air went through: 0.2 mm of pores resist it by some 12 s/m, so little
 * beside the air at both faces that only those count.
 */
function throughPores(w: Work, layer: CompiledLayer, hIn: number, hOut: number): number {
  const { permeabilityMsPa, holesM2, geometry } = layer;
  if (permeabilityMsPa <= 0 && holesM2 <= 0) return 0;
  const open = permeabilityMsPa > 0 ? 1 : holesM2 / geometry.coverM2;
  return (open * geometry.coverM2) / (w.weather.airJM3K * (1 / hIn + 1 / hOut));
}

/** Temperature of the ground beside a banked or sunk frame, °C. */
function earthC(w: Work, k: number, layer: CompiledLayer): number {
  const { outside } = w;
  if (!outside) return w.net.deepC;
  const { centreM } = outside;
  let cell = 0;
  while (cell < centreM.length - 1 && centreM[cell]! < layer.earthDepthM) cell += 1;
  return outside.cellsC[k * outside.cellsPerStep + cell]!;
}
