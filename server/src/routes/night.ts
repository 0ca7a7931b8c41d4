/** Now, places, nights. */
import { date } from '@fogata/contract';
import { Router } from 'express';
import type { Context } from '../context';
import { shadeView } from '../day/shadeView';
import { dayView } from '../day/view';
import { findNight } from '../farm/store';
import { messagesView } from '../messages/look';
import { caseOf } from '../night/caseExport';
import { nowOf } from '../night/nowOf';
import { ribbonOf } from '../night/glyph';
import { waterView } from '../water/view';
import { placeView } from '../night/placeView';
import { nightsView } from '../night/nights';
import { nightReport } from '../night/report';
import { notFound } from '../problem';

export function nightRoutes(ctx: Context): Router {
  const router = Router();

  router.get('/water', async (_req, res) => {
    res.json(await waterView(ctx));
  });

  router.get('/now', async (_req, res) => {
    res.json(await nowOf(ctx));
  });

  router.get('/shade', async (_req, res) => {
    res.json(await shadeView(ctx));
  });

  router.get('/day', async (_req, res) => {
    res.json(await dayView(ctx));
  });

  router.get('/nights', async (_req, res) => {
    res.json(await nightsView(ctx.db));
  });

  router.get('/messages', async (_req, res) => {
    res.json(await messagesView(ctx));
  });

  router.get('/ahead', async (_req, res) => {
    res.json(await ctx.ahead.view(await ctx.moment()));
  });

  router.post('/plan/again', (_req, res) => {
    ctx.ahead.again();
    ctx.planner.again();
    res.status(204).end();
  });

  router.get('/places/:bedId', async (req, res) => {
    const m = await ctx.moment();
    const bed = m.data.beds.find((b) => b.id === req.params.bedId);
    const structure = m.data.structures.find((s) => s.id === bed?.structureId);
    if (!bed || !structure) throw notFound('bed');
    const { progress, plan } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
    const background = await ctx.planner.backgroundFor(m.data, m.weather, m.nowAtMs);
    res.json(
      placeView({
        data: m.data,
        state: m.state,
        clock: m.clock,
        structure,
        bed,
        background,
        plan,
        progress,
      }),
    );
  });

  router.get('/places/:bedId/ribbon', async (req, res) => {
    const m = await ctx.moment();
    const { plan } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
    const b = plan?.beds.find((x) => x.bed.id === req.params.bedId);
    if (!plan || !b) throw notFound('nightOfBed');
    res.json(ribbonOf(plan, b));
  });

  router.get('/places/:bedId/case', async (req, res) => {
    const m = await ctx.moment();
    const { plan } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
    const b = plan?.beds.find((x) => x.bed.id === req.params.bedId);
    if (!plan || !b) throw notFound('nightOfBed');
    res.setHeader('Content-Disposition', `attachment; filename="${b.bed.id}-${plan.window.night}.json"`);
    res.json(caseOf(plan, b));
  });

  router.get('/nights/:night', async (req, res) => {
    const m = await ctx.moment();
    const { success } = date.safeParse(req.params.night);
    // dates of an age in which there were farms with computers
    if (!success || !/^20\d\d|^21\d\d/.test(req.params.night)) throw notFound('night');
    const kept = await findNight(ctx.db, req.params.night);
    res.json(await nightReport(await ctx.spotInputs(m, req.params.night), kept?.data ?? null));
  });

  return router;
}
