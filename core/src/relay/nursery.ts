/**
 * Space before the bed: trays by week, on the shelf and outside to harden, against what there is. Contract: `batchesOf` gives what is raised in
 * trays with its days; `nurseryWeeks` the trays of each week at its fullest day; `overOf` the first week that asks for more than
 * there is, and which batch, put off by how many weeks, makes it fit.
 *
 * Until it is pricked out a batch stands thick in a seed tray of two hundred; then each plant has a cell, a tenth of them spare. A
 * tray is not shared. Days on the bench are starting values (`bench`), as are the seven of hardening off.
 */
import type { Planting } from '../farm/types';
import { HARDEN_DAYS, prickDays } from '../windows/steps';
import { bench } from '../windows/schools';
import { dayOf } from './course';
import { SPARES, WEEK, metresOf } from './supply';
import type { Strip } from './year';

export interface Nursery {
  /** Cells of a tray. */
  trayCells: number;
  /** Trays that there are in all; that fit where they are raised, and where they harden off; null where nobody said. */
  trays: number | null;
  shelfTrays: number | null;
  outTrays: number | null;
}

export interface Batch {
  strip: Strip;
  cells: number;
  /** Days of the series: sown, pricked out (null where it is not), put out to harden, planted. */
  fromDay: number;
  prickDay: number | null;
  outDay: number;
  plantDay: number;
}

export const SEED_TRAY = 200;

/**
 * What should have been planted before `today` and was not still stands in its trays.
 * @example batchesOf([aStrip(aBedOf('a'), 'lettuce', [1, 4], ['2027-03-01', null], null)], 20_800).map((b) => b.cells > 0) // [true]
 */
export function batchesOf(strips: readonly Strip[], today = -Infinity): Batch[] {
  return strips
    .filter(
      (s) => s.how === 'transplant' && s.planting.planned === true && s.planting.done?.plant === undefined,
    )
    .filter((s) => Math.round(bench(s.crop)) > 0)
    .map((s): Batch => {
      const done = (step: 'sow' | 'prick' | 'harden'): number | null => {
        const on = s.planting.done?.[step];
        return on === undefined ? null : dayOf(on);
      };
      const plantDay = Math.max(s.startDay, today + 1);
      const fromDay = done('sow') ?? s.startDay - Math.round(bench(s.crop));
      const after = prickDays(s.crop);
      return {
        strip: s,
        cells: Math.ceil((metresOf(s) / s.crop.spacingM) * SPARES),
        fromDay,
        prickDay: done('prick') ?? (after === null ? null : fromDay + after),
        outDay: done('harden') ?? Math.max(fromDay, s.startDay - HARDEN_DAYS),
        plantDay,
      };
    });
}

/**
 * Trays of a batch on a day; 0 before it is sown and once it is planted. Example: 90 cells in trays of 84 are two.
 * @example traysOn({ sowDay: 0, plantDay: 40, prickDay: null, cells: 90 }, 10, 84) // 2
 */
export function traysOn(b: Batch, day: number, trayCells: number): number {
  if (day < b.fromDay || day >= b.plantDay) return 0;
  const thick = b.prickDay !== null && day < b.prickDay;
  return Math.ceil(b.cells / (thick ? SEED_TRAY : trayCells));
}

export interface NurseryBatch {
  planting: Planting;
  trays: number;
  where: 'shelf' | 'out';
}

export interface NurseryWeek {
  fromDay: number;
  /** At the fullest day of each; in all, at the day on which both together are most. */
  shelf: number;
  out: number;
  all: number;
  /** What there is on that day, the most first. */
  batches: NurseryBatch[];
}

function onDay(list: readonly Batch[], day: number, trayCells: number): NurseryBatch[] {
  return list
    .map((b): NurseryBatch => ({
      planting: b.strip.planting,
      trays: traysOn(b, day, trayCells),
      where: day < b.outDay ? 'shelf' : 'out',
    }))
    .filter((b) => b.trays > 0)
    .sort((a, b) => b.trays - a.trays);
}

const sum = (list: readonly NurseryBatch[], where?: 'shelf' | 'out') =>
  list.reduce((t, b) => t + (where === undefined || b.where === where ? b.trays : 0), 0);

/** @example nurseryWeeks([], 0, 2, 104).length // 2 */
export function nurseryWeeks(
  list: readonly Batch[],
  fromDay: number,
  weeks: number,
  trayCells: number,
): NurseryWeek[] {
  return Array.from({ length: weeks }, (_, w): NurseryWeek => {
    const a = fromDay + w * WEEK;
    const days = Array.from({ length: WEEK }, (_, d) => onDay(list, a + d, trayCells));
    const fullest = days.reduce((x, y) => (sum(y) > sum(x) ? y : x));
    return {
      fromDay: a,
      shelf: Math.max(...days.map((d) => sum(d, 'shelf'))),
      out: Math.max(...days.map((d) => sum(d, 'out'))),
      all: sum(fullest),
      batches: fullest,
    };
  });
}

const SPACES = ['shelf', 'out', 'all'] as const;
const limitOf = (n: Nursery) => ({ shelf: n.shelfTrays, out: n.outTrays, all: n.trays });

/** By how many trays weeks ask for more than there is, all weeks together. */
function excess(weeks: readonly NurseryWeek[], n: Nursery): number {
  const limits = limitOf(n);
  return weeks.reduce(
    (t, w) => t + SPACES.reduce((s, k) => s + Math.max(0, w[k] - (limits[k] ?? Infinity)), 0),
    0,
  );
}

export interface NurseryOver {
  week: NurseryWeek;
  space: (typeof SPACES)[number];
  wanted: number;
  there: number;
  /** A batch that is not sown yet, put off by so many weeks, with which every week fits; null where no single one does it. */
  mend: { planting: Planting; weeks: number } | null;
}

const PUT_OFF_WEEKS = 4;

/**
 * The first week in which more trays stand than fit.
 * @example overOf([], [], { trayCells: 84, trays: null, shelfTrays: null, outTrays: null }) // null
 */
export function overOf(
  list: readonly Batch[],
  weeks: readonly NurseryWeek[],
  n: Nursery,
): NurseryOver | null {
  const limits = limitOf(n);
  for (const week of weeks)
    for (const space of SPACES) {
      const there = limits[space];
      if (there === null || week[space] <= there) continue;
      return { week, space, wanted: week[space], there, mend: mendOf(list, weeks, week, n) };
    }
  return null;
}

function mendOf(
  list: readonly Batch[],
  weeks: readonly NurseryWeek[],
  week: NurseryWeek,
  n: Nursery,
): NurseryOver['mend'] {
  const before = excess(weeks, n);
  const open = list.filter(
    (b) =>
      b.strip.planting.done?.sow === undefined &&
      b.fromDay >= weeks[0]!.fromDay &&
      week.batches.some((x) => x.planting.id === b.strip.planting.id),
  );
  for (let by = 1; by <= PUT_OFF_WEEKS; by++)
    for (const b of open) {
      const d = by * WEEK;
      const later: Batch = {
        ...b,
        fromDay: b.fromDay + d,
        prickDay: b.prickDay === null ? null : b.prickDay + d,
        outDay: b.outDay + d,
        plantDay: b.plantDay + d,
      };
      const then = nurseryWeeks(
        list.map((x) => (x === b ? later : x)),
        weeks[0]!.fromDay,
        weeks.length,
        n.trayCells,
      );
      if (before > 0 && excess(then, n) === 0) return { planting: b.strip.planting, weeks: by };
    }
  return null;
}
