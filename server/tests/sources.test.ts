/**
 * A real farm's weather: none is shown that nobody told. It asks, it takes what is typed, brought, pushed and polled, and says
 * what the days before are worth.
 */
import { PLAIN, told } from '@fogata/core/words';
import type {
  FeedView,
  ForecastView,
  ImportView,
  NightReport,
  NowView,
  PlaceView,
} from '@fogata/contract/told';
import { HOUR_MS, nightOf } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import {
  DEMO_BEDS,
  DEMO_COVERS,
  DEMO_FARM,
  DEMO_PLANTINGS,
  DEMO_START_MS,
  DEMO_STRUCTURES,
} from '../src/demo/seed';
import { writeFarm } from '../src/farm/store';
import { farmWeather, isForecast } from '../src/sources/farmWeather';
import { pollOnce } from '../src/sources/poll';
import type { Sources } from '../src/sources/ports';
import { startTestServer, type TestServer } from './harness';

const NOW = DEMO_START_MS;
const LOW_AT = Date.parse('2027-01-15T07:00:00Z');
const typed = { lowC: -7, lowAtMs: LOW_AT, highC: 6, windMs: 1, cloud: 0.1, sure: 'usual' };
let s: TestServer;

beforeAll(async () => {
  s = await startTestServer(false);
  await writeFarm(s.open.db, DEMO_FARM);
  for (const x of DEMO_STRUCTURES.slice(0, 1)) await s.api.put(`/api/structures/${x.id}`).send(x).expect(200);
  for (const x of DEMO_BEDS.filter((b) => ['n1', 'n2'].includes(b.id)))
    await s.api.put(`/api/beds/${x.id}`).send(x).expect(200);
  for (const x of DEMO_COVERS) await s.api.put(`/api/covers/${x.id}`).send(x).expect(200);
  for (const x of DEMO_PLANTINGS.filter((p) => ['n1', 'n2'].includes(p.bedId)))
    await s.api.put(`/api/plantings/${x.id}`).send(x).expect(200);
});
afterAll(() => s.close());

const text = (now: NowView) => now.sentence.map((p) => p.text).join('');
const to = (ms: number) => s.api.post('/api/clock').send({ toAtMs: ms }).expect(200);
const forecasts = async () => (await s.api.get('/api/forecasts').expect(200)).body as ForecastView;
const dropAll = async () => {
  for (const f of (await forecasts()).imported) await s.api.post(`/api/forecasts/${f.id}/drop`).expect(204);
};
const hours = (fromAtMs: number, n: number, airC: (i: number) => number) =>
  Array.from({ length: n }, (_, i) => ({
    time: new Date(fromAtMs + i * HOUR_MS).toISOString(),
    airC: airC(i),
    dewPointC: airC(i) - 2,
    windMs: 1.5,
    cloudFraction: 0.3,
  }));

test('the same forecast, brought again, is the same night to the last digit; another one is not', async () => {
  const entries = hours(NOW, 30, (i) => 2 - i / 4);
  const members = async (id: string, as: typeof entries) => {
    const issue = { id, name: 'brought', source: 'file' as const, issuedAtMs: NOW, entries: as, doubt: 1 };
    const sources: Sources = {
      revision: () => Promise.resolve(id),
      issued: { issues: () => Promise.resolve([issue]) },
      observed: { hours: () => Promise.resolve([]) },
      thermometers: { read: () => Promise.resolve(null) },
    };
    const weather = await farmWeather(sources, DEMO_FARM, NOW, [], 3);
    const coming = weather.coming(nightOf(NOW, DEMO_FARM), NOW, NOW + 24 * HOUR_MS);
    return isForecast(coming) ? coming.members.map((m) => m.map((e) => e.airC)) : [];
  };
  const first = await members('a', entries);
  expect(first).toHaveLength(3);
  expect(await members('b', entries)).toEqual(first);
  const other = await members(
    'a',
    hours(NOW, 30, (i) => 2.1 - i / 4),
  );
  expect(other[1]![20]! - first[1]![20]!).not.toBeCloseTo(0.1, 3);
});

test('without a forecast it asks for one, and shows no figure of a night', async () => {
  const now = await s.now();
  expect(now.progress).toMatchObject({ state: 'waiting', lack: { why: 'none' } });
  expect(text(now)).toBe('There is no forecast for tonight. Tell it what yours says.');
  expect([now.night, now.money, now.ribbon]).toEqual([null, null, null]);
  expect([now.jobs, now.places, now.storm, now.cautions]).toEqual([[], [], [], []]);
  const place = (await s.api.get('/api/places/n1').expect(200)).body as PlaceView;
  expect([place.ribbon, place.whatIf, place.options]).toEqual([null, null, []]);
  expect(place.plantings[0]!.leafC).toBeNull();
});

