/** Weather as it was issued and as it was measured, and what thermometers showed. */
import type { TypedForecast, WeatherEntry } from '@fogata/core';
import {
  bigint,
  boolean,
  doublePrecision,
  index,
  jsonb,
  pgTable,
  primaryKey,
  text,
} from 'drizzle-orm/pg-core';

/** A row is one forecast as it was issued: typed, brought, pushed or polled, whole. `active` is false where the grower set it aside. */
export const forecasts = pgTable(
  'forecasts',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    source: text('source').$type<'typed' | 'file' | 'push' | 'poll'>().notNull().default('file'),
    issuedAtMs: bigint('issued_ms', { mode: 'number' }).notNull().default(0),
    importedAtMs: bigint('imported_ms', { mode: 'number' }).notNull(),
    fromAtMs: bigint('from_ms', { mode: 'number' }).notNull(),
    toAtMs: bigint('to_ms', { mode: 'number' }).notNull(),
    entries: jsonb('entries').$type<WeatherEntry[]>().notNull(),
    /** How much wider than usual its error is. */
    doubt: doublePrecision('doubt').notNull().default(1),
    /** What was typed, where it was. */
    typed: jsonb('typed').$type<TypedForecast>(),
    active: boolean('active').notNull(),
  },
  (t) => [index('forecasts_to').on(t.toAtMs)],
);

/** A row is one hour of weather as a station measured it. */
export const observations = pgTable('observations', {
  atMs: bigint('at_ms', { mode: 'number' }).primaryKey(),
  entry: jsonb('entry').$type<WeatherEntry>().notNull(),
  source: text('source').notNull(),
});

/** A row is what a thermometer showed at an instant; its spot is `outside` or a structure. */
export const temperatures = pgTable(
  'temperatures',
  {
    spot: text('spot').notNull(),
    atMs: bigint('at_ms', { mode: 'number' }).notNull(),
    c: doublePrecision('c').notNull(),
    source: text('source').notNull(),
  },
  (t) => [primaryKey({ columns: [t.spot, t.atMs] })],
);
