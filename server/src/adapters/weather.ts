/**
 * Where weather comes from. `WeatherSource` is what the planner asks; the simulated one ships, and a forecast that the
 * grower brought lies over it. A real one feeds the same two questions (docs/stand-ins.md).
 */
import {
  ensemble,
  forecastCentre,
  lastIssueMs,
  trueHours,
  type Episode,
  type Site,
  type WeatherEntry,
} from '@fogata/core';

export interface Forecast {
  issuedMs: number;
  source: string;
  members: WeatherEntry[][];
}

export interface WeatherSource {
  /** Hourly weather as it was, both ends included. */
  history(fromMs: number, toMs: number): WeatherEntry[];
  /** What was last issued at or before `nowMs`, as an ensemble of at least 20 members. */
  forecast(nowMs: number, fromMs: number, toMs: number): Forecast;
}

export interface SimulatedOptions {
  seed: number;
  site: Site;
  episodes?: Episode[];
  members?: number;
}

export function simulatedWeather(options: SimulatedOptions): WeatherSource {
  const { seed, site, episodes } = options;
  const world = { seed, site, ...(episodes ? { episodes } : {}) };
  return {
    history: (fromMs, toMs) => trueHours(world, fromMs, toMs),
    forecast: (nowMs, fromMs, toMs) => {
      const issuedMs = lastIssueMs(nowMs);
      const centre = forecastCentre(seed, issuedMs, trueHours(world, fromMs, toMs));
      return {
        issuedMs,
        source: 'simulated forecast',
        members: ensemble(seed, issuedMs, centre, options.members ?? 20),
      };
    },
  };
}

export interface ImportedForecast {
  id: string;
  name: string;
  importedMs: number;
  entries: WeatherEntry[];
}

/**
 * Lays an imported forecast over a source: its hours replace the centre, and the members spread around it with the error
 * that a forecast of its age has; hours that have passed replace the record. Hours it does not hold stay as they were.
 */
export function withImported(
  source: WeatherSource,
  imported: ImportedForecast | null,
  seed: number,
  members = 20,
): WeatherSource {
  if (!imported) return source;
  const byTime = new Map(imported.entries.map((e) => [Date.parse(e.time), e]));
  return {
    // what is a record by now counts as the weather that was
    history: (fromMs, toMs) => source.history(fromMs, toMs).map((e) => byTime.get(Date.parse(e.time)) ?? e),
    forecast: (nowMs, fromMs, toMs) => {
      const under = source.forecast(nowMs, fromMs, toMs);
      const centre = under.members[0]!.map((e) => byTime.get(Date.parse(e.time)) ?? e);
      const held = centre.filter((e) => byTime.has(Date.parse(e.time))).length;
      if (held < 6) return under;
      const issuedMs = Math.min(imported.importedMs, nowMs);
      const source_ =
        held === centre.length ? imported.name : `${imported.name}, then the simulated forecast`;
      return { issuedMs, source: source_, members: ensemble(seed ^ 0x5bd1, issuedMs, centre, members) };
    },
  };
}
