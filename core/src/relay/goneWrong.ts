/**
 * When a planting comes late, early, or is lost: what that moves in its rows, and what each answer is worth. Contract: `whatMoves` gives at least three
 * answers where anything follows or may be begun in its rows (`refilling`), priced in the farm's money over what is left of all that they touch, the best first; nothing is moved by it.
 *
 * A planting is worth its crop's money a metre, times what of it is taken by its clearing, times the share of years in which it comes off from
 * its day. What is begun later than it was meant is priced by that day's own odds: that is what waiting costs.
 */
import type { Planting } from '../farm/types';
import { addDays } from '../time/farmTime';
import { refills, type Refilling } from './refill';
import { spotsFor } from './spots';
import { metresOf } from './supply';
import { isoOf, sharedRows, takenBy, type RelayYear, type Strip } from './year';

export const ANSWERS = [
  'as-is',
  'wait',
  'cut-short',
  'elsewhere',
  'sooner',
  'leave-out',
  'spares',
  'again',
  'other',
] as const;
export type AnswerKind = (typeof ANSWERS)[number];

export interface GoneWrong {
  kind: AnswerKind;
  /** Plantings as they would be; those that stay as they are are not among them. */
  moves: Planting[];
  /** Plantings that are given up. */
  dropped: string[];
  /** Money over leaving the plan as it is written, and of all that it touches. */
  gain: number;
  money: number;
}

export interface WentWrong {
  /** The planting that did. */
  id: string;
  /** Days later than its middle year; below zero sooner. Null where it is lost. */
  lateDays: number | null;
}

/** Makes a planting's strip anew, where it would be moved. */
export type Remake = (p: Planting) => Strip;

/** Days that a row takes to be cleared and made ready. */
const TURN_DAYS = 1;
/** It is begun sooner by steps of so many days. */
const STEP_DAYS = 5;
const MOST_STEPS = 12;

/**
 * What a strip brings by the day it leaves the ground, so many days later than the middle year has it.
 * @example worthOf(aStrip(aBedOf('b'), 'lettuce', [1, 2], ['2027-03-01', '2027-05-01'], evenOutlook(40))) // 152
 */
export function worthOf(s: Strip, lateDays = 0, endDay = s.endDay): number {
  const sure = s.odds?.success ?? 1;
  return s.crop.valuePerM * metresOf(s) * takenBy({ ...s, endDay }, endDay - lateDays) * sure;
}

/** What is planned in its rows after it, in order. */
function followers(year: RelayYear, s: Strip): Strip[] {
  return year.strips
    .filter(
      (o) =>
        o !== s &&
        o.planting.bedId === s.planting.bedId &&
        o.planting.planned === true &&
        o.startDay > s.startDay &&
        sharedRows(o.planting, s.planting) > 0,
    )
    .sort((a, b) => a.startDay - b.startDay);
}

const shifted = (p: Planting, days: number): Planting => ({
  ...p,
  plantedOn: addDays(p.plantedOn, days),
  clearedOn: p.clearedOn === null ? null : addDays(p.clearedOn, days),
});

/**
 * Followers begun no sooner than what was in their rows before them is done, now until `doneDay` of the first; what already fits stays, and what was to
 * overlap overlaps as much as before.
 */
function pushed(first: Strip, doneDay: number, list: readonly Strip[], remake: Remake): Strip[] {
  const before: { was: Strip; endDay: number }[] = [{ was: first, endDay: doneDay }];
  return list.map((s) => {
    const by = before
      .filter(({ was }) => sharedRows(was.planting, s.planting) > 0)
      .map(({ was, endDay }) => {
        const overlaps = s.startDay <= was.endDay;
        return overlaps ? endDay - was.endDay : endDay + TURN_DAYS - s.startDay;
      });
    const days = Math.max(0, ...by);
    const moved = days === 0 ? s : remake(shifted(s.planting, days));
    before.push({ was: s, endDay: moved.endDay });
    return moved;
  });
}

/** From when a planting's rows can be begun anew: when it is done, never before it was to begin, and clear of what stands in them beside it. */
function freeFrom(year: RelayYear, s: Strip, next: Strip | undefined, doneDay: number): number {
  const from = Math.max(year.today + 1, doneDay + TURN_DAYS, s.startDay);
  const until = next?.startDay ?? Infinity;
  const beside = year.strips.filter(
    (o) =>
      o !== s &&
      o !== next &&
      o.planting.bedId === s.planting.bedId &&
      sharedRows(o.planting, s.planting) > 0 &&
      o.startDay < until &&
      o.endDay >= from,
  );
  return Math.max(from, ...beside.map((o) => o.endDay + TURN_DAYS));
}

