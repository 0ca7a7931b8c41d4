/**
 * The words of the heat engine: one bed under a stack of covers, as the open format `fogata-case/1` has it.
 * Units are in the names; instants are ISO 8601 strings at the border and epoch milliseconds inside.
 */

export const MATERIAL_IDS = [
  'pe-film',
  'pe-film-ir',
  'polycarbonate-twin',
  'glass',
  'glass-double',
  'perforated-film',
  'fleece-17',
  'fleece-30',
  'fleece-50',
  'frost-blanket',
  'foil-blanket',
  'tarp',
  'straw-mat',
  'shade-30',
  'shade-50',
] as const;
export type MaterialId = (typeof MATERIAL_IDS)[number];
export type Shape = 'arch' | 'box' | 'flat';
/** How a frame stands: on the ground, with earth against its sides, or let into the ground. */
export const FOOTINGS = ['standing', 'banked', 'sunk'] as const;
export type Footing = (typeof FOOTINGS)[number];
export type Tightness = 'tight' | 'average' | 'drafty';
export type Texture = 'sand' | 'loam' | 'clay' | 'compost';
export type Wetness = 'dry' | 'moist' | 'wet';

export interface Site {
  latitude: number;
  longitude: number;
  elevationM?: number | undefined;
}

export interface WeatherEntry {
  time: string;
  airC: number;
  dewPointC: number;
  windMs: number;
  cloudFraction: number;
  globalWm2?: number | undefined;
  rainMm?: number | undefined;
  snowMm?: number | undefined;
  /** Where the wind comes from, degrees from north; not part of a case: only what stands in the wind asks for it. */
  windFromDeg?: number | undefined;
}

export interface Ground {
  texture?: Texture | undefined;
  wetness?: Wetness | undefined;
  deepC: number;
  surfaceC?: number | undefined;
  mulch?: { material: 'straw'; thicknessM: number } | undefined;
  on?: 'ground' | 'bench' | undefined;
}

export interface Layer {
  lengthM: number;
  widthM: number;
  heightM: number;
  shape: Shape;
  sides?: 'cover' | 'board' | undefined;
  material: MaterialId;
  plies?: 1 | 2 | undefined;
  tightness?: Tightness | undefined;
  touchesCrop?: boolean | undefined;
  /** Of a box; `standing` where it is left out. */
  footing?: Footing | undefined;
  /** Direction of its length, degrees clockwise from north; all directions alike where it is left out. */
  turnDeg?: number | undefined;
  on?: { from: string; to: string }[] | undefined;
  ventAreaM2?: number | undefined;
  open?: { from: string; fraction: number }[] | undefined;
}

/** Height of what stands around, degrees above the horizon, from north clockwise in equal steps; what passes through it, 0 to 1. */
export interface Horizon {
  deg: readonly number[];
  passes: number;
}

/** Where in its structure a bed lies: the middle, along a side, by the door, or on a shelf so many metres up. */
export interface Place {
  zone: 'centre' | 'side' | 'door' | 'shelf';
  heightM?: number | undefined;
}

/**
 * The bed itself, without its weather: what a planner varies. Where `shared` is given, so many of the outermost layers
 * stand over other beds too: their air is one air, and the bed is only its own `floor` of theirs.
 */
export interface BedSpec {
  ground: Ground;
  stack: Layer[];
  shared?: number | undefined;
  /** The bed's own floor where layers are shared and none of its own lies over it. */
  floor?: { lengthM: number; widthM: number } | undefined;
  /** How many such beds there are; one where it is left out. */
  count?: number | undefined;
  place?: Place | undefined;
  horizon?: Horizon | undefined;
  mass?: { waterLitres: number } | undefined;
  heat?: { bottomWm2?: number | undefined; airWm2?: number | undefined } | undefined;
  crop?: { heightM?: number | undefined; groundCover?: number | undefined } | undefined;
}

export interface SimulationCase extends BedSpec {
  format: 'fogata-case/1';
  site: Site;
  weather: WeatherEntry[];
}

/** Factors that a grower's own readings move; 1 and 0 are the book's. */
export interface Calibration {
  /** Multiplies leakage through joints and edges, above 0. */
  leakage: number;
  /** Multiplies the thermal transparency of films, 0 to 1.4. */
  filmTransparency: number;
  /** Multiplies the soil's conductivity, above 0. */
  soilExchange: number;
  /** Added to the leaf and canopy of this zone (door end, north side), K. */
  zoneOffsetC: number;
}

export const BOOK_CALIBRATION: Calibration = {
  leakage: 1,
  filmTransparency: 1,
  soilExchange: 1,
  zoneOffsetC: 0,
};

export interface LayerHour {
  airC: number;
  coverC: number;
}

export interface ResultHour {
  time: string;
  outsideC: number;
  skyC: number;
  sunWm2: number;
  layers: (LayerHour | null)[];
  canopyAirC: number;
  leafC: number;
  soilC: { '0': number; '5': number; '10': number; '30': number };
}

export interface ResultSummary {
  minLeafC: number;
  minLeafAt: string;
  minCanopyAirC: number;
  maxCanopyAirC: number;
  hoursLeafBelow0: number;
  energyErrorWm2: number;
}

export interface SimulationResult {
  format: 'fogata-result/1';
  hours: ResultHour[];
  summary: ResultSummary;
  /** The factors it was run with, where they were given. */
  calibration?: Calibration;
}
