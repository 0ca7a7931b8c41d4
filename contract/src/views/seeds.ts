/** The seed box: crops and cultivars of the farm, what is in store of each, and what the farm's own records say of it. */
import type { ColdBelief, Cultivar, HarmScore, LotNow, SeedLot } from '@fogata/core';

export interface LotView {
  lot: SeedLot;
  /** Null of what is not sown: cloves, corms, runners. */
  now: LotNow | null;
}

/** A night after which somebody scored a planting of it. */
export interface ScoredView {
  recordId: string;
  plantingId: string;
  night: string;
  leafC: number;
  score: HarmScore;
}

export interface SeedRow {
  crop: string;
  cropName: string;
  /** Empty for what has no name of its own. */
  name: string;
  /** With figures of its own or a note; null where it is only named by a planting or a lot. */
  cultivar: Cultivar | null;
  learnt: ColdBelief | null;
  scored: ScoredView[];
  /** Seed that what is planned and not yet sown asks for, grams and seeds; null where nothing is, or it is not sown. */
  needs: { grams: number; seeds: number } | null;
  /** Plantings that stand or are planned. */
  plantings: number;
  lots: LotView[];
}

export interface SeedsView {
  today: string;
  /** By crop, then by name. */
  rows: SeedRow[];
}
