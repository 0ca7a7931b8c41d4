/**
 * How one planting is picked, where that is not as its crop usually is: outer leaves from many plants, cut and come again, or whole. Contract:
 * `mayPick` gives the ways that a crop bears; `asPicked` the crop with the days, the yield and the regrowth of that way.
 *
 * Starting values from the common ground of growers' handbooks: a head takes 1.75 times as long as leaves to cut and 1.5 times as long as first
 * outer leaves; picked by leaves a plant gives a tenth more over two and a half times as long, cut it gives an eighth less; a cut comes back in
 * half of its first time, leaves in a third.
 */
import type { Crop, Habit } from './crops';

export const PICKED = ['leaves', 'cut', 'whole'] as const;
export type Picked = (typeof PICKED)[number];

const LAW: Record<Picked, { toPick: number; stands: number; yields: number; again: number; cuts: number }> = {
  whole: { toPick: 1, stands: 1, yields: 1, again: 0, cuts: 1 },
  leaves: { toPick: 1 / 1.5, stands: 2.5, yields: 1.1, again: 1 / 3, cuts: 6 },
  cut: { toPick: 1 / 1.75, stands: 1.9, yields: 7 / 8, again: 1 / 2, cuts: 3 },
};

const isPicked = (habit: Habit): habit is Picked => (PICKED as readonly Habit[]).includes(habit);
/** Beside salads and leaves to cook, these bear being picked in another way. */
const ALSO = new Set(['kale', 'collard', 'celery', 'parsley', 'coriander', 'chervil', 'basil', 'mint']);

/**
 * The ways in which a crop may be picked, its own first; empty where there is only one.
 * @example mayPick(cropById('lettuce')) // ['whole', 'leaves', 'cut']
 */
export function mayPick(crop: Pick<Crop, 'id' | 'group' | 'habit'>): Picked[] {
  const leafy = crop.group === 'salad' || crop.group === 'cooking' || ALSO.has(crop.id);
  if (!leafy || !isPicked(crop.habit)) return [];
  return [crop.habit, ...PICKED.filter((p) => p !== crop.habit)];
}

/**
 * The crop as it is when it is picked in this way; itself where that is how it is picked anyway, or cannot be.
 * @example asPicked(cropById('lettuce'), 'leaves').habit // 'leaves'
 */
export function asPicked(crop: Crop, way: Picked): Crop {
  if (!mayPick(crop).includes(way) || !isPicked(crop.habit) || way === crop.habit) return crop;
  const [from, to] = [LAW[crop.habit], LAW[way]];
  const pickDd = Math.round((crop.pickDd * to.toPick) / from.toPick);
  return {
    ...crop,
    habit: way,
    pickDd,
    standDd: Math.round((crop.standDd * to.stands) / from.stands),
    yieldKgPerM: crop.yieldKgPerM === null ? null : (crop.yieldKgPerM * to.yields) / from.yields,
    againDd: to.again === 0 ? null : Math.round(pickDd * to.again),
    cuts: to.cuts,
  };
}
