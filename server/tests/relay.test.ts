/** The board and gaps through the API: what it knows of a place, what it proposes, and that it can be stopped. */
import type { FillView, NextView, RelayView } from '@fogata/contract/told';
import { aBed, aStructure } from '../../core/tests/fixtures';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer(false);
  await s.api.patch('/api/farm').send({ latitude: 47, longitude: 8, elevationM: 450 }).expect(200);
});
afterAll(() => s.close());

async function until<T>(path: string, done: (view: T) => boolean): Promise<T> {
  for (let i = 0; i < 2400; i++) {
    const view = (await s.api.get(path).expect(200)).body as T;
    if (done(view)) return view;
    await new Promise((r) => setTimeout(r, 120));
  }
  throw new Error(`${path} was not worked out in four minutes`);
}
const planting = (id: string, more: object = {}) => ({
  bedId: 'b',
  crop: 'radish',
  cultivar: '',
  fromRow: 1,
  toRow: 2,
  lengthM: 18,
  plantedOn: '2027-04-01',
  clearedOn: null,
  aim: 'survive',
  note: '',
  ...more,
  id,
});
const ready = <T extends { progress: { state: string } }>(v: T) => v.progress.state === 'ready';

test('an empty farm has an empty board, and nothing to fill', async () => {
  const view = await until<RelayView>('/api/relay', ready);
  expect(view).toMatchObject({ beds: [], plantings: [], outlooks: [], demand: [], cells: null, risk: 0.2 });
  await s.api.post('/api/relay/fill').send({}).expect(202);
  const filled = await until<FillView>('/api/relay/fill', (f) => f.state === 'ready' || f.state === 'failed');
  expect(filled).toMatchObject({ state: 'ready', proposals: [], money: 0 });
});

test('with a bed and a planting it knows the rows, their direction, and the crop’s year there', async () => {
  await s.api
    .post('/api/setup')
    .send({
      structures: [aStructure({ id: 'h', name: 'Long house' })],
      beds: [aBed({ id: 'b', structureId: 'h', rows: 4, lengthM: 18 })],
    })
    .expect(204);
  await s.api.put('/api/plantings/p1').send(planting('p1')).expect(200);
  const view = await until<RelayView>('/api/relay', ready);
  expect(view.beds).toEqual([
    expect.objectContaining({ id: 'b', rows: 4, place: 'Long house', turnDeg: 90 }),
  ]);
  expect(view.outlooks).toHaveLength(1);
  expect(view.outlooks[0]!.mean.growthDd).toHaveLength(73);
  expect(view.outlooks[0]!.rows.some((r) => r.overDays !== null)).toBe(true);
  expect(view.plantings[0]).toMatchObject({ id: 'p1', planned: true });
});

test('what may come next comes off often enough, after the rows are free, and is none of the kin that stood there', async () => {
  const next = await until<NextView>('/api/relay/next?bed=b&from=2027-05-20&fromRow=1&toRow=2', ready);
  expect(next.choices.length).toBeGreaterThan(1);
  expect(next.choices.length).toBeLessThanOrEqual(3);
  for (const c of next.choices) {
    expect(c.success).toBeGreaterThanOrEqual(0.8);
    expect(c.plantedOn >= '2027-05-20').toBe(true);
    expect(c.readyOn > c.plantedOn && c.clearedOn > c.readyOn).toBe(true);
    expect(['radish', 'rocket', 'kale']).not.toContain(c.crop);
  }
  await s.api.get('/api/relay/next?bed=x&from=2027-05-20&fromRow=1&toRow=2').expect(404);
  await s.api.get('/api/relay/next?bed=b&from=2027-05-20&fromRow=3&toRow=9').expect(422);
  const bad = await s.api.get('/api/relay/next?bed=b&from=soon&fromRow=1&toRow=2').expect(422);
  expect((bad.body as { detail: string }).detail).toMatch(/^from: expected a date/);
});

test('gaps are filled around what stands, for what is asked for, and the planting that is taken stands the next time', async () => {
  const demand = [{ crop: null, from: '2027-02-01', to: '2027-10-31', kgPerWeek: 8 }];
  const farm = (await s.api.get('/api/farm').expect(200)).body as { farm: { relay: object } };
  await s.api
    .patch('/api/farm')
    .send({ relay: { ...farm.farm.relay, demand } })
    .expect(200);
  await s.api
    .post('/api/relay/fill')
    .send({ aim: 'supply', weeks: 30, crops: ['lettuce', 'spinach', 'carrot'] })
    .expect(202);
  const filled = await until<FillView>('/api/relay/fill', (f) => f.state === 'ready' || f.state === 'failed');
  expect(filled.state).toBe('ready');
  expect(filled.proposals.length).toBeGreaterThan(1);
  expect(filled.money!).toBeGreaterThanOrEqual(filled.simpleMoney!);
  expect(filled.boundMoney!).toBeGreaterThanOrEqual(filled.money!);
  const [p] = filled.proposals;
  const { crop, how, bedId, fromRow, toRow, lengthM, plantedOn, clearedOn } = p!;
  await s.api
    .put('/api/plantings/taken')
    .send(planting('taken', { crop, how, bedId, fromRow, toRow, lengthM, plantedOn, clearedOn }))
    .expect(200);
  await s.api
    .post('/api/relay/fill')
    .send({
      aim: 'supply',
      weeks: 30,
      crops: ['lettuce', 'spinach', 'carrot'],
      refused: [{ crop: 'carrot', bed: 'b' }],
    })
    .expect(202);
  const again = await until<FillView>('/api/relay/fill', (f) => f.state === 'ready' || f.state === 'failed');
  const clash = again.proposals.filter(
    (x) => x.fromRow <= toRow && x.toRow >= fromRow && x.plantedOn < clearedOn && x.clearedOn > plantedOn,
  );
  expect(clash).toEqual([]);
  expect(again.proposals.map((x) => x.crop)).not.toContain('carrot');
});

test('it can be stopped, and a bad wish is refused in words', async () => {
  await s.api.post('/api/relay/fill').send({ aim: 'value', weeks: 40 }).expect(202);
  const stopped = (await s.api.delete('/api/relay/fill').expect(200)).body as FillView;
  expect(['stopped', 'ready']).toContain(stopped.state);
  const bad = await s.api.post('/api/relay/fill').send({ aim: 'joy' }).expect(422);
  expect((bad.body as { detail: string }).detail).toMatch(/^aim: expected/);
  await s.api
    .post('/api/relay/fill')
    .send({ crops: ['moon'] })
    .expect(422);
});

test('a warning that was accepted is kept with the farm, and a wish that cannot be is named', async () => {
  const { farm } = (await s.api.get('/api/farm').expect(200)).body as {
    farm: { relay: { accepted: string[] } };
  };
  await s.api
    .patch('/api/farm')
    .send({ relay: { ...farm.relay, accepted: ['shaded a b'] } })
    .expect(200);
  const view = (await s.api.get('/api/relay').expect(200)).body as RelayView;
  expect(view.accepted).toEqual(['shaded a b']);
  const bad = await s.api
    .patch('/api/farm')
    .send({
      relay: { ...farm.relay, demand: [{ crop: null, from: '2027-05-01', to: '2027-04-01', kgPerWeek: 3 }] },
    })
    .expect(422);
  expect((bad.body as { detail: string }).detail).toContain('no earlier than from');
});
