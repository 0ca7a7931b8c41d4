/**
 * What ground, crop, jugs and heaters exchange in a step. Contract: `groundAndCrop(w, k)` writes it for every column, with
 * coefficients as the step began.
 */
import {
  freeWm2K,
  leafWm2K,
  mixingWm2K,
  openGroundWm2K,
  shareAbove,
  stomataSm,
  wetShareBehind,
  windAtMps,
} from './convection';
import { MEAN_AIR_HEIGHT } from './coverFlows';
import { edge, keep, link, wet, WATER } from './links';
import type { Part } from './network';
import { SNOW_MIN_M } from './radiation';
import { skinResistanceSm } from './soil';
import { FLOW, type Work } from './work';

const SNOW_CONDUCTIVITY = 0.12;
/** A flat sheet lies on the canopy's air itself. */
const UNDER_FLAT_WM2K = 20;
/** Part of what a bed by a side exchanges with the air that sinks along the cover there: starting value. */
const DOWN_THE_SIDE = 0.25;
const CONTACT_WM2K = 6;
const BARE_ROUGHNESS_M = 0.01;
/** With the leaves' own boundary layer (about 6 in still air) in series this comes to the floor of the whole, 2. */
const STILL_ABOVE_WM2K = 3;
/** Leaves that are freezing keep their stomata shut. */
const SHUT_BELOW_C = 2;

/** Offset of the air at a height over the floor against the layer's mean, K. */
function layeredK(w: Work, layer: number, heightM: number): number {
  const g = w.gradientKM[layer]!;
  return g === 0 ? 0 : g * (heightM - MEAN_AIR_HEIGHT * w.net.layers[layer]!.geometry.heightM);
}

/**
 * The air near the ground, among and between the plants, against what is above it: the air of the innermost layer, or the
 * open. Returns the coefficient.
 */
function canopyToAir(w: Work, k: number, part: Part, layer: number): number {
  const { net, guess, weather } = w;
  const area = part.areaM2;
  const canopyC = guess[part.canopy]!;
  const buried = w.snowM > SNOW_MIN_M && w.snowLayer === -1;
  if (layer < 0) {
    const airC = weather.airC[k]!;
    const rough = Math.max(0.005, 0.1 * part.cropHeightM);
    const whole = openGroundWm2K(weather.windMps[k]!, airC, canopyC, rough, weather.airJM3K, 0.1);
    // in still air the floor is what stirs it all, leaf to screen: not more above the crop alone
    const open = keep(w, Math.max(STILL_ABOVE_WM2K, whole / shareAbove(part.cropHeightM, rough)));
    if (buried) {
      link(w, part.canopy, w.snowNode, (SNOW_CONDUCTIVITY / w.snowM) * area);
      edge(w, w.snowNode, open * area, airC, FLOW.convection);
    } else edge(w, part.canopy, open * area, airC, FLOW.convection);
    return open;
  }
  const inside = net.layers[layer]!;
  const air = net.air0 + layer;
  const offset = layeredK(w, layer, part.standsM + part.cropHeightM);
  const warmer = canopyC - guess[air]! - offset;
  const mixing =
    inside.spec.shape === 'flat'
      ? UNDER_FLAT_WM2K
      : keep(w, mixingWm2K(part.cropHeightM, warmer, w.airSpeed[layer]!, weather.airJM3K));
  const aside = part.zone === 'side' && layer < net.shared ? DOWN_THE_SIDE : 0;
  if (buried) {
    // snow that was there before the sheet lies between the crop and the air
    link(w, part.canopy, w.snowNode, (SNOW_CONDUCTIVITY / w.snowM) * area);
    link(w, w.snowNode, air, mixing * area);
  } else {
    if (aside > 0) link(w, part.canopy, inside.lastSheet, aside * mixing * area);
    link(w, part.canopy, air, (1 - aside) * mixing * area, offset);
  }
  if (inside.touches) link(w, part.leaf, inside.lastSheet, CONTACT_WM2K * part.leafCover * area);
  return mixing;
}

