/**
 * When covers may come off in the morning. Contract: `looksAtLifting` runs a bed with its covers taken off at each of some
 * times and says how cold its leaves then get; `liftableAtMs` takes the first time after which everything in the bed bears
 * that as well as it would have borne staying covered, or null where it has to stay covered.
 */
import type { BedSpec } from '../heat/types';
import type { ColdNight } from '../hardiness/injury';
import { harmChance, type PlantingAtRisk } from './choose';
import { runnerOf, type BedTask } from './evaluate';
import { coldNights, type OptionOutcome } from './outcome';

export interface LiftTask {
  task: Omit<BedTask, 'options' | 'countFromAtMs'>;
  /** The bed with its covers off from a time on. */
  lifted: { atMs: number; spec: BedSpec }[];
  /** The bed with its covers left on. */
  left: BedSpec;
}

export interface LiftLook {
  atMs: number;
  /** The leaf from then to the end of the morning, by member: lifted, and left on. */
  off: ColdNight[];
  on: ColdNight[];
}

/** A short cold counts as one of two hours: light is no reason to be bold. */
const cautious = (o: OptionOutcome): ColdNight[] =>
  coldNights(o).map((n) => ({ ...n, hours: Math.max(2, n.hours ?? 2) }));

/**
 * How cold the leaf gets with the covers off from each time on, and with them left.
 * @example looksAtLifting({ task: aTask(), lifted: [{ atMs: START_MS, spec: bed([HOUSE]) }], left: bed([HOUSE, FLEECE]) }).length // 1
 */
export function looksAtLifting({ task, lifted, left }: LiftTask): LiftLook[] {
  const run = runnerOf(task);
  const stays = run(left);
  return lifted.map(({ atMs, spec }) => ({
    atMs,
    off: cautious(run(spec)({ key: 'off', structureLayer: -1 }, atMs)),
    on: cautious(stays({ key: 'on', structureLayer: -1 }, atMs)),
  }));
}

/** A chance of harm that is taken for the light of a day: starting value. */
const BORNE = 0.1;

/**
 * Whether a planting bears being uncovered: harm in at most one outcome of ten, or no likelier than under its cover.
 * @example bearsLifting({ thresholds: thresholds(cropById('spinach'), 0, 'survive') }, { atMs: 0, off: [{ leafMinC: 5 }], on: [{ leafMinC: 6 }] }) // true
 */
export function bearsLifting(p: PlantingAtRisk, look: LiftLook): boolean {
  return harmChance(p, look.off) <= Math.max(BORNE, harmChance(p, look.on) + 0.02);
}

/** @example liftableAtMs([{ thresholds: thresholds(cropById('lettuce'), 0, 'survive') }], [{ atMs: 1, off: [{ leafMinC: -12 }], on: [{ leafMinC: 2 }] }, { atMs: 2, off: [{ leafMinC: 5 }], on: [{ leafMinC: 5 }] }]) // 2 */
export function liftableAtMs(
  plantings: readonly PlantingAtRisk[],
  looks: readonly LiftLook[],
): number | null {
  return looks.find((look) => plantings.every((p) => bearsLifting(p, look)))?.atMs ?? null;
}
