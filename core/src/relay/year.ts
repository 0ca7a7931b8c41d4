/**
 * A farm's year as its rows see it. Contract: a `RelayYear` holds all that rules, supply and drawing ask of plantings, with nothing of the
 * weather in it but each planting's odds and its place's mean year; `strip` makes one planting's part of it, anew on every move.
 */
import { dayOfYear } from '../climate/climate';
import type { Crop } from '../crops/crops';
import type { Planting } from '../farm/types';
import type { How } from '../growth/course';
import { rowAt } from '../windows/farm';
import type { DateRow } from '../windows/dates';
import { courseOf, dayOf, isoOf, type Course, type MeanYear } from './course';
import { ripeDayOf } from './flowering';

export interface RelayBed {
  id: string;
  name: string;
  structureId: string;
  place: string;
  rows: number;
  lengthM: number;
  widthM: number;
  /** Direction of its rows, clockwise from north, and its middle across them from the structure's own. */
  turnDeg: number;
  acrossM: number;
  /** What stands over it: the lowest of it, m; null in the open. */
  headroomM: number | null;
  /** Its middle on the farm, m east and north of the farm's own point. */
  xM: number;
  yM: number;
  /** Whether one can walk along its first row's side, and along its last's. */
  paths: readonly [boolean, boolean];
  /** Crates or a bench: its soil goes with it, and the day on which that was last new. */
  bench: boolean;
  mixOn: string | null;
}

/** A bed of which nobody says where it lies: alone, with a path on both sides. */
export const UNPLACED = {
  turnDeg: 0,
  acrossM: 0,
  xM: 0,
  yM: 0,
  paths: [true, true],
  bench: false,
  mixOn: null,
} as const;

/** What is known of a crop in a place, whatever the day it is begun on. */
export interface Outlook {
  mean: MeanYear;
  rows: readonly DateRow[];
}

export interface Strip extends Course {
  planting: Planting;
  crop: Crop;
  how: How;
  /** When it leaves the ground: as meant, else when it is over; never before it went in. */
  endDay: number;
  /** Whether its clearing has a day of its own. */
  clears: boolean;
  /** Of what is begun on this day: years of the century by how they end. Null where the place is not worked out. */
  odds: DateRow | null;
}

/** What a strip takes for the length of a planting of which nothing is known, days. */
const UNKNOWN_DAYS = 60;

/** @example aStrip(aBedOf('b'), 'kale', [1, 2], ['2027-03-01', '2027-04-01'], null).clears // true */
export function strip(planting: Planting, crop: Crop, how: How, outlook: Outlook | null): Strip {
  const startDay = dayOf(planting.plantedOn);
  const odds = outlook ? rowAt(outlook.rows, dayOfYear(planting.plantedOn)) : null;
  const course: Course = outlook
    ? courseOf(crop, how, startDay, outlook.mean, {
        readyDays: odds!.ready.middle,
        overDays: odds!.overDays,
      })
    : { startDay, upDay: startDay, readyDay: null, cutDays: [], overDay: null };
  const cleared = planting.clearedOn === null ? null : dayOf(planting.clearedOn);
  // what is kept for seed stands until that is ripe
  const over = planting.forSeed ? ripeDayOf(crop, course) : course.overDay;
  const endDay = cleared ?? over ?? startDay + UNKNOWN_DAYS;
  return {
    planting,
    crop,
    how,
    ...course,
    endDay: Math.max(startDay + 1, endDay),
    clears: cleared !== null,
    odds,
  };
}

/** What can be sold or eaten: of one crop or of everything, kilos a week between two days of the year. */
export interface Demand {
  crop: string | null;
  from: string;
  to: string;
  kgPerWeek: number;
}

export interface RelayYear {
  latitude: number;
  /** The day that it is. */
  today: number;
  beds: readonly RelayBed[];
  strips: readonly Strip[];
  demand: readonly Demand[];
  /** Cells that the trays have in all; null where they are not counted. */
  cells: number | null;
  /** Share of years that may go wrong. */
  risk: number;
}

/**
 * Rows that two plantings of one bed share.
 * @example sharedRows({ fromRow: 1, toRow: 3 }, { fromRow: 3, toRow: 4 }) // 1
 */
export const sharedRows = (a: Planting, b: Planting): number =>
  Math.max(0, Math.min(a.toRow, b.toRow) - Math.max(a.fromRow, b.fromRow) + 1);

/** @example rowCount({ fromRow: 2, toRow: 4 }) // 3 */
export const rowCount = (p: Planting): number => p.toRow - p.fromRow + 1;

/**
 * A row's place across its bed from its middle, m.
 * @example rowAcross({ widthM: 1.2, rows: 4 }, 1) // -0.45
 */
export const rowAcross = (bed: RelayBed, row: number): number =>
  (row - 0.5) * (bed.widthM / bed.rows) - bed.widthM / 2;

/**
 * Share of years in which it can be picked by a day: its tenth, middle and ninth tenth, joined by lines.
 * @example readyBy(aStrip(aBedOf('b'), 'spinach', [1, 1], ['2027-03-01', null], evenOutlook(60)), Date.parse('2027-04-30') / 86400000) // 0.5
 */
export function readyBy(s: Strip, day: number): number | null {
  if (!s.odds) return null;
  const { early, middle, late } = s.odds.ready;
  const at = day - s.startDay;
  if (early === null) return 0;
  const [m, l] = [middle ?? early + 60, late ?? (middle ?? early + 30) + 60];
  const most = middle === null ? 0.4 : late === null ? 0.85 : 1;
  const between = (x: number, x0: number, x1: number, y0: number, y1: number) =>
    y0 + ((y1 - y0) * (x - x0)) / Math.max(1, x1 - x0);
  if (at < early) return Math.max(0, 0.1 - (0.1 * (early - at)) / Math.max(3, (m - early) / 2));
  if (at < m) return between(at, early, m, 0.1, Math.min(0.5, most));
  if (at < l) return Math.min(most, between(at, m, l, 0.5, 0.9));
  return Math.min(most, 0.9 + 0.1 * Math.min(1, (at - l) / Math.max(3, (l - m) / 2)));
}

/**
 * Share of what it bears that is picked by a day, 0 to 1: from the first picking evenly until it is over, or all out by its clearing.
 * @example takenBy(aStrip(aBedOf('a'), 'radish', [1, 4], ['2027-03-01', '2027-05-01'], evenOutlook(30, { overDays: 50 })), 20_918) // 0.8333
 */
export function takenBy(s: Strip, day: number): number {
  if (s.planting.forSeed || s.readyDay === null || s.overDay === null || day <= s.readyDay) return 0;
  const whole = s.crop.habit === 'whole' || s.crop.habit === 'roots';
  const last = whole && s.clears ? Math.min(s.overDay, s.endDay) : s.overDay;
  return Math.min(1, (day - s.readyDay) / Math.max(1, last - s.readyDay));
}

export { dayOf, isoOf };
