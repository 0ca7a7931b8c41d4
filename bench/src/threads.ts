/** Worker threads as the server has them, for benches of whole nights. */
import { joinOutcomes, sentTask, splitTask, type OptionOutcome } from '@fogata/core';
import { remembering, type Workers } from '@fogata/core/planning';
import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';

/** Threads as the server has them; where `remembers` they do equal work once, as its pool does. */
export function startThreads(file: string, remembers: boolean) {
  const threads = Math.min(4, availableParallelism());
  const pool = new Piscina({ filename: file, minThreads: threads, maxThreads: threads });
  const run = <T>(name: string, task: unknown, signal: AbortSignal) =>
    pool.run(name === 'solve' ? task : sentTask(task as object), { name, signal }) as Promise<T>;
  const workers: Workers = {
    house: (task, signal) => run('house', task, signal),
    evaluate: async (task, _under, signal) => {
      // where every thread has work waiting, more of it only has to be told
      const parts = splitTask(task, pool.queueSize < threads ? threads : 1).map((t) =>
        run<OptionOutcome[]>('evaluate', t, signal),
      );
      return joinOutcomes(task, await Promise.all(parts));
    },
    due: (work, _under, signal) => run('due', work, signal),
    lift: (work, _under, signal) => run('lift', work, signal),
    solve: (task, signal) => run('solve', task, signal),
    nameOf: (work) => createHash('sha1').update(JSON.stringify(work)).digest('hex'),
  };
  return { workers: remembers ? remembering(workers) : workers, close: () => pool.destroy() };
}
