/** One way to write a temperature, a difference, a length, a weight and a time, in the farm's own units: never a wrong one. */
import type { FarmView } from '@fogata/contract/told';
import { renderHook } from '@testing-library/react-native';
import fc from 'fast-check';
import { useFormat } from '../src/data/format';

let mockFarm: { data: Pick<FarmView, 'farm'> | undefined } = { data: undefined };
jest.mock('../src/data/hooks', () => ({ useFarm: () => mockFarm }));

const farm = (temperature: 'C' | 'F', length: 'm' | 'ft', clock: 12 | 24, timeZone = 'Europe/Madrid') => {
  mockFarm = {
    data: { farm: { units: { temperature, length, clock }, timeZone, currency: '€' } } as unknown as FarmView,
  };
  return renderHook(() => useFormat()).result.current;
};
const EVENING = Date.parse('2027-01-14T17:05:00Z');

test('metres, Celsius and 24 hours', () => {
  const f = farm('C', 'm', 24);
  expect(f.t(-4.25)).toBe('−4.3\u00a0°C');
  expect(f.t(-0.04, 0)).not.toContain('−');
  expect(f.tBare(-4)).toBe('−4.0°');
  expect(f.range(-6.4, -2.2)).toBe('−6 to −2 °C');
  expect(f.diff(1.25)).toMatch(/^\+1\.[23]°/);
  expect(f.metres(2.1)).toBe('2.1 m');
  expect(f.time(EVENING)).toBe('18:05');
});

test('feet, Fahrenheit and 12 hours: a difference has no 32 in it, a weight is in pounds', () => {
  const f = farm('F', 'ft', 12);
  expect(f.t(0, 0)).toBe('32\u00a0°F');
  expect(f.t(-40, 0)).toBe('−40\u00a0°F');
  expect(f.diff(1)).toBe('+1.8°');
  expect(f.diff(-5)).toBe('−9.0°');
  expect(f.metres(3.048)).toContain('10');
  expect(f.metres(3.048)).toContain('ft');
  expect(f.mass(1)).toMatch(/2\.2.*lb/);
  expect(f.time(EVENING)).toMatch(/6:05.*pm/i);
});

test('what is typed in the farm’s degrees comes back the same, and means the same cold', () => {
  for (const unit of ['C', 'F'] as const) {
    const f = farm(unit, 'm', 24);
    fc.assert(
      fc.property(fc.integer({ min: -600, max: 1400 }), (tenths) => {
        const typed = tenths / 10;
        expect(f.inUnit(f.fromUnit(typed))).toBeCloseTo(typed, 2);
      }),
    );
    fc.assert(
      fc.property(fc.double({ min: -50, max: 50, noNaN: true }), (c) => {
        expect(f.fromUnit(f.inUnit(c))).toBeCloseTo(c, 2);
      }),
    );
  }
});

test('time is the farm’s, not the device’s, over a change of clocks too', () => {
  const f = farm('C', 'm', 24);
  expect(f.time(Date.parse('2027-03-28T00:30:00Z'))).toBe('01:30');
  expect(f.time(Date.parse('2027-03-28T01:30:00Z'))).toBe('03:30');
  expect(farm('C', 'm', 24, 'Pacific/Auckland').day(EVENING)).not.toBe(f.day(EVENING));
});

test('before the farm is known it writes Celsius, metres and 24 hours', () => {
  mockFarm = { data: undefined };
  const f = renderHook(() => useFormat()).result.current;
  expect([f.unit, f.length, f.time(EVENING)]).toEqual(['C', 'm', '17:05']);
});
