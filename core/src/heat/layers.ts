/**
 * A cover compiled for the solver: its sheets, how air gets through it, what its sides are. Contract: `compileLayer` is
 * asked once a layer; what it gives does not change while a bed runs.
 */
import { WIND_SHARE } from './flow';
import { layerGeometry, type LayerGeometry } from './geometry';
import { MATERIALS, type Material } from './materials';
import type { Calibration, Layer } from './types';

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
  /** Areas and volume of all of its kind. */
  geometry: LayerGeometry;
  /** The layer around it, −1 for none. */
  parent: number;
  firstSheet: number;
  lastSheet: number;
  /** Effective leakage area of joints and edges, m². */
  leakM2: number;
  /** m³/s for each Pa through cloth, before it is halved; and what is open as holes, m². */
  clothM2: number;
  permeabilityMsPa: number;
  holesM2: number;
  windShare: number;
  /** Area that air moving through it crosses, m². */
  crossM2: number;
  /** W/K through boards to the air around; to the ground beside them where earth lies against them. */
  boardWK: number;
  earthWK: number;
  /** Depth of the ground beside the boards that they see, m. */
  earthDepthM: number;
  ventM2: number;
  on: { from: number; to: number }[] | null;
  open: { from: number; fraction: number }[];
  touches: boolean;
}

/**
 * Leakage area by tightness, of each m² of skin and each m of edge. A house of 24 × 7 m in good repair then changes its
 * air once to twice an hour at 6 to 7 m/s, an old one two to five times (engineering tables for plastic houses).
 */
const LEAK = { tight: 0.5, average: 1, drafty: 2.7 } as const;
const LEAK_PER_M2 = 0.7e-3;
const LEAK_PER_M = 1.05e-3;
/** A sheet that lies on the crop is sealed by the ground along its edge. */
const FLAT_EDGE = 0.5;
/** The facing sides of a solid cover: as good as no radiation between them. */
const MIRROR = 0.002;
/** Bows, purlins, laps and dirt of a standing house: what they leave of the light (measured houses pass 0.65 to 0.75). */
const FRAME_AND_DIRT = 0.86;
const HOUSE_FROM_M = 1.5;
/** Boards of 25 mm with the air on both sides; with a hand's breadth of earth instead of the outer air. W/(m² K). */
const BOARD_WM2K = 2.6;
const EARTHED_WM2K = 2;
const EARTH_DEPTH_M = { banked: 0.08, sunk: 0.2 } as const;

function compileSheets(layer: Layer, material: Material, areaM2: number, cal: Calibration, index: number) {
  const plies = layer.plies ?? 1;
  const solid = material.resistanceM2KW >= 0.02;
  const count = Math.max(plies, solid ? 2 : 1);
  const frame = layer.heightM >= HOUSE_FROM_M && material.openShare === 0 ? FRAME_AND_DIRT : 1;
  return Array.from({ length: count }, (_, i): Sheet => {
    const first = i === 0;
    const last = i === count - 1;
    // two faces of a solid cover do not radiate to each other: its resistance holds that already
    const share = solid ? 1 / 2 : 1;
    const sunPassed = (solid ? Math.sqrt(material.sunPassed) : material.sunPassed) * (first ? frame : 1);
    const sunReflected = solid && !first ? 0.02 : material.sunReflected;
    const passed = Math.min(0.98, material.thermalPassed * cal.filmTransparency);
    const gapM2K = solid ? material.resistanceM2KW * plies + (plies > 1 ? 0.08 : 0) : 1 / 2.6;
    return {
      layer: index,
      sunPassed,
      sunReflected: Math.min(sunReflected, 1 - sunPassed),
      thermalPassed: solid ? 0 : passed,
      wetFactor: material.wetFactor,
      emitTop: solid && !first ? MIRROR : material.emissivityOut,
      emitBottom: solid && !last ? MIRROR : material.emissivityIn,
      capacityJK: material.capacityJm2K * (solid ? share * plies : 1) * areaM2,
      gapWK: last ? 0 : areaM2 / gapM2K,
      areaM2,
    };
  });
}

function times(g: LayerGeometry, count: number): LayerGeometry {
  return {
    floorM2: g.floorM2 * count,
    coverM2: g.coverM2 * count,
    boardM2: g.boardM2 * count,
    volumeM3: g.volumeM3 * count,
    perimeterM: g.perimeterM * count,
    heightM: g.heightM,
  };
}

/** Compiles one layer, `count` alike; its sheets are added to `sheets`. */
export function compileLayer(
  layer: Layer,
  cropHeightM: number,
  cal: Calibration,
  sheets: Sheet[],
  index: number,
  parent: number,
  count: number,
): CompiledLayer {
  const material = MATERIALS[layer.material];
  const one = layerGeometry(layer, cropHeightM);
  const geometry = times(one, count);
  const plies = layer.plies ?? 1;
  const firstSheet = sheets.length;
  sheets.push(...compileSheets(layer, material, geometry.coverM2, cal, index));
  const flat = layer.shape === 'flat';
  const edge = flat ? FLAT_EDGE : 1;
  const footing = layer.shape === 'box' ? (layer.footing ?? 'standing') : 'standing';
  const earthed = footing !== 'standing';
  // earth seals a frame's joints; what is left is around the lid
  const skin = geometry.coverM2 + (earthed ? 0 : geometry.boardM2);
  const leak = LEAK[layer.tightness ?? 'average'] * cal.leakage;
  return {
    spec: layer,
    material,
    geometry,
    parent,
    firstSheet,
    lastSheet: sheets.length - 1,
    leakM2: leak * (skin * LEAK_PER_M2 + edge * geometry.perimeterM * LEAK_PER_M),
    clothM2: geometry.coverM2,
    permeabilityMsPa: material.permeabilityMsPa / plies,
    holesM2: (material.openShare / plies) * geometry.coverM2,
    windShare: material.openShare > 0.1 ? WIND_SHARE.net : WIND_SHARE.cover,
    crossM2: count * Math.max(0.05, one.heightM * Math.sqrt(one.floorM2)),
    boardWK: earthed ? 0 : geometry.boardM2 * BOARD_WM2K,
    earthWK: earthed ? geometry.boardM2 * EARTHED_WM2K : 0,
    earthDepthM: earthed ? EARTH_DEPTH_M[footing] : 0,
    ventM2: (layer.ventAreaM2 ?? 0) * count,
    on: layer.on ? layer.on.map((x) => ({ from: Date.parse(x.from), to: Date.parse(x.to) })) : null,
    open: (layer.open ?? []).map((x) => ({ from: Date.parse(x.from), fraction: x.fraction })),
    touches: layer.touchesCrop ?? false,
  };
}
