/**
 * Shade of a tall row on a short one. Contract: `shadeOn` gives, for a day, a latitude and the direction of the rows, the hours in which the
 * sun stands on the tall row's side and too low to look over it, and the share of a clear day's beam that goes with them. Rows are
 * taken as long without end: near their ends there is less. Geometry alone; how much of the light is beam is the caller's.
 */
import { sunPosition } from '../sky/sun';

export interface Shade {
  hours: number;
  /** Of the beam of a clear day, 0 to 1. */
  share: number;
}

const DAY_MS = 86_400_000;
const STEP_MIN = 10;

/** Of each step of a day with the sun on that side: the slope over which a ray passes, and its beam. */
interface Rays {
  slopes: Float64Array;
  /** Beam from the lowest slope up to each, and of the whole day. */
  beams: Float64Array;
  all: number;
}

const known = new Map<string, Rays>();
const MOST_KNOWN = 4000;

function raysOf(latitude: number, day: number, azimuthDeg: number): Rays {
  const part = Math.round((day % 365.2425) / 5);
  const key = `${latitude.toFixed(1)} ${part} ${Math.round(azimuthDeg)}`;
  const found = known.get(key);
  if (found) return found;
  const noonless = Date.UTC(2001, 0, 1) + part * 5 * DAY_MS;
  const rays: { slope: number; beam: number }[] = [];
  let all = 0;
  for (let min = STEP_MIN / 2; min < 1440; min += STEP_MIN) {
    const sun = sunPosition(noonless + min * 60_000, latitude, 0);
    if (sun.cosZenith <= 0) continue;
    all += sun.cosZenith;
    const towards = Math.cos(((sun.azimuthDeg - azimuthDeg) * Math.PI) / 180);
    if (towards <= 0.01) continue;
    const slope = sun.cosZenith / Math.sqrt(1 - sun.cosZenith ** 2) / towards;
    rays.push({ slope, beam: sun.cosZenith });
  }
  rays.sort((a, b) => a.slope - b.slope);
  let sum = 0;
  const made: Rays = {
    slopes: Float64Array.from(rays, (r) => r.slope),
    beams: Float64Array.from(rays, (r) => (sum += r.beam)),
    all,
  };
  if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!);
  known.set(key, made);
  return made;
}

/**
 * `overM` is how much higher the tall row is, `apartM` how far away, `azimuthDeg` in which direction from the short one (clockwise
 * from north). Example: 1.5 m of crop, half a metre south, at 45° N: at noon of the equinox its shadow is 1.5 m long.
 * @example shadeOn(45, 20600, 0, 1, 180).hours // 0
 */
export function shadeOn(
  latitude: number,
  day: number,
  overM: number,
  apartM: number,
  azimuthDeg: number,
): Shade {
  if (overM <= 0) return { hours: 0, share: 0 };
  const rays = raysOf(latitude, day, ((azimuthDeg % 360) + 360) % 360);
  const under = overM / Math.max(0.01, apartM);
  let n = 0;
  while (n < rays.slopes.length && rays.slopes[n]! < under) n += 1;
  return {
    hours: (n * STEP_MIN) / 60,
    share: n === 0 || rays.all === 0 ? 0 : Math.min(1, rays.beams[n - 1]! / rays.all),
  };
}

/**
 * How much higher the tall row may be for no more than `hours` of shade, m.
 * @example mayBeOver(45, 80, 0.5, 90, 2) > mayBeOver(45, 80, 0.5, 90, 0) // true
 */
export function mayBeOver(
  latitude: number,
  day: number,
  apartM: number,
  azimuthDeg: number,
  hours: number,
): number {
  const { slopes } = raysOf(latitude, day, ((azimuthDeg % 360) + 360) % 360);
  const n = Math.floor((hours * 60) / STEP_MIN);
  return n >= slopes.length ? Infinity : slopes[n]! * apartM;
}
