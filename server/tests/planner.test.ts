/** The planner by itself: roof by roof, once for one state, abandoned for the next, and honest when it fails. */
import {
  bedSpec,
  evaluateBed,
  evaluateHouse,
  horizonOf,
  latestCoverAtMs,
  looksAtLifting,
  type BedTask,
} from '@fogata/core';
import { chosenOutcome, FIRST_LOOK } from '@fogata/core/planning';
import { told } from '@fogata/core/words';
import { aTask } from '../../core/tests/exampleFixture';
import { DEMO_FARM, DEMO_START_MS } from '../src/demo/seed';
import { learnFrom } from '../src/night/learning';
import { nowView } from '../src/night/nowView';
import { Planner } from '../src/night/planner';
import { digest, type NightPool } from '../src/night/pool';
import { rememberingPool } from '../src/night/pool';
import { solveLp } from '../src/night/solver';
import type { FarmWeather } from '../src/sources/farmWeather';
import { demoWeather } from './demoWeather';
import { data } from './threeBeds';

let weather: FarmWeather;
beforeAll(async () => {
  weather = await demoWeather(DEMO_START_MS, 3);
});

/** The real work in this thread, each roof held back until it is let go. */
function gatedPool() {
  const waiting: (() => void)[] = [];
  const asked: AbortSignal[] = [];
  let broken = false;
  let open = false;
  const pool: NightPool = {
    house: async (task, signal) => {
      asked.push(signal);
      if (!open) await new Promise<void>((resolve) => waiting.push(resolve));
      if (broken) throw new Error('a thread died');
      signal.throwIfAborted();
      return evaluateHouse(task);
    },
    evaluate: (task) => Promise.resolve(evaluateBed(task)),
    due: (w) => Promise.resolve(latestCoverAtMs(w.task, w.specs)),
    lift: (task) => Promise.resolve(looksAtLifting(task)),
    learn: (task) => Promise.resolve(learnFrom(task)),
    solve: solveLp,
    nameOf: digest,
    close: () => Promise.resolve(),
  };
  const letGo = async (n = Infinity) => {
    open = n === Infinity;
    for (let i = 0; i < n && waiting.length > 0; i++) waiting.shift()!();
    for (let i = 0; i < 20; i++) await new Promise((r) => setTimeout(r, 2));
  };
  const started = async (n: number) => {
    for (let i = 0; i < 500 && asked.length < n; i++) await new Promise((r) => setTimeout(r, 2));
  };
  return { pool, letGo, started, asked, breakIt: () => (broken = true) };
}

const style = { units: DEMO_FARM.units, currency: '€', hours: 24 as const, timeZone: DEMO_FARM.timeZone };
const clock = {
  nowAtMs: DEMO_START_MS,
  mode: 'demo' as const,
  phase: 'closing' as const,
  window: {} as never,
  closingAtMs: 0,
  morningAtMs: 0,
};

test('beds show as they come, as they stand, and the choice comes when all are there', async () => {
  const { pool, letGo, started } = gatedPool();
  const planner = new Planner({ pool });
  await planner.ask(data, weather, DEMO_START_MS);
  await started(2);
  await letGo(1);
  const asked = await planner.ask(data, weather, DEMO_START_MS);
  expect(asked.progress).toMatchObject({ state: 'computing', done: 2, of: 3 });
  expect(asked.plan).toBeNull();
  const view = nowView(clock, asked.progress, null, [], asked.partial);
  expect(view.places).toHaveLength(2);
  expect(view.places[0]!.pending).toBe(false);
  await letGo();
  const plan = (await planner.wait(data, weather, DEMO_START_MS))!;
  expect(plan.beds.map((b) => b.bed.id)).toEqual(['n1', 'n2', 's1']);
  expect((await planner.ask(data, weather, DEMO_START_MS)).partial).toBeNull();
});

