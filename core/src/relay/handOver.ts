/**
 * A row handed from one planting to the next. Contract: `handOvers` looks at every two that follow each other in a row of a bed, and says what
 * the one has against the other: a row given twice, one that is not ready when its row is needed, one that starves the young.
 *
 * Overlaps that growers plan on, starting values: three weeks for seed between standing plants (it needs a week to come up
 * and stays small for two), two for plants set beside. Light: leaves of the old over the young take their share of it as far as they
 * stand over them. Nitrogen: both take theirs from the same row; more than a bed usually gives in that time is said with the
 * feed that makes it good.
 */
import { heightOn } from './course';
import { quarrel, type Quarrel } from './quarrel';
import { establishedDay, goesUnder, mayBeUnder } from './under';
import { readyBy, sharedRows, takenBy, type RelayBed, type Strip } from './year';

export const MAY_OVERLAP = { sow: 21, transplant: 14 } as const;
/** A picking takes so long: what has to be clear is ready by then. */
export const PICKING_DAYS = 7;
/** What a bed in good heart gives of itself, g of nitrogen a m² and day: 110 kg/ha a year. Starting value. */
const SOIL_N = 0.03;
/** Of what the old one took up, so much is left in roots and leaves that stay, and comes free in a season. */
const LEFT_BEHIND = 0.2;

/**
 * The light that the old takes from the young over their time together, 0 to 1.
 * @example lightTaken(aStrip(aBedOf('a'), 'tomato', [1, 2], ['2027-05-01', null], null), aStrip(aBedOf('a'), 'spinach', [3, 4], ['2027-09-01', null], null), 21_060, 21_090) // 0.5957
 */
export function lightTaken(old: Strip, young: Strip, from: number, to: number): number {
  let sum = 0;
  let n = 0;
  for (let day = from; day < to; day += 2) {
    const over = heightOn(old.crop, old, day);
    const under = heightOn(young.crop, young, day);
    // in the ground it needs no light yet
    if (young.upDay !== null && day < young.upDay) continue;
    sum += over <= 0 ? 0 : old.crop.groundCover * Math.min(1, Math.max(0, (over - under) / over));
    n += 1;
  }
  return n === 0 ? 0 : sum / n;
}

/**
 * Nitrogen that both want while they share a row, over what the bed gives, g/m².
 * @example shortOfN(aStrip(aBedOf('b'), 'spinach', [1, 1], ['2027-03-01', '2027-05-01'], evenOutlook(60)), aStrip(aBedOf('b'), 'mache', [1, 1], ['2027-04-15', null], evenOutlook(80)), Date.parse('2027-04-15') / 86400000, Date.parse('2027-04-16') / 86400000) // 0.17
 */
export function shortOfN(old: Strip, young: Strip, from: number, to: number): number {
  const wants = (s: Strip) => {
    const ready = s.readyDay ?? s.endDay;
    // most is taken up between coming up and the picking
    const [a, b] = [Math.max(from, s.upDay ?? from), Math.min(to, Math.max(ready, s.startDay + 1))];
    return (s.crop.nitrogenGM2 * Math.max(0, b - a)) / Math.max(1, ready - s.startDay);
  };
  return Math.max(0, wants(old) + wants(young) - SOIL_N * (to - from));
}

/**
 * What the next one needs beyond what the bed gives it and the last one leaves, g/m².
 * @example feedFor(aStrip(aBedOf('b'), 'spinach', [1, 1], ['2027-03-01', '2027-05-01'], evenOutlook(60)), aStrip(aBedOf('b'), 'tomato', [1, 1], ['2027-05-15', null], evenOutlook(80))) > 0 // true
 */
export function feedFor(old: Strip, young: Strip): number {
  const days = (young.readyDay ?? young.endDay) - young.startDay;
  const fixed = old.crop.group === 'legume' || old.crop.group === 'manure' ? 6 : 0;
  const left = LEFT_BEHIND * old.crop.nitrogenGM2 + fixed;
  return Math.max(0, young.crop.nitrogenGM2 - left - SOIL_N * days);
}

const LIGHT_LOST = 0.3;
const SHORT_N = 1;

/**
 * The day by which a row must be clear for the next one: its own, and what may overlap.
 * @example clearByDay(aStrip(aBedOf('b'), 'spinach', [1, 1], ['2027-03-01', '2027-06-01'], evenOutlook(60)), aStrip(aBedOf('b'), 'tomato', [1, 1], ['2027-05-15', null], evenOutlook(80))) >= Date.parse('2027-05-15') / 86400000 // true
 */
export const clearByDay = (old: Strip, young: Strip): number =>
  young.startDay +
  (old.clears ? Math.min(MAY_OVERLAP[young.how], Math.max(0, old.endDay - young.startDay)) : 0);

