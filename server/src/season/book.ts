/**
 * Answers by the year, worked out in threads and remembered. Contract: `ask` returns at once what is there of a list of questions
 * and how far it is; what is not there is looked for among what was kept, else begun. An answer is kept by what it follows from: the place, its
 * climate, the crop.
 */
import { setMaxListeners } from 'node:events';
import type { PlanProgress } from '@fogata/contract';
import { kindOf, said, type Figures, type Said } from '@fogata/core';
import { fault, wholeFault } from '../fault';
import { NO_SEASONS, type KeptSeasons } from './keptSeasons';
import type { MeanYear } from '@fogata/core/relay';
import type { DateRow, Frosts, How, UnderSpec, Window } from '@fogata/core/season';

/** A crop, with figures of its own where a cultivar has any. */
export interface AskedCrop {
  id: string;
  how: How;
  own?: Figures;
}

/** One place, and what is asked of it. */
export interface SeasonTask {
  /** Names the place, its climate and how it is drawn: equal names, equal answers. */
  place: string;
  spec: UnderSpec;
  frost: { lastSpring?: string; firstAutumn?: string };
  years: number;
  seed: number;
  risk: number;
  /** Whether it is asked as well how long it stands: it takes longer. */
  stands?: boolean;
  crops: AskedCrop[];
}

export interface SeasonAnswer {
  frosts: Frosts;
  windows: Window[];
  rows: DateRow[];
  mean: MeanYear;
}

/** Who works it out: an answer for each crop of the task, in its order. */
export interface SeasonPool {
  season(task: SeasonTask, signal: AbortSignal): Promise<SeasonAnswer[]>;
}

export interface Question {
  task: Omit<SeasonTask, 'crops'>;
  crop: AskedCrop;
}

interface Held {
  answer: SeasonAnswer | null;
  failed: Said | null;
}

/** Crops that go to a thread at once: the place is looked at once for all of them. */
const TOGETHER = 8;
const MOST_HELD = 2000;

export class SeasonBook {
  private readonly held = new Map<string, Held>();
  private readonly abort = new AbortController();

  constructor(
    private readonly pool: SeasonPool,
    private readonly kept: KeptSeasons = NO_SEASONS,
  ) {
    // every task of every place listens to this one
    setMaxListeners(0, this.abort.signal);
  }

  ask(questions: readonly Question[]): { answers: (SeasonAnswer | null)[]; progress: PlanProgress } {
    // what was answered with how long it stands answers without as well
    const keys = questions.map((q) => {
      const key = `${q.task.place} ${kindOf({ crop: q.crop.id, own: q.crop.own })} ${q.crop.how}`;
      return q.task.stands || this.held.get(`${key} stands`)?.answer ? `${key} stands` : key;
    });
    const missing = new Map<string, { key: string; q: Question }[]>();
    questions.forEach((q, i) => {
      const key = keys[i]!;
      const held = this.held.get(key);
      if (held) {
        // the last that was asked for is the last to go
        this.held.delete(key);
        this.held.set(key, held);
        return;
      }
      this.held.set(key, { answer: null, failed: null });
      const at = `${q.task.place} ${q.task.stands ?? false}`;
      missing.set(at, [...(missing.get(at) ?? []), { key, q }]);
    });
    for (const list of missing.values())
      for (let i = 0; i < list.length; i += TOGETHER) void this.work(list.slice(i, i + TOGETHER));
    while (this.held.size > MOST_HELD) this.held.delete(this.held.keys().next().value!);
    const all = keys.map((k) => this.held.get(k));
    const done = all.filter((h) => h?.answer).length;
    const failed = all.find((h) => h?.failed)?.failed;
    return {
      answers: all.map((h) => h?.answer ?? null),
      progress: failed
        ? { state: 'failed', done, of: all.length, message: failed }
        : { state: done === all.length ? 'ready' : 'computing', done, of: all.length },
    };
  }

  /** What failed is worked out anew when it is asked for next. */
  again(): void {
    for (const [key, h] of this.held) if (h.failed) this.held.delete(key);
  }

  /** What was kept of them; nothing where it cannot be read. */
  private async found(list: readonly { key: string }[]): Promise<Map<string, SeasonAnswer>> {
    try {
      return await this.kept.find(list.map((x) => x.key));
    } catch (error) {
      fault('seasonNotRead', error);
      return new Map();
    }
  }

  private async work(asked: readonly { key: string; q: Question }[]): Promise<void> {
    const found = await this.found(asked);
    for (const [key, answer] of found) Object.assign(this.held.get(key) ?? {}, { answer });
    const list = asked.filter(({ key }) => !found.has(key));
    if (list.length === 0 || this.abort.signal.aborted) return;
    const task: SeasonTask = { ...list[0]!.q.task, crops: list.map(({ q }) => q.crop) };
    try {
      const answers = await this.pool.season(task, this.abort.signal);
      list.forEach(({ key }, i) => Object.assign(this.held.get(key) ?? {}, { answer: answers[i]! }));
      // an answer that could not be kept is still an answer
      await this.kept
        .keep(list.map(({ key }, i) => [key, answers[i]!] as const))
        .catch((e: unknown) => fault('seasonNotKept', e));
    } catch (error) {
      if (this.abort.signal.aborted) return;
      wholeFault('season', error);
      for (const { key } of list)
        Object.assign(this.held.get(key) ?? {}, {
          failed: said('problem.year'),
        });
    }
  }

  stop(): void {
    this.abort.abort();
  }
}
