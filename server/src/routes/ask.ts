/** A night asked about before anything is set up; and kept, where the grower wants it. */
import { askSchema } from '@fogata/contract';
import { Router } from 'express';
import type { Context } from '../context';
import { answerAsk, keepAsked } from '../night/asked';
import { parseBody } from '../problem';

export function askRoutes(ctx: Context): Router {
  const router = Router();

  router.post('/ask', async (req, res) => {
    const body = parseBody(askSchema, req.body);
    const { data, nowAtMs } = await ctx.moment();
    const empty = data.structures.length === 0;
    const { pool, members } = ctx.options;
    res.json(await answerAsk(body, data.farm, empty, pool, nowAtMs, members));
  });

  router.post('/ask/keep', async (req, res) => {
    const body = parseBody(askSchema, req.body);
    const { data, nowAtMs } = await ctx.moment();
    const recordId = await keepAsked(ctx.db, body, data.farm, data.structures.length === 0, nowAtMs);
    res.status(201).json({ recordId });
  });

  return router;
}
