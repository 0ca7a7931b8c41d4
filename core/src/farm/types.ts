/**
 * The farm as the computation sees it. One name for one thing, from the field guide; lengths m, areas m², dates as
 * `YYYY-MM-DD` in the farm's time zone.
 */
import type { Aim } from '../crops/crops';
import type { MaterialId, Shape, Site, Texture, Tightness, Wetness } from '../heat/types';

/** House: one air over all its beds. Frame and tunnel: one for each bed. Open: nothing. */
export type StructureKind = 'house' | 'frame' | 'tunnel' | 'open';

export interface Structure {
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

export interface Bed {
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
  clearedOn: string | null;
  aim: Aim;
  note: string;
}

/** How a sheet lies: on hoops, laid on the crop, or over a frame or tunnel. */
export type CoverUse = 'hoops' | 'flat' | 'over';

export interface Cover {
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
