/** Opens the database: embedded PGlite in a locked directory, or a PostgreSQL server where DATABASE_URL is set. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { lockDirectory } from './lock';
import * as schema from './schema';

export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  close: () => Promise<void>;
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
  return { db, close: () => pool.end() };
}
