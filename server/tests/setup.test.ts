/** Setting up through the API: sizes that fit each other, several things at once or none, and towns with their clock. */
import type { BedsView, ProblemBody, TownRow } from '@fogata/contract/told';
import type { Bed, Structure } from '@fogata/core';
import { aBed, aStructure } from '../../core/tests/fixtures';
import { readFileSync } from 'node:fs';
import { startTestServer, TOWNS, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer(false);
});
afterAll(() => s.close());

const house: Structure = aStructure({
  id: 'h',
  name: 'Long house',
  openings: [{ name: 'Roof', kind: 'hinged', areaM2: 1, wax: { startC: 16, fullC: 26 } }],
  snowRatingKgM2: 40,
});
const bed: Bed = aBed({ structureId: 'h', name: 'Bed 1', zone: 'door' });
const farm = async () => (await s.api.get('/api/beds').expect(200)).body as BedsView;
const put = (path: string, body: object, status: number) => s.api.put(path).send(body).expect(status);
const detail = (res: { body: unknown }) => (res.body as ProblemBody).detail;

test('what may be left out comes back as it was given, and stays out where it was not', async () => {
  await put('/api/structures/h', house, 200);
  await put('/api/beds/b', bed, 200);
  const { structures } = await farm();
  expect(structures[0]!.structure).toEqual(house);
  expect(structures[0]!.beds[0]!.bed).toEqual(bed);
  await put('/api/beds/b', { ...bed, zone: undefined }, 200);
  expect((await farm()).structures[0]!.beds[0]!.bed.zone).toBeUndefined();
  await put('/api/beds/b', bed, 200);
});

test.each([
  ['/api/beds/b', { ...bed, lengthM: 21 }, 'lengthM: expected no more than 20, the length of Long house'],
  ['/api/beds/b', { ...bed, widthM: 7 }, 'widthM: expected no more than 6, the width of Long house'],
  ['/api/beds/b', { ...bed, structureId: 'gone' }, 'structureId: expected a structure of this farm'],
  [
    '/api/structures/h',
    { ...house, lengthM: 10 },
    'lengthM: expected at least 18, the length of Bed 1 in it',
  ],
  [
    '/api/structures/h',
    { ...house, openings: [{ ...house.openings![0]!, wax: { startC: 30, fullC: 20 } }] },
    /fully open only above/,
  ],
  ['/api/structures/h', { ...house, windRatingMps: -1 }, /^windRatingMps: /],
  ['/api/structures/h', { ...house, at: { xM: 0, yM: 0, turnDeg: 400 } }, /^at\.turnDeg: /],
])('%s refuses by name what does not fit', async (path, body, why) => {
  const res = await put(path, body, 422);
  if (typeof why === 'string') expect(detail(res)).toBe(why);
  else expect(detail(res)).toMatch(why);
  expect((await farm()).structures[0]!.structure).toEqual(house);
});

test('several at once are all taken or none', async () => {
  const two = [
    { ...bed, id: 'c', name: 'Bed 2' },
    { ...bed, id: 'd', name: 'Bed 3', structureId: 'gone' },
  ];
  expect(detail(await s.api.post('/api/setup').send({ beds: two }).expect(422))).toMatch(
    /^structureId: expected a structure/,
  );
  expect((await farm()).structures[0]!.beds).toHaveLength(1);
  await s.api
    .post('/api/setup')
    .send({ beds: [two[0]] })
    .expect(204);
  expect((await farm()).structures[0]!.beds.map((b) => b.bed.name)).toEqual(['Bed 1', 'Bed 2']);
  await s.api
    .post('/api/setup')
    .send({ remove: { beds: ['c'] } })
    .expect(204);
  expect((await farm()).structures[0]!.beds).toHaveLength(1);
});

test('a bed in which something stands is not taken away with others', async () => {
  const planting = {
    bedId: 'b',
    crop: 'spinach',
    cultivar: '',
    fromRow: 1,
    toRow: 4,
    lengthM: 18,
    plantedOn: '2026-10-01',
    clearedOn: null,
    aim: 'survive',
    note: '',
  };
  await put('/api/plantings/p', planting, 200);
  const res = await s.api
    .post('/api/setup')
    .send({ remove: { beds: ['b'], structures: ['h'] } })
    .expect(409);
  expect(detail(res)).toMatch(/its story would be lost/);
  expect((await farm()).structures[0]!.beds).toHaveLength(1);
});

test('what stands on another day is told for that day', async () => {
  const on = async (date: string) =>
    ((await s.api.get(`/api/beds?date=${date}`).expect(200)).body as BedsView).structures[0]!.beds[0]!
      .plantings;
  expect(await on('2026-09-30')).toHaveLength(0);
  expect((await on('2026-10-02'))[0]).toMatchObject({ cropName: 'spinach', leafC: null });
  await s.api.get('/api/beds?date=soon').expect(422);
});

test('a town is found as it is typed, the largest first, with the clock and the height of where it lies', async () => {
  const towns = async (query: string) =>
    (await s.api.get(`/api/towns?${query}`).expect(200)).body as TownRow[];
  const first = async (q: string) => (await towns(`q=${encodeURIComponent(q)}`))[0];
  expect(await first('leon, spa')).toMatchObject({ name: 'León', timeZone: 'Europe/Madrid' });
  expect((await first('leon, spa'))!.elevationM).toBeGreaterThan(800);
  expect(await first('DUNEDIN, new')).toMatchObject({ timeZone: 'Pacific/Auckland', country: 'New Zealand' });
  // small towns too: a farm is seldom in a large one
  expect(await first('benavente')).toMatchObject({ country: 'Spain' });
  expect((await towns('q=san')).length).toBe(8);
  expect(await towns('q=zzzz')).toEqual([]);
  expect(await towns('')).toEqual([]);
  expect(await towns('zone=America/Whitehorse')).toMatchObject([{ name: 'Whitehorse' }]);
  expect(await towns('zone=Europe/Madrid')).toMatchObject([{ name: 'Madrid' }]);
  expect(await towns('zone=Nowhere/Else')).toEqual([]);
  await s.api.get(`/api/towns?q=${'x'.repeat(300)}`).expect(422);
});

test('every town of the list is a place on earth with a clock that this machine knows', () => {
  const rows = readFileSync(TOWNS, 'utf8').trimEnd().split('\n').slice(1);
  expect(rows.length).toBeGreaterThan(10_000);
  for (const zone of new Set(rows.map((r) => r.split('\t')[5]!)))
    expect(() => new Intl.DateTimeFormat('en', { timeZone: zone })).not.toThrow();
  const onEarth = (row: string) => {
    const [name, lat, lon, elevation, code] = row.split('\t');
    return (
      name !== '' &&
      Math.abs(Number(lat)) <= 90 &&
      Math.abs(Number(lon)) <= 180 &&
      Number(elevation) > -450 &&
      code!.length === 2
    );
  };
  expect(rows.filter((r) => !onEarth(r))).toEqual([]);
});

test('a point has the clock of where it lies', async () => {
  expect((await s.api.get('/api/zone?latitude=-33.4&longitude=-70.6').expect(200)).body).toEqual({
    timeZone: 'America/Santiago',
  });
  await s.api.get('/api/zone?latitude=91&longitude=0').expect(422);
});
