/**
 * A spring that is early or late everywhere. Contract: `springMoves` gives what of the plan is ready and over on other days than it says, and three
 * priced answers or more, the best first; nothing is moved by it. `days`: how far the season is ahead, below zero behind.
 *
 * The season's clock is that much ahead: what is begun on a day goes as it would so many days later, that much sooner; what stands already gains it
 * from today on. An early spring does not move the last frost: what is begun sooner has the odds of its own day in a hundred years.
 */
import type { Planting } from '../farm/types';
import { addDays } from '../time/farmTime';
import { worthOf, type Remake } from './goneWrong';
import { isoOf, sharedRows, type RelayYear, type Strip } from './year';

export const SPRING_ANSWERS = ['as-is', 'all', 'hardy', 'tender', 'following'] as const;
export type SpringAnswerKind = (typeof SPRING_ANSWERS)[number];

export interface SpringAnswer {
  kind: SpringAnswerKind;
  moves: Planting[];
  /** Money over leaving the plan as it is written, and of all that the spring touches. */
  gain: number;
  money: number;
}

export interface SpringMoves {
  /** What comes to its picking on another day, and by how many; the most first. */
  shifted: { id: string; readyDays: number; overDays: number }[];
  answers: SpringAnswer[];
}

/** Rows are made ready in so many days. */
const TURN_DAYS = 1;
/** Hardened, it is burnt above this: nothing for a night outside, °C. */
const TENDER_C = -1.5;
const isTender = (s: Strip): boolean => s.crop.damageC[1] > TENDER_C;

/**
 * Spring's first and last day: from 1 February to the longest day, or half a year on south of the equator; the next that is not over.
 * @example springOf(45, 20513).toDay - springOf(45, 20513).fromDay // 140
 */
export function springOf(latitude: number, today: number): { fromDay: number; toDay: number } {
  const year = Number(isoOf(today).slice(0, 4));
  const [from, to] = latitude >= 0 ? ['02-01', '06-21'] : ['08-01', '12-21'];
  const at = (y: number, md: string) => Math.round(Date.parse(`${y}-${md}T00:00:00Z`) / 86_400_000);
  const y = at(year, to) > today ? year : year + 1;
  return { fromDay: at(y, from), toDay: at(y, to) };
}

const movedBy = (p: Planting, days: number): Planting => ({
  ...p,
  plantedOn: addDays(p.plantedOn, days),
  clearedOn: p.clearedOn === null ? null : addDays(p.clearedOn, days),
});

/** A strip as such a spring makes it, its own days of planting and clearing as they are. */
function inSpring(s: Strip, days: number, fromDay: number, toDay: number, remake: Remake): Strip {
  if (s.startDay >= toDay || s.endDay <= fromDay) return s;
  const put = (c: Pick<Strip, 'upDay' | 'readyDay' | 'overDay' | 'cutDays'>): Strip => ({
    ...s,
    ...c,
    endDay: s.clears ? s.endDay : Math.max(s.startDay + 1, c.overDay ?? s.endDay),
  });
  if (s.startDay > fromDay) {
    const on = remake(movedBy(s.planting, days));
    const back = (d: number | null) => (d === null ? null : Math.max(s.startDay, d - days));
    return put({
      upDay: back(on.upDay),
      readyDay: back(on.readyDay),
      overDay: back(on.overDay),
      cutDays: on.cutDays.map((d) => d - days),
    });
  }
  const gains = (d: number) => (d <= fromDay ? d : Math.max(fromDay, d - days));
  const of = (d: number | null) => (d === null ? null : gains(d));
  return put({
    upDay: of(s.upDay),
    readyDay: of(s.readyDay),
    overDay: s.overDay === null ? null : Math.max(of(s.readyDay) ?? 0, gains(s.overDay)),
    cutDays: s.cutDays.map(gains),
  });
}

/** When a strip's rows can be had: it is out when it is over, or on its day. */
const outOn = (was: Strip, now: Strip): number =>
  now.overDay === null || !was.clears
    ? now.endDay
    : Math.min(now.endDay, Math.max(now.overDay, now.startDay + 1));

const inOneRow = (a: Strip, b: Strip): boolean =>
  a.planting.bedId === b.planting.bedId && sharedRows(a.planting, b.planting) > 0;

/**
 * Places in the list of those that a strip has its rows from: they stand in them before it, and nothing came between. What is out before another one is
 * half through its days handed its rows to that one.
 */
const oldsOf = (list: readonly Strip[], i: number, fromDay: number): number[] =>
  list.flatMap((o, j) => {
    const s = list[i]!;
    if (j >= i || o.endDay <= fromDay || !inOneRow(o, s)) return [];
    const between = list
      .slice(j + 1, i)
      .some((k) => inOneRow(k, s) && inOneRow(k, o) && (k.startDay + k.endDay) / 2 > o.endDay);
    return between ? [] : [j];
  });

