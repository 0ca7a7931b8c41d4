/** What happened, kept: nothing fades, nothing counts twice, and everything can be taken back. */
import type { BedsView, KitView, LogView, PlaceView } from '@fogata/contract/told';
import { asc } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Db } from '../src/db/open';
import { coverSpans, records } from '../src/db/schema';
import { DEMO_START_MS } from '../src/demo/seed';
import { rebuildAll } from '../src/farm/log';
import { startTestServer, type TestServer } from './harness';

const NOW = DEMO_START_MS;
const DAY = 86_400_000;
let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
});
afterAll(() => s.close());

const send = (list: object[], more: object = {}) =>
  s.api.post('/api/records').send({ records: list, ...more });
const cover = (bedId: string, on: boolean, more: object = {}) => ({
  id: randomUUID(),
  kind: 'cover',
  atMs: NOW,
  bedId,
  coverId: 'blanket',
  on,
  ...more,
});
const taking = (retracts: string) => ({ id: randomUUID(), kind: 'retraction', atMs: NOW, retracts });
const lies = async (bedId: string) =>
  ((await s.api.get(`/api/places/${bedId}`).expect(200)).body as PlaceView).covers
    .filter((c) => c.on)
    .map((c) => c.cover.id);
const out = async () =>
  ((await s.api.get('/api/kit')).body as KitView).covers.find((c) => c.id === 'blanket')!.inUse;
const log = async (kinds = '') =>
  ((await s.api.get(`/api/log?kinds=${kinds}`).expect(200)).body as LogView).entries;

test('a blanket laid forty days ago lies there, and last winter’s harvest counts', async () => {
  await send([cover('n1', true, { atMs: NOW - 40 * DAY })]).expect(201);
  expect(await lies('n1')).toEqual(['blanket']);
  expect(await out()).toBe(1);
  const kg = { id: randomUUID(), kind: 'harvest', atMs: NOW - 330 * DAY, plantingId: '', kg: 12.5 };
  const { structures } = (await s.api.get('/api/beds')).body as BedsView;
  const planting = structures.flatMap((x) => x.beds).find((b) => b.bed.id === 'n1')!.plantings[0]!;
  await send([{ ...kg, plantingId: planting.planting.id }]).expect(201);
  const n1 = (await s.api.get('/api/places/n1')).body as PlaceView;
  expect(n1.plantings[0]!.harvestedKg).toBe(planting.harvestedKg + 12.5);
  const lifted = cover('n1', false);
  await send([lifted]).expect(201);
  expect(await lies('n1')).toEqual([]);
  await send([taking(lifted.id)]).expect(201);
  expect(await lies('n1')).toEqual(['blanket']);
  await send([cover('n1', false)]).expect(201);
});

test('what a house’s thermometer taught is still known when nobody has read it for ten weeks', async () => {
  const learnt = async () => ((await s.api.get('/api/places/n2')).body as PlaceView).learnt;
  await s.now();
  const before = (await learnt())!;
  expect(before.nights).toBe(8);
  await s.api
    .post('/api/clock')
    .send({ toAtMs: NOW + 70 * DAY })
    .expect(200);
  await s.now();
  const later = (await learnt())!;
  await s.api.post('/api/clock').send({ toAtMs: NOW }).expect(200);
  expect(later.nights).toBe(8);
  expect(later.calibration.leakage).toBeCloseTo(before.calibration.leakage, 6);
});

test('two phones that tick one job lay one sheet; a double is two on purpose', async () => {
  await send([cover('n2', true, { lying: 0 })])
    .set({ 'x-fogata-device': 'a', 'x-fogata-who': 'R' })
    .expect(201);
  const second = await send([cover('n2', true, { lying: 0 })])
    .set('x-fogata-device', 'b')
    .expect(201);
  expect(second.body).toEqual({ added: 0, known: 1 });
  expect(await out()).toBe(1);
  expect((await log('cover'))[0]).toMatchObject({ actor: 'R' });
  await send([cover('n2', true, { lying: 1 })]).expect(201);
  expect(await out()).toBe(2);
  // lifted by both: once
  await send([cover('n2', false, { lying: 2 })]).expect(201);
  expect((await send([cover('n2', false, { lying: 2 })]).expect(201)).body.added).toBe(0);
  expect(await out()).toBe(1);
  await send([cover('n2', false, { lying: 1 })]).expect(201);
});

