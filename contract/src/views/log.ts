/** The log, and a night as it was said and measured. */
import type { Calibration } from '@fogata/core';
import type { FarmRecord } from '../records';
import { z } from 'zod';
import { range } from './night';
import { segment } from './coreNight';
import { naming, ofCore, sentence } from './parts';

export const logEntry = z.object({
  record: ofCore<FarmRecord>(),
  recordedAtMs: z.number(),
  retracted: z.boolean(),
  /** Who did it; empty where nobody said. */
  actor: z.string(),
  title: naming,
  detail: naming,
});
export type LogEntry = z.infer<typeof logEntry>;

export const logView = z.object({
  entries: z.array(logEntry),
  more: z.boolean(),
});
export type LogView = z.infer<typeof logView>;

/** What readings have taught about a structure, in words and as the factors that the engine is given. */
export const learntView = z.object({
  structureId: z.string(),
  name: z.string(),
  nights: z.number(),
  calibration: ofCore<Calibration>(),
  words: sentence,
});
export type LearntView = z.infer<typeof learntView>;

export const nightReport = z.object({
  night: z.string(),
  sentence: z.array(segment),
  spots: z.array(
    z.object({
      spot: z.string(),
      name: naming,
      predictedC: range.nullable(),
      measuredMinC: z.number().nullable(),
      measuredMaxC: z.number().nullable(),
      /** What the model says with the weather as it came, °C. */
      hindsightC: z.number().nullable(),
      words: sentence,
    }),
  ),
  /** What all nights so far have taught about each structure. */
  learnt: z.array(learntView),
});
export type NightReport = z.infer<typeof nightReport>;

/** A night in the list of all: what was said and what was read, outside and in the structures. */
export const nightRow = z.object({
  night: z.string(),
  saidC: range.nullable(),
  readC: z.number().nullable(),
  /** Structures that were read, and how many of them lay within what was said. */
  read: z.number(),
  within: z.number(),
  /** Mean of read less said over the structures, K, and the one that was furthest off. */
  offK: z.number().nullable(),
  furthest: z
    .object({
      name: z.string(),
      offK: z.number(),
    })
    .nullable(),
});
export type NightRow = z.infer<typeof nightRow>;

export const nightsView = z.object({
  nights: z.array(nightRow),
});
export type NightsView = z.infer<typeof nightsView>;
