/** A structure's day from its night's plan: opened where the sun would spoil what stands there, left where it would not. */
import { awayOn, dayTasks, hotDaysOf, wetBulbC, workOutDay } from '../day';
import type { NightPlan } from '../planning';
import type { WeatherEntry } from '../src';
import { evening, planned, type EveningShape } from './eveningFixture';
import { weather } from './fixtures';

/** The sun of 15 April is up; the farm's clock says nine. */
const MORNING = Date.parse('2027-04-15T07:00:00Z');
const HOURS = 36;

const shape = (more: EveningShape = {}): EveningShape => ({
  nowAtMs: MORNING,
  structure: { ventAreaM2: 12 },
  ...more,
});
const coming = (plan: NightPlan, meanC: number, cloud: number): WeatherEntry[][] =>
  [0, -1, 1].map((lift) =>
    weather({ meanC: meanC + lift, cloud, hours: HOURS, startAtMs: Date.parse(plan.members[0]![0]!.time) }),
  );

test('a clear day: it is opened in time and shut by the evening, and the leaves stay under what spoils them', async () => {
  const plan = await planned(evening(9, 0, [], shape()));
  const [task, ...rest] = dayTasks(plan, coming(plan, 9, 0));
  expect(rest).toEqual([]);
  expect(task).toMatchObject({ structureId: plan.beds[0]!.structure.id });
  const day = workOutDay(task!);
  expect(day.leftC.mid).toBeGreaterThan(task!.limits.leafMaxC);
  expect(day.plannedC.mid).toBeLessThan(task!.limits.leafMaxC + 1);
  expect(day.steps[0]!.fraction).toBeGreaterThan(0);
  expect(day.steps.at(-1)!.fraction).toBe(0);
  for (const s of day.steps) expect(s.atMs).toBeGreaterThanOrEqual(MORNING);
  expect(day.plannedC.low).toBeLessThanOrEqual(day.plannedC.mid);
});

test('a dull cold day: it may stay shut', async () => {
  const plan = await planned(evening(0, 0, [], shape({ cloud: 1 })));
  const [task] = dayTasks(plan, coming(plan, 0, 1));
  expect(workOutDay(task!).steps.filter((s) => s.fraction > 0.1)).toEqual([]);
});

test('what has nothing to open, or is open ground, asks for nothing', async () => {
  const none = await planned(evening(9, 0, [], shape({ structure: { ventAreaM2: 0 } })));
  expect(dayTasks(none, coming(none, 9, 0))).toEqual([]);
  const open = await planned(evening(9, 0, [], shape({ structure: { kind: 'open' } })));
  expect(dayTasks(open, coming(open, 9, 0))).toEqual([]);
});

test('looked at by the crop that bears the least heat, and kept from what harms the tenderest under the same roof', async () => {
  const e = evening(9, 0, [], shape());
  const [hardy, tender] = e.data.plantings;
  const plantings: typeof e.data.plantings = [
    { ...hardy!, aim: 'survive' },
    { ...tender!, crop: 'potato' },
  ];
  const plan = await planned({ ...e, data: { ...e.data, plantings } });
  const [task] = dayTasks(plan, coming(plan, 9, 0));
  const limits = plan.beds.flatMap((b) => b.atRisk.map((a) => a.thresholds.harmC));
  expect(new Set(limits).size).toBeGreaterThan(1);
  expect(task!.limits.leafMinC!).toBeCloseTo(Math.max(...limits) + 0.5, 6);
  expect(task!.limits.style).toBe('air');
  expect(['mache', 'potato']).toContain(task!.crop);
});

test('nobody there from ten to five: the moves are made before and after, and what that costs is known', async () => {
  const e = evening(9, 0, [], shape());
  const plan = await planned(e);
  const away = [{ days: [0, 1, 2, 3, 4, 5, 6], on: null, from: '10:00', to: '17:00' }];
  const members = coming(plan, 9, 0);
  const [alone] = dayTasks(plan, members, away);
  const [free] = dayTasks(plan, members);
  const gone = awayOn(MORNING + 4 * 3_600_000, away, plan.data.farm.timeZone)[0]!;
  const day = workOutDay(alone!);
  expect(day.steps.length).toBeGreaterThan(0);
  for (const s of day.steps) expect(s.atMs <= gone.fromAtMs || s.atMs >= gone.toAtMs).toBe(true);
  // the morning's opening has to do for noon
  expect(day.plannedC.mid).toBeLessThan(day.leftC.mid);
  const there = workOutDay(free!);
  expect(there.thereC).toBeNull();
  expect(day.thereC === null).toBe(day.plannedC.mid - there.plannedC.mid < 0.5);
});

