/**
 * Radiation traded through a pile of partly transparent sheets between sky and ground: plane-parallel, diffuse,
 * every reflection counted (the two-stream adding method, e.g. Siegel and Howell, Thermal Radiation Heat Transfer).
 *
 * Elements 0 … m−1 lie from the sky downwards; the last is the ground (passes nothing). Fluxes are per m².
 */

export interface Pile {
  /** How many elements, the ground included. */
  count: number;
  passed: Float64Array;
  reflectedTop: Float64Array;
  reflectedBottom: Float64Array;
}

const MAX = 16; // four layers of two sheets, snow, leaf, ground: eleven
const below = new Float64Array(MAX + 1);
const source = new Float64Array(MAX + 1);

/**
 * Absorbed by each element, net of what it emits itself, when the sky sends `skyFlux` and element `emitter` emits
 * `up` and `down` (pass −1 for none). `absorbed[j]` is written for each element, and `arriving[j]`, what comes
 * to it from above; the return is what goes back to the sky.
 */
export function spread(
  pile: Pile,
  skyFlux: number,
  emitter: number,
  up: number,
  down: number,
  absorbed: Float64Array,
  arriving?: Float64Array,
): number {
  const m = pile.count;
  const { passed, reflectedTop: rt, reflectedBottom: rb } = pile;
  below[m] = 0;
  source[m] = 0;
  for (let g = m - 1; g >= 0; g--) {
    const t = passed[g]!;
    const k = 1 / (1 - rb[g]! * below[g + 1]!);
    const eu = g === emitter ? up : 0;
    const ed = g === emitter ? down : 0;
    below[g] = rt[g]! + t * t * below[g + 1]! * k;
    source[g] = eu + t * (source[g + 1]! + below[g + 1]! * (rb[g]! * source[g + 1]! + ed) * k);
  }
  let d = skyFlux;
  const toSky = below[0]! * d + source[0]!;
  for (let g = 0; g < m; g++) {
    const eu = g === emitter ? up : 0;
    const ed = g === emitter ? down : 0;
    const k = 1 / (1 - rb[g]! * below[g + 1]!);
    if (arriving) arriving[g] = d;
    const dNext = (passed[g]! * d + rb[g]! * source[g + 1]! + ed) * k;
    const uNext = below[g + 1]! * dNext + source[g + 1]!;
    absorbed[g] = (1 - passed[g]! - rt[g]!) * d + (1 - passed[g]! - rb[g]!) * uNext - eu - ed;
    d = dNext;
  }
  return toSky;
}

const between = new Float64Array(MAX + 1);

/**
 * Exchange factors between the elements and the sky: `factors[j * (m + 1) + k]` is the share of σT⁴ of k that ends in
 * j (k = m is the sky). Symmetric between elements, as the second law asks; a test holds it. As `spread` for each in turn,
 * what does not depend on who emits reckoned once.
 */
export function exchangeFactors(pile: Pile, factors: Float64Array): void {
  const m = pile.count;
  const stride = m + 1;
  const { passed, reflectedTop: rt, reflectedBottom: rb } = pile;
  below[m] = 0;
  source[m] = 0;
  for (let g = m - 1; g >= 0; g--) {
    const t = passed[g]!;
    between[g] = 1 / (1 - rb[g]! * below[g + 1]!);
    below[g] = rt[g]! + t * t * below[g + 1]! * between[g]!;
  }
  for (let k = 0; k <= m; k++) {
    const sky = k === m;
    const up = sky ? 0 : 1 - passed[k]! - rt[k]!;
    const down = k >= m - 1 ? 0 : 1 - passed[k]! - rb[k]!;
    for (let g = m - 1; g >= 0; g--) {
      const eu = g === k ? up : 0;
      const ed = g === k ? down : 0;
      const from = source[g + 1]!;
      source[g] = eu + passed[g]! * (from + below[g + 1]! * (rb[g]! * from + ed) * between[g]!);
    }
    let d = sky ? 1 : 0;
    for (let g = 0; g < m; g++) {
      const eu = g === k ? up : 0;
      const ed = g === k ? down : 0;
      const next = (passed[g]! * d + rb[g]! * source[g + 1]! + ed) * between[g]!;
      const back = below[g + 1]! * next + source[g + 1]!;
      factors[g * stride + k] = (1 - passed[g]! - rt[g]!) * d + (1 - passed[g]! - rb[g]!) * back - eu - ed;
      d = next;
    }
  }
}
