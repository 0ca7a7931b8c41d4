/**
 * A rehearsal on a copy of a farm: its structures, beds, covers, plantings and log as a backup has them, under invented weather and
 * a clock that stands until it is moved. Contract: `preparePractice` takes from the copy what belongs to the farm alone (its
 * name for phones, what feeds it, forecasts issued for it) and says when the rehearsal begins; `practiceWeather` is three
 * nights that teach something: clear and still, then windy, then under cloud, some degrees below the season.
 */
import { addDays, HOUR_MS, localDate, nightWindow, zonalMeanC, type FarmSite, said } from '@fogata/core';
import type { Episode } from '@fogata/core/standins';
import { inArray } from 'drizzle-orm';
import type { Db } from '../db/open';
import { forecasts, meta } from '../db/schema';
import { newFarmId } from '../farm/identity';
import { writeMeta } from '../farm/store';
import { Problem } from '../problem';

/** How far under the season's mean a hard night's day stays, K: starting value. */
const COLDER_K = 3;

export function practiceWeather(
  site: FarmSite & { elevationM?: number | undefined },
  startAtMs: number,
): Episode[] {
  const meanC = zonalMeanC(site, startAtMs) - COLDER_K;
  const noon = nightWindow(localDate(startAtMs, site.timeZone), site).fromAtMs;
  const day = (n: number, e: Omit<Episode, 'fromAtMs' | 'toAtMs'>): Episode => ({
    fromAtMs: noon + (24 * n - (n === 0 ? 30 : 0)) * HOUR_MS,
    toAtMs: noon + 24 * (n + 1) * HOUR_MS,
    ...e,
  });
  return [
    day(0, { meanC, cloud: 0.05, windMs: 0.8, drynessK: 5.5 }),
    day(1, { meanC: meanC - 0.5, cloud: 0.2, windMs: 6.5, drynessK: 5 }),
    day(2, { meanC: meanC + 1, cloud: 0.95, windMs: 2, drynessK: 2.5 }),
  ];
}

const DATE = /^\d{4}-\d{2}-\d{2}$/;

/** When it begins: closing time of the day that was asked for, today unless said. */
export function practiceStartAtMs(site: FarmSite, nowAtMs: number, on: string | undefined): number {
  const today = localDate(nowAtMs, site.timeZone);
  const date = on ?? today;
  if (!DATE.test(date) || Number.isNaN(Date.parse(date)) || date < today || date > addDays(today, 400))
    throw new Problem(422, said('refuse.practiceDate', { today, date }), 'on');
  const w = nightWindow(date, site);
  return Math.round(((w.sunsetAtMs ?? w.fromAtMs + 6.5 * HOUR_MS) - 2.5 * HOUR_MS) / 60_000) * 60_000;
}

/** Makes a restored copy one of its own. The clock is kept in the copy as the demo's is. */
export async function preparePractice(db: Db, startAtMs: number): Promise<void> {
  await db.delete(forecasts);
  await db.delete(meta).where(inArray(meta.key, ['poll', 'feedToken']));
  await newFarmId(db);
  await writeMeta(db, 'clockMs', String(startAtMs));
}