/** Ground against the air just above it: free convection, and wind where the crop leaves the ground to it. W/(m² K). */
function groundToAir(w: Work, k: number, part: Part, dT: number, speed: number, layer: number): number {
  const { weather } = w;
  const free = freeWm2K(dT, dT > 0, weather.density);
  const sheltered = 2 * Math.sqrt(speed);
  if (layer >= 0) return free + sheltered;
  const airC = weather.airC[k]!;
  const whole = openGroundWm2K(weather.windMps[k]!, airC, airC, BARE_ROUGHNESS_M, weather.airJM3K);
  const exposed = whole / (1 - shareAbove(part.cropHeightM, BARE_ROUGHNESS_M));
  return free + part.leafCover * sheltered + (1 - part.leafCover) * exposed;
}

/** Writes a bed's crop and the ground under it; returns the skin's coefficient for vapour, W per m² of bed and K. */
function crop(w: Work, k: number, part: Part, skin: number, layer: number): number {
  const { guess, weather } = w;
  const canopyC = guess[part.canopy]!;
  const speed =
    layer < 0 ? 0.5 * windAtMps(weather.windMps[k]!, Math.max(0.2, part.cropHeightM)) : w.airSpeed[layer]!;
  const under = keep(w, groundToAir(w, k, part, guess[skin]! - canopyC, speed, layer));
  link(w, skin, part.canopy, under * part.areaM2);
  const leafC = guess[part.leaf]!;
  const hLeaf = keep(w, leafWm2K(speed, leafC - canopyC, weather.density));
  const leafWK = 2 * part.leafAreaM2 * hLeaf;
  link(w, part.leaf, part.canopy, leafWK);
  const light = leafC > SHUT_BELOW_C ? w.sun[part.leaf]! / Math.max(0.1, part.areaM2) : 0;
  const share = wetShareBehind(stomataSm(light), hLeaf, weather.airJM3K);
  const above = canopyToAir(w, k, part, layer);
  // vapour crosses the air at the leaf, then that of the canopy
  const vapourWK = 1 / (2 / leafWK + 1 / (above * part.areaM2));
  wet(w, part.leaf, weather.latentPerSensible * vapourWK, layer, share, WATER.none, 0);
  return 1 / (1 / under + 1 / above);
}

export function groundAndCrop(w: Work, k: number): void {
  const { net, guess, weather } = w;
  const airC = weather.airC[k]!;
  for (let c = 0; c < net.columns.length; c++) {
    const column = net.columns[c]!;
    const skin = net.ground0 + c;
    const layer = w.columnAir[c]!;
    const area = column.areaM2;
    const part = net.parts[column.part];
    let h: number;
    if (part) h = crop(w, k, part, skin, layer);
    else if (layer < 0) {
      h = keep(w, openGroundWm2K(weather.windMps[k]!, airC, guess[skin]!, BARE_ROUGHNESS_M, weather.airJM3K));
      edge(w, skin, h * area, airC, FLOW.convection);
    } else {
      const air = net.air0 + layer;
      const offset = layeredK(w, layer, 0);
      const dT = guess[skin]! - guess[air]! - offset;
      h = keep(w, freeWm2K(dT, dT > 0, weather.density) + 2 * Math.sqrt(w.airSpeed[layer]!));
      link(w, skin, air, h * area, offset);
    }
    const resistance = skinResistanceSm(w.skinWater[c]!, column.soil.fullWater) + column.mulchSm;
    const share = wetShareBehind(resistance, h, weather.airJM3K);
    wet(w, skin, weather.latentPerSensible * h * area, layer, share, WATER.skin, c);
  }
  const shelter = net.massLayer >= 0 ? w.enclosing[net.massLayer]! : -1;
  const around = shelter < 0 ? net.parts[0]!.canopy : net.air0 + shelter;
  if (net.mass >= 0) link(w, net.mass, around, 8 * net.massAreaM2);
  if (net.airW > 0) w.b[around]! += net.airW;
}
