/**
 * Covers in stock as CSV, out and in. Contract: `toStockCsv` and `readStockCsv` are each other's inverse; a bad row is named
 * by its line with the reason, and then nothing is taken.
 */
import Papa from 'papaparse';
import type { Cover } from '../farm/types';
import { MATERIAL_IDS } from '../heat/types';

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
  'order',
] as const;
type Column = (typeof COLUMNS)[number];

/** A word that a spreadsheet would run as a formula gets a mark before it, and so does one that begins with the mark. */
const marked = (word: string) => (/^[=+\-@']/.test(word) ? `'${word}` : word);
const unmarked = (word: string) => word.replace(/^'(?=[=+\-@'])/, '');

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
    order: c.order,
  }));
  return `${Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\n' })}\n`;
}

export interface StockRead {
  covers: Cover[];
  badRows: { row: number; reason: string }[];
}

const USES = ['hoops', 'flat', 'over'] as const;
const CONDITIONS = ['good', 'worn', 'torn'] as const;

/** Reads what `toStockCsv` wrote, or a table made by hand: only name, material, length, width and pieces are needed. */
export function readStockCsv(text: string): StockRead {
  const parsed = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase().replace(/\s+/g, '_'),
  });
  const badRows: StockRead['badRows'] = [];
  for (const column of ['name', 'material', 'length_m', 'width_m', 'pieces']) {
    if (!(parsed.meta.fields ?? []).includes(column))
      badRows.push({ row: 1, reason: `${column}: expected a column of that name` });
  }
  if (badRows.length > 0) return { covers: [], badRows };
  const seen = new Set<string>();
  const covers = parsed.data.map((cells, i): Cover => {
    const row = i + 2;
    const bad = (reason: string) => badRows.push({ row, reason });
    const word = (column: Column) => unmarked((cells[column] ?? '').trim());
    const number = (column: Column, fallback: number | null, min: number, max: number, whole = false) => {
      const raw = word(column).replace(',', '.');
      if (raw === '' && fallback !== null) return fallback;
      const x = Number(raw);
      if (raw === '' || !(x >= min && x <= max) || (whole && !Number.isInteger(x)))
        bad(`${column}: expected a ${whole ? 'whole ' : ''}number from ${min} to ${max}`);
      return x;
    };
    const oneOf = <T extends string>(column: Column, of: readonly T[], fallback: T | null): T => {
      const raw = word(column).toLowerCase();
      if (raw === '' && fallback !== null) return fallback;
      if (!(of as readonly string[]).includes(raw)) bad(`${column}: expected one of ${of.join(', ')}`);
      return raw as T;
    };
    const id = word('id') || `stock-${i + 1}`;
    if (seen.has(id)) bad(`id: expected one that no other row has, not ${id}`);
    seen.add(id);
    if (word('name') === '') bad('name: expected a name');
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
      order: number('order', i, -1e6, 1e6, true),
    };
  });
  return { covers: badRows.length > 0 ? [] : covers, badRows };
}
