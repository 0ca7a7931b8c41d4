/**
 * The log and what is derived from it. Contract: `appendRecords` keeps records once, says what they take back and brings the
 * spans in which sheets lie up to date, all within the caller's transaction; `rebuildAll` derives the same from the records
 * alone; `standingFor` gives what a moment needs of it, however long ago that happened, without reading the whole.
 */
import type { FarmRecord } from '@fogata/contract';
import { applyAll, type CoverAct } from '@fogata/core';
import { and, asc, desc, eq, gt, gte, inArray, isNull, lte, max, ne, notInArray, or, sql } from 'drizzle-orm';
import { chunks } from '../chunks';
import type { Db } from '../db/open';
import { coverSpans, records } from '../db/schema';
import { writing } from '../db/write';
import { currentOrigin } from '../origin';

export interface StoredRecord {
  record: FarmRecord;
  seq: number;
  recordedAtMs: number;
}

type Row = typeof records.$inferSelect;
const DAY_MS = 86_400_000;
const RECENT_MS = 21 * DAY_MS;
/** Readings this old still teach, where there are no newer ones; so many at most. */
const TEACHING_MS = 400 * DAY_MS;
const TEACHING = 300;
/** Days before a reading that its run begins. */
const BEFORE_MS = 5 * DAY_MS;

export const asRecord = (row: Row): StoredRecord => ({
  // what a clock ahead of ours says counts from when it came
  record: row.atMs === row.data.atMs ? row.data : { ...row.data, atMs: row.atMs },
  seq: row.seq,
  recordedAtMs: row.recordedAtMs,
});

/** What a record is about: where its kin are found. */
export function subjectOf(r: FarmRecord): string {
  switch (r.kind) {
    case 'retraction':
      return r.retracts;
    case 'harm':
    case 'harvest':
    case 'planting':
      return r.plantingId;
    case 'vent':
    case 'secured':
      return r.structureId;
    case 'reading':
      return r.spot;
    case 'change':
      return r.targetId;
    case 'brought':
      return '';
    default:
      return r.bedId ?? '';
  }
}

/** A record is void while a taking back of it stands; what that did to others follows. */
async function settle(db: Db, ids: readonly string[]): Promise<void> {
  let open = [...new Set(ids)];
  for (let depth = 0; open.length > 0 && depth < 50; depth++) {
    const rows = await db
      .select({ id: records.id, kind: records.kind, subject: records.subject, void: records.void })
      .from(records)
      .where(inArray(records.id, open));
    const takings = await db
      .selectDistinct({ subject: records.subject })
      .from(records)
      .where(and(eq(records.kind, 'retraction'), eq(records.void, false), inArray(records.subject, open)));
    const gone = new Set(takings.map((t) => t.subject));
    const changed = rows.filter((r) => r.void !== gone.has(r.id));
    for (const now of [true, false]) {
      const set = changed.filter((r) => gone.has(r.id) === now).map((r) => r.id);
      if (set.length > 0) await db.update(records).set({ void: now }).where(inArray(records.id, set));
    }
    open = changed.filter((r) => r.kind === 'retraction').map((r) => r.subject);
  }
}

/** The spans of a bed anew, from its records that stand. */
async function rebuildBed(db: Db, bedId: string): Promise<void> {
  const rows = await db
    .select()
    .from(records)
    .where(and(eq(records.subject, bedId), eq(records.kind, 'cover'), eq(records.void, false)))
    .orderBy(asc(records.atMs), asc(records.seq));
  const spans = applyAll(rows.map((r) => asRecord(r).record as CoverAct)).spans.get(bedId) ?? [];
  await db.delete(coverSpans).where(eq(coverSpans.bedId, bedId));
  for (const part of chunks(spans))
    await db.insert(coverSpans).values(
      part.map(({ onId, offId, coverId, fromAtMs, toAtMs }) => ({
        onId,
        offId,
        bedId,
        coverId,
        fromAtMs,
        toAtMs: toAtMs === Infinity ? null : toAtMs,
      })),
    );
}

/**
 * Appends records in a transaction of the caller's; one that is already there (sent twice) is left as it is. Returns how many
 * were new. An instant after `nowAtMs` counts as `nowAtMs`: a clock that is ahead.
 */
