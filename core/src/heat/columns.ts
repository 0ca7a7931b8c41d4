/**
 * A column of ground compiled for the solver. Contract: `compileColumn` gives conductances and heats that do not change
 * while a bed runs, and says which column lies around it and which layers stand over it.
 */
import type { CompiledLayer } from './layers';
import { CRUST_M, MULCH, soilGrid, soilProps, type SoilGrid, type SoilProps } from './soil';
import type { Rows } from './rows';
import type { BedSpec, Calibration } from './types';

export interface Column {
  areaM2: number;
  grid: SoilGrid;
  soil: SoilProps;
  /** Offset of the first cell in the flat soil arrays. */
  first: number;
  /** The innermost layer over it, −1 in the open; all of them, outermost first. */
  layer: number;
  path: number[];
  /** The column around it, −1 for the bare ground outside; the bed that grows in it, −1 for none. */
  outer: number;
  part: number;
  /** Columns that lie in this one. */
  inners: number[];
  /** W/K between cells, `linkWK[j]` from j−1 to j; entry 0 is surface to first cell. */
  linkWK: Float64Array;
  capacityJK: Float64Array;
  latentJ: Float64Array;
  /** W/K sideways to the same depth of the column outside it. */
  sideWK: Float64Array;
  /** Cell of the ground outside that each cell sees: deeper by what the floor is let in. */
  sideCell: Int32Array;
  /** W/K from the last cell to the deep ground, or to air under a bench. */
  bottomWK: number;
  bench: boolean;
  /** Layer whose air lies under the bench, −1 outside. */
  benchAir: number;
  albedo: number;
  /** Resistance of mulch to vapour, s/m. */
  mulchSm: number;
}

const SUNK_M = 0.25;

interface Given {
  spec: BedSpec;
  crop: boolean;
  areaM2: number;
  edgeM: number;
  spanM: number;
}

function pathTo(layers: readonly CompiledLayer[], layer: number): number[] {
  const path: number[] = [];
  for (let i = layer; i >= 0; i = layers[i]!.parent) path.unshift(i);
  return path;
}

export function compileColumn(
  { spec, crop, areaM2, edgeM, spanM }: Given,
  first: number,
  cal: Calibration,
  refine: number,
  layers: readonly CompiledLayer[],
  layer: number,
  outer: number,
  part: number,
  rows: Rows,
): Column {
  const path = pathTo(layers, layer);
  const bench = crop && spec.ground.on === 'bench';
  const mulchM = crop ? (spec.ground.mulch?.thicknessM ?? 0) : 0;
  const grid = soilGrid(bench, mulchM, refine);
  const n = grid.count;
  const linkWK = rows.f64(n);
  const capacityJK = rows.f64(n);
  const latentJ = rows.f64(n);
  const sideWK = rows.f64(n);
  const sideCell = rows.i32(n);
  const sunkM = path.some((i) => layers[i]!.spec.footing === 'sunk') ? SUNK_M : 0;
  const depths = soilGrid(false, 0, refine);
  // heat that leaves sideways crosses about a quarter of the width and a hand's breadth beyond the edge
  const sideM = 0.25 * spanM + 0.15;
  const crust = soilProps(spec.ground);
  const body = soilProps(spec.ground, 2 * CRUST_M);
  let above = 0;
  for (let j = 0; j < n; j++) {
    const inMulch = j < grid.mulchCells;
    const soil = grid.centreM[j]! > CRUST_M ? body : crust;
    const k = inMulch ? MULCH.conductivityWmK : soil.conductivityWmK * cal.soilExchange;
    const half = grid.thicknessM[j]! / 2 / k;
    linkWK[j] = areaM2 / (above + half);
    above = half;
    const volume = areaM2 * grid.thicknessM[j]!;
    capacityJK[j] = volume * (inMulch ? MULCH.capacityJm3K : soil.capacityJm3K);
    latentJ[j] = inMulch ? 0 : volume * soil.latentJm3;
    if (!inMulch && !bench) sideWK[j] = (k * edgeM * grid.thicknessM[j]!) / sideM;
    sideCell[j] = nearest(depths.centreM, grid.centreM[j]! + sunkM);
  }
  return {
    areaM2,
    grid,
    soil: crust,
    first,
    layer,
    path,
    outer,
    part,
    inners: [],
    linkWK,
    capacityJK,
    latentJ,
    sideWK,
    sideCell,
    bottomWK: bench ? areaM2 / (above + 1 / 6) : areaM2 / above,
    bench,
    benchAir: path.findLast((i) => layers[i]!.spec.heightM >= 1) ?? -1,
    albedo: mulchM > 0 ? MULCH.albedo : 0.18,
    mulchSm: mulchM / MULCH.diffusivityM2s,
  };
}

/**
 * The cell whose centre lies nearest to a depth.
 * @example nearest(Float64Array.of(0.02, 0.06, 0.12), 0.05) // 1
 */
export function nearest(centreM: Float64Array, depthM: number): number {
  let best = 0;
  for (let j = 1; j < centreM.length; j++)
    if (Math.abs(centreM[j]! - depthM) < Math.abs(centreM[best]! - depthM)) best = j;
  return best;
}
