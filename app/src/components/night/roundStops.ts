/**
 * A round as a walk. Contract: `stopsOf` puts what is to be done now at each place, in walking order, from what the screens already know; a stop
 * with nothing to do is left out; `roundName` says which round it is; `roundSentence` how much of it is left.
 */
import type {
  Job,
  DayStructure,
  DayView,
  NowView,
  RoundItem,
  StormView,
  WaterRow,
  WaterView,
} from '@fogata/contract/told';
import { countWord, type Segment } from '@fogata/core';
import { turnOf } from '@fogata/words/en/screens/waterWords';
import { roundStops as words } from '@fogata/words/en/screens/round';

export type Task =
  | { kind: 'read'; done: boolean; item: RoundItem }
  | { kind: 'job'; done: boolean; job: Job }
  | { kind: 'open'; done: false; row: DayStructure }
  | { kind: 'water'; done: false; row: WaterRow }
  | { kind: 'storm'; done: boolean; job: StormView };

export interface Stop {
  id: string;
  name: string;
  tasks: Task[];
  /** Of what is left, as far as it is known. */
  minutes: number;
}

const HOUR_MS = 3_600_000;
const OUTSIDE = 'outside';
/** What is to be moved within the hour is done in passing. */
const SOON_MS = HOUR_MS;

export type RoundName = 'Morning' | 'Midday' | 'Closing' | 'Night';

/** Until three hours after sunrise it is the morning's; from three before sundown the one that closes up. */
export function roundName(
  nowAtMs: number,
  window: NowView['clock']['window'],
  phase: NowView['clock']['phase'],
): RoundName {
  if (phase === 'night') return 'Night';
  const rise = window.sunriseAtMs ?? window.toAtMs - 4 * HOUR_MS;
  if (phase === 'morning') return nowAtMs < rise + 3 * HOUR_MS ? 'Morning' : 'Midday';
  const set = window.sunsetAtMs ?? window.fromAtMs + 6 * HOUR_MS;
  return nowAtMs < set - 3 * HOUR_MS ? 'Midday' : 'Closing';
}

export function stopsOf(
  now: NowView,
  day: DayView | undefined,
  water: WaterView | undefined,
  walk: readonly { id: string; name: string }[],
): Stop[] {
  const { nowAtMs, phase } = now.clock;
  const at = (id: string): Task[] => [
    ...now.rounds
      .filter((r) => r.spot === id)
      .map((item): Task => ({ kind: 'read', done: item.reading !== null, item })),
    ...(phase === 'morning' ? (day?.structures ?? []) : [])
      .filter((s) => s.structureId === id && s.steps[0] !== undefined && s.steps[0].atMs <= nowAtMs + SOON_MS)
      .map((row): Task => ({ kind: 'open', done: false, row })),
    ...now.jobs
      .filter((j) => j.structureId === id)
      .map((job): Task => ({ kind: 'job', done: job.done, job })),
    ...now.storm
      .filter((j) => j.structureId === id)
      .map((job): Task => ({ kind: 'storm', done: job.done, job })),
    // nobody waters in the dark
    ...(phase === 'night' || !water ? [] : water.rows)
      .filter((r) => r.structureId === id && turnOf(r, water!.today) === 'now')
      .map((row): Task => ({ kind: 'water', done: false, row })),
  ];
  return [{ id: OUTSIDE, name: words.outside }, ...walk]
    .map(({ id, name }): Stop => {
      const tasks = at(id);
      const left = tasks.filter((t) => !t.done);
      const minutes = left.reduce(
        (s, t) => s + (t.kind === 'job' ? t.job.minutes : t.kind === 'water' ? (t.row.minutes ?? 2) : 1),
        0,
      );
      return { id, name, tasks, minutes };
    })
    .filter((s) => s.tasks.length > 0);
}

export const isDone = (s: Stop): boolean => s.tasks.every((t) => t.done);

export function roundSentence(name: RoundName, stops: readonly Stop[]): Segment[] {
  const left = stops.filter((s) => !isDone(s));
  if (stops.length === 0) return [{ text: words.roundNothingIsToBe(name), tone: 'plain' }];
  if (left.length === 0) return [{ text: words.roundAllOfItIs(name), tone: 'plain' }];
  const things = left.reduce((n, s) => n + s.tasks.filter((t) => !t.done).length, 0);
  const minutes = left.reduce((s, x) => s + x.minutes, 0);
  return [
    { text: words.round(name), tone: 'plain' },
    {
      text: words.thingThingsAtPlacePlaces({
        countWord: countWord(things),
        things,
        countWord2: countWord(left.length),
        count: left.length,
      }),
      tone: 'ember',
    },
    { text: words.aboutMin(Math.max(1, Math.round(minutes))), tone: 'plain' },
  ];
}
