/**
 * Plans kept over a restart and between servers. Contract: `find` gives a plan by its key, whoever worked it out; `keep` puts
 * it there, whole and as one, so that a sheet of the plan is the farm's own sheet; `progress` is what another server says of one that it is at. A plan that an older Fogata left is not found.
 */
import { adoptWays } from '@fogata/core';
import type { NightPlan } from '@fogata/core/planning';
import { desc, eq, lt, notInArray, or } from 'drizzle-orm';
import { deserialize, serialize } from 'node:v8';
import { deflateSync, inflateSync } from 'node:zlib';
import type { Db } from '../db/open';
import { keptPlans } from '../db/schema';

export interface KeptPlans {
  find(key: string): Promise<NightPlan | null>;
  /** What was chosen by bed when a night was last worked out. */
  lastChosen(night: string): Promise<Map<string, string>>;
  keep(key: string, plan: NightPlan): Promise<void>;
  setProgress(key: string, night: string, done: number, of: number): Promise<void>;
  progress(key: string): Promise<{ done: number; of: number } | null>;
}

/** So many stay, and none for longer. */
const MOST = 12;
const DAYS_MS = 3 * 86_400_000;

export const pack = (plan: NightPlan): Buffer => deflateSync(serialize(plan), { level: 1 });

/** Null where it cannot be read: then it is worked out again. */
export function unpack(bytes: Uint8Array | null): NightPlan | null {
  if (!bytes) return null;
  try {
    const plan = deserialize(inflateSync(bytes)) as NightPlan;
    const sheets = plan.beds.flatMap((b) => [...b.on, ...b.options.flatMap((o) => o.covers)]);
    adoptWays(plan.data.covers, sheets);
    return plan;
  } catch {
    return null;
  }
}

export function keptIn(db: Db): KeptPlans {
  return {
    find: async (key) => {
      const [row] = await db.select({ plan: keptPlans.plan }).from(keptPlans).where(eq(keptPlans.key, key));
      return unpack(row?.plan ?? null);
    },
    lastChosen: async (night) => {
      const rows = await db
        .select({ plan: keptPlans.plan })
        .from(keptPlans)
        .where(eq(keptPlans.night, night))
        .orderBy(desc(keptPlans.madeAtMs))
        .limit(3);
      const plan = rows.map((r) => unpack(r.plan)).find((p) => p && p.phase !== 'morning');
      return new Map(plan?.beds.map((b) => [b.bed.id, b.chosen]));
    },
    keep: async (key, plan) => {
      const madeAtMs = Date.now();
      const n = plan.beds.length;
      const row = { key, night: plan.window.night, madeAtMs, done: n, of: n, plan: pack(plan) };
      await db.insert(keptPlans).values(row).onConflictDoUpdate({ target: keptPlans.key, set: row });
      const newest = await db
        .select({ key: keptPlans.key })
        .from(keptPlans)
        .orderBy(desc(keptPlans.madeAtMs))
        .limit(MOST);
      await db.delete(keptPlans).where(
        or(
          lt(keptPlans.madeAtMs, madeAtMs - DAYS_MS),
          notInArray(
            keptPlans.key,
            newest.map((r) => r.key),
          ),
        ),
      );
    },
    setProgress: async (key, night, done, of) => {
      const row = { key, night, madeAtMs: Date.now(), done, of, plan: null };
      await db.insert(keptPlans).values(row).onConflictDoUpdate({ target: keptPlans.key, set: { done, of } });
    },
    progress: async (key) => {
      const [row] = await db
        .select({ done: keptPlans.done, of: keptPlans.of })
        .from(keptPlans)
        .where(eq(keptPlans.key, key));
      return row ?? null;
    },
  };
}

/** Keeps nothing: for a planner by itself. */
export const NOTHING_KEPT: KeptPlans = {
  find: () => Promise.resolve(null),
  lastChosen: () => Promise.resolve(new Map()),
  keep: () => Promise.resolve(),
  setProgress: () => Promise.resolve(),
  progress: () => Promise.resolve(null),
};
