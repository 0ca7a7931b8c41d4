/** The demo's readings of the last nights: what the simulated thermometers showed, as a grower would have noted it. */
import type { FarmRecord } from '@fogata/contract';
import { addDays, HOUR_MS, nightWindow } from '@fogata/core';
import { randomUUID } from 'node:crypto';
import { simulatedThermometers } from '../adapters/thermometers';
import { simulatedWeather } from '../adapters/weather';
import { deriveState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { backgroundOf } from '../night/background';
import { OUTSIDE, spotOf } from '../night/spots';
import { DEMO_EPISODES, DEMO_SEED } from './seed';

/** Minimum and maximum outside and in two houses for the `nights` before `today`, noted at twenty past seven. */
export function demoReadings(
  data: Pick<FarmData, 'farm' | 'structures' | 'beds' | 'plantings' | 'covers'>,
  records: readonly FarmRecord[],
  today: string,
  nights: number,
): FarmRecord[] {
  const stored = records.map((record, i) => ({ seq: i + 1, record, recordedMs: record.atMs }));
  const whole: FarmData = { ...data, records: stored, imported: null };
  const state = deriveState(stored);
  const { latitude, longitude, elevationM } = data.farm;
  const weather = simulatedWeather({
    seed: DEMO_SEED,
    site: { latitude, longitude, elevationM },
    episodes: DEMO_EPISODES,
  });
  const thermometers = simulatedThermometers();
  const out: FarmRecord[] = [];
  for (let n = nights; n >= 1; n--) {
    const night = addDays(today, -n);
    const window = nightWindow(night, data.farm);
    const atMs = window.fromMs + 19.33 * HOUR_MS;
    const { deepC } = backgroundOf(weather, atMs, data.farm.timeZone);
    for (const id of [OUTSIDE, 'north', 'south']) {
      const structure = data.structures.find((s) => s.id === id) ?? null;
      const spot = spotOf(whole, state, structure, weather, window.fromMs, window.toMs, deepC, night);
      const shown = spot && thermometers.read(spot, window.fromMs, atMs);
      if (shown)
        out.push({ id: randomUUID(), kind: 'reading', atMs, spot: id, night, ...shown, source: 'grower' });
    }
  }
  return out;
}
