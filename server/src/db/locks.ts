/**
 * Who works, of several servers on one database. Contract: `take(name)` gives what releases it, or null while somebody holds
 * it; what a process held is free the moment that process or its connection is gone. An embedded database has one process.
 */
import type { Pool, PoolClient } from 'pg';

export type Release = () => Promise<void>;

export interface Locks {
  /** Whether other processes may work on the same database. */
  shared: boolean;
  take(name: string): Promise<Release | null>;
}

export function ownLocks(): Locks {
  const held = new Set<string>();
  return {
    shared: false,
    take: (name) => {
      if (held.has(name)) return Promise.resolve(null);
      held.add(name);
      return Promise.resolve(() => {
        held.delete(name);
        return Promise.resolve();
      });
    },
  };
}

/** Advisory locks of one session, which the server lets go when that session ends, however it ends. */
export function postgresLocks(pool: Pool): Locks & { close: () => void } {
  const own = ownLocks();
  let session: Promise<PoolClient> | null = null;
  const client = () => {
    session ??= pool.connect().then((c) => {
      c.on('error', () => {
        c.release(true);
        session = null;
      });
      return c;
    });
    session.catch(() => (session = null));
    return session;
  };
  return {
    shared: true,
    take: async (name) => {
      // a session is given its own lock again: within a process it is counted here
      const mine = await own.take(name);
      if (!mine) return null;
      try {
        const c = await client();
        const { rows } = await c.query<{ got: boolean }>(
          'select pg_try_advisory_lock(hashtextextended($1, 0)) as got',
          [name],
        );
        if (!rows[0]?.got) {
          await mine();
          return null;
        }
        return async () => {
          await mine();
          await c.query('select pg_advisory_unlock(hashtextextended($1, 0))', [name]).catch(() => undefined);
        };
      } catch (error) {
        await mine();
        throw error;
      }
    },
    close: () => {
      void session?.then((c) => c.release(true)).catch(() => undefined);
      session = null;
    },
  };
}

/** Runs what only one of several servers is to do; false where another is at it. */
export async function alone(locks: Locks, name: string, run: () => Promise<unknown>): Promise<boolean> {
  const release = await locks.take(name);
  if (!release) return false;
  try {
    await run();
  } finally {
    await release();
  }
  return true;
}
