/**
 * A plan read off the programme. Contract: `plantingsOf` gives every chosen row a row of its class, those of one planting side by side where they
 * can be, and says of each what it fills, what it is worth beside the rest, what else would be best there and what it risks.
 */
import type { How } from '../growth/course';
import { bench } from '../windows/schools';
import { isoOf } from './course';
import { unitsPerM, type Candidate, type FillAsk, type RowClass } from './fill';
import { addedBy, planWorth, type FillProblem } from './fillProblem';
import { worth } from './fillWorth';
import { shortOf, askedIn, WEEK } from './supply';

export interface Proposal {
  crop: string;
  how: How;
  bedId: string;
  fromRow: number;
  toRow: number;
  lengthM: number;
  /** Sown in trays; null where it is sown where it grows. */
  traysOn: string | null;
  plantedOn: string;
  readyOn: string;
  clearedOn: string;
  kg: number;
  cells: number;
  minutes: number;
  /** Share of years in which it comes off. */
  success: number;
  /** Money that the whole plan would lose without it. */
  worth: number;
  /** Of what is asked for and not there without the plan, kilos that it gives, and in which weeks. */
  fills: { kg: number; from: string | null; to: string | null };
  /** Weeks that its rows would lie idle. */
  idleWeeks: number;
  /** The next best of another crop in their place, the rest left as it is, and how much less that would bring. */
  instead: { crop: string; less: number } | null;
}

/** Rows of each chosen candidate, side by side where that can be: the longest run of free rows in one bed first. */
function place(classes: readonly RowClass[], list: readonly Candidate[], rows: ArrayLike<number>) {
  const free = classes.map((c) => c.rows.map(() => 0));
  const out: { cand: Candidate; bedId: string; from: number; to: number; lengthM: number }[] = [];
  const chosen = list.filter((c) => rows[c.n]! > 0.5).sort((a, b) => a.from - b.from || a.n - b.n);
  for (const cand of chosen) {
    const cls = classes[cand.cls]!;
    const until = free[cand.cls]!;
    let wanted = Math.round(rows[cand.n]!);
    while (wanted > 0) {
      let best = { at: -1, n: 0 };
      for (let i = 0; i < cls.rows.length; i++) {
        let n = 0;
        while (
          n < wanted &&
          i + n < cls.rows.length &&
          until[i + n]! <= cand.from &&
          cls.rows[i + n]!.bed === cls.rows[i]!.bed &&
          cls.rows[i + n]!.row === cls.rows[i]!.row + n
        )
          n += 1;
        if (n > best.n) best = { at: i, n };
      }
      if (best.n === 0) throw new Error(`the plan has more rows of ${cand.what.crop.id} than there are`);
      for (let i = best.at; i < best.at + best.n; i++) until[i] = cand.to;
      const { bed, row } = cls.rows[best.at]!;
      out.push({ cand, bedId: bed.id, from: row, to: row + best.n - 1, lengthM: bed.lengthM });
      wanted -= best.n;
    }
  }
  return out;
}

/** What of a week's need is met by some kilos of a crop. */
function met(ask: FillAsk, p: FillProblem, week: number, crop: string, units: number): number {
  const asked = askedIn(ask.demand, ask.fromDay + week * WEEK);
  if (asked.size === 0) return 0;
  const there = new Map(p.market.crops.map((id, c) => [id, p.market.there[c]![week]!]));
  const before = shortOf(asked, there);
  there.set(crop, (there.get(crop) ?? 0) + units);
  return before - shortOf(asked, there);
}

/**
 * The rows that were chosen as plantings, bed by bed.
 * @example (() => { const ask = anAsk([aBedOf('a')], ['radish'], 30); const classes = ground(ask); const list = candidates(ask, classes); const p = fillProblem(ask, classes, list); return plantingsOf(ask, classes, list, p, greedy(ask, list, p).rows).map((x) => x.crop); })() // ['radish', 'radish', 'radish']
 */
export function plantingsOf(
  ask: FillAsk,
  classes: readonly RowClass[],
  list: readonly Candidate[],
  p: FillProblem,
  rows: ArrayLike<number>,
): Proposal[] {
  const whole = Float64Array.from(list, (_, n) => Math.round(rows[n]!));
  const money = planWorth(ask, p, list, whole);
  const sells = (o: Candidate) =>
    o.units.reduce((t, u) => t + u, 0) * (o.what.valuePerM / unitsPerM(o.what.crop));
  const all = addedBy(p.market, list, whole, ask.weeks);
  /** Money of the plan with one candidate's rows given to another. */
  const withInstead = (cand: Candidate, other: Candidate | null, n: number): number => {
    const changed = all.map((week) => week);
    const change = (c: Candidate, by: number) => {
      const at = p.market.crops.indexOf(c.what.crop.id);
      changed[at] = changed[at]!.map((u, w) => u + by * c.units[w]!);
    };
    change(cand, -n);
    if (other) change(other, n);
    const work = (c: Candidate) => (n * c.minutes.reduce((t, x) => t + x, 0) * ask.hourlyRate) / 60;
    return money + worth(p.market, changed) - soldNow + work(cand) - (other ? work(other) : 0);
  };
  const soldNow = worth(p.market, all);
  return place(classes, list, rows).map(({ cand, bedId, from, to, lengthM }): Proposal => {
    const { what, course } = cand;
    const n = to - from + 1;
    const added = addedBy(p.market, [cand], [n], ask.weeks);
    const units = added[p.market.crops.indexOf(what.crop.id)]!;
    const weeks = [...units].flatMap((u, w) => {
      const kg = u > 0 ? met(ask, p, w, what.crop.id, u) : 0;
      return kg > 0.005 ? [{ w, kg }] : [];
    });
    const without = withInstead(cand, null, n);
    const best = new Map<string, Candidate>();
    for (const o of list)
      if (
        o.cls === cand.cls &&
        o.what.crop.id !== what.crop.id &&
        o.from >= cand.from &&
        o.to <= cand.to &&
        sells(o) > (best.has(o.what.crop.id) ? sells(best.get(o.what.crop.id)!) : 0)
      )
        best.set(o.what.crop.id, o);
    const other = [...best.values()]
      .map((o) => ({ crop: o.what.crop.id, less: money - withInstead(cand, o, n) }))
      .sort((x, y) => x.less - y.less)[0];
    const day = (w: number) => isoOf(ask.fromDay + w * WEEK);
    const weighed = what.crop.yieldKgPerM !== null;
    return {
      crop: what.crop.id,
      how: what.how,
      bedId,
      fromRow: from,
      toRow: to,
      lengthM,
      traysOn: what.how === 'transplant' ? isoOf(course.startDay - Math.round(bench(what.crop))) : null,
      plantedOn: isoOf(course.startDay),
      readyOn: isoOf(course.readyDay!),
      clearedOn: isoOf(
        Math.min(ask.fromDay + cand.to * WEEK, Math.max(course.overDay!, course.readyDay! + WEEK)),
      ),
      kg: weighed ? units.reduce((t, u) => t + u, 0) : 0,
      cells: (cand.cells?.count ?? 0) * n,
      minutes: cand.minutes.reduce((t, x) => t + x, 0) * n,
      success: cand.success,
      worth: money - without,
      fills: {
        kg: weeks.reduce((t, x) => t + x.kg, 0),
        from: weeks[0] ? day(weeks[0].w) : null,
        to: weeks.length > 0 ? isoOf(ask.fromDay + (weeks.at(-1)!.w + 1) * WEEK - 1) : null,
      },
      idleWeeks: cand.to - cand.from,
      instead: other ?? null,
    };
  });
}
