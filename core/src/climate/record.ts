/**
 * A climate from a record of days. Contract: `fromDaily` takes at least three years of lows and highs, in any order, and gives
 * their means as three waves of a year, their spread, shape and how one day follows another. Days with a high under the low, or
 * out of −70 to 60 °C, are the reader's to refuse (`dailyCsv.ts`).
 */
import { Matrix, solve } from 'ml-matrix';
import type { Site } from '../heat/types';
import {
  dayOfYear,
  fromMonthly,
  MONTH_STARTS,
  QUANTILES,
  seasonOf,
  YEAR_DAYS,
  type Climate,
} from './climate';

export interface Day {
  /** YYYY-MM-DD */
  date: string;
  lowC: number;
  highC: number;
}

const DAY_MS = 86_400_000;
/** Below this a place's own spread is not known well enough. */
export const LEAST_DAYS = 3 * 330;

/** Waves of a year: a constant and `waves` cosines and sines. */
function basis(day: number, waves: number): number[] {
  const t = (2 * Math.PI * (day + 0.5)) / YEAR_DAYS;
  return [
    1,
    ...Array.from({ length: waves }, (_, k) => [Math.cos((k + 1) * t), Math.sin((k + 1) * t)]).flat(),
  ];
}

/** Least squares of values by day of the year onto waves, as a year of days. */
function waveFit(days: readonly number[], values: readonly number[], waves: number): Float64Array {
  const n = 2 * waves + 1;
  const xx = Matrix.zeros(n, n);
  const xy = Matrix.zeros(n, 1);
  days.forEach((day, i) => {
    const x = basis(day, waves);
    for (let r = 0; r < n; r++) {
      xy.set(r, 0, xy.get(r, 0) + x[r]! * values[i]!);
      for (let c = 0; c < n; c++) xx.set(r, c, xx.get(r, c) + x[r]! * x[c]!);
    }
  });
  const beta = solve(xx, xy).to1DArray();
  return Float64Array.from({ length: YEAR_DAYS }, (_, d) =>
    basis(d, waves).reduce((sum, x, k) => sum + x * beta[k]!, 0),
  );
}

const floored = (year: Float64Array, least: number) => year.map((x) => Math.max(least, x));

/** Correlation of a series with itself a day later, over neighbours in time only. */
function lagOf(byAtMs: Map<number, number>): number {
  let [xy, xx] = [0, 0];
  for (const [ms, x] of byAtMs) {
    const before = byAtMs.get(ms - DAY_MS);
    if (before === undefined) continue;
    xy += x * before;
    xx += (x * x + before * before) / 2;
  }
  return xx > 0 ? Math.min(0.95, Math.max(0, xy / xx)) : 0;
}

function quantilesOf(values: number[]): Float64Array {
  const sorted = Float64Array.from(values).sort();
  return Float64Array.from({ length: QUANTILES }, (_, i) => {
    const at = ((i + 0.5) / QUANTILES) * (sorted.length - 1);
    const k = Math.min(sorted.length - 2, Math.floor(at));
    return sorted[k]! + (sorted[k + 1]! - sorted[k]!) * (at - k);
  });
}

/**
 * A climate from a record of days; at least three years of them.
 * @example (() => { try { return fromDaily(SITE, []); } catch (e) { return e.name; } })() // 'RangeError'
 */
export function fromDaily(site: Site, record: readonly Day[]): Climate {
  if (record.length < LEAST_DAYS)
    throw new RangeError(
      `a record of ${record.length} days is too short; expected at least three years of days`,
    );
  const days = record.map((d) => dayOfYear(d.date));
  const mean = record.map((d) => (d.lowC + d.highC) / 2);
  const logRange = record.map((d) => Math.log(Math.max(0.5, d.highC - d.lowC)));
  const lowC = waveFit(
    days,
    record.map((d) => d.lowC),
    3,
  );
  const highC = waveFit(
    days,
    record.map((d) => d.highC),
    3,
  );
  const off = mean.map((m, i) => m - (lowC[days[i]!]! + highC[days[i]!]!) / 2);
  const rangeMid = waveFit(days, logRange, 2);
  const rangeOff = logRange.map((r, i) => r - rangeMid[days[i]!]!);
  const sd = (list: readonly number[]) =>
    floored(
      waveFit(
        days,
        list.map((x) => x * x),
        2,
      ),
      1e-3,
    ).map(Math.sqrt);
  const meanSdK = floored(sd(off), 0.5);
  const rangeLogSd = floored(sd(rangeOff), 0.05);
  const z = off.map((x, i) => x / meanSdK[days[i]!]!);
  const u = rangeOff.map((x, i) => x / rangeLogSd[days[i]!]!);
  const together = waveFit(
    days,
    z.map((x, i) => x * u[i]!),
    1,
  ).map((x) => Math.min(0.9, Math.max(-0.9, x)));
  const at = (list: number[]) => new Map(record.map((d, i) => [Date.parse(`${d.date}T00:00:00Z`), list[i]!]));
  const shape = [0, 1, 2, 3].map((season) => {
    const there = z.filter((_, i) => seasonOf(days[i]!) === season);
    return there.length > 200 ? quantilesOf(there) : null;
  });
  const usual = fromMonthly(site, monthlyOf(lowC, highC), 'daily');
  return {
    ...usual,
    years: new Set(record.map((d) => d.date.slice(0, 4))).size,
    lowC,
    highC,
    meanSdK,
    rangeLogSd,
    lag1: lagOf(at(z)),
    rangeLag1: lagOf(at(u)),
    rangeWithMean: together,
    shape: shape.map((s, i) => s ?? usual.shape[i]!),
  };
}

const meanOf = (year: Float64Array, from: number, to: number) =>
  year.slice(from, to).reduce((a, b) => a + b, 0) / (to - from);

/**
 * Twelve means of low and high again, as a climate page gives them.
 * @example monthlyOf(new Float64Array(365).fill(2), new Float64Array(365).fill(12))[6].highC // 12
 */
export function monthlyOf(lowC: Float64Array, highC: Float64Array): { lowC: number; highC: number }[] {
  return MONTH_STARTS.map((from, m) => {
    const to = MONTH_STARTS[m + 1] ?? YEAR_DAYS;
    return { lowC: meanOf(lowC, from, to), highC: meanOf(highC, from, to) };
  });
}
