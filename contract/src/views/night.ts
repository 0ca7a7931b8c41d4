/** Now and what it is made of: the sentence, jobs, places, ribbon, the morning round. */
import type { Issue, Job, JobItem, Lack, Segment, Standing, StormJob } from '@fogata/core';
import type { ClockView } from './farm';

export type { Job as JobView, JobItem };

export interface Range {
  low: number;
  mid: number;
  high: number;
}

export interface PlaceRow {
  bedId: string;
  name: string;
  structureId: string;
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
  /** The kind of sheet; left out of the structure itself. */
  coverId?: string;
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
  jobs: Job[];
  places: PlaceRow[];
  ribbon: RibbonView | null;
  rounds: RoundItem[];
  /** Wind and snow on structures, the first to be done first. */
  storm: StormView[];
  cautions: string[];
  /** What lies where and is open: what this device did since is applied to it. */
  standing: Standing;
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
