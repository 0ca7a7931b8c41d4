/** Jobs before wind and snow, for the next day and a half, with what has been done about them since. */
import type { StormView } from '@fogata/contract';
import { coversOn, isIndoors, HOUR_MS, layoutOf, stormJobs, type NightWindow } from '@fogata/core';
import { ofKind, type FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { isForecast, type FarmWeather } from '../sources/farmWeather';

const AHEAD_H = 36;
/** What was made safe counts for so long. */
const HOLDS_MS = 24 * HOUR_MS;

export function stormView(
  data: FarmData,
  state: FarmState,
  weather: FarmWeather,
  window: NightWindow,
  nowAtMs: number,
): StormView[] {
  const fromAtMs = Math.floor(nowAtMs / HOUR_MS) * HOUR_MS;
  const coming = weather.coming(window, fromAtMs, fromAtMs + AHEAD_H * HOUR_MS);
  // without a forecast nothing is known of wind or snow, and nothing is said
  if (!isForecast(coming)) return [];
  const hours = coming.members[0]!;
  const layout = layoutOf(data.structures);
  const jobs = stormJobs(
    data.structures.map((structure) => ({
      structure,
      turnDeg: layout.get(structure.id)!.turnDeg,
      covered: data.beds.some(
        (b) =>
          b.structureId === structure.id && coversOn(state, b.id, data.covers).some((c) => !isIndoors(c)),
      ),
    })),
    hours.filter((h) => Date.parse(h.time) >= nowAtMs - HOUR_MS),
    data.farm.wind,
    data.farm.windFromDeg,
  );
  const done = ofKind(state.standing, 'secured').filter((r) => r.atMs > nowAtMs - HOLDS_MS);
  return jobs.map((j) => {
    const record = done.find((r) => r.structureId === j.structureId && r.what === j.what);
    return {
      ...j,
      byAtMs: Math.max(nowAtMs, j.byAtMs),
      done: record !== undefined,
      recordId: record?.id ?? null,
    };
  });
}
