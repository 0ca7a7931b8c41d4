import { pgTable, text } from 'drizzle-orm/pg-core';

/** A row is a small fact about the installation: the demo's clock, the seed of its weather. */
export const meta = pgTable('meta', {
  key: text('key').primaryKey(),
  value: text('value').notNull(),
});
