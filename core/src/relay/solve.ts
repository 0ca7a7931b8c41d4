/**
 * The programme put to a kept solver. Contract: `solveSparse` hands it over as arrays with a first answer to begin from, tells how far it is, and
 * stops where it is asked to, when the gap is small enough or the time is out; what it has by then is the answer, with the bound
 * that no plan can be over. The solver comes from the caller: it is loaded by whoever runs it.
 */
import type { SparseProblem } from './fillProblem';

/** What is used of the solver (highs, its persistent interface). */
export interface SparseSolver {
  infinity: number;
  constants: { callbackType: { mipInterrupt: number; mipImprovingSolution: number } };
  createModel(data: unknown): {
    options: { set(options: Record<string, unknown>): void };
    setSolution(s: { colValue: Float64Array }): void;
    run(callbacks?: Record<number, (event: SolverEvent) => void>): unknown;
    getSolution(): { colValue: Float64Array; colDual?: Float64Array };
    info: { get(name: string): number | bigint };
    dispose(): void;
  };
}
interface SolverEvent {
  data: { mip_primal_bound?: number; mip_dual_bound?: number; mip_gap?: number };
  interrupt(): void;
}

export interface Whole {
  rows: Float64Array;
  /** Of the programme. */
  value: number;
}

export interface Found extends Whole {
  /** What no plan is over. */
  bound: number;
}

export interface SolveOptions {
  seconds: number;
  /** Small enough: the bound over the value, as a share. */
  gap: number;
  /** A first answer. */
  start: Whole;
  /** Makes a plan of whole rows, downwards from one with parts of them. */
  mend: (whole: Float64Array) => Whole;
  onProgress?: (value: number, bound: number) => void;
  stopped?: () => boolean;
  nowAtMs: () => number;
}

function modelOf(solver: SparseSolver, p: SparseProblem, whole: boolean, upper: Float64Array) {
  const columns = p.cost.length;
  return solver.createModel({
    numCols: columns,
    numRows: p.most.length,
    sense: -1,
    colCost: p.cost,
    colLower: new Float64Array(columns),
    colUpper: upper.map((u) => (u === Infinity ? solver.infinity : u)),
    rowLower: new Float64Array(p.most.length).fill(-solver.infinity),
    rowUpper: p.most,
    matrix: {
      format: 'csr',
      numRows: p.most.length,
      numCols: columns,
      starts: p.starts,
      indices: p.columns,
      values: p.values,
    },
    ...(whole ? { integrality: Int32Array.from(p.cost, (_, i) => (i < p.integers ? 1 : 0)) } : {}),
  });
}

/** With parts of rows allowed: what no plan is over, and what a row more of each that is not in it would lose. */
function relaxed(solver: SparseSolver, p: SparseProblem, seconds: number) {
  const model = modelOf(solver, p, false, p.upper);
  try {
    model.options.set({ output_flag: false, time_limit: seconds });
    model.run();
    const { colValue, colDual } = model.getSolution();
    const bound = Number(model.info.get('objective_function_value'));
    const solved = Number(model.info.get('primal_solution_status')) === 2;
    return solved && colDual ? { colValue, colDual, bound } : null;
  } finally {
    model.dispose();
  }
}

/** So many candidates more than the programme with parts of rows takes are looked at first. */
const FIRST_LOOK = 900;

/** Upper bounds with all left out but what the programme with parts takes, and what it nearly takes. */
function narrowed(p: SparseProblem, x: Float64Array, dual: Float64Array): Float64Array {
  const idle = Array.from({ length: p.integers }, (_, i) => i).filter((i) => x[i]! < 1e-9);
  idle.sort((a, b) => Math.abs(dual[a]!) - Math.abs(dual[b]!));
  const upper = Float64Array.from(p.upper);
  for (const i of idle.slice(FIRST_LOOK)) upper[i] = 0;
  return upper;
}

