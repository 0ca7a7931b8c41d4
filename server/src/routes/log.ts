/** Records: what happened, appended once; and plantings, whose changes are records too. */
import {
  incomingSchema,
  plantingSchema,
  type FarmRecord,
  type LogEntry,
  type LogView,
  type SentRecord,
  type StepRecord,
} from '@fogata/contract';
import {
  apply,
  cropById,
  inUse,
  localDate,
  lying,
  piecesOn,
  sheetOf,
  type Lain,
  type Planting,
  said,
} from '@fogata/core';
import type { en } from '@fogata/core/words';
import { withStep } from '@fogata/core/season';
import { eq } from 'drizzle-orm';
import { Router } from 'express';
import { z } from 'zod';
import type { Context, FarmNow } from '../context';
import type { Db } from '../db/open';
import { plantings } from '../db/schema';
import { writing } from '../db/write';
import { checkPlanting } from '../farm/checkPlanting';
import { describeRecord } from '../farm/describe';
import { appendRecords, logPage, recordsByIds } from '../farm/log';
import { readPlantings } from '../farm/rows';
import { bringThings, changeThing, takeBack } from '../farm/things';
import { notFound, parseBody, Problem } from '../problem';

const PAGE = 60;

type Target = Parameters<(typeof en)['refuse.ofFarm']>[0]['what'];

/** What a record points to must be there, or nothing of the batch is taken. */
function checkTarget(r: SentRecord, m: FarmNow): void {
  if (r.atMs > m.nowAtMs + AHEAD_MS || r.atMs < 0) throw new Problem(422, said('refuse.notYet'), 'atMs');
  const has = (list: readonly { id: string }[], id: string) => list.some((x) => x.id === id);
  const fail = (field: string, what: Target) => {
    throw new Problem(422, said('refuse.ofFarm', { field, what }), field);
  };
  if (r.kind === 'cover') {
    if (!has(m.data.beds, r.bedId)) fail('bedId', 'bed');
    if (!has(m.data.covers, r.coverId)) fail('coverId', 'cover');
  }
  if (r.kind === 'vent' && !has(m.data.structures, r.structureId)) fail('structureId', 'structure');
  if (r.kind === 'reading') {
    if (r.spot !== 'outside' && !has(m.data.structures, r.spot)) fail('spot', 'spot');
    if (r.minC === null && r.maxC === null) throw new Problem(422, said('refuse.noReading'), 'minC');
    if (r.minC !== null && r.maxC !== null && r.minC > r.maxC)
      throw new Problem(422, said('refuse.maxUnderMin'), 'maxC');
  }
  if (r.kind === 'step' && r.done && r.on > localDate(m.nowAtMs + AHEAD_MS, m.data.farm.timeZone))
    throw new Problem(422, said('refuse.dayToCome'), 'on');
  if (
    (r.kind === 'harm' || r.kind === 'harvest' || r.kind === 'step') &&
    !has(m.data.plantings, r.plantingId)
  )
    fail('plantingId', 'planting');
  if ((r.kind === 'water' || r.kind === 'soil' || r.kind === 'feed') && !has(m.data.beds, r.bedId))
    fail('bedId', 'bed');
  if (r.kind === 'decision' && !has(m.data.beds, r.bedId)) fail('bedId', 'bed');
}

/** Whether an opening was left as it stands not long before an act that leaves it so again. */
const SAME_MOVE_MS = 3 * 3_600_000;
const standsSince = (r: { structureId: string; atMs: number }, state: Lain): boolean =>
  Math.abs(r.atMs - (state.openings.get(r.structureId)?.atMs ?? -Infinity)) <= SAME_MOVE_MS;

/**
 * What of these is still to be kept: an act that names how many lay there and comes second (another phone, another tap) is the
 * same act again. Laying a piece that is already elsewhere is refused: never more than there are.
 */
function stillToDo(list: readonly FarmRecord[], m: FarmNow): FarmRecord[] {
  const free = new Map(m.data.covers.map((c) => [c.id, c.count - inUse(m.data, m.state, c).pieces]));
  let state: Lain = m.state;
  return list.filter((r) => {
    if (r.kind === 'vent') {
      // two phones that tick one move: it stands so already
      const again = state.openings.get(r.structureId)?.fraction === r.fraction && standsSince(r, state);
      state = apply(state, r);
      return !again;
    }
    if (r.kind !== 'cover') return true;
    const there = lying(state, r.bedId, r.coverId);
    if (r.lying !== undefined && (r.on ? there > r.lying : there < r.lying)) return false;
    const cover = sheetOf(r, m.data.covers)!;
    const bed = m.data.beds.find((b) => b.id === r.bedId)!;
    const pieces = piecesOn(
      cover,
      m.data.structures.find((s) => s.id === bed.structureId)!,
      bed,
    );
    const left = free.get(r.coverId) ?? 0;
    // one piece on a bed that takes two is what happened, and is kept; with none free it cannot have
    if (r.on && left < 1) throw new Problem(409, said('refuse.noneLeft', { name: cover.name }), 'coverId');
    free.set(r.coverId, left + (r.on ? -pieces : pieces));
    state = apply(state, r);
    return true;
  });
}

/** An instant further ahead than a clock can be wrong is a slip, and would stand before all that is still to happen. */
const AHEAD_MS = 26 * 3_600_000;

