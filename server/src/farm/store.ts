/** Reads and writes of the farm: everything the planner needs in one load, records appended once, plans changed in place. */
import { farmSchema, NO_GEAR, NO_NURSERY, NO_RELAY, USUAL_MESSAGES, type Farm } from '@fogata/contract';
import {
  addDays,
  localDate,
  NEW_FARM,
  withOwn,
  type Cultivar,
  type FarmFacts,
  type PastLow,
  type Style,
} from '@fogata/core';
import { eq, gte, sql } from 'drizzle-orm';
import { fault } from '../fault';
import type { Db } from '../db/open';
import { beds, covers, farm, meta, nightLows, nights, structures, type NightPrediction } from '../db/schema';
import { loadRecord } from '../season/record';
import { standingFor, type StoredRecord } from './log';
import { learntCold, readCultivars } from './seeds';
import { asBed, asCover, readPlantings, readStructures } from './rows';

export type { StoredRecord } from './log';

export interface FarmData extends FarmFacts {
  farm: Farm;
  /** What stands and counts now, oldest first, up to now by the farm's clock: see `standingFor`. */
  records: readonly StoredRecord[];
  /** With figures of their own; none where nothing of the farm's log is loaded or there are none. */
  cultivars?: readonly Cultivar[];
  /** Kilograms cut of each planting, over all of its time. */
  harvestedKg: ReadonlyMap<string, number>;
}

export const DEFAULT_FARM: Farm = {
  name: NEW_FARM,
  latitude: 45,
  longitude: 0,
  elevationM: 100,
  timeZone: 'UTC',
  units: { temperature: 'C', length: 'm', clock: 24 },
  currency: '€',
  hourlyRate: 15,
  hands: 1,
  theme: 'clock',
  schools: { aim: 'crop', uncover: 'thaw', touch: 'both', wet: 'dry', swings: 'let' },
  wind: 'open',
  coldAir: 'level',
  windFromDeg: null,
  frost: { lastSpring: null, firstAutumn: null, eitherWayDays: 14, from: 'typed' },
  climate: null,
  climateRecord: null,
  gear: NO_GEAR,
  rolls: [],
  relay: NO_RELAY,
  messages: USUAL_MESSAGES,
  drip: null,
  away: [],
  holdBack: [],
  nursery: NO_NURSERY,
  counters: [],
};

/**
 * Settings as they were kept. What was kept before a setting existed takes its default; one that cannot be read takes the
 * default too, so that one wrong value never stops the farm: it is seen and can be set again.
 */
export function mended(settings: unknown): Farm {
  const read = farmSchema.safeParse(settings);
  if (read.success) return read.data;
  const kept = (typeof settings === 'object' && settings !== null ? settings : {}) as Record<string, unknown>;
  const wrong = new Set(
    read.error.issues.flatMap((i) => (i.path[0] === undefined ? [] : [String(i.path[0])])),
  );
  fault('settings', wrong.size > 0 ? [...wrong].join(', ') : typeof settings);
  const good = Object.fromEntries(Object.entries(kept).filter(([k]) => !wrong.has(k)));
  return farmSchema.parse({ ...DEFAULT_FARM, ...good });
}

/** How a farm's figures are written. */
export const styleOf = (farm: Farm): Style => ({
  units: farm.units,
  currency: farm.currency,
  hours: farm.units.clock,
  timeZone: farm.timeZone,
});

export async function readFarm(db: Db): Promise<Farm> {
  const rows = await db.select().from(farm).where(eq(farm.id, 'farm'));
  return rows[0] ? mended(rows[0].settings) : DEFAULT_FARM;
}

export async function writeFarm(db: Db, settings: Farm): Promise<void> {
  await db
    .insert(farm)
    .values({ id: 'farm', settings })
    .onConflictDoUpdate({ target: farm.id, set: { settings } });
}

/** The farm as it stands; without its log where only that is asked for. */
export async function loadFarm(db: Db, nowAtMs: number, withLog = true, by: Db = db): Promise<FarmData> {
  // one after the other: within a transaction there is one connection
  const settings = await readFarm(db);
  await loadRecord(db, settings.climateRecord);
  const s = await readStructures(db);
  const b = await db.select().from(beds).orderBy(beds.order, beds.name);
  const p = await readPlantings(db);
  const own = await readCultivars(db);
  const c = await db.select().from(covers).orderBy(covers.order, covers.name);
  const ids = p.map((x) => x.id);
  const standing = withLog
    ? await standingFor(db, nowAtMs, ids, by)
    : { records: [], harvestedKg: new Map<string, number>() };
  return {
    farm: settings,
    structures: s,
    beds: b.map(asBed),
    plantings: withOwn(p, own, await learntCold(db, p, own, nowAtMs, settings.timeZone)),
    cultivars: own,
    covers: c.map(asCover),
    ...standing,
    ...(withLog ? { pastLows: await readLows(db, localDate(nowAtMs, settings.timeZone)) } : {}),
  };
}

export async function saveNight(
  db: Db,
  night: string,
  issuedAtMs: number,
  data: NightPrediction,
): Promise<void> {
  await db
    .insert(nights)
    .values({ night, issuedAtMs, data })
    .onConflictDoUpdate({ target: nights.night, set: { issuedAtMs, data } });
}

/** A winter and a spring: what stood through more is not asked about. */
const LOWS_DAYS = 250;

export async function saveLows(
  db: Db,
  night: string,
  lows: ReadonlyMap<string, { leafC: number; highC: number | null }>,
): Promise<void> {
  for (const [bedId, of] of lows)
    await db
      .insert(nightLows)
      .values({ bedId, night, ...of })
      .onConflictDoUpdate({ target: [nightLows.bedId, nightLows.night], set: of });
}

async function readLows(db: Db, today: string): Promise<Map<string, PastLow[]>> {
  const rows = await db
    .select()
    .from(nightLows)
    .where(gte(nightLows.night, addDays(today, -LOWS_DAYS)))
    .orderBy(nightLows.night);
  const out = new Map<string, PastLow[]>();
  for (const { bedId, night, leafC, highC } of rows)
    out.set(bedId, [...(out.get(bedId) ?? []), { night, leafC, ...(highC === null ? {} : { highC }) }]);
  return out;
}

export async function findNight(db: Db, night: string) {
  return (await db.select().from(nights).where(eq(nights.night, night)))[0] ?? null;
}

export async function readMeta(db: Db, key: string): Promise<string | null> {
  return (await db.select().from(meta).where(eq(meta.key, key)))[0]?.value ?? null;
}

export async function writeMeta(db: Db, key: string, value: string): Promise<void> {
  await db.insert(meta).values({ key, value }).onConflictDoUpdate({ target: meta.key, set: { value } });
}

/** True where nothing has been set up yet. */
export async function isEmpty(db: Db): Promise<boolean> {
  const rows = await db.select({ n: sql<number>`count(*)::int` }).from(structures);
  return (rows[0]?.n ?? 0) === 0;
}
