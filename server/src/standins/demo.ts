/** The demo's sources: what the grower brings first, and where that has nothing, the stand-ins. */
import type { Site } from '@fogata/core';
import type { Db } from '../db/open';
import { keptSources } from '../sources/kept';
import type { Sources } from '../sources/ports';
import { simulatedThermometers } from './thermometers';
import { simulatedWeather, type SimulatedOptions } from './weather';

export function demoSources(db: Db, options: Omit<SimulatedOptions, 'site'>): (site: Site) => Sources {
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
        issues: async (nowMs, fromMs) => [
          ...(await kept.issued.issues(nowMs, fromMs)),
          ...(await weather.issued.issues(nowMs, fromMs)),
        ],
      },
      observed: {
        hours: async (fromMs, toMs) => {
          const own = await kept.observed.hours(fromMs, toMs);
          const held = new Set(own.map((e) => e.time));
          const rest = (await weather.observed.hours(fromMs, toMs)).filter((e) => !held.has(e.time));
          return [...own, ...rest];
        },
      },
      thermometers: {
        read: async (spot, fromMs, toMs) =>
          (await kept.thermometers.read(spot, fromMs, toMs)) ?? thermometers.read(spot, fromMs, toMs),
      },
    };
  };
}
