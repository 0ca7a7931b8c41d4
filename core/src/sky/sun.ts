/**
 * Where the sun stands and what it sends through the air: position, day length, clear and cloudy radiation.
 *
 * Instants are epoch milliseconds (UTC), angles radians unless the name says otherwise, radiation W/m² on the
 * horizontal. Good from pole to pole; refraction is dropped (half a degree at the horizon, nothing above 10°).
 */

import { pressurePa } from './air';

const RAD = Math.PI / 180;
const DAY_MS = 86_400_000;
/** Extraterrestrial irradiance at the mean distance, W/m² (WMO 1981). */
export const SOLAR_CONSTANT_WM2 = 1367;

export interface SunPosition {
  /** Cosine of the zenith angle; negative when the sun is below the horizon. */
  cosZenith: number;
  /** Degrees above the horizon. */
  elevationDeg: number;
  /** Degrees clockwise from north. */
  azimuthDeg: number;
  /** Square of mean over actual distance to the sun, 0.967 to 1.034. */
  distanceFactor: number;
}

/** Fraction of the year as an angle, 0 at the start of 1 January UTC. */
function yearAngle(atMs: number): number {
  const year = new Date(atMs).getUTCFullYear();
  const start = Date.UTC(year, 0, 1);
  const length = Date.UTC(year + 1, 0, 1) - start;
  return (2 * Math.PI * (atMs - start)) / length;
}

/**
 * Declination, radians: Spencer (1971), error under 0.0006 rad.
 * @example declination(0) // -0.4024
 */
export function declination(angle: number): number {
  return (
    0.006918 -
    0.399912 * Math.cos(angle) +
    0.070257 * Math.sin(angle) -
    0.006758 * Math.cos(2 * angle) +
    0.000907 * Math.sin(2 * angle) -
    0.002697 * Math.cos(3 * angle) +
    0.00148 * Math.sin(3 * angle)
  );
}

/** Equation of time, minutes: Spencer (1971), error under 0.6 min. */
function equationOfTimeMin(angle: number): number {
  return (
    229.18 *
    (0.000075 +
      0.001868 * Math.cos(angle) -
      0.032077 * Math.sin(angle) -
      0.014615 * Math.cos(2 * angle) -
      0.040849 * Math.sin(2 * angle))
  );
}

/**
 * Position of the sun. Example: at 51.5° N on 21 June, 12:02 UTC, the elevation is about 61.9°.
 * @example sunPosition(Date.parse('2027-06-21T12:02:00Z'), 51.5, 0).cosZenith // 0.8826
 */
export function sunPosition(atMs: number, latitudeDeg: number, longitudeDeg: number): SunPosition {
  const angle = yearAngle(atMs);
  const decl = declination(angle);
  const minutes = (atMs % DAY_MS) / 60_000;
  const solarMin = minutes + 4 * longitudeDeg + equationOfTimeMin(angle);
  const hour = (solarMin / 4 - 180) * RAD;
  const lat = latitudeDeg * RAD;
  const cosZenith = Math.sin(lat) * Math.sin(decl) + Math.cos(lat) * Math.cos(decl) * Math.cos(hour);
  const azimuth = Math.atan2(Math.sin(hour), Math.cos(hour) * Math.sin(lat) - Math.tan(decl) * Math.cos(lat));
  const distance =
    1.00011 + 0.034221 * Math.cos(angle) + 0.00128 * Math.sin(angle) + 0.000719 * Math.cos(2 * angle);
  return {
    cosZenith,
    elevationDeg: Math.asin(Math.max(-1, Math.min(1, cosZenith))) / RAD,
    azimuthDeg: (azimuth / RAD + 180 + 360) % 360,
    distanceFactor: distance,
  };
}

/**
 * Hours from sunrise to sunset, upper limb with mean refraction (−0.833°); 0 in polar night, 24 in polar day.
 * @example dayLengthH(Date.parse('2027-03-21T12:00:00Z'), 0) // 12.11
 */
export function dayLengthH(atMs: number, latitudeDeg: number): number {
  const decl = declination(yearAngle(atMs));
  const lat = latitudeDeg * RAD;
  const cosHour =
    (Math.sin(-0.833 * RAD) - Math.sin(lat) * Math.sin(decl)) / (Math.cos(lat) * Math.cos(decl));
  if (cosHour >= 1) return 0;
  if (cosHour <= -1) return 24;
  return (2 * Math.acos(cosHour)) / RAD / 15;
}

/**
 * Sunrise and sunset (epoch ms) of the solar day around `noonAtMs`; null where the sun does not cross the horizon.
 * @example sunTimes(Date.parse('2027-06-21T12:00:00Z'), 80, 0) // null
 */
export function sunTimes(
  noonAtMs: number,
  latitudeDeg: number,
  longitudeDeg: number,
): { riseAtMs: number; setAtMs: number; noonAtMs: number } | null {
  const hours = dayLengthH(noonAtMs, latitudeDeg);
  if (hours <= 0 || hours >= 24) return null;
  const dayStart = Math.floor((noonAtMs + longitudeDeg * 240_000) / DAY_MS) * DAY_MS;
  const transit =
    dayStart + DAY_MS / 2 - longitudeDeg * 240_000 - equationOfTimeMin(yearAngle(noonAtMs)) * 60_000;
  return { riseAtMs: transit - hours * 1_800_000, setAtMs: transit + hours * 1_800_000, noonAtMs: transit };
}

/**
 * Clear-sky global irradiance, W/m²: FAO-56 in the hourly form of ASCE-EWRI (2005), app. D: a beam through air of the
 * place's pressure and the water it holds, and what that scatters. `vapourPa` at screen height, 100 to 3000.
 * Example: sun at 60° (cos 0.866) at sea level, 1000 Pa: about 880.
 * @example clearSkyWm2(0) // 0
 */
export function clearSkyWm2(cosZenith: number, elevationM = 0, vapourPa = 800): number {
  if (cosZenith <= 0.01) return 0;
  const kPa = pressurePa(elevationM) / 1000;
  const water = 0.14 * (vapourPa / 1000) * kPa + 2.1;
  const kb = 0.98 * Math.exp((-0.00146 * kPa) / cosZenith - 0.075 * Math.pow(water / cosZenith, 0.4));
  const kd = kb >= 0.15 ? 0.35 - 0.36 * kb : 0.18 + 0.82 * kb;
  return SOLAR_CONSTANT_WM2 * cosZenith * (kb + kd);
}

/**
 * What cloud leaves of it: Kasten and Czeplak (1980), cloud 0 to 1. Overcast passes a quarter.
 * @example cloudyWm2(500, 0) // 500
 */
export function cloudyWm2(clearWm2: number, cloudFraction: number): number {
  return clearWm2 * (1 - 0.75 * Math.pow(cloudFraction, 3.4));
}

/**
 * Share of global irradiance that is diffuse, from the clearness index: Erbs, Klein and Duffie (1982).
 * @example diffuseShare(100, 0.5) // 0.9868
 */
export function diffuseShare(globalWm2: number, cosZenith: number, distanceFactor = 1): number {
  if (cosZenith <= 0.02) return 1;
  const k = globalWm2 / (SOLAR_CONSTANT_WM2 * distanceFactor * cosZenith);
  if (k <= 0.22) return 1 - 0.09 * k;
  if (k <= 0.8) return 0.9511 - 0.1604 * k + 4.388 * k * k - 16.638 * k ** 3 + 12.336 * k ** 4;
  return 0.165;
}
