/**
 * Everything that is kept, as one file. Contract: `writeBackup` writes it whole from one moment of the database, reads it back
 * and only then gives it its name; `readBackup` fills an empty database from one, all or nothing, and refuses a file that is
 * damaged or not whole.
 *
 * Form `fogata-backup/1`: gzip of lines of JSON; the first names the form, then tables in chunks of rows as the database has
 * them, the last counts the rows of each table and carries the SHA-256 of all lines before it.
 */
import { said } from '@fogata/core';
import { asc, count, getTableColumns, max, sql, type SQL } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { fault } from '../fault';
import { chunks } from '../chunks';
import { alone, type Locks } from '../db/locks';
import type { Db } from '../db/open';
import * as schema from '../db/schema';
import { writing } from '../db/write';
import { Problem } from '../problem';
import { rebuildAll } from './log';
import { olderRow } from './rows';

const FORMAT = 'fogata-backup/1';
const CHUNK = 2000;

/** In the order in which they can be filled; what is derived is derived anew. */
const TABLES: [string, PgTable, PgColumn[]][] = [
  ['farm', schema.farm, [schema.farm.id]],
  ['structures', schema.structures, [schema.structures.id]],
  [
    'structure_openings',
    schema.structureOpenings,
    [schema.structureOpenings.structureId, schema.structureOpenings.n],
  ],
  ['beds', schema.beds, [schema.beds.id]],
  ['plantings', schema.plantings, [schema.plantings.id]],
  ['planting_steps', schema.plantingSteps, [schema.plantingSteps.plantingId, schema.plantingSteps.step]],
  ['covers', schema.covers, [schema.covers.id]],
  ['cultivars', schema.cultivars, [schema.cultivars.id]],
  [
    'cultivar_figures',
    schema.cultivarFigures,
    [schema.cultivarFigures.cultivarId, schema.cultivarFigures.figure],
  ],
  ['seed_lots', schema.seedLots, [schema.seedLots.id]],
  ['scenarios', schema.scenarios, [schema.scenarios.id]],
  ['records', schema.records, [schema.records.seq]],
  ['forecasts', schema.forecasts, [schema.forecasts.id]],
  ['observations', schema.observations, [schema.observations.atMs]],
  ['temperatures', schema.temperatures, [schema.temperatures.spot, schema.temperatures.atMs]],
  ['climate_days', schema.climateDays, [schema.climateDays.record, schema.climateDays.date]],
  ['nights', schema.nights, [schema.nights.night]],
  ['night_lows', schema.nightLows, [schema.nightLows.bedId, schema.nightLows.night]],
  ['night_hardness', schema.nightHardness, [schema.nightHardness.plantingId, schema.nightHardness.night]],
  ['meta', schema.meta, [schema.meta.key]],
];

export type Counts = Record<string, number>;

async function* linesOf(db: Db, madeAtMs: number): AsyncGenerator<string> {
  const hash = createHash('sha256');
  const counts: Counts = {};
  const line = (x: object) => {
    const text = `${JSON.stringify(x)}\n`;
    hash.update(text);
    return text;
  };
  yield line({ format: FORMAT, madeAtMs });
  for (const [table, of, order] of TABLES) {
    counts[table] = 0;
    const keys = order.map((c) => Object.entries(getTableColumns(of)).find(([, x]) => x === c)![0]);
    let last: Record<string, unknown> | null = null;
    for (;;) {
      // on from the last key, not from a count: a million rows are passed over once
      const after: SQL | undefined = last
        ? sql`(${sql.join(order, sql`, `)}) > (${sql.join(
            keys.map((k) => sql`${last![k]}`),
            sql`, `,
          )})`
        : undefined;
      const rows = (await db
        .select()
        .from(of)
        .where(after)
        .orderBy(...order.map((c) => asc(c)))
        .limit(CHUNK)) as Record<string, unknown>[];
      if (rows.length === 0) break;
      counts[table] += rows.length;
      yield line({ table, rows });
      if (rows.length < CHUNK) break;
      last = rows.at(-1)!;
    }
  }
  yield `${JSON.stringify({ end: true, counts, sha256: hash.digest('hex') })}\n`;
}

interface Line {
  format?: string;
  table?: string;
  rows?: Record<string, unknown>[];
  end?: boolean;
  counts?: Counts;
  sha256?: string;
}

const damaged = (why: string) => new Problem(422, said('refuse.backup', { why }), 'file');

/** Lines of a gzip file. A stream that breaks throws here, and nowhere else: a line reader would let the error fall. */
async function* textLines(path: string): AsyncGenerator<string> {
  const file = createReadStream(path);
  const input = createGunzip();
  file.on('error', (e) => input.destroy(e));
  file.pipe(input).setEncoding('utf8');
  let rest = '';
  try {
    for await (const chunk of input) {
      const parts = (rest + String(chunk)).split('\n');
      rest = parts.pop()!;
      yield* parts;
    }
    if (rest !== '') yield rest;
  } finally {
    file.destroy();
  }
}

