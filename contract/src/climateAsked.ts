/** A climate as the open formats bring it: twelve means, or the path of a file of days that the caller reads. */
import { fromDaily, fromMonthly, LEAST_DAYS, readDailyCsv, type Climate } from '@fogata/core/season';
import { z } from 'zod';
import { between, type siteSchema } from './simulationCase';
import { PLAIN, told } from '@fogata/core/words';

const month = z
  .strictObject({ lowC: between(-70, 45, '°C'), highC: between(-60, 60, '°C') })
  .refine((m) => m.highC > m.lowC, 'a mean high over the mean low');

export const climateSchema = z.union(
  [
    z.strictObject({ monthly: z.array(month).length(12, 'twelve months from January') }),
    z.strictObject({ dailyCsv: z.string().min(1, 'the path of a CSV of days') }),
  ],
  { error: 'either { "monthly": twelve months } or { "dailyCsv": a path }' },
);

/** The climate, or what is wrong with its file in one line. */
export function climateAsked(
  r: { site: z.infer<typeof siteSchema>; climate: z.infer<typeof climateSchema> },
  read: (path: string) => string | null,
): Climate | string {
  const site = { ...r.site, elevationM: r.site.elevationM ?? 0 };
  if ('monthly' in r.climate) return fromMonthly(site, r.climate.monthly);
  const text = read(r.climate.dailyCsv);
  if (text === null)
    return `climate.dailyCsv: expected a file that can be read; ${r.climate.dailyCsv} cannot`;
  const { days, badRows } = readDailyCsv(text);
  const bad = badRows[0];
  if (bad)
    return `climate.dailyCsv: expected days with low and high; row ${bad.row}: ${told(bad.reason, PLAIN)}`;
  if (days.length < LEAST_DAYS)
    return `climate.dailyCsv: expected at least three years of days, it has ${days.length} days`;
  return fromDaily(site, days);
}
