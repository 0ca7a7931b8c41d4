/**
 * Days under a stack of covers, fast enough for centuries. Contract: `fitUnder` runs the heat engine once on plausible days of the
 * climate, opened and shut as the grower does it, and gives a `Reduced` model of that place; `daysUnder` puts any years through
 * it: lowest leaf, highest and mean air among the leaves, soil at 5 cm, light. `errorOf` sets it against the engine on
 * days that it has not seen (`npm run bench` prints that).
 *
 * Each output is a least-squares fit (with a little ridge) on what drives it: the day's and the day before's low and high, sun,
 * clear nights, wind, and means of the last 3, 10 and 40 days, which stand for the ground. Openings bend the line: what the place
 * would reach shut is fitted first, and its excess over where the grower opens is one more driver.
 */
import { Matrix, solve } from 'ml-matrix';
import { MATERIALS } from '../heat/materials';
import { prepareWeather } from '../heat/prepare';
import { runBed, type BedRun } from '../heat/run';
import { runOutside } from '../heat/outside';
import type { BedSpec, Ground, Layer, Site } from '../heat/types';
import { deepGroundC } from './zonal';
import { YEAR_DAYS, type Climate } from './climate';
import { clearDays, dayMs, hoursOf } from './hours';
import { plausibleYears, type Years } from './years';

/** Air it whenever the sun shines; open only against heat; leave it shut. Above these the house is opened, °C of the air inside. */
export const VENTING = { air: 16, warm: 24, shut: null } as const;
export type Venting = keyof typeof VENTING;

export interface UnderSpec {
  site: Site;
  climate: Climate;
  /** Outermost first, without dates; what has an opening is opened by `venting`. */
  stack: Layer[];
  ground?: Omit<Ground, 'deepC' | 'surfaceC'>;
  crop?: BedSpec['crop'];
  venting?: Venting;
}

const OUTPUTS = ['leafMinC', 'maxC', 'meanC', 'soilC', 'lightMol'] as const;
export type Output = (typeof OUTPUTS)[number];

/** A day's values under the stack; `count` years of days each. */
export type Under = Record<Output, Float32Array> & { count: number };

export interface Reduced {
  /** Weights on the drivers, by output; and of what it would reach shut. */
  weights: Record<Output, Float64Array>;
  shutMax: Float64Array;
  opensAtC: number | null;
  clear: Float64Array;
}

const BASE = 31;
/** Drivers and what the openings add. */
const DRIVERS = BASE + 3;
const RIDGE = 1e-3;
/** MJ of sun to mol of light that leaves use: 0.45 of it, 4.57 µmol a J. */
export const MOL_PER_MJ = 0.45 * 4.57;
const TRAINING_SEED = 40_961;

/** Means that fade: of temperature over 3, 10 and 40 days, of sun over 3 and 10. */
class Fading {
  t3 = 0;
  t10 = 0;
  t40 = 0;
  s3 = 0;
  s10 = 0;
  constructor(meanC: number, sunMj: number) {
    this.t3 = this.t10 = this.t40 = meanC;
    this.s3 = this.s10 = sunMj;
  }
  add(meanC: number, sunMj: number): void {
    this.t3 += (meanC - this.t3) / 3;
    this.t10 += (meanC - this.t10) / 10;
    this.t40 += (meanC - this.t40) / 40;
    this.s3 += (sunMj - this.s3) / 3;
    this.s10 += (sunMj - this.s10) / 10;
  }
}

/**
 * How a grower handles what cannot be opened, fleeces and blankets: on for a night with a low under this outside, and left on
 * through a day whose high stays under that where they let light through; else off. °C, starting values.
 */
export const COVERED_BELOW_C = 4;
export const STAYS_BELOW_C = 6;
const LAID_H = 16;
const LIFTED_H = 9;

