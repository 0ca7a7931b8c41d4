/** Now and what it is made of: the sentence, jobs, places, ribbon, the morning round. */
import type { Standing } from '@fogata/core';
import { z } from 'zod';
import { clockView } from './farm';
import { forecastSource, job, lack, segment, stormJob } from './coreNight';
import { naming, ofCore, saying, sentence, series } from './parts';

export type { JobItem } from '@fogata/core';

export const range = z.object({
  low: z.number(),
  mid: z.number(),
  high: z.number(),
});
export type Range = z.infer<typeof range>;

export const glyphLayer = z.object({
  name: z.string(),
  state: z.enum(['on', 'off', 'planned']),
  /** 0 shut to 1 wide open. */
  opening: z.number(),
  /** The kind of sheet; left out of the structure itself. */
  coverId: z.string().exactOptional(),
});
export type GlyphLayer = z.infer<typeof glyphLayer>;

export const placeRow = z.object({
  bedId: z.string(),
  name: z.string(),
  structureId: z.string(),
  structureName: z.string(),
  stack: z.array(glyphLayer),
  /** Lowest leaf temperature of the night as it is planned. */
  leafC: range,
  /** As it stands now, where that differs. */
  bareLeafC: z.number(),
  marginK: z.number(),
  harmChance: z.number(),
  crop: z.string(),
  verdict: sentence,
  harmC: z.number(),
  pending: z.boolean(),
  /** What lies on it now, as an option key. */
  currentKey: z.string(),
});
export type PlaceRow = z.infer<typeof placeRow>;

export const ribbonView = z.object({
  bedId: z.string(),
  name: z.string(),
  timesAtMs: z.array(z.number()),
  outsideC: z.object({
    low: series,
    mid: series,
    high: series,
  }),
  leafC: z.object({
    low: series,
    mid: series,
    high: series,
  }),
  /** Middle and 80 % band of each layer's air; NaN while it is off. */
  layers: z.array(
    z.object({
      name: naming,
      airC: series,
      lowC: series,
      highC: series,
    }),
  ),
  soilC: series,
  harmC: z.number().nullable(),
  marks: z.array(
    z.object({
      atMs: z.number(),
      label: sentence,
    }),
  ),
  min: z.object({
    atMs: z.number(),
    leafC: z.number(),
  }),
});
export type RibbonView = z.infer<typeof ribbonView>;

export const planProgress = z.object({
  /** `waiting`: no forecast reaches through the night, and none is invented. */
  state: z.enum(['computing', 'ready', 'failed', 'empty', 'waiting']),
  lack: lack.exactOptional(),
  done: z.number(),
  of: z.number(),
  /** What is shown is a first look under so many of the forecast's members; the whole follows. */
  first: z.object({ members: z.number(), of: z.number() }).exactOptional(),
  message: sentence.exactOptional(),
});
export type PlanProgress = z.infer<typeof planProgress>;

export const stormView = stormJob.extend({
  done: z.boolean(),
  recordId: z.string().nullable(),
});
export type StormView = z.infer<typeof stormView>;

/** One stop of the morning round. */
export const roundItem = z.object({
  spot: z.string(),
  name: naming,
  predictedC: range.nullable(),
  thermometer: z
    .object({
      minC: z.number(),
      maxC: z.number(),
    })
    .nullable(),
  reading: z
    .object({
      minC: z.number().nullable(),
      maxC: z.number().nullable(),
      recordId: z.string(),
    })
    .nullable(),
});
export type RoundItem = z.infer<typeof roundItem>;

/** A thermometer under cover in the last dark hour, beside what the model has there. */
export const spotNow = z.object({
  structureId: z.string(),
  name: z.string(),
  atMs: z.number(),
  measuredC: z.number(),
  modelC: z.number(),
  /** What is done about it, where they part; null where they agree. */
  parted: sentence.nullable(),
});
export type SpotNowView = z.infer<typeof spotNow>;

export const nowView = z.object({
  clock: clockView,
  progress: planProgress,
  sentence: z.array(segment),
  evidence: saying,
  night: z
    .object({
      lowC: range,
      lowAtMs: z.number(),
      cloud: z.number(),
      windMps: z.number(),
      issuedAtMs: z.number(),
      name: z.string(),
      source: forecastSource,
      /** What the days before are worth, in words; null where they were measured. */
      doubt: sentence.nullable(),
      /** How far the last hours were off what was said, and what that does to those that come; null where they were as said. */
      moved: sentence.nullable(),
    })
    .nullable(),
  /** What the plan is expected to save, and what is lost whether or not it is done. */
  money: z
    .object({
      saved: z.number(),
      eitherWay: z.number(),
      minutes: z.number(),
    })
    .nullable(),
  atRisk: z.array(sentence),
  jobs: z.array(job),
  places: z.array(placeRow),
  ribbon: ribbonView.nullable(),
  rounds: z.array(roundItem),
  /** Who did what of jobs and readings, by record; where somebody said who uses the device. */
  who: z.record(z.string(), z.string()),
  /** In the morning: beds whose covers may as well stay on, because the coming night wants them again. */
  leftOn: z.array(z.string()),
  /** What thermometers under cover show, live, while it is dark. */
  spots: z.array(spotNow),
  /** Wind and snow on structures, the first to be done first. */
  storm: z.array(stormView),
  cautions: z.array(sentence),
  /** What lies where and is open: what this device did since is applied to it. */
  standing: ofCore<Standing>(),
});
export type NowView = z.infer<typeof nowView>;
