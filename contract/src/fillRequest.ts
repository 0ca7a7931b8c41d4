/** The open format `fogata-fill/1`: a farm's rows, what stands in them, what is asked for, and what gaps are to be filled for. */
import { wants } from '@fogata/core';
import { AIMS_OF_FILL } from '@fogata/core/relay';
import { z } from 'zod';
import { climateSchema } from './climateAsked';
import { date, monthDay } from './farm';
import { between, groundSchema, layerSchema, siteSchema } from './simulationCase';
import { cropId, reader } from './windows';

const id = z.string().min(1).max(60);
const how = z.enum(['sow', 'transplant']);
const row = between(1, 60).int();

const place = z.strictObject({
  id,
  stack: z.array(layerSchema.omit({ on: true, open: true })).max(4),
  ground: groundSchema.partial({ deepC: true }).optional(),
  venting: z.enum(['air', 'warm', 'shut']).optional(),
  headroomM: between(0.1, 10).nullable().optional(),
});

const bed = z.strictObject({
  id,
  place: id,
  rows: row,
  lengthM: between(0.2, 500),
  widthM: between(0.1, 20).optional(),
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
  .refine((p) => p.toRow >= p.fromRow, { path: ['toRow'], error: wants('want.noLess', { than: 'fromRow' }) })
  .refine((p) => !p.clearedOn || p.clearedOn > p.plantedOn, {
    path: ['clearedOn'],
    error: wants('want.after', { field: 'plantedOn' }),
  });

const demand = z
  .strictObject({
    crop: cropId.nullable().optional(),
    from: date,
    to: date,
    kgPerWeek: between(0, 100_000),
  })
  .refine((d) => d.to >= d.from, { path: ['to'], error: wants('want.noEarlier', { field: 'from' }) });

const crop = z.union([
  cropId,
  z.strictObject({
    id: cropId,
    how: how.optional(),
    valuePerM: between(0, 10_000).optional(),
    mostM: between(0, 100_000).optional(),
  }),
]);

const shape = z.strictObject({
  format: z.literal('fogata-fill/1'),
  site: siteSchema,
  climate: climateSchema,
  frost: z.strictObject({ lastSpring: monthDay.optional(), firstAutumn: monthDay.optional() }).optional(),
  from: date,
  weeks: between(4, 104).int(),
  places: z.array(place).min(1).max(60),
  beds: z.array(bed).min(1).max(400),
  plantings: z.array(planting).max(5000).default([]),
  crops: z.array(crop).min(1).max(120),
  demand: z.array(demand).max(2000).default([]),
  cells: between(0, 1_000_000).int().nullable().default(null),
  hoursPerWeek: between(0, 10_000).nullable().default(null),
  hourlyRate: between(0, 500).default(15),
  risk: between(0, 0.95).default(0.2),
  aim: z.enum(AIMS_OF_FILL).default('value'),
  sellsKg: between(0, 100_000).default(10),
  refused: z
    .array(z.strictObject({ crop: cropId, bed: id }))
    .max(2000)
    .default([]),
  years: between(10, 1000).int().default(60),
  seed: z.number().int().default(1),
  gap: between(0, 1).default(0.02),
  seconds: between(0.5, 3600).default(20),
});

/** What one line names that another does not have. */
export const fillRequestSchema = shape.superRefine((r, ctx) => {
  const missing = (path: (string | number)[], error: string) =>
    ctx.addIssue({ code: 'custom', path, message: error });
  const places = new Set(r.places.map((p) => p.id));
  const beds = new Map(r.beds.map((b) => [b.id, b]));
  if (places.size < r.places.length) missing(['places'], wants('want.eachOnce'));
  if (beds.size < r.beds.length) missing(['beds'], wants('want.eachOnce'));
  r.beds.forEach((b, i) => {
    if (!places.has(b.place)) missing(['beds', i, 'place'], wants('want.idOf', { what: 'places' }));
  });
  r.plantings.forEach((p, i) => {
    const b = beds.get(p.bed);
    if (!b) missing(['plantings', i, 'bed'], wants('want.idOf', { what: 'beds' }));
    else if (p.toRow > b.rows) missing(['plantings', i, 'toRow'], wants('want.rowOf', { rows: b.rows }));
  });
  r.refused.forEach((x, i) => {
    if (!beds.has(x.bed)) missing(['refused', i, 'bed'], wants('want.idOf', { what: 'beds' }));
  });
});
export type FillRequest = z.infer<typeof shape>;
export const readFillRequest = reader(fillRequestSchema as unknown as z.ZodType<FillRequest>);
