/**
 * The farm's places as seasons see them. Contract: `seasonPlaces` gives one for each structure with a bed, under it alone, and one more with
 * the farm's sheet that goes on for cold nights, where one fits; `asUsed` keeps of each the one as the farm would use it. How a crop is
 * usually begun is `usualHow`; `beginning` says of an answer whether it is to be begun now or soon, `nextOpening` when next.
 */
import { dayOfYear, monthDayOf, YEAR_DAYS, type Climate } from '../climate/climate';
import type { UnderSpec, Venting } from '../climate/underCover';
import type { Crop } from '../crops/crops';
import type { Bed, Cover, Structure } from '../farm/types';
import type { How } from '../growth/course';
import { MATERIALS } from '../heat/materials';
import { waysHere } from '../night/options';
import { bedSpec } from '../night/stack';
import type { DateRow } from './dates';
import type { Window } from './schools';

export interface SeasonPlace {
  /** Names the place among the farm's: its structure, and its sheet. */
  id: string;
  structureId: string;
  name: string;
  /** The sheet that goes on for a night under 4 °C outside; null where nothing is laid. */
  cover: string | null;
  spec: UnderSpec;
}

/**
 * Whether a crop has room there as it is when it is picked.
 * @example hasRoom({ kind: 'frame', heightM: 0.4 }, cropById('tomato')) // false
 */
export const hasRoom = (structure: Structure, crop: Crop): boolean =>
  structure.kind === 'open' || crop.heightM <= structure.heightM + 0.1;

/** The sheet that a bed would get on a cold night: of those that fit and let light through, the one of which there are most. */
function nightSheet(
  structure: Structure,
  bed: Bed,
  stock: readonly Cover[],
  mayTouch: boolean,
): Cover | null {
  const fits = stock
    .filter((c) => MATERIALS[c.material].sunPassed > 0.4)
    .flatMap((c) => waysHere(c, structure, bed, mayTouch).slice(0, 1))
    .filter((f) => f.pieces <= f.cover.count);
  const [most] = fits.sort((a, b) => b.cover.count / b.pieces - a.cover.count / a.pieces);
  return most?.cover ?? null;
}

/**
 * The places of a farm that differ, each once, as they are used.
 * @example seasonPlaces([aStructure()], [aBed()], aClimate(), 'air').length // 1
 */
export function seasonPlaces(
  structures: readonly Structure[],
  beds: readonly Bed[],
  climate: Climate,
  venting: Venting,
  covers: readonly Cover[] = [],
  mayTouch = true,
): SeasonPlace[] {
  return structures.flatMap((structure): SeasonPlace[] => {
    const bed = beds.find((b) => b.structureId === structure.id);
    if (!bed) return [];
    const under = (cover: Cover | null): SeasonPlace => {
      const { ground, stack } = bedSpec(structure, bed, [], cover ? [cover] : [], { deepC: 0 });
      const { deepC: _deep, ...own } = ground;
      return {
        id: cover ? `${structure.id}+${cover.id}` : structure.id,
        structureId: structure.id,
        name: structure.name,
        cover: cover?.name ?? null,
        spec: { site: climate.site, climate, stack, ground: own, venting },
      };
    };
    const sheet = nightSheet(structure, bed, covers, mayTouch);
    return sheet ? [under(null), under(sheet)] : [under(null)];
  });
}

/**
 * Of each structure its place with what would be laid there, else without.
 * @example asUsed([]) // []
 */
export const asUsed = (places: readonly SeasonPlace[]): SeasonPlace[] =>
  places.filter(
    (p) => p.cover !== null || !places.some((x) => x.structureId === p.structureId && x.cover !== null),
  );

/**
 * Heads and what fruits come from trays, leaves to cut and roots are sown where they grow.
 * @example usualHow(cropById('carrot')) // 'sow'
 */
export function usualHow(crop: Crop): How {
  const sown =
    crop.raiseDd === null || crop.habit === 'cut' || ['root', 'legume', 'manure'].includes(crop.group);
  return sown ? 'sow' : 'transplant';
}

/**
 * Whether one says planted: from trays, or what is no seed: bulbs, cloves, tubers, runners.
 * @example isPlanted(cropById('garlic'), 'sow') // true
 */
export const isPlanted = (crop: Crop, how: How): boolean =>
  how === 'transplant' || crop.sowing === null || crop.sowing.seedMg >= 1000;

/**
 * Cool crops are aired whenever the sun shines, warm ones only against heat.
 * @example usualVenting(cropById('spinach')) // 'air'
 */
export const usualVenting = (crop: Crop): Venting => (crop.baseC >= 8 ? 'warm' : 'air');

export interface Begin {
  /** In its window, or so many days before it. */
  inDays: number;
  /** Days until the window shuts. */
  leftDays: number;
  window: Window;
  /** What becomes of it begun today (or as the window opens), and two weeks after it has shut. */
  now: DateRow;
  after: DateRow;
}

/** Two weeks, on the day that is looked at: every fifth. */
const LATE_DAYS = 15;

const ahead = (from: number, to: number) => (to - from + YEAR_DAYS) % YEAR_DAYS;
/**
 * The row that holds for a day of the year: its own or the last before it.
 * @example rowAt([{ day: 10 }, { day: 50 }], 60).day // 50
 */
export const rowAt = (rows: readonly DateRow[], day: number) =>
  rows.reduce((a, b) => (ahead(b.day, day) < ahead(a.day, day) ? b : a));

/**
 * The window of the risk school that is open on a date, or opens within `soonDays`; null where none is.
 * @example beginning([], [], '2027-01-14') // null
 */
export function beginning(
  windows: readonly Window[],
  rows: readonly DateRow[],
  today: string,
  soonDays = 21,
): Begin | null {
  const day = dayOfYear(today);
  const found = windows
    .filter((w) => w.school === 'risk' && w.earliest !== null)
    .flatMap((window): Begin[] => {
      const long = ahead(window.earliest!, window.latest!);
      const since = ahead(window.earliest!, day);
      const open = since <= long;
      const inDays = open ? 0 : ahead(day, window.earliest!);
      if (inDays > soonDays) return [];
      const at = open ? day : window.earliest!;
      return [
        {
          inDays,
          leftDays: ahead(at, window.latest!) + inDays,
          window,
          now: rowAt(rows, at),
          after: rowAt(rows, (window.latest! + LATE_DAYS) % YEAR_DAYS),
        },
      ];
    });
  return found.sort((a, b) => a.inDays - b.inDays || a.leftDays - b.leftDays)[0] ?? null;
}

/**
 * When the next window opens, days from a date; null where there is none.
 * @example nextOpening([], '2027-01-14') // null
 */
export function nextOpening(
  windows: readonly Window[],
  today: string,
): { inDays: number; date: string } | null {
  const day = dayOfYear(today);
  const opens = windows
    .filter((w) => w.school === 'risk' && w.earliest !== null)
    .map((w) => ahead(day, w.earliest!));
  if (opens.length === 0) return null;
  const inDays = Math.min(...opens);
  return { inDays, date: monthDayOf(day + inDays) };
}
