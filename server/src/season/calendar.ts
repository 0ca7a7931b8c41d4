/** The season's jobs as iCalendar (RFC 5545): whole days, named as the app names them, each the same event when it is read again. */
import { jobTitle, type SeasonJob } from '@fogata/contract';
import { createEvents, type DateArray } from 'ics';

const dayOf = (date: string) => date.split('-').map(Number) as DateArray;
const after = (date: string) => new Date(Date.parse(date) + 86_400_000).toISOString().slice(0, 10);

export function calendarOf(farmName: string, jobs: readonly SeasonJob[], nowMs: number): string {
  const { value, error } = createEvents(
    jobs.map((j) => ({
      uid: `${j.plantingId}.${j.step}@fogata`,
      title: jobTitle(j),
      description: `${j.place}, ${j.bed}: ${Number(j.metres.toFixed(1))} m in ${j.rows} rows`,
      start: dayOf(j.date),
      end: dayOf(after(j.date)),
      created: nowMs,
      lastModified: nowMs,
      busyStatus: 'FREE' as const,
      transp: 'TRANSPARENT' as const,
    })),
    { productId: 'fogata/season', method: 'PUBLISH', calName: `${farmName}: season` },
  );
  if (error) throw error;
  return value ?? '';
}
