/**
 * What each cover does to light, thermal radiation and air. Starting values from general horticultural and
 * building-physics tables; a maker's sheet or the grower's own readings (calibration) move them.
 */
import { MATERIAL_NAME } from '@fogata/words/en/told/names';
import type { MaterialId } from './types';

export interface Material {
  /** In the grower's words. */
  name: string;
  /** Sunlight passed and reflected at normal incidence, of the whole cover, 0 to 1. */
  sunPassed: number;
  sunReflected: number;
  /** Thermal radiation passed by one ply when dry, 0 to 1. */
  thermalPassed: number;
  /** Share of `thermalPassed` that remains when water or frost covers the sheet. */
  wetFactor: number;
  /** Emissivity of the outer and inner face where it is opaque; of a partly transparent sheet it is what is left. */
  emissivityOut: number;
  emissivityIn: number;
  /** Heat capacity of one ply, J/(m² K). */
  capacityJm2K: number;
  /** Thermal resistance through the ply, m² K/W; below 0.02 it counts as none. */
  resistanceM2KW: number;
  /** Air through the cloth itself at small pressure, m/s for each Pa (Darcy); 0 for films and sheets. */
  permeabilityMsPa: number;
  /** Share of the area that is open: the holes of a film, the meshes of a net. */
  openShare: number;
}

/**
 * Permeability of a non-woven of so many g/m², m/(s Pa): the order of standard air-permeability tests (100 to 200 Pa),
 * corrected to the few hundredths of a Pa that act on a row cover, where the flow is laminar. 17 g: 0.044.
 * @example clothMsPa(30) // 0.025
 */
export const clothMsPa = (gM2: number) => 0.75 / gM2;
/** Drops cover about half of a wet film or cloth; they pass no heat, what lies between them does. */
const DROPS = 0.5;

const film = {
  sunReflected: 0.09,
  emissivityOut: 0.95,
  emissivityIn: 0.95,
  resistanceM2KW: 0,
  wetFactor: DROPS,
  permeabilityMsPa: 0,
  openShare: 0,
};
const fleece = {
  sunReflected: 0.1,
  emissivityOut: 0.95,
  emissivityIn: 0.95,
  resistanceM2KW: 0,
  wetFactor: DROPS,
  openShare: 0,
};

export const MATERIALS: Record<MaterialId, Material> = {
  'pe-film': {
    ...film,
    name: MATERIAL_NAME['pe-film'],
    sunPassed: 0.86,
    thermalPassed: 0.7,
    capacityJm2K: 350,
  },
  'pe-film-ir': {
    ...film,
    name: MATERIAL_NAME['pe-film-ir'],
    sunPassed: 0.85,
    thermalPassed: 0.18,
    capacityJm2K: 400,
  },
  'polycarbonate-twin': {
    name: MATERIAL_NAME['polycarbonate-twin'],
    sunPassed: 0.76,
    sunReflected: 0.16,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.9,
    emissivityIn: 0.9,
    capacityJm2K: 1800,
    resistanceM2KW: 0.11,
    permeabilityMsPa: 0,
    openShare: 0,
  },
  glass: {
    name: MATERIAL_NAME['glass'],
    sunPassed: 0.86,
    sunReflected: 0.08,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.88,
    emissivityIn: 0.88,
    capacityJm2K: 8000,
    resistanceM2KW: 0,
    permeabilityMsPa: 0,
    openShare: 0,
  },
  'glass-double': {
    name: MATERIAL_NAME['glass-double'],
    sunPassed: 0.76,
    sunReflected: 0.14,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.88,
    emissivityIn: 0.88,
    capacityJm2K: 16000,
    resistanceM2KW: 0.17,
    permeabilityMsPa: 0,
    openShare: 0,
  },
  'perforated-film': {
    ...film,
    name: MATERIAL_NAME['perforated-film'],
    sunPassed: 0.86,
    thermalPassed: 0.72,
    capacityJm2K: 100,
    openShare: 0.03,
  },
  'fleece-17': {
    ...fleece,
    name: MATERIAL_NAME['fleece-17'],
    sunPassed: 0.85,
    thermalPassed: 0.65,
    capacityJm2K: 40,
    permeabilityMsPa: clothMsPa(17),
  },
  'fleece-30': {
    ...fleece,
    name: MATERIAL_NAME['fleece-30'],
    sunPassed: 0.78,
    sunReflected: 0.15,
    thermalPassed: 0.52,
    capacityJm2K: 60,
    permeabilityMsPa: clothMsPa(30),
  },
  'fleece-50': {
    ...fleece,
    name: MATERIAL_NAME['fleece-50'],
    sunPassed: 0.7,
    sunReflected: 0.2,
    thermalPassed: 0.38,
    capacityJm2K: 100,
    permeabilityMsPa: clothMsPa(50),
  },
  'frost-blanket': {
    name: MATERIAL_NAME['frost-blanket'],
    sunPassed: 0.03,
    sunReflected: 0.5,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.9,
    emissivityIn: 0.9,
    capacityJm2K: 900,
    resistanceM2KW: 0.15,
    permeabilityMsPa: clothMsPa(250),
    openShare: 0,
  },
  'foil-blanket': {
    name: MATERIAL_NAME['foil-blanket'],
    sunPassed: 0,
    sunReflected: 0.75,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.3,
    emissivityIn: 0.3,
    capacityJm2K: 500,
    resistanceM2KW: 0.08,
    permeabilityMsPa: 0,
    openShare: 0,
  },
  tarp: {
    name: MATERIAL_NAME['tarp'],
    sunPassed: 0.02,
    sunReflected: 0.2,
    thermalPassed: 0.05,
    wetFactor: DROPS,
    emissivityOut: 0.95,
    emissivityIn: 0.95,
    capacityJm2K: 450,
    resistanceM2KW: 0,
    permeabilityMsPa: 0,
    openShare: 0,
  },
  'straw-mat': {
    name: MATERIAL_NAME['straw-mat'],
    sunPassed: 0,
    sunReflected: 0.35,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.95,
    emissivityIn: 0.95,
    capacityJm2K: 4500,
    resistanceM2KW: 0.45,
    permeabilityMsPa: 0.004,
    openShare: 0,
  },
  'shade-30': {
    name: MATERIAL_NAME['shade-30'],
    sunPassed: 0.68,
    sunReflected: 0.08,
    thermalPassed: 0.65,
    wetFactor: DROPS,
    emissivityOut: 0.95,
    emissivityIn: 0.95,
    capacityJm2K: 120,
    resistanceM2KW: 0,
    permeabilityMsPa: 0,
    openShare: 0.6,
  },
  'shade-50': {
    name: MATERIAL_NAME['shade-50'],
    sunPassed: 0.48,
    sunReflected: 0.1,
    thermalPassed: 0.48,
    wetFactor: DROPS,
    emissivityOut: 0.95,
    emissivityIn: 0.95,
    capacityJm2K: 160,
    resistanceM2KW: 0,
    permeabilityMsPa: 0,
    openShare: 0.42,
  },
};
