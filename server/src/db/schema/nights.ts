/** Nights: what was predicted, how low they went, plans that are kept. */
import {
  bigint,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
} from 'drizzle-orm/pg-core';

export interface PredictedBand {
  low: number;
  mid: number;
  high: number;
}

export interface NightPrediction {
  /** By `outside` or structure id. */
  spots: Record<string, PredictedBand>;
  /** Leaf minimum by bed id. */
  beds: Record<string, PredictedBand>;
}

/** A row is what was predicted for one night, as it stood when it was last worked out before midnight. */
export const nights = pgTable('nights', {
  night: text('night').primaryKey(),
  issuedAtMs: bigint('issued_ms', { mode: 'number' }).notNull(),
  data: jsonb('data').$type<NightPrediction>().notNull(),
});

/** A row is the lowest leaf of a bed in a night that was, by the model under the weather as it was: what it killed stays dead. */
export const nightLows = pgTable(
  'night_lows',
  {
    bedId: text('bed_id').notNull(),
    night: text('night').notNull(),
    leafC: doublePrecision('leaf_c').notNull(),
    highC: doublePrecision('high_c'),
  },
  (t) => [primaryKey({ columns: [t.bedId, t.night] })],
);

/** A row is how hard a planting was in a night that was, 0 to 1: what a harm score of it is read by. */
export const nightHardness = pgTable(
  'night_hardness',
  {
    plantingId: text('planting_id').notNull(),
    night: text('night').notNull(),
    hardening: doublePrecision('hardening').notNull(),
  },
  (t) => [primaryKey({ columns: [t.plantingId, t.night] })],
);

const bytea = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' });

/** A row is a night that was worked out, or is being: derived, never backed up; `plan` is null until it is there. */
export const keptPlans = pgTable(
  'kept_plans',
  {
    key: text('key').primaryKey(),
    night: text('night').notNull(),
    madeAtMs: bigint('made_ms', { mode: 'number' }).notNull(),
    done: integer('done').notNull(),
    of: integer('of').notNull(),
    plan: bytea('plan'),
  },
  (t) => [index('kept_plans_night').on(t.night, t.madeAtMs)],
);

/** A row is what took long to work out and follows from its question alone, as how a crop fares in a place over a hundred years: derived, never backed up. */
export const keptAnswers = pgTable('kept_answers', {
  key: text('key').primaryKey(),
  madeAtMs: bigint('made_ms', { mode: 'number' }).notNull(),
  answer: bytea('answer').notNull(),
});
