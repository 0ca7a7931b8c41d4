/** A data directory that an earlier Fogata left is brought up to date, and every row of it is there. */
import { sql } from 'drizzle-orm';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { openPglite, type Db } from '../src/db/open';
import { readBackup } from '../src/farm/backup';
import { standingFarm } from '../src/farm/exchange';
import { bareDb, MIGRATIONS } from './harness';

interface Journal {
  entries: { idx: number; tag: string }[];
}
const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta', '_journal.json'), 'utf8')) as Journal;

/** The migrations as they were when `tag` was the last. */
function upTo(tag: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'fogata-migrations-'));
  cpSync(MIGRATIONS, folder, { recursive: true });
  const last = journal.entries.find((e) => e.tag === tag)!.idx;
  const kept = { ...journal, entries: journal.entries.filter((e) => e.idx <= last) };
  writeFileSync(join(folder, 'meta', '_journal.json'), JSON.stringify(kept));
  return folder;
}

/** The demo as the version before columns backed it up: every row of every table as that version had it. */
const OLD = join(__dirname, 'fixtures', 'before-columns.backup.gz');
type Row = Record<string, unknown>;
const lines = gunzipSync(readFileSync(OLD))
  .toString()
  .trim()
  .split('\n')
  .map((l) => JSON.parse(l) as { table?: string; rows?: Row[] });