/**
 * First with parts of rows: that bounds everything, and rounded down and mended it may be good enough. Then whole rows of what that
 * programme takes or nearly takes, a small programme against the same bound; and if that is not enough, all of it.
 * @example (await (async () => { const ask = anAsk([aBedOf('a')], ['radish'], 30); const list = candidates(ask, ground(ask)); const p = fillProblem(ask, ground(ask), list); const start = { rows: new Float64Array(list.length), value: 0 }; return solveSparse(await aSolver(), p.problem, { seconds: 5, gap: 0.02, start, mend: () => start, nowAtMs: () => 0 }).value > 0; })()) // true
 */
export function solveSparse(solver: SparseSolver, p: SparseProblem, o: SolveOptions): Found {
  const began = o.nowAtMs();
  const left = () => o.seconds - (o.nowAtMs() - began) / 1000;
  const parts = relaxed(solver, p, Math.max(0.5, left()));
  let best = o.start;
  if (!parts) return { ...best, bound: Infinity };
  let { bound } = parts;
  const better = (other: Whole) => {
    if (other.value > best.value) best = other;
    o.onProgress?.(best.value, bound);
  };
  const done = () => bound - best.value <= o.gap * Math.abs(bound) + 1e-9 || left() < 0.5 || !!o.stopped?.();
  better(o.mend(Float64Array.from(parts.colValue.subarray(0, p.integers), (x) => Math.floor(x + 1e-6))));
  /** Whole rows within `upper`; of all of them, what the solver proves bounds the answer too. */
  const look = (upper: Float64Array, all: boolean) => {
    const model = modelOf(solver, p, true, upper);
    try {
      model.options.set({ output_flag: false, time_limit: left(), mip_rel_gap: all ? o.gap : o.gap / 4 });
      model.setSolution({ colValue: soldAsWell(p, best.rows) });
      model.run({
        [solver.constants.callbackType.mipInterrupt]: (event) => {
          const { mip_primal_bound: value, mip_dual_bound: proven } = event.data;
          if (value !== undefined && Math.abs(value) < 1e20) {
            const known =
              all && proven !== undefined && Math.abs(proven) < 1e20 ? Math.min(proven, bound) : bound;
            o.onProgress?.(Math.max(value, best.value), known);
            if (known - value <= o.gap * Math.abs(known)) event.interrupt();
          }
          if (o.stopped?.()) event.interrupt();
        },
      });
      const { colValue } = model.getSolution();
      const proven = Number(model.info.get('mip_dual_bound'));
      if (all && Math.abs(proven) < 1e20) bound = Math.min(bound, proven);
      better({
        rows: Float64Array.from(colValue.subarray(0, p.integers), (x) => Math.round(x)),
        value: p.cost.reduce((sum, c, i) => sum + c * colValue[i]!, 0),
      });
    } finally {
      model.dispose();
    }
  };
  if (!done()) look(narrowed(p, parts.colValue, parts.colDual), false);
  if (!done()) look(p.upper, true);
  return { ...best, bound: Math.max(bound, best.value) };
}

/** Sales that go with whole columns: each as much as its rows allow, the dearest first. */
function soldAsWell(p: SparseProblem, whole: Float64Array): Float64Array {
  const x = new Float64Array(p.cost.length);
  x.set(whole.subarray(0, p.integers));
  const left = Float64Array.from(p.most);
  const of = new Map<number, { row: number; value: number }[]>();
  for (let r = 0; r < p.most.length; r++)
    for (let k = p.starts[r]!; k < p.starts[r + 1]!; k++) {
      const c = p.columns[k]!;
      if (c < p.integers) left[r]! -= p.values[k]! * x[c]!;
      else of.set(c, [...(of.get(c) ?? []), { row: r, value: p.values[k]! }]);
    }
  const dearest = [...of.keys()].sort((a, b) => p.cost[b]! - p.cost[a]!);
  for (const c of dearest) {
    const rows = of.get(c)!;
    const most = Math.min(p.upper[c]!, ...rows.map(({ row, value }) => left[row]! / value));
    if (most <= 0) continue;
    x[c] = most;
    for (const { row, value } of rows) left[row]! -= value * most;
  }
  return x;
}
