/**
 * Three sheets told from the twos of them. Contract: `fromTwos` gives what a bed does under three sheets by some members, from what it does there bare, under each of the
 * three alone and under each two of them, all in one air.
 *
 * A sheet over two others adds to the leaf's lowest less than it did over one of them, by as much as over that one it added less than over nothing: from bare to one to two the gains fall off
 * by a share, and go on doing so. Within a quarter of a kelvin (root mean square) of running it, under film, in the open, under cloud and before a bright day (`threes.test.ts`).
 * By day it is told half way between the twos and as much more again, which is rather too warm than too cool; the hours of cold likewise, to within two.
 */
import { NO_CURVES, type OptionOutcome } from './outcome';

type Three<T> = readonly [T, T, T];

export interface Less {
  bare: OptionOutcome;
  /** Under the first of the sheets alone, the second, the third. */
  ones: Three<OptionOutcome>;
  /** Without the first of them, without the second, without the third. */
  twos: Three<OptionOutcome>;
}

/** Less than this, K, is no gain to take a share of. */
const NO_GAIN_K = 0.05;
const mean = (list: readonly number[]) => list.reduce((s, x) => s + x, 0) / list.length;
/** By the sheet that goes on last: its place, and those of the other two. */
const LAST = [
  [0, 1, 2],
  [1, 0, 2],
  [2, 0, 1],
] as const;

/** Gains that fall off, in the mean over which of the three goes on last. */
function fallingOff(bare: number, ones: Three<number>, twos: Three<number>): number {
  return mean(
    LAST.map(([last, a, b]) => {
      const alone = ones[last] - bare;
      // the two with the last of them are without the other
      const [overA, overB] = [twos[b] - ones[a], twos[a] - ones[b]];
      const share = Math.abs(alone) < NO_GAIN_K ? 1 : Math.min(1, Math.max(0, overB / alone));
      return twos[last] + overA * share;
    }),
  );
}

/** Half way between two of them and a third that does again what it did over one. */
const between = (ones: Three<number>, twos: Three<number>): number =>
  (mean(twos) + mean(LAST.map(([last, a, b]) => twos[last] + twos[b] - ones[a]))) / 2;

/**
 * Three sheets by the members at `which`, in that order, without curves: what they are told from holds every member, or those at least.
 * @example (() => { const at = (c) => ({ minLeafC: [c], coldHours: [2], soilMinC: [3], hottestC: [8], structureMinC: [] }); return fromTwos('a+a+a', { bare: at(-8), ones: [at(-4), at(-4), at(-4)], twos: [at(-2), at(-2), at(-2)] }, [0]).minLeafC; })() // [-1]
 */
export function fromTwos(key: string, less: Less, which: readonly number[]): OptionOutcome {
  const { bare, ones, twos } = less;
  const each = (
    of: (o: OptionOutcome) => readonly number[],
    told: (bare: number, ones: Three<number>, twos: Three<number>) => number,
  ) =>
    which.map((m) => {
      const get = (o: OptionOutcome) => of(o)[m]!;
      return told(
        get(bare),
        [get(ones[0]), get(ones[1]), get(ones[2])],
        [get(twos[0]), get(twos[1]), get(twos[2])],
      );
    });
  return {
    ...twos[0],
    ...NO_CURVES,
    key,
    minLeafC: each((o) => o.minLeafC, fallingOff),
    soilMinC: each((o) => o.soilMinC, fallingOff),
    coldHours: each(
      (o) => o.coldHours,
      (_, a, b) => Math.max(0, between(a, b)),
    ),
    hottestC: each(
      (o) => o.hottestC,
      (_, a, b) => between(a, b),
    ),
    structureMinC: twos[0].structureMinC.length > 0 ? which.map((m) => twos[0].structureMinC[m]!) : [],
  };
}
