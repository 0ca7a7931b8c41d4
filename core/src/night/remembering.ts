/**
 * Workers that remember. Contract: the same work under the same weather is done once, for whoever asks; what is held is dropped when the weather changes, so that an
 * evening of ticking jobs off costs only the beds that changed. What was abandoned or failed is no answer: who waited for it has it done anew.
 */
import { evaluateNew } from './evaluate';
import type { Workers } from './planned';
import { namedTask } from './sent';

/**
 * What is held under a name, or what `run` gives, held from now on.
 * @example await once(new Map([['a', Promise.resolve(1)]]), 'a', () => Promise.resolve(2)) // 1
 */
export function once<T>(
  held: Map<string, Promise<unknown>>,
  name: string,
  run: () => Promise<T>,
): Promise<T> {
  const found = held.get(name) as Promise<T> | undefined;
  const start = () => {
    const fresh = run();
    held.set(name, fresh);
    fresh.catch(() => held.get(name) === fresh && held.delete(name));
    return fresh;
  };
  // someone else may abandon the work that this one waits for: then it is done for this one
  return found ? found.catch(start) : start();
}

/** @example remembering({ nameOf: (x) => `${x}` }).nameOf(1) // '1' */
export function remembering(workers: Workers): Workers {
  const { nameOf } = workers;
  let weather = '';
  const held = new Map<string, Promise<unknown>>();
  /** A task by a name: its hours have one of their own, made once for an evening's hundreds of tasks. */
  const nameOfTask = (task: object) => nameOf(namedTask(task, nameOf));
  /** By where a bed starts from: two that are alike, under one roof, may have had another week. */
  const starts = new WeakMap<object, string>();
  const startOf = (initial: object): string => {
    const name = starts.get(initial) ?? nameOf(initial);
    starts.set(initial, name);
    return name;
  };
  /** All but the air that a bed is given, which follows from what its house is `under`. */
  const bedOf = (task: { given?: unknown; initial: object }, under: string, more: object) => {
    const { given: _given, initial, ...own } = task;
    return `${under}:${startOf(initial)}:${nameOfTask({ ...own, ...more })}`;
  };
  return {
    house: (task, signal) => {
      const now = nameOfTask({ history: task.history, members: task.members });
      if (now !== weather) {
        held.clear();
        weather = now;
      }
      // where it goes on from follows from the days before
      const beds = task.beds.map(({ was: _was, ...b }) => b);
      return once(held, `house:${nameOfTask({ ...task, beds })}`, () => workers.house(task, signal));
    },
    evaluate: (task, under, signal) => {
      const bed = `evaluate:${bedOf(task, under, { options: null })}`;
      const named = new Map(task.options.map((o) => [o, `${bed}:${nameOf(o)}`] as const));
      return evaluateNew(
        task,
        (o) => named.get(o)!,
        held,
        (some) => workers.evaluate(some, under, signal),
      );
    },
    due: (work, under, signal) =>
      once(held, `due:${bedOf(work.task, under, { specs: work.specs })}`, () =>
        workers.due(work, under, signal),
      ),
    lift: (work, under, signal) =>
      once(held, `lift:${bedOf(work.task, under, { lifted: work.lifted, left: work.left })}`, () =>
        workers.lift(work, under, signal),
      ),
    solve: (task, signal) => once(held, `solve:${nameOf(task)}`, () => workers.solve(task, signal)),
    nameOf,
  };
}
