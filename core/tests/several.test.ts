/** One of several nights is looked at in a few of the runs: what is told of it is whole all the same, and it is hardly dearer than one that was looked at thoroughly. */
import { ensemble, type BedTask } from '../src';
import { severalNights, type PlannedNight, type SeveralNights, type Workers } from '../planning';
import { hoursBetween } from '../src/night/several';
import { heardTask, sentTask } from '../src';
import { aBed, aCover, weather } from './fixtures';
import { evening, NOW, workers } from './eveningFixture';

const HOUR = 3_600_000;
const { signal } = new AbortController();
const e = evening(-3, 3);
const centre = weather({ meanC: -3, cloud: 0.2, hours: 220, startAtMs: NOW - 100 * HOUR });
const ahead = hoursBetween(centre, NOW - HOUR, NOW + 72 * HOUR);
const spell: Omit<SeveralNights, 'nights'> = {
  data: {
    ...e.data,
    covers: [
      aCover({ id: 'fleece', material: 'fleece-50', count: 3 }),
      aCover({ id: 'blanket', material: 'frost-blanket', count: 2, minutes: 3 }),
    ],
  },
  state: e.state,
  nowAtMs: NOW,
  history: e.weather.past.hours,
  members: ensemble(7, NOW - HOUR, ahead, 12),
};

/** The same hands, with every bed's work noted: under how many members each stack is run, and from which hour. */
interface Whole {
  key: string;
  only: readonly number[];
  minLeafC: number[];
  hottestC: number[];
}
function noting(whole: Whole[] | null = null) {
  const runs: { startAtMs: number; runs: number }[] = [];
  const hands: Workers = {
    ...workers,
    // where all of it is to be known, the air is known under everyone as well
    house: ({ only, ...task }, s) => workers.house(only && !whole ? { ...task, only } : task, s),
    evaluate: async (task: BedTask, under, s) => {
      const startAtMs = Date.parse(task.members[0]![0]!.time);
      runs.push({ startAtMs, runs: task.options.length * (task.only?.length ?? task.members.length) });
      const { only, ...all } = task;
      if (only && whole)
        for (const { key, minLeafC, hottestC } of await workers.evaluate(all, under, s))
          whole.push({ key, only, minLeafC, hottestC });
      return workers.evaluate(task, under, s);
    },
  };
  return { hands, runs };
}
const sum = (list: readonly number[]) => list.reduce((s, x) => s + x, 0);
const money = (n: PlannedNight) =>
  sum(
    n.plan.beds.map(
      (b) =>
        b.loss[b.chosen]! +
        ((b.minutes[b.chosen]! + b.laterMinutes[b.chosen]!) / 60) * e.data.farm.hourlyRate,
    ),
  );

