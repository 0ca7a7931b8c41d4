/**
 * Plausible days of a place as the engine takes them. Contract: `placeDays` gives a climate's two years and, block by block, their weather made ready with the
 * bare ground under it; what a place asks for under one stack is held for the next.
 */
import { runOutside, type OutsideRun } from '../heat/outside';
import { prepareWeather, type PreparedWeather } from '../heat/prepare';
import type { Ground } from '../heat/types';
import { YEAR_DAYS } from './climate';
import { hoursOf } from './hours';
import type { UnderSpec } from './underCover';
import { plausibleYears, type Years } from './years';
import { deepGroundC } from './zonal';

/** A block is so many days, of which the first are for the bed to settle in. */
export const LEAD_DAYS = 8;
export const BLOCK_DAYS = LEAD_DAYS + 30;

/** A block of days outside, the same for all that stands in them. */
export interface Days {
  weather: PreparedWeather;
  ground: Ground;
  outside: OutsideRun;
}

function daysFrom({ site: at, climate, ground: of }: UnderSpec, years: Years, from: number): Days {
  const site = { ...at, longitude: 0 };
  let sum = 0;
  for (let i = from - 54; i < from + 8; i++) {
    const d = (i + YEAR_DAYS) % YEAR_DAYS;
    sum += (climate.lowC[d]! + climate.highC[d]!) / 2 / 62;
  }
  const ground: Ground = { ...of, deepC: deepGroundC(site, sum) };
  const weather = prepareWeather(site, hoursOf(years, site, from, BLOCK_DAYS), 3600);
  return { weather, ground, outside: runOutside(weather, ground) };
}

/** So many places' days are held: a farm asks for one place and ground under one stack after another. */
const HELD = 2;
const held = new Map<string, Map<number, Days>>();

/** A place's two years, and a block of their days from one on. */
export interface PlaceDays {
  years: Years;
  from: (day: number) => Days;
}

/**
 * A place's plausible two years, with each block of their days as it is outside.
 * @example placeDays({ site: SITE, climate: aClimate(), stack: [] }, 1).from(10).weather.entryAtMs.length // 912
 */
export function placeDays(spec: UnderSpec, seed: number): PlaceDays {
  const years = plausibleYears(spec.climate, 2, seed);
  const key = JSON.stringify([spec.site, spec.climate, spec.ground, seed]);
  const found = held.get(key) ?? new Map<number, Days>();
  held.delete(key);
  held.set(key, found);
  if (held.size > HELD) held.delete(held.keys().next().value!);
  const from = (day: number): Days => {
    const days = found.get(day) ?? daysFrom(spec, years, day);
    found.set(day, days);
    return days;
  };
  return { years, from };
}
