/**
 * What scored harm teaches of a cultivar's cold. Contract: `coldBelief(crop, nights)` moves the crop's cold limits as one, by Bayes' rule,
 * from nights of which the leaf's lowest and the planting's hardness are known and which somebody scored; without a night it is the book.
 *
 * The limits of a book hold a named cultivar to about 1.5 K (starting value: trials of one crop spread by that). Each score is likely
 * as far as the injury that `injuryOf` has for it falls in its class, over the doubt of the leaf's temperature; one score in twenty is taken
 * to be somebody else's row. The shift is found on a grid of a tenth of a kelvin, so no form of the answer is assumed.
 */
import type { Crop } from '../crops/crops';
import type { ColdBelief } from '../crops/cultivars';
import { injuryOf, standsOf, type Stands } from '../hardiness/injury';
import type { HarmScore } from '../hardiness/left';

export interface ScoredNight {
  /** Lowest leaf of the night, °C, and how far that may be off, K. */
  leafC: number;
  sdK: number;
  /** How hard the planting was, 0 to 1. */
  hardening: number;
  score: HarmScore;
}

const PRIOR_SD_K = 1.5;
const REACH_K = 5;
const STEP_K = 0.1;
const WRONG = 0.05;

/** Upper edges of what a grower calls nothing, tips, leaves: shares of all that stands there, dead plants counted whole. */
const EDGES: Record<HarmScore, readonly [from: number, to: number]> = {
  none: [0, 0.03],
  tips: [0.03, 0.2],
  leaves: [0.2, 0.65],
  dead: [0.65, 1],
};

/** The class of an injury, edges softened by a fifth of themselves: nobody counts leaves. */
function inClass(lost: number, score: HarmScore): number {
  const past = (edge: number) =>
    edge <= 0 ? 1 : edge >= 1 ? 0 : 1 / (1 + Math.exp((edge - lost) / Math.max(0.006, 0.2 * edge)));
  const [from, to] = EDGES[score];
  return past(from) - past(to);
}

const POINTS = [-1.8, -1.2, -0.6, 0, 0.6, 1.2, 1.8].map((z) => ({ z, weight: Math.exp((-z * z) / 2) }));
const WHOLE = POINTS.reduce((s, p) => s + p.weight, 0);

const shifted = (s: Stands, k: number): Stands => ({
  ...s,
  damageC: s.damageC + k,
  deathC: s.deathC + k,
  rootC: null,
});

function likelihood(stands: Stands, k: number, n: ScoredNight): number {
  const own = shifted(stands, k);
  let p = 0;
  for (const { z, weight } of POINTS) {
    const i = injuryOf(own, { leafMinC: n.leafC + z * n.sdK });
    p += (weight / WHOLE) * inClass(i.plants + (1 - i.plants) * i.leaves, n.score);
  }
  return (1 - WRONG) * p + WRONG / 4;
}

/**
 * The belief after these nights; null where there are none.
 * @example coldBelief(cropById('spinach'), []) // null
 */
export function coldBelief(crop: Crop, nights: readonly ScoredNight[]): ColdBelief | null {
  if (nights.length === 0) return null;
  const stands = nights.map((n) => standsOf(crop, n.hardening));
  const grid: { k: number; w: number }[] = [];
  for (let i = Math.round(-REACH_K / STEP_K); i <= Math.round(REACH_K / STEP_K); i++) {
    const k = i * STEP_K;
    let log = (-k * k) / (2 * PRIOR_SD_K * PRIOR_SD_K);
    nights.forEach((n, j) => (log += Math.log(likelihood(stands[j]!, k, n))));
    grid.push({ k, w: log });
  }
  const top = Math.max(...grid.map((g) => g.w));
  const weights = grid.map((g) => Math.exp(g.w - top));
  const sum = weights.reduce((s, w) => s + w, 0);
  const mean = grid.reduce((s, g, i) => s + g.k * weights[i]!, 0) / sum;
  const variance = grid.reduce((s, g, i) => s + (g.k - mean) ** 2 * weights[i]!, 0) / sum;
  return { shiftK: mean, sdK: Math.sqrt(variance), nights: nights.length };
}
