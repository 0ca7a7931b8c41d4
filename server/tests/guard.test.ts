/** Who may talk to the server, and what it does with what nobody should send. */
import type { FarmFile } from '@fogata/contract';
import { networkInterfaces } from 'node:os';
import request from 'supertest';
import { makeApp } from '../src/app';
import { realClock } from '../src/clock';
import { farm as farmTable } from '../src/db/schema';
import { mended } from '../src/farm/store';
import { allowedNames, limiter, sessions } from '../src/guard';
import { startTestServer, TOWNS, type TestServer } from './harness';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
});
afterAll(() => s.close());

describe('a page of somebody else', () => {
  const clear = () => s.api.post('/api/plantings/nothing/clear');
  test('cannot make a change, whether it sends a body or none', async () => {
    await clear().set('origin', 'https://evil.example').expect(403);
    await clear().set('origin', 'null').expect(403);
    await clear().set('sec-fetch-site', 'cross-site').expect(403);
    // another port of this machine is another house
    await clear().set('sec-fetch-site', 'same-site').expect(403);
    await clear().expect(404);
    await clear().set('origin', 'http://127.0.0.1:4310').set('host', '127.0.0.1:4310').expect(404);
  });

  test('cannot read what the farm says either', async () => {
    await s.api.get('/api/now').set('origin', 'https://evil.example').expect(403);
    await s.api.get('/api/farm/file').set('sec-fetch-site', 'cross-site').expect(403);
  });

  test('cannot reach it under a name of its own that was bound to this address', async () => {
    for (const host of ['evil.example', 'evil.example:4310', '127.0.0.1.evil.example', 'x'.repeat(400), '']) {
      const res = await s.api.get('/api/farm').set('host', host);
      expect([400, 421]).toContain(res.status);
    }
    for (const host of ['localhost:4310', '127.0.0.1', '[::1]:4310'])
      await s.api.get('/api/farm').set('host', host).expect(200);
  });

  test('cannot frame it, and no foreign script runs in it', async () => {
    const { headers } = await s.api.get('/api/health').expect(200);
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
    expect(headers['content-security-policy']).toMatch(/script-src 'self' 'wasm-unsafe-eval'(;|$)/);
    expect(headers['x-frame-options']).toBe('DENY');
    expect(headers['x-fogata']).toBe('1');
  });
});

test('names: loopback, where it listens, what it was told; on all interfaces their addresses', () => {
  expect(allowedNames({ host: '192.168.1.5', names: ['Farm.Home'], passcode: 'x' })).toEqual(
    new Set(['localhost', '127.0.0.1', '::1', '192.168.1.5', 'farm.home']),
  );
  const own = Object.values(networkInterfaces()).flatMap((l) => (l ?? []).map((i) => i.address));
  const open = allowedNames({ host: '0.0.0.0', passcode: 'x' });
  for (const address of own) expect(open.has(address)).toBe(true);
  expect(open.has('evil.example')).toBe(false);
});

describe('a passcode', () => {
  const guarded = () =>
    request(
      makeApp({ db: s.open.db, clock: realClock, pool: s.pool, townsFile: TOWNS }, null, {
        host: '127.0.0.1',
        passcode: 'a long winter',
      }).app,
    );

  test('is asked for before anything is told, and opens a session that no other site is sent', async () => {
    const api = guarded();
    await api.get('/api/health').expect(200);
    expect((await api.get('/api/farm').expect(401)).body.detail).toContain('passcode');
    await api.post('/api/records').send({ records: [] }).expect(401);
    // nor is a large body read for whoever is not let in: refused for the passcode, not for its length
    const large = 'x'.repeat(9_000_000);
    await api.post('/api/records').send({ large }).expect(401);
    await api.post('/api/session').send({ passcode: large }).expect(413);
    await api.post('/api/session').send({ passcode: 'a long summer' }).expect(401);
    await api
      .post('/api/session')
      .send({ passcode: { length: 3 } })
      .expect(401);
    const cookie = (await api.post('/api/session').send({ passcode: 'a long winter' }).expect(204)).headers[
      'set-cookie'
    ]![0]!;
    expect(cookie).toMatch(/HttpOnly; SameSite=Strict/);
    await api.get('/api/farm').set('cookie', cookie).expect(200);
    await api
      .get('/api/farm')
      .set(
        'cookie',
        cookie.replace(/.(?=;)/, (c) => (c === 'a' ? 'b' : 'a')),
      )
      .expect(401);
    // feeds have a token of their own
    await api.post('/api/feed/weather').send({}).expect(401);
  });

  test('cannot be guessed at for long', async () => {
    const api = guarded();
    const tries = [];
    for (let i = 0; i < 12; i++)
      tries.push((await api.post('/api/session').send({ passcode: `guess ${i}` })).status);
    expect(tries.slice(0, 8)).toEqual(Array(8).fill(401));
    expect(tries.slice(8)).toEqual(Array(4).fill(429));
  });

  test('another one ends every session, and a session ends by itself', () => {
    const now = Date.UTC(2027, 0, 1);
    const mine = sessions('a long winter');
    const cookie = `a=b; fogata_session=${mine.make(now)}`;
    expect(mine.holds(cookie, now)).toBe(true);
    expect(mine.holds(cookie, now + 91 * 86_400_000)).toBe(false);
    expect(sessions('a short winter').holds(cookie, now)).toBe(false);
  });

  test('the limit lets go when its time is over', () => {
    let at = 0;
    const ok = limiter(2, 1000, () => at);
    expect([ok('a'), ok('a'), ok('a'), ok('b')]).toEqual([true, true, false, true]);
    at = 1001;
    expect(ok('a')).toBe(true);
  });
});

