/**
 * Answers by the year, worked out in threads and remembered. Contract: `ask` returns at once what is there of a list of questions
 * and how far it is; what is not there is looked for among what was kept, else begun. An answer is kept by what it follows from: the place, its
 * climate, the crop.
 */
import { setMaxListeners } from 'node:events';
import type { PlanProgress } from '@fogata/contract';
import { kindOf, said, type Figures, type Said } from '@fogata/core';
import { foundOf, keepAll, keptOr, NO_ANSWERS, type KeptAnswers } from '../db/keptAnswers';
import { wholeFault } from '../fault';
import type { MeanYear } from '@fogata/core/relay';
import type { DateRow, Frosts, How, Reduced, UnderSpec, Window } from '@fogata/core/season';
import { digest } from '../night/pool';

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
  /** The days of the place under its stack, fitted to the engine. */
  model: Reduced;
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
  fit(spec: UnderSpec, signal: AbortSignal): Promise<Reduced>;
  season(task: SeasonTask, signal: AbortSignal): Promise<SeasonAnswer[]>;
}

export interface Question {
  task: Omit<SeasonTask, 'crops' | 'model'>;
  crop: AskedCrop;
}

interface Held {
  answer: SeasonAnswer | null;
  failed: Said | null;
}

/** Crops that go to a thread at once: the place is looked at once for all of them. */
const TOGETHER = 8;
const MOST_HELD = 2000;
const MOST_FITS = 100;

export class SeasonBook {
  private readonly held = new Map<string, Held>();
  private readonly fits = new Map<string, Promise<Reduced>>();
  private readonly abort = new AbortController();

  constructor(
    private readonly pool: SeasonPool,
    private readonly kept: KeptAnswers<SeasonAnswer> = NO_ANSWERS,
    private readonly keptFits: KeptAnswers<Reduced> = NO_ANSWERS,
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

  /** What takes longest of a place is its own: fitted once, whatever is asked of it, by however many threads. */
  private fitOf(spec: UnderSpec): Promise<Reduced> {
    const key = digest(spec);
    const found = this.fits.get(key);
    if (found) return found;
    const fresh = keptOr(this.keptFits, key, () => this.pool.fit(spec, this.abort.signal));
    fresh.catch(() => this.fits.delete(key));
    this.fits.set(key, fresh);
    if (this.fits.size > MOST_FITS) this.fits.delete(this.fits.keys().next().value!);
    return fresh;
  }

  private async work(asked: readonly { key: string; q: Question }[]): Promise<void> {
    const keys = asked.map((x) => x.key);
    const found = await foundOf(this.kept, keys);
    for (const [key, answer] of found) Object.assign(this.held.get(key) ?? {}, { answer });
    const list = asked.filter(({ key }) => !found.has(key));
    if (list.length === 0 || this.abort.signal.aborted) return;
    const { task: asks } = list[0]!.q;
    try {
      const model = await this.fitOf(asks.spec);
      const task: SeasonTask = { ...asks, model, crops: list.map(({ q }) => q.crop) };
      const answers = await this.pool.season(task, this.abort.signal);
      list.forEach(({ key }, i) => Object.assign(this.held.get(key) ?? {}, { answer: answers[i]! }));
      await keepAll(
        this.kept,
        list.map(({ key }, i) => [key, answers[i]!] as const),
      );
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
