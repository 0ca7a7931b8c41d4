/** The nights to come, as far as the forecast reaches: margins, work, what is at risk, what is short. */
import type { Lack } from '@fogata/core';
import type { PlanProgress, Range } from './night';

export interface AheadPlace {
  bedId: string;
  name: string;
  place: string;
  crop: string;
  leafC: Range;
  /** Kelvin over where harm begins, in the middle. */
  marginK: number;
  harmChance: number;
}

export interface AheadNight {
  /** Its evening's date. */
  night: string;
  outsideC: Range;
  /** The closest to harm first. */
  places: AheadPlace[];
  /** Sheets that are laid and that come off, and the minutes of it. */
  laid: number;
  lifted: number;
  minutes: number;
  /** Money at risk with nothing touched, and as it is planned. */
  lossLeft: number;
  lossPlanned: number;
  /** Beds whose covers have to stay through the morning. */
  stays: string[];
  short: { name: string; count: number }[];
  shortSaves: number;
}

export interface AheadView {
  nowMs: number;
  /** Until when the forecast says anything; null where there is none. */
  untilMs: number | null;
  lack: Lack | null;
  nights: AheadNight[];
  progress: PlanProgress;
}
