/** The farm out and in through the API: the same again, nothing half done, and a word before anything changes. */
import type { FarmFile } from '@fogata/contract';
import type { BedsView, CutView, ExchangeView, LogView, NowView, ProblemBody } from '@fogata/contract/told';
import { HOUR_MS } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { DEMO_START_MS } from '../src/demo/seed';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
});
afterAll(() => s.close());

const file = async () => JSON.parse((await s.api.get('/api/farm/file').expect(200)).text) as FarmFile;
const bring = (path: string, body: object, status: number) => s.api.post(path).send(body).expect(status);

test('the whole farm comes back the same from its file', async () => {
  const before = await file();
  expect(before.format).toBe('fogata-farm/1');
  expect(before.records.length).toBeGreaterThan(20);
  const dry = (await bring('/api/farm/file', { dryRun: true, file: before }, 200)).body as ExchangeView;
  expect(dry).toMatchObject({ taken: false, added: [], changed: [], removed: [], records: 0 });
  await bring('/api/farm/file', { dryRun: false, file: before }, 201);
  expect(await file()).toEqual(before);
});

test('a dry run says what would come, change and go, and changes nothing', async () => {
  const before = await file();
  const next = structuredClone(before);
  next.covers[0]!.count += 3;
  next.structures.push({ ...next.structures[0]!, id: 'new', name: 'New house' });
  next.covers = next.covers.filter((c) => c.name !== 'Straw mat');
  const dry = (await bring('/api/farm/file', { dryRun: true, file: next }, 200)).body as ExchangeView;
  expect(dry.added).toEqual(['New house']);
  expect(dry.changed).toEqual([before.covers[0]!.name]);
  expect(dry.removed).toEqual(['Straw mat']);
  expect(await file()).toEqual(before);
});

test.each([
  [
    'an unknown format',
    (f: FarmFile) => ({ ...f, format: 'fogata-farm/9' }),
    /^format: expected the string fogata-farm\/1/,
  ],
  [
    'a bed without a house',
    (f: FarmFile) => ({ ...f, structures: f.structures.slice(1) }),
    /^beds\[\d+\]\.structureId: expected a structure of this file/,
  ],
  [
    'two of one id',
    (f: FarmFile) => ({ ...f, covers: [...f.covers, f.covers[0]!] }),
    /^covers\[7\]\.id: expected one that no other has/,
  ],
  [
    'a word for a length',
    (f: FarmFile) => ({ ...f, beds: [{ ...f.beds[0]!, lengthM: 'long' }] }),
    /^beds\[0\]\.lengthM: /,
  ],
  ['an unknown field', (f: FarmFile) => ({ ...f, extra: 1 }), /extra/],
])('%s is refused by name, and the farm stays as it was', async (_, spoil, why) => {
  const before = await file();
  const { body } = await bring('/api/farm/file', { dryRun: false, file: spoil(before) }, 422);
  expect((body as ProblemBody).detail).toMatch(why);
  expect(await file()).toEqual(before);
});

const log = async () => ((await s.api.get('/api/log').expect(200)).body as LogView).entries;
const takeBack = (id: string) =>
  s.api
    .post('/api/records')
    .send({ records: [{ id: randomUUID(), kind: 'retraction', atMs: Date.now(), retracts: id }] });
const things = async () => {
  const { farm, structures, beds, plantings, covers } = await file();
  return { farm, structures, beds, plantings, covers };
};

test('a file that was brought is one entry of the log, and is taken back and brought again as one', async () => {
  const before = await things();
  const next = structuredClone(await file());
  next.covers[0]!.count += 3;
  next.farm.name = 'Other name';
  next.structures.push({ ...next.structures[0]!, id: 'new', name: 'New house' });
  next.beds.push({ ...next.beds[0]!, id: 'new-bed', structureId: 'new', name: 'New bed' });
  next.covers = next.covers.filter((c) => c.name !== 'Straw mat');
  const taken = (await bring('/api/farm/file', { dryRun: false, file: next }, 201)).body as ExchangeView;
  const brought = await things();
  expect(brought.structures.some((x) => x.id === 'new')).toBe(true);
  const [entry] = await log();
  expect(entry).toMatchObject({ title: 'A farm file brought', detail: '2 added, 2 changed, 1 removed' });
  expect(entry!.record.id).toBe(taken.recordId);
  await takeBack(taken.recordId!).expect(201);
  expect(await things()).toEqual(before);
  // what was changed since by hand stays: only what the file changed is turned round
  const back = (await file()).records.at(-1)!;
  await s.api
    .put(`/api/covers/blanket`)
    .send({ ...before.covers.find((c) => c.id === 'blanket')!, count: 2 });
  await takeBack(back.id).expect(201);
  const again = await things();
  expect(again.covers.find((c) => c.id === 'blanket')!.count).toBe(2);
  expect(again.farm.name).toBe('Other name');
  await takeBack((await file()).records.at(-1)!.id).expect(201);
  await s.api.put('/api/covers/blanket').send(before.covers.find((c) => c.id === 'blanket')!);
  expect(await things()).toEqual(before);
});

