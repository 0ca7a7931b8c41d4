/** The farm as it crosses the API: settings, structures, beds, plantings, covers. SI units, ISO dates. */
import { AIMS, MATERIAL_IDS } from '@fogata/core';
import { z } from 'zod';

export const id = z.string().min(1).max(64);
export const instantMs = z.number().int().describe('epoch milliseconds, UTC');
export const date = z.iso.date({ error: 'a date like 2027-01-14' });
const metres = (min: number, max: number) =>
  z.number({ error: 'a length in metres' }).min(min, `at least ${min} m`).max(max, `at most ${max} m`);
const name = z.string().trim().min(1, 'a name').max(60, 'at most 60 letters');

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
});

export const farmSchema = z.object({
  name,
  latitude: z.number().min(-90, '−90 to 90 degrees').max(90, '−90 to 90 degrees'),
  longitude: z.number().min(-180, '−180 to 180 degrees').max(180, '−180 to 180 degrees'),
  elevationM: z.number().min(-450).max(6000),
  timeZone: z.string().min(1),
  units: unitsSchema,
  currency: z.string().min(1).max(4),
  hourlyRate: z.number().min(0, '0 or more').max(500, 'at most 500'),
  theme: z.enum(['clock', 'day', 'night']),
  schools: schoolsSchema,
});
export type Farm = z.infer<typeof farmSchema>;
export const farmPatchSchema = farmSchema.partial();
export type FarmPatch = z.infer<typeof farmPatchSchema>;

export const structureSchema = z.object({
  id,
  name,
  kind: z.enum(['house', 'frame', 'tunnel', 'open']),
  shape: z.enum(['arch', 'box', 'flat']),
  sides: z.enum(['cover', 'board']),
  lengthM: metres(0.3, 300),
  widthM: metres(0.3, 60),
  heightM: metres(0.1, 12),
  material: z.enum(MATERIAL_IDS),
  plies: z.union([z.literal(1), z.literal(2)]),
  tightness: z.enum(['tight', 'average', 'drafty']),
  ventAreaM2: z.number().min(0).max(2000),
  order: z.number().int(),
});

export const bedSchema = z.object({
  id,
  structureId: id,
  name,
  lengthM: metres(0.3, 300),
  widthM: metres(0.2, 10),
  rows: z
    .number({ error: 'a number of rows' })
    .int('a whole number of rows')
    .min(1, 'at least one row')
    .max(40, 'at most 40 rows'),
  on: z.enum(['ground', 'bench']),
  texture: z.enum(['sand', 'loam', 'clay', 'compost']),
  wetness: z.enum(['dry', 'moist', 'wet']),
  mulchM: metres(0, 0.3),
  hoopHeightM: metres(0, 2),
  order: z.number().int(),
});

export const plantingSchema = z.object({
  id,
  bedId: id,
  crop: z.string().trim().min(1, 'a crop').max(40, 'at most 40 letters'),
  cultivar: z.string().trim().max(60, 'at most 60 letters'),
  fromRow: z.number({ error: 'a row' }).int('a whole row').min(1, 'row 1 or more'),
  toRow: z.number({ error: 'a row' }).int('a whole row').min(1, 'row 1 or more'),
  lengthM: metres(0.1, 300),
  plantedOn: date,
  clearedOn: date.nullable(),
  aim: z.enum(AIMS),
  note: z.string().max(500, 'at most 500 letters'),
});
export type PlantingBody = z.infer<typeof plantingSchema>;

export const coverSchema = z.object({
  id,
  name,
  material: z.enum(MATERIAL_IDS),
  plies: z.union([z.literal(1), z.literal(2)]),
  lengthM: metres(0.3, 300),
  widthM: metres(0.2, 30),
  count: z
    .number({ error: 'a number of pieces' })
    .int('whole pieces')
    .min(0, '0 or more')
    .max(999, 'at most 999'),
  use: z.enum(['hoops', 'flat', 'over']),
  minutes: z.number().min(0, '0 or more').max(240, 'at most 240'),
  order: z.number().int(),
});
