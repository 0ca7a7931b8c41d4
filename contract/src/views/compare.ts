/** Ways to begin side by side: what each gives, how surely, with how much work. */
import { z } from 'zod';
import { seasonRow } from './season';
import { planProgress } from './night';

export const wayAsked = z.object({
  crop: z.string(),
  how: z.enum(['sow', 'transplant']),
  structureId: z.string(),
  date: z.string(),
});
export type WayAsked = z.infer<typeof wayAsked>;

export const wayView = wayAsked.extend({
  name: z.string(),
  planted: z.boolean(),
  place: z.string(),
  cover: z.string().nullable(),
  /** Null where it does not fit there, or where too few years come to a picking. */
  given: z
    .object({
      readyOn: z.string(),
      overOn: z.string(),
      success: z.number(),
      /** What it is mostly where it fails. */
      failure: seasonRow.shape.afterIs,
      failureShare: z.number(),
      /** Of a metre of row, times the share of years in which it comes off; null of what is not weighed. */
      kgPerM: z.number().nullable(),
      minutesPerM: z.number(),
      moneyPerM: z.number(),
      /** From the day it takes its row to the day it leaves it. */
      daysInRow: z.number(),
    })
    .nullable(),
  why: z.enum(['low', 'never']).nullable(),
});
export type WayView = z.infer<typeof wayView>;

export const compareView = z.object({
  today: z.string(),
  places: z.array(
    z.object({
      structureId: z.string(),
      name: z.string(),
    }),
  ),
  ways: z.array(wayView),
  progress: planProgress,
});
export type CompareView = z.infer<typeof compareView>;
