/** The farm, the log and the imports through the API: what is refused, what is kept, what can be taken back. */
import type { LogView } from '@fogata/contract/told';
import { randomUUID } from 'node:crypto';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
});
afterAll(() => s.close());

const at = 1_800_000_000_000 - 90_000_000;
const send = (records: object[]) => s.api.post('/api/records').send({ records });

test('health answers, unknown addresses are problems', async () => {
  expect((await s.api.get('/api/health').expect(200)).body.status).toBe('ok');
  const res = await s.api.get('/api/nothing').expect(404);
  expect(res.headers['content-type']).toContain('application/problem+json');
});

test('a record sent twice is kept once', async () => {
  const r = { id: randomUUID(), kind: 'note', atMs: at, text: 'frost on the path' };
  expect((await send([r]).expect(201)).body).toEqual({ added: 1, known: 0 });
  expect((await send([r]).expect(201)).body).toEqual({ added: 0, known: 1 });
});

test.each([
  ['a harvest of nothing', { kind: 'harvest', plantingId: 'p01', kg: 0 }, 'kg'],
  [
    'a reading upside down',
    { kind: 'reading', spot: 'outside', night: '2027-01-14', minC: 4, maxC: -4, source: 'grower' },
    'maxC',
  ],
  [
    'a reading of an unknown spot',
    { kind: 'reading', spot: 'moon', night: '2027-01-14', minC: 4, maxC: 8, source: 'grower' },
    'spot',
  ],
  ['harm to nobody', { kind: 'harm', plantingId: 'nobody', score: 'tips' }, 'plantingId'],
  ['an empty note', { kind: 'note', text: '  ' }, 'text'],
])('%s is refused with its field named', async (_, part, field) => {
  const res = await send([{ id: randomUUID(), atMs: at, ...part }]).expect(422);
  expect(res.body.detail).toContain(field);
});

test('a planting is added, shown, changed, taken back and cleared', async () => {
  const id = randomUUID();
  const body = {
    bedId: 'o1',
    crop: 'leek',
    cultivar: 'Candela',
    fromRow: 1,
    toRow: 2,
    lengthM: 20,
    plantedOn: '2027-01-10',
    clearedOn: null,
    aim: 'survive',
    note: '',
  };
  const added = await s.api.put(`/api/plantings/${id}`).send(body).expect(200);
  const cultivars = async () => JSON.stringify((await s.api.get('/api/beds')).body);
  expect((await cultivars()).includes('Candela')).toBe(true);
  const changed = await s.api
    .put(`/api/plantings/${id}`)
    .send({ ...body, cultivar: 'Pavesa' })
    .expect(200);
  expect((await cultivars()).includes('Pavesa')).toBe(true);
  await send([{ id: randomUUID(), kind: 'retraction', atMs: at, retracts: changed.body.recordId }]).expect(
    201,
  );
  expect((await cultivars()).includes('Candela')).toBe(true);
  await s.api.post(`/api/plantings/${id}/clear`).expect(200);
  expect((await cultivars()).includes('Candela')).toBe(false);
  await send([{ id: randomUUID(), kind: 'retraction', atMs: at, retracts: added.body.recordId }]).expect(201);
});

test.each([
  [{ toRow: 9 }, 'toRow: expected no more than 3'],
  [{ fromRow: 3, toRow: 2 }, 'toRow: expected row 3 or higher'],
  [{ lengthM: 50 }, 'lengthM: expected no more than 20'],
  [{ plantedOn: 'last week' }, 'plantedOn: expected a date'],
])('a planting with %j is refused', async (wrong, sentence) => {
  const body = {
    bedId: 'o1',
    crop: 'leek',
    cultivar: '',
    fromRow: 1,
    toRow: 2,
    lengthM: 20,
    plantedOn: '2027-01-10',
    clearedOn: null,
    aim: 'survive',
    note: '',
    ...wrong,
  };
  expect((await s.api.put(`/api/plantings/${randomUUID()}`).send(body).expect(422)).body.detail).toContain(
    sentence,
  );
});

test('the log tells everything in words, and strikes through what was taken back', async () => {
  const id = randomUUID();
  await send([{ id, kind: 'harvest', atMs: at, plantingId: 'p01', kg: 2.5 }]).expect(201);
  await send([{ id: randomUUID(), kind: 'retraction', atMs: at, retracts: id }]).expect(201);
  const log = (await s.api.get('/api/log?kinds=harvest').expect(200)).body as LogView;
  const entry = log.entries.find((e) => e.record.id === id)!;
  expect(entry.title).toBe('2.5 kg spinach Brasa Verde');
  expect(entry.retracted).toBe(true);
});

