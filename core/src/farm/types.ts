/**
 * The farm as the computation sees it. One name for one thing, from the field guide; lengths m, areas m², dates as
 * `YYYY-MM-DD` in the farm's time zone.
 */
import type { Aim } from '../crops/crops';
import type { Footing, MaterialId, Shape, Site, Texture, Tightness, Wetness } from '../heat/types';

/** House: one air over all its beds. Frame and tunnel: one for each bed. Open: nothing. */
export type StructureKind = 'house' | 'frame' | 'tunnel' | 'open';

/** What it is in a grower's words; `kind` is what the heat engine makes of it. */
export const FORMS = [
  'hoop-house',
  'walk-in-tunnel',
  'greenhouse',
  'cold-frame',
  'hot-bed',
  'low-tunnel',
  'cloche',
  'open-ground',
  'bench-row',
  'nursery-shelf',
] as const;
export type Form = (typeof FORMS)[number];

/** Something that opens. A wax cylinder starts to open at `startC` and is fully open at `fullC`. */
export interface Opening {
  name: string;
  kind: 'door' | 'roll-up' | 'lid' | 'hinged';
  areaM2: number;
  wax?: { startC: number; fullC: number } | null | undefined;
}

/** Three plain questions about draughts: 0 none to feel, 1 some, 2 daylight. */
export interface Snug {
  ends: 0 | 1 | 2;
  edges: 0 | 1 | 2;
  skin: 0 | 1 | 2;
}

/** All that is known of a structure beyond its size; every field may be left out. */
export interface StructureMore {
  form?: Form | undefined;
  /** Its middle, metres east and north of the farm's own point; its length turned from north, clockwise, degrees. */
  at?: { xM: number; yM: number; turnDeg: number } | undefined;
  /** Year in which it was last covered. */
  coveredYear?: number | null | undefined;
  snug?: Snug | undefined;
  openings?: Opening[] | undefined;
  /** Of a frame: how it stands. */
  footing?: Footing | undefined;
  shade?: 'shade-30' | 'shade-50' | null | undefined;
  heat?: { kind: 'manure' | 'cable' | 'air'; wm2: number } | null | undefined;
  /** Water in jugs and barrels, litres in all. */
  waterLitres?: number | undefined;
  /** The maker's or an engineer's figures, where they are known. */
  snowRatingKgM2?: number | null | undefined;
  windRatingMs?: number | null | undefined;
}

/** Corners with a climate of their own. */
export const ZONES = ['centre', 'door', 'side-left', 'side-right', 'shelf'] as const;
export type Zone = (typeof ZONES)[number];

export interface BedMore {
  zone?: Zone | undefined;
  /** K against the centre; null or left out: the zone's starting value. */
  zoneOffsetC?: number | null | undefined;
  /** Its middle, metres along the structure's length and across it, from the structure's middle. */
  at?: { alongM: number; acrossM: number } | undefined;
  /** Crates or trays on a bench. */
  crates?: { count: number; lengthM: number; widthM: number; plantsEach: number } | null | undefined;
}

export type Condition = 'good' | 'worn' | 'torn';

export interface CoverMore {
  condition?: Condition | undefined;
  keptAt?: string | undefined;
  /** What it was cut or sewn for. */
  madeFor?: string | undefined;
  /** In which other ways than its usual one it may lie; left out, as its cloth bears. */
  ways?: CoverUse[] | undefined;
}

export interface Structure extends StructureMore {
  id: string;
  name: string;
  kind: StructureKind;
  shape: Shape;
  sides: 'cover' | 'board';
  lengthM: number;
  widthM: number;
  heightM: number;
  material: MaterialId;
  plies: 1 | 2;
  tightness: Tightness;
  ventAreaM2: number;
  order: number;
}

export interface Bed extends BedMore {
  id: string;
  structureId: string;
  name: string;
  lengthM: number;
  widthM: number;
  rows: number;
  on: 'ground' | 'bench';
  texture: Texture;
  wetness: Wetness;
  mulchM: number;
  /** 0 where it has no hoops. */
  hoopHeightM: number;
  order: number;
}

export interface Planting {
  id: string;
  bedId: string;
  crop: string;
  cultivar: string;
  fromRow: number;
  toRow: number;
  lengthM: number;
  plantedOn: string;
  /** In the future: when it is to be clear. */
  clearedOn: string | null;
  aim: Aim;
  note: string;
  /** Sown where it grows or brought from a tray; left out, as the crop usually is. */
  how?: 'sow' | 'transplant';
  /** Thought of, and not said to be in the ground yet: `plantedOn` is the day that is meant. */
  planned?: boolean;
  /** What was done of its steps, and on which day. */
  done?: Partial<Record<StepId, string>>;
}

/** What is done with a planting from seed to clearing. */
export const STEPS = ['sow', 'prick', 'harden', 'plant', 'gaps', 'pick', 'clear'] as const;
export type StepId = (typeof STEPS)[number];

/** How a sheet lies: on hoops, laid on the crop, or over a frame or tunnel. */
export type CoverUse = 'hoops' | 'flat' | 'over';

export interface Cover extends CoverMore {
  id: string;
  name: string;
  material: MaterialId;
  plies: 1 | 2;
  lengthM: number;
  widthM: number;
  count: number;
  use: CoverUse;
  /** Minutes to fetch and lay one piece. */
  minutes: number;
  order: number;
}

export interface FarmSite extends Site {
  timeZone: string;
}
