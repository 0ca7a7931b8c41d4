/** Cultivar and seed lot: each defined once, as it crosses every door; its type follows. Dates as `YYYY-MM-DD`. */
import { z } from 'zod';
import { date, id } from '../farm/things';
import { isCrop } from './crops';
import { isFigure } from './figures';

const crop = z.string().refine(isCrop, 'a crop of the list, as GET /api/crops has it');
const note = z.string().max(500, 'at most 500 letters').default('');

export const cultivarSchema = z.object({
  id,
  crop,
  /** Empty: of every planting of the crop that names no cultivar with figures of its own. */
  name: z.string().trim().max(60, 'at most 60 letters').default(''),
  /** What differs from the book, by the library's columns. */
  figures: z
    .record(z.string(), z.number({ error: 'a number' }))
    .superRefine((figures, ctx) => {
      for (const key of Object.keys(figures))
        if (!isFigure(key))
          ctx.addIssue({ code: 'custom', path: [key], message: 'a column of the library of crops' });
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
  cultivar: z.string().trim().max(60, 'at most 60 letters').default(''),
  /** Of its harvest, or as the packet has it. */
  year: z
    .number({ error: 'a year' })
    .int('a whole year')
    .min(1980, 'a year like 2026')
    .max(2200, 'a year like 2026'),
  /** A test of one's own: the share that came up, and the day. */
  tested: z
    .object({
      share: z.number({ error: 'a share' }).min(0, '0 to 1').max(1, '0 to 1'),
      on: date,
    })
    .nullable()
    .default(null),
  grams: z
    .number({ error: 'a weight in grams' })
    .min(0, '0 or more')
    .max(1e6, 'at most 1000000 g')
    .nullable()
    .default(null),
  seeds: z
    .number({ error: 'a number of seeds' })
    .int('whole seeds')
    .min(0, '0 or more')
    .max(1e9, 'at most 1000000000')
    .nullable()
    .default(null),
  note,
});
export type SeedLot = z.output<typeof seedLotSchema>;
