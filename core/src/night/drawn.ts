/**
 * Stacks run under some of the members and drawn out over all. Contract: `someOf` says which members such stacks of a bed are run under, evenly
 * from the coldest to the mildest; `drawnOut` gives such an outcome for every member, `ranUnder` saying of how many it is more than drawn.
 *
 * In one air the lows of a bed under two stacks go together from member to member, on a line to within a fifth of a kelvin (root mean square;
 * `drawn.test.ts` runs them all). What is chosen by such a figure is run under everyone before it is told (`sure.ts`).
 */
import type { OptionOutcome } from './outcome';

/** So many are run: as many as a line can be told from. More of them hardly draw it any nearer. */
const RAN = 3;

/**
 * Places of the members to be run, in their own order, of those whose lows are given; null where it would be hardly fewer.
 * @example someOf([-1, -2, -3, -4, -5, -6]) // [0, 2, 4]
 */
export function someOf(lowsC: readonly number[], ran = RAN): number[] | null {
  if (lowsC.length < 2 * ran - 1) return null;
  const byLow = lowsC.map((_, m) => m).sort((a, b) => lowsC[a]! - lowsC[b]! || a - b);
  const place = (k: number) => Math.round(((k + 0.5) * byLow.length) / ran - 0.5);
  return Array.from({ length: ran }, (_, k) => byLow[place(k)]!).sort((a, b) => a - b);
}

const meanOf = (list: readonly number[]) => list.reduce((s, x) => s + x, 0) / list.length;

interface Line {
  at: (x: number) => number;
  /** Sum of squares that it leaves. */
  off: number;
}

/** The straight line of least squares; level where all stand at one place. */
function lineThrough(xs: readonly number[], ys: readonly number[]): Line {
  const [x0, y0] = [meanOf(xs), meanOf(ys)];
  const spread = xs.reduce((s, x) => s + (x - x0) ** 2, 0);
  const slope = spread < 1e-9 ? 0 : xs.reduce((s, x, i) => s + (x - x0) * (ys[i]! - y0), 0) / spread;
  const at = (x: number) => y0 + slope * (x - x0);
  return { at, off: xs.reduce((s, x, i) => s + (at(x) - ys[i]!) ** 2, 0) };
}

/** Each member's own where it was run. */
function withRan(few: readonly number[], ran: readonly number[], drawn: number[]): number[] {
  ran.forEach((m, i) => (drawn[m] = few[i]!));
  return drawn;
}

/** Each member's own where it was run, else as far from the known one as the others are in the mean. */
function movedLike(few: readonly number[], ran: readonly number[], known: readonly number[]): number[] {
  const more = meanOf(ran.map((m, i) => few[i]! - known[m]!));
  return withRan(
    few,
    ran,
    known.map((x) => x + more),
  );
}

/**
 * An outcome under the members at `ran` as one under all, by what is known under all of the same bed in the same air: of several the one on whose line it lies
 * best. Curves and bands stay those of the members that were run. Throws where nothing is known under all.
 * @example drawnOut({ minLeafC: [-1, -3, -5], coldHours: [2, 2, 2], soilMinC: [3, 3, 3], hottestC: [8, 7, 6], structureMinC: [] }, [0, 2, 4], [{ minLeafC: [-2, -3, -4, -5, -6], coldHours: [3, 3, 3, 3, 3], soilMinC: [2, 2, 2, 2, 2], hottestC: [5, 5, 5, 5, 5], structureMinC: [] }]).minLeafC // [-1, -2, -3, -4, -5]
 */
export function drawnOut(
  few: OptionOutcome,
  ran: readonly number[],
  known: readonly OptionOutcome[],
): OptionOutcome {
  const lines = known.map((by) => ({
    by,
    line: lineThrough(
      ran.map((m) => by.minLeafC[m]!),
      few.minLeafC,
    ),
  }));
  const first = lines[0];
  if (!first) throw new Error('nothing of the bed is known under all members');
  const { by, line } = lines.reduce((a, b) => (b.line.off < a.line.off ? b : a), first);
  return drawnBy(few, ran, by, (c) => line.at(c));
}

/** An outcome of some members as one of all: by its lows on a line, all else as far from what is known as it shows. */
const drawnBy = (
  few: OptionOutcome,
  ran: readonly number[],
  by: OptionOutcome,
  at: (knownC: number) => number,
): OptionOutcome => ({
  ...few,
  ranUnder: ran.length,
  minLeafC: withRan(few.minLeafC, ran, by.minLeafC.map(at)),
  coldHours: movedLike(few.coldHours, ran, by.coldHours).map((h) => Math.max(0, h)),
  soilMinC: movedLike(few.soilMinC, ran, by.soilMinC),
  hottestC: movedLike(few.hottestC, ran, by.hottestC),
  structureMinC:
    few.structureMinC.length > 0 && by.structureMinC.length > 0
      ? movedLike(few.structureMinC, ran, by.structureMinC)
      : few.structureMinC,
});

/** What lies nearer to where covers change nothing than this tells nothing of them, K. */
const TELLS_K = 1;

/**
 * An outcome under one member as one under all, by what the bed does bare and covered. A cover holds a leaf between the cold over it and the warmth of the ground: there
 * is one temperature at which it would make no difference, told from bare and covered, and every stack's lows are the covered bed's drawn nearer to it or away from it.
 * @example drawnFromOne({ minLeafC: [-2], coldHours: [2], soilMinC: [3], hottestC: [8], structureMinC: [] }, 1, { minLeafC: [-4, -8], coldHours: [3, 3], soilMinC: [2, 2], hottestC: [5, 5], structureMinC: [] }, { minLeafC: [-2, -4], coldHours: [3, 3], soilMinC: [2, 2], hottestC: [5, 5], structureMinC: [] }).minLeafC // [-1, -2]
 */
export function drawnFromOne(
  few: OptionOutcome,
  ran: number,
  bare: OptionOutcome,
  covered: OptionOutcome,
): OptionOutcome {
  const line = lineThrough(bare.minLeafC, covered.minLeafC);
  const slope = line.at(1) - line.at(0);
  const sameC = line.at(0) / (1 - slope);
  const [x, y] = [covered.minLeafC[ran]!, few.minLeafC[0]!];
  const share = (y - sameC) / (x - sameC);
  const tells = Math.abs(x - sameC) > TELLS_K && share > 0 && share < 2;
  return drawnBy(few, [ran], covered, (c) => (tells ? sameC + share * (c - sameC) : c + (y - x)));
}
