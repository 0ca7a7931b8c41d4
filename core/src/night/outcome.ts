/**
 * What a bed's runs under every member come to: its lowest, when leaves thaw, bands by hour. Contract: `outcomeFrom`
 * takes the runs in the order of the members and adds nothing that they do not hold.
 */
import { REST_ERROR_K } from '../calibration/belief';
import type { ColdNight } from '../hardiness/injury';
import type { SoilState } from '../heat/carry';
import type { BedRun } from '../heat/run';
import { HOUR_MS } from '../time/farmTime';
import { bandSeries, medianOf, type Band } from './bands';

export interface OptionOutcome {
  key: string;
  /** Lowest leaf temperature of each member, °C, and when. */
  minLeafC: number[];
  minAtMs: number;
  /** Hours within a kelvin of that, each member, and the lowest soil about the roots at 5 cm, °C. */
  coldHours: number[];
  soilMinC: number[];
  /** Highest leaf of the last eight hours, each member, °C: the day that follows with the covers left on. */
  hottestC: number[];
  /** Lowest air in the structure itself where its thermometer hangs, each member, °C; empty in the open. */
  structureMinC: number[];
  /** When the leaves have thawed, each member, epoch ms; null where they never froze, Infinity where not within the hours. */
  thawAtMs: (number | null)[];
  hoursFrozen: number;
  /** Hour by hour; of a brief outcome this and the curves that follow are left empty. */
  leafC: Band;
  /** Air in each layer from the outermost; NaN while it is off. */
  layersC: Band[];
  /** Soil at 5 cm, median member. */
  soilC: number[];
  humidity: number[];
  /** So many members were run, the others drawn out from them; 0 where it is told from other stacks, left out where everyone was. */
  ranUnder?: number;
}

/** A bed with all that was worked out for it: the house's hours, where it starts from, its last day, its options. */
export interface BedOutcome {
  timesAtMs: number[];
  outsideC: Band;
  skyC: number[];
  initial: SoilState;
  past: BedPast;
  options: OptionOutcome[];
}

/** The last day before a night as the model has it under the covers that were on, hour by hour. */
export interface BedPast {
  timesAtMs: number[];
  outsideC: number[];
  leafC: number[];
  soilC: number[];
  /** Air in the structure where its thermometer hangs; empty in the open. */
  structureC: number[];
  /** The lowest leaf of each day of the record, counted back from its end, oldest first. */
  lows: { atMs: number; leafC: number }[];
}

/**
 * First instant from which leaves that froze stay above +0.5 °C, epoch ms; null where they never froze, Infinity where they
 * have not thawed by the last hour that is known: no hour is invented for it.
 * @example thawedAtMs([0, 1, 2], [-1, 1, 2]) // 0.75
 */
export function thawedAtMs(
  timesAtMs: readonly number[],
  leafC: ArrayLike<number>,
  fromIndex = 0,
): number | null {
  let last = -1;
  for (let i = fromIndex; i < timesAtMs.length; i++) if (leafC[i]! < -0.2) last = i;
  if (last < 0) return null;
  for (let i = last + 1; i < timesAtMs.length; i++) {
    const a = leafC[i - 1]!;
    const b = leafC[i]!;
    if (b >= 0.5) {
      const f = b === a ? 1 : Math.min(1, Math.max(0, (0.5 - a) / (b - a)));
      return timesAtMs[i - 1]! + f * (timesAtMs[i]! - timesAtMs[i - 1]!);
    }
  }
  return Infinity;
}

/** Hours from `from` on in which a leaf is within a kelvin of its lowest; never less than half a step. */
function hoursNear(
  timesAtMs: readonly number[],
  leafC: ArrayLike<number>,
  from: number,
  lowestC: number,
): number {
  let ms = 0;
  for (let i = from; i < timesAtMs.length; i++) {
    if (leafC[i]! > lowestC + 1) continue;
    const before = timesAtMs[i - 1] ?? timesAtMs[i]!;
    const after = timesAtMs[i + 1] ?? timesAtMs[i]!;
    ms += (after - before) / 2;
  }
  return ms / HOUR_MS;
}

