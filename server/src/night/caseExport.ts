/** A bed's night as a case in the open format: the hours since noon, the forecast's centre, the covers as planned. */
import type { SimulationCase, WeatherEntry } from '@fogata/core';
import { bedSpec, HOUR_MS } from '@fogata/core';
import type { NightPlan, PlannedBed } from './planner';

const iso = (ms: number) => new Date(ms).toISOString();
const round = (x: number) => Math.round(x * 100) / 100;

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

/** The engine's own file, so that the command line gives what the screen shows, but for its spin-up instead of four days' soil. */
export function caseOf(plan: NightPlan, b: PlannedBed): SimulationCase {
  const startMs = Date.parse(plan.centre[0]!.time);
  // from noon on: what comes out as the lowest is this night's
  const fromMs = Math.min(startMs, plan.window.fromMs);
  const history = b.task.history.filter((e) => Date.parse(e.time) >= fromMs && Date.parse(e.time) < startMs);
  const weather = [...history, ...plan.centre].map(entry);
  const covers = b.options.find((o) => o.key === b.chosen)?.covers ?? b.on;
  const endMs = Date.parse(weather.at(-1)!.time);
  const timing: Record<string, { on: { from: string; to: string }[] }> = {};
  for (const cover of covers) {
    const since =
      plan.state.onBed.get(b.bed.id)?.find((c) => c.coverId === cover.id)?.sinceMs ?? plan.closeMs;
    timing[cover.id] = { on: [{ from: iso(since), to: iso(endMs + HOUR_MS) }] };
  }
  const steps = (plan.state.ventSteps.get(b.structure.id) ?? []).filter(
    (s) => s.atMs >= fromMs - 48 * HOUR_MS,
  );
  const open = steps.map((s) => ({ from: iso(s.atMs), fraction: s.fraction }));
  if ((steps.at(-1)?.fraction ?? 0) > 0 && plan.phase !== 'morning')
    open.push({ from: iso(plan.closeMs), fraction: 0 });
  const spec = bedSpec(b.structure, b.bed, b.plantings, covers, { deepC: round(b.deepC), timing, open });
  const { latitude, longitude, elevationM } = plan.data.farm;
  return { format: 'fogata-case/1', site: { latitude, longitude, elevationM }, weather, ...spec };
}
