/**
 * `npm run -s evening -- --farm FARM.json --weather MEMBERS.json --at INSTANT [--nights N]`: nights planned by the code that the
 * app plans with, from a whole farm's file and an ensemble. Exit 2 on what cannot be read, with one line that names it.
 */
import { readFarmFile, type FarmRecord } from '@fogata/contract';
import { eveningResult, readMembers } from '@fogata/contract/evening';
import {
  applyAll,
  evaluateBed,
  evaluateHouse,
  latestCoverAtMs,
  looksAtLifting,
  type FarmFacts,
  withOwn,
} from '@fogata/core';
import {
  chooseTogether,
  reachAtMs,
  severalNights,
  solveProgramme,
  type LpSolver,
  type Workers,
} from '@fogata/core/planning';
import highs from 'highs';
import { parseArgs } from 'node:util';
import { jsonOf, print, refuse } from './lines';

const USAGE =
  'usage: npm run -s evening -- --farm FARM.json --weather MEMBERS.json --at INSTANT [--nights N]';

/** Everything in this one thread: what the server's threads do, without them. */
const workers: Workers = {
  house: (task) => Promise.resolve(evaluateHouse(task)),
  evaluate: (task) => Promise.resolve(evaluateBed(task)),
  due: ({ task, specs }) => Promise.resolve(latestCoverAtMs(task, specs)),
  lift: (task) => Promise.resolve(looksAtLifting(task)),
  solve: async (task) => solveProgramme((await highs()) as unknown as LpSolver, task),
  nameOf: (work) => JSON.stringify(work),
};

function given() {
  try {
    const options = {
      farm: { type: 'string' },
      weather: { type: 'string' },
      at: { type: 'string' },
      nights: { type: 'string' },
    } as const;
    return parseArgs({ options, strict: true }).values;
  } catch (error) {
    return refuse(`${(error as Error).message.split('.')[0]}. ${USAGE}`);
  }
}

const args = given();
if (!args.farm || !args.weather || !args.at) refuse(USAGE);
const nowAtMs = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2})$/.test(args.at)
  ? Date.parse(args.at)
  : NaN;
if (Number.isNaN(nowAtMs))
  refuse(`--at: expected an ISO 8601 instant with an offset or Z, like 2027-01-14T15:00:00Z`);
const nights = Number(args.nights ?? '1');
if (!Number.isInteger(nights) || nights < 1 || nights > 10)
  refuse('--nights: expected a whole number from 1 to 10');
const farm = readFarmFile(jsonOf(args.farm));
if ('problem' in farm) refuse(farm.problem, args.farm);
const { file } = farm;
const weather = readMembers(jsonOf(args.weather), nowAtMs, reachAtMs(nowAtMs, nights, file.farm));
if ('problem' in weather) refuse(weather.problem, args.weather);

/** What happened by then and stands. */
function standing(records: readonly FarmRecord[]): FarmRecord[] {
  const then = records.filter((r) => r.atMs <= nowAtMs);
  const back = new Set<string>();
  for (const r of [...then].reverse()) if (r.kind === 'retraction' && !back.has(r.id)) back.add(r.retracts);
  return then.filter((r) => r.kind !== 'retraction' && !back.has(r.id)).sort((a, b) => a.atMs - b.atMs);
}

const { farm: settings } = file;
const style = {
  units: settings.units,
  currency: settings.currency,
  hours: settings.units.clock,
  timeZone: settings.timeZone,
};
const { weather: members } = weather;

void (async () => {
  const signal = new AbortController().signal;
  const alone = await severalNights(
    {
      data: {
        ...file,
        plantings: withOwn(file.plantings, file.cultivars ?? [], new Map()),
      } as unknown as FarmFacts,
      state: applyAll(standing(file.records)),
      nowAtMs,
      ...members,
      nights,
    },
    workers,
    signal,
  );
  const { nights: planned } = await chooseTogether(alone, workers, signal);
  print(eveningResult(planned, style));
})();
