/** A thread of the pool: houses and beds in, outcomes out. */
import {
  evaluateBed,
  evaluateHouse,
  heardTask,
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
  type Sent,
} from '@fogata/core';
import {
  shadeSpans,
  workOutDay,
  type DayAnswer,
  type DayTask,
  type ShadeSpan,
  type ShadeTask,
} from '@fogata/core/day';
import type { DueTask, Solved, SolveTask } from '@fogata/core/planning';
import type { Filled } from '@fogata/core/relay';
import { fitUnder, type Reduced, type UnderSpec } from '@fogata/core/season';
import { waterUnder, type WaterAnswer, type WaterTask } from '@fogata/core/water';
import type { MessagePort } from 'node:worker_threads';
import { fillIn, type FillTask } from './relay/fillTask';
import { learnFrom, type LearnTask } from './night/learning';
import type { SeasonAnswer, SeasonTask } from './season/book';
import { seasonOf } from './season/work';
import { solveLp } from './night/solver';

export function house(task: Sent<HouseTask>): HouseOutcome {
  return evaluateHouse(heardTask(task));
}

export function evaluate(task: Sent<BedTask>): OptionOutcome[] {
  return evaluateBed(heardTask(task));
}

export function due(sent: Sent<DueTask>): Due {
  const { task, specs } = heardTask(sent);
  return latestCoverAtMs(task, specs);
}

export function lift(task: Sent<LiftTask>): LiftLook[] {
  return looksAtLifting(heardTask(task));
}

export function solve(task: SolveTask): Promise<Solved> {
  return solveLp(task);
}

export function fit(spec: UnderSpec): Reduced {
  return fitUnder(spec);
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
