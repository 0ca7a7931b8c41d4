/** Season and what it is made of: what to begin this week, a crop's year in each place. Dates of the year as "MM-DD". */
import type { Counter } from '../farm';
import type { Planting, StepId } from '@fogata/core';
import type { LogEntry } from './log';
import type { PlanProgress, Range } from './night';

export interface SeasonWindow {
  school: 'layers' | 'light' | 'risk';
  season: 'autumn' | 'spring';
  earliest: string | null;
  best: string | null;
  latest: string | null;
  reasons: { edge: 'earliest' | 'best' | 'latest'; why: string }[];
}

/** What becomes of one begun on this day: shares of years. */
export interface SeasonDate {
  date: string;
  /** Days until the first picking, in the middle year; null where fewer than half of the years come to one. */
  readyDays: number | null;
  lostToCold: number;
  notReady: number;
  notClear: number;
  bolted: number;
  cooked: number;
  success: number;
}

export interface SeasonPlaceView {
  id: string;
  structureId: string;
  name: string;
  /** The sheet that goes on for cold nights there; null for the structure alone. */
  cover: string | null;
  windows: SeasonWindow[];
  dates: SeasonDate[];
}

export interface SeasonClimate {
  /** What it is from: a station's days, months that were typed, or the coarse table by latitude and height. */
  from: 'daily' | 'monthly' | 'table';
  /** Of a station's days: how many years. */
  years: number;
  lastSpring: string | null;
  firstAutumn: string | null;
  /** Frost dates of the site that these months cannot be brought to. */
  missed: string[];
}

export interface SeasonCropView {
  crop: string;
  name: string;
  how: 'sow' | 'transplant';
  mayTransplant: boolean;
  /** Said as planted, else as sown. */
  planted: boolean;
  today: string;
  latitude: number;
  climate: SeasonClimate;
  /** Structures that are too low for it. */
  tooLow: string[];
  /** Places in the farm's order; those worked out so far. */
  places: SeasonPlaceView[];
  progress: PlanProgress;
  /** What kills it, °C, soft and hard; chilling above zero where it has one. */
  damageC: [number, number];
  deathC: [number, number];
  chillingC: number | null;
}

export interface SeasonRow {
  crop: string;
  name: string;
  planted: boolean;
  structureId: string;
  place: string;
  /** The sheet that is reckoned with on cold nights. */
  cover: string | null;
  /** 0 where it may be begun today, else in so many days. */
  inDays: number;
  opens: string;
  latest: string;
  leftDays: number;
  /** Shares of years that it comes off in begun today, and a week or two after the window has shut. */
  success: number;
  after: number;
  /** What it is mostly then. */
  afterIs: 'lostToCold' | 'notReady' | 'notClear' | 'bolted' | 'cooked';
  readyDays: number | null;
}

/** Something to be done with a planting, this week or soon, or left undone. */
export interface SeasonJob {
  plantingId: string;
  step: StepId;
  date: string;
  mayMove: boolean;
  crop: string;
  name: string;
  cultivar: string;
  bedId: string;
  bed: string;
  place: string;
  rows: number;
  /** Of all its rows together. */
  metres: number;
  /** Said as planted, else as sown. */
  planted: boolean;
  /** Of what is still to go into the ground: the share of years in which it comes off on its day, and begun today. */
  chance: { then: number; today: number; todayIs: SeasonRow['afterIs'] } | null;
}

export interface SeasonView {
  today: string;
  jobs: SeasonJob[];
  climate: SeasonClimate;
  rows: SeasonRow[];
  /** The first to open where none is open or opens soon. */
  next: {
    crop: string;
    name: string;
    planted: boolean;
    place: string;
    date: string;
    inDays: number;
  } | null;
  progress: PlanProgress;
  places: number;
}

/** A planting from its seed to now: what was done, what nights it went through, what was noted. */
export interface StoryView {
  planting: Planting;
  cropName: string;
  bed: { id: string; name: string; place: string };
  today: string;
  nowMs: number;
  /** In the ground today, not cleared. */
  stands: boolean;
  /** Days since it went into the ground; below zero while it is planned. */
  daysIn: number;
  /** 0 to 1; null while it does not stand. */
  hardening: number | null;
  /** Said as planted, else as sown. */
  planted: boolean;
  /** How far its place's years are gone through: until then its pickings have no day. */
  progress: PlanProgress;
  steps: { id: StepId; date: string; done: boolean }[];
  /** Nights by the date of their evening: the lowest leaf by the model, and where harm then began. */
  nights: { night: string; leafC: number; harmC: number }[];
  tonight: { leafC: Range; harmC: number } | null;
  harvestedKg: number;
  entries: LogEntry[];
}

/** What a station's file holds and what it is good for. */
export interface ClimateRead {
  taken: boolean;
  kind: 'days' | 'hours' | 'epw';
  days: number;
  gaps: number;
  from: string | null;
  to: string | null;
  use: 'record' | 'months' | 'nothing';
  years: number;
  why: string | null;
  /** Mean low and high of each month, °C. */
  months: { lowC: number; highC: number }[];
  badRows: { row: number; reason: string }[];
  /** Log entry to take it back by. */
  recordId: string | null;
}

/** A counter with how far it is, and when it is likely to be full. */
export interface CounterView {
  counter: Counter;
  place: string;
  sofar: number;
  share: number;
  early: string | null;
  middle: string | null;
  late: string | null;
  full: boolean;
}

export interface CountersView {
  today: string;
  /** The soonest first. */
  counters: CounterView[];
}
