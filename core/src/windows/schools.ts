/**
 * When may it be sown? Three schools, side by side. Contract: each gives a window of autumn and of spring, in days of the year, with the
 * reason for every edge as an id and values, and what it leaves out; null where it has none. Words are the caller's.
 *
 * `layers`: weeks for each layer, from the frost dates. `light`: what grows to picking size before the dark weeks, and after them.
 * `risk`: the dates that come off in all but the accepted share of plausible years.
 */
import { monthDayOf, YEAR_DAYS } from '../climate/climate';
import type { Crop } from '../crops/crops';
import { wayToPick, type How, type Season } from '../growth/course';
import { packetDays } from '../growth/thermal';
import { byRisk } from './byRisk';
import type { DateRow } from './dates';
import { none, wrap, type Frosts, type Window } from './window';

export type { Edge, Frosts, Half, Reason, SchoolId, Window } from './window';

/** Weeks that a layer is worth to those who count so, and how a crop stands to the frost dates. */
const WEEKS_A_LAYER = 3;
const DARK_H = 10;

/** Weeks that it bears before the last frost: by how much its young leaves stand. */
function weeksBefore(crop: Crop): number {
  const c = crop.damageC[0];
  return c <= -4 ? 6 : c <= -2.5 ? 4 : c <= -1 ? 2 : -1;
}

/**
 * What is sown in autumn to stand the winter and be picked in the next year.
 * @example overwinters(cropById('garlic')) // true
 */
export const overwinters = (crop: Crop): boolean =>
  crop.pickDd >= 1000 &&
  (['onion', 'flower', 'legume', 'manure', 'fruit'].includes(crop.group)
    ? crop.deathC[1] <= -9
    : crop.deathC[1] <= -13);

function byLayers(crop: Crop, how: How, layers: number, frosts: Frosts): Window[] {
  const weeks = WEEKS_A_LAYER * layers;
  const days = packetDays(crop) - (how === 'transplant' ? bench(crop) : 0);
  const spring = (): Window => {
    if (frosts.lastSpring === null) return none('layers', 'spring', 'no-frost');
    const earliest = frosts.lastSpring - 7 * (weeksBefore(crop) + weeks);
    return {
      school: 'layers',
      season: 'spring',
      earliest: wrap(earliest),
      best: wrap(earliest + 14),
      latest: wrap(earliest + 63),
      reasons: [
        {
          edge: 'earliest',
          id: 'frost-last',
          values: {
            date: monthDayOf(frosts.lastSpring),
            weeks: weeksBefore(crop),
            layers,
            layerWeeks: weeks,
          },
        },
        { edge: 'latest', id: 'heat', values: { weeks: 9 } },
      ],
    };
  };
  const autumn = (): Window => {
    if (frosts.firstAutumn === null) return none('layers', 'autumn', 'no-frost');
    if (overwinters(crop)) {
      return {
        school: 'layers',
        season: 'autumn',
        earliest: wrap(frosts.firstAutumn - 14),
        best: wrap(frosts.firstAutumn + 7),
        latest: wrap(frosts.firstAutumn + 35 + (7 * weeks) / 3),
        reasons: [
          { edge: 'latest', id: 'ground-cools', values: { date: monthDayOf(frosts.firstAutumn), weeks: 5 } },
        ],
      };
    }
    const latest = frosts.firstAutumn + (weeksBefore(crop) > 0 ? 7 * weeks : 0) - days - 14;
    return {
      school: 'layers',
      season: 'autumn',
      earliest: wrap(latest - 42),
      best: wrap(latest - 14),
      latest: wrap(latest),
      reasons: [
        {
          edge: 'latest',
          id: 'frost-first',
          values: { date: monthDayOf(frosts.firstAutumn), days: Math.round(days), layers, layerWeeks: weeks },
        },
        { edge: 'earliest', id: 'runs-up', values: { weeks: 6 } },
      ],
    };
  };
  return [autumn(), spring()];
}

/** Days that it stands in trays at 15 °C. @example bench(cropById('carrot')) // 0 */
export function bench(crop: Crop): number {
  return crop.raiseDd === null
    ? 0
    : packetDays(crop) - packetDays({ ...crop, pickDd: crop.pickDd - crop.raiseDd, emergence: null });
}

/** A place's usual year: means by day of the year. */
function usualYear(s: Season): { growth: Float64Array; rise: Float64Array; maxC: Float64Array } {
  const years = s.under.count;
  const of = (f: (i: number) => number) =>
    Float64Array.from({ length: YEAR_DAYS }, (_, d) => {
      let sum = 0;
      for (let y = 0; y < years; y++) sum += f(y * YEAR_DAYS + d);
      return sum / years;
    });
  return {
    growth: of((i) => s.growth[i + 1]! - s.growth[i]!),
    rise: of((i) => s.rise[i + 1]! - s.rise[i]!),
    maxC: of((i) => s.under.maxC[i]!),
  };
}

