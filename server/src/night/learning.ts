/**
 * What the readings have taught about each structure. Contract: `beliefsOf(...)` gives a belief for every structure that
 * has been read, from the last 30 nights that were; the same readings are learnt from once; the night asked about is not among them.
 */
import type { LearntView } from '@fogata/contract';
import {
  BOOK_BELIEF,
  doubtK,
  factorSd,
  HOUR_MS,
  learn,
  nightFor,
  nightWindow,
  said,
  shareOf,
  type Belief,
  type Calibration,
} from '@fogata/core';
import type { Background } from '@fogata/core/planning';
import { ofKind, type FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import type { FarmWeather } from '../sources/farmWeather';
import type { ThermometerSpot } from '../sources/ports';
import { backgroundOf } from './background';
import { minMaxBetween, spotAirC } from './spotAir';
import { spotOf } from './spots';

/** So many nights teach, the newest that were read, however long ago: what a house was found to be it is until it is read again. */
const NIGHTS = 30;
/** An issued hour is wrong by this many times what it leaves in doubt at a leaf a night later: about 1.5 K (starting value). */
const WEATHER_DOUBT_K = 3;

/** Nights further apart than this are run by themselves; the days between are the run-up of the later one. */
const APART_MS = 3 * 24 * HOUR_MS;

export interface ReadNight {
  fromAtMs: number;
  toAtMs: number;
  measuredC: number;
  /** Doubt about the weather of that night, K: 0 where it was measured. */
  doubtK: number;
}

export interface LearnTask {
  /** Stretches of days in which the thermometer was read, each run through once. */
  runs: { spot: ThermometerSpot; nights: ReadNight[] }[];
}

/** Runs in a thread: every stretch four times, once as believed and once for each factor a little moved. */
export function learnFrom(task: LearnTask): Belief {
  const nights = task.runs.flatMap(({ spot, nights: read }) => {
    const series = new Map<string, ReturnType<typeof spotAirC>>();
    const airUnder = (c: Calibration) => {
      const key = JSON.stringify(c);
      const found = series.get(key) ?? spotAirC(spot, c);
      series.set(key, found);
      return found;
    };
    return read.flatMap((n) => {
      const minimum = (c: Calibration) => minMaxBetween(airUnder(c), n.fromAtMs, n.toAtMs)?.minC ?? NaN;
      const night = { ...nightFor(BOOK_BELIEF, n.measuredC, minimum), doubtK: n.doubtK };
      return Number.isNaN(night.modelC) ? [] : [night];
    });
  });
  return learn(BOOK_BELIEF, nights);
}

/** The nights of each structure that were read before `beforeNight`, as work for `learnFrom`. */
export async function learnTasks(
  data: FarmData,
  state: FarmState,
  weather: Pick<FarmWeather, 'past'>,
  beforeNight: string,
): Promise<Map<string, LearnTask>> {
  // the ground as it was then: what a night taught does not change with the season it is looked back from
  const grounds = new Map<number, Promise<Background>>();
  const groundAt = (ms: number) => {
    const found = grounds.get(ms) ?? backgroundOf(weather, ms, data.farm);
    grounds.set(ms, found);
    return found;
  };
  const tasks = new Map<string, LearnTask>();
  for (const structure of data.structures) {
    const readings = ofKind(state.standing, 'reading').filter(
      (r) => r.spot === structure.id && r.minC !== null && r.night < beforeNight,
    );
    // a later reading of the same night stands for it
    const byNight = new Map(readings.map((r) => [r.night, r]));
    const nights = [...byNight.values()]
      .map((r) => {
        const window = nightWindow(r.night, data.farm);
        const toAtMs = Math.min(window.toAtMs, r.atMs);
        return { night: r.night, fromAtMs: window.fromAtMs, toAtMs, measuredC: r.minC! };
      })
      .sort((a, b) => a.fromAtMs - b.fromAtMs)
      .slice(-NIGHTS);
    const stretches: (typeof nights)[] = [];
    for (const n of nights) {
      const last = stretches.at(-1);
      if (last && n.fromAtMs - last.at(-1)!.toAtMs < APART_MS) last.push(n);
      else stretches.push([n]);
    }
    const runs: LearnTask['runs'] = [];
    for (const list of stretches) {
      const last = list.at(-1)!;
      const { deepC } = await groundAt(nightWindow(last.night, data.farm).toAtMs);
      const spot = await spotOf(
        data,
        state,
        structure,
        weather,
        list[0]!.fromAtMs,
        last.toAtMs,
        deepC,
        last.night,
      );
      if (!spot) continue;
      const { worth, ...own } = spot;
      const read = list.flatMap(({ fromAtMs, toAtMs, measuredC }): ReadNight[] => {
        const at = (ms: number) => Math.round((ms - list[0]!.fromAtMs) / HOUR_MS);
        const of = worth.slice(at(fromAtMs), at(toAtMs) + 1);
        // a night of which nobody knows the weather teaches nothing about the house
        if (shareOf(of, 'guessed') > 0.1) return [];
        return [{ fromAtMs, toAtMs, measuredC, doubtK: WEATHER_DOUBT_K * doubtK(of) }];
      });
      if (read.length > 0) runs.push({ spot: own, nights: read });
    }
    if (runs.length > 0) tasks.set(structure.id, { runs });
  }
  return tasks;
}

/** The belief in a grower's words. */
export function learntView(name: string, structureId: string, b: Belief): LearntView {
  const { zoneOffsetC: hangsK, leakage } = b.mean;
  return {
    structureId,
    name,
    nights: b.nights,
    calibration: b.mean,
    words: said('learnt.house', {
      structure: name,
      nights: b.nights,
      hangsK,
      leakage,
      fromK: factorSd(BOOK_BELIEF, 3),
      toK: factorSd(b, 3),
    }),
  };
}
