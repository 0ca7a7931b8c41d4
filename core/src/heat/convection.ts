/**
 * Convection. Contract: each function gives a coefficient in W/(m² K) from temperatures in °C, wind in m/s and lengths in
 * m; `r` is the density of the air over that at sea level, 0.6 to 1.
 */
import { KELVIN } from '../sky/longwave';

/**
 * Wind at height `heightM` over short grass (roughness 3 cm) from wind at 10 m: the logarithmic profile.
 * @example windAtMps(3, 10) // 3
 */
export function windAtMps(wind10Mps: number, heightM: number): number {
  return (wind10Mps * Math.log(Math.max(heightM, 0.15) / 0.03)) / Math.log(10 / 0.03);
}

/**
 * Outside of a standing cover: a turbulent plate in wind, 7.8 v^0.8 L^−0.2 (0.037 Re^0.8 Pr^⅓, a fifth more for gusts),
 * joined by cubes with turbulent free convection 1.3 ΔT^⅓ (McAdams 1954). Example: 0.4 m/s, 7 m, 4 K: 3.0.
 * @example standingCoverWm2K(3, 6, 5) // 13.15
 */
export function standingCoverWm2K(windMps: number, lengthM: number, dT: number, r = 1): number {
  const forced = 7.8 * Math.pow(windMps * r, 0.8) * Math.pow(Math.max(0.3, lengthM), -0.2);
  const buoyant = 1.3 * Math.cbrt(Math.abs(dT) * r * r);
  return Math.cbrt(forced ** 3 + buoyant ** 3);
}

/** What a still night exchanges all the same: it drains and stirs a little. Starting value, from 1 to 2. W/(m² K). */
export const WINDLESS_WM2K = 2;

/**
 * Between air at 2 m and the ground, a canopy or a sheet that lies: logarithmic profile of roughness `roughnessM`, of a
 * tenth of that for heat (FAO-56), corrected for stability by the bulk Richardson number (Louis-type forms as in Monteith
 * and Unsworth, ch. 17). `airJM3K` is the heat of a cubic metre, `least` what a
 * still night exchanges. Example: 3 m/s at 10 m, roughness 1 cm, neutral: 12.
 * @example openGroundWm2K(0, 5, 0, 0.02) // 2
 */
export function openGroundWm2K(
  windMps: number,
  airC: number,
  surfaceC: number,
  roughnessM: number,
  airJM3K = 1275,
  least = WINDLESS_WM2K,
): number {
  const u = Math.max(0.3, windAtMps(windMps, 2));
  const log = Math.log(2 / roughnessM);
  const neutral = (airJM3K * 0.168 * u) / (log * Math.log(2 / (0.1 * roughnessM)));
  const ri = (9.81 * 2 * (airC - surfaceC)) / ((airC + KELVIN) * u * u);
  const factor = ri > 0 ? 1 / (1 + 5 * ri) : Math.min(4, Math.sqrt(1 - 16 * ri));
  return Math.max(least, neutral * factor);
}

/**
 * What of the whole resistance between the ground and 2 m lies above a crop: the logarithmic profile cut at its height.
 * Example: 10 cm, roughness 1 cm: 0.39.
 * @example shareAbove(0.2, 0.02) // 0.3333
 */
export function shareAbove(cropHeightM: number, roughnessM: number): number {
  const zero = 0.1 * roughnessM;
  return Math.log(2 / Math.max(2 * zero, cropHeightM)) / Math.log(2 / zero);
}

/** Roughness of a sheet that lies over a crop, m. */
const SHEET_ROUGHNESS_M = 0.01;
/** A rough sheet's own boundary layer in wind, as a leaf's: starting value. */
const SHEET_SKIN_WM2K = 30;

/**
 * A sheet that lies on a crop: the same law from the crop's height up, and its own skin in series. Example: 3 m/s at
 * 10 m, 10 cm, neutral: 15.
 * @example lyingSheetWm2K(5, 0, -2, 0.1) > lyingSheetWm2K(1, 0, -2, 0.1) // true
 */
