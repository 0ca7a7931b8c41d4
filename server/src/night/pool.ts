/** The worker threads: a kept pool with a queue; a task can be abandoned by its signal. */
import {
  joinOutcomes,
  splitTask,
  type BedOutcome,
  type BedSpec,
  type BedTask,
  type Belief,
  type SoilState,
} from '@fogata/core';
import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import type { LearnTask } from './learning';

export interface DueTask {
  task: BedTask;
  initial: SoilState;
  specs: { fromMs: number; spec: BedSpec }[];
}

export interface NightPool {
  evaluate(task: BedTask, signal: AbortSignal): Promise<BedOutcome>;
  due(task: DueTask, signal: AbortSignal): Promise<{ dueMs: number; lostK: number }>;
  learn(task: LearnTask, signal: AbortSignal): Promise<Belief>;
  close(): Promise<void>;
}

const digest = (value: unknown) => createHash('sha1').update(JSON.stringify(value)).digest('hex');

/**
 * A pool that remembers: the same work under the same weather is done once. What it holds is dropped when the weather
 * changes, so that an evening of ticking jobs off costs only the beds that changed.
 */
export function remembering(pool: NightPool): NightPool {
  let weather = '';
  // nights that were do not change: kept whatever the weather to come does
  const learnt = new Map<string, Promise<Belief>>();
  const held = new Map<string, Promise<unknown>>();
  function once<T>(kind: string, task: BedTask, rest: unknown, run: () => Promise<T>): Promise<T> {
    const { history, members, ...own } = task;
    const under = digest([history, members]);
    if (under !== weather) {
      held.clear();
      weather = under;
    }
    const key = `${kind}:${digest([own, rest])}`;
    const found = held.get(key) as Promise<T> | undefined;
    const start = () => {
      const fresh = run();
      held.set(key, fresh);
      // what was abandoned or failed is not an answer
      fresh.catch(() => held.get(key) === fresh && held.delete(key));
      return fresh;
    };
    // someone else may abandon the work that this one waits for: then it is done for this one
    return found ? found.catch(start) : start();
  }
  return {
    evaluate: (task, signal) => once('evaluate', task, null, () => pool.evaluate(task, signal)),
    due: (work, signal) => once('due', work.task, work.specs, () => pool.due(work, signal)),
    learn: (task, signal) => {
      const key = digest(task);
      const start = () => {
        if (learnt.size > 200) learnt.clear();
        const fresh = pool.learn(task, signal);
        learnt.set(key, fresh);
        fresh.catch(() => learnt.get(key) === fresh && learnt.delete(key));
        return fresh;
      };
      return learnt.get(key)?.catch(start) ?? start();
    },
    close: () => pool.close(),
  };
}

/** `filename` is the worker's bundle, made by scripts/build-server.mjs. Threads stay: a warm one is several times faster. */
export function startPool(filename: string): NightPool {
  const threads = Math.max(1, Math.min(4, availableParallelism()));
  const pool = new Piscina({ filename, minThreads: threads, maxThreads: threads });
  // a task that fails tells its caller; this is for what a thread says outside of any task
  pool.on('error', (error: Error) => process.stderr.write(`worker: ${error.message}\n`));
  return {
    evaluate: async (task, signal) => {
      const parts = splitTask(task, threads).map(
        (part) => pool.run(part, { name: 'evaluate', signal }) as Promise<BedOutcome>,
      );
      return joinOutcomes(task, await Promise.all(parts));
    },
    due: (task, signal) =>
      pool.run(task, { name: 'due', signal }) as Promise<{ dueMs: number; lostK: number }>,
    learn: (task, signal) => pool.run(task, { name: 'learn', signal }) as Promise<Belief>,
    close: () => pool.destroy(),
  };
}
