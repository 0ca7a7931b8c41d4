/**
 * Shade cloth by the week. Contract: `shadeTask` takes a house and what stands in it through the coming year, planned plantings among it; `shadeSpans` gives
 * the stretches of weeks in which a warm bright day is too hot for something there with everything open, and cloth takes off at least a kelvin.
 *
 * The day is one of the site's plausible ones, as warm as one in ten of its weeks and the brightest of those: hotter ones come, and the day's own plan
 * meets them. What has no day of clearing is taken to be over when it has had its warmth, a house being some kelvins warmer than outside.
 */
import { dayOfYear, YEAR_DAYS, type Climate } from '../climate/climate';
import { hoursOf } from '../climate/hours';
import { plausibleYears, type Years } from '../climate/years';
import { growsNothing, type Crop } from '../crops/crops';
import { cropOf } from '../crops/cultivars';
import type { FarmFacts } from '../farm/facts';
import { horizonOf } from '../farm/shade';
import type { Bed, Planting, Structure } from '../farm/types';
import { degreeDays } from '../growth/thermal';
import { prepareWeather } from '../heat/prepare';
import { runBed } from '../heat/run';
import type { BedSpec, Site } from '../heat/types';
import { PLAN_STEP_S } from '../night/prepared';
import { bedSpec } from '../night/stack';
import { addDays } from '../time/farmTime';
import { clothOver } from './remedies';

const YEARS = 20;
const SEED = 1;
const WARM_SHARE = 0.9;
const WEEKS = 52;
/** Days before the one that is looked at, so that ground and air are as they would be. */
const LEAD_DAYS = 2;
/** Under film by day, over the year: starting value. */
const WARMER_K = 4;
/** Leaves in a wide open house are never so much over the air outside: weeks cooler than that are not run. */
const MOST_OVER_K = 14;
const WORTH_K = 1;
/** A cool week between two hot ones is not worth taking it off. */
const GAP_WEEKS = 2;

export interface ShadeTask {
  structureId: string;
  site: Site;
  climate: Climate;
  /** Weeks in which something stands: the one that bears least heat of it. */
  weeks: { date: string; crop: string; limitC: number; spec: BedSpec }[];
}

export interface ShadeSpan {
  from: string;
  to: string;
  crop: string;
  /** Above this a day spoils it; the warm day's hottest leaf of the hottest week, with everything open and under cloth besides, °C. */
  limitC: number;
  openC: number;
  clothC: number;
}

/** The day on which a planting is over by its warmth in a usual year, where nobody said when it is cleared. */
function overOn(p: Planting, crop: Crop, climate: Climate): string {
  const need = (crop.emergence?.degreeDays ?? 0) + crop.pickDd + crop.standDd;
  let had = 0;
  for (let n = 0; n < YEAR_DAYS; n++) {
    const d = (dayOfYear(p.plantedOn) + n) % YEAR_DAYS;
    had += degreeDays(climate.lowC[d]! + WARMER_K / 2, climate.highC[d]! + WARMER_K, crop);
    if (had >= need) return addDays(p.plantedOn, n);
  }
  return addDays(p.plantedOn, YEAR_DAYS);
}

/**
 * Null where a house cannot be opened or nothing stands in it all year.
 * @example shadeTask(evening(-7, 1).data, aStructure(), '2027-01-15', aClimate()).structureId // 's'
 */
