/** Season through the API: worked out in threads, remembered, and honest about what it is reckoned from. */
import type { SeasonCropView, SeasonView } from '@fogata/contract';
import { aBed, aStructure } from '../../core/tests/fixtures';
import { SeasonBook, type SeasonAnswer, type SeasonTask } from '../src/season/book';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer(false);
}, 60_000);
afterAll(() => s.close());

/** Asks until it is worked out. */
async function worked<T extends { progress: { state: string } }>(path: string): Promise<T> {
  for (let i = 0; i < 400; i++) {
    const view = (await s.api.get(path).expect(200)).body as T;
    if (view.progress.state !== 'computing') return view;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error(`${path} was not worked out in 40 s`);
}
const months = [-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2].map((lowC) => ({ lowC, highC: lowC + 9 }));

test('an empty farm has no season, and says so; a crop that is not in the list is not found', async () => {
  const view = await worked<SeasonView>('/api/season');
  expect(view).toMatchObject({ places: 0, rows: [], next: null, progress: { state: 'empty' } });
  expect((await worked<SeasonCropView>('/api/season/spinach')).places).toEqual([]);
  await s.api.get('/api/season/moon').expect(404);
  await s.api.get('/api/season/spinach?how=throw').expect(422);
});

test('a house with a bed has a year of spinach, from a coarse table until months are typed', async () => {
  const house = aStructure({ id: 'h', name: 'Long house' });
  const low = aStructure({ id: 't', name: 'Low', kind: 'tunnel', widthM: 1.2, heightM: 0.6, ventAreaM2: 0 });
  for (const structure of [house, low])
    await s.api
      .post('/api/setup')
      .send({ structures: [structure] })
      .expect(204);
  await s.api
    .post('/api/setup')
    .send({ beds: [aBed({ structureId: 'h' }), aBed({ id: 'b2', structureId: 't', lengthM: 10 })] })
    .expect(204);
  await s.api.patch('/api/farm').send({ latitude: 47, longitude: 8, elevationM: 450 }).expect(200);
  const coarse = await worked<SeasonCropView>('/api/season/spinach');
  expect(coarse.climate.from).toBe('table');
  expect(coarse.places.map((p) => p.name)).toEqual(['Long house', 'Low']);
  await s.api
    .patch('/api/farm')
    .send({
      climate: months,
      frost: { lastSpring: '04-28', firstAutumn: '10-15', eitherWayDays: 12, from: 'typed' },
    })
    .expect(200);
  const own = await worked<SeasonCropView>('/api/season/spinach');
  expect(own.climate).toMatchObject({ from: 'monthly', lastSpring: '04-28', missed: [] });
  expect(own.places[0]!.dates).not.toEqual(coarse.places[0]!.dates);
  for (const p of own.places) {
    expect(p.dates).toHaveLength(73);
    expect(p.windows).toHaveLength(6);
    for (const w of p.windows) for (const r of w.reasons) expect(r.why).not.toMatch(/undefined|NaN|null/);
  }
  // tall crops have no room in a low tunnel
  const tomato = await worked<SeasonCropView>('/api/season/tomato');
  expect(tomato).toMatchObject({ how: 'transplant', planted: true, tooLow: ['Low'] });
  expect(tomato.places.map((p) => p.name)).toEqual(['Long house']);
}, 90_000);

test('what may be begun is in its window or opens within three weeks, the first to shut first', async () => {
  const view = await worked<SeasonView>('/api/season');
  expect(view.places).toBe(2);
  const now = view.rows.filter((r) => r.inDays === 0);
  now.forEach((r, i) => i > 0 && expect(r.leftDays).toBeGreaterThanOrEqual(now[i - 1]!.leftDays));
  for (const r of view.rows) {
    expect(r.inDays).toBeLessThanOrEqual(21);
    expect(r.success).toBeGreaterThanOrEqual(0.85);
  }
  expect(view.next).not.toBeNull();
  // asked again it is there
  expect(((await s.api.get('/api/season').expect(200)).body as SeasonView).progress.state).toBe('ready');
}, 120_000);

test('months that cannot be are refused by their field', async () => {
  const refused = async (climate: unknown) =>
    ((await s.api.patch('/api/farm').send({ climate }).expect(422)).body as { detail: string }).detail;
  expect(await refused(months.slice(1))).toMatch(/climate: expected twelve months/);
  expect(await refused([{ lowC: 'cold', highC: 3 }, ...months.slice(1)])).toMatch(
    /climate\[0\]\.lowC: expected a mean low/,
  );
});

describe('the book', () => {
  const question = (id: string) => ({
    task: { place: 'p', spec: { stack: [] } as never, frost: {}, years: 1, seed: 1, risk: 0.1 },
    crop: { id, how: 'sow' as const },
  });
  const answerOf = (id: string) =>
    ({ rows: [], windows: [], frosts: { lastSpring: id.length, firstAutumn: null } }) as SeasonAnswer;

  test('asks once for what it has, and a place once for its crops together', async () => {
    const asked: SeasonTask[] = [];
    const book = new SeasonBook({
      season: (task) => {
        asked.push(task);
        return Promise.resolve(task.crops.map((c) => answerOf(c.id)));
      },
    });
    const both = [question('a'), question('bb')];
    expect(book.ask(both).progress).toEqual({ state: 'computing', done: 0, of: 2 });
    await new Promise((r) => setImmediate(r));
    const then = book.ask([...both, question('ccc')]);
    expect(then.answers.map((a) => a?.frosts.lastSpring)).toEqual([1, 2, undefined]);
    expect(asked.map((t) => t.crops.map((c) => c.id))).toEqual([['a', 'bb'], ['ccc']]);
  });

  test('what failed is said, stays failed, and is tried again on a tap', async () => {
    let broken = true;
    const book = new SeasonBook({
      season: (task) =>
        broken
          ? Promise.reject(new Error('a thread died'))
          : Promise.resolve(task.crops.map((c) => answerOf(c.id))),
    });
    const write = jest.spyOn(process.stderr, 'write').mockImplementation(() => true);
    book.ask([question('a')]);
    await new Promise((r) => setImmediate(r));
    expect(book.ask([question('a')]).progress).toMatchObject({
      state: 'failed',
      message: expect.stringContaining('try again'),
    });
    write.mockRestore();
    broken = false;
    book.again();
    book.ask([question('a')]);
    await new Promise((r) => setImmediate(r));
    expect(book.ask([question('a')]).progress.state).toBe('ready');
  });
});