test('a brought file is not taken back over a planting that has come into its bed since', async () => {
  const next = structuredClone(await file());
  next.beds.push({ ...next.beds[0]!, id: 'late-bed', name: 'Late bed' });
  const taken = (await bring('/api/farm/file', { dryRun: false, file: next }, 201)).body as ExchangeView;
  const planting = { ...next.plantings[0]!, id: 'late', bedId: 'late-bed', fromRow: 1, toRow: 1 };
  await s.api.put('/api/plantings/late').send(planting).expect(200);
  const { body } = await takeBack(taken.recordId!).expect(409);
  expect((body as ProblemBody).detail).toMatch(/planted in this bed; its story would be lost/);
  expect((await file()).beds.some((b) => b.id === 'late-bed')).toBe(true);
});

test('another farm is filled from the file: the log as it arrived, forecasts, temperatures and evenings', async () => {
  await s.now();
  await s.api
    .post('/api/forecasts/typed')
    .send({
      lowC: -5,
      lowAtMs: (await s.now()).clock.nowAtMs + 12 * HOUR_MS,
      highC: 4,
      windMs: 1,
      cloud: 0,
      sure: 'usual',
      rainMm: 2,
    })
    .expect(201);
  const whole = await file();
  expect(whole.arrivedAtMs).toHaveLength(whole.records.length);
  expect(whole.weather!.forecasts).toHaveLength(1);
  expect(whole.weather!.evenings.length).toBeGreaterThan(0);
  const other = await startTestServer(false);
  try {
    const view = (await other.api.post('/api/farm/file').send({ dryRun: false, file: whole }).expect(201))
      .body as ExchangeView;
    expect(view.weather).toBeGreaterThan(1);
    const there = JSON.parse((await other.api.get('/api/farm/file')).text) as FarmFile;
    // its own log holds one entry more: that a file was brought
    expect(there.records.slice(0, -1)).toEqual(whole.records);
    expect(there.arrivedAtMs!.slice(0, -1)).toEqual(whole.arrivedAtMs);
    expect({ ...there, records: [], arrivedAtMs: [] }).toEqual({ ...whole, records: [], arrivedAtMs: [] });
  } finally {
    await other.close();
  }
});

test('who did it and on which device stands with the entry; a name in the entry itself goes before the sender’s', async () => {
  const send = (record: object, who: string) =>
    s.api
      .post('/api/records')
      .set('x-fogata-who', who)
      .set('x-fogata-device', 'phone-1')
      .send({ records: [{ id: randomUUID(), kind: 'note', atMs: DEMO_START_MS, ...record }] })
      .expect(201);
  await send({ text: 'first' }, encodeURIComponent('Señal'));
  await send({ text: 'second', by: 'M' }, 'other');
  // what cannot be read is nobody, not an error
  await send({ text: 'third' }, '%E0%A4%A');
  const by = new Map((await log()).map((e) => [e.title, e.actor]));
  expect([by.get('first'), by.get('second'), by.get('third')]).toEqual(['Señal', 'M', '']);
  await s.api.patch('/api/farm').set('x-fogata-who', 'M').send({ hands: 2 }).expect(200);
  expect((await log()).find((e) => e.record.kind === 'change')).toMatchObject({ actor: 'M' });
});

