/**
 * Twelve months of the nearest town of a coarse table. Contract: `nearTown(site)` gives the town of `townTable.ts` that stands for a
 * place and its months, moved to the place's height; null where none is near enough.
 *
 * The table has every third month; a year of four figures has one mean, one yearly and one half-yearly wave that go through
 * them, and these give the months between. Height takes 6 K a kilometre (the usual lapse of the air near the ground).
 */
import type { Site } from '../heat/types';
import type { Monthly } from './climate';
import { TOWN_TABLE } from './townTable';

interface Town {
  name: string;
  latitude: number;
  longitude: number;
  elevationM: number;
  lowC: readonly number[];
  highC: readonly number[];
}

let towns: Town[] | null = null;
function read(): Town[] {
  towns ??= TOWN_TABLE.trim()
    .split('\n')
    .map((line) => {
      const cells = line.split('|').map((c) => c.trim());
      const four = (c: string) => c.split(/\s+/).map(Number);
      return {
        name: cells[0]!,
        latitude: Number(cells[1]),
        longitude: Number(cells[2]),
        elevationM: Number(cells[3]),
        lowC: four(cells[4]!),
        highC: four(cells[5]!),
      };
    });
  return towns;
}

/** Farther than this the latitude says as much, km. */
const NEAR_KM = 500;
/** A kilometre of height counts as so many on the level: mountains have their own weather. */
const KM_FOR_HEIGHT = 300;
const LAPSE_K_PER_M = 0.006;
const EARTH_KM = 6371;
const rad = (deg: number) => (deg * Math.PI) / 180;

/**
 * On the great circle, km. Example: Paris to Lyon: 391.
 * @example distanceKm({ latitude: 0, longitude: 0 }, { latitude: 0, longitude: 1 }) // 111.2
 */
export function distanceKm(
  a: Pick<Site, 'latitude' | 'longitude'>,
  b: Pick<Site, 'latitude' | 'longitude'>,
): number {
  const h =
    Math.sin(rad(b.latitude - a.latitude) / 2) ** 2 +
    Math.cos(rad(a.latitude)) * Math.cos(rad(b.latitude)) * Math.sin(rad(b.longitude - a.longitude) / 2) ** 2;
  return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h)));
}

/**
 * Month 0 to 11 of a year whose January, April, July and October are given. Example: `monthOf([0, 10, 20, 10], 1)` is 1.3.
 * @example monthOf([0, 9, 18, 9], 0) // 0
 */
export function monthOf([jan, apr, jul, oct]: readonly number[], month: number): number {
  const angle = (2 * Math.PI * month) / 12;
  const mean = (jan! + apr! + jul! + oct!) / 4;
  return (
    mean +
    ((jan! - jul!) / 2) * Math.cos(angle) +
    ((apr! - oct!) / 2) * Math.sin(angle) +
    ((jan! - apr! + jul! - oct!) / 4) * Math.cos(2 * angle)
  );
}

export interface NearTown {
  name: string;
  km: number;
  months: Monthly[];
}

/** @example nearTown({ latitude: 40.4, longitude: -3.7, elevationM: 650 }).km < 50 // true */
export function nearTown(site: Site): NearTown | null {
  const heightM = site.elevationM ?? 0;
  const away = (t: Town) => distanceKm(site, t) + (KM_FOR_HEIGHT * Math.abs(t.elevationM - heightM)) / 1000;
  const near = read().reduce((a, b) => (away(b) < away(a) ? b : a));
  if (away(near) > NEAR_KM) return null;
  const by = LAPSE_K_PER_M * (near.elevationM - heightM);
  return {
    name: near.name,
    km: distanceKm(site, near),
    months: Array.from({ length: 12 }, (_, m) => ({
      lowC: monthOf(near.lowC, m) + by,
      highC: monthOf(near.highC, m) + by,
    })),
  };
}
