/**
 * The season by latitude alone, for days of which nothing is known. Contract: `zonalMeanC(site, ms)` is a coarse daily mean,
 * good to some 5 K; it starts the ground of a new farm and is never shown as a measurement or a forecast.
 *
 * Means of the coldest and the warmest month at sea level, between ocean and land, by latitude: rounded from zonal means as
 * textbooks of climatology give them; starting values. Height takes 6 K a kilometre.
 */
import type { Site } from '../heat/types';

const DAY_MS = 86_400_000;

/** Degrees of latitude, coldest month, warmest month, °C. */
const NORTH: [number, number, number][] = [
  [0, 26, 27],
  [10, 25, 28],
  [20, 21, 28],
  [30, 13, 27],
  [40, 5, 23],
  [50, 0, 18],
  [60, -8, 15],
  [70, -18, 9],
  [90, -30, 0],
];
const SOUTH: [number, number, number][] = [
  [0, 26, 27],
  [10, 24, 26],
  [20, 20, 25],
  [30, 14, 22],
  [40, 9, 17],
  [50, 4, 10],
  [60, -6, 3],
  [90, -55, -25],
];

function between(table: readonly [number, number, number][], latitude: number): [number, number] {
  const x = Math.abs(latitude);
  const i = Math.max(
    1,
    table.findIndex(([at]) => at >= x),
  );
  const [a, b] = [table[i - 1]!, table[i]!];
  const f = (x - a[0]) / (b[0] - a[0]);
  return [a[1] + f * (b[1] - a[1]), a[2] + f * (b[2] - a[2])];
}

/**
 * Usual mean of a whole year, °C: half way between its coldest and its warmest month. Example: 47° north, 450 m: 7.8.
 * @example zonalYearC({ latitude: 45, longitude: 0, elevationM: 0 }) // 11.5
 */
export function zonalYearC(site: Site): number {
  const [coldC, warmC] = between(site.latitude >= 0 ? NORTH : SOUTH, site.latitude);
  return (coldC + warmC) / 2 - 0.006 * (site.elevationM ?? 0);
}

/** The ground is warmer than the air over the year: snow, grass and sun on it. K, from about 0.5 to 2. */
const GROUND_OVER_AIR_K = 1;
/** A year's wave at 1 m in moist loam (0.5 mm²/s): this share of it is left, 26 days late (Carslaw and Jaeger 1959, § 2.6). */
const LEFT_AT_1M = 0.64;
/** The mean of the last 62 days is 31 days late and has this share of the wave: it stands for it. */
const LEFT_IN_62_DAYS = 0.95;

/**
 * Ground at 1 m from the mean air of the last two months, °C: as late as those are, and by less from the year's mean.
 * Example: 0.8 °C at 47° north, 450 m: 4.1.
 * @example deepGroundC(SITE, 6) > deepGroundC(SITE, 2) // true
 */
export function deepGroundC(site: Site, last62DaysC: number): number {
  const yearC = zonalYearC(site);
  return yearC + GROUND_OVER_AIR_K + (LEFT_AT_1M / LEFT_IN_62_DAYS) * (last62DaysC - yearC);
}

/**
 * Usual daily mean at an instant, °C: coldest in the middle of January (July in the south).
 * @example zonalMeanC(SITE, Date.parse('2027-07-15')) > zonalMeanC(SITE, Date.parse('2027-01-15')) + 10 // true
 */
export function zonalMeanC(site: Site, ms: number): number {
  const [coldC, warmC] = between(site.latitude >= 0 ? NORTH : SOUTH, site.latitude);
  const days = ms / DAY_MS - Date.UTC(2001, 0, 18) / DAY_MS;
  const turn = Math.cos((2 * Math.PI * days) / 365.2425) * (site.latitude >= 0 ? -1 : 1);
  return (coldC + warmC) / 2 + ((warmC - coldC) / 2) * turn - 0.006 * (site.elevationM ?? 0);
}
