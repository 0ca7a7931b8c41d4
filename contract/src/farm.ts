/** The farm as it crosses the API: settings, structures, beds, plantings, covers. SI units, ISO dates. */
import { MATERIAL_IDS, wants } from '@fogata/core';
import { date, id, metres, name, plantingSchema } from '@fogata/core/things';
import { z } from 'zod';

export {
  bedSchema,
  coverSchema,
  cultivarSchema,
  date,
  id,
  namedNow,
  plantingSchema,
  seedLotSchema,
  structureSchema,
} from '@fogata/core/things';

export { USES } from '@fogata/core';
export const instantAtMs = z.number().int().describe('epoch milliseconds, UTC');

/** Whether this machine knows a time zone: with one that it does not, no hour of the farm can be told. */
function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

export const unitsSchema = z.object({
  temperature: z.enum(['C', 'F']),
  length: z.enum(['m', 'ft']),
  clock: z.union([z.literal(24), z.literal(12)]),
});

/** Where good growers disagree: which side this farm takes. */
export const schoolsSchema = z.object({
  aim: z
    .enum(['crop', 'survive', 'grow'])
    .describe('what a cover is for: as each crop has it, survive, or keep growing'),
  uncover: z.enum(['thaw', 'light']).describe('lift after the leaves have thawed, or at first light'),
  touch: z.enum(['both', 'hoops']).describe('sheets may lie on the leaves, or always on hoops'),
  swings: z
    .enum(['let', 'damp'])
    .default('let')
    .describe('swings of warm and cold by day left as they are, or damped for what bolts of them'),
  wet: z
    .enum(['dry', 'bank'])
    .default('dry')
    .describe('soil left dry into a frost, or watered the day before'),
});

const MONTH_DAYS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
export const monthDay = z
  .string()
  .regex(/^(0[1-9]|1[0-2])-([0-2]\d|3[01])$/, wants('want.monthDay'))
  .refine((md) => {
    const day = Number(md.slice(3));
    return day >= 1 && day <= MONTH_DAYS[Number(md.slice(0, 2)) - 1]!;
  }, wants('want.dayOfMonth'));

/** When frosts usually end and begin, and how sure that is: days either way in eight years of ten. */
export const frostSchema = z.object({
  lastSpring: monthDay.nullable(),
  firstAutumn: monthDay.nullable(),
  eitherWayDays: z.number().min(0).max(60),
  from: z.enum(['typed', 'records']),
});

/** What holds covers and plants, counted. */
export const gearSchema = z.object({
  hoops: z.number().int().min(0).max(99999),
  clips: z.number().int().min(0).max(99999),
  sandbags: z.number().int().min(0).max(99999),
  pegs: z.number().int().min(0).max(99999),
  jugs: z.number().int().min(0).max(99999),
  props: z.number().int().min(0).max(99999),
});
export type Gear = z.infer<typeof gearSchema>;
export const NO_GEAR: Gear = { hoops: 0, clips: 0, sandbags: 0, pegs: 0, jugs: 0, props: 0 };

/** Cloth or film on the roll, to cut sheets from. */
export const rollSchema = z.object({
  id,
  material: z.enum(MATERIAL_IDS),
  widthM: metres(0.3, 20),
  lengthM: metres(0.5, 1000),
  count: z.number().int().min(0).max(99),
});
export type Roll = z.infer<typeof rollSchema>;

/** What is asked for by the week: of one crop, or of whatever there is. */
export const demandSchema = z
  .object({
    crop: z.string().max(60).nullable(),
    from: date,
    to: date,
    kgPerWeek: z.number().min(0).max(100_000),
  })
  .refine((d) => d.to >= d.from, { path: ['to'], error: wants('want.noEarlier', { field: 'from' }) });

/** What the plan of the year goes by. */
export const relaySchema = z.object({
  demand: z.array(demandSchema).max(500).default([]),
  /** Cells that the trays have in all; null where they are not counted. */
  cells: z.number().int().min(0).max(1_000_000).nullable().default(null),
  hoursPerWeek: z.number().min(0).max(10_000).nullable().default(null),
  /** Share of years that may go wrong. */
  risk: z.number().min(0.02).max(0.6).default(0.2),
  /** Crops that are not grown again. */
  never: z.array(z.string().max(60)).max(200).default([]),
  /** Warnings that were read and are not said again. */
  accepted: z.array(z.string().max(400)).max(2000).default([]),
});
/** Room for trays: how many there are, how many fit where they are raised and where they harden off; null where nobody said. */
const trays = z.number().int().min(0).max(10_000);
export const nurserySchema = z.object({
  trayCells: z.number().int().min(1).max(1000).default(84),
  trays: trays.nullable().default(null),
  shelfTrays: trays.nullable().default(null),
  outTrays: trays.nullable().default(null),
});
export const NO_NURSERY = nurserySchema.parse({});

