/**
 * How far a planting is, as its water sees it. Contract: `growingOf` takes a planting, its crop and the days since, and says for any of them
 * the share of its way to the first picking (leaves over the ground, roots down) and whether its seed is still in the seedbed.
 */
import type { Crop } from '../crops/crops';
import type { Planting } from '../farm/types';
import { risingDays, warmthK } from '../growth/thermal';
import { daysBetween } from '../time/farmTime';
import type { WaterDay } from './evaporation';

/** Before the days that are known it grew so much a day: starting value. */
const BEFORE_A_DAY = 1 / 90;
/** A plant from a tray has leaves and roots from the first day. */
const FROM_TRAY = 0.15;
const SMALL_SEED_MG = 1000;
/** Pots and trays: a quarter of the mix's volume is water that a plant can use. */
const POT_HOLDS = 0.25;
/** A pot's bright day, on which the library's millilitres are meant, mm of reference. */
const BRIGHT_MM = 4;

export interface Growing {
  shareOn: (date: string) => number;
  seedbedOn: (date: string) => boolean;
}

/**
 * `days` oldest first, warmed by what stands over them.
 * @example growingOf({ plantedOn: '2027-01-14' }, cropById('spinach'), true, [], 0).seedbedOn('2027-01-15') // false
 */
export function growingOf(
  p: Pick<Planting, 'plantedOn'>,
  crop: Crop,
  sown: boolean,
  days: readonly WaterDay[],
  warmerK: number,
): Growing {
  const first = days[0]?.date ?? p.plantedOn;
  const before = Math.max(0, daysBetween(p.plantedOn, first));
  let share = (sown ? 0 : FROM_TRAY) + before * BEFORE_A_DAY;
  // a tuber or a clove lies deep and brings its own water
  let up = sown && crop.emergence && crop.sowing && crop.sowing.seedMg < SMALL_SEED_MG ? 0 : 1;
  const need = crop.emergence?.degreeDays ?? 1;
  // what lay before the days that are known is taken to have come up in a month
  if (before > 30) up = 1;
  const shares = new Map<string, { share: number; up: boolean }>();
  for (const d of days) {
    if (d.date >= p.plantedOn) {
      const c = d.meanC + warmerK / 2;
      if (up < 1 && crop.emergence) up += Math.max(0, risingDays(c, crop.emergence)) / need;
      else share += warmthK(c, crop) / crop.pickDd;
    }
    shares.set(d.date, { share: Math.min(1, share), up: up >= 1 });
  }
  const last = days.at(-1)?.date ?? first;
  const at = (date: string) => shares.get(date) ?? (date > last ? shares.get(last) : undefined);
  return {
    shareOn: (date) => (date < p.plantedOn ? 0 : (at(date)?.share ?? Math.min(1, share))),
    seedbedOn: (date) => date >= p.plantedOn && !(at(date)?.up ?? true),
  };
}

export interface PotsDay {
  litres: number;
  /** So often that no pot runs dry between. */
  times: number;
}

/**
 * What plants in pots drink on a day, by the library's millilitres for a bright one.
 * @example potsDay({ litres: 2, mlDay: 250 }, 100, 4).litres // 25
 */
export function potsDay(pot: NonNullable<Crop['pot']>, plants: number, referenceMmDay: number): PotsDay {
  const each = (pot.mlDay / 1000) * Math.min(2.5, referenceMmDay / BRIGHT_MM);
  return { litres: plants * each, times: Math.max(1, Math.ceil(each / (pot.litres * POT_HOLDS))) };
}
