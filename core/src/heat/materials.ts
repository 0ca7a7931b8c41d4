/**
 * What each cover does to light, thermal radiation and air. Starting values from general horticultural and
 * building-physics tables; a maker's sheet or the grower's own readings (calibration) move them.
 */
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
  /** Effective open share of the fabric itself, for air. */
  openShare: number;
}

const film = { sunReflected: 0.09, emissivityOut: 0.95, emissivityIn: 0.95, resistanceM2KW: 0, openShare: 0 };
const fleece = {
  sunReflected: 0.1,
  emissivityOut: 0.95,
  emissivityIn: 0.95,
  resistanceM2KW: 0,
  wetFactor: 0.35,
};

export const MATERIALS: Record<MaterialId, Material> = {
  'pe-film': {
    ...film,
    name: 'house film',
    sunPassed: 0.86,
    thermalPassed: 0.66,
    wetFactor: 0.35,
    capacityJm2K: 350,
  },
  'pe-film-ir': {
    ...film,
    name: 'thermal film',
    sunPassed: 0.85,
    thermalPassed: 0.25,
    wetFactor: 0.5,
    capacityJm2K: 400,
  },
  'polycarbonate-twin': {
    name: 'twin-wall sheet',
    sunPassed: 0.76,
    sunReflected: 0.16,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.9,
    emissivityIn: 0.9,
    capacityJm2K: 1800,
    resistanceM2KW: 0.14,
    openShare: 0,
  },
  glass: {
    name: 'glass',
    sunPassed: 0.86,
    sunReflected: 0.08,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.88,
    emissivityIn: 0.88,
    capacityJm2K: 8000,
    resistanceM2KW: 0,
    openShare: 0,
  },
  'glass-double': {
    name: 'double glass',
    sunPassed: 0.76,
    sunReflected: 0.14,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.88,
    emissivityIn: 0.88,
    capacityJm2K: 16000,
    resistanceM2KW: 0.17,
    openShare: 0,
  },
  'perforated-film': {
    ...film,
    name: 'perforated film',
    sunPassed: 0.86,
    thermalPassed: 0.68,
    wetFactor: 0.35,
    capacityJm2K: 100,
    openShare: 0.012,
  },
  'fleece-17': {
    ...fleece,
    name: 'fleece 17',
    sunPassed: 0.85,
    thermalPassed: 0.55,
    capacityJm2K: 40,
    openShare: 0.006,
  },
  'fleece-30': {
    ...fleece,
    name: 'fleece 30',
    sunPassed: 0.75,
    sunReflected: 0.18,
    thermalPassed: 0.42,
    capacityJm2K: 60,
    openShare: 0.003,
  },
  'fleece-50': {
    ...fleece,
    name: 'fleece 50',
    sunPassed: 0.55,
    sunReflected: 0.32,
    thermalPassed: 0.28,
    capacityJm2K: 100,
    openShare: 0.0015,
  },
  'frost-blanket': {
    name: 'frost blanket',
    sunPassed: 0.03,
    sunReflected: 0.5,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.9,
    emissivityIn: 0.9,
    capacityJm2K: 900,
    resistanceM2KW: 0.15,
    openShare: 0.0004,
  },
  'foil-blanket': {
    name: 'foil blanket',
    sunPassed: 0,
    sunReflected: 0.75,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.3,
    emissivityIn: 0.3,
    capacityJm2K: 500,
    resistanceM2KW: 0.08,
    openShare: 0,
  },
  tarp: {
    name: 'tarp',
    sunPassed: 0.02,
    sunReflected: 0.2,
    thermalPassed: 0.05,
    wetFactor: 0.3,
    emissivityOut: 0.95,
    emissivityIn: 0.95,
    capacityJm2K: 450,
    resistanceM2KW: 0,
    openShare: 0,
  },
  'straw-mat': {
    name: 'straw mat',
    sunPassed: 0,
    sunReflected: 0.35,
    thermalPassed: 0,
    wetFactor: 1,
    emissivityOut: 0.95,
    emissivityIn: 0.95,
    capacityJm2K: 4500,
    resistanceM2KW: 0.45,
    openShare: 0.0008,
  },
  'shade-30': {
    name: 'shade cloth 30',
    sunPassed: 0.68,
    sunReflected: 0.08,
    thermalPassed: 0.65,
    wetFactor: 0.9,
    emissivityOut: 0.95,
    emissivityIn: 0.95,
    capacityJm2K: 120,
    resistanceM2KW: 0,
    openShare: 0.12,
  },
  'shade-50': {
    name: 'shade cloth 50',
    sunPassed: 0.48,
    sunReflected: 0.1,
    thermalPassed: 0.48,
    wetFactor: 0.9,
    emissivityOut: 0.95,
    emissivityIn: 0.95,
    capacityJm2K: 160,
    resistanceM2KW: 0,
    openShare: 0.08,
  },
};
