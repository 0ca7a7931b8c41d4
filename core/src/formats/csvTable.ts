/**
 * A table that a grower keeps in a spreadsheet. Contract: `tableOf` reads it with its columns named, separated as it may be (comma,
 * semicolon, tab); `cellsOf` reads a row's cells as words, numbers, choices and dates and collects what is wrong with its line.
 */
import Papa from 'papaparse';
import { said, type Said } from '../words/said';

export interface BadRow {
  row: number;
  reason: Said;
}

/**
 * A word that a spreadsheet would run as a formula gets a mark before it, and so does one that begins with the mark.
 * @example marked('=1+1') // '\'=1+1'
 */
export const marked = (word: string) => (/^[=+\-@']/.test(word) ? `'${word}` : word);
/** @example unmarked(marked('=1+1')) // '=1+1' */
export const unmarked = (word: string) => word.replace(/^'(?=[=+\-@'])/, '');

/** @example csvOf(['a', 'b'], [{ a: 1, b: 'x, y' }]) // 'a,b\n1,"x, y"\n' */
export const csvOf = (columns: readonly string[], rows: readonly object[]): string =>
  `${Papa.unparse({ fields: [...columns], data: rows as object[] }, { newline: '\n' })}\n`;

type Cells = Record<string, string>;

/**
 * Rows by column name; where a needed column is missing, that and no rows.
 * @example tableOf('a;b\n1;2', ['a']).rows[0].b // '2'
 */
export function tableOf(text: string, needed: readonly string[]): { rows: Cells[]; badRows: BadRow[] } {
  const parsed = Papa.parse<Cells>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase().replace(/\s+/g, '_'),
  });
  const badRows = needed
    .filter((column) => !(parsed.meta.fields ?? []).includes(column))
    .map((column) => ({ row: 1, reason: said('row.noColumn', { column }) }));
  return { rows: badRows.length > 0 ? [] : parsed.data, badRows };
}

export function cellsOf(cells: Cells, row: number, badRows: BadRow[]) {
  const bad = (reason: Said): void => void badRows.push({ row, reason });
  const word = (column: string) => unmarked((cells[column] ?? '').trim());
  return {
    bad,
    word,
    number(column: string, fallback: number | null, min: number, max: number, whole = false): number {
      const raw = word(column).replace(',', '.');
      if (raw === '' && fallback !== null) return fallback;
      const x = Number(raw);
      if (raw === '' || !(x >= min && x <= max) || (whole && !Number.isInteger(x)))
        bad(said('row.number', { column, whole, min, max }));
      return x;
    },
    oneOf<T extends string>(column: string, of: readonly T[], fallback: T | null): T {
      const raw = word(column).toLowerCase();
      if (raw === '' && fallback !== null) return fallback;
      if (!(of as readonly string[]).includes(raw)) bad(said('row.oneOf', { column, of }));
      return raw as T;
    },
    /** An ISO day; null where the cell is empty and may be. */
    day(column: string, needed: boolean): string | null {
      const raw = word(column);
      if (raw === '' && !needed) return null;
      const ms = /^\d{4}-\d{2}-\d{2}$/.test(raw) ? Date.parse(raw) : NaN;
      // 30 February is a date for Date.parse, and none for a grower
      if (Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== raw)
        bad(said('row.day', { column }));
      return raw;
    },
  };
}
