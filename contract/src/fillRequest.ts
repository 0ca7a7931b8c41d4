/** The open format `fogata-fill/1`: a farm's rows, what stands in them, what is asked for, and what gaps are to be filled for. */
import { AIMS_OF_FILL } from '@fogata/core/relay';
import { z } from 'zod';
import { climateSchema } from './climateAsked';
import { date, monthDay } from './farm';
import { between, groundSchema, layerSchema, siteSchema } from './simulationCase';
import { cropId, reader } from './windows';

const id = z.string({ error: 'an id' }).min(1, 'an id').max(60, 'at most 60 characters');
const how = z.enum(['sow', 'transplant'], { error: 'sow or transplant' });
const row = between(1, 60, '').int('a whole row');

const place = z.strictObject({
  id,
  stack: z.array(layerSchema.omit({ on: true, open: true })).max(4, 'at most 4 layers'),
  ground: groundSchema.partial({ deepC: true }).optional(),
  venting: z.enum(['air', 'warm', 'shut']).optional(),
  headroomM: between(0.1, 10, 'm').nullable().optional(),
});

const bed = z.strictObject({
  id,
  place: id,
  rows: row,
  lengthM: between(0.2, 500, 'm'),
  widthM: between(0.1, 20, 'm').optional(),
});

const planting = z
  .strictObject({
    id: id.optional(),
    bed: id,
    crop: cropId,
    how: how.optional(),
    fromRow: row,
    toRow: row,
    plantedOn: date,
    clearedOn: date.nullable().optional(),
  })
  .refine((p) => p.toRow >= p.fromRow, { path: ['toRow'], error: 'no less than fromRow' })
  .refine((p) => !p.clearedOn || p.clearedOn > p.plantedOn, {
    path: ['clearedOn'],
    error: 'after plantedOn',
  });

const demand = z
  .strictObject({
    crop: cropId.nullable().optional(),
    from: date,
    to: date,
    kgPerWeek: between(0, 100_000, 'kg'),
  })
  .refine((d) => d.to >= d.from, { path: ['to'], error: 'no earlier than from' });

const crop = z.union([
  cropId,
  z.strictObject({
    id: cropId,
    how: how.optional(),
    valuePerM: between(0, 10_000, '').optional(),
    mostM: between(0, 100_000, 'm').optional(),
  }),
]);

const shape = z.strictObject({
  format: z.literal('fogata-fill/1', { error: 'the string fogata-fill/1' }),
  site: siteSchema,
  climate: climateSchema,
  frost: z.strictObject({ lastSpring: monthDay.optional(), firstAutumn: monthDay.optional() }).optional(),
  from: date,
  weeks: between(4, 104, '').int('a whole number of weeks'),
  places: z.array(place).min(1, 'at least one place').max(60, 'at most 60 places'),
  beds: z.array(bed).min(1, 'at least one bed').max(400, 'at most 400 beds'),
  plantings: z.array(planting).max(5000, 'at most 5000 plantings').default([]),
  crops: z.array(crop).min(1, 'at least one crop').max(120, 'at most 120 crops'),
  demand: z.array(demand).max(2000, 'at most 2000 lines').default([]),
  cells: between(0, 1_000_000, '').int('a whole number of cells').nullable().default(null),
  hoursPerWeek: between(0, 10_000, 'h').nullable().default(null),
  hourlyRate: between(0, 500, '').default(15),
  risk: between(0, 0.95, '').default(0.2),
  aim: z.enum(AIMS_OF_FILL, { error: 'value, supply or variety' }).default('value'),
  sellsKg: between(0, 100_000, 'kg').default(10),
  refused: z
    .array(z.strictObject({ crop: cropId, bed: id }))
    .max(2000, 'at most 2000')
    .default([]),
  years: between(10, 1000, '').int('a whole number of years').default(60),
  seed: z.number({ error: 'a whole number' }).int('a whole number').default(1),
  gap: between(0, 1, '').default(0.02),
  seconds: between(0.5, 3600, 's').default(20),
});

/** What one line names that another does not have. */
export const fillRequestSchema = shape.superRefine((r, ctx) => {
  const missing = (path: (string | number)[], error: string) =>
    ctx.addIssue({ code: 'custom', path, message: error });
  const places = new Set(r.places.map((p) => p.id));
  const beds = new Map(r.beds.map((b) => [b.id, b]));
  if (places.size < r.places.length) missing(['places'], 'each id once');
  if (beds.size < r.beds.length) missing(['beds'], 'each id once');
  r.beds.forEach((b, i) => {
    if (!places.has(b.place)) missing(['beds', i, 'place'], 'the id of one of the places');
  });
  r.plantings.forEach((p, i) => {
    const b = beds.get(p.bed);
    if (!b) missing(['plantings', i, 'bed'], 'the id of one of the beds');
    else if (p.toRow > b.rows) missing(['plantings', i, 'toRow'], `a row of the bed, which has ${b.rows}`);
  });
  r.refused.forEach((x, i) => {
    if (!beds.has(x.bed)) missing(['refused', i, 'bed'], 'the id of one of the beds');
  });
});
export type FillRequest = z.infer<typeof shape>;
export const readFillRequest = reader(fillRequestSchema as unknown as z.ZodType<FillRequest>);
