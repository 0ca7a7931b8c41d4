/** Worker threads as the server has them, for benches of whole nights. */
import {
  evaluateNew,
  joinOutcomes,
  sentTask,
  splitTask,
  type BedTask,
  type HouseOutcome,
  type OptionOutcome,
} from '@fogata/core';
import type { Workers } from '@fogata/core/planning';
import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';

const nameOf = (work: unknown) => createHash('sha1').update(JSON.stringify(work)).digest('hex');

/** Threads as the server has them; `held` remembers equal work, as its pool does. */
export function startThreads(file: string, held: Map<string, Promise<unknown>> | null) {
  const threads = Math.min(4, availableParallelism());
  const pool = new Piscina({ filename: file, minThreads: threads, maxThreads: threads });
  const run = <T>(name: string, task: unknown, signal: AbortSignal) =>
    pool.run(name === 'solve' ? task : sentTask(task as object), { name, signal }) as Promise<T>;
  const workers: Workers = {
    house: (task, signal) => {
      const name = nameOf(sentTask({ ...task, beds: task.beds.map(({ was: _was, ...b }) => b) }));
      const found = (held?.get(name) as Promise<HouseOutcome> | undefined) ?? run('house', task, signal);
      held?.set(name, found);
      return found;
    },
    evaluate: (task, under, signal) => {
      const all = async (some: BedTask) => {
        const parts = splitTask(some, threads).map((t) => run<OptionOutcome[]>('evaluate', t, signal));
        return joinOutcomes(some, await Promise.all(parts));
      };
      if (!held) return all(task);
      const bed = under + nameOf(sentTask({ ...task, given: null, options: null }));
      const named = new Map(task.options.map((o) => [o, bed + nameOf(o)] as const));
      return evaluateNew(task, (o) => named.get(o)!, held, all);
    },
    due: (work, _under, signal) => run('due', work, signal),
    lift: (work, _under, signal) => run('lift', work, signal),
    solve: (task, signal) => run('solve', task, signal),
    nameOf,
  };
  return { workers, close: () => pool.destroy() };
}
