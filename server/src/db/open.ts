/** Opens the database: embedded PGlite in a locked directory, or a PostgreSQL server where DATABASE_URL is set. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { rebuildAll } from '../farm/log';
import { readMeta, writeMeta } from '../farm/store';
import { lockDirectory } from './lock';
import { ownLocks, type Locks } from './locks';
import * as schema from './schema';

/** Version of what `rebuildAll` derives. */
const DERIVED = '1';

export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  locks: Locks;
  /** How often anything was written; null where other servers write as well and nobody tells. */
  writes: () => number | null;
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
    // told before it runs: who reads after that waits for it
    let written = 0;
    const logger = { logQuery: (query: string) => void (written += /^\s*select\b/i.test(query) ? 0 : 1) };
    const db = drizzle(client, { schema, logger });
    await migrate(db, { migrationsFolder: migrations });
    await derive(db);
    return {
      db,
      locks: ownLocks(),
      writes: () => written,
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

/** The same schema and migrations on a PostgreSQL server; its driver is loaded for those who have one. */
export const openPostgres = async (url: string, migrations: string): Promise<OpenDb> =>
  (await import('./postgres')).openPostgres(url, migrations, derive);
