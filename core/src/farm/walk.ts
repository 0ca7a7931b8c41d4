/**
 * In which order one walks a farm. Contract: `walkOf` gives the structures from the first by their order, each time to the nearest that is left: short,
 * the same every day, and nobody has to be told it. Middles are `layoutOf`'s.
 */
import { layoutOf } from './layout';
import type { Structure } from './types';

/**
 * Example: of A at 0 m, B at 30 m and C at 10 m it gives A, C, B.
 * @example walkOf([aStructure({ id: 'a' })]).map((s) => s.id) // ['a']
 */
export function walkOf(structures: readonly Structure[]): Structure[] {
  const at = layoutOf(structures);
  const left = [...structures].sort((a, b) => a.order - b.order || a.id.localeCompare(b.id));
  const out: Structure[] = [];
  while (left.length > 0) {
    const here = out.at(-1);
    const from = here && at.get(here.id)!;
    const far = (s: Structure) => {
      const to = at.get(s.id)!;
      return from ? Math.hypot(to.xM - from.xM, to.yM - from.yM) : 0;
    };
    let next = 0;
    left.forEach((s, i) => {
      if (far(s) < far(left[next]!) - 1e-9) next = i;
    });
    out.push(...left.splice(next, 1));
  }
  return out;
}
