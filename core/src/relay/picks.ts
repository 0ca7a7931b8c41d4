/** What is to be picked in a week. Contract: `picks` lists what stands ready, the first to end first, with what it gives in that week. */
import { amountBetween } from './earnings';
import { WEEK } from './supply';
import type { RelayYear, Strip } from './year';

export interface Pick {
  strip: Strip;
  /** Kilos in the week; 0 of what is not weighed. */
  kg: number;
  /** Stems in the week, and bunches of what is tied; 0 of what is not. */
  stems: number;
  bunches: number;
  /** Days until it is cleared or over. */
  leftDays: number;
}

/**
 * What is to be picked in the week from a day: of outer leaves and what is cut a share every week, so that no planting is stripped; of what
 * is pulled as much as has to go each week for the last to be out in time. What ends soonest is first.
 * @example picks(aYear([aBedOf('b')], []), 0) // []
 */
export function picks(year: RelayYear, fromDay: number): Pick[] {
  return year.strips
    .filter((s) => s.readyDay !== null && s.readyDay < fromDay + WEEK && s.endDay > fromDay)
    .filter((s) => s.crop.habit !== 'none')
    .map((s) => ({
      strip: s,
      ...amountBetween(s, fromDay, fromDay + WEEK),
      leftDays: Math.min(s.endDay, s.overDay ?? s.endDay) - fromDay,
    }))
    .filter((p) => p.leftDays > 0 && (p.kg >= 0.1 || p.strip.crop.yieldKgPerM === null))
    .sort((a, b) => a.leftDays - b.leftDays || b.kg - a.kg);
}
