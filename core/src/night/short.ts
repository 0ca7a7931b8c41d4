/**
 * Sheets that a night would use beyond those there are. Contract: each bed by itself takes what is best for it, whatever the others take; what that
 * comes to over the stock is short, with what it would save: what to buy or cut, and no more than that.
 */
import { workCost } from './choose';
import type { PlannedBed } from './planned';

export interface Short {
  /** By cover: pieces that are wanted and not there. */
  missing: Map<string, number>;
  /** Money that the beds would lose less if they were there. */
  saves: number;
}

/** @example sheetsShort([{ loss: { bare: 9, a: 1 }, minutes: {}, laterMinutes: {}, chosen: 'bare', options: [{ key: 'bare', pieces: {} }, { key: 'a', pieces: { a: 2 } }] }], [{ id: 'a', count: 1 }], 12).missing.get('a') // 1 */
export function sheetsShort(
  beds: readonly PlannedBed[],
  stock: readonly { id: string; count: number }[],
  ratePerHour: number,
): Short {
  const wanted = new Map<string, number>();
  let saves = 0;
  for (const b of beds) {
    const cost = (o: PlannedBed['options'][number]) =>
      (b.loss[o.key] ?? Infinity) +
      workCost(
        { ...o, loss: 0, minutes: b.minutes[o.key] ?? 0, laterMinutes: b.laterMinutes[o.key] ?? 0 },
        ratePerHour,
      );
    const best = b.options.reduce<PlannedBed['options'][number] | null>(
      (a, o) => (a === null || cost(o) < cost(a) ? o : a),
      null,
    );
    if (!best) continue;
    for (const [id, n] of Object.entries(best.pieces)) wanted.set(id, (wanted.get(id) ?? 0) + n);
    const now = b.options.find((o) => o.key === b.chosen);
    if (now) saves += Math.max(0, cost(now) - cost(best));
  }
  const missing = new Map<string, number>();
  for (const [id, n] of wanted) {
    const over = n - (stock.find((c) => c.id === id)?.count ?? 0);
    if (over > 0) missing.set(id, over);
  }
  return { missing, saves: missing.size > 0 ? saves : 0 };
}
