/**
 * What a grower answers while setting up, as what the engine needs. Contract: `FORM_INFO` has a template with real
 * dimensions for every form; `tightnessOf` turns three plain answers into one of the engine's words; `zoneOffsetC` gives
 * a zone's starting value until it is measured. All figures are starting values from general practice.
 */
import { FORM_NAME, OPENING_NAME, STRUCTURE_NAME } from '@fogata/words/en/told/names';
import type { Place, Tightness } from '../heat/types';
import type { Bed, Form, Opening, Snug, Structure, StructureKind, Zone } from './types';

export type StructureDraft = Omit<Structure, 'id' | 'order'>;

export interface FormInfo {
  label: string;
  kind: StructureKind;
  /** Ordinary sizes, the most usual first. */
  templates: { label: string; draft: StructureDraft }[];
}

const house = { kind: 'house', shape: 'arch', sides: 'cover', material: 'pe-film', plies: 1 } as const;
const low = { kind: 'tunnel', shape: 'arch', sides: 'cover', material: 'pe-film', plies: 1 } as const;
const box = { kind: 'frame', shape: 'box', sides: 'board', material: 'glass', plies: 1 } as const;

function draft(
  form: Form,
  name: string,
  base: Pick<Structure, 'kind' | 'shape' | 'sides' | 'material' | 'plies'>,
  lengthM: number,
  widthM: number,
  heightM: number,
  openings: Opening[],
  more: Partial<StructureDraft> = {},
): StructureDraft {
  return {
    form,
    name,
    ...base,
    lengthM,
    widthM,
    heightM,
    tightness: 'average',
    openings,
    ventAreaM2: ventAreaOf(openings),
    ...more,
  };
}

const door = (areaM2: number): Opening => ({ name: OPENING_NAME.doors, kind: 'door', areaM2 });
const sides = (lengthM: number): Opening => ({
  name: OPENING_NAME.rollUpSides,
  kind: 'roll-up',
  areaM2: lengthM * 2,
});
const lid = (areaM2: number): Opening => ({ name: OPENING_NAME.lid, kind: 'lid', areaM2 });

/**
 * All that opens, together, m².
 * @example ventAreaOf([{ name: 'Door', kind: 'door', areaM2: 4 }, { name: 'Flap', kind: 'hinged', areaM2: 1.5 }]) // 5.5
 */
export function ventAreaOf(openings: readonly Opening[]): number {
  return Math.round(openings.reduce((sum, o) => sum + o.areaM2, 0) * 100) / 100;
}

const one = (label: string, d: StructureDraft) => ({ label, draft: d });

