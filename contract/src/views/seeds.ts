/** The seed box: crops and cultivars of the farm, what is in store of each, and what the farm's own records say of it. */
import type { Cultivar, SeedLot } from '@fogata/core';
import { z } from 'zod';
import { lotNow, harmScore, coldBelief } from './coreSeason';
import { thing } from './parts';

export const lotView = z.object({
  lot: thing<SeedLot>(),
  /** Null of what is not sown: cloves, corms, runners. */
  now: lotNow.nullable(),
});
export type LotView = z.infer<typeof lotView>;

/** A night after which somebody scored a planting of it. */
export const scoredView = z.object({
  recordId: z.string(),
  plantingId: z.string(),
  night: z.string(),
  leafC: z.number(),
  score: harmScore,
});
export type ScoredView = z.infer<typeof scoredView>;

export const seedRow = z.object({
  crop: z.string(),
  cropName: z.string(),
  /** Empty for what has no name of its own. */
  name: z.string(),
  /** With figures of its own or a note; null where it is only named by a planting or a lot. */
  cultivar: thing<Cultivar>().nullable(),
  learnt: coldBelief.nullable(),
  scored: z.array(scoredView),
  /** Seed that what is planned and not yet sown asks for, grams and seeds; null where nothing is, or it is not sown. */
  needs: z
    .object({
      grams: z.number(),
      seeds: z.number(),
    })
    .nullable(),
  /** Plantings that stand or are planned. */
  plantings: z.number(),
  lots: z.array(lotView),
});
export type SeedRow = z.infer<typeof seedRow>;

export const seedsView = z.object({
  today: z.string(),
  /** By crop, then by name. */
  rows: z.array(seedRow),
});
export type SeedsView = z.infer<typeof seedsView>;
