/** A bed's night as a case in the open format: the hours since noon, the forecast's centre, the covers as planned. */
import type { Cover, SimulationCase, WeatherEntry } from '@fogata/core';
import { bedSpec, HOUR_MS } from '@fogata/core';
import type { NightPlan, PlannedBed } from './planner';

const iso = (ms: number) => new Date(ms).toISOString();
const round = (x: number) => Math.round(x * 1000) / 1000;

function entry(e: WeatherEntry): WeatherEntry {
  const airC = round(e.airC);
  return {
    time: iso(Date.parse(e.time)),
    airC,
    dewPointC: Math.min(airC, round(e.dewPointC)),
    windMs: round(e.windMs),
    cloudFraction: round(e.cloudFraction),
    ...(e.globalWm2 === undefined ? {} : { globalWm2: round(e.globalWm2) }),
    ...(e.rainMm ? { rainMm: round(e.rainMm) } : {}),
    ...(e.snowMm ? { snowMm: round(e.snowMm) } : {}),
  };
}

type Spans = { from: string; to: string }[];

/** When each cover is on: as it was up to now, and from now on as the plan has it. */
function timingOf(plan: NightPlan, b: PlannedBed, planned: readonly Cover[], endMs: number) {
  const timing: Record<string, { on: Spans }> = {};
  const covers: Cover[] = [];
  const add = (cover: Cover, fromMs: number, toMs: number) => {
    if (!covers.includes(cover)) covers.push(cover);
    if (toMs > fromMs) (timing[cover.id] ??= { on: [] }).on.push({ from: iso(fromMs), to: iso(toMs) });
  };
  for (const span of plan.state.spans.get(b.bed.id) ?? []) {
    const cover = plan.data.covers.find((c) => c.id === span.coverId);
    if (!cover) continue;
    const lies = span.toMs > plan.nowMs;
    const stays = lies && planned.includes(cover);
    add(cover, span.fromMs, stays ? endMs : Math.min(span.toMs, Math.max(plan.nowMs, plan.closeMs)));
  }
  for (const cover of planned) if (!b.on.includes(cover)) add(cover, plan.closeMs, endMs);
  return { timing, covers };
}

/**
 * The engine's own file: the days that were, then the forecast's centre, with the covers as they were and as planned, so
 * that the command line gives what the screen shows.
 */
export function caseOf(plan: NightPlan, b: PlannedBed): SimulationCase {
  const startMs = Date.parse(plan.centre[0]!.time);
  const history = b.task.history.filter((e) => Date.parse(e.time) < startMs);
  const weather = [...history, ...plan.centre].map(entry);
  const planned = b.options.find((o) => o.key === b.chosen)?.covers ?? b.on;
  const endMs = Date.parse(weather.at(-1)!.time) + HOUR_MS;
  const { timing, covers } = timingOf(plan, b, planned, endMs);
  const steps = plan.state.ventSteps.get(b.structure.id) ?? [];
  const open = steps.map((s) => ({ from: iso(s.atMs), fraction: s.fraction }));
  if ((steps.at(-1)?.fraction ?? 0) > 0 && plan.phase !== 'morning')
    open.push({ from: iso(Math.max(plan.nowMs, plan.closeMs)), fraction: 0 });
  const spec = bedSpec(b.structure, b.bed, b.plantings, covers, { deepC: b.deepC, timing, open });
  const { latitude, longitude, elevationM } = plan.data.farm;
  return { format: 'fogata-case/1', site: { latitude, longitude, elevationM }, weather, ...spec };
}
