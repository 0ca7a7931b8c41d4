/**
 * What goes on which bed. Contract: `mayWin` says which options of a bed are worth running under everyone; `choose` sets each
 * bed's `chosen` by the kept solver, within the stock and within the hands and minutes left before each place's own latest
 * time. What can only be done later than that is priced by the minute at which it is, and marked; nothing is dropped for
 * being late alone.
 */
import { HOUR_MS } from '../time/farmTime';
import {
  couldWin,
  coverProblem,
  expectedLoss,
  outcomeOf,
  undominated,
  workCost,
  type BedChoice,
  type PricedOption,
} from './choose';
import type { ColdNight } from '../hardiness/injury';
import { coldNights } from './outcome';
import { darkAtMs, type OtherHands, type PlannedBed, type Work } from './planned';
import { optionKey, type CoverOption } from './options';

/** What it takes to go out again after dark, for each bed, minutes: starting value. */
const NIGHT_WALK_MIN = 15;
/** Shutting what is open, minutes a structure: starting value. */
export const CLOSE_MIN = 4;
/** The solver may take so long; an evening of a farm takes it some milliseconds. */
const SOLVE_S = 20;

function later(w: Work, b: PlannedBed, o: CoverOption): number {
  // at night nobody goes out to swap sheets for a tenth of a degree
  const walk = w.phase === 'night' && o.key !== optionKey(b.on) ? NIGHT_WALK_MIN : 0;
  return b.laterMinutes[o.key]! + walk;
}

/** What the grower wants on the bed, where that can lie there; else everything of which something is known. */
function wanted(b: PlannedBed): CoverOption[] {
  const known = b.options.filter((o) => b.loss[o.key] !== undefined);
  const fixed = known.filter((o) => o.key === b.fixed);
  return fixed.length > 0 ? fixed : known;
}

/**
 * Options that could be chosen, given what the bed loses as it lies: the others are left to a first look.
 * @example mayWin({ inputs: await anInputs(), together: 1, phase: 'closing' }, await aPlannedBed()).map((o) => o.key) // ['bare', 'fleece', 'fleece~flat']
 */
export function mayWin(w: Work, b: PlannedBed): CoverOption[] {
  if (b.fixed !== null) return b.options;
  const current = optionKey(b.on);
  // what lies there may be more than is in stock by now: then nothing is ruled out
  const bound = b.loss[current] ?? Infinity;
  const { hourlyRate } = w.inputs.data.farm;
  return b.options.filter((o) => {
    if (o.key === current) return true;
    const minutes = b.minutes[o.key]!;
    return couldWin({ ...o, minutes, laterMinutes: later(w, b, o) }, bound * w.together, hourlyRate);
  });
}

/** What an option costs, done in time. */
const asPriced = (w: Work, b: PlannedBed, o: CoverOption): PricedOption => ({
  key: o.key,
  loss: b.loss[o.key]!,
  minutes: b.minutes[o.key]!,
  laterMinutes: later(w, b, o),
  pieces: o.pieces,
});

const calmLoss = (b: PlannedBed, nights: readonly ColdNight[], errorK: number) =>
  b.atRisk.reduce((sum, a) => sum + expectedLoss(a, nights, errorK), 0);

/** An option as priced, and, where the bed has a latest time before dark, once more as done after it. */
function priced(w: Work, b: PlannedBed, o: CoverOption): PricedOption[] {
  const { nowAtMs } = w.inputs;
  const as = asPriced(w, b, o);
  if (w.phase !== 'closing' || as.minutes === 0) return [as];
  // who asks at dusk still gets the half hour that they will take
  const least = w.inputs.leavesAtMs === undefined ? HOUR_MS / 2 : 0;
  const byDark = Math.max(least, darkAtMs(w.inputs) - nowAtMs) / 60_000;
  const due = b.due;
  if (!due || due.dueAtMs >= darkAtMs(w.inputs)) return [{ ...as, byMin: byDark }];
  const inTime = { ...as, byMin: Math.max(0, due.dueAtMs - nowAtMs) / 60_000 };
  const outcome = b.outcome.options.find((x) => x.key === o.key)!;
  const byDarkAtMs = nowAtMs + byDark * 60_000;
  const steps = due.later.map((l, n, all) =>
    n === all.length - 1 ? { ...l, atMs: byDarkAtMs } : { ...l, atMs: Math.min(l.atMs, byDarkAtMs) },
  );
  const late = steps.map(({ atMs, lostK }): PricedOption => {
    const loss = calmLoss(b, coldNights(outcome, lostK), w.errorK);
    return {
      ...as,
      byMin: Math.max(0, atMs - nowAtMs) / 60_000,
      lateAtMs: atMs,
      loss: Math.max(as.loss, loss),
    };
  });
  return [inTime, ...late];
}

/** Minutes that shutting takes away from laying. */
function closing(w: Work): number {
  const open = [...w.inputs.state.openings.values()].filter((o) => o.fraction > 0);
  return CLOSE_MIN * open.length;
}

/**
 * Twos and threes of sheets that could still be the best of a bed. What lies under one lies under each of what is left with a sheet fewer, with
 * less work and out of less stock: where that costs no more, even if it is done late, than the work of the sheet besides it leaves it nothing to win by.
 * Where several nights are chosen together a sheet that stays on is laid once for all of them: its work counts by that share.
 */