export function shadeTask(
  data: FarmFacts,
  structure: Structure,
  today: string,
  climate: Climate,
): ShadeTask | null {
  if (structure.kind !== 'house' || structure.ventAreaM2 <= 0) return null;
  const beds = new Map(data.beds.filter((b) => b.structureId === structure.id).map((b) => [b.id, b]));
  const stands = data.plantings
    .filter((p) => beds.has(p.bedId))
    .map((p) => ({ p, crop: cropOf(p), over: p.clearedOn ?? overOn(p, cropOf(p), climate) }));
  const bare = { ...structure, shade: undefined };
  const horizon = horizonOf(structure, data.structures);
  const deepC = climate.lowC.reduce((s, c, i) => s + (c + climate.highC[i]!) / 2, 0) / YEAR_DAYS;
  const specOf = (bed: Bed, plantings: readonly Planting[]) =>
    bedSpec(bare, bed, plantings, [], {
      deepC,
      horizon,
      open: [{ from: '1970-01-01T00:00:00Z', fraction: 1 }],
    });
  // weeks begin on Mondays, so that they are the same ones all week
  const weekday = (new Date(`${today}T00:00:00Z`).getUTCDay() + 6) % 7;
  const monday = addDays(today, -weekday);
  const weeks = Array.from({ length: WEEKS }, (_, w) => addDays(monday, 7 * w)).flatMap((date) => {
    const here = stands.filter((s) => s.p.plantedOn <= date && s.over > date && !growsNothing(s.crop));
    const tender = here.sort((a, b) => a.crop.spoilC - b.crop.spoilC)[0];
    if (!tender) return [];
    const bed = beds.get(tender.p.bedId)!;
    const spec = specOf(
      bed,
      here.filter((s) => s.p.bedId === bed.id).map((s) => s.p),
    );
    return [{ date, crop: tender.crop.id, limitC: tender.crop.spoilC, spec }];
  });
  const { latitude, longitude, elevationM } = data.farm;
  return weeks.length > 0
    ? { structureId: structure.id, site: { latitude, longitude, elevationM }, climate, weeks }
    : null;
}

/** Of the days of a week over the plausible years the brightest of those as warm as one in ten. */
function warmDay(years: Years, date: string): number {
  const first = dayOfYear(date);
  const days = Array.from({ length: years.count - 1 }, (_, y) => y * YEAR_DAYS + first).flatMap((d) =>
    Array.from({ length: 7 }, (_, i) => d + i),
  );
  const warm = days.sort((a, b) => years.highC[a]! - years.highC[b]!);
  const at = Math.floor(WARM_SHARE * warm.length);
  return warm.slice(at - 3, at + 4).reduce((a, b) => (years.sunShare[b]! > years.sunShare[a]! ? b : a));
}

/**
 * Weeks of the year in which shade cloth on a structure is worth more than the light that it takes.
 * @example shadeSpans(shadeTask(evening(-7, 1).data, aStructure(), '2027-01-15', aClimate())) // []
 */
export function shadeSpans(task: ShadeTask): ShadeSpan[] {
  // plausible hours are in the sun's own time
  const site = { ...task.site, longitude: 0 };
  const years = plausibleYears(task.climate, YEARS, SEED);
  const hottest = (spec: BedSpec, day: number): number => {
    const from = Math.max(0, day - LEAD_DAYS);
    const weather = prepareWeather(site, hoursOf(years, site, from, day - from + 1), PLAN_STEP_S);
    const { leafC } = runBed(spec, weather, { audit: false });
    return Math.max(...leafC.slice(-24));
  };
  const spans: (ShadeSpan & { last: string })[] = [];
  for (const { date, crop, limitC, spec } of task.weeks) {
    const day = warmDay(years, date);
    if (years.highC[day]! + MOST_OVER_K < limitC) continue;
    const openC = hottest(spec, day);
    if (openC <= limitC) continue;
    const cloth = clothOver(spec);
    const clothC = cloth ? hottest(cloth, day) : openC;
    if (openC - clothC < WORTH_K) continue;
    const span = spans.at(-1);
    const goesOn = span && addDays(span.last, 7 * GAP_WEEKS) >= date;
    if (!goesOn) spans.push({ from: date, to: addDays(date, 6), last: date, crop, limitC, openC, clothC });
    else {
      Object.assign(span, { to: addDays(date, 6), last: date });
      if (openC - limitC > span.openC - span.limitC) Object.assign(span, { crop, limitC, openC, clothC });
    }
  }
  return spans.map(({ last: _, ...s }) => s);
}
