/**
 * The farm out and in. Contract: `wholeFarm` gives the file; `compare` says what taking one would change; `replaceFarm`
 * takes it, all or nothing, as one entry of the log that can be taken back. Log and weather only ever grow.
 */
import { said } from '@fogata/core';
import { FARM_FORMAT, type ExchangeView, type FarmFile } from '@fogata/contract';
import { asc } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import { chunks } from '../chunks';
import type { Db } from '../db/open';
import { forecasts, nights, observations, records, temperatures } from '../db/schema';
import { writing } from '../db/write';
import { weatherChanged } from '../sources/kept';
import { appendRecords } from './log';
import { readCultivars, readLots } from './seeds';
import { loadFarm } from './store';
import { bringThings, FARM_ID, type Brought, type Change } from './things';

const plain = <T>(x: T): T => JSON.parse(JSON.stringify(x)) as T;

/** What stands, without its log and weather: all that maps and tables ask for. */
export async function standingFarm(db: Db, nowAtMs: number): Promise<FarmFile> {
  const { farm, structures, beds, plantings: standing, covers } = await loadFarm(db, nowAtMs, false);
  // what its cultivar has is the cultivar's to say
  const plantings = standing.map(({ own: _own, ...p }) => p);
  const cultivars = await readCultivars(db);
  const seedLots = await readLots(db);
  return plain({
    format: FARM_FORMAT,
    farm,
    structures,
    beds,
    plantings,
    covers,
    cultivars,
    seedLots,
    records: [],
  }) as FarmFile;
}

/** Everything, without fields that are not set. */
export async function wholeFarm(db: Db, nowAtMs: number): Promise<FarmFile> {
  const stands = await standingFarm(db, nowAtMs);
  const log = await db
    .select({ data: records.data, recordedAtMs: records.recordedAtMs })
    .from(records)
    .orderBy(asc(records.seq));
  const issued = await db.select().from(forecasts).orderBy(asc(forecasts.importedAtMs), asc(forecasts.id));
  return plain({
    ...stands,
    records: log.map((r) => r.data),
    arrivedAtMs: log.map((r) => r.recordedAtMs),
    weather: {
      forecasts: issued.map(({ typed, ...f }) => (typed === null ? f : { ...f, typed })),
      observations: await db.select().from(observations).orderBy(asc(observations.atMs)),
      temperatures: await db
        .select()
        .from(temperatures)
        .orderBy(asc(temperatures.spot), asc(temperatures.atMs)),
      evenings: await db.select().from(nights).orderBy(asc(nights.night)),
    },
  }) as unknown as FarmFile;
}

type Parts = Pick<FarmFile, 'structures' | 'beds' | 'plantings' | 'covers' | 'cultivars' | 'seedLots'>;
const KINDS = {
  structures: 'structure',
  beds: 'bed',
  plantings: 'planting',
  covers: 'cover',
  cultivars: 'cultivar',
  seedLots: 'lot',
} as const;
const nameOf = (x: object) =>
  'name' in x && x.name !== ''
    ? String(x.name)
    : 'crop' in x
      ? [String(x.crop), 'cultivar' in x ? String(x.cultivar) : ''].filter(Boolean).join(' ')
      : said('exchange.nameless');

/** One by one what comes, changes and goes. */
function changesOf(now: FarmFile, next: Parts & Partial<FarmFile>): { changes: Change[]; same: number } {
  const changes: Change[] = [];
  let same = 0;
  for (const kind of Object.keys(KINDS) as (keyof typeof KINDS)[]) {
    // a file of before seeds were kept says nothing of them
    if (!next[kind]) continue;
    const was = new Map(((now[kind] ?? []) as { id: string }[]).map((x) => [x.id, x]));
    for (const x of next[kind] as { id: string }[]) {
      const before = was.get(x.id) ?? null;
      const after = plain(x);
      if (isDeepStrictEqual(before, after)) same += 1;
      else changes.push({ what: KINDS[kind], targetId: x.id, before, after } as unknown as Change);
      was.delete(x.id);
    }
    for (const x of was.values())
      changes.push({ what: KINDS[kind], targetId: x.id, before: x, after: null } as unknown as Change);
  }
  if (next.farm && !isDeepStrictEqual(now.farm, next.farm))
    changes.push({ what: 'farm', targetId: FARM_ID, before: now.farm, after: plain(next.farm) });
  return { changes, same };
}

