/** Plans put by: what is planned now is kept under a name, looked at beside the plan, and made the plan again. What stands is never touched. */
import { localDate, withOwn, type Planting, said } from '@fogata/core';
import { planOf } from '@fogata/core/relay';
import { asc, eq } from 'drizzle-orm';
import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../context';
import { scenarios } from '../db/schema';
import { writing } from '../db/write';
import { checkPlanting } from '../farm/checkPlanting';
import { replaceFarm, standingFarm } from '../farm/exchange';
import { learntCold, readCultivars } from '../farm/seeds';
import { notFound, parseBody, Problem } from '../problem';
import { relayView } from '../relay/view';

/** More than these nobody lays side by side. */
const MOST = 8;
const bodySchema = z.object({
  id: z.string().min(1).max(64),
  name: z.string().trim().min(1).max(60),
});

export function scenarioRoutes(ctx: Context): Router {
  const router = Router();

  router.get('/scenarios', async (_req, res) => {
    const { data, nowAtMs } = await ctx.standing(false);
    const kept = await ctx.db.select().from(scenarios).orderBy(asc(scenarios.madeAtMs));
    const own = kept.length > 0 ? await readCultivars(ctx.db) : [];
    const zone = data.farm.timeZone;
    // with what scores taught of their cultivars, as what is planned now has it
    const learnt = await learntCold(ctx.db, data.plantings, own, nowAtMs, zone);
    const beds = data.beds.map((b) => b.id);
    res.json({
      scenarios: kept.map(({ id, name, madeAtMs, plantings }) => {
        const planned = withOwn(plantings, own, learnt);
        const plan = planOf(data.plantings, planned, beds, localDate(nowAtMs, zone));
        return {
          id,
          name,
          madeOn: localDate(madeAtMs, zone),
          relay: relayView(ctx.seasons, { ...data, plantings: plan }, nowAtMs),
        };
      }),
    });
  });

  router.post('/scenarios', async (req, res) => {
    const body = parseBody(bodySchema, req.body);
    const nowAtMs = ctx.options.clock.nowAtMs();
    const { plantings } = await standingFarm(ctx.db, nowAtMs);
    const planned = (plantings as Planting[]).filter((p) => p.planned === true);
    await writing(ctx.db, async (tx) => {
      const there = await tx.select({ id: scenarios.id, name: scenarios.name }).from(scenarios);
      if (there.some((s) => s.id === body.id)) return;
      if (there.length >= MOST) throw new Problem(409, said('refuse.tooManyPlans', { most: MOST }));
      if (there.some((s) => s.name.toLowerCase() === body.name.toLowerCase()))
        throw new Problem(422, said('refuse.planTaken', { name: body.name }), 'name');
      await tx.insert(scenarios).values({ ...body, madeAtMs: nowAtMs, plantings: planned });
    });
    res.status(201).json({ id: body.id });
  });

  /** Makes it the plan: one change of the log, taken back as one. */
  router.post('/scenarios/:id/take', async (req, res) => {
    const [kept] = await ctx.db.select().from(scenarios).where(eq(scenarios.id, req.params.id));
    if (!kept) throw notFound('plan');
    const nowAtMs = ctx.options.clock.nowAtMs();
    const was = await standingFarm(ctx.db, nowAtMs);
    const beds = was.beds;
    const today = localDate(nowAtMs, was.farm.timeZone);
    const plantings = planOf(
      was.plantings as Planting[],
      kept.plantings,
      beds.map((b) => b.id),
      today,
    );
    for (const p of plantings) if (p.planned === true) checkPlanting(p, beds);
    const { structures, covers, cultivars, seedLots } = was;
    const after = { structures, beds, covers, cultivars, seedLots, plantings };
    const recordId = await replaceFarm(
      ctx.db,
      was,
      after as typeof was,
      { as: 'plan', name: kept.name },
      nowAtMs,
    );
    res.json({ recordId });
  });

  router.delete('/scenarios/:id', async (req, res) => {
    const gone = await ctx.db
      .delete(scenarios)
      .where(eq(scenarios.id, req.params.id))
      .returning({ id: scenarios.id });
    if (gone.length === 0) throw notFound('plan');
    res.status(204).end();
  });

  return router;
}
