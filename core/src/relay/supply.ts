/**
 * What a plan gives by the week, and what it asks of hands. Contract: `supply` gives kilos a week by crop, with an early and a late year about
 * them, from strips alone; `work` the minutes. What is cut young for want of time gives less: the share taken by its clearing.
 *
 * Minutes are starting values for hand work with simple tools; a grower's own records are better.
 */
import type { Habit } from '../crops/crops';
import { bench } from '../windows/schools';
import { rowCount, takenBy, type Demand, type RelayYear, type Strip } from './year';
import { dayOf } from './course';

export const WEEK = 7;

export interface WeekOfCrop {
  crop: string;
  kg: number;
  lowKg: number;
  highKg: number;
}

export interface Week {
  fromDay: number;
  kg: number;
  /** A tenth and nine tenths of years, as far as they are known. */
  lowKg: number;
  highKg: number;
  demandKg: number;
  /** Of what is asked for, crop by crop, so much is not there. */
  shortKg: number;
  crops: WeekOfCrop[];
  minutes: number;
  /** Cells in trays. */
  cells: number;
}

/** @example metresOf(aStrip(aBedOf('b'), 'kale', [1, 2], ['2027-03-01', null], null)) // 20 */
export const metresOf = (s: Strip): number => s.planting.lengthM * rowCount(s.planting);

/** Of all that a metre bears: what a year of this quality leaves, by the odds of the day it was begun on. */
const bears = (s: Strip): number => (s.crop.yieldKgPerM ?? 0) * metresOf(s);

/**
 * Kilos between two days; `shift` days later or earlier than in the mean year.
 * @example kgBetween(aStrip(aBedOf('a'), 'radish', [1, 4], ['2027-03-01', null], evenOutlook(30)), 20_878, 20_978) // 36
 */
export function kgBetween(s: Strip, from: number, to: number, shift = 0): number {
  const [a, b] = [Math.max(from, s.startDay), Math.min(to, s.endDay)];
  if (s.readyDay === null || b <= a) return 0;
  return bears(s) * Math.max(0, takenBy(s, b - shift) - takenBy(s, a - shift));
}

/**
 * Days that an early and a late year differ by.
 * @example shifts(aStrip(aBedOf('b'), 'spinach', [1, 1], ['2027-03-01', '2027-07-01'], evenOutlook(60))) // [-5, 5]
 */
export function shifts(s: Strip): [number, number] {
  const r = s.odds?.ready;
  if (!r || r.middle === null) return [0, 0];
  return [(r.early ?? r.middle) - r.middle, (r.late ?? r.middle + 30) - r.middle];
}

const HARVEST_MIN_PER_KG: Record<Habit, number> = {
  leaves: 5,
  cut: 3,
  whole: 2,
  roots: 3,
  stems: 6,
  fruit: 3,
  none: 0,
};
export const SOW_MIN_PER_M = 0.4;
export const PLANT_MIN_PER_M = 1.5;
export const CLEAR_MIN_PER_M = 0.8;
/** From sowing trays to hardening off, for each metre that they fill. */
const TRAY_MIN_PER_M = 1;

/**
 * Minutes between two days.
 * @example minutesBetween(aStrip(aBedOf('b'), 'lettuce', [1, 2], ['2027-03-01', '2027-05-01'], evenOutlook(40)), 20_800, 20_900) // 50
 */
export function minutesBetween(s: Strip, from: number, to: number): number {
  const within = (day: number) => day >= from && day < to;
  const m = metresOf(s);
  let minutes = HARVEST_MIN_PER_KG[s.crop.habit] * kgBetween(s, from, to);
  if (within(s.startDay)) minutes += m * (s.how === 'sow' ? SOW_MIN_PER_M : PLANT_MIN_PER_M);
  if (s.how === 'transplant' && within(s.startDay - Math.round(bench(s.crop)))) minutes += m * TRAY_MIN_PER_M;
  if (within(s.endDay)) minutes += m * CLEAR_MIN_PER_M;
  return minutes;
}

