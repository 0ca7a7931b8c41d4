/** What answers carry of core’s years: outlooks, proposals, needs, lots of seed. */
import type { HarmScore, StepId } from '@fogata/core';
import type { MendKind } from '@fogata/core/relay';
import type { Failure } from '@fogata/core/season';
import { z } from 'zod';
import { word } from './parts';

export const spot = z.object({
  bedId: z.string(),
  name: z.string(),
  fromRow: z.number(),
  toRow: z.number(),
  lengthM: z.number(),
});

export const how = z.enum(['sow', 'transplant']);

export const needSowing = z.object({
  structureId: z.string(),
  place: z.string(),
  cover: z.string().nullable(),
  how: how,
  date: z.string(),
  readyOn: z.string(),
  overOn: z.string(),
  metres: z.number(),
  /** Share of years in which it comes off. */
  success: z.number(),
  kg: z.number(),
  /** Null of what is not sown, or does not come up in that soil. */
  seeds: z.number().nullable(),
  grams: z.number().nullable(),
  /** Cells and days on the bench; null of what is sown where it grows. */
  bench: z
    .object({
      cells: z.number(),
      days: z.number(),
      from: z.string(),
    })
    .nullable(),
});

export const needWeek = z.object({
  from: z.string(),
  kg: z.number(),
  /** In an early or a late year, whichever gives less. */
  lowKg: z.number(),
  shortKg: z.number(),
});

export const needAnswer = z.object({
  sowings: z.array(needSowing),
  weeks: z.array(needWeek),
  metres: z.number(),
  shortKg: z.number(),
});

export const mendKind = word<MendKind>();

export const mend = z.object({
  kind: mendKind,
  /** Of another crop, its id and name. */
  crop: z.string().nullable(),
  name: z.string().nullable(),
  how: how.nullable(),
  /** Expected, less the work; and over leaving it. */
  worth: z.number(),
  gain: z.number(),
  minutes: z.number(),
  success: z.number().nullable(),
  readyOn: z.string().nullable(),
  grams: z.number().nullable(),
  plants: z.number().nullable(),
  /** Why it is worth nothing. */
  late: z.boolean(),
});

export const meanYear = z.object({
  growthDd: z.array(z.number()).readonly(),
  riseDd: z.array(z.number()).readonly(),
});

export const failure = word<Failure>();

export const dateRow = z.object({
  lostToCold: z.number(),
  notReady: z.number(),
  notClear: z.number(),
  bolted: z.number(),
  cooked: z.number(),
  day: z.number(),
  /** Days after `day`; null where fewer than a tenth, a half, nine tenths of the years come to a picking. */
  ready: z.object({
    early: z.number().nullable(),
    middle: z.number().nullable(),
    late: z.number().nullable(),
  }),
  success: z.number(),
  /** Days until it has nothing more to give, or bolts, spoils or dies, in the middle of the years that come to a picking; null where that was not asked. */
  overDays: z.number().nullable(),
  /** Days until it is up, of what is sown, in the middle year; null where in fewer than half of the years it comes. */
  upDays: z.number().nullable(),
  /** Share of its leaves that have mildew at the first picking. */
  mildew: z.number(),
});

export const outlook = z.object({
  mean: meanYear,
  rows: z.array(dateRow).readonly(),
});

export const proposal = z.object({
  crop: z.string(),
  how: how,
  bedId: z.string(),
  fromRow: z.number(),
  toRow: z.number(),
  lengthM: z.number(),
  /** Sown in trays; null where it is sown where it grows. */
  traysOn: z.string().nullable(),
  plantedOn: z.string(),
  readyOn: z.string(),
  clearedOn: z.string(),
  kg: z.number(),
  cells: z.number(),
  minutes: z.number(),
  /** Share of years in which it comes off. */
  success: z.number(),
  /** Money that the whole plan would lose without it. */
  worth: z.number(),
  /** Of what is asked for and not there without the plan, kilos that it gives, and in which weeks. */
  fills: z.object({
    kg: z.number(),
    from: z.string().nullable(),
    to: z.string().nullable(),
  }),
  /** Weeks that its rows would lie idle. */
  idleWeeks: z.number(),
  /** The next best of another crop in their place, the rest left as it is, and how much less that would bring. */
  instead: z
    .object({
      crop: z.string(),
      less: z.number(),
    })
    .nullable(),
});

export const stepId = word<StepId>();

export const lotNow = z.object({
  germination: z.number(),
  /** Whether it was tested, or is the crop's usual by its age. */
  from: z.enum(['tested', 'usual']),
  /** Seeds that are left, where they were counted or weighed. */
  seeds: z.number().nullable(),
  /** Half of what it once was, or less. */
  old: z.boolean(),
});

export const harmScore = word<HarmScore>();

export const coldBelief = z.object({
  shiftK: z.number(),
  sdK: z.number(),
  /** Nights with a score that it rests on. */
  nights: z.number(),
});