export function moreThatMayWin(w: Work, b: PlannedBed, options: readonly CoverOption[]): CoverOption[] {
  const { hourlyRate } = w.inputs.data.farm;
  const { together } = w;
  const money = (p: PricedOption) => p.loss + workCost(p, hourlyRate) / together;
  const costs = new Map<string, number>();
  const costOf = (key: string): number => {
    const known = costs.get(key);
    if (known !== undefined) return known;
    const o = b.options.find((x) => x.key === key);
    const cost = o && b.loss[key] !== undefined ? Math.max(...priced(w, b, o).map(money)) : Infinity;
    costs.set(key, cost);
    return cost;
  };
  const bound = b.loss[optionKey(b.on)] ?? Infinity;
  return options.filter((o) => {
    const alone = { ...o, loss: 0, minutes: b.minutes[o.key]!, laterMinutes: later(w, b, o) };
    const work = workCost(alone, hourlyRate) / together;
    if (work >= bound) return false;
    const less = o.covers.map((_, n) => optionKey(o.covers.filter((_c, k) => k !== n)));
    return less.every((key) => costOf(key) > work);
  });
}

/** So much warmer may be what is told from others, K. */
const TOLD_K = 0.5;

/**
 * Of options that are told from others those that, were they so much warmer than they are told, no other one would make useless: near enough to be run. What else the bed
 * could bear may be wanted on another: none is left out for being dearer than the best alone.
 */
export function nearEnough(w: Work, b: PlannedBed, told: readonly CoverOption[]): CoverOption[] {
  const known = b.options.filter((o) => b.loss[o.key] !== undefined);
  const all = known.map((o): PricedOption => {
    const as = asPriced(w, b, o);
    if (!told.includes(o)) return as;
    const nights = coldNights(outcomeOf(b.outcome.options, o.key), -TOLD_K);
    return { ...as, loss: as.loss - (b.calm[o.key]! - calmLoss(b, nights, w.errorK)) };
  });
  const kept = new Set(undominated(all, w.inputs.data.farm.hourlyRate).map((o) => o.key));
  return told.filter((o) => kept.has(o.key));
}

/** What each bed may bear, priced, and the pieces that there are. */
const chosenFrom = (beds: readonly PlannedBed[], w: Work) => ({
  choices: beds.map((b): BedChoice => ({
    bedId: b.bed.id,
    options: undominated(
      wanted(b).flatMap((o) => priced(w, b, o)),
      w.inputs.data.farm.hourlyRate,
    ),
  })),
  stock: Object.fromEntries(w.inputs.data.covers.map((c) => [c.id, c.count])),
});

type Chosen = Record<string, PricedOption>;

/** Differences under this are none, in the farm's money. */
const WORTH = 1;

/**
 * The second best, proven as the plan is: the same programme with one pair of hands fewer and one more. Null of fewer where one is all
 * there is, of more where nothing would be saved, and of both where nothing is to be laid by a time.
 */
export async function otherHands(beds: readonly PlannedBed[], w: Work): Promise<OtherHands> {
  const none: OtherHands = { fewer: null, more: null };
  const { data } = w.inputs;
  const work = beds.some((b) => b.minutes[b.chosen]! > 0);
  if (w.phase !== 'closing' || !work) return none;
  const { choices, stock } = chosenFrom(beds, w);
  const { hands, hourlyRate } = data.farm;
  const withHands = async (count: number) => {
    const problem = coverProblem(choices, stock, hourlyRate, { count, busyMin: closing(w) });
    return problem.read((await w.pool.solve({ lp: problem.lp, seconds: SOLVE_S }, w.signal)).values);
  };
  const told = async (as: Chosen, count: number) => {
    const other = await withHands(count);
    const money = beds.reduce((s, b) => s + other[b.bed.id]!.loss - as[b.bed.id]!.loss, 0);
    const bedIds = beds
      .map((b) => b.bed.id)
      .filter((id) => as[id]!.key !== other[id]!.key || as[id]!.lateAtMs !== other[id]!.lateAtMs);
    return { money, bedIds };
  };
  try {
    const as = await withHands(hands);
    const [fewer, more] = await Promise.all([hands > 1 ? told(as, hands - 1) : null, told(as, hands + 1)]);
    return { fewer, more: more.money <= -WORTH ? more : null };
  } catch (e) {
    // what the grower asked for may be more than is in stock: then there is no second best to tell
    if (w.signal.aborted) throw e;
    return none;
  }
}

/**
 * Sets what each bed bears, by the kept solver, within the stock and the hands. Throws where no choice is found in its time.
 * @example await choose([], { inputs: await anInputs() }) // undefined
 */
export async function choose(beds: readonly PlannedBed[], w: Work): Promise<void> {
  if (beds.length === 0) return;
  const { data } = w.inputs;
  const { choices, stock } = chosenFrom(beds, w);
  const hands = { count: data.farm.hands, busyMin: closing(w) };
  let problem = coverProblem(choices, stock, data.farm.hourlyRate, hands);
  let values: Record<string, number>;
  try {
    ({ values } = await w.pool.solve({ lp: problem.lp, seconds: SOLVE_S }, w.signal));
  } catch (e) {
    // only where the grower's own wishes may be what cannot be met
    if (w.signal.aborted || !beds.some((b) => b.fixed !== null)) throw e;
    // the grower asked for more than is in stock or can be done: their beds as close as the stock allows
    const free = beds.map((b): BedChoice => ({
      bedId: b.bed.id,
      options: b.options.map((o) => ({
        key: o.key,
        loss: o.key === b.fixed ? 0 : b.loss[o.key]!,
        minutes: b.minutes[o.key]!,
        laterMinutes: b.laterMinutes[o.key]!,
        pieces: o.pieces,
      })),
    }));
    problem = coverProblem(free, stock, data.farm.hourlyRate);
    ({ values } = await w.pool.solve({ lp: problem.lp, seconds: SOLVE_S }, w.signal));
  }
  const chosen = problem.read(values);
  for (const b of beds) {
    const { key, lateAtMs } = chosen[b.bed.id]!;
    b.chosen = key;
    b.lateAtMs = lateAtMs ?? null;
  }
}
