/** Plans put by: kept whole, looked at beside the plan, made the plan again and taken back; what stands is never touched. */
import { randomUUID } from 'node:crypto';
import type { Planting } from '@fogata/core';
import type { FarmFile } from '@fogata/contract';
import type { RelayView, ScenariosView } from '@fogata/contract/told';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
});
afterAll(() => s.close());

const plantings = async (): Promise<Planting[]> =>
  ((await s.api.get('/api/farm/file').expect(200)).body as FarmFile).plantings as Planting[];
const list = async () => ((await s.api.get('/api/scenarios').expect(200)).body as ScenariosView).scenarios;
const byId = (all: readonly Planting[]) => new Map(all.map((p) => [p.id, p]));
const id = randomUUID();

test('what is planned is put by under a name, once, and is there as the board would have it', async () => {
  expect(await list()).toEqual([]);
  const before = await plantings();
  const planned = before.filter((p) => p.planned === true);
  expect(planned.length).toBeGreaterThan(3);
  await s.api.post('/api/scenarios').send({ id, name: '  as it was  ' }).expect(201);
  // the same again from a phone that did not hear the answer
  await s.api.post('/api/scenarios').send({ id, name: 'as it was' }).expect(201);
  // asked for once, the years of both are gone through
  await list();
  await s.years();
  const [kept, ...rest] = await list();
  expect(rest).toEqual([]);
  expect(kept).toMatchObject({ id, name: 'as it was', madeOn: '2027-01-14' });
  const ids = new Set(kept!.relay.plantings.map((p) => p.id));
  for (const p of planned) expect(ids.has(p.id)).toBe(true);
  // nothing was changed since: it is the plan, to the last figure
  const relay = (await s.api.get('/api/relay').expect(200)).body as RelayView;
  const figures = (v: RelayView) =>
    new Map(v.plantings.filter((p) => p.planned === true).map((p) => [p.id, p.own ?? null] as const));
  expect(figures(kept!.relay)).toEqual(figures(relay));
  expect(relay.outlooks.length).toBeGreaterThan(10);
  expect(kept!.relay.outlooks.length).toBe(relay.outlooks.length);
});

test('another plan is made the plan as one change; what stands is as it was, and it is taken back as one', async () => {
  const before = await plantings();
  const [moved, gone] = before.filter((p) => p.planned === true);
  const { planned: _planned, done: _done, ...body } = moved!;
  await s.api
    .put(`/api/plantings/${moved!.id}`)
    .send({ ...body, note: 'tried otherwise' })
    .expect(200);
  const bed = before.find((p) => p.planned !== true)!.bedId;
  const added = {
    ...body,
    id: randomUUID(),
    bedId: bed,
    plantedOn: '2028-02-01',
    clearedOn: null,
    fromRow: 1,
    toRow: 1,
  };
  await s.api.put(`/api/plantings/${added.id}`).send(added).expect(200);
  const changed = await plantings();
  expect(byId(changed).get(moved!.id)!.note).toBe('tried otherwise');

  const { recordId } = (await s.api.post(`/api/scenarios/${id}/take`).expect(200)).body as {
    recordId: string;
  };
  const taken = byId(await plantings());
  expect(taken.get(moved!.id)!.note).toBe(moved!.note);
  expect(taken.get(gone!.id)).toEqual(gone);
  expect(taken.has(added.id)).toBe(false);
  for (const p of before.filter((x) => x.planned !== true)) expect(taken.get(p.id)).toEqual(p);

  const atMs = (await s.now()).clock.nowAtMs;
  const back = { id: randomUUID(), kind: 'retraction', atMs, retracts: recordId };
  await s.api
    .post('/api/records')
    .send({ records: [back] })
    .expect(201);
  const again = byId(await plantings());
  expect(again.get(moved!.id)!.note).toBe('tried otherwise');
  expect(again.has(added.id)).toBe(true);
});

test('taken where nothing differs changes nothing', async () => {
  await s.api.post(`/api/scenarios/${id}/take`).expect(200);
  expect((await s.api.post(`/api/scenarios/${id}/take`).expect(200)).body).toEqual({ recordId: null });
});

test('a name that is there already, none, and a plan that is not there are refused in words', async () => {
  const twice = await s.api.post('/api/scenarios').send({ id: randomUUID(), name: 'As it was' }).expect(422);
  expect((twice.body as { detail: string }).detail).toBe(
    'name: expected one that no other plan has, not As it was',
  );
  const empty = await s.api.post('/api/scenarios').send({ id: randomUUID(), name: ' ' }).expect(422);
  expect((empty.body as { field: string }).field).toBe('name');
  await s.api.post('/api/scenarios/none/take').expect(404);
  await s.api.delete('/api/scenarios/none').expect(404);
  for (let n = 1; n < 8; n++)
    await s.api
      .post('/api/scenarios')
      .send({ id: randomUUID(), name: `plan ${n}` })
      .expect(201);
  const many = await s.api.post('/api/scenarios').send({ id: randomUUID(), name: 'one more' }).expect(409);
  expect((many.body as { detail: string }).detail).toMatch(/At most 8 plans are kept/);
});

test('thrown away it is gone, and the plan is as it is', async () => {
  const before = await plantings();
  await s.api.delete(`/api/scenarios/${id}`).expect(204);
  expect((await list()).some((x) => x.id === id)).toBe(false);
  expect(await plantings()).toEqual(before);
});
