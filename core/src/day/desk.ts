/**
 * A structure's day from its night's plan. Contract: `dayTasks` gives a task for each structure that can be opened, looked at by
 * the bed that bears the least heat; `workOutDay` the moves of the day and how hot it gets with and without them, under every
 * member. Sheets lie as the night's plan has them: what is moved here is what opens.
 */
import { usualVenting } from '../windows/farm';
import { cropOf } from '../crops/cultivars';
import { horizonOf } from '../farm/shade';
import { prepareWeather } from '../heat/prepare';
import { runBed } from '../heat/run';
import type { SoilState } from '../heat/carry';
import type { BedSpec, Site, WeatherEntry } from '../heat/types';
import { bandOf } from '../night/bands';
import { PLAN_STEP_S } from '../night/prepared';
import { layAtMs, type NightPlan, type PlannedBed } from '../night/planned';
import { bedSpec } from '../night/stack';
import { HOUR_MS } from '../time/farmTime';
import { thereOn, type Away } from './away';
import { turnsOf, type Limits } from './limits';
import { remediesFor, type Remedies } from './remedies';
import { openingPlan } from './opening';

export interface DayTask {
  structureId: string;
  bedId: string;
  /** Crop that bears the least heat there. */
  crop: string;
  site: Site;
  spec: BedSpec;
  initial: SoilState;
  /** The centre first; from the hour of the plan to the evening of the day. */
  members: WeatherEntry[][];
  limits: Limits;
  /** The day: from the moment, or from sunrise, to sunset. */
  fromAtMs: number;
  toAtMs: number;
}

/** A move, and what an hour late at it alone does, the middle of a few outcomes: the day's hottest leaf, and the leaf when that hour is over, K; null where it is the same. */
export interface DayMove {
  atMs: number;
  fraction: number;
  lateHotK: number | null;
  lateThenK: number | null;
}

export interface DayAnswer {
  steps: DayMove[];
  /** Hottest leaf of the day over the members, left as it stands and as planned, °C. */
  leftC: Outcome;
  plannedC: Outcome;
  /** With the next move an hour late; null where none is to be made. */
  lateC: Outcome | null;
  /** With somebody there all day; null where nobody is away, or it makes no difference. */
  thereC: Outcome | null;
  /** What else would take heat off; null where opening is enough. */
  more: Remedies | null;
  /** Warmest ground or mix at 5 cm of the day as planned, the middle, °C. */
  soilMaxC: number;
}
/** Where eight outcomes of ten lie, and their middle. */
interface Outcome {
  low: number;
  mid: number;
  high: number;
}

const iso = (ms: number) => new Date(ms).toISOString();
/** The day is planned anew when so much of it has gone. */
const QUARTER_MS = HOUR_MS / 4;
/** A sheet that nobody has a time for is lifted so long after sunrise. */
const LIFTED_AFTER_MS = 1.5 * HOUR_MS;
/** Leaves are kept so far over what harms them, K; what is mostly lost already holds nothing shut. */
const OVER_HARM_K = 0.5;
const MOSTLY_LOST = 0.5;

/** When the covers of a bed come off: as its plan has it. */
function offAtMs(plan: NightPlan, b: PlannedBed, riseAtMs: number): number {
  if (b.lift) return b.lift.atMs ?? Infinity;
  return Math.max(plan.nowAtMs, riseAtMs + LIFTED_AFTER_MS);
}

/** Where harm begins first of all that stands under one roof, °C: an opening cools every bed of it. */
function harmUnder(beds: readonly PlannedBed[]): number {
  const all = beds.flatMap((b) => b.atRisk);
  const living = all.filter((a) => a.left >= MOSTLY_LOST);
  return Math.max(...(living.length > 0 ? living : all).map((a) => a.thresholds.harmC));
}

