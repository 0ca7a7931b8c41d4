/**
 * What the readings have taught about each structure. Contract: `beliefsOf(...)` gives a belief for every structure that
 * has been read in the last 30 nights; the same readings are learnt from once; the night asked about is not among them.
 */
import type { LearntView } from '@fogata/contract';
import {
  addDays,
  BOOK_BELIEF,
  differenceText,
  factorSd,
  learn,
  nightFor,
  nightWindow,
  type Belief,
  type Style,
} from '@fogata/core';
import { minMaxBetween, spotAirC, type ThermometerSpot } from '../adapters/thermometers';
import type { WeatherSource } from '../adapters/weather';
import { ofKind, type FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { spotOf } from './spots';

const NIGHTS = 30;

export interface LearnTask {
  nights: { spot: ThermometerSpot; fromMs: number; toMs: number; measuredC: number }[];
}

/** Runs in a thread: every night five times, once as believed and once for each factor and a little to spare. */
export function learnFrom(task: LearnTask): Belief {
  const nights = task.nights.flatMap((n) => {
    const minimum = (calibration: Parameters<typeof spotAirC>[1]) =>
      minMaxBetween(spotAirC(n.spot, calibration), n.fromMs, n.toMs)?.minC ?? NaN;
    const night = nightFor(BOOK_BELIEF, n.measuredC, minimum);
    return Number.isNaN(night.modelC) ? [] : [night];
  });
  return learn(BOOK_BELIEF, nights);
}

/** The nights of each structure that were read before `beforeNight`, as work for `learnFrom`. */
export function learnTasks(
  data: FarmData,
  state: FarmState,
  weather: WeatherSource,
  beforeNight: string,
  deepC: number,
): Map<string, LearnTask> {
  const first = addDays(beforeNight, -NIGHTS);
  const tasks = new Map<string, LearnTask>();
  for (const structure of data.structures) {
    const readings = ofKind(state.standing, 'reading').filter(
      (r) => r.spot === structure.id && r.minC !== null && r.night < beforeNight && r.night >= first,
    );
    // a later reading of the same night stands for it
    const byNight = new Map(readings.map((r) => [r.night, r]));
    const nights = [...byNight.values()].flatMap((r) => {
      const window = nightWindow(r.night, data.farm);
      const toMs = Math.min(window.toMs, r.atMs);
      const spot = spotOf(data, state, structure, weather, window.fromMs, window.toMs, deepC, r.night);
      return spot ? [{ spot, fromMs: window.fromMs, toMs, measuredC: r.minC! }] : [];
    });
    if (nights.length > 0) tasks.set(structure.id, { nights });
  }
  return tasks;
}

/** The belief in a grower's words. */
export function learntView(name: string, structureId: string, b: Belief, style: Style): LearntView {
  const k = (x: number) => differenceText(x, style.units.temperature);
  const c = b.mean;
  const parts = [`it hangs ${k(c.zoneOffsetC)} from the book`];
  if (Math.abs(Math.log(c.leakage)) > 0.08)
    parts.push(
      `leaks ${c.leakage > 1 ? 'more' : 'less'} than the book's by ${Math.round(Math.abs(c.leakage - 1) * 100)} %`,
    );
  const doubt = (x: Belief) => k(factorSd(x, 3)).replace('+', '');
  return {
    structureId,
    name,
    nights: b.nights,
    calibration: c,
    words: `${name}, from ${b.nights} ${b.nights === 1 ? 'night' : 'nights'}: ${parts.join(', ')}. The doubt about that is down from ±${doubt(BOOK_BELIEF)} to ±${doubt(b)}.`,
  };
}
