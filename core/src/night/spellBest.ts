/**
 * The best choice of a spell, or one near enough. Contract: `bestOf` has it solved by the kept solver and gives the choice, its cost and by what share of that it may be off the best of
 * all; `goodOf` a good one, sooner, of the options that are likely, with nothing told of how good. Both throw where none is found in their time.
 */
import type { Workers } from './planned';
import type { Choice, Spell } from './spell';
import {
  likely,
  readChoice,
  spellProgramme,
  textOf,
  valueOf,
  type Column,
  type SpellProgramme,
} from './spellProgramme';

/** The solver may take so long over all nights. */
const SECONDS = 15;
/** So near to the best is near enough, as a share of the cost. */
const WITHIN = 0.005;

async function solved(
  p: SpellProgramme,
  options: readonly Column[],
  workers: Workers,
  signal: AbortSignal,
): Promise<{ choice: Choice; cost: number; gap: number }> {
  const task = { lp: textOf(p, options), seconds: SECONDS, within: WITHIN };
  const { values, gap } = await workers.solve(task, signal);
  return { choice: readChoice(p, values), cost: valueOf(p, values), gap };
}

/** @example (await bestOf({ beds: [{ id: 'b', on: [], lay: {}, lift: {}, day: [{}], nights: [[{ key: 'bare', sheets: [], loss: 3, pieces: {}, mayStay: true }]] }], stock: {}, ratePerHour: 12, handsMin: [60] }, workers, new AbortController().signal)).cost // 3 */
export function bestOf(s: Spell, workers: Workers, signal: AbortSignal) {
  const p = spellProgramme(s);
  return solved(p, p.options, workers, signal);
}

/** @example (await goodOf({ beds: [{ id: 'b', on: [], lay: {}, lift: {}, day: [{}], nights: [[{ key: 'bare', sheets: [], loss: 3, pieces: {}, mayStay: true }]] }], stock: {}, ratePerHour: 12, handsMin: [60] }, workers, new AbortController().signal)).cost // 3 */
export async function goodOf(s: Spell, workers: Workers, signal: AbortSignal) {
  const p = spellProgramme(s);
  const { choice, cost } = await solved(p, likely(p), workers, signal).catch((e: unknown) => {
    if (signal.aborted) throw e;
    // what was left out may be what it takes
    return solved(p, p.options, workers, signal);
  });
  return { choice, cost };
}
