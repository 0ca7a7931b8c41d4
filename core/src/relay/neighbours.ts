/**
 * Neighbours in one place. Contract: `neighbours` says who stands in whose light (rows of one structure, by the sun's height and side over the
 * months), who swamps whom, and what grows into its cover; only what is still to come.
 *
 * Three hours in the shade of a clear day are what a grower sees in a row; a quarter of the beam is what it costs. Under film half
 * of the light comes from everywhere, and is not shaded. Starting values.
 */
import { growsNothing } from '../crops/crops';
import { heightOn } from './course';
import { quarrel, type Quarrel } from './quarrel';
import { mayBeOver, shadeOn } from './shade';
import { rowAcross, sharedRows, type RelayBed, type Strip } from './year';

const SHADE_HOURS = 3;
const SHADE_SHARE = 0.25;
/** What of a day's light comes straight from the sun: in the open on clear days, and through film. */
const BEAM = { open: 0.75, covered: 0.5 } as const;
/** Runs over its neighbours: as wide as this, or wider. */
const RAMPANT_M = 0.8;
/** Days that are looked at are so far apart, and a quarrel of less is none. */
const STEP = 5;
const LEAST_DAYS = 14;
/** Higher by less throws no shadow worth speaking of, m. */
const LEAST_OVER_M = 0.2;

interface Standing {
  bed: RelayBed;
  strip: Strip;
}

/** Where a planting's rows begin and end across the structure, m. */
function reach({ bed, strip }: Standing): [number, number] {
  const half = bed.widthM / bed.rows / 2;
  return [
    bed.acrossM + rowAcross(bed, strip.planting.fromRow) - half,
    bed.acrossM + rowAcross(bed, strip.planting.toRow) + half,
  ];
}

/** How far the nearest rows of two plantings are from each other and on which side the second is: −1 or 1; 0 within each other. */
function apart(a: Standing, b: Standing): { apartM: number; side: -1 | 0 | 1 } {
  const [a0, a1] = reach(a);
  const [b0, b1] = reach(b);
  const rowA = a.bed.widthM / a.bed.rows;
  const rowB = b.bed.widthM / b.bed.rows;
  const between = (rowA + rowB) / 2;
  if (b0 >= a1 - 1e-6) return { apartM: b0 - a1 + between, side: 1 };
  if (a0 >= b1 - 1e-6) return { apartM: a0 - b1 + between, side: -1 };
  return { apartM: 0, side: 0 };
}

function shades(latitude: number, tall: Standing, short: Standing, today: number): Quarrel[] {
  const { apartM, side } = apart(short, tall);
  if (side === 0 || apartM > 4) return [];
  const from = Math.max(today, tall.strip.startDay, short.strip.upDay ?? short.strip.startDay);
  const to = Math.min(tall.strip.endDay, short.strip.endDay);
  if (to - from < LEAST_DAYS || tall.strip.crop.heightM < LEAST_OVER_M) return [];
  const azimuth = short.bed.turnDeg + 90 * side;
  const beam = short.bed.headroomM === null ? BEAM.open : BEAM.covered;
  let first: number | null = null;
  let last = from;
  let [hours, share, n, cutM] = [0, 0, 0, Infinity];
  for (let day = from; day <= to; day += STEP) {
    const low = heightOn(short.strip.crop, short.strip, day);
    const over = heightOn(tall.strip.crop, tall.strip, day) - low;
    if (over < LEAST_OVER_M) continue;
    const shade = shadeOn(latitude, day, over, apartM, azimuth);
    if (shade.hours < SHADE_HOURS || shade.share * beam < SHADE_SHARE * BEAM.covered) continue;
    first ??= day;
    last = day;
    hours += shade.hours;
    share += shade.share * beam;
    n += 1;
    cutM = Math.min(cutM, low + mayBeOver(latitude, day, apartM, azimuth, SHADE_HOURS - 1));
  }
  if (first === null || last - first < LEAST_DAYS) return [];
  const ids = [tall.strip.planting.id, short.strip.planting.id];
  return [
    quarrel('shaded', short.bed.id, ids, [first, last], {
      hours: hours / n,
      light: share / n,
      cutM: Number.isFinite(cutM) ? cutM : -1,
      apartM,
    }),
  ];
}