export function lyingSheetWm2K(
  windMps: number,
  airC: number,
  sheetC: number,
  heightM: number,
  airJM3K = 1275,
): number {
  const whole = openGroundWm2K(windMps, airC, sheetC, SHEET_ROUGHNESS_M, airJM3K, 0.1);
  return Math.max(WINDLESS_WM2K, 1 / (shareAbove(heightM, SHEET_ROUGHNESS_M) / whole + 1 / SHEET_SKIN_WM2K));
}

/**
 * Free convection at a face inside: 1.6 ΔT^⅓ where warm air rises from it, ΔT^¼ where it lies layered (McAdams 1954 gives
 * 0.6 to 0.7 for level plates; a curved cover keeps the air moving).
 * @example freeWm2K(0, true) // 0.4
 */
export function freeWm2K(dT: number, rises: boolean, r = 1): number {
  const d = Math.abs(dT) * r * r;
  return rises ? Math.max(0.4, 1.6 * Math.cbrt(d)) : Math.max(0.6, Math.sqrt(Math.sqrt(d)));
}

/**
 * Forced by a draught of `speedMps` inside a cover.
 * @example draughtWm2K(0) // 0
 */
export function draughtWm2K(speedMps: number): number {
  return 2.5 * Math.sqrt(speedMps);
}

/**
 * Speed at which the air under a closed cover turns over by itself, m/s: a tenth of the free fall √(gHΔT/T) between the
 * air and its colder or warmer cover (closed houses at night are measured at 0.05 to 0.15). Example: 3 m, 12 K: 0.11.
 * @example turningMps(2, 0) // 0.02
 */
export function turningMps(heightM: number, dT: number): number {
  return 0.02 + 0.1 * Math.sqrt((9.81 * heightM * Math.abs(dT)) / KELVIN);
}

/**
 * Exchange of the air among the leaves with the air above them: where it is warmer, plumes over the crop's height change
 * places with what sinks, 0.055 √(gHΔT/T) (Epstein 1988, exchange through level openings); and what moving air
 * stirs, 0.08 u (turbulence of a twelfth). Example: 10 cm, 1 K warmer, 0.05 m/s: 9; the same colder: 5.
 * @example mixingWm2K(0.2, 0, 0.05, 1275) // 5.1
 */
export function mixingWm2K(heightM: number, warmerK: number, speedMps: number, airJM3K: number): number {
  const plumes = warmerK > 0 ? 0.055 * Math.sqrt(9.81 * Math.max(0.05, heightM) * (warmerK / KELVIN)) : 0;
  return Math.max(1, airJM3K * (plumes + 0.08 * speedMps));
}

/**
 * One face of leaves of 5 cm: forced and free plates (Monteith and Unsworth, ch. 10), 0.7 for those behind others.
 * @example leafWm2K(0.2, 0) // 11.2
 */
export function leafWm2K(speedMps: number, dT: number, r = 1): number {
  const buoyant = 1.4 * Math.sqrt(Math.sqrt(Math.abs(dT) / 0.05));
  return 0.7 * Math.sqrt(r) * Math.max(buoyant, 8 * Math.sqrt(speedMps / 0.05));
}

/**
 * Resistance of the stomata, s/m: 120 in full light, 2,500 (cuticle) in the dark. `lightWm2` is what leaves absorb.
 * @example stomataSm(0) > stomataSm(400) // true
 */
export function stomataSm(lightWm2: number): number {
  return 1 / (1 / 2500 + (1 / 120 - 1 / 2500) * Math.min(1, Math.max(0, lightWm2) / 100));
}

/**
 * Share at which a surface behind a resistance gives off water: the air's own, over both.
 * @example wetShareBehind(0, 5, 1275) // 1
 */
export function wetShareBehind(resistanceSm: number, hWm2K: number, airJM3K: number): number {
  return 1 / (1 + (resistanceSm * hWm2K) / airJM3K);
}
