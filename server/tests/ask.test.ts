/** A night asked about before anything is set up: an answer from a few taps, nothing kept, and kept it is the same to the last digit. */
import type { AskBody } from '@fogata/contract';
import type { AskView, BedsView, FarmView, LogView } from '@fogata/contract/told';
import { askedFarm, fitCover, isFit, MIDDLE, OUTER, spareSheets, waysOf } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { DEMO_START_MS } from '../src/demo/seed';
import { startTestServer, type TestServer } from './harness';

const NOW = DEMO_START_MS;
const HOUR = 3_600_000;
let s: TestServer;
beforeAll(async () => {
  s = await startTestServer(false);
});
afterAll(() => s.close());

const body = (more: Partial<AskBody> = {}): AskBody => ({
  id: randomUUID(),
  site: { latitude: 47, longitude: 8, elevationM: 450 },
  outer: 'film-house',
  middle: 'fleece',
  laid: false,
  crop: 'lettuce-leaf',
  weeks: 6,
  typed: {
    lowC: -8,
    lowAtMs: NOW + 16 * HOUR,
    highC: 3,
    windMs: 0.5,
    cloud: 0.05,
    sure: 'usual',
  },
  ...more,
});
const ask = async (b: AskBody) => (await s.api.post('/api/ask').send(b).expect(200)).body as AskView;

test.each(OUTER.flatMap((outer) => MIDDLE.map((middle) => [outer, middle] as const)))(
  'what is asked fits together: %s, %s',
  (outer, middle) => {
    const asked = { outer, middle, laid: true, crop: 'spinach', weeks: 3 };
    const farm = askedFarm(asked, 'x', '2027-01-14');
    expect(farm.covers).toHaveLength(middle === 'none' ? 1 : 2);
    for (const c of [...farm.covers, ...spareSheets(asked, farm)])
      expect(
        isFit(fitCover(c, farm.structure, farm.bed)) ? null : fitCover(c, farm.structure, farm.bed),
      ).toBeNull();
    expect(waysOf(farm.covers[0]!).length).toBeGreaterThan(0);
    expect(farm.planting.plantedOn).toBe('2026-12-24');
  },
);

test('the answer: what the leaf sees with its doubt, what a sheet more or less would do, and tomorrow’s sun', async () => {
  const first = body();
  const a = await ask(first);
  expect(a.leafC.low).toBeLessThan(a.leafC.mid);
  expect(a.leafC.mid).toBeLessThan(a.leafC.high);
  expect(a.sentence.map((p) => p.text).join('')).toMatch(
    /^The leaves of the leaf lettuce see −\d.* between −\d.* and .*[Ss]uch (a )?nights? harms? it/,
  );
  expect(a.more.length).toBeGreaterThan(0);
  for (const m of a.more) expect(m.leafC.mid).toBeGreaterThan(a.leafC.mid - 0.2);
  expect(a.more[0]!.leafC.mid).toBeGreaterThan(a.leafC.mid + 0.5);
  expect(a.less!.what).toBe('Without fleece 30');
  expect(a.less!.leafC.mid).toBeLessThan(a.leafC.mid - 0.5);
  expect(a.day!.atMs).toBeGreaterThan(NOW + 17 * HOUR);

  const same = { ...first, middle: 'none' as const };
  const bare = await ask(same);
  expect(bare.less!.what).toBe('Under the open sky');
  expect(bare.less!.leafC.mid).toBeLessThan(bare.leafC.mid);
  // the same question otherwise: the same draws of the weather
  const open = await ask({ ...same, outer: 'none' });
  // a still, clear night: a house and a fleece keep a leaf some kelvins warmer than the sky would have it
  expect(a.leafC.mid).toBeGreaterThan(open.leafC.mid + 4);
  expect(open.less).toBeNull();
  expect(open.day).toBeNull();
  // what takes a house away is what there is without one
  expect(open.leafC.mid).toBeCloseTo(bare.less!.leafC.mid, 6);
  // a warm place: nothing freezes, and what is left shut is hot
  const mild = await ask(
    body({
      site: { latitude: 30, longitude: 8, elevationM: 0 },
      typed: { ...body().typed, lowC: 10, highC: 27 },
    }),
  );
  expect(mild.harmChance).toBeLessThan(0.01);
  expect(mild.day!.tooHot).toBe(true);
});

test('asked at nine in the morning it is the night to come that is answered, with all that could be laid', async () => {
  const nine = NOW - 6.5 * HOUR;
  await s.api.post('/api/clock').send({ toAtMs: nine }).expect(200);
  const a = await ask(body());
  expect(a.more.length).toBeGreaterThan(0);
  expect(a.less).not.toBeNull();
  expect(a.minAtMs).toBeGreaterThan(NOW);
  expect(a.leafC.mid).toBeLessThan(0);
  await s.api.post('/api/clock').send({ toAtMs: NOW }).expect(200);
});

test('asking keeps nothing; keeping gives the night that was answered, as one entry that can be taken back', async () => {
  expect(((await s.api.get('/api/farm')).body as FarmView).emptyFarm).toBe(true);
  const b = body();
  const answer = await ask(b);
  const { recordId } = (await s.api.post('/api/ask/keep').send(b).expect(201)).body as { recordId: string };
  const now = await s.now();
  expect(now.progress.state).toBe('ready');
  const place = now.places[0]!;
  expect(place.bareLeafC).toBeCloseTo(answer.leafC.mid, 9);
  const farm = ((await s.api.get('/api/farm')).body as FarmView).farm;
  expect([farm.latitude, farm.timeZone]).toEqual([47, 'Europe/Zurich']);
  const beds = (await s.api.get('/api/beds')).body as BedsView;
  expect(beds.structures[0]!.beds[0]!.plantings[0]!.planting.crop).toBe('lettuce-leaf');
  // sent twice (a tap on a bad line) it is there once
  await s.api.post('/api/ask/keep').send(b);
  expect(((await s.api.get('/api/beds')).body as BedsView).structures).toHaveLength(1);

  await s.api
    .post('/api/records')
    .send({ records: [{ id: randomUUID(), kind: 'retraction', atMs: NOW, retracts: recordId }] })
    .expect(201);
  expect(((await s.api.get('/api/farm')).body as FarmView).emptyFarm).toBe(true);
  const log = (await s.api.get('/api/log')).body as LogView;
  expect(log.entries.find((e) => e.record.id === recordId)!.retracted).toBe(true);
});

test.each([
  ['crop', { crop: 'unobtainium' }, 'crop: expected a crop of the list'],
  ['outer', { outer: 'igloo' }, 'outer: expected'],
  ['weeks', { weeks: -1 }, 'weeks: expected at least 0'],
  ['site', { site: { latitude: 95, longitude: 0, elevationM: 0 } }, 'site.latitude: expected at most 90°'],
  [
    'typed',
    { typed: { lowC: -8, lowAtMs: NOW - 30 * HOUR, highC: 3, windMs: 1, cloud: 0, sure: 'sure' } },
    'coming night',
  ],
])('a wrong %s is named in a sentence', async (_field, wrong, said) => {
  const res = await s.api.post('/api/ask').send({ ...body(), ...wrong });
  expect(res.status).toBe(422);
  expect((res.body as { detail: string }).detail).toContain(said);
});
