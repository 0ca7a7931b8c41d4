/** What the nodes hold: heat capacities, and the heat of what freezes and melts. J and J/K. */
import { heatContent, heatSlope } from './soil';
import type { Work } from './work';

export const SNOW_DENSITY = 100;
/** Heat of evaporation and of fusion of water, J/kg. */
export const LATENT_JKG = 2.5e6;
export const FUSION_JKG = 334_000;
/** Vapour carried by 1 m³/s of air for each Pa, W: L ρ_v, the same at any pressure. */
export const VAPOUR_WPA = 2.5e6 * 7.75e-6;
/** Furnishings, plants and frame hold about half as much again as the air itself. */
const AIR_AND_FRAME = 1.5;

/**
 * Heat of what condenses as frost over that of dew: sublimation below 0 °C.
 * @example sublimes(5) < sublimes(-5) // true
 */
export function sublimes(c: number): number {
  return c < 0 ? 1 + FUSION_JKG / LATENT_JKG : 1;
}

/** Heat capacity of a node, J/K; of the water mass the slope of its heat content at the guess. */
export function nodeCapacity(w: Work, node: number): number {
  const { net, weather } = w;
  if (node < net.air0) return net.sheets[node]!.capacityJK;
  if (node < net.ground0) {
    return weather.airJM3K * AIR_AND_FRAME * net.layers[node - net.air0]!.geometry.volumeM3;
  }
  const column = node - net.ground0;
  if (column < net.columns.length) return 800 * net.columns[column]!.areaM2;
  if (node === net.mass) return heatSlope(w.guess[node]!, net.massLitres * 4186, net.massLitres * FUSION_JKG);
  if (node === w.snowNode) return snowKg(w) * 2100;
  const after = column - net.columns.length;
  const part = net.parts[after >> 1]!;
  return after % 2 === 0
    ? weather.airJM3K * part.areaM2 * Math.max(0.05, part.cropHeightM)
    : part.leafAreaM2 * 0.3 * 3800;
}

/** Snow that lies, kg. */
export function snowKg(w: Work): number {
  const { net } = w;
  const area = w.snowLayer >= 0 ? net.layers[w.snowLayer]!.geometry.floorM2 : net.parts[0]!.areaM2;
  return w.snowM * SNOW_DENSITY * area;
}

/** Heat content of the water mass at a temperature, J: it freezes as soil water does. */
export function storedHeat(w: Work, c: number): number {
  return heatContent(c, w.net.massLitres * 4186, w.net.massLitres * FUSION_JKG);
}
