/**
 * One roof, one night: all beds that share an air (or one bed in the open) through the days that were and under every
 * member of the forecast. Plain data in and out: a unit of work for the server's threads.
 */
import { BOOK_BELIEF, drawFactors, type Belief } from '../calibration/belief';
import type { SoilState } from '../heat/carry';
import { runHouse, type HouseRun } from '../heat/run';
import type { BedSpec, Site, WeatherEntry } from '../heat/types';
import type { SharedTrace } from '../heat/work';
import { bandSeries, medianOf, type Band } from './bands';
import { outcomeFrom, type BedPast, type OptionOutcome } from './outcome';
import { outsideFor, preparedFor } from './prepared';

export interface HouseBed {
  id: string;
  /** The bed as it was covered through the days before. */
  historySpec: BedSpec;
  /** The bed as it is looked at now: as it stands, or as planned. */
  spec: BedSpec;
  /** Place of the structure in that stack, −1 in the open. */
  structureLayer: number;
  /** What the bed's corner adds to its leaf, K. */
  placeK: number;
  /** What the roof's own thermometer showed it to be colder by, K; left out for none. */
  partedK?: number;
  /** What the days before left, where they were run already. */
  was?: Was;
  /** What they had left by an hour of them: they are run on from there. */
  since?: WasAt;
}

export interface Was {
  initial: SoilState;
  past: BedPast;
}

export interface WasAt extends Was {
  atMs: number;
}

export interface HouseTask {
  site: Site;
  /** The last days as they were, up to the hour the members start. */
  history: WeatherEntry[];
  members: WeatherEntry[][];
  /** Places of the members to be run; all where it is left out. */
  only?: readonly number[];
  beds: HouseBed[];
  /** Name of this outcome of the beds. */
  key: string;
  belief?: Belief;
  /** Only what happens from here on counts for the minimum, epoch ms. */
  countFromAtMs: number;
}

export interface HouseOutcome {
  timesAtMs: number[];
  outsideC: Band;
  skyC: number[];
  beds: {
    id: string;
    initial: SoilState;
    /** The last day as the model has it under the covers that were on, hour by hour up to the start. */
    past: BedPast;
    outcome: OptionOutcome;
  }[];
  /** What the beds share, by member, with nothing for those that were not run: for one of them to be tried under other covers. */
  shared: SharedTrace[];
}

/** A day, from hour to hour. */
const LAST_HOURS = 25;

interface Kind {
  historySpec: BedSpec;
  spec: BedSpec;
}

/** Beds that are alike are one, counted. */
function kindsOf(beds: readonly HouseBed[]): { kinds: Kind[]; kindOf: number[] } {
  const keys: string[] = [];
  const kinds: Kind[] = [];
  const kindOf = beds.map((b) => {
    const key = JSON.stringify([b.historySpec, b.spec, b.since?.initial]);
    const found = keys.indexOf(key);
    if (found >= 0) {
      const k = kinds[found]!;
      k.spec = { ...k.spec, count: (k.spec.count ?? 1) + 1 };
      k.historySpec = { ...k.historySpec, count: (k.historySpec.count ?? 1) + 1 };
      return found;
    }
    keys.push(key);
    kinds.push({ historySpec: b.historySpec, spec: b.spec });
    return keys.length - 1;
  });
  return { kinds, kindOf };
}

/**
 * A roof with its beds through the days that were and under every member: where each starts from, its last day, its night.
 * @example evaluateHouse({ site: SITE, history: weather(), members: [weather({ hours: 24 })], beds: [{ id: 'b', historySpec: bed([HOUSE]), spec: bed([HOUSE]), structureLayer: 0, placeK: 0 }], key: 'as', countFromAtMs: START_MS }).beds[0].outcome.key // 'as'
 */
export function evaluateHouse(task: HouseTask): HouseOutcome {
  const belief = task.belief ?? BOOK_BELIEF;
  const { kinds, kindOf } = kindsOf(task.beds);
  const mean = { ...belief.mean, zoneOffsetC: 0 };
  const ground = kinds[0]!.historySpec.ground;
  const was = daysBefore(task, kinds, kindOf, belief);
  const starts = kinds.map((_, k) => was[kindOf.indexOf(k)]!.initial);
  const p = preparedFor(task.site, task.members);
  const outside = outsideFor(p, ground, mean, starts[0]);
  const factors = drawFactors(belief, p.members.length);
  const which = task.only ?? p.members.map((_, m) => m);
  const houses = which.map((m) =>
    runHouse(
      kinds.map((k) => k.spec),
      p.members[m]!,
      {
        calibration: { ...factors[m]!, zoneOffsetC: 0 },
        initial: starts,
        outside: outside[m]!,
        audit: false,
      },
    ),
  );
  const times = p.members[0]!.entryAtMs;
  const from = firstAt(times, task.countFromAtMs);
  return {
    timesAtMs: times,
    outsideC: bandSeries(
      task.members.map((m) => m.map((e) => e.airC)),
      0,
    ),
    skyC: times.map((_, i) => medianOf(houses.map((h) => h.beds[0]!.skyC[i]!))),
    beds: task.beds.map((bed, b) => {
      const k = kindOf[b]!;
      return {
        id: bed.id,
        ...was[b]!,
        outcome: outcomeFrom({
          key: task.key,
          runs: houses.map((h) => h.beds[k]!),
          hangsK: which.map((m) => factors[m]!.zoneOffsetC),
          placeK: bed.placeK,
          partedK: bed.partedK,
          from,
          structureLayer: bed.structureLayer,
        }),
      };
    }),
    shared: byMember(which, houses),
  };
}

