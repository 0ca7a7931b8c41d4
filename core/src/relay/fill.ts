/**
 * Gaps of a farm's year, filled. Contract: `ground` makes of beds and of what stands in them the rows that are free and when, alike rows together;
 * `candidates` all plantings that could go there and come off often enough. What is chosen of them is `fillProblem.ts`, by a
 * kept solver; which rows it gets is `fillPlan.ts`.
 *
 * A week is the smallest step. Rows with the same place, length, record and gaps are one class: within it plantings are intervals, and
 * intervals that are never more at a time than there are rows always find rows, so that the solver need not know which.
 */
import type { Nursery } from './nursery';
import { dayOfYear } from '../climate/climate';
import type { Crop } from '../crops/crops';
import type { How } from '../growth/course';
import { bench } from '../windows/schools';
import { rowAt } from '../windows/farm';
import { courseOf, isoOf, type Course } from './course';
import { kgBetween, minutesBetween, WEEK } from './supply';
import type { Demand, Outlook, RelayBed, Strip } from './year';

export const AIMS_OF_FILL = ['value', 'supply', 'variety'] as const;
/** What gaps are filled for: the most money, what is asked for first, or many kinds. */
export type FillAim = (typeof AIMS_OF_FILL)[number];

export interface FillCrop {
  crop: Crop;
  how: How;
  /** Money for a metre of row over all it bears. */
  valuePerM: number;
  /** Metres in all, at most; null without a limit. */
  mostM: number | null;
}

export interface FillAsk {
  fromDay: number;
  weeks: number;
  beds: readonly RelayBed[];
  /** All that stands, is planned or was accepted, and the record before. */
  strips: readonly Strip[];
  crops: readonly FillCrop[];
  outlook: (bed: RelayBed, crop: Crop, how: How) => Outlook | null;
  demand: readonly Demand[];
  cells: number | null;
  /** Trays that fit where they are raised and where they harden off; left out where nobody said. */
  nursery?: Nursery | undefined;
  minutesPerWeek: number | null;
  hourlyRate: number;
  risk: number;
  aim: FillAim;
  /** Kilos of one crop that sell in a week at its full value where nobody asks for any. */
  sellsKg: number;
  /** Not again: crop and bed as "crop bed", as it was refused. */
  refused: ReadonlySet<string>;
}

export interface RowClass {
  bed: RelayBed;
  rows: { bed: RelayBed; row: number }[];
  /** By week: whether it is taken. */
  busy: boolean[];
  /** Diseases that are in its soil, and until when kin may not come back. */
  barred: ReadonlySet<string>;
}

export interface Candidate {
  n: number;
  cls: number;
  what: FillCrop;
  course: Course;
  /** In the ground from the beginning of this week up to the beginning of that. */
  from: number;
  to: number;
  success: number;
  /** Of one row by week, as many as are to be expected: kilos, or of what is not weighed, metres' worth. */
  units: Float64Array;
  minutes: Float64Array;
  /** Cells of trays for one row in the weeks before. */
  cells: { from: number; to: number; count: number } | null;
}

const weekOf = (ask: Pick<FillAsk, 'fromDay'>, day: number) => Math.floor((day - ask.fromDay) / WEEK);

/** @example ground(anAsk([aBedOf('b')], ['lettuce'], 40)).length // 1 */
export function ground(ask: FillAsk): RowClass[] {
  const classes = new Map<string, RowClass>();
  for (const bed of ask.beds) {
    const own = ask.strips.filter((s) => s.planting.bedId === bed.id);
    const record = own.filter((s) => s.endDay <= ask.fromDay + ask.weeks * WEEK);
    const barred = new Set(
      record
        .filter((s) => s.endDay > ask.fromDay - 365 * s.crop.yearsAway && s.startDay < ask.fromDay - 182)
        .flatMap((s) => s.crop.shares.map((d) => `${s.crop.family} ${d}`)),
    );
    for (let row = 1; row <= bed.rows; row++) {
      const busy = new Array<boolean>(ask.weeks).fill(false);
      for (const s of own) {
        if (row < s.planting.fromRow || row > s.planting.toRow) continue;
        const [a, b] = [weekOf(ask, s.startDay), weekOf(ask, s.endDay - 1)];
        for (let w = Math.max(0, a); w <= Math.min(ask.weeks - 1, b); w++) busy[w] = true;
      }
      if (busy.every((x) => x)) continue;
      const refused = [...ask.refused].filter((r) => r.endsWith(` ${bed.id}`)).join();
      const key = [
        bed.structureId,
        bed.lengthM,
        bed.headroomM,
        [...barred].sort().join(),
        refused && bed.id,
        busy.map(Number).join(''),
      ].join('|');
      const found = classes.get(key) ?? { bed, rows: [], busy, barred };
      found.rows.push({ bed, row });
      classes.set(key, found);
    }
  }
  return [...classes.values()];
}

