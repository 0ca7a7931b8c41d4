/**
 * The opening plan of a place. Contract: `openingPlan(case, limits)` gives the case with the `open` steps of what can be opened and
 * the `on` spans of the sheets filled in, so that leaves and ground stay between their limits as far as can be, with few moves,
 * each at an instant at which somebody is there. Found by going through the choices of one opening, one day, after the other
 * until none gets better: good, not proven best. What cannot be opened is not; nothing is moved where nobody is.
 */
import { runOutside } from '../heat/outside';
import { prepareWeather } from '../heat/prepare';
import { runBed } from '../heat/run';
import type { SoilState } from '../heat/carry';
import type { BedSpec, Layer, SimulationCase } from '../heat/types';
import { MATERIALS } from '../heat/materials';
import { PLAN_STEP_S } from '../night/prepared';
import { HOUR_MS } from '../time/farmTime';
import { discomfort } from './comfort';
import { hoursThere, turnsOf, type Limits, type Turn } from './limits';

/** How wide a thing may be opened: a finger's width to all of it. */
const WIDTHS = [0.05, 0.1, 0.25, 0.5, 1] as const;
/** Going to move something, in the same measure as discomfort; an hour of light under a sheet that lets little through. */
const MOVE = 0.6;
const DIM_HOUR = 0.6;
/** The second goes on from what the first has found, the third from what other layers did then. */
const SWEEPS = 3;

interface Opened {
  atMs: number;
  fraction: number;
}
/** A day's moves of one opening, in their order; the last shuts it. */
type DayMoves = Opened[];
interface Night {
  onAtMs: number;
  offAtMs: number;
}

export interface Openings {
  /** By layer, by day. */
  moves: DayMoves[][];
  /** By layer, by night; null where the sheet stays off. */
  nights: (Night | null)[][];
}

/** @example canOpen({ lengthM: 20, widthM: 6, heightM: 2.6, shape: 'arch', material: 'pe-film', ventAreaM2: 10 }) // true */
export const canOpen = (l: Layer): boolean => (l.ventAreaM2 ?? 0) > 0;
/**
 * What is laid and lifted by hand: not what stands, nor what opens.
 * @example isSheet(FLEECE) // true
 */
export const isSheet = (l: Layer): boolean => !canOpen(l) && l.heightM <= 1 && l.sides !== 'board';

const iso = (ms: number) => new Date(ms).toISOString();

/** What stood open as the case begins. */
function openAtStart(l: Layer, startAtMs: number): number {
  return [...(l.open ?? [])].filter((o) => Date.parse(o.from) <= startAtMs).at(-1)?.fraction ?? 0;
}

/**
 * The case under these openings, in its own format.
 * @example asOpened(simulationCase(), { moves: [[]], nights: [[]] }).stack.length // 1
 */
export function asOpened<C extends OpeningCase>(c: C, o: Openings, sheets = true): C {
  const startAtMs = Date.parse(c.weather[0]!.time);
  const stack = c.stack.map((l, j): Layer => {
    if (canOpen(l)) {
      const steps = o.moves[j]!.flat().sort((a, b) => a.atMs - b.atMs);
      const first = { atMs: startAtMs, fraction: openAtStart(l, startAtMs) };
      const open = [...(steps[0]?.atMs === startAtMs ? [] : [first]), ...steps];
      const told = open.filter((s, i) => i === 0 || s.fraction !== open[i - 1]!.fraction);
      return { ...l, open: told.map((s) => ({ from: iso(s.atMs), fraction: s.fraction })) };
    }
    if (!isSheet(l) || !sheets) return l;
    const spans: Night[] = [];
    for (const n of o.nights[j]!) {
      const last = spans.at(-1);
      if (n && last && last.offAtMs >= n.onAtMs) last.offAtMs = n.offAtMs;
      else if (n) spans.push({ ...n });
    }
    return { ...l, on: spans.map((s) => ({ from: iso(s.onAtMs), to: iso(s.offAtMs) })) };
  });
  return { ...c, stack };
}

