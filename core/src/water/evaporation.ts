/**
 * What a bed loses to the air. Contract: `referenceMm` is FAO-56's reference evapotranspiration of a day (Allen and others 1998, eq. 6), mm;
 * `daysOfWater` makes days of hourly weather; `underMm` the same for a bed under its covers, by what they pass of sun and wind and how
 * much warmer it is among the leaves. `cropMm` takes the share of ground that leaves cover.
 *
 * Under film or glass half of the sky's cold is shut out, frame and dirt take a fifth of the light, air moves at 0.2 m/s shut and 0.6
 * wide open: starting values, chosen so that an unheated film house comes out at six to nine tenths of the open: a rough range of
 * general literature, no measurement of ours and none of published-ranges.csv.
 */
import { pressurePa, saturationPa } from '../sky/air';
import { STEFAN_BOLTZMANN } from '../sky/longwave';
import { clearSkyWm2, cloudyWm2, sunPosition } from '../sky/sun';
import type { Site, WeatherEntry } from '../heat/types';
import { localDate } from '../time/farmTime';

export interface WaterDay {
  date: string;
  minC: number;
  meanC: number;
  maxC: number;
  /** Vapour pressure, kPa; wind at 2 m, m/s; sun on the level and what a clear day would bring, MJ/m². */
  vapourKPa: number;
  windMps: number;
  sunMJ: number;
  clearMJ: number;
  rainMm: number;
  /** What grass or crop loses by thermal radiation, MJ/m²; left out, it is reckoned from the sky. */
  longMJ?: number;
  /** Hours that are known of it, up to 24. */
  hours: number;
}

/**
 * A day of which nothing is known yet.
 * @example dayBegun('2027-01-14').hours // 0
 */
export const dayBegun = (date: string): WaterDay => ({
  date,
  minC: Infinity,
  meanC: 0,
  maxC: -Infinity,
  vapourKPa: 0,
  windMps: 0,
  sunMJ: 0,
  clearMJ: 0,
  rainMm: 0,
  hours: 0,
});

/** Wind at 10 m brought down to 2 m (FAO-56 eq. 47). */
const AT_2M = 0.748;
/** W/m² over an hour, in MJ/m². */
export const MJ_PER_H = 0.0036;

/**
 * Days of a run of hours, by the farm's dates; a day of which fewer than 12 hours are known is left out.
 * @example daysOfWater(weather({ hours: 48 }), SITE, 'UTC').length // 3
 */
export function daysOfWater(hours: readonly WeatherEntry[], site: Site, timeZone: string): WaterDay[] {
  const by = new Map<string, WaterDay & { n: number }>();
  for (const e of hours) {
    const ms = Date.parse(e.time);
    const date = localDate(ms, timeZone);
    const d = by.get(date) ?? { ...dayBegun(date), n: 0 };
    const { cosZenith } = sunPosition(ms, site.latitude, site.longitude);
    const vapour = saturationPa(e.dewPointC);
    const clear = cosZenith > 0 ? clearSkyWm2(cosZenith, site.elevationM, vapour) : 0;
    d.minC = Math.min(d.minC, e.airC);
    d.maxC = Math.max(d.maxC, e.airC);
    d.meanC += e.airC;
    d.vapourKPa += vapour / 1000;
    d.windMps += e.windMs * AT_2M;
    d.sunMJ += (e.globalWm2 ?? cloudyWm2(clear, e.cloudFraction)) * MJ_PER_H;
    d.clearMJ += clear * MJ_PER_H;
    d.rainMm += e.rainMm ?? 0;
    d.n += 1;
    by.set(date, d);
  }
  return [...by.values()]
    .filter((d) => d.n >= 12)
    .map(({ n, ...d }) => ({
      ...d,
      meanC: d.meanC / n,
      vapourKPa: d.vapourKPa / n,
      windMps: d.windMps / n,
      hours: n,
    }));
}

const kPa = (c: number) => saturationPa(c) / 1000;
/** Slope of the saturation curve, kPa/K (FAO-56 eq. 13). */
const slope = (c: number) => (4098 * 0.6108 * Math.exp((17.27 * c) / (c + 237.3))) / (c + 237.3) ** 2;
const ALBEDO = 0.23;
/** W/m² over a day, in MJ/m². */
const SIGMA_MJ = (STEFAN_BOLTZMANN * 86_400) / 1e6;

