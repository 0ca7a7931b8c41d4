/** What is answered of a night that was asked about before anything is set up. */
import { z } from 'zod';
import { segment } from './coreNight';
import { range } from './night';

/** The same bed with something more or less over it. */
export const askOther = z.object({
  /** "With frost blanket besides" */
  what: z.string(),
  leafC: range,
  /** Chance of lasting harm, 0 to 1. */
  harmChance: z.number(),
  verdict: z.string(),
});
export type AskOther = z.infer<typeof askOther>;

export const askView = z.object({
  sentence: z.array(segment),
  leafC: range,
  /** When it is coldest at the leaf, epoch ms. */
  minAtMs: z.number(),
  outsideC: z.number(),
  /** Below this the crop is harmed as it is hardened now; how hardened, 0 to 1. */
  harmC: z.number(),
  hardening: z.number(),
  harmChance: z.number(),
  /** What becomes of it in the middle of these nights: "leaf burn". */
  verdict: z.string(),
  more: z.array(askOther),
  less: askOther.nullable(),
  /** The air under the innermost cover tomorrow, all left shut, at its warmest; null where nothing stands over it. */
  day: z.object({ airC: z.number(), atMs: z.number(), tooHot: z.boolean() }).nullable(),
  /** What was taken for granted. */
  assumed: z.array(z.string()),
  cautions: z.array(z.string()),
});
export type AskView = z.infer<typeof askView>;
