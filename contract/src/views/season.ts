/** Season and what it is made of: what to begin this week, a crop's year in each place. Dates of the year as "MM-DD". */
import type { Planting } from '@fogata/core';
import type { Counter } from '../farm';
import { z } from 'zod';
import { planProgress, range } from './night';
import { logEntry } from './log';
import { stepId } from './coreSeason';
import { thing, ofCore, sentence } from './parts';

export const seasonWindow = z.object({
  school: z.enum(['layers', 'light', 'risk']),
  season: z.enum(['autumn', 'spring']),
  earliest: z.string().nullable(),
  best: z.string().nullable(),
  latest: z.string().nullable(),
  reasons: z.array(
    z.object({
      edge: z.enum(['earliest', 'best', 'latest']),
      why: sentence,
    }),
  ),
});
export type SeasonWindow = z.infer<typeof seasonWindow>;

/** What becomes of one begun on this day: shares of years. */
export const seasonDate = z.object({
  date: z.string(),
  /** Days until the first picking, in the middle year; null where fewer than half of the years come to one. */
  readyDays: z.number().nullable(),
  lostToCold: z.number(),
  notReady: z.number(),
  notClear: z.number(),
  bolted: z.number(),
  cooked: z.number(),
  success: z.number(),
  /** Share of its leaves that have mildew at the first picking. */
  mildew: z.number(),
});
export type SeasonDate = z.infer<typeof seasonDate>;

export const seasonPlaceView = z.object({
  id: z.string(),
  structureId: z.string(),
  name: z.string(),
  /** The sheet that goes on for cold nights there; null for the structure alone. */
  cover: z.string().nullable(),
  windows: z.array(seasonWindow),
  dates: z.array(seasonDate),
});
export type SeasonPlaceView = z.infer<typeof seasonPlaceView>;

export const seasonClimate = z.object({
  /** What it is from: a station's days, months that were typed, or the coarse table by latitude and height. */
  from: z.enum(['daily', 'monthly', 'table']),
  /** Of a station's days: how many years. */
  years: z.number(),
  /** The town of the table that stands for the place; null where months or days were brought, or none is near. */
  town: z.object({ name: z.string(), km: z.number() }).nullable(),
  lastSpring: z.string().nullable(),
  firstAutumn: z.string().nullable(),
  /** Frost dates of the site that these months cannot be brought to. */
  missed: z.array(z.string()),
});
export type SeasonClimate = z.infer<typeof seasonClimate>;

export const seasonCropView = z.object({
  crop: z.string(),
  name: z.string(),
  how: z.enum(['sow', 'transplant']),
  mayTransplant: z.boolean(),
  /** Said as planted, else as sown. */
  planted: z.boolean(),
  today: z.string(),
  latitude: z.number(),
  climate: seasonClimate,
  /** Structures that are too low for it. */
  tooLow: z.array(z.string()),
  /** Places in the farm's order; those worked out so far. */
  places: z.array(seasonPlaceView),
  progress: planProgress,
  /** What kills it, °C, soft and hard; chilling above zero where it has one. */
  damageC: z.tuple([z.number(), z.number()]),
  deathC: z.tuple([z.number(), z.number()]),
  chillingC: z.number().nullable(),
});
export type SeasonCropView = z.infer<typeof seasonCropView>;

export const seasonRow = z.object({
  crop: z.string(),
  name: z.string(),
  planted: z.boolean(),
  structureId: z.string(),
  place: z.string(),
  /** The sheet that is reckoned with on cold nights. */
  cover: z.string().nullable(),
  /** 0 where it may be begun today, else in so many days. */
  inDays: z.number(),
  opens: z.string(),
  latest: z.string(),
  leftDays: z.number(),
  /** Shares of years that it comes off in begun today, and a week or two after the window has shut. */
  success: z.number(),
  after: z.number(),
  /** What it is mostly then. */
  afterIs: z.enum(['lostToCold', 'notReady', 'notClear', 'bolted', 'cooked']),
  readyDays: z.number().nullable(),
});
export type SeasonRow = z.infer<typeof seasonRow>;

