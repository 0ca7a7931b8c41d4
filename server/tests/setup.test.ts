/** Setting up through the API: sizes that fit each other, several things at once or none, and towns with their clock. */
import type { BedsView, ProblemBody, TownRow } from '@fogata/contract';
import type { Bed, Structure } from '@fogata/core';
import { aBed, aStructure } from '../../core/tests/fixtures';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer(false);
}, 60_000);
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
  ['/api/structures/h', { ...house, windRatingMs: -1 }, /^windRatingMs: /],
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

test('every town has the clock of where it lies', async () => {
  const towns = (await s.api.get('/api/towns').expect(200)).body as TownRow[];
  const zone = (name: string) => towns.find((t) => t.name === name)!.timeZone;
  expect(zone('León')).toBe('Europe/Madrid');
  expect(zone('Dunedin')).toBe('Pacific/Auckland');
  expect(zone('Whitehorse')).toBe('America/Whitehorse');
  for (const t of towns) expect(() => new Intl.DateTimeFormat('en', { timeZone: t.timeZone })).not.toThrow();
  expect((await s.api.get('/api/zone?latitude=-33.4&longitude=-70.6').expect(200)).body).toEqual({
    timeZone: 'America/Santiago',
  });
  await s.api.get('/api/zone?latitude=91&longitude=0').expect(422);
});
