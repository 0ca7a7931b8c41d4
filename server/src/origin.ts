/**
 * Who sent a request, and from which device. Contract: `takeOrigin` reads it from the headers for all that the request sets
 * going; `currentOrigin` says it, nobody where there is no request. What cannot be read counts as nobody, never as an error.
 */
import { originSchema, type Origin } from '@fogata/contract';
import type { NextFunction, Request, Response } from 'express';
import { AsyncLocalStorage } from 'node:async_hooks';

const NOBODY: Origin = { actor: '', device: '' };
const held = new AsyncLocalStorage<Origin>();

function decoded(header: string | undefined): string {
  try {
    return decodeURIComponent(header ?? '');
  } catch {
    return '';
  }
}

export function takeOrigin(req: Request, _res: Response, next: NextFunction): void {
  const read = originSchema.safeParse({
    actor: decoded(req.get('x-fogata-who')),
    device: decoded(req.get('x-fogata-device')),
  });
  held.run(read.success ? read.data : NOBODY, next);
}

export const currentOrigin = (): Origin => held.getStore() ?? NOBODY;
