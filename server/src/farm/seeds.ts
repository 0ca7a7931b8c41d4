/**
 * Cultivars and seed lots as rows, and what scores have taught of each cultivar. Contract: `readCultivars`, `writeCultivar`, `readLots`,
 * `writeLot` with the rows of their child tables; `learntCold` gives a belief for each crop and cultivar that was scored after a night
 * of which the leaf's lowest and the planting's hardness were kept.
 */
import type { FarmRecord } from '@fogata/contract';
import {
  addDays,
  coldBelief,
  cropById,
  localDate,
  REST_ERROR_K,
  seedKey,
  typedFigures,
  withFigures,
  type ColdBelief,
  type Crop,
  type Cultivar,
  type Planting,
  type ScoredNight,
  type SeedLot,
} from '@fogata/core';
import { and, asc, eq, inArray, lte, type SQL } from 'drizzle-orm';
import type { Db } from '../db/open';
import { cultivarFigures, cultivars, nightHardness, nightLows, records, seedLots } from '../db/schema';

type LotRow = typeof seedLots.$inferSelect;

export async function readCultivars(db: Db, where?: SQL): Promise<Cultivar[]> {
  const rows = await db
    .select()
    .from(cultivars)
    .where(where)
    .orderBy(asc(cultivars.crop), asc(cultivars.name));
  if (rows.length === 0) return [];
  const ids = rows.map((r) => r.id);
  const figures = await db
    .select()
    .from(cultivarFigures)
    .where(inArray(cultivarFigures.cultivarId, ids))
    .orderBy(asc(cultivarFigures.figure));
  return rows.map((r) => ({
    ...r,
    figures: Object.fromEntries(
      figures.filter((f) => f.cultivarId === r.id).map((f) => [f.figure, f.value] as const),
    ),
  }));
}

export async function writeCultivar(db: Db, { figures, ...row }: Cultivar): Promise<void> {
  const { id, ...set } = row;
  await db.insert(cultivars).values(row).onConflictDoUpdate({ target: cultivars.id, set });
  await db.delete(cultivarFigures).where(eq(cultivarFigures.cultivarId, id));
  const rows = Object.entries(figures).map(([figure, value]) => ({ cultivarId: id, figure, value }));
  if (rows.length > 0) await db.insert(cultivarFigures).values(rows);
}

export const asLot = ({ testedShare, testedOn, ...row }: LotRow): SeedLot => ({
  ...row,
  tested: testedShare !== null && testedOn !== null ? { share: testedShare, on: testedOn } : null,
});

export async function readLots(db: Db, where?: SQL): Promise<SeedLot[]> {
  const rows = await db.select().from(seedLots).where(where).orderBy(asc(seedLots.crop), asc(seedLots.year));
  return rows.map(asLot);
}

export async function writeLot(db: Db, { tested, ...lot }: SeedLot): Promise<void> {
  const row = { ...lot, testedShare: tested?.share ?? null, testedOn: tested?.on ?? null };
  const { id: _id, ...set } = row;
  await db.insert(seedLots).values(row).onConflictDoUpdate({ target: seedLots.id, set });
}

export interface Scored extends ScoredNight {
  recordId: string;
  night: string;
  plantingId: string;
}

/** A score is of the night that ended on its day, or of the one before that. */
const NIGHTS_BACK = [1, 2];

/** Scored nights by crop and cultivar. */
export async function scoredNights(
  db: Db,
  plantings: readonly Planting[],
  nowAtMs: number,
  zone: string,
): Promise<Map<string, Scored[]>> {
  const rows = await db
    .select({ data: records.data, subject: records.subject })
    .from(records)
    .where(and(eq(records.void, false), eq(records.kind, 'harm'), lte(records.atMs, nowAtMs)))
    .orderBy(asc(records.atMs));
  const out = new Map<string, Scored[]>();
  if (rows.length === 0) return out;
  const ids = [...new Set(rows.map((r) => r.subject!))];
  const hard = new Map(
    (await db.select().from(nightHardness).where(inArray(nightHardness.plantingId, ids))).map(
      (h) => [`${h.plantingId} ${h.night}`, h.hardening] as const,
    ),
  );
  const scored = plantings.filter((p) => ids.includes(p.id));
  const beds = [...new Set(scored.map((p) => p.bedId))];
  const lows = new Map(
    (beds.length === 0 ? [] : await db.select().from(nightLows).where(inArray(nightLows.bedId, beds))).map(
      (l) => [`${l.bedId} ${l.night}`, l.leafC] as const,
    ),
  );
  for (const { data } of rows) {
    const r = data as Extract<FarmRecord, { kind: 'harm' }>;
    const p = scored.find((x) => x.id === r.plantingId);
    if (!p) continue;
    const seen = NIGHTS_BACK.map((n) => addDays(localDate(r.atMs, zone), -n)).flatMap((night) => {
      const leafC = lows.get(`${p.bedId} ${night}`);
      const hardening = hard.get(`${p.id} ${night}`);
      return leafC === undefined || hardening === undefined ? [] : [{ night, leafC, hardening }];
    });
    // the colder of the two is what was seen
    const worst = seen.sort((a, b) => a.leafC - b.leafC)[0];
    if (!worst) continue;
    const key = seedKey(p);
    out.set(key, [
      ...(out.get(key) ?? []),
      { ...worst, recordId: r.id, plantingId: p.id, sdK: REST_ERROR_K, score: r.score },
    ]);
  }
  return out;
}

/** What a crop's scored nights teach, once for the same nights: every request asks. */
const beliefs = new Map<string, ColdBelief | null>();
const KEPT_BELIEFS = 500;

function beliefOf(crop: Crop, nights: readonly ScoredNight[]): ColdBelief | null {
  const key = JSON.stringify([crop, nights]);
  const found = beliefs.get(key);
  if (found !== undefined) return found;
  if (beliefs.size >= KEPT_BELIEFS) beliefs.clear();
  const fresh = coldBelief(crop, nights);
  beliefs.set(key, fresh);
  return fresh;
}

export async function learntCold(
  db: Db,
  plantings: readonly Planting[],
  own: readonly Cultivar[],
  nowAtMs: number,
  zone: string,
): Promise<Map<string, ColdBelief>> {
  const out = new Map<string, ColdBelief>();
  for (const [key, nights] of await scoredNights(db, plantings, nowAtMs, zone)) {
    const p = plantings.find((x) => seedKey(x) === key)!;
    const crop = withFigures(cropById(p.crop), typedFigures(own, p) ?? undefined);
    const belief = beliefOf(crop, nights);
    if (belief) out.set(key, belief);
  }
  return out;
}

/** How hard each planting was in the night that just ended, kept with its lowest leaf. */
export async function saveHardness(
  db: Db,
  night: string,
  rows: readonly (readonly [plantingId: string, hardening: number])[],
): Promise<void> {
  for (const [plantingId, hardening] of rows)
    await db
      .insert(nightHardness)
      .values({ plantingId, night, hardening })
      .onConflictDoUpdate({ target: [nightHardness.plantingId, nightHardness.night], set: { hardening } });
}
