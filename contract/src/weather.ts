/** Weather and temperatures that come in: typed, brought as a file, pushed or polled. SI inside, °C, m/s, W/m², mm. */
import { SURE } from '@fogata/core';
import { z } from 'zod';
import { instantAtMs } from './farm';

const temperature = (what: string) =>
  z
    .number({ error: `${what} in °C` })
    .min(-60, 'no lower than −60 °C')
    .max(60, 'no higher than 60 °C');

/** What one reads aloud of a forecast. */
export const typedSchema = z
  .object({
    lowC: temperature('the lowest'),
    lowAtMs: instantAtMs,
    highC: temperature('the highest'),
    windMs: z.number({ error: 'a wind' }).min(0, '0 or more').max(60, 'at most 60 m/s'),
    cloud: z.number({ error: 'how much of the sky is cloud' }).min(0, '0 to 1').max(1, '0 to 1'),
    sure: z.enum(SURE),
    rainMm: z
      .number({ error: 'millimetres of rain' })
      .min(0, '0 or more')
      .max(200, 'at most 200 mm')
      .optional(),
    snowMm: z
      .number({ error: 'millimetres of fresh snow' })
      .min(0, '0 or more')
      .max(1000, 'at most 1000 mm')
      .optional(),
  })
  .refine((t) => t.highC >= t.lowC, { path: ['highC'], error: 'no lower than the lowest' });

const csvText = z.string().min(1, 'a CSV text').max(4_000_000, 'at most 4 MB');

export const importSchema = z.object({
  name: z.string().trim().min(1, 'a name').max(80, 'at most 80 letters'),
  csv: csvText,
  /** A forecast says what will come; a record what was measured. */
  as: z.enum(['forecast', 'record']).default('forecast'),
  dryRun: z.boolean(),
});

export const loggerSchema = z.object({
  spot: z.string().min(1, 'a spot').max(64, 'at most 64 letters').nullable(),
  csv: csvText,
  dryRun: z.boolean(),
});

const hour = z.object({
  time: z.iso.datetime({ offset: true, error: 'an instant like 2027-01-14T15:00:00Z' }),
  airC: temperature('the air'),
  dewPointC: z.number().min(-80, 'no lower than −80 °C').max(40, 'no higher than 40 °C').optional(),
  humidity: z.number().min(1, '1 to 100 %').max(100, '1 to 100 %').optional(),
  windMs: z.number({ error: 'a wind in m/s' }).min(0, '0 or more').max(75, 'at most 75 m/s'),
  cloudFraction: z.number().min(0, '0 to 1').max(1, '0 to 1').optional(),
  globalWm2: z.number().min(0, '0 or more').max(1500, 'at most 1500 W/m²').optional(),
  rainMm: z.number().min(0, '0 or more').max(200, 'at most 200 mm').optional(),
  snowMm: z.number().min(0, '0 or more').max(500, 'at most 500 mm').optional(),
  windFromDeg: z.number().min(0, '0 to 360').max(360, '0 to 360').optional(),
});
export type FeedHour = z.infer<typeof hour>;

/** `POST /api/feed/weather`, and what a polled address answers. */
export const feedWeatherSchema = z.object({
  kind: z.enum(['forecast', 'observed']),
  name: z.string().trim().min(1, 'a name').max(80, 'at most 80 letters').default('feed'),
  /** When it was issued; the moment it comes where it does not say. */
  issued: z.iso.datetime({ offset: true, error: 'an instant like 2027-01-14T12:00:00Z' }).optional(),
  hours: z.array(hour).min(1, 'some hours').max(5000, 'at most 5000 hours'),
});
export type FeedWeather = z.infer<typeof feedWeatherSchema>;

/** `POST /api/feed/thermometers`. */
export const feedTemperaturesSchema = z.object({
  readings: z
    .array(
      z.object({
        spot: z.string().min(1).max(64).describe('`outside`, or the id or the name of a structure'),
        time: z.iso.datetime({ offset: true, error: 'an instant like 2027-01-14T06:00:00Z' }),
        c: temperature('the temperature'),
      }),
    )
    .min(1, 'some readings')
    .max(5000, 'at most 5000 readings'),
});

export const pollSchema = z.object({
  url: z
    .url({ protocol: /^https?$/, error: 'an address that begins with http:// or https://' })
    .max(500, 'at most 500 letters')
    .nullable(),
});