function swamps(wide: Standing, other: Standing, today: number): Quarrel[] {
  const { crop } = wide.strip;
  if (crop.spreadM < RAMPANT_M || other.strip.crop.spreadM >= RAMPANT_M) return [];
  const { apartM } = apart(other, wide);
  const room = crop.spreadM / 2 + other.strip.crop.spreadM / 2;
  if (apartM >= room || wide.strip.upDay === null) return [];
  // it runs when half of its way to the picking is behind it
  const ready = wide.strip.readyDay ?? wide.strip.endDay;
  const from = Math.max(today, Math.round((wide.strip.upDay + ready) / 2), other.strip.startDay);
  const to = Math.min(wide.strip.endDay, other.strip.endDay);
  if (to - from < LEAST_DAYS) return [];
  const ids = [wide.strip.planting.id, other.strip.planting.id];
  return [quarrel('swamped', other.bed.id, ids, [from, to], { apartM, roomM: room, days: to - from })];
}

/** Leaves may reach into each other's room by so much before it costs. */
const MAY_TOUCH = 1.3;

/** How wide it is on a day, m: as far as it is grown. */
const widthOn = (s: Strip, day: number): number =>
  s.crop.heightM <= 0 ? 0 : s.crop.spreadM * Math.min(1, heightOn(s.crop, s, day) / s.crop.heightM);

/** A quick one beside a slow one is out before the slow one closes over it. */
function crowds(slow: Standing, quick: Standing, today: number): Quarrel[] {
  const [a, b] = [slow.strip, quick.strip];
  if (a.crop.id === b.crop.id || a.crop.spreadM >= RAMPANT_M || a.crop.heightM <= b.crop.heightM) return [];
  if (a.crop.spreadM <= b.crop.spreadM || growsNothing(b.crop)) return [];
  const { apartM } = apart(quick, slow);
  if (apartM === 0 || (a.crop.spreadM + b.crop.spreadM) / 2 <= MAY_TOUCH * apartM) return [];
  const to = Math.min(a.endDay, b.endDay);
  for (let day = Math.max(today, a.startDay, b.startDay); day + LEAST_DAYS <= to; day += STEP)
    if ((widthOn(a, day) + widthOn(b, day)) / 2 > MAY_TOUCH * apartM) {
      const ids = [b.planting.id, a.planting.id];
      return [quarrel('crowded', quick.bed.id, ids, [day, to], { apartM, days: to - day })];
    }
  return [];
}

function outgrows({ bed, strip }: Standing, today: number): Quarrel[] {
  if (bed.headroomM === null || strip.crop.heightM <= bed.headroomM + 0.1) return [];
  for (let day = Math.max(today, strip.startDay); day <= strip.endDay; day += STEP)
    if (heightOn(strip.crop, strip, day) > bed.headroomM)
      return [
        quarrel('too-tall', bed.id, [strip.planting.id], [day, strip.endDay], {
          heightM: strip.crop.heightM,
          headroomM: bed.headroomM,
        }),
      ];
  return [];
}

/** What two strips have against each other as they are; made anew when one of them moves. */
const known = new WeakMap<Strip, WeakMap<Strip, { of: string; bed: RelayBed; quarrels: Quarrel[] }>>();

function between(latitude: number, a: Standing, b: Standing, today: number): Quarrel[] {
  const of = `${latitude} ${today} ${a.bed.acrossM}`;
  let mine = known.get(a.strip);
  if (!mine) known.set(a.strip, (mine = new WeakMap()));
  const found = mine.get(b.strip);
  if (found?.of === of && found.bed === b.bed) return found.quarrels;
  const quarrels = [...shades(latitude, a, b, today), ...swamps(a, b, today), ...crowds(a, b, today)];
  mine.set(b.strip, { of, bed: b.bed, quarrels });
  return quarrels;
}

/** `standing`: all plantings of the beds of one structure. */
export function neighbours(latitude: number, standing: readonly Standing[], today: number): Quarrel[] {
  const ahead = standing.filter((s) => s.strip.endDay > today);
  const out: Quarrel[] = [];
  for (const a of ahead) {
    out.push(...outgrows(a, today));
    for (const b of ahead) {
      if (b === a || a.strip.startDay >= b.strip.endDay || b.strip.startDay >= a.strip.endDay) continue;
      if (a.bed === b.bed && sharedRows(a.strip.planting, b.strip.planting) > 0) continue;
      out.push(...between(latitude, a, b, today));
    }
  }
  return out;
}
