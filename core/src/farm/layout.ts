/**
 * Where things lie on the farm. Contract: `layoutOf` gives every structure a middle and a turn, those that were never
 * placed in a column by themselves; `bedCentres` lays a structure's beds side by side along its length, unless placed;
 * `cornersOf` turns a rectangle. Metres east and north of the farm's own point; turns clockwise from north, degrees.
 */
import type { Bed, Structure } from './types';

export interface Placed {
  xM: number;
  yM: number;
  turnDeg: number;
}

const GAP_M = 3;

/**
 * Every structure's place, by id. A new farm lies in a column, long sides east and west.
 * @example layoutOf([aStructure({ id: 's' })]).get('s').turnDeg // 90
 */
export function layoutOf(structures: readonly Structure[]): Map<string, Placed> {
  const out = new Map<string, Placed>();
  let bottom = 0;
  for (const s of structures) {
    if (!s.at) continue;
    out.set(s.id, s.at);
    bottom = Math.min(bottom, ...cornersOf(s.at, s.lengthM, s.widthM).map((c) => c[1] - GAP_M));
  }
  for (const s of structures) {
    if (s.at) continue;
    out.set(s.id, { xM: 0, yM: bottom - s.widthM / 2, turnDeg: 90 });
    bottom -= s.widthM + GAP_M;
  }
  return out;
}

/**
 * A point along and across a structure, on the farm.
 * @example onFarm({ xM: 10, yM: 0, turnDeg: 90 }, 3, 0)[0] // 13
 */
export function onFarm(at: Placed, alongM: number, acrossM: number): [number, number] {
  const a = (at.turnDeg * Math.PI) / 180;
  return [
    at.xM + alongM * Math.sin(a) + acrossM * Math.cos(a),
    at.yM + alongM * Math.cos(a) - acrossM * Math.sin(a),
  ];
}

/**
 * Corners of a rectangle with its length along the turn.
 * @example cornersOf({ xM: 0, yM: 0, turnDeg: 0 }, 4, 2) // [[-1, -2], [-1, 2], [1, 2], [1, -2]]
 */
export function cornersOf(at: Placed, lengthM: number, widthM: number): [number, number][] {
  const [l, w] = [lengthM / 2, widthM / 2];
  return [onFarm(at, -l, -w), onFarm(at, l, -w), onFarm(at, l, w), onFarm(at, -l, w)];
}

/**
 * Middle of each bed along and across its structure, by id: side by side, or end to end in what is one bed wide.
 * @example bedCentres(aStructure({ widthM: 6 }), [aBed({ id: 'b', widthM: 1 })]).get('b').acrossM // 0
 */
export function bedCentres(
  structure: Structure,
  beds: readonly Bed[],
): Map<string, { alongM: number; acrossM: number }> {
  const out = new Map<string, { alongM: number; acrossM: number }>();
  const free = beds.filter((b) => !b.at);
  for (const b of beds) if (b.at) out.set(b.id, b.at);
  const widths = free.reduce((sum, b) => sum + b.widthM, 0);
  if (widths <= structure.widthM) {
    const path = (structure.widthM - widths) / (free.length + 1);
    let across = -structure.widthM / 2 + path;
    for (const b of free) {
      out.set(b.id, { alongM: 0, acrossM: across + b.widthM / 2 });
      across += b.widthM + path;
    }
    return out;
  }
  // a row of boxes or tunnels of one kind: each beside the last, beyond the structure's own outline
  let across = -widths / 2 - (0.4 * (free.length - 1)) / 2;
  for (const b of free) {
    out.set(b.id, { alongM: 0, acrossM: across + b.widthM / 2 });
    across += b.widthM + 0.4;
  }
  return out;
}

/** One walks where so much is free, m. */
const PATH_M = 0.25;

/**
 * Whether there is a path along a bed's first side and along its last, across the structure: free to the next bed beside it and to the wall of a house;
 * a frame, a tunnel and the open are reached from outside.
 * @example pathsOf(aStructure({ widthM: 6 }), [aBed({ id: 'b' })]).get('b') // [true, true]
 */
export function pathsOf(structure: Structure, beds: readonly Bed[]): Map<string, [boolean, boolean]> {
  const at = bedCentres(structure, beds);
  const edges = beds.map((b) => {
    const c = at.get(b.id) ?? { alongM: 0, acrossM: 0 };
    return {
      id: b.id,
      lo: c.acrossM - b.widthM / 2,
      hi: c.acrossM + b.widthM / 2,
      from: c.alongM - b.lengthM / 2,
      to: c.alongM + b.lengthM / 2,
    };
  });
  // only a house has walls that one cannot reach over
  const half = structure.kind === 'house' ? structure.widthM / 2 : Infinity;
  return new Map(
    edges.map((e) => {
      const beside = edges.filter((o) => o !== e && o.from < e.to && o.to > e.from);
      const below = Math.min(
        e.lo + half,
        ...beside.filter((o) => o.hi <= e.lo + 1e-6).map((o) => e.lo - o.hi),
      );
      const above = Math.min(
        half - e.hi,
        ...beside.filter((o) => o.lo >= e.hi - 1e-6).map((o) => o.lo - e.hi),
      );
      return [e.id, [below >= PATH_M, above >= PATH_M]];
    }),
  );
}

/**
 * Smallest box around everything, with a margin.
 * @example extentOf([[0, 0], [10, 5]]) // { minX: -4, minY: -4, maxX: 14, maxY: 9 }
 */
export function extentOf(points: readonly [number, number][], marginM = 4) {
  if (points.length === 0) return { minX: -20, minY: -20, maxX: 20, maxY: 20 };
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  return {
    minX: Math.min(...xs) - marginM,
    minY: Math.min(...ys) - marginM,
    maxX: Math.max(...xs) + marginM,
    maxY: Math.max(...ys) + marginM,
  };
}
