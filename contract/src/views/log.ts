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
