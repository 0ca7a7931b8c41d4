/**
 * In which ways a sheet may lie. Contract: `waysOf` says which its cloth bears (or the grower allows); `asUsed` is the same
 * sheet lying in another way, one and the same object each time it is asked for; `sheetKey` names the two together.
 */
import type { Cover, CoverUse } from '../farm/types';
import type { MaterialId } from '../heat/types';

const ALL: readonly CoverUse[] = ['hoops', 'flat', 'over'];

/**
 * What each cloth bears, as starting values: films scorch and freeze to the leaves that they lie on, straw and tarpaulin are
 * too heavy for hoops of a bed, panes are no sheets.
 */
const BEARS: Record<MaterialId, readonly CoverUse[]> = {
  'pe-film': ['hoops', 'over'],
  'pe-film-ir': ['hoops', 'over'],
  'perforated-film': ['hoops', 'over'],
  'polycarbonate-twin': [],
  glass: [],
  'glass-double': [],
  'fleece-17': ALL,
  'fleece-30': ALL,
  'fleece-50': ALL,
  'frost-blanket': ALL,
  'foil-blanket': ['hoops', 'over'],
  tarp: ['over'],
  'straw-mat': ['over'],
  'shade-30': ['hoops', 'over'],
  'shade-50': ['hoops', 'over'],
};

/**
 * The usual way first; what the grower allows stands above what the cloth bears.
 * @example waysOf(aCover({ material: 'fleece-17', use: 'flat' })) // ['flat', 'hoops', 'over']
 */
export function waysOf(cover: Cover): CoverUse[] {
  if (cover.use === 'indoors') return ['indoors'];
  const more = cover.ways ?? BEARS[cover.material];
  return [cover.use, ...ALL.filter((u) => u !== cover.use && more.includes(u))];
}

/**
 * What a sheet's cloth bears besides its usual way: what a form proposes.
 * @example bears('fleece-17') // ['hoops', 'flat', 'over']
 */
export const bears = (material: MaterialId): readonly CoverUse[] => BEARS[material];

const variants = new WeakMap<Cover, Map<CoverUse, Cover>>();

/** @example asUsed(aCover({ use: 'hoops' }), 'flat').use // 'flat' */
export function asUsed(cover: Cover, use: CoverUse): Cover {
  if (use === cover.use) return cover;
  const known = variants.get(cover) ?? new Map<CoverUse, Cover>();
  variants.set(cover, known);
  const found = known.get(use) ?? { ...cover, use, usually: cover.use };
  known.set(use, found);
  return found;
}

/**
 * Sheets of a plan that was kept and read again: `used` are from then on what `asUsed` gives for their sheet in `stock`, so that one way
 * of a sheet is one object as before.
 * @example (() => { const own = aCover(); const laid = { ...own, use: 'flat' }; adoptWays([own], [laid]); return sheetKey(laid); })() // 'a'
 */
export function adoptWays(stock: readonly Cover[], used: Iterable<Cover>): void {
  for (const u of used) {
    const cover = u.usually === undefined ? undefined : stock.find((c) => c.id === u.id);
    if (cover) variants.set(cover, (variants.get(cover) ?? new Map<CoverUse, Cover>()).set(u.use, u));
  }
}

/**
 * The sheet's id, with the way where it is not the usual one: `fleece30`, `fleece30~flat`.
 * @example sheetKey(aCover({ id: 'a', use: 'hoops' })) // 'a'
 */
export function sheetKey(cover: Cover): string {
  return cover.usually === undefined ? cover.id : `${cover.id}~${cover.use}`;
}

/**
 * Id and way of a key; the way is undefined where it is the usual one.
 * @example readSheetKey('a') // { id: 'a' }
 */
export function readSheetKey(key: string): { id: string; use: CoverUse | undefined } {
  const at = key.lastIndexOf('~');
  const use = ALL.find((u) => u === key.slice(at + 1));
  return at > 0 && use ? { id: key.slice(0, at), use } : { id: key, use: undefined };
}
