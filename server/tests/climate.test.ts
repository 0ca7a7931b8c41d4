/** A station's record on the site: looked at, taken, gone by, taken back; a bad one is refused by its rows. */
import type { ClimateRead, FarmView, SeasonView } from '@fogata/contract/told';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { climateDays } from '../src/db/schema';
import { readBackup, writeBackup } from '../src/farm/backup';
import { loadFarm } from '../src/farm/store';
import { groundOf } from '../src/season/views';
import { bareDb, startTestServer, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
});
afterAll(() => s.close());

/** So many years of days whose January is about `januaryC`. */
const record = (years: number, januaryC: number) =>
  [
    'date,low,high',
    ...Array.from({ length: years * 365 }, (_, i) => {
      const date = new Date(Date.UTC(2015, 0, 1 + i)).toISOString().slice(0, 10);
      const mean =
        januaryC +
        11 * (1 - Math.cos((2 * Math.PI * ((i % 365.25) - 14)) / 365.25)) +
        2.5 * Math.sin(i * 1.7) +
        2 * Math.sin(i * 0.31);
      return `${date},${(mean - 4 - Math.sin(i)).toFixed(1)},${(mean + 4 + Math.sin(i * 2.3)).toFixed(1)}`;
    }),
  ].join('\n');
const post = (text: string, dryRun: boolean) => s.api.post('/api/climate').send({ text, dryRun });
const from = async () => ((await s.api.get('/api/season').expect(200)).body as SeasonView).climate;
const farm = async () => ((await s.api.get('/api/farm').expect(200)).body as FarmView).farm;
const now = () => s.context.options.clock.nowAtMs();

test('looked at, it changes nothing; a bad row is named, and so is a winter alone', async () => {
  const looked = (await post(record(6, 1), true).expect(200)).body as ClimateRead;
  expect(looked).toMatchObject({ taken: false, kind: 'days', use: 'record', years: 6, gaps: 0 });
  expect((await farm()).climateRecord).toBeNull();
  const bad = (await post(`${record(4, 1)}\n2026-13-01,1,2`, false).expect(422)).body as ClimateRead;
  expect(bad.badRows).toHaveLength(1);
  expect(bad.badRows[0]!.row).toBe(4 * 365 + 2);
  const winter = record(1, 1).split('\n').slice(0, 90).join('\n');
  expect((await post(winter, false).expect(422)).body).toMatchObject({
    why: { say: 'row.fewDays', values: { month: 4 } },
  });
  await s.api.post('/api/climate').send({ text: '' }).expect(422);
  expect((await farm()).climateRecord).toBeNull();
});

test('taken, Season goes by its days; taken back, by the months again; its days are in the backup', async () => {
  const before = await from();
  expect(before.from).toBe('monthly');
  const { recordId } = (await post(record(6, 4), false).expect(201)).body as ClimateRead;
  expect(await from()).toMatchObject({ from: 'daily', years: 6 });
  const data = await loadFarm(s.open.db, now(), false);
  const { climate } = groundOf(data, now());
  expect(climate.from).toBe('daily');
  expect((climate.lowC[14]! + climate.highC[14]!) / 2).toBeCloseTo(4, 0);

  const dir = mkdtempSync(join(tmpdir(), 'fogata-climate-'));
  await writeBackup(s.open.db, join(dir, 'a.gz'), now());
  const copy = await bareDb();
  await readBackup(copy.db, join(dir, 'a.gz'));
  // the 29th of February is in no climate
  expect(await copy.db.select().from(climateDays)).toHaveLength(6 * 365 - 2);
  await copy.close();
  rmSync(dir, { recursive: true, force: true });

  await s.api
    .post('/api/records')
    .send({
      records: [
        { id: '00000000-0000-4000-8000-00000000000a', kind: 'retraction', atMs: now(), retracts: recordId },
      ],
    })
    .expect(201);
  expect((await from()).from).toBe('monthly');
});

test('a year of hours gives its twelve months; a record that is named and not there is no record', async () => {
  const { use } = (await post(record(1, 2), false).expect(201)).body as ClimateRead;
  expect(use).toBe('months');
  expect((await farm()).climate![0]!.lowC).toBeLessThan(0);
  const gone = { id: 'gone', from: '2015-01-01', to: '2020-01-01', days: 2000, years: 5 };
  await s.api.patch('/api/farm').send({ climateRecord: gone }).expect(200);
  expect((await from()).from).toBe('monthly');
});
