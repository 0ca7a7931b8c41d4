/** What the app's tests share: the farm's format in metres and degrees, and things of a farm. */
import type { Bed, Structure } from '@fogata/core';
import { told } from '@fogata/core/words';
import { aBed, aStructure } from '../../core/tests/fixtures';
import type { Format } from '../src/data/format';

export const format = {
  unit: 'C',
  length: 'm',
  currency: '€',
  timeZone: 'UTC',
  t: (c: number) => `${c.toFixed(1).replace('-', '−')} °C`,
  tBare: (c: number) => `${c.toFixed(1).replace('-', '−')}°`,
  diff: (k: number) => `${k < 0 ? '−' : '+'}${Math.abs(k).toFixed(1)}°`,
  range: (a: number, b: number) => `${a} to ${b} °C`,
  inUnit: (c: number) => c,
  fromUnit: (v: number) => v,
  metres: (m: number) => `${Number(m.toFixed(2))} m`,
  mass: (kg: number) => `${kg} kg`,
  time: (ms: number) => new Date(ms).toISOString().slice(11, 16),
  day: (ms: number) => new Date(ms).toISOString().slice(0, 10),
  say: <T>(said: T) =>
    told(said, { units: { temperature: 'C', length: 'm' }, currency: '€', hours: 24, timeZone: 'UTC' }),
} as unknown as Format;

export const house = (more: Partial<Structure> = {}): Structure =>
  aStructure({ name: 'Long house', ...more });
export const bedIn = (more: Partial<Bed> = {}): Bed => aBed({ name: 'Bed 1', ...more });

/** A device that keeps what a page keeps, as a browser does; empty for each test that asks for it. */
export function keepingDevice(): void {
  const held = new Map<string, string>();
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: {
      getItem: (k: string) => held.get(k) ?? null,
      setItem: (k: string, v: string) => void held.set(k, v),
      removeItem: (k: string) => void held.delete(k),
      clear: () => held.clear(),
    },
  });
}