/**
 * A planting as the form gives it: what the form does not know of stays; one that is put into days to come is planned, and a
 * planned one that is given a day that was has been planted.
 */
function asMeant(body: Planting, before: Planting | undefined, today: string): Planting {
  const { planned: _planned, ...p } = { ...(before?.done ? { done: before.done } : {}), ...body };
  const same = before?.planned === true && before.plantedOn === p.plantedOn;
  return p.plantedOn > today || same ? { ...p, planned: true } : p;
}

/**
 * A step kept as what it changes of its planting, under the id that the device gave it. One that was done already, by another phone, is
 * the same step again.
 */
async function takeStep(db: Db, r: StepRecord, m: FarmNow): Promise<number> {
  const [before] = await readPlantings(db, eq(plantings.id, r.plantingId));
  if (!before || (r.done && before.done?.[r.step] !== undefined)) return 0;
  const after = withStep(before, cropById(before.crop), r.step, r.on, r.done);
  checkPlanting(after, m.data.beds);
  const recordId = await changeThing(
    db,
    'planting',
    before.id,
    after,
    { nowAtMs: m.nowAtMs, atMs: r.atMs, id: r.id, ...(r.by ? { by: r.by } : {}) },
    r.step === 'clear' && r.done ? 'cleared' : undefined,
  );
  return recordId === null ? 0 : 1;
}

export function logRoutes(ctx: Context): Router {
  const router = Router();

  router.post('/records', async (req, res) => {
    const { records } = parseBody(incomingSchema, req.body);
    const ids = records.map((r) => r.id);
    // what lies where is looked at within the write: no other phone's tap comes between
    const added = await writing(ctx.db, async (db) => {
      const m = await ctx.standing(
        records.some((r) => r.kind === 'cover' || r.kind === 'vent'),
        db,
      );
      const known = new Set((await recordsByIds(db, ids)).map((r) => r.record.id));
      const fresh = records.filter((r) => !known.has(r.id));
      for (const r of fresh) checkTarget(r, m);
      const isStep = (r: (typeof fresh)[number]): r is StepRecord => r.kind === 'step';
      const todo = new Set<SentRecord>(
        stillToDo(
          fresh.flatMap((r) => (isStep(r) ? [] : [r])),
          m,
        ),
      );
      // in the order in which it happened: a step, its taking back and another may come together
      let added = 0;
      let run: FarmRecord[] = [];
      const flush = async () => {
        await takeBack(db, run);
        added += await appendRecords(db, run, Date.now(), m.nowAtMs);
        run = [];
      };
      for (const r of fresh) {
        if (isStep(r)) {
          await flush();
          added += await takeStep(db, r, m);
        } else if (todo.has(r)) run.push(r);
      }
      await flush();
      return added;
    });
    res.status(201).json({ added, known: records.length - added });
  });

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
    const entries: LogEntry[] = rows.slice(0, PAGE).map((r) => ({
      // what a file changed is long, and said in the detail
      record: r.record.kind === 'brought' ? { ...r.record, changes: [] } : r.record,
      recordedAtMs: r.recordedAtMs,
      retracted: r.void,
      actor: r.actor,
      ...describeRecord(r.record, m.data),
    }));
    const view: LogView = { entries, more: rows.length > PAGE };
    res.json(view);
  });

  const write = (p: Planting, m: FarmNow, action?: 'cleared' | undefined) =>
    writing(ctx.db, (tx) => changeThing(tx, 'planting', p.id, p, { nowAtMs: m.nowAtMs }, action));

  router.put('/plantings/:id', async (req, res) => {
    const body = parseBody(plantingSchema, { ...(req.body as object), id: req.params.id }) as Planting;
    const m = await ctx.moment();
    checkPlanting(body, m.data.beds);
    const planting = asMeant(
      body,
      m.data.plantings.find((p) => p.id === body.id),
      localDate(m.nowAtMs, m.data.farm.timeZone),
    );
    res.json({ planting, recordId: await write(planting, m) });
  });

  /** Several at once, as one entry of the log. */
  router.post('/plantings/many', async (req, res) => {
    const body = parseBody(
      z.object({
        name: z.string().trim().min(1).max(80),
        plantings: z.array(plantingSchema).min(1).max(200),
      }),
      req.body,
    );
    const m = await ctx.standing(false);
    const today = localDate(m.nowAtMs, m.data.farm.timeZone);
    const known = (id: string) => m.data.plantings.find((p) => p.id === id);
    const changes = (body.plantings as Planting[]).map((p) => {
      checkPlanting(p, m.data.beds);
      if (known(p.id)) throw new Problem(422, said('refuse.idTaken'), 'id');
      return {
        what: 'planting' as const,
        targetId: p.id,
        before: null,
        after: { ...asMeant(p, undefined, today) } as Record<string, unknown>,
      };
    });
    const recordId = await writing(ctx.db, (tx) =>
      bringThings(tx, { name: body.name }, changes, { nowAtMs: m.nowAtMs }),
    );
    res.status(201).json({ recordId });
  });

  router.post('/plantings/:id/clear', async (req, res) => {
    const m = await ctx.moment();
    const before = m.data.plantings.find((p) => p.id === req.params.id);
    if (!before) throw notFound('planting');
    const cleared = { ...before, clearedOn: localDate(m.nowAtMs, m.data.farm.timeZone) };
    res.json({ planting: cleared, recordId: await write(cleared, m, 'cleared') });
  });

  return router;
}
