/** What is expected of a field is told from its rule: by kind, by limit, by choice, in the unit of its name; and no rule is left without words. */
import { said, wantIn, wants } from '@fogata/core';
import { PLAIN, told } from '@fogata/core/words';
import { z } from 'zod';
import {
  bedSchema,
  coverSchema,
  cultivarSchema,
  expectedOf,
  farmSchema,
  feedWeatherSchema,
  fieldName,
  firstProblem,
  importSchema,
  incomingSchema,
  pollSchema,
  plantingSchema,
  seedLotSchema,
  simulationCaseSchema,
  structureSchema,
  typedSchema,
  unitOf,
} from '../src';

const problem = (schema: z.ZodType, value: unknown) => {
  const read = schema.safeParse(value, { reportInput: true });
  return read.success ? 'taken' : told(firstProblem(read.error, 'body'), PLAIN);
};
const of = (name: string, rule: z.ZodType) => z.object({ [name]: rule });

test.each([
  ['lengthM', z.number().min(0.3).max(300), 0.1, 'at least 0.3 m'],
  ['lengthM', z.number().min(0.3).max(300), 301, 'at most 300 m'],
  ['lengthM', z.number(), '3', 'a number (m)'],
  ['nightC', z.number().min(-10), -11, 'at least −10 °C'],
  ['warmerK', z.number().max(8), 9, 'at most 8 K'],
  ['ventAreaM2', z.number().min(0), -1, 'at least 0 m²'],
  ['windMps', z.number().max(100), 101, 'at most 100 m/s'],
  ['windMs', z.number().max(80), 81, 'at most 80 m/s'],
  ['snowRatingKgM2', z.number().max(1000), 1001, 'at most 1000 kg/m²'],
  ['nGM2', z.number().gt(0), 0, 'more than 0 g/m²'],
  ['bottomWm2', z.number().lt(500), 500, 'under 500 W/m²'],
  ['rainMm', z.number().max(200), 201, 'at most 200 mm'],
  ['kg', z.number().gt(0), 0, 'more than 0 kg'],
  ['kgPerWeek', z.number().max(5), 6, 'at most 5 kg'],
  ['waterLitres', z.number().max(400), 401, 'at most 400 l'],
  ['latitude', z.number().max(90), 91, 'at most 90°'],
  ['turnDeg', z.number().min(0), -1, 'at least 0°'],
  ['humidity', z.number().max(100), 101, 'at most 100 %'],
  ['minutes', z.number().max(240), 241, 'at most 240 min'],
  ['rows', z.number().int(), 1.5, 'a whole number'],
  ['rows', z.number().max(40), 41, 'at most 40'],
  ['name', z.string().min(1), '', 'some text'],
  ['name', z.string().min(3), 'ab', 'at least 3 letters'],
  ['name', z.string().max(60), 'x'.repeat(61), 'at most 60 letters'],
  ['name', z.string(), 7, 'a text'],
  ['on', z.boolean(), 'yes', 'true or false'],
  ['beds', z.array(z.string()), {}, 'a list'],
  ['beds', z.array(z.string()).min(1), [], 'at least one'],
  ['beds', z.array(z.string()).min(2), ['a'], 'at least 2 of them'],
  ['beds', z.array(z.string()).max(1), ['a', 'b'], 'at most 1 of them'],
  ['climate', z.array(z.number()).length(12), [1], 'exactly 12 of them'],
  ['place', z.object({}), 'north', 'an object with fields'],
  ['shape', z.enum(['arch', 'box']), 'dome', 'one of arch, box'],
  ['plies', z.union([z.literal(1), z.literal(2)]), 3, 'one of 1, 2'],
  ['format', z.literal('fogata-case/1'), 'x', 'the string fogata-case/1'],
  ['plantedOn', z.iso.date(), '14.1.2027', 'a date like 2027-01-14'],
  ['time', z.iso.datetime({ offset: true }), 'noon', 'an ISO 8601 instant with an offset or Z'],
  ['id', z.uuid(), '7', 'a UUID'],
  ['url', z.url({ protocol: /^https?$/ }), 'ftp://x', 'an address that begins with http:// or https://'],
  [
    'to',
    z.string().refine(() => false, wants('want.noEarlier', { field: 'from' })),
    'x',
    'no earlier than from',
  ],
])('%s by its rule', (name, rule, value, expected) => {
  expect(problem(of(name, rule), { [name]: value })).toContain(`${name}: expected ${expected}`);
});

test('what is missing, what nobody asked for, and a body that is none are said so', () => {
  expect(problem(of('lengthM', z.number()), {})).toBe('lengthM: expected a number (m), it is missing');
  expect(problem(z.strictObject({ a: z.number() }), { a: 1, b: 2, c: 3 })).toBe(
    'b, c: no such field is expected here',
  );
  expect(problem(z.object({}), 'x')).toBe('the body: expected an object with fields');
  expect(fieldName(['structures', 0, 'openings', 2, 'areaM2'])).toBe('structures[0].openings[2].areaM2');
  expect(unitOf(['structures', 0])).toBe('none');
  expect(unitOf([])).toBe('none');
});

test('what a rule says of itself goes through Zod as text and comes back whole; what another says does not', () => {
  expect(wantIn(wants('want.rowOf', { rows: 4 }))).toEqual(said('want.rowOf', { rows: 4 }));
  expect(wantIn('Invalid input: expected number, received string')).toBeNull();
  expect(wantIn('{"say":"refuse.host"}')).toBeNull();
});

describe('every field of every door', () => {
  const WRONG = [null, true, 'x', '', -1e9, 1e12, 0.123, NaN, [], {}, [null], ['x', 'x']];
  const DOORS: [string, z.ZodType][] = [
    ['structure', structureSchema],
    ['bed', bedSchema],
    ['planting', plantingSchema],
    ['cover', coverSchema],
    ['cultivar', cultivarSchema],
    ['seed lot', seedLotSchema],
    ['farm', farmSchema],
    ['case', simulationCaseSchema],
    ['typed forecast', typedSchema],
    ['table', importSchema],
    ['feed', feedWeatherSchema],
    ['poll', pollSchema],
    ['records', incomingSchema],
  ];

  /** Objects that are wrong in one field, one level deep and two. */
  function* wrongs(schema: z.ZodType): Generator<unknown> {
    const { shape } = schema as unknown as { shape?: Record<string, z.ZodType> };
    if (!shape) return;
    for (const [key, inner] of Object.entries(shape)) {
      for (const value of WRONG) yield { [key]: value };
      for (const nested of wrongs(inner)) yield { [key]: nested };
    }
  }

  test.each(DOORS)('of a %s is refused with a field and with what is expected', (_name, schema) => {
    // what is missing beside is missing each time
    const seen = new Set<string>();
    for (const value of wrongs(schema)) {
      const read = schema.safeParse(value, { reportInput: true });
      for (const issue of read.error?.issues ?? []) {
        if (issue.code === 'unrecognized_keys') continue;
        const problem = `${JSON.stringify(issue)} ${String(issue.input)}`;
        if (seen.has(problem)) continue;
        seen.add(problem);
        const line = told(expectedOf(issue), PLAIN);
        // a choice of kinds is the one rule that no word fits
        if (issue.code !== 'invalid_union') expect([issue.path, issue, line]).not.toContain('something else');
        expect(line).not.toMatch(/undefined|\[object|Invalid|Too (big|small)/);
        expect(line.length).toBeGreaterThan(3);
      }
    }
    expect(seen.size).toBeGreaterThan(5);
  });
});
