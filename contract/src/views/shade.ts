/** Shade cloth by the week, house by house. */
import { z } from 'zod';
import { planProgress } from './night';

export const shadeRow = z.object({
  structureId: z.string(),
  name: z.string(),
  /** Cloth on for these days, or, where it is on and nothing there wants it, off until then; null where no week of the year wants it. */
  what: z.enum(['on', 'off']),
  from: z.string().nullable(),
  to: z.string().nullable(),
  /** Whether it is on as the house is set up. */
  isOn: z.boolean(),
  /** Bears least heat of what stands there; with the warm day's hottest leaf with everything open, and under cloth besides, °C; null where it is to come off. */
  why: z.object({ crop: z.string(), limitC: z.number(), openC: z.number(), clothC: z.number() }).nullable(),
});
export type ShadeRow = z.infer<typeof shadeRow>;

export const shadeView = z.object({
  today: z.string(),
  progress: planProgress,
  rows: z.array(shadeRow),
});
export type ShadeView = z.infer<typeof shadeView>;
