/**
 * A bed, or all beds of one house, compiled for the solver: which nodes there are, where each column of ground lies, what
 * stands over it. Built once, read in every step.
 *
 * Layers are a tree: the shared ones in a chain from the outside, under the innermost of them each bed's own. A column is
 * the ground under one layer but outside the next: the floor of a house, the bed's soil under its tunnel. Each bed has one
 * column with a crop. An open bed is one column without covers.
 */
import { compileColumn, type Column } from './columns';
import { compileLayer, type CompiledLayer, type Sheet } from './layers';
import { Rows } from './rows';
import type { BedSpec, Calibration, Horizon, Place } from './types';

/** A bed: its column with a crop, and the nodes of its canopy's air and its leaves. */
export interface Part {
  column: number;
  canopy: number;
  leaf: number;
  leafCover: number;
  leafAreaM2: number;
  cropHeightM: number;
  areaM2: number;
  /** Height of its soil over the floor, m: a bench or shelf. */
  standsM: number;
  zone: Place['zone'];
  /** Heat from below, W, and the share of it that each cell of the column gets. */
  bottomW: number;
  bottomShare: Float64Array;
  /** First and count of its own layers. */
  firstLayer: number;
  ownLayers: number;
}

export interface Network {
  layers: CompiledLayer[];
  /** So many of the outermost layers stand over every bed. */
  shared: number;
  sheets: Sheet[];
  columns: Column[];
  parts: Part[];
  cells: number;
  /** Node numbers: sheets, then airs, then ground surfaces, canopies and leaves by bed, water mass. */
  air0: number;
  ground0: number;
  /** −1 where there is no water mass. */
  mass: number;
  /** Layer in whose air the water stands, −1 for the first canopy's; column whose sun it takes a share of. */
  massLayer: number;
  massColumn: number;
  massLitres: number;
  massAreaM2: number;
  nodes: number;
  deepC: number;
  /** Heat into the air of the layer that water would stand in, W. */
  airW: number;
  floorM2: number;
  horizon: Horizon | null;
}

const BENCH_M = 0.8;

interface Bed {
  spec: BedSpec;
  own: number[];
}

function columnOf(spec: BedSpec, crop: boolean, areaM2: number, edgeM: number, spanM: number) {
  return { spec, crop, areaM2, edgeM, spanM };
}

