/** The tables. Instants are epoch milliseconds as bigint, dates ISO text, quantities SI. */
import type { Farm, FarmRecord } from '@fogata/contract';
import type { BedMore, CoverMore, Planting, StructureMore, TypedForecast, WeatherEntry } from '@fogata/core';
import {
  bigint,
  boolean,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
} from 'drizzle-orm/pg-core';

/** One row: the farm and its settings. */
export const farm = pgTable('farm', {
  id: text('id').primaryKey(),
  settings: jsonb('settings').$type<Farm>().notNull(),
});

/** A row is a house, a kind of frame or tunnel, or a piece of open ground. */
export const structures = pgTable('structures', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  kind: text('kind').$type<'house' | 'frame' | 'tunnel' | 'open'>().notNull(),
  shape: text('shape').$type<'arch' | 'box' | 'flat'>().notNull(),
  sides: text('sides').$type<'cover' | 'board'>().notNull(),
  lengthM: doublePrecision('length_m').notNull(),
  widthM: doublePrecision('width_m').notNull(),
  heightM: doublePrecision('height_m').notNull(),
  material: text('material').notNull(),
  plies: integer('plies').notNull(),
  tightness: text('tightness').$type<'tight' | 'average' | 'drafty'>().notNull(),
  ventAreaM2: doublePrecision('vent_area_m2').notNull(),
  order: integer('order').notNull(),
  /** What may be left out: see `StructureMore`. */
  more: jsonb('more').$type<StructureMore>().notNull().default({}),
});

/** A row is one bed, frame box or bench. */
export const beds = pgTable('beds', {
  id: text('id').primaryKey(),
  structureId: text('structure_id')
    .notNull()
    .references(() => structures.id),
  name: text('name').notNull(),
  lengthM: doublePrecision('length_m').notNull(),
  widthM: doublePrecision('width_m').notNull(),
  rows: integer('rows').notNull(),
  on: text('on').$type<'ground' | 'bench'>().notNull(),
  texture: text('texture').$type<'sand' | 'loam' | 'clay' | 'compost'>().notNull(),
  wetness: text('wetness').$type<'dry' | 'moist' | 'wet'>().notNull(),
  mulchM: doublePrecision('mulch_m').notNull(),
  hoopHeightM: doublePrecision('hoop_height_m').notNull(),
  order: integer('order').notNull(),
  /** What may be left out: see `BedMore`. */
  more: jsonb('more').$type<BedMore>().notNull().default({}),
});

/** A row is one crop in one stretch of a bed, from planting to clearing. A plan: it may change; what changed is in records. */
export const plantings = pgTable('plantings', {
  id: text('id').primaryKey(),
  bedId: text('bed_id')
    .notNull()
    .references(() => beds.id),
  crop: text('crop').notNull(),
  cultivar: text('cultivar').notNull(),
  fromRow: integer('from_row').notNull(),
  toRow: integer('to_row').notNull(),
  lengthM: doublePrecision('length_m').notNull(),
  plantedOn: text('planted_on').notNull(),
  clearedOn: text('cleared_on'),
  aim: text('aim').$type<'survive' | 'grow' | 'flower'>().notNull(),
  note: text('note').notNull(),
  how: text('how').$type<'sow' | 'transplant'>(),
  planned: boolean('planned').notNull().default(false),
  /** Steps that were done, by the day on which they were. */
  done: jsonb('done').$type<NonNullable<Planting['done']>>().notNull().default({}),
});

/** A row is a kind of sheet in stock, with how many pieces there are. */
export const covers = pgTable('covers', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  material: text('material').notNull(),
  plies: integer('plies').notNull(),
  lengthM: doublePrecision('length_m').notNull(),
  widthM: doublePrecision('width_m').notNull(),
  count: integer('count').notNull(),
  use: text('use').$type<'hoops' | 'flat' | 'over'>().notNull(),
  minutes: doublePrecision('minutes').notNull(),
  order: integer('order').notNull(),
  /** What may be left out: see `CoverMore`. */
  more: jsonb('more').$type<CoverMore>().notNull().default({}),
});

