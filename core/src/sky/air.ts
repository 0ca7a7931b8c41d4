/**
 * Moist air: saturation, dew point, relative humidity.
 *
 * Pressure of water vapour in Pa, temperature in °C. Magnus form with the coefficients of Alduchov and
 * Eskridge (1996), good to 0.4 % from −40 to +50 °C; over ice below 0 °C, where frost forms.
 */

/**
 * Saturation vapour pressure over water, Pa. Example: `saturationPa(20)` is about 2333.
 * @example saturationPa(20) // 2333
 */
export function saturationPa(airC: number): number {
  return 610.94 * Math.exp((17.625 * airC) / (airC + 243.04));
}

/**
 * Saturation vapour pressure over the phase that a surface carries: water at or above 0 °C, ice below.
 * @example saturationSurfacePa(-10) < saturationPa(-10) // true
 */
export function saturationSurfacePa(surfaceC: number): number {
  return surfaceC >= 0
    ? 610.94 * Math.exp((17.625 * surfaceC) / (surfaceC + 243.04))
    : 611.21 * Math.exp((22.587 * surfaceC) / (surfaceC + 273.86));
}

const TABLE_FROM_C = -80;
const TABLE_TO_C = 100;
const TABLE_PER_K = 20;
const table = Float64Array.from({ length: (TABLE_TO_C - TABLE_FROM_C) * TABLE_PER_K + 1 }, (_, i) =>
  saturationSurfacePa(TABLE_FROM_C + i / TABLE_PER_K),
);

/**
 * As `saturationSurfacePa`, from a table by twentieths of a degree: within 2 in a million (2 in 10,000 just below 0 °C, where it bends).
 * @example surfacePa(5) === saturationPa(5) // true
 */
export function surfacePa(surfaceC: number): number {
  const x = (surfaceC - TABLE_FROM_C) * TABLE_PER_K;
  if (!(x >= 0 && x < table.length - 1)) return saturationSurfacePa(surfaceC);
  const i = Math.floor(x);
  const a = table[i]!;
  return a + (x - i) * (table[i + 1]! - a);
}

/**
 * Dew point in °C of air at `airC` with `relativeHumidity` (0 to 1, above 0). Example: (20, 0.5) is about 9.3.
 * @example dewPointC(10, 1) // 10
 */
export function dewPointC(airC: number, relativeHumidity: number): number {
  const x = Math.log(relativeHumidity) + (17.625 * airC) / (airC + 243.04);
  return (243.04 * x) / (17.625 - x);
}

/**
 * Relative humidity, 0 to 1, from air temperature and dew point, both °C.
 * @example relativeHumidity(10, 10) // 1
 */
export function relativeHumidity(airC: number, dewC: number): number {
  return Math.min(1, saturationPa(dewC) / saturationPa(airC));
}

/**
 * Pressure of the air at an elevation, Pa: FAO-56 eq. 7. Example: `pressurePa(1500)` is about 84,800.
 * @example pressurePa(0) // 101325
 */
export function pressurePa(elevationM: number): number {
  return 101_325 * Math.pow((293 - 0.0065 * elevationM) / 293, 5.26);
}

/**
 * Heat capacity of a cubic metre of air at a pressure, J/(m³ K), at 5 °C. Example: 1275 at sea level.
 * @example airHeatJM3K(101_325) // 1275
 */
export function airHeatJM3K(pressure: number): number {
  return (1005 * pressure) / (287.05 * 278.15);
}

/**
 * Latent over sensible transfer, W/Pa for each W/K (Lewis number 1 but for a twentieth): the reciprocal of the
 * psychrometric constant. Example: 0.016 at sea level, more where the air is thin.
 * @example latentPerSensible(101325) // 0.01603
 */
export function latentPerSensible(pressure: number): number {
  return (1.05 * 0.622 * 2.5e6) / (1005 * pressure);
}
