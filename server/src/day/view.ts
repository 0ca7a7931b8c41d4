/** The day as the screen reads it: what to open, when, and how hot it gets with and without. */
import type { DayStep, DayView } from '@fogata/contract';
import { cropById, localDate } from '@fogata/core';
import { awayOn, dayTasks, hotDaysOf, HOT_DAYS_END, POTS_HOT_C } from '@fogata/core/day';
import type { Context } from '../context';
import { isForecast } from '../sources/farmWeather';

const EMPTY = { state: 'empty', done: 0, of: 0 } as const;

const hotOf = (days: number) => (days === 0 ? null : { days, more: Math.max(0, HOT_DAYS_END - days) });

export async function dayView(ctx: Context): Promise<DayView> {
  const m = await ctx.moment();
  const { plan, progress } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
  const base: DayView = {
    nowAtMs: m.nowAtMs,
    phase: m.clock.phase,
    structures: [],
    away: [],
    progress: EMPTY,
  };
  // of a night that is not worked out yet, the day after is not known either
  if (!plan) return { ...base, progress: progress.state === 'computing' ? progress : EMPTY };
  const fromAtMs = Date.parse(plan.members[0]![0]!.time);
  const coming = m.weather.coming(m.clock.window, fromAtMs, fromAtMs + 36 * 3_600_000);
  const reach = isForecast(coming)
    ? coming
    : m.weather.coming(m.clock.window, fromAtMs, m.clock.window.toAtMs + 8 * 3_600_000);
  if (!isForecast(reach)) return base;
  const { away, timeZone } = m.data.farm;
  const tasks = dayTasks(plan, reach.members, away);
  const { answers, progress: far } = ctx.days.ask(tasks);
  return {
    ...base,
    progress: far,
    away: tasks[0] ? awayOn((tasks[0].fromAtMs + tasks[0].toAtMs) / 2, away, timeZone) : [],
    structures: tasks.flatMap((t, i) => {
      const a = answers[i];
      const structure = m.data.structures.find((s) => s.id === t.structureId);
      if (!a || !structure) return [];
      return [
        {
          structureId: t.structureId,
          name: structure.name,
          open: m.state.openings.get(t.structureId)?.fraction ?? 0,
          recordId: m.state.openings.get(t.structureId)?.recordId ?? null,
          crop: cropById(t.crop).name,
          limitC: t.limits.leafMaxC,
          style: t.limits.style,
          steps: a.steps.map((s): DayStep => ({ ...s })),
          leftC: a.leftC,
          plannedC: a.plannedC,
          lateC: a.lateC,
          thereC: a.thereC,
          more: a.more,
          potsC:
            a.soilMaxC > POTS_HOT_C && m.data.beds.some((b) => b.id === t.bedId && b.on === 'bench')
              ? a.soilMaxC
              : null,
          hotDays: hotOf(
            hotDaysOf(
              m.data.pastLows?.get(t.bedId) ?? [],
              localDate((t.fromAtMs + t.toAtMs) / 2, timeZone),
              a.plannedC.mid,
              t.limits.leafMaxC,
            ),
          ),
        },
      ];
    }),
  };
}
