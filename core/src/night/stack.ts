/**
 * From a bed and the covers on it to what the heat engine runs: which layers, in which order, how large.
 */
import { isIndoors } from '../covers/indoors';
import { cropOf } from '../crops/cultivars';
import type { Bed, Condition, Cover, Planting, Structure } from '../farm/types';
import { MATERIALS } from '../heat/materials';
import { placeOf } from '../farm/setup';
import type { BedSpec, Horizon, Layer, Tightness } from '../heat/types';

/** Sheet that must lie on the ground on each side to be weighted down, m. */
export const SKIRT_M = 0.1;

export interface LayerTiming {
  on?: { from: string; to: string }[];
}

export interface StackOptions {
  deepC: number;
  /** When each of the covers is on, in their order; left out means always. */
  timing?: readonly (LayerTiming | undefined)[];
  /** What stands around the structure. */
  horizon?: Horizon | null;
  /** Openings of the structure. */
  open?: { from: string; fraction: number }[];
}

/** Heavier and more opaque covers go outside lighter ones; what is laid flat lies innermost. */
function orderOf(cover: Cover): number {
  if (isIndoors(cover)) return -1;
  if (cover.use === 'over') return 0;
  if (cover.use === 'flat') return 3;
  return MATERIALS[cover.material].thermalPassed < 0.1 ? 1 : 2;
}

const byPlace = (a: Cover, b: Cover) => orderOf(a) - orderOf(b) || a.material.localeCompare(b.material);

/**
 * Outermost first.
 * @example sortCovers([aCover(), aCover({ id: 'b', material: 'frost-blanket' })]).map((c) => c.id) // ['b', 'a']
 */
export function sortCovers(covers: readonly Cover[]): Cover[] {
  return [...covers].sort(byPlace);
}

function structureLayer(structure: Structure, options: StackOptions): Layer | null {
  if (structure.kind === 'open') return null;
  return {
    id: structure.id,
    role: 'structure',
    lengthM: structure.lengthM,
    widthM: structure.widthM,
    heightM: structure.heightM,
    shape: structure.shape,
    sides: structure.sides,
    material: structure.material,
    plies: structure.plies,
    tightness: structure.tightness,
    ventAreaM2: structure.ventAreaM2,
    ...(structure.at ? { turnDeg: structure.at.turnDeg } : {}),
    ...(structure.footing && structure.shape === 'box' ? { footing: structure.footing } : {}),
    ...(options.open && options.open.length > 0 ? { open: options.open } : {}),
  };
}

/** What is tall when it is picked stands no higher than this for its first months, m: starting value. */
const YOUNG_M = 0.4;

/**
 * Tallest leaf and share of ground covered, over what stands in the bed.
 * @example canopyOf([]).groundCover // 0.1
 */
export function canopyOf(plantings: readonly Planting[]): { heightM: number; groundCover: number } {
  if (plantings.length === 0) return { heightM: 0.05, groundCover: 0.1 };
  const crops = plantings.map((p) => cropOf(p));
  return {
    heightM: Math.max(...crops.map((c) => Math.min(c.heightM, YOUNG_M))),
    groundCover: crops.reduce((sum, c) => sum + c.groundCover, 0) / crops.length,
  };
}

/**
 * Whether the structure's own shade cloth is a layer of the stack: the outermost. A house keeps it whatever lies on one of
 * its beds; elsewhere it is left out where more than four layers would come together.
 * @example shadeShown(aStructure(), []) // false
 */
export function shadeShown(structure: Structure, covers: readonly Cover[]): boolean {
  if (structure.kind === 'open' || !structure.shade) return false;
  return structure.kind === 'house' || covers.filter((c) => !isIndoors(c)).length < 3;
}

/**
 * Place of the structure's own layer in a stack built from these covers; −1 in the open.
 * @example structureIndex(aStructure({ kind: 'open' }), []) // -1
 */
export function structureIndex(structure: Structure, covers: readonly Cover[]): number {
  if (structure.kind === 'open') return -1;
  return covers.filter((c) => c.use === 'over').length + (shadeShown(structure, covers) ? 1 : 0);
}

/** What holes do to a sheet. */
const CONDITION: Record<Condition, Tightness> = { good: 'average', worn: 'average', torn: 'drafty' };

function heatOf(s: Structure): Pick<BedSpec, 'heat'> {
  if (!s.heat || s.heat.wm2 <= 0) return {};
  return { heat: s.heat.kind === 'air' ? { airWm2: s.heat.wm2 } : { bottomWm2: s.heat.wm2 } };
}

