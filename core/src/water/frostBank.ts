/**
 * Wetting the soil before a frost, which one school of growers does and another does not. Contract: `wetWorthK` runs a bed through the coming nights once
 * as wet as it is and once watered through, and gives what that is worth to the leaf in a given night; `mayBank` says whether today is a day for it.
 *
 * Wet soil holds and carries more heat (`heat/soil.ts`); what it loses by evaporation is in the same run. Nothing else of the quarrel is here: wet leaves
 * freeze hard, and water in the lines bursts them.
 */
import { prepareWeather } from '../heat/prepare';
import { runBed } from '../heat/run';
import type { SoilState } from '../heat/carry';
import type { BedSpec, Site, WeatherEntry } from '../heat/types';
import { PLAN_STEP_S } from '../night/prepared';

/**
 * Lowest leaf between two instants watered through, less the same as it is, K.
 * @example wetWorthK(SITE, bed([HOUSE], { ground: { deepC: 6, wetness: 'dry' } }), weather(), anEnd(), START_MS, START_MS + 72_000_000) > 0 // true
 */
export function wetWorthK(
  site: Site,
  spec: BedSpec,
  hours: readonly WeatherEntry[],
  initial: SoilState,
  fromAtMs: number,
  toAtMs: number,
): number {
  const weather = prepareWeather(site, [...hours], PLAN_STEP_S);
  const lowest = (wetness: 'wet' | null) => {
    const ground = wetness ? { ...spec.ground, wetness } : spec.ground;
    const run = runBed({ ...spec, ground }, weather, { initial, audit: false });
    return run.leafC.reduce(
      (low, c, i) => (run.entryAtMs[i]! >= fromAtMs && run.entryAtMs[i]! <= toAtMs ? Math.min(low, c) : low),
      Infinity,
    );
  };
  return lowest('wet') - lowest(null);
}

/** Warmest air today and lowest leaf tonight that water is given into, °C; a leaf in the night after that makes it worth asking. */
const DAY_C = 3;
const NIGHT_C = 0.5;
const FROST_C = 0;
/** So much has to be lacking that there is room for it, mm. */
const ROOM_MM = 4;

/**
 * A day ahead at the latest: today is mild, tonight does not freeze, the night after does, and the soil has room.
 * @example mayBank({ dayC: 6, tonightC: -3, tomorrowC: -6, lacksMm: 10 }) // false
 */
export const mayBank = (i: { dayC: number; tonightC: number; tomorrowC: number; lacksMm: number }): boolean =>
  i.dayC >= DAY_C && i.tonightC >= NIGHT_C && i.tomorrowC < FROST_C && i.lacksMm >= ROOM_MM;
