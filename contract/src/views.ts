/** What the screens read: answers, made by the server from core, already in the farm's words where words are needed. */
import type {
  Bed,
  BedSpec,
  Calibration,
  Cover,
  CutPlan,
  Issue,
  Lack,
  MaterialId,
  NightWindow,
  Opening,
  Phase,
  Planting,
  Segment,
  SheetNeed,
  Site,
  SoilState,
  StormJob,
  Structure,
  Town,
  TypedForecast,
  WeatherEntry,
} from '@fogata/core';
import type { Farm, Gear, Roll } from './farm';
import type { FarmRecord } from './records';

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
  /** Whether weather and thermometers are invented: only in the demo. */
  simulated: boolean;
  emptyFarm: boolean;
}

export interface Range {
  low: number;
  mid: number;
  high: number;
}

export interface JobItem {
  bedId: string;
  bedName: string;
  coverId: string;
  coverName: string;
  on: boolean;
  done: boolean;
  /** How many of this kind lie on the bed before it is done. */
  lying: number;
  /** Record that did it, for undo. */
  recordId: string | null;
}

export interface JobView {
  key: string;
  kind: 'cover' | 'close' | 'lift';
  /** When to start, so that this and all that follow are done in time; of lifting, the earliest. */
  dueMs: number;
  /** When it has to be on or shut. */
  onByMs: number;
  /** Money that this job alone is expected to save: over all jobs they add up to what the plan saves. */
  saves: number;
  title: string;
  detail: string;
  why: string;
  minutes: number;
  structureId: string;
  items: JobItem[];
  accepted: boolean;
  done: boolean;
  doneAtMs: number | null;
  recordIds: string[];
  /** What the plan puts on each of its beds, as option keys. */
  planKeys: Record<string, string>;
}

export interface PlaceRow {
  bedId: string;
  name: string;
  structureName: string;
  stack: GlyphLayer[];
  /** Lowest leaf temperature of the night as it is planned. */
  leafC: Range;
  /** As it stands now, where that differs. */
  bareLeafC: number;
  marginK: number;
  harmChance: number;
  crop: string;
  verdict: string;
  harmC: number;
  pending: boolean;
  /** What lies on it now, as an option key. */
  currentKey: string;
}

export interface GlyphLayer {
  name: string;
  state: 'on' | 'off' | 'planned';
  /** 0 shut to 1 wide open. */
  opening: number;
}

export interface RibbonView {
  bedId: string;
  name: string;
  timesMs: number[];
  outsideC: { low: number[]; mid: number[]; high: number[] };
  leafC: { low: number[]; mid: number[]; high: number[] };
  /** Middle and 80 % band of each layer's air; NaN while it is off. */
  layers: { name: string; airC: number[]; lowC: number[]; highC: number[] }[];
  soilC: number[];
  harmC: number | null;
  marks: { atMs: number; label: string }[];
  min: { atMs: number; leafC: number };
}

export interface PlanProgress {
  /** `waiting`: no forecast reaches through the night, and none is invented. */
  state: 'computing' | 'ready' | 'failed' | 'empty' | 'waiting';
  lack?: Lack;
  done: number;
  of: number;
  message?: string;
}

export interface NowView {
  clock: ClockView;
  progress: PlanProgress;
  sentence: Segment[];
  evidence: string;
  night: {
    lowC: Range;
    lowAtMs: number;
    cloud: number;
    windMs: number;
    issuedMs: number;
    name: string;
    source: Issue['source'];
    /** What the days before are worth, in words; null where they were measured. */
    doubt: string | null;
  } | null;
  /** What the plan is expected to save, and what is lost whether or not it is done. */
  money: { saved: number; eitherWay: number; minutes: number } | null;
  atRisk: string[];
  jobs: JobView[];
  places: PlaceRow[];
  ribbon: RibbonView | null;
  rounds: RoundItem[];
  /** Wind and snow on structures, the first to be done first. */
  storm: StormView[];
  cautions: string[];
}

export interface StormView extends StormJob {
  done: boolean;
  recordId: string | null;
}

/** One stop of the morning round. */
export interface RoundItem {
  spot: string;
  name: string;
  predictedC: Range | null;
  thermometer: { minC: number; maxC: number } | null;
  reading: { minC: number | null; maxC: number | null; recordId: string } | null;
}

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
  covers: { cover: Cover; on: boolean; recordId: string | null }[];
  opening: number;
  plantings: PlantingView[];
  progress: PlanProgress;
  options: OptionRow[];
  ribbon: RibbonView | null;
  whatIf: WhatIf | null;
  learnt: LearntView | null;
  cautions: string[];
}

export interface BedsView {
  progress: PlanProgress;
  structures: {
    structure: Structure;
    opening: number;
    beds: { bed: Bed; stack: GlyphLayer[]; plantings: PlantingView[] }[];
  }[];
}

export interface LogEntry {
  record: FarmRecord;
  recordedMs: number;
  retracted: boolean;
  /** Who did it; empty where nobody said. */
  actor: string;
  title: string;
  detail: string;
}

export interface LogView {
  entries: LogEntry[];
  more: boolean;
}

export interface NightReport {
  night: string;
  sentence: Segment[];
  spots: {
    spot: string;
    name: string;
    predictedC: Range | null;
    measuredMinC: number | null;
    measuredMaxC: number | null;
    /** What the model says with the weather as it came, °C. */
    hindsightC: number | null;
    words: string;
  }[];
  /** What all nights so far have taught about each structure. */
  learnt: LearntView[];
}

/** What readings have taught about a structure, in words and as the factors that the engine is given. */
export interface LearntView {
  structureId: string;
  name: string;
  nights: number;
  calibration: Calibration;
  words: string;
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
export interface TownRow extends Town {
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
}

export interface KitView {
  covers: (Cover & { inUse: number; beds: string[]; materialName: string })[];
}

export interface ImportView {
  taken: boolean;
  rows: number;
  fromMs: number | null;
  toMs: number | null;
  minC: number | null;
  columns: { header: string; meaning: string }[];
  badRows: { row: number; reason: string }[];
  preview: WeatherEntry[];
  /** What the table lacks and was estimated. */
  estimated: string[];
}

export interface ForecastView {
  imported: {
    id: string;
    name: string;
    source: 'typed' | 'file' | 'push' | 'poll';
    issuedMs: number;
    importedMs: number;
    fromMs: number;
    toMs: number;
    active: boolean;
    typed: TypedForecast | null;
  }[];
  /** The one that tonight goes by; null where none reaches through it. */
  using: string | null;
}

/** RFC 9457 problem details, with the field and a sentence that a grower understands. */
export interface ProblemBody {
  type: string;
  title: string;
  status: number;
  detail: string;
  field?: string;
}
