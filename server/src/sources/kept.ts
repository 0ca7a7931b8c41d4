/** The ports over the database: what was typed, brought, pushed or polled, and nothing else. */
import { and, asc, desc, eq, gte, lte, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Db } from '../db/open';
import { forecasts, observations, temperatures } from '../db/schema';
import { readMeta, writeMeta } from '../farm/store';
import type { Sources } from './ports';

/** So many issues at most, the newest: a forecast every three hours for nine days. */
const MOST = 72;
const REVISION = 'weatherRevision';

/** Told by whoever writes weather or temperatures, in the same transaction. */
export async function weatherChanged(db: Db): Promise<void> {
  await writeMeta(db, REVISION, randomUUID());
}

export function keptSources(db: Db): Sources {
  return {
    revision: async () => (await readMeta(db, REVISION)) ?? '',
    issued: {
      issues: async (nowMs, fromMs) => {
        const rows = await db
          .select()
          .from(forecasts)
          .where(
            and(eq(forecasts.active, true), lte(forecasts.importedMs, nowMs), gte(forecasts.toMs, fromMs)),
          )
          .orderBy(desc(forecasts.issuedMs), desc(forecasts.importedMs))
          .limit(MOST);
        return rows.map(({ id, name, source, issuedMs, entries, doubt }) => ({
          id,
          name,
          source,
          issuedMs,
          entries,
          doubt,
        }));
      },
    },
    observed: {
      hours: async (fromMs, toMs) => {
        const rows = await db
          .select({ entry: observations.entry })
          .from(observations)
          .where(and(gte(observations.atMs, fromMs), lte(observations.atMs, toMs)))
          .orderBy(asc(observations.atMs));
        return rows.map((r) => r.entry);
      },
    },
    thermometers: {
      read: async (spot, fromMs, toMs) => {
        const [row] = await db
          .select({
            n: sql<number>`count(*)::int`,
            minC: sql<number>`min(${temperatures.c})`,
            maxC: sql<number>`max(${temperatures.c})`,
          })
          .from(temperatures)
          .where(
            and(eq(temperatures.spot, spot.id), gte(temperatures.atMs, fromMs), lte(temperatures.atMs, toMs)),
          );
        return row && row.n > 0 ? { minC: Number(row.minC), maxC: Number(row.maxC) } : null;
      },
    },
  };
}
