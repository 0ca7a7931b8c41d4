/** Windows of sowing by three schools, and days under covers against the engine that they are fitted to. */
import { cropById, type Layer } from '../src';
import { fromMonthly, monthDayOf, YEAR_DAYS } from '../src/climate/climate';
import { daysUnder, type UnderSpec } from '../src/climate/underCover';
import { errorOf, fitUnder } from '../src/climate/underFit';
import { plausibleYears } from '../src/climate/years';
import { season } from '../src/growth/course';
import { datesOf, FAILURES, lucks } from '../src/windows/dates';
import { answer, dayLengths, placeOf, type PlaceYears } from '../src/windows/request';
import { FLEECE, HOUSE } from './fixtures';

const site = { latitude: 47, longitude: 8, elevationM: 450 };
const lows = [-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2];
const swings = [5, 7, 10, 11, 11, 12, 12, 12, 11, 8, 6, 4];
const months = lows.map((lowC, m) => ({ lowC, highC: lowC + swings[m]! }));
const turned = [...months.slice(6), ...months.slice(0, 6)];
const climate = fromMonthly(site, months);
const YEARS = 24;
const spec = (stack: Layer[], more: Partial<UnderSpec> = {}): UnderSpec => ({
  site,
  climate,
  stack,
  venting: 'air',
  ...more,
});

let open: PlaceYears;
let house: PlaceYears;
beforeAll(() => {
  open = placeOf(spec([]), YEARS, 1);
  house = placeOf(spec([HOUSE]), YEARS, 1);
}, 120_000);

const window = (
  p: PlaceYears,
  id: string,
  school: string,
  half: string,
  how: 'sow' | 'transplant' = 'sow',
  risk = 0.1,
) => answer(p, cropById(id), how, null, risk).windows.find((w) => w.school === school && w.season === half)!;

test('days under a house and a fleece are the engine’s, on days that it was not fitted to', () => {
  const both = spec([HOUSE, { ...FLEECE, lengthM: 18 }]);
  const error = errorOf(both, fitUnder(both), 77);
  expect(error.days).toBeGreaterThan(250);
  expect(error.rms.leafMinC).toBeLessThan(0.8);
  expect(error.rms.maxC).toBeLessThan(1.2);
  for (const bias of Object.values(error.bias)) expect(Math.abs(bias)).toBeLessThan(0.3);
}, 120_000);

test('a cover makes it warmer by day and never lighter; ground under it is warmer in winter', () => {
  const mean = (p: PlaceYears, of: 'meanC' | 'lightMol' | 'soilC', from: number, to: number) => {
    let [sum, n] = [0, 0];
    for (let y = 0; y < YEARS; y++)
      for (let d = from; d < to; d++, n++) sum += p.under[of][y * YEAR_DAYS + d]!;
    return sum / n;
  };
  for (const [from, to] of [
    [0, 60],
    [60, 150],
    [240, 330],
  ] as const) {
    expect(mean(house, 'meanC', from, to)).toBeGreaterThan(mean(open, 'meanC', from, to));
    expect(mean(house, 'lightMol', from, to)).toBeLessThan(0.8 * mean(open, 'lightMol', from, to));
    expect(mean(house, 'soilC', from, to)).toBeGreaterThan(mean(open, 'soilC', from, to) + 1);
  }
});

test('the shares of what goes wrong and of success add up to one, for every need', () => {
  const s = season(cropById('spinach'), house.under, house.dayH);
  for (const want of [null, { from: 318, to: 59 }, { clearBy: 110 }]) {
    const rows = datesOf(s, 'sow', want, YEARS);
    expect(rows).toHaveLength(73);
    for (const r of rows) {
      const sum = FAILURES.reduce((a, f) => a + r[f], r.success);
      expect(Math.abs(sum - 1)).toBeLessThan(1e-4);
      const { early, middle, late } = r.ready;
      if (middle !== null) expect(early!).toBeLessThanOrEqual(middle);
      if (late !== null) expect(late).toBeGreaterThanOrEqual(middle!);
      if (want === null) expect(r.notClear).toBe(0);
    }
  }
  expect(lucks(5)).toEqual(lucks(5));
});

test('spinach for the winter: sown from the middle of August, a house gives weeks more than open ground', () => {
  const [out, under] = [
    window(open, 'spinach', 'risk', 'autumn'),
    window(house, 'spinach', 'risk', 'autumn'),
  ];
  expect(monthDayOf(under.best!) > '08-01').toBe(true);
  expect(under.latest! - out.latest!).toBeGreaterThan(10);
  const light = window(house, 'spinach', 'light', 'autumn');
  expect(monthDayOf(light.latest!) > '08-20' && monthDayOf(light.latest!) < '09-25').toBe(true);
  // the need itself: sown in time it comes off, a month later hardly ever, in June it has run to flower
  const rows = answer(house, cropById('spinach'), 'sow', { from: 318, to: 60 }, 0.1).rows;
  const success = (md: string) => rows.reduce((a, b) => (monthDayOf(b.day) <= md ? b : a)).success;
  expect(success('09-01')).toBeGreaterThan(0.8);
  expect(success('10-05')).toBeLessThan(0.2);
  expect(success('06-01')).toBeLessThan(0.1);
});