/** Net longwave loss of grass under the open sky, MJ/m² (FAO-56 eq. 39). */
function longwaveMJ(d: Pick<WaterDay, 'minC' | 'maxC' | 'vapourKPa' | 'sunMJ' | 'clearMJ'>): number {
  const hot = ((d.maxC + 273.16) ** 4 + (d.minC + 273.16) ** 4) / 2;
  const share = d.clearMJ > 0 ? Math.min(1, d.sunMJ / d.clearMJ) : 0.5;
  return SIGMA_MJ * hot * (0.34 - 0.14 * Math.sqrt(Math.max(0, d.vapourKPa))) * (1.35 * share - 0.35);
}

/**
 * Reference evapotranspiration, mm a day; never under 0. `longwave` is the share of the longwave loss that covers leave.
 * @example Math.round(10 * referenceMm({ date: '2027-07-06', minC: 12.3, maxC: 21.5, meanC: 16.9, windMps: 2.08, sunMJ: 22.07, clearMJ: 30.9, vapourKPa: 1.409 }, 100)) / 10 // 3.9
 */
export function referenceMm(d: WaterDay, elevationM: number, longwave = 1): number {
  // the middle of the two ends, as the book has it, where they are what is known
  const t = (d.maxC + d.minC) / 2;
  const gamma = (0.000665 * pressurePa(elevationM)) / 1000;
  const delta = slope(t);
  const net = (1 - ALBEDO) * d.sunMJ - (d.longMJ ?? longwave * longwaveMJ(d));
  const lack = Math.max(0, (kPa(d.maxC) + kPa(d.minC)) / 2 - d.vapourKPa);
  const mm =
    (0.408 * delta * net + ((gamma * 900) / (t + 273)) * d.windMps * lack) /
    (delta + gamma * (1 + 0.34 * d.windMps));
  return Math.max(0, mm);
}

export interface WaterCover {
  /** Share of sun that all covers pass; 1 in the open. */
  sunPassed: number;
  /** Whether something tight to the sky and wind stands over it. */
  tight: boolean;
  /** How far that stands open by day, 0 to 1. */
  open: number;
  /** Warmer by day than outside, K. */
  warmerK: number;
  /** Whether rain comes through. */
  rain: boolean;
}

const SHUT_MPS = 0.2;
const OPEN_MPS = 0.6;
const LONGWAVE_LEFT = 0.5;
/** What frame, dirt and drops leave of the light besides the film. */
const FRAME = 0.8;
/** A shut cover holds the damp: the air within lacks less than that outside by so much, as a share of what it could hold. */
const DAMP = 0.85;

/**
 * Reference evapotranspiration under covers, mm a day.
 * @example underMm(aWaterDay(), { sunPassed: 0.7, tight: true, open: 0, warmerK: 3, rain: false }, 860) // 1.525
 */
export function underMm(d: WaterDay, c: WaterCover, elevationM: number): number {
  if (!c.tight) return referenceMm({ ...d, sunMJ: d.sunMJ * c.sunPassed }, elevationM);
  const [minC, maxC] = [d.minC + c.warmerK / 2, d.maxC + c.warmerK];
  const held = (kPa(maxC) + kPa(minC)) / 2;
  const vapourKPa = Math.max(d.vapourKPa, (DAMP - 0.25 * c.open) * held);
  const windMps = SHUT_MPS + (OPEN_MPS - SHUT_MPS) * c.open;
  const passed = c.sunPassed * FRAME;
  return referenceMm(
    { ...d, minC, maxC, vapourKPa, windMps, sunMJ: d.sunMJ * passed, clearMJ: d.clearMJ * passed },
    elevationM,
    LONGWAVE_LEFT,
  );
}

/** Of bare soil that is not wetted daily, and of a full cover of leaves: FAO-56's ends for vegetables, rounded. */
const BARE = 0.3;
const FULL = 1;

/**
 * What a bed uses of the reference, by the share of ground that leaves cover, 0 to 1.
 * @example cropMm(4, 1) // 4
 */
export const cropMm = (referenceMmDay: number, covered: number): number =>
  referenceMmDay * (BARE + (FULL - BARE) * Math.min(1, Math.max(0, covered)));
