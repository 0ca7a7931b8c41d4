/**
 * What this device did, laid over what the server last said. Contract: `overlay(view, acts)` shows an act at once, with or
 * without signal; an act that the answer can know (it was asked for after the act was taken) is left to the answer.
 */
import type { FarmRecord, JobView, NowView, RoundItem, StormView } from '@fogata/contract';
import type { OwnAct } from './outbox';

/** A view and when it was asked for, by this device's clock. */
export type Asked<T> = T & { askedMs?: number };

/** The acts that an answer cannot know, without those that are taken back by another of them, and what else is taken back. */
function unknownTo(acts: readonly OwnAct[], askedMs: number): { acts: FarmRecord[]; back: Set<string> } {
  const list = acts.filter((a) => a.sentMs === null || a.sentMs >= askedMs).map((a) => a.record);
  const back = new Set<string>();
  for (const r of [...list].reverse()) if (r.kind === 'retraction' && !back.has(r.id)) back.add(r.retracts);
  return { acts: list.filter((r) => r.kind !== 'retraction' && !back.has(r.id)), back };
}

type CoverAct = Extract<FarmRecord, { kind: 'cover' }>;

function overlayJob(job: JobView, acts: readonly FarmRecord[], back: ReadonlySet<string>): JobView {
  if (job.kind === 'close') {
    const shut = acts.find((r) => r.kind === 'vent' && r.structureId === job.structureId && r.fraction === 0);
    if (shut && !job.done) return { ...job, done: true, doneAtMs: shut.atMs, recordIds: [shut.id] };
    const undone = job.done && job.recordIds.some((id) => back.has(id));
    return undone ? { ...job, done: false, doneAtMs: null, recordIds: [] } : job;
  }
  const used = new Set<string>();
  let touched = false;
  const items = job.items.map((i) => {
    if (i.done && i.recordId !== null && back.has(i.recordId)) {
      touched = true;
      return { ...i, done: false, recordId: null };
    }
    const act = i.done
      ? undefined
      : acts.find(
          (r): r is CoverAct =>
            r.kind === 'cover' &&
            !used.has(r.id) &&
            r.bedId === i.bedId &&
            r.coverId === i.coverId &&
            r.use === i.use &&
            r.on === i.on,
        );
    if (!act) return i;
    touched = true;
    used.add(act.id);
    return { ...i, done: true, recordId: act.id };
  });
  if (!touched) return job;
  const done = items.every((i) => i.done);
  const recordIds = items.flatMap((i) => (i.recordId === null ? [] : [i.recordId]));
  const atMs = Math.max(0, ...acts.filter((r) => used.has(r.id)).map((r) => r.atMs));
  return { ...job, items, done, doneAtMs: done ? (job.doneAtMs ?? atMs) : null, recordIds };
}

function overlayRound(
  item: RoundItem,
  night: string,
  acts: readonly FarmRecord[],
  back: ReadonlySet<string>,
): RoundItem {
  const noted = acts.filter((r) => r.kind === 'reading' && r.spot === item.spot && r.night === night).at(-1);
  if (noted?.kind === 'reading')
    return { ...item, reading: { minC: noted.minC, maxC: noted.maxC, recordId: noted.id } };
  return item.reading && back.has(item.reading.recordId) ? { ...item, reading: null } : item;
}

function overlayStorm(job: StormView, acts: readonly FarmRecord[], back: ReadonlySet<string>): StormView {
  const made = acts.find(
    (r) => r.kind === 'secured' && r.structureId === job.structureId && r.what === job.what,
  );
  if (made && !job.done) return { ...job, done: true, recordId: made.id };
  return job.recordId !== null && back.has(job.recordId) ? { ...job, done: false, recordId: null } : job;
}

export function overlay(view: Asked<NowView>, own: readonly OwnAct[]): NowView {
  const { acts, back } = unknownTo(own, view.askedMs ?? 0);
  if (acts.length === 0 && back.size === 0) return view;
  return {
    ...view,
    jobs: view.jobs.map((j) => overlayJob(j, acts, back)),
    rounds: view.rounds.map((r) => overlayRound(r, view.clock.window.night, acts, back)),
    storm: view.storm.map((j) => overlayStorm(j, acts, back)),
  };
}
