/** Whether a planting can stand where and when it is said to: one sentence where it cannot. */
import type { Bed, Planting } from '@fogata/core';
import { Problem } from '../problem';

export function checkPlanting(p: Planting, beds: readonly Bed[]): void {
  const bed = beds.find((b) => b.id === p.bedId);
  if (!bed) throw new Problem(422, 'Not accepted', 'bedId: expected a bed of this farm', 'bedId');
  if (p.toRow < p.fromRow)
    throw new Problem(422, 'Not accepted', `toRow: expected row ${p.fromRow} or higher`, 'toRow');
  if (p.toRow > bed.rows)
    throw new Problem(
      422,
      'Not accepted',
      `toRow: expected no more than ${bed.rows}, the rows of ${bed.name}`,
      'toRow',
    );
  if (p.lengthM > bed.lengthM)
    throw new Problem(
      422,
      'Not accepted',
      `lengthM: expected no more than ${bed.lengthM}, the length of ${bed.name}`,
      'lengthM',
    );
  if (p.clearedOn !== null && p.clearedOn < p.plantedOn)
    throw new Problem(422, 'Not accepted', 'clearedOn: expected a date after planting', 'clearedOn');
}
