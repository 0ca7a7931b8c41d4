/** The words of core and server, and how they are put in: for the app, and for what the server sends by itself. */
export * from '../src/words/said';
export * from '../src/words/told';
export * from '../src/words/telling';
export * from '../src/words/format';
export { en } from '@fogata/words/en/told';
export { PAGE_TITLE } from '@fogata/words/en/told/pages';
export type { Unit } from '@fogata/words/en/told/wants';

import { en } from '@fogata/words/en/told';
import type { CoverUse } from '../src/farm/types';
/** @example wayWords('flat') // 'laid on' */
export const wayWords = (use: CoverUse): string => en['way.of']({ use });