test('an hour late lies between in time and not at all; of what may stay shut it is not said', async () => {
  const plan = await planned(evening(9, 0, [], shape()));
  const day = workOutDay(dayTasks(plan, coming(plan, 9, 0))[0]!);
  expect(day.lateC).not.toBeNull();
  // the ground under it is a little cooler for having been shut: half a degree either way
  expect(day.lateC!.mid).toBeGreaterThan(day.plannedC.mid - 0.5);
  expect(day.lateC!.mid).toBeLessThan(day.leftC.mid);
  const dull = await planned(evening(0, 0, [], shape({ cloud: 1 })));
  const still = workOutDay(dayTasks(dull, coming(dull, 0, 1))[0]!);
  expect(still.lateC === null).toBe(still.steps.length === 0);
});

test('an hour late at each move: opened late the leaf is hotter by then, shut late never, and only what is to be felt is said', async () => {
  const plan = await planned(evening(9, 0, [], shape()));
  const day = workOutDay(dayTasks(plan, coming(plan, 9, 0))[0]!);
  const [first, last] = [day.steps[0]!, day.steps.at(-1)!];
  expect([first.fraction > 0, last.fraction]).toEqual([true, 0]);
  expect(first.lateThenK!).toBeGreaterThan(1);
  expect(first.lateHotK ?? 0).toBeCloseTo(day.lateC!.mid - day.plannedC.mid, 0);
  expect(last.lateThenK ?? 0).toBeLessThanOrEqual(0);
  expect(last.lateHotK ?? 0).toBeLessThanOrEqual(0.5);
  for (const s of day.steps)
    for (const k of [s.lateHotK, s.lateThenK])
      if (k !== null) expect(Math.abs(k)).toBeGreaterThanOrEqual(0.5);
});

test('where wide open is still too hot, shade cloth is proposed with what it makes of it; where it is not, nothing is', async () => {
  const plan = await planned(evening(9, 0, [], shape({ structure: { ventAreaM2: 1 } })));
  const [task] = dayTasks(plan, coming(plan, 20, 0));
  const day = workOutDay(task!);
  expect(day.plannedC.high).toBeGreaterThan(task!.limits.leafMaxC);
  expect(day.more!.shadeC!.mid).toBeLessThan(day.plannedC.mid - 1);
  // a house has no lids to take off
  expect(day.more!.lidsOffC).toBeNull();
  const [mild] = dayTasks(plan, coming(plan, 0, 1));
  expect(workOutDay(mild!).more).toBeNull();
});

test('a frame that cooks with its lids on is cooler with them right off', async () => {
  const frame = {
    kind: 'frame' as const,
    shape: 'box' as const,
    sides: 'board' as const,
    lengthM: 3,
    widthM: 1.2,
    heightM: 0.4,
    material: 'glass' as const,
    ventAreaM2: 0.05,
  };
  const plan = await planned(evening(9, 0, [], shape({ structure: frame })));
  const [task] = dayTasks(plan, coming(plan, 18, 0));
  const day = workOutDay(task!);
  expect(day.more!.lidsOffC!.mid).toBeLessThan(day.plannedC.mid - 3);
});

test('a low tunnel’s film in a hot sun is better changed for fabric', async () => {
  const tunnel = { kind: 'tunnel' as const, lengthM: 10, widthM: 1.2, heightM: 0.7, ventAreaM2: 0.2 };
  const plan = await planned(evening(9, 0, [], shape({ structure: tunnel })));
  const [task] = dayTasks(plan, coming(plan, 20, 0));
  const day = workOutDay(task!);
  expect(day.more!.fabricC!.mid).toBeLessThan(day.plannedC.mid - 1);
});

test('the wet bulb is Stull’s: at 20 °C and 50 per cent 13.7, and never over the air', () => {
  expect(wetBulbC(20, 0.5)).toBeCloseTo(13.7, 1);
  for (const rh of [0.1, 0.4, 0.7, 0.95]) expect(wetBulbC(28, rh)).toBeLessThan(28.1);
  expect(wetBulbC(28, 0.3)).toBeLessThan(wetBulbC(28, 0.8));
});

test('hot days count in a row, today the last of them; a cooler one or one that nobody knows begins them anew', () => {
  const past = (highs: (number | null)[]) =>
    highs.map((h, i) => ({
      night: `2027-05-${String(10 + i)}`,
      leafC: 5,
      ...(h === null ? {} : { highC: h }),
    }));
  expect(hotDaysOf(past([31, 29]), '2027-05-12', 30, 28)).toBe(3);
  expect(hotDaysOf(past([31, 27]), '2027-05-12', 30, 28)).toBe(1);
  expect(hotDaysOf(past([31, null]), '2027-05-12', 30, 28)).toBe(1);
  expect(hotDaysOf(past([31, 29]), '2027-05-12', 28, 28)).toBe(0);
});
