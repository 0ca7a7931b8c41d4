/**
 * The API's endpoints and how they are called. Contract: an endpoint says its method, its address with `:names` for what goes into
 * it, and what it answers; `call` writes the address; `readAnswer` gives an answer as it was promised, or throws `Strange`.
 */
import { en } from '@fogata/core/words';
import type { z } from 'zod';

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

export interface Endpoint<A, P extends string = string> {
  readonly method: Method;
  readonly path: P;
  readonly answer: z.ZodType<A>;
}

/** What an address leaves open: `/api/places/:bedId` asks for a `bedId`. */
type Names<P extends string> = P extends `${infer A}/${infer B}`
  ? Names<A> | Names<B>
  : P extends `:${infer N}`
    ? N
    : never;

/** An endpoint with its address written out. */
export interface Call<A> {
  readonly method: Method;
  readonly address: string;
  readonly answer: z.ZodType<A>;
}

/** An answer that is not what this call promises: the page and the server are of different versions. */
export class Strange extends Error {
  constructor(
    readonly address: string,
    readonly where: string,
  ) {
    super(en['problem.strange']({ where }));
  }
}

const endpoint =
  <M extends Method>(method: M) =>
  <A, P extends string>(path: P, answer: z.ZodType<A>): Endpoint<A, P> => ({ method, path, answer });

export const get = endpoint('GET');
export const post = endpoint('POST');
export const put = endpoint('PUT');
export const patch = endpoint('PATCH');
export const del = endpoint('DELETE');

export type Query = Record<string, string | number | boolean | undefined>;

/** Example: `call(api.place, { bedId: 'n5' }).address` is `/api/places/n5`. What of the query is undefined is left out. */
export function call<A, P extends string>(
  c: Endpoint<A, P>,
  ...[names, query]: [Names<P>] extends [never]
    ? [names?: Record<string, never>, query?: Query]
    : [names: Record<Names<P>, string>, query?: Query]
): Call<A> {
  const filled = c.path.replace(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent((names as Record<string, string>)[name]!),
  );
  const said = Object.entries(query ?? {})
    .filter(([, v]) => v !== undefined)
    .map(([k, v]) => `${k}=${encodeURIComponent(v!)}`);
  return {
    method: c.method,
    address: said.length > 0 ? `${filled}?${said.join('&')}` : filled,
    answer: c.answer,
  };
}

/** The answer as it was promised. Throws `Strange`, which says where it is not. */
export function readAnswer<A>(asked: Call<A>, json: unknown): A {
  const read = asked.answer.safeParse(json);
  if (read.success) return read.data;
  const issue = read.error.issues[0]!;
  throw new Strange(asked.address, issue.path.length > 0 ? issue.path.join('.') : '/');
}
