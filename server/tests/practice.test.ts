/** A rehearsal is a copy: it has all that the farm has but its weather, and nothing that is done in it reaches the farm. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { nightWindow } from '@fogata/core';
import { trueHours } from '@fogata/core/standins';
import { makeApp } from '../src/app';
import { demoClock } from '../src/clock';
import type { OpenDb } from '../src/db/open';
import { loadDemo } from '../src/demo/load';
import { DEMO_FARM, DEMO_START_MS } from '../src/demo/seed';
import { readBackup, writeBackup } from '../src/farm/backup';
import { farmIdOf } from '../src/farm/identity';
import { readMeta, writeMeta } from '../src/farm/store';
import { startPool } from '../src/night/pool';
import { demoSources } from '../src/standins/demo';
import { practiceStartAtMs, practiceWeather, preparePractice } from '../src/standins/practice';
import { bareDb, buildServer, TOWNS } from './harness';

const dir = mkdtempSync(join(tmpdir(), 'fogata-practice-test-'));
const N1 = '11111111-1111-4111-8111-111111111111';
const N2 = '22222222-2222-4222-8222-222222222222';
let own: OpenDb;
let copy: OpenDb;
beforeAll(async () => {
  own = await bareDb();
  copy = await bareDb();
  await loadDemo(own.db);
  await farmIdOf(own.db);
  await writeMeta(own.db, 'feedToken', 'x');
  await writeBackup(own.db, join(dir, 'a.gz'), DEMO_START_MS);
  await readBackup(copy.db, join(dir, 'a.gz'));
});
afterAll(async () => {
  await own.close();
  await copy.close();
  rmSync(dir, { recursive: true, force: true });
});

test('a farm keeps its name for phones, also in its backups; a rehearsal has another, and is fed by nobody', async () => {
  const id = await farmIdOf(own.db);
  expect(await farmIdOf(own.db)).toBe(id);
  expect(await farmIdOf(copy.db)).toBe(id);
  await preparePractice(copy.db, DEMO_START_MS);
  expect(await farmIdOf(copy.db)).not.toBe(id);
  expect(await readMeta(copy.db, 'feedToken')).toBeNull();
  expect(await readMeta(copy.db, 'clockMs')).toBe(String(DEMO_START_MS));
});

test('it begins at closing time of the day that is named, never of one that was', () => {
  const at = (on?: string) => practiceStartAtMs(DEMO_FARM, DEMO_START_MS, on);
  const { sunsetAtMs } = nightWindow('2027-02-01', DEMO_FARM);
  expect(Math.abs(at('2027-02-01') - (sunsetAtMs! - 2.5 * 3_600_000))).toBeLessThan(60_000);
  expect(at()).toBeGreaterThan(nightWindow('2027-01-14', DEMO_FARM).fromAtMs);
  for (const bad of ['2027-01-13', 'tomorrow', '2027-02-31x', '2031-01-01', ''])
    expect(() => at(bad)).toThrow(/--on: expected a date from 2027-01-14 on/);
});

test('its nights are clear and still, then windy, then under cloud, whatever the season and the half of the earth', () => {
  for (const [latitude, date] of [
    [42.7, '2027-01-14'],
    [55, '2027-04-20'],
    [-41, '2027-07-10'],
  ] as const) {
    const site = { latitude, longitude: -5.4, elevationM: 300, timeZone: 'UTC' };
    const startAtMs = practiceStartAtMs(site, Date.parse(`${date}T08:00:00Z`), date);
    const episodes = practiceWeather(site, startAtMs);
    const night = (n: number) => {
      const from = nightWindow(date, site).fromAtMs + (n * 24 + 8) * 3_600_000;
      const hours = trueHours({ seed: 5, site, episodes }, from, from + 8 * 3_600_000);
      const mean = (of: (h: (typeof hours)[number]) => number) =>
        hours.reduce((s, h) => s + of(h), 0) / hours.length;
      return { cloud: mean((h) => h.cloudFraction ?? 0), wind: mean((h) => h.windMs) };
    };
    const [still, windy, dull] = [night(0), night(1), night(2)];
    expect(still.cloud).toBeLessThan(0.2);
    expect(windy.wind).toBeGreaterThan(2.5 * still.wind);
    expect(dull.cloud).toBeGreaterThan(0.7);
  }
});

test('what is entered there, or meant for another farm, stays out of the farm', async () => {
  const pool = startPool(buildServer());
  const farmId = await farmIdOf(copy.db);
  const episodes = practiceWeather(DEMO_FARM, DEMO_START_MS);
  const { app, context } = makeApp(
    {
      db: copy.db,
      clock: demoClock(DEMO_START_MS, () => Promise.resolve()),
      pool,
      townsFile: TOWNS,
      farmId,
      practice: true,
      sources: demoSources(copy.db, { seed: 5, episodes }),
    },
    null,
  );
  const note = (id: string) => ({ records: [{ id, kind: 'note', atMs: DEMO_START_MS, text: 'rehearsed' }] });
  const mine = await farmIdOf(own.db);
  const api = request(app);
  expect((await api.get('/api/farm').expect(200)).body).toMatchObject({ practice: true, simulated: true });
  // a phone that holds entries for the farm itself
  const res = await api.post('/api/records').set('x-fogata-farm', mine).send(note(N1)).expect(421);
  expect(res.body.detail).toContain('kept on this device');
  expect(res.headers['x-fogata']).toBe(farmId);
  await api.post('/api/records').set('x-fogata-farm', farmId).send(note(N2)).expect(201);
  await api.get('/api/farm').set('x-fogata-farm', mine).expect(200);
  const { entries } = (await api.get('/api/log?kinds=note')).body as {
    entries: { record: { id: string } }[];
  };
  expect(entries.map((e) => e.record.id)).toEqual(expect.arrayContaining([N2]));
  expect(entries.map((e) => e.record.id)).not.toContain(N1);
  context.stop();
  await pool.close();
});
