/**
 * A bed's water. Contract: `runWater` goes through days with what was given and felt, and gives for each what the soil lacks of full, what
 * was used, what ran through: in less out is what it changed by, to the last hundredth. `whenDue` says on which day it wants water,
 * how much, and whether that day may be watered: never on a freezing day, never into a freezing night.
 *
 * Water that plants can use: sand 80, loam 150, clay 170 mm a metre of depth; roots from 0.1 m to 0.4 m as they grow; watered when a share
 * of that is gone (FAO-56 table 22, rounded). A seedbed has its top three centimetres. Starting values; a finger in the soil corrects it.
 */
import type { Texture } from '../heat/types';
import { cropMm, referenceMm, underMm, type WaterCover, type WaterDay } from './evaporation';

export type Feel = 'dry' | 'moist' | 'wet';

/** What was done or felt on a day, in the order of the day. */
export interface WaterEvent {
  date: string;
  /** Given, mm over the bed; or how it felt a finger deep. */
  mm?: number;
  feel?: Feel;
}

export interface WaterBed {
  texture: Texture;
  cover: WaterCover;
  /** Days under its own layers as the heat model has them; where it has none, `cover` stands for them. */
  under?: ReadonlyMap<string, WaterDay>;
  elevationM: number;
  /** Share of ground under leaves, and how far roots are down, 0 to 1, by day. */
  coveredOn: (date: string) => number;
  rootsOn: (date: string) => number;
  /** Until it is up: its top is what counts. */
  seedbedOn: (date: string) => boolean;
  /** Of the water there is, this share may go before it is watered. */
  mayLack: number;
}

const MM_PER_M: Partial<Record<Texture, number>> = { sand: 80, clay: 170, compost: 220 };
const USUAL_MM_PER_M = 150;
const SHALLOW_M = 0.1;
const DEEP_M = 0.4;
const SEED_M = 0.03;
/** A seedbed is watered when a third of its top is gone. */
const SEED_LACK = 0.33;

/**
 * What plants can reach on a day, mm.
 * @example holdsMm({ texture: 'sand', seedbedOn: () => false, rootsOn: () => 1 }, '2027-04-01') // 32
 */
export function holdsMm(bed: WaterBed, date: string): number {
  const perM = MM_PER_M[bed.texture] ?? USUAL_MM_PER_M;
  const depth = bed.seedbedOn(date) ? SEED_M : SHALLOW_M + (DEEP_M - SHALLOW_M) * bed.rootsOn(date);
  return perM * depth;
}

/**
 * Lacking so much, it wants water.
 * @example wantsAt({ texture: 'sand', seedbedOn: () => false, rootsOn: () => 1, mayLack: 0.5 }, '2027-04-01') // 16
 */
export const wantsAt = (bed: WaterBed, date: string): number =>
  holdsMm(bed, date) * (bed.seedbedOn(date) ? SEED_LACK : bed.mayLack);

export interface WaterState {
  date: string;
  /** What it lacks of full at the end of the day, mm. */
  lacksMm: number;
  usedMm: number;
  givenMm: number;
  rainMm: number;
  /** Ran through or off. */
  lostMm: number;
  /** What a finger in the soil put right, mm: more lack above zero. */
  correctedMm: number;
}

/**
 * Reference evapotranspiration of a day over the bed, mm.
 * @example referenceUnder({ cover: { sunPassed: 1, tight: false, open: 1, warmerK: 0, rain: true }, elevationM: 860 }, aWaterDay()) // 2.933
 */
export function referenceUnder(bed: Pick<WaterBed, 'under' | 'cover' | 'elevationM'>, d: WaterDay): number {
  const own = bed.under?.get(d.date);
  return own ? referenceMm(own, bed.elevationM) : underMm(d, bed.cover, bed.elevationM);
}

const FELT: Record<Feel, number> = { dry: 1, moist: 0.5, wet: 0 };

/**
 * Through the days, from soil that lacks `startMm`.
 * @example runWater(aWaterBed(), [aWaterDay()], [{ date: '2027-04-10', mm: 5 }]).length // 1
 */
export function runWater(
  bed: WaterBed,
  days: readonly WaterDay[],
  events: readonly WaterEvent[],
  startMm = 0,
): WaterState[] {
  let lacks = startMm;
  return days.map((d): WaterState => {
    const holds = holdsMm(bed, d.date);
    let corrected = 0;
    let given = 0;
    for (const e of events.filter((x) => x.date === d.date)) {
      if (e.mm !== undefined) given += e.mm;
      if (e.feel !== undefined) {
        const felt = FELT[e.feel] * wantsAt(bed, d.date);
        // a finger feels what lies there now: what was given before it that day is in it
        corrected += felt - (lacks + corrected - given);
      }
    }
    const rain = bed.cover.rain ? d.rainMm : 0;
    const wanted = cropMm(referenceUnder(bed, d), bed.coveredOn(d.date));
    const before = lacks + corrected;
    // soil that is nearly spent gives less and less
    const used = Math.min(wanted, Math.max(0, holds - (before - given - rain)) * 0.9 + 0.1 * wanted);
    const after = before + used - given - rain;
    const lost = Math.max(0, -after);
    lacks = Math.max(0, after);
    return {
      date: d.date,
      lacksMm: lacks,
      usedMm: used,
      givenMm: given,
      rainMm: rain,
      lostMm: lost,
      correctedMm: corrected,
    };
  });
}

export interface WaterDue {
  /** The day on which it wants water; null where not within the days that are known. */
  on: string | null;
  /** Enough to fill it, with rain that is coming by then left out, mm. */
  mm: number;
  /** The first day from then on that may be watered; null where none of those known may. */
  may: string | null;
}

/** Colder than this no water is given that day, nor into a night that goes under the other. */
const DAY_C = 3;
const NIGHT_C = 0.5;
const LEAST_MM = 2;

/**
 * When it wants water, from the day that `states` ends with and days to come. `nightC` is the lowest among its leaves in the night after
 * a day; `dayC` the warmest air of it. A full store waits for nothing.
 * @example Object.keys(whenDue(aWaterBed(), 0, [aWaterDay()], () => 8, () => 15)).includes('on') // true
 */
export function whenDue(
  bed: WaterBed,
  lacksMm: number,
  coming: readonly WaterDay[],
  nightC: (date: string) => number,
  dayC: (date: string) => number,
): WaterDue {
  const mayOn = (date: string) => dayC(date) >= DAY_C && nightC(date) >= NIGHT_C;
  const ahead = runWater(bed, coming, [], lacksMm);
  const at = ahead.findIndex((s, i) => {
    const before = i === 0 ? lacksMm : ahead[i - 1]!.lacksMm;
    return Math.max(before, s.lacksMm) >= wantsAt(bed, s.date);
  });
  if (at < 0) return { on: null, mm: 0, may: null };
  const may = coming.slice(at).find((d) => mayOn(d.date))?.date ?? null;
  const day = may === null ? at : coming.findIndex((d) => d.date === may);
  const lacking = day === 0 ? lacksMm : ahead[day - 1]!.lacksMm;
  const rain = bed.cover.rain ? coming.slice(day, day + 2).reduce((s, d) => s + d.rainMm, 0) : 0;
  const mm = Math.max(0, Math.max(lacking, ahead[at]!.lacksMm) - rain);
  return mm < LEAST_MM && !bed.seedbedOn(coming[at]!.date)
    ? { on: null, mm: 0, may: null }
    : { on: coming[at]!.date, mm: Math.max(mm, LEAST_MM), may };
}
