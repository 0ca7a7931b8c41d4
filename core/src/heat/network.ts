/**
 * A bed compiled for the solver: which nodes there are, what each sheet does to radiation, where each column of
 * ground lies, when each layer is on and how far it is open. Built once a bed, read in every step.
 *
 * Columns: the ground under layer i but outside layer i+1 is column i; the last column carries the crop. An open bed
 * is one column without covers.
 */
import { layerGeometry, type LayerGeometry } from './geometry';
import { MATERIALS, type Material } from './materials';
import { MULCH, soilGrid, soilProps, type SoilGrid, type SoilProps } from './soil';
import type { BedSpec, Calibration, Layer } from './types';

export interface Sheet {
  layer: number;
  sunPassed: number;
  sunReflected: number;
  thermalPassed: number;
  wetFactor: number;
  emitTop: number;
  emitBottom: number;
  capacityJK: number;
  /** W/K to the next sheet of the same layer, 0 for the last. */
  gapWK: number;
  areaM2: number;
}

export interface CompiledLayer {
  spec: Layer;
  material: Material;
  geometry: LayerGeometry;
  firstSheet: number;
  lastSheet: number;
  /** Effective leakage area, m². */
  leakM2: number;
  boardWK: number;
  ventM2: number;
  on: { from: number; to: number }[] | null;
  open: { from: number; fraction: number }[];
  touches: boolean;
}

export interface Column {
  areaM2: number;
  grid: SoilGrid;
  soil: SoilProps;
  /** Offset of the first cell in the flat soil arrays. */
  first: number;
  /** W/K between cells, `linkWK[j]` from j−1 to j; entry 0 is surface to first cell. */
  linkWK: Float64Array;
  capacityJK: Float64Array;
  latentJ: Float64Array;
  /** W/K sideways to the same depth of the column outside it. */
  sideWK: Float64Array;
  /** W/K from the last cell to the deep ground, or to air under a bench. */
  bottomWK: number;
  bench: boolean;
  albedo: number;
  evaporation: number;
}

export interface Network {
  layers: CompiledLayer[];
  sheets: Sheet[];
  columns: Column[];
  cells: number;
  /** Node numbers: sheets, then airs, then ground surfaces, canopy air, leaf, water mass. */
  air0: number;
  ground0: number;
  canopy: number;
  leaf: number;
  /** −1 where there is no water mass. */
  mass: number;
  nodes: number;
  deepC: number;
  /** Layer whose air lies under the bench, −1 outside. */
  benchAir: number;
  leafCover: number;
  leafAreaM2: number;
  cropHeightM: number;
  massLitres: number;
  massAreaM2: number;
  bottomW: number;
  bottomCell: number;
  airW: number;
  bedM2: number;
}

/** Leakage area by tightness: of each m² of cover and each m of edge. Sets about 0.4, 1 and 3.5 air changes an hour in a 6 × 30 m house at 3 m/s. */
const LEAK = { tight: 0.4, average: 1, drafty: 3.5 } as const;
const LEAK_PER_M2 = 1.1e-3;
const LEAK_PER_M = 1.6e-3;
/** The facing sides of a solid cover: as good as no radiation between them. */
const MIRROR = 0.002;
/** A sheet that lies on the crop is sealed by the ground along its edge. */
const FLAT_EDGE = 0.5;

function compileLayer(
  layer: Layer,
  cropHeightM: number,
  cal: Calibration,
  sheets: Sheet[],
  index: number,
): CompiledLayer {
  const material = MATERIALS[layer.material];
  const geometry = layerGeometry(layer, cropHeightM);
  const plies = layer.plies ?? 1;
  const firstSheet = sheets.length;
  const solid = material.resistanceM2KW >= 0.02;
  const count = Math.max(plies, solid ? 2 : 1);
  for (let i = 0; i < count; i++) {
    const first = i === 0;
    const last = i === count - 1;
    // two faces of a solid cover do not radiate to each other: its resistance holds that already
    const share = solid ? 1 / 2 : 1;
    const sunPassed = solid ? Math.sqrt(material.sunPassed) : material.sunPassed;
    const sunReflected = solid && !first ? 0.02 : material.sunReflected;
    const passed = Math.min(
      0.98,
      material.thermalPassed * (material.thermalPassed > 0 ? cal.filmTransparency : 1),
    );
    const gapM2K = solid ? material.resistanceM2KW * plies + (plies > 1 ? 0.08 : 0) : 1 / 2.6;
    sheets.push({
      layer: index,
      sunPassed,
      sunReflected: Math.min(sunReflected, 1 - sunPassed),
      thermalPassed: solid ? 0 : passed,
      wetFactor: material.wetFactor,
      emitTop: solid && !first ? MIRROR : material.emissivityOut,
      emitBottom: solid && !last ? MIRROR : material.emissivityIn,
      capacityJK: material.capacityJm2K * (solid ? share * plies : 1) * geometry.coverM2,
      gapWK: last ? 0 : geometry.coverM2 / gapM2K,
      areaM2: geometry.coverM2,
    });
  }
  const edge = layer.shape === 'flat' ? FLAT_EDGE : 1;
  const leak = LEAK[layer.tightness ?? 'average'] * cal.leakage;
  const skin = geometry.coverM2 + geometry.boardM2;
  return {
    spec: layer,
    material,
    geometry,
    firstSheet,
    lastSheet: sheets.length - 1,
    leakM2:
      leak * (skin * LEAK_PER_M2 + edge * geometry.perimeterM * LEAK_PER_M) +
      (material.openShare / plies) * geometry.coverM2,
    boardWK: geometry.boardM2 * 2.6,
    ventM2: layer.ventAreaM2 ?? 0,
    on: layer.on ? layer.on.map((x) => ({ from: Date.parse(x.from), to: Date.parse(x.to) })) : null,
    open: (layer.open ?? []).map((x) => ({ from: Date.parse(x.from), fraction: x.fraction })),
    touches: layer.touchesCrop ?? false,
  };
}

