/**
 * A programme in the LP format, solved by a kept solver. Contract: `solveProgramme` gives the values and by what share of its cost they may be off the best; throws
 * where nothing is found in its time. The programme's yes-or-noes stand under `Binary`, last before `End`.
 *
 * Of many yes-or-noes most are out of the question: by the same programme in parts each costs at least its reduced cost more than the best. Solved with the few that
 * cost least, the answer shows which of the others could still do better, and where none could, it is the best of all (reduced-cost fixing; Nemhauser and Wolsey 1988).
 */

export interface SolveTask {
  lp: string;
  seconds: number;
  /** An answer this share of its cost off the best will do; none unless said. */
  within?: number;
}

export interface Solved {
  values: Record<string, number>;
  /** By this share of its cost it may be off the best. */
  gap: number;
}

/** What a kept solver of such programmes does. */
export interface LpSolver {
  solve(lp: string, options?: { time_limit?: number; mip_rel_gap?: number }): LpSolution;
}
export interface LpSolution {
  Status: string;
  ObjectiveValue: number;
  Columns: Record<string, { Primal?: number; Dual?: number }>;
}

/** So few are solved as they stand. */
const FEW = 200;
/** Those within so much of the best's cost are looked at first. */
const NEAR = 0.0002;
const BINARY = '\nBinary\n';
/** Under this it is rounding. */
const ROUNDING = 1e-4;

/** Of what nothing is said there is none. */
const valuesOf = (s: LpSolution): Record<string, number> =>
  Object.fromEntries(
    Object.entries(s.Columns).flatMap(([name, { Primal = 0 }]) => (Primal === 0 ? [] : [[name, Primal]])),
  );
const isFound = (s: LpSolution) => s.Status === 'Optimal' || s.Status === 'Time limit reached';

/**
 * The values of a programme's best answer, or of one as near to it as was asked.
 * @example solveProgramme({ solve: () => ({ Status: 'Optimal', ObjectiveValue: 1, Columns: { x: { Primal: 1 } } }) }, { lp: 'Minimize\n c: x\nSubject To\n r: x = 1\nBinary\n x\nEnd\n', seconds: 1 }) // { values: { x: 1 }, gap: 0 }
 */
export function solveProgramme(solver: LpSolver, { lp, seconds, within = 0 }: SolveTask): Solved {
  const until = performance.now() + seconds * 1000;
  const solve = (text: string) =>
    solver.solve(text, {
      time_limit: Math.max(0.5, (until - performance.now()) / 1000),
      ...(within > 0 ? { mip_rel_gap: within / 4 } : {}),
    });
  const at = lp.indexOf(BINARY);
  // without any it is what it is
  const names =
    at < 0
      ? []
      : lp
          .slice(at + BINARY.length, lp.lastIndexOf('End'))
          .trim()
          .split(/\s+/);
  const body = lp.slice(0, at);
  const relaxed = () => solve(`${body}\nBounds\n ${names.map((n) => `${n} <= 1`).join('\n ')}\nEnd\n`);
  const failed = (s: LpSolution) => new Error(`the solver found no plan: ${s.Status}`);

  if (names.length < FEW) {
    const found = solve(lp);
    if (!isFound(found)) throw failed(found);
    return {
      values: valuesOf(found),
      gap: found.Status === 'Optimal' ? 0 : at < 0 ? 1 : share(found, relaxed()),
    };
  }
  const parts = relaxed();
  if (parts.Status !== 'Optimal') throw failed(parts);
  const bound = parts.ObjectiveValue;
  const dual = (name: string) => parts.Columns[name]!.Dual ?? 0;
  // where not all has to be proven, fewer will do
  let near = Math.max(ROUNDING, (within > 0 ? within / 100 : NEAR) * Math.abs(bound));
  for (;;) {
    const out = names.filter((n) => dual(n) > near);
    const left = names.filter((n) => dual(n) <= near);
    const text = leaveOut(body, new Set(out));
    if (text === null) {
      near *= 20;
      continue;
    }
    const found = solve(`${text}\nBinary\n ${left.join('\n ')}\nEnd\n`);
    const off = found.ObjectiveValue - bound;
    if (found.Status === 'Optimal') {
      if (off <= within * Math.abs(bound)) return { values: valuesOf(found), gap: share(found, parts) };
      // what is left out would cost more than this: then it is the best of all
      if (out.length === 0 || off <= near + ROUNDING)
        return { values: valuesOf(found), gap: within > 0 ? share(found, parts) : 0 };
      near = off;
    } else if (found.Status === 'Time limit reached' && hasAnswer(found, left)) {
      return { values: valuesOf(found), gap: share(found, parts) };
    } else if (out.length === 0 || performance.now() > until) {
      throw failed(found);
    } else near *= 20;
  }
}

/** A term with its sign and how often it counts, and the name in it; not the name of a row. */
const TERM = / ?[+-]?(?: [\d.]+(?:e[+-]?\d+)?)? ([A-Za-z_]\w*)(?![\w:])/g;
/** A row of which everything is left out. */
const EMPTY = /^\s*\w+: *(<=|>=|=) *(\S+)$/;
function holdsEmpty(sign: string, than: number): boolean {
  if (sign === '=') return than === 0;
  return sign === '<=' ? than >= 0 : than <= 0;
}

/**
 * A programme's text without some of its yes-or-noes, one row a line: shorter is sooner read. Null where a row cannot be met without them.
 * @example leaveOut('Minimize\n obj: x + 2 y\nSubject To\n a: x + y <= 1\n b: 3 y <= 2', new Set(['y'])) // 'Minimize\n obj: x\nSubject To\n a: x <= 1'
 */
export function leaveOut(body: string, names: ReadonlySet<string>): string | null {
  if (names.size === 0) return body;
  const rows = body.replace(TERM, (term, name: string) => (names.has(name) ? '' : term)).split('\n');
  const kept: string[] = [];
  for (const row of rows) {
    const [, sign, than] = EMPTY.exec(row) ?? [];
    if (sign === undefined) kept.push(row);
    else if (!holdsEmpty(sign, Number(than))) return null;
  }
  return kept.join('\n');
}

const hasAnswer = (s: LpSolution, names: readonly string[]) =>
  names.some((n) => (s.Columns[n]?.Primal ?? 0) > 0.5);

const share = (found: LpSolution, parts: LpSolution): number =>
  Math.max(0, found.ObjectiveValue - parts.ObjectiveValue) / Math.max(1, Math.abs(found.ObjectiveValue));
