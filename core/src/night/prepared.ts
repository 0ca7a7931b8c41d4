/**
 * Weather made ready and the bare ground under it, held from one piece of work to the next. Contract: `preparedFor` gives
 * the same object for the same site, hours and step, and only for those; the last two are held.
 */
import type { LyingSnow } from '../heat/carry';
import { runOutside, type OutsideRun } from '../heat/outside';
import { prepareWeather, type PreparedWeather } from '../heat/prepare';
import type { Calibration, Ground, Site, WeatherEntry } from '../heat/types';

/** Steps of everything that is planned, tried, measured against and shown, s: cut where a cover or an opening moves; within 0.1 K of steps of a minute. */
export const PLAN_STEP_S = 3600;
const HELD = 3;

export interface Prepared {
  key: string;
  /** The list that it was first made of, and where. */
  from: readonly (readonly WeatherEntry[])[];
  place: readonly (number | undefined)[];
  members: PreparedWeather[];
  outside: Map<string, OutsideRun[]>;
}

const held: Prepared[] = [];

/**
 * The same object for the same site, hours and step.
 * @example preparedFor(SITE, [weather()]) === preparedFor(SITE, [weather()]) // true
 */
export function preparedFor(site: Site, members: readonly (readonly WeatherEntry[])[]): Prepared {
  const { latitude, longitude, elevationM } = site;
  const same = (p: Prepared) => p.place.join() === [latitude, longitude, elevationM].join();
  const again = held.find((p) => p.from === members && same(p));
  if (again) return again;
  const key = JSON.stringify([latitude, longitude, elevationM, members]);
  const found = held.find((p) => p.key === key);
  if (found) return found;
  const fresh: Prepared = {
    key,
    from: members,
    place: [latitude, longitude, elevationM],
    members: members.map((m) => prepareWeather(site, m, PLAN_STEP_S)),
    outside: new Map(),
  };
  held.unshift(fresh);
  held.length = Math.min(held.length, HELD);
  return fresh;
}

export interface GroundStart {
  outside: Float64Array;
  outsideSnow?: LyingSnow;
}

/**
 * The bare ground outside under every member, from where it was (or run in where nothing is known).
 * @example outsideFor(preparedFor(SITE, [weather()]), { deepC: 6 }, BOOK_CALIBRATION).length // 1
 */
export function outsideFor(
  p: Prepared,
  ground: Ground,
  calibration: Calibration,
  start?: GroundStart,
): OutsideRun[] {
  const { texture, wetness, deepC, surfaceC } = ground;
  const key = JSON.stringify([
    texture,
    wetness,
    deepC,
    surfaceC,
    calibration.soilExchange,
    start ? [[...start.outside], start.outsideSnow] : null,
  ]);
  let found = p.outside.get(key);
  if (!found) {
    found = p.members.map((m) => runOutside(m, ground, calibration, start?.outside, 1, start?.outsideSnow));
    p.outside.set(key, found);
  }
  return found;
}
