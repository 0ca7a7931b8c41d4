/** Two Fogatas on one PostgreSQL: started as a grower would, killed as a power cut would; nothing twice and nothing lost. */
import type { LogView, NowView, PlaceView } from '@fogata/contract/told';
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeApp } from '../src/app';
import { demoClock } from '../src/clock';
import { openPostgres } from '../src/db/open';
import { DEMO_EPISODES, DEMO_SEED, DEMO_START_MS } from '../src/demo/seed';
import { loadDemo } from '../src/demo/load';
import { startPool } from '../src/night/pool';
import { pollDue, setPoll } from '../src/sources/poll';
import { demoSources } from '../src/standins/demo';
import { buildServer, MIGRATIONS, TOWNS } from './harness';
import { freePort, startPostgres, type TestPostgres } from './postgres';

let pg: TestPostgres;
let worker: string;
beforeAll(async () => {
  worker = buildServer();
  pg = await startPostgres();
});
const children: ChildProcess[] = [];
afterAll(() => {
  for (const c of children) c.kill('SIGKILL');
  pg.stop();
});

/** One of several servers in this process, with a session of its own, and how many houses it has run. */
async function server(url: string) {
  const open = await openPostgres(url, MIGRATIONS);
  await loadDemo(open.db);
  const pool = startPool(worker);
  let houses = 0;
  const counting: ReturnType<typeof startPool> = {
    ...pool,
    house: (task, signal) => {
      houses += 1;
      return pool.house(task, signal);
    },
  };
  const { context } = makeApp(
    {
      db: open.db,
      locks: open.locks,
      pool: counting,
      clock: demoClock(DEMO_START_MS, () => Promise.resolve()),
      sources: demoSources(open.db, { seed: DEMO_SEED, episodes: DEMO_EPISODES }),
      members: 3,
      townsFile: TOWNS,
    },
    null,
  );
  return {
    open,
    context,
    houses: () => houses,
    plan: async () => {
      const m = await context.moment();
      return (await context.planner.wait(m.data, m.weather, m.nowAtMs))!;
    },
    close: async () => {
      context.stop();
      await pool.close();
      await open.close();
    },
  };
}

test('a plan that two servers are asked for is worked out once, and the same', async () => {
  const url = pg.make('once');
  const [a, b] = [await server(url), await server(url)];
  const [of, other] = await Promise.all([a.plan(), b.plan()]);
  expect([a.houses() > 0, b.houses() > 0].filter(Boolean)).toHaveLength(1);
  expect(other.beds.map((x) => [x.bed.id, x.chosen, x.loss])).toEqual(
    of.beds.map((x) => [x.bed.id, x.chosen, x.loss]),
  );
  await Promise.all([a.close(), b.close()]);
});

test('while one is at it the other says how far it is; where that one goes, the other takes over', async () => {
  const url = pg.make('takeover');
  const [a, b] = [await server(url), await server(url)];
  const ask = async (s: typeof a) => {
    const m = await s.context.moment();
    return s.context.planner.ask(m.data, m.weather, m.nowAtMs);
  };
  await ask(a);
  let other = await ask(b);
  for (let i = 0; i < 200 && other.progress.of === 0; i++) {
    await new Promise((r) => setTimeout(r, 20));
    other = await ask(b);
  }
  expect(other.progress).toMatchObject({ state: 'computing', of: 16 });
  expect(b.houses()).toBe(0);
  await a.close();
  expect((await b.plan()).beds).toHaveLength(16);
  expect(b.houses()).toBeGreaterThan(0);
  await b.close();
});

test('an address is asked by one of two servers, once in a quarter of an hour', async () => {
  const url = pg.make('poll');
  const [a, b] = [await openPostgres(url, MIGRATIONS), await openPostgres(url, MIGRATIONS)];
  await setPoll(a.db, 'http://127.0.0.1:9/weather');
  expect(await pollDue(a.db, 1_000_000)).toBe(true);
  expect(await pollDue(b.db, 1_060_000)).toBe(false);
  expect(await pollDue(b.db, 1_000_000 + 15 * 60_000)).toBe(true);
  const mine = await a.locks.take('poll');
  expect(await b.locks.take('poll')).toBeNull();
  expect(await a.locks.take('poll')).toBeNull();
  await mine!();
  expect(await b.locks.take('poll')).not.toBeNull();
  await Promise.all([a.close(), b.close()]);
});

/** A real one, as `npm start` starts it. */
async function started(url: string): Promise<{ child: ChildProcess; at: string }> {
  const port = await freePort();
  const child = spawn(process.execPath, [join(__dirname, '..', 'dist', 'main.mjs'), '--demo'], {
    env: {
      ...process.env,
      NODE_OPTIONS: '',
      DATABASE_URL: url,
      PORT: String(port),
      FOGATA_DATA: mkdtempSync(join(tmpdir(), 'fogata-shared-')),
      FOGATA_MEMBERS: '3',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  children.push(child);
  await new Promise<void>((done, fail) => {
    child.stdout!.on('data', (text) => String(text).includes('Fogata (demo) is at') && done());
    child.on('exit', (code) => fail(new Error(`ended with ${code}`)));
  });
  return { child, at: `http://127.0.0.1:${port}` };
}

test('a thousand records from two servers at once are all there, also after one is killed; no sheet is laid twice', async () => {
  const url = pg.make('records');
  // both at once: one makes the tables, the other waits for it
  const [a, b] = await Promise.all([started(url), started(url)]);
  const post = (at: string, records: object[]) =>
    fetch(`${at}/api/records`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ records }),
    });
  const note = () => ({ id: randomUUID(), kind: 'note', atMs: DEMO_START_MS, text: 'seen' });
  const sent = new Set<string>();
  const many = async (at: string) => {
    for (let i = 0; i < 50; i++) {
      const list = Array.from({ length: 10 }, note);
      expect((await post(at, list)).status).toBe(201);
      list.forEach((r) => sent.add(r.id));
    }
  };
  await Promise.all([many(a.at), many(b.at)]);
  expect(sent.size).toBe(1000);

  // two phones, two servers, one job
  const lay = () => ({
    id: randomUUID(),
    kind: 'cover',
    atMs: DEMO_START_MS,
    bedId: 'n1',
    coverId: 'blanket',
    on: true,
    lying: 0,
  });
  await Promise.all([post(a.at, [lay()]), post(b.at, [lay()])]);
  const place = (await (await fetch(`${b.at}/api/places/n1`)).json()) as PlaceView;
  expect(place.covers.filter((c) => c.cover.id === 'blanket' && c.on)).toHaveLength(1);

  a.child.removeAllListeners('exit');
  a.child.kill('SIGKILL');
  const found = new Set<string>();
  for (let offset = 0; ; offset += 60) {
    const page = (await (await fetch(`${b.at}/api/log?kinds=note&offset=${offset}`)).json()) as LogView;
    page.entries.forEach((e) => found.add(e.record.id));
    if (!page.more) break;
  }
  expect([...sent].filter((id) => !found.has(id))).toEqual([]);
  const now = (await (await fetch(`${b.at}/api/now`)).json()) as NowView;
  expect(['computing', 'ready']).toContain(now.progress.state);
  b.child.removeAllListeners('exit');
  b.child.kill('SIGTERM');
  await new Promise((done) => b.child.on('exit', done));
});
