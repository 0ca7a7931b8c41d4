/**
 * What a bed has carried. Contract: `rotation` looks at the whole record of a bed's rows, and says where kin follow kin before the years are over
 * that their shared diseases stay. Years are counted by the growing year (a crop of autumn belongs to the year that it is
 * picked in), so that sowings after each other in one year count once.
 */
import { quarrel, type Quarrel } from './quarrel';
import { sharedRows, type RelayBed, type Strip } from './year';

const YEAR = 365.25;
/** Rows of a small bed share their soil: a planting beside counts as well where the bed is narrower than this, m. */
const ONE_SOIL_M = 2;

/** Growing year of a planting: by the middle of its time in the ground. */
const yearOf = (s: Strip): number => Math.floor(((s.startDay + s.endDay) / 2 + 120) / YEAR);

export function rotation(bed: RelayBed, strips: readonly Strip[], today: number): Quarrel[] {
  const kin = (a: Strip, b: Strip) =>
    a.crop.family === b.crop.family && a.crop.shares.some((d) => b.crop.shares.includes(d));
  return strips.flatMap((s) => {
    // what stands is not moved any more
    if (s.startDay <= today && s.planting.planned !== true) return [];
    if (s.crop.yearsAway < 1) return [];
    const before = strips.filter(
      (o) =>
        o !== s &&
        o.startDay < s.startDay &&
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
      }),
    ];
  });
}
