/** The seed box: cultivars with their own figures, lots of seed, and both as tables. */
import { cultivarSchema, seedLotSchema, type SeedRow, type SeedsView } from '@fogata/contract';
import {
  coldBelief,
  cropById,
  cropOf,
  CROPS,
  figuresProblem,
  localDate,
  lotNow,
  seedKey,
  typedFigures,
  withFigures,
  type Cultivar,
  type SeedLot,
  said,
} from '@fogata/core';
import { seedOf } from '@fogata/core/relay';
import { howOf, libraryCsv } from '@fogata/core/season';
import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../context';
import type { Db } from '../db/open';
import { writing } from '../db/write';
import { readCultivars, readLots, scoredNights } from '../farm/seeds';
import { bringThings, changeThing, type At, type Change } from '../farm/things';
import { notFound, parseBody, Problem } from '../problem';

async function seedsView(ctx: Context): Promise<SeedsView> {
  const { data, nowAtMs } = await ctx.standing(true);
  const today = localDate(nowAtMs, data.farm.timeZone);
  const cultivars = await readCultivars(ctx.db);
  const lots = await readLots(ctx.db);
  const scored = await scoredNights(ctx.db, data.plantings, nowAtMs, data.farm.timeZone);
  const rows = new Map<string, SeedRow>();
  const row = (crop: string, name: string): SeedRow => {
    const key = seedKey({ crop, cultivar: name });
    const known = rows.get(key);
    if (known) return known;
    const nights = scored.get(key) ?? [];
    const typed = typedFigures(cultivars, { crop, cultivar: name }) ?? undefined;
    const made: SeedRow = {
      crop,
      cropName: cropById(crop).name,
      name: name.trim(),
      cultivar: null,
      learnt: coldBelief(withFigures(cropById(crop), typed), nights),
      scored: nights.map(({ recordId, plantingId, night, leafC, score }) => ({
        recordId,
        plantingId,
        night,
        leafC,
        score,
      })),
      needs: null,
      plantings: 0,
      lots: [],
    };
    rows.set(key, made);
    return made;
  };
  for (const c of cultivars) row(c.crop, c.name).cultivar = c;
  for (const lot of lots) {
    const own = withFigures(cropById(lot.crop), typedFigures(cultivars, lot) ?? undefined);
    row(lot.crop, lot.cultivar).lots.push({ lot, now: lotNow(lot, own, today) });
  }
  for (const p of data.plantings)
    if (p.clearedOn === null || p.clearedOn >= today) row(p.crop, p.cultivar).plantings += 1;
    else if (scored.has(seedKey(p))) row(p.crop, p.cultivar);
  for (const p of data.plantings) {
    const how = howOf(p, cropOf(p));
    const sown = p.done?.sow !== undefined || !p.planned || p.plantedOn < today;
    if (sown) continue;
    const r = row(p.crop, p.cultivar);
    // sown from the best of what there is
    const best = Math.max(0, ...r.lots.map((l) => l.now?.germination ?? 0));
    const metres = p.lengthM * (p.toRow - p.fromRow + 1);
    const seed = seedOf(cropOf(p), how, metres, best > 0 ? best : null);
    if (seed.grams !== null && seed.seeds !== null)
      r.needs = {
        grams: (r.needs?.grams ?? 0) + seed.grams,
        seeds: (r.needs?.seeds ?? 0) + seed.seeds,
      };
  }
  return {
    today,
    rows: [...rows.values()].sort(
      (a, b) => a.cropName.localeCompare(b.cropName) || a.name.localeCompare(b.name),
    ),
  };
}

/** What contradicts itself or another, in one sentence that names the field. */
function checkCultivar(c: Cultivar, known: readonly Cultivar[]): void {
  const wrong = figuresProblem(cropById(c.crop), c.figures);
  if (wrong)
    throw new Problem(
      422,
      said('refuse.expected', { field: wrong.field, expected: wrong.expected }),
      wrong.field,
    );
  const same = known.find(
    (x) => x.id !== c.id && seedKey({ ...x, cultivar: x.name }) === seedKey({ ...c, cultivar: c.name }),
  );
  if (same)
    throw new Problem(
      422,
      said('refuse.cultivarTaken', { name: cropById(c.crop).name, name2: c.name || 'nothing' }),
      'name',
    );
}

export function seedRoutes(ctx: Context): Router {
  const router = Router();
  const write = <T>(run: (db: Db, at: At) => Promise<T>) =>
    writing(ctx.db, (tx) => run(tx, { nowAtMs: ctx.options.clock.nowAtMs() }));

  router.get('/seeds', async (_req, res) => {
    res.json(await seedsView(ctx));
  });

  router.put('/cultivars/:id', async (req, res) => {
    const body = parseBody(cultivarSchema, { ...(req.body as object), id: req.params.id });
    checkCultivar(body, await readCultivars(ctx.db));
    const recordId = await write((db, at) => changeThing(db, 'cultivar', body.id, body, at));
    res.json({ ...body, recordId });
  });

  router.put('/lots/:id', async (req, res) => {
    const body: SeedLot = parseBody(seedLotSchema, { ...(req.body as object), id: req.params.id });
    const recordId = await write((db, at) => changeThing(db, 'lot', body.id, body, at));
    res.json({ ...body, recordId });
  });

  /** A packet typed in: what it says of its cultivar, and the seed in it; both or neither, taken back as one. */
  router.post('/packets', async (req, res) => {
    const body = parseBody(
      z.object({ cultivar: cultivarSchema.nullable().default(null), lot: seedLotSchema }),
      req.body,
    );
    const known = await readCultivars(ctx.db);
    const before = body.cultivar ? (known.find((c) => c.id === body.cultivar!.id) ?? null) : null;
    if (body.cultivar) checkCultivar(body.cultivar, known);
    const plain = (x: unknown) => JSON.parse(JSON.stringify(x)) as Record<string, unknown>;
    const changes: Change[] = [
      ...(body.cultivar
        ? [
            {
              what: 'cultivar' as const,
              targetId: body.cultivar.id,
              before: before ? plain(before) : null,
              after: plain(body.cultivar),
            },
          ]
        : []),
      { what: 'lot', targetId: body.lot.id, before: null, after: plain(body.lot) },
    ];
    const name = [cropById(body.lot.crop).name, body.lot.cultivar].filter(Boolean).join(' ').slice(0, 80);
    const recordId = await write((db, at) => bringThings(db, { as: 'packet', name }, changes, at));
    res.status(201).json({ recordId });
  });

  for (const [path, what] of [
    ['cultivars', 'cultivar'],
    ['lots', 'lot'],
  ] as const)
    router.delete(`/${path}/:id`, async (req, res) => {
      const id = String(req.params['id']);
      const recordId = await write((db, at) => changeThing(db, what, id, null, at));
      if (recordId === null) throw notFound(what);
      res.json({ recordId });
    });

  /** The library as the farm has it: the book's figures with its own over them. */
  router.get('/seeds/library.csv', async (_req, res) => {
    const own = await readCultivars(ctx.db);
    res.setHeader('Content-Disposition', 'attachment; filename="crops.csv"');
    res.type('text/csv');
    res.send(
      libraryCsv(
        CROPS.map((c) => withFigures(c, typedFigures(own, { crop: c.id, cultivar: '' }) ?? undefined)),
      ),
    );
  });

  return router;
}
