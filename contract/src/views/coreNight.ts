/** What answers carry of core’s nights: jobs, sentences, what is lacking. */
import type { CoverUse, MaterialId } from '@fogata/core';
import { z } from 'zod';
import { ofCore, saying, sentence, word } from './parts';

export const forecastSource = z.enum(['typed', 'file', 'push', 'poll', 'simulated']);

export const lack = z.union([
  z.object({
    why: z.literal('none'),
  }),
  z.object({
    why: z.enum(['past', 'short', 'late']),
    name: z.string(),
    source: forecastSource,
    fromAtMs: z.number(),
    toAtMs: z.number(),
  }),
]);

export const phase = z.enum(['closing', 'night', 'morning']);

export const nightWindow = z.object({
  /** Local date of its evening. */
  night: z.string(),
  /** Noon before and noon after, epoch ms. */
  fromAtMs: z.number(),
  toAtMs: z.number(),
  sunsetAtMs: z.number().nullable(),
  sunriseAtMs: z.number().nullable(),
});

export const sheetNeed = z.object({
  bedId: z.string(),
  bedName: z.string(),
  widthM: z.number(),
  lengthM: z.number(),
});

export const materialId = word<MaterialId>();

export const tone = z.enum(['plain', 'frost', 'ember', 'ochre', 'pine']);

export const segment = z.object({
  text: sentence,
  tone: tone,
});

export const warningKind = z.enum(['cold', 'hot', 'forecast', 'silent', 'parted']);

export const jobItem = z.object({
  bedId: z.string(),
  bedName: z.string(),
  coverId: z.string(),
  /** How it lies, where that is not its usual way. */
  use: ofCore<CoverUse>().exactOptional(),
  coverName: z.string(),
  on: z.boolean(),
  done: z.boolean(),
  /** How many of this kind lie on the bed before it is done. */
  lying: z.number(),
  /** Record that did it, for undo. */
  recordId: z.string().nullable(),
});

export const job = z.object({
  key: z.string(),
  kind: z.enum(['cover', 'close', 'lift']),
  /** When to start, so that this and all that follow are done in time; of lifting, the earliest. */
  dueAtMs: z.number(),
  /** When it has to be on or shut. */
  onByAtMs: z.number(),
  /** Money that this job alone is expected to save: over all jobs they add up to what the plan saves. */
  saves: z.number(),
  title: saying,
  detail: saying,
  why: saying,
  /** Whether its reason says already that it comes too late. */
  late: z.boolean(),
  minutes: z.number(),
  structureId: z.string(),
  items: z.array(jobItem),
  accepted: z.boolean(),
  done: z.boolean(),
  doneAtMs: z.number().nullable(),
  recordIds: z.array(z.string()),
  /** What the plan puts on each of its beds, as option keys. */
  planKeys: z.record(z.string(), z.string()),
});

export const stormJob = z.object({
  structureId: z.string(),
  what: z.enum(['wind', 'snow']),
  /** Have it done by. */
  byAtMs: z.number(),
  /** 1 see to it, 2 take it seriously, 3 beyond what it bears or may bear. */
  level: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  title: sentence,
  steps: z.array(sentence),
  load: sentence,
  caution: sentence,
});

export const toll = z.object({
  /** Plants lost; of those that live, leaves lost; open flowers and young fruit lost. */
  plants: z.number(),
  leaves: z.number(),
  flowers: z.number(),
  daysLost: z.number(),
});
