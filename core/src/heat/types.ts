/**
 * The words of the heat engine: one bed under a stack of covers, as the open format `fogata-case/1` has it.
 * Units are in the names; instants are ISO 8601 strings at the border and epoch milliseconds inside.
 */
import type { z } from 'zod';
import type {
  groundSchema,
  layerSchema,
  simulationCaseSchema,
  siteSchema,
  weatherEntrySchema,
} from './caseShape';

export * from './kinds';

export type Site = z.infer<typeof siteSchema>;

export type WeatherEntry = z.infer<typeof weatherEntrySchema> & {
  /** Where the wind comes from, degrees from north; not part of a case: only what stands in the wind asks for it. */
  windFromDeg?: number | undefined;
};

export type Ground = z.infer<typeof groundSchema>;

/** What a layer is on a farm: its structure, shade cloth on it, a sheet over it, a sheet within. */
export type LayerRole = 'structure' | 'shade' | 'over' | 'sheet';

/** A layer of a case; on a farm it knows which structure or kind of sheet it is, and as what it is there. */
export type Layer = z.infer<typeof layerSchema> & { id?: string | undefined; role?: LayerRole | undefined };

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

export type SimulationCase = z.infer<typeof simulationCaseSchema>;

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