test('tomatoes go into the house before they go out, and no school sends them there in frost', () => {
  const [out, under] = [
    window(open, 'tomato', 'risk', 'spring', 'transplant', 0.25),
    window(house, 'tomato', 'risk', 'spring', 'transplant', 0.25),
  ];
  expect(under.earliest!).toBeLessThan(out.earliest!);
  expect(monthDayOf(under.earliest!) > '04-10').toBe(true);
  expect(monthDayOf(out.earliest!) > '05-05').toBe(true);
  expect(under.reasons.find((r) => r.edge === 'earliest')!.values['failure']).toBe('lostToCold');
});

test('every day of a window comes off as often as was accepted, the days beside it do not; other schools ask for no risk', () => {
  for (const risk of [0.05, 0.2, 0.4]) {
    const { rows, windows } = answer(house, cropById('lettuce'), 'transplant', null, risk);
    const found = windows.filter((w) => w.school === 'risk' && w.earliest !== null);
    expect(found.length).toBeGreaterThan(0);
    const at = (day: number) => rows.find((r) => r.day === (day + YEAR_DAYS) % YEAR_DAYS)!;
    for (const w of found) {
      for (let d = w.earliest!; d !== (w.latest! + 5) % YEAR_DAYS; d = (d + 5) % YEAR_DAYS)
        expect(at(d).success).toBeGreaterThanOrEqual(1 - risk);
      for (const [edge, beside] of [
        ['earliest', w.earliest! - 5],
        ['latest', w.latest! + 5],
      ] as const)
        // unless the half year ends there
        if (w.reasons.some((r) => r.edge === edge && r.id !== 'all-year'))
          expect(at(beside).success).toBeLessThan(1 - risk);
    }
  }
  const light = (risk: number) => window(house, 'lettuce', 'light', 'autumn', 'transplant', risk);
  expect(light(0)).toEqual(light(0.5));
});

test('a layer more moves the first school by three weeks, and the second not at all where light is its edge', () => {
  const layers = (p: PlaceYears) => window(p, 'lettuce', 'layers', 'spring', 'transplant');
  expect(layers(open).earliest! - layers(house).earliest!).toBe(21);
  const light = (p: PlaceYears) => window(p, 'lettuce', 'light', 'spring', 'transplant');
  expect(light(open).earliest).toBe(light(house).earliest);
});

test('garlic is planted as the ground cools: light sets no edge for what stands the winter', () => {
  expect(window(house, 'garlic', 'light', 'autumn')).toMatchObject({
    latest: null,
    reasons: [{ id: 'stands-winter' }],
  });
  const layers = window(open, 'garlic', 'layers', 'autumn');
  expect(monthDayOf(layers.best!) > '10-01' && monthDayOf(layers.best!) < '11-15').toBe(true);
});

test('in the south all of it is half a year on', () => {
  const south = { ...site, latitude: -47 };
  const there = placeOf(
    { site: south, climate: fromMonthly(south, turned), stack: [], venting: 'air' },
    YEARS,
    1,
  );
  for (const school of ['layers', 'light', 'risk'])
    for (const half of ['autumn', 'spring'] as const) {
      const [a, b] = [window(open, 'turnip', school, half), window(there, 'turnip', school, half)];
      for (const edge of ['earliest', 'latest'] as const) {
        if (a[edge] === null) continue;
        const apart = (b[edge]! - a[edge] + YEAR_DAYS) % YEAR_DAYS;
        expect(Math.abs(apart - 182)).toBeLessThan(22);
      }
    }
}, 60_000);

test('without winter, or in polar night, every school says so and none makes a date up', () => {
  const tropics = { ...site, latitude: 4 };
  const hot = fromMonthly(
    tropics,
    months.map(() => ({ lowC: 22, highC: 31 })),
  );
  const warm = placeOf({ site: tropics, climate: hot, stack: [], venting: 'air' }, 10, 1);
  const ids = (p: PlaceYears, school: string) =>
    (['autumn', 'spring'] as const).map((h) => window(p, 'spinach', school, h).reasons[0]!.id);
  expect(ids(warm, 'layers')).toEqual(['no-frost', 'no-frost']);
  expect(ids(warm, 'light')).toEqual(['never-dark', 'never-dark']);
  const north = { ...site, latitude: 78 };
  const cold = fromMonthly(
    north,
    months.map((m) => ({ lowC: m.lowC - 17, highC: m.highC - 17 })),
  );
  const polar = placeOf({ site: north, climate: cold, stack: [], venting: 'air' }, 10, 1);
  expect(ids(polar, 'risk')).toEqual(['none-come-off', 'none-come-off']);
}, 60_000);

test('the same question has the same answer', () => {
  const years = plausibleYears(climate, 3, 4);
  const model = fitUnder(spec([]));
  expect(daysUnder(model, years)).toEqual(daysUnder(fitUnder(spec([])), years));
  expect(dayLengths(47)).toHaveLength(YEAR_DAYS);
}, 60_000);
