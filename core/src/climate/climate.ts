/**
 * The climate of a place, day by day of the year. Contract: `Climate` is what the generator of years (`years.ts`) draws from: means of
 * low and high, their spread, how one day follows another; `fromMonthly` makes one of twelve means, `fromDaily` of a record.
 * Temperatures °C, at a thermometer's height outside; a year has 365 days, the 29th of February is left out.
 */
import type { Site } from '../heat/types';

export const YEAR_DAYS = 365;
/** So many quantiles of what a day's mean is off the season's, at the middles of equal shares. */
export const QUANTILES = 41;

export interface Climate {
  site: Site;
  from: 'daily' | 'monthly' | 'table';
  /** Years of record; 0 where there is none. */
  years: number;
  /** Means by day of the year. */
  lowC: Float64Array;
  highC: Float64Array;
  /** What lows are off that, K: cold air that pools there, by the frost dates that were typed. */
  lowShiftK: Float64Array;
  /** Spread of the day's mean, K, and of the logarithm of its range. */
  meanSdK: Float64Array;
  rangeLogSd: Float64Array;
  /** Correlation of a day's mean with the day's before, and of what its range is off with what its mean is off. */
  lag1: number;
  rangeLag1: number;
  rangeWithMean: Float64Array;
  /** What a day's mean is off, in its own spreads, from the lowest, by season: winter of the calendar, spring, summer, autumn. */
  shape: Float64Array[];
  /** Usual wind, m/s at 10 m. */
  windMps: number;
}

/**
 * Day of the year 0 to 364 of a date "YYYY-MM-DD"; the 29th of February is the 28th.
 * @example dayOfYear('2027-03-01') // 59
 */
export function dayOfYear(date: string): number {
  const month = Number(date.slice(5, 7));
  const day = Number(date.slice(8, 10));
  return MONTH_STARTS[month - 1]! + Math.min(day, MONTH_DAYS[month - 1]!) - 1;
}

/**
 * "04-18" of a day of the year; days beyond the year run on into the next. Example: 0 is "01-01".
 * @example monthDayOf(59) // '03-01'
 */
export function monthDayOf(day: number): string {
  const d = ((Math.round(day) % YEAR_DAYS) + YEAR_DAYS) % YEAR_DAYS;
  let m = 11;
  while (MONTH_STARTS[m]! > d) m--;
  return `${String(m + 1).padStart(2, '0')}-${String(d - MONTH_STARTS[m]! + 1).padStart(2, '0')}`;
}

export const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;
export const MONTH_STARTS = MONTH_DAYS.map((_, m) => MONTH_DAYS.slice(0, m).reduce((a, b) => a + b, 0));

/**
 * Winter 0 (December to February), spring 1, summer 2, autumn 3, by the calendar alone.
 * @example seasonOf(0) // 0
 */
export const seasonOf = (day: number): number => Math.floor((((day + 31) % YEAR_DAYS) / YEAR_DAYS) * 4) % 4;

/**
 * A smooth year through twelve monthly means, whose months have those means again: their own waves, each raised by what taking
 * the mean over a month takes off it (sin x / x, x = πk/12).
 * @example smoothYear(new Array(12).fill(5))[100] // 5
 */
export function smoothYear(monthly: readonly number[]): Float64Array {
  const out = new Float64Array(YEAR_DAYS);
  const mean = monthly.reduce((a, b) => a + b, 0) / 12;
  for (let d = 0; d < YEAR_DAYS; d++) {
    const t = monthPhase(d);
    let sum = mean;
    for (let k = 1; k <= 5; k++) {
      let a = 0;
      let b = 0;
      monthly.forEach((c, m) => {
        const angle = (2 * Math.PI * k * (m + 0.5)) / 12;
        a += (c * Math.cos(angle)) / 6;
        b += (c * Math.sin(angle)) / 6;
      });
      const x = (Math.PI * k) / 12;
      const raise = x / Math.sin(x);
      sum += raise * (a * Math.cos(k * t) + b * Math.sin(k * t));
    }
    out[d] = sum;
  }
  return out;
}

/** Where a day stands in a year of twelve equal months, as an angle. */
function monthPhase(day: number): number {
  let m = 11;
  while (MONTH_STARTS[m]! > day) m--;
  const inMonth = (day - MONTH_STARTS[m]! + 0.5) / MONTH_DAYS[m]!;
  return (2 * Math.PI * (m + inMonth)) / 12;
}

