/** What is so now, from what happened: covers on beds, openings, the grower's decisions. Derived, never stored. */
import type { FarmRecord, RecordKind, RecordOf } from '@fogata/contract';
import type { Cover } from '@fogata/core';
import type { StoredRecord } from './store';

export interface OnBed {
  coverId: string;
  sinceMs: number;
  recordId: string;
}

export interface Span {
  coverId: string;
  fromMs: number;
  toMs: number;
}

export interface FarmState {
  /** Records that stand: retracted ones and retractions themselves are left out. */
  standing: StoredRecord[];
  onBed: Map<string, OnBed[]>;
  /** When which cover lay on a bed, the open-ended ones up to Infinity. */
  spans: Map<string, Span[]>;
  openings: Map<string, { fraction: number; atMs: number; recordId: string }>;
  ventSteps: Map<string, { atMs: number; fraction: number }[]>;
}

/** Ids that are void: what a retraction that itself stands points to. The newest word counts. */
export function retractedIds(list: readonly StoredRecord[]): Set<string> {
  const gone = new Set<string>();
  const retractions = list.filter((r) => r.record.kind === 'retraction').sort((a, b) => b.seq - a.seq);
  for (const r of retractions) {
    if (r.record.kind === 'retraction' && !gone.has(r.record.id)) gone.add(r.record.retracts);
  }
  return gone;
}

export function standingOf(list: readonly StoredRecord[], gone = retractedIds(list)): StoredRecord[] {
  return list.filter((r) => r.record.kind !== 'retraction' && !gone.has(r.record.id));
}

export function ofKind<K extends RecordKind>(
  list: readonly StoredRecord[],
  kind: K,
): (RecordOf<K> & { seq: number; recordedMs: number })[] {
  return list.flatMap((r) =>
    r.record.kind === kind
      ? [{ ...(r.record as Extract<FarmRecord, { kind: K }>), seq: r.seq, recordedMs: r.recordedMs }]
      : [],
  );
}

export function deriveState(list: readonly StoredRecord[]): FarmState {
  const standing = standingOf(list);
  const onBed = new Map<string, OnBed[]>();
  const spans = new Map<string, Span[]>();
  for (const r of ofKind(standing, 'cover')) {
    const on = onBed.get(r.bedId) ?? [];
    if (r.on) {
      on.push({ coverId: r.coverId, sinceMs: r.atMs, recordId: r.id });
    } else {
      const i = on.findIndex((c) => c.coverId === r.coverId);
      if (i >= 0) {
        const [was] = on.splice(i, 1);
        const list_ = spans.get(r.bedId) ?? [];
        list_.push({ coverId: r.coverId, fromMs: was!.sinceMs, toMs: r.atMs });
        spans.set(r.bedId, list_);
      }
    }
    onBed.set(r.bedId, on);
  }
  for (const [bedId, on] of onBed) {
    const list_ = spans.get(bedId) ?? [];
    for (const c of on) list_.push({ coverId: c.coverId, fromMs: c.sinceMs, toMs: Infinity });
    spans.set(bedId, list_);
  }
  const openings: FarmState['openings'] = new Map();
  const ventSteps: FarmState['ventSteps'] = new Map();
  for (const r of ofKind(standing, 'vent')) {
    openings.set(r.structureId, { fraction: r.fraction, atMs: r.atMs, recordId: r.id });
    const steps = ventSteps.get(r.structureId) ?? [];
    // two moves at one instant: the later word counts
    if (steps.at(-1)?.atMs === r.atMs) steps.pop();
    steps.push({ atMs: r.atMs, fraction: r.fraction });
    ventSteps.set(r.structureId, steps);
  }
  return { standing, onBed, spans, openings, ventSteps };
}

/** The covers on a bed, as they are in stock; one that is no longer in stock is left out. */
export function coversOn(state: FarmState, bedId: string, stock: readonly Cover[]): Cover[] {
  return (state.onBed.get(bedId) ?? []).flatMap((c) => stock.find((s) => s.id === c.coverId) ?? []);
}

/** The newest score of a planting's harm, if it was ever scored. */
export function lastHarm(state: FarmState, plantingId: string) {
  return ofKind(state.standing, 'harm')
    .filter((r) => r.plantingId === plantingId)
    .sort((a, b) => a.atMs - b.atMs)
    .at(-1);
}
