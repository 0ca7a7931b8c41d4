/** An evening on a small farm, whole, with the kept solver and no server. */
import highs from 'highs';
import {
  applyAll,
  evaluateBed,
  evaluateHouse,
  latestCoverAtMs,
  looksAtLifting,
  NOTHING_LAIN,
  type Planting,
  type Structure,
} from '../src';
import {
  begin,
  nightAt,
  solveProgramme,
  type Evening,
  type LpSolver,
  type NightPlan,
  type Workers,
} from '../planning';
import { aBed, aCover, aStructure, SITE, weather } from './fixtures';

export const farm = {
  ...SITE,
  timeZone: 'Europe/Madrid',
  hourlyRate: 12,
  hands: 1,
  schools: { uncover: 'thaw' as const, touch: 'both' as const },
};
export const style = {
  units: { temperature: 'C' as const, length: 'm' as const, clock: 24 as const },
  currency: '€',
  hours: 24 as const,
  timeZone: farm.timeZone,
};
export const workers: Workers = {
  house: (task) => Promise.resolve(evaluateHouse(task)),
  evaluate: (task) => Promise.resolve(evaluateBed(task)),
  due: ({ task, specs }) => Promise.resolve(latestCoverAtMs(task, specs)),
  lift: (task) => Promise.resolve(looksAtLifting(task)),
  solve: async (task) => solveProgramme((await highs()) as unknown as LpSolver, task),
  nameOf: (work) => JSON.stringify(work),
};

export const planted = (bedId: string, crop: string): Planting => ({
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
export const NOW = Date.parse('2027-01-15T14:00:00Z');

export const MILD = 12;

export interface EveningShape {
  nowAtMs?: number;
  cloud?: number;
  structure?: Partial<Structure>;
}

export function evening(
  meanC: number,
  sheets: number,
  acts: Parameters<typeof applyAll>[0] = [],
  { nowAtMs = NOW, cloud = 0, structure = {} }: EveningShape = {},
): Evening {
  const at = nightAt(nowAtMs, farm);
  const sky = (lift: number) =>
    weather({ meanC: meanC + lift, cloud, hours: 200, startAtMs: at.pastAtMs - 3_600_000 });
  const cut = (lift: number, from: number, to: number) =>
    sky(lift).filter((e) => Date.parse(e.time) >= from && Date.parse(e.time) <= to);
  // mild until today: what the nights before had killed could not be saved
  const past = cut(MILD - meanC, at.pastAtMs, at.hourAtMs);
  return {
    data: {
      farm,
      structures: [aStructure(structure)],
      beds: [aBed({ id: 'hardy', order: 1 }), aBed({ id: 'tender', order: 2 })],
      plantings: [planted('hardy', 'mache'), planted('tender', 'lettuce-leaf')],
      covers: [aCover({ id: 'fleece', material: 'fleece-50', count: sheets })],
    },
    state: acts.length > 0 ? applyAll(acts) : NOTHING_LAIN,
    nowAtMs,
    at,
    weather: {
      past: { hours: past, worth: past.map(() => 'measured' as const) },
      members: [0, -2, -1, 1, 2, 0.5].map((lift) => cut(lift, at.hourAtMs, at.endAtMs)),
      ahead: cut(0, at.hourAtMs, at.aheadAtMs),
      issuedAtMs: nowAtMs,
      name: 'test',
      source: 'file',
    },
    background: { means: new Map(), deepC: 5 },
    beliefs: new Map(),
  };
}
export const planned = (e: Evening): Promise<NightPlan> =>
  begin(e).run(workers, new AbortController().signal);
