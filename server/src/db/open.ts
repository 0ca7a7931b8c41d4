/** Opens the database: embedded PGlite in a locked directory, or a PostgreSQL server where DATABASE_URL is set. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { rebuildAll } from '../farm/log';
import { readMeta, writeMeta } from '../farm/store';
import { lockDirectory } from './lock';
import { ownLocks, postgresLocks, type Locks } from './locks';
import * as schema from './schema';

/** Version of what `rebuildAll` derives. */
const DERIVED = '1';

export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  locks: Locks;
  close: () => Promise<void>;
}

/** What is derived from the records, once after a change of how it is derived. */
async function derive(db: Db): Promise<void> {
  if ((await readMeta(db, 'derived')) === DERIVED) return;
  await rebuildAll(db);
  await writeMeta(db, 'derived', DERIVED);
}

/** Bytes in one go: PGlite's own way takes a tenth of a second for a kept plan, letter by letter. */
const asHex = (type: number) => ({
  serializers: { [type]: (bytes: Uint8Array) => `\\x${Buffer.from(bytes).toString('hex')}` },
  parsers: { [type]: (text: string) => Buffer.from(text.slice(2), 'hex') },
});

/** Opens PGlite in `directory` (in memory where it is null, or from a dump for tests) and brings it up to date. */
export async function openPglite(directory: string | null, migrations: string, dump?: Blob): Promise<OpenDb> {
  const release = directory === null ? () => {} : lockDirectory(directory);
  try {
    const { PGlite, types } = await import('@electric-sql/pglite');
    const { drizzle } = await import('drizzle-orm/pglite');
    const { migrate } = await import('drizzle-orm/pglite/migrator');
    const path = directory === null ? null : join(directory, 'db');
    if (path) mkdirSync(path, { recursive: true });
    const client = new PGlite({
      ...(path ? { dataDir: path } : {}),
      ...(dump ? { loadDataDir: dump } : {}),
      ...asHex(types.BYTEA),
    });
    await client.waitReady;
    const db = drizzle(client, { schema });
    await migrate(db, { migrationsFolder: migrations });
    await derive(db);
    return {
      db,
      locks: ownLocks(),
      close: async () => {
        await client.close();
        release();
      },
    };
  } catch (error) {
    release();
    throw error;
  }
}

/** Any number, the same in every Fogata: one server at a time brings the tables up to date. */
const MIGRATING = 4311;

/** The same schema and migrations on a PostgreSQL server, which several servers may share. */
export async function openPostgres(url: string, migrations: string): Promise<OpenDb> {
  const { Pool } = (await import('pg')).default;
  const { drizzle } = await import('drizzle-orm/node-postgres');
  const { migrate } = await import('drizzle-orm/node-postgres/migrator');
  const pool = new Pool({ connectionString: url });
  // a connection that breaks while nobody uses it: the next query opens another
  pool.on('error', (e) => process.stderr.write(`database: ${e.message}\n`));
  const db = drizzle(pool, { schema });
  const first = await pool.connect();
  try {
    await first.query('select pg_advisory_lock($1)', [MIGRATING]);
    await migrate(db, { migrationsFolder: migrations });
    await derive(db);
  } finally {
    await first.query('select pg_advisory_unlock($1)', [MIGRATING]).catch(() => undefined);
    first.release();
  }
  const locks = postgresLocks(pool);
  return {
    db,
    locks,
    close: async () => {
      locks.close();
      await pool.end();
    },
  };
}