describe('tonight and tomorrow', () => {
  const thorough = noting();
  const whole: Whole[] = [];
  const quick = noting(whole);
  let alone: PlannedNight;
  let both: PlannedNight[];
  beforeAll(async () => {
    alone = (await severalNights({ ...spell, nights: 1 }, thorough.hands, signal))[0]!;
    both = await severalNights({ ...spell, nights: 2 }, quick.hands, signal);
  }, 120_000);

  test('what is chosen was run under everyone, in both', () => {
    for (const { plan } of both)
      for (const b of plan.beds) {
        const chosen = b.outcome.options.find((o) => o.key === b.chosen)!;
        expect(chosen.ranUnder).toBeUndefined();
        expect(chosen.minLeafC).toHaveLength(13);
      }
    expect(both[0]!.plan.beds.some((b) => b.chosen !== 'bare')).toBe(true);
  });

  test('tonight costs a twentieth more at most than looked at thoroughly, in less than a third of the runs', () => {
    expect(money(both[0]!)).toBeLessThanOrEqual(1.05 * money(alone));
    const tonight = quick.runs.filter((r) => r.startAtMs < NOW + HOUR);
    expect(tonight.length).toBeGreaterThan(both[0]!.plan.beds.length);
    expect(sum(tonight.map((r) => r.runs))).toBeLessThan(0.33 * sum(thorough.runs.map((r) => r.runs)));
  });

  test('three sheets are told from the twos of them, and run only where they are chosen', () => {
    const threes = both.flatMap(({ plan }) =>
      plan.beds.flatMap((b) =>
        b.outcome.options.filter((o) => o.key.split('+').length === 3 && o.key !== b.chosen),
      ),
    );
    expect(threes.length).toBeGreaterThan(3);
    for (const o of threes) expect([o.ranUnder, o.minLeafC.length]).toEqual([0, 13]);
  });

  describe('what was not run under everyone', () => {
    /** How far it is off what running it gives, member by member. */
    const off = (of: 'minLeafC' | 'hottestC') =>
      both.flatMap(({ plan }) =>
        plan.beds.flatMap((b) =>
          b.outcome.options.flatMap((o) => {
            const run = whole.filter((r) => r.key === o.key && o.ranUnder !== undefined);
            // of the beds and airs that were looked at, the one that it was drawn from
            const from = run.find((r) =>
              r.only.every((m) => Math.abs(r.minLeafC[m]! - o.minLeafC[m]!) < 1e-9),
            );
            return from ? o[of].map((c, m) => c - from[of][m]!) : [];
          }),
        ),
      );
    const rms = (list: readonly number[]) => Math.sqrt(sum(list.map((k) => k * k)) / list.length);

    test('lies within a quarter of a kelvin of it by night', () => {
      expect(off('minLeafC').length).toBeGreaterThan(100);
      expect(rms(off('minLeafC'))).toBeLessThan(0.25);
    });

    test('and by day well within the three kelvin that are kept back where a sheet may stay on', () => {
      expect(rms(off('hottestC'))).toBeLessThan(1);
      expect(Math.min(...off('hottestC'))).toBeGreaterThan(-2.5);
    });
  });

  test('a night that is worked out already is not worked out again: what is to come begins from it', async () => {
    const after = noting();
    const [tonight, next] = await severalNights(
      { ...spell, nights: 2, tonight: alone.plan },
      after.hands,
      signal,
    );
    expect(tonight!.plan).toBe(alone.plan);
    expect(after.runs.every((r) => r.startAtMs > NOW + 6 * HOUR)).toBe(true);
    const laid = alone.plan.beds.filter((b) => b.chosen !== 'bare').map((b) => b.bed.id);
    // what the morning leaves on lies there tomorrow evening
    const stays = laid.filter((id) => tonight!.lifts.get(id) === null);
    for (const id of stays)
      expect(next!.plan.beds.find((b) => b.bed.id === id)!.on.length).toBeGreaterThan(0);
    expect(next!.plan.nowAtMs).toBeGreaterThan(NOW + 20 * HOUR);
  }, 60_000);
});

test('crates that may be carried in are under a sheet as far apart from member to member as that makes them, not as even as in the shed', async () => {
  const crates = { count: 10, lengthM: 0.6, widthM: 0.4, plantsEach: 8, kgEach: 7 };
  const [tonight] = await severalNights(
    {
      ...spell,
      nights: 2,
      data: {
        ...e.data,
        beds: ['hardy', 'tender'].map((id, order) => aBed({ id, name: id, order, on: 'bench', crates })),
        covers: [
          aCover({ id: 'shed', use: 'indoors', count: 24, minutes: 0.5, nightC: 6 }),
          aCover({ id: 'fleece', material: 'fleece-50', count: 3 }),
        ],
      },
    },
    workers,
    signal,
  );
  const apartK = (list: readonly number[]) => Math.max(...list) - Math.min(...list);
  for (const b of tonight!.plan.beds) {
    const under = (sheets: string) =>
      b.outcome.options.find(
        (o) =>
          b.options
            .find((x) => x.key === o.key)
            ?.covers.map((c) => c.id)
            .join() === sheets,
      )!;
    expect(under('fleece').ranUnder).toBe(1);
    expect(apartK(under('fleece').minLeafC)).toBeGreaterThan(1.5);
    expect(apartK(under('').minLeafC)).toBeGreaterThan(1.5);
    expect(apartK(under('shed').minLeafC)).toBe(0);
  }
}, 60_000);

test('hours go to a thread once for all of a night’s tasks: the list that is heard is the same each time', () => {
  const { members, history } = { members: [ahead], history: centre };
  const task = { members, only: [0], task: { history } };
  const [a, b] = [
    heardTask<typeof task>(sentTask(task)),
    heardTask<typeof task>(sentTask({ ...task, only: [1] })),
  ];
  expect(a).toEqual(task);
  expect(b.only).toEqual([1]);
  expect(b.members).toBe(a.members);
  expect(sentTask({ members: [], only: [1], given: ['a', 'b', 'c'] }).given).toEqual([null, 'b', null]);
  expect(b.task.history).toBe(a.task.history);
});
