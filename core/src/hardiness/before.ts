/**
 * How hard the weeks before have made a planting. Contract: `dailyMeans` of hourly weather by the farm's dates; `hardeningOf`
 * a planting from those since it was planted, 0 to 1.
 */
import { cropOf } from '../crops/cultivars';
import type { Planting, StructureKind } from '../farm/types';
import type { WeatherEntry } from '../heat/types';
import { addDays, daysBetween, localDate } from '../time/farmTime';
import { hardening } from './hardiness';

/** Inside is milder by day than the record outside: starting values, K on the daily mean. */
export const SHELTER_K: Record<StructureKind, number> = { house: 2.5, frame: 1.5, tunnel: 1, open: 0 };

/** @example dailyMeans([{ time: '2027-01-14T12:00:00Z', airC: 4 }], 'UTC').get('2027-01-14') // 4 */
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

/**
 * Hardening of a planting today, from the days since it was planted (the last 60 at most).
 * @example hardeningOf({ ...planted('b', 'mache'), plantedOn: '2026-11-20' }, 'house', new Map([['2027-01-13', 2]]), '2027-01-14') > 0 // true
 */
export function hardeningOf(
  p: Planting,
  kind: StructureKind,
  means: ReadonlyMap<string, number>,
  today: string,
): number {
  const days = Math.min(60, Math.max(0, daysBetween(p.plantedOn, today)));
  const series: number[] = [];
  for (let d = days; d >= 1; d--) {
    const mean = means.get(addDays(today, -d));
    if (mean !== undefined) series.push(mean + SHELTER_K[kind]);
  }
  return hardening(series, cropOf(p));
}
