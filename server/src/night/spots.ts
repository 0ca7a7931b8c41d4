/** Where thermometers hang: outside, and over the first bed of each structure, as it was covered. */
import { HOUR_MS, type Structure } from '@fogata/core';
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
    return { id: OUTSIDE, spec: null, structureLayer: -1, site: data.farm, weather: record };
  if (structure.kind === 'open') return null;
  const bed = data.beds.find((b) => b.structureId === structure.id);
  if (!bed) return null;
  const spec = asItWas(
    data,
    state,
    structure,
    bed,
    standingIn(bed.id, data.plantings, today),
    fromMs - 3 * 24 * HOUR_MS,
    deepC,
  );
  const over =
    spec.stack.length > 0
      ? spec.stack.findIndex(
          (l) => l.material === structure.material && Math.abs(l.widthM - structure.widthM) < 1e-9,
        )
      : -1;
  return { id: structure.id, spec, structureLayer: over, site: data.farm, weather: record };
}