/** When it may be cleared: once it has given a third, two thirds, and all that it gives; what is pulled, in two, four weeks or by and by. */
function ends(crop: Crop, c: Course): number[] {
  const [ready, over] = [c.readyDay!, c.overDay!];
  const whole = crop.habit === 'whole' || crop.habit === 'roots';
  const stand = over - ready;
  const list = whole
    ? [ready + 2 * WEEK, ready + 4 * WEEK, over]
    : [ready + stand / 3, ready + (2 * stand) / 3, over];
  return list.map((d) => Math.round(Math.min(over, d)));
}

/**
 * What is not weighed is counted by the metre.
 * @example unitsPerM({ yieldKgPerM: null }) // 1
 */
export const unitsPerM = (crop: Crop): number => crop.yieldKgPerM ?? 1;

/** One row of a crop put in on a day, cleared on another, as a strip that supply can count. */
function oneRow(bed: RelayBed, what: FillCrop, course: Course, endDay: number, n: number): Strip {
  return {
    planting: {
      id: `fill-${n}`,
      bedId: bed.id,
      crop: what.crop.id,
      cultivar: '',
      fromRow: 1,
      toRow: 1,
      lengthM: bed.lengthM,
      plantedOn: isoOf(course.startDay),
      clearedOn: isoOf(endDay),
      aim: what.crop.aim,
      note: '',
      planned: true,
    },
    crop: { ...what.crop, yieldKgPerM: unitsPerM(what.crop) },
    how: what.how,
    ...course,
    endDay,
    clears: true,
    odds: null,
  };
}

/**
 * Every course of every crop that fits a class of rows.
 * @example (() => { const ask = anAsk([aBedOf('a')], ['radish'], 30); return candidates(ask, ground(ask)).length > 0; })() // true
 */
export function candidates(ask: FillAsk, classes: readonly RowClass[]): Candidate[] {
  const out: Candidate[] = [];
  const horizon = ask.fromDay + ask.weeks * WEEK;
  classes.forEach((cls, c) => {
    const { bed } = cls;
    for (const what of ask.crops) {
      const { crop, how } = what;
      if (crop.habit === 'none') continue;
      if (bed.headroomM !== null && crop.heightM > bed.headroomM + 0.1) continue;
      if (crop.shares.some((d) => cls.barred.has(`${crop.family} ${d}`))) continue;
      if (ask.refused.has(`${crop.id} ${bed.id}`)) continue;
      const outlook = ask.outlook(bed, crop, how);
      if (!outlook) continue;
      const trayWeeks = how === 'transplant' ? Math.ceil(bench(crop) / WEEK) : 0;
      for (let from = trayWeeks; from < ask.weeks; from++) {
        if (cls.busy[from]) continue;
        const startDay = ask.fromDay + from * WEEK;
        const odds = rowAt(outlook.rows, dayOfYear(isoOf(startDay)));
        if (odds.success < 1 - ask.risk || odds.ready.middle === null) continue;
        const course = courseOf(crop, how, startDay, outlook.mean, {
          readyDays: odds.ready.middle,
          overDays: odds.overDays,
        });
        if (course.readyDay === null || course.overDay === null || course.readyDay >= horizon) continue;
        const seen = new Set<number>();
        for (const endDay of ends(crop, course)) {
          const to = Math.max(from + 1, Math.ceil((endDay - ask.fromDay) / WEEK));
          const last = Math.min(to, ask.weeks);
          if (seen.has(last)) continue;
          let free = true;
          for (let w = from; w < last; w++) if (cls.busy[w]) free = false;
          if (!free) break;
          seen.add(last);
          const row = oneRow(bed, what, course, Math.min(endDay, ask.fromDay + to * WEEK), out.length);
          const units = new Float64Array(ask.weeks);
          const minutes = new Float64Array(ask.weeks);
          for (let w = Math.max(0, from - trayWeeks - 1); w < last; w++) {
            const [a, b] = [ask.fromDay + w * WEEK, ask.fromDay + (w + 1) * WEEK];
            units[w] = kgBetween(row, a, b) * odds.success;
            minutes[w] = minutesBetween(row, a, b);
          }
          out.push({
            n: out.length,
            cls: c,
            what,
            course,
            from,
            to: last,
            success: odds.success,
            units,
            minutes,
            cells:
              trayWeeks > 0
                ? { from: from - trayWeeks, to: from, count: Math.ceil((bed.lengthM / crop.spacingM) * 1.1) }
                : null,
          });
        }
      }
    }
  });
  return out;
}