/** A wave of one year: `winter` on the coldest day of the place, `summer` half a year on. */
function betweenSeasons(latitude: number, winter: number, summer: number): Float64Array {
  const coldest = latitude >= 0 ? 20 : 20 + YEAR_DAYS / 2;
  return Float64Array.from({ length: YEAR_DAYS }, (_, d) => {
    const w = 0.5 + 0.5 * Math.cos((2 * Math.PI * (d - coldest)) / YEAR_DAYS);
    return w * winter + (1 - w) * summer;
  });
}

/** The normal curve's value at the middle of each share: what a place is taken to have that has no record. */
export const NORMAL_SHAPE = Float64Array.from({ length: QUANTILES }, (_, i) => probit((i + 0.5) / QUANTILES));

/**
 * Inverse of the normal distribution: Acklam's rational fit, error under 1.2e-9 of a spread.
 * @example probit(0.975) // 1.96
 */
export function probit(p: number): number {
  const a = [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
    2.506628277459239,
  ];
  const b = [
    -54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572,
  ];
  const c = [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ];
  const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
  const poly = (q: number, list: number[]) => list.reduce((s, x) => s * q + x, 0);
  if (p < 0.02425 || p > 0.97575) {
    const q = Math.sqrt(-2 * Math.log(p < 0.5 ? p : 1 - p));
    const x = poly(q, c) / (poly(q, d) * q + 1);
    return p < 0.5 ? x : -x;
  }
  const q = p - 0.5;
  const r = q * q;
  return (q * poly(r, a)) / (poly(r, b) * r + 1);
}

export interface Monthly {
  lowC: number;
  highC: number;
}

/** How one day follows another where no record says: of temperate stations, starting values. */
const USUAL = { lag1: 0.72, rangeLag1: 0.3, windMps: 2.8 } as const;

/**
 * From twelve monthly means, January first. Spread is the more the further the place is from the sea, which the year's own
 * swing tells: 1.2 K and 0.27 of half the swing in winter, 1.8 and 0.08 in summer (rounded from stations of the middle
 * latitudes; starting values). In winter warm days are dull and of small range, in summer bright ones are warm.
 * @example fromMonthly(SITE, new Array(12).fill({ lowC: 5, highC: 15 })).from // 'monthly'
 */
export function fromMonthly(
  site: Site,
  months: readonly Monthly[],
  from: Climate['from'] = 'monthly',
): Climate {
  const lowC = smoothYear(months.map((m) => m.lowC));
  const highC = smoothYear(months.map((m) => m.highC));
  const means = months.map((m) => (m.lowC + m.highC) / 2);
  const half = (Math.max(...means) - Math.min(...means)) / 2;
  return {
    site,
    from,
    years: 0,
    lowC,
    highC,
    lowShiftK: new Float64Array(YEAR_DAYS),
    meanSdK: betweenSeasons(site.latitude, 1.2 + 0.27 * half, 1.8 + 0.08 * half),
    rangeLogSd: betweenSeasons(site.latitude, 0.5, 0.33),
    lag1: USUAL.lag1,
    rangeLag1: USUAL.rangeLag1,
    rangeWithMean: betweenSeasons(site.latitude, -0.25, 0.3),
    shape: Array.from({ length: 4 }, () => NORMAL_SHAPE),
    windMps: USUAL.windMps,
  };
}

/** A night's low spreads a little more than the day's mean: starting value. */
const LOW_SPREAD = 1.15;

/**
 * Share of years with frost (under 0 °C at a thermometer's height) in the night of a day of the year, 0 to 1: the lows taken as
 * normal, by the logistic curve that is within 0.01 of it. Example: a mean low of 0 °C: 0.5.
 * @example frostShare({ lowC: new Array(365).fill(0), lowShiftK: new Array(365).fill(0), meanSdK: new Array(365).fill(3) }, 10) // 0.5
 */
export function frostShare(c: Climate, day: number): number {
  const d = ((Math.round(day) % YEAR_DAYS) + YEAR_DAYS) % YEAR_DAYS;
  const low = c.lowC[d]! + c.lowShiftK[d]!;
  return 1 / (1 + Math.exp((1.702 * low) / (LOW_SPREAD * c.meanSdK[d]!)));
}