/** Something to be done with a planting, this week or soon, or left undone. */
export const seasonJob = z.object({
  plantingId: z.string(),
  step: stepId,
  date: z.string(),
  mayMove: z.boolean(),
  crop: z.string(),
  name: z.string(),
  cultivar: z.string(),
  bedId: z.string(),
  bed: z.string(),
  place: z.string(),
  rows: z.number(),
  /** Of all its rows together. */
  metres: z.number(),
  /** Said as planted, else as sown. */
  planted: z.boolean(),
  /** Of what is still to go into the ground: the share of years in which it comes off on its day, and begun today. */
  chance: z
    .object({
      then: z.number(),
      today: z.number(),
      todayIs: seasonRow.shape.afterIs,
    })
    .nullable(),
});
export type SeasonJob = z.infer<typeof seasonJob>;

export const seasonView = z.object({
  today: z.string(),
  jobs: z.array(seasonJob),
  climate: seasonClimate,
  rows: z.array(seasonRow),
  /** The first to open where none is open or opens soon. */
  next: z
    .object({
      crop: z.string(),
      name: z.string(),
      planted: z.boolean(),
      place: z.string(),
      date: z.string(),
      inDays: z.number(),
    })
    .nullable(),
  progress: planProgress,
  places: z.number(),
});
export type SeasonView = z.infer<typeof seasonView>;

/** A planting from its seed to now: what was done, what nights it went through, what was noted. */
export const storyView = z.object({
  planting: thing<Planting>(),
  cropName: z.string(),
  bed: z.object({
    id: z.string(),
    name: z.string(),
    place: z.string(),
  }),
  today: z.string(),
  nowAtMs: z.number(),
  /** In the ground today, not cleared. */
  stands: z.boolean(),
  /** Days since it went into the ground; below zero while it is planned. */
  daysIn: z.number(),
  /** 0 to 1; null while it does not stand. */
  hardening: z.number().nullable(),
  /** Said as planted, else as sown. */
  planted: z.boolean(),
  /** How far its place's years are gone through: until then its pickings have no day. */
  progress: planProgress,
  /** Runs to flower before its first picking: share of years; and the nearest day that is better, of what is still planned. */
  bolts: z
    .object({
      share: z.number(),
      better: z.object({ date: z.string(), share: z.number() }).nullable(),
    })
    .nullable(),
  steps: z.array(
    z.object({
      id: stepId,
      date: z.string(),
      done: z.boolean(),
    }),
  ),
  /** Nights by the date of their evening: the lowest leaf by the model, and where harm then began. */
  nights: z.array(
    z.object({
      night: z.string(),
      leafC: z.number(),
      harmC: z.number(),
    }),
  ),
  tonight: z
    .object({
      leafC: range,
      harmC: z.number(),
    })
    .nullable(),
  harvestedKg: z.number(),
  entries: z.array(logEntry),
});
export type StoryView = z.infer<typeof storyView>;

/** What a station's file holds and what it is good for. */
export const climateRead = z.object({
  taken: z.boolean(),
  kind: z.enum(['days', 'hours', 'epw']),
  days: z.number(),
  gaps: z.number(),
  from: z.string().nullable(),
  to: z.string().nullable(),
  use: z.enum(['record', 'months', 'nothing']),
  years: z.number(),
  why: sentence.nullable(),
  /** Mean low and high of each month, °C. */
  months: z.array(
    z.object({
      lowC: z.number(),
      highC: z.number(),
    }),
  ),
  badRows: z.array(
    z.object({
      row: z.number(),
      reason: sentence,
    }),
  ),
  /** Log entry to take it back by. */
  recordId: z.string().nullable(),
});
export type ClimateRead = z.infer<typeof climateRead>;

/** A counter with how far it is, and when it is likely to be full. */
export const counterView = z.object({
  counter: ofCore<Counter>(),
  place: z.string(),
  sofar: z.number(),
  share: z.number(),
  early: z.string().nullable(),
  middle: z.string().nullable(),
  late: z.string().nullable(),
  full: z.boolean(),
});
export type CounterView = z.infer<typeof counterView>;

export const countersView = z.object({
  today: z.string(),
  /** The soonest first. */
  counters: z.array(counterView),
});
export type CountersView = z.infer<typeof countersView>;
