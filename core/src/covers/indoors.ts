/**
 * A place indoors, as the last of covers: a shed, a kitchen, a cellar into which crates are carried for a night. Contract: `isIndoors` says whether
 * a cover is one; `carriedIn` gives an outcome of a bed as it is in there; `pastIndoors` what the hours that were have been for what stood in there.
 *
 * The night in there is what the grower says it is (`nightC`): nothing is reckoned of it.
 */
import type { Cover } from '../farm/types';
import type { BedPast, OptionOutcome } from '../night/outcome';

/** A kitchen or shed that nobody has measured, °C: starting value, well above any frost and no more than a cool room. */
export const USUAL_INDOORS_C = 8;
/** More than this is for two people, kg: what most rules of work have for one. */
export const HEAVY_KG = 20;

export const isIndoors = (c: Pick<Cover, 'use'>): boolean => c.use === 'indoors';
export const nightCOf = (c: Pick<Cover, 'nightC'>): number => c.nightC ?? USUAL_INDOORS_C;

/** An outcome with the plants indoors from an instant on; the house that they left is as it was. */
export function carriedIn(
  o: OptionOutcome,
  timesMs: readonly number[],
  fromMs: number,
  place: Cover,
): OptionOutcome {
  const roomC = nightCOf(place);
  const all = o.minLeafC.map(() => roomC);
  const within = (c: readonly number[]) => c.map((x, i) => (timesMs[i]! >= fromMs ? roomC : x));
  return {
    ...o,
    minLeafC: all,
    minAtMs: fromMs,
    coldHours: all.map(() => 0),
    soilMinC: all,
    thawAtMs: all.map(() => null),
    hoursFrozen: 0,
    leafC: { low: within(o.leafC.low), mid: within(o.leafC.mid), high: within(o.leafC.high) },
    soilC: within(o.soilC),
  };
}

/** Hours and lows within a span that plants stood indoors are those of the place. */
export function pastIndoors(
  past: BedPast,
  spans: readonly { fromMs: number; toMs: number; place: Cover }[],
): BedPast {
  if (spans.length === 0) return past;
  const at = (ms: number) => spans.find((s) => ms >= s.fromMs && ms < s.toMs);
  const leaf = (ms: number, c: number) => {
    const s = at(ms);
    return s ? nightCOf(s.place) : c;
  };
  return {
    ...past,
    leafC: past.leafC.map((c, i) => leaf(past.timesMs[i]!, c)),
    lows: past.lows.map((l) => ({ ...l, leafC: leaf(l.atMs, l.leafC) })),
  };
}
