/** The open format `fogata-limits/1`: what a day's opening has to keep to, for `npm run -s opening`. */
import type { Limits } from '@fogata/core/day';
import { z } from 'zod';
import { wants, type Said } from '@fogata/core';
import { firstProblem } from './expected';
import { between, instant } from './simulationCase';

const span = z
  .strictObject({ from: instant, to: instant })
  .refine((s) => Date.parse(s.to) > Date.parse(s.from), {
    path: ['to'],
    error: wants('want.instantAfter', { field: 'from' }),
  });

export const limitsSchema = z
  .strictObject({
    format: z.literal('fogata-limits/1'),
    leafMaxC: between(5, 50),
    soilMaxC: between(0, 50).optional(),
    leafMinC: between(-40, 20).optional(),
    there: z.array(span).max(400).optional(),
    style: z.enum(['air', 'warm']),
  })
  .refine((l) => (l.leafMinC ?? 0) < l.leafMaxC, {
    path: ['leafMinC'],
    error: wants('want.lessThan', { than: 'leafMaxC' }),
  });

export function readLimits(json: unknown): { limits: Limits } | { problem: Said } {
  const read = limitsSchema.safeParse(json, { reportInput: true });
  if (!read.success) return { problem: firstProblem(read.error) };
  const { leafMaxC, soilMaxC, leafMinC, there, style } = read.data;
  return {
    limits: {
      leafMaxC,
      style,
      ...(soilMaxC === undefined ? {} : { soilMaxC }),
      ...(leafMinC === undefined ? {} : { leafMinC }),
      ...(there
        ? { there: there.map((s) => ({ fromAtMs: Date.parse(s.from), toAtMs: Date.parse(s.to) })) }
        : {}),
    },
  };
}
