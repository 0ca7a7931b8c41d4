/**
 * Plantings as CSV, out and in. Contract: `toPlantingsCsv` and `readPlantingsCsv` are each other's inverse, but for what was done of a
 * planting's steps, which is the log's; a bad row is named by its line with the reason, and then nothing is taken. A row without
 * an id is a new planting; what the table does not have stays as it is.
 */
import { AIMS, cropById, cropNamed } from '../crops/crops';
import { PICKED } from '../crops/picked';

import type { Bed, Planting } from '../farm/types';
import { addDays } from '../time/farmTime';
import { cellsOf, csvOf, marked, tableOf, type BadRow } from './csvTable';
import { said } from '../words/said';

export const PLANTING_COLUMNS = [
  'id',
  'bed',
  'crop',
  'cultivar',
  'from_row',
  'to_row',
  'length_m',
  'planted_on',
  'cleared_on',
  'how',
  'aim',
  'picked',
  'for_seed',
  'note',
] as const;

/** A bed's name; its id where another bed is called the same. */
function saidOf(bedId: string, beds: readonly BedOf[]): string {
  const name = beds.find((b) => b.id === bedId)?.name;
  const called = beds.filter((b) => b.name.toLowerCase() === name?.toLowerCase());
  return name !== undefined && called.length === 1 ? name : bedId;
}

/** What of a bed a row needs. */
export type BedOf = Pick<Bed, 'id' | 'name' | 'rows' | 'lengthM'>;

/** @example toPlantingsCsv([], []).split(',')[0] // 'id' */
export function toPlantingsCsv(plantings: readonly Planting[], beds: readonly BedOf[]): string {
  return csvOf(
    PLANTING_COLUMNS,
    plantings.map((p) => ({
      id: marked(p.id),
      bed: marked(saidOf(p.bedId, beds)),
      crop: p.crop,
      cultivar: marked(p.cultivar),
      from_row: p.fromRow,
      to_row: p.toRow,
      length_m: p.lengthM,
      planted_on: p.plantedOn,
      cleared_on: p.clearedOn ?? '',
      how: p.how ?? '',
      aim: p.aim,
      picked: p.picked ?? '',
      for_seed: p.forSeed ? 'yes' : '',
      note: marked(p.note),
    })),
  );
}

export interface PlantingsRead {
  plantings: Planting[];
  badRows: BadRow[];
}

const NEEDED = ['bed', 'crop', 'planted_on'];
const HOWS = ['sow', 'transplant'] as const;

/**
 * Only bed, crop and the day are needed: the rest is the bed's length, all its rows, the crop's aim. `newId` names a row that has no
 * id; `known` are the plantings that are there, whose steps stay; one with a day after `today` that is new is planned.
 * @example readPlantingsCsv('bed,crop,planted_on\nB,spinach,2027-03-01', [aBed({ id: 'b', name: 'B' })], [], '2027-01-14', () => 'p').plantings[0].planned // true
 */
export function readPlantingsCsv(
  text: string,
  beds: readonly BedOf[],
  known: readonly Planting[],
  today: string,
  newId: (line: number) => string,
): PlantingsRead {
  const { rows, badRows } = tableOf(text, NEEDED);
  const seen = new Set<string>();
  const plantings = rows.flatMap((cells, i): Planting[] => {
    const row = i + 2;
    const { bad, word, number, oneOf, day } = cellsOf(cells, row, badRows);
    const asked = word('bed').toLowerCase();
    const named = beds.filter((b) => b.name.toLowerCase() === asked);
    const bed = beds.find((b) => b.id === word('bed')) ?? (named.length === 1 ? named[0] : undefined);
    const crop = cropNamed(word('crop'));
    if (!bed)
      bad(
        named.length > 1
          ? said('row.bedOf', { beds: named.length, bed: word('bed') })
          : said('row.bed', { bed: word('bed') }),
      );
    if (crop === null) bad(said('row.crop', { crop: word('crop') }));
    const id = word('id') || newId(row);
    if (seen.has(id)) bad(said('row.idTwice', { id }));
    seen.add(id);
    const plantedOn = day('planted_on', true)!;
    const clearedOn = day('cleared_on', false);
    if (clearedOn !== null && clearedOn < plantedOn) bad(said('row.clearedBefore'));
    const picked = word('picked') === '' ? undefined : oneOf('picked', PICKED, null);
    const seed = word('for_seed') === '' ? 'no' : oneOf('for_seed', ['yes', 'no'] as const, null);
    const how = word('how') === '' ? undefined : oneOf('how', HOWS, null);
    if (!bed || crop === null) return [];
    const before = known.find((p) => p.id === id);
    // a table of before these columns says nothing of them
    const way = cells['picked'] === undefined ? before?.picked : picked;
    const forSeed = cells['for_seed'] === undefined ? before?.forSeed : seed === 'yes';
    const fromRow = number('from_row', 1, 1, bed.rows, true);
    const planned = before ? before.planned === true && plantedOn >= addDays(today, -42) : plantedOn > today;
    return [
      {
        id,
        bedId: bed.id,
        crop,
        cultivar: word('cultivar'),
        fromRow,
        toRow: number('to_row', bed.rows, Math.max(1, fromRow || 1), bed.rows, true),
        lengthM: number('length_m', bed.lengthM, 0.1, bed.lengthM),
        plantedOn,
        clearedOn,
        aim: oneOf('aim', AIMS, cropById(crop!).aim),
        note: word('note'),
        ...(how ? { how } : {}),
        ...(way ? { picked: way } : {}),
        ...(forSeed ? { forSeed } : {}),
        ...(planned ? { planned: true } : {}),
        ...(before?.done ? { done: before.done } : {}),
      },
    ];
  });
  return { plantings: badRows.length > 0 ? [] : plantings, badRows };
}