/**
 * An option's nights as they hurt a planting, by member; laid too late, `lostK` colder.
 * @example coldNights({ minLeafC: [-3], coldHours: [4], soilMinC: [2] }, 0.5) // [{ leafMinC: -3.5, hours: 4, soilMinC: 2 }]
 */
export const coldNights = (o: OptionOutcome, lostK = 0): ColdNight[] =>
  o.minLeafC.map((c, m) => ({
    leafMinC: c - lostK,
    hours: o.coldHours[m]!,
    soilMinC: o.soilMinC[m]!,
  }));

/** The hours end in the early afternoon: so long before it is morning. */
const DAY_MS = 8 * HOUR_MS;

export interface OutcomeInputs {
  key: string;
  runs: readonly BedRun[];
  /** What the thermometer shows over the air where it hangs, by member, K. */
  hangsK: readonly number[];
  /** What the bed's place adds to its leaf, K. */
  placeK: number;
  /** What the roof's own thermometer showed it to be colder by, K: on the leaf and on the air of every layer. */
  partedK?: number | undefined;
  /** Only from this hour on does it count. */
  from: number;
  /** Place of the structure in the stack, −1 in the open. */
  structureLayer: number;
  /** Without the curves that only a grower looks at. */
  brief?: boolean;
}

/** What is left empty where only the choice is asked for. */
export const NO_CURVES: Pick<OptionOutcome, 'leafC' | 'layersC' | 'soilC' | 'humidity'> = {
  leafC: { low: [], mid: [], high: [] },
  layersC: [],
  soilC: [],
  humidity: [],
};

/**
 * A bed's runs under every member as one outcome.
 * @example outcomeFrom({ key: 'bare', runs: [night([HOUSE])], hangsK: [0], placeK: 0, from: 0, structureLayer: 0 }).minLeafC.length // 1
 */
export function outcomeFrom(o: OutcomeInputs): OptionOutcome {
  const { runs, from, partedK = 0 } = o;
  const times = runs[0]!.entryAtMs;
  const moved = (a: Float64Array, k: number) => (k === 0 ? a : a.map((c) => c + k));
  const leaves = runs.map((r) => moved(r.leafC, o.placeK + partedK));
  const minLeafC: number[] = [];
  const hottestC: number[] = [];
  const minAt: number[] = [];
  const day = Math.max(
    0,
    times.findIndex((ms) => ms >= times[times.length - 1]! - DAY_MS),
  );
  let frozen = 0;
  for (const leafC of leaves) {
    let at = from;
    for (let i = from; i < times.length; i++) {
      if (leafC[i]! < leafC[at]!) at = i;
      if (leafC[i]! < 0) frozen += 1 / runs.length;
    }
    minLeafC.push(leafC[at]!);
    minAt.push(times[at]!);
    hottestC.push(leafC.subarray(day).reduce((m, c) => Math.max(m, c), -Infinity));
  }
  const series = (pick: (r: BedRun) => Float64Array) => bandSeries(runs.map(pick), REST_ERROR_K);
  const lowest = (a: Float64Array) => a.subarray(from).reduce((m, c) => Math.min(m, c), Infinity);
  return {
    key: o.key,
    minLeafC,
    minAtMs: medianOf(minAt),
    coldHours: leaves.map((leafC, m) => hoursNear(times, leafC, from, minLeafC[m]!)),
    soilMinC: runs.map((r) => lowest(r.soilC[1])),
    hottestC,
    structureMinC:
      o.structureLayer < 0
        ? []
        : runs.map((r, m) => lowest(r.layerAirC[o.structureLayer]!) + o.hangsK[m]! + partedK),
    thawAtMs: leaves.map((leafC) => thawedAtMs(times, leafC, from)),
    hoursFrozen: frozen,
    ...(o.brief
      ? NO_CURVES
      : {
          leafC: bandSeries(leaves, REST_ERROR_K),
          layersC: runs[0]!.layerAirC.map((_, l) => series((r) => moved(r.layerAirC[l]!, partedK))),
          soilC: times.map((_, i) => medianOf(runs.map((r) => r.soilC[1][i]!))),
          humidity: times.map((_, i) => medianOf(runs.map((r) => r.humidity[i]!))),
        }),
  };
}
