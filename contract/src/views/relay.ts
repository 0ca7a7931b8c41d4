/** The board: beds and what goes through their rows, with what a crop does in a place, so that a strip can be moved without asking. */
import type { Planting } from '@fogata/core';
import type { RelayBed } from '@fogata/core/relay';
import { z } from 'zod';
import { planProgress } from './night';
import type { Farm, RelaySettings } from '../farm';
import { outlook, proposal } from './coreSeason';
import { ofCore, sentence, thing } from './parts';

export const relayOutlook = outlook.extend({
  structureId: z.string(),
  crop: z.string(),
  how: z.enum(['sow', 'transplant']),
});
export type RelayOutlook = z.infer<typeof relayOutlook>;

export const relayView = z.object({
  demand: ofCore<RelaySettings['demand']>(),
  /** Of all trays; null where they are not counted. */
  cells: z.number().nullable(),
  nursery: ofCore<Farm['nursery']>(),
  risk: z.number(),
  accepted: z.array(z.string()),
  today: z.string(),
  latitude: z.number(),
  beds: z.array(thing<RelayBed>()),
  plantings: z.array(thing<Planting>()),
  outlooks: z.array(relayOutlook),
  /** Share of nights with frost outside, by weeks from the first of January. */
  frost: z.array(z.number()),
  progress: planProgress,
});
export type RelayView = z.infer<typeof relayView>;

/** A planting that would fill a gap. */
export const fillProposal = proposal;
export type FillProposal = z.infer<typeof fillProposal>;

export const fillView = z.object({
  state: z.enum(['none', 'looking', 'solving', 'ready', 'failed', 'stopped']),
  message: sentence.nullable(),
  /** Places whose years are gone through. */
  done: z.number(),
  of: z.number(),
  aim: z.enum(['value', 'supply', 'variety']),
  money: z.number().nullable(),
  /** What no plan is over, and what the rule of the longest waiting crop brings. */
  boundMoney: z.number().nullable(),
  simpleMoney: z.number().nullable(),
  proposals: z.array(fillProposal),
});
export type FillView = z.infer<typeof fillView>;

/** What may come next in rows that fall free. */
export const nextChoice = z.object({
  crop: z.string(),
  name: z.string(),
  how: z.enum(['sow', 'transplant']),
  /** Said as planted, else as sown. */
  planted: z.boolean(),
  plantedOn: z.string(),
  readyOn: z.string(),
  clearedOn: z.string(),
  success: z.number(),
  /** Null of what is not weighed. */
  kg: z.number().nullable(),
  worth: z.number(),
});
export type NextChoice = z.infer<typeof nextChoice>;

export const nextView = z.object({
  from: z.string(),
  choices: z.array(nextChoice),
  progress: planProgress,
});
export type NextView = z.infer<typeof nextView>;
