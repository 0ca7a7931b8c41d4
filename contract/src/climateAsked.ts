/** A climate as the open formats bring it: twelve means, or the path of a file of days that the caller reads. */
import { fromDaily, fromMonthly, LEAST_DAYS, readDailyCsv, type Climate } from '@fogata/core/season';
import { z } from 'zod';
import { said, wants, type Said } from '@fogata/core';
import { between, type siteSchema } from './simulationCase';

const month = z
  .strictObject({ lowC: between(-70, 45), highC: between(-60, 60) })
  .refine((m) => m.highC > m.lowC, wants('want.meanHigh'));

export const climateSchema = z.union(
  [z.strictObject({ monthly: z.array(month).length(12) }), z.strictObject({ dailyCsv: z.string().min(1) })],
  { error: wants('want.climate') },
);

/** The climate, or what is wrong with its file in one line. */
export function climateAsked(
  r: { site: z.infer<typeof siteSchema>; climate: z.infer<typeof climateSchema> },
  read: (path: string) => string | null,
): Climate | { problem: Said } {
  const site = { ...r.site, elevationM: r.site.elevationM ?? 0 };
  if ('monthly' in r.climate) return fromMonthly(site, r.climate.monthly);
  const text = read(r.climate.dailyCsv);
  const refused = (expected: Said) => ({
    problem: said('refuse.expected', { field: 'climate.dailyCsv', expected }),
  });
  if (text === null) return refused(said('want.readable', { path: r.climate.dailyCsv }));
  const { days, badRows } = readDailyCsv(text);
  const bad = badRows[0];
  if (bad) return refused(said('want.days', { row: bad.row, reason: bad.reason }));
  if (days.length < LEAST_DAYS) return refused(said('want.threeYears', { days: days.length }));
  return fromDaily(site, days);
}
