/** A backup is the whole, or it is none. */
import { asc } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import type { OpenDb } from '../src/db/open';
import * as schema from '../src/db/schema';
import { loadDemo } from '../src/demo/load';
import { DEMO_START_MS } from '../src/demo/seed';
import { checkBackup, dailyBackup, keepBackup, readBackup, writeBackup } from '../src/farm/backup';
import { appendRecords } from '../src/farm/log';
import { takeTemperatures, takeTyped } from '../src/sources/take';
import { DEMO_FARM } from '../src/demo/seed';
import { bareDb } from './harness';

/** So many in every run; 200,000 with the command in docs/reliability.md. */
const READINGS = Number(process.env['FOGATA_READINGS'] ?? 30_000);
const dir = mkdtempSync(join(tmpdir(), 'fogata-backup-'));
const path = join(dir, 'a.backup.gz');
const DAY = 86_400_000;
let from: OpenDb;
/** In which nothing is yet. */
let empty: OpenDb;

beforeAll(async () => {
  from = await bareDb();
  empty = await bareDb();
  await loadDemo(from.db);
  const rows = Array.from({ length: READINGS }, (_, i) => ({
    spot: i % 2 === 0 ? 'outside' : 'north',
    atMs: DEMO_START_MS - i * 60_000,
    c: Math.round(100 * Math.sin(i)) / 10,
  }));
  await takeTemperatures(from.db, rows, 'file', DEMO_START_MS);
  await takeTyped(
    from.db,
    { lowC: -6, lowAtMs: DEMO_START_MS + 15 * 3_600_000, highC: 4, windMs: 1, cloud: 0.1, sure: 'usual' },
    DEMO_FARM,
    DEMO_START_MS,
  );
});
afterAll(async () => {
  await from.close();
  await empty.close();
  rmSync(dir, { recursive: true, force: true });
});

/** Every row of every table, in order. */
async function everything({ db }: OpenDb) {
  return {
    farm: await db.select().from(schema.farm),
    structures: await db.select().from(schema.structures).orderBy(asc(schema.structures.id)),
    beds: await db.select().from(schema.beds).orderBy(asc(schema.beds.id)),
    plantings: await db.select().from(schema.plantings).orderBy(asc(schema.plantings.id)),
    covers: await db.select().from(schema.covers).orderBy(asc(schema.covers.id)),
    records: await db.select().from(schema.records).orderBy(asc(schema.records.seq)),
    spans: await db.select().from(schema.coverSpans).orderBy(asc(schema.coverSpans.onId)),
    forecasts: await db.select().from(schema.forecasts).orderBy(asc(schema.forecasts.id)),
    temperatures: await db
      .select()
      .from(schema.temperatures)
      .orderBy(asc(schema.temperatures.spot), asc(schema.temperatures.atMs)),
    meta: await db.select().from(schema.meta).orderBy(asc(schema.meta.key)),
  };
}

test('restored into a new directory it is the same to the last row, and goes on from there', async () => {
  const counts = await writeBackup(from.db, path, DEMO_START_MS);
  expect(counts).toMatchObject({ temperatures: READINGS, forecasts: 1 });
  const to = await bareDb();
  try {
    expect(await readBackup(to.db, path)).toEqual(counts);
    const [before, after] = [await everything(from), await everything(to)];
    expect(JSON.stringify(after)).toBe(JSON.stringify(before));
    // the order of arrival goes on where it was
    const note = { id: randomUUID(), kind: 'note' as const, atMs: DEMO_START_MS, text: 'after' };
    await appendRecords(to.db, [note], DEMO_START_MS, DEMO_START_MS);
    const seqs = (await everything(to)).records.map((r) => r.seq);
    expect(Math.max(...seqs)).toBeGreaterThan(Math.max(...before.records.map((r) => r.seq)));
    // and into a farm that is there nothing is ever restored
    await expect(readBackup(to.db, path)).rejects.toThrow('only restored into a new data directory');
  } finally {
    await to.close();
  }
});

test.each([
  ['cut off', (text: string) => text.slice(0, text.length / 2)],
  ['without its last line', (text: string) => text.trimEnd().split('\n').slice(0, -1).join('\n')],
  ['with one figure changed', (text: string) => text.replace('"outside"', '"outsids"')],
  [
    'with a table left out',
    (text: string) =>
      text
        .split('\n')
        .filter((l) => !l.startsWith('{"table":"beds"'))
        .join('\n'),
  ],
  ['of another form', (text: string) => text.replace('fogata-backup/1', 'fogata-backup/9')],
  ['that is no JSON', () => 'hello\n'],
])(
  'a file %s is refused, and nothing of it is taken',
  async (_, spoil) => {
    const bad = join(dir, 'bad.gz');
    writeFileSync(bad, gzipSync(spoil(gunzipSync(readFileSync(path)).toString())));
    await expect(readBackup(empty.db, bad)).rejects.toThrow('file: expected a whole backup');
    expect(await empty.db.select().from(schema.structures)).toEqual([]);
  },
  60_000,
);

test('the newest seven are kept, and no half of one', async () => {
  const kept = join(dir, 'kept');
  for (let day = 0; day < 9; day++) await keepBackup(empty.db, kept, DEMO_START_MS + day * DAY);
  const files = readdirSync(kept).sort();
  expect(files).toHaveLength(7);
  expect(files[0]).toContain('2027-01-16');
  for (const f of files) await checkBackup(join(kept, f));
  // started often, it still makes one a day
  const last = DEMO_START_MS + 8 * DAY;
  expect(await dailyBackup(empty.db, kept, last + DAY / 2)).toBe(false);
  expect(await dailyBackup(empty.db, kept, last + DAY + 60_000)).toBe(true);
  expect(await dailyBackup(empty.db, join(dir, 'new'), last)).toBe(true);
});
