/** The board, and gaps filled. */
import { date } from '@fogata/contract';
import { AIMS_OF_FILL } from '@fogata/core/relay';
import { isCrop, said, wants } from '@fogata/core';
import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../context';
import { notFound, parseBody, Problem } from '../problem';
import { nextView } from '../relay/next';
import { relayView } from '../relay/view';

const crop = z.string().refine(isCrop, wants('want.crop'));
const fillSchema = z.object({
  aim: z.enum(AIMS_OF_FILL).default('value'),
  weeks: z.number().int().min(4).max(60).default(40),
  crops: z.array(crop).min(1).max(60).optional(),
  refused: z
    .array(z.object({ crop, bed: z.string().max(60) }))
    .max(500)
    .default([]),
});

const nextSchema = z.object({
  bed: z.string().max(60),
  from: date,
  fromRow: z.coerce.number().int().min(1).max(60),
  toRow: z.coerce.number().int().min(1).max(60),
});

export function relayRoutes(ctx: Context): Router {
  const router = Router();

  router.get('/relay', async (_req, res) => {
    const { data, nowAtMs } = await ctx.standing(false);
    res.json(relayView(ctx.seasons, data, nowAtMs));
  });

  router.get('/relay/next', async (req, res) => {
    const asked = parseBody(nextSchema, req.query);
    const { data, nowAtMs } = await ctx.standing(false);
    const bed = data.beds.find((b) => b.id === asked.bed);
    if (!bed) throw notFound('bed');
    if (asked.toRow > bed.rows || asked.toRow < asked.fromRow)
      throw new Problem(422, said('refuse.rowsOfBed', { fromRow: asked.fromRow, rows: bed.rows }), 'toRow');
    res.json(nextView(ctx.seasons, data, nowAtMs, asked));
  });

  router.get('/relay/fill', (_req, res) => {
    res.json(ctx.filler.view());
  });

  router.post('/relay/fill', async (req, res) => {
    const asked = parseBody(fillSchema, req.body ?? {});
    const { data, nowAtMs } = await ctx.standing(false);
    ctx.filler.begin(data, nowAtMs, asked);
    res.status(202).json(ctx.filler.view());
  });

  router.delete('/relay/fill', (_req, res) => {
    ctx.filler.stop();
    res.json(ctx.filler.view());
  });

  return router;
}
