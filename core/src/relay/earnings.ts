/**
 * What a year's rows bring, by metre, by hour and in money, in the units a crop sells in. Contract: `stemsPerM` and `bunchKg` say how a crop is
 * counted; `amountBetween` what a strip gives between two days; `earnings` sums a span by crop, the best use of a row first.
 *
 * Money is the crop's worth a metre as the farm has it, times the share of years in which it comes off; hours are those of the board
 * (`supply.ts`). Bunches are as they are usually tied, ten stems to one of flowers: starting values.
 */
import type { Crop } from '../crops/crops';
import { kgBetween, metresOf, minutesBetween, WEEK } from './supply';
import { takenBy, type RelayYear, type Strip } from './year';

/**
 * Stems of a metre of row over its whole picking: of each plant as many as it is cut. Null of what is weighed or not cut so.
 * @example stemsPerM({ yieldKgPerM: null, habit: 'stems', cuts: 2, spacingM: 0.1 }) // 20
 */
export function stemsPerM(crop: Pick<Crop, 'yieldKgPerM' | 'habit' | 'cuts' | 'spacingM'>): number | null {
  return crop.yieldKgPerM !== null || crop.habit !== 'stems' ? null : (crop.cuts ?? 1) / crop.spacingM;
}

/** What a bunch weighs as it is tied, kg; null of what is not sold so. */
const BUNCH_KG: Readonly<Record<string, number>> = {
  radish: 0.25,
  'spring-onion': 0.15,
  turnip: 0.5,
  beetroot: 0.6,
  carrot: 0.5,
  kohlrabi: 0.8,
  chard: 0.4,
  kale: 0.25,
  parsley: 0.06,
  coriander: 0.06,
  dill: 0.05,
  chervil: 0.05,
  chives: 0.04,
  basil: 0.06,
  mint: 0.05,
  thyme: 0.03,
  sage: 0.03,
  rosemary: 0.04,
};
export const STEMS_OF_A_BUNCH = 10;
/** @example bunchKg('parsley') // 0.06 */
export const bunchKg = (cropId: string): number | null => BUNCH_KG[cropId] ?? null;

export interface Amount {
  kg: number;
  stems: number;
  /** Of what is tied, stems by the ten and greens by weight; 0 of what is not. */
  bunches: number;
}

/**
 * Kilos of a strip between two days, or metres where it is not weighed.
 * @example amountBetween(aStrip(aBedOf('a'), 'radish', [1, 4], ['2027-03-01', null], evenOutlook(30)), 20_878, 20_978).kg // 36
 */
export function amountBetween(s: Strip, from: number, to: number): Amount {
  const perM = stemsPerM(s.crop);
  const stems = perM === null ? 0 : perM * metresOf(s) * shareBetween(s, from, to);
  const kg = kgBetween(s, from, to);
  const bunch = bunchKg(s.crop.id);
  return { kg, stems, bunches: stems / STEMS_OF_A_BUNCH + (bunch === null ? 0 : kg / bunch) };
}

/** Of all that it bears, what is taken between two days in which it stands. */
function shareBetween(s: Strip, from: number, to: number): number {
  const [a, b] = [Math.max(from, s.startDay), Math.min(to, s.endDay)];
  return b <= a ? 0 : Math.max(0, takenBy(s, b) - takenBy(s, a));
}

export interface Earning extends Amount {
  crop: string;
  /** Metres of row times the weeks that it holds them. */
  metreWeeks: number;
  minutes: number;
  money: number;
  /** Money of a metre of row held for a week, and of an hour; null where it takes none. */
  perMetreWeek: number | null;
  perHour: number | null;
}

/**
 * What each week brings, by crop.
 * @example earnings(aYear([aBedOf('a')], [aStrip(aBedOf('a'), 'radish', [1, 4], ['2027-03-01', null], evenOutlook(30))]), 20_878, 8).map((e) => e.crop) // ['radish']
 */
export function earnings(year: RelayYear, fromDay: number, weeks: number): Earning[] {
  const toDay = fromDay + weeks * WEEK;
  const by = new Map<string, Omit<Earning, 'perMetreWeek' | 'perHour'>>();
  for (const s of year.strips) {
    const days = Math.min(toDay, s.endDay) - Math.max(fromDay, s.startDay);
    if (days <= 0 || s.crop.habit === 'none') continue;
    const e = by.get(s.crop.id) ?? {
      crop: s.crop.id,
      kg: 0,
      stems: 0,
      bunches: 0,
      metreWeeks: 0,
      minutes: 0,
      money: 0,
    };
    const a = amountBetween(s, fromDay, toDay);
    const sure = s.odds?.success ?? 1;
    e.kg += a.kg * sure;
    e.stems += a.stems * sure;
    e.bunches += a.bunches * sure;
    e.metreWeeks += (metresOf(s) * days) / WEEK;
    e.minutes += minutesBetween(s, fromDay, toDay);
    e.money += s.crop.valuePerM * metresOf(s) * shareBetween(s, fromDay, toDay) * sure;
    by.set(s.crop.id, e);
  }
  return [...by.values()]
    .map((e) => ({
      ...e,
      perMetreWeek: e.metreWeeks > 0 ? e.money / e.metreWeeks : null,
      perHour: e.minutes > 0 ? (60 * e.money) / e.minutes : null,
    }))
    .sort((a, b) => (b.perMetreWeek ?? -1) - (a.perMetreWeek ?? -1));
}
