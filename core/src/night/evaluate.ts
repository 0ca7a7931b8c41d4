/**
 * One bed, one night: what each combination of covers leads to under every member of the forecast, in the air that its
 * house was found to have (`house.ts`). This is the unit of work that the server's threads take; plain data in and out.
 */
import { BOOK_BELIEF, drawFactors, type Belief } from '../calibration/belief';
import type { SoilState } from '../heat/carry';
import { runBed } from '../heat/run';
import type { BedSpec, Site, WeatherEntry } from '../heat/types';
import type { SharedTrace } from '../heat/work';
import { firstAt } from './house';
import { outcomeFrom, type OptionOutcome } from './outcome';
import { outsideFor, preparedFor } from './prepared';

export interface BedTask {
  site: Site;
  members: WeatherEntry[][];
  /** Places of the members to be run; all where it is left out. */
  only?: readonly number[];
  /** Where only the choice is asked for: outcomes without the curves of air, soil and damp. */
  brief?: boolean;
  /** Where the days before left the bed. */
  initial: SoilState;
  /** The shared layers by member, of a bed in a house; null where the member is not run. */
  given?: readonly (SharedTrace | null)[];
  /** `structureLayer` is the place of the house, frame or tunnel in the stack, −1 in the open. */
  options: { key: string; spec: BedSpec; structureLayer: number }[];
  /** What is believed of the place's factors; the book's where it is left out. */
  belief?: Belief;
  /** What the bed's corner adds to its leaf, K; the thermometer hangs elsewhere. */
  placeK?: number;
  /** What the roof's own thermometer showed it to be colder by, K. */
  partedK?: number;
  /** Only what happens from here on counts for the minimum, epoch ms. */
  countFromAtMs: number;
}

type Option = BedTask['options'][number];

/** A bed's hours, read as outcomes as often as they are asked for, each time from another hour on. */
export type Ran = (as: Omit<Option, 'spec'>, countFromAtMs: number) => OptionOutcome;

/**
 * What runs a bed under one stack after another, with what they have in common made ready once.
 * @example runnerOf(aTask())(aTask().options[0].spec)({ key: 'bare', structureLayer: -1 }, 0).key // 'bare'
 */
export function runnerOf(task: Omit<BedTask, 'options' | 'countFromAtMs'>): (spec: BedSpec) => Ran {
  const p = preparedFor(task.site, task.members);
  const belief = task.belief ?? BOOK_BELIEF;
  const factors = drawFactors(belief, p.members.length);
  const which = task.only ?? p.members.map((_, m) => m);
  // all of them lie on the same ground
  let outside: ReturnType<typeof outsideFor> | undefined;
  return (spec) => {
    const bare = (outside ??= outsideFor(p, spec.ground, belief.mean, task.initial));
    const runs = which.map((m) =>
      runBed(spec, p.members[m]!, {
        calibration: { ...factors[m]!, zoneOffsetC: 0 },
        initial: task.initial,
        outside: bare[m]!,
        ...(task.given ? { given: task.given[m]! } : {}),
        audit: false,
      }),
    );
    return ({ key, structureLayer }, countFromAtMs) =>
      outcomeFrom({
        key,
        runs,
        hangsK: which.map((m) => factors[m]!.zoneOffsetC),
        placeK: task.placeK ?? 0,
        partedK: task.partedK,
        from: firstAt(p.members[0]!.entryAtMs, countFromAtMs),
        structureLayer,
        brief: task.brief === true,
      });
  };
}

/**
 * Runs every option under every member. `onOption` is told how many of them are done.
 * @example evaluateBed(aTask()).map((o) => o.key) // ['bare', 'fleece']
 */
export function evaluateBed(task: BedTask, onOption?: (done: number) => void): OptionOutcome[] {
  if (task.options.length === 0) return [];
  const run = runnerOf(task);
  return task.options.map((option, n) => {
    const ran = run(option.spec);
    onOption?.(n + 1);
    return ran(option, task.countFromAtMs);
  });
}

/**
 * A bed's work cut into `parts`, option by option in turn, so that several threads reach its answer sooner.
 * @example splitTask({ options: [1, 2, 3, 4, 5, 6] }, 2).map((t) => t.options) // [[1, 3, 5], [2, 4, 6]]
 */
