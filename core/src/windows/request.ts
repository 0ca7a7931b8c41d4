/**
 * A question about dates, whole. Contract: `answer` takes a place's climate, the covers, the crop and the need, and gives windows by
 * school and a row for every fifth day; seeded, the same for the same question. What is slow in it, `placeOf`, is a place's own
 * and can be kept: one for each stack, whatever crops are asked for.
 */
import { dayOfYear, YEAR_DAYS, type Climate } from '../climate/climate';
import { dayAtMs } from '../climate/hours';
import { daysUnder, type Reduced, type Under, type UnderSpec } from '../climate/underCover';
import { fitUnder } from '../climate/underFit';
import { frostDays, middleDay, plausibleYears } from '../climate/years';
import type { Crop } from '../crops/crops';
import { season, type How } from '../growth/course';
import { meanYear, type MeanYear } from '../relay/course';
import { dayLengthH } from '../sky/sun';
import { datesOf, type DateRow, type Want } from './dates';
import { windowsOf, type Frosts, type Window } from './schools';

export interface PlaceYears {
  climate: Climate;
  under: Under;
  dayH: Float64Array;
  frosts: Frosts;
  layers: number;
  years: number;
}

/** @example dayLengths(0).length // 365 */
export const dayLengths = (latitude: number): Float64Array =>
  Float64Array.from({ length: YEAR_DAYS }, (_, d) => dayLengthH(dayAtMs(d) + 43_200_000, latitude));

/**
 * `years` plausible years of a place under its stack; `frost` are the dates that the grower knows, where they do; `model` is what `fitUnder` gave for it, where that
 * was kept.
 * @example aPlaceOfYears().years // 6
 */
export function placeOf(
  spec: UnderSpec,
  years: number,
  seed: number,
  frost: { lastSpring?: string | undefined; firstAutumn?: string | undefined } = {},
  model: Reduced = fitUnder(spec),
): PlaceYears {
  const { climate } = spec;
  const { latitude } = spec.site;
  // a planting runs into the year after, and may into the one after that
  const drawn = plausibleYears(climate, years + 2, seed);
  const found = frostDays(drawn, latitude);
  const start = latitude >= 0 ? 0 : 182;
  const known = (date: string | undefined, days: (number | null)[]) =>
    date === undefined ? middleDay(days, start) : dayOfYear(`2001-${date}`);
  return {
    climate,
    under: daysUnder(model, drawn),
    dayH: dayLengths(latitude),
    frosts: {
      lastSpring: known(frost.lastSpring, found.last),
      firstAutumn: known(frost.firstAutumn, found.first),
    },
    layers: spec.stack.length,
    years,
  };
}

/**
 * Windows, a row for every date, and the middle year.
 * @example answer(aPlaceOfYears(), cropById('spinach'), 'sow', null, 0.2).windows.length > 0 // true
 */
export function answer(
  place: PlaceYears,
  crop: Crop,
  how: How,
  want: Want,
  risk: number,
  stands = false,
): { windows: Window[]; rows: DateRow[]; mean: MeanYear } {
  const s = season(crop, place.under, place.dayH);
  const rows = datesOf(s, how, want, place.years, stands);
  const { latitude } = place.climate.site;
  return {
    rows,
    mean: meanYear(s, place.years),
    windows: windowsOf({ season: s, rows, how, layers: place.layers, frosts: place.frosts, risk, latitude }),
  };
}
