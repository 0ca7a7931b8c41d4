/**
 * The ground in a step: every column's cells eliminated towards its surface (Thomas), with Newton's method on the heat
 * content where water freezes, so that the solver above sees one conductance and one source a column.
 */
import { heatContent, heatSlope } from './soil';
import type { Work } from './work';

function coldest(now: Float64Array, old: Float64Array, first: number, n: number): number {
  let c = Infinity;
  for (let x = first; x < first + n; x++) {
    if (now[x]! < c) c = now[x]!;
    if (old[x]! < c) c = old[x]!;
  }
  return c;
}

/** Eliminates the cells of every column towards the surface and adds what the surface sees of them. */
export function soilColumns(w: Work, k: number, dt: number): void {
  const { net, soil, soilOld, alpha, beta, outside } = w;
  for (let c = 0; c < net.columns.length; c++) {
    const col = net.columns[c]!;
    const part = net.parts[col.part];
    const { first } = col;
    const n = col.grid.count;
    const outer = col.outer >= 0 ? net.columns[col.outer]! : null;
    const shift = col.grid.mulchCells;
    let bottomC = net.deepC;
    // unfrozen, the elimination is the same in every step: only the right side moves
    const frosty = coldest(soil, soilOld, first, n) < 0.01;
    const ready = w.factored[c] === 1 && !frosty;
    // and within a step not even that
    const done = ready && w.reuse;
    w.factored[c] = frosty ? 0 : 1;
    if (col.bench)
      bottomC =
        col.benchAir >= 0 && w.active[col.benchAir] === 1
          ? w.tOld[net.air0 + col.benchAir]!
          : w.weather.airC[k]!;
    for (let j = done ? -1 : n - 1; j >= 0; j--) {
      const x = first + j;
      const cap = col.capacityJK[j]!;
      const lat = col.latentJ[j]!;
      const old = soilOld[x]!;
      const now = soil[x]!;
      let slope = cap;
      let held = cap * old;
      if (frosty && lat > 0) {
        // Newton on the heat content: its slope at the guess, and what the guess leaves over
        slope = heatSlope(now, cap, lat);
        held = slope * now - heatContent(now, cap, lat) + heatContent(old, cap, lat);
      }
      const up = col.linkWK[j]!;
      let rhs = held / dt + (j < n - 1 ? col.linkWK[j + 1]! * beta[x + 1]! : col.bottomWK * bottomC);
      // sideways, from last step's temperatures on both sides so that what leaves one enters the other
      if (j >= shift && !col.bench) {
        if (outer) rhs += col.sideWK[j]! * (soilOld[outer.first + j - shift]! - old);
        else if (outside)
          rhs += col.sideWK[j]! * outside.cellsC[k * outside.cellsPerStep + col.sideCell[j]!]!;
      }
      for (const next of net.columns) {
        if (next.outer !== c || next.bench || j + next.grid.mulchCells >= next.grid.count) continue;
        const x2 = j + next.grid.mulchCells;
        rhs += next.sideWK[x2]! * (soilOld[next.first + x2]! - old);
      }
      if (part && part.bottomW > 0) rhs += part.bottomW * part.bottomShare[j]!;
      if (!ready) {
        const below = j < n - 1 ? col.linkWK[j + 1]! * (1 - alpha[x + 1]!) : col.bottomWK;
        const side = !outer && outside && j >= shift && !col.bench ? col.sideWK[j]! : 0;
        w.inverse[x] = 1 / (slope / dt + up + below + side);
        alpha[x] = up * w.inverse[x]!;
      }
      beta[x] = rhs * w.inverse[x]!;
    }
    const skin = net.ground0 + c;
    const g = col.linkWK[0]!;
    w.a[skin * w.n + skin]! += g * (1 - alpha[first]!);
    w.b[skin]! += g * beta[first]!;
  }
}
