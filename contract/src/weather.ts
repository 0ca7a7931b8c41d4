/** Weather and temperatures that come in: typed, brought as a file, pushed or polled. SI inside, °C, m/s, W/m², mm. */
import { SURE, wants } from '@fogata/core';
import { z } from 'zod';
import { instantAtMs } from './farm';

const temperature = z.number().min(-60).max(60);

/** What one reads aloud of a forecast. */
export const typedSchema = z
  .object({
    lowC: temperature,
    lowAtMs: instantAtMs,
    highC: temperature,
    windMs: z.number().min(0).max(60),
    cloud: z.number().min(0).max(1),
    sure: z.enum(SURE),
    rainMm: z.number().min(0).max(200).optional(),
    snowMm: z.number().min(0).max(1000).optional(),
  })
  .refine((t) => t.highC >= t.lowC, { path: ['highC'], error: wants('want.overLowest') });

const csvText = z.string().min(1).max(4_000_000);

export const importSchema = z.object({
  name: z.string().trim().min(1).max(80),
  csv: csvText,
  /** A forecast says what will come; a record what was measured. */
  as: z.enum(['forecast', 'record']).default('forecast'),
  dryRun: z.boolean(),
});

export const loggerSchema = z.object({
  spot: z.string().min(1).max(64).nullable(),
  csv: csvText,
  dryRun: z.boolean(),
});

const hour = z.object({
  time: z.iso.datetime({ offset: true }),
  airC: temperature,
  dewPointC: z.number().min(-80).max(40).optional(),
  humidity: z.number().min(1).max(100).optional(),
  windMs: z.number().min(0).max(75),
  cloudFraction: z.number().min(0).max(1).optional(),
  globalWm2: z.number().min(0).max(1500).optional(),
  rainMm: z.number().min(0).max(200).optional(),
  snowMm: z.number().min(0).max(500).optional(),
  windFromDeg: z.number().min(0).max(360).optional(),
});
export type FeedHour = z.infer<typeof hour>;

/** `POST /api/feed/weather`, and what a polled address answers. */
export const feedWeatherSchema = z.object({
  kind: z.enum(['forecast', 'observed']),
  name: z.string().trim().min(1).max(80).default('feed'),
  /** When it was issued; the moment it comes where it does not say. */
  issued: z.iso.datetime({ offset: true }).optional(),
  hours: z.array(hour).min(1).max(5000),
});
export type FeedWeather = z.infer<typeof feedWeatherSchema>;

/** `POST /api/feed/thermometers`. */
export const feedTemperaturesSchema = z.object({
  readings: z
    .array(
      z.object({
        spot: z.string().min(1).max(64).describe('`outside`, or the id or the name of a structure'),
        time: z.iso.datetime({ offset: true }),
        c: temperature,
      }),
    )
    .min(1)
    .max(5000),
});

export const pollSchema = z.object({
  url: z
    .url({ protocol: /^https?$/ })
    .max(500)
    .nullable(),
});
