import { doublePrecision, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';

/** A row is a day of a station's record; `record` is what the farm's settings name it by. */
export const climateDays = pgTable(
  'climate_days',
  {
    record: text('record').notNull(),
    date: text('date').notNull(),
    lowC: doublePrecision('low_c').notNull(),
    highC: doublePrecision('high_c').notNull(),
  },
  (t) => [primaryKey({ columns: [t.record, t.date] })],
);
