/** The words of core and server, and how they are put in: for the app, and for what the server sends by itself. */
export * from '../src/words/said';
export * from '../src/words/told';
export * from '../src/words/telling';
export { en } from '../src/words/en';
export { PAGE_TITLE } from '../src/words/en/pages';
export type { Unit } from '../src/words/en/wants';

import { en } from '../src/words/en';
import type { CoverUse } from '../src/farm/types';
/** @example wayWords('flat') // 'laid on' */
export const wayWords = (use: CoverUse): string => en['way.of']({ use });
