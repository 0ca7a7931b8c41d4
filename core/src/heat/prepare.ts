/**
 * Weather made ready for the engine: one value a step for everything that drives the bed, and the bare ground
 * outside, which every stack under the same weather shares.
 */
import { airHeatJM3K, latentPerSensible, pressurePa, saturationPa } from '../sky/air';
import { KELVIN, skyEmissivity, STEFAN_BOLTZMANN } from '../sky/longwave';
import { clearSkyWm2, cloudyWm2, diffuseShare, sunPosition } from '../sky/sun';
import type { Site, WeatherEntry } from './types';

export interface PreparedWeather {
  /** Epoch ms of each entry. */
  entryAtMs: number[];
  entries: readonly WeatherEntry[];
  stepS: number;
  stepsPerEntry: number;
  /** Steps in all; step k ends at entryAtMs[0] + k · stepS. Series hold the value at the end of the step, index 0 the start; one place more is spare, see `between.ts`. */
  steps: number;
  airC: Float64Array;
  vapourPa: Float64Array;
  windMps: Float64Array;
  /** Downward thermal radiation from the sky, W/m². */
  skyWm2: Float64Array;
  /** The same as the temperature of a black sky, °C. */
  skyC: Float64Array;
  beamWm2: Float64Array;
  diffuseWm2: Float64Array;
  cosZenith: Float64Array;
  /** Sun clockwise from north and the wind's origin, degrees; the wind's is NaN where it is not known. */
  sunAzimuthDeg: Float64Array;
  windFromDeg: Float64Array;
  /** Rain, kg/(m² s); new snow, m/s. */
  rainKgM2s: Float64Array;
  snowMps: Float64Array;
  hasSnow: boolean;
  /** The series that run straight from one step to the next, and those that hold through a step. */
  linear: Float64Array[];
  held: Float64Array[];
  /** Heat of a cubic metre of air, J/(m³ K); its density over that at sea level; latent W/Pa for each sensible W/K. */
  airJM3K: number;
  density: number;
  latentPerSensible: number;
}

/**
 * Interpolates linearly between entries and adds sun and sky. The step divides the interval and is at most `maxStepS`.
 * Radiation left out of an entry is computed from sun and cloud at every step.
 * @example prepareWeather(SITE, weather({ hours: 3 })).entryAtMs.length // 4
 */
export function prepareWeather(
  site: Site,
  entries: readonly WeatherEntry[],
  maxStepS = 600,
): PreparedWeather {
  const entryAtMs = entries.map((e) => Date.parse(e.time));
  const intervalS = (entryAtMs[1]! - entryAtMs[0]!) / 1000;
  const stepsPerEntry = Math.ceil(intervalS / maxStepS);
  const stepS = intervalS / stepsPerEntry;
  const steps = (entries.length - 1) * stepsPerEntry;
  const make = () => new Float64Array(steps + 2);
  const pressure = pressurePa(site.elevationM ?? 0);
  const w: PreparedWeather = {
    entryAtMs,
    entries,
    stepS,
    stepsPerEntry,
    steps,
    airC: make(),
    vapourPa: make(),
    windMps: make(),
    skyWm2: make(),
    skyC: make(),
    beamWm2: make(),
    diffuseWm2: make(),
    cosZenith: make(),
    sunAzimuthDeg: make(),
    windFromDeg: make(),
    rainKgM2s: make(),
    snowMps: make(),
    hasSnow: entries.some((e) => (e.snowMm ?? 0) > 0),
    airJM3K: airHeatJM3K(pressure),
    density: pressure / 101_325,
    latentPerSensible: latentPerSensible(pressure),
    linear: [],
    held: [],
  };
  w.linear.push(w.airC, w.vapourPa, w.windMps, w.skyWm2, w.skyC, w.beamWm2, w.diffuseWm2, w.cosZenith);
  w.held.push(w.sunAzimuthDeg, w.windFromDeg, w.rainKgM2s, w.snowMps);
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
    w.windMps[k] = a.windMs + f * (b.windMs - a.windMs);
    w.skyWm2[k] = skyEmissivity(dewC, cloud, pressure) * STEFAN_BOLTZMANN * Math.pow(airC + KELVIN, 4);
    w.skyC[k] = skyTemperatureC(w.skyWm2[k]!);
    const sun = sunPosition(entryAtMs[0]! + k * stepS * 1000, site.latitude, site.longitude);
    const given =
      a.globalWm2 !== undefined && b.globalWm2 !== undefined
        ? a.globalWm2 + f * (b.globalWm2 - a.globalWm2)
        : undefined;
    const global =
      given ?? cloudyWm2(clearSkyWm2(sun.cosZenith, site.elevationM ?? 0, w.vapourPa[k]!), cloud);
    const share = diffuseShare(global, sun.cosZenith, sun.distanceFactor);
    w.diffuseWm2[k] = global * share;
    w.beamWm2[k] = global * (1 - share);
    w.cosZenith[k] = sun.cosZenith;
    w.sunAzimuthDeg[k] = sun.azimuthDeg;
    w.windFromDeg[k] = (f < 0.5 ? a : b).windFromDeg ?? NaN;
    // an interval's rain and snow fall evenly in the interval that ends at its entry
    const ending = entries[Math.min(i + (f > 0 ? 1 : 0), entries.length - 1)]!;
    w.rainKgM2s[k] = (ending.rainMm ?? 0) / intervalS;
    w.snowMps[k] = (ending.snowMm ?? 0) / 1000 / intervalS;
  }
  return w;
}

/**
 * Temperature of a black sky that sends `skyWm2`, °C.
 * @example Math.abs(skyTemperatureC(5.670374419e-8 * 273.15 ** 4)) < 0.001 // true
 */
export function skyTemperatureC(skyWm2: number): number {
  return Math.pow(skyWm2 / STEFAN_BOLTZMANN, 0.25) - KELVIN;
}
