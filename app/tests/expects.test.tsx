/** A form's refusals come in words: from the rule, from the rule's own sentence, or from whoever said them. */
import { plantingSchema } from '@fogata/contract';
import { wants } from '@fogata/core';
import { zodResolver } from '@hookform/resolvers/zod';
import { renderHook } from '@testing-library/react-native';
import { useExpects } from '../src/data/expects';

jest.mock('../src/data/format', () => ({ useFormat: () => jest.requireActual('./kit').format }));

const planting = {
  id: 'p',
  bedId: 'b',
  crop: 'spinach',
  cultivar: '',
  fromRow: 1,
  toRow: 4,
  lengthM: 10,
  plantedOn: '2027-01-14',
  clearedOn: null,
  aim: 'grow',
  note: '',
};

const refused = async (more: object) => {
  const { result } = await renderHook(() => useExpects());
  const { options, told } = result.current;
  const resolve = zodResolver(plantingSchema, options);
  const { errors } = await resolve({ ...planting, ...more } as never, undefined, {
    fields: {},
    shouldUseNativeValidation: false,
  });
  return Object.fromEntries(
    Object.entries(errors).map(([field, e]) => [field, told((e as { message?: string }).message)]),
  );
};

test.each([
  [{ crop: 'triffid' }, { crop: 'Expected a crop of the list.' }],
  [{ crop: '' }, { crop: 'Expected a crop of the list.' }],
  [{ lengthM: 301 }, { lengthM: 'Expected at most 300 m.' }],
  [{ lengthM: 'long' }, { lengthM: 'Expected a number (m).' }],
  [{ fromRow: 1.5 }, { fromRow: 'Expected a whole number.' }],
  [{ plantedOn: 'soon' }, { plantedOn: 'Expected a date like 2027-01-14.' }],
  [{ aim: 'win' }, { aim: 'Expected one of survive, grow, flower.' }],
  [{ note: 'x'.repeat(501) }, { note: 'Expected at most 500 letters.' }],
  [{}, {}],
])('%j is refused in words', async (more, words) => {
  expect(await refused(more)).toEqual(words);
});

test('what the farm’s server said stays as it is', async () => {
  const { result } = await renderHook(() => useExpects());
  expect(result.current.told('toRow: expected no more than 4, the rows of N2')).toMatch(/^toRow: /);
  expect(result.current.told(undefined)).toBeUndefined();
  expect(result.current.told(wants('want.timeZone'))).toBe('Expected a time zone like Europe/Madrid.');
});
