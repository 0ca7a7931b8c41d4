/** The farm's units on screen. Contract: `useFormat()` is `formatOf` the farm's own style, the usual one until the farm is known. */
import { formatOf, PLAIN, type Format, type Style } from '@fogata/core/words';
import { useMemo } from 'react';
import { useFarm } from './hooks';

export type { Format };

export function useFormat(): Format {
  const { data } = useFarm();
  const units = data?.farm.units;
  const timeZone = data?.farm.timeZone ?? PLAIN.timeZone;
  const currency = data?.farm.currency ?? PLAIN.currency;
  return useMemo(() => {
    const { temperature, length } = units ?? PLAIN.units;
    const style: Style = {
      hours: units?.clock ?? PLAIN.hours,
      timeZone,
      units: { temperature, length },
      currency,
    };
    return formatOf(style);
  }, [units, timeZone, currency]);
}
