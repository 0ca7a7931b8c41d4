/** Seasons: what to begin this week, a crop's year. */
import { cropById, isCrop } from '@fogata/core';
import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../context';
import { parseBody, Problem } from '../problem';
import { calendarOf } from '../season/calendar';
import { storyOf } from '../season/story';
import { takeClimate } from '../season/climateFile';
import { cropView, seasonView, yearsJobs } from '../season/views';

const climateSchema = z.object({
  text: z
    .string({ error: 'the text of a file' })
    .min(1, 'a file that is not empty')
    .max(2_000_000, 'at most 2 MB: some eight years of hours, or a life of days'),
  dryRun: z.boolean().default(false),
});

export function seasonRoutes(ctx: Context): Router {
  const router = Router();

  router.get('/season', async (_req, res) => {
    const { data, nowMs } = await ctx.standing(false);
    res.json(seasonView(ctx.seasons, data, nowMs));
  });

  /** A station's record: days, hours or an EPW; with `dryRun` only looked at. */
  router.post('/climate', async (req, res) => {
    const body = parseBody(climateSchema, req.body);
    const { data, nowMs } = await ctx.standing(false);
    const view = await takeClimate(ctx, body.text, body.dryRun, data.farm, nowMs);
    res.status(view.badRows.length > 0 || view.use === 'nothing' ? 422 : body.dryRun ? 200 : 201).json(view);
  });

  router.get('/season.ics', async (_req, res) => {
    const { data, nowMs } = await ctx.standing(false);
    res.setHeader('Content-Disposition', 'attachment; filename="season.ics"');
    res.type('text/calendar').send(calendarOf(data.farm.name, yearsJobs(ctx.seasons, data, nowMs), nowMs));
  });

  router.get('/season/:crop', async (req, res) => {
    if (!isCrop(req.params.crop)) throw new Problem(404, 'Not found', 'There is no such crop in the list.');
    const { how } = parseBody(z.object({ how: z.enum(['sow', 'transplant']).optional() }), req.query);
    const { data, nowMs } = await ctx.standing(false);
    res.json(cropView(ctx.seasons, data, nowMs, cropById(req.params.crop), how));
  });

  router.get('/plantings/:id/story', async (req, res) => {
    res.json(await storyOf(ctx, req.params.id));
  });

  router.post('/season/again', (_req, res) => {
    ctx.seasons.again();
    res.status(204).end();
  });

  return router;
}
