/** Place and Beds: one bed under everything that fits, and all that stand on the farm. */
import type {
  Bed,
  BedSpec,
  Calibration,
  Cover,
  CoverUse,
  Opening,
  Planting,
  Site,
  SoilState,
  Standing,
  Structure,
  Toll,
  WeatherEntry,
} from '@fogata/core';
import type { GlyphLayer, PlanProgress, Range, RibbonView } from './night';
import type { LearntView } from './log';
import type { ClockView } from './farm';

export interface OptionRow {
  key: string;
  names: string[];
  leafC: Range;
  loss: number;
  minutes: number;
  chosen: boolean;
  planned: boolean;
  current: boolean;
}

export interface PlantingView {
  planting: Planting;
  cropName: string;
  hardening: number;
  daysSince: number;
  damageC: number;
  deathC: number;
  flowerC: number | null;
  harmC: number;
  leafC: Range | null;
  verdict: string | null;
  harmChance: number | null;
  /** What the night takes of it, expected over all outcomes: shares, and days of growth. */
  toll: Toll | null;
  lastHarm: string | null;
  /** Share of it that the nights before have left, by its last score and the model since. */
  left: number;
  harvestedKg: number;
}

export interface WhatIf {
  site: Site;
  weather: WeatherEntry[];
  /** Soil temperatures to start from, as `SoilState`, in plain lists. */
  initial: Omit<SoilState, 'outside' | 'columns'> & { outside: number[]; columns: number[][] };
  /** The other beds of its house as they are planned, and where they start from: they share its air. */
  others: { spec: BedSpec; initial: WhatIf['initial'] }[];
  /** Its own place among them: the first bed's ground is that of the paths. */
  among: number;
  /** Bed under everything that fits; layers named for the switches. */
  base: BedSpec;
  /** How far the structure stands open as planned, 0 to 1; as it stands now, and when the plan has it shut. */
  opening: number;
  openNow: number;
  shutAtMs: number;
  /** When covers that do not lie yet go on. */
  coverFromMs: number;
  /** What the plan's middle is over its centre, K: an untouched trial is the plan to the last digit. */
  middleK: number;
  /** What opens by a wax cylinder. */
  openings: Opening[];
  layers: {
    id: string;
    name: string;
    note: string;
    on: boolean;
    /** Whether it lies there now. */
    lies: boolean;
    drawn: boolean;
    stock: string;
    ventable: boolean;
    minutes: number;
    spec: BedSpec['stack'][number];
  }[];
  countFromMs: number;
  /** The night counts up to here; covers may be off from `dayFromMs` to `dayToMs`. */
  nightToMs: number;
  dayFromMs: number;
  dayToMs: number;
  /** The factors that the engine is given for this place. */
  calibration: Calibration;
}

export interface PlaceView {
  clock: ClockView;
  structure: Structure;
  bed: Bed;
  covers: { cover: Cover; use?: CoverUse; on: boolean; recordId: string | null }[];
  opening: number;
  plantings: PlantingView[];
  progress: PlanProgress;
  options: OptionRow[];
  ribbon: RibbonView | null;
  whatIf: WhatIf | null;
  learnt: LearntView | null;
  cautions: string[];
  standing: Standing;
}

export interface BedsView {
  progress: PlanProgress;
  standing: Standing;
  structures: {
    structure: Structure;
    opening: number;
    beds: { bed: Bed; stack: GlyphLayer[]; plantings: PlantingView[] }[];
  }[];
}
