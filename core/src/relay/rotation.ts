/**
 * What a bed has carried. Contract: `rotation` looks at the whole record of a bed's rows, and says where kin follow kin before the years are over
 * that their shared diseases stay. Years are counted by the growing year (a crop of autumn belongs to the year that it is
 * picked in), so that sowings after each other in one year count once. Crates and benches rotate as beds do, until their soil is new; what
 * was solarised through four hot weeks counts as new as well. `tooCool` says where it was not hot enough for that.
 *
 * Four weeks of the three hot months under clear film reach what lives in the upper 15 cm: starting values, and less in a cool summer.
 */
import { dayOf } from './course';
import { quarrel, type Quarrel } from './quarrel';
import { sharedRows, type RelayBed, type Strip } from './year';

const YEAR = 365.25;
/** Rows of a small bed share their soil: a planting beside counts as well where the bed is narrower than this, m. */
const ONE_SOIL_M = 2;

/** Growing year of a planting: by the middle of its time in the ground. */
const yearOf = (s: Strip): number => Math.floor(((s.startDay + s.endDay) / 2 + 120) / YEAR);

const HOT_DAYS = 28;

/** Days of June to August, or of December to February south of the equator, between two days. */
function hotDaysIn(latitude: number, fromDay: number, toDay: number): number {
  let n = 0;
  for (let day = fromDay; day < toDay; day++) {
    const month = new Date(day * 86_400_000).getUTCMonth();
    if (latitude >= 0 ? month >= 5 && month <= 7 : month === 11 || month <= 1) n += 1;
  }
  return n;
}

const solarised = (s: Strip, latitude: number): boolean =>
  s.crop.id === 'solarised' && hotDaysIn(latitude, s.startDay, s.endDay) >= HOT_DAYS;

/** The last day before one on which a planting's soil became as new; null where it never did. */
function newSoil(bed: RelayBed, strips: readonly Strip[], s: Strip, latitude: number): number | null {
  const days = strips
    .filter((o) => o.endDay <= s.startDay && sharedRows(o.planting, s.planting) > 0 && solarised(o, latitude))
    .map((o) => o.endDay);
  if (bed.bench && bed.mixOn !== null) days.push(dayOf(bed.mixOn));
  const before = days.filter((d) => d <= s.startDay);
  return before.length === 0 ? null : Math.max(...before);
}

/** Solarising that is planned for days that are not hot enough, or too few. */
export function tooCool(bed: RelayBed, strips: readonly Strip[], today: number, latitude: number): Quarrel[] {
  return strips.flatMap((s) => {
    if (s.crop.id !== 'solarised' || s.endDay <= today || solarised(s, latitude)) return [];
    const hotDays = hotDaysIn(latitude, s.startDay, s.endDay);
    const days: [number, number] = [s.startDay, s.endDay];
    return [quarrel('not-hot', bed.id, [s.planting.id], days, { hotDays, wantedDays: HOT_DAYS })];
  });
}

export function rotation(
  bed: RelayBed,
  strips: readonly Strip[],
  today: number,
  latitude: number,
): Quarrel[] {
  const kin = (a: Strip, b: Strip) =>
    a.crop.family === b.crop.family && a.crop.shares.some((d) => b.crop.shares.includes(d));
  return strips.flatMap((s) => {
    // what stands is not moved any more
    if (s.startDay <= today && s.planting.planned !== true) return [];
    if (s.crop.yearsAway < 1) return [];
    const since = newSoil(bed, strips, s, latitude) ?? -Infinity;
    const before = strips.filter(
      (o) =>
        o !== s &&
        o.startDay < s.startDay &&
        o.endDay > since &&
        kin(o, s) &&
        (bed.widthM < ONE_SOIL_M || sharedRows(o.planting, s.planting) > 0),
    );
    const years = new Set(before.map(yearOf));
    const year = yearOf(s);
    const last = Math.max(...[...years].filter((y) => y < year));
    if (!Number.isFinite(last) || year - last > s.crop.yearsAway) return [];
    // one warning a year and family: the first planting of it carries it
    if (before.some((o) => yearOf(o) === year)) return [];
    let nth = 1;
    while (years.has(year - nth)) nth += 1;
    const shared = s.crop.shares.filter((d) => before.some((o) => o.crop.shares.includes(d)));
    return [
      quarrel('rotation', bed.id, [s.planting.id], [s.startDay, s.endDay], {
        family: s.crop.family,
        nth,
        yearsSince: year - last,
        yearsAway: s.crop.yearsAway,
        disease: shared[0]!,
        bench: bed.bench ? 1 : 0,
      }),
    ];
  });
}