export async function appendRecords(
  db: Db,
  list: readonly FarmRecord[],
  recordedAtMs: number,
  nowAtMs: number,
): Promise<number> {
  if (list.length === 0) return 0;
  const origin = currentOrigin();
  const rows = list.map((record) => ({
    id: record.id,
    kind: record.kind,
    atMs: Math.min(record.atMs, nowAtMs),
    recordedAtMs,
    subject: subjectOf(record),
    actor: record.by ?? origin.actor,
    device: origin.device,
    data: record,
  }));
  const done = await db.insert(records).values(rows).onConflictDoNothing().returning({ id: records.id });
  const fresh = new Set(done.map((r) => r.id));
  const added = rows.filter((r) => fresh.has(r.id));
  const takings = added.filter((r) => r.kind === 'retraction').map((r) => r.subject);
  // a taking back may have come before what it takes back
  const early = await db
    .select({ id: records.id })
    .from(records)
    .where(and(eq(records.kind, 'retraction'), inArray(records.subject, [...fresh])))
    .limit(1);
  if (takings.length > 0 || early.length > 0) await settle(db, [...takings, ...fresh]);
  const beds = new Set(added.filter((r) => r.kind === 'cover').map((r) => r.subject));
  for (const bed of await bedsBehind(db, takings)) beds.add(bed);
  for (const bed of beds) await rebuildBed(db, bed);
  return done.length;
}

/** The beds whose covers some takings back bear on, through takings back of takings back. */
async function bedsBehind(db: Db, ids: readonly string[]): Promise<string[]> {
  const beds: string[] = [];
  let open = [...ids];
  for (let depth = 0; open.length > 0 && depth < 50; depth++) {
    const rows = await db
      .select({ kind: records.kind, subject: records.subject })
      .from(records)
      .where(inArray(records.id, open));
    beds.push(...rows.filter((r) => r.kind === 'cover').map((r) => r.subject));
    open = rows.filter((r) => r.kind === 'retraction').map((r) => r.subject);
  }
  return beds;
}

/** Everything that is derived, anew from the records. */
export async function rebuildAll(db: Db): Promise<void> {
  await writing(db, async (t) => {
    // the newest word first, so that each taking back is settled before what it takes back
    const takings = await t
      .select({ id: records.id, subject: records.subject })
      .from(records)
      .where(eq(records.kind, 'retraction'))
      .orderBy(desc(records.seq));
    await t.update(records).set({ void: false }).where(eq(records.void, true));
    const gone = new Set<string>();
    for (const r of takings) if (!gone.has(r.id)) gone.add(r.subject);
    for (const part of chunks([...gone]))
      await t.update(records).set({ void: true }).where(inArray(records.id, part));
    await t.delete(coverSpans);
    const beds = await t
      .selectDistinct({ id: records.subject })
      .from(records)
      .where(eq(records.kind, 'cover'));
    for (const { id } of beds) await rebuildBed(t, id);
  });
}

export interface Standing {
  /** What stands and a moment needs, oldest first. */
  records: StoredRecord[];
  /** Kilograms cut of each planting, over all of its time. */
  harvestedKg: ReadonlyMap<string, number>;
}

const remembered = new WeakMap<object, { key: string; value: Promise<Standing> }>();

/**
 * The last three weeks; what still lies or stands open, whenever that began; the last score and all harvests of these
 * plantings; the readings that teach, with the covers and openings of their nights.
 */
export async function standingFor(
  db: Db,
  nowAtMs: number,
  plantingIds: readonly string[],
  /** Where the last answer is remembered: a transaction's database is a new one each time. */
  by: Db = db,
): Promise<Standing> {
  const [last] = await db.select({ seq: max(records.seq) }).from(records);
  // no record counts later than it came: within a minute only a new one changes what stands
  const key = JSON.stringify([last?.seq ?? 0, Math.floor(nowAtMs / 60_000), plantingIds]);
  const held = remembered.get(by);
  if (held?.key === key) return held.value;
  const value = load(db, nowAtMs, plantingIds);
  remembered.set(by, { key, value });
  value.catch(() => remembered.get(by)?.key === key && remembered.delete(by));
  return value;
}

