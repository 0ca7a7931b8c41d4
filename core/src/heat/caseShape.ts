/**
 * The shape of the open format `fogata-case/1`, with units and ranges: each part defined once, its type follows (`types.ts`). What a
 * case must make sense as beyond its shape is `checkCase`.
 */
import { z } from 'zod';
import { FOOTINGS, MATERIAL_IDS, SHAPES, TEXTURES, TIGHTNESSES, WETNESSES } from './kinds';

export const instant = z.iso.datetime({
  offset: true,
  error: 'an ISO 8601 instant with an offset or Z, like 2027-01-14T15:00:00Z',
});
/** @example between(0, 1, 'a share').safeParse(0.5).success // true */
export const between = (min: number, max: number, unit: string) =>
  z
    .number({ error: `a number from ${min} to ${max} ${unit}`.trim() })
    .min(min, `${min} to ${max} ${unit}`.trim())
    .max(max, `${min} to ${max} ${unit}`.trim());

export const weatherEntrySchema = z.strictObject({
  time: instant,
  airC: between(-60, 60, '°C'),
  dewPointC: between(-90, 40, '°C'),
  windMs: between(0, 80, 'm/s'),
  cloudFraction: between(0, 1, ''),
  globalWm2: between(0, 1500, 'W/m²').optional(),
  rainMm: between(0, 300, 'mm').optional(),
  snowMm: between(0, 1000, 'mm').optional(),
});

export const layerSchema = z.strictObject({
  lengthM: between(0.1, 500, 'm'),
  widthM: between(0.1, 100, 'm'),
  heightM: between(0.01, 20, 'm'),
  shape: z.enum(SHAPES),
  sides: z.enum(['cover', 'board']).optional(),
  material: z.enum(MATERIAL_IDS),
  plies: z.union([z.literal(1), z.literal(2)], { error: '1 or 2' }).optional(),
  tightness: z.enum(TIGHTNESSES).optional(),
  touchesCrop: z.boolean().optional(),
  footing: z.enum(FOOTINGS).optional(),
  turnDeg: between(0, 360, 'degrees').optional(),
  on: z.array(z.strictObject({ from: instant, to: instant })).optional(),
  ventAreaM2: between(0, 5000, 'm²').optional(),
  open: z.array(z.strictObject({ from: instant, fraction: between(0, 1, '') })).optional(),
});

export const siteSchema = z.strictObject({
  latitude: between(-90, 90, 'degrees'),
  longitude: between(-180, 180, 'degrees'),
  elevationM: between(-450, 6000, 'm').optional(),
});

export const groundSchema = z.strictObject({
  texture: z.enum(TEXTURES).optional(),
  wetness: z.enum(WETNESSES).optional(),
  deepC: between(-20, 40, '°C'),
  surfaceC: between(-40, 60, '°C').optional(),
  mulch: z
    .strictObject({
      material: z.literal('straw', { error: 'straw' }),
      thicknessM: between(0.005, 0.3, 'm'),
    })
    .optional(),
  on: z.enum(['ground', 'bench']).optional(),
});

export const simulationCaseSchema = z.strictObject({
  format: z.literal('fogata-case/1', { error: 'the string fogata-case/1' }),
  site: siteSchema,
  weather: z.array(weatherEntrySchema).min(12, 'at least 12 entries').max(40_000, 'at most 40000 entries'),
  ground: groundSchema,
  stack: z.array(layerSchema).max(4, 'at most 4 layers'),
  mass: z.strictObject({ waterLitres: between(0, 400, 'litres per m²') }).optional(),
  heat: z
    .strictObject({
      bottomWm2: between(0, 500, 'W/m²').optional(),
      airWm2: between(0, 500, 'W/m²').optional(),
    })
    .optional(),
  crop: z
    .strictObject({ heightM: between(0.01, 3, 'm').optional(), groundCover: between(0, 1, '').optional() })
    .optional(),
});
