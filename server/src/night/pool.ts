/** The worker threads: a kept pool with a queue; a task can be abandoned by its signal. */
import {
  joinOutcomes,
  sentTask,
  splitTask,
  type Belief,
  type Due,
  type HouseOutcome,
  type LiftLook,
  type OptionOutcome,
} from '@fogata/core';
import { once, remembering, type Solved, type Workers } from '@fogata/core/planning';
import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import type { DayAnswer, ShadeSpan } from '@fogata/core/day';
import type { Reduced } from '@fogata/core/season';
import { keptOr, NO_ANSWERS, type KeptAnswers } from '../db/keptAnswers';
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

/** A pool that remembers as long as the weather stands; what nights that were taught does not change, and is kept over a restart. */
export function rememberingPool(pool: NightPool, kept: KeptAnswers<Belief> = NO_ANSWERS): NightPool {
  const learnt = new Map<string, Promise<unknown>>();
  return {
    ...remembering(pool),
    learn: (task, signal) => {
      if (learnt.size > 200) learnt.clear();
      const key = digest(task);
      return once(learnt, key, () => keptOr(kept, key, () => pool.learn(task, signal)));
    },
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
      // where every thread has work waiting, more of it only has to be told
      const parts = splitTask(task, pool.queueSize < threads ? threads : 1).map(
        (part) => pool.run(sentTask(part), { name: 'evaluate', signal }) as Promise<OptionOutcome[]>,
      );
      return joinOutcomes(task, await Promise.all(parts));
    },
    due: (task, _under, signal) => pool.run(sentTask(task), { name: 'due', signal }) as Promise<Due>,
    lift: (task, _under, signal) => pool.run(sentTask(task), { name: 'lift', signal }) as Promise<LiftLook[]>,
    learn: (task, signal) => pool.run(task, { name: 'learn', signal }) as Promise<Belief>,
    solve: (task, signal) => pool.run(task, { name: 'solve', signal }) as Promise<Solved>,
    fit: (spec, signal) => pool.run(spec, { name: 'fit', signal }) as Promise<Reduced>,
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