export const FORM_INFO: Record<Form, FormInfo> = {
  'hoop-house': {
    label: FORM_NAME['hoop-house'],
    kind: 'house',
    templates: [
      one('20 × 6 m', draft('hoop-house', STRUCTURE_NAME.house, house, 20, 6, 2.6, [door(8)])),
      one('30 × 9 m', draft('hoop-house', STRUCTURE_NAME.bigHouse, house, 30, 9, 3.6, [door(12), sides(28)])),
      one('12 × 4.5 m', draft('hoop-house', STRUCTURE_NAME.smallHouse, house, 12, 4.5, 2.2, [door(5)])),
    ],
  },
  'walk-in-tunnel': {
    label: FORM_NAME['walk-in-tunnel'],
    kind: 'house',
    templates: [
      one('15 × 4 m', draft('walk-in-tunnel', STRUCTURE_NAME.walkInTunnel, house, 15, 4, 2, [door(4)])),
      one(
        '30 × 4.2 m',
        draft('walk-in-tunnel', STRUCTURE_NAME.longTunnel, house, 30, 4.2, 2.1, [door(4), sides(28)]),
      ),
    ],
  },
  greenhouse: {
    label: FORM_NAME['greenhouse'],
    kind: 'house',
    templates: [
      one(
        'glass, 6 × 3 m',
        draft(
          'greenhouse',
          STRUCTURE_NAME.glasshouse,
          { ...house, shape: 'box', material: 'glass' },
          6,
          3,
          2.2,
          [
            { name: OPENING_NAME.roofLights, kind: 'hinged', areaM2: 1.4, wax: { startC: 16, fullC: 26 } },
            door(1.6),
          ],
        ),
      ),
    ],
  },
  'cold-frame': {
    label: FORM_NAME['cold-frame'],
    kind: 'frame',
    templates: [
      one('3.6 × 1.2 m', draft('cold-frame', STRUCTURE_NAME.frames, box, 3.6, 1.2, 0.4, [lid(1.2)])),
      one('1.2 × 0.8 m', draft('cold-frame', STRUCTURE_NAME.smallFrame, box, 1.2, 0.8, 0.35, [lid(0.3)])),
    ],
  },
  'hot-bed': {
    label: FORM_NAME['hot-bed'],
    kind: 'frame',
    templates: [
      one(
        '2.4 × 1.2 m, manure',
        draft('hot-bed', STRUCTURE_NAME.hotBed, box, 2.4, 1.2, 0.45, [lid(0.8)], {
          heat: { kind: 'manure', wm2: 60 },
        }),
      ),
    ],
  },
  'low-tunnel': {
    label: FORM_NAME['low-tunnel'],
    kind: 'tunnel',
    templates: [
      one(
        '15 × 1.2 m',
        draft('low-tunnel', STRUCTURE_NAME.lowTunnels, low, 15, 1.2, 0.55, [
          { name: OPENING_NAME.oneSideLifted, kind: 'roll-up', areaM2: 2 },
        ]),
      ),
    ],
  },
  cloche: {
    label: FORM_NAME['cloche'],
    kind: 'tunnel',
    templates: [
      one(
        'a row, 2 × 0.4 m',
        draft('cloche', STRUCTURE_NAME.cloches, { ...low, material: 'glass' }, 2, 0.4, 0.3, [
          { name: OPENING_NAME.ends, kind: 'lid', areaM2: 0.12 },
        ]),
      ),
    ],
  },
  'open-ground': {
    label: FORM_NAME['open-ground'],
    kind: 'open',
    templates: [
      one(
        '20 × 6 m',
        draft(
          'open-ground',
          STRUCTURE_NAME.openBeds,
          { ...low, kind: 'open', shape: 'flat' },
          20,
          6,
          0.1,
          [],
        ),
      ),
    ],
  },
  'bench-row': {
    label: FORM_NAME['bench-row'],
    kind: 'open',
    templates: [
      one(
        '10 × 1.2 m',
        draft('bench-row', STRUCTURE_NAME.benches, { ...low, kind: 'open', shape: 'flat' }, 10, 1.2, 0.1, []),
      ),
    ],
  },
  'nursery-shelf': {
    label: FORM_NAME['nursery-shelf'],
    kind: 'frame',
    templates: [
      one(
        '2 × 0.6 m',
        draft(
          'nursery-shelf',
          STRUCTURE_NAME.nurseryShelf,
          { ...box, sides: 'cover', material: 'pe-film' },
          2,
          0.6,
          1.2,
          [{ name: OPENING_NAME.front, kind: 'roll-up', areaM2: 0.8 }],
        ),
      ),
    ],
  },
};

/**
 * The form of a structure that was kept before forms were.
 * @example formOf({ kind: 'house' }) // 'hoop-house'
 */
export function formOf(s: Pick<Structure, 'form' | 'kind'>): Form {
  if (s.form) return s.form;
  return ({ house: 'hoop-house', frame: 'cold-frame', tunnel: 'low-tunnel', open: 'open-ground' } as const)[
    s.kind
  ];
}

/**
 * Three questions, each 0 (no draught to feel) to 2 (daylight to see): none worse than 0 in sum is tight, 4 or more drafty.
 * @example tightnessOf({ ends: 0, edges: 0, skin: 0 }) // 'tight'
 */
export function tightnessOf(snug: Snug): Tightness {
  const sum = snug.ends + snug.edges + snug.skin;
  return sum === 0 ? 'tight' : sum >= 4 || snug.ends === 2 ? 'drafty' : 'average';
}

/** How a zone differs from the centre on a cold night, K: starting values until a thermometer has hung there. */
export const ZONE_START_K: Record<Zone, number> = {
  centre: 0,
  door: -0.8,
  // sides and shelves are worked out, see `placeOf`
  'side-left': 0,
  'side-right': 0,
  shelf: 0,
};

const SHELF_M = 1.6;
const BENCH_M = 0.8;

/**
 * What the heat engine knows of a bed's place; a measured offset stands for all of it.
 * @example placeOf({ on: 'ground' }) // { zone: 'centre' }
 */
export function placeOf(bed: Pick<Bed, 'zone' | 'zoneOffsetC' | 'on'>): Place {
  const zone = bed.zoneOffsetC == null ? (bed.zone ?? 'centre') : 'centre';
  const side = zone === 'side-left' || zone === 'side-right';
  return {
    zone: side ? 'side' : zone,
    ...(bed.on === 'bench' ? { heightM: bed.zone === 'shelf' ? SHELF_M : BENCH_M } : {}),
  };
}

/**
 * What is added to the leaf of this bed, K: what was measured, or a starting value where the physics is not known.
 * @example zoneOffsetC({ zone: 'centre' }) // 0
 */
export function zoneOffsetC(bed: Pick<Bed, 'zone' | 'zoneOffsetC'>): number {
  return bed.zoneOffsetC ?? ZONE_START_K[bed.zone ?? 'centre'];
}
