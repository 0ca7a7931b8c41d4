/**
 * What happened: the farm's log. A record is never rewritten; a mistake is corrected by a retraction or a newer one.
 * The id comes from the device that wrote it, so that sending it twice keeps it once.
 */
import { HARM, wants } from '@fogata/core';
import { z } from 'zod';
import { STEPS } from '@fogata/core';
import { date, id, instantAtMs, USES } from './farm';

const base = {
  id: z.uuid(),
  atMs: instantAtMs.describe('when it happened'),
  by: z.string().trim().max(40).optional().describe('who did it, as the device was told'),
};
const temperature = z.number().min(-60).max(80);
const note = z.string().max(500).optional();

export const readingSchema = z.object({
  ...base,
  kind: z.literal('reading'),
  spot: z.string().describe('`outside` or the id of a structure'),
  night: z.iso.date(),
  minC: temperature.nullable(),
  maxC: temperature.nullable(),
  source: z.enum(['grower', 'thermometer']),
  note,
});
export const coverRecordSchema = z.object({
  ...base,
  kind: z.literal('cover'),
  bedId: id,
  coverId: id,
  on: z.boolean(),
  /** How it lies; left out, the sheet's usual way. */
  use: z.enum(USES).optional(),
  /** How many of this kind lay on the bed when it was done: of two phones that tick one job, one is the same act again. */
  lying: z.number().int().min(0).max(99).optional(),
});
export const ventRecordSchema = z.object({
  ...base,
  kind: z.literal('vent'),
  structureId: id,
  fraction: z.number().min(0).max(1),
});
export const harmSchema = z.object({
  ...base,
  kind: z.literal('harm'),
  plantingId: id,
  score: z.enum(HARM),
  note,
});
export const harvestSchema = z.object({
  ...base,
  kind: z.literal('harvest'),
  plantingId: id,
  kg: z.number().gt(0).max(5000),
  note,
});
/** Water given to a bed, millimetres over all of it. */
export const waterSchema = z.object({
  ...base,
  kind: z.literal('water'),
  bedId: id,
  mm: z.number().min(0).max(200),
});
/** How the soil felt a finger deep: what the reckoning is put right by. */
export const soilSchema = z.object({
  ...base,
  kind: z.literal('soil'),
  bedId: id,
  feel: z.enum(['dry', 'moist', 'wet']),
});
/** Feed given to a bed, grams of nitrogen a square metre. */
export const feedSchema = z.object({
  ...base,
  kind: z.literal('feed'),
  bedId: id,
  nGM2: z.number().gt(0).max(60),
  what: z.string().trim().max(60).optional(),
});
export const noteSchema = z.object({
  ...base,
  kind: z.literal('note'),
  bedId: id.optional(),
  text: z.string().trim().min(1).max(1000),
});
export const plantingRecordSchema = z.object({
  ...base,
  kind: z.literal('planting'),
  plantingId: id,
  action: z.enum(['added', 'changed', 'cleared']),
  before: z.record(z.string(), z.unknown()).nullable(),
  after: z.record(z.string(), z.unknown()),
});
export const decisionSchema = z.object({
  ...base,
  kind: z.literal('decision'),
  night: z.iso.date(),
  bedId: id,
  /** What the grower wants on this bed tonight; null goes back to the plan. */
  key: z.string().nullable(),
  verdict: z.enum(['accepted', 'changed', 'refused', 'withdrawn']),
});
/** Something was made safe before wind or snow. */
export const securedSchema = z.object({
  ...base,
  kind: z.literal('secured'),
  structureId: id,
  what: z.enum(['wind', 'snow']),
});
/** A structure, a bed, a kind of cover or the farm's settings, changed: whole before and after, null where it was not or is no more. */
export const CHANGED = ['structure', 'bed', 'cover', 'farm', 'cultivar', 'lot'] as const;
export const changeSchema = z.object({
  ...base,
  kind: z.literal('change'),
  what: z.enum(CHANGED),
  targetId: id,
  before: z.record(z.string(), z.unknown()).nullable(),
  after: z.record(z.string(), z.unknown()).nullable(),
});
/** What may be brought at once, besides what has a name of its own. */
export const BROUGHT = [
  'farm',
  'map',
  'covers',
  'plantings',
  'cultivars',
  'library',
  'lots',
  'packet',
  'plan',
  'start',
  'asked',
] as const;
export type BroughtAs = (typeof BROUGHT)[number];
/** A file was brought: what of the farm it changed, in the order in which it was done. */
export const broughtSchema = z.object({
  ...base,
  kind: z.literal('brought'),
  name: z.string().max(80),
  as: z.enum(BROUGHT).optional(),
  changes: z.array(
    z.object({
      what: z.enum([...CHANGED, 'planting']),
      targetId: id,
      before: z.record(z.string(), z.unknown()).nullable(),
      after: z.record(z.string(), z.unknown()).nullable(),
    }),
  ),
});
export const retractionSchema = z.object({
  ...base,
  kind: z.literal('retraction'),
  retracts: z.uuid(),
});

export const recordSchema = z.discriminatedUnion('kind', [
  readingSchema,
  coverRecordSchema,
  ventRecordSchema,
  harmSchema,
  harvestSchema,
  waterSchema,
  soilSchema,
  feedSchema,
  noteSchema,
  plantingRecordSchema,
  decisionSchema,
  securedSchema,
  changeSchema,
  broughtSchema,
  retractionSchema,
]);
export type FarmRecord = z.infer<typeof recordSchema>;
export type RecordKind = FarmRecord['kind'];
export type RecordOf<K extends RecordKind> = Extract<FarmRecord, { kind: K }>;

/** A step of a planting that was done on a day, or is moved to it: kept as what it changed of the planting. */
export const stepRecordSchema = z.object({
  ...base,
  kind: z.literal('step'),
  plantingId: id,
  step: z.enum(STEPS),
  on: date,
  done: z.boolean(),
});
export type StepRecord = z.infer<typeof stepRecordSchema>;
/** What a device sends. */
export type SentRecord = FarmRecord | StepRecord;

/** Who sends, and from which device: in the headers of every request, kept with each record that comes of it. */
export const originSchema = z.object({
  actor: z.string().trim().max(40).default(''),
  device: z.string().max(64).default(''),
});
export type Origin = z.infer<typeof originSchema>;

/** Records that a device may send; changes of what stands on the farm are written by the server with the change itself. */
export const incomingSchema = z.object({
  records: z
    .array(
      z
        .discriminatedUnion('kind', [...recordSchema.options, stepRecordSchema])
        .refine(
          (r) => r.kind !== 'planting' && r.kind !== 'change' && r.kind !== 'brought',
          wants('want.ownAddress'),
        ),
    )
    .min(1)
    .max(500),
});
