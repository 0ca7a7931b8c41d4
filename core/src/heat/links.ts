/**
 * The few ways in which something is written into the balance of a step. Contract: each adds conductances (W/K) to the
 * symmetric matrix, lower triangle, and to the right side; what goes to the surroundings is noted for the books.
 */
import { KELVIN, STEFAN_BOLTZMANN } from '../sky/longwave';
import type { Work } from './work';

/** Heat between two nodes; `offsetK` where the first meets the second warmer than that node's mean. */
export function link(w: Work, i: number, j: number, g: number, offsetK = 0): void {
  const { a, n } = w;
  a[i * n + i]! += g;
  a[j * n + j]! += g;
  if (i > j) a[i * n + j]! -= g;
  else a[j * n + i]! -= g;
  if (offsetK !== 0) {
    w.b[i]! += g * offsetK;
    w.b[j]! -= g * offsetK;
  }
}

/** Heat between a node and something of a given temperature. */
export function edge(w: Work, i: number, g: number, c: number, kind: number): void {
  w.a[i * w.n + i]! += g;
  w.b[i]! += g * c;
  const e = w.edges++;
  w.edgeNode[e] = i;
  w.edgeWK[e] = g;
  w.edgeC[e] = c;
  w.edgeKind[e] = kind;
}

/** Whose water a wet face gives and takes: nobody's, a layer's inner or outer face, a column's skin. */
export const WATER = { none: 0, film: 1, dew: 2, skin: 3 } as const;

/** A face that takes dew and gives off water at `share` of a wet one's rate; `owner` is the layer or column of its water. */
export function wet(
  w: Work,
  node: number,
  wPerPa: number,
  air: number,
  share: number,
  water: number,
  owner: number,
): void {
  const i = w.wets++;
  w.wetNode[i] = node;
  w.wetWPa[i] = wPerPa;
  w.wetAir[i] = air;
  w.wetShare[i] = share;
  w.wetLayer[i] = owner * 4 + water;
}

/**
 * Convection coefficients change slowly and feed back on themselves; each is taken once a step, from where the step
 * began, and averaged with the last one. Halving the step changes nothing that matters (see the convergence test).
 */
export function keep(w: Work, h: number): number {
  const i = w.kept++;
  if (!w.reuse) {
    const last = w.keptWm2K[i]!;
    w.keptWm2K[i] = last > 0 ? 0.5 * (last + h) : h;
  }
  return w.keptWm2K[i]!;
}

export const TO_SKY = -1;
export const TO_GROUND = -2;

/** Radiation of a cover's sides: noted while the covers are gone through, added anew in every iteration. */
export function sideways(w: Work, node: number, to: number, areaM2: number): void {
  const i = w.sides++;
  w.sideNode[i] = node;
  w.sideTo[i] = to;
  w.sideM2[i] = areaM2;
}

/**
 * Conductance of black faces at two temperatures, W/(m² K): the secant of σT⁴.
 * @example radiative(0, 10) // 4.883
 */
export function radiative(tj: number, tk: number): number {
  const a = tj + KELVIN;
  const b = tk + KELVIN;
  return STEFAN_BOLTZMANN * (a * a + b * b) * (a + b);
}

/** Holds a node at a temperature: what its neighbours exchange with it goes to their right sides. */
export function pin(w: Work, node: number, c: number): void {
  const { a, b, n } = w;
  for (let j = 0; j < n; j++) {
    if (j === node) continue;
    const at = j < node ? node * n + j : j * n + node;
    const g = a[at]!;
    if (g === 0) continue;
    b[j]! -= g * c;
    a[at] = 0;
  }
  a[node * n + node] = 1;
  b[node] = c;
}
