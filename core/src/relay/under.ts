/**
 * Sown under a standing crop, to smother weeds and feed what follows. Contract: `mayBeUnder` says what is against it, null where nothing is; `underChoices`
 * gives what may go under a planting, each from which day.
 *
 * Only what is dug in goes under something. Starting values: the old one has stood five weeks or half its way to the picking, so that it is not
 * overgrown; what goes under stays under seven tenths of its height; three quarters of the ground in its leaves leave too little light;
 * a root that is lifted takes it along.
 */
import { CROPS, growsNothing, type Crop } from '../crops/crops';
import { heightOn } from './course';
import type { Strip } from './year';

export const AGAINST = ['lifted', 'dark', 'taller', 'too-early'] as const;
export type Against = (typeof AGAINST)[number];

const ESTABLISHED_DAYS = 35;
const OF_ITS_HEIGHT = 0.7;
const TOO_DENSE = 0.75;

/**
 * From this day on the old one is not overgrown by what is sown under it; null where it never comes up.
 * @example establishedDay(aStrip(aBedOf('b'), 'tomato', [1, 1], ['2027-05-01', null], null)) // 20974
 */
export function establishedDay(old: Strip): number | null {
  if (old.upDay === null) return null;
  const half = old.readyDay === null ? Infinity : Math.round((old.upDay + old.readyDay) / 2);
  return Math.min(old.upDay + ESTABLISHED_DAYS, half);
}

const isUnder = (crop: Crop): boolean => crop.group === 'manure';

/** @example mayBeUnder(aStrip(aBedOf('b'), 'tomato', [1, 2], ['2027-05-01', '2027-10-01'], evenOutlook(80)), cropById('lettuce'), 20_900) // 'too-early' */
export function mayBeUnder(old: Strip, crop: Crop, startDay: number): Against | null {
  if (old.crop.habit === 'roots' || old.crop.group === 'potato') return 'lifted';
  if (old.crop.groundCover > TOO_DENSE) return 'dark';
  const height = Math.max(heightOn(old.crop, old, startDay), heightOn(old.crop, old, old.endDay));
  if (crop.heightM > OF_ITS_HEIGHT * height) return 'taller';
  const from = establishedDay(old);
  return from === null || startDay < from ? 'too-early' : null;
}

/**
 * Whether the one is sown under the other on purpose: what is dug in, with the old one standing long after.
 * @example goesUnder(aStrip(aBedOf('b'), 'tomato', [1, 1], ['2027-05-01', null], null), aStrip(aBedOf('b'), 'crimson-clover', [1, 1], ['2027-07-01', null], null)) // true
 */
export const goesUnder = (old: Strip, young: Strip): boolean =>
  isUnder(young.crop) && !isUnder(old.crop) && !growsNothing(old.crop);

/** It needs so long to cover the ground before the old one is out. */
const WORTH_DAYS = 42;

export interface UnderChoice {
  crop: Crop;
  fromDay: number;
}

/**
 * What may be sown under a planting from today on, those that feed the soil first; none where it is out before they cover it.
 * @example underChoices(aStrip(aBedOf('a'), 'tomato', [1, 2], ['2027-05-01', '2027-10-01'], null), 20_950).length // 7
 */
export function underChoices(old: Strip, today: number): UnderChoice[] {
  const from = establishedDay(old);
  if (from === null || isUnder(old.crop) || growsNothing(old.crop)) return [];
  const fromDay = Math.max(from, today);
  if (old.endDay - fromDay < WORTH_DAYS) return [];
  return CROPS.filter((c) => isUnder(c) && mayBeUnder(old, c, fromDay) === null)
    .sort(
      (a, b) => Number(b.family === 'Fabaceae') - Number(a.family === 'Fabaceae') || a.heightM - b.heightM,
    )
    .map((crop) => ({ crop, fromDay }));
}
