/** Small things of sentences, the same wherever one is made. */

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