export function splitTask(task: BedTask, parts: number): BedTask[] {
  const n = Math.max(1, Math.min(parts, Math.floor(task.options.length / 3)));
  return Array.from({ length: n }, (_, p) => ({
    ...task,
    options: task.options.filter((_o, i) => i % n === p),
  }));
}

/**
 * The parts' answers as one, options in the order of the whole task.
 * @example joinOutcomes({ options: [{ key: 'a' }, { key: 'b' }] }, [[{ key: 'b' }], [{ key: 'a' }]]).map((o) => o.key) // ['a', 'b']
 */
export function joinOutcomes(task: BedTask, parts: readonly OptionOutcome[][]): OptionOutcome[] {
  const found = new Map(parts.flat().map((o) => [o.key, o] as const));
  return task.options.map((o) => found.get(o.key)!);
}

/**
 * A bed's outcomes, of which only those are run that are not held under their name yet; what is abandoned or fails is held no longer, and who waited for it
 * runs it anew.
 * @example (await evaluateNew(aTask(), (o) => o.key, new Map(), async (t) => evaluateBed(t))).length // 2
 */
export function evaluateNew(
  task: BedTask,
  nameOf: (option: BedTask['options'][number]) => string,
  held: Map<string, Promise<unknown>>,
  run: (task: BedTask) => Promise<OptionOutcome[]>,
): Promise<OptionOutcome[]> {
  const some = (options: BedTask['options']) => {
    const fresh = run({ ...task, options });
    return options.map((o) => {
      const name = nameOf(o);
      const one = fresh.then((all) => all.find((x) => x.key === o.key)!);
      held.set(name, one);
      one.catch(() => held.get(name) === one && held.delete(name));
      return one;
    });
  };
  const missing = task.options.filter((o) => !held.has(nameOf(o)));
  if (missing.length > 0) some(missing);
  return Promise.all(
    task.options.map((o) => {
      const found = held.get(nameOf(o)) as Promise<OptionOutcome>;
      return missing.includes(o) ? found : found.catch(() => some([o])[0]!);
    }),
  );
}

/** What laying a bed's covers later than `dueAtMs` takes from its leaf: by when, and how much, each step worse than the one before. */
export interface Due {
  dueAtMs: number;
  later: { atMs: number; lostK: number }[];
}

/**
 * What the latest of them loses, K.
 * @example lostAtDark({ dueAtMs: 0, later: [{ atMs: 1, lostK: 0.4 }, { atMs: 2, lostK: 1.1 }] }) // 1.1
 */
export const lostAtDark = (due: Due | null): number => due?.later.at(-1)?.lostK ?? 0;

/** Steps closer than this are one. */
const STEP_K = 0.15;

/**
 * The latest time, out of `specs`, at which the covers can go on and still leave the leaf within 0.3 K of what the first
 * of them gives, under the forecast's centre, and what being later than that loses.
 * @example latestCoverAtMs(aTask(), [{ fromAtMs: 0, spec: bed([HOUSE, FLEECE]) }, { fromAtMs: 1, spec: bed([HOUSE, FLEECE]) }]).dueAtMs // 1
 */
export function latestCoverAtMs(
  task: Omit<BedTask, 'options'>,
  specs: { fromAtMs: number; spec: BedSpec }[],
): Due {
  const options = specs.map(({ fromAtMs, spec }) => ({ key: String(fromAtMs), spec, structureLayer: -1 }));
  const centre = { ...task, options, members: [task.members[0]!] };
  const minima = evaluateBed(centre).map((o) => o.minLeafC[0]!);
  const best = Math.max(...minima);
  let due = 0;
  minima.forEach((min, i) => {
    if (min >= best - 0.3) due = i;
  });
  const later: Due['later'] = [];
  // of steps that lose about the same, the last: it asks least
  for (let i = specs.length - 1; i > due; i--) {
    const lostK = Math.max(0, best - Math.min(...minima.slice(0, i + 1)));
    if (lostK <= (later[0]?.lostK ?? Infinity) - STEP_K) later.unshift({ atMs: specs[i]!.fromAtMs, lostK });
  }
  return { dueAtMs: specs[due]!.fromAtMs, later };
}
