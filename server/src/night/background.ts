/** Slow facts of the place: how cold the last weeks were, how hard that made what stands there, how warm the deep ground is. */
import {
  addDays,
  deepGroundC,
  cropById,
  daysBetween,
  hardening,
  HOUR_MS,
  localDate,
  type FarmSite,
  type Planting,
  type StructureKind,
  type WeatherEntry,
} from '@fogata/core';
import type { FarmWeather } from '../sources/farmWeather';

/** Inside is milder by day than the record outside: starting values, K on the daily mean. */
const SHELTER_K: Record<StructureKind, number> = { house: 2.5, frame: 1.5, tunnel: 1, open: 0 };

export function dailyMeans(weather: readonly WeatherEntry[], timeZone: string): Map<string, number> {
  const sums = new Map<string, { sum: number; n: number }>();
  for (const e of weather) {
    const day = localDate(Date.parse(e.time), timeZone);
    const s = sums.get(day) ?? { sum: 0, n: 0 };
    s.sum += e.airC;
    s.n += 1;
    sums.set(day, s);
  }
  return new Map([...sums].map(([day, s]) => [day, s.sum / s.n]));
}

/** Hardening of a planting today, from the days since it was planted (the last 60 at most). */
export function hardeningOf(
  p: Planting,
  kind: StructureKind,
  means: Map<string, number>,
  today: string,
): number {
  const days = Math.min(60, Math.max(0, daysBetween(p.plantedOn, today)));
  const series: number[] = [];
  for (let d = days; d >= 1; d--) {
    const mean = means.get(addDays(today, -d));
    if (mean !== undefined) series.push(mean + SHELTER_K[kind]);
  }
  return hardening(series, cropById(p.crop));
}

export interface Background {
  means: Map<string, number>;
  deepC: number;
}

/** Slow facts of the place for a date: daily means of the last 60 days, and the ground's depth. Cached by the caller's date. */
export async function backgroundOf(
  weather: Pick<FarmWeather, 'past'>,
  nowMs: number,
  site: FarmSite,
): Promise<Background> {
  const record = await weather.past(nowMs - 62 * 24 * HOUR_MS, nowMs);
  const means = dailyMeans(record.hours, site.timeZone);
  const all = [...means.values()];
  return { means, deepC: deepGroundC(site, all.reduce((s, c) => s + c, 0) / Math.max(1, all.length)) };
}
