/** Place and Beds: one bed under everything that fits, and all that stand on the farm. */
import type {
  Bed,
  BedSpec,
  Calibration,
  Cover,
  CoverUse,
  Opening,
  Planting,
  Site,
  SoilState,
  Standing,
  Structure,
  WeatherEntry,
} from '@fogata/core';
import { z } from 'zod';
import { range, planProgress, ribbonView, glyphLayer } from './night';
import { clockView } from './farm';
import { learntView } from './log';
import { toll } from './coreNight';
import { naming, ofCore, saying, sentence, thing } from './parts';

export const optionRow = z.object({
  key: z.string(),
  names: z.array(naming),
  leafC: range,
  loss: z.number(),
  minutes: z.number(),
  chosen: z.boolean(),
  planned: z.boolean(),
  current: z.boolean(),
});
export type OptionRow = z.infer<typeof optionRow>;

export const plantingView = z.object({
  planting: thing<Planting>(),
  cropName: z.string(),
  hardening: z.number(),
  daysSince: z.number(),
  damageC: z.number(),
  deathC: z.number(),
  flowerC: z.number().nullable(),
  harmC: z.number(),
  leafC: range.nullable(),
  verdict: sentence.nullable(),
  harmChance: z.number().nullable(),
  /** What the night takes of it, expected over all outcomes: shares, and days of growth. */
  toll: toll.nullable(),
  lastHarm: z.string().nullable(),
  /** Share of it that the nights before have left, by its last score and the model since. */
  left: z.number(),
  harvestedKg: z.number(),
});
export type PlantingView = z.infer<typeof plantingView>;

type SoilInLists = Omit<SoilState, 'outside' | 'columns'> & { outside: number[]; columns: number[][] };

export const whatIf = z.object({
  site: ofCore<Site>(),
  weather: z.array(ofCore<WeatherEntry>()),
  /** Soil temperatures to start from, as `SoilState`, in plain lists. */
  initial: ofCore<SoilInLists>(),
  /** The other beds of its house as they are planned, and where they start from: they share its air. */
  others: z.array(
    z.object({
      spec: ofCore<BedSpec>(),
      initial: ofCore<SoilInLists>(),
    }),
  ),
  /** Its own place among them: the first bed's ground is that of the paths. */
  among: z.number(),
  /** Bed under everything that fits; layers named for the switches. */
  base: ofCore<BedSpec>(),
  /** How far the structure stands open as planned, 0 to 1; as it stands now, and when the plan has it shut. */
  opening: z.number(),
  openNow: z.number(),
  shutAtMs: z.number(),
  /** When covers that do not lie yet go on. */
  coverFromAtMs: z.number(),
  /** What the plan's middle is over its centre, K: an untouched trial is the plan to the last digit. */
  middleK: z.number(),
  /** Where the plan carries its crates for the night; what is tried is then the bed as if they stayed. Null where they stay. */
  awayTo: z.string().nullable(),
  /** What opens by a wax cylinder. */
  openings: z.array(ofCore<Opening>()),
  layers: z.array(
    z.object({
      id: z.string(),
      name: naming,
      note: saying,
      on: z.boolean(),
      /** Whether it lies there now. */
      lies: z.boolean(),
      drawn: z.boolean(),
      stock: saying,
      ventable: z.boolean(),
      minutes: z.number(),
      spec: ofCore<BedSpec['stack'][number]>(),
    }),
  ),
  countFromAtMs: z.number(),
  /** The night counts up to here; covers may be off from `dayFromAtMs` to `dayToAtMs`. */
  nightToAtMs: z.number(),
  dayFromAtMs: z.number(),
  dayToAtMs: z.number(),
  /** The factors that the engine is given for this place. */
  calibration: ofCore<Calibration>(),
});
export type WhatIf = z.infer<typeof whatIf>;

export const placeView = z.object({
  clock: clockView,
  structure: thing<Structure>(),
  bed: thing<Bed>(),
  covers: z.array(
    z.object({
      cover: thing<Cover>(),
      use: ofCore<CoverUse>().exactOptional(),
      on: z.boolean(),
      recordId: z.string().nullable(),
    }),
  ),
  opening: z.number(),
  plantings: z.array(plantingView),
  progress: planProgress,
  options: z.array(optionRow),
  ribbon: ribbonView.nullable(),
  whatIf: whatIf.nullable(),
  learnt: learntView.nullable(),
  cautions: z.array(sentence),
  standing: ofCore<Standing>(),
});
export type PlaceView = z.infer<typeof placeView>;

export const bedsView = z.object({
  progress: planProgress,
  standing: ofCore<Standing>(),
  structures: z.array(
    z.object({
      structure: thing<Structure>(),
      opening: z.number(),
      beds: z.array(
        z.object({
          bed: thing<Bed>(),
          stack: z.array(glyphLayer),
          plantings: z.array(plantingView),
        }),
      ),
    }),
  ),
});
export type BedsView = z.infer<typeof bedsView>;
