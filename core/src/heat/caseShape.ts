/**
 * The shape of the open format `fogata-case/1`, with units and ranges: each part defined once, its type follows (`types.ts`). What a
 * case must make sense as beyond its shape is `checkCase`.
 */
import { z } from 'zod';
import { wants } from '../words/wants';
import { FOOTINGS, MATERIAL_IDS, SHAPES, TEXTURES, TIGHTNESSES, WETNESSES } from './kinds';

export const instant = z.iso.datetime({ offset: true });
/**
 * A number from one to another, told as the two.
 * @example between(0, 1).safeParse(0.5).success // true
 */
export const between = (min: number, max: number) => {
  const error = wants('want.between', { min, max, unit: 'none' });
  return z.number({ error }).min(min, error).max(max, error);
};

export const weatherEntrySchema = z.strictObject({
  time: instant,
  airC: between(-60, 60),
  dewPointC: between(-90, 40),
  windMs: between(0, 80),
  cloudFraction: between(0, 1),
  globalWm2: between(0, 1500).optional(),
  rainMm: between(0, 300).optional(),
  snowMm: between(0, 1000).optional(),
});

export const layerSchema = z.strictObject({
  lengthM: between(0.1, 500),
  widthM: between(0.1, 100),
  heightM: between(0.01, 20),
  shape: z.enum(SHAPES),
  sides: z.enum(['cover', 'board']).optional(),
  material: z.enum(MATERIAL_IDS),
  plies: z.union([z.literal(1), z.literal(2)], { error: '1 or 2' }).optional(),
  tightness: z.enum(TIGHTNESSES).optional(),
  touchesCrop: z.boolean().optional(),
  footing: z.enum(FOOTINGS).optional(),
  turnDeg: between(0, 360).optional(),
  on: z.array(z.strictObject({ from: instant, to: instant })).optional(),
  ventAreaM2: between(0, 5000).optional(),
  open: z.array(z.strictObject({ from: instant, fraction: between(0, 1) })).optional(),
});

export const siteSchema = z.strictObject({
  latitude: between(-90, 90),
  longitude: between(-180, 180),
  elevationM: between(-450, 6000).optional(),
});

export const groundSchema = z.strictObject({
  texture: z.enum(TEXTURES).optional(),
  wetness: z.enum(WETNESSES).optional(),
  deepC: between(-20, 40),
  surfaceC: between(-40, 60).optional(),
  mulch: z
    .strictObject({
      material: z.literal('straw'),
      thicknessM: between(0.005, 0.3),
    })
    .optional(),
  on: z.enum(['ground', 'bench']).optional(),
});

export const simulationCaseSchema = z.strictObject({
  format: z.literal('fogata-case/1'),
  site: siteSchema,
  weather: z.array(weatherEntrySchema).min(12).max(40_000),
  ground: groundSchema,
  stack: z.array(layerSchema).max(4),
  mass: z.strictObject({ waterLitres: between(0, 400) }).optional(),
  heat: z
    .strictObject({
      bottomWm2: between(0, 500).optional(),
      airWm2: between(0, 500).optional(),
    })
    .optional(),
  crop: z
    .strictObject({ heightM: between(0.01, 3).optional(), groundCover: between(0, 1).optional() })
    .optional(),
});
