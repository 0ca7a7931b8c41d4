/** The farm as open files: JSON, GeoJSON, stock CSV, SVG. Bringing one shows first what it would change. */
import {
  bedSchema,
  coverSchema,
  cultivarSchema,
  plantingSchema,
  readFarmFile,
  seedLotSchema,
  structureSchema,
  type BroughtAs,
  type FarmFile,
} from '@fogata/contract';
import {
  cropById,
  fromGeoJson,
  localDate,
  planSvg,
  readCultivarsCsv,
  readLibraryCsv,
  readLotsCsv,
  readPlantingsCsv,
  readStockCsv,
  seedKey,
  toCultivarsCsv,
  toGeoJson,
  toLotsCsv,
  toPlantingsCsv,
  toStockCsv,
  type BadRow,
  type Cultivar,
  type Planting,
  said,
  type Said,
} from '@fogata/core';
import { Router, type Response } from 'express';
import { randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { z } from 'zod';
import type { Context } from '../context';
import { keepBackup } from '../farm/backup';
import { checkPlanting } from '../farm/checkPlanting';
import { compare, replaceFarm, standingFarm, wholeFarm } from '../farm/exchange';
import { parseBody, Problem } from '../problem';

const bodySchema = z.object({ dryRun: z.boolean(), file: z.unknown() });

const refuse = (why: Said, field?: string) => new Problem(422, why, field);
const expected = (field: string, want: Said) =>
  refuse(said('refuse.expected', { field, expected: want }), field);
/** The first bad row by its line, and how many more there are. */
function refuseRows(bad: readonly BadRow[]): void {
  const [first] = bad;
  if (first) throw refuse(said('row.line', { ...first, more: bad.length - 1 }));
}

export function exchangeRoutes(ctx: Context): Router {
  const router = Router();
  const now = () => standingFarm(ctx.db, ctx.options.clock.nowAtMs());
  const whole = () => wholeFarm(ctx.db, ctx.options.clock.nowAtMs());
  const attach = (res: Response, name: string, type: string) => {
    res.setHeader('Content-Disposition', `attachment; filename="${name}"`);
    res.type(type);
  };

  /** Compares, and takes it where it is no dry run. */
  const take = async (res: Response, dryRun: boolean, next: Partial<FarmFile>, as: BroughtAs) => {
    const was = await (next.records ? whole() : now());
    const { structures, beds, plantings, covers, cultivars, seedLots } = was;
    const after = { structures, beds, plantings, covers, cultivars, seedLots, ...next };
    const view = compare(was, after);
    const orphan = after.beds.find((b) => !after.structures.some((s) => s.id === b.structureId));
    if (orphan) throw expected('structureId', said('want.thisBeds', { bed: orphan.name }));
    const gone = after.plantings.filter((p) => !after.beds.some((b) => b.id === p.bedId));
    // what stands there now is named before what once did
    const today = localDate(ctx.options.clock.nowAtMs(), was.farm.timeZone);
    const stands = (p: (typeof gone)[number]) =>
      p.plantedOn <= today && (p.clearedOn === null || p.clearedOn > today);
    const lost = gone.find(stands) ?? gone.at(-1);
    if (lost) throw expected('beds', said('want.lostBed', { crop: cropById(lost.crop).name }));
    const nowAtMs = ctx.options.clock.nowAtMs();
    const recordId = dryRun ? null : await replaceFarm(ctx.db, was, after, { as }, nowAtMs);
    res.status(dryRun ? 200 : 201).json({ ...view, taken: !dryRun, recordId });
  };

  router.get('/farm/file', async (_req, res) => {
    attach(res, 'farm.json', 'application/json');
    res.send(`${JSON.stringify(await whole(), null, 1)}\n`);
  });

  router.post('/farm/file', async (req, res) => {
    const body = parseBody(bodySchema, req.body);
    const read = readFarmFile(body.file);
    if ('problem' in read) throw refuse(read.problem, read.field);
    await take(res, body.dryRun, read.file, 'farm');
  });

  /** Everything, verified before the first byte leaves. */
  router.get('/backup', async (_req, res) => {
    const directory = await mkdtemp(join(tmpdir(), 'fogata-backup-'));
    try {
      const path = await keepBackup(ctx.db, directory, ctx.options.clock.nowAtMs());
      attach(res, basename(path), 'application/gzip');
      await pipeline(createReadStream(path), res);
    } finally {
      await rm(directory, { recursive: true, force: true });
    }
  });

  router.get('/farm/geojson', async (_req, res) => {
    const f = await now();
    attach(res, 'farm.geojson', 'application/geo+json');
    res.send(`${JSON.stringify(toGeoJson(f.farm, f.structures, f.beds), null, 1)}\n`);
  });

  router.post('/farm/geojson', async (req, res) => {
    const body = parseBody(bodySchema, req.body);
    const read = fromGeoJson((await now()).farm, body.file);
    if ('problem' in read) throw refuse(read.problem);
    const structures = parseBody(z.array(structureSchema), read.structures);
    const beds = parseBody(z.array(bedSchema), read.beds);
    await take(res, body.dryRun, { structures, beds }, 'map');
  });

  router.get('/kit/stock.csv', async (_req, res) => {
    attach(res, 'covers.csv', 'text/csv');
    res.send(toStockCsv((await now()).covers));
  });

  router.post('/kit/stock', async (req, res) => {
    const body = parseBody(z.object({ dryRun: z.boolean(), csv: z.string().max(2_000_000) }), req.body);
    const read = readStockCsv(body.csv);
    refuseRows(read.badRows);
    const covers = parseBody(z.array(coverSchema), read.covers);
    const { state } = await ctx.moment();
    const lying = new Set([...state.onBed.values()].flat().map((c) => c.coverId));
    const gone = (await now()).covers.find((c) => lying.has(c.id) && !covers.some((x) => x.id === c.id));
    if (gone) throw refuse(said('refuse.expected', { field: gone.name, expected: said('want.inTable') }));
    await take(res, body.dryRun, { covers }, 'covers');
  });

  router.get('/plantings.csv', async (_req, res) => {
    const { plantings, beds } = await now();
    attach(res, 'plantings.csv', 'text/csv');
    res.send(toPlantingsCsv(plantings as Planting[], beds));
  });

  /** A table brought or pasted: rows come and change, none goes. */
  router.post('/plantings', async (req, res) => {
    const body = parseBody(z.object({ dryRun: z.boolean(), csv: z.string().max(4_000_000) }), req.body);
    const { farm, beds, plantings: standing } = await now();
    const plantings = standing as Planting[];
    const today = localDate(ctx.options.clock.nowAtMs(), farm.timeZone);
    const read = readPlantingsCsv(body.csv, beds, plantings, today, () => randomUUID());
    refuseRows(read.badRows);
    const rows = parseBody(z.array(plantingSchema), read.plantings) as Planting[];
    for (const p of rows) checkPlanting(p, beds);
    const replaced = new Map(rows.map((p) => [p.id, p]));
    const kept = plantings.map((p) => replaced.get(p.id) ?? p);
    const fresh = rows.filter((p) => !plantings.some((x) => x.id === p.id));
    await take(res, body.dryRun, { plantings: [...kept, ...fresh] }, 'plantings');
  });

  router.get('/seeds/cultivars.csv', async (_req, res) => {
    attach(res, 'cultivars.csv', 'text/csv');
    res.send(toCultivarsCsv((await now()).cultivars ?? []));
  });

  router.get('/seeds/lots.csv', async (_req, res) => {
    attach(res, 'seed-lots.csv', 'text/csv');
    res.send(toLotsCsv((await now()).seedLots ?? []));
  });

  const tableSchema = z.object({ dryRun: z.boolean(), csv: z.string().max(4_000_000) });
  /** Cultivars brought: rows come and change by crop and name, none goes. */
  const takeCultivars = async (res: Response, dryRun: boolean, rows: readonly Cultivar[], as: BroughtAs) => {
    const { cultivars: known = [] } = await now();
    const keyOf = (c: Cultivar) => seedKey({ crop: c.crop, cultivar: c.name });
    const held = new Map(known.map((c) => [keyOf(c), c]));
    for (const c of parseBody(z.array(cultivarSchema), rows))
      held.set(keyOf(c), { ...c, id: held.get(keyOf(c))?.id ?? c.id });
    await take(res, dryRun, { cultivars: [...held.values()] }, as);
  };

  router.post('/seeds/cultivars', async (req, res) => {
    const body = parseBody(tableSchema, req.body);
    const read = readCultivarsCsv(body.csv, () => randomUUID());
    refuseRows(read.badRows);
    await takeCultivars(res, body.dryRun, read.cultivars, 'cultivars');
  });

  router.post('/seeds/library', async (req, res) => {
    const body = parseBody(tableSchema, req.body);
    const read = readLibraryCsv(body.csv, () => randomUUID());
    refuseRows(read.badRows);
    await takeCultivars(res, body.dryRun, read.cultivars, 'library');
  });

  router.post('/seeds/lots', async (req, res) => {
    const body = parseBody(tableSchema, req.body);
    const read = readLotsCsv(body.csv, () => randomUUID());
    refuseRows(read.badRows);
    const { seedLots: known = [] } = await now();
    const rows = parseBody(z.array(seedLotSchema), read.lots);
    const kept = known.filter((l) => !rows.some((r) => r.id === l.id));
    await take(res, body.dryRun, { seedLots: [...kept, ...rows] }, 'lots');
  });

  router.get('/farm/plan.svg', async (_req, res) => {
    const f = await now();
    res.type('image/svg+xml').send(planSvg(f.farm.name, f.structures, f.beds));
  });

  return router;
}
