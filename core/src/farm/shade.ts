/**
 * What stands around a structure, as its beds see it. Contract: `horizonOf` gives the height of the neighbours above the
 * horizon, degrees, from north clockwise in equal steps, and what of the light comes through them; null where none is
 * placed near enough to matter. Hills and trees are not on the plan and not in it.
 */
import type { Horizon } from '../heat/types';
import { layoutOf, type Placed } from './layout';
import type { Structure } from './types';

const STEPS = 36;
/** Lower than this a neighbour takes nothing that counts, degrees. */
const LEAST_DEG = 3;
/** Height of the eye: a crop's. */
const EYE_M = 0.2;
/** What comes through a neighbouring house: two walls at a slant with their frames (0.7 each). */
const THROUGH = 0.5;

/** Where a ray from (x, y) towards `azimuthDeg` first meets a rectangle, m; Infinity where it does not. */
function distanceM(
  xM: number,
  yM: number,
  azimuthDeg: number,
  at: Placed,
  lengthM: number,
  widthM: number,
): number {
  const turn = (at.turnDeg * Math.PI) / 180;
  const a = (azimuthDeg * Math.PI) / 180;
  const dx = xM - at.xM;
  const dy = yM - at.yM;
  // along and across the other's own length
  const along = dx * Math.sin(turn) + dy * Math.cos(turn);
  const across = dx * Math.cos(turn) - dy * Math.sin(turn);
  const va = Math.sin(a) * Math.sin(turn) + Math.cos(a) * Math.cos(turn);
  const vc = Math.sin(a) * Math.cos(turn) - Math.cos(a) * Math.sin(turn);
  let near = 0;
  let far = Infinity;
  for (const [p, v, half] of [
    [along, va, lengthM / 2],
    [across, vc, widthM / 2],
  ] as const) {
    if (Math.abs(v) < 1e-9) {
      if (Math.abs(p) > half) return Infinity;
      continue;
    }
    const t1 = (-half - p) / v;
    const t2 = (half - p) / v;
    near = Math.max(near, Math.min(t1, t2));
    far = Math.min(far, Math.max(t1, t2));
  }
  return near <= far && far > 0 ? near : Infinity;
}

/** A farm's structures do not move while it is worked with: each list is gone round once. */
const known = new WeakMap<readonly Structure[], Map<Structure, Horizon | null>>();

/**
 * Neither list nor structure may be changed after it was asked with.
 * @example horizonOf(aStructure(), [aStructure()]) // null
 */
export function horizonOf(structure: Structure, all: readonly Structure[]): Horizon | null {
  if (!structure.at) return null;
  const of = known.get(all) ?? new Map<Structure, Horizon | null>();
  known.set(all, of);
  const found = of.get(structure);
  if (found !== undefined) return found;
  const fresh = goneRound(structure, structure.at, all);
  of.set(structure, fresh);
  return fresh;
}

function goneRound(
  structure: Structure,
  here: NonNullable<Structure['at']>,
  all: readonly Structure[],
): Horizon | null {
  const places = layoutOf(all);
  const others = all.filter((s) => s.id !== structure.id && s.kind === 'house' && s.at);
  const deg = Array.from({ length: STEPS }, (_, i) => {
    const azimuth = (i * 360) / STEPS;
    return others.reduce((most, s) => {
      const d = distanceM(here.xM, here.yM, azimuth, places.get(s.id)!, s.lengthM, s.widthM);
      if (d === Infinity) return most;
      // an arch is lower at its edge: three quarters of its height stands for what it hides
      const rise = Math.atan2(0.75 * s.heightM - EYE_M, Math.max(0.5, d));
      return Math.max(most, (rise * 180) / Math.PI);
    }, 0);
  });
  return deg.some((h) => h >= LEAST_DEG) ? { deg, passes: THROUGH } : null;
}
