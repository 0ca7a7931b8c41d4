/**
 * An hour between two that are known: temperatures, wind, cloud and sun on the line between them, where both have them. What
 * fell is left to the caller: a sum is not on a line.
 */
import type { WeatherEntry } from '../heat/types';

/**
 * `f` is how far from `a` to `b`, 0 to 1; `ms` the instant.
 * @example hourBetween(weather()[0], weather()[1], 0, Date.parse(weather()[0].time)).airC === weather()[0].airC // true
 */
export function hourBetween(a: WeatherEntry, b: WeatherEntry, f: number, ms: number): WeatherEntry {
  const m = (x: number, y: number) => x + f * (y - x);
  return {
    time: new Date(ms).toISOString(),
    airC: m(a.airC, b.airC),
    dewPointC: m(a.dewPointC, b.dewPointC),
    windMs: m(a.windMs, b.windMs),
    // directions do not lie between: the nearer one's
    ...((f < 0.5 ? a : b).windFromDeg === undefined ? {} : { windFromDeg: (f < 0.5 ? a : b).windFromDeg }),
    cloudFraction: m(a.cloudFraction, b.cloudFraction),
    ...(a.globalWm2 === undefined || b.globalWm2 === undefined
      ? {}
      : { globalWm2: m(a.globalWm2, b.globalWm2) }),
    rainMm: 0,
    snowMm: 0,
  };
}
