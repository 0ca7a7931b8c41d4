/**
 * How a screen writes what it shows. Contract: `formatOf(style)` has one way to write each quantity, in the farm's units, currency,
 * clock and zone, and `say`, which tells what core and server say by id.
 */
import {
  differenceText,
  lengthText,
  massText,
  measureText,
  moneyText,
  rangeText,
  temperatureFrom,
  temperatureIn,
  temperatureText,
} from '../formats/units';
import { clockText, dayText } from '../time/farmTime';
import type { Style } from './telling';
import { told } from './told';

/** @example formatOf({ hours: 24, timeZone: 'UTC', units: { temperature: 'F', length: 'ft' }, currency: '€' }).tBare(0) // '32.0°' */
export function formatOf(style: Style) {
  const { timeZone, currency } = style;
  const { temperature: unit, length } = style.units;
  return {
    unit,
    length,
    timeZone,
    currency,
    // the unit stays with its number at the end of a line
    t: (c: number, digits = 1) => temperatureText(c, unit, digits).replace(' °', '\u00a0°'),
    tBare: (c: number, digits = 1) => temperatureText(c, unit, digits, true),
    range: (low: number, high: number, digits = 0) => rangeText(low, high, unit, digits),
    diff: (k: number) => differenceText(k, unit),
    inUnit: (c: number) => temperatureIn(c, unit),
    fromUnit: (v: number) => temperatureFrom(v, unit),
    metres: (m: number) => lengthText(m, length),
    mass: (kg: number) => massText(kg, length),
    rain: (mm: number) => measureText(mm, 'rain', length, length === 'm' ? (mm < 10 ? 1 : 0) : 2),
    far: (km: number) => measureText(km, 'distance', length, 0),
    litres: (l: number) => measureText(l, 'volume', length, 0),
    money: (amount: number) => moneyText(Math.round(amount), currency),
    time: (ms: number) => clockText(ms, style),
    day: (ms: number) => dayText(ms, timeZone),
    /** What core says by id, in words. */
    say: <T>(said: T) => told(said, style),
  };
}
export type Format = ReturnType<typeof formatOf>;