/** Whether such a spring has it over before its day, or not by then. */
const isOtherwise = (was: Strip, now: Strip): boolean =>
  outOn(was, now) !== was.endDay ||
  (was.clears &&
    now.overDay !== null &&
    was.overDay !== null &&
    now.overDay > Math.max(was.endDay, was.overDay));

/** From when its rows are free of an old one, with the overlap that was meant. In a late spring it is out on its day, not when it is over. */
function freeAfter(was: Strip, now: Strip, next: Strip, late: boolean): number {
  const overlap = was.endDay - next.startDay;
  if (late) return now.endDay - overlap;
  return outOn(was, now) + (overlap > 0 ? -overlap : overlap < 0 ? TURN_DAYS : 0);
}

/** A planting that was moved twice is where it was moved last. */
const lastOfEach = (moves: readonly Planting[]): Planting[] => [
  ...new Map(moves.map((p) => [p.id, p])).values(),
];

/**
 * What follows where a spring comes so many days later.
 * @example springMoves(aYear([aBedOf('a')], []), 10, (p) => aStrip(aBedOf('a'), p.crop, [1, 4], [p.plantedOn, null], null)).shifted // []
 */
export function springMoves(year: RelayYear, days: number, remake: Remake): SpringMoves {
  const { fromDay: first, toDay } = springOf(year.latitude, year.today);
  const fromDay = Math.max(first, year.today);
  const before = [...year.strips].sort((a, b) => a.startDay - b.startDay);
  const now = before.map((s) => inSpring(s, days, fromDay, toDay, remake));
  const touched = before.map((s, i) => now[i] !== s);
  const moneyOf = (strips: readonly Strip[]) =>
    strips.reduce((sum, s, i) => (touched[i] ? sum + worthOf(s) : sum), 0);
  const asIs = moneyOf(now);

  const answer = (kind: SpringAnswerKind, goes: (s: Strip, handedOn: boolean) => boolean): SpringAnswer => {
    const after = [...now];
    const moves: Planting[] = [];
    before.forEach((s, i) => {
      if (!touched[i] || s.planting.planned !== true || s.startDay <= year.today) return;
      const olds = oldsOf(before, i, fromDay);
      const handedOn = olds.some((j) => isOtherwise(before[j]!, now[j]!));
      const wanted = goes(s, handedOn) ? s.startDay - days : s.startDay;
      const free = olds.map((j) => freeAfter(before[j]!, after[j]!, s, days < 0));
      // sooner only as far as its rows are free; later also where what is before it was moved later
      const least = days > 0 ? Math.max(year.today + 1, fromDay) : s.startDay;
      const day = Math.max(wanted, least, ...(wanted < s.startDay || days < 0 ? free : []));
      if (days > 0 ? day >= s.startDay : day <= s.startDay) return;
      const moved = remake(movedBy(s.planting, day - s.startDay));
      moves.push(moved.planting);
      after[i] = inSpring(moved, days, fromDay, toDay, remake);
      // what stood there goes out for it, as much before or after as was meant
      for (const j of olds) {
        const outDay = day + before[j]!.endDay - s.startDay;
        const other = days > 0 ? outDay < after[j]!.endDay : handedOn && outDay > after[j]!.endDay;
        if (!before[j]!.clears || !other) continue;
        after[j] = { ...after[j]!, endDay: outDay };
        moves.push({ ...after[j].planting, clearedOn: isoOf(outDay) });
      }
    });
    const money = moneyOf(after);
    return { kind, moves: lastOfEach(moves), money, gain: money - asIs };
  };
  const answers: SpringAnswer[] = [
    { kind: 'as-is', moves: [], gain: 0, money: asIs },
    answer('all', () => true),
    days > 0 ? answer('hardy', (s) => !isTender(s)) : answer('tender', isTender),
    answer('following', (_s, handedOn) => handedOn),
  ];
  return {
    shifted: before
      .flatMap((s, i) => {
        const [a, b] = [s, now[i]!];
        const readyDays = a.readyDay === null || b.readyDay === null ? 0 : b.readyDay - a.readyDay;
        const overDays = a.overDay === null || b.overDay === null ? 0 : b.overDay - a.overDay;
        return a !== b && s.endDay > year.today && (readyDays !== 0 || overDays !== 0)
          ? [{ id: s.planting.id, readyDays, overDays }]
          : [];
      })
      .sort((a, b) => Math.abs(b.readyDays) - Math.abs(a.readyDays)),
    answers: answers.sort((a, b) => b.money - a.money),
  };
}
