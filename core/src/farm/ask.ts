/**
 * A night asked about before anything is set up. Contract: `askedFarm(asked, id, today)` makes of a few answers what a farm has:
 * a structure, a bed, the sheets that lie on it and what stands there, with usual sizes, so that what was asked can be kept as it is;
 * `spareSheets` gives what could be laid besides. Sizes are starting values from general practice.
 */
import { cropById } from '../crops/crops';
import { addDays } from '../time/farmTime';
import { FORM_INFO } from './setup';
import type { Bed, Cover, Form, Planting, Structure } from './types';
import { usualBed, usualSheet, type Cloth } from './usual';

/** What stands over the bed, the outermost arc. */
export const OUTER = ['none', 'film-house', 'glasshouse', 'cold-frame', 'low-tunnel'] as const;
export type Outer = (typeof OUTER)[number];
/** What is put over it besides: on hoops, or over the frame or tunnel. */
export const MIDDLE = ['none', 'fleece', 'blanket', 'film'] as const;
export type Middle = (typeof MIDDLE)[number];

export interface Asked {
  outer: Outer;
  middle: Middle;
  /** A light fleece laid on the leaves. */
  laid: boolean;
  crop: string;
  /** Weeks since it was planted. */
  weeks: number;
}

export interface AskedFarm {
  structure: Structure;
  bed: Bed;
  /** What lies on the bed. */
  covers: Cover[];
  planting: Planting;
}

const FORM_OF: Record<Outer, Form> = {
  none: 'open-ground',
  'film-house': 'hoop-house',
  glasshouse: 'greenhouse',
  'cold-frame': 'cold-frame',
  'low-tunnel': 'low-tunnel',
};
/**
 * Whether sheets go on hoops there, or over the whole.
 * @example onHoops('house') // true
 */
export const onHoops = (outer: Outer): boolean => outer !== 'cold-frame' && outer !== 'low-tunnel';

function structureOf(outer: Outer, id: string): Structure {
  const { draft } = FORM_INFO[FORM_OF[outer]].templates[0]!;
  return { ...draft, id, order: 0 };
}

/**
 * `id` begins the ids of all that is made: the same answers with it are the same farm. Today as a date of the farm.
 * @example askedFarm({ outer: 'film-house', middle: 'none', laid: false, crop: 'spinach', weeks: 8 }, 'x', '2027-01-14').planting.plantedOn // '2026-11-19'
 */
export function askedFarm(a: Asked, id: string, today: string): AskedFarm {
  const structure = structureOf(a.outer, `${id}-s`);
  const bed = usualBed(structure, 1, `${id}-b`);
  const sheet = (cloth: Cloth, sheetId: string) => usualSheet(cloth, 1, [bed], [structure], sheetId);
  const covers = [
    ...(a.middle === 'none' ? [] : [sheet(a.middle, `${id}-c1`)]),
    ...(a.laid ? [sheet('laid', `${id}-c2`)] : []),
  ];
  const planting: Planting = {
    id: `${id}-p`,
    bedId: bed.id,
    crop: a.crop,
    cultivar: '',
    fromRow: 1,
    toRow: bed.rows,
    lengthM: bed.lengthM,
    plantedOn: addDays(today, -7 * a.weeks),
    clearedOn: null,
    aim: cropById(a.crop).aim,
    note: '',
  };
  return { structure, bed, covers, planting };
}

/**
 * What could be laid besides, one of each kind that is not there already.
 * @example (() => { const a = { outer: 'film-house', middle: 'none', laid: false, crop: 'spinach', weeks: 8 }; return spareSheets(a, askedFarm(a, 'x', '2027-01-14')).map((c) => c.material); })() // ['fleece-30', 'frost-blanket', 'fleece-17']
 */
export function spareSheets(a: Asked, { structure, bed }: AskedFarm): Cover[] {
  const kinds: Cloth[] = a.laid ? ['fleece', 'blanket'] : ['fleece', 'blanket', 'laid'];
  return kinds.filter((k) => k !== a.middle).map((k) => usualSheet(k, 1, [bed], [structure], `spare-${k}`));
}
