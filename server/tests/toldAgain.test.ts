/** What was kept comes back as it was: bytes of a plan, what was brought under its kind or an older name, how an address was last asked. */
import type { FarmRecord } from '@fogata/contract';
import { BROUGHT } from '@fogata/contract';
import { PLAIN, told } from '@fogata/core/words';
import { eq } from 'drizzle-orm';
import fc from 'fast-check';
import type { OpenDb } from '../src/db/open';
import { keptAnswers } from '../src/db/schema';
import { describeRecord } from '../src/farm/describe';
import { writeMeta, type FarmData } from '../src/farm/store';
import { pollState, setPoll } from '../src/sources/poll';
import { bareDb } from './harness';
import { data } from './threeBeds';

let open: OpenDb;
beforeAll(async () => {
  open = await bareDb();
});
afterAll(() => open.close());

test('bytes come back to the last bit, none, one and a megabyte of them', async () => {
  const back = async (bytes: Uint8Array) => {
    const row = { key: 'k', madeAtMs: 1, answer: bytes };
    await open.db.insert(keptAnswers).values(row).onConflictDoUpdate({ target: keptAnswers.key, set: row });
    const [kept] = await open.db.select().from(keptAnswers).where(eq(keptAnswers.key, 'k'));
    return Buffer.from(kept!.answer);
  };
  await fc.assert(
    fc.asyncProperty(fc.uint8Array({ maxLength: 300 }), async (bytes) => {
      expect((await back(bytes)).equals(Buffer.from(bytes))).toBe(true);
    }),
    { numRuns: 40 },
  );
  const large = Uint8Array.from({ length: 1_000_000 }, (_, i) => (i * 131) % 256);
  expect((await back(large)).equals(Buffer.from(large))).toBe(true);
});

describe('what was brought', () => {
  const record = (more: object) =>
    ({
      id: 'r',
      atMs: 0,
      kind: 'brought',
      name: '',
      changes: [
        { what: 'bed', targetId: 'a', before: null, after: { name: 'N9' } },
        { what: 'bed', targetId: 'b', before: { name: 'N8' }, after: { name: 'N7' } },
        { what: 'cover', targetId: 'c', before: { name: 'F' }, after: null },
      ],
      ...more,
    }) as unknown as FarmRecord;
  const titled = (more: object) => told(describeRecord(record(more), data as unknown as FarmData), PLAIN);

  test.each(BROUGHT)('as %s has a sentence of its own', (as) => {
    const { title } = titled({ as, name: 'Frío' });
    expect(title).toMatch(/^[A-Z].{3,60} brought$/);
    expect(title).not.toMatch(/undefined/);
    // only what has a name of its own is called by it
    expect(title.includes('Frío')).toBe(as === 'plan' || as === 'packet');
  });

  test('by an older Fogata is called as it was then', () => {
    expect(titled({ name: 'A table of covers' }).title).toBe('A table of covers brought');
  });

  test('is counted: what came, changed and went', () => {
    expect(titled({ as: 'farm' }).detail).toMatch(/1 .*1 .*1 /);
  });
});

describe('an address that is asked', () => {
  test('begins as one that was not asked yet, and is none when it is taken back', async () => {
    await setPoll(open.db, 'http://mast.local/w.json');
    expect(told(await pollState(open.db), PLAIN)).toEqual({
      url: 'http://mast.local/w.json',
      lastAtMs: null,
      went: 'Not asked yet.',
    });
    await setPoll(open.db, null);
    expect(await pollState(open.db)).toBeNull();
  });

  test('kept by an older Fogata with its words keeps its address and its time', async () => {
    await writeMeta(
      open.db,
      'poll',
      JSON.stringify({ url: 'http://old/w.json', lastAtMs: 5, words: 'Nothing new.' }),
    );
    expect(await pollState(open.db)).toMatchObject({ url: 'http://old/w.json', lastAtMs: 5 });
    expect(told(await pollState(open.db), PLAIN)!.went).toBe('Asked.');
  });
});