test('settings are kept, and a zone or unit that does not exist is refused', async () => {
  await s.api
    .patch('/api/farm')
    .send({ units: { temperature: 'F', length: 'ft', clock: 12 } })
    .expect(200);
  expect((await s.api.get('/api/farm')).body.farm.units.temperature).toBe('F');
  const now = await s.now();
  expect(now.sentence.map((p) => p.text).join('')).toMatch(/°F by \d+:\d\d am/);
  await s.api
    .patch('/api/farm')
    .send({ units: { temperature: 'C', length: 'm', clock: 24 } })
    .expect(200);
  expect((await s.api.patch('/api/farm').send({ timeZone: 'Moon/Base' }).expect(422)).body.field).toBe(
    'timeZone',
  );
  expect((await s.api.patch('/api/farm').send({ latitude: 99 }).expect(422)).body.detail).toContain(
    'latitude',
  );
});

describe('an imported forecast', () => {
  const csv = (airC: number, bad = -1) =>
    `time,temp (°C),dew point (°C),wind (m/s),cloud (%)\n${Array.from({ length: 48 }, (_, i) => `${new Date(Date.parse('2027-01-14T13:00:00Z') + i * 3_600_000).toISOString().slice(0, 16)}Z,${i === bad ? 'x' : airC},6,2,70`).join('\n')}`;
  const post = (text: string, dryRun: boolean) =>
    s.api.post('/api/forecasts').send({ name: 'valley station', csv: text, dryRun });

  test('is previewed, taken, changes the advice, and can be dropped again', async () => {
    const before = await s.now();
    expect((await post(csv(12), true).expect(200)).body).toMatchObject({ taken: false, rows: 48 });
    expect((await s.now()).night!.name).toBe(before.night!.name);
    expect((await post(csv(12), false).expect(201)).body.taken).toBe(true);
    const mild = await s.now();
    expect(mild.night!.lowC.mid).toBeGreaterThan(6);
    expect(mild.night!.name).toBe('valley station');
    expect(mild.jobs.filter((j) => j.kind === 'cover').length).toBe(0);
    const { imported } = (await s.api.get('/api/forecasts')).body as { imported: { id: string }[] };
    await s.api.post(`/api/forecasts/${imported[0]!.id}/drop`).expect(204);
    expect((await s.now()).night!.name).toBe(before.night!.name);
  });

  test('with one bad row is not taken at all', async () => {
    const res = await post(csv(12, 7), false).expect(422);
    expect(res.body).toMatchObject({
      taken: false,
      badRows: [{ row: 9, reason: { say: 'row.notNumber', values: { field: 'air', text: 'x' } } }],
    });
    expect((await s.api.get('/api/forecasts')).body.imported).toHaveLength(1);
  });
});

test('a bed that carries a story, and a cover that is out, are not deleted', async () => {
  expect((await s.api.delete('/api/beds/n1').expect(409)).body.detail).toContain('story');
  const id = randomUUID();
  await send([{ id, kind: 'cover', atMs: at, bedId: 'n1', coverId: 'film', on: true }]).expect(201);
  expect((await s.api.delete('/api/covers/film').expect(409)).body.detail).toContain('N1');
  await send([{ id: randomUUID(), kind: 'retraction', atMs: at, retracts: id }]).expect(201);
});

test('an empty farm says what to do, and its clock is its own', async () => {
  const empty = await startTestServer(false);
  try {
    const now = await empty.now();
    expect(now.progress.state).toBe('empty');
    expect(now.sentence[0]!.text).toContain('Add a structure');
    const house = {
      name: 'First',
      kind: 'house',
      shape: 'arch',
      sides: 'cover',
      lengthM: 10,
      widthM: 5,
      heightM: 2.4,
      material: 'pe-film',
      plies: 1,
      tightness: 'average',
      ventAreaM2: 4,
      order: 0,
    };
    await empty.api.put('/api/structures/h').send(house).expect(200);
    const bed = {
      structureId: 'h',
      name: 'One',
      lengthM: 8,
      widthM: 1,
      rows: 3,
      on: 'ground',
      texture: 'loam',
      wetness: 'moist',
      mulchM: 0,
      hoopHeightM: 0.5,
      order: 0,
    };
    expect(
      (
        await empty.api
          .put('/api/beds/b')
          .send({ ...bed, lengthM: 30 })
          .expect(422)
      ).body.field,
    ).toBe('lengthM');
    await empty.api.put('/api/beds/b').send(bed).expect(200);
    await empty.api
      .put('/api/plantings/p')
      .send({
        bedId: 'b',
        crop: 'spinach',
        cultivar: '',
        fromRow: 1,
        toRow: 3,
        lengthM: 8,
        plantedOn: '2026-10-01',
        clearedOn: null,
        aim: 'survive',
        note: '',
      })
      .expect(200);
    // something stands there now, and nobody has said what the night will be
    expect((await empty.now()).progress.state).toBe('waiting');
  } finally {
    await empty.close();
  }
});
