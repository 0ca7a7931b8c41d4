/** A farm to start from: whole or not at all, one entry of the log, and what is wrong with it named. */
import type { BedsView, FarmView, KitView, LogView } from '@fogata/contract/told';
import { startFarm, START_KINDS, type Planting } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { DEMO_START_MS } from '../src/demo/seed';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeEach(async () => {
  s = await startTestServer(false);
});
afterEach(() => s.close());

const farm = { latitude: 47.4, longitude: 8.5, elevationM: 410, timeZone: 'Europe/Zurich' };
const planting = (bedId: string, more: Partial<Planting> = {}): Planting => ({
  id: randomUUID(),
  bedId,
  crop: 'spinach',
  cultivar: '',
  fromRow: 1,
  toRow: 4,
  lengthM: 10,
  plantedOn: '2026-11-20',
  clearedOn: null,
  aim: 'survive',
  note: '',
  ...more,
});
const body = () => {
  const made = startFarm(START_KINDS[0]!.counts, 'x');
  return { farm, ...made, plantings: [planting(made.beds[0]!.id)] };
};
const farmNow = async () => (await s.api.get('/api/farm')).body as FarmView;
const beds = async () => (await s.api.get('/api/beds')).body as BedsView;

test.each(START_KINDS.map((k) => [k.label, k.counts] as const))(
  '%s is taken as it is made',
  async (_label, counts) => {
    const made = startFarm(counts, 'x');
    await s.api
      .post('/api/start')
      .send({ farm, ...made })
      .expect(201);
    const view = await beds();
    expect(view.structures.flatMap((x) => x.beds.map((b) => b.bed.id)).sort()).toEqual(
      made.beds.map((b) => b.id).sort(),
    );
    expect(((await s.api.get('/api/kit')).body as KitView).covers.map((c) => c.count)).toEqual(
      made.covers.map((c) => c.count),
    );
  },
);

test('place, beds, sheets and plantings come at once and go at once', async () => {
  const b = body();
  const { recordId } = (await s.api.post('/api/start').send(b).expect(201)).body as { recordId: string };
  expect(await farmNow()).toMatchObject({
    emptyFarm: false,
    farm: { timeZone: 'Europe/Zurich', elevationM: 410 },
  });
  expect((await beds()).structures[0]!.beds[0]!.plantings[0]!.planting.crop).toBe('spinach');
  const log = (await s.api.get('/api/log')).body as LogView;
  expect(log.entries.filter((e) => e.record.kind !== 'retraction')).toHaveLength(1);
  // what the farm had and the patch did not name stays
  expect((await farmNow()).farm.hourlyRate).toBe(15);

  await s.api
    .post('/api/records')
    .send({ records: [{ id: randomUUID(), kind: 'retraction', atMs: DEMO_START_MS, retracts: recordId }] })
    .expect(201);
  expect(await farmNow()).toMatchObject({ emptyFarm: true, farm: { timeZone: 'UTC', latitude: 45 } });
  expect(((await s.api.get('/api/kit')).body as KitView).covers).toEqual([]);
});

test('one wrong thing and nothing of it is taken; the sentence names the field', async () => {
  const wrong: [string, object][] = [
    [
      'structureId: expected one of these structures',
      { beds: [{ ...body().beds[0]!, structureId: 'elsewhere' }] },
    ],
    ['bedId: expected one of these beds', { plantings: [planting('elsewhere')] }],
    ['lengthM: expected no more than 20', { beds: [{ ...body().beds[0]!, lengthM: 90 }], plantings: [] }],
    ['timeZone', { farm: { ...farm, timeZone: 'Mars/Olympus' } }],
    ['structures: expected at least one', { structures: [] }],
    ['crop', { plantings: [planting(body().beds[0]!.id, { crop: 'unobtainium' })] }],
  ];
  for (const [said, part] of wrong) {
    const res = await s.api.post('/api/start').send({ ...body(), ...part });
    expect([said, res.status]).toEqual([said, 422]);
    expect((res.body as { detail: string }).detail).toContain(said);
    expect((await farmNow()).emptyFarm).toBe(true);
  }
});