function taskOf(
  plan: NightPlan,
  beds: readonly PlannedBed[],
  members: WeatherEntry[][],
  away: readonly Away[],
): DayTask | null {
  const heat = (b: PlannedBed) => Math.min(...b.plantings.map((p) => cropOf(p).spoilC));
  const b = [...beds].sort((x, y) => heat(x) - heat(y))[0]!;
  const crop = b.plantings.map((p) => cropOf(p)).sort((x, y) => x.spoilC - y.spoilC)[0]!;
  const { farm, structures } = plan.data;
  const startAtMs = Date.parse(members[0]![0]!.time);
  const endAtMs = Date.parse(members[0]!.at(-1)!.time);
  const noonAtMs = plan.window.toAtMs;
  const day = turnsOf(farm, startAtMs, endAtMs).find((t) => Math.abs(t.noonAtMs - noonAtMs) < 6 * HOUR_MS);
  if (!day || plan.nowAtMs > day.setAtMs) return null;
  const fromAtMs = Math.max(
    Math.ceil(plan.nowAtMs / QUARTER_MS) * QUARTER_MS,
    Math.ceil(day.riseAtMs / QUARTER_MS) * QUARTER_MS,
  );
  const covers = b.options.find((o) => o.key === b.chosen)?.covers ?? b.on;
  const off = offAtMs(plan, b, day.riseAtMs);
  const left = [...b.on];
  const timing = covers.map((c) => {
    const at = left.indexOf(c);
    if (at >= 0) left.splice(at, 1);
    const from = at >= 0 ? startAtMs - HOUR_MS : layAtMs(plan, b);
    return { on: [{ from: iso(from), to: iso(Math.max(from + 1, Math.min(off, endAtMs + HOUR_MS))) }] };
  });
  const opening = plan.state.openings.get(b.structure.id)?.fraction ?? 0;
  return {
    structureId: b.structure.id,
    bedId: b.bed.id,
    crop: crop.id,
    site: { latitude: farm.latitude, longitude: farm.longitude, elevationM: farm.elevationM },
    spec: bedSpec(b.structure, b.bed, b.plantings, covers, {
      deepC: b.deepC,
      timing,
      open: opening > 0 ? [{ from: iso(startAtMs - HOUR_MS), fraction: opening }] : [],
      horizon: horizonOf(b.structure, structures),
    }),
    initial: b.outcome.initial,
    members,
    limits: {
      leafMaxC: crop.spoilC,
      leafMinC: Math.min(crop.spoilC - 1, harmUnder(beds) + OVER_HARM_K),
      style: usualVenting(crop) === 'warm' ? 'warm' : 'air',
      even:
        farm.schools.swings === 'damp' &&
        beds.some((x) => x.plantings.some((q) => cropOf(q).bolts.by === 'cold')),
      there: thereOn({ fromAtMs, toAtMs: day.setAtMs + HOUR_MS }, away, plan.data.farm.timeZone),
    },
    fromAtMs,
    toAtMs: day.setAtMs,
  };
}

/**
 * `members` reach from the plan's hour to the evening of the day that the plan's night ends in.
 * @example dayTasks(await aPlan(), (await aPlan()).members).length // 1
 */
export function dayTasks(plan: NightPlan, members: WeatherEntry[][], away: readonly Away[] = []): DayTask[] {
  const houses = new Map<string, PlannedBed[]>();
  for (const b of plan.beds)
    if (b.structure.kind !== 'open' && b.structure.ventAreaM2 > 0)
      houses.set(b.structure.id, [...(houses.get(b.structure.id) ?? []), b]);
  return [...houses.values()].flatMap((beds) => taskOf(plan, beds, members, away) ?? []);
}

/** Less than this is no difference, K. */
const WORTH_K = 0.5;
/** What an hour late does is seen from so many outcomes. */
const LATE_MEMBERS = 5;

