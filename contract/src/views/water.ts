/** Water: what each bed lacks, when it wants some, whether it may have it. */
import { z } from 'zod';
import { lack } from './coreNight';

export const waterRow = z.object({
  bedId: z.string(),
  name: z.string(),
  place: z.string(),
  structureId: z.string(),
  crops: z.array(z.string()),
  kind: z.enum(['bed', 'seedbed', 'pots']),
  /** What it lacks of full, at what lack it wants water, what it holds, mm; null of pots. */
  lacksMm: z.number().nullable(),
  wantsMm: z.number().nullable(),
  holdsMm: z.number().nullable(),
  /** Used today, mm. */
  usedMm: z.number(),
  /** The day on which it wants water; null where not within the forecast. */
  on: z.string().nullable(),
  /** The first day that it may have it, for the frost; null where none of those known. */
  may: z.string().nullable(),
  mm: z.number(),
  litres: z.number(),
  /** Of the drip lines; null where the farm has none. */
  minutes: z.number().nullable(),
  /** Pots: so often a day. */
  times: z.number(),
  /** The poor end of its lines is what the minutes are for. */
  uneven: z.boolean(),
  /** Before tomorrow's frost: what watering today is worth to the leaf that night, K, and whether this farm does it; null where it is no day for it. */
  bank: z.object({ worthK: z.number(), does: z.boolean() }).nullable(),
  /** Reckoned by its cover alone, until its hours under its layers are there. */
  rough: z.boolean(),
  /** Held back on purpose. */
  held: z.boolean(),
  /** Nitrogen that it lacks by now, g/m², and when it was last fed; null where it lacks none. */
  feed: z.object({ nGM2: z.number(), last: z.string().nullable() }).nullable(),
  /** When it was last watered or felt; null where nobody said. */
  since: z.string().nullable(),
});
export type WaterRow = z.infer<typeof waterRow>;

export const waterView = z.object({
  today: z.string(),
  rows: z.array(waterRow),
  /** No forecast reaches far: only today is known. */
  lack: lack.nullable(),
  /** Days that are known ahead. */
  aheadDays: z.number(),
});
export type WaterView = z.infer<typeof waterView>;