function between(bed: RelayBed, old: Strip, young: Strip, risk: number): Quarrel[] {
  const ids = [old.planting.id, young.planting.id];
  const found: Quarrel[] = [];
  const together = Math.max(0, Math.min(old.endDay, young.endDay) - young.startDay);
  const allowed = MAY_OVERLAP[young.how];
  if (goesUnder(old, young) && together > allowed) {
    // sown under it on purpose: the row is both's, if it goes at all
    const against = mayBeUnder(old, young.crop, young.startDay);
    const days: [number, number] = [young.startDay, young.startDay + together];
    return against === null
      ? []
      : [quarrel('under', bed.id, ids, days, { against, fromDay: establishedDay(old) ?? -1 })];
  }
  const clearBy = clearByDay(old, young);
  const chance = readyBy(old, clearBy - PICKING_DAYS);
  const starts = old.planting.done?.clear === undefined;
  if (starts && chance !== null && chance < 1 - risk && old.crop.habit !== 'none')
    found.push(
      quarrel('not-clear', bed.id, ids, [old.readyDay ?? clearBy, clearBy], {
        chance,
        clearBy,
        untaken: 1 - takenBy(old, clearBy),
        readyDay: old.readyDay ?? -1,
        feedGM2: feedFor(old, young),
      }),
    );
  if (together > allowed && (old.clears || old.overDay !== null))
    found.push(
      quarrel('rows-twice', bed.id, ids, [young.startDay, young.startDay + together], {
        days: together,
        allowed,
        rows: sharedRows(old.planting, young.planting),
      }),
    );
  if (together < 5) return found;
  const [from, to] = [young.startDay, young.startDay + together];
  const light = lightTaken(old, young, from, to);
  if (light >= LIGHT_LOST && together >= 10)
    found.push(quarrel('starved', bed.id, ids, [from, to], { light, days: together }));
  const short = shortOfN(old, young, from, to);
  if (short >= SHORT_N)
    found.push(quarrel('hungry', bed.id, ids, [from, to], { shortGM2: short, days: together }));
  return found;
}

/** Of those before one, the last of each row: what has to go out for another one before is that one's business. */
const lastOf = (before: readonly Strip[], young: Strip): Strip[] =>
  before.filter(
    (o) =>
      o.endDay > young.startDay ||
      !before.some((m) => m !== o && m.startDay > o.startDay && sharedRows(m.planting, o.planting) > 0),
  );

/**
 * Where one crop is to follow another before it is likely to be gone.
 * @example handOvers(aBedOf('a'), [aStrip(aBedOf('a'), 'radish', [1, 4], ['2027-03-01', null], evenOutlook(30)), aStrip(aBedOf('a'), 'spinach', [1, 4], ['2027-03-20', null], evenOutlook(40))], 0.2, 20_800).length > 0 // true
 */
export function handOvers(bed: RelayBed, strips: readonly Strip[], risk: number, today: number): Quarrel[] {
  const byStart = [...strips].sort((a, b) => a.startDay - b.startDay);
  return byStart.flatMap((young, n) => {
    // what has happened is not argued with
    if (young.endDay < today || (young.startDay < today && young.planting.planned !== true)) return [];
    const before = byStart
      .slice(0, n)
      .filter((old) => sharedRows(old.planting, young.planting) > 0)
      .filter((old) => old.endDay > today && old.endDay > young.startDay - 120)
      .filter((old) => old.startDay < young.startDay || old.planting.id < young.planting.id);
    return lastOf(before, young).flatMap((old) => between(bed, old, young, risk));
  });
}

export interface Post {
  bedId: string;
  oldId: string;
  youngId: string;
  /** By when the row must be clear, and the share of years in which it can be. */
  day: number;
  chance: number | null;
}

/**
 * For each planting that is still to go in: the ones before it in its rows, each with the day by which it must be out.
 * @example posts([aStrip(aBedOf('a'), 'radish', [1, 4], ['2027-03-01', '2027-05-01'], evenOutlook(30)), aStrip(aBedOf('a'), 'spinach', [1, 4], ['2027-05-02', null], evenOutlook(40))], 20_800).length // 1
 */
export function posts(strips: readonly Strip[], today: number): Post[] {
  return strips
    .filter((s) => s.planting.planned === true && s.startDay >= today)
    .flatMap((young) => {
      const before = strips.filter(
        (o) =>
          o !== young &&
          o.planting.bedId === young.planting.bedId &&
          o.startDay < young.startDay &&
          sharedRows(o.planting, young.planting) > 0 &&
          o.endDay > today &&
          o.endDay > young.startDay - 60,
      );
      const handed = lastOf(before, young).filter(
        (old) => !goesUnder(old, young) || old.endDay - young.startDay <= MAY_OVERLAP[young.how],
      );
      return handed.map((old) => {
        const day = clearByDay(old, young);
        return {
          bedId: young.planting.bedId,
          oldId: old.planting.id,
          youngId: young.planting.id,
          day,
          chance: readyBy(old, day - PICKING_DAYS),
        };
      });
    });
}
