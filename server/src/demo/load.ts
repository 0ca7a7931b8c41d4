/** Loads the demo farm into an empty database, whole or not at all. */
import { localDate } from '@fogata/core';
import type { Db } from '../db/open';
import { writing } from '../db/write';
import { farm, meta } from '../db/schema';
import { appendRecords } from '../farm/log';
import { writeBed, writeCover, writePlanting, writeStructure } from '../farm/rows';
import { saveHardness, writeCultivar, writeLot } from '../farm/seeds';
import { isEmpty, saveLows } from '../farm/store';
import { demoReadings } from './readings';
import {
  DEMO_BEDS,
  DEMO_COVERS,
  DEMO_CULTIVARS,
  DEMO_FARM,
  DEMO_LOTS,
  DEMO_PLANTINGS,
  DEMO_START_MS,
  DEMO_STRUCTURES,
  demoRecords,
  LAST_YEAR,
  lastYearRecords,
  SCORED,
} from './seed';

export async function loadDemo(db: Db): Promise<boolean> {
  if (!(await isEmpty(db))) return false;
  const events = demoRecords();
  const readings = await demoReadings(
    {
      farm: DEMO_FARM,
      structures: DEMO_STRUCTURES,
      beds: DEMO_BEDS,
      plantings: DEMO_PLANTINGS,
      covers: DEMO_COVERS,
    },
    events,
    localDate(DEMO_START_MS, DEMO_FARM.timeZone),
    8,
  );
  const all = [...lastYearRecords(), ...events, ...readings].sort((a, b) => a.atMs - b.atMs);
  return writing(db, async (tx) => {
    // another server may have been quicker
    if (!(await isEmpty(tx))) return false;
    await tx.insert(farm).values({ id: 'farm', settings: DEMO_FARM });
    for (const s of DEMO_STRUCTURES) await writeStructure(tx, s);
    for (const b of DEMO_BEDS) await writeBed(tx, b);
    for (const p of [...LAST_YEAR, ...DEMO_PLANTINGS]) await writePlanting(tx, p);
    for (const c of DEMO_CULTIVARS) await writeCultivar(tx, c);
    for (const l of DEMO_LOTS) await writeLot(tx, l);
    for (const s of SCORED) {
      await saveLows(tx, s.night, new Map([[s.bedId, { leafC: s.leafC, highC: null }]]));
      await saveHardness(tx, s.night, [[s.plantingId, s.hardening]]);
    }
    for (const c of DEMO_COVERS) await writeCover(tx, c);
    for (const record of all) await appendRecords(tx, [record], record.atMs, DEMO_START_MS);
    await tx
      .insert(meta)
      .values({ key: 'clockMs', value: String(DEMO_START_MS) })
      .onConflictDoNothing();
    return true;
  });
}
