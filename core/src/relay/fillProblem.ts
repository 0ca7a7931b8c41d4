/**
 * Gaps as an integer programme. Contract: `fillProblem` writes candidates, rows, trays, hours and the market as sparse arrays that any kept solver takes;
 * `addedBy` gives the units that numbers of rows bring, `planWorth` the money of a plan: what is sold less the work.
 */
import type { Candidate, FillAsk, RowClass } from './fill';
import { market, worth, type Market } from './fillWorth';
import { HARDEN_DAYS, prickDays } from '../windows/steps';
import { batchesOf, nurseryWeeks, SEED_TRAY } from './nursery';
import { cellsOn, minutesBetween, WEEK } from './supply';

/** Maximise `cost`·x with `lower` ≤ x ≤ `upper` and each row's sum ≤ its `most`; the first `integers` columns are whole. */
export interface SparseProblem {
  cost: Float64Array;
  upper: Float64Array;
  integers: number;
  most: Float64Array;
  /** By row: where it begins in `columns` and `values`, one longer than the rows. */
  starts: Int32Array;
  columns: Int32Array;
  values: Float64Array;
}

export interface FillProblem {
  problem: SparseProblem;
  market: Market;
  /** What the rows of the year are worth with nothing added, and the work of what stands. */
  before: number;
}

const workCost = (ask: FillAsk, minutes: number) => (minutes / 60) * ask.hourlyRate;
const sum = (a: Float64Array) => a.reduce((t, x) => t + x, 0);

/**
 * What the rows that are chosen add by crop and week, in its units.
 * @example addedBy(market(anAsk([aBedOf('a')], ['radish'], 30)), [], [], 12).length // 1
 */
export function addedBy(
  m: Market,
  list: readonly Candidate[],
  rows: ArrayLike<number>,
  weeks: number,
): Float64Array[] {
  const at = new Map(m.crops.map((id, c) => [id, c]));
  const added = m.crops.map(() => new Float64Array(weeks));
  list.forEach((cand, n) => {
    if (!rows[n]) return;
    const into = added[at.get(cand.what.crop.id)!]!;
    for (let w = 0; w < weeks; w++) into[w]! += rows[n]! * cand.units[w]!;
  });
  return added;
}

/**
 * Money that a plan adds to what there is: what more is sold, less the work.
 * @example (() => { const ask = anAsk([aBedOf('a')], ['radish'], 30); const classes = ground(ask); const list = candidates(ask, classes); return planWorth(ask, fillProblem(ask, classes, list), list, new Float64Array(list.length)); })() // 0
 */
export function planWorth(
  ask: FillAsk,
  p: Omit<FillProblem, 'problem'>,
  list: readonly Candidate[],
  rows: ArrayLike<number>,
): number {
  let work = 0;
  list.forEach((cand, n) => (work += rows[n] ? rows[n]! * workCost(ask, sum(cand.minutes)) : 0));
  return worth(p.market, addedBy(p.market, list, rows, ask.weeks)) - p.before - work;
}

class Rows {
  private readonly starts = [0];
  private readonly columns: number[] = [];
  private readonly values: number[] = [];
  private readonly most: number[] = [];
  add(entries: readonly (readonly [number, number])[], most: number): void {
    if (entries.length === 0 || most === Infinity) return;
    for (const [c, v] of entries) {
      this.columns.push(c);
      this.values.push(v);
    }
    this.starts.push(this.columns.length);
    this.most.push(most);
  }
  done(): Pick<SparseProblem, 'most' | 'starts' | 'columns' | 'values'> {
    return {
      most: Float64Array.from(this.most),
      starts: Int32Array.from(this.starts),
      columns: Int32Array.from(this.columns),
      values: Float64Array.from(this.values),
    };
  }
}

/** Columns of the market: what of a crop is sold in a week in a step. */
interface Sale {
  crop: number;
  week: number;
  price: number;
  most: number;
  boxed: boolean;
}

/** Weeks that trays stand outside to harden before they are planted. */
const OUT_WEEKS = Math.ceil(HARDEN_DAYS / WEEK);

/**
 * Trays of one row of a candidate in a week, where they then are. Parts of a tray are counted as parts: that no two sowings share one is the
 * nursery's page to say.
 */
function traysIn(c: Candidate, w: number, where: 'shelf' | 'out', trayCells: number): number {
  const raised = c.cells;
  if (!raised || w < raised.from || w >= raised.to) return 0;
  const isOut = w >= raised.to - OUT_WEEKS;
  if (isOut !== (where === 'out')) return 0;
  const prick = prickDays(c.what.crop);
  const thick = prick !== null && (w - raised.from + 1) * WEEK <= prick;
  return raised.count / (thick ? SEED_TRAY : trayCells);
}

