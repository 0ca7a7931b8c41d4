/**
 * The ground in a step: every column's cells eliminated towards its surface (Thomas), with Newton's method on the heat
 * content where water freezes, so that the solver above sees one conductance and one source a column.
 */
import type { Column } from './columns';
import { heatContent, heatSlope } from './soil';
import type { Work } from './work';

/** Whether any cell freezes or thaws in this step. */
function frosty(w: Work, col: Column): boolean {
  const { soil, soilOld } = w;
  const end = col.first + col.grid.count;
  for (let x = col.first; x < end; x++) if (soil[x]! < 0.01 || soilOld[x]! < 0.01) return true;
  return false;
}

/** What comes to each cell whatever its own temperature turns out to be, W: once a step. */
function sources(w: Work, k: number, c: number): void {
  const { net, soilOld, outside, soilW } = w;
  const col = net.columns[c]!;
  const { first, sideWK } = col;
  const n = col.grid.count;
  const shift = col.grid.mulchCells;
  for (let j = 0; j < n; j++) soilW[first + j] = 0;
  // sideways, from last step's temperatures on both sides so that what leaves one enters the other
  if (!col.bench) {
    if (col.outer >= 0) {
      const from = net.columns[col.outer]!.first - shift;
      for (let j = shift; j < n; j++)
        soilW[first + j] = sideWK[j]! * (soilOld[from + j]! - soilOld[first + j]!);
    } else if (outside) {
      const row = k * outside.cellsPerStep;
      for (let j = shift; j < n; j++) soilW[first + j] = sideWK[j]! * outside.cellsC[row + col.sideCell[j]!]!;
    }
  }
  for (const i of col.inners) {
    const next = net.columns[i]!;
    const skip = next.grid.mulchCells;
    const end = Math.min(n, next.grid.count - skip);
    for (let j = 0; j < end; j++)
      soilW[first + j]! += next.sideWK[j + skip]! * (soilOld[next.first + j + skip]! - soilOld[first + j]!);
  }
  const part = net.parts[col.part];
  if (part && part.bottomW > 0)
    for (let j = 0; j < n; j++) soilW[first + j]! += part.bottomW * part.bottomShare[j]!;
  let bottomC = net.deepC;
  if (col.bench)
    bottomC =
      col.benchAir >= 0 && w.active[col.benchAir] === 1
        ? w.tOld[net.air0 + col.benchAir]!
        : w.weather.airC[k]!;
  soilW[first + n - 1]! += col.bottomWK * bottomC;
}

/** Eliminates the cells of every column towards the surface and adds what the surface sees of them. */
export function soilColumns(w: Work, k: number, dt: number): void {
  const { net, soil, soilOld, alpha, beta, soilW, inverse } = w;
  for (let c = 0; c < net.columns.length; c++) {
    const col = net.columns[c]!;
    const { first, capacityJK, latentJ, linkWK, sideWK } = col;
    const n = col.grid.count;
    if (!w.reuse) sources(w, k, c);
    // unfrozen, the elimination is the same in every step: only the right side moves; within a step not even that
    const freezing = frosty(w, col);
    const ready = w.factored[c] === 1 && !freezing;
    if (!ready || !w.reuse) {
      const open = col.outer < 0 && w.outside !== null && !col.bench;
      let below = col.bottomWK;
      let from = 0;
      for (let j = n - 1; j >= 0; j--) {
        const x = first + j;
        const old = soilOld[x]!;
        let slope = capacityJK[j]!;
        let held = slope * old;
        if (freezing && latentJ[j]! > 0 && (old < 0.01 || soil[x]! < 0.01)) {
          // Newton on the heat content: its slope at the guess, and what the guess leaves over
          const cap = slope;
          const lat = latentJ[j]!;
          const now = soil[x]!;
          slope = heatSlope(now, cap, lat);
          held = slope * now - heatContent(now, cap, lat) + heatContent(old, cap, lat);
        }
        const rhs = held / dt + soilW[x]! + from;
        if (!ready) {
          const side = open && j >= col.grid.mulchCells ? sideWK[j]! : 0;
          inverse[x] = 1 / (slope / dt + linkWK[j]! + below + side);
          alpha[x] = linkWK[j]! * inverse[x]!;
        }
        beta[x] = rhs * inverse[x]!;
        below = linkWK[j]! * (1 - alpha[x]!);
        from = linkWK[j]! * beta[x]!;
      }
    }
    w.factored[c] = freezing ? 0 : 1;
    const skin = net.ground0 + c;
    const g = linkWK[0]!;
    w.a[skin * w.n + skin]! += g * (1 - alpha[first]!);
    w.b[skin]! += g * beta[first]!;
  }
}
