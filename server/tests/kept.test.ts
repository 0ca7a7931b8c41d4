/** Plans are kept: over a restart nothing is computed again, several nights at once, and nothing is taken from another's code. */
import { asUsed, HOUR_MS, sheetKey } from '@fogata/core';
import type { NightPlan } from '@fogata/core/planning';
import { sql } from 'drizzle-orm';
import { inspect } from 'node:util';
import { alone, ownLocks } from '../src/db/locks';
import type { OpenDb } from '../src/db/open';
import { keptPlans } from '../src/db/schema';
import { DEMO_START_MS } from '../src/demo/seed';
import { keptIn, pack, unpack } from '../src/night/keptPlans';
import { Planner } from '../src/night/planner';
import { rememberingPool, startPool, type NightPool } from '../src/night/pool';
import type { FarmWeather } from '../src/sources/farmWeather';
import { demoWeather } from './demoWeather';
import { bareDb, buildServer } from './harness';
import { data } from './threeBeds';

/** Everything in it, to the last digit. */
const whole = (x: unknown) => inspect(x, { depth: null, maxArrayLength: null, maxStringLength: null });
const NOW = DEMO_START_MS;
const TOMORROW = NOW + 24 * HOUR_MS;
let weather: FarmWeather;
let open: OpenDb;
let pool: NightPool;
beforeAll(async () => {
  pool = startPool(buildServer());
  open = await bareDb();
  weather = await demoWeather(NOW, 3);
});
afterAll(async () => {
  await pool.close();
  await open.close();
});

/** A Fogata as it is after a start, and how many houses it has run. */
function started(version = 'v1') {
  let houses = 0;
  const counting: NightPool = {
    ...pool,
    house: (task, signal) => {
      houses += 1;
      return pool.house(task, signal);
    },
  };
  const planner = new Planner({ pool: rememberingPool(counting), kept: keptIn(open.db), version });
  return { planner, houses: () => houses };
}

test('after a restart the plan is there at once, the same to the last digit, and nothing is run', async () => {
  const before = started();
  const plan = (await before.planner.wait(data, weather, NOW))!;
  expect(before.houses()).toBeGreaterThan(0);

  const after = started();
  const asked = await after.planner.ask(data, weather, NOW + 1000);
  expect(asked.progress).toMatchObject({ state: 'ready', done: 3, of: 3 });
  expect(after.houses()).toBe(0);
  // an instant that never comes stays Infinity, a belief stays a Map: as they are, not as JSON has them
  expect(whole(asked.plan)).toBe(whole(plan));
  // a sheet that is planned is the farm's own, not a likeness of it: what is tried looks for it there
  const planned = asked
    .plan!.beds.flatMap((b) => b.options.flatMap((o) => o.covers))
    .filter((c) => c.use === 'hoops');
  expect(planned.some((c) => asked.plan!.data.covers.includes(c))).toBe(true);
});

test('a farm that has changed, and a Fogata that has, are worked out anew', async () => {
  const other = started('v2');
  expect((await other.planner.ask(data, weather, NOW)).progress.state).toBe('computing');
  await other.planner.wait(data, weather, NOW);
  expect(other.houses()).toBeGreaterThan(0);
  const changed = started();
  const fewer = { ...data, covers: [] };
  expect((await changed.planner.ask(fewer, weather, NOW)).progress.state).toBe('computing');
  await changed.planner.wait(fewer, weather, NOW);
});

test('two nights are worked out at once, neither for the price of the other', async () => {
  const { planner } = started('v3');
  const coming = await demoWeather(TOMORROW, 3);
  const [tonight, next] = await Promise.all([
    planner.wait(data, weather, NOW),
    planner.wait(data, coming, TOMORROW),
  ]);
  expect([tonight!.window.night, next!.window.night]).toEqual(['2027-01-14', '2027-01-15']);
});

test('a kept plan that is damaged is worked out once more; only so many are kept', async () => {
  await open.db.update(keptPlans).set({ plan: Buffer.from('not a plan') });
  const mended = started();
  expect((await mended.planner.ask(data, weather, NOW)).plan).toBeNull();
  const plan = (await mended.planner.wait(data, weather, NOW))!;
  for (let i = 0; i < 20; i++) await keptIn(open.db).keep(`k${i}`, plan);
  const [row] = await open.db.select({ n: sql<number>`count(*)::int` }).from(keptPlans);
  expect(row!.n).toBe(12);
  const found = await keptIn(open.db).find('k19');
  expect(whole(found)).toBe(whole(plan));
  expect(await keptIn(open.db).find('k3')).toBeNull();
});

test('a reading of a night before bears on the plan, one of this night does not', async () => {
  const { planner, houses } = started('v4');
  await planner.wait(data, weather, NOW);
  const first = houses();
  const reading = (night: string) => ({
    record: {
      id: `3b0d6a52-58a4-4a8e-9a6e-0000000000${night.slice(-2)}`,
      kind: 'reading' as const,
      atMs: NOW - HOUR_MS,
      night,
      spot: 'north',
      minC: -4,
      maxC: null,
      source: 'grower' as const,
    },
    seq: 1,
    recordedAtMs: NOW,
  });
  const tonight = { ...data, records: [reading('2027-01-14')] };
  expect((await planner.ask(tonight, weather, NOW)).progress.state).toBe('ready');
  const lastNight = { ...data, records: [reading('2027-01-13')] };
  expect((await planner.ask(lastNight, weather, NOW)).progress.state).toBe('computing');
  await planner.wait(lastNight, weather, NOW);
  expect(houses()).toBeGreaterThan(first);
});

test('what only one may do is done by one; where it fails the next may', async () => {
  const locks = ownLocks();
  let running = 0;
  let most = 0;
  const work = async () => {
    most = Math.max(most, ++running);
    await new Promise((r) => setTimeout(r, 10));
    running -= 1;
  };
  const did = await Promise.all([1, 2, 3].map(() => alone(locks, 'backup', work)));
  expect(did.filter(Boolean)).toHaveLength(1);
  expect(most).toBe(1);
  await expect(alone(locks, 'backup', () => Promise.reject(new Error('the disk is full')))).rejects.toThrow(
    'disk',
  );
  expect(await alone(locks, 'backup', work)).toBe(true);
  // two names do not wait for each other
  const held = await locks.take('poll');
  expect(await alone(locks, 'backup', work)).toBe(true);
  await held!();
});

test('a sheet that is planned in another way than its usual one is that sheet in that way still, after a restart', () => {
  const stock = { ...data.covers[0]!, material: 'frost-blanket' as const, use: 'hoops' as const };
  const laid = asUsed(stock, 'flat');
  const plan = { data: { covers: [stock] }, beds: [{ on: [stock], options: [{ covers: [laid] }] }] };
  const again = unpack(pack(plan as unknown as NightPlan))!;
  const [bed] = again.beds;
  const found = bed!.options[0]!.covers[0]!;
  expect(sheetKey(found)).toBe(`${stock.id}~flat`);
  expect(sheetKey(bed!.on[0]!)).toBe(stock.id);
  // one and the same object as whoever asks for it from the plan's own stock is given
  expect(asUsed(again.data.covers[0]!, 'flat')).toBe(found);
});
