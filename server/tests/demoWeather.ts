/** The demo's weather at a moment, and the truth behind it, without a database. */
import { trueHours } from '@fogata/core/standins';
import { DEMO_EPISODES, DEMO_FARM, DEMO_SEED } from '../src/demo/seed';
import { farmWeather } from '../src/sources/farmWeather';
import type { Sources } from '../src/sources/ports';
import { simulatedWeather } from '../src/standins/weather';

const { latitude, longitude, elevationM } = DEMO_FARM;
const site = { latitude, longitude, elevationM };

export const demoTruth = (fromAtMs: number, toAtMs: number) =>
  trueHours({ seed: DEMO_SEED, site, episodes: DEMO_EPISODES }, fromAtMs, toAtMs);

export function demoWeather(nowAtMs: number, members: number) {
  const sources: Sources = {
    ...simulatedWeather({ seed: DEMO_SEED, site, episodes: DEMO_EPISODES }),
    revision: () => Promise.resolve(''),
    thermometers: { read: () => Promise.resolve(null) },
  };
  return farmWeather(sources, site, nowAtMs, [], members);
}
