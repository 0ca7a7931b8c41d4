/** Where thermometers hang: outside, and over the first bed of each structure, as it was covered. */
import { HOUR_MS, type BedSpec, type Structure } from '@fogata/core';
import type { ThermometerSpot } from '../adapters/thermometers';
import type { WeatherSource } from '../adapters/weather';
import type { FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { asItWas, standingIn } from './tasks';

export const OUTSIDE = 'outside';

export function spotOf(
  data: FarmData,
  state: FarmState,
  structure: Structure | null,
  weather: WeatherSource,
  fromMs: number,
  toMs: number,
  deepC: number,
  today: string,
): ThermometerSpot | null {
  const record = weather.history(fromMs - 3 * 24 * HOUR_MS, toMs);
  if (structure === null)
    return { id: OUTSIDE, specs: null, structureLayer: -1, site: data.farm, weather: record };
  if (structure.kind === 'open') return null;
  const from = fromMs - 3 * 24 * HOUR_MS;
  const all = data.beds.filter((b) => b.structureId === structure.id);
  // a house's air is that of all its beds; of frames and tunnels the first has the thermometer
  const beds = structure.kind === 'house' ? all : all.slice(0, 1);
  if (beds.length === 0) return null;
  const specs = alike(
    beds.map((bed) =>
      asItWas(data, state, structure, bed, standingIn(bed.id, data.plantings, today), from, toMs, deepC),
    ),
  );
  const structureLayer = specs[0]!.stack.findIndex(
    (l) => l.material === structure.material && Math.abs(l.widthM - structure.widthM) < 1e-9,
  );
  return { id: structure.id, specs, structureLayer, site: data.farm, weather: record };
}

/** Beds that are alike are run as one, counted. */
function alike(specs: readonly BedSpec[]): BedSpec[] {
  const found = new Map<string, BedSpec>();
  for (const spec of specs) {
    const key = JSON.stringify(spec);
    const was = found.get(key);
    found.set(key, was ? { ...was, count: (was.count ?? 1) + 1 } : spec);
  }
  return [...found.values()];
}
