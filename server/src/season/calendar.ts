/**
 * The season's jobs and the weeks of shade cloth as iCalendar (RFC 5545): whole days, named as the app names them, each the same event when it is read
 * again. Contract: `calendarOf` is pure; `seasonCalendar` gives what is known of the coming year, and the shade once it has been looked for.
 */
import { jobTitle, type SeasonJob, type ShadeRow } from '@fogata/contract';
import { addDays } from '@fogata/core';
import { en, telling, type Style, type Telling } from '@fogata/core/words';
import type { DateArray } from 'ics';
import type { Context } from '../context';
import { styleOf } from '../farm/store';
import { shadeView } from '../day/shadeView';
import { yearsJobs } from './views';

const dayOf = (date: string) => date.split('-').map(Number) as DateArray;

interface Day {
  uid: string;
  title: string;
  description: string;
  date: string;
}

const jobDay = (j: SeasonJob, tell: Telling): Day => ({
  uid: `${j.plantingId}.${j.step}@fogata`,
  title: jobTitle(j),
  description: en['calendar.job'](j, tell),
  date: j.date,
});

/**
 * Cloth goes on at the first day of a span unless it is on, and comes off the day after its last. A span is called by its place in its house's year: when it
 * begins moves a little with what stands there.
 */
function shadeDays(rows: readonly ShadeRow[], today: string): Day[] {
  const seen = new Map<string, number>();
  return rows.flatMap(({ structureId, name, what, from, to, isOn, why }) => {
    if (what === 'off' || !from || !to) return [];
    const year = `shade.${structureId}.${from.slice(0, 4)}`;
    const n = (seen.get(year) ?? 0) + 1;
    seen.set(year, n);
    const description = why ? en['calendar.shade.why'](why) : '';
    const day = (act: 'on' | 'off', date: string): Day => ({
      uid: `${year}.${n}.${act}@fogata`,
      title: en['calendar.shade']({ on: act === 'on', structure: name }),
      description: act === 'on' ? description : '',
      date,
    });
    const off = day('off', addDays(to, 1));
    return isOn && from <= today ? [off] : [day('on', from), off];
  });
}

export async function calendarOf(
  farmName: string,
  jobs: readonly SeasonJob[],
  shade: readonly ShadeRow[],
  today: string,
  nowAtMs: number,
  style: Style,
): Promise<string> {
  const { createEvents } = await import('ics');
  const tell = telling(style);
  const days = [...jobs.map((j) => jobDay(j, tell)), ...shadeDays(shade, today)];
  const { value, error } = createEvents(
    days.map(({ date, ...event }) => ({
      ...event,
      start: dayOf(date),
      end: dayOf(addDays(date, 1)),
      created: nowAtMs,
      lastModified: nowAtMs,
      busyStatus: 'FREE' as const,
      transp: 'TRANSPARENT' as const,
    })),
    { productId: 'fogata/season', method: 'PUBLISH', calName: en['calendar.name']({ farm: farmName }) },
  );
  if (error) throw error;
  return value ?? '';
}

export async function seasonCalendar(ctx: Context): Promise<string> {
  const { data, nowAtMs } = await ctx.standing(false);
  const { rows, today } = await shadeView(ctx);
  return calendarOf(
    data.farm.name,
    yearsJobs(ctx.seasons, data, nowAtMs),
    rows,
    today,
    nowAtMs,
    styleOf(data.farm),
  );
}
