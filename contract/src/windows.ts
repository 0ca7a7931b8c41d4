/** The open formats `fogata-windows/1` and `fogata-hardiness/1`: their shapes, with units and ranges, and the result in words. */
import { isCrop } from '@fogata/core';
import { z } from 'zod';
import { climateSchema } from './climateAsked';
import { date, monthDay } from './farm';
import { between, firstProblem, groundSchema, layerSchema, siteSchema } from './simulationCase';

export const cropId = z
  .string({ error: 'the id of a crop' })
  .refine(isCrop, 'the id of a crop of the list, as npm run -s crops -- --csv prints it');
export const windowsRequestSchema = z.strictObject({
  format: z.literal('fogata-windows/1', { error: 'the string fogata-windows/1' }),
  site: siteSchema,
  climate: climateSchema,
  frost: z.strictObject({ lastSpring: monthDay.optional(), firstAutumn: monthDay.optional() }).optional(),
  crop: cropId,
  how: z.enum(['sow', 'transplant']),
  stack: z.array(layerSchema.omit({ on: true, open: true })).max(4, 'at most 4 layers'),
  ground: groundSchema.partial({ deepC: true }).optional(),
  want: z
    .union([z.strictObject({ from: monthDay, to: monthDay }), z.strictObject({ clearBy: monthDay })], {
      error: 'either { "from", "to" } or { "clearBy" }, month and day like 11-15',
    })
    .optional(),
  venting: z.enum(['air', 'warm', 'shut']).optional(),
  risk: between(0, 0.95, '').default(0.1),
  years: between(10, 1000, '').int('a whole number of years').default(100),
  seed: z.number({ error: 'a whole number' }).int('a whole number').default(1),
});
export type WindowsRequest = z.infer<typeof windowsRequestSchema>;

export const hardinessRequestSchema = z.strictObject({
  format: z.literal('fogata-hardiness/1', { error: 'the string fogata-hardiness/1' }),
  crop: cropId,
  /** Hardness that it starts with, 0 fresh from the tray to 1. */
  start: between(0, 1, '').optional(),
  days: z
    .array(
      z
        .strictObject({
          date: date.optional(),
          meanC: between(-60, 60, '°C'),
          minC: between(-70, 60, '°C'),
          soilMinC: between(-40, 60, '°C').optional(),
          hours: between(0.1, 24, 'h').optional(),
        })
        .refine((d) => d.minC <= d.meanC, { path: ['minC'], error: 'no more than meanC' }),
    )
    .min(1, 'at least one day')
    .max(4000, 'at most 4000 days'),
});
export type HardinessRequest = z.infer<typeof hardinessRequestSchema>;

export const reader =
  <T>(schema: z.ZodType<T>) =>
  (json: unknown): { request: T } | { problem: string } => {
    const read = schema.safeParse(json, { reportInput: true });
    if (read.success) return { request: read.data };
    return { problem: firstProblem(deepest(read.error)).replace(/^the case:/, 'the request:') };
  };

/** Of a choice of shapes, what is wrong with the one that was meant: the one whose fields are there. */
function deepest(error: z.ZodError): z.ZodError {
  const issue = error.issues[0]!;
  if (issue.code !== 'invalid_union') return error;
  const meant = issue.errors
    .map((issues) =>
      issues.filter(
        (i) =>
          i.path.length > 0 &&
          i.code !== 'unrecognized_keys' &&
          !(i.code === 'invalid_type' && i.input === undefined),
      ),
    )
    .find((issues, n) => issues.length > 0 && !issue.errors[n]!.some((i) => i.code === 'unrecognized_keys'));
  if (!meant) return error;
  const [first] = meant;
  return new z.ZodError([{ ...first!, path: [...issue.path, ...first!.path] }]);
}

export const readWindowsRequest = reader(windowsRequestSchema as z.ZodType<WindowsRequest>);
export const readHardinessRequest = reader(hardinessRequestSchema as z.ZodType<HardinessRequest>);