function compileColumn(
  spec: BedSpec,
  areaM2: number,
  edgeM: number,
  spanM: number,
  crop: boolean,
  first: number,
  cal: Calibration,
  refine: number,
): Column {
  const bench = crop && spec.ground.on === 'bench';
  const mulchM = crop ? (spec.ground.mulch?.thicknessM ?? 0) : 0;
  const grid = soilGrid(bench, mulchM, refine);
  const soil = soilProps(spec.ground);
  const n = grid.count;
  const k = soil.conductivityWmK * cal.soilExchange;
  const linkWK = new Float64Array(n);
  const capacityJK = new Float64Array(n);
  const latentJ = new Float64Array(n);
  const sideWK = new Float64Array(n);
  // heat that leaves sideways crosses about a quarter of the width and a hand's breadth beyond the edge
  const sideM = 0.25 * spanM + 0.15;
  let above = 0;
  for (let j = 0; j < n; j++) {
    const inMulch = j < grid.mulchCells;
    const half = grid.thicknessM[j]! / 2 / (inMulch ? MULCH.conductivityWmK : k);
    linkWK[j] = areaM2 / (above + half);
    above = half;
    const volume = areaM2 * grid.thicknessM[j]!;
    capacityJK[j] = volume * (inMulch ? MULCH.capacityJm3K : soil.capacityJm3K);
    latentJ[j] = inMulch ? 0 : volume * soil.latentJm3;
    if (!inMulch && !bench) sideWK[j] = (k * edgeM * grid.thicknessM[j]!) / sideM;
  }
  return {
    areaM2,
    grid,
    soil,
    first,
    linkWK,
    capacityJK,
    latentJ,
    sideWK,
    bottomWK: bench ? areaM2 / (above + 1 / 6) : areaM2 / above,
    bench,
    albedo: mulchM > 0 ? MULCH.albedo : 0.18,
    evaporation: mulchM > 0 ? MULCH.evaporation : soil.evaporation,
  };
}

/** Compiles a bed. `refine` splits every soil cell, for convergence tests. */
export function compileBed(spec: BedSpec, cal: Calibration, refine = 1): Network {
  const cropHeightM = spec.crop?.heightM ?? 0.1;
  const leafCover = Math.min(0.98, Math.max(0.02, spec.crop?.groundCover ?? 0.5));
  const sheets: Sheet[] = [];
  const layers = spec.stack.map((l, i) => compileLayer(l, cropHeightM, cal, sheets, i));
  const columns: Column[] = [];
  let first = 0;
  if (layers.length === 0) {
    columns.push(compileColumn(spec, 1, 0, 1, true, 0, cal, refine));
    first = columns[0]!.grid.count;
  }
  layers.forEach((layer, i) => {
    const inner = layers[i + 1]?.geometry.floorM2 ?? 0;
    const area = Math.max(layer.geometry.floorM2 - inner, 0.01 * layer.geometry.floorM2);
    const span = Math.min(layer.spec.widthM, layer.spec.lengthM);
    const column = compileColumn(
      spec,
      area,
      layer.geometry.perimeterM,
      span,
      i === layers.length - 1,
      first,
      cal,
      refine,
    );
    columns.push(column);
    first += column.grid.count;
  });
  const crop = columns[columns.length - 1]!;
  const air0 = sheets.length;
  const ground0 = air0 + layers.length;
  const canopy = ground0 + columns.length;
  const massLitres = (spec.mass?.waterLitres ?? 0) * crop.areaM2;
  let benchAir = -1;
  layers.forEach((l, i) => {
    if (l.spec.heightM >= 1) benchAir = i;
  });
  const depth = crop.grid.centreM;
  let bottomCell = crop.grid.count - 1;
  for (let j = 0; j < crop.grid.count; j++)
    if (Math.abs(depth[j]! - 0.17) < Math.abs(depth[bottomCell]! - 0.17)) bottomCell = j;
  return {
    layers,
    sheets,
    columns,
    cells: first,
    air0,
    ground0,
    canopy,
    leaf: canopy + 1,
    mass: massLitres > 0 ? canopy + 2 : -1,
    nodes: canopy + 2 + (massLitres > 0 ? 1 : 0),
    deepC: spec.ground.deepC,
    benchAir,
    leafCover,
    leafAreaM2: (-Math.log(1 - leafCover) / 0.6) * crop.areaM2,
    cropHeightM,
    massLitres,
    // a 4 to 10 litre jug shows about 0.03 m² of skin a litre
    massAreaM2: massLitres * 0.03,
    bottomW: (spec.heat?.bottomWm2 ?? 0) * crop.areaM2,
    bottomCell,
    airW: (spec.heat?.airWm2 ?? 0) * crop.areaM2,
    bedM2: crop.areaM2,
  };
}
