/** Whether a planting can stand where and when it is said to: one sentence where it cannot. */
import { said } from '@fogata/core';
import type { Bed, Planting } from '@fogata/core';
import { Problem } from '../problem';

export function checkPlanting(p: Planting, beds: readonly Bed[]): void {
  const bed = beds.find((b) => b.id === p.bedId);
  if (!bed) throw new Problem(422, said('refuse.bedOfFarm'), 'bedId');
  if (p.toRow < p.fromRow)
    throw new Problem(422, said('refuse.rowsBackwards', { fromRow: p.fromRow }), 'toRow');
  if (p.toRow > bed.rows)
    throw new Problem(422, said('refuse.rowsBeyond', { rows: bed.rows, name: bed.name }), 'toRow');
  if (p.lengthM > bed.lengthM)
    throw new Problem(422, said('refuse.lengthBeyond', { lengthM: bed.lengthM, name: bed.name }), 'lengthM');
  if (p.clearedOn !== null && p.clearedOn < p.plantedOn)
    throw new Problem(422, said('refuse.clearedBefore'), 'clearedOn');
}
