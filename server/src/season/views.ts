/** Season as the screens read it: a crop's year in each place, and what is to be begun. */
import type {
  SeasonClimate,
  SeasonCropView,
  SeasonDate,
  SeasonJob,
  SeasonPlaceView,
  SeasonRow,
  SeasonView,
} from '@fogata/contract';
import { reasonSaid } from '@fogata/contract/windows';
import {
  cropById,
  CROPS,
  localDate,
  typedFigures,
  withFigures,
  type Crop,
  type Figures,
  type Site,
} from '@fogata/core';
import {
  asUsed,
  beginning,
  climateOfFarm,
  FAILURES,
  hasRoom,
  isPlanted,
  monthDayOf,
  nearTown,
  nextOpening,
  seasonPlaces,
  usualHow,
  usualVenting,
  type Climate,
  type DateRow,
  type How,
  type SeasonPlace,
  type Window,
} from '@fogata/core/season';
import type { FarmData } from '../farm/store';
import { digest } from '../night/pool';
import type { Question, SeasonAnswer, SeasonBook } from './book';
import { jobsOf, plantingsAsked } from './jobs';
import { recordDays } from './record';

/** Plausible years that an answer is over, and the share of them that may go wrong. */
const YEARS = 100;
const SEED = 1;
const RISK = 0.1;
/** What most farms ask about, after what they have grown: the week's list looks at so many. */
const COMMON = [
  'spinach',
  'lettuce',
  'lettuce-leaf',
  'mache',
  'radish',
  'carrot',
  'kale',
  'rocket',
  'pea-shoots',
  'spring-onion',
  'garlic',
  'tomato',
];
const MOST_CROPS = 16;

export interface Ground {
  climate: Climate;
  /** What the climate follows from. */
  key: string;
  shown: SeasonClimate;
  today: string;
}

export function groundOf(data: FarmData, nowAtMs: number): Ground {
  const { farm } = data;
  const { latitude, longitude, elevationM, frost } = farm;
  const dates = {
    ...(frost.lastSpring ? { lastSpring: frost.lastSpring } : {}),
    ...(frost.firstAutumn ? { firstAutumn: frost.firstAutumn } : {}),
  };
  const days = recordDays(farm.climateRecord);
  const source = days ? farm.climateRecord!.id : farm.climate;
  const key = JSON.stringify([latitude, longitude, elevationM, source, dates]);
  if (lastClimate?.key !== key)
    lastClimate = {
      key,
      made: climateOfFarm({ latitude, longitude, elevationM }, farm.climate, dates, days),
    };
  const { climate, missed } = lastClimate.made;
  return {
    climate,
    key,
    shown: {
      from: days ? 'daily' : farm.climate ? 'monthly' : 'table',
      years: days ? farm.climateRecord!.years : 0,
      town: days || farm.climate ? null : townOf({ latitude, longitude, elevationM }),
      lastSpring: frost.lastSpring,
      firstAutumn: frost.firstAutumn,
      missed,
    },
    today: localDate(nowAtMs, farm.timeZone),
  };
}
/** Bringing months to the frost dates takes a moment, and changes with the site alone. */
let lastClimate: { key: string; made: ReturnType<typeof climateOfFarm> } | null = null;

/** The town of the coarse table that stands for a place. */
function townOf(site: Site): SeasonClimate['town'] {
  const town = nearTown(site);
  return town && { name: town.name, km: Math.round(town.km) };
}

/** What the farm has other than the book of every planting of a crop. */
const ownOf = (data: FarmData, crop: string): Figures | undefined =>
  typedFigures(data.cultivars ?? [], { crop, cultivar: '' }) ?? undefined;

/** A crop as the farm has it, whatever the cultivar. */
export const farmCrop = (data: FarmData, crop: string): Crop =>
  withFigures(cropById(crop), ownOf(data, crop));

export const fits = (data: FarmData, place: SeasonPlace, crop: Crop) =>
  hasRoom(
    data.structures.find((s) => s.id === place.structureId)!,
    crop,
  );

