/**
 * A place for crates, as the last of covers: a shed, a kitchen, a cellar into which they are carried for a night, or lower down in the same house.
 * Contract: `isIndoors` says whether a cover is one; `carriedIn` gives an outcome of a bed as it is in there; `pastIndoors` what the hours that were have
 * been for what stood in there.
 *
 * The night in a room is what the grower says it is (`nightC`): nothing is reckoned of it. Under a bench or on the floor it is as in its house and so much
 * warmer as a thermometer laid there showed (`warmerK`): the soil gives off what it has, and the cold film is farther away.
 */
import type { Cover, Structure } from '../farm/types';
import type { ColdNight } from '../hardiness/injury';
import type { BedPast, OptionOutcome } from '../night/outcome';

/** A kitchen or shed that nobody has measured, °C: starting value, well above any frost and no more than a cool room. */
export const USUAL_INDOORS_C = 8;
/** On the floor of a house against its bench, where nobody has measured it, K: starting value. */
export const USUAL_LOWER_K = 1;
/** More than this is for two people, kg: what most rules of work have for one. */
export const HEAVY_KG = 20;

/** @example isIndoors({ use: 'indoors' }) // true */
export const isIndoors = (c: Pick<Cover, 'use'>): boolean => c.use === 'indoors';
/** @example isLower({ lowerIn: 'north' }) // true */
export const isLower = (c: Pick<Cover, 'lowerIn'>): boolean => (c.lowerIn ?? null) !== null;
/** @example nightCOf({ nightC: 4 }) // 4 */
export const nightCOf = (c: Pick<Cover, 'nightC'>): number => c.nightC ?? USUAL_INDOORS_C;
/** @example warmerKOf({ warmerK: 2 }) // 2 */
export const warmerKOf = (c: Pick<Cover, 'warmerK'>): number => c.warmerK ?? USUAL_LOWER_K;

/**
 * Whether crates of this structure can be taken there: to a room from anywhere, lower down only within their own.
 * @example isReached({ lowerIn: 'north' }, { id: 'south' }) // false
 */
export const isReached = (c: Pick<Cover, 'lowerIn'>, structure: Pick<Structure, 'id'>): boolean =>
  !isLower(c) || c.lowerIn === structure.id;

/**
 * How warm it is there, where it is `c` on the bench, °C.
 * @example thereC({ nightC: 6 }, -4) // 6
 */
export const thereC = (place: Pick<Cover, 'nightC' | 'lowerIn' | 'warmerK'>, c: number): number =>
  isLower(place) ? c + warmerKOf(place) : nightCOf(place);

/**
 * A cold night on the bench as it is in that place.
 * @example coldThere({ lowerIn: 'north', warmerK: 1.5 }, { leafMinC: -4, hours: 3 }) // { leafMinC: -2.5, hours: 3 }
 */
export const coldThere = (place: Cover, night: ColdNight): ColdNight =>
  isLower(place)
    ? {
        ...night,
        leafMinC: thereC(place, night.leafMinC),
        ...(night.soilMinC === undefined ? {} : { soilMinC: thereC(place, night.soilMinC) }),
      }
    : { leafMinC: nightCOf(place) };

/**
 * An outcome with the plants in the place from an instant on; the house that they left is as it was.
 * @example carriedIn((await aPlannedBed()).outcome.options[0], (await aPlannedBed()).outcome.timesAtMs, NOW, aCover({ use: 'indoors', nightC: 6 })).minLeafC.every((c) => c > -3) // true
 */
export function carriedIn(
  o: OptionOutcome,
  timesAtMs: readonly number[],
  fromAtMs: number,
  place: Cover,
): OptionOutcome {
  const within = (c: readonly number[]) =>
    c.map((x, i) => (timesAtMs[i]! >= fromAtMs ? thereC(place, x) : x));
  const moved = {
    ...o,
    minLeafC: o.minLeafC.map((c) => thereC(place, c)),
    soilMinC: o.soilMinC.map((c) => thereC(place, c)),
    hottestC: o.hottestC.map((c) => thereC(place, c)),
    leafC: { low: within(o.leafC.low), mid: within(o.leafC.mid), high: within(o.leafC.high) },
    soilC: within(o.soilC),
  };
  // a room has no night of its own; lower down it goes as on the bench
  if (isLower(place)) return moved;
  return {
    ...moved,
    minAtMs: fromAtMs,
    coldHours: o.minLeafC.map(() => 0),
    thawAtMs: o.minLeafC.map(() => null),
    hoursFrozen: 0,
  };
}

/**
 * Hours and lows within a span that plants stood in a place are those of the place.
 * @example pastIndoors({ timesAtMs: [0, 10], leafC: [-3, -4], lows: [] }, [{ fromAtMs: 5, toAtMs: 20, place: { nightC: 6 } }]).leafC // [-3, 6]
 */
export function pastIndoors(
  past: BedPast,
  spans: readonly { fromAtMs: number; toAtMs: number; place: Cover }[],
): BedPast {
  if (spans.length === 0) return past;
  const leaf = (ms: number, c: number) => {
    const s = spans.find((x) => ms >= x.fromAtMs && ms < x.toAtMs);
    return s ? thereC(s.place, c) : c;
  };
  return {
    ...past,
    leafC: past.leafC.map((c, i) => leaf(past.timesAtMs[i]!, c)),
    lows: past.lows.map((l) => ({ ...l, leafC: leaf(l.atMs, l.leafC) })),
  };
}
