/**
 * What core and server say: a sentence by its id, with its values. Contract: `said(id, values)` makes one, checked against the words
 * there are, without loading them; `told(x, tell)` puts the words of `en/` in for every one in a view; `Told<T>` is what that is.
 * Values are plain JSON: a sentence can be kept, sent and told later in other units.
 */
import type { En } from '@fogata/words/en/told';

export type MessageId = keyof En;
type ValuesOf<I extends MessageId> = Parameters<En[I]>[0];

export type Value = string | number | boolean | null | Said | readonly Value[];

/** A sentence that is not in words yet. */
export interface Said {
  readonly say: MessageId;
  readonly values?: Readonly<Record<string, Value>>;
}

/** Where words want text, another sentence does as well. */
type Given<V> = {
  [K in keyof V]: V[K] extends string
    ? V[K] | Said
    : V[K] extends readonly string[]
      ? readonly (V[K][number] | Said)[]
      : V[K];
};

/** @example said('verdict.safe') // { say: 'verdict.safe' } */
export function said<I extends MessageId>(
  say: I,
  ...[values]: [ValuesOf<I>] extends [undefined] ? [] : [Given<NonNullable<ValuesOf<I>>>]
): Said {
  return values === undefined ? { say } : { say, values: values as Readonly<Record<string, Value>> };
}

/** A view with its sentences in words. */
export type Told<T> = T extends Said
  ? string
  : T extends (...args: never[]) => unknown
    ? T
    : T extends readonly [unknown, ...unknown[]]
      ? { [K in keyof T]: Told<T[K]> }
      : T extends readonly (infer E)[]
        ? Told<E>[]
        : T extends object
          ? { [K in keyof T]: Told<T[K]> }
          : T;

/** @example isSaid({ say: 'verdict.safe' }) // true */
export const isSaid = (x: unknown): x is Said =>
  typeof x === 'object' && x !== null && 'say' in x && typeof x.say === 'string';