/** The middle of differences, K; null where it is none to speak of. */
function worthSaying(list: readonly number[]): number | null {
  const mid = [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
  return Math.abs(mid) < WORTH_K ? null : mid;
}

/** The same moves, the one at an instant an hour later; what comes before that is passed over. */
function anHourLate(stack: BedSpec['stack'], vent: number, atMs: number): BedSpec['stack'] {
  const lateAtMs = atMs + HOUR_MS;
  return stack.map((l, i) => {
    if (i !== vent || !l.open) return l;
    const open = l.open.flatMap((s) => {
      const ms = Date.parse(s.from);
      if (ms < atMs || ms >= lateAtMs) return [s];
      return ms === atMs ? [{ ...s, from: iso(lateAtMs) }] : [];
    });
    return { ...l, open: open.sort((a, b) => Date.parse(a.from) - Date.parse(b.from)) };
  });
}

/**
 * A structure's day: its opening plan, what an hour late costs, what its plants get.
 * @example workOutDay(dayTasks(await aPlan(), (await aPlan()).members)[0]).steps // []
 */
export function workOutDay(task: DayTask): DayAnswer {
  const { site, spec, initial, members, limits } = task;
  const plannedWith = (l: Limits) =>
    openingPlan({ ...spec, site, weather: members[0]! }, l, { initial, sheets: false });
  const planned = plannedWith(limits);
  const prepared = members.map((m) => prepareWeather(site, m, PLAN_STEP_S));
  const vent = planned.stack.findIndex((l) => (l.ventAreaM2 ?? 0) > 0);
  const standsOpen = spec.stack[vent]?.open?.[0]?.fraction ?? 0;
  const hottest = (stack: BedSpec['stack']): Outcome =>
    bandOf(
      prepared.map((w) => {
        const run = runBed({ ...spec, stack }, w, { initial, audit: false });
        return Math.max(
          ...run.leafC.filter(
            (_, i) => run.entryAtMs[i]! >= task.fromAtMs && run.entryAtMs[i]! <= task.toAtMs,
          ),
        );
      }),
      0,
    );
  const all = (planned.stack[vent]?.open ?? []).map((s) => ({
    atMs: Date.parse(s.from),
    fraction: s.fraction,
  }));
  // how it stands already is no move
  const moves = all.filter((s, i) => s.atMs >= task.fromAtMs && !(i === 0 && s.fraction === standsOpen));
  const plannedC = hottest(planned.stack);
  const asPlanned = { ...spec, stack: planned.stack };
  const { entryAtMs, soilC } = runBed(asPlanned, prepared[0]!, { initial, audit: false });
  const soilMaxC = Math.max(
    ...soilC[1].filter((_, i) => entryAtMs[i]! >= task.fromAtMs && entryAtMs[i]! <= task.toAtMs),
  );
  const few = prepared.slice(0, LATE_MEMBERS);
  const dayOf = (stack: BedSpec['stack'], w: (typeof prepared)[number]) => {
    const run = runBed({ ...spec, stack }, w, { initial, audit: false });
    const within = run.leafC.filter(
      (_, i) => run.entryAtMs[i]! >= task.fromAtMs && run.entryAtMs[i]! <= task.toAtMs,
    );
    const at = (ms: number) => run.leafC[run.entryAtMs.findIndex((t) => t >= ms)] ?? run.leafC.at(-1)!;
    return { hotC: Math.max(...within), at };
  };
  const inTime = few.map((w) => dayOf(planned.stack, w));
  const steps = moves.map((m): DayMove => {
    const late = few.map((w) => dayOf(anHourLate(planned.stack, vent, m.atMs), w));
    const thenAtMs = m.atMs + HOUR_MS;
    return {
      ...m,
      lateHotK: worthSaying(late.map((l, i) => l.hotC - inTime[i]!.hotC)),
      lateThenK: worthSaying(late.map((l, i) => l.at(thenAtMs) - inTime[i]!.at(thenAtMs))),
    };
  });
  const tooHot = plannedC.high > limits.leafMaxC;
  const whole = [{ fromAtMs: task.fromAtMs, toAtMs: task.toAtMs + HOUR_MS }];
  const isAway = JSON.stringify(limits.there) !== JSON.stringify(whole);
  const thereC = isAway ? hottest(plannedWith({ ...limits, there: whole }).stack) : null;
  return {
    steps,
    leftC: hottest(spec.stack),
    plannedC,
    lateC: steps[0] ? hottest(anHourLate(planned.stack, vent, steps[0].atMs)) : null,
    more: tooHot ? remediesFor(asPlanned, prepared, initial, task.fromAtMs, task.toAtMs) : null,
    soilMaxC,
    thereC: thereC && plannedC.mid - thereC.mid >= WORTH_K ? thereC : null,
  };
}
