/** Water under a bed's own layers: as FAO-56 has it where there are none, less the more stands over it, and by hours as covers lie. */
import { prepareWeather, runBed, type BedSpec, type Layer } from '../src';
import { daysOfWater, daysUnder, referenceMm, waterUnder, type WaterDay } from '../water';
import { FLEECE, HOUSE, SITE, weather, type WeatherShape } from './fixtures';

const CROP = { heightM: 0.12, groundCover: 0.9 };
const JUNE: WeatherShape = { meanC: 18, swingK: 8, windMs: 2.5, cloud: 0.2, dewK: 8 };
const MARCH: WeatherShape = { meanC: 9, swingK: 7, windMs: 2.5, cloud: 0.3, dewK: 6 };
const START = { june: Date.parse('2027-06-15T00:00:00Z'), march: Date.parse('2027-03-20T00:00:00Z') };
const hoursOf = (shape: WeatherShape, startAtMs: number) => weather({ ...shape, hours: 96, startAtMs });
const open = (fraction: number) => ({ open: [{ from: '2020-01-01T00:00:00Z', fraction }] });
const spec = (stack: Layer[], deepC = 12): BedSpec => ({ ground: { deepC }, stack, crop: CROP });
/** The third day of four, mm of reference. */
const under = (stack: Layer[], shape: WeatherShape, startAtMs: number): WaterDay =>
  daysUnder(
    runBed(spec(stack, shape.meanC), prepareWeather(SITE, hoursOf(shape, startAtMs)), { water: true }),
    'UTC',
  )[2]!;
const mm = (d: WaterDay) => referenceMm(d, SITE.elevationM);

test.each([
  ['June', JUNE, START.june],
  ['March', MARCH, START.march],
] as const)(
  'in the open in %s the model’s own radiation and wind give what FAO-56 gives by the sky',
  (_, shape, startAtMs) => {
    const book = mm(daysOfWater(hoursOf(shape, startAtMs), SITE, 'UTC')[2]!);
    expect(Math.abs(mm(under([], shape, startAtMs)) / book - 1)).toBeLessThan(0.1);
  },
);

test('under film it is half to nine tenths of that, and under fleece between the two', () => {
  for (const [shape, startAtMs] of [
    [JUNE, START.june],
    [MARCH, START.march],
  ] as const) {
    const free = mm(under([], shape, startAtMs));
    const house = [open(0), open(0.3), open(1)].map((o) => mm(under([{ ...HOUSE, ...o }], shape, startAtMs)));
    for (const h of house) {
      expect(h / free).toBeGreaterThan(0.5);
      expect(h / free).toBeLessThan(0.9);
    }
    const fleece = mm(under([FLEECE], shape, startAtMs));
    expect(fleece).toBeLessThan(free);
    expect(fleece).toBeGreaterThan(Math.min(...house));
  }
});

test('shut, a house is warmer and damper than opened, and the sun is that which its film passes', () => {
  const [shut, opened] = [open(0), open(1)].map((o) => under([{ ...HOUSE, ...o }], JUNE, START.june)) as [
    WaterDay,
    WaterDay,
  ];
  expect(shut.maxC).toBeGreaterThan(opened.maxC + 5);
  expect(shut.vapourKPa).toBeGreaterThan(opened.vapourKPa);
  for (const d of [shut, opened]) {
    expect(d.sunMJ).toBeLessThan(0.8 * under([], JUNE, START.june).sunMJ);
    expect(d.windMps).toBeLessThan(0.3);
  }
});

test('a blanket that lies there by day alone takes its sun then, and on the other days none', () => {
  const on = [{ from: '2027-06-17T00:00:00Z', to: '2027-06-18T00:00:00Z' }];
  const run = runBed(
    spec([{ ...FLEECE, material: 'frost-blanket', on }], 18),
    prepareWeather(SITE, hoursOf(JUNE, START.june)),
    { water: true },
  );
  const [, before, covered, after] = daysUnder(run, 'UTC');
  expect(covered!.sunMJ).toBeLessThan(0.7 * before!.sunMJ);
  expect(after!.sunMJ).toBeGreaterThan(0.95 * before!.sunMJ);
  expect(mm(covered!)).toBeLessThan(mm(before!));
});

test('a roof gone through in two parts, the second from where the first ends, is the roof gone through in one', () => {
  const hours = hoursOf(MARCH, START.march);
  const house = { ...spec([{ ...HOUSE, ...open(0.2) }], 9), shared: 1 };
  const beds = ['a', 'b'].map((id) => ({ id, spec: house }));
  const base = { site: SITE, timeZone: 'UTC' };
  const whole = waterUnder({ ...base, hours, beds });
  const first = waterUnder({ ...base, hours: hours.slice(0, 49), beds });
  const then = waterUnder({
    ...base,
    hours: hours.slice(48),
    beds: beds.map((b, n) => ({ ...b, initial: first.beds[n]!.end })),
  });
  const [one, two] = [whole.beds[1]!.days[3]!, then.beds[1]!.days[1]!];
  expect(two.date).toBe(one.date);
  expect(mm(two)).toBeCloseTo(mm(one), 1);
});

test('a run that kept nothing of its water is refused', () => {
  const run = runBed(spec([]), prepareWeather(SITE, hoursOf(JUNE, START.june)), {});
  expect(() => daysUnder(run, 'UTC')).toThrow('kept nothing');
});