test('GeoJSON and the stock’s CSV come back the same', async () => {
  const before = await file();
  const geo = JSON.parse((await s.api.get('/api/farm/geojson').expect(200)).text) as object;
  await bring('/api/farm/geojson', { dryRun: false, file: geo }, 201);
  const csv = (await s.api.get('/api/kit/stock.csv').expect(200)).text;
  await bring('/api/kit/stock', { dryRun: false, csv }, 201);
  expect(await file()).toEqual(before);
  expect((await s.api.get('/api/farm/plan.svg').expect(200)).headers['content-type']).toContain(
    'image/svg+xml',
  );
});

test('a table that lacks a cover which lies on a bed is refused', async () => {
  const { clock } = await s.now();
  const record = {
    id: randomUUID(),
    kind: 'cover',
    atMs: clock.nowAtMs,
    bedId: 'n1',
    coverId: 'blanket',
    on: true,
  };
  await s.api
    .post('/api/records')
    .send({ records: [record] })
    .expect(201);
  const csv = (await s.api.get('/api/kit/stock.csv')).text;
  const without = csv
    .split('\n')
    .filter((l) => !l.startsWith('blanket,'))
    .join('\n');
  const { body } = await bring('/api/kit/stock', { dryRun: false, csv: without }, 422);
  expect((body as ProblemBody).detail).toMatch(/^Frost blanket: expected in the table; it lies on a bed/);
  const retraction = { id: randomUUID(), kind: 'retraction', atMs: clock.nowAtMs, retracts: record.id };
  await s.api
    .post('/api/records')
    .send({ records: [retraction] })
    .expect(201);
});

test('beds in which something stands cannot be brought away', async () => {
  const geo = JSON.parse((await s.api.get('/api/farm/geojson')).text) as { features: { id: string }[] };
  const fewer = { ...geo, features: geo.features.filter((f) => f.id !== 'n2') };
  const { body } = await bring('/api/farm/geojson', { dryRun: false, file: fewer }, 422);
  expect((body as ProblemBody).detail).toMatch(/expected the bed with lettuce heads in it/);
});

test('a patch of the settings changes what it names and nothing else', async () => {
  const before = (await file()).farm;
  await s.api.patch('/api/farm').send({ wind: 'exposed' }).expect(200);
  expect((await file()).farm).toEqual({ ...before, wind: 'exposed' });
  await s.api.patch('/api/farm').send({ windFromDeg: 400 }).expect(422);
  await s.api.patch('/api/farm').send({ wind: before.wind }).expect(200);
});

test('the cut list gives every bed that lacks a sheet one, from the rolls there are', async () => {
  const cut = (await s.api.get('/api/kit/cut?material=fleece-30').expect(200)).body as CutView;
  expect(cut.lacking.length).toBeGreaterThan(0);
  const made = cut.plan!.cuts.flatMap((c) => c.pieces).length;
  const missing = cut.plan!.missing.reduce((sum, m) => sum + m.count, 0);
  expect(made + missing).toBe(cut.lacking.length);
  expect(cut.plan!.wasteM2).toBeGreaterThanOrEqual(cut.plan!.boundM2 - 1e-6);
  const none = (await s.api.get('/api/kit/cut?material=tarp').expect(200)).body as CutView;
  expect(none.order.length).toBeGreaterThan(0);
  await s.api.get('/api/kit/cut?material=wool').expect(422);
});

test('before wind there is a job for what stands in it, and done it stays done', async () => {
  await s.api
    .post('/api/clock')
    .send({ toAtMs: Date.parse('2027-01-15T13:00:00Z') })
    .expect(200);
  const now: NowView = await s.now();
  const job = now.storm.find((j) => j.what === 'wind')!;
  expect(job.caution).toMatch(/rating/);
  expect(job.done).toBe(false);
  const record = {
    id: randomUUID(),
    kind: 'secured',
    atMs: now.clock.nowAtMs,
    structureId: job.structureId,
    what: job.what,
  };
  await s.api
    .post('/api/records')
    .send({ records: [record] })
    .expect(201);
  const after = await s.now();
  expect(after.storm.find((j) => j.structureId === job.structureId && j.what === 'wind')!.done).toBe(true);
});

test('a structure that holds beds is not deleted; an empty one is', async () => {
  await s.api.delete('/api/structures/north').expect(409);
  const { structures } = (await s.api.get('/api/beds')).body as BedsView;
  const { structure } = structures[0]!;
  await s.api
    .put('/api/structures/empty')
    .send({ ...structure, id: 'empty', name: 'Empty' })
    .expect(200);
  await s.api.delete('/api/structures/empty').expect(204);
});