/**
 * A row is something that happened, as it was sent; never rewritten. `seq` is the order in which the server took them. The
 * columns after it say where to find it: the instant it counts at, the bed, structure, planting, spot or record it is about,
 * and whether it has been taken back.
 */
export const records = pgTable(
  'records',
  {
    id: text('id').primaryKey(),
    seq: bigint('seq', { mode: 'number' }).generatedAlwaysAsIdentity().notNull(),
    kind: text('kind').notNull(),
    atMs: bigint('at_ms', { mode: 'number' }).notNull(),
    recordedMs: bigint('recorded_ms', { mode: 'number' }).notNull(),
    subject: text('subject').notNull().default(''),
    void: boolean('void').notNull().default(false),
    actor: text('actor').notNull().default(''),
    device: text('device').notNull().default(''),
    data: jsonb('data').$type<FarmRecord>().notNull(),
  },
  (t) => [
    index('records_at').on(t.atMs),
    index('records_seq').on(t.seq),
    index('records_kind').on(t.kind, t.atMs),
    index('records_subject').on(t.subject, t.kind, t.atMs),
  ],
);

/** A row is a stretch of time in which a sheet lay on a bed: derived from the records with them, rebuilt from them alone. */
export const coverSpans = pgTable(
  'cover_spans',
  {
    onId: text('on_id').primaryKey(),
    offId: text('off_id'),
    bedId: text('bed_id').notNull(),
    coverId: text('cover_id').notNull(),
    fromMs: bigint('from_ms', { mode: 'number' }).notNull(),
    /** Null while it lies there. */
    toMs: bigint('to_ms', { mode: 'number' }),
  },
  (t) => [index('cover_spans_to').on(t.toMs), index('cover_spans_bed').on(t.bedId)],
);

/** A row is one forecast as it was issued: typed, brought, pushed or polled, whole. `active` is false where the grower set it aside. */
export const forecasts = pgTable(
  'forecasts',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    source: text('source').$type<'typed' | 'file' | 'push' | 'poll'>().notNull().default('file'),
    issuedMs: bigint('issued_ms', { mode: 'number' }).notNull().default(0),
    importedMs: bigint('imported_ms', { mode: 'number' }).notNull(),
    fromMs: bigint('from_ms', { mode: 'number' }).notNull(),
    toMs: bigint('to_ms', { mode: 'number' }).notNull(),
    entries: jsonb('entries').$type<WeatherEntry[]>().notNull(),
    /** How much wider than usual its error is. */
    doubt: doublePrecision('doubt').notNull().default(1),
    /** What was typed, where it was. */
    typed: jsonb('typed').$type<TypedForecast>(),
    active: boolean('active').notNull(),
  },
  (t) => [index('forecasts_to').on(t.toMs)],
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

/** A row is what was predicted for one night, as it stood when it was last worked out before midnight. */
export const nights = pgTable('nights', {
  night: text('night').primaryKey(),
  issuedMs: bigint('issued_ms', { mode: 'number' }).notNull(),
  data: jsonb('data').$type<NightPrediction>().notNull(),
});

/** A row is the lowest leaf of a bed in a night that was, by the model under the weather as it was: what it killed stays dead. */
export const nightLows = pgTable(
  'night_lows',
  {
    bedId: text('bed_id').notNull(),
    night: text('night').notNull(),
    leafC: doublePrecision('leaf_c').notNull(),
  },
  (t) => [primaryKey({ columns: [t.bedId, t.night] })],
);

const bytea = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' });

/** A row is a night that was worked out, or is being: derived, never backed up; `plan` is null until it is there. */
export const keptPlans = pgTable(
  'kept_plans',
  {
    key: text('key').primaryKey(),
    night: text('night').notNull(),
    madeMs: bigint('made_ms', { mode: 'number' }).notNull(),
    done: integer('done').notNull(),
    of: integer('of').notNull(),
    plan: bytea('plan'),
  },
  (t) => [index('kept_plans_night').on(t.night, t.madeMs)],
);

/** A row is a small fact about the installation: the demo's clock, the seed of its weather. */
export const meta = pgTable('meta', {
  key: text('key').primaryKey(),
  value: text('value').notNull(),
});

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
