/** From members to bands. Contract: everything here takes plain numbers, one a member, and says where the outcomes lie. */

export interface Band {
  low: number[];
  mid: number[];
  high: number[];
}

/**
 * Sorted sample quantile by linear interpolation. Example: `quantile([1, 2, 4], 0.5)` is 2.
 * @example quantile([1, 2, 3], 0.5) // 2
 */
export function quantile(sorted: readonly number[], q: number): number {
  const x = (sorted.length - 1) * q;
  const i = Math.floor(x);
  const a = sorted[i]!;
  const b = sorted[Math.min(i + 1, sorted.length - 1)]!;
  return a + (x - i) * (b - a);
}

/** @example medianOf([3, 1, 2]) // 2 */
export const medianOf = (values: readonly number[]) =>
  quantile(Float64Array.from(values).sort() as unknown as number[], 0.5);

/** Where 10 and 90 % of all outcomes lie, judged from a few: a sample's own tenths hold too little (Weibull's (n + 1) q). */
function outer(sorted: readonly number[], q: number): number {
  const n = sorted.length;
  return quantile(sorted, n < 2 ? q : Math.min(1, Math.max(0, ((n + 1) * q - 1) / (n - 1))));
}

/**
 * Middle and 80 % band of members, widened by an error of `extraK` that the members do not hold.
 * @example bandOf([1, 2, 3], 0).mid // 2
 */
export function bandOf(values: number[], extraK: number): { low: number; mid: number; high: number } {
  const sorted = Float64Array.from(values).sort() as unknown as number[];
  const mid = quantile(sorted, 0.5);
  const extra = 1.2816 * extraK;
  const lowSide = mid - outer(sorted, 0.1);
  const highSide = outer(sorted, 0.9) - mid;
  return {
    low: mid - Math.hypot(lowSide, extra),
    mid,
    high: mid + Math.hypot(highSide, extra),
  };
}

/**
 * The members' band at every hour.
 * @example bandSeries([[1, 5], [1, 5]], 0).mid // [1, 5]
 */
export function bandSeries(members: readonly ArrayLike<number>[], extraK: number): Band {
  const band: Band = { low: [], mid: [], high: [] };
  for (let i = 0; i < members[0]!.length; i++) {
    const b = bandOf(
      members.map((m) => m[i]!),
      extraK,
    );
    band.low.push(b.low);
    band.mid.push(b.mid);
    band.high.push(b.high);
  }
  return band;
}
