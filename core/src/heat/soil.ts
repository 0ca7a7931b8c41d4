/**
 * The ground as a column of cells: properties by texture and wetness, the grid, heat content with freezing.
 * Depth m, downwards; conductivity W/(m K); capacity J/(m³ K). Values after de Vries (1963) and Campbell (1985),
 * starting values for cultivated topsoil.
 */
import type { Ground, Texture, Wetness } from './types';

export interface SoilProps {
  conductivityWmK: number;
  capacityJm3K: number;
  /** Heat of freezing of the water that freezes, J/m³. */
  latentJm3: number;
  /** Share of a free water surface at which bare soil evaporates. */
  evaporation: number;
}

const TEXTURE: Record<
  Texture,
  { solidsJm3K: number; k: Record<Wetness, number>; water: Record<Wetness, number> }
> = {
  sand: {
    solidsJm3K: 1.28e6,
    k: { dry: 0.35, moist: 1.6, wet: 2.2 },
    water: { dry: 0.04, moist: 0.14, wet: 0.33 },
  },
  loam: {
    solidsJm3K: 1.2e6,
    k: { dry: 0.3, moist: 1.0, wet: 1.5 },
    water: { dry: 0.08, moist: 0.25, wet: 0.42 },
  },
  clay: {
    solidsJm3K: 1.15e6,
    k: { dry: 0.28, moist: 0.95, wet: 1.4 },
    water: { dry: 0.12, moist: 0.3, wet: 0.48 },
  },
  compost: {
    solidsJm3K: 0.6e6,
    k: { dry: 0.12, moist: 0.38, wet: 0.55 },
    water: { dry: 0.12, moist: 0.35, wet: 0.6 },
  },
};
const EVAPORATION: Record<Wetness, number> = { dry: 0.05, moist: 0.35, wet: 0.8 };

/** Water heat of fusion times density, J/m³; a tenth stays liquid in films around the grains. */
const FUSION_JM3 = 334e6 * 0.9;
/** Soil water freezes between 0 and this, °C, smoothly. */
export const FREEZE_SPAN_C = 1;

export function soilProps(ground: Ground): SoilProps {
  const t = TEXTURE[ground.texture ?? 'loam'];
  const wetness = ground.wetness ?? 'moist';
  return {
    conductivityWmK: t.k[wetness],
    capacityJm3K: t.solidsJm3K + t.water[wetness] * 4.18e6,
    latentJm3: t.water[wetness] * FUSION_JM3,
    evaporation: EVAPORATION[wetness],
  };
}

/** Share of the freezable water that is liquid: 1 above 0 °C, 0 below the span, a smooth step between (so that Newton's method settles). */
export function liquidShare(c: number): number {
  if (c >= 0) return 1;
  if (c <= -FREEZE_SPAN_C) return 0;
  const x = 1 + c / FREEZE_SPAN_C;
  return x * x * (3 - 2 * x);
}

/** Heat content relative to liquid at 0 °C, J. Sensible `capacity` in J/K, `latent` in J. */
export function heatContent(c: number, capacity: number, latent: number): number {
  return capacity * c - latent * (1 - liquidShare(c));
}

/** Slope of `heatContent`, J/K. */
export function heatSlope(c: number, capacity: number, latent: number): number {
  if (c >= 0 || c <= -FREEZE_SPAN_C) return capacity;
  const x = 1 + c / FREEZE_SPAN_C;
  return capacity + (latent * 6 * x * (1 - x)) / FREEZE_SPAN_C;
}

export const BED_DEPTHS_M = [0.01, 0.025, 0.045, 0.07, 0.1, 0.14, 0.2, 0.29, 0.42, 0.62, 1.0];
const BENCH_DEPTHS_M = [0.01, 0.025, 0.045, 0.07, 0.1, 0.14, 0.2];

export interface SoilGrid {
  /** Cells of mulch on top, then soil. */
  count: number;
  mulchCells: number;
  thicknessM: Float64Array;
  /** Depth of each centre below the soil's surface; negative in mulch. */
  centreM: Float64Array;
}

/** The grid: about 1 cm at the surface, growing downwards to 1 m (a bench ends at 20 cm). `refine` splits every cell. */
export function soilGrid(bench: boolean, mulchM: number, refine = 1): SoilGrid {
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

/** Straw mulch: still air and stems. */
export const MULCH = { conductivityWmK: 0.06, capacityJm3K: 0.12e6, evaporation: 0.08, albedo: 0.32 };

/** Starting profile, °C at `depthM`: the top 5 cm at `surfaceC`, then easing to `deepC` over about 20 cm. */
export function startingSoilC(depthM: number, surfaceC: number, deepC: number): number {
  if (depthM <= 0.05) return surfaceC;
  return deepC + (surfaceC - deepC) * Math.exp(-(depthM - 0.05) / 0.2);
}
