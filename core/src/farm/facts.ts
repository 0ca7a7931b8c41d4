/**
 * The farm as planning sees it: what stands, what is in stock, what lies where. Contract: plain data in, plain data out; who
 * keeps it (a database, a file, a test) is nobody's business here.
 */
import { asUsed } from '../covers/ways';
import { isRest } from '../crops/crops';
import type { Away } from '../day/away';
import type { Lain } from '../log/apply';
import { fitCover, isFit } from '../night/options';
import type { Bed, Cover, CoverUse, FarmSite, Planting, Structure } from './types';

/** Settings that bear on a plan. */
export interface FarmWork extends FarmSite {
  /** What an hour of work costs. */
  hourlyRate: number;
  /** People who close up and cover in the evening. */
  hands: number;
  /** Where good growers disagree: lift after the thaw or at first light; sheets on the leaves or on hoops only. */
  schools: { uncover: 'thaw' | 'light'; touch: 'both' | 'hoops'; swings?: 'let' | 'damp' };
  /** Hours in which nobody is there; left out for none. */
  away?: readonly Away[] | undefined;
}

/** The lowest leaf of a night that was, °C; a night is called by its evening's date. */
export interface PastLow {
  night: string;
  leafC: number;
  /** The highest of the day before that night, °C; left out where it is not known. */
  highC?: number;
}

export interface FarmFacts {
  farm: FarmWork;
  structures: Structure[];
  beds: Bed[];
  plantings: Planting[];
  covers: Cover[];
  /** The lowest leaf of nights that were, by bed, as it was kept in their mornings. */
  pastLows?: ReadonlyMap<string, readonly PastLow[]>;
}

/**
 * What grows in a bed on a date: a rest is nothing that a night or the sun could harm.
 * @example standingIn('b', [{ bedId: 'b', crop: 'spinach', plantedOn: '2026-10-01', clearedOn: null }], '2027-01-14').length // 1
 */
export function standingIn(bedId: string, plantings: readonly Planting[], today: string): Planting[] {
  return plantings.filter(
    (p) =>
      p.bedId === bedId &&
      p.plantedOn <= today &&
      (p.clearedOn === null || p.clearedOn > today) &&
      !isRest(p.crop),
  );
}

/**
 * The sheet that an act or a span is about, lying as it does; undefined where it is no longer in stock.
 * @example sheetOf({ coverId: 'a', use: 'flat' }, [aCover()]).use // 'flat'
 */
export function sheetOf(
  of: { coverId: string; use?: CoverUse | undefined },
  stock: readonly Cover[],
): Cover | undefined {
  const cover = stock.find((s) => s.id === of.coverId);
  return cover && asUsed(cover, of.use ?? cover.use);
}

/**
 * The covers on a bed, as they are in stock; one that is no longer in stock is left out.
 * @example coversOn({ onBed: new Map([['b', [{ coverId: 'a' }, { coverId: 'sold' }]]]) }, 'b', [aCover()]).map((c) => c.id) // ['a']
 */
export function coversOn(state: Lain, bedId: string, stock: readonly Cover[]): Cover[] {
  return (state.onBed.get(bedId) ?? []).flatMap((c) => sheetOf(c, stock) ?? []);
}

/**
 * Pieces that a sheet takes on a bed; one where it lies there though it does not fit.
 * @example piecesOn(aCover(), aStructure(), aBed()) // 1
 */
export function piecesOn(cover: Cover, structure: Structure, bed: Bed): number {
  const fit = fitCover(cover, structure, bed);
  return isFit(fit) ? fit.pieces : 1;
}

/**
 * How many pieces of a kind lie on beds now, each sheet by the pieces that its bed takes of it.
 * @example inUse({ beds: [aBed()], structures: [aStructure()] }, NOTHING_LAIN, aCover()).pieces // 0
 */
export function inUse(
  data: Pick<FarmFacts, 'beds' | 'structures'>,
  state: Lain,
  cover: Cover,
): { pieces: number; beds: string[] } {
  let pieces = 0;
  const names: string[] = [];
  for (const bed of data.beds) {
    const there = coversOn(state, bed.id, [cover]);
    if (there.length === 0) continue;
    const structure = data.structures.find((s) => s.id === bed.structureId)!;
    pieces += there.reduce((sum, sheet) => sum + piecesOn(sheet, structure, bed), 0);
    names.push(bed.name);
  }
  return { pieces, beds: names };
}
