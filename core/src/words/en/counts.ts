/** How English counts. */
import { countWord } from '../../formats/units';

/** "three beds", "one bed". */
export const counted = (n: number, one: string, many = `${one}s`): string =>
  `${countWord(n)} ${n === 1 ? one : many}`;
/** "3 nights", "1 night". */
export const figured = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
export const percent = (share: number): string => `${Math.round(share * 100)} %`;
/** Tenths of a share, as outcomes are counted. */
export const tenths = (share: number): number => Math.round(10 * share);
