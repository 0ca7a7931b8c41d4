/**
 * The night planner: one computation for one state of the farm, run roof by roof in the pool, shared by everyone who
 * asks, of this server or another on the same database, kept over a restart, abandoned when the state moves on. Progress can
 * be read at any time. What is computed is core's (`core/night/evening.ts`).
 */
import type { PlanProgress } from '@fogata/contract';
import { localDate, nightOf, said, type Belief } from '@fogata/core';
import {
  anythingStands,
  begin,
  FIRST_LOOK,
  nightAt,
  type Background,
  type KeptAir,
  type NightAt,
  type NightPlan,
  type PlannedBed,
} from '@fogata/core/planning';
import { setMaxListeners } from 'node:events';
import { setTimeout as sleep } from 'node:timers/promises';
import { fault, wholeFault } from '../fault';
import { ownLocks, type Locks } from '../db/locks';
import { deriveState, type FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { isForecast, type FarmWeather, type Forecast } from '../sources/farmWeather';
import { backgroundOf } from './background';
import { NOTHING_KEPT, type KeptPlans } from './keptPlans';
import { learnTasks } from './learning';
import { measuredUnder } from './spots';
import type { NightPool } from './pool';
import { stateKey } from './stateKey';

interface Job {
  key: string;
  progress: PlanProgress;
  plan: NightPlan | null;
  /** The beds that are worked out so far, as they stand: the choice comes when all are. */
  partial: NightPlan | null;
  /** A first choice from a few members, until there is the whole. */
  first: NightPlan | null;
  /** Until it is known whether it has to be worked out. */
  looked: Promise<void>;
  promise: Promise<void>;
  abort: AbortController;
}

export interface PlannerDeps {
  pool: NightPool;
  onReady?: (plan: NightPlan) => Promise<void>;
  kept?: KeptPlans;
  locks?: Locks;
  /** Of the code that computes: what another version kept is not taken for this one's. */
  version?: string;
}

export interface Asked {
  progress: PlanProgress;
  plan: NightPlan | null;
  partial: NightPlan | null;
  first: NightPlan | null;
}

/** So many nights at once; the one that was asked for longest ago is dropped. */
const NIGHTS_AT_ONCE = 4;
/** How often it is looked whether another server is done. */
const LOOK_MS = 200;

export class Planner {
  /** By night, the one that was asked for last at the end. */
  private readonly jobs = new Map<string, Job>();
  /** What was chosen last, by bed, and for which night. */
  private last: { night: string; chosen: Map<string, string> } = { night: '', chosen: new Map() };
  /** What that night's houses were priced in. */
  private airs: { night: string; by: Map<string, KeptAir> } = { night: '', by: new Map() };
  private background: { key: string; value: Promise<Background> } | null = null;
  private readonly kept: KeptPlans;
  private readonly locks: Locks;

  constructor(private readonly deps: PlannerDeps) {
    this.kept = deps.kept ?? NOTHING_KEPT;
    this.locks = deps.locks ?? ownLocks();
  }

  async backgroundFor(data: FarmData, weather: FarmWeather, nowAtMs: number): Promise<Background> {
    const key = JSON.stringify([
      weather.key,
      localDate(nowAtMs, data.farm.timeZone),
      data.farm.latitude,
      data.farm.longitude,
      data.farm.elevationM,
      data.farm.timeZone,
    ]);
    if (this.background?.key !== key)
      this.background = { key, value: backgroundOf(weather, nowAtMs, data.farm) };
    return this.background.value;
  }

  /** The plan for this state of the farm: at once where it is there or kept, else how far it is. Never waits for one. */
  async ask(data: FarmData, weather: FarmWeather, nowAtMs: number): Promise<Asked> {
    const job = this.jobFor(data, weather, nowAtMs);
    await job.looked;
    return { progress: job.progress, plan: job.plan, partial: job.partial, first: job.first };
  }

  private jobFor(data: FarmData, weather: FarmWeather, nowAtMs: number): Job {
    const { night } = nightOf(nowAtMs, data.farm);
    const key = `${this.deps.version ?? ''}${stateKey(data, weather.key, nowAtMs)}`;
    const held = this.jobs.get(night);
    this.jobs.delete(night);
    if (held && held.key !== key) held.abort.abort();
    const job = held?.key === key ? held : this.start(key, data, weather, nowAtMs);
    this.jobs.set(night, job);
    const oldest = this.jobs.keys().next().value;
    if (this.jobs.size > NIGHTS_AT_ONCE && oldest !== undefined) {
      this.jobs.get(oldest)!.abort.abort();
      this.jobs.delete(oldest);
    }
    return job;
  }

  /** What failed is tried once more when it is asked for next; nothing else tries it by itself. */
  again(): void {
    for (const [night, job] of this.jobs) if (job.progress.state === 'failed') this.jobs.delete(night);
  }

  /** As `ask`, but waits. */
  async wait(data: FarmData, weather: FarmWeather, nowAtMs: number): Promise<NightPlan | null> {
    const job = this.jobFor(data, weather, nowAtMs);
    await job.promise;
    if (job.progress.state === 'failed') throw new Error(`the night could not be worked out: ${job.key}`);
    return job.plan;
  }

  private start(key: string, data: FarmData, weather: FarmWeather, nowAtMs: number): Job {
    const abort = new AbortController();
    // one listener a task in the queue
    setMaxListeners(0, abort.signal);
    const progress: PlanProgress = { state: 'computing', done: 0, of: 0 };
    let looked = () => {};
    const job: Job = {
      key,
      progress,
      plan: null,
      partial: null,
      first: null,
      abort,
      looked: new Promise((done) => (looked = done)),
      promise: Promise.resolve(),
    };
    job.promise = this.compute(job, data, weather, nowAtMs, looked)
      .catch((error: unknown) => {
        if (abort.signal.aborted) return;
        progress.state = 'failed';
        progress.message = said('problem.night');
        wholeFault('night', error);
      })
      .finally(looked);
    return job;
  }

  /** Leave to work it out alone; or the plan, where another server did so meanwhile. */
  private async turn(job: Job): Promise<NightPlan | (() => Promise<void>)> {
    for (;;) {
      job.abort.signal.throwIfAborted();
      const release = await this.locks.take(`plan ${job.key}`);
      const found = release && !this.locks.shared ? null : await this.kept.find(job.key);
      if (found) {
        await release?.();
        return found;
      }
      if (release) return release;
      Object.assign(job.progress, await this.kept.progress(job.key));
      await sleep(LOOK_MS, undefined, { signal: job.abort.signal });
    }
  }

  private ready(job: Job, plan: NightPlan): void {
    const { night } = plan.window;
    if (plan.phase !== 'morning')
      this.last = { night, chosen: new Map(plan.beds.map((b) => [b.bed.id, b.chosen])) };
    job.plan = plan;
    job.partial = null;
    job.first = null;
    delete job.progress.first;
    Object.assign(job.progress, { state: 'ready', done: plan.beds.length, of: plan.beds.length });
  }

  private async compute(
    job: Job,
    data: FarmData,
    weather: FarmWeather,
    nowAtMs: number,
    looked: () => void,
  ): Promise<void> {
    const at = nightAt(nowAtMs, data.farm);
    const state = deriveState(data.records);
    if (!anythingStands(data, at.today)) {
      job.progress.state = 'empty';
      return;
    }
    const forecast = weather.coming(at.window, at.hourAtMs, at.endAtMs);
    if (!isForecast(forecast)) {
      job.progress.state = 'waiting';
      job.progress.lack = forecast;
      return;
    }
    const kept = await this.kept.find(job.key);
    if (kept) return this.ready(job, kept);
    looked();
    const turn = await this.turn(job);
    if (typeof turn !== 'function') return this.ready(job, turn);
    try {
      await this.workOut(job, { data, state, weather, nowAtMs, forecast, at });
    } finally {
      await turn();
    }
  }

  private async workOut(job: Job, { data, state, weather, nowAtMs, forecast, at }: At): Promise<void> {
    const { night } = at.window;
    const { signal } = job.abort;
    const ahead = weather.coming(at.window, at.hourAtMs, at.aheadAtMs);
    const background = await this.backgroundFor(data, weather, nowAtMs);
    if (this.airs.night !== night) this.airs = { night, by: new Map() };
    const begun = begin({
      data,
      state,
      nowAtMs,
      at,
      weather: {
        ...forecast,
        past: await weather.past(at.pastAtMs, at.hourAtMs),
        ahead: isForecast(ahead) ? ahead.members[0]! : forecast.members[0]!,
      },
      background,
      measured: await measuredUnder(data, state, weather, at, background.deepC, nowAtMs),
      beliefs: await this.beliefs(data, state, weather, night, signal),
      airs: this.airs.by,
    });
    const { plan } = begun;
    job.partial = plan;
    job.progress.of = begun.beds;
    const tell = () =>
      this.locks.shared
        ? this.kept.setProgress(job.key, night, job.progress.done, job.progress.of)
        : Promise.resolve();
    await tell();
    if (this.last.night !== night) this.last = { night, chosen: await this.kept.lastChosen(night) };
    const onBeds = (beds: PlannedBed[]) => {
      plan.beds.push(...beds);
      job.progress.done += beds.length;
      void tell().catch(() => undefined);
    };
    const onFirst = (first: NightPlan) => {
      job.first = first;
      job.progress.first = { members: FIRST_LOOK, of: first.members.length };
      job.progress.done = 0;
    };
    // from then on they are counted as their covers have been gone through
    const onLooked = () => {
      if (job.first) job.progress.done += 1;
    };
    await begun.run(this.deps.pool, signal, this.last.chosen, { onBeds, onFirst, onLooked });
    await this.deps.onReady?.(plan);
    // a plan that could not be kept is still a plan
    await this.kept.keep(job.key, plan).catch((e: unknown) => fault('nightNotKept', e));
    this.ready(job, plan);
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
    for (const job of this.jobs.values()) job.abort.abort();
  }
}

interface At {
  data: FarmData;
  state: FarmState;
  weather: FarmWeather;
  nowAtMs: number;
  forecast: Forecast;
  at: NightAt;
}
