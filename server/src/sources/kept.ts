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
      issues: async (nowAtMs, fromAtMs) => {
        const rows = await db
          .select()
          .from(forecasts)
          .where(
            and(
              eq(forecasts.active, true),
              lte(forecasts.importedAtMs, nowAtMs),
              gte(forecasts.toAtMs, fromAtMs),
            ),
          )
          .orderBy(desc(forecasts.issuedAtMs), desc(forecasts.importedAtMs))
          .limit(MOST);
        return rows.map(({ id, name, source, issuedAtMs, entries, doubt }) => ({
          id,
          name,
          source,
          issuedAtMs,
          entries,
          doubt,
        }));
      },
    },
    observed: {
      hours: async (fromAtMs, toAtMs) => {
        const rows = await db
          .select({ entry: observations.entry })
          .from(observations)
          .where(and(gte(observations.atMs, fromAtMs), lte(observations.atMs, toAtMs)))
          .orderBy(asc(observations.atMs));
        return rows.map((r) => r.entry);
      },
    },
    thermometers: {
      read: async (spot, fromAtMs, toAtMs) => {
        const [row] = await db
          .select({
            n: sql<number>`count(*)::int`,
            minC: sql<number>`min(${temperatures.c})`,
            maxC: sql<number>`max(${temperatures.c})`,
          })
          .from(temperatures)
          .where(
            and(
              eq(temperatures.spot, spot.id),
              gte(temperatures.atMs, fromAtMs),
              lte(temperatures.atMs, toAtMs),
            ),
          );
        return row && row.n > 0 ? { minC: Number(row.minC), maxC: Number(row.maxC) } : null;
      },
    },
  };
}
