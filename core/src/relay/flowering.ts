/**
 * When a planting flowers and its seed is ripe. Contract: `flowersOf` gives the days on which it is in flower, null where it is not let to;
 * `ripeDayOf` the day on which its seed can be gathered. By the mean year.
 *
 * Starting values: what is grown for its leaf or root shoots when it is over, opens three weeks later, flowers a month and ripens five weeks after
 * that; what is grown for its fruit flowers from half of its way to the first picking, and its seed is ripe four weeks after that picking.
 */
import type { Crop } from '../crops/crops';
import type { Planting } from '../farm/types';
import type { Course } from './course';

const OPENS_DAYS = 21;
const FLOWERS_DAYS = 30;
const RIPENS_DAYS = 35;
const FRUIT_RIPE_DAYS = 28;

/** @example ripeDayOf(cropById('tomato'), { startDay: 0, upDay: 0, readyDay: 80, cutDays: [], overDay: 150 }) // 108 */
export function ripeDayOf(crop: Crop, c: Course): number | null {
  if (crop.habit === 'fruit') return c.readyDay === null ? null : c.readyDay + FRUIT_RIPE_DAYS;
  return c.overDay === null ? null : c.overDay + OPENS_DAYS + FLOWERS_DAYS + RIPENS_DAYS;
}

interface Standing extends Course {
  planting: Planting;
  crop: Crop;
  endDay: number;
}

/**
 * First day in flower and the day after the last.
 * @example flowersOf({ crop: cropById('spinach'), planting: planted('b', 'spinach') }) // null
 */
export function flowersOf(s: Standing): { fromDay: number; toDay: number } | null {
  const { crop, readyDay, overDay, upDay, endDay } = s;
  if (readyDay === null || overDay === null || upDay === null) return null;
  let from = overDay + OPENS_DAYS;
  let to = from + FLOWERS_DAYS;
  if (crop.habit === 'fruit') [from, to] = [Math.round((upDay + readyDay) / 2), endDay];
  else if (crop.habit === 'stems') [from, to] = [readyDay, overDay];
  to = Math.min(to, endDay);
  return to > from ? { fromDay: from, toDay: to } : null;
}
