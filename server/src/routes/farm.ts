/** Farm, settings, clock, beds, covers, crops. */
import {
  bedSchema,
  coverSchema,
  date,
  farmPatchSchema,
  farmSchema,
  structureSchema,
  type BedsView,
  type CropRow,
  type FarmPatch,
  type FarmView,
  type KitView,
} from '@fogata/contract';
import {
  CROPS,
  inUse,
  MATERIAL_IDS,
  MATERIALS,
  standingOf,
  type Bed,
  type Cover,
  type Structure,
  said,
  wants,
} from '@fogata/core';
import tzlookup from '@photostructure/tz-lookup';
import { findTowns, townOfZone } from '../towns';
import { eq } from 'drizzle-orm';
import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../context';
import type { Db } from '../db/open';
import { beds, structures } from '../db/schema';
import { writing } from '../db/write';
import { checkRoom, checkTimeZone } from '../farm/checks';
import { isEmpty, readFarm } from '../farm/store';
import { changeThing, FARM_ID, type At } from '../farm/things';
import { cutView } from '../night/cut';
import { currentGlyph } from '../night/glyph';
import { plantingViews } from '../night/placeView';
import { notFound, parseBody, Problem } from '../problem';

const clockSchema = z.union([
  z.object({ move: z.enum(['hour', 'closing', 'morning']) }),
  z.object({
    toAtMs: z
      .number()
      .int()
      .min(Date.UTC(2000, 0, 1), wants('want.since2000'))
      .max(Date.UTC(2200, 0, 1), wants('want.since2000')),
  }),
]);

const setupSchema = z.object({
  structures: z.array(structureSchema).max(200).default([]),
  beds: z.array(bedSchema).max(2000).default([]),
  remove: z
    .object({ structures: z.array(z.string()).default([]), beds: z.array(z.string()).default([]) })
    .default({ structures: [], beds: [] }),
});

