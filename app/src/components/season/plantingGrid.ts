/**
 * A table of plantings as it is typed, plain data. Contract: `gridOf` makes rows of words of what is kept; `typed`, `pasted` and `filled`
 * give the rows after a cell, a spreadsheet's block or a fill downwards; `readGrid` what is wrong, cell by cell, and the CSV of
 * what changed. The last row is always empty: what is typed there is a new planting.
 */
import { dayTyped } from '../ui/dateTyped';
import {
  csvOf,
  cropNamed,
  cropById,
  CROPS,
  RESTS,
  STORED,
  marked,
  readPlantingsCsv,
  tableOf,
  toPlantingsCsv,
  unmarked,
  type BedOf,
  type Planting,
} from '@fogata/core';
import { plantingGrid as texts } from '@fogata/words/en/screens/season';
import { PLAIN, told } from '@fogata/core/words';

export const GRID_COLUMNS = [
  { id: 'bed', title: texts.bed, wide: 1 },
  { id: 'crop', title: texts.crop, wide: 1.6 },
  { id: 'cultivar', title: texts.cultivar, wide: 1.4 },
  { id: 'how', title: texts.how, wide: 1 },
  { id: 'planted_on', title: texts.inTheGroundOn, wide: 1.3 },
  { id: 'cleared_on', title: texts.clearBy, wide: 1.3 },
  { id: 'from_row', title: texts.row, wide: 0.6 },
  { id: 'to_row', title: texts.toRow, wide: 0.7 },
  { id: 'note', title: texts.note, wide: 1.6 },
] as const;
export type GridColumn = (typeof GRID_COLUMNS)[number]['id'];

export interface GridRow {
  /** Of a planting that is kept; empty of a new one. */
  id: string;
  cells: Readonly<Record<string, string>>;
  /** As it is kept; null of a new one. */
  kept: Readonly<Record<string, string>> | null;
}
export interface At {
  row: number;
  col: number;
}

const EMPTY: GridRow = { id: '', cells: {}, kept: null };
export const isEmpty = (r: GridRow): boolean => Object.values(r.cells).every((c) => c.trim() === '');
export const isChanged = (r: GridRow): boolean =>
  r.kept === null ? !isEmpty(r) : GRID_COLUMNS.some((c) => (r.cells[c.id] ?? '') !== (r.kept![c.id] ?? ''));

const closed = (rows: readonly GridRow[]): GridRow[] => {
  const last = rows.at(-1);
  return last && last.kept === null && isEmpty(last) ? [...rows] : [...rows, EMPTY];
};

export function gridOf(plantings: readonly Planting[], beds: readonly BedOf[]): GridRow[] {
  const { rows } = tableOf(toPlantingsCsv(plantings, beds), []);
  const named = rows.map((cells, i): GridRow => {
    const words = Object.fromEntries(Object.entries(cells).map(([k, v]) => [k, unmarked(v)]));
    const own = {
      ...words,
      crop: cropById(cells['crop']!).name,
    } as Record<string, string>;
    return { id: plantings[i]!.id, cells: own, kept: own };
  });
  return closed(named);
}

/** Without capitals and accents: a keyboard may have none. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** The one that begins as it is typed; else as it was typed. */
function only(text: string, of: readonly string[]): string {
  const low = plain(text);
  const same = of.find((x) => plain(x) === low);
  const begun = of.filter((x) => plain(x).startsWith(low));
  return same ?? (begun.length === 1 ? begun[0]! : text);
}

/** What a cell comes to: names made whole, a day as it is kept. */
export function completed(col: GridColumn, text: string, beds: readonly BedOf[], today: string): string {
  const word = text.trim();
  if (word === '') return '';
  if (col === 'bed')
    return only(
      word,
      beds.map((b) => b.name),
    );
  if (col === 'crop') {
    const known = cropNamed(word);
    return known
      ? cropById(known).name
      : only(
          word,
          [...CROPS, ...RESTS, ...STORED].map((c) => c.name),
        );
  }
  if (col === 'how') return only(word, ['sow', 'transplant']);
  return col === 'planted_on' || col === 'cleared_on' ? dayTyped(word, today) : word;
}

type Complete = (col: GridColumn, text: string) => string;

export function typed(
  rows: readonly GridRow[],
  { row, col }: At,
  text: string,
  complete: Complete,
): GridRow[] {
  const id = GRID_COLUMNS[col]!.id;
  return closed(
    rows.map((r, i) => {
      if (i !== row) return r;
      // in another bed it is as long as that bed: its length has no column of its own here
      const anew: Record<string, string> =
        id === 'bed' && complete(id, text) !== r.cells['bed'] ? { length_m: '' } : {};
      return { ...r, cells: { ...r.cells, ...anew, [id]: complete(id, text) } };
    }),
  );
}

/** A spreadsheet's block from a cell on: tabs between columns, lines down, new rows where it goes past the last. */
export function pasted(rows: readonly GridRow[], at: At, text: string, complete: Complete): GridRow[] {
  let out = [...rows];
  const lines = text.replace(/\r/g, '').replace(/\n$/, '').split('\n');
  lines.forEach((line, down) => {
    line.split('\t').forEach((cell, across) => {
      const col = at.col + across;
      if (col < GRID_COLUMNS.length) out = typed(out, { row: at.row + down, col }, cell, complete);
    });
  });
  return out;
}

/** The first of some rows of a column, in all below it. */
export function filled(rows: readonly GridRow[], from: number, to: number, col: number): GridRow[] {
  const id = GRID_COLUMNS[col]!.id;
  const first = rows[from]?.cells[id] ?? '';
  return closed(rows.map((r, i) => (i > from && i <= to ? { ...r, cells: { ...r.cells, [id]: first } } : r)));
}

/** A block of cells as a spreadsheet takes it. */
export const copied = (rows: readonly GridRow[], from: At, to: At): string =>
  rows
    .slice(from.row, to.row + 1)
    .map((r) =>
      GRID_COLUMNS.slice(from.col, to.col + 1)
        .map((c) => r.cells[c.id] ?? '')
        .join('\t'),
    )
    .join('\n');

export interface GridRead {
  /** Of what changed, as it is sent; empty where nothing did. */
  csv: string;
  changed: number;
  /** What is expected, by "row column". */
  wrong: Map<string, string>;
}

export function readGrid(
  rows: readonly GridRow[],
  beds: readonly BedOf[],
  plantings: readonly Planting[],
  today: string,
): GridRead {
  const mine = rows.map((r, i) => ({ r, i })).filter(({ r }) => isChanged(r));
  const columns = ['id', ...GRID_COLUMNS.map((c) => c.id), 'length_m', 'aim'];
  const csv = csvOf(
    columns,
    mine.map(({ r }) => ({
      ...Object.fromEntries(Object.entries(r.cells).map(([k, v]) => [k, k === 'how' ? v : marked(v)])),
      id: r.id,
    })),
  );
  const wrong = new Map<string, string>();
  const { badRows } = readPlantingsCsv(csv, beds, plantings, today, (line) => `new-${line}`);
  for (const b of badRows) {
    const [column, ...rest] = told(b.reason, PLAIN).split(': ');
    const at = mine[b.row - 2];
    if (at && column) wrong.set(`${at.i} ${column}`, rest.join(': '));
  }
  return { csv: mine.length > 0 ? csv : '', changed: mine.length, wrong };
}
