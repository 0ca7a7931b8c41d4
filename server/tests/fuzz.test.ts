/**
 * Requests that are nearly right, over every route: bodies of every kind with one to three fields spoiled, addresses with odd
 * parts. None gets a 5xx, and after all of it the farm still answers in every room. FOGATA_FUZZ says how many.
 */
import type { FarmFile, FarmRecord } from '@fogata/contract';
import { HOUR_MS } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { DEMO_START_MS } from '../src/demo/seed';
import { startTestServer, type TestServer } from './harness';

const REQUESTS = Number(process.env['FOGATA_FUZZ'] ?? 250);
let s: TestServer;
let file: FarmFile;
beforeAll(async () => {
  s = await startTestServer();
  file = JSON.parse((await s.api.get('/api/farm/file')).text) as FarmFile;
});
afterAll(() => s.close());

/** Park and Miller: the same requests in every run. */
let seed = 20270114;
const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

const ODD: unknown[] = [
  null,
  undefined,
  true,
  0,
  -1,
  1e-320,
  1e308,
  -1e308,
  9e15,
  8.64e15,
  -8.64e15,
  0.1 + 0.2,
  '',
  ' ',
  '\u0000',
  'a\ud800b',
  '🥬'.repeat(40),
  'x'.repeat(5000),
  '=1+1',
  '../../etc',
  '2027-02-30',
  '0000-00-00',
  '9999-12-31',
  '2027-01-14T25:61:00Z',
  '+275760-09-13T00:00:00Z',
  'Europe/Madird',
  '__proto__',
  [],
  [[]],
  {},
  { length: -1 },
  ['n1', 'n1'],
  { then: 1 },
];

/** One field anywhere in it replaced, dropped or added. */
function spoil(body: unknown): unknown {
  if (typeof body !== 'object' || body === null || random() < 0.08) return pick(ODD);
  const copy: Record<string, unknown> | unknown[] = Array.isArray(body)
    ? [...(body as unknown[])]
    : { ...(body as object) };
  const keys = Object.keys(copy);
  if (keys.length === 0) return pick(ODD);
  const key = pick(keys);
  const at = copy as Record<string, unknown>;
  const how = random();
  if (how < 0.15) delete at[key];
  else if (how < 0.2) at[pick(['id', 'constructor', 'extra', 'toString'])] = pick(ODD);
  else if (how < 0.55 && typeof at[key] === 'object' && at[key] !== null) at[key] = spoil(at[key]);
  else at[key] = pick(ODD);
  return copy;
}

const records = (): FarmRecord[] => {
  const base = { id: randomUUID(), atMs: DEMO_START_MS - HOUR_MS };
  return [
    { ...base, kind: 'note', text: 'a note' },
    { ...base, kind: 'cover', bedId: 'n1', coverId: 'fleece30', on: true, lying: 0, use: 'flat' },
    { ...base, kind: 'cover', bedId: 'n1', coverId: 'fleece30', on: false },
    { ...base, kind: 'vent', structureId: 'north', fraction: 0.3 },
    { ...base, kind: 'reading', spot: 'outside', night: '2027-01-13', minC: -3, maxC: 8, source: 'grower' },
    { ...base, kind: 'harm', plantingId: file.plantings[0]!.id, score: 'tips' },
    { ...base, kind: 'harvest', plantingId: file.plantings[0]!.id, kg: 2 },
    { ...base, kind: 'decision', night: '2027-01-14', bedId: 'n1', key: 'bare', verdict: 'changed' },
    { ...base, kind: 'secured', structureId: 'north', what: 'wind' },
    { ...base, kind: 'retraction', retracts: pick(file.records).id },
  ];
};
const hours = () =>
  Array.from({ length: 30 }, (_, i) => ({
    time: new Date(DEMO_START_MS + i * HOUR_MS).toISOString(),
    airC: -2,
    dewPointC: -4,
    windMs: 1,
    cloudFraction: 0.2,
  }));
const csv = () =>
  ['time,temp °C,wind m/s', ...hours().map((h) => `${h.time},${h.airC},${h.windMs}`)].join('\n');
const without = <T extends { weather?: unknown }>(f: T) => ({
  ...f,
  weather: undefined,
  arrivedAtMs: undefined,
});