/** A sheet over a frame or tunnel hangs down its sides, or lies on a lid whose sides are in the earth. */
function overLayer(structure: Structure, cover: Cover): Layer {
  return {
    id: cover.id,
    role: 'over',
    lengthM: structure.lengthM + 0.1,
    widthM: structure.widthM + 0.1,
    heightM: structure.heightM + 0.05,
    shape: structure.shape,
    material: cover.material,
    plies: cover.plies,
    tightness: CONDITION[cover.condition ?? 'good'],
    ...(structure.footing && structure.shape === 'box' ? { footing: structure.footing } : {}),
  };
}

/** A sheet over another stands this much further out, m. */
const OVER_M = 0.06;

/**
 * Sheets of a bed, outermost first, each over the next: as large as they lie by themselves and a hand more for each beneath,
 * no larger than the room. Only the innermost touches the crop.
 * @example nested([{ ...FLEECE, shape: 'flat' }], null)[0].touchesCrop // true
 */
export function nested(own: readonly Layer[], room: Layer | null): Layer[] {
  return own.map((layer, i) => {
    const grow = (own.length - 1 - i) * OVER_M;
    const flat = layer.shape === 'flat';
    const within = (m: number, most: number | undefined) => (most === undefined ? m : Math.min(most, m));
    return {
      ...layer,
      lengthM: within(layer.lengthM + grow, room?.lengthM),
      widthM: within(layer.widthM + grow, room?.widthM),
      heightM: within(flat ? layer.heightM : layer.heightM + grow, room?.heightM),
      touchesCrop: flat && i === own.length - 1,
    };
  });
}

/**
 * The bed under `covers` (each may appear twice for a double one). In a house its air is the beds' own together: what
 * stands over all of them is `shared`.
 * @example bedSpec(aStructure(), aBed(), [], [aCover()], { deepC: 6 }).stack.map((l) => l.role) // ['structure', 'sheet']
 */
export function bedSpec(
  structure: Structure,
  bed: Bed,
  plantings: readonly Planting[],
  covers: readonly Cover[],
  options: StackOptions,
): BedSpec {
  const crop = canopyOf(plantings);
  const base = structureLayer(structure, options);
  const laid = covers
    .map((cover, i) => ({ cover, timing: options.timing?.[i] }))
    // a place indoors is no layer: what stands there is not on the bed
    .filter((x) => !isIndoors(x.cover))
    .sort((a, b) => byPlace(a.cover, b.cover));
  const outer = base
    ? laid
        .filter((x) => x.cover.use === 'over')
        .map((x): Layer => ({ ...overLayer(structure, x.cover), ...x.timing }))
    : [];
  const inner = laid.filter((x) => x.cover.use !== 'over');
  // shade cloth that stays on a house lies outermost, where there is room for one more
  if (base && structure.shade && shadeShown(structure, covers)) {
    outer.unshift({
      id: structure.id,
      role: 'shade',
      lengthM: structure.lengthM + 0.2,
      widthM: structure.widthM + 0.2,
      heightM: structure.heightM + 0.1,
      shape: structure.shape,
      material: structure.shade,
      tightness: 'drafty',
    });
  }
  const own = inner.map(({ cover, timing }): Layer => {
    const flat = cover.use === 'flat';
    return {
      id: cover.id,
      role: 'sheet',
      lengthM: bed.lengthM + 0.1,
      widthM: bed.widthM + 0.1,
      heightM: flat ? Math.max(0.05, crop.heightM) : bed.hoopHeightM,
      shape: flat ? 'flat' : 'arch',
      material: cover.material,
      plies: cover.plies,
      tightness: CONDITION[cover.condition ?? 'good'],
      ...timing,
    };
  });
  const stack: Layer[] = [...(base ? [...outer, base] : []), ...nested(own, base)];
  const house = structure.kind === 'house' && base !== null;
  return {
    ground: {
      texture: bed.texture,
      wetness: bed.wetness,
      deepC: options.deepC,
      on: bed.on,
      ...(bed.mulchM > 0 ? { mulch: { material: 'straw', thicknessM: bed.mulchM } } : {}),
    },
    stack,
    ...(house ? { shared: outer.length + 1, floor: { lengthM: bed.lengthM, widthM: bed.widthM } } : {}),
    ...(base ? { place: placeOf(bed) } : {}),
    ...(options.horizon ? { horizon: options.horizon } : {}),
    crop,
    ...(base && structure.waterLitres
      ? { mass: { waterLitres: structure.waterLitres / (structure.lengthM * structure.widthM) } }
      : {}),
    ...heatOf(structure),
  };
}
