/**
 * What each act of an evening is worth. Contract: `worthOfSheets` shares what a stack saves among the sheets that are laid
 * for it, so that the shares add up to the whole; `moneyOf` says of a plan what it saves, and what is lost either way.
 */
import type { Cover } from '../farm/types';

/**
 * The saving of each of `fresh` over `kept`, in money, in their order: the mean over every order of laying them (Shapley's
 * value), so that two layers on a bed never both claim what they save together. `lossOf` gives the expected loss under a
 * set of covers, null where it was not worked out: then the whole is shared alike. At most four sheets.
 * @example worthOfSheets([], ['a'], (covers) => (covers.length > 0 ? 2 : 10)) // [8]
 */
export function worthOfSheets(
  kept: readonly Cover[],
  fresh: readonly Cover[],
  lossOf: (covers: readonly Cover[]) => number | null,
): number[] {
  const none = lossOf(kept);
  const all = lossOf([...kept, ...fresh]);
  if (none === null || all === null) return fresh.map(() => 0);
  const alike = fresh.map(() => (none - all) / fresh.length);
  if (fresh.length < 2 || fresh.length > 4) return alike;
  const sums = fresh.map(() => 0);
  const orders = permutations(fresh.map((_, i) => i));
  for (const order of orders) {
    const laid: Cover[] = [];
    let before = none;
    for (const i of order) {
      laid.push(fresh[i]!);
      const after = lossOf([...kept, ...laid]);
      if (after === null) return alike;
      sums[i] = sums[i]! + before - after;
      before = after;
    }
  }
  return sums.map((s) => s / orders.length);
}

function permutations(list: readonly number[]): number[][] {
  if (list.length < 2) return [[...list]];
  return list.flatMap((x, i) => permutations(list.filter((_, j) => j !== i)).map((rest) => [x, ...rest]));
}

/**
 * Of beds with their expected loss as they stand and as planned: what is saved, and what is lost either way.
 * @example moneyOf([{ asItIs: 10, asPlanned: 4 }, { asItIs: 2, asPlanned: 2 }]) // { saved: 6, eitherWay: 6 }
 */
export function moneyOf(beds: readonly { asItIs: number; asPlanned: number }[]): {
  saved: number;
  eitherWay: number;
} {
  return {
    saved: beds.reduce((s, b) => s + Math.max(0, b.asItIs - b.asPlanned), 0),
    eitherWay: beds.reduce((s, b) => s + Math.min(b.asItIs, b.asPlanned), 0),
  };
}
