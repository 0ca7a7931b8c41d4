/** Writes one after the other, also of several servers: what is checked in one still holds when it is written. */
import { sql } from 'drizzle-orm';
import type { Db } from './open';

/** Any number, the same in every Fogata. */
const WRITING = 4310;

/** `run` in a transaction that no other write overlaps; records come into the log in the order of their `seq`. */
export function writing<T>(db: Db, run: (tx: Db) => Promise<T>): Promise<T> {
  return db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(${WRITING})`);
    return run(tx as unknown as Db);
  });
}
