/** The demo's sources: what the grower brings first, and where that has nothing, the stand-ins. */
import type { Site } from '@fogata/core';
import type { Db } from '../db/open';
import { keptSources } from '../sources/kept';
import type { Sources } from '../sources/ports';
import { simulatedThermometers } from './thermometers';
import { simulatedWeather, type SimulatedOptions } from './weather';

/** The weather of a demo or a rehearsal, wherever it lies. */
export type Invented = Omit<SimulatedOptions, 'site'>;

export function demoSources(db: Db, options: Invented): (site: Site) => Sources {
  const kept = keptSources(db);
  const thermometers = simulatedThermometers();
  let last: { key: string; weather: ReturnType<typeof simulatedWeather> } | null = null;
  return (site) => {
    const key = JSON.stringify(site);
    if (last?.key !== key) last = { key, weather: simulatedWeather({ ...options, site }) };
    const { weather } = last;
    return {
      revision: kept.revision,
      issued: {
        issues: async (nowAtMs, fromAtMs) => [
          ...(await kept.issued.issues(nowAtMs, fromAtMs)),
          ...(await weather.issued.issues(nowAtMs, fromAtMs)),
        ],
      },
      observed: {
        hours: async (fromAtMs, toAtMs) => {
          const own = await kept.observed.hours(fromAtMs, toAtMs);
          const held = new Set(own.map((e) => e.time));
          const rest = (await weather.observed.hours(fromAtMs, toAtMs)).filter((e) => !held.has(e.time));
          return [...own, ...rest];
        },
      },
      thermometers: {
        read: async (spot, fromAtMs, toAtMs) =>
          (await kept.thermometers.read(spot, fromAtMs, toAtMs)) ?? thermometers.read(spot, fromAtMs, toAtMs),
      },
    };
  };
}