test('late in the morning, told of tonight, it claims nothing of the night that was', async () => {
  await to(Date.parse('2027-01-14T10:40:00Z'));
  await s.api.post('/api/forecasts/typed').send(typed).expect(201);
  const now = await s.now();
  expect([now.clock.phase, now.progress.state]).toEqual(['morning', 'ready']);
  expect(text(now)).toContain('What the night did is not known here');
  expect(text(now)).not.toMatch(/frozen|froze|low outside/);
  await dropAll();
  await to(NOW);
});

test('typed by hand it is a night’s plan at once, with what is not known of the days before', async () => {
  await s.api.post('/api/forecasts/typed').send(typed).expect(201);
  const now = await s.now();
  expect(now.progress.state).toBe('ready');
  expect(text(now)).toMatch(/^−7 °C by 08:00, clear/);
  expect(now.night).toMatchObject({ source: 'typed', issuedAtMs: NOW });
  expect(now.night!.doubt).toMatch(/days before .* leaves with it by about 1\.0/);
  expect(now.places).toHaveLength(2);
});

test('the next evening it has run out, says so, and asks again', async () => {
  await to(NOW + 24 * HOUR_MS);
  const now = await s.now();
  expect(now.progress.lack).toMatchObject({ why: 'short', source: 'typed' });
  expect(text(now)).toMatch(/^The forecast that was typed ends Fri 15 Jan 20:00, before the night does/);
  await to(NOW + 48 * HOUR_MS);
  expect(text(await s.now())).toMatch(/^The forecast that was typed ended Fri 15 Jan 20:00/);
  await to(NOW);
  expect((await s.now()).progress.state).toBe('ready');
});

test.each([
  [{ highC: -9 }, 'highC: expected no lower than the lowest'],
  [{ lowAtMs: NOW + 80 * HOUR_MS }, 'lowAtMs: expected a time in the coming night'],
  [{ windMs: -1 }, 'windMs: expected at least 0 m/s'],
])('typed wrong, %j is refused by its name', async (over, detail) => {
  const res = await s.api
    .post('/api/forecasts/typed')
    .send({ ...typed, ...over })
    .expect(422);
  expect(res.body.detail).toContain(detail);
});

test('a file that ends in the night is not stretched, one that reaches to noon is used, the newest first', async () => {
  await dropAll();
  const csv = (n: number) =>
    `time,temp (°C),dew point (°C),wind (m/s)\n${hours(NOW - 0.5 * HOUR_MS, n, (i) => -i / 4)
      .map((h) => `${h.time},${h.airC},${h.dewPointC},${h.windMs}`)
      .join('\n')}`;
  const bring = (n: number, name: string) =>
    s.api
      .post('/api/forecasts')
      .send({ name, csv: csv(n), as: 'forecast', dryRun: false })
      .expect(201);
  await bring(12, 'valley');
  expect(text(await s.now())).toContain(
    'The forecast “valley” ends Fri 15 Jan 02:00, before the night does.',
  );
  const long = ((await bring(30, 'hill')).body as ImportView).estimated;
  expect(long).toEqual(['cloud, as half of the sky']);
  expect((await s.now()).night).toMatchObject({ name: 'hill', source: 'file' });
  await dropAll();
});

