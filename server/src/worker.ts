/** A thread of the pool: beds in, outcomes out. */
import { evaluateBed, latestCoverMs, type BedOutcome, type BedTask, type Belief } from '@fogata/core';
import { learnFrom, type LearnTask } from './night/learning';
import type { DueTask } from './night/pool';

export function evaluate(task: BedTask): BedOutcome {
  return evaluateBed(task);
}

export function due(work: DueTask): { dueMs: number; lostK: number } {
  return latestCoverMs(work.task, work.initial, work.specs);
}

export function learn(task: LearnTask): Belief {
  return learnFrom(task);
}
