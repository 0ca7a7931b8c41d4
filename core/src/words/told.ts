/** The words put in: see `said.ts`. What has no sentence in it comes back as the very thing that it was. */
import { en } from '@fogata/words/en/told';
import { isSaid, type Said, type Told, type Value } from './said';
import { telling, type Style, type Telling } from './telling';

type Words = Readonly<Record<string, (values: object, tell: Telling) => string>>;

function valueOf(v: Value, tell: Telling): unknown {
  if (Array.isArray(v)) return v.map((x: Value) => valueOf(x, tell));
  return isSaid(v) ? sentence(v, tell) : v;
}

/** One sentence in words. Its id is one there is: `said` takes no other, and a view is checked as it comes in. */
function sentence(s: Said, tell: Telling): string {
  const values: Record<string, unknown> = {};
  for (const [k, v] of Object.entries(s.values ?? {})) values[k] = valueOf(v, tell);
  return (en as unknown as Words)[s.say]!(values, tell);
}

function walk(x: unknown, tell: Telling): unknown {
  if (typeof x !== 'object' || x === null || ArrayBuffer.isView(x)) return x;
  if (isSaid(x)) return sentence(x, tell);
  if (Array.isArray(x)) {
    // a list of figures has no sentence in it
    if (typeof x[0] === 'number') return x;
    const all: unknown[] = x.map((e) => walk(e, tell));
    return all.some((e, i) => e !== x[i]) ? all : x;
  }
  if (x instanceof Map || x instanceof Set || x instanceof Date) return x;
  let changed = false;
  const out: Record<string, unknown> = {};
  for (const [k, v] of Object.entries(x)) {
    out[k] = walk(v, tell);
    changed ||= out[k] !== v;
  }
  return changed ? out : x;
}

/**
 * @example told({ verdict: { say: 'verdict.safe' } }, { hours: 24, timeZone: 'UTC', units: { temperature: 'C', length: 'm' }, currency: '€' }) // { verdict: 'safe' }
 */
export const told = <T>(x: T, style: Style): Told<T> => walk(x, telling(style)) as Told<T>;