/** Compiles a bed, or beds that share their outermost layers. `refine` splits every soil cell, for convergence tests. */
export function compileBeds(
  beds: readonly BedSpec[],
  cal: Calibration,
  refine = 1,
  rows = new Rows(),
): Network {
  const lead = beds[0]!;
  const shared = Math.min(lead.shared ?? 0, lead.stack.length);
  const sheets: Sheet[] = [];
  const layers: CompiledLayer[] = [];
  const add = (bed: BedSpec, i: number, parent: number, count: number) => {
    const height = bed.crop?.heightM ?? 0.1;
    layers.push(compileLayer(bed.stack[i]!, height, cal, sheets, layers.length, parent, count));
    return layers.length - 1;
  };
  for (let i = 0; i < shared; i++) add(lead, i, i - 1, 1);
  const parts: Bed[] = beds.map((spec) => {
    const own: number[] = [];
    let parent = shared - 1;
    for (let i = Math.min(spec.shared ?? 0, spec.stack.length); i < spec.stack.length; i++) {
      parent = add(spec, i, parent, spec.count ?? 1);
      own.push(parent);
    }
    return { spec, own };
  });

  const columns: Column[] = [];
  let first = 0;
  const ground = (given: ReturnType<typeof columnOf>, layer: number, outer: number, part: number): number => {
    const column = compileColumn(given, first, cal, refine, layers, layer, outer, part, rows);
    columns.push(column);
    if (outer >= 0) columns[outer]!.inners.push(columns.length - 1);
    first += column.grid.count;
    return columns.length - 1;
  };
  const floorOf = (i: number) => layers[i]!.geometry.floorM2;
  const spanOf = (i: number) => Math.min(layers[i]!.spec.widthM, layers[i]!.spec.lengthM);
  const ownFloor = (bed: Bed) => {
    const { spec } = bed;
    if (bed.own.length > 0) return floorOf(bed.own[0]!);
    return (spec.floor ? spec.floor.lengthM * spec.floor.widthM : 0) * (spec.count ?? 1);
  };
  let around = -1;
  for (let i = 0; i < shared; i++) {
    const within = i < shared - 1 ? floorOf(i + 1) : parts.reduce((s, p) => s + ownFloor(p), 0);
    const area = Math.max(floorOf(i) - within, 0.02 * floorOf(i));
    around = ground(
      columnOf({ ground: lead.ground, stack: [] }, false, area, layers[i]!.geometry.perimeterM, spanOf(i)),
      i,
      around,
      -1,
    );
  }
  const cropColumns = parts.map((bed, p) => {
    const { spec, own } = bed;
    let outer = around;
    for (let n = 0; n < own.length - 1; n++) {
      const i = own[n]!;
      const area = Math.max(floorOf(i) - floorOf(own[n + 1]!), 0.01 * floorOf(i));
      outer = ground(columnOf(spec, false, area, layers[i]!.geometry.perimeterM, spanOf(i)), i, outer, -1);
    }
    if (own.length > 0) {
      const i = own.at(-1)!;
      return ground(columnOf(spec, true, floorOf(i), layers[i]!.geometry.perimeterM, spanOf(i)), i, outer, p);
    }
    const count = spec.count ?? 1;
    const { lengthM = 1, widthM = 1 } = spec.floor ?? {};
    const edge = shared > 0 ? 2 * (lengthM + widthM) * count : 0;
    return ground(
      columnOf(spec, true, lengthM * widthM * count, edge, Math.min(lengthM, widthM)),
      shared - 1,
      outer,
      p,
    );
  });

  const air0 = sheets.length;
  const ground0 = air0 + layers.length;
  let node = ground0 + columns.length;
  const made = parts.map(({ spec, own }, p): Part => {
    const column = columns[cropColumns[p]!]!;
    const leafCover = Math.min(0.98, Math.max(0.02, spec.crop?.groundCover ?? 0.5));
    const canopy = node++;
    const leaf = node++;
    return {
      column: cropColumns[p]!,
      canopy,
      leaf,
      leafCover,
      leafAreaM2: (-Math.log(1 - leafCover) / 0.6) * column.areaM2,
      cropHeightM: spec.crop?.heightM ?? 0.1,
      areaM2: column.areaM2,
      standsM: column.bench ? (spec.place?.heightM ?? BENCH_M) : 0,
      zone: spec.place?.zone ?? 'centre',
      bottomW: (spec.heat?.bottomWm2 ?? 0) * column.areaM2,
      bottomShare: bottomShares(column),
      firstLayer: own[0] ?? layers.length,
      ownLayers: own.length,
    };
  });
  // jugs and heaters stand in the house where there is one, else under the innermost cover with the crop
  const inner = shared > 0 ? shared - 1 : layers.length - 1;
  const floorM2 =
    layers.length > 0 ? (shared > 0 ? floorOf(inner) : columns.at(-1)!.areaM2) : made[0]!.areaM2;
  const massLitres = (lead.mass?.waterLitres ?? 0) * floorM2;
  return {
    layers,
    shared,
    sheets,
    columns,
    parts: made,
    cells: first,
    air0,
    ground0,
    mass: massLitres > 0 ? node : -1,
    massLayer: inner,
    massColumn: shared > 0 ? shared - 1 : made[0]!.column,
    massLitres,
    // a 4 to 10 litre jug shows about 0.03 m² of skin a litre
    massAreaM2: massLitres * 0.03,
    nodes: node + (massLitres > 0 ? 1 : 0),
    deepC: lead.ground.deepC,
    airW: (lead.heat?.airWm2 ?? 0) * floorM2,
    floorM2: layers[0]?.geometry.floorM2 ?? made[0]!.areaM2,
    horizon: lead.horizon ?? null,
  };
}

/** Cables and manure lie 10 to 20 cm deep: each cell's share of that. */
function bottomShares(column: Column): Float64Array {
  const { grid } = column;
  const shares = new Float64Array(grid.count);
  let sum = 0;
  for (let j = 0; j < grid.count; j++) {
    const top = grid.centreM[j]! - grid.thicknessM[j]! / 2;
    const part = Math.max(0, Math.min(0.2, top + grid.thicknessM[j]!) - Math.max(0.1, top));
    shares[j] = part;
    sum += part;
  }
  return shares.map((s) => s / sum);
}
