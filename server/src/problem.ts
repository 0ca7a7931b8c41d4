/** Errors at the border: one problem shape (RFC 9457), with the field and a sentence that a grower understands. */
import type { ProblemBody } from '@fogata/contract';
import { firstProblem, fieldName } from '@fogata/contract';
import type { NextFunction, Request, Response } from 'express';
import type { ZodType } from 'zod';

export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly field?: string,
  ) {
    super(detail);
  }
}

export const notFound = (what: string) => new Problem(404, 'Not found', `There is no such ${what}.`);

/** The body as the schema says, or a problem that names the field. */
export function parseBody<T>(schema: ZodType<T>, body: unknown): T {
  const result = schema.safeParse(body, { reportInput: true });
  if (result.success) return result.data;
  const field = fieldName(result.error.issues[0]!.path);
  throw new Problem(422, 'Not accepted', firstProblem(result.error), field === '' ? undefined : field);
}

export function sendProblem(error: unknown, _req: Request, res: Response, _next: NextFunction): void {
  const known = error instanceof Problem ? error : fromExpress(error);
  if (known.status >= 500)
    process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
  const body: ProblemBody = {
    type: 'about:blank',
    title: known.title,
    status: known.status,
    detail: known.message,
    ...(known.field === undefined ? {} : { field: known.field }),
  };
  res.status(known.status).type('application/problem+json').send(JSON.stringify(body));
}

function fromExpress(error: unknown): Problem {
  const e = error as { type?: string; status?: number };
  if (e.type === 'entity.parse.failed') return new Problem(400, 'Not JSON', 'The request is not valid JSON.');
  if (e.type === 'entity.too.large') return new Problem(413, 'Too large', 'The file is larger than 8 MB.');
  return new Problem(
    500,
    'Something broke',
    'Fogata could not do that. What you entered has not been lost; try again.',
  );
}
