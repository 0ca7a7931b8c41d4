/** Weather that came: a table looked at, and the forecasts there are. */
import type { TypedForecast, WeatherEntry } from '@fogata/core';
import { z } from 'zod';
import { ofCore, sentence } from './parts';

export const importView = z.object({
  taken: z.boolean(),
  rows: z.number(),
  fromAtMs: z.number().nullable(),
  toAtMs: z.number().nullable(),
  minC: z.number().nullable(),
  columns: z.array(
    z.object({
      header: z.string(),
      meaning: sentence,
    }),
  ),
  badRows: z.array(
    z.object({
      row: z.number(),
      reason: sentence,
    }),
  ),
  preview: z.array(ofCore<WeatherEntry>()),
  /** What the table lacks and was estimated. */
  estimated: z.array(sentence),
});
export type ImportView = z.infer<typeof importView>;

export const forecastView = z.object({
  imported: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      source: z.enum(['typed', 'file', 'push', 'poll']),
      issuedAtMs: z.number(),
      importedAtMs: z.number(),
      fromAtMs: z.number(),
      toAtMs: z.number(),
      active: z.boolean(),
      typed: ofCore<TypedForecast>().nullable(),
    }),
  ),
  /** The one that tonight goes by; null where none reaches through it. */
  using: z.string().nullable(),
});
export type ForecastView = z.infer<typeof forecastView>;

/** What feeds are set up, and how the last poll went. */
export const feedView = z.object({
  /** Whether a token is out; it is shown only once. */
  token: z.boolean(),
  /** Whether an address for calendars is out. */
  calendar: z.boolean(),
  poll: z.object({ url: z.string(), lastAtMs: z.number().nullable(), went: sentence }).nullable(),
});
export type FeedView = z.infer<typeof feedView>;
