/** A night asked about before anything is set up. */
import { isCrop, MIDDLE, OUTER, wants } from '@fogata/core';
import { z } from 'zod';
import { typedSchema } from './weather';

export const askSchema = z.object({
  /** Made by the device once: what is kept later is what was asked, to the last digit. */
  id: z.uuid(),
  site: z.object({
    latitude: z.number().min(-90).max(90),
    longitude: z.number().min(-180).max(180),
    elevationM: z.number().min(-450).max(6000),
  }),
  outer: z.enum(OUTER),
  middle: z.enum(MIDDLE),
  laid: z.boolean(),
  crop: z.string().refine(isCrop, wants('want.crop')),
  weeks: z.number().int().min(0).max(300),
  typed: typedSchema,
});
export type AskBody = z.infer<typeof askSchema>;
