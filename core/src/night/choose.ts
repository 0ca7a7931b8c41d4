/**
 * Which covers go on which bed: one option for each bed, never more pieces than are in stock, the least expected loss
 * plus minutes of work at the farm's hourly rate. Written as a linear programme in the CPLEX LP format, so that any
 * kept solver can take it; the solver comes from the caller.
 */
import { isIndoors } from '../covers/indoors';
import { cropOf } from '../crops/cultivars';
import type { Cover, Planting } from '../farm/types';
import { lossShare, type Thresholds } from '../hardiness/hardiness';
import { effectiveC, type ColdNight } from '../hardiness/injury';
import { REST_ERROR_K } from '../calibration/belief';
import type { OptionOutcome } from './outcome';
import type { CoverOption } from './options';
import { overNights } from './toll';

export interface PlantingAtRisk {
  planting: Planting;
  thresholds: Thresholds;
  /** How hard it is, 0 to 1. */
  hardening?: number;
  /** What all of it is worth, in the farm's money. */
  value: number;
}

/**
 * What a planting is worth by its crop's starting value, its rows and length.
 * @example plantingValue({ crop: 'spinach', lengthM: 10, fromRow: 1, toRow: 2 }) // 120
 */
export function plantingValue(planting: Planting): number {
  return cropOf(planting).valuePerM * planting.lengthM * (planting.toRow - planting.fromRow + 1);
}

/**
 * Expected loss of one planting in money, over the members' nights and the model's own error.
 * @example expectedLoss({ planting: { aim: 'survive' }, thresholds: thresholds(cropById('spinach'), 0, 'survive'), value: 100 }, [{ leafMinC: 8 }]) // 0
 */
export function expectedLoss(p: PlantingAtRisk, nights: readonly ColdNight[], errorK = REST_ERROR_K): number {
  return p.value * overNights(nights, errorK, (night) => lossShare(p.thresholds, p.planting.aim, night));
}

/**
 * Share of outcomes in which the night, as long as it is, does the planting its first harm, 0 to 1.
 * @example harmChance({ thresholds: thresholds(cropById('spinach'), 0, 'survive') }, [{ leafMinC: -5 }]) // 0.5
 */
export function harmChance(p: PlantingAtRisk, nights: readonly ColdNight[], errorK = REST_ERROR_K): number {
  let sum = 0;
  for (const night of nights) sum += normalBelow((p.thresholds.harmC - effectiveC(night)) / errorK);
  return sum / nights.length;
}

/**
 * Standard normal distribution function: Abramowitz and Stegun 26.2.17, error under 7.5e-8.
 * @example normalBelow(0) // 0.5
 */
export function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const d = 0.3989422804 * Math.exp((-z * z) / 2);
  const tail =
    d * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

export interface PricedOption {
  key: string;
  loss: number;
  /** Minutes of work tonight. */
  minutes: number;
  /** Minutes that it will cost later: what is laid has to be lifted again. */
  laterMinutes?: number;
  pieces: Record<string, number>;
  /** Minutes from now by which it has to be done; left out where nothing presses. */
  byMin?: number;
  /** Done after the place's own latest time, by this instant, with the loss that goes with that. */
  lateAtMs?: number;
}

export interface BedChoice {
  bedId: string;
  options: PricedOption[];
}

/** Lifting a sheet takes this share of laying it: starting value. What was carried in is carried out again. */
const LIFT_SHARE = 0.5;
/** @example liftShare(aCover()) > 0 // true */
export const liftShare = (cover: Cover): number => (isIndoors(cover) ? 1 : LIFT_SHARE);

/**
 * Minutes from the covers that are on to those of an option, and what lifting the new ones will take in the morning.
 * `piecesOf` says how many pieces a sheet takes on this bed: two are laid and lifted one after the other.
 * @example changeMinutes([], { key: 'a', covers: [aCover()], pieces: { a: 1 } }, () => 1) // { now: 6, later: 3 }
 */
export function changeMinutes(
  on: readonly Cover[],
  option: CoverOption,
  piecesOf: (cover: Cover) => number,
): { now: number; later: number } {
  // a sheet that is to lie in another way is lifted and laid anew
  const count = (list: readonly Cover[], cover: Cover) => list.filter((c) => c === cover).length;
  const all = new Set([...on, ...option.covers]);
  let now = 0;
  let later = 0;
  for (const cover of all) {
    const more = count(option.covers, cover) - count(on, cover);
    const each = piecesOf(cover) * cover.minutes;
    now += (more > 0 ? more : -more * liftShare(cover)) * each;
    later += Math.max(0, more) * liftShare(cover) * each;
  }
  return { now, later };
}

/**
 * Of a bed's options those that no other one makes useless: one that costs no more, takes no more of any sheet and no more minutes, and has them to be done no
 * sooner, in time or by the same late hour. Whatever the other beds bear, the other one can stand in its place: what is left holds a best choice. Of two alike the first stays.
 * @example undominated([{ key: 'a', loss: 2, minutes: 0, pieces: {} }, { key: 'b', loss: 3, minutes: 5, pieces: { s: 1 } }], 12).map((o) => o.key) // ['a']
 */
