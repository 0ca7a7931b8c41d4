/** The farm and what is set up on it: clock, crops, towns, covers, what a file would change, and how a problem is told. */
import type { Cover, CutPlan } from '@fogata/core';
import type { Farm, Gear, Roll } from '../farm';
import { z } from 'zod';
import { phase, nightWindow, sheetNeed, materialId } from './coreNight';
import { naming, ofCore, thing } from './parts';

export const clockView = z.object({
  nowAtMs: z.number(),
  mode: z.enum(['real', 'demo']),
  phase: phase,
  window: nightWindow,
  /** Where the demo's buttons would go. */
  closingAtMs: z.number(),
  morningAtMs: z.number(),
});
export type ClockView = z.infer<typeof clockView>;

export const farmView = z.object({
  farm: ofCore<Farm>(),
  clock: clockView,
  /** Whether weather and thermometers are invented: only in the demo and in practice. */
  simulated: z.boolean(),
  /** A rehearsal on a copy of the farm: nothing of it is kept. */
  practice: z.boolean(),
  emptyFarm: z.boolean(),
});
export type FarmView = z.infer<typeof farmView>;

export const cropRow = z.object({
  id: z.string(),
  name: z.string(),
  family: z.string(),
  aim: z.string(),
  damageC: z.tuple([z.number(), z.number()]),
  deathC: z.tuple([z.number(), z.number()]),
});
export type CropRow = z.infer<typeof cropRow>;

/** A town to start from, with its time zone; degrees north and east, metres. */
export const townRow = z.object({
  name: z.string(),
  country: z.string(),
  latitude: z.number(),
  longitude: z.number(),
  elevationM: z.number(),
  timeZone: z.string(),
});
export type TownRow = z.infer<typeof townRow>;

/** Sheets that beds lack, cut from the rolls there are. */
export const cutView = z.object({
  needs: z.number(),
  lacking: z.array(sheetNeed),
  sizes: z.array(
    z.object({
      widthM: z.number(),
      lengthM: z.number(),
      beds: z.array(z.string()),
      count: z.number(),
    }),
  ),
  rolls: z.array(ofCore<Roll>()),
  material: materialId,
  plan: ofCore<CutPlan>().nullable(),
  order: z.array(
    z.object({
      widthM: z.number(),
      lengthM: z.number(),
      sheets: z.number(),
    }),
  ),
  hold: z.object({
    bags: z.number(),
    pegs: z.number(),
    perimeterM: z.number(),
  }),
  gear: ofCore<Gear>(),
});
export type CutView = z.infer<typeof cutView>;

/** What bringing a file would change, or has changed. */
export const exchangeView = z.object({
  taken: z.boolean(),
  added: z.array(naming),
  changed: z.array(naming),
  removed: z.array(naming),
  same: z.number(),
  records: z.number(),
  /** Forecasts, measured hours, temperatures and evenings' predictions that are not there yet. */
  weather: z.number(),
  /** The log's entry of it, to take it back by; null where it changed nothing or was not taken. */
  recordId: z.string().nullable(),
});
export type ExchangeView = z.infer<typeof exchangeView>;

export const kitView = z.object({
  covers: z.array(thing<Cover & { inUse: number; beds: string[]; materialName: string }>()),
});
export type KitView = z.infer<typeof kitView>;

/** RFC 9457 problem details, with the field and a sentence that a grower understands. */
export const problemBody = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  field: z.string().exactOptional(),
});
export type ProblemBody = z.infer<typeof problemBody>;
