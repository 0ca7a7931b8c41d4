/** What a request needs: the farm as it is now, its weather, the plan. One loading path for every route. */
import type { ClockView } from '@fogata/contract';
import { nightOf, phaseOf, type Episode, type Style } from '@fogata/core';
import { simulatedThermometers, type ThermometerSource } from './adapters/thermometers';
import { simulatedWeather, withImported, type WeatherSource } from './adapters/weather';
import { nextClosingMs, nextMorningMs, type FarmClock } from './clock';
import type { Db } from './db/open';
import { deriveState, type FarmState } from './farm/state';
import { findNight, loadFarm, saveNight, type FarmData } from './farm/store';
import { nightWeather } from './night/nowView';
import { Planner, type NightPlan } from './night/planner';
import { remembering, type NightPool } from './night/pool';
import { predictionOf, type SpotInputs } from './night/report';

export interface ServerOptions {
  db: Db;
  clock: FarmClock;
  pool: NightPool;
  seed: number;
  episodes?: Episode[];
  /** Members of the simulated forecast; 20 unless said. */
  members?: number;
}

export interface Moment {
  data: FarmData;
  state: FarmState;
  nowMs: number;
  weather: WeatherSource;
  style: Style;
  clock: ClockView;
}

export class Context {
  readonly planner: Planner;
  readonly thermometers: ThermometerSource = simulatedThermometers();

  constructor(readonly options: ServerOptions) {
    this.planner = new Planner({
      pool: remembering(options.pool),
      onReady: (plan) => this.keepPrediction(plan),
    });
  }

  get db(): Db {
    return this.options.db;
  }

  weatherFor(data: FarmData): WeatherSource {
    const { latitude, longitude, elevationM } = data.farm;
    const simulated = simulatedWeather({
      seed: this.options.seed,
      site: { latitude, longitude, elevationM },
      ...(this.options.episodes ? { episodes: this.options.episodes } : {}),
      ...(this.options.members ? { members: this.options.members } : {}),
    });
    return withImported(simulated, data.imported, this.options.seed, this.options.members);
  }

  async moment(): Promise<Moment> {
    const nowMs = this.options.clock.nowMs();
    const data = await loadFarm(this.db, nowMs);
    const { farm } = data;
    const window = nightOf(nowMs, farm);
    return {
      data,
      state: deriveState(data.records),
      nowMs,
      weather: this.weatherFor(data),
      style: { units: farm.units, currency: farm.currency, hours: farm.units.clock, timeZone: farm.timeZone },
      clock: {
        nowMs,
        mode: this.options.clock.mode,
        phase: phaseOf(nowMs, window),
        window,
        closingMs: nextClosingMs(nowMs, farm),
        morningMs: nextMorningMs(nowMs, farm),
      },
    };
  }

  async spotInputs(m: Moment, night: string, learnt = true): Promise<SpotInputs> {
    const { deepC } = this.planner.backgroundFor(m.data, m.weather, m.nowMs);
    return {
      data: m.data,
      state: m.state,
      weather: m.weather,
      thermometers: this.thermometers,
      deepC,
      beliefs: learnt ? await this.planner.beliefs(m.data, m.state, m.weather, night, deepC) : new Map(),
      night,
      nowMs: m.nowMs,
    };
  }

  /** What was said in the evening is kept for the morning; from midnight on it stays as it was. */
  private async keepPrediction(plan: NightPlan): Promise<void> {
    if (plan.phase === 'morning' || plan.beds.length === 0) return;
    const midnight = plan.window.fromMs + 12 * 3_600_000;
    if (plan.nowMs > midnight && (await findNight(this.db, plan.window.night))) return;
    await saveNight(this.db, plan.window.night, plan.nowMs, predictionOf(plan, nightWeather(plan).lowC));
  }
}
