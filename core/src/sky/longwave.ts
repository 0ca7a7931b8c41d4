/**
 * What the sky radiates back: its emissivity and temperature from air, dew point and cloud.
 *
 * Clear sky: Berdahl and Martin (1984) with their pressure term, without their hourly one (±0.013). Cloud: Unsworth and Monteith (1975).
 * A calm clear night at 0 °C with a dew point of −4 °C has a sky near −21 °C.
 */

export const STEFAN_BOLTZMANN = 5.670374e-8;
export const KELVIN = 273.15;

/**
 * Emissivity of the sky, 0 to 1, from dew point (°C), cloud (0 to 1) and air pressure (Pa; thinner air sends less).
 * Example: `skyEmissivity(-4, 0)` is 0.691, at 1,500 m (84,500 Pa) 0.672.
 * @example skyEmissivity(5, 1) > skyEmissivity(5, 0) // true
 */
export function skyEmissivity(dewC: number, cloudFraction: number, pressurePa = 101_325): number {
  const t = dewC / 100;
  const thin = 0.00012 * (pressurePa / 100 - 1000);
  const clear = Math.min(1, Math.max(0.5, 0.711 + 0.56 * t + 0.73 * t * t + thin));
  return (1 - 0.84 * cloudFraction) * clear + 0.84 * cloudFraction;
}

/**
 * Radiative temperature of the sky, °C.
 * @example skyC(0, -5, 0) < skyC(0, -5, 1) // true
 */
export function skyC(airC: number, dewC: number, cloudFraction: number): number {
  return (airC + KELVIN) * Math.pow(skyEmissivity(dewC, cloudFraction), 0.25) - KELVIN;
}
