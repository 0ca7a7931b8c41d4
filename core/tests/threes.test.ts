/** Three sheets told from the twos of them: what running them gives, near enough to choose by, on hard nights and under a sun that warms. */
import { evaluateBed, evaluateHouse, type OptionOutcome } from '../src';
import { fromTwos, type Less } from '../src/night/threes';
import type { Layer } from '../src/heat/types';
import { bed, HOUSE, SITE, weather, type WeatherShape } from './fixtures';

const CLOTHS = ['fleece-17', 'fleece-30', 'fleece-50', 'frost-blanket'] as const;
const THREES = CLOTHS.flatMap((a, i) =>
  CLOTHS.slice(i).flatMap((b, j) => CLOTHS.slice(i + j).map((c) => [a, b, c] as const)),
);
type Cloths = readonly (typeof CLOTHS)[number][];
const nameOf = (cloths: Cloths) => cloths.join('+');
/** Outermost first, each a little lower than the one over it. */
const over = (cloths: Cloths): Layer[] =>
  cloths.map((material, n) => ({
    lengthM: 20,
    widthM: 1,
    heightM: 0.55 - 0.05 * n,
    shape: 'arch',
    material,
  }));
const less = (cloths: Cloths): Cloths[] => [0, 1, 2].map((n) => cloths.filter((_, k) => k !== n));
const every = new Map<string, Cloths>(
  THREES.flatMap((t) => [t, ...less(t), ...t.map((c) => [c])]).map((s) => [nameOf(s), s]),
);

interface Night extends WeatherShape {
  startAtMs: number;
  meanC: number;
}
const HOUR = 3_600_000;

/** Every stack run in one air, and the threes told from the twos. */
function look(under: readonly Layer[], at: Night) {
  const spec = bed([...under], { shared: under.length, floor: { lengthM: 18, widthM: 1 } });
  const structureLayer = under.length - 1;
  const task = { site: SITE, members: [weather({ ...at, hours: 24 })], countFromAtMs: at.startAtMs };
  const house = evaluateHouse({
    ...task,
    history: weather({ ...at, startAtMs: at.startAtMs - 48 * HOUR, hours: 48 }),
    beds: [{ id: 'b', historySpec: spec, spec, structureLayer, placeK: 0 }],
    key: 'bare',
  });
  const options = [...every].map(([key, cloths]) => ({
    key,
    spec: { ...spec, stack: [...under, ...over(cloths)] },
    structureLayer,
  }));
  const { initial, outcome: bare } = house.beds[0]!;
  const given = under.length > 0 ? { given: house.shared } : {};
  const run = new Map(evaluateBed({ ...task, ...given, initial, options }).map((o) => [o.key, o]));
  const of = (cloths: Cloths) => run.get(nameOf(cloths))!;
  return THREES.map((t) => {
    const [ones, twos] = [t.map((c) => of([c])), less(t).map(of)] as unknown as [Less['ones'], Less['twos']];
    return { told: fromTwos(nameOf(t), { bare, ones, twos }, [0]), ran: of(t), twos };
  });
}
const rms = (list: readonly number[]) => Math.sqrt(list.reduce((s, x) => s + x * x, 0) / list.length);

const JANUARY = Date.parse('2027-01-14T15:00:00Z');
const MARCH = Date.parse('2027-03-20T15:00:00Z');
const NIGHTS: [string, readonly Layer[], Night][] = [
  ['in a house on a clear January night', [HOUSE], { startAtMs: JANUARY, meanC: -7, cloud: 0.1 }],
  ['in a house under cloud', [HOUSE], { startAtMs: JANUARY, meanC: -5, swingK: 2, cloud: 0.9 }],
  ['in the open', [], { startAtMs: JANUARY, meanC: -5, cloud: 0.2 }],
  ['in a house before a bright day in March', [HOUSE], { startAtMs: MARCH, meanC: -2, swingK: 9, cloud: 0 }],
];

describe.each(NIGHTS)('%s', (_, under, at) => {
  const looked = look(under, at);
  const off = (of: (o: OptionOutcome) => number[]) =>
    looked.map(({ told, ran }) => of(told)[0]! - of(ran)[0]!);

  test('three sheets are as warm as running them has it, to within a quarter of a kelvin, and warmer than two', () => {
    expect(rms(off((o) => o.minLeafC))).toBeLessThan(0.25);
    for (const { told, twos } of looked)
      for (const o of twos) expect(told.minLeafC[0]).toBeGreaterThan(o.minLeafC[0]! - 1e-9);
    // it is worth telling: the last of them matters more than what it may be off
    const last = looked.map(
      ({ ran, twos }) => ran.minLeafC[0]! - Math.max(...twos.map((o) => o.minLeafC[0]!)),
    );
    expect(Math.max(...last)).toBeGreaterThan(rms(off((o) => o.minLeafC)));
  });

  test('by day they are hardly told cooler than they are: what may stay on is kept three kelvin under its limit', () => {
    expect(Math.min(...off((o) => o.hottestC))).toBeGreaterThan(-1);
    expect(rms(off((o) => o.hottestC))).toBeLessThan(1);
  });

  test('the soil is told within a kelvin, the hours of cold within two', () => {
    expect(rms(off((o) => o.soilMinC))).toBeLessThan(1);
    expect(rms(off((o) => o.coldHours))).toBeLessThan(2);
  });
});

test('one kind of sheet over and over falls off by the same share', () => {
  const at = (minLeafC: number) =>
    ({ minLeafC: [minLeafC], coldHours: [2], soilMinC: [3], hottestC: [8], structureMinC: [] }) as never;
  const [one, two] = [at(-4), at(-2)];
  const told = fromTwos('a+a+a', { bare: at(-8), ones: [one, one, one], twos: [two, two, two] }, [0]);
  expect(told).toMatchObject({ key: 'a+a+a', minLeafC: [-1], soilMinC: [3], hottestC: [8], coldHours: [2] });
});
