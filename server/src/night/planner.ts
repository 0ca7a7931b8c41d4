/**
 * The night planner: one computation for one state of the farm, run bed by bed in the pool, shared by everyone who
 * asks, abandoned when the state moves on. Progress can be read at any time.
 */
import type { PlanProgress } from '@fogata/contract';
import {
  changeMinutes,
  coverProblem,
  cropById,
  expectedLoss,
  floorMinutes,
  HOUR_MS,
  localDate,
  nightOf,
  optionKey,
  outcomeOf,
  phaseOf,
  plantingValue,
  thresholds,
  type BedChoice,
  type BedOutcome,
  type Belief,
  type NightWindow,
  type Phase,
  type PlantingAtRisk,
  type WeatherEntry,
} from '@fogata/core';
import { createHash } from 'node:crypto';
import { setMaxListeners } from 'node:events';
import type { WeatherSource } from '../adapters/weather';
import { deriveState, ofKind, type FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { learnTasks } from './learning';
import { backgroundOf, hardeningOf, type Background } from './background';
import type { NightPool } from './pool';
import { solveLp } from './solver';
import { AS_IS, bedPlans, HISTORY_MS, plannedSpec, type BedPlan, type TaskInputs } from './tasks';

export interface PlannedBed extends BedPlan {
  outcome: BedOutcome;
  /** Option key; AS_IS where nothing is to be done or only the present counts. */
  chosen: string;
  fixed: string | null;
  atRisk: PlantingAtRisk[];
  loss: Record<string, number>;
  minutes: Record<string, number>;
  due: { dueMs: number; lostK: number } | null;
}

export interface NightPlan {
  nowMs: number;
  window: NightWindow;
  phase: Phase;
  closeMs: number;
  issuedMs: number;
  source: string;
  centre: WeatherEntry[];
  /** The centre on through the next day, for what is tried. */
  ahead: WeatherEntry[];
  beds: PlannedBed[];
  beliefs: Map<string, Belief>;
  data: FarmData;
  state: FarmState;
}

/** What it takes to go out again after dark, for each bed, minutes: starting value. */
const NIGHT_WALK_MIN = 15;

/** A bed with its outcomes priced; nothing is chosen for it yet. */
function plannedBed(
  p: BedPlan,
  outcome: BedOutcome,
  background: Background,
  today: string,
  fixed: string | null,
): PlannedBed {
  const atRisk = p.plantings.map((planting) => ({
    planting,
    thresholds: thresholds(
      cropById(planting.crop),
      hardeningOf(planting, p.structure.kind, background.means, today),
      planting.aim,
    ),
    value: plantingValue(planting),
  }));
  const loss: Record<string, number> = {};
  for (const o of outcome.options)
    loss[o.key] = atRisk.reduce((sum, a) => sum + expectedLoss(a, o.minLeafC), 0);
  const minutes: Record<string, number> = { [AS_IS]: 0 };
  for (const o of p.options) minutes[o.key] = changeMinutes(p.on, o);
  return { ...p, outcome, chosen: AS_IS, fixed, atRisk, loss, minutes, due: null };
}

interface Job {
  key: string;
  progress: PlanProgress;
  plan: NightPlan | null;
  /** The beds that are worked out so far, as they stand: the choice comes when all are. */
  partial: NightPlan | null;
  promise: Promise<void>;
  abort: AbortController;
}

export interface PlannerDeps {
  pool: NightPool;
  onReady?: (plan: NightPlan) => Promise<void>;
}

export class Planner {
  private job: Job | null = null;
  private background: { key: string; value: Background } | null = null;

  constructor(private readonly deps: PlannerDeps) {}

  backgroundFor(data: FarmData, weather: WeatherSource, nowMs: number): Background {
    const key = JSON.stringify([
      localDate(nowMs, data.farm.timeZone),
      data.farm.latitude,
      data.farm.longitude,
      data.farm.elevationM,
      data.farm.timeZone,
    ]);
    if (this.background?.key !== key)
      this.background = { key, value: backgroundOf(weather, nowMs, data.farm.timeZone) };
    return this.background.value;
  }

  /** The plan for this state of the farm: at once where it is there, else how far it is. Never waits. */
  ask(
    data: FarmData,
    weather: WeatherSource,
    nowMs: number,
  ): { progress: PlanProgress; plan: NightPlan | null; partial: NightPlan | null } {
    const key = stateKey(data, nowMs);
    if (this.job?.key !== key || this.job.progress.state === 'failed') {
      const last = this.job;
      last?.abort.abort();
      this.job = this.start(key, data, weather, nowMs);
    }
    return { progress: this.job.progress, plan: this.job.plan, partial: this.job.partial };
  }

  /** As `ask`, but waits. */
  async wait(data: FarmData, weather: WeatherSource, nowMs: number): Promise<NightPlan | null> {
    this.ask(data, weather, nowMs);
    const job = this.job!;
    await job.promise;
    if (job.progress.state === 'failed') throw new Error(job.progress.message);
    return job.plan;
  }

  private start(key: string, data: FarmData, weather: WeatherSource, nowMs: number): Job {
    const abort = new AbortController();
    // one listener a task in the queue
    setMaxListeners(0, abort.signal);
    const progress: PlanProgress = { state: 'computing', done: 0, of: 0 };
    const job: Job = { key, progress, plan: null, partial: null, abort, promise: Promise.resolve() };
    job.promise = this.compute(job, data, weather, nowMs).catch((error: unknown) => {
      if (abort.signal.aborted) return;
      progress.state = 'failed';
      progress.message = 'The night could not be worked out. Try again; the readings and the log are safe.';
      process.stderr.write(
        `plan failed: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`,
      );
    });
    return job;
  }

  private async compute(job: Job, data: FarmData, weather: WeatherSource, nowMs: number): Promise<void> {
    const { farm } = data;
    const window = nightOf(nowMs, farm);
    const phase = phaseOf(nowMs, window);
    const state = deriveState(data.records);
    const today = localDate(nowMs, farm.timeZone);
    const background = this.backgroundFor(data, weather, nowMs);
    const hourMs = Math.floor(nowMs / HOUR_MS) * HOUR_MS;
    const endMs = window.toMs + 3 * HOUR_MS;
    const forecast = weather.forecast(nowMs, hourMs, endMs);
    const sunset = window.sunsetMs ?? window.fromMs + 6 * HOUR_MS;
    const closeMs = Math.max(nowMs, sunset - HOUR_MS);
    const fixed = new Map<string, string>();
    for (const d of ofKind(state.standing, 'decision')) {
      if (d.night !== window.night) continue;
      if (d.key === null) fixed.delete(d.bedId);
      else fixed.set(d.bedId, d.key);
    }
    const inputs: TaskInputs = {
      data,
      state,
      nowMs,
      today,
      window,
      history: weather.history(hourMs - HISTORY_MS, hourMs),
      members: forecast.members,
      deepC: background.deepC,
      closeMs,
      onlyAsIs: phase === 'morning',
      fixed,
      beliefs: await this.beliefs(data, state, weather, window.night, background.deepC, job.abort.signal),
    };
    const plans = bedPlans(inputs);
    const endOfAhead = endMs + 8 * HOUR_MS;
    const plan: NightPlan = {
      nowMs,
      window,
      phase,
      closeMs,
      issuedMs: forecast.issuedMs,
      source: forecast.source,
      centre: forecast.members[0]!,
      ahead: weather.forecast(nowMs, hourMs, endOfAhead).members[0]!,
      beds: [],
      beliefs: inputs.beliefs,
      data,
      state,
    };
    job.partial = plan;
    job.progress.of = plans.length;
    if (plans.length === 0) job.progress.state = 'empty';
    const beds = await Promise.all(
      plans.map(async (p) => {
        const outcome = await this.deps.pool.evaluate(p.task, job.abort.signal);
        const bed = plannedBed(p, outcome, background, today, fixed.get(p.bed.id) ?? null);
        job.progress.done += 1;
        plan.beds.push(bed);
        return bed;
      }),
    );
    if (phase !== 'morning') await this.choose(beds, data, phase === 'night' ? NIGHT_WALK_MIN : 0);
    await this.setDueTimes(beds, inputs, job.abort.signal);
    plan.beds = beds;
    await this.deps.onReady?.(plan);
    job.plan = plan;
    job.partial = null;
    if (plans.length > 0) job.progress.state = 'ready';
  }

  /** What every structure's readings have taught, up to the night before this one. */
  async beliefs(
    data: FarmData,
    state: FarmState,
    weather: WeatherSource,
    night: string,
    deepC: number,
    signal = new AbortController().signal,
  ): Promise<Map<string, Belief>> {
    const tasks = [...learnTasks(data, state, weather, night, deepC)];
    return new Map(
      await Promise.all(
        tasks.map(async ([id, task]) => [id, await this.deps.pool.learn(task, signal)] as const),
      ),
    );
  }

  /** `walkMin` is added for every bed that changes: at night nobody goes out to swap sheets for a tenth of a degree. */
  private async choose(beds: PlannedBed[], data: FarmData, walkMin: number): Promise<void> {
    const choices: BedChoice[] = beds.map((b) => {
      const options = b.options.some((o) => o.key === b.fixed)
        ? b.options.filter((o) => o.key === b.fixed)
        : b.options;
      return {
        bedId: b.bed.id,
        options: options.map((o) => ({
          key: o.key,
          loss: b.loss[o.key]!,
          minutes: b.minutes[o.key]! + (o.key === optionKey(b.on) ? 0 : walkMin),
          pieces: o.pieces,
        })),
      };
    });
    if (choices.length === 0) return;
    const stock = Object.fromEntries(data.covers.map((c) => [c.id, c.count]));
    let problem = coverProblem(choices, stock, data.farm.hourlyRate);
    let values: Record<string, number>;
    try {
      values = await solveLp(problem.lp);
    } catch {
      // the grower asked for more than is in stock: their beds as close as the stock allows
      const free = choices.map((c, i) => ({
        ...c,
        options: beds[i]!.options.map((o) => ({
          key: o.key,
          loss: beds[i]!.loss[o.key]! * (o.key === beds[i]!.fixed ? 0 : 1),
          minutes: beds[i]!.minutes[o.key]!,
          pieces: o.pieces,
        })),
      }));
      problem = coverProblem(free, stock, data.farm.hourlyRate);
      values = await solveLp(problem.lp);
    }
    const chosen = problem.read(values);
    for (const b of beds) b.chosen = chosen[b.bed.id]!;
  }

  private async setDueTimes(beds: PlannedBed[], i: TaskInputs, signal: AbortSignal): Promise<void> {
    const sunset = i.window.sunsetMs ?? i.closeMs + HOUR_MS;
    await Promise.all(
      beds.map(async (b) => {
        const option = b.options.find((o) => o.key === b.chosen);
        if (!option || option.covers.every((c) => b.on.includes(c))) return;
        const first = Math.max(i.nowMs, sunset - 2 * HOUR_MS);
        const times: number[] = [];
        for (let ms = first; ms < Math.max(first + 1, sunset - 0.1 * HOUR_MS); ms += HOUR_MS / 2)
          times.push(ms);
        // one more, after dark, for what being late costs
        times.push(Math.max(first, sunset) + HOUR_MS / 2);
        const specs = times.map((fromMs) => ({
          fromMs,
          spec: plannedSpec(i, b.structure, b.bed, b.plantings, b.on, option.covers, fromMs),
        }));
        const due = await this.deps.pool.due({ task: b.task, initial: b.outcome.initial, specs }, signal);
        // round down to ten minutes, but never into the past
        const light = Math.min(due.dueMs, times[times.length - 2] ?? due.dueMs);
        b.due = { dueMs: Math.max(i.nowMs, floorMinutes(light, 10)), lostK: due.lostK };
      }),
    );
  }

  stop(): void {
    this.job?.abort.abort();
  }
}

/** Identity of a computation: the hour, the farm as it is set up, what is on, what the grower decided, the forecast. */
export function stateKey(data: FarmData, nowMs: number): string {
  const relevant = data.records
    .filter((r) => ['cover', 'vent', 'decision', 'retraction'].includes(r.record.kind))
    .map((r) => r.record.id);
  const { latitude, longitude, elevationM, timeZone, hourlyRate, schools } = data.farm;
  const body = [
    Math.floor(nowMs / (HOUR_MS / 4)),
    latitude,
    longitude,
    elevationM,
    timeZone,
    hourlyRate,
    schools,
    data.structures,
    data.beds,
    data.plantings,
    data.covers,
    relevant,
    data.imported?.id,
  ];
  return createHash('sha1').update(JSON.stringify(body)).digest('hex');
}

/** Chosen outcome of a bed. */
export function chosenOutcome(b: PlannedBed) {
  return outcomeOf(b.outcome.options, b.chosen);
}

export function asIsOutcome(b: PlannedBed) {
  return outcomeOf(b.outcome.options, AS_IS);
}
