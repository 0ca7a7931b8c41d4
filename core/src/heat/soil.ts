/**
 * The ground as a column of cells: properties by texture and wetness, the grid, heat content with freezing.
 * Depth m, downwards; conductivity W/(m K); capacity J/(m³ K). Values after de Vries (1963) and Campbell (1985),
 * starting values for tilled topsoil, half of which is pores: solids of 2.1 MJ/(m³ K) give 1.0 to 1.15 of it.
 * `dry` is a dry crust of 5 cm over a moist body, as a bed is left under cover without water.
 */
import type { Ground, Texture, Wetness } from './types';

export interface SoilProps {
  conductivityWmK: number;
  capacityJm3K: number;
  /** Heat of freezing of the water that freezes, J/m³. */
  latentJm3: number;
  /** Water by volume, of the body and where it is full, 0 to 1. */
  water: number;
  fullWater: number;
}

interface TextureProps {
  solidsJm3K: number;
  k: Record<Wetness, number>;
  water: Record<Wetness, number>;
  /** Share of its water that freezes between 0 and −1 °C; the rest stays liquid around the grains (Anderson and Tice 1972). */
  freezes: number;
}

/** Conductivities are those of tilled beds (bulk density 1.2; Abu-Hamdeh and Reeder 2000), a third under firm soil's. */
const TEXTURE: Record<Texture, TextureProps> = {
  sand: {
    solidsJm3K: 1.15e6,
    k: { dry: 0.3, moist: 1.1, wet: 1.8 },
    water: { dry: 0.04, moist: 0.14, wet: 0.33 },
    freezes: 0.9,
  },
  loam: {
    solidsJm3K: 1.05e6,
    k: { dry: 0.25, moist: 0.7, wet: 1.1 },
    water: { dry: 0.08, moist: 0.25, wet: 0.42 },
    freezes: 0.65,
  },
  clay: {
    solidsJm3K: 1.0e6,
    k: { dry: 0.22, moist: 0.65, wet: 1.0 },
    water: { dry: 0.12, moist: 0.3, wet: 0.48 },
    freezes: 0.5,
  },
  compost: {
    solidsJm3K: 0.5e6,
    k: { dry: 0.1, moist: 0.32, wet: 0.5 },
    water: { dry: 0.12, moist: 0.35, wet: 0.6 },
    freezes: 0.8,
  },
};

/** Water's heat of fusion times density, J/m³. */
const FUSION_JM3 = 334e6;
/** Soil water freezes between 0 and this, °C, smoothly. */
export const FREEZE_SPAN_C = 1;

/** Depth of a dry crust, m. */
export const CRUST_M = 0.05;

/**
 * Properties at a depth: under a dry crust the body is moist.
 * @example soilProps({ texture: 'loam', wetness: 'moist' }).water > soilProps({ texture: 'loam', wetness: 'dry' }).water // true
 */
export function soilProps(ground: Ground, depthM = 0): SoilProps {
  const t = TEXTURE[ground.texture ?? 'loam'];
  const given = ground.wetness ?? 'moist';
  const wetness = given === 'dry' && depthM > CRUST_M ? 'moist' : given;
  return {
    conductivityWmK: t.k[wetness],
    capacityJm3K: t.solidsJm3K + t.water[wetness] * 4.18e6,
    latentJm3: t.water[wetness] * t.freezes * FUSION_JM3,
    water: t.water[wetness],
    fullWater: t.water.wet,
  };
}

/** The skin of the soil that dries and wets, m. */
export const SKIN_M = 0.02;
/** Days in which water rises into a dried skin from a moist body: starting value. */
const RISE_S = 1.5 * 86_400;

/**
 * Resistance of the soil's skin to vapour, s/m, from its water by volume: 10 exp(0.356 (15 − θ)) below 15 % of a loam
 * (van de Griend and Owe 1994), other soils by how full they are. Example: loam at 25 %: 10; at 8 %: 121.
 * @example skinResistanceSm(0.05, 0.3) > skinResistanceSm(0.2, 0.3) // true
 */
export function skinResistanceSm(water: number, fullWater: number): number {
  const percent = 42 * Math.min(1, Math.max(0, water / fullWater));
  return percent >= 15 ? 10 : 10 * Math.exp(0.3563 * (15 - percent));
}

/**
 * Water of the skin after `dt` s: `evaporatedKgM2` gone (negative for dew), rain in, the rest rises or drains.
 * @example skinWaterAfter(0.2, soilProps({ texture: 'loam', wetness: 'moist' }), 0, 0, 0) // 0.2
 */
