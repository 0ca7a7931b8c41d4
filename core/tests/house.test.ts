/** A house has one air: what one bed does to it, the others feel; and one of them can be tried by itself. */
import { prepareWeather, runBed, runHouse, type BedSpec, type Layer } from '../src';
import { BLANKET, FLEECE, HOUSE, nightMax, nightMin, SITE, weather } from './fixtures';

const inHouse = (own: Layer[], more: Partial<BedSpec> = {}): BedSpec => ({
  ground: { deepC: 6 },
  stack: [HOUSE, ...own],
  shared: 1,
  floor: { lengthM: 18, widthM: 1.2 },
  crop: { heightM: 0.15, groundCover: 0.6 },
  ...more,
});
const clear = prepareWeather(SITE, weather(), 1200);
const fleece: Layer = { ...FLEECE, widthM: 1.2 };
const lowest = (specs: BedSpec[]) => runHouse(specs, clear).beds.map((b) => nightMin(b.leafC));

test('what comes in, leaves or is stored, for six beds under different covers at once', () => {
  const run = runHouse(
    [inHouse([]), inHouse([fleece]), inHouse([BLANKET, fleece]), inHouse([], { count: 3 })],
    clear,
  );
  expect(run.beds[0]!.energyErrorWm2).toBeLessThan(0.5);
  for (const b of run.beds) expect(b.leafC.every(Number.isFinite)).toBe(true);
});

test('three beds put under blankets leave the fourth in a colder house', () => {
  const open = lowest([inHouse([], { count: 3 }), inHouse([])]);
  const covered = lowest([inHouse([BLANKET], { count: 3 }), inHouse([])]);
  expect(open[1]! - covered[1]!).toBeGreaterThan(0.15);
  expect(open[1]! - covered[1]!).toBeLessThan(2);
});

test('manure under two beds warms the third', () => {
  const heated = inHouse([], { count: 2, heat: { bottomWm2: 80 } });
  const warm = runHouse([inHouse([]), heated], clear).beds[0]!;
  const cold = runHouse([inHouse([]), inHouse([], { count: 2 })], clear).beds[0]!;
  expect(nightMin(warm.leafC) - nightMin(cold.leafC)).toBeGreaterThan(0.1);
});

test('jugs in a house warm every bed of it by the same air', () => {
  const jugs = { mass: { waterLitres: 30 } };
  const without = lowest([inHouse([fleece]), inHouse([])]);
  const held = lowest([inHouse([fleece], jugs), inHouse([], jugs)]);
  held.forEach((c, i) => expect(c).toBeGreaterThan(without[i]! + 0.1));
});

test('three alike are as three of them listed', () => {
  const listed = lowest([inHouse([fleece]), inHouse([]), inHouse([]), inHouse([])]);
  const counted = lowest([inHouse([fleece]), inHouse([], { count: 3 })]);
  expect(counted[0]).toBeCloseTo(listed[0]!, 1);
  expect(counted[1]).toBeCloseTo(listed[3]!, 1);
});

test('a bed run by itself in the air that its house was found to have comes out as it did there', () => {
  for (const snowMm of [0, 15]) {
    const sky = prepareWeather(
      SITE,
      weather().map((e, i) => ({ ...e, snowMm: i > 5 && i < 10 ? snowMm : 0 })),
      1200,
    );
    const specs = [inHouse([]), inHouse([fleece]), inHouse([BLANKET, fleece])];
    const start = runHouse(specs, sky).beds.map((b) => b.end);
    const house = runHouse(specs, sky, { initial: start });
    specs.forEach((spec, i) => {
      const alone = runBed(spec, sky, { initial: start[i]!, given: house.shared });
      expect(nightMin(alone.leafC)).toBeCloseTo(nightMin(house.beds[i]!.leafC), 1);
      expect(nightMax(alone.canopyAirC)).toBeCloseTo(nightMax(house.beds[i]!.canopyAirC), 0);
    });
  }
});

test('by the side of a house leaves are colder on a clear night than in its middle', () => {
  const [middle, side] = lowest([inHouse([]), inHouse([], { place: { zone: 'side' } })]);
  expect(middle! - side!).toBeGreaterThan(0.2);
});

test('on a sunny day it is warmer on a shelf than at the floor of a tall house', () => {
  const sunny = prepareWeather(
    SITE,
    weather({ startAtMs: Date.parse('2027-04-10T00:00:00Z'), meanC: 12 }),
    1200,
  );
  const bench = { ground: { deepC: 10, on: 'bench' as const } };
  const at = (heightM: number) => inHouse([], { ...bench, place: { zone: 'shelf', heightM } });
  const [low, high] = runHouse([at(0.3), at(1.8)], sunny).beds.map((b) => nightMax(b.canopyAirC));
  expect(high! - low!).toBeGreaterThan(0.4);
});
