/** A data directory that an earlier Fogata left is brought up to date, and every row of it is there. */
import { sql } from 'drizzle-orm';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openPglite, type Db } from '../src/db/open';
import { loadDemo } from '../src/demo/load';
import { MIGRATIONS } from './harness';

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

const TABLES = [
  'farm',
  'structures',
  'beds',
  'plantings',
  'covers',
  'records',
  'cover_spans',
  'forecasts',
  'observations',
  'temperatures',
  'nights',
];

/** Every row of every table, in an order of its own. */
async function everything(db: Db): Promise<Record<string, string[]>> {
  const out: Record<string, string[]> = {};
  for (const table of TABLES) {
    const found = (await db.execute(sql.raw(`select to_jsonb(t) as row from ${table} t`))) as unknown as {
      rows: { row: object }[];
    };
    out[table] = found.rows.map((r) => JSON.stringify(r.row)).sort();
  }
  return out;
}

const directories: string[] = [];
afterAll(() => directories.forEach((d) => rmSync(d, { recursive: true, force: true })));

test('from the directory of the version before plans were kept', async () => {
  const directory = mkdtempSync(join(tmpdir(), 'fogata-old-'));
  const old = upTo('0003_log');
  directories.push(directory, old);
  const before = await openPglite(directory, old);
  // today's demo, as far as the old tables have room for it
  const demo = await openPglite(null, MIGRATIONS);
  await loadDemo(demo.db);
  for (const [table, rows] of Object.entries(await everything(demo.db)))
    for (const row of rows)
      await before.db.execute(
        sql`insert into ${sql.raw(table)} overriding system value select * from jsonb_populate_record(null::${sql.raw(table)}, ${row}::jsonb)`,
      );
  await demo.close();
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
  const rows = await everything(before.db);
  expect(rows['records']!.length).toBeGreaterThan(20);
  await before.close();

  const now = await openPglite(directory, MIGRATIONS);
  const after = await everything(now.db);
  // what a planting has since is as it always was: begun as usual, in the ground, no step told
  const since = { how: null, planned: false, done: {} };
  const withNew = rows['plantings']!.map((r) => ({ ...(JSON.parse(r) as object), ...since }));
  expect(after['plantings']!.map((r) => JSON.parse(r) as object)).toEqual(expect.arrayContaining(withNew));
  expect({ ...after, plantings: [] }).toEqual({ ...rows, plantings: [] });
  for (const table of ['kept_plans', 'night_lows']) {
    const found = (await now.db.execute(sql.raw(`select count(*)::int as n from ${table}`))) as unknown as {
      rows: { n: number }[];
    };
    expect(found.rows[0]!.n).toBe(0);
  }
  await now.close();
  // and once more: nothing is left to do
  const again = await openPglite(directory, MIGRATIONS);
  expect(await everything(again.db)).toEqual(after);
  await again.close();
}, 90_000);

test('every migration of the journal is in the folder, in order', () => {
  expect(journal.entries.map((e) => e.idx)).toEqual(journal.entries.map((_, i) => i));
  for (const e of journal.entries)
    expect(readFileSync(join(MIGRATIONS, `${e.tag}.sql`), 'utf8')).not.toBe('');
});
