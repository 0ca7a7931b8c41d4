/**
 * Answers by the year kept over a restart and between servers. Contract: `find` gives those of these keys that are there, `keep` puts some there; the key
 * names the place, its climate, the crop and the code that computes, so that nothing of an older Fogata is found. What cannot be read is not there.
 */
import { desc, inArray, notInArray } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { deserialize, serialize } from 'node:v8';
import { deflateSync, inflateSync } from 'node:zlib';
import type { Db } from '../db/open';
import { keptSeasons } from '../db/schema';
import type { SeasonAnswer } from './book';

export interface KeptSeasons {
  find(keys: readonly string[]): Promise<Map<string, SeasonAnswer>>;
  keep(answers: readonly (readonly [key: string, answer: SeasonAnswer])[]): Promise<void>;
}

export const NO_SEASONS: KeptSeasons = {
  find: () => Promise.resolve(new Map()),
  keep: () => Promise.resolve(),
};

/** So many stay, the newest: a farm of thirty places and forty crops. */
const MOST = 1500;

function unpack(bytes: Uint8Array): SeasonAnswer | null {
  try {
    return deserialize(inflateSync(bytes)) as SeasonAnswer;
  } catch {
    return null;
  }
}

export function seasonsIn(db: Db, version: string): KeptSeasons {
  const named = (key: string) => createHash('sha256').update(`${version}\n${key}`).digest('hex');
  return {
    find: async (keys) => {
      const byName = new Map(keys.map((k) => [named(k), k]));
      const rows = await db
        .select()
        .from(keptSeasons)
        .where(inArray(keptSeasons.key, [...byName.keys()]));
      return new Map(
        rows.flatMap((r) => {
          const answer = unpack(r.answer);
          return answer ? [[byName.get(r.key)!, answer] as const] : [];
        }),
      );
    },
    keep: async (answers) => {
      if (answers.length === 0) return;
      const madeAtMs = Date.now();
      const rows = answers.map(([key, a]) => ({
        key: named(key),
        madeAtMs,
        answer: deflateSync(serialize(a), { level: 1 }),
      }));
      await db.insert(keptSeasons).values(rows).onConflictDoNothing();
      const newest = db
        .select({ key: keptSeasons.key })
        .from(keptSeasons)
        .orderBy(desc(keptSeasons.madeAtMs))
        .limit(MOST);
      await db.delete(keptSeasons).where(notInArray(keptSeasons.key, newest));
    },
  };
}
