/**
 * A farm's gaps filled, whole. Contract: `fillGaps` tells a first answer as soon as it has one and a better one as it finds it, and gives in the
 * end plantings within every limit, their money beside that of a simple rule and of a bound that no plan is over; stopped, what it
 * has by then.
 */
import { candidates, ground, type FillAsk } from './fill';
import { plantingsOf, type Proposal } from './fillPlan';
import { fillProblem } from './fillProblem';
import { greedy, longestWaiting } from './fillSimple';
import { solveSparse, type SolveOptions, type SparseSolver } from './solve';

export interface Filled {
  proposals: Proposal[];
  /** Money that the plan adds, less its work; that of the rule of the longest waiting crop; and what none is over. */
  money: number;
  simpleMoney: number;
  boundMoney: number;
  /** How far the plan can be from the best, a share of the bound. */
  gap: number;
  candidates: number;
  /** Seconds until the first answer, and in all. */
  firstSeconds: number;
  seconds: number;
}

export interface FillOptions extends Pick<SolveOptions, 'seconds' | 'gap' | 'stopped' | 'nowAtMs'> {
  onProgress?: (p: { money: number; boundMoney: number | null; plantings: number | null }) => void;
  /** A first answer, for who waits. */
  onFirst?: (proposals: Proposal[]) => void;
}

/**
 * Gaps of a year filled within so many seconds: what goes where, what that is worth, and what no plan is over.
 * @example fillGaps(anAsk([aBedOf('a')], ['radish'], 30), await aSolver(), { seconds: 5, gap: 0.02, nowAtMs: () => 0 }).proposals.map((p) => p.crop) // ['radish', 'radish', 'radish']
 */
export function fillGaps(ask: FillAsk, solver: SparseSolver, o: FillOptions): Filled {
  const began = o.nowAtMs();
  const since = () => (o.nowAtMs() - began) / 1000;
  const classes = ground(ask);
  const list = candidates(ask, classes);
  const p = fillProblem(ask, classes, list);
  const simple = longestWaiting(ask, classes, list, p);
  const first = greedy(ask, list, p);
  const start = simple.money > first.money ? simple : first;
  const firstSeconds = since();
  o.onProgress?.({ money: start.money, boundMoney: null, plantings: null });
  o.onFirst?.(plantingsOf(ask, classes, list, p, start.rows));
  const none = { rows: start.rows, value: start.money + p.before, bound: Infinity };
  const found =
    list.length === 0 || o.stopped?.()
      ? none
      : solveSparse(solver, p.problem, {
          seconds: Math.max(0.5, o.seconds - firstSeconds),
          gap: o.gap,
          start: { rows: start.rows, value: start.money + p.before },
          mend: (whole) => {
            const { rows, money } = greedy(ask, list, p, whole);
            return { rows, value: money + p.before };
          },
          nowAtMs: o.nowAtMs,
          ...(o.stopped ? { stopped: o.stopped } : {}),
          onProgress: (value, bound) =>
            o.onProgress?.({
              money: value - p.before,
              boundMoney: Math.abs(bound) < 1e20 ? bound - p.before : null,
              plantings: null,
            }),
        });
  const better = found.value - p.before >= start.money - 1e-6 ? found.rows : start.rows;
  const money = Math.max(found.value - p.before, start.money);
  const boundMoney = list.length === 0 ? 0 : Math.max(money, found.bound - p.before);
  return {
    proposals: plantingsOf(ask, classes, list, p, better),
    money,
    simpleMoney: simple.money,
    boundMoney,
    gap: boundMoney <= 0 ? 0 : (boundMoney - money) / boundMoney,
    candidates: list.length,
    firstSeconds,
    seconds: since(),
  };
}
