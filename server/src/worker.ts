/** A thread of the pool: beds in, outcomes out. */
import { evaluateBed, latestCoverMs, type BedOutcome, type BedTask } from '@fogata/core';
import type { DueTask } from './night/pool';

export function evaluate(task: BedTask): BedOutcome {
  return evaluateBed(task);
}

export function due(work: DueTask): { dueMs: number; lostK: number } {
  return latestCoverMs(work.task, work.initial, work.specs);
}
