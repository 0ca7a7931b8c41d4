/** The day: what is opened, when, and how hot it gets with and without. */
import { z } from 'zod';
import { range, planProgress } from './night';
import { phase } from './coreNight';

export const dayStep = z.object({
  atMs: z.number(),
  /** 0 shut to 1 wide open. */
  fraction: z.number(),
  /** An hour late at it alone: what that adds to the day's hottest leaf, and to the leaf when that hour is over, K; null where it is the same. */
  lateHotK: z.number().nullable(),
  lateThenK: z.number().nullable(),
});
export type DayStep = z.infer<typeof dayStep>;

export const dayStructure = z.object({
  structureId: z.string(),
  name: z.string(),
  /** How far it stands open now, and the act that left it so. */
  open: z.number(),
  recordId: z.string().nullable(),
  /** The crop there that bears the least heat, and its limit, °C. */
  crop: z.string(),
  limitC: z.number(),
  style: z.enum(['air', 'warm']),
  /** Moves still to come; none where it may stay as it is. */
  steps: z.array(dayStep),
  /** Hottest leaf of the day, left as it stands now and as planned. */
  leftC: range,
  plannedC: range,
  /** With the next move an hour late; with somebody there all day, where that is better. */
  lateC: range.nullable(),
  thereC: range.nullable(),
  /** Where opening does not reach: the hottest leaf under shade cloth, with the lids off, and what mist takes off, K. */
  more: z
    .object({
      shadeC: range.nullable(),
      lidsOffC: range.nullable(),
      fabricC: range.nullable(),
      mistK: z.number().nullable(),
    })
    .nullable(),
  /** Warmest mix of pots and crates today, °C; null where it stands in the ground or bears it. */
  potsC: z.number().nullable(),
  /** Days in a row, today included, that are too hot for the crop, and how many more of them end it; null where today is not. */
  hotDays: z.object({ days: z.number(), more: z.number() }).nullable(),
});
export type DayStructure = z.infer<typeof dayStructure>;

export const dayView = z.object({
  nowAtMs: z.number(),
  phase: phase,
  structures: z.array(dayStructure),
  /** Spans of the day in which nobody is there. */
  away: z.array(z.object({ fromAtMs: z.number(), toAtMs: z.number() })),
  progress: planProgress,
});
export type DayView = z.infer<typeof dayView>;