export interface OpeningOptions {
  /** What the place starts from; left out, it is spun up from the first day. */
  initial?: SoilState;
  /** Whether sheets are laid and lifted as well; left out, they are. */
  sheets?: boolean;
  /** Sees the share that is gone through, 0 to 1. */
  onProgress?: (share: number) => void;
}

/** What is run: a case, with what a farm knows of the place besides. */
export type OpeningCase = Pick<SimulationCase, 'site' | 'weather'> & BedSpec;

/**
 * A case with its openings filled in, so that leaf and soil stay within the limits.
 * @example openingPlan(simulationCase([HOUSE], { weather: weather({ meanC: 12, hours: 24 }) }), { leafMaxC: 26, style: 'air' }).stack[0].open.length > 0 // true
 */
export function openingPlan<C extends OpeningCase>(c: C, limits: Limits, options: OpeningOptions = {}): C {
  const { initial, sheets = true, onProgress = () => undefined } = options;
  const startAtMs = Date.parse(c.weather[0]!.time);
  const endAtMs = Date.parse(c.weather.at(-1)!.time);
  const turns = turnsOf(c.site, startAtMs, endAtMs);
  const hours = (from: number, to: number) =>
    hoursThere(limits, turns, Math.max(startAtMs, from), Math.min(endAtMs, to));
  const weather = prepareWeather(c.site, c.weather, PLAN_STEP_S);
  const from = initial ? { initial } : { outside: runOutside(weather, c.ground) };
  const score = (o: Openings): number => {
    const opened = asOpened(c, o, sheets);
    const { stack } = opened;
    const run = runBed(opened, weather, { ...from, audit: false });
    const openAt = (ms: number) =>
      Math.max(
        0,
        ...stack.map(
          (l) => [...(l.open ?? [])].filter((s) => Date.parse(s.from) <= ms).at(-1)?.fraction ?? 0,
        ),
      );
    return discomfort(run, limits, turns, openAt) + work(o, c.stack, turns);
  };
  const ends = turns[0] ? liftsIn(turns[0], hours, endAtMs).filter((ms) => ms > startAtMs) : [];
  const firstNight: Night = { onAtMs: startAtMs, offAtMs: ends[0] ?? endAtMs };
  const best: Openings = {
    moves: c.stack.map(() => turns.map(() => [])),
    nights: c.stack.map((l) => [
      sheets && liesAtStart(l, turns, startAtMs) ? firstNight : null,
      ...turns.map(() => null),
    ]),
  };
  let least = score(best);
  const consider = (o: Openings): void => {
    const found = score(o);
    if (found >= least - 1e-9) return;
    least = found;
    best.moves = o.moves;
    best.nights = o.nights;
  };
  /** What else could be done with one layer on one day, everything else as it is. */
  const others = (layer: Layer, j: number, d: number): Openings[] => {
    const turn = turns[d]!;
    if (canOpen(layer)) {
      const standsOpen = d === 0 && openAtStart(layer, startAtMs) > 0;
      return daysOf(turn, hours, best.moves[j]![d]!, standsOpen).map((m) => withMoves(best, j, d, m));
    }
    const begun = d === 0 && best.nights[j]![0] ? ends : [];
    return [
      ...begun.map((offAtMs) => withNight(best, j, 0, { onAtMs: startAtMs, offAtMs })),
      ...nightsOf(turn, turns[d + 1], hours, endAtMs).map((n) => withNight(best, j, d + 1, n)),
    ];
  };
  const moved = c.stack.flatMap((layer, j) =>
    canOpen(layer) || (sheets && isSheet(layer)) ? [{ layer, j }] : [],
  );
  const parts = SWEEPS * turns.length * moved.length;
  let done = 0;
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    const before = least;
    for (let d = 0; d < turns.length; d++)
      for (const { layer, j } of moved) {
        for (const o of others(layer, j, d)) consider(o);
        onProgress(++done / parts);
      }
    // a sweep that finds nothing better is the last
    if (least === before) break;
  }
  onProgress(1);
  return asOpened(c, best, sheets);
}

