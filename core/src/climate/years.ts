/**
 * Plausible years of a climate. Contract: `plausibleYears(climate, count, seed)` gives `count` years of days, the same ones for the same
 * seed; means, spread, how one day follows another, frosts and the coldest nights are those of the climate it is drawn from.
 * Its numbers come from a kept generator (pure-rand), nothing of it is shared with the stand-in weather of the demo.
 *
 * A day's mean is off the season's by a first-order chain (lag correlation from the record) put through the record's own
 * shape, so that its cold tail is kept; its range by a second chain that leans on the first. What sun a day has follows from its
 * range (Hargreaves and Samani 1982, as in FAO-56 eq. 50), wind and rain from that: dull days are windier and wet.
 */
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { normalBelow } from '../night/choose';
import { NORMAL_SHAPE, QUANTILES, seasonOf, YEAR_DAYS, type Climate } from './climate';

export interface Years {
  count: number;
  /** Day after day, `count` × 365. */
  lowC: Float32Array;
  highC: Float32Array;
  /** Share of a clear day's sun, 0.2 to 1. */
  sunShare: Float32Array;
  windMps: Float32Array;
  rainMm: Float32Array;
}

/** A normal number, by Box and Muller. */
function normals(seed: number): () => number {
  const rng = xoroshiro128plus(seed | 0);
  return () => {
    const u = Math.max(1e-12, uniformFloat64(rng));
    return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * uniformFloat64(rng));
  };
}

/**
 * A normal number's place in a shape of quantiles; beyond its ends as steep as there.
 * @example shaped(0, Float64Array.from({ length: 200 }, (_, i) => i)) > 0 // true
 */
export function shaped(z: number, shape: Float64Array): number {
  const at = normalBelow(z) * QUANTILES - 0.5;
  const i = Math.min(QUANTILES - 2, Math.max(0, Math.floor(at)));
  if (at < 0 || at > QUANTILES - 1) {
    // the tail goes on as a normal one does, stretched to the shape's last step
    const edge = at < 0 ? 0 : QUANTILES - 1;
    const [a, b] = at < 0 ? [0, 4] : [QUANTILES - 1, QUANTILES - 5];
    const stretch = (shape[b]! - shape[a]!) / (NORMAL_SHAPE[b]! - NORMAL_SHAPE[a]!);
    return shape[edge]! + stretch * (z - NORMAL_SHAPE[edge]!);
  }
  return shape[i]! + (shape[i + 1]! - shape[i]!) * (at - i);
}
/** Days before the first year, so that it starts as any other. */
const BEFORE = 30;
/** Hargreaves' factor over what a clear sky passes, 0.75 of what arrives above the air: 0.16 inland. */
const SUN_OF_RANGE = 0.16 / 0.75;

/**
 * So many years of days with the climate's means, swings and spells; the same for the same seed.
 * @example plausibleYears(aClimate(), 2, 1).count // 2
 */
export function plausibleYears(climate: Climate, count: number, seed: number): Years {
  const n = count * YEAR_DAYS;
  const years: Years = {
    count,
    lowC: new Float32Array(n),
    highC: new Float32Array(n),
    sunShare: new Float32Array(n),
    windMps: new Float32Array(n),
    rainMm: new Float32Array(n),
  };
  const normal = normals(seed);
  let z = normal();
  let u = normal();
  const { lag1, rangeLag1 } = climate;
  const keepZ = Math.sqrt(1 - lag1 * lag1);
  const keepU = Math.sqrt(1 - rangeLag1 * rangeLag1);
  for (let i = -BEFORE; i < n; i++) {
    z = lag1 * z + keepZ * normal();
    u = rangeLag1 * u + keepU * normal();
    const [wind, wet] = [normal(), normal()];
    if (i < 0) continue;
    const d = i % YEAR_DAYS;
    const season = climate.shape[seasonOf(d)]!;
    const meanC = (climate.lowC[d]! + climate.highC[d]!) / 2 + climate.meanSdK[d]! * shaped(z, season);
    const lean = climate.rangeWithMean[d]!;
    const v = lean * z + Math.sqrt(1 - lean * lean) * u;
    const sd = climate.rangeLogSd[d]!;
    const rangeK = Math.max(0.5, climate.highC[d]! - climate.lowC[d]!) * Math.exp(sd * v - (sd * sd) / 2);
    years.highC[i] = meanC + rangeK / 2;
    years.lowC[i] = lowOf(meanC - rangeK / 2, years.highC[i]!, climate.lowShiftK[d]!);
    const sun = Math.min(1, Math.max(0.2, SUN_OF_RANGE * Math.sqrt(rangeK) + 0.08 * v));
    years.sunShare[i] = sun;
    years.windMps[i] = climate.windMps * (1.3 - 0.45 * sun) * Math.exp(0.4 * wind - 0.08);
    const rains = wet > -1.2 + 2.4 * sun;
    years.rainMm[i] = rains ? -6 * Math.log(Math.max(1e-6, normalBelow(wind))) : 0;
  }
  return years;
}

/**
 * A low that is shifted never comes within half a kelvin of the day's high.
 * @example lowOf(4, 9, -3) // 1
 */
export const lowOf = (lowC: number, highC: number, shiftK: number) =>
  shiftK <= 0 ? lowC + shiftK : Math.max(lowC, Math.min(lowC + shiftK, highC - 0.5));

/**
 * Last frost before and first after the middle of summer, by year, as days of the year; null in a year without.
 * @example frostDays(someYears(), 42.7).last.length // 6
 */
export function frostDays(
  years: Years,
  latitude: number,
): { last: (number | null)[]; first: (number | null)[] } {
  // the growing year: from the middle of one winter to the next
  const start = latitude >= 0 ? 0 : 182;
  const last: (number | null)[] = [];
  const first: (number | null)[] = [];
  for (let y = 0; y < years.count - (start > 0 ? 1 : 0); y++) {
    let l: number | null = null;
    let f: number | null = null;
    for (let k = 0; k < YEAR_DAYS; k++) {
      if (years.lowC[y * YEAR_DAYS + start + k]! > 0) continue;
      if (k < YEAR_DAYS / 2) l = k;
      else f ??= k;
    }
    last.push(l === null ? null : (l + start) % YEAR_DAYS);
    first.push(f === null ? null : (f + start) % YEAR_DAYS);
  }
  return { last, first };
}

/**
 * The middle of some days of the year, wrapped at `from`; null where fewer than half are there.
 * @example middleDay([100, 110, 120], 0) // 110
 */
export function middleDay(days: readonly (number | null)[], from: number): number | null {
  const there = days
    .filter((d): d is number => d !== null)
    .map((d) => (d - from + YEAR_DAYS) % YEAR_DAYS)
    .sort((a, b) => a - b);
  if (there.length * 2 < days.length || there.length === 0) return null;
  return (there[there.length >> 1]! + from) % YEAR_DAYS;
}
