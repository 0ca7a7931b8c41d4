/** Records: what happened, appended once; and plantings, whose changes are records too. */
import {
  incomingSchema,
  plantingSchema,
  type FarmRecord,
  type LogEntry,
  type LogView,
} from '@fogata/contract';
import { localDate, type Planting } from '@fogata/core';
import { Router } from 'express';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import type { Context, Moment } from '../context';
import { retractedIds, type FarmState } from '../farm/state';
import { inUse, piecesOn } from '../farm/stock';
import {
  allRetractions,
  appendRecords,
  deletePlanting,
  findPlanting,
  logPage,
  recordsByIds,
  savePlanting,
} from '../farm/store';
import { describeRecord } from '../farm/describe';
import { notFound, parseBody, Problem } from '../problem';

const PAGE = 60;

/** What a record points to must be there, or nothing of the batch is taken. */
function checkTarget(r: FarmRecord, m: Moment): void {
  const has = (list: readonly { id: string }[], id: string) => list.some((x) => x.id === id);
  const fail = (field: string, what: string) => {
    throw new Problem(422, 'Not accepted', `${field}: expected ${what} of this farm`, field);
  };
  if (r.kind === 'cover') {
    if (!has(m.data.beds, r.bedId)) fail('bedId', 'a bed');
    if (!has(m.data.covers, r.coverId)) fail('coverId', 'a cover');
  }
  if (r.kind === 'vent' && !has(m.data.structures, r.structureId)) fail('structureId', 'a structure');
  if (r.kind === 'reading') {
    if (r.spot !== 'outside' && !has(m.data.structures, r.spot)) fail('spot', 'outside or a structure');
    if (r.minC === null && r.maxC === null)
      throw new Problem(422, 'Not accepted', 'minC: expected a minimum or a maximum', 'minC');
    if (r.minC !== null && r.maxC !== null && r.minC > r.maxC)
      throw new Problem(
        422,
        'Not accepted',
        `maxC: expected no lower than the minimum, ${r.minC} °C`,
        'maxC',
      );
  }
  if ((r.kind === 'harm' || r.kind === 'harvest') && !has(m.data.plantings, r.plantingId))
    fail('plantingId', 'a planting');
  if (r.kind === 'decision' && !has(m.data.beds, r.bedId)) fail('bedId', 'a bed');
}

/** Laying a piece that is already elsewhere is refused: never more than there are, a sheet of two pieces counting two. */
function checkStock(list: readonly FarmRecord[], m: Moment, state: FarmState): void {
  const free = new Map(m.data.covers.map((c) => [c.id, c.count - inUse(m.data, state, c).pieces]));
  for (const r of list) {
    if (r.kind !== 'cover') continue;
    const cover = m.data.covers.find((c) => c.id === r.coverId)!;
    const bed = m.data.beds.find((b) => b.id === r.bedId)!;
    const pieces = piecesOn(
      cover,
      m.data.structures.find((s) => s.id === bed.structureId)!,
      bed,
    );
    const left = free.get(r.coverId) ?? 0;
    free.set(r.coverId, left + (r.on ? -pieces : pieces));
    // one piece on a bed that takes two is what happened, and is kept; with none free it cannot have
    if (r.on && left < 1) {
      throw new Problem(
        409,
        'None left',
        `Every piece of ${cover.name} is already on a bed. Take one off first, or correct the stock.`,
        'coverId',
      );
    }
  }
}

