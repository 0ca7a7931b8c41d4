/** The whole farm as one file, `fogata-farm/1`: settings, structures, beds, plantings, covers and the log. Unknown fields are refused. */
import { z } from 'zod';
import { bedSchema, coverSchema, farmSchema, plantingSchema, structureSchema } from './farm';
import { recordSchema } from './records';
import { fieldName, firstProblem } from './simulationCase';

export const FARM_FORMAT = 'fogata-farm/1';

export const farmFileSchema = z.strictObject({
  format: z.literal(FARM_FORMAT, { error: `the string ${FARM_FORMAT}` }),
  farm: farmSchema.strict(),
  structures: z.array(structureSchema.strict()).max(2000, 'at most 2000 structures'),
  beds: z.array(bedSchema.strict()).max(20_000, 'at most 20000 beds'),
  plantings: z.array(plantingSchema.strict()).max(100_000, 'at most 100000 plantings'),
  covers: z.array(coverSchema.strict()).max(5000, 'at most 5000 covers'),
  records: z.array(recordSchema).max(500_000, 'at most 500000 records'),
});
export type FarmFile = z.infer<typeof farmFileSchema>;

/** Things that name each other have to be there, and only once. */
function linkProblem(f: FarmFile): { field: string; expected: string } | null {
  for (const kind of ['structures', 'beds', 'plantings', 'covers', 'records'] as const) {
    const seen = new Set<string>();
    for (const [i, x] of f[kind].entries()) {
      if (seen.has(x.id))
        return { field: `${kind}[${i}].id`, expected: `one that no other has, not ${x.id}` };
      seen.add(x.id);
    }
  }
  const structures = new Set(f.structures.map((s) => s.id));
  const beds = new Set(f.beds.map((b) => b.id));
  for (const [i, b] of f.beds.entries())
    if (!structures.has(b.structureId))
      return { field: `beds[${i}].structureId`, expected: 'a structure of this file' };
  for (const [i, p] of f.plantings.entries())
    if (!beds.has(p.bedId)) return { field: `plantings[${i}].bedId`, expected: 'a bed of this file' };
  return null;
}

/** A farm file, checked; or one sentence that names the field and what is expected. */
export function readFarmFile(json: unknown): { file: FarmFile } | { problem: string; field: string } {
  const parsed = farmFileSchema.safeParse(json, { reportInput: true });
  if (!parsed.success)
    return { problem: firstProblem(parsed.error), field: fieldName(parsed.error.issues[0]!.path) };
  const link = linkProblem(parsed.data);
  return link
    ? { problem: `${link.field}: expected ${link.expected}`, field: link.field }
    : { file: parsed.data };
}
