/** The seed box through the API: own figures reach the night, scores teach and can be taken back, tables bring nothing half. */
import type { FarmFile } from '@fogata/contract';
import type { BedsView, ExchangeView, LogView, ProblemBody, SeedsView } from '@fogata/contract/told';
import { randomUUID } from 'node:crypto';
import { DEMO_START_MS } from '../src/demo/seed';
import { startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
});
afterAll(() => s.close());

const seeds = async () => (await s.api.get('/api/seeds').expect(200)).body as SeedsView;
const rowOf = async (crop: string, name: string) =>
  (await seeds()).rows.find((r) => r.crop === crop && r.name === name)!;
const limitsOf = async (plantingId: string) => {
  const view = (await s.api.get('/api/beds').expect(200)).body as BedsView;
  const all = view.structures.flatMap((x) => x.beds).flatMap((b) => b.plantings);
  const { damageC, deathC } = all.find((p) => p.planting.id === plantingId)!;
  return { damageC, deathC };
};
const takeBack = (retracts: string) =>
  s.api
    .post('/api/records')
    .send({ records: [{ id: randomUUID(), kind: 'retraction', atMs: DEMO_START_MS, retracts }] })
    .expect(201);

test('last winter’s scores have taught what the spinach stands, and say by how much', async () => {
  const row = await rowOf('spinach', 'Brasa Verde');
  expect(row.scored).toHaveLength(3);
  expect(row.learnt!.shiftK).toBeLessThan(-0.8);
  expect(row.learnt!.nights).toBe(3);
  expect(row.lots.map((l) => l.lot.year)).toEqual([2023, 2026]);
  expect(row.lots[0]!.now!.from).toBe('tested');
});

test('a score that is taken back is unlearnt, in the list and in the night’s limits', async () => {
  const row = await rowOf('spinach', 'Brasa Verde');
  const before = await limitsOf('p01');
  for (const scored of row.scored) await takeBack(scored.recordId);
  expect((await rowOf('spinach', 'Brasa Verde')).learnt).toBeNull();
  const after = await limitsOf('p01');
  expect(after.damageC).toBeCloseTo(before.damageC - row.learnt!.shiftK, 1);
});

test('a figure of one’s own counts for its cultivar alone, and the log takes it back', async () => {
  const before = await limitsOf('p16');
  const body = {
    crop: 'parsley',
    name: 'Encaje',
    figures: { leaf_damage_soft_c: -6, leaf_damage_hard_c: -11 },
  };
  const put = await s.api.put('/api/cultivars/cv-x').send(body).expect(200);
  expect((await limitsOf('p16')).damageC).toBeLessThan(before.damageC - 1);
  const log = (await s.api.get('/api/log').expect(200)).body as LogView;
  expect(log.entries[0]!.title).toBe('parsley Encaje added');
  await takeBack((put.body as { recordId: string }).recordId);
  expect(await limitsOf('p16')).toEqual(before);
});

test.each([
  [{ crop: 'spinach', name: 'A', figures: { death_hard_c: 1 } }, /^death_hard_c: expected no more than/],
  [
    { crop: 'spinach', name: 'A', figures: { warmth: 1 } },
    /^figures\.warmth: expected a column of the library/,
  ],
  [{ crop: 'spinach', name: 'brasa verde', figures: {} }, /^name: expected one that no other spinach has/],
  [{ crop: 'nothing', name: 'A', figures: {} }, /^crop: expected a crop of the list/],
])('a cultivar %j is refused in one sentence', async (body, words) => {
  const before = await seeds();
  const { detail } = (await s.api.put('/api/cultivars/cv-y').send(body).expect(422)).body as ProblemBody;
  expect(detail).toMatch(words);
  expect(await seeds()).toEqual(before);
});

test('a packet comes whole and goes whole', async () => {
  const before = await seeds();
  const cultivar = { id: 'cv-p', crop: 'leek', name: 'Vara', figures: { harvest_degree_days: 1500 } };
  const lot = { id: 'lot-p', crop: 'leek', cultivar: 'Vara', year: 2027, grams: 5 };
  await s.api
    .post('/api/packets')
    .send({ cultivar: { ...cultivar, figures: { base_c: 30 } }, lot })
    .expect(422);
  expect(await seeds()).toEqual(before);
  const { body } = await s.api.post('/api/packets').send({ cultivar, lot }).expect(201);
  expect(await rowOf('leek', 'Vara')).toMatchObject({
    cultivar: { figures: cultivar.figures },
    lots: [{ lot }],
  });
  await takeBack((body as { recordId: string }).recordId);
  expect(await seeds()).toEqual(before);
});

test('a table of lots says what it would bring; a bad row is named and nothing is taken', async () => {
  const csv = 'crop,cultivar,year,grams\nspinach,Brasa Verde,2027,100\nmâche,Copito,2026,20\n';
  const dry = (await s.api.post('/api/seeds/lots').send({ dryRun: true, csv }).expect(200))
    .body as ExchangeView;
  expect(dry.added).toEqual(['spinach Brasa Verde', 'mache Copito']);
  const bad = await s.api
    .post('/api/seeds/lots')
    .send({ dryRun: false, csv: `${csv}cabbage of the moon,,2026,1\n` })
    .expect(422);
  expect((bad.body as ProblemBody).detail).toMatch(/^line 4, crop: expected one of the list/);
  await s.api.post('/api/seeds/lots').send({ dryRun: false, csv }).expect(201);
  expect((await rowOf('mache', 'Copito')).lots).toHaveLength(1);
});

test('the library out, one figure changed, and in again is that one figure', async () => {
  const { text } = await s.api.get('/api/seeds/library.csv').expect(200);
  const lines = text.split('\n');
  const column = lines[0]!.split(',').indexOf('height_m');
  const at = lines.findIndex((l) => l.startsWith('kale,'));
  const cells = lines[at]!.split(',');
  cells[column] = '0.9';
  lines[at] = cells.join(',');
  const view = await s.api
    .post('/api/seeds/library')
    .send({ dryRun: false, csv: lines.join('\n') })
    .expect(201);
  expect((view.body as ExchangeView).added).toHaveLength(1);
  expect((await rowOf('kale', '')).cultivar!.figures).toEqual({ height_m: 0.9 });
});

test('the whole farm’s file holds the box, and no planting’s figures', async () => {
  const file = JSON.parse((await s.api.get('/api/farm/file').expect(200)).text) as FarmFile;
  expect(file.cultivars!.map((c) => c.name)).toContain('Brasa Verde');
  expect(file.seedLots!.length).toBeGreaterThan(8);
  expect(file.plantings.some((p) => 'own' in p)).toBe(false);
  await s.api.post('/api/farm/file').send({ dryRun: true, file }).expect(200);
  // a file of before seeds were kept leaves the box alone
  const { cultivars: _c, seedLots: _l, ...older } = file;
  const dry = await s.api.post('/api/farm/file').send({ dryRun: true, file: older }).expect(200);
  expect((dry.body as ExchangeView).removed).toEqual([]);
});

test('what is planned asks for its seed, by the best of what is in the box', async () => {
  const row = await rowOf('lettuce', 'Farolillo');
  expect(row.needs!.seeds).toBeGreaterThan(100);
  expect(row.needs!.grams).toBeCloseTo((row.needs!.seeds * 1.1) / 1000, 1);
  // what stands was sown
  expect((await rowOf('carrot', 'Rescoldina')).needs).toBeNull();
});
