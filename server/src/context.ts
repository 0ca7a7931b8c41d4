/** What a request needs: the farm as it is now, its weather, the plan. One loading path for every route. */
import type { ClockView } from '@fogata/contract';
import { nightOf, nightWindow, phaseOf, type OutsideLow, type Site, type Style } from '@fogata/core';
import { dayHighC, lowSoFar, type NightPlan } from '@fogata/core/planning';
import { nextClosingAtMs, nextMorningAtMs, type FarmClock } from './clock';
import { ownLocks, type Locks } from './db/locks';
import { answersIn } from './db/keptAnswers';
import type { Db } from './db/open';
import { deriveState, ofKind, type FarmState } from './farm/state';
import { saveHardness } from './farm/seeds';
import { heldWhile } from './held';
import { findNight, loadFarm, saveLows, saveNight, styleOf, type FarmData } from './farm/store';
import { Ahead } from './night/ahead';
import { keptIn } from './night/keptPlans';
import { nightWeather } from './night/nowView';
import { Planner } from './night/planner';
import { rememberingPool, type NightPool } from './night/pool';
import { predictionOf, type SpotInputs } from './night/report';
import { OUTSIDE } from './night/spots';
import { farmWeather, type FarmWeather } from './sources/farmWeather';
import { dayBook, shadeBook, waterBook, type DayPool } from './day/book';
import { Filler, type FillPool } from './relay/filler';
import { SeasonBook, type SeasonPool } from './season/book';
import { keptSources } from './sources/kept';
import type { Sources } from './sources/ports';

export interface ServerOptions {
  db: Db;
  clock: FarmClock;
  pool: NightPool & SeasonPool & DayPool & FillPool;
  /** Where weather and temperatures come from; what is kept in the database unless said. The demo says. */
  sources?: (site: Site) => Sources;
  /** A rehearsal on a copy of a farm. */
  practice?: boolean;
  /** How often anything was written, where nobody else writes: what was loaded holds until then. */
  writes?: () => number | null;
  /** Between the servers of one database; this process alone unless said. */
  locks?: Locks;
  /** Which farm it is, so that what a phone holds for another is not written here. */
  farmId?: string;
  /** Of this code, so that plans kept by another are worked out anew. */
  version?: string;
  /** The list of towns. */
  townsFile: string;
  /** Members of an ensemble; 20 unless said. */
  members?: number;
}

export interface FarmNow {
  data: FarmData;
  state: FarmState;
  nowAtMs: number;
}

/** A farm with its weather, as both stand within a minute. */
interface Stands {
  data: FarmData;
  state: FarmState;
  sources: Sources;
  weather: FarmWeather;
}

export interface Moment extends Stands, FarmNow {
  style: Style;
  clock: ClockView;
}

/** The lowest that was read outside in each of the last nights: what an issue is corrected by. */
function outsideLows(data: FarmData, state: FarmState): OutsideLow[] {
  const byNight = new Map<string, number>();
  for (const r of ofKind(state.standing, 'reading'))
    if (r.spot === OUTSIDE && r.minC !== null) byNight.set(r.night, r.minC);
  return [...byNight].map(([night, minC]) => {
    const { fromAtMs, toAtMs } = nightWindow(night, data.farm);
    return { fromAtMs, toAtMs, minC };
  });
}

export class Context {
  readonly planner: Planner;
  readonly seasons: SeasonBook;
  readonly days: ReturnType<typeof dayBook>;
  readonly shade: ReturnType<typeof shadeBook>;
  readonly waters: ReturnType<typeof waterBook>;
  readonly filler: Filler;
  readonly ahead: Ahead;
  private readonly sources: (site: Site) => Sources;
  private readonly whole = heldWhile<Stands>();
  private readonly plain = heldWhile<FarmNow>();

  constructor(readonly options: ServerOptions) {
    const kept = <A>(kind: string) => answersIn<A>(options.db, options.version ?? '', kind);
    this.seasons = new SeasonBook(options.pool, kept('season'), kept('place'));
    this.days = dayBook(options.pool);
    this.shade = shadeBook(options.pool, kept('shade'));
    this.waters = waterBook(options.pool);
    this.filler = new Filler(options.pool, this.seasons);
    const sources = keptSources(options.db);
    this.sources = options.sources ?? (() => sources);
    const workers = rememberingPool(options.pool, kept('belief'));
    this.planner = new Planner({
      pool: workers,
      onReady: (plan) => this.keepPrediction(plan),
      kept: keptIn(options.db),
      locks: options.locks ?? ownLocks(),
      version: options.version ?? '',
    });
    this.ahead = new Ahead(workers, this.planner);
  }

