/** Feeds: weather and temperatures pushed with a token, an address to be polled, the token itself. */
import {
  feedTemperaturesSchema,
  feedWeatherSchema,
  loggerSchema,
  pollSchema,
  type FeedView,
  type ImportView,
} from '@fogata/contract';
import { readLoggerCsv, type LoggedC, said } from '@fogata/core';
import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { Router, type Request } from 'express';
import type { Context, Moment } from '../context';
import { readMeta, writeMeta } from '../farm/store';
import { OUTSIDE } from '../night/spots';
import { parseBody, Problem } from '../problem';
import { seasonCalendar } from '../season/calendar';
import { pollOnce, pollState, setPoll } from '../sources/poll';
import { takeFeed, takeTemperatures } from '../sources/take';

const TOKEN = 'feedToken';
/** Whoever has this one reads the season's jobs, and nothing else. */
const CALENDAR = 'calendarToken';
const digest = (text: string) => createHash('sha256').update(text).digest('hex');

/** A spot by its id or its name, in any case. */
function spotNamed(m: Moment): (name: string) => string | null {
  return (name) => {
    if (name.toLowerCase() === OUTSIDE) return OUTSIDE;
    const same = (x: { id: string; name: string }) =>
      x.id === name || x.name.toLowerCase() === name.toLowerCase();
    return m.data.structures.find(same)?.id ?? null;
  };
}

export function feedRoutes(ctx: Context): Router {
  const router = Router();
  const now = () => ctx.options.clock.nowAtMs();

  async function holds(token: string, given: string | undefined): Promise<boolean> {
    const kept = await readMeta(ctx.db, token);
    return Boolean(kept && given && timingSafeEqual(Buffer.from(kept), Buffer.from(digest(given))));
  }

  /** The caller holds the token that was last made. */
  async function checkToken(req: Request): Promise<void> {
    const given = /^Bearer (\S{20,100})$/.exec(req.headers.authorization ?? '')?.[1];
    if (!(await holds(TOKEN, given))) throw new Problem(401, said('refuse.token'));
  }

  const view = async (): Promise<FeedView> => ({
    token: Boolean(await readMeta(ctx.db, TOKEN)),
    calendar: Boolean(await readMeta(ctx.db, CALENDAR)),
    poll: await pollState(ctx.db),
  });

  router.get('/feeds', async (_req, res) => {
    res.json(await view());
  });

  /** Makes a token and shows it this once; one that was out before is void. */
  router.post('/feeds/token', async (_req, res) => {
    const token = randomBytes(24).toString('base64url');
    await writeMeta(ctx.db, TOKEN, digest(token));
    res.status(201).json({ token });
  });

  router.delete('/feeds/token', async (_req, res) => {
    await writeMeta(ctx.db, TOKEN, '');
    res.status(204).end();
  });

  /** An address that a calendar can read again and again; one that was out before is void. */
  router.post('/feeds/calendar', async (_req, res) => {
    const key = randomBytes(24).toString('base64url');
    await writeMeta(ctx.db, CALENDAR, digest(key));
    res.status(201).json({ path: `/api/feed/season.ics?key=${key}` });
  });

  router.delete('/feeds/calendar', async (_req, res) => {
    await writeMeta(ctx.db, CALENDAR, '');
    res.status(204).end();
  });

  router.get('/feed/season.ics', async (req, res) => {
    const { key } = req.query;
    if (!(await holds(CALENDAR, typeof key === 'string' ? key : undefined)))
      throw new Problem(401, said('refuse.key'));
    res.type('text/calendar').send(await seasonCalendar(ctx));
  });

  router.put('/feeds/poll', async (req, res) => {
    await setPoll(ctx.db, parseBody(pollSchema, req.body).url);
    await pollOnce(ctx.db, now());
    res.json(await view());
  });

  router.post('/feed/weather', async (req, res) => {
    await checkToken(req);
    res.status(201).json(await takeFeed(ctx.db, parseBody(feedWeatherSchema, req.body), 'push', now()));
  });

  router.post('/feed/thermometers', async (req, res) => {
    await checkToken(req);
    const body = parseBody(feedTemperaturesSchema, req.body);
    const named = spotNamed(await ctx.moment());
    const rows = body.readings.map((r, i): LoggedC => {
      const spot = named(r.spot);
      if (spot === null) throw new Problem(422, said('refuse.spotOfReading', { i }), `readings[${i}].spot`);
      return { spot, atMs: Date.parse(r.time), c: r.c };
    });
    await takeTemperatures(ctx.db, rows, 'push', now());
    res.status(201).json({ readings: rows.length });
  });

  /** A logger's table, brought by hand. */
  router.post('/temperatures', async (req, res) => {
    const body = parseBody(loggerSchema, req.body);
    const m = await ctx.moment();
    const named = spotNamed(m);
    if (body.spot !== null && named(body.spot) === null) throw new Problem(422, said('refuse.spot'), 'spot');
    const { rows, badRows } = readLoggerCsv(body.csv, m.data.farm.timeZone, body.spot, named);
    const ok = badRows.length === 0;
    const times = rows.map((r) => r.atMs);
    if (ok && !body.dryRun) await takeTemperatures(ctx.db, rows, 'file', m.nowAtMs);
    const answer: ImportView = {
      taken: ok && !body.dryRun,
      rows: rows.length,
      fromAtMs: ok ? times.reduce((a, b) => Math.min(a, b), Infinity) : null,
      toAtMs: ok ? times.reduce((a, b) => Math.max(a, b), -Infinity) : null,
      minC: ok ? rows.reduce((a, r) => Math.min(a, r.c), Infinity) : null,
      columns: [],
      badRows: badRows.slice(0, 200),
      preview: [],
      estimated: [],
    };
    res.status(ok ? (body.dryRun ? 200 : 201) : 422).json(answer);
  });

  return router;
}
