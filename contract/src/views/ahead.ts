/** The nights to come, as far as the forecast reaches: margins, work, what is at risk, what is short. */
import { z } from 'zod';
import { range, planProgress } from './night';
import { lack } from './coreNight';

export const aheadPlace = z.object({
  bedId: z.string(),
  name: z.string(),
  place: z.string(),
  crop: z.string(),
  leafC: range,
  /** Kelvin over where harm begins, in the middle. */
  marginK: z.number(),
  harmChance: z.number(),
});
export type AheadPlace = z.infer<typeof aheadPlace>;

export const aheadNight = z.object({
  /** Its evening's date. */
  night: z.string(),
  outsideC: range,
  /** The closest to harm first. */
  places: z.array(aheadPlace),
  /** Sheets that are laid and that come off, and the minutes of it. */
  laid: z.number(),
  lifted: z.number(),
  minutes: z.number(),
  /** Money at risk with nothing touched, and as it is planned. */
  lossLeft: z.number(),
  lossPlanned: z.number(),
  /** Beds whose covers have to stay through the morning. */
  stays: z.array(z.string()),
  /** Beds whose covers stay on through the day after, because the next night wants them again. */
  leftOn: z.array(z.string()),
  short: z.array(
    z.object({
      name: z.string(),
      count: z.number(),
    }),
  ),
  shortSaves: z.number(),
});
export type AheadNight = z.infer<typeof aheadNight>;

export const aheadView = z.object({
  nowAtMs: z.number(),
  /** Until when the forecast says anything; null where there is none. */
  untilAtMs: z.number().nullable(),
  lack: lack.nullable(),
  nights: z.array(aheadNight),
  /** What choosing the nights together gives; null until all of them are worked out, and of one night alone. */
  together: z
    .object({
      /** Money over choosing night by night. */
      saves: z.number(),
      /** How far it may be off the best, as a share; 0 where it is proven. */
      gap: z.number(),
      /** What tonight would be for the sake of the nights after, and the money that saves besides. */
      tonight: z.object({
        saves: z.number(),
        beds: z.array(
          z.object({ bedId: z.string(), name: z.string(), key: z.string(), covers: z.array(z.string()) }),
        ),
      }),
    })
    .nullable(),
  /** No night that is known wants a sheet: whether the last frost is usually past as well, and when it usually is; null where one does. */
  noSheets: z.object({ past: z.boolean(), lastFrost: z.string().nullable() }).nullable(),
  progress: planProgress,
});
export type AheadView = z.infer<typeof aheadView>;