/** The lines of a file, checked as they go by; throws where it is not one, damaged, or not whole. */
async function* checked(path: string): AsyncGenerator<Line> {
  const hash = createHash('sha256');
  const counts: Counts = {};
  let last: Line | null = null;
  try {
    for await (const text of textLines(path)) {
      if (last?.end) throw damaged('something follows its end');
      const line = JSON.parse(text) as Line;
      if (!last && line.format !== FORMAT) throw damaged(`its form is not ${FORMAT}`);
      if (!line.end) hash.update(`${text}\n`);
      if (line.table) counts[line.table] = (counts[line.table] ?? 0) + line.rows!.length;
      last = line;
      yield line;
    }
  } catch (error) {
    throw error instanceof Problem ? error : damaged('it cannot be read to its end');
  }
  if (!last?.end) throw damaged('its end is missing');
  if (last.sha256 !== hash.digest('hex')) throw damaged('its lines are not those that were written');
  for (const [table, n] of Object.entries(last.counts ?? {}))
    if ((counts[table] ?? 0) !== n) throw damaged(`${table} should have ${n} rows`);
}

export async function checkBackup(path: string): Promise<Counts> {
  let counts: Counts = {};
  for await (const line of checked(path)) counts = line.counts ?? counts;
  return counts;
}

/** Writes a verified backup and gives its counts. */
export async function writeBackup(db: Db, path: string, nowAtMs: number): Promise<Counts> {
  const part = `${path}.part`;
  try {
    await db.transaction((tx) =>
      pipeline(Readable.from(linesOf(tx as unknown as Db, nowAtMs)), createGzip(), createWriteStream(part)),
    );
    const counts = await checkBackup(part);
    await rename(part, path);
    return counts;
  } finally {
    await rm(part, { force: true });
  }
}

/** Puts rows into their tables, fathers before children; of a table or column that is no more nothing is taken. */
async function fill(db: Db, parts: readonly { table: string; row: object }[]): Promise<void> {
  for (const [name, of] of TABLES) {
    const known = Object.keys(getTableColumns(of));
    const rows = parts
      .filter((p) => p.table === name)
      .map((p) => Object.fromEntries(Object.entries(p.row).filter(([k]) => known.includes(k))));
    if (rows.length > 0)
      await db
        .insert(of)
        .overridingSystemValue()
        .values(rows as never);
  }
}

/** Fills a database in which no farm has been set up. */
export async function readBackup(db: Db, path: string): Promise<Counts> {
  await checkBackup(path);
  const [set] = await db.select({ n: count() }).from(schema.structures);
  const [noted] = await db.select({ n: count() }).from(schema.records);
  if ((set?.n ?? 0) + (noted?.n ?? 0) > 0) throw new Problem(409, said('refuse.notEmpty'));
  let counts: Counts = {};
  await writing(db, async (tx) => {
    await tx.delete(schema.meta);
    await tx.delete(schema.farm);
    for await (const line of checked(path)) {
      counts = line.counts ?? counts;
      if (line.table === undefined) continue;
      const table = line.table;
      for (const part of chunks(line.rows!.flatMap((r) => olderRow(table, r))))
        await fill(tx as unknown as Db, part);
    }
    const [last] = await tx.select({ seq: max(schema.records.seq) }).from(schema.records);
    if (last?.seq)
      await tx.execute(sql`select setval(pg_get_serial_sequence('records', 'seq'), ${last.seq})`);
  });
  await rebuildAll(db);
  return counts;
}

const KEEP = 7;
const HOUR_MS = 3_600_000;
const name = (ms: number) =>
  `fogata-${new Date(ms).toISOString().slice(0, 16).replace(/[T:]/g, '-')}.backup.gz`;

async function backupsIn(directory: string): Promise<string[]> {
  const all = await readdir(directory).catch(() => []);
  return all.filter((f) => /^fogata-[\d-]+\.backup\.gz$/.test(f)).sort();
}

/** A backup in a directory, by its date; the seven newest stay. */
export async function keepBackup(db: Db, directory: string, nowAtMs: number): Promise<string> {
  await mkdir(directory, { recursive: true });
  const path = join(directory, name(nowAtMs));
  await writeBackup(db, path, nowAtMs);
  for (const old of (await backupsIn(directory)).slice(0, -KEEP))
    await rm(join(directory, old), { force: true });
  return path;
}

/** Makes one where the newest is more than a day old, however often the server is started; true where it did. */
export async function dailyBackup(db: Db, directory: string, nowAtMs: number): Promise<boolean> {
  const newest = (await backupsIn(directory)).at(-1);
  if (newest && newest > name(nowAtMs - 24 * HOUR_MS)) return false;
  await keepBackup(db, directory, nowAtMs);
  return true;
}

/** Looks every hour whether one is due, first when the start is over; the return stops it. */
export function startBackups(db: Db, locks: Locks, directory: string, nowAtMs: () => number): () => void {
  const look = () =>
    void alone(locks, 'backup', () => dailyBackup(db, directory, nowAtMs())).catch((e: Error) =>
      fault('backup', e),
    );
  const first = setTimeout(look, HOUR_MS / 6);
  const timer = setInterval(look, HOUR_MS);
  return () => {
    clearTimeout(first);
    clearInterval(timer);
  };
}
