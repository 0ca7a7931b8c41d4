/**
 * What to do with a stand that came up patchy, or was thinned by frost. Contract: `mends` prices each answer in the farm's money over what is
 * left of the planting's time: leave it, fill its gaps from spares or by sowing, clear it and begin it again, or another crop there;
 * the best first, each with its work, its seed and the chance that it comes off. What would not be ready before the row is needed is worth nothing,
 * and is said so.
 */
import type { Crop } from '../crops/crops';
import type { How } from '../growth/course';
import { addDays } from '../time/farmTime';
import type { DateRow } from '../windows/dates';
import { seedOf } from './need';
import { CLEAR_MIN_PER_M, PLANT_MIN_PER_M, SOW_MIN_PER_M } from './supply';

export const MENDS = ['leave', 'spares', 'resow', 'again', 'other'] as const;
export type MendKind = (typeof MENDS)[number];

export interface MendAsk {
  crop: Crop;
  how: How;
  metres: number;
  /** Share that stands, 0 to 1. */
  stands: number;
  today: string;
  /** When the row is needed; null where it is not. */
  clearedOn: string | null;
  /** What the day it was begun on gives, and what today would, by how it is begun; null where the years are not gone through. */
  then: DateRow;
  now: Record<How, DateRow | null>;
  hourlyRate: number;
  /** Plants left over in trays; null where nobody knows. */
  spares: number | null;
  /** What else may go there: its worth over all rows, times its chance. */
  others: readonly {
    crop: string;
    name: string;
    how: How;
    worth: number;
    success: number;
    readyOn: string;
  }[];
}

export interface Mend {
  kind: MendKind;
  /** Of another crop, its id and name. */
  crop: string | null;
  name: string | null;
  how: How | null;
  /** Expected, less the work; and over leaving it. */
  worth: number;
  gain: number;
  minutes: number;
  success: number | null;
  readyOn: string | null;
  grams: number | null;
  plants: number | null;
  /** Why it is worth nothing. */
  late: boolean;
}

/** Gaps are filled among what stands: half as quick again as an empty row. */
const AMONG = 1.5;

/**
 * What each answer to a patchy stand is worth, the best first.
 * @example mends({ crop: cropById('radish'), how: 'sow', metres: 40, stands: 0.5, today: '2027-03-10', clearedOn: null, then: evenOutlook(30).rows[10], now: { sow: evenOutlook(30).rows[14], transplant: null }, hourlyRate: 15, spares: null, others: [] }).length > 1 // true
 */
export function mends(a: MendAsk): Mend[] {
  const value = a.crop.valuePerM * a.metres;
  const gapsM = a.metres * (1 - a.stands);
  const leave = value * a.stands * a.then.success;
  const cost = (minutes: number) => (minutes / 60) * a.hourlyRate;
  const readyOf = (row: DateRow | null) =>
    row === null || row.ready.middle === null ? null : addDays(a.today, row.ready.middle);
  const inTime = (readyOn: string | null) =>
    readyOn !== null && (a.clearedOn === null || readyOn <= a.clearedOn);
  const base = { crop: null, name: null, grams: null, plants: null };
  const out: Mend[] = [
    {
      ...base,
      kind: 'leave',
      how: null,
      worth: leave,
      gain: 0,
      minutes: 0,
      success: a.then.success,
      readyOn: null,
      late: false,
    },
  ];
  const begun = (
    kind: MendKind,
    how: How,
    metres: number,
    keeps: number,
    minutes: number,
    plants: number | null,
  ) => {
    const row = a.now[how];
    if (!row) return;
    const readyOn = readyOf(row);
    const late = !inTime(readyOn);
    const worth = keeps + (late ? 0 : a.crop.valuePerM * metres * row.success) - cost(minutes);
    out.push({
      ...base,
      kind,
      how,
      worth,
      gain: worth - leave,
      minutes,
      success: row.success,
      readyOn,
      grams: plants === null ? seedOf(a.crop, how, metres).grams : null,
      plants,
      late,
    });
  };
  if (a.stands < 1) {
    const wanted = Math.ceil(gapsM / a.crop.spacingM);
    if (a.crop.raiseDd !== null && a.spares !== null && a.spares > 0) {
      const filled = Math.min(1, a.spares / wanted) * gapsM;
      begun(
        'spares',
        'transplant',
        filled,
        leave,
        AMONG * PLANT_MIN_PER_M * filled,
        Math.min(a.spares, wanted),
      );
    }
    if (a.how === 'sow' || a.crop.raiseDd === null)
      begun('resow', 'sow', gapsM, leave, AMONG * SOW_MIN_PER_M * gapsM, null);
  }
  const perM = a.how === 'sow' ? SOW_MIN_PER_M : PLANT_MIN_PER_M;
  begun('again', a.how, a.metres, 0, (CLEAR_MIN_PER_M + perM) * a.metres, null);
  for (const o of a.others) {
    const minutes = (CLEAR_MIN_PER_M + (o.how === 'sow' ? SOW_MIN_PER_M : PLANT_MIN_PER_M)) * a.metres;
    const late = !inTime(o.readyOn);
    const worth = (late ? 0 : o.worth) - cost(minutes);
    out.push({
      ...base,
      kind: 'other',
      crop: o.crop,
      name: o.name,
      how: o.how,
      worth,
      gain: worth - leave,
      minutes,
      success: o.success,
      readyOn: o.readyOn,
      late,
    });
  }
  return out.sort((x, y) => y.worth - x.worth);
}
