/** What takes long is kept: over a restart no year is gone through again and no night learnt from, and nothing is taken from other code or from what cannot be read. */
import { BOOK_BELIEF, type Belief } from '@fogata/core';
import type { Reduced } from '@fogata/core/season';
import type { ShadeSpan, ShadeTask } from '@fogata/core/day';
import { shadeBook, type DayPool } from '../src/day/book';
import type { OpenDb } from '../src/db/open';
import { keptAnswers } from '../src/db/schema';
import type { LearnTask } from '../src/night/learning';
import { rememberingPool, type NightPool } from '../src/night/pool';
import { SeasonBook, type Question, type SeasonAnswer, type SeasonTask } from '../src/season/book';
import { answersIn, keptOr } from '../src/db/keptAnswers';
import { bareDb } from './harness';

let open: OpenDb;
beforeAll(async () => {
  open = await bareDb();
});
afterAll(() => open.close());
beforeEach(() => open.db.delete(keptAnswers));

const MODEL = { opensAtC: 12 } as unknown as Reduced;
let made = 0;
/** Each answer is told apart, and holds what JSON does not: a length of time that never ends. */
const answer = (): SeasonAnswer => ({
  frosts: { last: [(made += 1)], first: [null] } as unknown as SeasonAnswer['frosts'],
  windows: [],
  rows: [],
  mean: { growthDd: [Infinity], riseDd: [0] },
});

/** A Fogata as it is after a start, and which crops it went through years for. */
function started(version = 'v1', kept = answersIn<SeasonAnswer>(open.db, version, 'season')) {
  const asked: string[] = [];
  const fitted: unknown[] = [];
  const book = new SeasonBook(
    {
      fit: (spec: SeasonTask['spec']) => {
        fitted.push(spec);
        return Promise.resolve(MODEL);
      },
      season: (task: SeasonTask) => {
        expect(task.model).toEqual(MODEL);
        asked.push(...task.crops.map((c) => c.id));
        return Promise.resolve(task.crops.map(answer));
      },
    },
    kept,
    answersIn(open.db, version, 'place'),
  );
  return { book, asked, fitted };
}
const question = (id: string, place = 'the open', own?: Record<string, number>): Question => ({
  task: { place, spec: {} as SeasonTask['spec'], frost: {}, years: 10, seed: 1, risk: 0.2 },
  crop: { id, how: 'sow', ...(own ? { own } : {}) },
});
async function answered(book: SeasonBook, list: Question[]): Promise<SeasonAnswer[]> {
  for (let n = 0; n < 6000; n++) {
    const { answers, progress } = book.ask(list);
    if (progress.state === 'ready') return answers as SeasonAnswer[];
    await new Promise((r) => setTimeout(r, 10));
  }
  throw new Error('not answered in a minute');
}

test('after a restart what was gone through is there, as it was, and only what is new is gone through', async () => {
  const before = started();
  const first = await answered(before.book, [question('spinach'), question('kale')]);
  expect(before.asked.sort()).toEqual(['kale', 'spinach']);
  // it is kept a moment after it is answered
  for (let n = 0; n < 100 && (await open.db.select().from(keptAnswers)).length < 2; n++)
    await new Promise((r) => setTimeout(r, 10));
  const after = started();
  const again = await answered(after.book, [question('spinach'), question('kale'), question('radish')]);
  expect(after.asked).toEqual(['radish']);
  // a place is fitted once, whatever is asked of it
  expect(before.fitted).toHaveLength(1);
  expect(after.fitted).toEqual([]);
  expect(again.slice(0, 2)).toEqual(first);
});

test('another place, a cultivar with its own figures, and other code are other questions', async () => {
  const kept = answersIn<SeasonAnswer>(open.db, 'v1', 'season');
  await answered(started('v1', kept).book, [question('spinach')]);
  for (let n = 0; n < 100 && (await open.db.select().from(keptAnswers)).length < 1; n++)
    await new Promise((r) => setTimeout(r, 10));
  const others = started();
  await answered(others.book, [
    question('spinach', 'a house'),
    question('spinach', 'the open', { death_hard_c: -16 }),
  ]);
  expect(others.asked).toEqual(['spinach', 'spinach']);
  const newer = started('v2');
  await answered(newer.book, [question('spinach')]);
  expect(newer.asked).toEqual(['spinach']);
});

