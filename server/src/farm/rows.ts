/**
 * The farm's things as rows, and back. Contract: `asX(xRow(thing), …)` is the thing, with what was null or an empty list left out;
 * `settled(what, thing)` is just that, so that a thing that says nothing new is no change. `write…`, `read…` are with the rows of
 * their child tables; `olderRow` reads a row of a backup from before fields had columns of their own.
 */
import { namedNow } from '@fogata/contract';
import type { Bed, Cover, Opening, Planting, StepId, Structure } from '@fogata/core';
import { asc, eq, type SQL } from 'drizzle-orm';
import type { Db } from '../db/open';
import { beds, covers, plantings, plantingSteps, structureOpenings, structures } from '../db/schema';

type StructureRow = typeof structures.$inferSelect;
type OpeningRow = typeof structureOpenings.$inferSelect;
type BedRow = typeof beds.$inferSelect;
type PlantingRow = typeof plantings.$inferSelect;
type StepRow = typeof plantingSteps.$inferSelect;
type CoverRow = typeof covers.$inferSelect;

/** What is said of a row: without its nulls. */
type Plain<T> = { [K in keyof T as null extends T[K] ? never : K]: T[K] } & {
  [K in keyof T as null extends T[K] ? K : never]?: Exclude<T[K], null>;
};
const said = <T extends object>(row: T) =>
  Object.fromEntries(Object.entries(row).filter(([, v]) => v !== null && v !== undefined)) as Plain<T>;

/** A group of columns that are there together or not at all. */
const group = <K extends string, V>(name: K, there: unknown, value: () => V): { [P in K]?: V } =>
  (there === null ? {} : { [name]: value() }) as { [P in K]?: V };

export function structureRow(s: Structure): StructureRow {
  const { at, snug, heat, openings: _openings, ...flat } = s;
  return {
    ...flat,
    form: s.form ?? null,
    atXM: at?.xM ?? null,
    atYM: at?.yM ?? null,
    turnDeg: at?.turnDeg ?? null,
    coveredYear: s.coveredYear ?? null,
    snugEnds: snug?.ends ?? null,
    snugEdges: snug?.edges ?? null,
    snugSkin: snug?.skin ?? null,
    footing: s.footing ?? null,
    shade: s.shade ?? null,
    heatKind: heat?.kind ?? null,
    heatWm2: heat?.wm2 ?? null,
    waterLitres: s.waterLitres ?? null,
    snowRatingKgM2: s.snowRatingKgM2 ?? null,
    windRatingMps: s.windRatingMps ?? null,
  };
}

export const openingRows = (s: Structure): OpeningRow[] =>
  (s.openings ?? []).map((o, n) => ({
    structureId: s.id,
    n,
    name: o.name,
    kind: o.kind,
    areaM2: o.areaM2,
    waxStartC: o.wax?.startC ?? null,
    waxFullC: o.wax?.fullC ?? null,
  }));

const asOpening = ({ name, kind, areaM2, waxStartC, waxFullC }: OpeningRow): Opening => ({
  name,
  kind,
  areaM2,
  ...group('wax', waxStartC, () => ({ startC: waxStartC!, fullC: waxFullC! })),
});

export function asStructure(row: StructureRow, openings: readonly OpeningRow[] = []): Structure {
  const { atXM, atYM, turnDeg, snugEnds, snugEdges, snugSkin, heatKind, heatWm2, ...flat } = row;
  return {
    ...said(flat),
    ...group('at', atXM, () => ({ xM: atXM!, yM: atYM!, turnDeg: turnDeg! })),
    ...group('snug', snugEnds, () => ({ ends: snugEnds!, edges: snugEdges!, skin: snugSkin! })),
    ...group('heat', heatKind, () => ({ kind: heatKind!, wm2: heatWm2! })),
    ...(openings.length > 0 ? { openings: openings.map(asOpening) } : {}),
  };
}

export function bedRow(b: Bed): BedRow {
  const { at, crates, ...flat } = b;
  return {
    ...flat,
    zone: b.zone ?? null,
    zoneOffsetC: b.zoneOffsetC ?? null,
    atAlongM: at?.alongM ?? null,
    atAcrossM: at?.acrossM ?? null,
    crateCount: crates?.count ?? null,
    crateLengthM: crates?.lengthM ?? null,
    crateWidthM: crates?.widthM ?? null,
    cratePlants: crates?.plantsEach ?? null,
    crateKg: crates?.kgEach ?? null,
    mixOn: b.mixOn ?? null,
  };
}

export function asBed(row: BedRow): Bed {
  const { atAlongM, atAcrossM, crateCount, crateLengthM, crateWidthM, cratePlants, crateKg, ...flat } = row;
  return {
    ...said(flat),
    ...group('at', atAlongM, () => ({ alongM: atAlongM!, acrossM: atAcrossM! })),
    ...group('crates', crateCount, () => ({
      count: crateCount!,
      lengthM: crateLengthM!,
      widthM: crateWidthM!,
      plantsEach: cratePlants!,
      ...(crateKg === null ? {} : { kgEach: crateKg }),
    })),
  };
}

