/**
 * Which farm this is. Contract: `farmIdOf(db)` is the same for ever and in every backup, drawn at the first start; `newFarmId`
 * gives a copy another one; `ownFarmOnly` refuses what was meant for another farm, before anything of it is read.
 */
import { said } from '@fogata/core';
import type { NextFunction, Request, Response } from 'express';
import { randomUUID } from 'node:crypto';
import type { Db } from '../db/open';
import { meta } from '../db/schema';
import { Problem } from '../problem';
import { readMeta, writeMeta } from './store';

const KEY = 'farmId';

export async function farmIdOf(db: Db): Promise<string> {
  // of two servers that start at once on one database the first to write it has it
  await db.insert(meta).values({ key: KEY, value: randomUUID() }).onConflictDoNothing();
  return (await readMeta(db, KEY))!;
}

export async function newFarmId(db: Db): Promise<string> {
  const id = randomUUID();
  await writeMeta(db, KEY, id);
  return id;
}

/** A phone says for which farm it writes; at the same address another may answer today (the demo, a rehearsal, a new directory). */
export const ownFarmOnly = (id: string) => (req: Request, _res: Response, next: NextFunction) => {
  const meant = req.get('x-fogata-farm');
  if (meant !== undefined && meant !== id && req.method !== 'GET' && req.method !== 'HEAD')
    throw new Problem(421, said('refuse.anotherFarm'));
  next();
};