test('what cannot be read is gone through again, and so is everything where nothing can be kept', async () => {
  await answered(started().book, [question('spinach')]);
  for (let n = 0; n < 100 && (await open.db.select().from(keptAnswers)).length < 1; n++)
    await new Promise((r) => setTimeout(r, 10));
  await open.db.update(keptAnswers).set({ answer: new Uint8Array([1, 2, 3]) });
  const torn = started();
  await answered(torn.book, [question('spinach')]);
  expect(torn.asked).toEqual(['spinach']);
  // made anew, and kept in its place
  const readable = async () => (await answersIn(open.db, 'v1', 'season').find(['the open spinach sow'])).size;
  for (let n = 0; n < 100 && (await readable()) === 0; n++) await new Promise((r) => setTimeout(r, 10));
  const mended = started();
  await answered(mended.book, [question('spinach')]);
  expect(mended.asked).toEqual([]);
  const away = started('v1', {
    find: () => Promise.reject(new Error('no connection')),
    keep: () => Promise.reject(new Error('no connection')),
  });
  const said = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
  await answered(away.book, [question('spinach')]);
  expect(away.asked).toEqual(['spinach']);
  expect(said.mock.calls.join('')).toContain('Kept answers were not read: no connection');
  said.mockRestore();
});

describe('over a restart', () => {
  const { signal } = new AbortController();
  const kept = <A>(kind: string, version = 'v1') => answersIn<A>(open.db, version, kind);

  test('what nights taught is there again, to the last digit; what other nights say is learnt', async () => {
    let learnt = 0;
    const task = (measuredC: number) => ({
      runs: [{ spot: {}, nights: [{ fromAtMs: 0, toAtMs: 1, measuredC, doubtK: 0 }] }],
    });
    const begun = () =>
      rememberingPool(
        {
          learn: () => Promise.resolve({ ...BOOK_BELIEF, nights: (learnt += 1) }),
        } as unknown as NightPool,
        kept<Belief>('belief'),
      );
    const first = await begun().learn(task(-4) as unknown as LearnTask, signal);
    const again = await begun().learn(task(-4) as unknown as LearnTask, signal);
    expect(again).toEqual(first);
    expect(learnt).toBe(1);
    await begun().learn(task(-5) as unknown as LearnTask, signal);
    expect(learnt).toBe(2);
  });

  test('shade is there again, and a house that moved is gone through', async () => {
    const looked: unknown[] = [];
    const spans: ShadeSpan[] = [{ fromMonthDay: '12-01' } as unknown as ShadeSpan];
    const pool = {
      shade: (task: unknown) => Promise.resolve((looked.push(task), spans)),
    } as unknown as DayPool;
    const ask = (north: number) =>
      shadeBook(pool, kept('shade')).wait([{ north } as unknown as ShadeTask], 5000);
    expect(await ask(1)).toEqual([spans]);
    expect(await ask(1)).toEqual([spans]);
    expect(await ask(2)).toEqual([spans]);
    expect(looked).toEqual([{ north: 1 }, { north: 2 }]);
  });

  test('one kind of answer is never taken for another, nor one of other code', async () => {
    await keptOr(kept<string>('belief'), 'k', () => Promise.resolve('a belief'));
    expect(await keptOr(kept<string>('shade'), 'k', () => Promise.resolve('shade'))).toBe('shade');
    expect(await keptOr(kept<string>('belief', 'v2'), 'k', () => Promise.resolve('newer'))).toBe('newer');
    expect(await keptOr(kept<string>('belief'), 'k', () => Promise.resolve('not asked'))).toBe('a belief');
  });
});
