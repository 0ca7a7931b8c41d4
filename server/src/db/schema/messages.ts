import { bigint, boolean, index, pgTable, text } from 'drizzle-orm/pg-core';

/** A row is something that was told without being asked; its key keeps it from being told twice. */
export const messages = pgTable(
  'messages',
  {
    key: text('key').primaryKey(),
    atMs: bigint('at_ms', { mode: 'number' }).notNull(),
    kind: text('kind').$type<'cold' | 'hot' | 'forecast' | 'silent' | 'parted'>().notNull(),
    subject: text('subject').notNull(),
    urgent: boolean('urgent').notNull(),
    title: text('title').notNull(),
    text: text('text').notNull(),
  },
  (t) => [index('messages_at').on(t.atMs)],
);
