/** A night asked about before anything is set up. */
import { isCrop, MIDDLE, OUTER } from '@fogata/core';
import { z } from 'zod';
import { typedSchema } from './weather';

export const askSchema = z.object({
  /** Made by the device once: what is kept later is what was asked, to the last digit. */
  id: z.uuid({ error: 'an id' }),
  site: z.object({
    latitude: z.number({ error: 'a latitude' }).min(-90, '−90 to 90 degrees').max(90, '−90 to 90 degrees'),
    longitude: z
      .number({ error: 'a longitude' })
      .min(-180, '−180 to 180 degrees')
      .max(180, '−180 to 180 degrees'),
    elevationM: z.number().min(-450, 'at least −450 m').max(6000, 'at most 6000 m'),
  }),
  outer: z.enum(OUTER),
  middle: z.enum(MIDDLE),
  laid: z.boolean(),
  crop: z.string().refine(isCrop, 'a crop of the list'),
  weeks: z.number().int('whole weeks').min(0, '0 or more').max(300, 'at most 300 weeks'),
  typed: typedSchema,
});
export type AskBody = z.infer<typeof askSchema>;
