/** A whole evening, from a farm and its weather to the list of jobs, with no server: the solver is the kept one. */
import highs from 'highs';
import {
  evaluateBed,
  evaluateHouse,
  latestCoverMs,
  looksAtLifting,
  NOTHING_LAIN,
  applyAll,
  type Planting,
} from '../src';
import { begin, jobsOf, nightAt, type Evening, type NightPlan, type Workers } from '../planning';
import { aBed, aCover, aStructure, SITE, weather } from './fixtures';

const farm = {
  ...SITE,
  timeZone: 'Europe/Madrid',
  hourlyRate: 12,
  hands: 1,
  schools: { uncover: 'thaw' as const, touch: 'both' as const },
};
const style = {
  units: { temperature: 'C' as const, length: 'm' as const, clock: 24 as const },
  currency: '€',
  hours: 24 as const,
  timeZone: farm.timeZone,
};
const workers: Workers = {
  house: (task) => Promise.resolve(evaluateHouse(task)),
  evaluate: (task) => Promise.resolve(evaluateBed(task)),
  due: ({ task, specs }) => Promise.resolve(latestCoverMs(task, specs)),
  lift: (task) => Promise.resolve(looksAtLifting(task)),
  solve: async ({ lp }) => {
    const { Columns } = (await highs()).solve(lp);
    return Object.fromEntries(
      Object.entries(Columns).map(([name, c]) => [name, 'Primal' in c ? c.Primal : 0]),
    );
  },
  nameOf: (work) => JSON.stringify(work),
};

const planted = (bedId: string, crop: string): Planting => ({
  id: `p-${bedId}`,
  bedId,
  crop,
  cultivar: '',
  fromRow: 1,
  toRow: 4,
  lengthM: 18,
  plantedOn: '2026-11-20',
  clearedOn: null,
  aim: 'grow',
  note: '',
});
/** 15 January, three in the afternoon, after three clear days; six members a degree apart. */
const NOW = Date.parse('2027-01-15T14:00:00Z');

const MILD = 12;

function evening(meanC: number, sheets: number, acts: Parameters<typeof applyAll>[0] = []): Evening {
  const at = nightAt(NOW, farm);
  const sky = (lift: number) => weather({ meanC: meanC + lift, hours: 200, startMs: at.pastMs - 3_600_000 });
  const cut = (lift: number, from: number, to: number) =>
    sky(lift).filter((e) => Date.parse(e.time) >= from && Date.parse(e.time) <= to);
  // mild until today: what the nights before had killed could not be saved
  const past = cut(MILD - meanC, at.pastMs, at.hourMs);
  return {
    data: {
      farm,
      structures: [aStructure()],
      beds: [aBed({ id: 'hardy', order: 1 }), aBed({ id: 'tender', order: 2 })],
      plantings: [planted('hardy', 'mache'), planted('tender', 'lettuce-leaf')],
      covers: [aCover({ id: 'fleece', material: 'fleece-50', count: sheets })],
    },
    state: acts.length > 0 ? applyAll(acts) : NOTHING_LAIN,
    nowMs: NOW,
    at,
    weather: {
      past: { hours: past, worth: past.map(() => 'measured' as const) },
      members: [0, -2, -1, 1, 2, 0.5].map((lift) => cut(lift, at.hourMs, at.endMs)),
      ahead: cut(0, at.hourMs, at.aheadMs),
      issuedMs: NOW,
      name: 'test',
      source: 'file',
    },
    background: { means: new Map(), deepC: 5 },
    beliefs: new Map(),
  };
}
const planned = (e: Evening): Promise<NightPlan> => begin(e).run(workers, new AbortController().signal);
const chosen = (plan: NightPlan) => Object.fromEntries(plan.beds.map((b) => [b.bed.id, b.chosen]));

test('the one sheet there is goes on what would lose more, by its time, and says what it saves', async () => {
  const plan = await planned(evening(1, 1));
  expect(chosen(plan)).toEqual({ hardy: 'bare', tender: 'fleece' });
  const [job, ...rest] = jobsOf(plan, style);
  expect(rest).toEqual([]);
  expect(job).toMatchObject({ kind: 'cover', done: false, planKeys: { tender: 'fleece' } });
  expect(job!.dueMs).toBeGreaterThanOrEqual(NOW);
  expect(job!.dueMs + job!.minutes * 60_000).toBeLessThanOrEqual(job!.onByMs + 60_000);
  const tender = plan.beds.find((b) => b.bed.id === 'tender')!;
  expect(job!.saves).toBeCloseTo(tender.loss['as-is']! - tender.loss['fleece']!, 6);
  expect(job!.saves).toBeGreaterThan(1);
});

test('on a mild night nothing is carried out, and what lies there stays where it lies', async () => {
  const laid = {
    kind: 'cover',
    id: 'r',
    atMs: NOW - 3_600_000,
    bedId: 'tender',
    coverId: 'fleece',
    on: true,
  };
  expect(chosen(await planned(evening(MILD, 2)))).toEqual({ hardy: 'bare', tender: 'bare' });
  const plan = await planned(evening(1, 1, [laid]));
  expect(chosen(plan).tender).toBe('fleece');
  expect(jobsOf(plan, style).every((j) => j.done)).toBe(true);
});

test("the grower's own word stands, and is taken back by the next one", async () => {
  const { night } = nightAt(NOW, farm).window;
  const say = (id: string, key: string | null) => ({
    kind: 'decision',
    id,
    atMs: NOW,
    night,
    bedId: 'hardy',
    key,
    verdict: 'changed' as const,
  });
  expect(chosen(await planned(evening(1, 1, [say('d1', 'fleece')])))).toMatchObject({ hardy: 'fleece' });
  expect(chosen(await planned(evening(1, 1, [say('d1', 'fleece'), say('d2', null)])))).toMatchObject({
    hardy: 'bare',
    tender: 'fleece',
  });
});

test('a third sheet goes on where two leave more to lose than it takes to lay it, and nowhere else', async () => {
  const sheetsOn = (plan: NightPlan) =>
    Object.fromEntries(
      plan.beds.map((b) => [b.bed.id, b.chosen === 'bare' ? 0 : b.chosen.split('+').length]),
    );
  const tried = (plan: NightPlan) => plan.beds.flatMap((b) => b.options).filter((o) => o.covers.length === 3);
  const cool = await planned(evening(6, 6));
  expect(tried(cool)).toEqual([]);
  const bitter = await planned(evening(1, 6));
  expect(tried(bitter).length).toBeGreaterThan(0);
  expect(sheetsOn(bitter).tender).toBe(3);
  const tender = bitter.beds.find((b) => b.bed.id === 'tender')!;
  expect(tender.loss['fleece+fleece+fleece']!).toBeLessThan(tender.loss['fleece+fleece']!);
  // and the jobs lay as many
  expect(jobsOf(bitter, style).flatMap((j) => Object.values(j.planKeys))).toContain('fleece+fleece+fleece');
  // with two sheets in the shed there is no third to think of
  expect(tried(await planned(evening(1, 2)))).toEqual([]);
});