const changed = (before: readonly Strip[], after: readonly Strip[]): Planting[] =>
  after.filter((s, i) => s !== before[i]).map((s) => s.planting);
const sum = (list: readonly Strip[]): number => list.reduce((m, s) => m + worthOf(s), 0);

/**
 * What has to move where a planting is late or lost.
 * @example whatMoves(aYear([aBedOf('a')], []), { id: 'x', lateDays: 7 }, () => null) // []
 */
export function whatMoves(
  year: RelayYear,
  wrong: WentWrong,
  remake: Remake,
  refilling: Refilling | null = null,
): GoneWrong[] {
  const s = year.strips.find((x) => x.planting.id === wrong.id);
  if (!s) return [];
  const after = followers(year, s);
  const [next, ...rest] = after;
  const lost = wrong.lateDays === null;
  const late = wrong.lateDays ?? 0;
  const done = lost ? year.today : Math.max(year.today + 1, (s.overDay ?? s.endDay) + late);
  const nextDay = next?.startDay ?? Infinity;
  const cleared = Math.min(s.endDay, nextDay);
  const own = lost ? 0 : worthOf(s, late, cleared);
  const asIs: GoneWrong = { kind: 'as-is', moves: [], dropped: [], gain: 0, money: own + sum(after) };
  const out: GoneWrong[] = [asIs];
  const answer = (kind: AnswerKind, money: number, moves: Planting[], dropped: string[] = []) =>
    out.push({ kind, moves, dropped, money, gain: money - asIs.money });
  if (refilling && (lost || late < 0)) {
    const free = freeFrom(year, s, next, done);
    for (const r of refills(s, free, next ? next.startDay : null, year.today, refilling, remake))
      answer(r.kind, asIs.money + r.worth, [r.planting]);
  }
  if (!next) return out.sort((a, b) => b.money - a.money);
  if (!lost && late > 0) {
    // it stands until it has given what it has, and those after it wait
    const waiting = pushed(s, done, after, remake);
    const stands = s.planting.clearedOn === null ? [] : [{ ...s.planting, clearedOn: isoOf(done) }];
    answer('wait', worthOf(s, late, done) + sum(waiting), [...stands, ...changed(after, waiting)]);
    // as it is written where it would be cleared by then; else it is cleared for the next
    if (s.endDay > nextDay)
      answer('cut-short', own + sum(after), [{ ...s.planting, clearedOn: isoOf(nextDay) }]);
    const p = next.planting;
    const taken = year.strips.map((x) => ({
      ...x.planting,
      clearedOn: isoOf(x === s ? Math.max(x.endDay, done) : x.endDay),
    }));
    const bed = year.beds.find((b) => b.id === p.bedId)!;
    const { spots, leftM } = spotsFor(
      year.beds,
      taken.filter((t) => t.id !== p.id),
      bed.structureId,
      metresOf(next),
      p.plantedOn,
      isoOf(next.endDay),
    );
    const [spot] = spots;
    if (spot && spots.length === 1 && leftM === 0) {
      const moved = remake({
        ...p,
        bedId: spot.bedId,
        fromRow: spot.fromRow,
        toRow: spot.toRow,
        lengthM: spot.lengthM,
      });
      answer('elsewhere', worthOf(s, late, Math.max(s.endDay, done)) + worthOf(moved) + sum(rest), [
        moved.planting,
      ]);
    }
  }
  if (lost || late < 0) {
    // the row is free sooner: what follows is begun as soon as it is worth most
    const first = freeFrom(year, s, next, done);
    let best: Strip | null = null;
    for (let n = 0; n < MOST_STEPS; n++) {
      const day = first + n * STEP_DAYS;
      if (day >= next.startDay) break;
      const at = remake(shifted(next.planting, day - next.startDay));
      if (!best || worthOf(at) > worthOf(best) + 1e-9) best = at;
    }
    if (best) answer('sooner', own + worthOf(best) + sum(rest), [best.planting]);
  }
  answer(
    'leave-out',
    lost ? sum(rest) : worthOf(s, late, Math.max(s.endDay, done)) + sum(rest),
    [],
    [next.planting.id],
  );
  return out.sort((a, b) => b.money - a.money);
}
