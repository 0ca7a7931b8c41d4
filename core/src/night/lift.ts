/**
 * When covers may come off in the morning. Contract: `looksAtLifting` runs a bed with its covers taken off at each of some
 * times and says how cold its leaves then get; `liftTimeMs` takes the first time after which everything in the bed bears
 * that as well as it would have borne staying covered, or null where it has to stay covered.
 */
import type { BedSpec } from '../heat/types';
import { harmChance, type PlantingAtRisk } from './choose';
import { evaluateBed, type BedTask } from './evaluate';

export interface LiftTask {
  task: Omit<BedTask, 'options' | 'countFromMs'>;
  /** The bed with its covers off from a time on. */
  lifted: { atMs: number; spec: BedSpec }[];
  /** The bed with its covers left on. */
  left: BedSpec;
}

export interface LiftLook {
  atMs: number;
  /** Lowest leaf from then to the end of the morning, by member, °C: lifted, and left on. */
  offC: number[];
  onC: number[];
}

export function looksAtLifting({ task, lifted, left }: LiftTask): LiftLook[] {
  return lifted.map(({ atMs, spec }) => {
    const [off, on] = evaluateBed({
      ...task,
      countFromMs: atMs,
      options: [
        { key: 'off', spec, structureLayer: -1 },
        { key: 'on', spec: left, structureLayer: -1 },
      ],
    });
    return { atMs, offC: off!.minLeafC, onC: on!.minLeafC };
  });
}

/** A chance of harm that is taken for the light of a day: starting value. */
const BORNE = 0.1;

/** Whether a planting bears being uncovered: harm in at most one outcome of ten, or no likelier than under its cover. */
export function bearsLifting(p: PlantingAtRisk, look: LiftLook): boolean {
  return harmChance(p, look.offC) <= Math.max(BORNE, harmChance(p, look.onC) + 0.02);
}

export function liftTimeMs(plantings: readonly PlantingAtRisk[], looks: readonly LiftLook[]): number | null {
  return looks.find((look) => plantings.every((p) => bearsLifting(p, look)))?.atMs ?? null;
}