/**
 * A fill as one programme of sparse columns.
 * @example (() => { const ask = anAsk([aBedOf('a')], ['radish'], 30); const classes = ground(ask); return fillProblem(ask, classes, candidates(ask, classes)).problem !== undefined; })() // true
 */
export function fillProblem(
  ask: FillAsk,
  classes: readonly RowClass[],
  list: readonly Candidate[],
): FillProblem {
  const m = market(ask);
  const sales: Sale[] = [];
  m.steps.forEach((weeks, crop) =>
    weeks.forEach((steps, week) =>
      steps.forEach((s) => {
        if (s.most > 0) sales.push({ crop, week, ...s });
      }),
    ),
  );
  const at = new Map(m.crops.map((id, c) => [id, c]));
  const cost = [...list.map((c) => -workCost(ask, sum(c.minutes))), ...sales.map((s) => s.price)];
  const upper = [...list.map((c) => classes[c.cls]!.rows.length), ...sales.map((s) => s.most)];
  const rows = new Rows();
  const inWeek = (w: number) => (c: Candidate) => c.from <= w && w < c.to;
  classes.forEach((cls, k) => {
    const own = list.filter((c) => c.cls === k);
    for (let w = 0; w < ask.weeks; w++) {
      if (cls.busy[w]) continue;
      rows.add(
        own.filter(inWeek(w)).map((c) => [c.n, 1] as const),
        cls.rows.length,
      );
    }
  });
  // no more is sold than there is
  const byCrop = m.crops.map(() => [] as Candidate[]);
  for (const c of list) byCrop[at.get(c.what.crop.id)!]!.push(c);
  const salesOf = new Map<number, [number, number][]>();
  const boxOf = new Map<number, [number, number][]>();
  sales.forEach((s, n) => {
    const col = list.length + n;
    const key = s.crop * ask.weeks + s.week;
    salesOf.set(key, [...(salesOf.get(key) ?? []), [col, 1]]);
    if (s.boxed) boxOf.set(s.week, [...(boxOf.get(s.week) ?? []), [col, 1]]);
  });
  for (const [key, sold] of salesOf) {
    const [crop, week] = [Math.floor(key / ask.weeks), key % ask.weeks];
    const from = byCrop[crop]!.filter((c) => c.units[week]! > 0).map((c) => [c.n, -c.units[week]!] as const);
    rows.add([...sold, ...from], m.there[crop]![week]!);
  }
  for (const [week, boxed] of boxOf) rows.add(boxed, m.boxes[week] ?? Infinity);
  const stands = ask.nursery
    ? nurseryWeeks(batchesOf(ask.strips), ask.fromDay, ask.weeks, ask.nursery.trayCells)
    : [];
  for (let w = 0; w < ask.weeks; w++) {
    const [a, b] = [ask.fromDay + w * WEEK, ask.fromDay + (w + 1) * WEEK];
    if (ask.cells !== null) {
      const taken = ask.strips.reduce((t, s) => t + cellsOn(s, a), 0);
      const raised = list.filter((c) => c.cells && c.cells.from <= w && w < c.cells.to);
      rows.add(
        raised.map((c) => [c.n, c.cells!.count] as const),
        Math.max(0, ask.cells - taken),
      );
    }
    for (const where of ['shelf', 'out'] as const) {
      const room = where === 'shelf' ? ask.nursery?.shelfTrays : ask.nursery?.outTrays;
      if (room == null) continue;
      rows.add(
        list
          .map((c) => [c.n, traysIn(c, w, where, ask.nursery!.trayCells)] as const)
          .filter(([, trays]) => trays > 0),
        Math.max(0, room - stands[w]![where]),
      );
    }
    if (ask.minutesPerWeek !== null) {
      const taken = ask.strips.reduce((t, s) => t + minutesBetween(s, a, b), 0);
      rows.add(
        list.filter((c) => c.minutes[w]! > 0).map((c) => [c.n, c.minutes[w]!] as const),
        Math.max(0, ask.minutesPerWeek - taken),
      );
    }
  }
  for (const what of ask.crops)
    if (what.mostM !== null)
      rows.add(
        list
          .filter((c) => c.what.crop.id === what.crop.id)
          .map((c) => [c.n, classes[c.cls]!.bed.lengthM] as const),
        what.mostM,
      );
  return {
    problem: {
      cost: Float64Array.from(cost),
      upper: Float64Array.from(upper),
      integers: list.length,
      ...rows.done(),
    },
    market: m,
    before: worth(
      m,
      m.crops.map(() => new Float64Array(ask.weeks)),
    ),
  };
}
