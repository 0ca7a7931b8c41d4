/** A night's plan as plain data: its beds, what each step of working it out knows, and what others ask of a bed. */
import type { Belief } from '../calibration/belief';
import type { FarmFacts } from '../farm/facts';
import type { ColdNight } from '../hardiness/injury';
import type { BedSpec, WeatherEntry } from '../heat/types';
import type { Lain } from '../log/apply';
import { HOUR_MS, type NightWindow, type Phase } from '../time/farmTime';
import type { Issue, Worth } from '../weather/record';
import { outcomeOf, type PlantingAtRisk } from './choose';
import type { KeptAir, Looked } from './airs';
import type { BedTask, Due } from './evaluate';
import type { HouseOutcome, HouseTask, WasAt } from './house';
import type { Solved, SolveTask } from './programme';
import { firstOf } from './sent';
import type { LiftLook, LiftTask } from './lift';
import type { HourPair, PartedSpot } from './parting';
import { coldNights, type BedOutcome, type OptionOutcome } from './outcome';
import { AS_IS, countFromAtMs, type BedPlan, type Roof, type TaskInputs } from './tasks';

/** A cover's latest time: a bed under one option put on at several times. */
export interface DueTask {
  task: Omit<BedTask, 'options'>;
  specs: { fromAtMs: number; spec: BedSpec }[];
}

/**
 * Who does the heavy work: threads on the server, a plain call in a test. `under` names the house's outcome that a bed's start
 * and shared air are from, as `nameOf` calls it; `solve` rejects where no solution is found in its time.
 */
export interface Workers {
  house(task: HouseTask, signal: AbortSignal): Promise<HouseOutcome>;
  evaluate(task: BedTask, under: string, signal: AbortSignal): Promise<OptionOutcome[]>;
  due(task: DueTask, under: string, signal: AbortSignal): Promise<Due>;
  lift(task: LiftTask, under: string, signal: AbortSignal): Promise<LiftLook[]>;
  solve(task: SolveTask, signal: AbortSignal): Promise<Solved>;
  /** One name for equal work. */
  nameOf(work: unknown): string;
}

/** How cold the last weeks were, by the farm's dates, and how warm the deep ground is, °C. */
export interface Background {
  means: ReadonlyMap<string, number>;
  deepC: number;
}

export interface PlannedBed extends BedPlan {
  outcome: BedOutcome;
  /** Option key; AS_IS where nothing is to be done or only the present counts. */
  chosen: string;
  fixed: string | null;
  /** What stands in it with what can still be lost of it; `left` is the share of it that the nights before have left. */
  atRisk: (PlantingAtRisk & { left: number })[];
  loss: Record<string, number>;
  /** The same as if no wind took a sheet off. */
  calm: Record<string, number>;
  /** Minutes of work tonight, and what lifting it again will take. */
  minutes: Record<string, number>;
  laterMinutes: Record<string, number>;
  due: Due | null;
  /** When what is chosen can be done, where that is after `due`: there are too few hands for all of it in time. */
  lateAtMs: number | null;
  /** The bed under what is chosen for it. */
  plannedSpec: BedSpec;
  /** In the morning, of a bed with covers on: when they may come off, null where they may not; and how cold it gets without. */
  lift: { atMs: number | null; bareC: number } | null;
}

/** What the night would be with one person fewer, and with one more. */
export interface OtherHands {
  /** Money lost over what the plan loses; below zero it is saved. Beds that would bear another cover, or get theirs later. */
  fewer: { money: number; bedIds: string[] } | null;
  more: { money: number; bedIds: string[] } | null;
}

export interface NightPlan {
  nowAtMs: number;
  window: NightWindow;
  phase: Phase;
  closeAtMs: number;
  /** When the last one leaves, where nobody is there at dusk; left out where somebody is. */
  leavesAtMs?: number | undefined;
  issuedAtMs: number;
  /** The issue's name, where it is from, and what the days before are worth. */
  forecastName: string;
  source: Issue['source'];
  worth: Worth[];
  /** Doubt at the leaf that no member shows, K: the model's rest, and what not knowing the days before leaves. */
  errorK: number;
  centre: WeatherEntry[];
  /** The centre on through the next day, for what is tried. */
  ahead: WeatherEntry[];
  history: WeatherEntry[];
  members: WeatherEntry[][];
  beds: PlannedBed[];
  /** With one person fewer, and one more; left out of a plan that was not worked out to its end. */
  otherHands?: OtherHands;
  beliefs: Map<string, Belief>;
  /** Thermometers under cover, by structure: the last hours beside the model, and how far they part. Filled as the beds are. */
  spots: Map<string, SpotNow>;
  data: FarmFacts;
  state: Lain;
}

