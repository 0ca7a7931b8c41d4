/** What happened, and what follows from it. */
import type { FarmRecord } from '@fogata/contract';
import { bigint, boolean, index, jsonb, pgTable, text } from 'drizzle-orm/pg-core';

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
    recordedAtMs: bigint('recorded_ms', { mode: 'number' }).notNull(),
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
    fromAtMs: bigint('from_ms', { mode: 'number' }).notNull(),
    /** Null while it lies there. */
    toAtMs: bigint('to_ms', { mode: 'number' }),
  },
  (t) => [index('cover_spans_to').on(t.toAtMs), index('cover_spans_bed').on(t.bedId)],
);
