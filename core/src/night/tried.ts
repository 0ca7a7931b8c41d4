/**
 * A cover that a grower does not have, tried in thought. Contract: `withTried(stack, bed, material, use)` puts one more
 * layer into a stack, on hoops inside what stands there or laid on the crop, as large as there is room; or says why not.
 */
import type { Bed } from '../farm/types';
import type { Layer, MaterialId } from '../heat/types';
import { said, type Said } from '../words/said';

const MAX_LAYERS = 4;
/** Hoops of a bed that has none, m. */
const USUAL_HOOP_M = 0.5;
/** A layer inside another stands this much lower and narrower, m. */
const GAP_M = 0.06;
const LOWEST_HOOP_M = 0.15;

/** @example withTried([HOUSE], aBed(), 'fleece-30', 'hoops', 0.1).length // 2 */
export function withTried(
  stack: readonly Layer[],
  bed: Pick<Bed, 'lengthM' | 'widthM' | 'hoopHeightM'>,
  material: MaterialId,
  use: 'hoops' | 'flat',
  cropHeightM: number,
): Layer[] | Said {
  if (stack.length >= MAX_LAYERS) return said('try.four');
  const flatAt = stack.findIndex((l) => l.shape === 'flat');
  if (use === 'flat' && flatAt >= 0) return said('try.flat');
  const at = use === 'flat' || flatAt < 0 ? stack.length : flatAt;
  const around = stack[at - 1];
  const within = (m: number, outer: number | undefined, gap: number) =>
    outer === undefined ? m : Math.min(m, outer - gap);
  const flat = use === 'flat';
  const heightM = flat
    ? within(Math.max(0.05, cropHeightM), around?.heightM, 0)
    : within(bed.hoopHeightM > 0 ? bed.hoopHeightM : USUAL_HOOP_M, around?.heightM, GAP_M);
  if (!flat && heightM < LOWEST_HOOP_M) return said('try.noRoom');
  const layer: Layer = {
    lengthM: within(bed.lengthM + 0.1, around?.lengthM, flat ? 0 : GAP_M),
    widthM: within(bed.widthM + 0.1, around?.widthM, flat ? 0 : GAP_M),
    heightM,
    shape: flat ? 'flat' : 'arch',
    material,
    touchesCrop: flat,
  };
  const inner = stack[at];
  // what lies flat beneath has to fit under the new hoops
  const rest = stack.slice(at).map((l) => ({
    ...l,
    lengthM: Math.min(l.lengthM, layer.lengthM),
    widthM: Math.min(l.widthM, layer.widthM),
  }));
  return [...stack.slice(0, at), layer, ...(inner ? rest : [])];
}
