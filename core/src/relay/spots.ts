/**
 * Rows for what is to be begun. Contract: `spotsFor` gives rows that are free from one day to another in the beds of a structure, as few
 * pieces as will hold so many metres, and the metres that find no room; nothing that stands or is planned is touched.
 */
import type { Planting } from '../farm/types';
import { meet } from './again';
import type { RelayBed } from './year';

export type Rows = Pick<Planting, 'bedId' | 'fromRow' | 'toRow' | 'plantedOn' | 'clearedOn'>;

export interface Spot {
  bedId: string;
  name: string;
  fromRow: number;
  toRow: number;
  lengthM: number;
}

/** Runs of free rows of a bed, from its first row on. */
function runs(bed: RelayBed, taken: readonly Rows[], from: string, to: string): [number, number][] {
  const free = Array.from({ length: bed.rows }, (_, i) => i + 1).filter(
    (row) =>
      !taken.some((t) =>
        meet(t, { bedId: bed.id, fromRow: row, toRow: row, plantedOn: from, clearedOn: to }),
      ),
  );
  const out: [number, number][] = [];
  for (const row of free) {
    const last = out.at(-1);
    if (last && last[1] === row - 1) last[1] = row;
    else out.push([row, row]);
  }
  return out;
}

/**
 * Metres of row of a structure that nothing stands in from one day to another.
 * @example freeMetres([aBedOf('a', { rows: 4, lengthM: 10 })], [], 'house', '2027-03-01', '2027-04-01') // 40
 */
export const freeMetres = (
  beds: readonly RelayBed[],
  taken: readonly Rows[],
  structureId: string,
  from: string,
  to: string,
): number =>
  beds
    .filter((b) => b.structureId === structureId)
    .reduce(
      (sum, b) => sum + runs(b, taken, from, to).reduce((s, [x, y]) => s + (y - x + 1) * b.lengthM, 0),
      0,
    );

/** Metres short of this are not worth a row. */
const LEAST_M = 0.3;

/**
 * Whole rows while they are needed, the last one as long as it has to be.
 * @example spotsFor([{ id: 'b', structureId: 'house', rows: 4, lengthM: 10 }], [], 'house', 15, '2027-03-01', '2027-06-01').leftM // 0
 */
export function spotsFor(
  beds: readonly RelayBed[],
  taken: readonly Rows[],
  structureId: string,
  metres: number,
  from: string,
  to: string,
): { spots: Spot[]; leftM: number } {
  const here = beds
    .filter((b) => b.structureId === structureId)
    .flatMap((bed) =>
      runs(bed, taken, from, to).map(([a, b]) => ({ bed, a, b, m: (b - a + 1) * bed.lengthM })),
    );
  // one piece that holds it all, the smallest such; else the largest first
  const whole = here.filter((r) => r.m >= metres - 1e-9).sort((x, y) => x.m - y.m)[0];
  const order = whole ? [whole] : here.sort((x, y) => y.m - x.m);
  const spots: Spot[] = [];
  let left = metres;
  for (const { bed, a, b } of order) {
    if (left < LEAST_M) break;
    const rows = Math.min(b - a + 1, Math.ceil(left / bed.lengthM - 1e-9));
    const lengthM = Math.min(bed.lengthM, Math.ceil((left / rows) * 10 - 1e-9) / 10);
    spots.push({ bedId: bed.id, name: bed.name, fromRow: a, toRow: a + rows - 1, lengthM });
    left -= rows * lengthM;
  }
  return { spots, leftM: left < LEAST_M ? 0 : left };
}
