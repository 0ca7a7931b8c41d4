/** A season's job in words: what, where, when, and what being late has cost. */
import { jobTitle } from '@fogata/contract';
import type { SeasonJob } from '@fogata/contract/told';
import { addDays, type Segment } from '@fogata/core';
import type { Format } from '@fogata/core/words';
import { failureWords, ofHundred } from './seasonWords';

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const weekday = (date: string): string => DAYS[new Date(`${date}T12:00:00Z`).getUTCDay()]!;

export const daysTo = (today: string, date: string): number =>
  Math.round((Date.parse(date) - Date.parse(today)) / 86_400_000);

/** "today", "Thursday", "5 days late", "in 12 days": how far off a job is, said as one says it. */
export function whenWords(today: string, date: string): string {
  const days = daysTo(today, date);
  if (days < -1) return `${-days} days late`;
  if (days === -1) return 'a day late';
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return days < 7 ? weekday(date) : `in ${days} days`;
}

/** A loss of less than this share of years is not worth a word. */
const WORTH_SAYING = 0.05;

export function jobDetail(j: SeasonJob, today: string, format: Format): string {
  const much = `${format.metres(j.metres)} in ${j.rows === 1 ? 'one row' : `${j.rows} rows`}`;
  const { chance } = j;
  if (chance === null) return much;
  const then = `it comes off in ${ofHundred(chance.then)}`;
  if (daysTo(today, j.date) >= 0) return `${much}; begun then ${then}`;
  return chance.then - chance.today < WORTH_SAYING
    ? `${much}; being late has cost little, ${then.replace(/^it comes/, 'it still comes')}`
    : `${much}; on its day it came off in ${ofHundred(chance.then)}, begun today in ${Math.round(chance.today * 100)}: else it ${failureWords(chance.todayIs, j.crop)}`;
}

export interface JobGroup {
  title: string;
  jobs: SeasonJob[];
}

export function jobGroups(jobs: readonly SeasonJob[], today: string): JobGroup[] {
  const from = (a: number, b: number) =>
    jobs.filter((j) => daysTo(today, j.date) >= a && daysTo(today, j.date) < b);
  return [
    { title: 'Late', jobs: from(-Infinity, 0) },
    { title: 'This week', jobs: from(0, 7) },
    { title: 'Next week', jobs: from(7, 14) },
    { title: 'Then', jobs: from(14, Infinity) },
  ].filter((g) => g.jobs.length > 0);
}

/** What Season opens with where there is something to do by next week; null where there is nothing. */
export function jobSentence(jobs: readonly SeasonJob[], today: string): Segment[] | null {
  const todo = jobs.filter((j) => daysTo(today, j.date) < 7 && j.step !== 'pick');
  // what goes into the ground before what is raised for it, and last what is only looked at
  const rank = (j: SeasonJob) => (j.chance !== null ? 0 : j.step === 'gaps' ? 2 : 1);
  const [first] = [...todo].sort((a, b) => rank(a) - rank(b) || a.date.localeCompare(b.date));
  if (!first) return null;
  const title = jobTitle(first).replace(/^./, (c) => c.toLowerCase());
  const late = daysTo(today, first.date) < 0;
  const when = whenWords(today, first.date);
  const more = todo.length - 1;
  return [
    { text: 'This week: ', tone: 'plain' },
    { text: `${title}, ${when}.`, tone: late ? 'ochre' : 'ember' },
    ...(more > 0
      ? [{ text: ` And ${more === 1 ? 'one thing' : `${more} things`} more.`, tone: 'plain' as const }]
      : []),
  ];
}

/** "Thu 21". */
export const dayNumber = (date: string): string => `${weekday(date).slice(0, 3)} ${Number(date.slice(8))}`;
export const inDays = (date: string, days: number): string => addDays(date, days);
