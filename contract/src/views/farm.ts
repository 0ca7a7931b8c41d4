/** The farm and what is set up on it: clock, crops, towns, covers, what a file would change, and how a problem is told. */
import type { Cover, CutPlan, MaterialId, NightWindow, Phase, SheetNeed } from '@fogata/core';
import type { Farm, Gear, Roll } from '../farm';

export interface ClockView {
  nowMs: number;
  mode: 'real' | 'demo';
  phase: Phase;
  window: NightWindow;
  /** Where the demo's buttons would go. */
  closingMs: number;
  morningMs: number;
}

export interface FarmView {
  farm: Farm;
  clock: ClockView;
  /** Whether weather and thermometers are invented: only in the demo and in practice. */
  simulated: boolean;
  /** A rehearsal on a copy of the farm: nothing of it is kept. */
  practice: boolean;
  emptyFarm: boolean;
}

export interface CropRow {
  id: string;
  name: string;
  family: string;
  aim: string;
  damageC: [number, number];
  deathC: [number, number];
}

/** A town to start from, with its time zone. */
/** Degrees north and east, metres. */
export interface TownRow {
  name: string;
  country: string;
  latitude: number;
  longitude: number;
  elevationM: number;
  timeZone: string;
}

/** Sheets that beds lack, cut from the rolls there are. */
export interface CutView {
  needs: number;
  lacking: SheetNeed[];
  sizes: { widthM: number; lengthM: number; beds: string[]; count: number }[];
  rolls: Roll[];
  material: MaterialId;
  plan: CutPlan | null;
  order: { widthM: number; lengthM: number; sheets: number }[];
  hold: { bags: number; pegs: number; perimeterM: number };
  gear: Gear;
}

/** What bringing a file would change, or has changed. */
export interface ExchangeView {
  taken: boolean;
  added: string[];
  changed: string[];
  removed: string[];
  same: number;
  records: number;
  /** Forecasts, measured hours, temperatures and evenings' predictions that are not there yet. */
  weather: number;
  /** The log's entry of it, to take it back by; null where it changed nothing or was not taken. */
  recordId: string | null;
}

export interface KitView {
  covers: (Cover & { inUse: number; beds: string[]; materialName: string })[];
}

/** RFC 9457 problem details, with the field and a sentence that a grower understands. */
export interface ProblemBody {
  type: string;
  title: string;
  status: number;
  detail: string;
  field?: string;
}