/** Rows of weather that a file has and the farm has not. */
function newWeather(now: FarmFile, next: Partial<FarmFile>) {
  const [w, is] = [next.weather, now.weather];
  const fresh = <T>(
    list: readonly T[] | undefined,
    held: readonly T[] | undefined,
    key: (x: T) => string,
  ) => {
    const known = new Set((held ?? []).map(key));
    return (list ?? []).filter((x) => !known.has(key(x)));
  };
  return {
    forecasts: fresh(w?.forecasts, is?.forecasts, (f) => f.id),
    observations: fresh(w?.observations, is?.observations, (o) => String(o.atMs)),
    temperatures: fresh(w?.temperatures, is?.temperatures, (t) => `${t.spot} ${t.atMs}`),
    evenings: fresh(w?.evenings, is?.evenings, (e) => e.night),
  };
}

/** By name what comes, changes and goes. */
export function compare(now: FarmFile, next: Parts & Partial<FarmFile>): ExchangeView {
  const { changes, same } = changesOf(now, next);
  const named = (of: (c: Change) => boolean) =>
    changes
      .filter(of)
      .map((c) => (c.what === 'farm' ? said('exchange.settings') : nameOf(c.after ?? c.before ?? {})));
  const known = new Set(now.records.map((r) => r.id));
  const weather = newWeather(now, next);
  return {
    taken: false,
    added: named((c) => c.before === null),
    changed: named((c) => c.before !== null && c.after !== null),
    removed: named((c) => c.after === null),
    same,
    records: (next.records ?? []).filter((r) => !known.has(r.id)).length,
    weather: Object.values(weather).reduce((n, list) => n + list.length, 0),
    recordId: null,
  };
}

/** Makes the farm what a file says, in one transaction; the id of the log's entry of it, null where no thing changed. */
export async function replaceFarm(
  db: Db,
  now: FarmFile,
  next: Parts & Partial<FarmFile>,
  what: Brought,
  nowAtMs: number,
): Promise<string | null> {
  return writing(db, async (t) => {
    // by the arrival that the file says where it says one, in its order
    const arrived = new Map((next.records ?? []).map((r, i) => [r.id, next.arrivedAtMs?.[i] ?? nowAtMs]));
    for (const part of runsOf(next.records ?? [], (r) => arrived.get(r.id)!))
      await appendRecords(t, part, Math.min(nowAtMs, arrived.get(part[0]!.id)!), nowAtMs);
    const weather = newWeather(now, next);
    for (const part of chunks(weather.forecasts)) await t.insert(forecasts).values(part);
    for (const part of chunks(weather.observations)) await t.insert(observations).values(part);
    for (const part of chunks(weather.temperatures)) await t.insert(temperatures).values(part);
    for (const part of chunks(weather.evenings)) await t.insert(nights).values(part);
    if (Object.values(weather).some((list) => list.length > 0)) await weatherChanged(t);
    return bringThings(t, what, changesOf(now, next).changes, { nowAtMs });
  });
}

/** In order, cut where what `of` gives changes, and never longer than a chunk. */
function runsOf<T>(list: readonly T[], of: (x: T) => number): T[][] {
  const runs: T[][] = [];
  for (const x of list) {
    const last = runs.at(-1);
    if (last && last.length < 1000 && of(last[0]!) === of(x)) last.push(x);
    else runs.push([x]);
  }
  return runs;
}
