/** A PostgreSQL server as the database, which several servers may share. It is bundled by itself: an embedded database has no use for the driver. */
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { fault } from '../fault';
import { postgresLocks } from './locks';
import type { Db, OpenDb } from './open';
import * as schema from './schema';

/** Any number, the same in every Fogata: one server at a time brings the tables up to date. */
const MIGRATING = 4311;

/** The same schema and migrations on a PostgreSQL server; `derive` brings up to date what is derived from the records. */
export async function openPostgres(
  url: string,
  migrations: string,
  derive: (db: Db) => Promise<void>,
): Promise<OpenDb> {
  const { Pool } = pg;
  const pool = new Pool({ connectionString: url });
  // a connection that breaks while nobody uses it: the next query opens another
  pool.on('error', (e) => fault('database', e));
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
    writes: () => null,
    close: async () => {
      locks.close();
      await pool.end();
    },
  };
}