describe('one wrong letter', () => {
  test('in the settings never stops the farm: the default stands in, and it can be set again', async () => {
    const { farm } = (await s.api.get('/api/farm').expect(200)).body as { farm: FarmFile['farm'] };
    await s.open.db
      .update(farmTable)
      .set({ settings: { ...farm, timeZone: 'Europe/Madird', latitude: 420 } as never });
    const read = (await s.api.get('/api/farm').expect(200)).body.farm;
    expect(read).toMatchObject({ name: farm.name, timeZone: 'UTC', latitude: 45 });
    await s.api.patch('/api/farm').send(farm).expect(200);
    expect((await s.api.get('/api/farm')).body.farm).toEqual(farm);
    expect(mended('nonsense').name).toBe('My farm');
  });
});

describe('what nobody should send', () => {
  const routes: [string, string][] = [
    ['post', '/api/records'],
    ['post', '/api/setup'],
    ['post', '/api/forecasts'],
    ['post', '/api/forecasts/typed'],
    ['post', '/api/temperatures'],
    ['post', '/api/feed/weather'],
    ['post', '/api/farm/file'],
    ['post', '/api/farm/geojson'],
    ['post', '/api/kit/stock'],
    ['post', '/api/clock'],
    ['put', '/api/structures/x'],
    ['put', '/api/beds/x'],
    ['put', '/api/covers/x'],
    ['put', '/api/plantings/x'],
    ['put', '/api/feeds/poll'],
    ['patch', '/api/farm'],
  ];
  const odd: unknown[] = [
    null,
    [],
    'x',
    7,
    {},
    { id: '\u0000' },
    { name: 'a\ud800b' },
    { dryRun: false, file: { format: 'fogata-farm/1', records: [{ atMs: 9e99 }] } },
    { dryRun: false, csv: '\u0000,,,\n"', name: 'x', spot: 'outside' },
    { records: [{ id: '00000000-0000-4000-8000-000000000000', kind: 'note', atMs: 9e15, text: 'x' }] },
    { records: [{ id: '00000000-0000-4000-8000-000000000001', kind: 'note', atMs: 1, text: 'a\u0000b' }] },
    { plantedOn: '2027-02-31', bedId: 'n1', crop: 'spinach' },
    { toAtMs: 8.64e15 + 5 },
    { toAtMs: Number.MAX_SAFE_INTEGER },
    { timeZone: 'Europe/Madird' },
    { __proto__: { a: 1 }, constructor: 1 },
  ];

  test.each(routes)(
    '%s %s answers no 5xx to any of it',
    async (method, path) => {
      for (const body of odd) {
        const res = await (s.api as unknown as Record<string, (p: string) => request.Test>)[method]!(path)
          .set('content-type', 'application/json')
          .send(JSON.stringify(body));
        expect([path, JSON.stringify(body), res.status < 500]).toEqual([path, JSON.stringify(body), true]);
      }
    },
    60_000,
  );

  test.each([
    ['/api/beds?date=2027-13-45'],
    ['/api/beds?date[a]=1'],
    ['/api/places/%00'],
    ['/api/places/%E0%A4%A'],
    ['/api/nights/2027-99-99'],
    ['/api/nights/0000-00-00'],
    ['/api/log?offset=99999999999999999999'],
    ['/api/log?offset=-1&kinds=%00'],
    ['/api/zone?latitude=NaN&longitude=1e999'],
    ['/api/kit/cut?material=__proto__'],
  ])('GET %s answers no 5xx', async (path) => {
    expect((await s.api.get(path)).status).toBeLessThan(500);
  });

  test('another charset and a body that is no JSON are said in words', async () => {
    const post = (type: string, body: string) =>
      s.api.post('/api/records').set('content-type', type).send(body);
    expect((await post('application/json; charset=utf-7', '{}')).status).toBeLessThan(500);
    expect((await post('application/json', '{"a":')).body.detail).toBe('The request is not valid JSON.');
    await s.now();
  });
});
