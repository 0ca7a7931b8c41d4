/** The open format `fogata-case/1`: its shape, with units and ranges. What it must make sense as is core's `checkCase`. */
import {
  BOOK_CALIBRATION,
  checkCase,
  FOOTINGS,
  MATERIAL_IDS,
  type Calibration,
  type SimulationCase,
} from '@fogata/core';
import { z } from 'zod';

export const instant = z.iso.datetime({
  offset: true,
  error: 'an ISO 8601 instant with an offset or Z, like 2027-01-14T15:00:00Z',
});
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
  shape: z.enum(['arch', 'box', 'flat']),
  sides: z.enum(['cover', 'board']).optional(),
  material: z.enum(MATERIAL_IDS),
  plies: z.union([z.literal(1), z.literal(2)], { error: '1 or 2' }).optional(),
  tightness: z.enum(['tight', 'average', 'drafty']).optional(),
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
  texture: z.enum(['sand', 'loam', 'clay', 'compost']).optional(),
  wetness: z.enum(['dry', 'moist', 'wet']).optional(),
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

/** "weather[3].airC" from a Zod path. */
export function fieldName(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (out, part) =>
      typeof part === 'number' ? `${out}[${part}]` : out === '' ? String(part) : `${out}.${String(part)}`,
    '',
  );
}

/** One clear line for the first thing wrong with a value: the field, then what is expected. */
export function firstProblem(error: z.ZodError): string {
  const issue = error.issues[0]!;
  const field = fieldName(issue.path);
  if (issue.code === 'unrecognized_keys') {
    const keys = issue.keys.map((k) => fieldName([...issue.path, k])).join(', ');
    return `${keys}: no such field is expected here`;
  }
  if (issue.code === 'invalid_value' && 'values' in issue && issue.values.length > 1) {
    return `${field}: expected one of ${issue.values.join(', ')}`;
  }
  const missing = issue.code === 'invalid_type' && issue.input === undefined;
  return `${field || 'the case'}: expected ${issue.message.replace(/^Invalid input: expected /, '').replace(/, received .*/, '')}${missing ? ', it is missing' : ''}`;
}

/** Reads a case from parsed JSON. Either the case, or the sentence that says what is wrong. */
export function readCase(json: unknown): { case: SimulationCase } | { problem: string } {
  const shape = simulationCaseSchema.safeParse(json, { reportInput: true });
  if (!shape.success) return { problem: firstProblem(shape.error) };
  const input = shape.data satisfies SimulationCase;
  const sense = checkCase(input);
  return sense ? { problem: `${sense.field}: expected ${sense.expected}` } : { case: input };
}

const FACTOR_RANGES: Record<keyof Calibration, [number, number]> = {
  leakage: [0.05, 20],
  filmTransparency: [0, 1.4],
  soilExchange: [0.05, 20],
  zoneOffsetC: [-10, 10],
};

/** `leakage=1.2,zoneOffsetC=-0.4` as a calibration, those left out at the book's; or a sentence that says what is wrong. */
export function readFactors(text: string): Calibration | string {
  const out: Calibration = { ...BOOK_CALIBRATION };
  for (const part of text.split(',')) {
    const [name = '', value = ''] = part.split('=').map((x) => x.trim());
    const range = (FACTOR_RANGES as Record<string, [number, number] | undefined>)[name];
    if (!range)
      return `--factors ${name || '(nothing)'}: expected one of ${Object.keys(FACTOR_RANGES).join(', ')}`;
    const x = value === '' ? NaN : Number(value);
    if (!(x >= range[0] && x <= range[1]))
      return `--factors ${name}: expected a number from ${range[0]} to ${range[1]}`;
    out[name as keyof Calibration] = x;
  }
  return out;
}
