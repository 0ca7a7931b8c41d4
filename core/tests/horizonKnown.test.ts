/** A neighbour's shadow is gone round once for a list of structures: whoever asks, in whichever order, it is the one that is there. */
import fc from 'fast-check';
import { horizonOf, type Structure } from '../src';
import { aStructure } from './fixtures';

const at = (xM: number, yM: number, turnDeg = 0) => ({ xM, yM, turnDeg });
const placed = fc.record({
  xM: fc.integer({ min: -60, max: 60 }),
  yM: fc.integer({ min: -60, max: 60 }),
  turnDeg: fc.integer({ min: 0, max: 180 }),
});
const farms = fc
  .array(placed, { minLength: 1, maxLength: 6 })
  .map((places) => places.map((p, i): Structure => aStructure({ id: `s${i}`, name: `S${i}`, at: p })));

test('asked again, or of a farm that is alike, it is the same', () => {
  fc.assert(
    fc.property(farms, (farm) => {
      const first = farm.map((s) => horizonOf(s, farm));
      expect(farm.map((s) => horizonOf(s, farm))).toEqual(first);
      const alike = structuredClone(farm);
      // the last first
      const again = [...alike].reverse().map((s) => horizonOf(s, alike));
      expect(again.reverse()).toEqual(first);
    }),
  );
});

test('another list is another neighbourhood, though the structure is the very same', () => {
  const here = aStructure({ id: 'here', at: at(0, 0, 90) });
  const near = aStructure({ id: 'near', at: at(0, 9, 90) });
  const far = aStructure({ id: 'far', at: at(0, 900, 90) });
  expect(horizonOf(here, [here])).toBeNull();
  expect(horizonOf(here, [here, near])).not.toBeNull();
  expect(horizonOf(here, [here, far])).toBeNull();
  expect(horizonOf(here, [here])).toBeNull();
});

test('what stands in the north hides the north and leaves the south as it was', () => {
  const here = aStructure({ id: 'here', at: at(0, 0, 90) });
  const north = aStructure({ id: 'north', at: at(0, 9, 90) });
  const { deg } = horizonOf(here, [here, north])!;
  const half = deg.length / 2;
  expect(deg[0]).toBeGreaterThan(5);
  expect(deg[half]).toBe(0);
  // and the same from the other side, turned about
  expect(horizonOf(north, [here, north])!.deg[half]).toBeCloseTo(deg[0]!);
});

test('a structure that is not placed sees none, and is seen by none', () => {
  const here = aStructure({ id: 'here', at: at(0, 0) });
  const loose = aStructure({ id: 'loose' });
  expect(horizonOf(loose, [here, loose])).toBeNull();
  expect(horizonOf(here, [here, loose])).toBeNull();
});

test('nearer hides more', () => {
  const here = aStructure({ id: 'here', at: at(0, 0, 90) });
  const highest = (yM: number) => {
    const other = aStructure({ id: 'other', at: at(0, yM, 90) });
    return Math.max(...(horizonOf(here, [here, other])?.deg ?? [0]));
  };
  const all = [8, 10, 14, 20].map(highest);
  all.slice(1).forEach((deg, i) => expect(deg).toBeLessThan(all[i]!));
});
