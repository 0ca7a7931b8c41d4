/**
 * The night planner: one computation for one state of the farm, run roof by roof in the pool, shared by everyone who
 * asks, abandoned when the state moves on. Progress can be read at any time. What is computed is in `plan.ts`.
 */
import type { PlanProgress } from '@fogata/contract';
import { doubtK, HOUR_MS, localDate, nightOf, phaseOf, REST_ERROR_K, type Belief } from '@fogata/core';
import { createHash } from 'node:crypto';
import { setMaxListeners } from 'node:events';
import { deriveState, ofKind, type FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { isForecast, type FarmWeather } from '../sources/farmWeather';
import { backgroundOf, type Background } from './background';
import { learnTasks } from './learning';
import { workOut } from './plan';
import type { NightPlan } from './planned';
import type { NightPool } from './pool';
import { HISTORY_MS, roofsOf, standingIn, type TaskInputs } from './tasks';

export { asIsOutcome, chosenOutcome, nightLowsC, type NightPlan, type PlannedBed } from './planned';

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
  /** What was chosen last, by bed, and for which night. */
  private last: { night: string; chosen: Map<string, string> } = { night: '', chosen: new Map() };
  private background: { key: string; value: Promise<Background> } | null = null;

  constructor(private readonly deps: PlannerDeps) {}

  async backgroundFor(data: FarmData, weather: FarmWeather, nowMs: number): Promise<Background> {
    const key = JSON.stringify([
      weather.key,
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
    weather: FarmWeather,
    nowMs: number,
  ): { progress: PlanProgress; plan: NightPlan | null; partial: NightPlan | null } {
    const key = stateKey(data, weather.key, nowMs);
    if (this.job?.key !== key) {
      const last = this.job;
      last?.abort.abort();
      this.job = this.start(key, data, weather, nowMs);
    }
    return { progress: this.job.progress, plan: this.job.plan, partial: this.job.partial };
  }

  /** What failed is tried once more when it is asked for next; nothing else tries it by itself. */
  again(): void {
    if (this.job?.progress.state === 'failed') this.job = null;
  }

  /** As `ask`, but waits. */
  async wait(data: FarmData, weather: FarmWeather, nowMs: number): Promise<NightPlan | null> {
    this.ask(data, weather, nowMs);
    const job = this.job!;
    await job.promise;
    if (job.progress.state === 'failed') throw new Error(job.progress.message);
    return job.plan;
  }

  private start(key: string, data: FarmData, weather: FarmWeather, nowMs: number): Job {
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

  private async compute(job: Job, data: FarmData, weather: FarmWeather, nowMs: number): Promise<void> {
    const { farm } = data;
    const window = nightOf(nowMs, farm);
    const phase = phaseOf(nowMs, window);
    const state = deriveState(data.records);
    const today = localDate(nowMs, farm.timeZone);
    if (!data.beds.some((b) => standingIn(b.id, data.plantings, today).length > 0)) {
      job.progress.state = 'empty';
      return;
    }
    const hourMs = Math.floor(nowMs / HOUR_MS) * HOUR_MS;
    const endMs = window.toMs + 3 * HOUR_MS;
    const forecast = weather.coming(window, hourMs, endMs);
    if (!isForecast(forecast)) {
      job.progress.state = 'waiting';
      job.progress.lack = forecast;
      return;
    }
    const background = await this.backgroundFor(data, weather, nowMs);
    const past = await weather.past(hourMs - HISTORY_MS, hourMs);
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
      history: past.hours,
      members: forecast.members,
      deepC: background.deepC,
      closeMs,
      onlyAsIs: phase === 'morning',
      fixed,
      beliefs: await this.beliefs(data, state, weather, window.night, job.abort.signal),
    };
    const roofs = roofsOf(inputs);
    const endOfAhead = endMs + 8 * HOUR_MS;
    const ahead = weather.coming(window, hourMs, endOfAhead);
    const plan: NightPlan = {
      nowMs,
      window,
      phase,
      closeMs,
      issuedMs: forecast.issuedMs,
      forecastName: forecast.name,
      source: forecast.source,
      worth: past.worth,
      errorK: Math.hypot(REST_ERROR_K, doubtK(past.worth)),
      centre: forecast.members[0]!,
      ahead: isForecast(ahead) ? ahead.members[0]! : forecast.members[0]!,
      history: inputs.history,
      members: inputs.members,
      beds: [],
      beliefs: inputs.beliefs,
      data,
      state,
    };
    job.partial = plan;
    job.progress.of = roofs.reduce((n, r) => n + r.beds.length, 0);
    plan.beds = await workOut(
      {
        inputs,
        roofs,
        background,
        phase,
        pool: this.deps.pool,
        signal: job.abort.signal,
        errorK: plan.errorK,
        worth: plan.worth,
        before: this.last.night === window.night ? this.last.chosen : new Map(),
      },
      (beds) => {
        plan.beds.push(...beds);
        job.progress.done += beds.length;
      },
    );
    if (phase !== 'morning')
      this.last = { night: window.night, chosen: new Map(plan.beds.map((b) => [b.bed.id, b.chosen])) };
    await this.deps.onReady?.(plan);
    job.plan = plan;
    job.partial = null;
    job.progress.state = 'ready';
  }

  /** What every structure's readings have taught, up to the night before this one. */
  async beliefs(
    data: FarmData,
    state: FarmState,
    weather: FarmWeather,
    night: string,
    signal = new AbortController().signal,
  ): Promise<Map<string, Belief>> {
    const tasks = [...(await learnTasks(data, state, weather, night))];
    return new Map(
      await Promise.all(
        tasks.map(async ([id, task]) => [id, await this.deps.pool.learn(task, signal)] as const),
      ),
    );
  }

  stop(): void {
    this.job?.abort.abort();
  }
}

/** Identity of a computation: the hour, the farm as it is set up, what is on, what the grower decided, the forecast. */
export function stateKey(data: FarmData, weatherKey: string, nowMs: number): string {
  const relevant = data.records
    .filter((r) => ['cover', 'vent', 'decision', 'harm'].includes(r.record.kind))
    .map((r) => r.record.id);
  const { latitude, longitude, elevationM, timeZone, hourlyRate, hands, schools } = data.farm;
  const body = [
    Math.floor(nowMs / (HOUR_MS / 4)),
    latitude,
    longitude,
    elevationM,
    timeZone,
    hourlyRate,
    hands,
    schools,
    data.structures,
    data.beds,
    data.plantings,
    data.covers,
    relevant,
    weatherKey,
  ];
  return createHash('sha1').update(JSON.stringify(body)).digest('hex');
}
