/** The open format `fogata-case/1` read: its shape is core's `caseShape`, what it must make sense as core's `checkCase`. */
import { BOOK_CALIBRATION, checkCase, type Calibration, type SimulationCase } from '@fogata/core';
import { simulationCaseSchema } from '@fogata/core/things';
import { z } from 'zod';

export {
  between,
  groundSchema,
  instant,
  layerSchema,
  siteSchema,
  simulationCaseSchema,
  weatherEntrySchema,
} from '@fogata/core/things';

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
