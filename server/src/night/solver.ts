/** HiGHS, a kept solver of linear and integer programmes, for the choice of covers. Loaded once. */
type Highs = { solve: (lp: string) => { Status: string; Columns: Record<string, { Primal?: number }> } };
let loading: Promise<Highs> | null = null;

export async function solveLp(lp: string): Promise<Record<string, number>> {
  loading ??= import('highs').then((m) => (m.default as unknown as () => Promise<Highs>)());
  const highs = await loading;
  const solution = highs.solve(lp);
  if (solution.Status !== 'Optimal') throw new Error(`the solver found no plan: ${solution.Status}`);
  return Object.fromEntries(Object.entries(solution.Columns).map(([name, c]) => [name, c.Primal ?? 0]));
}