/** A tenth more cells than plants. */
export const SPARES = 1.1;
/**
 * The days in which it stands in trays, the last one not counted, and the cells that it takes there; null where it does not.
 * @example inTrays(aStrip(aBedOf('b'), 'carrot', [1, 2], ['2027-03-01', '2027-07-01'], evenOutlook(90))) // null
 */
export function inTrays(s: Strip): { fromDay: number; toDay: number; cells: number } | null {
  if (s.how !== 'transplant' || s.planting.done?.plant !== undefined) return null;
  const fromDay = s.startDay - Math.round(bench(s.crop));
  return { fromDay, toDay: s.startDay, cells: Math.ceil((metresOf(s) / s.crop.spacingM) * SPARES) };
}

/**
 * Cells in trays on a day.
 * @example cellsOn(aStrip(aBedOf('a'), 'lettuce', [1, 4], ['2027-03-01', null], null), 20_877) // 158
 */
export function cellsOn(s: Strip, day: number): number {
  const t = inTrays(s);
  return t && day >= t.fromDay && day < t.toDay ? t.cells : 0;
}

/**
 * What is asked for in a week that begins on a day, kg by crop; '' for whatever there is.
 * @example askedIn([{ crop: 'radish', from: '2027-03-01', to: '2027-03-31', kgPerWeek: 4 }], 20_878).get('radish') // 4
 */
export function askedIn(demand: readonly Demand[], fromDay: number): Map<string, number> {
  const out = new Map<string, number>();
  for (const d of demand)
    if (fromDay + WEEK > dayOf(d.from) && fromDay <= dayOf(d.to))
      out.set(d.crop ?? '', (out.get(d.crop ?? '') ?? 0) + d.kgPerWeek);
  return out;
}

/**
 * Of what is asked for, what is not there: each crop by itself, then everything by what is left.
 * @example shortOf(new Map([['', 6]]), new Map([['kale', 2]])) // 4
 */
export function shortOf(asked: ReadonlyMap<string, number>, kgOf: ReadonlyMap<string, number>): number {
  let [short, used, all] = [0, 0, 0];
  for (const kg of kgOf.values()) all += kg;
  for (const [crop, kg] of asked) {
    if (crop === '') continue;
    const there = Math.min(kg, kgOf.get(crop) ?? 0);
    short += kg - there;
    used += there;
  }
  return short + Math.max(0, (asked.get('') ?? 0) - (all - used));
}

/** @example supply(aYear([], []), 0, 3).length // 3 */
export function supply(year: RelayYear, fromDay: number, weeks: number): Week[] {
  return Array.from({ length: weeks }, (_, w): Week => {
    const [a, b] = [fromDay + w * WEEK, fromDay + (w + 1) * WEEK];
    const crops = new Map<string, WeekOfCrop>();
    let [minutes, cells] = [0, 0];
    for (const s of year.strips) {
      minutes += minutesBetween(s, a, b);
      cells += cellsOn(s, a);
      if (s.endDay <= a || s.readyDay === null) continue;
      const [early, late] = shifts(s);
      const three = [kgBetween(s, a, b), kgBetween(s, a, b, early), kgBetween(s, a, b, late)];
      if (Math.max(...three) <= 0) continue;
      const c = crops.get(s.crop.id) ?? { crop: s.crop.id, kg: 0, lowKg: 0, highKg: 0 };
      c.kg += three[0]!;
      c.lowKg += Math.min(...three);
      c.highKg += Math.max(...three);
      crops.set(s.crop.id, c);
    }
    const asked = askedIn(year.demand, a);
    const list = [...crops.values()].sort((x, y) => y.kg - x.kg);
    const sum = (of: (c: WeekOfCrop) => number) => list.reduce((t, c) => t + of(c), 0);
    return {
      fromDay: a,
      kg: sum((c) => c.kg),
      lowKg: sum((c) => c.lowKg),
      highKg: sum((c) => c.highKg),
      demandKg: [...asked.values()].reduce((t, kg) => t + kg, 0),
      shortKg: shortOf(asked, new Map(list.map((c) => [c.crop, c.kg]))),
      crops: list,
      minutes,
      cells,
    };
  });
}