async function load(db: Db, nowAtMs: number, plantingIds: readonly string[]): Promise<Standing> {
  const stands = and(eq(records.void, false), lte(records.atMs, nowAtMs));
  const recentAtMs = nowAtMs - RECENT_MS;
  const readings = await db
    .select()
    .from(records)
    .where(and(stands, eq(records.kind, 'reading'), gt(records.atMs, nowAtMs - TEACHING_MS)))
    .orderBy(desc(records.atMs))
    .limit(TEACHING);
  const sinceAtMs = Math.min(recentAtMs, (readings.at(-1)?.atMs ?? nowAtMs) - BEFORE_MS);
  const spans = await db
    .select({ onId: coverSpans.onId, offId: coverSpans.offId })
    .from(coverSpans)
    .where(or(isNull(coverSpans.toAtMs), gt(coverSpans.toAtMs, sinceAtMs)));
  const spanIds = spans.flatMap((s) => (s.offId === null ? [s.onId] : [s.onId, s.offId]));
  const recent = await db
    .select()
    .from(records)
    .where(and(stands, gte(records.atMs, recentAtMs), notInArray(records.kind, ['retraction', 'brought'])));
  const lain = await byIds(db, spanIds);
  const vents = await db
    .select()
    .from(records)
    .where(and(stands, eq(records.kind, 'vent'), gte(records.atMs, sinceAtMs)));
  const before = await ventBefore(db, nowAtMs, sinceAtMs);
  const none = plantingIds.length === 0;
  const harm = none
    ? []
    : await db
        .selectDistinctOn([records.subject])
        .from(records)
        .where(and(stands, eq(records.kind, 'harm'), inArray(records.subject, [...plantingIds])))
        .orderBy(records.subject, desc(records.atMs), desc(records.seq));
  const cut = none
    ? []
    : await db
        .select({ id: records.subject, kg: sql<number>`sum((${records.data}->>'kg')::float8)` })
        .from(records)
        .where(and(stands, eq(records.kind, 'harvest'), inArray(records.subject, [...plantingIds])))
        .groupBy(records.subject);
  const all = new Map(
    [...readings, ...recent, ...lain, ...vents, ...before, ...harm]
      .filter((r) => r.atMs <= nowAtMs)
      .map((r) => [r.id, r]),
  );
  return {
    records: [...all.values()].sort((a, b) => a.atMs - b.atMs || a.seq - b.seq).map(asRecord),
    harvestedKg: new Map(cut.map((c) => [c.id, Number(c.kg)])),
  };
}

/** How each structure stood open when the time that is looked at begins. */
async function ventBefore(db: Db, nowAtMs: number, sinceAtMs: number): Promise<Row[]> {
  return db
    .selectDistinctOn([records.subject])
    .from(records)
    .where(
      and(eq(records.void, false), eq(records.kind, 'vent'), lte(records.atMs, Math.min(nowAtMs, sinceAtMs))),
    )
    .orderBy(records.subject, desc(records.atMs), desc(records.seq));
}

async function byIds(db: Db, ids: readonly string[]): Promise<Row[]> {
  const out: Row[] = [];
  for (const part of chunks(ids, 1000))
    out.push(...(await db.select().from(records).where(inArray(records.id, part))));
  return out;
}

export async function recordsByIds(db: Db, ids: readonly string[]): Promise<StoredRecord[]> {
  return (await byIds(db, ids)).map(asRecord);
}

/** Who made records, by their ids; without those of whom nobody said. */
export async function actorsOf(db: Db, ids: readonly string[]): Promise<Record<string, string>> {
  const rows = ids.length === 0 ? [] : await byIds(db, [...new Set(ids)]);
  return Object.fromEntries(rows.flatMap((r) => (r.actor === '' ? [] : [[r.id, r.actor]])));
}

/** The log, newest first, without the takings back. */
export async function logPage(
  db: Db,
  limit: number,
  kinds: readonly string[] | null,
  offset: number,
): Promise<(StoredRecord & { void: boolean; actor: string })[]> {
  const which = kinds ? inArray(records.kind, [...kinds]) : ne(records.kind, 'retraction');
  const rows = await db
    .select()
    .from(records)
    .where(which)
    .orderBy(desc(records.atMs), desc(records.seq))
    .limit(limit)
    .offset(offset);
  return rows.map((r) => ({ ...asRecord(r), void: r.void, actor: r.actor }));
}

/** Everything that was noted of one thing, the newest first. */
export async function recordsOf(db: Db, subject: string, limit: number) {
  const rows = await db
    .select()
    .from(records)
    .where(and(eq(records.subject, subject), ne(records.kind, 'retraction')))
    .orderBy(desc(records.atMs), desc(records.seq))
    .limit(limit);
  return rows.map((r) => ({ ...asRecord(r), void: r.void, actor: r.actor }));
}
