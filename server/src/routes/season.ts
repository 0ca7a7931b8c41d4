/** Seasons: what to begin this week, a crop's year. */
import { date } from '@fogata/contract';
import { daysBetween, isCrop, localDate, said, wants } from '@fogata/core';
import { usualHow } from '@fogata/core/season';
import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../context';
import { notFound, parseBody, Problem } from '../problem';
import { seasonCalendar } from '../season/calendar';
import { countersView } from '../season/counters';
import { storyOf } from '../season/story';
import { compareView } from '../relay/compare';
import { mendView } from '../relay/mend';
import { needView } from '../relay/need';
import { takeClimate } from '../season/climateFile';
import { cropView, farmCrop, seasonView } from '../season/views';

const needSchema = z
  .object({
    from: date,
    to: date,
    kg: z.coerce.number().gt(0).max(5000),
    how: z.enum(['sow', 'transplant']).optional(),
    risk: z.coerce.number().min(0.02).max(0.6).optional(),
  })
  .refine((n) => n.to > n.from, { path: ['to'], error: wants('want.after', { field: 'from' }) })
  .refine((n) => daysBetween(n.from, n.to) <= 365, {
    path: ['to'],
    error: wants('want.withinYear', { field: 'from' }),
  });

const waySchema = z.object({
  crop: z.string().refine(isCrop, wants('want.crop')),
  how: z.enum(['sow', 'transplant']),
  structureId: z.string().max(64),
  date,
});

const climateSchema = z.object({
  text: z.string().min(1).max(2_000_000),
  dryRun: z.boolean().default(false),
});

export function seasonRoutes(ctx: Context): Router {
  const router = Router();

  router.get('/season', async (_req, res) => {
    const { data, nowAtMs } = await ctx.standing(false);
    res.json(seasonView(ctx.seasons, data, nowAtMs));
  });

  /** A station's record: days, hours or an EPW; with `dryRun` only looked at. */
  router.post('/climate', async (req, res) => {
    const body = parseBody(climateSchema, req.body);
    const { data, nowAtMs } = await ctx.standing(false);
    const view = await takeClimate(ctx, body.text, body.dryRun, data.farm, nowAtMs);
    res.status(view.badRows.length > 0 || view.use === 'nothing' ? 422 : body.dryRun ? 200 : 201).json(view);
  });

  router.get('/season.ics', async (_req, res) => {
    res.setHeader('Content-Disposition', 'attachment; filename="season.ics"');
    res.type('text/calendar').send(await seasonCalendar(ctx));
  });

  router.get('/season/:crop', async (req, res) => {
    if (!isCrop(req.params.crop)) throw new Problem(404, said('refuse.noSuchCrop'));
    const { how } = parseBody(z.object({ how: z.enum(['sow', 'transplant']).optional() }), req.query);
    const { data, nowAtMs } = await ctx.standing(false);
    res.json(cropView(ctx.seasons, data, nowAtMs, farmCrop(data, req.params.crop), how));
  });

  router.get('/counters', async (_req, res) => {
    res.json(await countersView(ctx));
  });

  /** Ways to begin side by side: `ways` is a list of crop,how,structure,date, separated by semicolons. */
  router.get('/compare', async (req, res) => {
    const { ways } = parseBody(z.object({ ways: z.string().max(2000).default('') }), req.query);
    const { data, nowAtMs } = await ctx.standing(false);
    const list = ways
      .split(';')
      .filter(Boolean)
      .map((text) => {
        const [crop, how, structureId, on] = text.split(',');
        return { crop, how, structureId, date: on };
      });
    const asked = parseBody(z.array(waySchema).max(8), list);
    const lost = asked.find((w) => !data.structures.some((s) => s.id === w.structureId));
    if (lost) throw notFound('structure');
    res.json(compareView(ctx.seasons, data, nowAtMs, asked));
  });

  /** So many kilos a week, from one day to another. */
  router.get('/season/:crop/need', async (req, res) => {
    if (!isCrop(req.params.crop)) throw new Problem(404, said('refuse.noSuchCrop'));
    const asked = parseBody(needSchema, req.query);
    const { data, nowAtMs } = await ctx.standing(false);
    const crop = farmCrop(data, req.params.crop);
    if (crop.yieldKgPerM === null)
      throw new Problem(422, said('refuse.notWeighed', { name: crop.name }), 'crop');
    const today = localDate(nowAtMs, data.farm.timeZone);
    if (asked.to < today) throw new Problem(422, said('refuse.dayPast'), 'to');
    const how = asked.how ?? usualHow(crop);
    const risk = asked.risk ?? data.farm.relay.risk;
    res.json(await needView(ctx, crop, { from: asked.from, to: asked.to, kgPerWeek: asked.kg, how, risk }));
  });

  /** It came up patchy: what each answer is worth. */
  router.get('/plantings/:id/mend', async (req, res) => {
    const asked = parseBody(
      z.object({
        stands: z.coerce.number().min(0).max(1),
        spares: z.coerce.number().int().min(0).max(100_000).optional(),
      }),
      req.query,
    );
    res.json(await mendView(ctx, req.params.id, asked.stands, asked.spares ?? null));
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
