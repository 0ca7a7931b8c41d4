/** A thread of the pool: houses and beds in, outcomes out. */
import {
  evaluateBed,
  evaluateHouse,
  latestCoverAtMs,
  looksAtLifting,
  type BedTask,
  type Belief,
  type Due,
  type HouseOutcome,
  type HouseTask,
  type LiftLook,
  type LiftTask,
  type OptionOutcome,
} from '@fogata/core';
import {
  shadeSpans,
  workOutDay,
  type DayAnswer,
  type DayTask,
  type ShadeSpan,
  type ShadeTask,
} from '@fogata/core/day';
import type { DueTask, SolveTask } from '@fogata/core/planning';
import type { Filled } from '@fogata/core/relay';
import { waterUnder, type WaterAnswer, type WaterTask } from '@fogata/core/water';
import type { MessagePort } from 'node:worker_threads';
import { fillIn, type FillTask } from './relay/fillTask';
import { learnFrom, type LearnTask } from './night/learning';
import type { SeasonAnswer, SeasonTask } from './season/book';
import { seasonOf } from './season/work';
import { solveLp } from './night/solver';

export function house(task: HouseTask): HouseOutcome {
  return evaluateHouse(task);
}

export function evaluate(task: BedTask): OptionOutcome[] {
  return evaluateBed(task);
}

export function due(work: DueTask): Due {
  return latestCoverAtMs(work.task, work.specs);
}

export function lift(task: LiftTask): LiftLook[] {
  return looksAtLifting(task);
}

export function solve(task: SolveTask): Promise<Record<string, number>> {
  return solveLp(task.lp, task.seconds);
}

export function season(task: SeasonTask): SeasonAnswer[] {
  return seasonOf(task);
}

export function day(task: DayTask): DayAnswer {
  return workOutDay(task);
}

export function shade(task: ShadeTask): ShadeSpan[] {
  return shadeSpans(task);
}

export function water(task: WaterTask): WaterAnswer {
  return waterUnder(task);
}

export function fill(task: FillTask & { port: MessagePort }): Promise<Filled> {
  return fillIn(task);
}

export function learn(task: LearnTask): Belief {
  return learnFrom(task);
}
