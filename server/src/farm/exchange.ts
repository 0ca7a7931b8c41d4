/**
 * The farm out and in. Contract: `wholeFarm` gives the file; `compare` says what taking one would change; `replaceFarm`
 * takes it, all or nothing. The log only ever grows.
 */
import { FARM_FORMAT, type ExchangeView, type FarmFile } from '@fogata/contract';
import { asc } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import { chunks } from '../chunks';
import type { Db } from '../db/open';
import { beds, covers, farm as farmTable, plantings, records, structures } from '../db/schema';
import { appendRecords } from './log';
import { bedRow, coverRow, loadFarm, structureRow } from './store';

/** Everything, without fields that are not set. */
export async function wholeFarm(db: Db, nowMs: number): Promise<FarmFile> {
  const data = await loadFarm(db, nowMs);
  const log = await db.select({ data: records.data }).from(records).orderBy(asc(records.seq));
  const plain = <T>(x: T): T => JSON.parse(JSON.stringify(x)) as T;
  return plain({
    format: FARM_FORMAT,
    farm: data.farm,
    structures: data.structures,
    beds: data.beds,
    plantings: data.plantings,
    covers: data.covers,
    records: log.map((r) => r.data),
  } as FarmFile);
}

type Parts = Pick<FarmFile, 'structures' | 'beds' | 'plantings' | 'covers'>;
const nameOf = (x: { id: string }) => ('name' in x ? String(x.name) : 'crop' in x ? String(x.crop) : x.id);

/** By name what comes, changes and goes. */
export function compare(now: FarmFile, next: Parts & Partial<FarmFile>): ExchangeView {
  const view: ExchangeView = { taken: false, added: [], changed: [], removed: [], same: 0, records: 0 };
  for (const kind of ['structures', 'beds', 'plantings', 'covers'] as const) {
    const was = new Map((now[kind] as { id: string }[]).map((x) => [x.id, x]));
    for (const x of next[kind] as { id: string }[]) {
      const old = was.get(x.id);
      if (!old) view.added.push(nameOf(x));
      else if (isDeepStrictEqual(old, JSON.parse(JSON.stringify(x)))) view.same += 1;
      else view.changed.push(nameOf(x));
      was.delete(x.id);
    }
    view.removed.push(...[...was.values()].map(nameOf));
  }
  if (next.farm && !isDeepStrictEqual(now.farm, next.farm)) view.changed.push('the farm’s settings');
  const known = new Set(now.records.map((r) => r.id));
  view.records = (next.records ?? []).filter((r) => !known.has(r.id)).length;
  return view;
}

/** Replaces what stands on the farm, in one transaction. */
export async function replaceFarm(
  db: Db,
  next: Parts & Partial<Pick<FarmFile, 'farm' | 'records'>>,
  nowMs: number,
): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.delete(plantings);
    await tx.delete(beds);
    await tx.delete(structures);
    await tx.delete(covers);
    if (next.farm)
      await tx
        .insert(farmTable)
        .values({ id: 'farm', settings: next.farm })
        .onConflictDoUpdate({ target: farmTable.id, set: { settings: next.farm } });
    for (const part of chunks(next.structures)) await tx.insert(structures).values(part.map(structureRow));
    for (const part of chunks(next.beds)) await tx.insert(beds).values(part.map(bedRow));
    for (const part of chunks(next.plantings)) await tx.insert(plantings).values(part);
    for (const part of chunks(next.covers)) await tx.insert(covers).values(part.map(coverRow));
    for (const part of chunks(next.records ?? []))
      await appendRecords(tx as unknown as Db, part, nowMs, nowMs);
  });
}
