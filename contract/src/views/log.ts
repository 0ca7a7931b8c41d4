/** The log, and a night as it was said and measured. */
import type { Calibration, Segment } from '@fogata/core';
import type { FarmRecord } from '../records';
import type { Range } from './night';

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

/** A night in the list of all: what was said and what was read, outside and in the structures. */
export interface NightRow {
  night: string;
  saidC: Range | null;
  readC: number | null;
  /** Structures that were read, and how many of them lay within what was said. */
  read: number;
  within: number;
  /** Mean of read less said over the structures, K, and the one that was furthest off. */
  offK: number | null;
  furthest: { name: string; offK: number } | null;
}

export interface NightsView {
  nights: NightRow[];
}
