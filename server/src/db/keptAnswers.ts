/**
 * What took long to work out and follows from its question alone, kept over a restart and between servers. Contract: `find` gives those of these keys that are there,
 * `keep` puts some there; the key names all that the answer follows from, to which its kind and the code that computes are added, so that nothing of an older Fogata
 * is found. What cannot be read is not there. `keptOr` gives what was kept of one, else what is worked out now.
 */
import { desc, inArray, notInArray, sql } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { deserialize, serialize } from 'node:v8';
import { deflateSync, inflateSync } from 'node:zlib';
import { fault } from '../fault';
import type { Db } from './open';
import { keptAnswers } from './schema';

export interface KeptAnswers<A> {
  find(keys: readonly string[]): Promise<Map<string, A>>;
  keep(answers: readonly (readonly [key: string, answer: A])[]): Promise<void>;
}

export const NO_ANSWERS: KeptAnswers<never> = {
  find: () => Promise.resolve(new Map<string, never>()),
  keep: () => Promise.resolve(),
};

/** So many stay, the newest: thirty places by forty crops, and what the nights taught of each house. */
const MOST = 2000;

function unpack<A>(bytes: Uint8Array): A | null {
  try {
    return deserialize(inflateSync(bytes)) as A;
  } catch {
    return null;
  }
}

export function answersIn<A>(db: Db, version: string, kind: string): KeptAnswers<A> {
  const named = (key: string) => createHash('sha256').update(`${version}\n${kind}\n${key}`).digest('hex');
  return {
    find: async (keys) => {
      const byName = new Map(keys.map((k) => [named(k), k]));
      const rows = await db
        .select()
        .from(keptAnswers)
        .where(inArray(keptAnswers.key, [...byName.keys()]));
      return new Map(
        rows.flatMap((r) => {
          const answer = unpack<A>(r.answer);
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
      // one that could not be read is made anew
      const set = { madeAtMs: sql`excluded.made_ms`, answer: sql`excluded.answer` };
      await db.insert(keptAnswers).values(rows).onConflictDoUpdate({ target: keptAnswers.key, set });
      const newest = db
        .select({ key: keptAnswers.key })
        .from(keptAnswers)
        .orderBy(desc(keptAnswers.madeAtMs))
        .limit(MOST);
      await db.delete(keptAnswers).where(notInArray(keptAnswers.key, newest));
    },
  };
}

/** What was kept of them; nothing where it cannot be read. */
export async function foundOf<A>(kept: KeptAnswers<A>, keys: readonly string[]): Promise<Map<string, A>> {
  try {
    return await kept.find(keys);
  } catch (error) {
    fault('answersNotRead', error);
    return new Map();
  }
}

/** What could not be kept is still an answer. */
export const keepAll = <A>(
  kept: KeptAnswers<A>,
  answers: readonly (readonly [key: string, answer: A])[],
): Promise<void> => kept.keep(answers).catch((e: unknown) => fault('answerNotKept', e));

export async function keptOr<A>(kept: KeptAnswers<A>, key: string, run: () => Promise<A>): Promise<A> {
  const found = (await foundOf(kept, [key])).get(key);
  if (found !== undefined) return found;
  const answer = await run();
  await keepAll(kept, [[key, answer]]);
  return answer;
}
