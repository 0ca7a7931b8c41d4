/** Messages from a real farm's evening: told once, by one server, and again only where the sink did not take them. */
import type { Message, MessagesView } from '@fogata/contract/told';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { nightWindow } from '@fogata/core';
import { DEMO_FARM, DEMO_START_MS } from '../src/demo/seed';
import { lookOut } from '../src/messages/look';
import { fileSink } from '../src/messages/sink';
import { takeTemperatures } from '../src/sources/take';
import { startTestServer, type TestServer } from './harness';

const HOUR = 3_600_000;
const dir = mkdtempSync(join(tmpdir(), 'fogata-messages-'));
const file = join(dir, 'sub', 'messages.jsonl');
const kept: Message[] = [];
const sink = { send: (m: Message) => Promise.resolve(void kept.push(m)) };
let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
  await s.now();
});
afterAll(async () => {
  await s.close();
  rmSync(dir, { recursive: true, force: true });
});

test('in the afternoon nothing is late, and nothing is told', async () => {
  expect(await lookOut(s.context, sink)).toEqual([]);
});

test('after its time a bed near harm is told once, with where the sheet is; what the sink refuses comes again', async () => {
  const { sunsetAtMs } = nightWindow('2027-01-14', DEMO_FARM);
  await s.context.options.clock.set(Math.round(sunsetAtMs! - HOUR / 2));
  await s.now();
  const broken = { send: () => Promise.reject(new Error('no signal')) };
  expect(await lookOut(s.context, broken)).toEqual([]);
  const sent = await lookOut(s.context, sink);
  const cold = sent.filter((m) => m.kind === 'cold');
  expect(cold.length).toBeGreaterThan(1);
  expect(cold[0]).toMatchObject({ format: 'fogata-message/1', urgent: true });
  expect(cold.map((m) => m.text).join(' ')).toMatch(/It is kept: (shed|North house)/);
  expect(await lookOut(s.context, sink)).toEqual([]);
  const view = (await s.api.get('/api/messages').expect(200)).body as MessagesView;
  expect(view.messages.map((m) => m.key).sort()).toEqual(sent.map((m) => m.key).sort());
});

test('what is covered is not told of, and a line a message lies in the file', async () => {
  const { jobs } = await s.now();
  const items = jobs.flatMap((j) => j.items).filter((i) => i.on && !i.done);
  const nowAtMs = s.context.options.clock.nowAtMs();
  const acts = items.map((i, n) => ({
    id: `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
    kind: 'cover',
    atMs: nowAtMs,
    bedId: i.bedId,
    coverId: i.coverId,
    ...(i.use ? { use: i.use } : {}),
    on: true,
  }));
  await s.api.post('/api/records').send({ records: acts }).expect(201);
  // an hour later: what is on is no news, a thermometer that has stopped is
  const rows = Array.from({ length: 40 }, (_, i) => ({
    spot: 'south',
    atMs: nowAtMs - 6 * HOUR - i * 600_000,
    c: 3,
  }));
  await takeTemperatures(s.open.db, rows, 'push', nowAtMs);
  await s.now();
  const sent = await lookOut(s.context, fileSink(file));
  expect(sent.filter((m) => m.kind === 'silent')).toHaveLength(1);
  // what the new plan asks for besides is of other beds
  for (const m of sent) expect(acts.map((a) => a.bedId)).not.toContain(m.subject);
  const lines = readFileSync(file, 'utf8')
    .trim()
    .split('\n')
    .map((l) => JSON.parse(l) as Message);
  expect(lines).toEqual(sent);
  expect(sent.find((m) => m.kind === 'silent')!.title).toBe('No word from the thermometer: South house');
});

test('a house that is colder than its model is told of at night, and the night is reckoned with it', async () => {
  const nightAtMs = DEMO_START_MS + 7.75 * HOUR;
  await s.context.options.clock.set(nightAtMs);
  const before = await s.now();
  const spot = before.spots.find((x) => x.structureId === 'south')!;
  // the demo's own thermometers agree with a model that has learnt from them
  expect(before.spots.map((x) => x.parted)).toEqual(before.spots.map(() => null));
  const rows = [0, 1, 2].map((h) => ({ spot: 'south', atMs: spot.atMs - h * HOUR, c: spot.modelC - 4 }));
  await takeTemperatures(s.open.db, rows, 'push', nightAtMs);
  const after = await s.now();
  const there = after.spots.find((x) => x.structureId === 'south')!;
  expect(there.measuredC).toBeCloseTo(spot.modelC - 4, 6);
  expect(there.parted).toContain('Look for a door');
  const leaf = (v: typeof before) => v.places.find((p) => p.bedId === 's2')!.bareLeafC;
  expect(leaf(after)).toBeLessThan(leaf(before) - 1);
  const parted = (await lookOut(s.context, sink)).filter((m) => m.kind === 'parted');
  expect(parted.map((m) => [m.subject, m.urgent])).toEqual([['south', true]]);
  expect((await lookOut(s.context, sink)).filter((m) => m.kind === 'parted')).toEqual([]);
});

test('a house that shows more than its crops bear is told of by what was measured', async () => {
  const noonAtMs = DEMO_START_MS + 21 * HOUR;
  await s.context.options.clock.set(noonAtMs);
  await takeTemperatures(s.open.db, [{ spot: 'south', atMs: noonAtMs - HOUR / 6, c: 41 }], 'push', noonAtMs);
  const hot = (await lookOut(s.context, sink)).filter((m) => m.kind === 'hot' && m.subject === 'south');
  expect(hot.map((m) => m.title)).toContain('South house: 41.0 °C in there');
  await s.context.options.clock.set(DEMO_START_MS + 8 * HOUR);
});

test('in the quiet hours what can wait waits, and where they were switched off nothing is told', async () => {
  const night = DEMO_START_MS + 11 * HOUR;
  await s.context.options.clock.set(night);
  await takeTemperatures(
    s.open.db,
    Array.from({ length: 40 }, (_, i) => ({ spot: 'north', atMs: night - 5 * HOUR - i * 600_000, c: 1 })),
    'push',
    night,
  );
  await s.now();
  expect((await lookOut(s.context, sink)).filter((m) => m.kind === 'silent')).toEqual([]);
  await s.context.options.clock.set(night + 6 * HOUR);
  const messages = { on: true, quietFrom: '22:00', quietTo: '05:30', urgentAnyway: true };
  const off = { ...messages, on: false };
  await s.api.patch('/api/farm').send({ messages: off }).expect(200);
  await s.now();
  expect(await lookOut(s.context, sink)).toEqual([]);
  await s.api.patch('/api/farm').send({ messages }).expect(200);
  await s.now();
  expect((await lookOut(s.context, sink)).filter((m) => m.subject === 'north')).toHaveLength(1);
  await s.api
    .patch('/api/farm')
    .send({ messages: { ...off, quietFrom: '25:00' } })
    .expect(422);
});