describe('a feed', () => {
  const push = (body: object, token: string | null, path = '/api/feed/weather') => {
    const req = s.api.post(path);
    return (token === null ? req : req.set('authorization', `Bearer ${token}`)).send(body);
  };
  let token = '';

  test('is taken with the token that was last made, and with no other', async () => {
    const feed = { kind: 'forecast', name: 'station', hours: hours(NOW - 0.5 * HOUR_MS, 40, () => -3) };
    await push(feed, null).expect(401);
    const first = ((await s.api.post('/api/feeds/token').expect(201)).body as { token: string }).token;
    token = ((await s.api.post('/api/feeds/token').expect(201)).body as { token: string }).token;
    await push(feed, first).expect(401);
    expect((await push(feed, token).expect(201)).body).toEqual({ hours: 40, fresh: true });
    // sent twice it is kept once
    expect((await push(feed, token).expect(201)).body).toEqual({ hours: 40, fresh: false });
    expect((await s.now()).night).toMatchObject({ name: 'station', source: 'push' });
  });

  test('measured hours take the doubt away, and none of the future can have been measured', async () => {
    const measured = hours(NOW - 150.5 * HOUR_MS, 151, () => 1);
    await push({ kind: 'observed', hours: measured }, token).expect(201);
    expect((await s.now()).night!.doubt).toBeNull();
    const res = await push({ kind: 'observed', hours: hours(NOW + 5.5 * HOUR_MS, 3, () => 1) }, token).expect(
      422,
    );
    expect(res.body.detail).toContain('is to come');
  });

  test('a bad hour is named, and nothing of the delivery is kept', async () => {
    const bad = hours(NOW - 0.5 * HOUR_MS, 30, () => -3).map((h, i) =>
      i === 7 ? { ...h, dewPointC: 20 } : h,
    );
    const before = (await forecasts()).imported.length;
    const res = await push({ kind: 'forecast', hours: bad }, token).expect(422);
    expect(res.body).toMatchObject({ field: 'hours[7]', detail: expect.stringContaining('dew point 20.0') });
    expect((await forecasts()).imported).toHaveLength(before);
  });

  test('a thermometer’s readings stand beside the round, by the name of its place', async () => {
    const readings = [
      { spot: 'North house', time: '2027-01-15T02:00:00Z', c: -4.2 },
      { spot: 'outside', time: '2027-01-15T02:00:00Z', c: -6.1 },
      { spot: 'outside', time: '2027-01-15T06:00:00Z', c: -6.8 },
    ];
    await to(LOW_AT + 1.5 * HOUR_MS);
    const path = '/api/feed/thermometers';
    await push({ readings: [{ spot: 'Shed', time: '2027-01-15T02:00:00Z', c: 1 }] }, token, path).expect(422);
    await push({ readings }, token, path).expect(201);
    const now = await s.now();
    const shown = Object.fromEntries(now.rounds.map((r) => [r.spot, r.thermometer]));
    expect(shown['outside']).toEqual({ minC: -6.8, maxC: -6.1 });
    expect(shown['north']).toEqual({ minC: -4.2, maxC: -4.2 });
    // a logger's own table
    const csv = 'time;temp\n2027-01-15 04:10;-5,0\n2027-01-15 04:20;-5,3';
    const log = await s.api.post('/api/temperatures').send({ spot: 'north', csv, dryRun: false }).expect(201);
    expect(log.body).toMatchObject({ rows: 2, minC: -5.3 });
    expect((await s.now()).rounds.find((r) => r.spot === 'north')!.thermometer!.minC).toBe(-5.3);
  });

  test('the night’s report parts weather and model only where the weather is known', async () => {
    const noted = (spot: string, minC: number) => ({
      id: randomUUID(),
      kind: 'reading',
      atMs: LOW_AT + 1.5 * HOUR_MS,
      spot,
      night: '2027-01-14',
      minC,
      maxC: null,
      source: 'grower',
    });
    await s.api
      .post('/api/records')
      .send({ records: [noted('north', -5.3)] })
      .expect(201);
    const hindsight = async () =>
      ((await s.api.get('/api/nights/2027-01-14').expect(200)).body as NightReport).spots.find(
        (x) => x.spot === 'north',
      )!.hindsightC;
    // the night was forecast, and nobody measured it
    expect(await hindsight()).toBeNull();
    // a lowest outside corrects it
    await s.api
      .post('/api/records')
      .send({ records: [noted('outside', -6.8)] })
      .expect(201);
    expect(await hindsight()).not.toBeNull();
    await to(NOW);
  });
});

describe('an address that is polled', () => {
  let web: Server;
  let answer: { status: number; body: string; location?: string } = { status: 200, body: '' };
  beforeAll(async () => {
    web = createServer((_req, res) => {
      res.writeHead(answer.status, answer.location ? { location: answer.location } : {});
      res.end(answer.body);
    });
    await new Promise<void>((done) => web.listen(0, '127.0.0.1', done));
  });
  afterAll(() => new Promise((done) => web.close(done)));
  const url = () => `http://127.0.0.1:${(web.address() as AddressInfo).port}/weather`;
  const poll = async () => told((await pollOnce(s.open.db, NOW))!.went, PLAIN);

  test('answers in the feed’s own format and becomes the forecast; the same answer is nothing new', async () => {
    await dropAll();
    const feed = {
      kind: 'forecast',
      name: 'mast',
      issued: '2027-01-14T12:00:00Z',
      hours: hours(NOW - 0.5 * HOUR_MS, 40, () => -2),
    };
    answer = { status: 200, body: JSON.stringify(feed) };
    const view = (await s.api.put('/api/feeds/poll').send({ url: url() }).expect(200)).body as FeedView;
    expect(view.poll).toMatchObject({ went: '40 hours taken.', lastAtMs: NOW });
    expect((await s.now()).night).toMatchObject({ name: 'mast', source: 'poll' });
    expect(await poll()).toBe('Nothing new.');
  });

  test.each([
    [{ status: 500, body: '' }, 'it answered 500'],
    [{ status: 200, body: '<html>' }, 'its answer is not JSON'],
    [{ status: 200, body: '{"kind":"forecast","hours":[]}' }, 'its answer was not taken: hours: '],
    [{ status: 200, body: 'x'.repeat(2_100_000) }, 'larger than 2 MB'],
    [{ status: 302, body: '', location: 'http://127.0.0.1:1/' }, 'it could not be reached'],
  ])('that answers wrongly is said in words and changes nothing: %j', async (wrong, words) => {
    answer = wrong;
    const before = (await forecasts()).imported.length;
    expect(await poll()).toContain(words);
    expect((await forecasts()).imported).toHaveLength(before);
  });

  test('only http and https are asked, and null stops it', async () => {
    await s.api.put('/api/feeds/poll').send({ url: 'file:///etc/passwd' }).expect(422);
    const view = (await s.api.put('/api/feeds/poll').send({ url: null }).expect(200)).body as FeedView;
    expect(view.poll).toBeNull();
  });
});
