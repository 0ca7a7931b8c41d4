/**
 * What was found last, for as long as it holds. Contract: `heldWhile` gives a way to ask: under the key of the last asking it answers what that found,
 * also while it is still being found; under another key, or under none, it finds it anew. What failed is found anew.
 */
export function heldWhile<T>(): (key: string | null, find: () => Promise<T>) => Promise<T> {
  let last: { key: string; found: Promise<T> } | null = null;
  return (key, find) => {
    if (key === null) return find();
    if (last?.key === key) return last.found;
    const mine = { key, found: find() };
    last = mine;
    mine.found.catch(() => {
      if (last === mine) last = null;
    });
    return mine.found;
  };
}
