/** Water through the API: reckoned from what was given, held back by frost, put right by a finger, closed in the log. */
import type { LogView, ProblemBody, ShadeView, WaterView } from '@fogata/contract/told';
import { randomUUID } from 'node:crypto';
import { TaskBook } from '../src/day/book';
import { DEMO_START_MS } from '../src/demo/seed';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
});
afterAll(() => s.close());

const water = async () => (await s.api.get('/api/water').expect(200)).body as WaterView;
const rowOf = async (bedId: string) => (await water()).rows.find((r) => r.bedId === bedId)!;
const note = (record: object) =>
  s.api.post('/api/records').send({ records: [{ id: randomUUID(), atMs: DEMO_START_MS, ...record }] });
const night = async () => {
  // the plan's own night: what it says of the leaf decides
  for (let n = 0; n < 400; n++) {
    const { progress } = (await s.api.get('/api/now').expect(200)).body as { progress: { state: string } };
    if (progress.state === 'ready') return;
    await new Promise((done) => setTimeout(done, 250));
  }
};

test('every bed in which something stands has its balance; in January little is used', async () => {
  await night();
  const { rows, today } = await water();
  expect(today).toBe('2027-01-14');
  expect(rows.length).toBeGreaterThan(15);
  for (const r of rows) {
    expect(r.usedMm).toBeGreaterThanOrEqual(0);
    expect(r.usedMm).toBeLessThan(3);
    if (r.lacksMm !== null) expect(r.lacksMm).toBeLessThanOrEqual(r.holdsMm! + 0.01);
  }
  expect((await rowOf('n1')).since).toBe('2026-12-22');
});

test('beds whose hours under their covers are not there yet go by the cover and are marked; the open is not', async () => {
  expect((await water()).rows.filter((r) => r.rough)).toEqual([]);
  const { waters } = s.context;
  const wait = jest
    .spyOn(waters, 'wait')
    .mockImplementation((tasks) => Promise.resolve(tasks.map(() => null)));
  const { rows } = await water();
  wait.mockRestore();
  const rough = rows.filter((r) => r.rough).map((r) => r.place);
  expect(rough).toContain('North house');
  expect(rows.find((r) => r.bedId === 'o1')!.rough).toBe(false);
  for (const r of rows) expect(r.usedMm).toBeLessThan(3);
  expect((await water()).rows.filter((r) => r.rough)).toEqual([]);
});

test('what a finger found dry wants water, and gets none into three nights of frost', async () => {
  await note({ kind: 'soil', bedId: 'o1', feel: 'dry' }).expect(201);
  const row = await rowOf('o1');
  expect(row.on).toBe('2027-01-14');
  expect(row.may).not.toBe('2027-01-14');
  expect(row.mm).toBeGreaterThan(5);
});

test('what is given is in it at once, and out again when that is taken back', async () => {
  await note({ kind: 'soil', bedId: 'n3', feel: 'dry' }).expect(201);
  const before = await rowOf('n3');
  expect(before.on).toBe('2027-01-14');
  const id = randomUUID();
  await note({ id, kind: 'water', bedId: 'n3', mm: before.mm }).expect(201);
  const after = await rowOf('n3');
  expect(after.on).toBeNull();
  expect(after.lacksMm!).toBeLessThan(1);
  expect(before.minutes!).toBeGreaterThan(1);
  const log = (await s.api.get('/api/log?kinds=water').expect(200)).body as LogView;
  expect(log.entries[0]!.title).toBe('N3 watered');
  await note({ kind: 'retraction', retracts: id }).expect(201);
  expect((await rowOf('n3')).lacksMm).toBeCloseTo(before.lacksMm!, 5);
});

test('water for a bed that is not there, or less than none, is refused in one sentence', async () => {
  const lost = await note({ kind: 'water', bedId: 'moon', mm: 5 }).expect(422);
  expect((lost.body as ProblemBody).detail).toBe('bedId: expected a bed of this farm');
  const less = await note({ kind: 'water', bedId: 'n3', mm: -5 }).expect(422);
  expect((less.body as ProblemBody).detail).toMatch(/mm: expected at least 0 mm/);
});

test('a day whose night no forecast reaches is not one to water on', async () => {
  const { rows, aheadDays, today } = await water();
  const last = new Date(Date.parse(today) + (aheadDays - 1) * 86_400_000).toISOString().slice(0, 10);
  for (const r of rows) expect(r.may === null || r.may < last).toBe(true);
});

test('shade cloth: the houses’ hot weeks lie in summer, and cloth that is on in winter may come off', async () => {
  const look = async () => {
    for (let n = 0; n < 400; n++) {
      const view = (await s.api.get('/api/shade').expect(200)).body as ShadeView;
      if (view.progress.state === 'ready') return view.rows;
      await new Promise((done) => setTimeout(done, 100));
    }
    throw new Error('the weeks were not gone through');
  };
  const rows = await look();
  expect(rows.length).toBeGreaterThan(0);
  for (const r of rows) {
    expect(r.what).toBe('on');
    expect([r.from! > '2027-05-01', r.to! < '2027-10-01']).toEqual([true, true]);
    expect(r.why!.openC).toBeGreaterThan(r.why!.limitC);
    expect(r.why!.clothC).toBeLessThan(r.why!.openC);
  }
  const { data } = await s.context.moment();
  const north = data.structures.find((x) => x.id === 'north')!;
  await s.api
    .put('/api/structures/north')
    .send({ ...north, shade: 'shade-50' })
    .expect(200);
  const off = (await look()).find((r) => r.what === 'off')!;
  expect(off).toMatchObject({
    structureId: 'north',
    isOn: true,
    to: rows.find((r) => r.structureId === 'north')!.from,
  });
});

test('a book gives what is there when patience ends, and the rest when it is asked for next; a large farm’s answers all stay', async () => {
  let letGo = () => {};
  const gate = new Promise<void>((done) => (letGo = done));
  let runs = 0;
  const book = new TaskBook<number, number>('water', async (n) => {
    runs += 1;
    if (n === 7) await gate;
    return 2 * n;
  });
  const many = Array.from({ length: 500 }, (_, n) => n);
  const first = await book.wait(many, 50);
  expect(first.filter((x) => x === null)).toHaveLength(1);
  expect(first[7]).toBeNull();
  letGo();
  expect(await book.wait(many, 1000)).toEqual(many.map((n) => 2 * n));
  expect(runs).toBe(500);
});