export interface SpotNow {
  pairs: HourPair[];
  parted: PartedSpot | null;
}

export interface Work {
  inputs: TaskInputs;
  roofs: readonly Roof[];
  background: Background;
  phase: Phase;
  pool: Workers;
  signal: AbortSignal;
  errorK: number;
  worth: readonly Worth[];
  /** What was chosen for each bed when this night was last worked out: the likeliest again. */
  before: ReadonlyMap<string, string>;
  /** The airs that houses' options were priced in when this night was last worked out, by structure; left out where nothing is kept. */
  airs?: Map<string, KeptAir>;
  /** Nights that are chosen together: a sheet may be laid once for all of them. */
  together: number;
  /** By bed: what the days before had left by an evening of them that was worked out. */
  since?: ReadonlyMap<string, WasAt> | undefined;
  /** Takes what a structure's thermometer says beside the model. */
  onSpot: (structureId: string, spot: SpotNow) => void;
}

export interface Found {
  roof: Roof;
  beds: PlannedBed[];
  /** The house with its openings shut and what lies on its beds now, or as last chosen: whose air counts. */
  house: HouseOutcome;
  under: string;
  /** Where the night is one of several: the member under which anything is run in that air, and what each bed does with no sheet and with one under everyone. */
  only?: readonly number[] | undefined;
  patterns?: ReadonlyMap<string, Pattern>;
  /** Where that air is the one of before: what cannot win, as it was looked at under a few members then, by bed and what lies on it. */
  few?: ReadonlyMap<string, readonly OptionOutcome[]> | undefined;
  /** Where it is that, all that was found of a bed in it. */
  looked?: ReadonlyMap<string, Looked> | undefined;
}

/** How a bed's lows go from member to member, in an air that may be a little another one: what is run under a few is drawn out on it. */
export interface Pattern {
  bare: OptionOutcome;
  covered: OptionOutcome;
}

type Evening = Pick<NightPlan, 'window' | 'closeAtMs' | 'leavesAtMs'>;

/**
 * When it is dark, or nobody is there any more: the last of what can be laid.
 * @example darkAtMs({ closeAtMs: 0, window: { sunsetAtMs: 3600000 } }) // 5400000
 */
export const darkAtMs = (e: Evening): number =>
  e.leavesAtMs ?? Math.max(e.closeAtMs, (e.window.sunsetAtMs ?? e.closeAtMs + HOUR_MS) + HOUR_MS / 2);

/**
 * When what a bed does not have on yet goes on: as houses are shut, or where hands are too few, when they come to it.
 * @example layAtMs({ closeAtMs: 5 }, { lateAtMs: null }) // 5
 */
export const layAtMs = (e: Evening, b: Pick<PlannedBed, 'lateAtMs'>): number => b.lateAtMs ?? e.closeAtMs;

/**
 * Chosen outcome of a bed.
 * @example chosenOutcome(await aPlannedBed()).key // 'bare'
 */
export function chosenOutcome(b: PlannedBed) {
  return outcomeOf(b.outcome.options, b.chosen);
}

/**
 * What comes of a bed left as it is.
 * @example asIsOutcome(await aPlannedBed()).key // 'as-is'
 */
export function asIsOutcome(b: PlannedBed) {
  return outcomeOf(b.outcome.options, AS_IS);
}

/**
 * Whether the weather of an hour that was is known, if only from a forecast; of a guess nothing is said.
 * @example isKnown({ history: weather(), worth: ['measured', 'guessed'] }, START_MS + 3_600_000) // false
 */
export function isKnown(
  p: { history: readonly WeatherEntry[]; worth: readonly Worth[] },
  ms: number,
): boolean {
  const first = p.history[0];
  if (!first) return false;
  const i = Math.floor((ms - Date.parse(first.time)) / HOUR_MS);
  return i >= 0 && i < p.worth.length && p.worth[i] !== 'guessed';
}

/**
 * Whether every hour since sundown is known: of a night with a guess in it nothing is claimed.
 * @example nightKnown(await aPlan()) // false
 */