/** The days that were, bed by bed, run where they were not yet. */
function daysBefore(
  { site, history, beds }: HouseTask,
  kinds: readonly Kind[],
  kindOf: readonly number[],
  belief: Belief,
): Was[] {
  const known = beds.flatMap((b) => b.was ?? []);
  if (known.length === beds.length) return known;
  const mean = { ...belief.mean, zoneOffsetC: 0 };
  const since = sinceOf(beds, Date.parse(history[0]!.time));
  const hours = since ? history.filter((e) => Date.parse(e.time) >= since[0]!.atMs) : history;
  const starts = since && kinds.map((_, k) => since[kindOf.indexOf(k)]!.initial);
  const before = preparedFor(site, [hours]);
  const { beds: runs } = runHouse(
    kinds.map((k) => k.historySpec),
    before.members[0]!,
    {
      calibration: mean,
      ...(starts ? { initial: starts } : {}),
      outside: outsideFor(before, kinds[0]!.historySpec.ground, mean, starts?.[0])[0]!,
      audit: false,
    },
  );
  const times = runs[0]!.entryAtMs;
  const tail = Math.max(0, times.length - LAST_HOURS);
  const fresh = since ? 1 : 0;
  return beds.map((bed, b): Was => {
    const run = runs[kindOf[b]!]!;
    const fromAtMs = Date.parse(history[0]!.time);
    return {
      initial: run.end,
      past: goneOn(since?.[b]?.past, fromAtMs, {
        timesAtMs: times.slice(tail),
        outsideC: [...run.outsideC.subarray(tail)],
        leafC: [...run.leafC.subarray(tail)].map((c) => c + bed.placeK),
        soilC: [...run.soilC[1].subarray(tail)],
        structureC: structureAir(bed.historySpec, run.layerAirC, tail, belief.mean.zoneOffsetC),
        // the hour that it goes on from is the last of before
        lows: dailyLows(times.slice(fresh), run.leafC.subarray(fresh), bed.placeK),
      }),
    };
  });
}

/** Where all beds were left at one hour of those that are known, if they were. */
function sinceOf(beds: readonly HouseBed[], fromAtMs: number): WasAt[] | null {
  const since = beds.flatMap((b) => b.since ?? []);
  const at = since[0]?.atMs ?? -Infinity;
  return since.length === beds.length && at >= fromAtMs && since.every((s) => s.atMs === at) ? since : null;
}

/** A last day with what went before it, no longer than a day; lows from an instant on. */
function goneOn(before: BedPast | undefined, fromAtMs: number, past: BedPast): BedPast {
  if (!before) return past;
  const old = before.timesAtMs.filter((ms) => ms < past.timesAtMs[0]!).length;
  const last = <T>(was: readonly T[], now: readonly T[]) => [...was.slice(0, old), ...now].slice(-LAST_HOURS);
  return {
    timesAtMs: last(before.timesAtMs, past.timesAtMs),
    outsideC: last(before.outsideC, past.outsideC),
    leafC: last(before.leafC, past.leafC),
    soilC: last(before.soilC, past.soilC),
    structureC: last(before.structureC, past.structureC),
    lows: [...before.lows.filter((l) => l.atMs >= fromAtMs), ...past.lows],
  };
}

function byMember(which: readonly number[], houses: readonly HouseRun[]): SharedTrace[] {
  const shared: SharedTrace[] = [];
  which.forEach((m, n) => (shared[m] = houses[n]!.shared));
  return shared;
}

/** The structure's own air from an hour on, where its thermometer hangs; empty in the open. */
function structureAir(spec: BedSpec, layerAirC: readonly Float64Array[], from: number, hangsK: number) {
  const layer = spec.stack.findIndex((l) => l.role === 'structure');
  return layer < 0 ? [] : [...layerAirC[layer]!.subarray(from)].map((c) => c + hangsK);
}

/** The lowest of each 24 hours, counted back from the end. */
function dailyLows(timesAtMs: readonly number[], leafC: Float64Array, placeK: number) {
  const out: { atMs: number; leafC: number }[] = [];
  for (let end = leafC.length; end > 0; end -= 24) {
    let at = Math.max(0, end - 24);
    for (let i = at; i < end; i++) if (leafC[i]! < leafC[at]!) at = i;
    out.unshift({ atMs: timesAtMs[at]!, leafC: leafC[at]! + placeK });
  }
  return out;
}

/**
 * First hour at or after an instant, 0 where all are before it.
 * @example firstAt([0, 10, 20], 10) // 1
 */
export function firstAt(timesAtMs: readonly number[], ms: number): number {
  return Math.max(
    0,
    timesAtMs.findIndex((t) => t >= ms),
  );
}
