/**
 * Weather made ready for the engine: one value a step for everything that drives the bed, and the bare ground
 * outside, which every stack under the same weather shares.
 */
import { saturationPa } from '../sky/air';
import { KELVIN, skyEmissivity, STEFAN_BOLTZMANN } from '../sky/longwave';
import { clearSkyWm2, cloudyWm2, diffuseShare, sunPosition } from '../sky/sun';
import type { Site, WeatherEntry } from './types';

export interface PreparedWeather {
  /** Epoch ms of each entry. */
  entryMs: number[];
  entries: readonly WeatherEntry[];
  stepS: number;
  stepsPerEntry: number;
  /** Steps in all; step k ends at entryMs[0] + (k + 1) · stepS. Arrays below hold the value at the end of the step; index 0 is the start. */
  steps: number;
  airC: Float64Array;
  vapourPa: Float64Array;
  windMs: Float64Array;
  /** Downward thermal radiation from the sky, W/m². */
  skyWm2: Float64Array;
  /** The same as the temperature of a black sky, °C. */
  skyC: Float64Array;
  beamWm2: Float64Array;
  diffuseWm2: Float64Array;
  cosZenith: Float64Array;
  /** Rain, kg/(m² s); new snow, m/s. */
  rainKgM2s: Float64Array;
  snowMs: Float64Array;
  hasSnow: boolean;
}

/** Wind at height `heightM` over short grass (roughness 3 cm) from wind at 10 m: the logarithmic profile. */
export function windAtMs(wind10Ms: number, heightM: number): number {
  return (wind10Ms * Math.log(Math.max(heightM, 0.15) / 0.03)) / Math.log(10 / 0.03);
}

/**
 * Interpolates linearly between entries and adds sun and sky. The step divides the interval and is at most `maxStepS`.
 * Radiation left out of an entry is computed from sun and cloud at every step.
 */
export function prepareWeather(
  site: Site,
  entries: readonly WeatherEntry[],
  maxStepS = 600,
): PreparedWeather {
  const entryMs = entries.map((e) => Date.parse(e.time));
  const intervalS = (entryMs[1]! - entryMs[0]!) / 1000;
  const stepsPerEntry = Math.ceil(intervalS / maxStepS);
  const stepS = intervalS / stepsPerEntry;
  const steps = (entries.length - 1) * stepsPerEntry;
  const make = () => new Float64Array(steps + 1);
  const w: PreparedWeather = {
    entryMs,
    entries,
    stepS,
    stepsPerEntry,
    steps,
    airC: make(),
    vapourPa: make(),
    windMs: make(),
    skyWm2: make(),
    skyC: make(),
    beamWm2: make(),
    diffuseWm2: make(),
    cosZenith: make(),
    rainKgM2s: make(),
    snowMs: make(),
    hasSnow: entries.some((e) => (e.snowMm ?? 0) > 0),
  };
  for (let k = 0; k <= steps; k++) {
    const i = Math.min(Math.floor(k / stepsPerEntry), entries.length - 2);
    const f = k / stepsPerEntry - i;
    const a = entries[i]!;
    const b = entries[i + 1]!;
    const airC = a.airC + f * (b.airC - a.airC);
    const dewC = Math.min(airC, a.dewPointC + f * (b.dewPointC - a.dewPointC));
    const cloud = a.cloudFraction + f * (b.cloudFraction - a.cloudFraction);
    w.airC[k] = airC;
    w.vapourPa[k] = saturationPa(dewC);
    w.windMs[k] = a.windMs + f * (b.windMs - a.windMs);
    w.skyWm2[k] = skyEmissivity(dewC, cloud) * STEFAN_BOLTZMANN * Math.pow(airC + KELVIN, 4);
    w.skyC[k] = skyTemperatureC(w.skyWm2[k]!);
    const sun = sunPosition(entryMs[0]! + k * stepS * 1000, site.latitude, site.longitude);
    const given =
      a.globalWm2 !== undefined && b.globalWm2 !== undefined
        ? a.globalWm2 + f * (b.globalWm2 - a.globalWm2)
        : undefined;
    const global = given ?? cloudyWm2(clearSkyWm2(sun.cosZenith, site.elevationM ?? 0), cloud);
    const share = diffuseShare(global, sun.cosZenith, sun.distanceFactor);
    w.diffuseWm2[k] = global * share;
    w.beamWm2[k] = global * (1 - share);
    w.cosZenith[k] = sun.cosZenith;
    // an interval's rain and snow fall evenly in the interval that ends at its entry
    const ending = entries[Math.min(i + (f > 0 ? 1 : 0), entries.length - 1)]!;
    w.rainKgM2s[k] = (ending.rainMm ?? 0) / intervalS;
    w.snowMs[k] = (ending.snowMm ?? 0) / 1000 / intervalS;
  }
  return w;
}

/** Temperature of a black sky that sends `skyWm2`, °C. */
export function skyTemperatureC(skyWm2: number): number {
  return Math.pow(skyWm2 / STEFAN_BOLTZMANN, 0.25) - KELVIN;
}

/**
 * Conductance between air at 2 m and the ground or canopy, W/(m² K): neutral logarithmic profile of roughness
 * `roughnessM`, corrected for stability by the bulk Richardson number (Louis-type forms as in Monteith and
 * Unsworth, ch. 17). Never under 3: even a still night drains and stirs a little.
 */
export function openGroundWm2K(windMs: number, airC: number, surfaceC: number, roughnessM: number): number {
  const u = Math.max(0.3, windAtMs(windMs, 2));
  const log = Math.log(2 / roughnessM);
  const neutral = (1230 * 0.168 * u) / (log * log);
  const ri = (9.81 * 2 * (airC - surfaceC)) / ((airC + KELVIN) * u * u);
  const factor = ri > 0 ? 1 / (1 + 5 * ri) : Math.min(4, Math.sqrt(1 - 16 * ri));
  return Math.max(3, neutral * factor);
}
