/** What stands on the farm: a column a field, a child table where there are several; null is left out. */
import type { Farm } from '@fogata/contract';
import type { Bed, Cover, Opening, Planting, StepId, Structure } from '@fogata/core';
import { boolean, doublePrecision, integer, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';

type Said<T> = Exclude<T, null | undefined>;

/** One row: the farm and its settings. */
export const farm = pgTable('farm', {
  id: text('id').primaryKey(),
  settings: jsonb('settings').$type<Farm>().notNull(),
});

/** A row is a house, a kind of frame or tunnel, or a piece of open ground. */
export const structures = pgTable('structures', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  kind: text('kind').$type<Structure['kind']>().notNull(),
  shape: text('shape').$type<Structure['shape']>().notNull(),
  sides: text('sides').$type<Structure['sides']>().notNull(),
  lengthM: doublePrecision('length_m').notNull(),
  widthM: doublePrecision('width_m').notNull(),
  heightM: doublePrecision('height_m').notNull(),
  material: text('material').$type<Structure['material']>().notNull(),
  plies: integer('plies').$type<Structure['plies']>().notNull(),
  tightness: text('tightness').$type<Structure['tightness']>().notNull(),
  ventAreaM2: doublePrecision('vent_area_m2').notNull(),
  order: integer('order').notNull(),
  form: text('form').$type<Said<Structure['form']>>(),
  atXM: doublePrecision('at_x_m'),
  atYM: doublePrecision('at_y_m'),
  turnDeg: doublePrecision('turn_deg'),
  coveredYear: integer('covered_year'),
  snugEnds: integer('snug_ends').$type<Said<Structure['snug']>['ends']>(),
  snugEdges: integer('snug_edges').$type<Said<Structure['snug']>['edges']>(),
  snugSkin: integer('snug_skin').$type<Said<Structure['snug']>['skin']>(),
  footing: text('footing').$type<Said<Structure['footing']>>(),
  shade: text('shade').$type<Said<Structure['shade']>>(),
  heatKind: text('heat_kind').$type<Said<Structure['heat']>['kind']>(),
  heatWm2: doublePrecision('heat_w_m2'),
  waterLitres: doublePrecision('water_litres'),
  snowRatingKgM2: doublePrecision('snow_rating_kg_m2'),
  windRatingMps: doublePrecision('wind_rating_m_s'),
});

/** A row is a door, a side that rolls up, a lid of a structure, in the order in which they were told. */
export const structureOpenings = pgTable(
  'structure_openings',
  {
    structureId: text('structure_id')
      .notNull()
      .references(() => structures.id, { onDelete: 'cascade' }),
    n: integer('n').notNull(),
    name: text('name').notNull(),
    kind: text('kind').$type<Opening['kind']>().notNull(),
    areaM2: doublePrecision('area_m2').notNull(),
    waxStartC: doublePrecision('wax_start_c'),
    waxFullC: doublePrecision('wax_full_c'),
  },
  (t) => [primaryKey({ columns: [t.structureId, t.n] })],
);

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
  on: text('on').$type<Bed['on']>().notNull(),
  texture: text('texture').$type<Bed['texture']>().notNull(),
  wetness: text('wetness').$type<Bed['wetness']>().notNull(),
  mulchM: doublePrecision('mulch_m').notNull(),
  hoopHeightM: doublePrecision('hoop_height_m').notNull(),
  order: integer('order').notNull(),
  zone: text('zone').$type<Said<Bed['zone']>>(),
  zoneOffsetC: doublePrecision('zone_offset_c'),
  atAlongM: doublePrecision('at_along_m'),
  atAcrossM: doublePrecision('at_across_m'),
  crateCount: integer('crate_count'),
  crateLengthM: doublePrecision('crate_length_m'),
  crateWidthM: doublePrecision('crate_width_m'),
  cratePlants: integer('crate_plants'),
  crateKg: doublePrecision('crate_kg'),
  mixOn: text('mix_on'),
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
  aim: text('aim').$type<Planting['aim']>().notNull(),
  note: text('note').notNull(),
  how: text('how').$type<Said<Planting['how']>>(),
  picked: text('picked').$type<Said<Planting['picked']>>(),
  forSeed: boolean('for_seed').notNull().default(false),
  planned: boolean('planned').notNull().default(false),
});

/** A row is a step of a planting that was done, by the day on which it was. */
export const plantingSteps = pgTable(
  'planting_steps',
  {
    plantingId: text('planting_id')
      .notNull()
      .references(() => plantings.id, { onDelete: 'cascade' }),
    step: text('step').$type<StepId>().notNull(),
    on: text('on').notNull(),
  },
  (t) => [primaryKey({ columns: [t.plantingId, t.step] })],
);

/** A row is a kind of sheet in stock, with how many pieces there are. */
export const covers = pgTable('covers', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  material: text('material').$type<Cover['material']>().notNull(),
  plies: integer('plies').$type<Cover['plies']>().notNull(),
  lengthM: doublePrecision('length_m').notNull(),
  widthM: doublePrecision('width_m').notNull(),
  count: integer('count').notNull(),
  use: text('use').$type<Cover['use']>().notNull(),
  minutes: doublePrecision('minutes').notNull(),
  order: integer('order').notNull(),
  condition: text('condition').$type<Said<Cover['condition']>>(),
  keptAt: text('kept_at'),
  madeFor: text('made_for'),
  ways: text('ways').array().$type<Said<Cover['ways']>>(),
  nightC: doublePrecision('night_c'),
  lowerIn: text('lower_in'),
  warmerK: doublePrecision('warmer_k'),
});