  /** Nothing more is worked out. */
  stop(): void {
    for (const work of [
      this.planner,
      this.seasons,
      this.days,
      this.shade,
      this.waters,
      this.filler,
      this.ahead,
    ])
      work.stop();
  }

  /** Whether weather and thermometers are invented. */
  get simulated(): boolean {
    return this.options.sources !== undefined;
  }

  get db(): Db {
    return this.options.db;
  }

  /** What an entry is checked against; the log only where it bears on that. */
  async standing(withLog: boolean, db: Db = this.db): Promise<FarmNow> {
    const nowAtMs = this.options.clock.nowAtMs();
    const load = async () => {
      const data = await loadFarm(db, nowAtMs, withLog, this.db);
      return { data, state: deriveState(data.records), nowAtMs };
    };
    // a transaction reads what it has written itself
    if (withLog || db !== this.db) return load();
    return { ...(await this.plain(this.holdsFor(nowAtMs), load)), nowAtMs };
  }

  /** What was loaded within this minute still stands where nothing was written since; null where that is not known. */
  private holdsFor(nowAtMs: number): string | null {
    const writes = this.options.writes?.() ?? null;
    return writes === null ? null : `${writes} ${Math.floor(nowAtMs / 60_000)}`;
  }

  private async load(nowAtMs: number): Promise<Stands> {
    const data = await loadFarm(this.db, nowAtMs);
    const state = deriveState(data.records);
    const { latitude, longitude, elevationM } = data.farm;
    const site = { latitude, longitude, elevationM };
    const sources = this.sources(site);
    const lows = outsideLows(data, state);
    const weather = await farmWeather(sources, site, nowAtMs, lows, this.options.members ?? 20);
    return { data, state, sources, weather };
  }

  async moment(): Promise<Moment> {
    const nowAtMs = this.options.clock.nowAtMs();
    const stands = await this.whole(this.holdsFor(nowAtMs), () => this.load(nowAtMs));
    const { farm } = stands.data;
    const window = nightOf(nowAtMs, farm);
    return {
      ...stands,
      nowAtMs,
      style: styleOf(farm),
      clock: {
        nowAtMs,
        mode: this.options.clock.mode,
        phase: phaseOf(nowAtMs, window),
        window,
        closingAtMs: nextClosingAtMs(nowAtMs, farm),
        morningAtMs: nextMorningAtMs(nowAtMs, farm),
      },
    };
  }

  async spotInputs(m: Moment, night: string, learnt = true): Promise<SpotInputs> {
    const { deepC } = await this.planner.backgroundFor(m.data, m.weather, m.nowAtMs);
    return {
      data: m.data,
      state: m.state,
      weather: m.weather,
      thermometers: m.sources.thermometers,
      deepC,
      beliefs: learnt ? await this.planner.beliefs(m.data, m.state, m.weather, night) : new Map(),
      night,
      nowAtMs: m.nowAtMs,
    };
  }

  /** What was said in the evening is kept for the morning; from midnight on it stays as it was. */
  private async keepPrediction(plan: NightPlan): Promise<void> {
    if (plan.beds.length === 0) return;
    if (plan.phase === 'morning') {
      // what the night did, by the model: it counts for as long as the planting stands
      const lows = plan.beds.flatMap((b) => {
        const low = lowSoFar(plan, b);
        return low ? [[b.bed.id, { leafC: low.leafC, highC: dayHighC(plan, b) }] as const] : [];
      });
      await saveLows(this.db, plan.window.night, new Map(lows));
      const hard = plan.beds.flatMap((b) =>
        b.atRisk.flatMap((a) => (a.hardening === undefined ? [] : [[a.planting.id, a.hardening] as const])),
      );
      return saveHardness(this.db, plan.window.night, hard);
    }
    const midnight = plan.window.fromAtMs + 12 * 3_600_000;
    if (plan.nowAtMs > midnight && (await findNight(this.db, plan.window.night))) return;
    await saveNight(this.db, plan.window.night, plan.nowAtMs, predictionOf(plan, nightWeather(plan).lowC));
  }
}
