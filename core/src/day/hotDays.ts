/**
 * Heat that adds up. Contract: `hotDaysOf` counts the days in a row, today the last of them, on which a crop was warmer than spoils it: one such day is
 * borne, some of them end a cool crop (it bolts, turns bitter, drops its flowers).
 */
import type { PastLow } from '../farm/facts';
import { addDays } from '../time/farmTime';

/** So many in a row end a cool crop: starting value. */
export const HOT_DAYS_END = 5;
/** Roots in black pots and crates are harmed above this, °C: starting value of general horticulture. */
export const POTS_HOT_C = 32;

/**
 * `past` are the days that were, by the date of the evening that followed each; `todayC` the hottest leaf of today as it is planned.
 * Example: 31, 29 and today 30 over a limit of 28 are three.
 * @example hotDaysOf([{ night: '2027-06-02', leafC: 10, highC: 28 }], '2027-06-03', 29, 27) // 2
 */
export function hotDaysOf(past: readonly PastLow[], today: string, todayC: number, limitC: number): number {
  if (todayC <= limitC) return 0;
  const high = new Map(past.map((p) => [p.night, p.highC]));
  let days = 1;
  while ((high.get(addDays(today, -days)) ?? -Infinity) > limitC) days += 1;
  return days;
}
