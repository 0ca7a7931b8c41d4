/**
 * Light sheets in wind and snow. Contract: `failShare` gives the share of outcomes in which a sheet that lies in the open blows off or is pressed down in a
 * night, 0 to 1; under a roof it is 0. `withoutExposed` is what is left of a stack then.
 *
 * A sheet weighted as most are: starting values by its weight. Mean wind of an hour at which it begins to lift, and at which none stays; snow, as
 * millimetres of water, that hoops of a bed begin to give under, and that lays them flat. It reminds; no structure is certified by it.
 */
import type { Cover, Structure } from '../farm/types';
import type { WeatherEntry } from '../heat/types';
import { isIndoors } from './indoors';

interface Bears {
  windMps: readonly [number, number];
}
const LIGHT: Bears = { windMps: [9, 15] };
const MIDDLE: Bears = { windMps: [11, 18] };
const HEAVY: Bears = { windMps: [14, 22] };
const SNOW_MM = [4, 15] as const;

function bears(c: Pick<Cover, 'material' | 'condition'>): Bears {
  if (c.condition === 'torn') return LIGHT;
  switch (c.material) {
    case 'fleece-17':
    case 'fleece-30':
    case 'perforated-film':
    case 'foil-blanket':
      return LIGHT;
    case 'straw-mat':
    case 'tarp':
    case 'frost-blanket':
      return HEAVY;
    default:
      return MIDDLE;
  }
}

/** A house keeps wind and snow off what lies within; a frame's or a tunnel's own cover keeps them off what lies under it. */
const isExposed = (c: Cover, structure: Pick<Structure, 'kind'>): boolean =>
  !isIndoors(c) && (structure.kind === 'open' || (c.use === 'over' && structure.kind !== 'house'));

const between = (x: number, [from, to]: readonly [number, number]): number =>
  Math.max(0, Math.min(1, (x - from) / (to - from)));

/**
 * Of the whole night: where one of the sheets fails the others that lie in the open are taken to fail with it.
 * @example failShare([aCover()], { kind: 'open' }, [weather({ windMs: 25 })], START_MS, START_MS + 86400000) // 1
 */
export function failShare(
  covers: readonly Cover[],
  structure: Pick<Structure, 'kind'>,
  members: readonly (readonly WeatherEntry[])[],
  fromAtMs: number,
  toAtMs: number,
): number {
  const out = covers.filter((c) => isExposed(c, structure));
  if (out.length === 0 || members.length === 0) return 0;
  const each = members.map((m) => {
    const night = m.filter((e) => Date.parse(e.time) >= fromAtMs && Date.parse(e.time) <= toAtMs);
    const windMps = Math.max(0, ...night.map((e) => e.windMs));
    const snowMm = night.reduce((s, e) => s + (e.snowMm ?? 0), 0);
    const blown = Math.max(...out.map((c) => between(windMps, bears(c).windMps)));
    const pressed = out.some((c) => c.use === 'hoops') ? between(snowMm, SNOW_MM) : 0;
    return 1 - (1 - blown) * (1 - pressed);
  });
  return each.reduce((s, p) => s + p, 0) / each.length;
}

/** @example withoutExposed([aCover()], { kind: 'house' }).length // 1 */
export const withoutExposed = (covers: readonly Cover[], structure: Pick<Structure, 'kind'>): Cover[] =>
  covers.filter((c) => !isExposed(c, structure));