const snake = (row: Row) =>
  Object.fromEntries(
    Object.entries(row).map(([k, v]) => [k.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`), v]),
  );
/** One of everything that may be said of a thing, as JSON had it. */
const FULL = {
  form: 'greenhouse',
  at: { xM: 1.5, yM: -2, turnDeg: 30 },
  coveredYear: null,
  snug: { ends: 0, edges: 1, skin: 2 },
  openings: [
    { name: 'Door', kind: 'door', areaM2: 2 },
    { name: 'Lid', kind: 'lid', areaM2: 0.5, wax: { startC: 15, fullC: 25 } },
    { name: 'Side', kind: 'roll-up', areaM2: 9, wax: null },
  ],
  footing: 'sunk',
  shade: 'shade-30',
  heat: { kind: 'cable', wm2: 40 },
  waterLitres: 120,
  snowRatingKgM2: null,
  windRatingMs: 22,
};
const CRATES = { count: 4, lengthM: 0.6, widthM: 0.4, plantsEach: 12 };
const DONE = { sow: '2026-09-01', plant: '2026-10-02' };

function oldRows(table: string): Row[] {
  const rows = lines.filter((l) => l.table === table).flatMap((l) => l.rows ?? []);
  return rows.map((r, n) => {
    if (n > 0) return r;
    if (table === 'structures') return { ...r, more: FULL };
    if (table === 'beds')
      return {
        ...r,
        more: { zone: 'shelf', zoneOffsetC: -1, at: { alongM: 1, acrossM: 2 }, crates: CRATES },
      };
    if (table === 'covers')
      return { ...r, more: { condition: 'worn', keptAt: 'shed', madeFor: 'N1', ways: ['flat'] } };
    return table === 'plantings' ? { ...r, done: DONE } : r;
  });
}
const TABLES = ['farm', 'structures', 'beds', 'plantings', 'covers', 'records'];

/** Fills a database of an earlier version with the rows of that time, as far as it had room for them. */
async function fillOld(db: Db): Promise<void> {
  for (const table of TABLES)
    for (const row of oldRows(table))
      await db.execute(
        sql`insert into ${sql.raw(table)} overriding system value select * from jsonb_populate_record(null::${sql.raw(table)}, ${JSON.stringify(snake(row))}::jsonb)`,
      );
}

const without = (x: unknown): unknown =>
  Array.isArray(x)
    ? x.map(without)
    : typeof x === 'object' && x !== null
      ? Object.fromEntries(Object.entries(x).flatMap(([k, v]) => (v === null ? [] : [[k, without(v)]])))
      : x;
const byId = (list: unknown) =>
  [...(without(list) as { id: string }[])].sort((a, b) => a.id.localeCompare(b.id));

/** What the farm is by its rows of old: the fields that lay in one column beside the others, null left out. */
/** What a maker rates a structure for in wind had a name that read like milliseconds. */
const renamed = ({ windRatingMs, ...row }: Row): Row =>
  windRatingMs === undefined ? row : { ...row, windRatingMps: windRatingMs };

function wasFarm(withSteps = true) {
  const whole = (table: string) =>
    byId(
      oldRows(table).map(({ more, done, planned, how, ...row }) =>
        renamed({
          ...row,
          ...(more as object | undefined),
          ...(withSteps && planned ? { planned } : {}),
          ...(withSteps && how ? { how } : {}),
          ...(withSteps && done && Object.keys(done).length > 0 ? { done } : {}),
        }),
      ),
    );
  return {
    structures: whole('structures'),
    beds: whole('beds'),
    plantings: whole('plantings'),
    covers: whole('covers'),
  };
}

async function isFarm(db: Db) {
  const file = await standingFarm(db, Date.parse('2027-01-14T15:30:00Z'));
  const found = {
    structures: file.structures,
    beds: file.beds,
    plantings: file.plantings,
    covers: file.covers,
  };
  return Object.fromEntries(Object.entries(found).map(([k, v]) => [k, byId(JSON.parse(JSON.stringify(v)))]));
}

/** Rows of the tables that are as they were. */
async function asTheyWere(db: Db): Promise<Record<string, string[]>> {
  const out: Record<string, string[]> = {};
  for (const table of [
    'farm',
    'records',
    'cover_spans',
    'forecasts',
    'observations',
    'temperatures',
    'nights',
  ]) {
    const found = (await db.execute(sql.raw(`select to_jsonb(t) as row from ${table} t`))) as unknown as {
      rows: { row: object }[];
    };
    out[table] = found.rows.map((r) => JSON.stringify(r.row)).sort();
  }
  return out;
}

const directories: string[] = [];
afterAll(() => directories.forEach((d) => rmSync(d, { recursive: true, force: true })));

test.each([
  ['0003_log', false],
  ['0006_steps', true],
])(
  'a directory as %s left it',
  async (tag, withSteps) => {
    const directory = mkdtempSync(join(tmpdir(), 'fogata-old-'));
    const old = upTo(tag);
    directories.push(directory, old);
    const before = await openPglite(directory, old);
    await fillOld(before.db);
    await before.db.execute(sql`
    insert into temperatures (spot, at_ms, c, source)
    select 'outside', 1799900000000 + n * 600000, n / 10.0, 'file' from generate_series(1, 500) n`);
    await before.db.execute(sql`
    insert into observations (at_ms, entry, source)
    select 1799900000000 + n * 3600000, jsonb_build_object('airC', n), 'file' from generate_series(1, 48) n`);
    await before.db.execute(sql`
    insert into nights (night, issued_ms, data) values ('2027-01-13', 1, '{"spots":{},"beds":{}}')`);
    await before.db.execute(sql`
    insert into forecasts (id, name, source, issued_ms, imported_ms, from_ms, to_ms, entries, doubt, active)
    values ('f1', 'mast', 'push', 1, 2, 3, 4, '[]', 1, true)`);
    const rows = await asTheyWere(before.db);
    expect(rows['records']!.length).toBeGreaterThan(20);
    await before.close();

    const now = await openPglite(directory, MIGRATIONS);
    expect(await isFarm(now.db)).toEqual(wasFarm(withSteps));
    expect(await asTheyWere(now.db)).toEqual(rows);
    await now.close();
    // and once more: nothing is left to do
    const again = await openPglite(directory, MIGRATIONS);
    expect(await isFarm(again.db)).toEqual(wasFarm(withSteps));
    await again.close();
  },
  90_000,
);

test('a backup of the version before columns is restored with every field in its own', async () => {
  const { db, close } = await bareDb();
  await readBackup(db, OLD);
  const plain = (table: string) =>
    byId(
      lines
        .filter((l) => l.table === table)
        .flatMap((l) => l.rows ?? [])
        .map(({ more, ...row }) => renamed({ ...row, ...(more as object) })),
    );
  const found = await isFarm(db);
  expect([found['structures'], found['beds'], found['covers']]).toEqual([
    plain('structures'),
    plain('beds'),
    plain('covers'),
  ]);
  expect(found['plantings']).toHaveLength(29);
  await close();
});

test('every migration of the journal is in the folder, in order', () => {
  expect(journal.entries.map((e) => e.idx)).toEqual(journal.entries.map((_, i) => i));
  for (const e of journal.entries)
    expect(readFileSync(join(MIGRATIONS, `${e.tag}.sql`), 'utf8')).not.toBe('');
});
