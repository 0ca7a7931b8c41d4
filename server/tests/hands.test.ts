/** The choice knows the hands and the minutes left: what is chosen can be done by its time, or is said to be late. */
import { sunTimes, type Cover, type CoverOption } from '@fogata/core';
import { choose, mayWin, type PlannedBed, type Work } from '@fogata/core/planning';
import { DEMO_FARM, DEMO_START_MS } from '../src/demo/seed';
import { solveLp } from '../src/night/solver';
import { startTestServer, type TestServer } from './harness';

const MIN = 60_000;
const T = Date.parse('2027-01-14T16:00:00Z');
const sheet = { id: 'a', name: 'a', use: 'hoops' } as Cover;
const option = (covers: Cover[]): CoverOption => ({
  key: covers.length > 0 ? 'a' : 'bare',
  covers,
  pieces: covers.length > 0 ? { a: 1 } : {},
});

/** A bed that loses `bare` uncovered and nothing under its sheet; half an hour after sundown that comes out 2 K colder. */
function bed(id: string, bare: number, dueMin: number | null, minutes = 20): PlannedBed {
  const outcome = (key: string, minLeafC: number[]) => ({
    key,
    minLeafC,
    coldHours: [2],
    soilMinC: [2],
  });
  return {
    bed: { id },
    on: [],
    options: [option([]), option([sheet])],
    outcome: { options: [outcome('bare', [-6]), outcome('a', [-1])] },
    loss: { bare, a: 0 },
    minutes: { bare: 0, a: minutes },
    laterMinutes: { bare: 0, a: 5 },
    fixed: null,
    chosen: 'bare',
    lateAtMs: null,
    due: dueMin === null ? null : { dueAtMs: T + dueMin * MIN, later: [{ atMs: T + 70 * MIN, lostK: 2 }] },
    atRisk: [
      {
        planting: { crop: 'lettuce', aim: 'survive' },
        thresholds: { damageC: -2, harmC: -2, deathC: -6, flowerC: null, rootC: null, chillingC: null },
        value: bare,
        left: 1,
      },
    ],
  } as unknown as PlannedBed;
}

const work = (hands: number, openings = 0): Work =>
  ({
    phase: 'closing',
    together: 1,
    pool: { solve: solveLp },
    signal: new AbortController().signal,
    errorK: 0.5,
    inputs: {
      nowAtMs: T,
      closeAtMs: T,
      window: { sunsetAtMs: T + 40 * MIN },
      data: { farm: { hands, hourlyRate: 12 }, covers: [{ id: 'a', count: 9 }] },
      state: { openings: new Map(Array.from({ length: openings }, (_, i) => [String(i), { fraction: 1 }])) },
    },
  }) as unknown as Work;

const chosen = (beds: PlannedBed[]) => beds.map((b) => (b.lateAtMs !== null ? `${b.chosen} late` : b.chosen));

test('one pair of hands covers in time what being late would cost most, and the other after', async () => {
  const beds = [bed('small', 60, 25), bed('dear', 600, 25)];
  await choose(beds, work(1));
  expect(chosen(beds)).toEqual(['a late', 'a']);
  await choose(beds, work(2));
  expect(chosen(beds)).toEqual(['a', 'a']);
});

test('each counts by its own latest time: the one that cools later waits for the one that cools first', async () => {
  const beds = [bed('first', 80, 22), bed('second', 80, 45)];
  await choose(beds, work(1));
  expect(chosen(beds)).toEqual(['a', 'a']);
  // shutting two houses takes eight minutes of the same hands
  await choose(beds, work(1, 2));
  expect(chosen(beds).filter((x) => x === 'a late')).toHaveLength(1);
});

test('what is late is late by its own minute: the one that can still be done before dark is', async () => {
  const beds = [bed('first', 300, 20), bed('second', 300, 20)];
  beds[1]!.due = {
    dueAtMs: T + 20 * MIN,
    later: [
      { atMs: T + 45 * MIN, lostK: 0.6 },
      { atMs: T + 70 * MIN, lostK: 3 },
    ],
  };
  await choose(beds, work(1));
  expect(chosen(beds)).toEqual(['a', 'a late']);
  expect(beds[1]!.lateAtMs).toBe(T + 45 * MIN);
});

test('with no time for all before dark, what is worth least stays as it is', async () => {
  const beds = [50, 90, 70, 400].map((x, n) => bed(`b${n}`, x, 25));
  await choose(beds, work(1));
  expect(beds.filter((b) => b.chosen === 'a')).toHaveLength(3);
  expect(beds[0]!.chosen).toBe('bare');
});

test('what costs more work than the bed can lose is not run under everyone', () => {
  const poor = bed('poor', 3, null);
  expect(mayWin(work(1), poor).map((o) => o.key)).toEqual(['bare']);
  expect(mayWin(work(1), bed('dear', 300, null)).map((o) => o.key)).toEqual(['bare', 'a']);
});

describe('a whole farm asked late', () => {
  let s: TestServer;
  beforeAll(async () => {
    s = await startTestServer(true);
    await s.api
      .patch('/api/farm')
      .send({ ...DEMO_FARM, hands: 1 })
      .expect(200);
  });
  afterAll(() => s.close());

  test('every sheet is on by its time when hands go from one to the next as told, or its job says there are too few', async () => {
    const { setAtMs } = sunTimes(DEMO_START_MS, DEMO_FARM.latitude, DEMO_FARM.longitude)!;
    for (const before of [45, 10]) {
      await s.api
        .post('/api/clock')
        .send({ toAtMs: Math.round(setAtMs) - before * MIN })
        .expect(200);
      const now = await s.now();
      const todo = now.jobs.filter((j) => !j.done && j.kind === 'cover');
      expect(todo.length).toBeGreaterThan(0);
      let freeAtMs = now.clock.nowAtMs;
      for (const j of now.jobs.filter((x) => !x.done)) {
        // nobody starts one before the last is done
        expect(j.dueAtMs).toBeGreaterThanOrEqual(freeAtMs - 1);
        freeAtMs = j.dueAtMs + j.minutes * MIN;
        if (j.kind === 'cover' && !j.why.includes('as soon as you can'))
          expect(freeAtMs).toBeLessThanOrEqual(j.onByAtMs + 1);
      }
    }
  });
});
