/** A planting's story: its steps, the nights that it has been through beside what it then bore, and what was noted of it. */
import type { LogEntry, StoryView } from '@fogata/contract';
import { addDays, cropOf, daysBetween, hardeningOf, localDate, standingIn, thresholds } from '@fogata/core';
import { nightLowsC, type NightPlan } from '@fogata/core/planning';
import { howOf, isPlanted, stepsOf } from '@fogata/core/season';
import type { Context, Moment } from '../context';
import { describeRecord } from '../farm/describe';
import { recordsOf } from '../farm/log';
import { rangeOf } from '../night/glyph';
import { notFound } from '../problem';
import { expectedOf } from './expected';

const MOST_ENTRIES = 200;
/** What a night was borne with follows from the weeks before it: without so many days of them it is not said, days. */
const WEEKS = 20;

/** Nights by the date of their evening, lowest leaf: as kept each morning, and the last ones as they were just run. */
function nightsOf(m: Moment, plan: NightPlan | null, bedId: string, zone: string): Map<string, number> {
  const nights = new Map((m.data.pastLows?.get(bedId) ?? []).map((l) => [l.night, l.leafC] as const));
  const b = plan?.beds.find((x) => x.bed.id === bedId);
  // the first of a run has only part of its night
  for (const l of b?.outcome.past.lows.slice(1) ?? []) {
    const night = addDays(localDate(l.atMs, zone), -1);
    if (!nights.has(night) && night < m.clock.window.night) nights.set(night, l.leafC);
  }
  return nights;
}

export async function storyOf(ctx: Context, id: string): Promise<StoryView> {
  const m = await ctx.moment();
  const planting = m.data.plantings.find((p) => p.id === id);
  const bed = m.data.beds.find((b) => b.id === planting?.bedId);
  const structure = m.data.structures.find((s) => s.id === bed?.structureId);
  if (!planting || !bed || !structure) throw notFound('planting');
  const { plan } = await ctx.planner.ask(m.data, m.weather, m.nowAtMs);
  const { means } = await ctx.planner.backgroundFor(m.data, m.weather, m.nowAtMs);
  const zone = m.data.farm.timeZone;
  const today = localDate(m.nowAtMs, zone);
  const crop = cropOf(planting);
  const first = [...means.keys()].sort()[0];
  const harmC = (date: string) =>
    thresholds(crop, hardeningOf(planting, structure.kind, means, date), planting.aim).harmC;
  const known = (night: string) => {
    const from = addDays(night, -WEEKS);
    return first !== undefined && first <= (planting.plantedOn > from ? planting.plantedOn : from);
  };
  const until = planting.clearedOn ?? '9999';
  const nights = [...nightsOf(m, plan, bed.id, zone)]
    .filter(([night]) => night >= planting.plantedOn && night <= until && known(night))
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([night, leafC]) => ({ night, leafC, harmC: harmC(night) }));
  const stands = standingIn(bed.id, m.data.plantings, today).some((p) => p.id === id);
  const b = plan?.beds.find((x) => x.bed.id === bed.id);
  const entries = (await recordsOf(ctx.db, id, MOST_ENTRIES)).map((r): LogEntry => ({
    record: r.record,
    recordedAtMs: r.recordedAtMs,
    retracted: r.void,
    actor: r.actor,
    ...describeRecord(r.record, m.data),
  }));
  const { progress, bolts, ...expected } = expectedOf(ctx.seasons, m.data, m.nowAtMs, planting);
  return {
    planting,
    cropName: crop.name,
    bed: { id: bed.id, name: bed.name, place: structure.name },
    today,
    nowAtMs: m.nowAtMs,
    stands,
    daysIn: daysBetween(planting.plantedOn, today),
    hardening: stands ? hardeningOf(planting, structure.kind, means, today) : null,
    planted: isPlanted(crop, howOf(planting, crop)),
    progress,
    bolts: planting.done?.pick === undefined ? bolts : null,
    steps: stepsOf(planting, crop, expected).map((s) => ({
      id: s.id,
      date: s.date,
      done: s.done,
    })),
    nights,
    tonight:
      stands && plan && b ? { leafC: rangeOf(nightLowsC(plan, b), plan.errorK), harmC: harmC(today) } : null,
    harvestedKg: m.data.harvestedKg.get(id) ?? 0,
    entries,
  };
}
