/**
 * Days worked out in threads and remembered. Contract: `ask` returns at once what is there of a list of tasks and how far it is;
 * what is not there is begun, once. An answer is kept by all that it follows from; the last few hundred are held.
 */
import type { PlanProgress } from '@fogata/contract';
import type { DayAnswer, DayTask } from '@fogata/core/day';
import { digest } from '../night/pool';

export interface DayPool {
  day(task: DayTask, signal: AbortSignal): Promise<DayAnswer>;
}

type Held = { answer: DayAnswer } | { failed: string } | 'running';
const MOST_HELD = 200;

export class DayBook {
  private readonly held = new Map<string, Held>();
  private readonly abort = new AbortController();

  constructor(private readonly pool: DayPool) {}

  ask(tasks: readonly DayTask[]): { answers: (DayAnswer | null)[]; progress: PlanProgress } {
    const all = tasks.map((task): Held => {
      const key = digest(task);
      const held = this.held.get(key);
      if (held) return held;
      this.held.set(key, 'running');
      void this.work(key, task);
      return 'running';
    });
    for (const key of this.held.keys()) if (this.held.size > MOST_HELD) this.held.delete(key);
    const answers = all.map((h) => (typeof h === 'object' && 'answer' in h ? h.answer : null));
    const failed = all.find((h) => typeof h === 'object' && 'failed' in h);
    const done = answers.filter((a) => a !== null).length;
    const of = all.length;
    if (of === 0) return { answers, progress: { state: 'empty', done, of } };
    if (failed && typeof failed === 'object' && 'failed' in failed)
      return { answers, progress: { state: 'failed', done, of, message: failed.failed } };
    return { answers, progress: { state: done === of ? 'ready' : 'computing', done, of } };
  }

  private async work(key: string, task: DayTask): Promise<void> {
    try {
      this.held.set(key, { answer: await this.pool.day(task, this.abort.signal) });
    } catch (error) {
      if (this.abort.signal.aborted) return;
      process.stderr.write(
        `day failed: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`,
      );
      this.held.set(key, { failed: 'The day could not be worked out. Nothing of yours is lost.' });
    }
  }

  stop(): void {
    this.abort.abort();
  }
}