/** The drivers of a day, into `x`. */
function drivers(years: Years, clear: Float64Array, i: number, f: Fading, x: Float64Array): void {
  const p = Math.max(0, i - 1);
  const d = i % YEAR_DAYS;
  const [low, high] = [years.lowC[i]!, years.highC[i]!];
  const share = years.sunShare[i]!;
  const sun = clear[d]! * share;
  const night = (years.sunShare[p]! + share) / 2;
  const wind = Math.sqrt(years.windMps[i]!);
  const angle = (2 * Math.PI * d) / YEAR_DAYS;
  x[0] = 1;
  x[1] = low;
  x[2] = years.lowC[p]!;
  x[3] = years.highC[p]!;
  x[4] = high;
  x[5] = clear[p % YEAR_DAYS]! * years.sunShare[p]!;
  x[6] = sun;
  x[7] = (sun * sun) / 10;
  x[8] = night;
  x[9] = night * night;
  x[10] = wind;
  x[11] = wind * night;
  x[12] = wind * sun;
  x[13] = f.t3;
  x[14] = f.t10;
  x[15] = f.t40;
  x[16] = f.s3;
  x[17] = f.s10;
  x[18] = Math.max(0, -low);
  x[19] = Math.max(0, -f.t3);
  x[20] = Math.max(0, sun - 8);
  x[21] = Math.cos(angle);
  x[22] = Math.sin(angle);
  x[23] = Math.max(0, high - 12);
  x[24] = (high * sun) / 10;
  // the cloths that go on for a cold night, and stay on through a cold day
  const night0 = low < COVERED_BELOW_C ? 1 : 0;
  const day0 = high < STAYS_BELOW_C ? 1 : 0;
  x[25] = night0;
  x[26] = night0 * low;
  x[27] = night0 * night;
  x[28] = night0 * x[5];
  x[29] = day0;
  x[30] = day0 * sun;
}

/** What the openings add: how far it would go over where they open, how far over that, and the outside it is opened to. */
function opened(x: Float64Array, shutMaxC: number, opensAtC: number | null): void {
  const over = opensAtC === null ? 0 : Math.max(0, shutMaxC - opensAtC);
  x[BASE] = over;
  x[BASE + 1] = Math.max(0, over - 8);
  x[BASE + 2] = over > 0 ? Math.min(1, over / 6) * x[4]! : 0;
}

const dot = (w: Float64Array, x: Float64Array, n: number) => {
  let sum = 0;
  for (let k = 0; k < n; k++) sum += w[k]! * x[k]!;
  return sum;
};

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

