/** What every list of jobs needs: names joined as they are said, and the minutes of laying a sheet on a bed. */
import { isLower } from '../covers/indoors';
import { readSheetKey, sheetKey } from '../covers/ways';
import type { Cover, CoverUse } from '../farm/types';
import type { PlannedBed } from './planned';
import { fitCover, isFit } from './options';
import { said, type Said } from '../words/said';

export interface JobItem {
  bedId: string;
  bedName: string;
  coverId: string;
  /** How it lies, where that is not its usual way. */
  use?: CoverUse;
  coverName: string;
  on: boolean;
  done: boolean;
  /** How many of this kind lie on the bed before it is done. */
  lying: number;
  /** Record that did it, for undo. */
  recordId: string | null;
}

/** A sentence, or none. */
export type Saying = Said | '';

export interface Job {
  key: string;
  kind: 'cover' | 'close' | 'lift';
  /** When to start, so that this and all that follow are done in time; of lifting, the earliest. */
  dueAtMs: number;
  /** When it has to be on or shut. */
  onByAtMs: number;
  /** Money that this job alone is expected to save: over all jobs they add up to what the plan saves. */
  saves: number;
  title: Saying;
  detail: Saying;
  why: Saying;
  /** Whether its reason says already that it comes too late. */
  late: boolean;
  minutes: number;
  structureId: string;
  items: JobItem[];
  accepted: boolean;
  done: boolean;
  doneAtMs: number | null;
  recordIds: string[];
  /** What the plan puts on each of its beds, as option keys. */
  planKeys: Record<string, string>;
}

/**
 * Minutes of laying all pieces of a sheet on a bed.
 * @example minutesFor(aCover(), { structure: aStructure(), bed: aBed() }) // 6
 */
export const minutesFor = (cover: Cover, b: PlannedBed) => {
  const fit = fitCover(cover, b.structure, b.bed);
  return isFit(fit) ? fit.minutes : cover.minutes;
};

/**
 * How a sheet lies, for a record of it: said only where it is not the usual way.
 * @example useOf(asUsed(aCover(), 'flat')) // { use: 'flat' }
 */
export function useOf(cover: Cover): { use?: CoverUse } {
  const { use } = readSheetKey(sheetKey(cover));
  return use ? { use } : {};
}

/**
 * What is said of crates that go to a place for the night, or back to where they stand.
 * @example carryTo({ name: 'the kitchen' }, true, ['N1']) // { say: 'job.in', values: { place: 'the kitchen', beds: ['N1'] } }
 */
export function carryTo(
  place: Pick<Cover, 'name' | 'lowerIn'>,
  on: boolean,
  beds: readonly (string | Said)[],
): Said {
  if (isLower(place))
    return on ? said('job.down', { place: place.name, beds }) : said('job.backUp', { beds });
  return on ? said('job.in', { place: place.name, beds }) : said('job.backOut', { beds });
}
