/** HiGHS, a kept solver of linear and integer programmes, for the choice of covers: in a thread of the pool, loaded once in each. */
import { solveProgramme, type LpSolver, type Solved, type SolveTask } from '@fogata/core/planning';

let loading: Promise<LpSolver> | null = null;

/** `seconds` is the longest it may take: a good answer found by then is taken where the best is not proven; none is an error. */
export async function solveLp(task: SolveTask): Promise<Solved> {
  loading ??= import('highs').then((m) => (m.default as unknown as () => Promise<LpSolver>)());
  return solveProgramme(await loading, task);
}
