/** HiGHS, a kept solver of linear and integer programmes, for the choice of covers: in a thread of the pool, loaded once in each. */
type Highs = {
  solve: (
    lp: string,
    options?: { time_limit: number },
  ) => { Status: string; Columns: Record<string, { Primal?: number }> };
};
let loading: Promise<Highs> | null = null;

/** `seconds` is the longest it may take: a good answer found by then is taken where the best is not proven; none is an error. */
export async function solveLp(lp: string, seconds: number): Promise<Record<string, number>> {
  loading ??= import('highs').then((m) => (m.default as unknown as () => Promise<Highs>)());
  const highs = await loading;
  const solution = highs.solve(lp, { time_limit: seconds });
  if (!['Optimal', 'Time limit reached'].includes(solution.Status))
    throw new Error(`the solver found no plan: ${solution.Status}`);
  return Object.fromEntries(Object.entries(solution.Columns).map(([name, c]) => [name, c.Primal ?? 0]));
}