const LEAD_DAYS = 8;
const BLOCK_DAYS = 30;

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
  const at = (day: number, h: number) => new Date(dayMs(day) + h * 3_600_000).toISOString();
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
  from: number,
  opening: Opening | null,
): { run: BedRun; seen: Seen[] } {
  const site = { ...spec.site, longitude: 0 };
  const days = LEAD_DAYS + BLOCK_DAYS;
  const entries = hoursOf(years, site, from, days);
  let sum = 0;
  for (let i = from - 54; i < from + 8; i++) {
    const d = (i + YEAR_DAYS) % YEAR_DAYS;
    sum += (spec.climate.lowC[d]! + spec.climate.highC[d]!) / 2 / 62;
  }
  const open: NonNullable<Layer['open']> = [];
  for (let i = from; opening && i < from + days; i++) {
    const o = opening(i);
    if (!o) continue;
    const at = (h: number) => new Date(dayMs(i) + h * 3_600_000).toISOString();
    open.push({ from: at(o.fromH), fraction: o.fraction }, { from: at(CLOSE_H), fraction: 0 });
  }
  const stack = spec.stack.map((l): Layer => {
    if ((l.ventAreaM2 ?? 0) > 0) return open.length > 0 ? { ...l, open } : l;
    // what stands and cannot be opened is shut; what is laid comes and goes
    const stands = l.heightM > 1 || l.sides === 'board';
    return stands ? l : { ...l, on: sheetsOn(years, from, days, MATERIALS[l.material].sunPassed > 0.4) };
  });
  const ground: Ground = { ...spec.ground, deepC: deepGroundC(site, sum) };
  const weather = prepareWeather(site, entries, 3600);
  const outside = runOutside(weather, ground);
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

function blocks(spec: UnderSpec, years: Years, starts: readonly number[]) {
  const opensAtC = VENTING[spec.venting ?? 'warm'];
  const canOpen = spec.stack.some((l) => (l.ventAreaM2 ?? 0) > 0);
  const shut: Seen[] = [];
  const as: Seen[] = [];
  for (const from of starts) {
    const closed = block(spec, years, from, null);
    shut.push(...closed.seen);
    if (!canOpen || opensAtC === null) as.push(...closed.seen);
    else as.push(...block(spec, years, from, openingFrom(closed.run, from, opensAtC)).seen);
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

/** Means to start with: the first ten days' own. */
function startOf(years: Years, clear: Float64Array): Fading {
  let [t, s] = [0, 0];
  for (let i = 0; i < 10; i++) {
    t += (years.lowC[i]! + years.highC[i]!) / 20;
    s += (clear[i % YEAR_DAYS]! * years.sunShare[i]!) / 10;
  }
  return new Fading(t, s);
}

/** Starts of blocks through two years, every month of the year met twice. */
const starts = (every: number, offset = 10) =>
  Array.from({ length: Math.floor((2 * YEAR_DAYS - 60) / every) }, (_, k) => offset + k * every);

export function fitUnder(spec: UnderSpec): Reduced {
  const years = plausibleYears(spec.climate, 2, TRAINING_SEED);
  const clear = clearDays(spec.site);
  const { shut, as, opensAtC } = blocks(spec, years, starts(31));
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
  return { weights, shutMax, opensAtC, clear };
}

export function daysUnder(model: Reduced, years: Years): Under {
  const n = years.count * YEAR_DAYS;
  const make = () => new Float32Array(n);
  const out: Under = {
    count: years.count,
    leafMinC: make(),
    maxC: make(),
    meanC: make(),
    soilC: make(),
    lightMol: make(),
  };
  const { clear, weights, shutMax, opensAtC } = model;
  const f = startOf(years, clear);
  const x = new Float64Array(DRIVERS);
  for (let i = 0; i < n; i++) {
    drivers(years, clear, i, f, x);
    opened(x, dot(shutMax, x, BASE), opensAtC);
    for (const o of OUTPUTS) out[o][i] = dot(weights[o], x, DRIVERS);
    out.maxC[i] = Math.max(out.maxC[i]!, out.leafMinC[i]!);
    out.lightMol[i] = Math.max(0, out.lightMol[i]!);
    f.add((years.lowC[i]! + years.highC[i]!) / 2, clear[i % YEAR_DAYS]! * years.sunShare[i]!);
  }
  return out;
}

export interface ReducedError {
  days: number;
  /** Root of the mean square and mean error, by output. */
  rms: Record<Output, number>;
  bias: Record<Output, number>;
}

/** Against the full engine on days that it was not fitted to. */
export function errorOf(spec: UnderSpec, model: Reduced, seed: number): ReducedError {
  const years = plausibleYears(spec.climate, 2, seed);
  const { as } = blocks(spec, years, starts(61, 25));
  const under = daysUnder(model, years);
  const of = (o: Output) => as.map((s) => under[o][s.day]! - s[o]);
  const mean = (e: number[]) => e.reduce((a, b) => a + b, 0) / e.length;
  const by = (f: (e: number[]) => number) =>
    Object.fromEntries(OUTPUTS.map((o) => [o, f(of(o))])) as Record<Output, number>;
  return { days: as.length, rms: by((e) => Math.sqrt(mean(e.map((x) => x * x)))), bias: by(mean) };
}
