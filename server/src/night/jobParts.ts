/** What every list of jobs needs: names joined as they are said, and the minutes of laying a sheet on a bed. */
import { fitCover, isFit, readSheetKey, sheetKey, type Cover, type CoverUse } from '@fogata/core';
import type { PlannedBed } from './planned';

export function joined(words: string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/** Minutes of laying all pieces of a sheet on a bed. */
export const minutesFor = (cover: Cover, b: PlannedBed) => {
  const fit = fitCover(cover, b.structure, b.bed);
  return isFit(fit) ? fit.minutes : cover.minutes;
};

/** How a sheet lies, for a record of it: said only where it is not the usual way. */
export function useOf(cover: Cover): { use?: CoverUse } {
  const { use } = readSheetKey(sheetKey(cover));
  return use ? { use } : {};
}
