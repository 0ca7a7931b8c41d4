/** How English counts and joins. */

const NUMBER_WORDS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/**
 * "three" up to twelve, digits beyond.
 * @example countWord(3) // 'three'
 */
export function countWord(n: number): string {
  return NUMBER_WORDS[n] ?? String(n);
}

/** "three beds", "one bed". */
export const counted = (n: number, one: string, many = `${one}s`): string =>
  `${countWord(n)} ${n === 1 ? one : many}`;
/** "3 nights", "1 night". */
export const figured = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
export const percent = (share: number): string => `${Math.round(share * 100)} %`;
/** Tenths of a share, as outcomes are counted. */
export const tenths = (share: number): number => Math.round(10 * share);

/**
 * "N2, N3 and S1".
 * @example joined(['N1', 'N2', 'S1']) // 'N1, N2 and S1'
 */
export const joined = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/**
 * The first letter large.
 * @example upper('cover N2') // 'Cover N2'
 */
export const upper = (text: string): string => text.replace(/^./, (c) => c.toUpperCase());
