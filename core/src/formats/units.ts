/**
 * Quantities as the farm reads them. SI inside, converted at the edge. A temperature always carries sign and unit.
 */
export interface UnitChoice {
  temperature: 'C' | 'F';
  length: 'm' | 'ft';
}

const MINUS = '−';

/**
 * Temperature in the farm's unit, as a number.
 * @example temperatureIn(-40, 'F') // -40
 */
export function temperatureIn(c: number, unit: 'C' | 'F'): number {
  return unit === 'C' ? c : (c * 9) / 5 + 32;
}

/**
 * Back to °C from the farm's unit.
 * @example temperatureFrom(32, 'F') // 0
 */
export function temperatureFrom(value: number, unit: 'C' | 'F'): number {
  return unit === 'C' ? value : ((value - 32) * 5) / 9;
}

function signed(x: number, digits: number, plus: boolean): string {
  const text = Math.abs(x).toFixed(digits);
  if (Number(text) === 0) return text;
  return x < 0 ? `${MINUS}${text}` : plus ? `+${text}` : text;
}

/**
 * "−3.4 °C"; with `digits` 0 "−3 °C"; `bare` leaves only the degree sign.
 * @example temperatureText(-4.2, 'C') // '−4.2 °C'
 */
export function temperatureText(c: number, unit: 'C' | 'F', digits = 1, bare = false): string {
  return `${signed(temperatureIn(c, unit), digits, false)}${bare ? '°' : ` °${unit}`}`;
}

/**
 * "−5 to −2 °C".
 * @example rangeText(-3, 1, 'C') // '−3 to 1 °C'
 */
export function rangeText(lowC: number, highC: number, unit: 'C' | 'F', digits = 0): string {
  const low = signed(temperatureIn(lowC, unit), digits, false);
  const high = signed(temperatureIn(highC, unit), digits, false);
  return low === high ? `${low} °${unit}` : `${low} to ${high} °${unit}`;
}

/**
 * A difference of temperatures: "+2.1°" in the farm's unit, no zero point.
 * @example differenceText(1.5, 'C') // '+1.5°'
 */
export function differenceText(k: number, unit: 'C' | 'F', digits = 1): string {
  return `${signed(unit === 'C' ? k : (k * 9) / 5, digits, true)}°`;
}

/** @example lengthText(2.5, 'm') // '2.5 m' */
export function lengthText(m: number, unit: 'm' | 'ft'): string {
  return unit === 'm' ? `${Number(m.toFixed(2))} m` : `${Number((m / 0.3048).toFixed(1))} ft`;
}

/** @example massText(3, 'm') // '3 kg' */
export function massText(kg: number, unit: 'm' | 'ft'): string {
  return unit === 'm' ? `${Number(kg.toFixed(2))} kg` : `${Number((kg / 0.45359237).toFixed(2))} lb`;
}

/** Quantities that a farm in feet has in units of its own: what they are called there, and how many to one of SI. */
export const MEASURES = {
  area: { si: 'm²', feet: 'ft²', per: 1 / 0.3048 ** 2 },
  height: { si: 'm', feet: 'ft', per: 1 / 0.3048 },
  volume: { si: 'l', feet: 'gal', per: 1 / 3.785411784 },
  flow: { si: 'l/h', feet: 'gal/h', per: 1 / 3.785411784 },
  mass: { si: 'kg', feet: 'lb', per: 1 / 0.45359237 },
  load: { si: 'kg/m²', feet: 'lb/ft²', per: 0.3048 ** 2 / 0.45359237 },
  rain: { si: 'mm', feet: 'in', per: 1 / 25.4 },
  speed: { si: 'm/s', feet: 'mph', per: 3600 / 1609.344 },
  distance: { si: 'km', feet: 'mi', per: 1 / 1.609344 },
} as const;
export type Measure = keyof typeof MEASURES;

/**
 * Example: 10 m² in feet: 107.6.
 * @example measureIn(100, 'volume', 'm') // 100
 */
export const measureIn = (x: number, what: Measure, unit: 'm' | 'ft'): number =>
  unit === 'm' ? x : x * MEASURES[what].per;
/** @example measureFrom(1, 'speed', 'm') // 1 */
export const measureFrom = (x: number, what: Measure, unit: 'm' | 'ft'): number =>
  unit === 'm' ? x : x / MEASURES[what].per;
/** @example measureUnit('load', 'm') // 'kg/m²' */
export const measureUnit = (what: Measure, unit: 'm' | 'ft'): string =>
  MEASURES[what][unit === 'm' ? 'si' : 'feet'];
/**
 * "107.6 ft²"
 * @example measureText(12, 'area', 'm') // '12 m²'
 */
export const measureText = (x: number, what: Measure, unit: 'm' | 'ft', digits = 1): string =>
  `${Number(measureIn(x, what, unit).toFixed(digits))} ${measureUnit(what, unit)}`;

/**
 * "€310", rounded as money at risk deserves.
 * @example moneyText(1250, '€') // '€1250'
 */
export function moneyText(amount: number, currency: string): string {
  const step = amount >= 200 ? 10 : amount >= 20 ? 5 : 1;
  return `${currency}${Math.round(amount / step) * step}`;
}

/** Ounces on a hundred square feet for a gram on a square metre. */
const OZ_100_FT2 = 0.32771;

/**
 * What is spread over ground: "3.0 g/m²", "0.98 oz/100 ft²". Example: (3, 'm') is "3.0 g/m²".
 * @example perAreaText(3, 'm') // '3.0 g/m²'
 */
export function perAreaText(gM2: number, length: 'm' | 'ft'): string {
  const x = length === 'm' ? gM2 : gM2 * OZ_100_FT2;
  const digits = length === 'm' ? (x < 10 ? 1 : 0) : x < 10 ? 2 : 0;
  return `${x.toFixed(digits)} ${length === 'm' ? 'g/m²' : 'oz/100 ft²'}`;
}
