/** The day: what is opened, when, and how hot it gets with and without. */
import type { Phase } from '@fogata/core';
import type { PlanProgress, Range } from './night';

export interface DayStep {
  atMs: number;
  /** 0 shut to 1 wide open. */
  fraction: number;
}

export interface DayStructure {
  structureId: string;
  name: string;
  /** How far it stands open now, and the act that left it so. */
  open: number;
  recordId: string | null;
  /** The crop there that bears the least heat, and its limit, °C. */
  crop: string;
  limitC: number;
  style: 'air' | 'warm';
  /** Moves still to come; none where it may stay as it is. */
  steps: DayStep[];
  /** Hottest leaf of the day, left as it stands now and as planned. */
  leftC: Range;
  plannedC: Range;
}

export interface DayView {
  nowMs: number;
  phase: Phase;
  structures: DayStructure[];
  progress: PlanProgress;
}
