/** What was loaded holds until something is written, and no longer. */
import { heldWhile } from '../src/held';
import { startTestServer, type TestServer } from './harness';

describe('what was found last', () => {
  test('is found once under a key, also by two who ask at once, and anew under another or under none', async () => {
    const ask = heldWhile<number>();
    let found = 0;
    const find = () => Promise.resolve(++found);
    expect(await Promise.all([ask('a', find), ask('a', find)])).toEqual([1, 1]);
    expect(await ask('b', find)).toBe(2);
    // only the last is held
    expect(await ask('a', find)).toBe(3);
    expect(await ask(null, find)).toBe(4);
    expect(await ask('a', find)).toBe(3);
  });

  test('a failure is told to who asked and found anew by the next', async () => {
    const ask = heldWhile<string>();
    await expect(ask('a', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(await ask('a', () => Promise.resolve('yes'))).toBe('yes');
  });
});

describe('a farm between two writes', () => {
  let s: TestServer;
  beforeAll(async () => (s = await startTestServer()));
  afterAll(() => s.close());

  test('is loaded once for all who ask, and again after any write, also one that was taken back', async () => {
    const first = await s.context.moment();
    const writes = s.open.writes();
    expect((await s.context.moment()).data).toBe(first.data);
    expect(s.open.writes()).toBe(writes);
    const note = {
      id: '5b0c5a8e-6a53-4f6f-9c55-3f0a6e8f2a11',
      kind: 'note',
      atMs: first.nowAtMs,
      text: 'ice on the pond',
    };
    await s.api
      .post('/api/records')
      .send({ records: [note] })
      .expect(201);
    const after = await s.context.moment();
    expect(after.data).not.toBe(first.data);
    expect(after.state.standing.some((r) => r.record.id === note.id)).toBe(true);
    const before = s.open.writes()!;
    await s.open.db
      .transaction(async (t) => {
        await t.execute('delete from records');
        throw new Error('taken back');
      })
      .catch(() => undefined);
    expect(s.open.writes()).toBeGreaterThan(before);
    expect((await s.context.moment()).state.standing).toHaveLength(after.state.standing.length);
  });

  test('what is set shows at once, and the clock goes on under what is held', async () => {
    const was = await s.context.moment();
    await s.api
      .post('/api/clock')
      .send({ toAtMs: was.nowAtMs + 20_000 })
      .expect(200);
    const now = await s.context.moment();
    expect(now.nowAtMs - was.nowAtMs).toBe(20_000);
    expect(now.clock.nowAtMs).toBe(now.nowAtMs);
    await s.api.patch('/api/farm').send({ name: 'Umbría' }).expect(200);
    expect((await s.context.moment()).data.farm.name).toBe('Umbría');
    expect((await s.context.standing(false)).data.farm.name).toBe('Umbría');
  });
});
