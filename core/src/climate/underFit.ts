/**
 * A place's reduced model from the heat engine. Contract: `fitUnder` runs the engine once on plausible days of the climate, a month at a
 * time, opened, covered and shut as the grower does it, and fits each output by least squares (with a little ridge); `errorOf` sets
 * the model against the engine on days that it has not seen.
 */
import { Matrix, solve } from 'ml-matrix';
import { MATERIALS } from '../heat/materials';
import { runBed, type BedRun } from '../heat/run';
import type { Layer } from '../heat/types';
import { YEAR_DAYS } from './climate';
import { clearDays, dayAtMs } from './hours';
import { BLOCK_DAYS, LEAD_DAYS, placeDays, type Days, type PlaceDays } from './placeDays';
import {
  BASE,
  COVERED_BELOW_C,
  daysUnder,
  dot,
  DRIVERS,
  drivers,
  opened,
  OUTPUTS,
  startOf,
  STAYS_BELOW_C,
  VENTING,
  type Output,
  type Reduced,
  type UnderSpec,
} from './underCover';
import type { Years } from './years';

const RIDGE = 1e-3;
/** MJ of sun to mol of light that leaves use: 0.45 of it, 4.57 µmol a J. */
export const MOL_PER_MJ = 0.45 * 4.57;
const TRAINING_SEED = 40_961;
/** When cloths are laid and lifted, solar hours. */
const LAID_H = 16;
const LIFTED_H = 9;

/** Least squares with a little ridge on scaled drivers. */
function leastSquares(rows: readonly Float64Array[], y: readonly number[], n: number): Float64Array {
  const scale = Float64Array.from({ length: n }, (_, k) =>
    Math.max(1e-6, Math.sqrt(rows.reduce((s, r) => s + r[k]! * r[k]!, 0) / rows.length)),
  );
  const xx = Matrix.zeros(n, n);
  const xy = Matrix.zeros(n, 1);
  rows.forEach((r, i) => {
    for (let a = 0; a < n; a++) {
      const va = r[a]! / scale[a]!;
      xy.set(a, 0, xy.get(a, 0) + va * y[i]!);
      for (let b = 0; b <= a; b++) xx.set(a, b, xx.get(a, b) + (va * r[b]!) / scale[b]!);
    }
  });
  for (let a = 0; a < n; a++) {
    for (let b = a + 1; b < n; b++) xx.set(a, b, xx.get(b, a));
    xx.set(a, a, xx.get(a, a) + (a === 0 ? 0 : RIDGE * rows.length));
  }
  const w = solve(xx, xy).to1DArray();
  return Float64Array.from(w, (v, k) => v / scale[k]!);
}

/** Whole days of a run: what the engine made of them. */
interface Seen {
  day: number;
  leafMinC: number;
  maxC: number;
  meanC: number;
  soilC: number;
  lightMol: number;
}

function seenIn(run: BedRun, from: number, days: number): Seen[] {
  const out: Seen[] = [];
  for (let i = LEAD_DAYS; i < days; i++) {
    const hours = (list: Float64Array) => Array.from(list.subarray(i * 24, (i + 1) * 24));
    const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;
    // the night that ends this morning began the evening before
    const night = Array.from(run.leafC.subarray(i * 24 - 6, i * 24 + 12));
    out.push({
      day: from + i,
      leafMinC: Math.min(...night),
      maxC: Math.max(...hours(run.canopyAirC)),
      meanC: mean(hours(run.canopyAirC)),
      soilC: mean(hours(run.soilC[1])),
      lightMol: (hours(run.cropSunWm2).reduce((a, b) => a + b, 0) * 3600 * MOL_PER_MJ) / 1e6,
    });
  }
  return out;
}

/** When the sheets lie that cannot be opened, by the days' lows and highs. */
function sheetsOn(years: Years, from: number, days: number, light: boolean): NonNullable<Layer['on']> {
  const at = (day: number, h: number) => new Date(dayAtMs(day) + h * 3_600_000).toISOString();
  const on: NonNullable<Layer['on']> = [];
  for (let i = from; i < from + days; i++) {
    const spans: [number, number][] = [];
    if (years.lowC[i]! < COVERED_BELOW_C) spans.push([0, LIFTED_H]);
    if (light && years.highC[i]! < STAYS_BELOW_C) spans.push([LIFTED_H, LAID_H]);
    if ((years.lowC[i + 1] ?? 99) < COVERED_BELOW_C) spans.push([LAID_H, 24]);
    for (const [a, b] of spans) {
      const last = on.at(-1);
      if (last && last.to === at(i, a)) last.to = at(i, b);
      else on.push({ from: at(i, a), to: at(i, b) });
    }
  }
  return on;
}

type Opening = (day: number) => { fromH: number; fraction: number } | null;

/** The engine through a block of days, its openings moved as `opening` says. */
function block(
  spec: UnderSpec,
  years: Years,
  { weather, ground, outside }: Days,
  from: number,
  opening: Opening | null,
): { run: BedRun; seen: Seen[] } {
  const days = BLOCK_DAYS;
  const open: NonNullable<Layer['open']> = [];
  for (let i = from; opening && i < from + days; i++) {
    const o = opening(i);
    if (!o) continue;
    const at = (h: number) => new Date(dayAtMs(i) + h * 3_600_000).toISOString();
    open.push({ from: at(o.fromH), fraction: o.fraction }, { from: at(CLOSE_H), fraction: 0 });
  }
  const stack = spec.stack.map((l): Layer => {
    if ((l.ventAreaM2 ?? 0) > 0) return open.length > 0 ? { ...l, open } : l;
    // what stands and cannot be opened is shut; what is laid comes and goes
    const stands = l.heightM > 1 || l.sides === 'board';
    return stands ? l : { ...l, on: sheetsOn(years, from, days, MATERIALS[l.material].sunPassed > 0.4) };
  });
  const run = runBed({ ground, stack, ...(spec.crop ? { crop: spec.crop } : {}) }, weather, {
    outside,
    audit: false,
  });
  return { run, seen: seenIn(run, from, days) };
}

