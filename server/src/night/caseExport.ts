/** A bed's night as a case in the open format: the hours since noon, the forecast's centre, the covers as planned. */
import { type Cover, type SimulationCase, type WeatherEntry, sheetOf } from '@fogata/core';
import { layAtMs, type NightPlan, type PlannedBed } from '@fogata/core/planning';
import { bedSpec, HOUR_MS } from '@fogata/core';

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

/** Every sheet with the times it is on: as it was up to now, and from now on as the plan has it. A double one stands twice. */
function sheetsOf(plan: NightPlan, b: PlannedBed, planned: readonly Cover[], endAtMs: number) {
  const sheets: { cover: Cover; on: Spans }[] = [];
  const left = [...planned];
  const onAtMs = layAtMs(plan, b);
  for (const span of plan.state.spans.get(b.bed.id) ?? []) {
    const cover = sheetOf(span, plan.data.covers);
    if (!cover) continue;
    const at = span.toAtMs > plan.nowAtMs ? left.indexOf(cover) : -1;
    if (at >= 0) left.splice(at, 1);
    const toAtMs = at >= 0 ? endAtMs : Math.min(span.toAtMs, Math.max(plan.nowAtMs, plan.closeAtMs));
    if (toAtMs > span.fromAtMs) sheets.push({ cover, on: [{ from: iso(span.fromAtMs), to: iso(toAtMs) }] });
  }
  // what goes on now may be a sheet that lay there on a night before: one layer with two times
  for (const cover of left) {
    const lain = sheets.find((x) => x.cover === cover && Date.parse(x.on.at(-1)!.to) <= onAtMs);
    const span = { from: iso(onAtMs), to: iso(endAtMs) };
    if (lain) lain.on.push(span);
    else sheets.push({ cover, on: [span] });
  }
  return sheets;
}

/** Nights before that used the same sheet are one layer, on at several times. */
function merged(sheets: { cover: Cover; on: Spans }[]) {
  const out: { cover: Cover; on: Spans }[] = [];
  for (const s of sheets) {
    const free = out.find((x) => x.cover === s.cover && x.on.at(-1)!.to <= s.on[0]!.from);
    if (free) free.on.push(...s.on);
    else out.push({ cover: s.cover, on: [...s.on] });
  }
  return out;
}

/**
 * The engine's own file: the days that were, then the forecast's centre, with the covers as they were and as planned. A
 * case is one bed: of a house's other beds it knows nothing, so that its figures may be some tenths off the screen's.
 */
export function caseOf(plan: NightPlan, b: PlannedBed): SimulationCase {
  const startAtMs = Date.parse(plan.centre[0]!.time);
  const history = plan.history.filter((e) => Date.parse(e.time) < startAtMs);
  const weather = [...history, ...plan.centre].map(entry);
  const planned = b.options.find((o) => o.key === b.chosen)?.covers ?? b.on;
  const endAtMs = Date.parse(weather.at(-1)!.time) + HOUR_MS;
  const sheets = merged(sheetsOf(plan, b, planned, endAtMs));
  const steps = plan.state.ventSteps.get(b.structure.id) ?? [];
  const open = steps.map((s) => ({ from: iso(s.atMs), fraction: s.fraction }));
  if ((steps.at(-1)?.fraction ?? 0) > 0 && plan.phase !== 'morning')
    open.push({ from: iso(Math.max(plan.nowAtMs, plan.closeAtMs)), fraction: 0 });
  const { ground, stack, mass, heat, crop } = bedSpec(
    b.structure,
    b.bed,
    b.plantings,
    sheets.map((x) => x.cover),
    { deepC: b.deepC, open, timing: sheets.map((x) => ({ on: x.on })) },
  );
  const { latitude, longitude, elevationM } = plan.data.farm;
  return {
    format: 'fogata-case/1',
    site: { latitude, longitude, elevationM },
    weather,
    ground,
    // the format holds four: shade cloth, outermost, is the one that a night misses least
    stack: stack.slice(Math.max(0, stack.length - 4)).map(({ id: _id, role: _role, ...layer }) => layer),
    ...(mass ? { mass } : {}),
    ...(heat ? { heat } : {}),
    ...(crop ? { crop } : {}),
  };
}
