/**
 * Hours of plausible days, for the heat engine. Contract: `hoursOf(years, site, from, days)` gives hourly weather in solar time (the
 * site's longitude is taken as 0) from midnight of day `from`: low at sunrise, high at three in the afternoon, cosines between, dew
 * point just under the low, more so under bright skies, cloud by what sun the day has, less wind by night.
 */
import type { Site, WeatherEntry } from '../heat/types';
import { clearSkyWm2, dayLengthH, sunPosition } from '../sky/sun';
import { YEAR_DAYS } from './climate';
import type { Years } from './years';

export const DAY_MS = 86_400_000;
/** Three years on end without a 29th of February. */
const START_MS = Date.UTC(2001, 0, 1);
export const MOST_YEARS = 3;
/** When the day is warmest, solar hours. */
const WARMEST_H = 15;

/** @example new Date(dayAtMs(31)).toISOString().slice(5, 10) // '02-01' */
export const dayAtMs = (day: number): number => START_MS + day * DAY_MS;

/**
 * A clear day's sun on the level by day of the year, MJ/m².
 * @example clearDays(SITE)[171] > 4 * clearDays(SITE)[354] // true
 */
export function clearDays(site: Site): Float64Array {
  return Float64Array.from({ length: YEAR_DAYS }, (_, d) => {
    let sum = 0;
    for (let h = 0; h < 24; h += 0.5) {
      const { cosZenith } = sunPosition(dayAtMs(d) + (h + 0.25) * 3_600_000, site.latitude, 0);
      sum += clearSkyWm2(cosZenith, site.elevationM) * 1800;
    }
    return sum / 1e6;
  });
}

/**
 * Cloud that leaves this share of a clear day's sun (Kasten and Czeplak 1980, turned round).
 * @example cloudOf(1) // 0
 */
export const cloudOf = (sunShare: number): number =>
  Math.min(1, Math.max(0, (1 - Math.min(1, sunShare)) / 0.75)) ** (1 / 3.4);

/** Hour of the low: sunrise, at the latest eight, six where the sun does not cross the horizon. */
function lowHour(day: number, latitude: number): number {
  const h = dayLengthH(dayAtMs(day), latitude);
  return h <= 0 || h >= 24 ? 6 : Math.min(8, Math.max(3, 12 - h / 2));
}

/**
 * Days of plausible years as hours, from a day of the series on.
 * @example hoursOf(someYears(), SITE, 0, 2).length // 48
 */
export function hoursOf(years: Years, site: Site, from: number, days: number): WeatherEntry[] {
  const last = years.lowC.length - 1;
  const at = (list: Float32Array, day: number) => list[Math.min(last, Math.max(0, day))]!;
  const out: WeatherEntry[] = [];
  for (let i = from; i < from + days; i++) {
    const rise = lowHour(i, site.latitude);
    const sun = at(years.sunShare, i);
    const next = at(years.sunShare, i + 1);
    const low = at(years.lowC, i);
    for (let h = 0; h < 24; h++) {
      let airC: number;
      if (h < rise) {
        const x = (h + 24 - WARMEST_H) / (rise + 24 - WARMEST_H);
        airC = between(at(years.highC, i - 1), low, x);
      } else if (h <= WARMEST_H) airC = between(low, at(years.highC, i), (h - rise) / (WARMEST_H - rise));
      else {
        const rise2 = lowHour(i + 1, site.latitude);
        airC = between(at(years.highC, i), at(years.lowC, i + 1), (h - WARMEST_H) / (rise2 + 24 - WARMEST_H));
      }
      const night = h < rise || h > 24 - rise;
      const clear = h < 12 ? sun : (sun + next) / 2;
      out.push({
        time: new Date(dayAtMs(i) + h * 3_600_000).toISOString(),
        airC,
        dewPointC: Math.min(airC, low - 3 * Math.max(0, sun - 0.6)),
        windMs: at(years.windMps, i) * (night ? 0.7 : 1.3),
        cloudFraction: cloudOf(h > 17 || h < 6 ? clear : sun),
      });
    }
  }
  return out;
}

const between = (a: number, b: number, x: number) => a + (b - a) * (0.5 - 0.5 * Math.cos(Math.PI * x));