/** When openings are shut again, solar hours. */
const CLOSE_H = 16;

/** How a grower opens, from what the place did shut: from the hour that it was too warm, as wide as that asks for. */
function openingFrom(run: BedRun, from: number, opensAtC: number): Opening {
  return (day) => {
    const first = (day - from) * 24;
    for (let h = 6; h < CLOSE_H; h++) {
      if (run.canopyAirC[first + h]! <= opensAtC) continue;
      let top = 0;
      for (let k = h; k < CLOSE_H; k++) top = Math.max(top, run.canopyAirC[first + k]! - opensAtC);
      return { fromH: h, fraction: Math.min(1, 0.1 + top / 25) };
    }
    return null;
  };
}

function blocks(spec: UnderSpec, { years, from: daysOf }: PlaceDays, starts: readonly number[]) {
  const opensAtC = VENTING[spec.venting ?? 'warm'];
  const canOpen = spec.stack.some((l) => (l.ventAreaM2 ?? 0) > 0);
  const shut: Seen[] = [];
  const as: Seen[] = [];
  for (const from of starts) {
    const days = daysOf(from);
    const closed = block(spec, years, days, from, null);
    shut.push(...closed.seen);
    if (!canOpen || opensAtC === null) as.push(...closed.seen);
    else as.push(...block(spec, years, days, from, openingFrom(closed.run, from, opensAtC)).seen);
  }
  return { shut, as, opensAtC: canOpen ? opensAtC : null };
}

/** The drivers of some days, each with the days before it. */
function driversOf(years: Years, clear: Float64Array, days: readonly number[]): Map<number, Float64Array> {
  const wanted = new Set(days);
  const out = new Map<number, Float64Array>();
  const f = startOf(years, clear);
  const last = Math.max(...days);
  for (let i = 0; i <= last; i++) {
    if (wanted.has(i)) {
      const x = new Float64Array(DRIVERS);
      drivers(years, clear, i, f, x);
      out.set(i, x);
    }
    f.add((years.lowC[i]! + years.highC[i]!) / 2, clear[i % YEAR_DAYS]! * years.sunShare[i]!);
  }
  return out;
}

/** Starts of blocks through two years, every month of the year met twice. */
const starts = (every: number, offset = 10) =>
  Array.from({ length: Math.floor((2 * YEAR_DAYS - 60) / every) }, (_, k) => offset + k * every);

/**
 * Weights of the days under a stack, fitted to the engine.
 * @example fitUnder({ site: SITE, climate: aClimate(), stack: [HOUSE] }).shutMax.length > 0 // true
 */
export function fitUnder(spec: UnderSpec): Reduced {
  const place = placeDays(spec, TRAINING_SEED);
  const { years } = place;
  const clear = clearDays(spec.site);
  const { shut, as, opensAtC } = blocks(spec, place, starts(31));
  const rows = driversOf(
    years,
    clear,
    as.map((s) => s.day),
  );
  const list = as.map((s) => rows.get(s.day)!);
  const shutMax = leastSquares(
    list,
    shut.map((s) => s.maxC),
    BASE,
  );
  for (const x of list) opened(x, dot(shutMax, x, BASE), opensAtC);
  const weights = Object.fromEntries(
    OUTPUTS.map((o) => [
      o,
      leastSquares(
        list,
        as.map((s) => s[o]),
        DRIVERS,
      ),
    ]),
  ) as Record<Output, Float64Array>;
  const closes = spec.stack.some((l) => {
    const m = MATERIALS[l.material];
    return m.permeabilityMsPa === 0 && m.openShare < 0.01;
  });
  return { weights, shutMax, opensAtC, clear, closes };
}

export interface ReducedError {
  days: number;
  /** Root of the mean square and mean error, by output. */
  rms: Record<Output, number>;
  bias: Record<Output, number>;
}

/**
 * Against the full engine on days that it was not fitted to.
 * @example Object.keys(errorOf({ site: SITE, climate: aClimate(), stack: [HOUSE] }, aFit(), 3).rms) // ['leafMinC', 'maxC', 'meanC', 'soilC', 'lightMol']
 */
export function errorOf(spec: UnderSpec, model: Reduced, seed: number): ReducedError {
  const place = placeDays(spec, seed);
  const { as } = blocks(spec, place, starts(61, 25));
  const under = daysUnder(model, place.years);
  const of = (o: Output) => as.map((s) => under[o][s.day]! - s[o]);
  const mean = (e: number[]) => e.reduce((a, b) => a + b, 0) / e.length;
  const by = (f: (e: number[]) => number) =>
    Object.fromEntries(OUTPUTS.map((o) => [o, f(of(o))])) as Record<Output, number>;
  return { days: as.length, rms: by((e) => Math.sqrt(mean(e.map((x) => x * x)))), bias: by(mean) };
}
