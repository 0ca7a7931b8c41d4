/** Errors at the border: one problem shape (RFC 9457), with the field and a sentence that a grower understands. */
import { said, type Said } from '@fogata/core';
import type { ProblemBody } from '@fogata/contract';
import { firstProblem, fieldName } from '@fogata/contract';
import { en, PLAIN, told } from '@fogata/core/words';
import type { NextFunction, Request, Response } from 'express';
import type { ZodType } from 'zod';
import { wholeFault } from './fault';

/** What is refused is told in SI units, as the fields are called that it names. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    detail: Said,
    readonly field?: string,
  ) {
    super(told(detail, PLAIN));
  }
}

/** What the API has by id. */
export type Thing = Parameters<(typeof en)['refuse.noSuch']>[0]['what'];

export const notFound = (what: Thing) => new Problem(404, said('refuse.noSuch', { what }));

/** A NUL, or half of a letter that takes two. */
const unkept = (text: string) => text.includes('\0') || /\p{Surrogate}/u.test(text);

/** The path of a text that no database keeps (a NUL, half of a letter), or null. */
function unkeepable(value: unknown, path: string, depth: number): string | null {
  if (typeof value === 'string') return unkept(value) ? path || 'text' : null;
  if (typeof value !== 'object' || value === null || depth > 12) return null;
  for (const [k, v] of Object.entries(value)) {
    const at = Array.isArray(value) ? `${path}[${k}]` : path === '' ? k : `${path}.${k}`;
    if (unkept(k)) return path || 'text';
    const bad = unkeepable(v, at, depth + 1);
    if (bad !== null) return bad;
  }
  return null;
}

/** The body as the schema says, or a problem that names the field. */
export function parseBody<T>(schema: ZodType<T>, body: unknown): T {
  const bad = unkeepable(body, '', 0);
  if (bad !== null) throw new Problem(422, said('refuse.letters', { bad }), bad);
  const result = schema.safeParse(body, { reportInput: true });
  if (result.success) return result.data;
  const field = fieldName(result.error.issues[0]!.path);
  throw new Problem(422, firstProblem(result.error, 'body'), field === '' ? undefined : field);
}

const TITLED = [400, 401, 403, 404, 409, 413, 415, 421, 422, 429, 500] as const;
/** A status that is none of ours is called by its hundred. */
const titled = (status: number) => TITLED.find((s) => s === status) ?? (status >= 500 ? 500 : 400);

export function sendProblem(error: unknown, _req: Request, res: Response, _next: NextFunction): void {
  const known = error instanceof Problem ? error : fromExpress(error);
  if (known.status >= 500) wholeFault('asked', error);
  const body: ProblemBody = {
    type: 'about:blank',
    title: en[`title.${titled(known.status)}`](),
    status: known.status,
    detail: known.message,
    ...(known.field === undefined ? {} : { field: known.field }),
  };
  res.status(known.status).type('application/problem+json').send(JSON.stringify(body));
}

/** Faults of the request that its libraries find; what is left is ours, and says that nothing is lost. */
function fromExpress(error: unknown): Problem {
  const e = error as {
    type?: string;
    status?: number;
    code?: string;
    message?: string;
    cause?: { code?: string };
  };
  if (e.type === 'entity.parse.failed') return new Problem(400, said('refuse.notJson'));
  if (e.type === 'entity.too.large') return new Problem(413, said('refuse.tooLarge'));
  if (e.type === 'charset.unsupported' || e.type === 'encoding.unsupported')
    return new Problem(415, said('refuse.contentType'), 'content-type');
  if (error instanceof URIError) return new Problem(400, said('refuse.address'));
  // what PostgreSQL cannot hold: a NUL or half a letter, a number out of range
  const code = e.code ?? e.cause?.code;
  if (code === '22021' || code === '22P05' || code === '22P02' || code === '22003')
    return new Problem(422, said('refuse.text'), 'text');
  // a server was asked to remove or point at what others hold
  if (code === '23503') return new Problem(409, said('refuse.pointedAt'));
  if (typeof e.status === 'number' && e.status >= 400 && e.status < 500)
    return new Problem(e.status, said('refuse.unreadable'));
  return new Problem(500, said('refuse.broken'));
}
