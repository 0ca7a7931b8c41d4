/** The grower's own forecast or record: preview, take all or none, take back. */
import type { ForecastView, ImportView } from '@fogata/contract';
import { readForecastCsv } from '@fogata/core';
import { desc, eq } from 'drizzle-orm';
import { Router } from 'express';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import type { Context } from '../context';
import { forecasts } from '../db/schema';
import { notFound, parseBody } from '../problem';

const importSchema = z.object({
  name: z.string().trim().min(1, 'a name').max(80, 'at most 80 letters'),
  csv: z.string().min(1, 'a CSV text').max(4_000_000, 'at most 4 MB'),
  dryRun: z.boolean(),
});

export function forecastRoutes(ctx: Context): Router {
  const router = Router();

  router.get('/forecasts', async (_req, res) => {
    const rows = await ctx.db.select().from(forecasts).orderBy(desc(forecasts.importedMs));
    const view: ForecastView = {
      imported: rows.map(({ id, name, importedMs, fromMs, toMs, active }) => ({
        id,
        name,
        importedMs,
        fromMs,
        toMs,
        active,
      })),
    };
    res.json(view);
  });

  router.post('/forecasts', async (req, res) => {
    const body = parseBody(importSchema, req.body);
    const { data, nowMs } = await ctx.moment();
    const reading = readForecastCsv(body.csv, data.farm.timeZone);
    const ok = reading.badRows.length === 0;
    const first = reading.entries[0];
    const last = reading.entries.at(-1);
    const view: ImportView = {
      taken: ok && !body.dryRun,
      rows: reading.entries.length,
      fromMs: first ? Date.parse(first.time) : null,
      toMs: last ? Date.parse(last.time) : null,
      minC: reading.entries.length > 0 ? Math.min(...reading.entries.map((e) => e.airC)) : null,
      columns: reading.columns,
      badRows: reading.badRows.slice(0, 200),
      preview: reading.entries.slice(0, 6),
    };
    if (ok && !body.dryRun) {
      await ctx.db.transaction(async (tx) => {
        await tx.update(forecasts).set({ active: false });
        await tx.insert(forecasts).values({
          id: randomUUID(),
          name: body.name,
          importedMs: nowMs,
          fromMs: view.fromMs!,
          toMs: view.toMs!,
          entries: reading.entries,
          active: true,
        });
      });
    }
    res.status(ok ? (body.dryRun ? 200 : 201) : 422).json(view);
  });

  router.post('/forecasts/:id/:action', async (req, res) => {
    const { id, action } = parseBody(
      z.object({ id: z.string(), action: z.enum(['use', 'drop']) }),
      req.params,
    );
    const found = await ctx.db.select({ id: forecasts.id }).from(forecasts).where(eq(forecasts.id, id));
    if (found.length === 0) throw notFound('forecast');
    await ctx.db.transaction(async (tx) => {
      await tx.update(forecasts).set({ active: false });
      if (action === 'use') await tx.update(forecasts).set({ active: true }).where(eq(forecasts.id, id));
    });
    res.status(204).end();
  });

  return router;
}