test('a first look is shown and said to be one, until every cover has been looked at under every forecast', async () => {
  const { pool, letGo } = gatedPool();
  await letGo();
  let open = () => {};
  const gate = new Promise<void>((resolve) => (open = resolve));
  const slow: NightPool = {
    ...pool,
    evaluate: async (task) => {
      if (task.members.length > FIRST_LOOK) await gate;
      return evaluateBed(task);
    },
  };
  const six = await demoWeather(DEMO_START_MS, 6);
  const planner = new Planner({ pool: slow });
  const ask = () => planner.ask(data, six, DEMO_START_MS);
  let asked = await ask();
  for (let i = 0; i < 2000 && !asked.first; i++) {
    await new Promise((r) => setTimeout(r, 5));
    asked = await ask();
  }
  expect(asked.plan).toBeNull();
  expect(asked.progress).toEqual({
    state: 'computing',
    done: 0,
    of: 3,
    first: { members: FIRST_LOOK, of: 6 },
  });
  const view = nowView(clock, asked.progress, asked.first, []);
  expect(view.jobs.length).toBeGreaterThan(0);
  expect(
    told(view.sentence, style)
      .map((p) => p.text)
      .join(''),
  ).toMatch(/starting by/);
  open();
  const plan = (await planner.wait(data, six, DEMO_START_MS))!;
  expect(plan.beds).toHaveLength(3);
  const after = await ask();
  expect([after.first, after.progress]).toEqual([null, { state: 'ready', done: 3, of: 3 }]);
});

test('asked twice for one state it works once; a new state abandons the old work', async () => {
  const { pool, letGo, started, asked } = gatedPool();
  const planner = new Planner({ pool: rememberingPool(pool) });
  await planner.ask(data, weather, DEMO_START_MS);
  await planner.ask(data, weather, DEMO_START_MS);
  await started(2);
  expect(asked).toHaveLength(2);
  const fewer = { ...data, covers: [] };
  await planner.ask(fewer, weather, DEMO_START_MS);
  expect(asked.every((s) => s.aborted)).toBe(true);
  await started(4);
  await letGo();
  expect((await planner.wait(fewer, weather, DEMO_START_MS))!.beds.every((b) => b.chosen === 'bare')).toBe(
    true,
  );
});

test('two beds that are alike under one roof are each run from where their own days left them', async () => {
  const { pool } = gatedPool();
  const { evaluate } = rememberingPool(pool);
  const signal = new AbortController().signal;
  const low = async (task: BedTask) => (await evaluate(task, 'one roof', signal))[0]!.minLeafC[0]!;
  const task = aTask();
  const cold = task.initial.columns.map((c) => c.map((x) => x - 3));
  const asIs = await low(task);
  expect(await low({ ...task, initial: { ...task.initial, columns: cold } })).toBeLessThan(asIs - 0.1);
  expect(await low({ ...task })).toBe(asIs);
});

test('within an hour nothing is run anew but what has changed, and the plan is the one that it would be', async () => {
  const { pool, letGo } = gatedPool();
  await letGo();
  let runs = 0;
  const counted =
    <A extends unknown[], R>(f: (...a: A) => R) =>
    (...a: A) => ((runs += 1), f(...a));
  const counting: NightPool = {
    ...pool,
    house: counted(pool.house),
    evaluate: counted(pool.evaluate),
    due: counted(pool.due),
  };
  const planner = new Planner({ pool: rememberingPool(counting) });
  const [first, second, third] = [1, 16, 31].map((min) => DEMO_START_MS - (30 - min) * 60_000);
  await planner.wait(data, weather, first!);
  // the houses are looked at once more in the air of what was chosen
  await planner.wait(data, weather, second!);
  runs = 0;
  const plan = (await planner.wait(data, weather, third!))!;
  expect(runs).toBe(0);
  const anew = new Planner({ pool });
  await anew.wait(data, weather, second!);
  const same = (await anew.wait(data, weather, third!))!;
  expect(plan.beds.map((b) => [b.chosen, chosenOutcome(b).minLeafC])).toEqual(
    same.beds.map((b) => [b.chosen, chosenOutcome(b).minLeafC]),
  );
});

test('a thread that dies is told in a sentence; asking leaves it at that, a tap or a change starts anew', async () => {
  const said = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
  const first = gatedPool();
  const planner = new Planner({ pool: first.pool });
  await planner.ask(data, weather, DEMO_START_MS);
  await first.started(2);
  first.breakIt();
  await first.letGo();
  expect(said).toHaveBeenCalled();
  said.mockRestore();
  const asked = first.asked.length;
  expect((await planner.ask(data, weather, DEMO_START_MS)).progress).toMatchObject({
    state: 'failed',
    message: { say: 'problem.night' },
  });
  expect(first.asked).toHaveLength(asked);
  planner.again();
  expect((await planner.ask(data, weather, DEMO_START_MS)).progress.state).toBe('computing');
  expect((await planner.ask({ ...data, covers: [] }, weather, DEMO_START_MS)).progress.state).toBe(
    'computing',
  );
  planner.stop();
});

