/**
 * A night asked about before anything is set up. Contract: `askedFarm(asked, id, today)` makes of a few answers what a farm has:
 * a structure, a bed, the sheets that lie on it and what stands there, with usual sizes, so that what was asked can be kept as it is;
 * `spareSheets` gives what could be laid besides. Sizes are starting values from general practice.
 */
import { archLengthM } from '../heat/geometry';
import type { MaterialId } from '../heat/types';
import { cropById } from '../crops/crops';
import { addDays } from '../time/farmTime';
import { sheetFor, USUAL_SIDE_M } from '../covers/sheet';
import { FORM_INFO } from './setup';
import type { Bed, Cover, CoverUse, Form, Planting, Structure } from './types';

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
const SHEET: Record<Exclude<Middle, 'none'>, { name: string; material: MaterialId; minutes: number }> = {
  fleece: { name: 'Fleece 30', material: 'fleece-30', minutes: 6 },
  blanket: { name: 'Frost blanket', material: 'frost-blanket', minutes: 8 },
  film: { name: 'Film', material: 'pe-film', minutes: 8 },
};
const HOOPS_M = 0.5;

/** Whether sheets go on hoops there, or over the whole. */
export const onHoops = (outer: Outer): boolean => outer !== 'cold-frame' && outer !== 'low-tunnel';

function structureOf(outer: Outer, id: string): Structure {
  const { draft } = FORM_INFO[FORM_OF[outer]].templates[0]!;
  return { ...draft, id, order: 0 };
}

function bedOf(s: Structure, id: string): Bed {
  const whole = s.kind === 'frame' || s.kind === 'tunnel';
  return {
    id,
    structureId: s.id,
    name: 'Bed 1',
    lengthM: s.lengthM - (s.kind === 'house' ? Math.min(2, 0.2 * s.lengthM) : whole ? 0.2 : 0),
    widthM: whole ? Math.round((s.widthM - 0.2) * 10) / 10 : 1,
    rows: 4,
    on: 'ground',
    texture: 'loam',
    wetness: 'moist',
    mulchM: 0,
    hoopHeightM: whole ? 0 : HOOPS_M,
    order: 0,
  };
}

function sheet(kind: Exclude<Middle, 'none'> | 'laid', s: Structure, bed: Bed, id: string): Cover {
  const of =
    kind === 'laid' ? { name: 'Fleece 17', material: 'fleece-17' as const, minutes: 4 } : SHEET[kind];
  const whole = s.kind === 'frame' || s.kind === 'tunnel';
  const use: CoverUse = kind === 'laid' ? 'flat' : whole ? 'over' : 'hoops';
  const up = (m: number) => Math.ceil(m * 10 - 1e-6) / 10;
  const size =
    use === 'over'
      ? {
          lengthM: up(s.lengthM + 0.6),
          widthM: up((s.shape === 'arch' ? archLengthM(s.widthM, s.heightM) : s.widthM) + 0.5),
        }
      : sheetFor({
          ...bed,
          hoopHeightM: use === 'hoops' ? bed.hoopHeightM : 0,
          sideM: USUAL_SIDE_M,
          ends: use === 'hoops' ? 'closed' : 'open',
        });
  const { name, material, minutes } = of;
  const { lengthM, widthM } = size;
  return {
    id,
    name,
    material,
    plies: 1,
    lengthM,
    widthM,
    count: 1,
    use,
    minutes,
    order: 0,
    condition: 'good',
  };
}

/** `id` begins the ids of all that is made: the same answers with it are the same farm. Today as a date of the farm. */
export function askedFarm(a: Asked, id: string, today: string): AskedFarm {
  const structure = structureOf(a.outer, `${id}-s`);
  const bed = bedOf(structure, `${id}-b`);
  const covers = [
    ...(a.middle === 'none' ? [] : [sheet(a.middle, structure, bed, `${id}-c1`)]),
    ...(a.laid ? [sheet('laid', structure, bed, `${id}-c2`)] : []),
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

/** What could be laid besides, one of each kind that is not there already. */
export function spareSheets(a: Asked, { structure, bed }: AskedFarm): Cover[] {
  const kinds: (Exclude<Middle, 'none'> | 'laid')[] = a.laid
    ? ['fleece', 'blanket']
    : ['fleece', 'blanket', 'laid'];
  return kinds.filter((k) => k !== a.middle).map((k) => sheet(k, structure, bed, `spare-${k}`));
}
