/** Cultivars with what they have other than the book, and the seed that is in store. */
import type { Cultivar } from '@fogata/core';
import { doublePrecision, integer, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';

/** A row is a cultivar of a crop; one without a name is every planting of the crop. */
export const cultivars = pgTable('cultivars', {
  id: text('id').primaryKey(),
  crop: text('crop').notNull(),
  name: text('name').notNull(),
  liked: text('liked').$type<Cultivar['liked']>().notNull(),
  note: text('note').notNull(),
});

/** A row is one figure of a cultivar that differs from the book, by the library's column. */
export const cultivarFigures = pgTable(
  'cultivar_figures',
  {
    cultivarId: text('cultivar_id')
      .notNull()
      .references(() => cultivars.id, { onDelete: 'cascade' }),
    figure: text('figure').notNull(),
    value: doublePrecision('value').notNull(),
  },
  (t) => [primaryKey({ columns: [t.cultivarId, t.figure] })],
);

/** A row is a packet or bag of seed: what is left of it, and how much of it comes up. */
export const seedLots = pgTable('seed_lots', {
  id: text('id').primaryKey(),
  crop: text('crop').notNull(),
  cultivar: text('cultivar').notNull(),
  year: integer('year').notNull(),
  testedShare: doublePrecision('tested_share'),
  testedOn: text('tested_on'),
  grams: doublePrecision('grams'),
  seeds: integer('seeds'),
  note: text('note').notNull(),
});
