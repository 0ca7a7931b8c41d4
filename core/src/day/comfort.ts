/**
 * How well a day under its openings and sheets suits what stands there. Contract: `discomfort` gives one figure for a run, the
 * lower the better: degree-hours too hot and too cold before all, then damp, warmth and air by the grower's style. The weights
 * are starting values and only order what may be done; they are no money.
 */
import type { BedRun } from '../heat/run';
import { HOUR_MS } from '../time/farmTime';
import type { Limits, Turn } from './limits';

/** A degree-hour over a limit, and its square besides: two degrees over are worse than one for two hours. */
const HOT = { line: 4, square: 0.5 } as const;
const COLD = { line: 6, square: 0.5 } as const;
const SOIL = 2;
/**
 * The air should fall under this humidity for so many hours of the middle of a day, from so long after sunrise to so long before
 * sunset: mildew and grey mould grow in what stays wetter. Three hours of it are worth a walk there and back, fewer are not.
 */
const MOULD = { humidity: 0.88, hours: 3, cost: 0.45, edgeMs: 2 * HOUR_MS } as const;
/** Aired: an hour of sun inside warmer than this with nothing open. */
const AIRED = { aboveC: 14, sunWm2: 120, cost: 0.5 } as const;
/** A degree short of this in the light, by style; a degree of night under this much over the lower limit. */
const WARM = { toC: { air: 14, warm: 22 }, cost: 0.05 } as const;
const BANKED = { overK: 3, cost: 0.1 } as const;

/** Damped: a kelvin of a day's swing over this. What is swung through every day in spring makes crops of two years bolt; starting value. */
const EVEN = { overK: 14, cost: 0.6 } as const;

const over = (x: number, w: { line: number; square: number }) => (x <= 0 ? 0 : w.line * x + w.square * x * x);

/** `openAt` is the widest of the openings at an instant, 0 to 1. */
export function discomfort(
  run: BedRun,
  limits: Limits,
  turns: readonly Turn[],
  openAt: (ms: number) => number,
): number {
  const hours = (run.entryAtMs[1]! - run.entryAtMs[0]!) / 3_600_000;
  const leafMinC = limits.leafMinC ?? 0;
  let cost = 0;
  for (let i = 0; i < run.entryAtMs.length; i++) {
    const ms = run.entryAtMs[i]!;
    const leafC = run.leafC[i]!;
    const light = turns.some((t) => ms >= t.riseAtMs && ms <= t.setAtMs);
    cost += over(leafC - limits.leafMaxC, HOT) + over(leafMinC - leafC, COLD);
    if (limits.soilMaxC !== undefined) cost += SOIL * Math.max(0, run.soilC[1][i]! - limits.soilMaxC);
    if (!light) cost += BANKED.cost * Math.max(0, leafMinC + BANKED.overK - leafC);
    else {
      const wantedC = Math.min(WARM.toC[limits.style], limits.leafMaxC - 2);
      cost += WARM.cost * Math.max(0, wantedC - run.canopyAirC[i]!);
      const sunny = run.sunWm2[i]! > AIRED.sunWm2 && run.canopyAirC[i]! > AIRED.aboveC;
      if (limits.style === 'air' && sunny && openAt(ms) === 0) cost += AIRED.cost;
    }
  }
  if (limits.even)
    for (const t of turns) {
      const day = run.leafC.filter((_, i) => Math.abs(run.entryAtMs[i]! - t.noonAtMs) <= 12 * HOUR_MS);
      // a day that is cut short swings less than it will
      if (day.length * hours < 10) continue;
      const swingK = Math.max(...day) - Math.min(...day);
      cost += (EVEN.cost * Math.max(0, swingK - EVEN.overK)) / hours;
    }
  for (const t of turns) {
    const dry = run.entryAtMs.filter(
      (ms, i) =>
        ms >= t.riseAtMs + MOULD.edgeMs &&
        ms <= t.setAtMs - MOULD.edgeMs &&
        run.humidity[i]! < MOULD.humidity,
    ).length;
    cost += (MOULD.cost * Math.max(0, MOULD.hours - dry * hours)) / hours;
  }
  return cost * hours;
}
