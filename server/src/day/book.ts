/**
 * Days, weeks of shade, and water under layers, worked out in threads and remembered. Contract: `ask` returns at once what is there of a list of tasks and how far it is;
 * what is not there is begun, once. An answer is kept by all that it follows from; the last few hundred are held.
 */
import type { PlanProgress } from '@fogata/contract';
import { said, type Said } from '@fogata/core';
import type { DayAnswer, DayTask, ShadeSpan, ShadeTask } from '@fogata/core/day';
import type { WaterAnswer, WaterTask } from '@fogata/core/water';
import { keptOr, NO_ANSWERS, type KeptAnswers } from '../db/keptAnswers';
import { wholeFault } from '../fault';
import { digest } from '../night/pool';
import { setTimeout as sleep } from 'node:timers/promises';

export interface DayPool {
  day(task: DayTask, signal: AbortSignal): Promise<DayAnswer>;
  shade(task: ShadeTask, signal: AbortSignal): Promise<ShadeSpan[]>;
  water(task: WaterTask, signal: AbortSignal): Promise<WaterAnswer>;
}

type Held<A> = { answer: A } | { failed: Said } | 'running';
const MOST_HELD = 200;

/** What is worked out, and what who asked is told where it failed. */
const FAILED = { day: 'problem.day', shade: 'problem.shade', water: 'problem.water' } as const;

export class TaskBook<T, A> {
  private readonly held = new Map<string, Held<A>>();
  private readonly running = new Map<string, Promise<void>>();
  private readonly abort = new AbortController();

  private readonly failed: Said;

  constructor(
    private readonly what: keyof typeof FAILED,
    private readonly run: (task: T, signal: AbortSignal) => Promise<A>,
    private readonly kept: KeptAnswers<A> = NO_ANSWERS,
  ) {
    this.failed = said(FAILED[what]);
  }

  ask(tasks: readonly T[]): { answers: (A | null)[]; progress: PlanProgress } {
    const all = tasks.map((task): Held<A> => {
      const key = digest(task);
      const held = this.held.get(key);
      if (held) return held;
      this.held.set(key, 'running');
      this.running.set(
        key,
        this.work(key, task).finally(() => this.running.delete(key)),
      );
      return 'running';
    });
    // of a large farm as many as it asks for, then and now
    const most = Math.max(MOST_HELD, 3 * tasks.length);
    for (const key of this.held.keys()) if (this.held.size > most) this.held.delete(key);
    const answers = all.map((h) => (typeof h === 'object' && 'answer' in h ? h.answer : null));
    const failed = all.find((h) => typeof h === 'object' && 'failed' in h);
    const done = answers.filter((a) => a !== null).length;
    const of = all.length;
    if (of === 0) return { answers, progress: { state: 'empty', done, of } };
    if (failed && typeof failed === 'object' && 'failed' in failed)
      return { answers, progress: { state: 'failed', done, of, message: failed.failed } };
    return { answers, progress: { state: done === of ? 'ready' : 'computing', done, of } };
  }

  /** As `ask`, when all of it is there, or after `longestMs`; null in the place of what is not there by then. */
  async wait(tasks: readonly T[], longestMs: number): Promise<(A | null)[]> {
    this.ask(tasks);
    const late = new AbortController();
    const all = Promise.all(tasks.map((t) => this.running.get(digest(t))));
    await Promise.race([all, sleep(longestMs, undefined, { signal: late.signal }).catch(() => undefined)]);
    late.abort();
    return this.ask(tasks).answers;
  }

  private async work(key: string, task: T): Promise<void> {
    try {
      const run = () => this.run(task, this.abort.signal);
      this.held.set(key, { answer: await keptOr(this.kept, key, run) });
    } catch (error) {
      if (this.abort.signal.aborted) return;
      wholeFault(this.what, error);
      this.held.set(key, { failed: this.failed });
    }
  }

  stop(): void {
    this.abort.abort();
  }
}

export const dayBook = (pool: DayPool) =>
  new TaskBook<DayTask, DayAnswer>('day', (task, signal) => pool.day(task, signal));
export const shadeBook = (pool: DayPool, kept: KeptAnswers<ShadeSpan[]>) =>
  new TaskBook<ShadeTask, ShadeSpan[]>('shade', (task, signal) => pool.shade(task, signal), kept);
export const waterBook = (pool: DayPool) =>
  new TaskBook<WaterTask, WaterAnswer>('water', (task, signal) => pool.water(task, signal));
