/** What is so now, from what happened and stands: covers on beds, openings, the grower's decisions. */
import type { FarmRecord, RecordKind, RecordOf } from '@fogata/contract';
import { applyAll, asUsed, type Cover, type CoverUse, type Lain } from '@fogata/core';
import type { StoredRecord } from './store';

export type { OnBed, Span } from '@fogata/core';

export interface FarmState extends Lain {
  /** Records that stand, oldest first: those taken back, and the takings back, are not among them. */
  standing: readonly StoredRecord[];
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

/** `standing` as the store gives it. */
export function deriveState(standing: readonly StoredRecord[]): FarmState {
  return { ...applyAll(standing.map((r) => r.record)), standing };
}

/** The covers on a bed, as they are in stock; one that is no longer in stock is left out. */
export function coversOn(state: FarmState, bedId: string, stock: readonly Cover[]): Cover[] {
  return (state.onBed.get(bedId) ?? []).flatMap((c) => sheetOf(c, stock) ?? []);
}

/** The sheet that an act or a span is about, lying as it does; undefined where it is no longer in stock. */
export function sheetOf(
  of: { coverId: string; use?: CoverUse | undefined },
  stock: readonly Cover[],
): Cover | undefined {
  const cover = stock.find((s) => s.id === of.coverId);
  return cover && asUsed(cover, of.use ?? cover.use);
}

/** The newest score of a planting's harm, if it was ever scored. */
export function lastHarm(state: FarmState, plantingId: string) {
  return ofKind(state.standing, 'harm')
    .filter((r) => r.plantingId === plantingId)
    .sort((a, b) => a.atMs - b.atMs)
    .at(-1);
}
