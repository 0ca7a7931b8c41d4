/**
 * What stands on the farm, changed. Contract: `changeThing` writes it and the record of it in the caller's transaction and
 * gives the record's id; `takeBack` undoes the records that are taken back, by turning round what each changed on what stands
 * now.
 */
import { said } from '@fogata/core';
import {
  bedSchema,
  coverSchema,
  cultivarSchema,
  farmSchema,
  namedNow,
  plantingSchema,
  seedLotSchema,
  structureSchema,
  type BroughtAs,
  type CHANGED,
  type Farm,
  type FarmRecord,
} from '@fogata/contract';
import type { Bed, Cover, Cultivar, Planting, SeedLot, Structure } from '@fogata/core';
import { eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import type { Db } from '../db/open';
import { beds, covers, cultivars, plantings, seedLots, structures } from '../db/schema';
import { parseBody, Problem } from '../problem';
import { appendRecords, recordsByIds } from './log';
import {
  asBed,
  asCover,
  asPlanting,
  asStructure,
  bedRow,
  coverRow,
  openingRows,
  plantingRow,
  readPlantings,
  readStructures,
  stepRows,
  structureRow,
  writeBed,
  writeCover,
  writePlanting,
  writeStructure,
} from './rows';
import { readCultivars, readLots, writeCultivar, writeLot } from './seeds';
import { readFarm, writeFarm } from './store';

export type What = (typeof CHANGED)[number] | 'planting';
export interface Things {
  structure: Structure;
  bed: Bed;
  cover: Cover;
  farm: Farm;
  planting: Planting;
  cultivar: Cultivar;
  lot: SeedLot;
}
type Fields = Record<string, unknown>;

/** The one row of the settings. */
export const FARM_ID = 'farm';

interface Room<T> {
  find(db: Db, id: string): Promise<T | null>;
  save(db: Db, thing: T): Promise<void>;
  remove(db: Db, id: string): Promise<void>;
  check(fields: Fields): T;
  /** As it will be read: what says nothing is left out. */
  settled(thing: T): T;
}

const ROOMS: { [W in What]: Room<Things[W]> } = {
  structure: {
    find: async (db, id) => (await readStructures(db, eq(structures.id, id)))[0] ?? null,
    save: writeStructure,
    remove: async (db, id) => {
      const inside = await db.select({ name: beds.name }).from(beds).where(eq(beds.structureId, id));
      if (inside.length > 0)
        throw new Problem(409, said('refuse.holdsBeds', { inside: inside.map((b) => b.name).join(', ') }));
      await db.delete(structures).where(eq(structures.id, id));
    },
    check: (f) => parseBody(structureSchema, namedNow(f)),
    settled: (x) => asStructure(structureRow(x), openingRows(x)),
  },
  bed: {
    find: async (db, id) => {
      const [row] = await db.select().from(beds).where(eq(beds.id, id));
      return row ? asBed(row) : null;
    },
    save: writeBed,
    remove: async (db, id) => {
      const used = await db.select({ id: plantings.id }).from(plantings).where(eq(plantings.bedId, id));
      if (used.length > 0) throw new Problem(409, said('refuse.hasStory'));
      await db.delete(beds).where(eq(beds.id, id));
    },
    check: (f) => parseBody(bedSchema, f),
    settled: (x) => asBed(bedRow(x)),
  },
  cover: {
    find: async (db, id) => {
      const [row] = await db.select().from(covers).where(eq(covers.id, id));
      return row ? asCover(row) : null;
    },
    save: writeCover,
    remove: async (db, id) => {
      await db.delete(covers).where(eq(covers.id, id));
    },
    check: (f) => parseBody(coverSchema, f),
    settled: (x) => asCover(coverRow(x)),
  },
  farm: {
    find: (db) => readFarm(db),
    save: (db, x) => writeFarm(db, x),
    remove: () => Promise.resolve(),
    check: (f) => parseBody(farmSchema, f),
    settled: (x) => x,
  },
  planting: {
    find: async (db, id) => (await readPlantings(db, eq(plantings.id, id)))[0] ?? null,
    save: writePlanting,
    remove: async (db, id) => {
      await db.delete(plantings).where(eq(plantings.id, id));
    },
    check: (f) => parseBody(plantingSchema, f),
    settled: (x) => asPlanting(plantingRow(x), stepRows(x)),
  },
  cultivar: {
    find: async (db, id) => (await readCultivars(db, eq(cultivars.id, id)))[0] ?? null,
    save: writeCultivar,
    remove: async (db, id) => {
      await db.delete(cultivars).where(eq(cultivars.id, id));
    },
    check: (f) => parseBody(cultivarSchema, f),
    settled: (x) => x,
  },
  lot: {
    find: async (db, id) => (await readLots(db, eq(seedLots.id, id)))[0] ?? null,
    save: writeLot,
    remove: async (db, id) => {
      await db.delete(seedLots).where(eq(seedLots.id, id));
    },
    check: (f) => parseBody(seedLotSchema, f),
    settled: (x) => x,
  },
};

const plain = (x: unknown) => (x === null ? null : (JSON.parse(JSON.stringify(x)) as Fields));

export interface At {
  nowAtMs: number;
  /** When it happened, who did it and the id it has, where a device says so. */
  atMs?: number;
  id?: string;
  by?: string;
}

/** Writes a thing, or with null removes it, and keeps the record of that; null where nothing is changed by it. */
export async function changeThing<W extends What>(
  db: Db,
  what: W,
  id: string,
  given: Things[W] | null,
  at: At,
  action?: 'added' | 'changed' | 'cleared',
): Promise<string | null> {
  const room = ROOMS[what];
  const after = given === null ? null : room.settled(given);
  const before = await room.find(db, id);
  if (isDeepStrictEqual(plain(before), plain(after))) return null;
  if (after === null) await room.remove(db, id);
  else await room.save(db, after);
  const base = { id: at.id ?? randomUUID(), atMs: at.atMs ?? at.nowAtMs, ...(at.by ? { by: at.by } : {}) };
  const record: FarmRecord =
    what === 'planting'
      ? {
          ...base,
          kind: 'planting',
          plantingId: id,
          action: action ?? (before ? 'changed' : 'added'),
          before: plain(before),
          after: plain(after) ?? {},
        }
      : {
          ...base,
          kind: 'change',
          what: what as (typeof CHANGED)[number],
          targetId: id,
          before: plain(before),
          after: plain(after),
        };
  await appendRecords(db, [record], Date.now(), at.nowAtMs);
  return base.id;
}

export interface Change {
  what: What;
  targetId: string;
  before: Fields | null;
  after: Fields | null;
}
const turned = (c: Change): Change => ({ ...c, before: c.after, after: c.before });

/** What comes and changes from the outside in, then what goes from the inside out: nothing ever hangs on what is gone. */
const OUTSIDE_IN: readonly What[] = ['farm', 'structure', 'bed', 'planting', 'cover', 'cultivar', 'lot'];
function inOrder(changes: readonly Change[]): Change[] {
  const rank = (c: Change) => OUTSIDE_IN.indexOf(c.what) * (c.after === null ? -1 : 1);
  const goes = (c: Change) => Number(c.after === null);
  return [...changes].sort((a, b) => goes(a) - goes(b) || rank(a) - rank(b));
}

/** Many things at once, as one entry of the log that can be taken back as one; its id, or null where nothing is changed. */
/** What was brought, by what it is or by its own name. */
export interface Brought {
  as?: BroughtAs;
  name?: string;
}

export async function bringThings(
  db: Db,
  { as, name = '' }: Brought,
  changes: readonly Change[],
  at: At,
): Promise<string | null> {
  if (changes.length === 0) return null;
  const done = inOrder(changes);
  for (const c of done) {
    const room = ROOMS[c.what] as unknown as Room<object>;
    if (c.after === null) await room.remove(db, c.targetId);
    else await room.save(db, room.check(c.after));
  }
  const record: FarmRecord = {
    id: randomUUID(),
    atMs: at.nowAtMs,
    kind: 'brought',
    name,
    ...(as ? { as } : {}),
    changes: done,
  };
  await appendRecords(db, [record], Date.now(), at.nowAtMs);
  return record.id;
}

/** From one state of a thing to another, on what stands now: only the fields that differ between the two are touched. */
async function turn(db: Db, what: What, id: string, from: Fields | null, to: Fields | null): Promise<void> {
  const room = ROOMS[what] as unknown as Room<object>;
  if (to === null) return room.remove(db, id);
  const now = plain(await room.find(db, id));
  const next: Fields = { ...(now ?? to) };
  if (now && from)
    for (const key of new Set([...Object.keys(from), ...Object.keys(to)])) {
      if (isDeepStrictEqual(from[key], to[key])) continue;
      if (to[key] === undefined) delete next[key];
      else next[key] = to[key];
    }
  await room.save(db, room.check(next));
}

/** What taking these back changes on the farm: the inverse of a change; of a taking back, the change once more. */
export async function takeBack(db: Db, list: readonly FarmRecord[]): Promise<void> {
  for (const r of list) {
    if (r.kind !== 'retraction') continue;
    let target = (await recordsByIds(db, [r.retracts]))[0]?.record;
    let back = true;
    while (target?.kind === 'retraction') {
      target = (await recordsByIds(db, [target.retracts]))[0]?.record;
      back = !back;
    }
    if (target?.kind === 'planting') {
      const after = Object.keys(target.after).length === 0 ? null : target.after;
      await (back
        ? turn(db, 'planting', target.plantingId, after, target.before)
        : turn(db, 'planting', target.plantingId, target.before, after));
    }
    if (target?.kind === 'brought')
      for (const c of inOrder(back ? target.changes.map(turned) : target.changes))
        await turn(db, c.what, c.targetId, c.before, c.after);
    if (target?.kind === 'change')
      await (back
        ? turn(db, target.what, target.targetId, target.after, target.before)
        : turn(db, target.what, target.targetId, target.before, target.after));
  }
}
