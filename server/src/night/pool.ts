/** The worker threads: a kept pool with a queue; a task can be abandoned by its signal. */
import type { BedOutcome, BedSpec, BedTask, SoilState } from '@fogata/core';
import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';

export interface DueTask {
  task: BedTask;
  initial: SoilState;
  specs: { fromMs: number; spec: BedSpec }[];
}

export interface NightPool {
  evaluate(task: BedTask, signal: AbortSignal): Promise<BedOutcome>;
  due(task: DueTask, signal: AbortSignal): Promise<{ dueMs: number; lostK: number }>;
  close(): Promise<void>;
}

/** `filename` is the worker's bundle, made by scripts/build-server.mjs. */
export function startPool(filename: string): NightPool {
  const pool = new Piscina({
    filename,
    minThreads: 1,
    maxThreads: Math.max(1, Math.min(4, availableParallelism())),
    idleTimeout: 60_000,
  });
  // a task that fails tells its caller; this is for what a thread says outside of any task
  pool.on('error', (error: Error) => process.stderr.write(`worker: ${error.message}\n`));
  return {
    evaluate: (task, signal) => pool.run(task, { name: 'evaluate', signal }) as Promise<BedOutcome>,
    due: (task, signal) => pool.run(task, { name: 'due', signal }) as Promise<{ dueMs: number; lostK: number }>,
    close: () => pool.destroy(),
  };
}
