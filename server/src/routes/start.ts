/** A whole farm to start from, brought at once and taken back at once. */
import { said } from '@fogata/core';
import { bedSchema, coverSchema, farmPatchSchema, plantingSchema, structureSchema } from '@fogata/contract';
import type { Bed, Structure } from '@fogata/core';
import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../context';
import { writing } from '../db/write';
import { checkRoom, checkTimeZone } from '../farm/checks';
import { readFarm } from '../farm/store';
import { bringThings, FARM_ID, type Change, type What } from '../farm/things';
import { parseBody, Problem } from '../problem';

/** A whole farm to start from, as one entry of the log. */
const startSchema = z.object({
  farm: farmPatchSchema.default({}),
  structures: z.array(structureSchema).min(1).max(50),
  beds: z.array(bedSchema).min(1).max(300),
  covers: z.array(coverSchema).max(20).default([]),
  plantings: z.array(plantingSchema).max(300).default([]),
});

export function startRoutes(ctx: Context): Router {
  const router = Router();

  router.post('/start', async (req, res) => {
    const named = Object.keys(((req.body ?? {}) as { farm?: object }).farm ?? {});
    const body = parseBody(startSchema, req.body);
    checkTimeZone(body.farm.timeZone);
    for (const b of body.beds) {
      const s = body.structures.find((x) => x.id === b.structureId);
      if (!s) throw new Problem(422, said('refuse.oneOfStructures'), 'structureId');
      checkRoom(s as Structure, b as Bed, 'bed');
    }
    if (body.plantings.some((p) => !body.beds.some((b) => b.id === p.bedId)))
      throw new Problem(422, said('refuse.oneOfBeds'), 'bedId');
    const patch = Object.fromEntries(Object.entries(body.farm).filter(([k]) => named.includes(k)));
    const recordId = await writing(ctx.db, async (db) => {
      const own = await readFarm(db);
      const added = (what: What, list: readonly { id: string }[]): Change[] =>
        list.map((x) => ({ what, targetId: x.id, before: null, after: { ...x } }));
      return bringThings(
        db,
        { as: 'start' },
        [
          ...(named.length > 0
            ? [{ what: 'farm' as const, targetId: FARM_ID, before: { ...own }, after: { ...own, ...patch } }]
            : []),
          ...added('structure', body.structures),
          ...added('bed', body.beds),
          ...added('cover', body.covers),
          ...added('planting', body.plantings),
        ],
        { nowAtMs: ctx.options.clock.nowAtMs() },
      );
    });
    res.status(201).json({ recordId });
  });

  return router;
}
