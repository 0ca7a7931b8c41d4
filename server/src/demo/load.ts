/** Loads the demo farm into an empty database, whole or not at all. */
import type { Db } from '../db/open';
import { beds, covers, farm, meta, plantings, records, structures } from '../db/schema';
import { isEmpty } from '../farm/store';
import {
  DEMO_BEDS,
  DEMO_COVERS,
  DEMO_FARM,
  DEMO_PLANTINGS,
  DEMO_START_MS,
  DEMO_STRUCTURES,
  demoRecords,
} from './seed';

export async function loadDemo(db: Db): Promise<boolean> {
  if (!(await isEmpty(db))) return false;
  await db.transaction(async (tx) => {
    await tx.insert(farm).values({ id: 'farm', settings: DEMO_FARM });
    await tx.insert(structures).values(DEMO_STRUCTURES);
    await tx.insert(beds).values(DEMO_BEDS);
    await tx.insert(plantings).values(DEMO_PLANTINGS);
    await tx.insert(covers).values(DEMO_COVERS);
    await tx.insert(records).values(
      demoRecords().map((record) => ({
        id: record.id,
        kind: record.kind,
        atMs: record.atMs,
        recordedMs: record.atMs,
        data: record,
      })),
    );
    await tx
      .insert(meta)
      .values({ key: 'clockMs', value: String(DEMO_START_MS) })
      .onConflictDoNothing();
  });
  return true;
}
