/** The farm's units on screen: one object with what a screen needs to write a temperature, a length or a time. */
import {
  clockText,
  dayText,
  differenceText,
  lengthText,
  massText,
  measureText,
  moneyText,
  rangeText,
  temperatureFrom,
  temperatureIn,
  temperatureText,
} from '@fogata/core/telling';
import { told, type Style } from '@fogata/core/words';
import { useMemo } from 'react';
import { useFarm } from './hooks';

export function useFormat() {
  const { data } = useFarm();
  const units = data?.farm.units;
  const timeZone = data?.farm.timeZone ?? 'UTC';
  const currency = data?.farm.currency ?? '€';
  return useMemo(() => {
    const unit = units?.temperature ?? 'C';
    const length = units?.length ?? 'm';
    const clock = { hours: units?.clock ?? (24 as const), timeZone };
    const style: Style = { ...clock, units: { temperature: unit, length }, currency };
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
      time: (ms: number) => clockText(ms, clock),
      day: (ms: number) => dayText(ms, timeZone),
      /** What core says by id, in words. */
      say: <T>(said: T) => told(said, style),
    };
  }, [units, timeZone, currency]);
}
export type Format = ReturnType<typeof useFormat>;