test('readings of nights gone by change what the plan believes of their house, and of no other', async () => {
  const { pool, letGo, started } = gatedPool();
  const planner = new Planner({ pool });
  const reading = {
    id: '3b0d6a52-58a4-4a8e-9a6e-000000000001',
    kind: 'reading' as const,
    atMs: DEMO_START_MS - 8 * 3_600_000,
    spot: 'north',
    night: '2027-01-13',
    minC: -6,
    maxC: null,
    source: 'grower' as const,
  };
  const read = { ...data, records: [{ record: reading, seq: 1, recordedAtMs: reading.atMs }] };
  await planner.ask(read, weather, DEMO_START_MS);
  await started(2);
  await letGo();
  const plan = (await planner.wait(read, weather, DEMO_START_MS))!;
  expect([...plan.beliefs.keys()]).toEqual(['north']);
  expect(plan.beliefs.get('north')!.mean.zoneOffsetC).toBeLessThan(-0.1);
  expect(plan.beds.find((b) => b.bed.id === 'n1')!.belief).toBeDefined();
  expect(plan.beds.find((b) => b.bed.id === 's1')!.belief).toBeUndefined();
});

test('what is shown for a house is the house as planned: each bed as it comes out beside the others', async () => {
  const { pool, letGo, started } = gatedPool();
  const planner = new Planner({ pool });
  await planner.ask(data, weather, DEMO_START_MS);
  await started(2);
  await letGo();
  const plan = (await planner.wait(data, weather, DEMO_START_MS))!;
  const house = plan.beds.filter((b) => b.structure.kind === 'house' && b.structure.id === 'north');
  expect(house).toHaveLength(2);
  const together = evaluateHouse({
    site: data.farm,
    history: plan.history,
    members: plan.members,
    key: 'x',
    countFromAtMs: plan.nowAtMs,
    beds: house.map((b) => {
      const covers = b.options.find((o) => o.key === b.chosen)!.covers;
      const timing = covers.map(() => ({
        on: [{ from: new Date(plan.closeAtMs).toISOString(), to: '2100-01-01T00:00:00Z' }],
      }));
      return {
        id: b.bed.id,
        historySpec: b.historySpec,
        spec: bedSpec(b.structure, b.bed, b.plantings, covers, {
          deepC: b.deepC,
          timing,
          horizon: horizonOf(b.structure, data.structures),
        }),
        structureLayer: 0,
        placeK: b.placeK,
      };
    }),
  });
  house.forEach((b, i) => {
    together.beds[i]!.outcome.minLeafC.forEach((c, m) =>
      expect(chosenOutcome(b).minLeafC[m]!).toBeCloseTo(c, 6),
    );
  });
});

test('what a night a fortnight ago killed is not saved again: its bed is left bare, and a score since then counts instead', async () => {
  const { pool, letGo } = gatedPool();
  const planner = new Planner({ pool });
  await letGo();
  const lastDays = await planner.wait(data, weather, DEMO_START_MS);
  const bed = lastDays!.beds.find((b) => b.chosen !== 'bare' && b.chosen !== 'as-is')!;
  const leftOf = (plan: typeof lastDays) =>
    plan!.beds.find((b) => b.bed.id === bed.bed.id)!.atRisk.map((a) => a.left);
  expect(Math.max(...leftOf(lastDays))).toBeGreaterThan(0.9);

  const killed = { ...data, pastLows: new Map([[bed.bed.id, [{ night: '2026-12-31', leafC: -25 }]]]) };
  const dead = await new Planner({ pool }).wait(killed, weather, DEMO_START_MS);
  expect(Math.max(...leftOf(dead))).toBeLessThan(0.01);
  expect(dead!.beds.find((b) => b.bed.id === bed.bed.id)!.chosen).toBe('bare');

  const looked = (plantingId: string) => ({
    record: {
      id: '3b0d6a52-58a4-4a8e-9a6e-000000000009',
      kind: 'harm' as const,
      atMs: Date.parse('2027-01-03T09:00:00Z'),
      plantingId,
      score: 'none' as const,
    },
    seq: 1,
    recordedAtMs: 0,
  });
  const records = bed.plantings.map((p) => looked(p.id));
  const scored = await new Planner({ pool }).wait({ ...killed, records }, weather, DEMO_START_MS);
  expect(Math.max(...leftOf(scored))).toBeGreaterThan(0.9);
});
