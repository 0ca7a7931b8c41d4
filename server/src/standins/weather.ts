/**
 * Invented weather behind the ports: a true one from a seed as what a station measured, and a forecast of it every six hours.
 * Reached by the demo, practice and tests alone (a lint rule holds it). What the grower brings goes before it.
 */
import { FORECAST_NAME, HOUR_MS, type Issue, type Site, type WeatherEntry } from '@fogata/core';
import { forecastCentre, lastIssueAtMs, trueWeather, type Episode } from '@fogata/core/standins';
import type { IssuedWeather, ObservedWeather } from '../sources/ports';

export interface SimulatedOptions {
  seed: number;
  site: Site;
  episodes?: readonly Episode[];
}

/** How far a simulated issue reaches, and how far back it began. */
const AHEAD_H = 132;
const BACK_H = 8;
/** Hours of true weather kept: some two years of them. */
const KEPT_H = 20_000;

export function simulatedWeather(options: SimulatedOptions): {
  issued: IssuedWeather;
  observed: ObservedWeather;
} {
  const { seed, site, episodes } = options;
  const world = { seed, site, ...(episodes ? { episodes } : {}) };
  const made = new Map<number, Issue>();
  // each hour is drawn once: it never depends on when it is asked for
  const drawn = new Map<number, WeatherEntry>();
  const hour = (ms: number): WeatherEntry => {
    const found = drawn.get(ms);
    if (found) return found;
    if (drawn.size > KEPT_H) drawn.clear();
    const fresh = trueWeather(world, ms);
    drawn.set(ms, fresh);
    return fresh;
  };
  const hours = (fromAtMs: number, toAtMs: number): WeatherEntry[] => {
    const out: WeatherEntry[] = [];
    for (let ms = Math.floor(fromAtMs / HOUR_MS) * HOUR_MS; ms <= toAtMs; ms += HOUR_MS) out.push(hour(ms));
    return out;
  };
  const issue = (issuedAtMs: number): Issue => {
    const found = made.get(issuedAtMs);
    if (found) return found;
    const truth = hours(issuedAtMs - BACK_H * HOUR_MS, issuedAtMs + AHEAD_H * HOUR_MS);
    const fresh: Issue = {
      id: `simulated:${seed}:${issuedAtMs}`,
      name: FORECAST_NAME.simulated,
      source: 'simulated',
      issuedAtMs,
      entries: forecastCentre(seed, issuedAtMs, truth),
      doubt: 1,
    };
    if (made.size > 8) made.clear();
    made.set(issuedAtMs, fresh);
    return fresh;
  };
  return {
    issued: { issues: (nowAtMs) => Promise.resolve([issue(lastIssueAtMs(nowAtMs))]) },
    observed: { hours: (fromAtMs, toAtMs) => Promise.resolve(hours(fromAtMs, toAtMs)) },
  };
}
