/** Opens the database: embedded PGlite in a locked directory, or a PostgreSQL server where DATABASE_URL is set. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { rebuildAll } from '../farm/log';
import { readMeta, writeMeta } from '../farm/store';
import { lockDirectory } from './lock';
import * as schema from './schema';

/** Version of what `rebuildAll` derives. */
const DERIVED = '1';

export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  close: () => Promise<void>;
}

/** What is derived from the records, once after a change of how it is derived. */
async function derive(db: Db): Promise<void> {
  if ((await readMeta(db, 'derived')) === DERIVED) return;
  await rebuildAll(db);
  await writeMeta(db, 'derived', DERIVED);
}

/** Opens PGlite in `directory` (in memory where it is null, or from a dump for tests) and brings it up to date. */
export async function openPglite(directory: string | null, migrations: string, dump?: Blob): Promise<OpenDb> {
  const release = directory === null ? () => {} : lockDirectory(directory);
  try {
    const { PGlite } = await import('@electric-sql/pglite');
    const { drizzle } = await import('drizzle-orm/pglite');
    const { migrate } = await import('drizzle-orm/pglite/migrator');
    const path = directory === null ? null : join(directory, 'db');
    if (path) mkdirSync(path, { recursive: true });
    const client = new PGlite({ ...(path ? { dataDir: path } : {}), ...(dump ? { loadDataDir: dump } : {}) });
    await client.waitReady;
    const db = drizzle(client, { schema });
    await migrate(db, { migrationsFolder: migrations });
    await derive(db);
    return {
      db,
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

/** The same schema and migrations on a PostgreSQL server. */
export async function openPostgres(url: string, migrations: string): Promise<OpenDb> {
  const { Pool } = (await import('pg')).default;
  const { drizzle } = await import('drizzle-orm/node-postgres');
  const { migrate } = await import('drizzle-orm/node-postgres/migrator');
  const pool = new Pool({ connectionString: url });
  const db = drizzle(pool, { schema });
  await migrate(db, { migrationsFolder: migrations });
  await derive(db);
  return { db, close: () => pool.end() };
}