/** Cells of all trays: of those that were counted as trays, else as they were counted as cells; null where neither was. */
export const cellsInAll = (farm: Pick<Farm, 'nursery' | 'relay'>): number | null =>
  farm.nursery.trays === null ? farm.relay.cells : farm.nursery.trays * farm.nursery.trayCells;

export type RelaySettings = z.infer<typeof relaySchema>;
export const NO_RELAY: RelaySettings = relaySchema.parse({});

const timeOfDay = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, wants('want.clock'));

/** Hours in which nobody is on the farm: on days of the week, or on one date. */
export const awaySchema = z
  .object({
    days: z.array(z.number().int().min(0).max(6)).max(7).default([]),
    on: date.nullable().default(null),
    from: timeOfDay,
    to: timeOfDay,
  })
  .refine((a) => a.to > a.from, { path: ['to'], error: wants('want.instantAfter', { field: 'from' }) });

/** What is told without being asked, and when not. */
export const messagesSchema = z.object({
  on: z.boolean().default(true),
  quietFrom: timeOfDay.default('22:00'),
  quietTo: timeOfDay.default('05:30'),
  urgentAnyway: z.boolean().default(true),
});
export type MessageSettings = z.infer<typeof messagesSchema>;
export const USUAL_MESSAGES: MessageSettings = messagesSchema.parse({});

/** Something that is counted from a day: fruit, corms, bulbs' cold, warmth. */
export const counterSchema = z.object({
  id,
  name,
  what: z.enum(['ripe', 'bloom', 'cold', 'heat']),
  /** Null where no crop is meant, and where it stands in the open. */
  crop: z.string().max(40).nullable().default(null),
  structureId: z.string().max(64).nullable().default(null),
  from: date,
  baseC: z.number().min(-5).max(25),
  target: z.number().min(1).max(6000),
});
export type Counter = z.infer<typeof counterSchema>;

/** Drip lines as most beds have them: minutes are reckoned from it. */
export const dripSchema = z.object({
  lines: z.number().int().min(1).max(12),
  spacingM: z.number().min(0.05).max(2),
  litresPerHour: z.number().min(0.1).max(20),
  /** What the poor end of a line gets less than its middle: a slope, a long line, low pressure. */
  uneven: z.number().min(0).max(0.6).default(0),
});

export const farmSchema = z.object({
  name,
  latitude: z.number().min(-90).max(90),
  longitude: z.number().min(-180).max(180),
  elevationM: z.number().min(-450).max(6000),
  timeZone: z.string().refine(isTimeZone, wants('want.timeZone')),
  units: unitsSchema,
  currency: z.string().min(1).max(4),
  hourlyRate: z.number().min(0).max(500),
  hands: z.number().int().min(1).max(20).default(1).describe('people who close up and cover in the evening'),
  theme: z.enum(['clock', 'day', 'night']),
  schools: schoolsSchema,
  wind: z.enum(['sheltered', 'open', 'exposed']).default('open').describe('how exposed the farm is to wind'),
  coldAir: z.enum(['drains', 'level', 'hollow']).default('level').describe('whether cold air pools on it'),
  windFromDeg: z
    .number()
    .min(0)
    .max(360)
    .nullable()
    .default(null)
    .describe('where hard wind usually comes from, degrees from north'),
  frost: frostSchema
    .default({ lastSpring: null, firstAutumn: null, eitherWayDays: 14, from: 'typed' })
    .describe('average frost dates'),
  climate: z
    .array(
      z.object({
        lowC: z.number().min(-70).max(45),
        highC: z.number().min(-60).max(60),
      }),
    )
    .length(12)
    .nullable()
    .default(null)
    .describe('mean low and high of each month from January, as a climate page has them'),
  climateRecord: z
    .object({
      id,
      from: date,
      to: date,
      days: z.number().int().min(0).max(200_000),
      years: z.number().int().min(0).max(500),
    })
    .nullable()
    .default(null)
    .describe('the station record that Season goes by: its days are kept by the server'),
  gear: gearSchema.default(NO_GEAR),
  rolls: z.array(rollSchema).max(60).default([]),
  relay: relaySchema.default(NO_RELAY),
  messages: messagesSchema.default(USUAL_MESSAGES),
  away: z.array(awaySchema).max(60).default([]).describe('hours in which nobody is there'),
  drip: dripSchema.nullable().default(null),
  /** Beds whose water is held back on purpose, to stop growth. */
  holdBack: z.array(id).max(500).default([]),
  nursery: nurserySchema.default(NO_NURSERY).describe('room for trays, before the bed'),
  counters: z.array(counterSchema).max(60).default([]),
});
export type Farm = z.infer<typeof farmSchema>;
export const farmPatchSchema = farmSchema.partial();
export type FarmPatch = z.infer<typeof farmPatchSchema>;

export type PlantingBody = z.infer<typeof plantingSchema>;