export function nightKnown(plan: NightPlan): boolean {
  const since = sundownAtMs(plan);
  const hours = plan.history.filter((e) => Date.parse(e.time) >= since - HOUR_MS);
  return hours.length > 0 && hours.every((e) => isKnown(plan, Date.parse(e.time)));
}

/**
 * When the night that a plan is of began.
 * @example sundownAtMs({ window: { fromAtMs: 1, sunsetAtMs: null } }) // 1
 */
export const sundownAtMs = (plan: NightPlan): number => plan.window.sunsetAtMs ?? plan.window.fromAtMs;

/**
 * The coldest that a bed's leaves have been since sundown, by the model under the weather as it was; null before there is an
 * hour of it, and where the weather of that night is not known.
 * @example lowSoFar(await aPlan(), await aPlannedBed()) // null
 */
export function lowSoFar(plan: NightPlan, b: PlannedBed): { atMs: number; leafC: number } | null {
  if (!nightKnown(plan)) return null;
  const { timesAtMs, leafC } = b.outcome.past;
  let low: { atMs: number; leafC: number } | null = null;
  timesAtMs.forEach((atMs, i) => {
    if (atMs >= sundownAtMs(plan) && atMs < plan.nowAtMs && (low === null || leafC[i]! < low.leafC))
      low = { atMs, leafC: leafC[i]! };
  });
  return low;
}

/**
 * The highest leaf of the day before a night, by the model under the weather as it was, °C; null where its noon is not known.
 * @example dayHighC(await aPlan(), await aPlannedBed()) > 10 // true
 */
export function dayHighC(plan: NightPlan, b: PlannedBed): number | null {
  const { timesAtMs, leafC } = b.outcome.past;
  const noonAtMs = plan.window.fromAtMs;
  const hours = timesAtMs.flatMap((ms, i) => (Math.abs(ms - noonAtMs) <= 5 * HOUR_MS ? [leafC[i]!] : []));
  const known = isKnown(plan, noonAtMs) && hours.length >= 6;
  return known ? Math.max(...hours) : null;
}

/**
 * The night's lowest leaf by member. While it is still to come, what the plan will make of it; in the morning, what it has
 * been together with what the rest of the morning may bring: one figure, wherever a screen speaks of the night.
 * @example nightLowsC(await aPlan(), await aPlannedBed()).length // 6
 */
export const nightLowsC = (plan: NightPlan, b: PlannedBed): number[] =>
  nightColds(plan, b).map((n) => n.leafMinC);

/**
 * The same with how long and how cold the soil: what does harm. Of a night that was, only how low it went is known.
 * @example nightColds(await aPlan(), await aPlannedBed()).length // 6
 */
export function nightColds(plan: NightPlan, b: PlannedBed): ColdNight[] {
  const ahead = coldNights(chosenOutcome(b));
  const was = plan.phase === 'morning' ? lowSoFar(plan, b) : null;
  return was === null ? ahead : ahead.map((n) => (n.leafMinC <= was.leafC ? n : { leafMinC: was.leafC }));
}

/**
 * When a bed's leaves have thawed, cautiously: nine of ten members; null where they do not freeze, Infinity where not by noon.
 * @example Math.round((thawAtMs(await aPlannedBed('hardy')) - NOW) / 3_600_000) // 20
 */
export function thawAtMs(b: PlannedBed): number | null {
  const times = asIsOutcome(b)
    .thawAtMs.filter((t): t is number => t !== null)
    .sort((a, c) => a - c);
  if (times.length < asIsOutcome(b).thawAtMs.length * 0.3) return null;
  return times[Math.min(times.length - 1, Math.floor(times.length * 0.9))]!;
}

/**
 * A bed as the threads take it, without the covers to be looked at.
 * @example bedTask({ inputs: await anInputs() }, { house: { shared: [] } }, await aPlannedBed(), 3).members.length // 3
 */
export function bedTask(w: Work, f: Found, b: PlannedBed, members: number): Omit<BedTask, 'options'> {
  const { inputs } = w;
  const shares = (b.asIsSpec.shared ?? 0) > 0;
  return {
    site: inputs.data.farm,
    members: firstOf(inputs.members, members),
    initial: b.outcome.initial,
    ...(shares ? { given: f.house.shared.slice(0, members) } : {}),
    ...(b.belief ? { belief: b.belief } : {}),
    placeK: b.placeK,
    ...(b.partedK ? { partedK: b.partedK } : {}),
    countFromAtMs: countFromAtMs(inputs),
  };
}
