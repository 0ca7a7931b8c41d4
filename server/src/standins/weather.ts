/**
 * Invented weather behind the ports: a true one from a seed as what a station measured, and a forecast of it every six hours.
 * Reached by the demo, practice and tests alone (a lint rule holds it). What the grower brings goes before it.
 */
import { HOUR_MS, type Issue, type Site } from '@fogata/core';
import { forecastCentre, lastIssueMs, trueHours, type Episode } from '@fogata/core/standins';
import type { IssuedWeather, ObservedWeather } from '../sources/ports';

export interface SimulatedOptions {
  seed: number;
  site: Site;
  episodes?: readonly Episode[];
}

/** How far a simulated issue reaches, and how far back it began. */
const AHEAD_H = 132;
const BACK_H = 8;

export function simulatedWeather(options: SimulatedOptions): {
  issued: IssuedWeather;
  observed: ObservedWeather;
} {
  const { seed, site, episodes } = options;
  const world = { seed, site, ...(episodes ? { episodes } : {}) };
  const made = new Map<number, Issue>();
  const issue = (issuedMs: number): Issue => {
    const found = made.get(issuedMs);
    if (found) return found;
    const truth = trueHours(world, issuedMs - BACK_H * HOUR_MS, issuedMs + AHEAD_H * HOUR_MS);
    const fresh: Issue = {
      id: `simulated:${seed}:${issuedMs}`,
      name: 'simulated forecast',
      source: 'simulated',
      issuedMs,
      entries: forecastCentre(seed, issuedMs, truth),
      doubt: 1,
    };
    if (made.size > 8) made.clear();
    made.set(issuedMs, fresh);
    return fresh;
  };
  return {
    issued: { issues: (nowMs) => Promise.resolve([issue(lastIssueMs(nowMs))]) },
    observed: { hours: (fromMs, toMs) => Promise.resolve(trueHours(world, fromMs, toMs)) },
  };
}
