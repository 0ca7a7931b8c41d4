/**
 * Air through covers. Contract: each function gives the exchange between the two sides of a cover in m³/s, from areas in
 * m², heights in m, the difference of temperature in K and the wind along it in m/s; nothing is remembered.
 */
import { KELVIN } from '../sky/longwave';

const GRAVITY = 9.81;
const AIR_DENSITY = 1.27;
/**
 * Share of ½ρv² that acts across a cover. One that stands: front against lee, evened by what leaks along it. One that
 * lies has no front, but the gusts press and draw by some 4 ρu*² (wall pressure under turbulence, Willmarth 1975), which
 * is the same share of the wind a hand above it. A net bears the whole of it.
 */
export const WIND_SHARE = { cover: 0.3, net: 1 } as const;
/** Contraction of the jet in a sharp hole (Idelchik). */
const HOLE = 0.6;

/**
 * Pressure that drives air in through one half of a cover and out through the other, Pa: half of the stack's over its
 * height, ½ρgHΔT/T, and a share of the wind's ½ρv². Example: 0.5 m, 5 K, still: 0.056 Pa.
 * @example drivingPa(2, 0, 0, 0.5) // 0
 */
export function drivingPa(heightM: number, dT: number, windMps: number, windShare: number): number {
  return 0.5 * AIR_DENSITY * (GRAVITY * heightM * (Math.abs(dT) / KELVIN) + windShare * windMps * windMps);
}

/**
 * Darcy's law: in through one half of the cloth, out through the other. Example: 1.5 m² of 30 g, 0.056 Pa: 1.1 l/s.
 * @example throughCloth(10, 0.01, 2) // 0.1
 */
export function throughCloth(areaM2: number, permeabilityMsPa: number, pa: number): number {
  return 0.5 * areaM2 * permeabilityMsPa * pa;
}

/**
 * Holes and meshes as orifices, half of them in, half out (Bernoulli). `openM2` is what is open in all.
 * @example throughHoles(1, 0.5) // 0.2662
 */
export function throughHoles(openM2: number, pa: number): number {
  return 0.5 * openM2 * HOLE * Math.sqrt((2 * pa) / AIR_DENSITY);
}

/** Discharge and wind coefficient of large openings: Boulard and Baille (1995). */
const DISCHARGE = 0.65;
const WIND_ON_VENT = 0.1;

/**
 * Air through openings or joints: Q = (A/2) C_d √(2g (H/2) ΔT/T + C_w v²) (Boulard and Baille 1995). `across` is 1 for
 * all winds alike; 0.4 where the wind blows along openings, 1.6 where it stands on them (their C_w by direction).
 * @example throughOpening(0, 2, 5, 1) // 0
 */
export function throughOpening(
  areaM2: number,
  heightM: number,
  dT: number,
  windMps: number,
  across = 1,
): number {
  return (
    0.5 *
    DISCHARGE *
    areaM2 *
    Math.sqrt(GRAVITY * heightM * (Math.abs(dT) / KELVIN) + WIND_ON_VENT * across * windMps * windMps)
  );
}

/**
 * `across` for openings in the long sides of a house turned `turnDeg` from north under wind from `windFromDeg`.
 * @example windAcross(0, 90) // 1.6
 */
export function windAcross(turnDeg: number | undefined, windFromDeg: number): number {
  if (turnDeg === undefined || Number.isNaN(windFromDeg)) return 1;
  const s = Math.sin(((windFromDeg - turnDeg) * Math.PI) / 180);
  return 0.4 + 1.2 * s * s;
}
