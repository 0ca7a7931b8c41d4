/** The demo's readings of the last nights: what the simulated thermometers showed, as a grower would have noted it. */
import type { FarmRecord } from '@fogata/contract';
import { addDays, HOUR_MS, nightWindow } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { deriveState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { backgroundOf } from '../night/background';
import { OUTSIDE, spotOf } from '../night/spots';
import { farmWeather } from '../sources/farmWeather';
import { simulatedThermometers } from '../standins/thermometers';
import { simulatedWeather } from '../standins/weather';
import { DEMO_EPISODES, DEMO_SEED } from './seed';

/** Minimum and maximum outside and in two houses for the `nights` before `today`, noted at twenty past seven. */
export async function demoReadings(
  data: Pick<FarmData, 'farm' | 'structures' | 'beds' | 'plantings' | 'covers'>,
  records: readonly FarmRecord[],
  today: string,
  nights: number,
): Promise<FarmRecord[]> {
  const stored = records.map((record, i) => ({ seq: i + 1, record, recordedAtMs: record.atMs }));
  const whole: FarmData = { ...data, records: stored, harvestedKg: new Map() };
  const state = deriveState(stored);
  const { latitude, longitude, elevationM } = data.farm;
  const site = { latitude, longitude, elevationM };
  const simulated = simulatedWeather({ seed: DEMO_SEED, site, episodes: DEMO_EPISODES });
  const thermometers = simulatedThermometers();
  const sources = { ...simulated, thermometers, revision: () => Promise.resolve('') };
  const out: FarmRecord[] = [];
  for (let n = nights; n >= 1; n--) {
    const night = addDays(today, -n);
    const window = nightWindow(night, data.farm);
    const atMs = window.fromAtMs + 19.33 * HOUR_MS;
    const weather = await farmWeather(sources, site, atMs, [], 1);
    const { deepC } = await backgroundOf(weather, atMs, data.farm);
    for (const id of [OUTSIDE, 'north', 'south']) {
      const structure = data.structures.find((s) => s.id === id) ?? null;
      const spot = await spotOf(
        whole,
        state,
        structure,
        weather,
        window.fromAtMs,
        window.toAtMs,
        deepC,
        night,
      );
      const shown = spot && (await thermometers.read(spot, window.fromAtMs, atMs));
      if (shown)
        out.push({ id: randomUUID(), kind: 'reading', atMs, spot: id, night, ...shown, source: 'grower' });
    }
  }
  return out;
}
