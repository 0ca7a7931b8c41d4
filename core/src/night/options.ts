/**
 * What could lie on a bed. Contract: `fitCover` says how many pieces of a sheet it takes, or why it cannot lie there;
 * `coverOptions` every none, one and two of the farm's sheets, `threeOptions` every three. Nothing is dropped by its place.
 */
import { isIndoors, isReached } from '../covers/indoors';
import { asUsed, sheetKey, waysOf } from '../covers/ways';
import type { Bed, Cover, Structure } from '../farm/types';
import { archLengthM } from '../heat/geometry';
import { SKIRT_M, sortCovers } from './stack';
import { said, type Said } from '../words/said';

export interface Fit {
  pieces: number;
  minutes: number;
}

/**
 * How many pieces of a cover this bed takes and the minutes of laying them; why not where it cannot go on.
 * @example isFit(fitCover(aCover(), aStructure(), aBed())) // true
 */
export function fitCover(cover: Cover, structure: Structure, bed: Bed): Fit | { why: Said } {
  if (isIndoors(cover) && !isReached(cover, structure)) return { why: said('fit.elsewhere') };
  if (isIndoors(cover))
    return bed.crates
      ? { pieces: bed.crates.count, minutes: bed.crates.count * cover.minutes }
      : { why: said('fit.crates') };
  let needLengthM = bed.lengthM;
  let needWidthM: number;
  if (cover.use === 'over') {
    if (structure.kind !== 'frame' && structure.kind !== 'tunnel') return { why: said('fit.over') };
    needLengthM = structure.lengthM;
    needWidthM =
      structure.shape === 'arch'
        ? archLengthM(structure.widthM, structure.heightM)
        : structure.widthM + SKIRT_M;
  } else if (structure.kind === 'frame' || structure.kind === 'tunnel') {
    if (cover.use !== 'flat') return { why: said('fit.noRoom') };
    needWidthM = bed.widthM;
  } else if (cover.use === 'hoops') {
    if (bed.hoopHeightM <= 0) return { why: said('fit.noHoops') };
    needWidthM = archLengthM(bed.widthM, bed.hoopHeightM) + SKIRT_M;
  } else {
    needWidthM = bed.widthM;
  }
  if (cover.widthM < needWidthM - 1e-9)
    return { why: said('fit.narrow', { byM: needWidthM - cover.widthM }) };
  // sheets overlap by half a metre where one is too short; a hand's breadth short at the ends is let pass
  const pieces =
    cover.lengthM >= needLengthM - 0.1 ? 1 : Math.ceil((needLengthM - 0.5) / (cover.lengthM - 0.5));
  if (!Number.isFinite(pieces) || pieces < 1 || pieces > 4) return { why: said('fit.short') };
  return { pieces, minutes: pieces * cover.minutes };
}

/** @example isFit({ why: { say: 'fit.short' } }) // false */
export function isFit(fit: Fit | { why: Said }): fit is Fit {
  return 'pieces' in fit;
}

export interface CoverOption {
  /** Keys of its sheets joined by `+`, sorted as they lie; `bare` for none. */
  key: string;
  covers: Cover[];
  pieces: Record<string, number>;
}

export const BARE = 'bare';

/** @example optionKey([]) // 'bare' */
export function optionKey(covers: readonly Cover[]): string {
  return covers.length === 0 ? BARE : sortCovers(covers).map(sheetKey).join('+');
}

/**
 * A sheet in every way that its cloth and the bed allow, the usual one first.
 * @example waysHere(aCover(), aStructure(), aBed()).map((w) => w.cover.use) // ['hoops', 'flat']
 */
export function waysHere(
  cover: Cover,
  structure: Structure,
  bed: Bed,
  mayTouch = true,
): { cover: Cover; pieces: number; minutes: number }[] {
  return waysOf(cover).flatMap((use) => {
    if (use === 'flat' && !mayTouch) return [];
    const as = asUsed(cover, use);
    const fit = fitCover(as, structure, bed);
    return isFit(fit) ? [{ cover: as, ...fit }] : [];
  });
}

/** Two sheets of one kind may lie on hoops; of what is laid on, and of what goes over, there is one; nothing over what is carried in. */
const together = (a: Cover, b: Cover): boolean =>
  isIndoors(a) || isIndoors(b) ? false : a === b ? a.use === 'hoops' : a.use === 'hoops' || a.use !== b.use;

/**
 * Every combination of the covers in stock that fit this bed: none, one, or two of them (two of the same where it goes on
 * hoops), in every way they may lie, never more pieces than are in stock. None is left out by its place in the list; `limit`
 * is for tests of that.
 * @example coverOptions(aStructure(), aBed(), []).map((o) => o.key) // ['bare']
 */
export function coverOptions(
  structure: Structure,
  bed: Bed,
  stock: readonly Cover[],
  always: readonly Cover[] = [],
  limit = Infinity,
  mayTouch = true,
): CoverOption[] {
  const fits = fitting(structure, bed, stock, mayTouch);
  const options: CoverOption[] = [];
  const add = (covers: readonly Cover[]) => {
    const option = optionOf(covers, fits);
    if (option && !options.some((o) => o.key === option.key)) options.push(option);
  };
  add([]);
  add([...always]);
  for (const f of fits) add([f.cover]);
  // what lies there may stay where it lies while its crates are away
  for (const f of fits) if (isIndoors(f.cover) && !always.some(isIndoors)) add([...always, f.cover]);
  for (const pair of pairsOf(fits)) add(pair);
  return options.slice(0, limit);
}

/**
 * Every three that may lie together, as `coverOptions` has the twos; none where a fifth layer would come of it.
 * @example threeOptions(aStructure(), aBed(), [aCover({ count: 3 })]).map((o) => o.key) // ['a+a+a', 'a+a+a~flat']
 */
export function threeOptions(
  structure: Structure,
  bed: Bed,
  stock: readonly Cover[],
  mayTouch = true,
): CoverOption[] {
  if (structure.kind === 'house' && structure.shade) return [];
  const fits = fitting(structure, bed, stock, mayTouch);
  const last = (pair: readonly Cover[]) => sheetKey(pair[1]!);
  return pairsOf(fits).flatMap((pair) =>
    fits
      .filter((c) => sheetKey(c.cover) >= last(pair) && pair.every((x) => together(x, c.cover)))
      .flatMap((c) => optionOf([...pair, c.cover], fits) ?? []),
  );
}

type Fitting = ReturnType<typeof waysHere>[number];

function fitting(structure: Structure, bed: Bed, stock: readonly Cover[], mayTouch: boolean): Fitting[] {
  return stock
    .flatMap((cover) => waysHere(cover, structure, bed, mayTouch))
    .filter((f) => f.pieces <= f.cover.count);
}

/** Each two once, by their keys. */
const pairsOf = (fits: readonly Fitting[]): [Cover, Cover][] =>
  fits.flatMap((a) =>
    fits
      .filter((b) => sheetKey(a.cover) <= sheetKey(b.cover) && together(a.cover, b.cover))
      .map((b): [Cover, Cover] => [a.cover, b.cover]),
  );

/** Null where it would take more pieces of a sheet than there are. */
function optionOf(covers: readonly Cover[], fits: readonly Fitting[]): CoverOption | null {
  const pieces: Record<string, number> = {};
  for (const cover of covers)
    pieces[cover.id] = (pieces[cover.id] ?? 0) + (fits.find((f) => f.cover === cover)?.pieces ?? 1);
  if (covers.some((c) => pieces[c.id]! > c.count)) return null;
  return { key: optionKey(covers), covers: sortCovers(covers), pieces };
}