export function coverRow(c: Cover): CoverRow {
  return {
    ...c,
    condition: c.condition ?? null,
    keptAt: c.keptAt ?? null,
    madeFor: c.madeFor ?? null,
    ways: c.ways ?? null,
    nightC: c.nightC ?? null,
    lowerIn: c.lowerIn ?? null,
    warmerK: c.warmerK ?? null,
  };
}

export const asCover = (row: CoverRow): Cover => said(row);

export function plantingRow(p: Planting): PlantingRow {
  const { done: _done, own: _own, ...flat } = p;
  return {
    ...flat,
    how: p.how ?? null,
    picked: p.picked ?? null,
    forSeed: p.forSeed ?? false,
    planned: p.planned ?? false,
  };
}

export const stepRows = (p: Planting): StepRow[] =>
  Object.entries(p.done ?? {}).map(([step, on]) => ({ plantingId: p.id, step: step as StepId, on }));

/** What is as usual is not said. */
export function asPlanting(
  { how, picked, forSeed, planned, ...row }: PlantingRow,
  steps: readonly StepRow[] = [],
): Planting {
  return {
    ...row,
    ...(how ? { how } : {}),
    ...(picked ? { picked } : {}),
    ...(forSeed ? { forSeed } : {}),
    ...(planned ? { planned } : {}),
    ...(steps.length > 0 ? { done: Object.fromEntries(steps.map((s) => [s.step, s.on])) } : {}),
  };
}

export async function readStructures(db: Db, where?: SQL): Promise<Structure[]> {
  const rows = await db.select().from(structures).where(where).orderBy(structures.order, structures.name);
  const openings = await db.select().from(structureOpenings).orderBy(asc(structureOpenings.n));
  return rows.map((s) =>
    asStructure(
      s,
      openings.filter((o) => o.structureId === s.id),
    ),
  );
}

export async function writeStructure(db: Db, s: Structure): Promise<void> {
  const { id, ...set } = structureRow(s);
  await db
    .insert(structures)
    .values({ id, ...set })
    .onConflictDoUpdate({ target: structures.id, set });
  await db.delete(structureOpenings).where(eq(structureOpenings.structureId, id));
  const rows = openingRows(s);
  if (rows.length > 0) await db.insert(structureOpenings).values(rows);
}

export async function writeBed(db: Db, b: Bed): Promise<void> {
  const { id, ...set } = bedRow(b);
  await db
    .insert(beds)
    .values({ id, ...set })
    .onConflictDoUpdate({ target: beds.id, set });
}

export async function writeCover(db: Db, c: Cover): Promise<void> {
  const { id, ...set } = coverRow(c);
  await db
    .insert(covers)
    .values({ id, ...set })
    .onConflictDoUpdate({ target: covers.id, set });
}

export async function readPlantings(db: Db, where?: SQL): Promise<Planting[]> {
  const rows = await db.select().from(plantings).where(where).orderBy(plantings.bedId, plantings.fromRow);
  const one = rows.length === 1 ? eq(plantingSteps.plantingId, rows[0]!.id) : undefined;
  const byPlanting = new Map<string, StepRow[]>();
  for (const s of rows.length === 0 ? [] : await db.select().from(plantingSteps).where(one))
    byPlanting.set(s.plantingId, [...(byPlanting.get(s.plantingId) ?? []), s]);
  return rows.map((p) => asPlanting(p, byPlanting.get(p.id)));
}

export async function writePlanting(db: Db, p: Planting): Promise<void> {
  const { id, ...set } = plantingRow(p);
  await db
    .insert(plantings)
    .values({ id, ...set })
    .onConflictDoUpdate({ target: plantings.id, set });
  await db.delete(plantingSteps).where(eq(plantingSteps.plantingId, id));
  const rows = stepRows(p);
  if (rows.length > 0) await db.insert(plantingSteps).values(rows);
}

type Loose = Record<string, unknown>;
type Part = { table: string; row: object };

/** Rows of a table that were written before every field had its column, as they are written now; others are as they were. */
export function olderRow(table: string, row: Loose): Part[] {
  const { more, done, ...flat } = row as Loose & { more?: object; done?: object };
  const parts = (name: string, rows: readonly object[]): Part[] => rows.map((r) => ({ table: name, row: r }));
  if (table === 'structures' && more) {
    const s = namedNow({ ...flat, ...more }) as Structure;
    return [...parts(table, [structureRow(s)]), ...parts('structure_openings', openingRows(s))];
  }
  if (table === 'beds' && more) return parts(table, [bedRow({ ...flat, ...more } as Bed)]);
  if (table === 'covers' && more) return parts(table, [coverRow({ ...flat, ...more } as Cover)]);
  if (table === 'plantings' && done)
    return [...parts(table, [flat]), ...parts('planting_steps', stepRows({ ...flat, done } as Planting))];
  return [{ table, row: namedNow(row) }];
}