export function undominated(options: readonly PricedOption[], ratePerHour: number): PricedOption[] {
  const all = options.map((o) => ({ o, cost: o.loss + workCost(o, ratePerHour) }));
  const beats = (x: (typeof all)[number], y: (typeof all)[number]) =>
    x.cost <= y.cost &&
    x.o.minutes <= y.o.minutes &&
    // what is late is never taken for what is in time, nor one hour of being late for another
    (x.o.lateAtMs === undefined || x.o.lateAtMs === y.o.lateAtMs) &&
    (x.o.minutes === 0 || (x.o.byMin ?? Infinity) >= (y.o.byMin ?? Infinity)) &&
    Object.entries(x.o.pieces).every(([id, n]) => n <= (y.o.pieces[id] ?? 0));
  return all
    .filter((y, n) => !all.some((x, k) => k !== n && beats(x, y) && (k < n || !beats(y, x))))
    .map(({ o }) => o);
}

export interface CoverProblem {
  lp: string;
  /** What is chosen for each bed, from the solver's variables; throws where they hold no choice for one. */
  read: (values: Record<string, number>) => Record<string, PricedOption>;
}

/** How many go to it, and what they have to do besides, minutes. */
export interface Hands {
  count: number;
  busyMin: number;
}

/**
 * What an option costs besides its loss: work at the farm's rate, and a cent a piece, so that of two alike the lighter wins.
 * @example workCost({ key: 'a', loss: 0, minutes: 30, laterMinutes: 0, pieces: { a: 1 } }, 12) // 6.01
 */
export function workCost(o: PricedOption, ratePerHour: number): number {
  const pieces = Object.values(o.pieces).reduce((s, n) => s + n, 0);
  return ((o.minutes + (o.laterMinutes ?? 0)) / 60) * ratePerHour + 0.01 * pieces;
}

/**
 * Whether an option can still be the best for its bed: its work alone costs less than `bound`, what the bed costs where
 * nothing is touched, which is always possible. A loss is never under zero: what is left out cannot win, whatever its loss.
 * @example couldWin({ key: 'a', minutes: 30, laterMinutes: 0, pieces: { a: 1 } }, 5, 12) // false
 */
export function couldWin(o: Omit<PricedOption, 'loss'>, bound: number, ratePerHour: number): boolean {
  return workCost({ ...o, loss: 0 }, ratePerHour) < bound;
}

/**
 * The linear programme. `stock` is pieces in all by cover id, what is on beds included. Of all work that has to be done by
 * an instant, no more is chosen than `hands` can do until then; work that has no such instant is bounded by nothing.
 * @example coverProblem([{ bedId: 'b', options: [{ key: 'bare', loss: 3, minutes: 0, pieces: {} }] }], {}, 12).read({ x_0_0: 1 }).b.key // 'bare'
 */
export function coverProblem(
  beds: readonly BedChoice[],
  stock: Record<string, number>,
  ratePerHour: number,
  hands: Hands = { count: 1, busyMin: 0 },
): CoverProblem {
  const name = (b: number, o: number) => `x_${b}_${o}`;
  const cost: string[] = [];
  const work: { byMin: number; term: string }[] = [];
  const one: string[] = [];
  const use: Record<string, string[]> = {};
  beds.forEach((bed, b) => {
    one.push(` bed_${b}: ${bed.options.map((_, o) => name(b, o)).join(' + ')} = 1`);
    bed.options.forEach((option, o) => {
      const money = option.loss + workCost(option, ratePerHour);
      if (option.minutes > 0 && option.byMin !== undefined)
        work.push({ byMin: option.byMin, term: `${option.minutes.toFixed(3)} ${name(b, o)}` });
      cost.push(`${money.toFixed(4)} ${name(b, o)}`);
      for (const [id, n] of Object.entries(option.pieces)) (use[id] ??= []).push(`${n} ${name(b, o)}`);
    });
  });
  const limits = Object.entries(use).map(
    ([id, terms], i) => ` stock_${i}: ${terms.join(' + ')} <= ${stock[id] ?? 0}`,
  );
  [...new Set(work.map((x) => x.byMin))]
    .sort((a, c) => a - c)
    .forEach((byMin, i) => {
      const terms = work.filter((x) => x.byMin <= byMin).map((x) => x.term);
      const can = Math.max(0, hands.count * byMin - hands.busyMin);
      limits.push(` time_${i}: ${terms.join(' + ')} <= ${can.toFixed(3)}`);
    });
  const binaries = beds.flatMap((bed, b) => bed.options.map((_, o) => name(b, o)));
  const lp = `Minimize\n cost: ${cost.join(' + ')}\nSubject To\n${[...one, ...limits].join('\n')}\nBinary\n ${binaries.join(' ')}\nEnd\n`;
  return {
    lp,
    read: (values) => {
      const chosen: Record<string, PricedOption> = {};
      beds.forEach((bed, b) => {
        const best = bed.options.findIndex((_, o) => (values[name(b, o)] ?? 0) > 0.5);
        if (best < 0) throw new Error(`the solver chose nothing for the bed ${bed.bedId}`);
        chosen[bed.bedId] = bed.options[best]!;
      });
      return chosen;
    },
  };
}

/**
 * The outcome of an option, or a clear error: the planner never guesses one.
 * @example outcomeOf([{ key: 'bare', minLeafC: [-3] }], 'bare').minLeafC // [-3]
 */
export function outcomeOf(outcomes: readonly OptionOutcome[], key: string): OptionOutcome {
  const found = outcomes.find((o) => o.key === key);
  if (!found) throw new Error(`no outcome was computed for the option ${key}`);
  return found;
}
