/**
 * Days of water under a bed's own layers. Contract: `daysUnder` makes of a run that traced its water the days that `referenceMm` takes: the air over the bed, how damp it is and
 * how fast it moves, the sun that comes to its leaves and what they lose to what is over them, all by the heat model, with covers and openings as they were hour by hour. `waterUnder`
 * does so for all beds of a roof: a unit of work for the server's threads.
 */
import type { SoilState } from '../heat/carry';
import { prepareWeather } from '../heat/prepare';
import { runBed, runHouse, type BedRun } from '../heat/run';
import type { BedSpec, Site, WeatherEntry } from '../heat/types';
import { PLAN_STEP_S } from '../night/prepared';
import { localDate } from '../time/farmTime';
import { dayBegun, MJ_PER_H, type WaterDay } from './evaporation';

/** A day of which fewer hours are known is left out. */
const LEAST_HOURS = 12;

/**
 * A day's reference evapotranspiration under these layers is `referenceMm` of it.
 * @example daysUnder(runBed(bed([HOUSE]), prepareWeather(SITE, weather()), { water: true }), 'UTC').length > 0 // true
 */
export function daysUnder(run: BedRun, timeZone: string): WaterDay[] {
  const { water } = run;
  if (!water) throw new Error('the run kept nothing of its water');
  const by = new Map<string, WaterDay & { longMJ: number }>();
  run.entryAtMs.forEach((ms, i) => {
    const date = localDate(ms, timeZone);
    const d = by.get(date) ?? { ...dayBegun(date), longMJ: 0 };
    d.minC = Math.min(d.minC, water.airC[i]!);
    d.maxC = Math.max(d.maxC, water.airC[i]!);
    d.meanC += water.airC[i]!;
    d.vapourKPa += water.vapourPa[i]! / 1000;
    d.windMps += water.speedMps[i]!;
    d.sunMJ += run.cropSunWm2[i]! * MJ_PER_H;
    d.longMJ += water.longwaveWm2[i]! * MJ_PER_H;
    d.hours += 1;
    by.set(date, d);
  });
  return [...by.values()]
    .filter((d) => d.hours >= LEAST_HOURS)
    .map((d) => ({
      ...d,
      meanC: d.meanC / d.hours,
      vapourKPa: d.vapourKPa / d.hours,
      windMps: d.windMps / d.hours,
    }));
}

export interface WaterTask {
  site: Site;
  timeZone: string;
  /** Hour by hour, as it was or is said to be. */
  hours: WeatherEntry[];
  /** Beds of one roof as they are covered through these hours, and where they start from; left out, they are spun up. */
  beds: { id: string; spec: BedSpec; initial?: SoilState }[];
}

export interface WaterAnswer {
  /** In the order of the beds: days under their layers, and where the last hour leaves them. */
  beds: { id: string; days: WaterDay[]; end: SoilState }[];
}

/**
 * Beds of a house under their one air; elsewhere each by itself.
 * @example waterUnder({ site: SITE, timeZone: 'UTC', hours: weather(), beds: [{ id: 'b', spec: bed([HOUSE]), initial: anEnd() }] }).beds[0].id // 'b'
 */
export function waterUnder(task: WaterTask): WaterAnswer {
  const weather = prepareWeather(task.site, task.hours, PLAN_STEP_S);
  const { beds } = task;
  const initial = beds.flatMap((b) => b.initial ?? []);
  const from = initial.length === beds.length ? initial : null;
  const runs =
    (beds[0]?.spec.shared ?? 0) > 0
      ? runHouse(
          beds.map((b) => b.spec),
          weather,
          { water: true, audit: false, ...(from ? { initial: from } : {}) },
        ).beds
      : beds.map(({ spec }, n) =>
          runBed(spec, weather, { water: true, audit: false, ...(from ? { initial: from[n]! } : {}) }),
        );
  return {
    beds: runs.map((run, n) => ({ id: beds[n]!.id, days: daysUnder(run, task.timeZone), end: run.end })),
  };
}
