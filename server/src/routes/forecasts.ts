/** The grower's own weather: typed, or a table that is looked at, taken whole or not at all, and set aside. */
import { importSchema, typedSchema, type ForecastView, type ImportView } from '@fogata/contract';
import { readForecastCsv, said } from '@fogata/core';
import { desc, eq, getTableColumns } from 'drizzle-orm';
import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../context';
import { forecasts } from '../db/schema';
import { writing } from '../db/write';
import { notFound, parseBody } from '../problem';
import { isForecast } from '../sources/farmWeather';
import { weatherChanged } from '../sources/kept';
import { ESTIMATED_DOUBT, takeIssue, takeObserved, takeTyped } from '../sources/take';

/** So many forecasts are listed, the newest. */
const LISTED = 40;
/** A forecast reaches at most so far; what is longer is a record. */
const LONGEST_FORECAST_H = 24 * 17;

export function forecastRoutes(ctx: Context): Router {
  const router = Router();

  router.get('/forecasts', async (_req, res) => {
    const m = await ctx.moment();
    const { entries: _entries, doubt: _doubt, ...columns } = getTableColumns(forecasts);
    const rows = await ctx.db
      .select(columns)
      .from(forecasts)
      .orderBy(desc(forecasts.importedAtMs))
      .limit(LISTED);
    const coming = m.weather.coming(m.clock.window, m.nowAtMs, m.nowAtMs);
    const view: ForecastView = { imported: rows, using: isForecast(coming) ? coming.id : null };
    res.json(view);
  });

  router.post('/forecasts/typed', async (req, res) => {
    const body = parseBody(typedSchema, req.body);
    const { data, nowAtMs } = await ctx.moment();
    res.status(201).json({ id: await takeTyped(ctx.db, body, data.farm, nowAtMs) });
  });

  router.post('/forecasts', async (req, res) => {
    const body = parseBody(importSchema, req.body);
    const { data, nowAtMs } = await ctx.moment();
    const reading = readForecastCsv(body.csv, data.farm.timeZone);
    const { entries } = reading;
    const last = entries.at(-1);
    const badRows = [...reading.badRows];
    if (badRows.length === 0 && body.as === 'forecast' && entries.length > LONGEST_FORECAST_H)
      badRows.push({
        row: 1,
        reason: said('row.longForecast', { hours: entries.length }),
      });
    if (badRows.length === 0 && body.as === 'record' && Date.parse(last!.time) > nowAtMs + 3_600_000)
      badRows.push({ row: 1, reason: said('row.recordToCome') });
    const ok = badRows.length === 0;
    const view: ImportView = {
      taken: ok && !body.dryRun,
      rows: entries.length,
      fromAtMs: entries[0] ? Date.parse(entries[0].time) : null,
      toAtMs: last ? Date.parse(last.time) : null,
      minC: entries.length > 0 ? entries.reduce((a, e) => Math.min(a, e.airC), Infinity) : null,
      columns: reading.columns,
      badRows: badRows.slice(0, 200),
      preview: entries.slice(0, 6),
      estimated: reading.estimated,
    };
    if (ok && !body.dryRun) {
      if (body.as === 'record') await takeObserved(ctx.db, entries, 'file', nowAtMs);
      else
        await takeIssue(
          ctx.db,
          {
            name: body.name,
            source: 'file',
            issuedAtMs: nowAtMs,
            entries,
            doubt: reading.estimated.length > 0 ? ESTIMATED_DOUBT : 1,
          },
          nowAtMs,
        );
    }
    res.status(ok ? (body.dryRun ? 200 : 201) : 422).json(view);
  });

  router.post('/forecasts/:id/:action', async (req, res) => {
    const { id, action } = parseBody(
      z.object({ id: z.string().max(64), action: z.enum(['use', 'drop']) }),
      req.params,
    );
    await writing(ctx.db, async (tx) => {
      const changed = await tx
        .update(forecasts)
        .set({ active: action === 'use' })
        .where(eq(forecasts.id, id))
        .returning({ id: forecasts.id });
      if (changed.length === 0) throw notFound('forecast');
      await weatherChanged(tx);
    });
    res.status(204).end();
  });

  return router;
}
