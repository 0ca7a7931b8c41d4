/**
 * The board's year, as plain data. Contract: `yearOf` makes of what the server knows and of what was moved here a year to check and to draw; strips
 * that are as they were are the same objects, so that only what moved is looked at anew. `movedBy` moves a planting with its
 * clearing; `lanesOf` gives a bed's rows as they are shared.
 */
import type { RelayView } from '@fogata/contract/told';
import { addDays, cropOf, isCrop, kindOf, type Planting } from '@fogata/core';
import {
  dayOf,
  sharedRows,
  strip,
  type Outlook,
  type Refilling,
  type RelayYear,
  type Strip,
} from '@fogata/core/relay';
import { newId } from '../../data/id';
import { howOf } from '@fogata/core/season';

/** Plantings as they are on the board: moved here, and not yet said by the server. */
export type Moved = ReadonlyMap<string, Planting>;

const made = new WeakMap<Planting, { outlook: Outlook | null; strip: Strip }>();

export function yearOf(view: RelayView, moved: Moved): RelayYear {
  const outlooks = new Map(view.outlooks.map((o) => [`${o.structureId} ${o.crop} ${o.how}`, o]));
  const bedOf = new Map(view.beds.map((b) => [b.id, b]));
  const there = new Set(view.plantings.map((p) => p.id));
  // what was added here and is not with the server yet
  const added = [...moved.values()].filter((p) => !there.has(p.id));
  const strips = [...view.plantings, ...added].flatMap((kept): Strip[] => {
    const planting = moved.get(kept.id) ?? kept;
    const bed = bedOf.get(planting.bedId);
    if (!bed) return [];
    const crop = cropOf(planting);
    const how = howOf(planting, crop);
    const outlook = outlooks.get(`${bed.structureId} ${kindOf(planting)} ${how}`) ?? null;
    const known = made.get(planting);
    if (known?.outlook === outlook) return [known.strip];
    const s = strip(planting, crop, how, outlook);
    made.set(planting, { outlook, strip: s });
    return [s];
  });
  return {
    latitude: view.latitude,
    today: dayOf(view.today),
    beds: view.beds,
    strips,
    demand: view.demand,
    cells: view.cells,
    risk: view.risk,
  };
}

/** What stands whose years are known, of all; null where all are, or where no more of them will be. While they are not, nothing is said of the whole. */
export function yetToKnow(view: RelayView, { strips }: RelayYear): { known: number; all: number } | null {
  const known = strips.filter((s) => s.odds !== null).length;
  return view.progress.state === 'ready' || known === strips.length ? null : { known, all: strips.length };
}

/** A planting's strip as it would be elsewhere or on another day, by what the place is known to do. */
export function remakeIn(view: RelayView): (p: Planting) => Strip {
  const bedOf = new Map(view.beds.map((b) => [b.id, b]));
  return (p) => {
    const crop = cropOf(p);
    const how = howOf(p, crop);
    const at = bedOf.get(p.bedId)?.structureId;
    const outlook = view.outlooks.find((o) => o.structureId === at && o.crop === kindOf(p) && o.how === how);
    return strip(p, crop, how, outlook ?? null);
  };
}

/** What may be begun in a planting's rows: crops whose odds are known in its place. */
export function refillingIn(view: RelayView, s: Strip): Refilling {
  const at = view.beds.find((b) => b.id === s.planting.bedId)?.structureId;
  const crops = new Set(
    view.outlooks.filter((o) => o.structureId === at && isCrop(o.crop)).map((o) => o.crop),
  );
  return { newId, crops: [...crops] };
}

/** Whether it may be moved at all: what is in the ground stays where it is, only its clearing is still open. */
export const mayMove = (p: Planting): boolean => p.planned === true;

/** A planting so many days on, its clearing with it; of what stands, the clearing alone. */
export function movedBy(
  p: Planting,
  days: number,
  edge: 'all' | 'end',
  today: string,
  end: string,
): Planting {
  if (edge === 'end' || !mayMove(p)) {
    const to = addDays(p.clearedOn ?? end, days);
    const first = addDays(p.plantedOn > today ? p.plantedOn : today, 1);
    return { ...p, clearedOn: to < first ? first : to };
  }
  const first = addDays(today, 1);
  const wanted = addDays(p.plantedOn, days);
  const plantedOn = wanted < first ? first : wanted;
  const by = Math.round((Date.parse(plantedOn) - Date.parse(p.plantedOn)) / 86_400_000);
  return { ...p, plantedOn, clearedOn: p.clearedOn === null ? null : addDays(p.clearedOn, by) };
}

export interface Lane {
  fromRow: number;
  toRow: number;
  strips: Strip[];
}

/** A bed's rows by the plantings that share them: those of the same rows follow each other on one line. */
export function lanesOf(
  bed: { id: string; rows: number },
  strips: readonly Strip[],
  from: number,
  to: number,
): Lane[] {
  const own = strips.filter((s) => s.planting.bedId === bed.id && s.endDay > from && s.startDay < to);
  const lanes = new Map<string, Lane>();
  for (const s of own) {
    const { fromRow, toRow } = s.planting;
    const key = `${fromRow}-${toRow}`;
    const lane = lanes.get(key) ?? { fromRow, toRow, strips: [] };
    lane.strips.push(s);
    lanes.set(key, lane);
  }
  const taken = [...lanes.values()];
  // rows that nothing goes through are a line as well, and it is empty
  let row = 1;
  while (row <= bed.rows) {
    const covers = taken.some((l) => l.fromRow <= row && row <= l.toRow);
    if (covers) {
      row += 1;
      continue;
    }
    let end = row;
    while (end < bed.rows && !taken.some((l) => l.fromRow <= end + 1 && end + 1 <= l.toRow)) end += 1;
    lanes.set(`${row}-${end}`, { fromRow: row, toRow: end, strips: [] });
    row = end + 1;
  }
  const list = [...lanes.values()].sort((a, b) => a.fromRow - b.fromRow || a.toRow - b.toRow);
  for (const l of list) l.strips.sort((a, b) => a.startDay - b.startDay);
  return list;
}

/** What may be done next with a row that comes free: rows of a bed and the day on which they do. */
export function freeAfter(bedId: string, lane: Lane, strips: readonly Strip[], today: number): number {
  const rows = { fromRow: lane.fromRow, toRow: lane.toRow } as Planting;
  const ends = strips
    .filter((s) => s.planting.bedId === bedId && sharedRows(s.planting, rows) > 0)
    .map((s) => s.endDay);
  return Math.max(today, ...ends);
}

export interface PlacedBed {
  bed: RelayYear['beds'][number];
  lanes: { lane: Lane; ground: number }[];
  /** Top of its first row, px. */
  start: number;
}

/** Where beds and rows stand on the board, from `top` down, px. */
export function placedOf(
  beds: RelayYear['beds'],
  strips: readonly Strip[],
  [from, to]: readonly [number, number],
  top: number,
  lanePx: number,
): { placed: PlacedBed[]; height: number } {
  const placed: PlacedBed[] = [];
  let y = top;
  for (const bed of beds) {
    const start = y;
    const lanes = lanesOf(bed, strips, from, to).map((lane, n) => ({
      lane,
      ground: start + (n + 1) * lanePx - 4,
    }));
    placed.push({ bed, lanes, start });
    y = start + lanes.length * lanePx + 10;
  }
  return { placed, height: y };
}