const replaced = <T>(list: readonly T[], i: number, x: T): T[] => list.map((y, n) => (n === i ? x : y));
const withMoves = (o: Openings, j: number, d: number, moves: DayMoves): Openings => ({
  ...o,
  moves: replaced(o.moves, j, replaced(o.moves[j]!, d, moves)),
});
const withNight = (o: Openings, j: number, n: number, night: Night | null): Openings => ({
  ...o,
  nights: replaced(o.nights, j, replaced(o.nights[j]!, n, night)),
});

/** What the moves cost the hands and sheets the light. */
function work(o: Openings, stack: readonly Layer[], turns: readonly Turn[]): number {
  const moves = o.moves.flat(2).length;
  const laid = o.nights.flat().filter((n) => n !== null).length;
  let dim = 0;
  o.nights.forEach((nights, j) => {
    const passed = MATERIALS[stack[j]!.material].sunPassed;
    for (const n of nights)
      for (const t of turns)
        if (n)
          dim += (1 - passed) * Math.max(0, Math.min(n.offAtMs, t.setAtMs) - Math.max(n.onAtMs, t.riseAtMs));
  });
  return MOVE * (moves + 2 * laid) + (DIM_HOUR * dim) / HOUR_MS;
}

type Hours = (fromAtMs: number, toAtMs: number) => number[];

/** What may be done with an opening in a day: left shut; opened, by how much, and shut; and once more moved between. */
function daysOf(turn: Turn, hours: Hours, now: DayMoves, mayShutOnly: boolean): DayMoves[] {
  const day = hours(turn.riseAtMs - HOUR_MS, turn.setAtMs + 2 * HOUR_MS);
  const out: DayMoves[] = [[]];
  const shuts = (from: number) => day.filter((ms) => ms > from && ms >= turn.noonAtMs);
  if (mayShutOnly) for (const atMs of day) out.push([{ atMs, fraction: 0 }]);
  for (const atMs of day.filter((ms) => ms < turn.setAtMs))
    for (const fraction of WIDTHS) {
      // the usual time to shut first: later ones are gone through below
      const until = shuts(atMs);
      const usual = until.filter((ms) => ms >= turn.setAtMs - 2 * HOUR_MS)[0] ?? until.at(-1);
      if (usual !== undefined)
        out.push([
          { atMs, fraction },
          { atMs: usual, fraction: 0 },
        ]);
    }
  const [first] = now;
  const last = now.at(-1);
  if (first && last && now.length > 1) {
    for (const atMs of shuts(first.atMs)) out.push([first, { atMs, fraction: 0 }]);
    for (const atMs of day.filter((ms) => ms > first.atMs && ms < last.atMs))
      for (const fraction of WIDTHS)
        if (fraction !== first.fraction) out.push([first, { atMs, fraction }, last]);
  }
  return out;
}

/** When a sheet that lies in the night before a day may be lifted: in its morning, or with the last who are there. */
function liftsIn(day: Turn, hours: Hours, endAtMs: number): number[] {
  const all = hours(day.riseAtMs, day.setAtMs + 2 * HOUR_MS);
  const morning = all.filter((ms) => ms <= day.noonAtMs + 3 * HOUR_MS);
  return [...new Set([...morning, all.at(-1) ?? endAtMs])];
}

/** When a sheet may be laid in an evening and lifted on the day after it, or left off. */
function nightsOf(turn: Turn, next: Turn | undefined, hours: Hours, endAtMs: number): (Night | null)[] {
  const offs = next ? liftsIn(next, hours, endAtMs) : [endAtMs];
  const laid = hours(turn.setAtMs - 3 * HOUR_MS, turn.setAtMs + 2 * HOUR_MS).flatMap((onAtMs) =>
    offs.filter((offAtMs) => offAtMs > onAtMs).map((offAtMs): Night => ({ onAtMs, offAtMs })),
  );
  return [null, ...laid];
}

/** Whether a sheet lies there as the case begins in a night: of that night only the end may be chosen. */
function liesAtStart(l: Layer, turns: readonly Turn[], startAtMs: number): boolean {
  const [first] = turns;
  if (!isSheet(l) || !first || startAtMs >= first.riseAtMs) return false;
  return l.on?.some((s) => Date.parse(s.from) <= startAtMs && Date.parse(s.to) > startAtMs) ?? true;
}
