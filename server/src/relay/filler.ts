/**
 * One filling of gaps at a time. Contract: `begin` starts it and stops the one before; `view` says at once how far it is; `stop` ends it with
 * what it has. First the places' years are gone through for every crop that may be proposed, then a thread works the plan out.
 */
import { cellsInAll, type FillView } from '@fogata/contract';
import { cropById, cropOf, said } from '@fogata/core';
import { dayOf, type FillAim } from '@fogata/core/relay';
import { howOf, usualHow } from '@fogata/core/season';
import { wholeFault } from '../fault';
import type { FarmData } from '../farm/store';
import type { SeasonBook } from '../season/book';
import { cropsOf, fits, groundOf, placesBy, questionOf } from '../season/views';
import type { FillTask, FillTold } from './fillTask';
import { outlookOf, placeIn, relayBeds, relayView } from './view';

export interface FillPool {
  fill(
    task: FillTask,
    told: (t: FillTold) => void,
    signal: AbortSignal,
  ): Promise<{
    proposals: FillView['proposals'];
    money: number;
    boundMoney: number;
    simpleMoney: number;
  }>;
}

export interface FillAsked {
  aim: FillAim;
  weeks: number;
  crops?: string[] | undefined;
  refused: { crop: string; bed: string }[];
}

const NOTHING: FillView = {
  state: 'none',
  message: null,
  done: 0,
  of: 0,
  aim: 'value',
  money: null,
  boundMoney: null,
  simpleMoney: null,
  proposals: [],
};

const SECONDS = 20;
const LOOK_EVERY_MS = 150;

export class Filler {
  private now: FillView = NOTHING;
  private abort: AbortController | null = null;

  constructor(
    private readonly pool: FillPool,
    private readonly book: SeasonBook,
  ) {}

  view(): FillView {
    return this.now;
  }

  stop(): void {
    if (!this.abort) return;
    this.abort.abort();
    this.abort = null;
    this.now = { ...this.now, state: this.now.proposals.length > 0 ? 'ready' : 'stopped' };
  }

  begin(data: FarmData, nowAtMs: number, asked: FillAsked): void {
    this.abort?.abort();
    const abort = new AbortController();
    this.abort = abort;
    this.now = { ...NOTHING, state: 'looking', aim: asked.aim };
    void this.work(data, nowAtMs, asked, abort.signal).catch((error: unknown) => {
      if (abort.signal.aborted) return;
      wholeFault('fill', error);
      this.now = {
        ...this.now,
        state: 'failed',
        message: said('problem.fill'),
      };
    });
  }

  private async work(data: FarmData, nowAtMs: number, asked: FillAsked, signal: AbortSignal): Promise<void> {
    const { climate, key, today } = groundOf(data, nowAtMs);
    const every = placesBy(data, climate);
    const { relay, hourlyRate } = data.farm;
    const crops = (asked.crops?.map(cropById) ?? cropsOf(data)).filter(
      (c) => !relay.never.includes(c.id) && c.habit !== 'none',
    );
    const wanted = crops.flatMap((crop) =>
      data.structures.flatMap((s) => {
        const place = placeIn(every(crop), s.id);
        return place && fits(data, place, crop)
          ? [{ crop, place, how: usualHow(crop), structureId: s.id }]
          : [];
      }),
    );
    const questions = wanted.map((w) => questionOf(data, w.place, w.crop, w.how, key, true));
    const pause = () => new Promise((done) => setTimeout(done, LOOK_EVERY_MS));
    let found = this.book.ask(questions);
    let own = relayView(this.book, data, nowAtMs);
    while (found.progress.state === 'computing' || own.progress.state === 'computing') {
      this.now = { ...this.now, done: found.progress.done, of: found.progress.of };
      await pause();
      if (signal.aborted) return;
      found = this.book.ask(questions);
      own = relayView(this.book, data, nowAtMs);
    }
    if (found.progress.state === 'failed') throw new Error('the years failed');
    const outlooks = new Map(own.outlooks.map((o) => [`${o.structureId} ${o.crop} ${o.how}`, o]));
    wanted.forEach((w, n) => {
      const a = found.answers[n];
      if (a)
        outlooks.set(`${w.structureId} ${w.crop.id} ${w.how}`, outlookOf(w.structureId, w.crop.id, w.how, a));
    });
    this.now = { ...this.now, state: 'solving' };
    const task: FillTask = {
      fromDay: dayOf(today) + 1,
      weeks: asked.weeks,
      beds: relayBeds(data),
      plantings: own.plantings,
      hows: Object.fromEntries(own.plantings.map((p) => [p.id, howOf(p, cropOf(p))])),
      outlooks: [...outlooks.values()],
      crops: crops.map((c) => ({ id: c.id, how: usualHow(c), valuePerM: c.valuePerM })),
      demand: relay.demand,
      cells: cellsInAll(data.farm),
      nursery: data.farm.nursery,
      minutesPerWeek: relay.hoursPerWeek === null ? null : relay.hoursPerWeek * 60,
      hourlyRate,
      risk: relay.risk,
      aim: asked.aim,
      refused: asked.refused.map((r) => `${r.crop} ${r.bed}`),
      seconds: SECONDS,
    };
    const told = (t: FillTold) => {
      if (signal.aborted) return;
      this.now = {
        ...this.now,
        money: t.money,
        boundMoney: t.boundMoney,
        ...(t.proposals ? { proposals: t.proposals } : {}),
      };
    };
    const done = await this.pool.fill(task, told, signal);
    if (signal.aborted) return;
    this.abort = null;
    const { money, boundMoney, simpleMoney, proposals } = done;
    this.now = { ...this.now, state: 'ready', money, boundMoney, simpleMoney, proposals };
  }
}