test('taken back, and the taking back taken back, in any order of arrival', async () => {
  const laid = cover('s1', true);
  const back = taking(laid.id);
  const again = taking(back.id);
  // from a phone whose entries came the wrong way round
  await send([back]).expect(201);
  await send([laid]).expect(201);
  expect(await lies('s1')).toEqual([]);
  await send([again]).expect(201);
  expect(await lies('s1')).toEqual(['blanket']);
  await send([taking(again.id)]).expect(201);
  expect(await lies('s1')).toEqual([]);
});

test('what is derived can be derived again from the records alone, and is the same', async () => {
  const all = async () => ({
    spans: await s.open.db.select().from(coverSpans).orderBy(asc(coverSpans.onId)),
    gone: await s.open.db
      .select({ id: records.id, void: records.void })
      .from(records)
      .orderBy(asc(records.seq)),
  });
  const before = await all();
  expect(before.spans.length).toBeGreaterThan(3);
  expect(before.gone.some((r) => r.void)).toBe(true);
  await s.open.db.delete(coverSpans);
  await s.open.db.update(records).set({ void: false });
  await rebuildAll(s.open.db as Db);
  expect(await all()).toEqual(before);
});

describe('changes of what stands', () => {
  const change = async () => (await log('change'))[0]!;
  test('a structure, a bed, a cover and the settings are taken back from the log, on what stands by then', async () => {
    const { structures } = (await s.api.get('/api/beds')).body as BedsView;
    const north = structures.find((x) => x.structure.id === 'north')!.structure;
    await s.api
      .put('/api/structures/north')
      .send({ ...north, heightM: 3.3 })
      .expect(200);
    const first = await change();
    expect(first).toMatchObject({ title: 'North house changed', detail: 'height' });
    await s.api
      .put('/api/structures/north')
      .send({ ...north, heightM: 3.3, name: 'The north house' })
      .expect(200);
    await send([taking(first.record.id)]).expect(201);
    const after = ((await s.api.get('/api/beds')).body as BedsView).structures.find(
      (x) => x.structure.id === 'north',
    )!.structure;
    // only the height goes back; the name that came later stays
    expect(after).toEqual({ ...north, name: 'The north house' });
    await s.api.put('/api/structures/north').send(north).expect(200);

    await s.api.patch('/api/farm').send({ hands: 3 }).expect(200);
    const settings = await change();
    expect(settings).toMatchObject({ title: 'The farm’s settings changed', detail: 'hands' });
    await send([taking(settings.record.id)]).expect(201);
    expect((await s.api.get('/api/farm')).body.farm.hands).toBe(1);
  });

  test('what was removed comes back, and saved without a change leaves no entry', async () => {
    const kit = ((await s.api.get('/api/kit')).body as KitView).covers;
    const { inUse: _i, beds: _b, materialName: _m, ...mat } = kit.at(-1)!;
    await s.api.put(`/api/covers/${mat.id}`).send(mat).expect(200);
    const entries = (await log('change')).length;
    await s.api.delete(`/api/covers/${mat.id}`).expect(204);
    expect((await log('change')).length).toBe(entries + 1);
    await send([taking((await change()).record.id)]).expect(201);
    expect(((await s.api.get('/api/kit')).body as KitView).covers.map((c) => c.id)).toContain(mat.id);
  });
});

test.each([
  ['far ahead', { atMs: NOW + 10 * DAY }, 422, 'atMs'],
  ['before all time', { atMs: -5 }, 422, 'atMs'],
] as const)('an instant %s is refused, and the log stays whole', async (_, more, status, field) => {
  const res = await send([{ id: randomUUID(), kind: 'note', text: 'x', ...more }]).expect(status);
  expect(res.body.field).toBe(field);
});

test('of a phone whose clock is ahead an act counts from when it came', async () => {
  const laid = cover('s2', true, { atMs: NOW + 20 * 60_000 });
  await send([laid]).expect(201);
  expect(await lies('s2')).toEqual(['blanket']);
  await send([taking(laid.id)]).expect(201);
});
