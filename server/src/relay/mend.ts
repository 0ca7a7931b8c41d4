/** A planting that came up patchy: what each answer is worth, by the years of its place from today. */
import type { MendView } from '@fogata/contract';
import { cropOf, localDate } from '@fogata/core';
import { mends } from '@fogata/core/relay';
import { asUsed, dayOfYear, howOf, rowAt, type How } from '@fogata/core/season';
import type { Context } from '../context';
import { notFound } from '../problem';
import { groundOf, placesBy, questionOf } from '../season/views';
import { nextView } from './next';

/** Other crops that are offered. */
const OTHERS = 2;

export async function mendView(
  ctx: Context,
  id: string,
  stands: number,
  spares: number | null,
): Promise<MendView> {
  const { data, nowAtMs } = await ctx.standing(false);
  const planting = data.plantings.find((p) => p.id === id);
  const bed = data.beds.find((b) => b.id === planting?.bedId);
  if (!planting || !bed) throw notFound('planting');
  const crop = cropOf(planting);
  const how = howOf(planting, crop);
  const today = localDate(nowAtMs, data.farm.timeZone);
  const { climate, key } = groundOf(data, nowAtMs);
  const place = asUsed(placesBy(data, climate)(crop)).find((p) => p.structureId === bed.structureId);
  const base = { plantingId: id, name: crop.name, stands, clearedOn: planting.clearedOn };
  if (!place) return { ...base, answers: [], progress: { state: 'empty', done: 0, of: 0 } };
  const hows: How[] = crop.raiseDd === null ? ['sow'] : ['sow', 'transplant'];
  const { answers, progress } = ctx.seasons.ask(
    hows.map((h) => questionOf(data, place, crop, h, key, false, planting.own)),
  );
  const next = nextView(ctx.seasons, data, nowAtMs, {
    bed: bed.id,
    from: today,
    fromRow: planting.fromRow,
    toRow: planting.toRow,
  });
  const open = [progress, next.progress].find((p) => p.state !== 'ready');
  if (open) return { ...base, answers: [], progress: open };
  const rowsOf = (h: How) => answers[hows.indexOf(h)]?.rows ?? null;
  const at = (h: How, date: string) => {
    const rows = rowsOf(h);
    return rows ? rowAt(rows, dayOfYear(date)) : null;
  };
  return {
    ...base,
    answers: mends({
      crop,
      how,
      metres: planting.lengthM * (planting.toRow - planting.fromRow + 1),
      stands,
      today,
      clearedOn: planting.clearedOn,
      then: at(how, planting.plantedOn)!,
      now: { sow: at('sow', today), transplant: at('transplant', today) },
      hourlyRate: data.farm.hourlyRate,
      spares,
      others: next.choices.filter((c) => c.crop !== crop.id).slice(0, OTHERS),
    }),
    progress,
  };
}