export function farmRoutes(ctx: Context): Router {
  const router = Router();
  /** A change and the record of it, in one transaction. */
  const write = <T>(run: (db: Db, at: At) => Promise<T>) =>
    writing(ctx.db, (tx) => run(tx, { nowAtMs: ctx.options.clock.nowAtMs() }));

  router.get('/farm', async (_req, res) => {
    const m = await ctx.moment();
    const view: FarmView = {
      farm: m.data.farm,
      clock: m.clock,
      simulated: ctx.simulated,
      practice: ctx.options.practice ?? false,
      emptyFarm: m.data.structures.length === 0,
    };
    res.json(view);
  });

  router.patch('/farm', async (req, res) => {
    const named = Object.keys((req.body ?? {}) as object);
    // defaults fill what a farm never had; a patch changes what it names
    const patch = Object.fromEntries(
      Object.entries(parseBody(farmPatchSchema, req.body)).filter(([k]) => named.includes(k)),
    ) as FarmPatch;
    checkTimeZone(patch.timeZone);
    const next = await write(async (db, at) => {
      const whole = parseBody(farmSchema, { ...(await readFarm(db)), ...patch });
      await changeThing(db, 'farm', FARM_ID, whole, at);
      return whole;
    });
    res.json(next);
  });

  router.post('/clock', async (req, res) => {
    if (ctx.options.clock.mode === 'real') throw new Problem(409, said('refuse.realClock'));
    const body = parseBody(clockSchema, req.body);
    const { clock } = await ctx.moment();
    const toAtMs =
      'toAtMs' in body
        ? body.toAtMs
        : { hour: clock.nowAtMs + 3_600_000, closing: clock.closingAtMs, morning: clock.morningAtMs }[
            body.move
          ];
    await ctx.options.clock.set(toAtMs);
    res.json((await ctx.moment()).clock);
  });

  router.get('/beds', async (req, res) => {
    const { date: on } = parseBody(z.object({ date: date.optional() }), req.query);
    const m = await ctx.moment();
    const { plan, progress } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
    const background = await ctx.planner.backgroundFor(m.data, m.weather, m.nowAtMs);
    const view: BedsView = {
      progress,
      standing: standingOf(m.state, m.clock.window.fromAtMs, m.clock.window.night),
      structures: m.data.structures.map((structure) => ({
        structure,
        opening: m.state.openings.get(structure.id)?.fraction ?? 0,
        beds: m.data.beds
          .filter((b) => b.structureId === structure.id)
          .map((bed) => ({
            bed,
            stack: currentGlyph(structure, bed, m.state, m.data.covers),
            plantings: plantingViews({
              data: m.data,
              state: m.state,
              structure,
              bed,
              background,
              plan,
              clock: m.clock,
              ...(on ? { date: on } : {}),
            }),
          })),
      })),
    };
    res.json(view);
  });

  /** Several structures and beds at once: all of it or nothing. */
  router.post('/setup', async (req, res) => {
    const body = parseBody(setupSchema, req.body);
    const known = await ctx.db.select({ id: structures.id }).from(structures);
    const orphan = body.beds.find((b) => ![...known, ...body.structures].some((x) => x.id === b.structureId));
    if (orphan) throw new Problem(422, said('refuse.structureOfFarm'), 'structureId');
    await write(async (db, at) => {
      for (const id of body.remove.beds) await changeThing(db, 'bed', id, null, at);
      for (const id of body.remove.structures) await changeThing(db, 'structure', id, null, at);
      for (const x of body.structures) await changeThing(db, 'structure', x.id, x as Structure, at);
      for (const x of body.beds) await changeThing(db, 'bed', x.id, x as Bed, at);
    });
    res.status(204).end();
  });

  router.put('/structures/:id', async (req, res) => {
    const body = parseBody(structureSchema, { ...(req.body as object), id: req.params.id });
    const inside = await ctx.db.select().from(beds).where(eq(beds.structureId, body.id));
    for (const b of body.kind === 'open' ? [] : inside) checkRoom(body, b, 'structure');
    await write((db, at) => changeThing(db, 'structure', body.id, body as Structure, at));
    res.json(body);
  });

  router.put('/beds/:id', async (req, res) => {
    const body = parseBody(bedSchema, { ...(req.body as object), id: req.params.id });
    const owner = await ctx.db.select().from(structures).where(eq(structures.id, body.structureId));
    if (owner.length === 0) throw new Problem(422, said('refuse.structureOfFarm'), 'structureId');
    if (owner[0]!.kind !== 'open') checkRoom(owner[0]!, body, 'bed');
    await write((db, at) => changeThing(db, 'bed', body.id, body as Bed, at));
    res.json(body);
  });

  for (const [path, what] of [
    ['structures', 'structure'],
    ['beds', 'bed'],
  ] as const)
    router.delete(`/${path}/:id`, async (req, res) => {
      await write((db, at) => changeThing(db, what, String(req.params['id']), null, at));
      res.status(204).end();
    });

  router.get('/kit', async (_req, res) => {
    const m = await ctx.moment();
    const view: KitView = {
      covers: m.data.covers.map((c) => {
        const use = inUse(m.data, m.state, c);
        return { ...c, inUse: use.pieces, beds: use.beds, materialName: MATERIALS[c.material].name };
      }),
    };
    res.json(view);
  });

  router.get('/kit/cut', async (req, res) => {
    const query = parseBody(
      z.object({
        material: z.enum(MATERIAL_IDS).default('fleece-30'),
        shared: z.enum(['yes', 'no']).default('yes'),
      }),
      req.query,
    );
    const m = await ctx.moment();
    res.json(await cutView(ctx.options.pool, m.data, query.material, query.shared === 'yes'));
  });

  router.put('/covers/:id', async (req, res) => {
    const body = parseBody(coverSchema, { ...(req.body as object), id: req.params.id });
    await write((db, at) => changeThing(db, 'cover', body.id, body as Cover, at));
    res.json(body);
  });

  router.delete('/covers/:id', async (req, res) => {
    const m = await ctx.moment();
    const cover = m.data.covers.find((c) => c.id === req.params.id);
    if (!cover) throw notFound('cover');
    const use = inUse(m.data, m.state, cover);
    if (use.pieces > 0)
      throw new Problem(409, said('refuse.coverLies', { name: cover.name, beds: use.beds.join(', ') }));
    await write((db, at) => changeThing(db, 'cover', cover.id, null, at));
    res.status(204).end();
  });

  router.get('/towns', (req, res) => {
    const { q, zone } = parseBody(
      z.object({
        q: z.string().max(80).default(''),
        zone: z.string().max(60).default(''),
      }),
      req.query,
    );
    const file = ctx.options.townsFile;
    const near = zone === '' ? null : townOfZone(file, zone);
    res.json(near ? [near] : findTowns(file, q));
  });

  router.get('/zone', (req, res) => {
    const { latitude, longitude } = parseBody(
      z.object({
        latitude: z.coerce.number().min(-90).max(90),
        longitude: z.coerce.number().min(-180).max(180),
      }),
      req.query,
    );
    res.json({ timeZone: tzlookup(latitude, longitude) });
  });

  router.get('/crops', (_req, res) => {
    const rows: CropRow[] = CROPS.map(({ id, name, family, aim, damageC, deathC }) => ({
      id,
      name,
      family,
      aim,
      damageC,
      deathC,
    }));
    res.json(rows);
  });

  router.get('/health', async (_req, res) => {
    res.json({ status: 'ok', empty: await isEmpty(ctx.db), nowAtMs: ctx.options.clock.nowAtMs() });
  });

  return router;
}
