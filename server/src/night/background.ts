/** Slow facts of the place for a date: how cold the last weeks were, how warm the deep ground is. Cached by the caller's date. */
import { dailyMeans, deepGroundC, HOUR_MS, type FarmSite } from '@fogata/core';
import type { Background } from '@fogata/core/planning';
import type { FarmWeather } from '../sources/farmWeather';

export async function backgroundOf(
  weather: Pick<FarmWeather, 'past'>,
  nowAtMs: number,
  site: FarmSite,
): Promise<Background> {
  const record = await weather.past(nowAtMs - 62 * 24 * HOUR_MS, nowAtMs);
  const means = dailyMeans(record.hours, site.timeZone);
  const all = [...means.values()];
  return { means, deepC: deepGroundC(site, all.reduce((s, c) => s + c, 0) / Math.max(1, all.length)) };
}
