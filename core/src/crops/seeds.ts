/** Cultivar and seed lot: each defined once, as it crosses every door; its type follows. Dates as `YYYY-MM-DD`. */
import { z } from 'zod';
import { wants } from '../words/wants';
import { date, id } from '../farm/things';
import { isCrop } from './crops';
import { isFigure } from './figures';

const crop = z.string().refine(isCrop, wants('want.crop'));
const note = z.string().max(500).default('');

export const cultivarSchema = z.object({
  id,
  crop,
  /** Empty: of every planting of the crop that names no cultivar with figures of its own. */
  name: z.string().trim().max(60).default(''),
  /** What differs from the book, by the library's columns. */
  figures: z
    .record(z.string(), z.number())
    .superRefine((figures, ctx) => {
      for (const key of Object.keys(figures))
        if (!isFigure(key)) ctx.addIssue({ code: 'custom', path: [key], message: wants('want.figure') });
    })
    .default({}),
  /** Grown willingly, as any other, or never again. */
  liked: z.enum(['yes', 'plain', 'never']).default('plain'),
  note,
});
export type Cultivar = z.output<typeof cultivarSchema>;

export const seedLotSchema = z.object({
  id,
  crop,
  /** Empty where it has no name of its own. */
  cultivar: z.string().trim().max(60).default(''),
  /** Of its harvest, or as the packet has it. */
  year: z.number().int().min(1980).max(2200),
  /** A test of one's own: the share that came up, and the day. */
  tested: z
    .object({
      share: z.number().min(0).max(1),
      on: date,
    })
    .nullable()
    .default(null),
  grams: z.number().min(0).max(1e6).nullable().default(null),
  seeds: z.number().int().min(0).max(1e9).nullable().default(null),
  note,
});
export type SeedLot = z.output<typeof seedLotSchema>;
