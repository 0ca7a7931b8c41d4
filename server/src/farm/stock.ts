/** Where the pieces of a cover are. Contract: `inUse` counts what lies on beds, each sheet by the pieces that bed takes of it. */
import { fitCover, isFit, type Bed, type Cover, type Structure } from '@fogata/core';
import { coversOn, type FarmState } from './state';
import type { FarmData } from './store';

/** Pieces that a sheet takes on a bed; one where it lies there though it does not fit. */
export function piecesOn(cover: Cover, structure: Structure, bed: Bed): number {
  const fit = fitCover(cover, structure, bed);
  return isFit(fit) ? fit.pieces : 1;
}

/** How many pieces of a kind lie on beds now. */
export function inUse(
  data: Pick<FarmData, 'beds' | 'structures'>,
  state: FarmState,
  cover: Cover,
): { pieces: number; beds: string[] } {
  let pieces = 0;
  const names: string[] = [];
  for (const bed of data.beds) {
    const there = coversOn(state, bed.id, [cover]);
    if (there.length === 0) continue;
    const structure = data.structures.find((s) => s.id === bed.structureId)!;
    pieces += there.reduce((sum, sheet) => sum + piecesOn(sheet, structure, bed), 0);
    names.push(bed.name);
  }
  return { pieces, beds: names };
}
