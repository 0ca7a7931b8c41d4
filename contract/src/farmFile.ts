/** The whole farm as one file, `fogata-farm/1`: settings, structures, beds, plantings, covers and the log. Unknown fields are refused. */
import { said, type Said } from '@fogata/core';
import { z } from 'zod';
import {
  bedSchema,
  coverSchema,
  cultivarSchema,
  farmSchema,
  instantAtMs,
  namedNow,
  plantingSchema,
  seedLotSchema,
  structureSchema,
} from './farm';
import { recordSchema } from './records';
import { fieldName, firstProblem } from './expected';
import { typedSchema } from './weather';

export const FARM_FORMAT = 'fogata-farm/1';

const celsius = z.number().min(-90).max(70);
const entry = z.strictObject({
  time: z.iso.datetime(),
  airC: celsius,
  dewPointC: celsius,
  windMs: z.number().min(0).max(80),
  windFromDeg: z.number().min(0).max(360).optional(),
  cloudFraction: z.number().min(0).max(1),
  globalWm2: z.number().min(0).max(1500).optional(),
  rainMm: z.number().min(0).max(500).optional(),
  snowMm: z.number().min(0).max(2000).optional(),
});
/** What was written under older names is read under those of now. */
const asNamedNow = <S extends z.ZodType>(schema: S) =>
  z.preprocess((x) => (x && typeof x === 'object' ? namedNow(x) : x), schema);
const band = z.strictObject({ low: z.number(), mid: z.number(), high: z.number() });

/** Forecasts as they were issued, what was measured, and what was predicted in the evenings. */
const weatherFileSchema = z.strictObject({
  forecasts: z
    .array(
      asNamedNow(
        z.strictObject({
          id: z.string().min(1).max(64),
          name: z.string().max(80),
          source: z.enum(['typed', 'file', 'push', 'poll']),
          issuedAtMs: instantAtMs,
          importedAtMs: instantAtMs,
          fromAtMs: instantAtMs,
          toAtMs: instantAtMs,
          entries: z.array(entry).min(1).max(5000),
          doubt: z.number().min(0.1).max(10),
          typed: typedSchema.optional(),
          active: z.boolean(),
        }),
      ),
    )
    .max(50_000),
  observations: z.array(z.strictObject({ atMs: instantAtMs, entry, source: z.string().max(40) })),
  temperatures: z.array(
    z.strictObject({
      spot: z.string().min(1).max(64),
      atMs: instantAtMs,
      c: z.number().min(-60).max(80),
      source: z.string().max(40),
    }),
  ),
  evenings: z.array(
    asNamedNow(
      z.strictObject({
        night: z.iso.date(),
        issuedAtMs: instantAtMs,
        data: z.strictObject({ spots: z.record(z.string(), band), beds: z.record(z.string(), band) }),
      }),
    ),
  ),
});

const wholeFile = z.strictObject({
  format: z.literal(FARM_FORMAT),
  farm: farmSchema.strict(),
  structures: z.array(asNamedNow(structureSchema.strict())).max(2000),
  beds: z.array(bedSchema.strict()).max(20_000),
  plantings: z.array(plantingSchema.strict()).max(100_000),
  covers: z.array(coverSchema.strict()).max(5000),
  cultivars: z.array(cultivarSchema.strict()).max(5000).optional(),
  seedLots: z.array(seedLotSchema.strict()).max(20_000).optional(),
  records: z.array(recordSchema).max(500_000),
  /** When each record came to the server, in their order. */
  arrivedAtMs: z.array(instantAtMs).optional(),
  weather: weatherFileSchema.optional(),
});
export const farmFileSchema = asNamedNow(wholeFile);
export type FarmFile = z.infer<typeof farmFileSchema>;

/** Things that name each other have to be there, and only once. */
function linkProblem(f: FarmFile): { field: string; expected: Said } | null {
  for (const kind of [
    'structures',
    'beds',
    'plantings',
    'covers',
    'cultivars',
    'seedLots',
    'records',
  ] as const) {
    const seen = new Set<string>();
    for (const [i, x] of (f[kind] ?? []).entries()) {
      if (seen.has(x.id)) return { field: `${kind}[${i}].id`, expected: said('want.ownId', { id: x.id }) };
      seen.add(x.id);
    }
  }
  if (f.arrivedAtMs && f.arrivedAtMs.length !== f.records.length)
    return { field: 'arrivedAtMs', expected: said('want.arrivals', { records: f.records.length }) };
  const structures = new Set(f.structures.map((s) => s.id));
  const beds = new Set(f.beds.map((b) => b.id));
  for (const [i, b] of f.beds.entries())
    if (!structures.has(b.structureId))
      return { field: `beds[${i}].structureId`, expected: said('want.ofFile', { what: 'structure' }) };
  for (const [i, p] of f.plantings.entries())
    if (!beds.has(p.bedId))
      return { field: `plantings[${i}].bedId`, expected: said('want.ofFile', { what: 'bed' }) };
  return null;
}

/** A farm file, checked; or one sentence that names the field and what is expected. */
export function readFarmFile(json: unknown): { file: FarmFile } | { problem: Said; field: string } {
  const parsed = farmFileSchema.safeParse(json, { reportInput: true });
  if (!parsed.success)
    return { problem: firstProblem(parsed.error), field: fieldName(parsed.error.issues[0]!.path) };
  const link = linkProblem(parsed.data);
  return link ? { problem: said('refuse.expected', link), field: link.field } : { file: parsed.data };
}
