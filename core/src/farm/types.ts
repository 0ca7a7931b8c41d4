/** The farm as the computation sees it: the types of what `things.ts` defines. One name for one thing, from the field guide. */
import type { z } from 'zod';
import type { Figures } from '../crops/figures';
import type { Site } from '../heat/types';
import type { bedSchema, coverSchema, openingSchema, plantingSchema, structureSchema } from './things';

import type { CoverUse } from './kinds';

export * from './kinds';

export type Structure = z.infer<typeof structureSchema>;
export type Opening = z.infer<typeof openingSchema>;
export type Snug = NonNullable<Structure['snug']>;
export type Bed = z.infer<typeof bedSchema>;
export type Planting = z.infer<typeof plantingSchema> & {
  /** What its cultivar has other than the book, put there by who loads it; never kept with it. */
  own?: Figures | undefined;
};
export type Cover = z.infer<typeof coverSchema> & {
  /** Of a sheet that lies in another way than its usual one: that one (`asUsed`). */
  usually?: CoverUse | undefined;
};

export interface FarmSite extends Site {
  timeZone: string;
}
