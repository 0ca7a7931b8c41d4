/**
 * Last year onto the coming one, rotated. Contract: `yearAgain` takes what was planted in the year up to today and gives it a year on,
 * each bed's share one bed further in its own structure, so that a family is back in a row only when all beds have had it; what
 * finds its rows taken, or a bed too small, is left out with the reason. Nothing that stands or is planned is touched.
 */
import type { Planting } from '../farm/types';
import { addDays } from '../time/farmTime';
import type { RelayBed } from './year';

export interface Again {
  plantings: Planting[];
  left: { planting: Planting; bed: string; why: 'taken' | 'rows' }[];
}

type Rows = Pick<Planting, 'bedId' | 'fromRow' | 'toRow' | 'plantedOn' | 'clearedOn'>;

/**
 * The same day a year on; of the 29th of February the 28th.
 * @example yearOn('2027-02-28') // '2028-02-28'
 */
export const yearOn = (date: string): string =>
  `${Number(date.slice(0, 4)) + 1}${date.slice(4).replace('-02-29', '-02-28')}`;

/** @example meet({ fromRow: 1, toRow: 2 }, { fromRow: 3, toRow: 4 }) // false */
export const meet = (a: Rows, b: Rows): boolean =>
  a.bedId === b.bedId &&
  a.fromRow <= b.toRow &&
  b.fromRow <= a.toRow &&
  a.plantedOn < (b.clearedOn ?? '9999') &&
  b.plantedOn < (a.clearedOn ?? '9999');

/** The bed after it in its structure, the first after the last. Alone it follows itself. */
function nextBed(bed: RelayBed, beds: readonly RelayBed[]): RelayBed {
  const here = beds.filter((b) => b.structureId === bed.structureId);
  return here[(here.findIndex((b) => b.id === bed.id) + 1) % here.length]!;
}

/**
 * The year's plantings a year on, where their rows are free.
 * @example yearAgain([], [], '2027-01-14', () => 'n').plantings // []
 */
export function yearAgain(
  beds: readonly RelayBed[],
  plantings: readonly Planting[],
  today: string,
  newId: () => string,
): Again {
  const since = addDays(today, -365);
  const was = plantings
    .filter((p) => !p.planned && p.plantedOn > since && p.plantedOn <= today)
    .sort((a, b) => a.plantedOn.localeCompare(b.plantedOn) || a.id.localeCompare(b.id));
  const out: Again = { plantings: [], left: [] };
  for (const p of was) {
    const bed = beds.find((b) => b.id === p.bedId);
    if (!bed) continue;
    const to = nextBed(bed, beds);
    const { done: _done, planned: _planned, ...kept } = p;
    const next: Planting = {
      ...kept,
      id: newId(),
      bedId: to.id,
      lengthM: Math.min(p.lengthM, to.lengthM),
      plantedOn: yearOn(p.plantedOn),
      clearedOn: p.clearedOn === null ? null : yearOn(p.clearedOn),
      note: '',
      planned: true,
    };
    if (next.toRow > to.rows) out.left.push({ planting: p, bed: to.name, why: 'rows' });
    else if ([...plantings, ...out.plantings].some((x) => meet(x, next)))
      out.left.push({ planting: p, bed: to.name, why: 'taken' });
    else out.plantings.push(next);
  }
  return out;
}
