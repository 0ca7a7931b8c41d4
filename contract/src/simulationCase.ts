/** The open format `fogata-case/1` read: its shape is core's `caseShape`, what it must make sense as core's `checkCase`. */
import {
  BOOK_CALIBRATION,
  checkCase,
  said,
  type Calibration,
  type Said,
  type SimulationCase,
} from '@fogata/core';
import { simulationCaseSchema } from '@fogata/core/things';
import { firstProblem } from './expected';

export {
  between,
  groundSchema,
  instant,
  layerSchema,
  siteSchema,
  simulationCaseSchema,
  weatherEntrySchema,
} from '@fogata/core/things';

/** Reads a case from parsed JSON. Either the case, or the sentence that says what is wrong. */
export function readCase(json: unknown): { case: SimulationCase } | { problem: Said } {
  const shape = simulationCaseSchema.safeParse(json, { reportInput: true });
  if (!shape.success) return { problem: firstProblem(shape.error) };
  const input = shape.data satisfies SimulationCase;
  const sense = checkCase(input);
  return sense ? { problem: said('refuse.expected', sense) } : { case: input };
}

const FACTOR_RANGES: Record<keyof Calibration, [number, number]> = {
  leakage: [0.05, 20],
  filmTransparency: [0, 1.4],
  soilExchange: [0.05, 20],
  zoneOffsetC: [-10, 10],
};

/** `leakage=1.2,zoneOffsetC=-0.4` as a calibration, those left out at the book's; or a sentence that says what is wrong. */
export function readFactors(text: string): Calibration | { problem: Said } {
  const out: Calibration = { ...BOOK_CALIBRATION };
  for (const part of text.split(',')) {
    const [name = '', value = ''] = part.split('=').map((x) => x.trim());
    const range = (FACTOR_RANGES as Record<string, [number, number] | undefined>)[name];
    const refused = (expected: Said) => ({
      problem: said('refuse.expected', { field: `--factors ${name || '(nothing)'}`, expected }),
    });
    if (!range) return refused(said('want.oneOf', { values: Object.keys(FACTOR_RANGES) }));
    const x = value === '' ? NaN : Number(value);
    if (!(x >= range[0] && x <= range[1]))
      return refused(said('want.between', { min: range[0], max: range[1], unit: 'none' }));
    out[name as keyof Calibration] = x;
  }
  return out;
}
