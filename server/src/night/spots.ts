/** Where thermometers hang: outside, and over the first bed of each structure, as it was covered. */
import { HOUR_MS, type BedSpec, type Structure, type Worth, standingIn } from '@fogata/core';
import { asItWas, type Measured, type NightAt } from '@fogata/core/planning';
import type { FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { hoursAt, type FarmWeather } from '../sources/farmWeather';
import type { ThermometerSpot } from '../sources/ports';

export const OUTSIDE = 'outside';

/** The spot with its weather up to `toAtMs`, and what the hours from `fromAtMs` on are worth; null where no thermometer hangs. */
export async function spotOf(
  data: FarmData,
  state: FarmState,
  structure: Structure | null,
  weather: Pick<FarmWeather, 'past'>,
  fromAtMs: number,
  toAtMs: number,
  deepC: number,
  today: string,
): Promise<(ThermometerSpot & { worth: Worth[] }) | null> {
  if (structure?.kind === 'open') return null;
  const past = await weather.past(fromAtMs - 3 * 24 * HOUR_MS, toAtMs);
  const record = past.hours;
  const worth = past.worth.filter((_, i) => Date.parse(record[i]!.time) >= fromAtMs);
  if (structure === null)
    return { id: OUTSIDE, specs: null, structureLayer: -1, site: data.farm, weather: record, worth };
  const from = fromAtMs - 3 * 24 * HOUR_MS;
  const all = data.beds.filter((b) => b.structureId === structure.id);
  // a house's air is that of all its beds; of frames and tunnels the first has the thermometer
  const beds = structure.kind === 'house' ? all : all.slice(0, 1);
  if (beds.length === 0) return null;
  const specs = alike(
    beds.map((bed) =>
      asItWas(data, state, structure, bed, standingIn(bed.id, data.plantings, today), from, toAtMs, deepC),
    ),
  );
  const structureLayer = specs[0]!.stack.findIndex((l) => l.role === 'structure');
  return { id: structure.id, specs, structureLayer, site: data.farm, weather: record, worth };
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

/** By structure in which something stands: what its thermometer showed in the last hours; without one it is left out. */
export async function measuredUnder(
  data: FarmData,
  state: FarmState,
  weather: FarmWeather,
  at: NightAt,
  deepC: number,
  nowAtMs: number,
): Promise<Map<string, Measured[]>> {
  const stands = (s: Structure) =>
    data.beds.some((b) => b.structureId === s.id && standingIn(b.id, data.plantings, at.today).length > 0);
  const read = data.structures.filter(stands).map(async (s) => {
    const spot = await spotOf(data, state, s, weather, at.hourAtMs - 3 * HOUR_MS, nowAtMs, deepC, at.today);
    return [s.id, spot ? await hoursAt(weather.thermometers, spot, nowAtMs) : []] as const;
  });
  return new Map((await Promise.all(read)).filter(([, hours]) => hours.length > 0));
}
