/** Backwards from a need: so much a week, from one day to another. */
import { z } from 'zod';
import { planProgress } from './night';
import { spot, needSowing, needAnswer, mend } from './coreSeason';

export const needSowingView = needSowing.extend({
  /** Rows that are free for it; fewer than its metres where there is no room. */
  spots: z.array(spot),
  leftM: z.number(),
});
export type NeedSowingView = z.infer<typeof needSowingView>;

export const needView = z.object({
  crop: z.string(),
  name: z.string(),
  planted: z.boolean(),
  from: z.string(),
  to: z.string(),
  kgPerWeek: z.number(),
  risk: z.number(),
  answer: needAnswer
    .omit({ sowings: true })
    .extend({
      sowings: z.array(needSowingView),
    })
    .nullable(),
  progress: planProgress,
});
export type NeedView = z.infer<typeof needView>;

/** A patchy stand, and what each answer to it is worth. */
export const mendView = z.object({
  plantingId: z.string(),
  name: z.string(),
  stands: z.number(),
  /** When its row is needed. */
  clearedOn: z.string().nullable(),
  answers: z.array(mend),
  progress: planProgress,
});
export type MendView = z.infer<typeof mendView>;
