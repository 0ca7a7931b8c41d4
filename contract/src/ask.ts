/** A night asked about before anything is set up, and the answer. */
import { isCrop, MIDDLE, OUTER, type Segment } from '@fogata/core';
import { z } from 'zod';
import { typedSchema } from './weather';
import type { Range } from './views';

export const askSchema = z.object({
  /** Made by the device once: what is kept later is what was asked, to the last digit. */
  id: z.uuid({ error: 'an id' }),
  site: z.object({
    latitude: z.number({ error: 'a latitude' }).min(-90, '−90 to 90 degrees').max(90, '−90 to 90 degrees'),
    longitude: z
      .number({ error: 'a longitude' })
      .min(-180, '−180 to 180 degrees')
      .max(180, '−180 to 180 degrees'),
    elevationM: z.number().min(-450, 'at least −450 m').max(6000, 'at most 6000 m'),
  }),
  outer: z.enum(OUTER),
  middle: z.enum(MIDDLE),
  laid: z.boolean(),
  crop: z.string().refine(isCrop, 'a crop of the list'),
  weeks: z.number().int('whole weeks').min(0, '0 or more').max(300, 'at most 300 weeks'),
  typed: typedSchema,
});
export type AskBody = z.infer<typeof askSchema>;

/** The same bed with something more or less over it. */
export interface AskOther {
  /** "With frost blanket besides" */
  what: string;
  leafC: Range;
  /** Chance of lasting harm, 0 to 1. */
  harmChance: number;
  verdict: string;
}

export interface AskView {
  sentence: Segment[];
  leafC: Range;
  /** When it is coldest at the leaf, epoch ms. */
  minAtMs: number;
  outsideC: number;
  /** Below this the crop is harmed as it is hardened now; how hardened, 0 to 1. */
  harmC: number;
  hardening: number;
  harmChance: number;
  /** What becomes of it in the middle of these nights: "leaf burn". */
  verdict: string;
  more: AskOther[];
  less: AskOther | null;
  /** The air under the innermost cover tomorrow, all left shut, at its warmest; null where nothing stands over it. */
  day: { airC: number; atMs: number; tooHot: boolean } | null;
  /** What was taken for granted. */
  assumed: string[];
  cautions: string[];
}