export function logRoutes(ctx: Context): Router {
  const router = Router();

  router.post('/records', async (req, res) => {
    const { records } = parseBody(incomingSchema, req.body);
    const m = await ctx.moment();
    const known = new Set(
      (
        await recordsByIds(
          ctx.db,
          records.map((r) => r.id),
        )
      ).map((r) => r.record.id),
    );
    const fresh = records.filter((r) => !known.has(r.id));
    for (const r of fresh) checkTarget(r, m);
    checkStock(fresh, m, m.state);
    await undoPlantings(fresh);
    const added = await appendRecords(ctx.db, fresh, Date.now());
    res.status(201).json({ added, known: records.length - fresh.length });
  });

  /** A retraction of a planting's change also puts the planting back. */
  async function undoPlantings(list: readonly FarmRecord[]): Promise<void> {
    const targets = list.flatMap((r) => (r.kind === 'retraction' ? [r.retracts] : []));
    for (const { record } of await recordsByIds(ctx.db, targets)) {
      if (record.kind !== 'planting') continue;
      if (record.before === null) await deletePlanting(ctx.db, record.plantingId);
      else await savePlanting(ctx.db, parseBody(plantingSchema, record.before));
    }
  }

  router.get('/log', async (req, res) => {
    const query = parseBody(
      z.object({ kinds: z.string().optional(), offset: z.coerce.number().int().min(0).optional() }),
      req.query,
    );
    const m = await ctx.moment();
    const rows = await logPage(
      ctx.db,
      PAGE + 1,
      query.kinds ? query.kinds.split(',') : null,
      query.offset ?? 0,
    );
    const gone = retractedIds(await allRetractions(ctx.db));
    const entries: LogEntry[] = rows
      .slice(0, PAGE)
      .filter((r) => r.record.kind !== 'retraction')
      .map((r) => ({
        record: r.record,
        recordedMs: r.recordedMs,
        retracted: gone.has(r.record.id),
        ...describeRecord(r.record, m.data, m.style),
      }));
    const view: LogView = { entries, more: rows.length > PAGE };
    res.json(view);
  });

  function checkPlanting(p: Planting, m: Moment): void {
    const bed = m.data.beds.find((b) => b.id === p.bedId);
    if (!bed) throw new Problem(422, 'Not accepted', 'bedId: expected a bed of this farm', 'bedId');
    if (p.toRow < p.fromRow)
      throw new Problem(422, 'Not accepted', `toRow: expected row ${p.fromRow} or higher`, 'toRow');
    if (p.toRow > bed.rows)
      throw new Problem(
        422,
        'Not accepted',
        `toRow: expected no more than ${bed.rows}, the rows of ${bed.name}`,
        'toRow',
      );
    if (p.lengthM > bed.lengthM)
      throw new Problem(
        422,
        'Not accepted',
        `lengthM: expected no more than ${bed.lengthM}, the length of ${bed.name}`,
        'lengthM',
      );
    if (p.clearedOn !== null && p.clearedOn < p.plantedOn)
      throw new Problem(422, 'Not accepted', 'clearedOn: expected a date after planting', 'clearedOn');
  }

  async function writePlanting(
    p: Planting,
    action: 'added' | 'changed' | 'cleared',
    before: Planting | null,
  ): Promise<string> {
    await savePlanting(ctx.db, p);
    const id = randomUUID();
    await appendRecords(
      ctx.db,
      [
        {
          id,
          kind: 'planting',
          atMs: ctx.options.clock.nowMs(),
          plantingId: p.id,
          action,
          before: before as Record<string, unknown> | null,
          after: { ...p },
        },
      ],
      Date.now(),
    );
    return id;
  }

  router.put('/plantings/:id', async (req, res) => {
    const body = parseBody(plantingSchema, { ...(req.body as object), id: req.params.id });
    const m = await ctx.moment();
    checkPlanting(body, m);
    const before = await findPlanting(ctx.db, body.id);
    const recordId = await writePlanting(body, before ? 'changed' : 'added', before);
    res.json({ planting: body, recordId });
  });

  router.post('/plantings/:id/clear', async (req, res) => {
    const before = await findPlanting(ctx.db, req.params.id);
    if (!before) throw notFound('planting');
    const m = await ctx.moment();
    const cleared = { ...before, clearedOn: localDate(m.nowMs, m.data.farm.timeZone) };
    const recordId = await writePlanting(cleared, 'cleared', before);
    res.json({ planting: cleared, recordId });
  });

  return router;
}
