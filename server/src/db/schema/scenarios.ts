/** Plans of a year that were put by: what was planned then, whole. What stands is never in them. */
import type { Planting } from '@fogata/core';
import { bigint, jsonb, pgTable, text } from 'drizzle-orm/pg-core';

export const scenarios = pgTable('scenarios', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  madeAtMs: bigint('made_at_ms', { mode: 'number' }).notNull(),
  plantings: jsonb('plantings').$type<Planting[]>().notNull(),
});
