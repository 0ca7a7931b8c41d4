/** What is answered of a night that was asked about before anything is set up. */
import { z } from 'zod';
import { segment } from './coreNight';
import { range } from './night';
import { sentence } from './parts';

/** The same bed with something more or less over it. */
export const askOther = z.object({
  /** "With frost blanket besides" */
  what: sentence,
  leafC: range,
  /** Chance of lasting harm, 0 to 1. */
  harmChance: z.number(),
  verdict: sentence,
});
export type AskOther = z.infer<typeof askOther>;

export const askView = z.object({
  sentence: z.array(segment),
  /** Where it was asked about: the zone its times are told in. */
  timeZone: z.string(),
  leafC: range,
  /** When it is coldest at the leaf, epoch ms. */
  minAtMs: z.number(),
  outsideC: z.number(),
  /** Below this the crop is harmed as it is hardened now; how hardened, 0 to 1. */
  harmC: z.number(),
  hardening: z.number(),
  harmChance: z.number(),
  /** What becomes of it in the middle of these nights: "leaf burn". */
  verdict: sentence,
  more: z.array(askOther),
  less: askOther.nullable(),
  /** The air under the innermost cover tomorrow, all left shut, at its warmest; null where nothing stands over it. */
  day: z.object({ airC: z.number(), atMs: z.number(), tooHot: z.boolean() }).nullable(),
  /** What was taken for granted. */
  assumed: z.array(sentence),
  cautions: z.array(sentence),
});
export type AskView = z.infer<typeof askView>;
