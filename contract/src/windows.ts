/** The open formats `fogata-windows/1` and `fogata-hardiness/1`: their shapes, with units and ranges, and the result in words. */
import { isCrop, wants, type Said } from '@fogata/core';
import { z } from 'zod';
import { climateSchema } from './climateAsked';
import { date, monthDay } from './farm';
import { firstProblem } from './expected';
import { between, groundSchema, layerSchema, siteSchema } from './simulationCase';

export const cropId = z.string().refine(isCrop, wants('want.cropId'));
export const windowsRequestSchema = z.strictObject({
  format: z.literal('fogata-windows/1'),
  site: siteSchema,
  climate: climateSchema,
  frost: z.strictObject({ lastSpring: monthDay.optional(), firstAutumn: monthDay.optional() }).optional(),
  crop: cropId,
  how: z.enum(['sow', 'transplant']),
  stack: z.array(layerSchema.omit({ on: true, open: true })).max(4),
  ground: groundSchema.partial({ deepC: true }).optional(),
  want: z
    .union([z.strictObject({ from: monthDay, to: monthDay }), z.strictObject({ clearBy: monthDay })], {
      error: wants('want.want'),
    })
    .optional(),
  venting: z.enum(['air', 'warm', 'shut']).optional(),
  risk: between(0, 0.95).default(0.1),
  years: between(10, 1000).int().default(100),
  seed: z.number().int().default(1),
});
export type WindowsRequest = z.infer<typeof windowsRequestSchema>;

export const hardinessRequestSchema = z.strictObject({
  format: z.literal('fogata-hardiness/1'),
  crop: cropId,
  /** Hardness that it starts with, 0 fresh from the tray to 1. */
  start: between(0, 1).optional(),
  days: z
    .array(
      z
        .strictObject({
          date: date.optional(),
          meanC: between(-60, 60),
          minC: between(-70, 60),
          soilMinC: between(-40, 60).optional(),
          hours: between(0.1, 24).optional(),
        })
        .refine((d) => d.minC <= d.meanC, { path: ['minC'], error: wants('want.noMore', { than: 'meanC' }) }),
    )
    .min(1)
    .max(4000),
});
export type HardinessRequest = z.infer<typeof hardinessRequestSchema>;

export const reader =
  <T>(schema: z.ZodType<T>) =>
  (json: unknown): { request: T } | { problem: Said } => {
    const read = schema.safeParse(json, { reportInput: true });
    if (read.success) return { request: read.data };
    return { problem: firstProblem(deepest(read.error), 'request') };
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
