/** What the nodes hold: heat capacities, and the heat of what freezes and melts. J and J/K. */
import { heatContent, heatSlope } from './soil';
import type { Work } from './work';

export const AIR_JM3K = 1230;
export const SNOW_DENSITY = 100;
/** Snow has melted wholly here, °C, and begins to a degree below: smooth, for Newton's sake. */
export const SNOW_MELTED_C = 0.3;

/** Heat capacity of a node, J/K; of water mass and snow the slope of their heat content at the guess. */
export function nodeCapacity(w: Work, node: number): number {
  const { net } = w;
  if (node < net.air0) return net.sheets[node]!.capacityJK;
  if (node < net.ground0) return AIR_JM3K * 1.5 * net.layers[node - net.air0]!.geometry.volumeM3;
  if (node < net.canopy) return 800 * net.columns[node - net.ground0]!.areaM2;
  if (node === net.canopy) return AIR_JM3K * net.bedM2 * Math.max(0.05, net.cropHeightM);
  if (node === net.leaf) return net.leafAreaM2 * 0.3 * 3800;
  if (node === net.mass) return heatSlope(w.guess[node]!, net.massLitres * 4186, net.massLitres * 334_000);
  return heatSlope(w.guess[node]! - SNOW_MELTED_C, snowKg(w) * 2100, snowKg(w) * 334_000);
}

function snowKg(w: Work): number {
  return (
    w.snowM * SNOW_DENSITY * (w.snowLayer >= 0 ? w.net.layers[w.snowLayer]!.geometry.floorM2 : w.net.bedM2)
  );
}

/** Heat content of the water mass (freezing as soil water does) or of the snow (melting over the degree below 0.3 °C), J. */
export function storedHeat(w: Work, node: number, c: number): number {
  if (node === w.net.mass) return heatContent(c, w.net.massLitres * 4186, w.net.massLitres * 334_000);
  return heatContent(c - SNOW_MELTED_C, snowKg(w) * 2100, snowKg(w) * 334_000);
}