const dateOf = (day: number | null) => (day === null ? null : monthDayOf(day));

export const questionOf = (
  data: FarmData,
  place: SeasonPlace,
  crop: Crop,
  how: How,
  climateKey: string,
  stands = false,
  own: Figures | undefined = ownOf(data, crop.id),
): Question => ({
  task: {
    place: digest([climateKey, place.spec.stack, place.spec.ground, place.spec.venting]),
    spec: place.spec,
    frost: {
      ...(data.farm.frost.lastSpring ? { lastSpring: data.farm.frost.lastSpring } : {}),
      ...(data.farm.frost.firstAutumn ? { firstAutumn: data.farm.frost.firstAutumn } : {}),
    },
    years: YEARS,
    seed: SEED,
    risk: RISK,
    ...(stands ? { stands } : {}),
  },
  crop: { id: crop.id, how, ...(own ? { own } : {}) },
});

function windowView(w: Window, planted: boolean) {
  return {
    school: w.school,
    season: w.season,
    earliest: dateOf(w.earliest),
    best: dateOf(w.best),
    latest: dateOf(w.latest),
    reasons: w.reasons.map((r) => ({ edge: r.edge, why: reasonSaid(r, planted ? 'transplant' : 'sow') })),
  };
}

function dateView({ day, ready, upDays: _up, overDays: _over, ...shares }: DateRow): SeasonDate {
  return { date: monthDayOf(day), readyDays: ready.middle, ...shares };
}

function placeView(place: SeasonPlace, a: SeasonAnswer, planted: boolean): SeasonPlaceView {
  return {
    id: place.id,
    structureId: place.structureId,
    name: place.name,
    cover: place.cover,
    windows: a.windows.map((w) => windowView(w, planted)),
    dates: a.rows.map(dateView),
  };
}

export function cropView(
  book: SeasonBook,
  data: FarmData,
  nowAtMs: number,
  crop: Crop,
  asked?: How,
): SeasonCropView {
  const { climate, key, shown, today } = groundOf(data, nowAtMs);
  const how = asked ?? usualHow(crop);
  const all = placesBy(data, climate)(crop);
  const places = all.filter((p) => fits(data, p, crop));
  const { answers, progress } = book.ask(places.map((p) => questionOf(data, p, crop, how, key)));
  return {
    crop: crop.id,
    name: crop.name,
    how,
    mayTransplant: crop.raiseDd !== null,
    planted: isPlanted(crop, how),
    today,
    latitude: data.farm.latitude,
    climate: shown,
    tooLow: [...new Set(all.filter((p) => !places.includes(p)).map((p) => p.name))],
    places: places.flatMap((p, i) => (answers[i] ? [placeView(p, answers[i], isPlanted(crop, how))] : [])),
    progress: places.length === 0 ? { state: 'empty', done: 0, of: 0 } : progress,
    damageC: crop.damageC,
    deathC: crop.deathC,
    chillingC: crop.chillingC,
  };
}

/** What the farm has grown, the latest first, then what most grow. */
export function cropsOf(data: FarmData): Crop[] {
  const own = [...data.plantings].sort((a, b) => b.plantedOn.localeCompare(a.plantedOn)).map((p) => p.crop);
  return [...new Set([...own, ...COMMON])]
    .filter((id) => CROPS.some((c) => c.id === id))
    .slice(0, MOST_CROPS)
    .map((id) => farmCrop(data, id));
}

/** The farm's places as a crop sees them, looked at once for each way of airing. */
export function placesBy(data: FarmData, climate: Climate): (crop: Crop) => SeasonPlace[] {
  const known = new Map<string, SeasonPlace[]>();
  return (crop) => {
    const venting = usualVenting(crop);
    const mayTouch = data.farm.schools.touch !== 'hoops';
    const places =
      known.get(venting) ?? seasonPlaces(data.structures, data.beds, climate, venting, data.covers, mayTouch);
    known.set(venting, places);
    return places;
  };
}

const worstOf = (r: DateRow) => FAILURES.reduce((a, b) => (r[b] > r[a] ? b : a));

