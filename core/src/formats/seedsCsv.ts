/**
 * Cultivars and seed lots as CSV, out and in; the library in. Contract: `toX` and `readX` are each other's inverse; a bad row is named by its
 * line with the reason, and then nothing is taken. Figures have the library's columns; an empty cell is the book's. `readLibraryCsv`
 * takes what `libraryCsv` wrote and was changed: of each crop what differs becomes the farm's own figures for all of it.
 */
import { cropById, cropNamed } from '../crops/crops';
import type { Cultivar, SeedLot } from '../crops/cultivars';
import { FIGURES, figureById, figuresProblem, type Figures } from '../crops/figures';
import { cellsOf, csvOf, marked, tableOf, type BadRow } from './csvTable';
import { said, type Said } from '../words/said';

const LIKED = ['yes', 'plain', 'never'] as const;

/**
 * Cultivars as a table, one a row, in the library's columns.
 * @example toCultivarsCsv([]).split(',').slice(0, 3) // ['id', 'crop', 'name']
 */
export function toCultivarsCsv(cultivars: readonly Cultivar[]): string {
  const columns = ['id', 'crop', 'name', 'liked', ...FIGURES.map((f) => f.id), 'note'];
  return csvOf(
    columns,
    cultivars.map((c) => ({
      ...c.figures,
      id: marked(c.id),
      crop: c.crop,
      name: marked(c.name),
      liked: c.liked,
      note: marked(c.note),
    })),
  );
}

/** A number may be written with a comma; an empty cell says nothing. */
function figuresOf(cells: Record<string, string>, bad: (reason: Said) => void): Record<string, number> {
  const out: Record<string, number> = {};
  for (const f of FIGURES) {
    const raw = (cells[f.id] ?? '').trim().replace(',', '.').replace('−', '-');
    if (raw === '') continue;
    const x = Number(raw);
    if (Number.isFinite(x)) out[f.id] = x;
    else bad(said('row.figure', { column: f.id, raw }));
  }
  return out;
}

export interface CultivarsRead {
  cultivars: Cultivar[];
  badRows: BadRow[];
}

/** @example readCultivarsCsv('crop,name\nspinach,Brasa', () => 'c').cultivars.length // 1 */
export function readCultivarsCsv(text: string, newId: (line: number) => string): CultivarsRead {
  const { rows, badRows } = tableOf(text, ['crop', 'name']);
  const seen = new Set<string>();
  const cultivars = rows.flatMap((cells, i): Cultivar[] => {
    const { bad, word, oneOf } = cellsOf(cells, i + 2, badRows);
    const crop = cropNamed(word('crop'));
    if (crop === null) {
      bad(said('row.crop', { crop: word('crop') }));
      return [];
    }
    const name = word('name').slice(0, 60);
    const key = `${crop} ${name.toLowerCase()}`;
    if (seen.has(key)) bad(said('row.nameTwice', { crop, name }));
    seen.add(key);
    const figures = figuresOf(cells, bad);
    const wrong = figuresProblem(cropById(crop), figures);
    if (wrong) bad(said('row.expected', wrong));
    return [
      {
        id: word('id') || newId(i + 2),
        crop,
        name,
        figures,
        liked: oneOf('liked', LIKED, 'plain'),
        note: word('note').slice(0, 500),
      },
    ];
  });
  return { cultivars: badRows.length > 0 ? [] : cultivars, badRows };
}

/** A change too small to be one: tables are written with two digits. */
const SAME = 0.005;

/**
 * What a changed library differs by from the book, crop by crop; crops that it does not name stay as the book has them.
 * @example readLibraryCsv('id,death_hard_c\nspinach,-16', () => 'x').cultivars[0].figures // { death_hard_c: -16 }
 */
export function readLibraryCsv(text: string, newId: (line: number) => string): CultivarsRead {
  const { rows, badRows } = tableOf(text, ['id']);
  const cultivars = rows.flatMap((cells, i): Cultivar[] => {
    const { bad, word } = cellsOf(cells, i + 2, badRows);
    const id = cropNamed(word('id'));
    if (id === null) {
      bad(said('row.cropId', { id: word('id') }));
      return [];
    }
    const crop = cropById(id);
    const all = figuresOf(cells, bad);
    const figures: Figures = Object.fromEntries(
      Object.entries(all).filter(([f, x]) => {
        const book = figureById(f)!.of(crop);
        return book === null || Math.abs(book - x) > SAME;
      }),
    );
    const wrong = figuresProblem(crop, figures);
    if (wrong) bad(said('row.expected', wrong));
    if (Object.keys(figures).length === 0) return [];
    return [{ id: newId(i + 2), crop: id, name: '', figures, liked: 'plain', note: '' }];
  });
  return { cultivars: badRows.length > 0 ? [] : cultivars, badRows };
}

const LOT_COLUMNS = [
  'id',
  'crop',
  'cultivar',
  'year',
  'tested_share',
  'tested_on',
  'grams',
  'seeds',
  'note',
] as const;

/**
 * Seed lots as a table, one a row.
 * @example toLotsCsv([]).split(',').slice(0, 3) // ['id', 'crop', 'cultivar']
 */
export function toLotsCsv(lots: readonly SeedLot[]): string {
  return csvOf(
    LOT_COLUMNS,
    lots.map((l) => ({
      id: marked(l.id),
      crop: l.crop,
      cultivar: marked(l.cultivar),
      year: l.year,
      tested_share: l.tested?.share ?? '',
      tested_on: l.tested?.on ?? '',
      grams: l.grams ?? '',
      seeds: l.seeds ?? '',
      note: marked(l.note),
    })),
  );
}

export interface LotsRead {
  lots: SeedLot[];
  badRows: BadRow[];
}

/** @example readLotsCsv('crop,year\nspinach,2026', () => 'l').lots.length // 1 */
export function readLotsCsv(text: string, newId: (line: number) => string): LotsRead {
  const { rows, badRows } = tableOf(text, ['crop', 'year']);
  const seen = new Set<string>();
  const lots = rows.flatMap((cells, i): SeedLot[] => {
    const { bad, word, number, day } = cellsOf(cells, i + 2, badRows);
    const crop = cropNamed(word('crop'));
    if (crop === null) {
      bad(said('row.crop', { crop: word('crop') }));
      return [];
    }
    const id = word('id') || newId(i + 2);
    if (seen.has(id)) bad(said('row.idTwice', { id }));
    seen.add(id);
    const maybe = (column: string, max: number, whole = false) =>
      word(column) === '' ? null : number(column, null, 0, max, whole);
    const share = maybe('tested_share', 1);
    const on = day('tested_on', share !== null);
    if (share === null && on !== null) bad(said('row.testedShare'));
    return [
      {
        id,
        crop,
        cultivar: word('cultivar').slice(0, 60),
        year: number('year', null, 1980, 2200, true),
        tested: share !== null && on !== null ? { share, on } : null,
        grams: maybe('grams', 1e6),
        seeds: maybe('seeds', 1e9, true),
        note: word('note').slice(0, 500),
      },
    ];
  });
  return { lots: badRows.length > 0 ? [] : lots, badRows };
}
