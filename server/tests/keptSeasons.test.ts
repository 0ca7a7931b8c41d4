/** Answers by the year are kept: over a restart no year is gone through again, and nothing is taken from other code or from what cannot be read. */
import type { OpenDb } from '../src/db/open';
import { keptSeasons } from '../src/db/schema';
import { SeasonBook, type Question, type SeasonAnswer, type SeasonTask } from '../src/season/book';
import { NO_SEASONS, seasonsIn } from '../src/season/keptSeasons';
import { bareDb } from './harness';

let open: OpenDb;
beforeAll(async () => {
  open = await bareDb();
}, 60_000);
afterAll(() => open.close());
beforeEach(() => open.db.delete(keptSeasons));

let made = 0;
/** Each answer is told apart, and holds what JSON does not: a length of time that never ends. */
const answer = (): SeasonAnswer => ({
  frosts: { last: [(made += 1)], first: [null] } as unknown as SeasonAnswer['frosts'],
  windows: [],
  rows: [],
  mean: { growthDd: [Infinity], riseDd: [0] },
});

/** A Fogata as it is after a start, and which crops it went through years for. */
function started(version = 'v1', kept = seasonsIn(open.db, version)) {
  const asked: string[] = [];
  const book = new SeasonBook(
    {
      season: (task: SeasonTask) => {
        asked.push(...task.crops.map((c) => c.id));
        return Promise.resolve(task.crops.map(answer));
      },
    },
    kept,
  );
  return { book, asked };
}
const question = (id: string, place = 'the open', own?: Record<string, number>): Question => ({
  task: { place, spec: {} as SeasonTask['spec'], frost: {}, years: 10, seed: 1, risk: 0.2 },
  crop: { id, how: 'sow', ...(own ? { own } : {}) },
});
async function answered(book: SeasonBook, list: Question[]): Promise<SeasonAnswer[]> {
  for (let n = 0; n < 200; n++) {
    const { answers, progress } = book.ask(list);
    if (progress.state === 'ready') return answers as SeasonAnswer[];
    await new Promise((r) => setTimeout(r, 10));
  }
  throw new Error('not answered in two seconds');
}

test('after a restart what was gone through is there, as it was, and only what is new is gone through', async () => {
  const before = started();
  const first = await answered(before.book, [question('spinach'), question('kale')]);
  expect(before.asked.sort()).toEqual(['kale', 'spinach']);
  // it is kept a moment after it is answered
  for (let n = 0; n < 100 && (await open.db.select().from(keptSeasons)).length < 2; n++)
    await new Promise((r) => setTimeout(r, 10));
  const after = started();
  const again = await answered(after.book, [question('spinach'), question('kale'), question('radish')]);
  expect(after.asked).toEqual(['radish']);
  expect(again.slice(0, 2)).toEqual(first);
});

test('another place, a cultivar with its own figures, and other code are other questions', async () => {
  const kept = seasonsIn(open.db, 'v1');
  await answered(started('v1', kept).book, [question('spinach')]);
  for (let n = 0; n < 100 && (await open.db.select().from(keptSeasons)).length < 1; n++)
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
  for (let n = 0; n < 100 && (await open.db.select().from(keptSeasons)).length < 1; n++)
    await new Promise((r) => setTimeout(r, 10));
  await open.db.update(keptSeasons).set({ answer: new Uint8Array([1, 2, 3]) });
  const torn = started();
  await answered(torn.book, [question('spinach')]);
  expect(torn.asked).toEqual(['spinach']);
  const away = started('v1', {
    ...NO_SEASONS,
    find: () => Promise.reject(new Error('no connection')),
    keep: () => Promise.reject(new Error('no connection')),
  });
  const said = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
  await answered(away.book, [question('spinach')]);
  expect(away.asked).toEqual(['spinach']);
  expect(said.mock.calls.join('')).toContain('Kept seasons were not read: no connection');
  said.mockRestore();
});