export function skinWaterAfter(
  water: number,
  soil: SoilProps,
  evaporatedKgM2: number,
  rainKgM2: number,
  dt: number,
): number {
  const moved = water + (rainKgM2 - evaporatedKgM2) / (1000 * SKIN_M);
  const eased = soil.water + (moved - soil.water) * Math.exp(-dt / RISE_S);
  return Math.min(soil.fullWater, Math.max(0.01, eased));
}

/**
 * Share of the freezable water that is liquid: 1 above 0 °C, 0 below the span, a smooth step between (so that Newton's method settles).
 * @example liquidShare(1) // 1
 */
export function liquidShare(c: number): number {
  if (c >= 0) return 1;
  if (c <= -FREEZE_SPAN_C) return 0;
  const x = 1 + c / FREEZE_SPAN_C;
  return x * x * (3 - 2 * x);
}

/**
 * Heat content relative to liquid at 0 °C, J. Sensible `capacity` in J/K, `latent` in J.
 * @example heatContent(10, 2, 0) // 20
 */
export function heatContent(c: number, capacity: number, latent: number): number {
  return capacity * c - latent * (1 - liquidShare(c));
}

/**
 * Slope of `heatContent`, J/K.
 * @example heatSlope(10, 2, 0) // 2
 */
export function heatSlope(c: number, capacity: number, latent: number): number {
  if (c >= 0 || c <= -FREEZE_SPAN_C) return capacity;
  const x = 1 + c / FREEZE_SPAN_C;
  return capacity + (latent * 6 * x * (1 - x)) / FREEZE_SPAN_C;
}

export const BED_DEPTHS_M = [0.004, 0.011, 0.02, 0.032, 0.05, 0.08, 0.125, 0.19, 0.29, 0.43, 0.65, 1.0];
const BENCH_DEPTHS_M = [0.004, 0.011, 0.02, 0.032, 0.05, 0.08, 0.125, 0.2];

export interface SoilGrid {
  /** Cells of mulch on top, then soil. */
  count: number;
  mulchCells: number;
  thicknessM: Float64Array;
  /** Depth of each centre below the soil's surface; negative in mulch. */
  centreM: Float64Array;
}

const grids = new Map<string, SoilGrid>();

/**
 * The grid: 4 mm at the surface, growing downwards to 1 m (a bench ends at 20 cm). `refine` splits every cell. Shared: read only.
 * @example soilGrid(false, 0).thicknessM.length > 5 // true
 */
export function soilGrid(bench: boolean, mulchM: number, refine = 1): SoilGrid {
  const key = `${bench} ${mulchM} ${refine}`;
  const known = grids.get(key);
  if (known) return known;
  // as many as there are thicknesses of mulch
  if (grids.size > 200) grids.clear();
  const grid = makeGrid(bench, mulchM, refine);
  grids.set(key, grid);
  return grid;
}

function makeGrid(bench: boolean, mulchM: number, refine: number): SoilGrid {
  const edges: number[] = [];
  const mulchCells = mulchM > 0 ? 3 * refine : 0;
  for (let i = 0; i < mulchCells; i++) edges.push(-mulchM * (1 - i / mulchCells));
  edges.push(0);
  let last = 0;
  for (const d of bench ? BENCH_DEPTHS_M : BED_DEPTHS_M) {
    for (let i = 1; i <= refine; i++) edges.push(last + ((d - last) * i) / refine);
    last = d;
  }
  const count = edges.length - 1;
  const thicknessM = new Float64Array(count);
  const centreM = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    thicknessM[i] = edges[i + 1]! - edges[i]!;
    centreM[i] = (edges[i + 1]! + edges[i]!) / 2;
  }
  return { count, mulchCells, thicknessM, centreM };
}

/**
 * Straw mulch: air and stems, with what radiates, drifts and distils through it on a bed (field mulches 0.1; Novak et al.
 * 2000); `diffusivityM2s` of vapour through them.
 */
export const MULCH = { conductivityWmK: 0.1, capacityJm3K: 0.12e6, diffusivityM2s: 1.4e-5, albedo: 0.32 };

/**
 * Starting profile, °C at `depthM`: the top 5 cm at `surfaceC`, then easing to `deepC` over about 20 cm.
 * @example startingSoilC(0, 2, 8) // 2
 */
export function startingSoilC(depthM: number, surfaceC: number, deepC: number): number {
  if (depthM <= 0.05) return surfaceC;
  return deepC + (surfaceC - deepC) * Math.exp(-(depthM - 0.05) / 0.2);
}
