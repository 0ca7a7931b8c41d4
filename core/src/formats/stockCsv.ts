/**
 * Covers in stock as CSV, out and in. Contract: `toStockCsv` and `readStockCsv` are each other's inverse; a bad row is named
 * by its line with the reason, and then nothing is taken.
 */
import { USES } from '../farm/kinds';
import type { Cover } from '../farm/types';
import { MATERIAL_IDS } from '../heat/types';
import { cellsOf, csvOf, marked, tableOf, type BadRow } from './csvTable';
import { said } from '../words/said';

const COLUMNS = [
  'id',
  'name',
  'material',
  'use',
  'plies',
  'length_m',
  'width_m',
  'pieces',
  'minutes',
  'condition',
  'kept_at',
  'made_for',
  'night_c',
  'lower_in',
  'warmer_k',
  'order',
] as const;
type Column = (typeof COLUMNS)[number];

/** @example toStockCsv([aCover()]).split('\n').length > 1 // true */
export function toStockCsv(covers: readonly Cover[]): string {
  const rows = covers.map((c): Record<Column, string | number> => ({
    id: marked(c.id),
    name: marked(c.name),
    material: c.material,
    use: c.use,
    plies: c.plies,
    length_m: c.lengthM,
    width_m: c.widthM,
    pieces: c.count,
    minutes: c.minutes,
    condition: c.condition ?? '',
    kept_at: marked(c.keptAt ?? ''),
    made_for: marked(c.madeFor ?? ''),
    night_c: c.nightC ?? '',
    lower_in: marked(c.lowerIn ?? ''),
    warmer_k: c.warmerK ?? '',
    order: c.order,
  }));
  return csvOf(COLUMNS, rows);
}

export interface StockRead {
  covers: Cover[];
  badRows: BadRow[];
}

const CONDITIONS = ['good', 'worn', 'torn'] as const;

/**
 * Reads what `toStockCsv` wrote, or a table made by hand: only name, material, length, width and pieces are needed.
 * @example readStockCsv(toStockCsv([aCover({ id: 'a' })])).badRows.length // 0
 */
export function readStockCsv(text: string): StockRead {
  const { rows, badRows } = tableOf(text, ['name', 'material', 'length_m', 'width_m', 'pieces']);
  const seen = new Set<string>();
  const covers = rows.map((cells, i): Cover => {
    const { bad, word, number, oneOf } = cellsOf(cells, i + 2, badRows);
    const id = word('id') || `stock-${i + 1}`;
    if (seen.has(id)) bad(said('row.idTwice', { id }));
    seen.add(id);
    if (word('name') === '') bad(said('row.noName'));
    const condition = word('condition') === '' ? undefined : oneOf('condition', CONDITIONS, null);
    return {
      id,
      name: word('name'),
      material: oneOf('material', MATERIAL_IDS, null),
      use: oneOf('use', USES, 'hoops'),
      plies: number('plies', 1, 1, 2, true) as 1 | 2,
      lengthM: number('length_m', null, 0.3, 300),
      widthM: number('width_m', null, 0.2, 30),
      count: number('pieces', null, 0, 999, true),
      minutes: number('minutes', 6, 0, 240),
      ...(condition ? { condition } : {}),
      ...(word('kept_at') ? { keptAt: word('kept_at') } : {}),
      ...(word('made_for') ? { madeFor: word('made_for') } : {}),
      ...(word('night_c') ? { nightC: number('night_c', null, -10, 30) } : {}),
      ...(word('lower_in') ? { lowerIn: word('lower_in') } : {}),
      ...(word('warmer_k') ? { warmerK: number('warmer_k', null, 0, 8) } : {}),
      order: number('order', i, -1e6, 1e6, true),
    };
  });
  return { covers: badRows.length > 0 ? [] : covers, badRows };
}
