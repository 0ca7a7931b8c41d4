/** What is so now, from what happened and stands: covers on beds, openings, the grower's decisions; with the records themselves. */
import type { FarmRecord, RecordKind, RecordOf } from '@fogata/contract';
import { applyAll, type Lain } from '@fogata/core';
import type { StoredRecord } from './store';

export interface FarmState extends Lain {
  /** Records that stand, oldest first: those taken back, and the takings back, are not among them. */
  standing: readonly StoredRecord[];
}

export function ofKind<K extends RecordKind>(
  list: readonly StoredRecord[],
  kind: K,
): (RecordOf<K> & { seq: number; recordedAtMs: number })[] {
  return list.flatMap((r) =>
    r.record.kind === kind
      ? [{ ...(r.record as Extract<FarmRecord, { kind: K }>), seq: r.seq, recordedAtMs: r.recordedAtMs }]
      : [],
  );
}

/** `standing` as the store gives it. */
export function deriveState(standing: readonly StoredRecord[]): FarmState {
  return { ...applyAll(standing.map((r) => r.record)), standing };
}
