/**
 * What the sky radiates back: its emissivity and temperature from air, dew point and cloud.
 *
 * Clear sky: Berdahl and Martin (1984), without their hourly term (±0.013). Cloud: Unsworth and Monteith (1975).
 * A calm clear night at 0 °C with a dew point of −4 °C has a sky near −21 °C.
 */

export const STEFAN_BOLTZMANN = 5.670374e-8;
export const KELVIN = 273.15;

/** Emissivity of the sky, 0 to 1, from dew point (°C) and cloud (0 to 1). */
export function skyEmissivity(dewC: number, cloudFraction: number): number {
  const t = dewC / 100;
  const clear = Math.min(1, Math.max(0.5, 0.711 + 0.56 * t + 0.73 * t * t));
  return (1 - 0.84 * cloudFraction) * clear + 0.84 * cloudFraction;
}

/** Radiative temperature of the sky, °C. */
export function skyC(airC: number, dewC: number, cloudFraction: number): number {
  return (airC + KELVIN) * Math.pow(skyEmissivity(dewC, cloudFraction), 0.25) - KELVIN;
}