type Made = { method: string; path: string; body?: unknown };
const id = () => pick(['x', 'n1', 'north', file.plantings[0]!.id, '%00', '%E0%A4%A', 'a'.repeat(70), '..']);
const WRITES: (() => Made)[] = [
  () => ({ method: 'post', path: '/api/records', body: { records: [pick(records())] } }),
  () => ({ method: 'post', path: '/api/records', body: { records: records() } }),
  () => ({
    method: 'post',
    path: '/api/setup',
    body: {
      structures: [pick(file.structures)],
      beds: [pick(file.beds)],
      remove: { structures: [], beds: [] },
    },
  }),
  () => ({ method: 'put', path: `/api/structures/${id()}`, body: pick(file.structures) }),
  () => ({ method: 'put', path: `/api/beds/${id()}`, body: pick(file.beds) }),
  () => ({ method: 'put', path: `/api/covers/${id()}`, body: pick(file.covers) }),
  () => ({ method: 'put', path: `/api/plantings/${id()}`, body: pick(file.plantings) }),
  () => ({ method: 'post', path: `/api/plantings/${id()}/clear`, body: { clearedOn: '2027-01-10' } }),
  () => ({ method: 'patch', path: '/api/farm', body: file.farm }),
  () => ({
    method: 'post',
    path: '/api/forecasts/typed',
    body: { lowC: -4, lowAtMs: DEMO_START_MS + 12 * HOUR_MS, highC: 5, windMs: 1, cloud: 0, sure: 'usual' },
  }),
  () => ({
    method: 'post',
    path: '/api/forecasts',
    body: { name: 'table', csv: csv(), as: 'forecast', dryRun: random() < 0.5 },
  }),
  () => ({ method: 'post', path: `/api/forecasts/${id()}/${pick(['use', 'drop', 'other'])}`, body: {} }),
  () => ({
    method: 'post',
    path: '/api/temperatures',
    body: { spot: 'outside', csv: csv(), dryRun: random() < 0.5 },
  }),
  () => ({
    method: 'post',
    path: '/api/feed/weather',
    body: { kind: 'forecast', name: 'f', hours: hours() },
  }),
  () => ({
    method: 'post',
    path: '/api/feed/thermometers',
    body: { readings: [{ spot: 'outside', time: hours()[0]!.time, c: 3 }] },
  }),
  () => ({ method: 'put', path: '/api/feeds/poll', body: { url: 'http://127.0.0.1:9/x', everyMin: 60 } }),
  () => ({ method: 'post', path: '/api/farm/file', body: { dryRun: true, file: without(file) } }),
  () => ({ method: 'post', path: '/api/kit/stock', body: { dryRun: true, csv: 'id,name\nx,y' } }),
  () => ({ method: 'post', path: '/api/clock', body: { move: 'hour' } }),
  () => ({ method: 'delete', path: `/api/${pick(['structures', 'beds', 'covers'])}/${id()}` }),
];
const READS = [
  () => '/api/farm',
  () => '/api/kit',
  () => '/api/crops',
  () => `/api/towns?q=${pick(['leon', '%00', '%E0%A4%A', 'x'.repeat(300)])}`,
  () => `/api/zone?latitude=${pick(['42', 'NaN', '1e999', ''])}&longitude=${pick(['1', '-181', 'x'])}`,
  () =>
    `/api/log?offset=${pick(['0', '-1', '1e9', '99999999999999999999', 'x'])}&kinds=${pick(['note', '%00', ','])}`,
  () => `/api/places/${id()}`,
  () => `/api/places/${id()}/ribbon?key=${pick(['bare', '%00', 'x'])}`,
  () => `/api/places/${id()}/case`,
  () => `/api/nights/${pick(['2027-01-13', '2027-99-99', '0000-00-00', '9999-12-31', 'x'])}`,
  () => `/api/beds?date=${pick(['2027-01-14', '2027-13-45', '0001-01-01', '9999-12-31'])}`,
  () => `/api/kit/cut?material=${pick(['fleece-30', '__proto__', ''])}`,
  () => '/api/forecasts',
  () => '/api/feeds',
  () => '/api/kit/stock.csv',
  () => '/api/farm/geojson',
  () => '/api/farm/plan.svg',
  () => '/api/now',
];

async function send(made: Made): Promise<string | null> {
  const call = (s.api as unknown as Record<string, (p: string) => ReturnType<TestServer['api']['post']>>)[
    made.method
  ]!(made.path);
  const res =
    made.body === undefined
      ? await call
      : await call.set('content-type', 'application/json').send(JSON.stringify(made.body) ?? 'null');
  if (res.status < 500) return null;
  return `${made.method} ${made.path} ${(JSON.stringify(made.body) ?? '').slice(0, 400)} → ${res.status}`;
}

test(
  `${REQUESTS} requests that are nearly right: not one 5xx, and the farm answers in every room after them`,
  async () => {
    const failed: string[] = [];
    let taken = 0;
    for (let i = 0; i < REQUESTS; i++) {
      let made: Made;
      if (i % 4 === 3) made = { method: 'get', path: pick(READS)() };
      else {
        made = pick(WRITES)();
        const times = 1 + Math.floor(random() * 3);
        for (let k = 0; k < times && made.body !== undefined; k++) made = { ...made, body: spoil(made.body) };
        taken += 1;
      }
      const problem = await send(made);
      if (problem) failed.push(problem);
    }
    expect(failed).toEqual([]);
    expect(taken).toBeGreaterThan(REQUESTS / 2);
    const rooms = [
      '/api/farm',
      '/api/now',
      '/api/beds',
      '/api/kit',
      '/api/log',
      '/api/forecasts',
      '/api/farm/file',
    ];
    for (const path of rooms) expect([path, (await s.api.get(path)).status]).toEqual([path, 200]);
  },
  120_000 + REQUESTS * 300,
);