/** What stands or is planned, each with its place as the farm would use it; some are in none that is worked out. */
export function ownPlaces(data: FarmData, today: string, every: (crop: Crop) => SeasonPlace[]) {
  const own = plantingsAsked(data, today).map((a) => ({
    ...a,
    place: asUsed(every(a.crop)).find((p) => p.structureId === a.structureId) ?? null,
  }));
  return { own, inPlace: own.filter((a): a is typeof a & { place: SeasonPlace } => a.place !== null) };
}

/** The jobs of the coming year, for a calendar; what is not worked out yet has only the days that follow from its own. */
export function yearsJobs(book: SeasonBook, data: FarmData, nowAtMs: number): SeasonJob[] {
  const { climate, key, today } = groundOf(data, nowAtMs);
  const { own, inPlace } = ownPlaces(data, today, placesBy(data, climate));
  const { answers } = book.ask(
    inPlace.map((a) => questionOf(data, a.place, a.crop, a.how, key, false, a.planting.own)),
  );
  const rowsOf = (a: (typeof own)[number]) =>
    answers[inPlace.findIndex((x) => x.planting === a.planting)]?.rows ?? null;
  return own
    .flatMap((a) => jobsOf(data, a, rowsOf(a), today, 365))
    .sort((x, y) => x.date.localeCompare(y.date));
}

export function seasonView(book: SeasonBook, data: FarmData, nowAtMs: number): SeasonView {
  const { climate, key, shown, today } = groundOf(data, nowAtMs);
  const every = placesBy(data, climate);
  const placesFor = (crop: Crop) => asUsed(every(crop));
  const asked = cropsOf(data).flatMap((crop) =>
    placesFor(crop)
      .filter((p) => fits(data, p, crop))
      .map((place) => ({
        crop,
        place,
        how: usualHow(crop),
      })),
  );
  const { own, inPlace } = ownPlaces(data, today, every);
  // what stands is asked first: its week cannot wait
  const { answers: all, progress } = book.ask([
    ...inPlace.map((a) => questionOf(data, a.place, a.crop, a.how, key, false, a.planting.own)),
    ...asked.map((q) => questionOf(data, q.place, q.crop, q.how, key)),
  ]);
  const answers = all.slice(inPlace.length);
  const jobs = own
    .flatMap((a) =>
      jobsOf(data, a, all[inPlace.findIndex((x) => x.planting === a.planting)]?.rows ?? null, today),
    )
    .sort((x, y) => x.date.localeCompare(y.date) || x.bed.localeCompare(y.bed));
  const rows: SeasonRow[] = [];
  let next: SeasonView['next'] = null;
  asked.forEach(({ crop, place, how }, i) => {
    const a = answers[i];
    if (!a) return;
    const b = beginning(a.windows, a.rows, today);
    const opens = nextOpening(a.windows, today);
    if (opens && (!next || opens.inDays < next.inDays))
      next = { crop: crop.id, name: crop.name, planted: isPlanted(crop, how), place: place.name, ...opens };
    if (!b) return;
    rows.push({
      crop: crop.id,
      name: crop.name,
      planted: isPlanted(crop, how),
      structureId: place.structureId,
      place: place.name,
      cover: place.cover,
      inDays: b.inDays,
      opens: monthDayOf(b.window.earliest!),
      latest: monthDayOf(b.window.latest!),
      leftDays: b.leftDays,
      success: b.now.success,
      after: b.after.success,
      afterIs: worstOf(b.after),
      readyDays: b.now.ready.middle,
    });
  });
  rows.sort(
    (x, y) =>
      Number(x.inDays > 0) - Number(y.inDays > 0) ||
      (x.inDays > 0 ? x.inDays - y.inDays : x.leftDays - y.leftDays),
  );
  const places = new Set(asked.map((q) => q.place.structureId)).size;
  return {
    today,
    jobs,
    climate: shown,
    rows,
    next,
    progress: places === 0 ? { state: 'empty', done: 0, of: 0 } : progress,
    places,
  };
}
