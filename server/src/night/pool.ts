/** The worker threads: a kept pool with a queue; a task can be abandoned by its signal. */
import {
  evaluateNew,
  joinOutcomes,
  sentTask,
  splitTask,
  type Belief,
  type Due,
  type HouseOutcome,
  type LiftLook,
  type OptionOutcome,
} from '@fogata/core';
import type { Solved, Workers } from '@fogata/core/planning';
import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import type { DayAnswer, ShadeSpan } from '@fogata/core/day';
import { fault } from '../fault';
import type { DayPool } from '../day/book';
import type { Filled } from '@fogata/core/relay';
import type { WaterAnswer } from '@fogata/core/water';
import type { FillPool } from '../relay/filler';
import type { SeasonAnswer, SeasonPool } from '../season/book';
import type { LearnTask } from './learning';

export interface NightPool extends Workers {
  learn(task: LearnTask, signal: AbortSignal): Promise<Belief>;
  close(): Promise<void>;
}

export const digest = (value: unknown) => createHash('sha1').update(JSON.stringify(value)).digest('hex');

/** By where a bed starts from: two that are alike, under one roof, may have had another week. */
const starts = new WeakMap<object, string>();
function startOf(initial: object): string {
  const name = starts.get(initial) ?? digest(initial);
  starts.set(initial, name);
  return name;
}

/**
 * A pool that remembers: the same work under the same weather is done once. What it holds is dropped when the weather
 * changes, so that an evening of ticking jobs off costs only the beds that changed.
 */
export function remembering(pool: NightPool): NightPool {
  let weather = '';
  // nights that were do not change: kept whatever the weather to come does
  const learnt = new Map<string, Promise<Belief>>();
  const held = new Map<string, Promise<unknown>>();
  function once<T>(store: Map<string, Promise<unknown>>, key: string, run: () => Promise<T>): Promise<T> {
    const found = store.get(key) as Promise<T> | undefined;
    const start = () => {
      const fresh = run();
      store.set(key, fresh);
      // what was abandoned or failed is not an answer
      fresh.catch(() => store.get(key) === fresh && store.delete(key));
      return fresh;
    };
    // someone else may abandon the work that this one waits for: then it is done for this one
    return found ? found.catch(start) : start();
  }
  return {
    house: (task, signal) => {
      const under = digest(sentTask({ history: task.history, members: task.members }));
      if (under !== weather) {
        held.clear();
        weather = under;
      }
      // where it goes on from follows from the days before
      const beds = task.beds.map(({ was: _was, ...b }) => b);
      return once(held, `house:${digest(sentTask({ ...task, beds }))}`, () => pool.house(task, signal));
    },
    evaluate: (task, under, signal) => {
      const { given: _given, initial, options: _options, ...own } = task;
      const bed = `evaluate:${under}:${startOf(initial)}:${digest(sentTask(own))}`;
      const named = new Map(task.options.map((o) => [o, `${bed}:${digest(o)}`] as const));
      return evaluateNew(
        task,
        (o) => named.get(o)!,
        held,
        (some) => pool.evaluate(some, under, signal),
      );
    },
    due: (work, under, signal) => {
      const { given: _given, initial, ...own } = work.task;
      const key = `due:${under}:${startOf(initial)}:${digest([sentTask(own), work.specs])}`;
      return once(held, key, () => pool.due(work, under, signal));
    },
    lift: (work, under, signal) => {
      const { given: _given, initial, ...own } = work.task;
      const key = `lift:${under}:${startOf(initial)}:${digest([sentTask(own), work.lifted, work.left])}`;
      return once(held, key, () => pool.lift(work, under, signal));
    },
    learn: (task, signal) => {
      if (learnt.size > 200) learnt.clear();
      return once(learnt, digest(task), () => pool.learn(task, signal));
    },
    solve: (task, signal) => once(held, `solve:${digest(task)}`, () => pool.solve(task, signal)),
    nameOf: digest,
    close: () => pool.close(),
  };
}

/** As many as there are cores, up to four. */
export const usualThreads = (): number => Math.max(1, Math.min(4, availableParallelism()));

/** `filename` is the worker's bundle, made by scripts/build-server.mjs. Threads stay: a warm one is several times faster. */
export function startPool(
  filename: string,
  threads = usualThreads(),
): NightPool & SeasonPool & DayPool & FillPool {
  const pool = new Piscina({ filename, minThreads: threads, maxThreads: threads });
  // a task that fails tells its caller; this is for what a thread says outside of any task
  pool.on('error', (error: Error) => fault('thread', error));
  return {
    house: (task, signal) => pool.run(sentTask(task), { name: 'house', signal }) as Promise<HouseOutcome>,
    evaluate: async (task, _under, signal) => {
      const parts = splitTask(task, threads).map(
        (part) => pool.run(sentTask(part), { name: 'evaluate', signal }) as Promise<OptionOutcome[]>,
      );
      return joinOutcomes(task, await Promise.all(parts));
    },
    due: (task, _under, signal) => pool.run(sentTask(task), { name: 'due', signal }) as Promise<Due>,
    lift: (task, _under, signal) => pool.run(sentTask(task), { name: 'lift', signal }) as Promise<LiftLook[]>,
    learn: (task, signal) => pool.run(task, { name: 'learn', signal }) as Promise<Belief>,
    solve: (task, signal) => pool.run(task, { name: 'solve', signal }) as Promise<Solved>,
    season: (task, signal) => pool.run(task, { name: 'season', signal }) as Promise<SeasonAnswer[]>,
    day: (task, signal) => pool.run(task, { name: 'day', signal }) as Promise<DayAnswer>,
    shade: (task, signal) => pool.run(task, { name: 'shade', signal }) as Promise<ShadeSpan[]>,
    water: (task, signal) => pool.run(task, { name: 'water', signal }) as Promise<WaterAnswer>,
    fill: async (task, told, signal) => {
      const { port1, port2 } = new MessageChannel();
      port1.on('message', told);
      try {
        return (await pool.run(
          { ...task, port: port2 },
          { name: 'fill', signal, transferList: [port2] },
        )) as Filled;
      } finally {
        port1.close();
      }
    },
    nameOf: digest,
    close: () => pool.destroy(),
  };
}