/** Days back from `end` until a sum has come to `target`; null where a year does not do. */
function back(list: Float64Array, end: number, target: number): number | null {
  let sum = 0;
  for (let k = 1; k <= YEAR_DAYS; k++) {
    sum += list[wrap(end - k)]!;
    if (sum >= target) return k;
  }
  return null;
}

/**
 * First day of the dark weeks and first after them; null where no day is shorter than ten hours.
 * @example darkWeeks(new Float64Array(365).fill(12)) // null
 */
export function darkWeeks(dayH: Float64Array): { from: number; to: number } | null {
  let from: number | null = null;
  let to: number | null = null;
  for (let d = 0; d < YEAR_DAYS; d++) {
    const before = dayH[wrap(d - 1)]! < DARK_H;
    const now = dayH[d]! < DARK_H;
    if (now && !before) from = d;
    if (!now && before) to = d;
  }
  return from === null || to === null ? null : { from, to };
}

/** Growth that comes between two days of the usual year. */
const sumOf = (list: Float64Array, from: number, to: number) => {
  let sum = 0;
  for (let d = from; d !== to; d = wrap(d + 1)) sum += list[d]!;
  return sum;
};

function byLight(s: Season, how: How): Window[] {
  const { crop } = s;
  const dark = darkWeeks(s.dayH);
  if (!dark) return [none('light', 'autumn', 'never-dark'), none('light', 'spring', 'never-dark')];
  const usual = usualYear(s);
  const way = wayToPick(crop, how);
  const upDd = how === 'sow' && crop.emergence ? crop.emergence.degreeDays : 0;
  /** Day it is sown to be ready on `end`. */
  const sownFor = (end: number): number | null => {
    const grows = back(usual.growth, end, way);
    if (grows === null) return null;
    const rises = upDd === 0 ? 0 : back(usual.rise, wrap(end - grows), upDd);
    return rises === null || grows + rises > 330 ? null : end - grows - rises;
  };
  const latest = sownFor(dark.from);
  const best = sownFor(dark.from - 14);
  const early = sownFor(dark.from - 45);
  const midsummer = s.dayH.indexOf(Math.max(...s.dayH));
  const autumn: Window =
    overwinters(crop) || (latest !== null && wrap(latest - midsummer + 30) > 240)
      ? none('light', 'autumn', 'stands-winter', { date: monthDayOf(dark.to) })
      : latest === null
        ? none('light', 'autumn', 'too-dark', { date: monthDayOf(dark.from) })
        : {
            school: 'light',
            season: 'autumn',
            earliest: early === null ? null : wrap(early),
            best: best === null ? null : wrap(best),
            latest: wrap(latest),
            reasons: [
              { edge: 'latest', id: 'before-dark', values: { date: monthDayOf(dark.from) } },
              { edge: 'earliest', id: 'runs-up', values: { weeks: 6 } },
            ],
          };
  const rises = upDd === 0 ? 0 : (back(usual.rise, dark.to + 14, upDd) ?? 60);
  const earliest = dark.to - (how === 'sow' ? Math.min(rises, 28) : 0);
  // ready before the place is too hot for it
  const hot = usual.maxC.findIndex((c, d) => c > crop.stopC && s.dayH[d]! > DARK_H);
  const fits = hot < 0 ? null : sownFor(hot);
  const enough = sumOf(usual.growth, wrap(dark.to), wrap(dark.from)) >= way;
  const spring: Window = !enough
    ? none('light', 'spring', 'too-cold', {})
    : {
        school: 'light',
        season: 'spring',
        earliest: wrap(earliest),
        best: wrap(earliest + 14),
        latest: wrap(
          fits !== null && wrap(fits - earliest) < 182 ? Math.max(fits, earliest + 14) : earliest + 90,
        ),
        reasons: [
          { edge: 'earliest', id: 'after-dark', values: { date: monthDayOf(dark.to) } },
          fits === null
            ? { edge: 'latest', id: 'all-year', values: { weeks: 13 } }
            : { edge: 'latest', id: 'heat', values: { date: monthDayOf(hot) } },
        ],
      };
  return [autumn, spring];
}

export interface WindowsInput {
  season: Season;
  rows: readonly DateRow[];
  how: How;
  layers: number;
  frosts: Frosts;
  risk: number;
  latitude: number;
}

/**
 * When to begin a crop, by three schools, each edge with its why.
 * @example answer(aPlaceOfYears(), cropById('mache'), 'sow', null, 0.2).windows.map((w) => w.school).includes('layers') // true
 */
export function windowsOf(i: WindowsInput): Window[] {
  const { crop } = i.season;
  return [
    ...byLayers(crop, i.how, i.layers, i.frosts),
    ...byLight(i.season, i.how),
    ...byRisk(i.rows, i.risk, i.latitude),
  ];
}
