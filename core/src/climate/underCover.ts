/**
 * Days under a stack of covers, fast enough for centuries. Contract: `daysUnder` puts any years through a place's `Reduced` model
 * (`underFit.ts` makes it of the heat engine): lowest leaf, highest and mean air among the leaves, soil at 5 cm, light.
 *
 * Each output is a line on what drives it: the day's and the day before's low and high, sun, clear nights, wind, and means of the
 * last 3, 10 and 40 days, which stand for the ground. Openings bend the line: what the place would reach shut comes first, and
 * its excess over where the grower opens is one more driver; so are the cloths that go on for a cold night.
 */
import type { BedSpec, Ground, Layer, Site } from '../heat/types';
import { YEAR_DAYS, type Climate } from './climate';
import type { Years } from './years';

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

export const OUTPUTS = ['leafMinC', 'maxC', 'meanC', 'soilC', 'lightMol'] as const;
export type Output = (typeof OUTPUTS)[number];

/** A day's values under the stack; `count` years of days each. */
export type Under = Record<Output, Float32Array> & {
  count: number;
  /** 1 of a dull day on which it all stays shut and leaves stay wet. */
  damp: Uint8Array;
};

export interface Reduced {
  /** Weights on the drivers, by output; and of what it would reach shut. */
  weights: Record<Output, Float64Array>;
  shutMax: Float64Array;
  opensAtC: number | null;
  clear: Float64Array;
  /** Whether something closes over it that no air passes. */
  closes: boolean;
}

export const BASE = 31;
/** Drivers and what the openings add. */
export const DRIVERS = BASE + 3;

/** Means that fade: of temperature over 3, 10 and 40 days, of sun over 3 and 10. */
export class Fading {
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

/** The drivers of a day, into `x`. */
export function drivers(years: Years, clear: Float64Array, i: number, f: Fading, x: Float64Array): void {
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
export function opened(x: Float64Array, shutMaxC: number, opensAtC: number | null): void {
  const over = opensAtC === null ? 0 : Math.max(0, shutMaxC - opensAtC);
  x[BASE] = over;
  x[BASE + 1] = Math.max(0, over - 8);
  x[BASE + 2] = over > 0 ? Math.min(1, over / 6) * x[4]! : 0;
}

/** @example dot([1, 2], [3, 4], 2) // 11 */
export const dot = (w: Float64Array, x: Float64Array, n: number) => {
  let sum = 0;
  for (let k = 0; k < n; k++) sum += w[k]! * x[k]!;
  return sum;
};

/** Of a clear day's sun: under this leaves that are shut in do not dry. Starting value. */
const DULL = 0.5;

/**
 * Each day of the years under a stack: leaf's lowest, air's highest and mean, soil, light.
 * @example daysUnder(aFit(), someYears()).count // 6
 */
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
    damp: new Uint8Array(n),
  };
  const { clear, weights, shutMax, opensAtC, closes } = model;
  const f = startOf(years, clear);
  const x = new Float64Array(DRIVERS);
  for (let i = 0; i < n; i++) {
    drivers(years, clear, i, f, x);
    opened(x, dot(shutMax, x, BASE), opensAtC);
    for (const o of OUTPUTS) out[o][i] = dot(weights[o], x, DRIVERS);
    if (closes && x[BASE] === 0 && years.sunShare[i]! < DULL) out.damp[i] = 1;
    out.maxC[i] = Math.max(out.maxC[i]!, out.leafMinC[i]!);
    out.lightMol[i] = Math.max(0, out.lightMol[i]!);
    f.add((years.lowC[i]! + years.highC[i]!) / 2, clear[i % YEAR_DAYS]! * years.sunShare[i]!);
  }
  return out;
}

/** Means to start with: the first ten days' own. */
export function startOf(years: Years, clear: Float64Array): Fading {
  let [t, s] = [0, 0];
  for (let i = 0; i < 10; i++) {
    t += (years.lowC[i]! + years.highC[i]!) / 20;
    s += (clear[i % YEAR_DAYS]! * years.sunShare[i]!) / 10;
  }
  return new Fading(t, s);
}
