/** What a grower does, as records with an undo: marking a job, a reading, harm, a harvest, a decision. */
import type { SentRecord } from '@fogata/contract';
import type { Job } from '@fogata/contract/told';
import { record } from './hooks';
import { newId } from './id';
import { instant, nightFor } from './moment';
import { offerUndo } from './undo';
import { whoUses } from './who';
import { actions as words } from '@fogata/words/en/screens/data';

/** A record as an action gives it: everything but its id. */
type Draft = SentRecord extends infer R ? (R extends { id: string } ? Omit<R, 'id'> : never) : never;

/** At the moment that it is done, and in the night that this is. */
function dated(r: SentRecord): SentRecord {
  const atMs = instant(r.atMs);
  const by = whoUses();
  const done = { ...r, atMs, ...(by ? { by } : {}) };
  return 'night' in done ? { ...done, night: nightFor(atMs, done.night) } : done;
}

/** Keeps records and offers to take them back for ten seconds. */
export async function act(label: string, drafts: Draft[], atMs: number): Promise<void> {
  const records = drafts.map((d) => dated({ ...d, id: newId() } as SentRecord));
  const done = record(records);
  offerUndo(label, () =>
    retract(
      records.map((r) => r.id),
      atMs,
    ),
  );
  await done;
}

export async function retract(ids: string[], atMs: number): Promise<void> {
  await record(ids.map((id) => dated({ id: newId(), kind: 'retraction', atMs, retracts: id })));
}

/** Marks a job done now; what it covers goes on, what it lifts comes off. */
export async function finishJob(job: Job, nowAtMs: number): Promise<void> {
  if (job.kind === 'close') {
    await act(
      words.done(job.title),
      [{ kind: 'vent', atMs: nowAtMs, structureId: job.structureId, fraction: 0 }],
      nowAtMs,
    );
    return;
  }
  await act(
    words.done(job.title),
    job.items
      .filter((i) => !i.done)
      .map((i) => ({
        kind: 'cover' as const,
        atMs: nowAtMs,
        bedId: i.bedId,
        coverId: i.coverId,
        ...(i.use ? { use: i.use } : {}),
        on: i.on,
        lying: i.lying,
      })),
    nowAtMs,
  );
}

/** Takes a finished job back. */
export async function reopenJob(job: Job, nowAtMs: number): Promise<void> {
  await retract(job.recordIds, nowAtMs);
}

export async function decide(
  verdict: 'accepted' | 'changed' | 'refused' | 'withdrawn',
  choices: { bedId: string; key: string | null }[],
  night: string,
  nowAtMs: number,
  label: string,
): Promise<void> {
  await act(
    label,
    choices.map((c) => ({
      kind: 'decision' as const,
      atMs: nowAtMs,
      night,
      bedId: c.bedId,
      key: c.key,
      verdict,
    })),
    nowAtMs,
  );
}
