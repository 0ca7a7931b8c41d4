/**
 * Wax cylinders open by the air's own warmth. Contract: `runWithWax(run, openings, ventAreaM2)` runs a bed again and again,
 * each time with the openings that the last air gives, until they agree; `run` is given the steps of the layer that opens.
 */
import type { Opening } from '../farm/types';
import type { BedRun } from './run';

type Steps = { from: string; fraction: number }[];

/**
 * Share of an opening at an air temperature: none up to where the cylinder starts, all from where it is full.
 * @example waxShare(20, { startC: 15, fullC: 25 }) // 0.5
 */
export function waxShare(airC: number, wax: { startC: number; fullC: number }): number {
  return Math.min(1, Math.max(0, (airC - wax.startC) / (wax.fullC - wax.startC)));
}

const ROUNDS = 6;

/**
 * `byHand` is the fraction of the whole that stands open at each hour besides; `layer` the place of the structure in the
 * stack. The cylinder follows within the hour; how far it lags is left out.
 * @example runWithWax(() => night([HOUSE]), 0, [], 10, () => 0).minLeafC === night([HOUSE]).minLeafC // true
 */
export function runWithWax(
  run: (open: Steps) => BedRun,
  layer: number,
  openings: readonly Opening[],
  ventAreaM2: number,
  byHand: (ms: number) => number,
): BedRun {
  const waxed = openings.filter((o) => o.wax);
  const steps = (shares: number[], times: readonly number[]): Steps =>
    times.map((ms, i) => ({
      from: new Date(ms).toISOString(),
      fraction: Math.min(1, byHand(ms) + shares[i]!),
    }));
  let result = run([]);
  const times = result.entryAtMs;
  let shares = times.map(() => 0);
  for (let round = 0; round < ROUNDS; round++) {
    const air = result.layerAirC[layer];
    if (!air) return result;
    let moved = 0;
    shares = shares.map((was, i) => {
      const now =
        waxed.reduce((s, o) => s + o.areaM2 * waxShare(air[i]!, o.wax!), 0) / Math.max(0.01, ventAreaM2);
      // half way each time: a wide opening would slam shut again
      const next = was + 0.5 * (now - was);
      moved = Math.max(moved, Math.abs(next - was));
      return next;
    });
    result = run(steps(shares, times));
    if (moved < 0.01) break;
  }
  return result;
}
