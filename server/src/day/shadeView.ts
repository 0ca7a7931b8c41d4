/** When each house wants its shade cloth in the coming year, as the screen reads it. */
import type { ShadeRow, ShadeView } from '@fogata/contract';
import { addDays, cropById, type Structure } from '@fogata/core';
import { shadeTask, type ShadeSpan } from '@fogata/core/day';
import type { Context } from '../context';
import { groundOf } from '../season/views';

/** A cloth that is wanted so soon is left on. */
const SOON_DAYS = 14;

function rowsOf(structure: Structure, spans: readonly ShadeSpan[], today: string): ShadeRow[] {
  const base = { structureId: structure.id, name: structure.name, isOn: structure.shade !== undefined };
  const rows = spans.map((s): ShadeRow => {
    const { crop, limitC, openC, clothC } = s;
    return {
      ...base,
      what: 'on',
      from: s.from,
      to: s.to,
      why: { crop: cropById(crop).name, limitC, openC, clothC },
    };
  });
  const wanted = spans.some((s) => s.from <= addDays(today, SOON_DAYS) && s.to >= today);
  if (!base.isOn || wanted) return rows;
  return [{ ...base, what: 'off', from: null, to: spans[0]?.from ?? null, why: null }, ...rows];
}

export async function shadeView(ctx: Context): Promise<ShadeView> {
  const m = await ctx.moment();
  const { climate, today } = groundOf(m.data, m.nowAtMs);
  const tasks = m.data.structures.flatMap((s) => shadeTask(m.data, s, today, climate) ?? []);
  const { answers, progress } = ctx.shade.ask(tasks);
  const rows = tasks.flatMap((t, i) => {
    const structure = m.data.structures.find((s) => s.id === t.structureId)!;
    const spans = answers[i];
    return spans ? rowsOf(structure, spans, today) : [];
  });
  return { today, progress, rows };
}
