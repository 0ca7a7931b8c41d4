/** How a sentence writes a quantity: in the farm's units, currency, clock and zone. All words of `en/` go through one of these. */
import {
  differenceText,
  lengthText,
  massText,
  measureText,
  moneyText,
  perAreaText,
  rangeText,
  temperatureText,
  type UnitChoice,
} from '../formats/units';
import { joined } from '@fogata/words/en/told/counts';
import { clockText, dayText, type ClockStyle } from '../time/farmTime';

export interface Style extends ClockStyle {
  units: UnitChoice;
  currency: string;
}

export interface Telling {
  /** "−3.4 °C"; a whole number of degrees with `digits` 0. */
  t(c: number, digits?: number): string;
  /** "−5 to −2 °C". */
  range(lowC: number, highC: number): string;
  /** "+2.1°", with its sign. */
  diff(k: number): string;
  /** "2.1°": how far, whichever way. */
  apart(k: number): string;
  /** "16:50". */
  time(ms: number): string;
  /** "Thu 14 Jan". */
  day(ms: number): string;
  /** "€310". */
  money(amount: number): string;
  /** "3 kg". */
  mass(kg: number): string;
  /** "3.0 g/m²". */
  perArea(gM2: number): string;
  /** "12 mm" of rain or water. */
  rain(mm: number): string;
  /** "2.5 m". */
  length(m: number): string;
  /** "54 km/h". */
  speed(mps: number): string;
  /** "12 kg/m²". */
  load(kgM2: number): string;
  /** "N2, N3 and S1". */
  and(names: readonly string[]): string;
}

/** For who has no farm's: a programme that reads a refusal, a sentence without a unit. */
export const PLAIN: Style = {
  units: { temperature: 'C', length: 'm' },
  currency: '€',
  hours: 24,
  timeZone: 'UTC',
};

/**
 * @example telling({ hours: 24, timeZone: 'UTC', units: { temperature: 'C', length: 'm' }, currency: '€' }).speed(10) // '36 km/h'
 */
export function telling(style: Style): Telling {
  const { temperature, length } = style.units;
  const feet = length === 'ft';
  return {
    t: (c, digits) => temperatureText(c, temperature, digits),
    range: (low, high) => rangeText(low, high, temperature),
    diff: (k) => differenceText(k, temperature),
    apart: (k) => differenceText(Math.abs(k), temperature).replace('+', ''),
    time: (ms) => clockText(ms, style),
    day: (ms) => dayText(ms, style.timeZone),
    money: (amount) => moneyText(amount, style.currency),
    mass: (kg) => massText(kg, length),
    perArea: (gM2) => perAreaText(gM2, length),
    rain: (mm) => measureText(mm, 'rain', length, feet ? 2 : mm < 10 ? 1 : 0),
    length: (m) => lengthText(m, length),
    speed: (mps) => (feet ? `${Math.round(mps * 2.23694)} mph` : `${Math.round(mps * 3.6)} km/h`),
    load: (kgM2) => (feet ? `${(kgM2 * 0.204816).toFixed(1)} lb/ft²` : `${Math.round(kgM2)} kg/m²`),
    and: joined,
  };
}
