/** The jobs of the evening and the morning in the order in which hands can do them. */
import { floorMinutes } from '../time/farmTime';
import { said } from '../words/said';
import { closeJobs, coverJobs } from './coverJobs';
import type { Job } from './jobParts';
import { liftJobs } from './liftJobs';
import type { NightPlan } from './planned';

/** Minutes between two starts on the plan. */
const START_STEP = 5;

/**
 * When to start each job so that `hands` people, going from one to the next, have every cover on by its time: counted back
 * from the last. What saves most is done first among those with the same time. Where the time does not reach, they start
 * now and go on in the order of their times: each start is one that hands can keep.
 * @example (() => { const jobs = [{ kind: 'close', onByAtMs: 3_600_000, dueAtMs: 0, minutes: 10, saves: 0, done: false }]; startTimes(jobs, 0, 1); return jobs[0].dueAtMs / 60_000; })() // 50
 */
export function startTimes(jobs: Job[], nowAtMs: number, hands: number): void {
  const todo = jobs.filter((j) => !j.done);
  const firstOn = Math.min(...todo.filter((j) => !takesOff(j)).map((j) => j.onByAtMs));
  for (const job of todo) if (takesOff(job)) job.onByAtMs = Math.min(job.onByAtMs, firstOn);
  todo.sort(
    (a, b) => a.onByAtMs - b.onByAtMs || Number(takesOff(b)) - Number(takesOff(a)) || b.saves - a.saves,
  );
  const free = new Array<number>(hands).fill(Infinity);
  for (const job of [...todo].reverse()) {
    const hand = free.indexOf(Math.max(...free));
    const start = Math.min(job.onByAtMs, free[hand]!) - job.minutes * 60_000;
    free[hand] = floorMinutes(start, START_STEP);
    job.dueAtMs = free[hand]!;
  }
  if (todo.every((j) => j.dueAtMs >= floorMinutes(nowAtMs, START_STEP))) {
    for (const job of todo) job.dueAtMs = Math.max(nowAtMs, job.dueAtMs);
    return;
  }
  free.fill(nowAtMs);
  for (const job of todo) {
    const hand = free.indexOf(Math.min(...free));
    job.dueAtMs = free[hand]!;
    free[hand] = job.dueAtMs + job.minutes * 60_000;
  }
}

/** A sheet has to come off one bed before it can go on another. */
function takesOff(job: Job): boolean {
  return job.kind === 'cover' && job.items.some((i) => !i.on);
}

const isLate = (j: Job) => !j.done && j.kind === 'cover' && j.dueAtMs + j.minutes * 60_000 > j.onByAtMs + 1;

/**
 * The evening's jobs with their starts. A sheet goes over all its beds in one walk; where that would come too late for one of
 * them, each bed by its own time, as the choice reckoned; what is late even so says it.
 */
function eveningJobs(plan: NightPlan): Job[] {
  const made = (byTime: boolean) => {
    const all = [...closeJobs(plan), ...coverJobs(plan, byTime)];
    startTimes(all, plan.nowAtMs, plan.data.farm.hands);
    return all;
  };
  const together = made(false);
  if (!together.some(isLate)) return together;
  const apart = made(true);
  for (const job of apart) if (isLate(job) && !job.late) job.why = said('why.late', { why: job.why });
  return apart;
}

/**
 * All jobs of the phase in the order of their times; what is done stays where it was.
 * @example jobsOf(await aPlan()).map((j) => j.kind) // ['cover']
 */
export function jobsOf(plan: NightPlan): Job[] {
  const jobs = plan.phase === 'morning' ? liftJobs(plan) : eveningJobs(plan);
  return jobs.sort(
    (a, b) =>
      (a.doneAtMs ?? a.dueAtMs) - (b.doneAtMs ?? b.dueAtMs) ||
      Number(takesOff(b)) - Number(takesOff(a)) ||
      b.saves - a.saves ||
      a.key.localeCompare(b.key),
  );
}
