/**
 * Running to flower, while it can still be avoided. Contract: `boltingOf` gives the share of years in which what is begun on a day runs to
 * flower (or makes buttons) before its first picking, and the nearest day within a month on which it does so half as often and
 * comes off no worse; null where it hardly happens.
 */
import { YEAR_DAYS } from '../climate/climate';
import type { DateRow } from './dates';

export interface Bolting {
  share: number;
  /** Days later (or sooner, under 0) and the share then; null where no day near is better. */
  better: { days: number; share: number } | null;
}

/** Under this it is not said. */
const SAID_FROM = 0.1;
const WITHIN_DAYS = 30;

/** @example boltingOf([], 10) // null */
export function boltingOf(rows: readonly DateRow[], day: number): Bolting | null {
  /** Days from `day` to a row's, the short way round the year. */
  const away = (r: DateRow) =>
    ((r.day - day + YEAR_DAYS + YEAR_DAYS / 2) % YEAR_DAYS) - Math.floor(YEAR_DAYS / 2) - 0.5;
  const near = [...rows].sort((a, b) => Math.abs(away(a)) - Math.abs(away(b)));
  const here = near[0];
  if (!here || here.bolted < SAID_FROM) return null;
  const better = near.find(
    (r) => Math.abs(away(r)) <= WITHIN_DAYS && r.bolted <= here.bolted / 2 && r.success >= here.success,
  );
  return {
    share: here.bolted,
    better: better ? { days: Math.round(away(better)), share: better.bolted } : null,
  };
}
