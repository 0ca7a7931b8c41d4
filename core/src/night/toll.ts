/**
 * What the night takes of a planting, over all of its outcomes: the one figure behind the plan's price, the list, Place and Beds.
 * Contract: `tollOf` gives shares 0 to 1 expected over the members' nights and the model's own error; `middleNight` is the one that
 * the shown temperature belongs to; `verdict` says what that one does, as a grower says it.
 */
import { REST_ERROR_K } from '../calibration/belief';
import type { Crop } from '../crops/crops';
import type { Thresholds } from '../hardiness/hardiness';
import { effectiveC, injuryOf, type ColdNight } from '../hardiness/injury';
import { medianOf } from './bands';
import { said, type Said } from '../words/said';

export interface Toll {
  /** Plants lost; of those that live, leaves lost; open flowers and young fruit lost. */
  plants: number;
  leaves: number;
  flowers: number;
  daysLost: number;
}

/** Three points that stand for a normal error: Gauss and Hermite. */
const ERROR_POINTS = [
  { k: -Math.sqrt(3), weight: 1 / 6 },
  { k: 0, weight: 2 / 3 },
  { k: Math.sqrt(3), weight: 1 / 6 },
];

/**
 * Mean of something over the nights and the model's error, K; `of` keeps nothing of the night that it is given.
 * @example overNights([{ leafMinC: -2 }, { leafMinC: -4 }], 1, (n) => n.leafMinC) // -3
 */
export function overNights(
  nights: readonly ColdNight[],
  errorK: number,
  of: (night: ColdNight) => number,
): number {
  let sum = 0;
  for (const night of nights) {
    const at = { ...night };
    for (const { k, weight } of ERROR_POINTS) {
      at.leafMinC = night.leafMinC + k * errorK;
      sum += weight * of(at);
    }
  }
  return sum / nights.length;
}

/** @example tollOf(thresholds(cropById('spinach'), 0, 'survive'), [{ leafMinC: 8 }]) // { plants: 0, leaves: 0, flowers: 0, daysLost: 0 } */
export function tollOf(t: Thresholds, nights: readonly ColdNight[], errorK = REST_ERROR_K): Toll {
  const sum: Toll = { plants: 0, leaves: 0, flowers: 0, daysLost: 0 };
  for (const night of nights)
    for (const { k, weight } of ERROR_POINTS) {
      const i = injuryOf(t, { ...night, leafMinC: night.leafMinC + k * errorK });
      const w = weight / nights.length;
      sum.plants += w * i.plants;
      sum.leaves += w * i.leaves;
      sum.flowers += w * i.flowers;
      sum.daysLost += w * i.daysLost;
    }
  return sum;
}

/**
 * The night whose leaf is nearest to the middle of all.
 * @example middleNight([{ leafMinC: -9 }, { leafMinC: -3 }, { leafMinC: -2 }]).leafMinC // -3
 */
export function middleNight(nights: readonly ColdNight[]): ColdNight {
  const mid = medianOf(nights.map((n) => n.leafMinC));
  const near = nights.reduce((a, b) => (Math.abs(b.leafMinC - mid) < Math.abs(a.leafMinC - mid) ? b : a));
  return { ...near, leafMinC: mid };
}

/**
 * What a night will do: the dead first, then leaves, flowers, growth; `close` within a kelvin of the first harm.
 * @example verdict(cropById('spinach'), thresholds(cropById('spinach'), 0, 'survive'), { leafMinC: 8 }) // { say: 'verdict.safe' }
 */
export function verdict(crop: Crop, t: Thresholds, night: ColdNight): Said {
  const i = injuryOf(t, night);
  if (i.plants >= 0.5) return said('verdict.word', { word: crop.deathWord });
  if (i.plants >= 0.1) return said('verdict.plants', { tenths: Math.round(10 * i.plants) });
  const word = crop.damageWord;
  if (i.leaves >= 0.15) return said('verdict.leaves', { word, tenths: Math.round(10 * i.leaves) });
  if (i.leaves >= 0.01) return said('verdict.word', { word });
  if (i.flowers >= 0.5) return said('verdict.flowersAll');
  if (i.flowers >= 0.1) return said('verdict.flowers', { tenths: Math.round(10 * i.flowers) });
  // said beside the leaf's own temperature: what only the hours bring near is close, not under
  if (night.leafMinC < t.harmC || i.daysLost >= 0.5) return said('verdict.checked');
  return effectiveC(night) < t.harmC + 1 ? said('verdict.close') : said('verdict.safe');
}
