/** Beds and sheets as they usually are, to begin with. Contract: what is made here fits: a bed into its structure, a sheet on its beds. */
import { CLOTH_NAME } from '@fogata/words/en/told/names';
import { sheetFor, USUAL_SIDE_M } from '../covers/sheet';
import { archLengthM } from '../heat/geometry';
import type { MaterialId } from '../heat/types';
import type { Bed, Cover, CoverUse, Structure } from './types';

const HOOPS_M = 0.5;
const tenth = (m: number) => Math.max(0.3, Math.round(m * 10) / 10);
const up = (m: number) => Math.ceil(m * 10 - 1e-6) / 10;
/**
 * A frame or tunnel is its bed.
 * @example isWhole({ kind: 'frame' }) // true
 */
export const isWhole = (s: Pick<Structure, 'kind'>): boolean => s.kind === 'frame' || s.kind === 'tunnel';

/**
 * The `n`th ordinary bed of a structure, from 1: as long as it allows, with hoops where there is room for them.
 * @example usualBed(aStructure(), 1, 'b').id // 'b'
 */
export function usualBed(s: Structure, n: number, id: string): Bed {
  const whole = isWhole(s);
  const bench = s.form === 'bench-row' || s.form === 'nursery-shelf';
  const path = s.kind === 'house' ? Math.min(2, 0.2 * s.lengthM) : whole ? 0.2 : 0;
  return {
    id,
    structureId: s.id,
    name: `Bed ${n}`,
    lengthM: tenth(s.lengthM - path),
    widthM: whole ? tenth(s.widthM - 0.2) : Math.min(1, s.widthM),
    rows: 4,
    on: bench ? 'bench' : 'ground',
    texture: bench ? 'compost' : 'loam',
    wetness: 'moist',
    mulchM: 0,
    hoopHeightM: whole || bench ? 0 : HOOPS_M,
    order: n - 1,
  };
}

const CLOTH = {
  fleece: { name: CLOTH_NAME.fleece, material: 'fleece-30', minutes: 6 },
  blanket: { name: CLOTH_NAME.blanket, material: 'frost-blanket', minutes: 8 },
  film: { name: CLOTH_NAME.film, material: 'pe-film', minutes: 8 },
  laid: { name: CLOTH_NAME.laid, material: 'fleece-17', minutes: 4 },
} as const satisfies Record<string, { name: string; material: MaterialId; minutes: number }>;
export type Cloth = keyof typeof CLOTH;

function sizeFor(use: CoverUse, s: Structure, b: Bed): { lengthM: number; widthM: number } {
  if (use === 'over')
    return {
      lengthM: up(s.lengthM + 0.6),
      widthM: up((s.shape === 'arch' ? archLengthM(s.widthM, s.heightM) : s.widthM) + 0.5),
    };
  const hoops = use === 'hoops';
  return sheetFor({
    ...b,
    hoopHeightM: hoops ? b.hoopHeightM : 0,
    sideM: USUAL_SIDE_M,
    ends: hoops ? 'closed' : 'open',
  });
}

/**
 * A sheet that is large enough for every one of these beds, on hoops where they have them, over the whole where it is one.
 * @example usualSheet('fleece', 2, [aBed()], [aStructure()], 'f').count // 2
 */
export function usualSheet(
  cloth: Cloth,
  count: number,
  beds: readonly Bed[],
  structures: readonly Structure[],
  id: string,
): Cover {
  const owner = (b: Bed) => structures.find((s) => s.id === b.structureId)!;
  const hooped = beds.filter((b) => b.hoopHeightM > 0);
  const use: CoverUse = cloth === 'laid' ? 'flat' : hooped.length > 0 ? 'hoops' : 'over';
  const sizes = (use === 'hoops' ? hooped : beds).map((b) => sizeFor(use, owner(b), b));
  return {
    id,
    ...CLOTH[cloth],
    plies: 1,
    lengthM: Math.max(...sizes.map((s) => s.lengthM)),
    widthM: Math.max(...sizes.map((s) => s.widthM)),
    count,
    use,
    order: 0,
    condition: 'good',
  };
}
