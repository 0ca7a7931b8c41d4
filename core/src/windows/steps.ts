/**
 * What is to be done with a planting, and when. Contract: `stepsOf` gives its steps with their dates from the day that it goes
 * into the ground and the days that a place's years leave it; `withStep` gives the planting after one was done or moved.
 * Dates are ISO days; how long trays take is a starting value (`bench`), as are the days of hardening off and of filling gaps.
 */
import { growsNothing, type Crop } from '../crops/crops';
import type { Planting, StepId } from '../farm/types';
import { addDays } from '../time/farmTime';
import type { How } from '../growth/course';
import { usualHow } from './farm';
import { bench } from './schools';

/** Outside by day, in by night, before it is planted, days. */
export const HARDEN_DAYS = 7;
/** Small seed is sown thick and pricked out where it stands long in trays: after so many days, under so many mg, over so long. */
const PRICK = { afterDays: 18, seedMg: 5, trayDays: 30 } as const;
/**
 * Days from sowing to pricking out; null of what is sown into its cells.
 * @example prickDays(cropById('garlic')) // null
 */
export const prickDays = (crop: Crop): number | null =>
  bench(crop) >= PRICK.trayDays && crop.sowing !== null && crop.sowing.seedMg < PRICK.seedMg
    ? PRICK.afterDays
    : null;
/** What did not take shows so many days after planting; what did not come up, so many after most of it has. */
const GAPS_DAYS = { transplant: 10, sow: 7 } as const;

export interface Step {
  id: StepId;
  /** When it is meant, or was done. */
  date: string;
  done: boolean;
  /** Whether its date may be moved: what is waited for has none of its own. */
  mayMove: boolean;
}

/** Days from sowing until it is up, and until the first picking, in the middle year; null where it does not get there. */
export interface Expected {
  upDays: number | null;
  readyDays: number | null;
}

/** @example howOf({ how: 'sow' }, cropById('leek')) // 'sow' */
export const howOf = (p: Pick<Planting, 'how'>, crop: Crop): How => p.how ?? usualHow(crop);

/**
 * The step that puts it into the ground.
 * @example groundStep({ how: 'transplant' }, cropById('leek')) // 'plant'
 */
export const groundStep = (p: Pick<Planting, 'how'>, crop: Crop): 'sow' | 'plant' =>
  howOf(p, crop) === 'sow' ? 'sow' : 'plant';

/** @example stepsOf({ plantedOn: '2027-03-01', clearedOn: '2027-06-01', how: 'sow', planned: true }, cropById('spinach'), { upDays: 8, readyDays: 60 }).map((s) => s.id) // ['sow', 'gaps', 'pick', 'clear'] */
export function stepsOf(p: Planting, crop: Crop, expected: Expected): Step[] {
  const done = p.done ?? {};
  const from = (days: number) => addDays(p.plantedOn, Math.round(days));
  const step = (id: StepId, date: string, mayMove: boolean): Step => ({
    id,
    date: done[id] ?? date,
    done: done[id] !== undefined,
    mayMove,
  });
  const inGround = (id: 'sow' | 'plant'): Step => ({
    ...step(id, p.plantedOn, true),
    // what is not merely thought of is in the ground
    done: done[id] !== undefined || p.planned !== true,
  });
  const steps: Step[] = [];
  if (growsNothing(crop)) {
    steps.push(inGround('sow'));
    if (p.clearedOn !== null) steps.push(step('clear', p.clearedOn, true));
    return steps;
  }
  if (howOf(p, crop) === 'transplant') {
    const trayDays = bench(crop);
    steps.push(step('sow', from(-trayDays), true));
    const pricked = prickDays(crop);
    if (pricked !== null) steps.push(step('prick', from(-trayDays + pricked), true));
    steps.push(step('harden', from(-HARDEN_DAYS), true), inGround('plant'));
    steps.push(step('gaps', from(GAPS_DAYS.transplant), false));
  } else {
    steps.push(inGround('sow'));
    if (expected.upDays !== null) steps.push(step('gaps', from(expected.upDays + GAPS_DAYS.sow), false));
  }
  if (expected.readyDays !== null && p.forSeed !== true)
    steps.push(step('pick', from(expected.readyDays), false));
  if (p.clearedOn !== null) steps.push(step('clear', p.clearedOn, true));
  return steps.sort((a, b) => a.date.localeCompare(b.date));
}

/** Days between two ISO days. */
const daysBetween = (from: string, to: string) =>
  Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);

/**
 * The planting after a step was done on a day, or moved to it. In the ground on another day than was meant, everything after
 * goes with it; a tray step that is moved moves the day of planting, one that is done early or late does not.
 * @example withStep(planted('b', 'mache'), cropById('mache'), 'gaps', '2026-12-01', true).done.gaps // '2026-12-01'
 */
export function withStep(p: Planting, crop: Crop, id: StepId, on: string, isDone: boolean): Planting {
  const inGround = id === groundStep(p, crop);
  if (isDone) {
    const done = { ...p.done, [id]: on };
    if (inGround) return { ...without(p, 'planned'), plantedOn: on, done };
    return id === 'clear' ? { ...p, clearedOn: on, done } : { ...p, done };
  }
  if (id === 'clear') return { ...p, clearedOn: on };
  const at = stepsOf(p, crop, { upDays: null, readyDays: null }).find((s) => s.id === id)?.date;
  return at === undefined ? p : { ...p, plantedOn: addDays(p.plantedOn, daysBetween(at, on)) };
}

function without<K extends keyof Planting>(p: Planting, key: K): Omit<Planting, K> & Partial<Planting> {
  const { [key]: _, ...rest } = p;
  return rest;
}

/** How long what was not done is asked after, days. */
const ASKED_AFTER_DAYS = 42;
/** What is only looked at, and what may be gathered, is said for so many days after its date. */
const SAID_AFTER_DAYS: Partial<Record<StepId, number>> = { gaps: 10, pick: 6 };

/**
 * The steps that are open from long ago until `untilDays` ahead: what a week's list holds.
 * @example openSteps({ planned: true }, [{ id: 'sow', date: '2027-01-20', done: null }, { id: 'plant', date: '2027-03-20', done: null }], '2027-01-14', 14).map((s) => s.id) // ['sow']
 */
export function openSteps(p: Planting, steps: readonly Step[], today: string, untilDays: number): Step[] {
  const started = p.planned !== true;
  return steps.filter((s) => {
    if (s.done) return false;
    const ahead = daysBetween(today, s.date);
    if (ahead > untilDays) return false;
    // of what was in the ground before there was a list, its trays are not asked after
    if (started && (s.id === 'sow' || s.id === 'prick' || s.id === 'harden' || s.id === 'plant'))
      return false;
    if (!started && (s.id === 'gaps' || s.id === 'pick')) return ahead >= 0;
    return ahead >= -(SAID_AFTER_DAYS[s.id] ?? ASKED_AFTER_DAYS);
  });
}
