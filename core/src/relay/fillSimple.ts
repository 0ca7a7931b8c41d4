/**
 * The rule that growers go by without a plan: as a row comes free, the crop that has waited longest goes in, if it comes off. Contract: rows by
 * candidate, within every limit that the programme has; a first answer at once, and what the solver's is held against.
 */
import type { Candidate, FillAsk, RowClass } from './fill';
import { planWorth, type FillProblem } from './fillProblem';

/** What a plan takes of a row of the programme so far. */
class Room {
  private readonly used: Float64Array;
  private readonly byColumn = new Map<number, { row: number; value: number }[]>();

  constructor(private readonly p: FillProblem['problem']) {
    this.used = new Float64Array(p.most.length);
    for (let r = 0; r < p.most.length; r++)
      for (let k = p.starts[r]!; k < p.starts[r + 1]!; k++) {
        const c = p.columns[k]!;
        // what is sold follows from what there is
        if (c >= p.integers || p.values[k]! <= 0) continue;
        const list = this.byColumn.get(c);
        const entry = { row: r, value: p.values[k]! };
        if (list) list.push(entry);
        else this.byColumn.set(c, [entry]);
      }
  }

  /** How many rows of a candidate still go. */
  most(n: number): number {
    let most = this.p.upper[n]!;
    for (const { row, value } of this.byColumn.get(n) ?? [])
      most = Math.min(most, (this.p.most[row]! - this.used[row]! + 1e-9) / value);
    return Math.max(0, Math.floor(most));
  }

  take(n: number, rows: number): void {
    for (const { row, value } of this.byColumn.get(n) ?? []) this.used[row]! += rows * value;
  }
}

/** Of one crop in one class and week, the longest stand: the rule knows of no early clearing. */
function longest(list: readonly Candidate[]): Candidate[] {
  const out = new Map<string, Candidate>();
  for (const c of list) out.set(`${c.cls} ${c.what.crop.id} ${c.what.how} ${c.from}`, c);
  return [...out.values()];
}

/**
 * The crop that has waited longest, row by row: what a gap is filled with by habit.
 * @example (() => { const ask = anAsk([aBedOf('a')], ['radish'], 30); const classes = ground(ask); const list = candidates(ask, classes); return longestWaiting(ask, classes, list, fillProblem(ask, classes, list)).money > 0; })() // true
 */
export function longestWaiting(
  ask: FillAsk,
  classes: readonly RowClass[],
  list: readonly Candidate[],
  p: FillProblem,
): { rows: Float64Array; money: number } {
  const rows = new Float64Array(list.length);
  const room = new Room(p.problem);
  const last = new Map<string, number>();
  const byWeek: Candidate[][] = Array.from({ length: ask.weeks }, () => []);
  for (const c of longest(list)) byWeek[c.from]!.push(c);
  for (const now of byWeek) {
    for (let k = 0; k < classes.length; k++) {
      // a row at a time, each the turn of the one that has waited longest
      for (let turn = 0; turn < classes[k]!.rows.length; turn++) {
        const next = now
          .filter((c) => c.cls === k && room.most(c.n) > 0)
          .sort(
            (a, b) => (last.get(a.what.crop.id) ?? -1) - (last.get(b.what.crop.id) ?? -1) || a.n - b.n,
          )[0];
        if (!next) break;
        rows[next.n]! += 1;
        room.take(next.n, 1);
        last.set(next.what.crop.id, next.from + turn / 1000);
      }
    }
  }
  return { rows, money: planWorth(ask, p, list, rows) };
}

/**
 * A better answer: to `from` (nothing), again and again the candidate that gains most for the time that it takes of its row. Put to
 * the whole part of what the programme would do with parts of rows, it is close to the best.
 * @example (() => { const ask = anAsk([aBedOf('a')], ['radish'], 30); const classes = ground(ask); const list = candidates(ask, classes); return greedy(ask, list, fillProblem(ask, classes, list)).money > 0; })() // true
 */
export function greedy(
  ask: FillAsk,
  list: readonly Candidate[],
  p: FillProblem,
  from: Float64Array = new Float64Array(list.length),
): { rows: Float64Array; money: number } {
  const rows = Float64Array.from(from);
  const room = new Room(p.problem);
  const price = new Map(p.market.crops.map((id, c) => [id, c]));
  const left = p.market.crops.map((_, c) =>
    p.market.steps[c]!.map((steps, w) => {
      let there = p.market.there[c]![w]!;
      return steps.map((s) => {
        const used = Math.min(there, s.most);
        there -= used;
        return s.most - used;
      });
    }),
  );
  const boxes = p.market.boxes.map((b) => b ?? Infinity);
  /** What a row of it sells for now, and with `sell`, sells it. */
  const sold = (cand: Candidate, sell: boolean): number => {
    const c = price.get(cand.what.crop.id)!;
    let money = 0;
    for (let w = cand.from; w < ask.weeks; w++) {
      let units = cand.units[w]!;
      if (units <= 0) continue;
      p.market.steps[c]![w]!.forEach((s, k) => {
        const room_ = s.boxed ? Math.min(left[c]![w]![k]!, boxes[w]!) : left[c]![w]![k]!;
        const taken = Math.min(units, room_);
        units -= taken;
        money += taken * s.price;
        if (!sell) return;
        left[c]![w]![k]! -= taken;
        if (s.boxed) boxes[w]! -= taken;
      });
    }
    return money;
  };
  for (const cand of list)
    for (let n = 0; n < rows[cand.n]!; n++) {
      sold(cand, true);
      room.take(cand.n, 1);
    }
  const work = (cand: Candidate) => (cand.minutes.reduce((a, b) => a + b, 0) / 60) * ask.hourlyRate;
  const gain = (cand: Candidate) => (sold(cand, false) - work(cand)) / (cand.to - cand.from);
  // gains only fall as more is sold: the best is looked at again, and taken where it is still the best
  const queue = list.map((cand) => ({ cand, gain: gain(cand) })).sort((a, b) => a.gain - b.gain);
  while (queue.length > 0) {
    const top = queue.pop()!;
    if (top.gain <= 0) break;
    if (room.most(top.cand.n) < 1) continue;
    const now = gain(top.cand);
    const next = queue.at(-1)?.gain ?? 0;
    if (now < next - 1e-9) {
      if (now <= 0) continue;
      let [lo, hi] = [0, queue.length];
      while (lo < hi) {
        const mid = (lo + hi) >> 1;
        if (queue[mid]!.gain < now) lo = mid + 1;
        else hi = mid;
      }
      queue.splice(lo, 0, { cand: top.cand, gain: now });
      continue;
    }
    sold(top.cand, true);
    rows[top.cand.n]! += 1;
    room.take(top.cand.n, 1);
    queue.push({ cand: top.cand, gain: now });
  }
  return { rows, money: planWorth(ask, p, list, rows) };
}
