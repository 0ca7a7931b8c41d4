/**
 * Rows that two plantings claim at a time. Contract: `sharedRows` names the other plantings of the bed that stand in a row of
 * this one on a day of its own, where their lengths together are more than the row. It is said, never refused: growers sow
 * between what still stands.
 */
import type { Bed, Planting } from './types';

export interface SharedRows {
  planting: Planting;
  fromRow: number;
  toRow: number;
}

/** Dates are ISO dates; a planting that is not cleared stands without end, and on the day of clearing it is gone. */
function together(a: Planting, b: Planting): boolean {
  const ends = (p: Planting) => p.clearedOn ?? '9999-12-31';
  return a.plantedOn < ends(b) && b.plantedOn < ends(a);
}

/** @example sharedRows({ id: 'x', bedId: 'b', fromRow: 1, toRow: 2, lengthM: 10, plantedOn: '2027-01-01', clearedOn: null }, [{ id: 'y', bedId: 'b', fromRow: 2, toRow: 3, lengthM: 10, plantedOn: '2027-02-01', clearedOn: null }], { id: 'b', lengthM: 18 }).map((s) => [s.fromRow, s.toRow]) // [[2, 2]] */
export function sharedRows(
  p: Planting,
  others: readonly Planting[],
  bed: Pick<Bed, 'id' | 'lengthM'>,
): SharedRows[] {
  return others.flatMap((o) => {
    if (o.id === p.id || o.bedId !== bed.id || p.bedId !== bed.id || !together(p, o)) return [];
    const fromRow = Math.max(p.fromRow, o.fromRow);
    const toRow = Math.min(p.toRow, o.toRow);
    // end to end in one row they do not crowd each other
    if (fromRow > toRow || p.lengthM + o.lengthM <= bed.lengthM + 1e-9) return [];
    return [{ planting: o, fromRow, toRow }];
  });
}
