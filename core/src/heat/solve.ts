/** The linear system of a step. Contract: `solveSymmetric(a, b, n)` leaves the answer in `b`; `a` is used up. */

const MAX_NODES = 512;
const index = new Int32Array(MAX_NODES);
const value = new Float64Array(MAX_NODES);

/**
 * Solves the symmetric system in place (lower triangle, by rows) by elimination from the last row up. What hangs on few
 * others stands last: a leaf touches its canopy, its covers and its soil, so that a row has few entries and stays so; the
 * beds of a house meet only in what they share, which stands first. Zeros are passed over.
 * @example (() => { const b = Float64Array.of(1, 2); solveSymmetric(Float64Array.of(2, 0, 0, 4), b, 2); return [...b]; })() // [0.5, 0.5]
 */
export function solveSymmetric(a: Float64Array, b: Float64Array, n: number): void {
  for (let p = n - 1; p > 0; p--) {
    const row = p * n;
    const inverse = 1 / a[row + p]!;
    let count = 0;
    for (let j = 0; j < p; j++) {
      const g = a[row + j]!;
      if (g === 0) continue;
      index[count] = j;
      value[count++] = g;
    }
    const bp = b[p]! * inverse;
    for (let x = 0; x < count; x++) {
      const i = index[x]!;
      const g = value[x]!;
      const f = g * inverse;
      const to = i * n;
      for (let y = 0; y <= x; y++) a[to + index[y]!]! -= f * value[y]!;
      b[i]! -= g * bp;
    }
  }
  for (let p = 0; p < n; p++) {
    const row = p * n;
    let s = b[p]!;
    for (let j = 0; j < p; j++) {
      const g = a[row + j]!;
      if (g !== 0) s -= g * b[j]!;
    }
    b[p] = s / a[row + p]!;
  }
}
