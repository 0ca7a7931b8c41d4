/**
 * Counting from an event: fruit set to ripe, corms to bloom, weeks of cold for bulbs, warmth to a named day. Contract: `countOn(counter, means,
 * years)` takes the daily means that are known since the event and plausible years for the days after, and gives what is counted so far and
 * the day on which it is full: in an early, a middle and a late year. The band narrows as days become known; what is full has its day.
 *
 * Warmth is degree days of the mean over a base; cold is days whose mean lies between freezing and an upper limit (bulbs: about 9 °C, for
 * twelve to sixteen weeks). Targets are starting values: a grower's own dates put them right.
 */
import { dayOfYear, YEAR_DAYS } from '../climate/climate';
import type { Years } from '../climate/years';
import { addDays } from '../time/farmTime';

export const COUNTS = ['ripe', 'bloom', 'cold', 'heat'] as const;
export type Count = (typeof COUNTS)[number];

export interface CounterRule {
  what: Count;
  /** Day of the event. */
  from: string;
  /** Warmth counts over this, °C; cold under it. */
  baseC: number;
  /** Degree days, or days of cold. */
  target: number;
}

export interface Counted {
  sofar: number;
  /** So far over the target, 0 to 1. */
  share: number;
  /** The day on which it is, or is likely to be, full; null where not within a year. */
  early: string | null;
  middle: string | null;
  late: string | null;
  full: boolean;
}

/** Frozen ground gives bulbs no cold that counts. */
const FROZEN_C = -1;

/**
 * What a day of this mean adds.
 * @example countsFor({ what: 'ripe', baseC: 10 }, 15) // 5
 */
export function countsFor(rule: Pick<CounterRule, 'what' | 'baseC'>, meanC: number): number {
  if (rule.what === 'cold') return meanC <= rule.baseC && meanC > FROZEN_C ? 1 : 0;
  return Math.max(0, meanC - rule.baseC);
}

const LONGEST_DAYS = 365;

/**
 * `means`: daily means by date, from the event as far as they are known or forecast; a day in between that nobody knows counts as the one
 * before it. `shelterK` is added to the years' days, which are of the open.
 * @example countOn({ what: 'ripe', from: '2027-06-01', baseC: 10, target: 50 }, new Map([['2027-06-01', 15]]), { years: 0, lowC: [], highC: [] }, 0).share // 0.1
 */
export function countOn(
  rule: CounterRule,
  means: ReadonlyMap<string, number>,
  years: Pick<Years, 'count' | 'lowC' | 'highC'>,
  shelterK: number,
): Counted {
  const known = [...means.keys()].filter((d) => d >= rule.from).sort();
  const last = known.at(-1) ?? addDays(rule.from, -1);
  let sofar = 0;
  let full: string | null = null;
  let before = means.get(known[0] ?? '') ?? 0;
  for (let d = rule.from; d <= last; d = addDays(d, 1)) {
    before = means.get(d) ?? before;
    sofar += countsFor(rule, before);
    if (full === null && sofar >= rule.target) full = d;
  }
  const share = Math.min(1, sofar / rule.target);
  if (full !== null) return { sofar, share, early: full, middle: full, late: full, full: true };
  const start = dayOfYear(addDays(last, 1));
  const ends: number[] = [];
  for (let y = 0; y < years.count; y++) {
    let sum = sofar;
    let days = 0;
    while (sum < rule.target && days < LONGEST_DAYS) {
      const i = (y * YEAR_DAYS + start + days) % (years.count * YEAR_DAYS);
      sum += countsFor(rule, (years.lowC[i]! + years.highC[i]!) / 2 + shelterK);
      days += 1;
    }
    ends.push(sum >= rule.target ? days : Infinity);
  }
  ends.sort((a, b) => a - b);
  const at = (share_: number) => {
    const days = ends[Math.min(ends.length - 1, Math.floor(share_ * ends.length))] ?? Infinity;
    return Number.isFinite(days) ? addDays(last, days) : null;
  };
  return { sofar, share, early: at(0.1), middle: at(0.5), late: at(0.9), full: false };
}

/** From fruit set to ripe: warmth over a base by crop; degree days of growers' tables, rounded. */
const RIPE: Record<string, { baseC: number; target: number }> = {
  tomato: { baseC: 10, target: 480 },
  pepper: { baseC: 10, target: 620 },
  aubergine: { baseC: 10, target: 380 },
  cucumber: { baseC: 12, target: 120 },
  courgette: { baseC: 10, target: 70 },
  strawberry: { baseC: 3, target: 430 },
  'strawberry-day': { baseC: 3, target: 430 },
  fig: { baseC: 10, target: 850 },
};
const FRUIT = { baseC: 8, target: 500 };
const BULB = { baseC: 9, target: 98 };
const HEAT = { baseC: 5, target: 500 };

/**
 * Where a counter starts from, to be changed.
 * @example usualCount('ripe', 'tomato') // { baseC: 8, target: 500 }
 */
export function usualCount(
  what: Count,
  crop: { id: string; baseC: number; pickDd: number } | null,
): { baseC: number; target: number } {
  if (what === 'cold') return BULB;
  if (what === 'heat' || !crop) return HEAT;
  if (what === 'ripe') return RIPE[crop.id] ?? FRUIT;
  return { baseC: crop.baseC, target: Math.round(crop.pickDd) };
}
