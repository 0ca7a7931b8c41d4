/**
 * A year's plan in a few figures, so that two can be laid side by side. Contract: `tally` sums a span of the year: money, kilos, hours, how
 * sure it is, how many crops, what is short. `planOf` puts a plan that was put by in the place of what is planned now: what
 * stands or was begun in trays is never touched, and what cannot be planted any more is left out.
 */
import type { Planting } from '../farm/types';
import { addDays } from '../time/farmTime';
import { earnings } from './earnings';
import { supply, WEEK } from './supply';
import type { RelayYear } from './year';

export interface Tally {
  money: number;
  kg: number;
  hours: number;
  /** Of what is planned, the share that comes off, by its metres; null where nothing is. */
  success: number | null;
  crops: number;
  /** Of what is asked for, what is not there. */
  shortKg: number;
  /** Hours of the fullest week. */
  mostHours: number;
}

/**
 * Kilos, cells and hands by week.
 * @example tally(aYear([aBedOf('a')], []), 20_878, 2).shortKg // 0
 */
export function tally(year: RelayYear, fromDay: number, weeks: number): Tally {
  const list = earnings(year, fromDay, weeks);
  const by = supply(year, fromDay, weeks);
  const toDay = fromDay + weeks * WEEK;
  const planned = year.strips.filter(
    (s) => s.planting.planned === true && s.odds !== null && s.startDay < toDay,
  );
  const metres = (s: (typeof planned)[number]) =>
    s.planting.lengthM * (s.planting.toRow - s.planting.fromRow + 1);
  const all = planned.reduce((t, s) => t + metres(s), 0);
  const sum = (of: (e: (typeof list)[number]) => number) => list.reduce((t, e) => t + of(e), 0);
  return {
    money: sum((e) => e.money),
    kg: sum((e) => e.kg),
    hours: sum((e) => e.minutes) / 60,
    success: all > 0 ? planned.reduce((t, s) => t + metres(s) * s.odds!.success, 0) / all : null,
    crops: list.length,
    shortKg: by.reduce((t, w) => t + w.shortKg, 0),
    mostHours: Math.max(0, ...by.map((w) => w.minutes / 60)),
  };
}

/** So long after its day what was not done may still be (see `openSteps`). */
const LATE_DAYS = 42;

/**
 * Plantings as they would be if `kept` were the plan. `beds` are the ids of those that there are.
 * @example planOf([], [], [], '2027-01-14') // []
 */
export function planOf(
  now: readonly Planting[],
  kept: readonly Planting[],
  beds: readonly string[],
  today: string,
): Planting[] {
  const begun = (p: Planting) => p.planned !== true || Object.keys(p.done ?? {}).length > 0;
  const standing = now.filter(begun);
  const stands = new Set(standing.map((p) => p.id));
  const first = addDays(today, -LATE_DAYS);
  const possible = kept.filter((p) => !stands.has(p.id) && p.plantedOn >= first && beds.includes(p.bedId));
  return [...standing, ...possible];
}
