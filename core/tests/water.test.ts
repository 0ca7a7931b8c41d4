/** Water held to the book and to its own books: FAO-56's worked day, a balance that closes, and no water into a frost. */
import { cropById } from '../src';
import {
  cropMm,
  daysOfWater,
  growingOf,
  holdsMm,
  potsDay,
  referenceMm,
  runWater,
  underMm,
  wantsAt,
  whenDue,
  type WaterBed,
  type WaterCover,
  type WaterDay,
  type WaterEvent,
} from '../water';

const OPEN: WaterCover = { sunPassed: 1, tight: false, open: 0, warmerK: 0, rain: true };
const HOUSE: WaterCover = { sunPassed: 0.86, tight: true, open: 0.3, warmerK: 4, rain: false };

/** Uccle, 6 July: FAO-56 example 18. */
const uccle: WaterDay = {
  date: '2027-07-06',
  minC: 12.3,
  meanC: 16.9,
  maxC: 21.5,
  vapourKPa: 1.409,
  windMps: 2.078,
  sunMJ: 22.07,
  clearMJ: 30.9,
  rainMm: 0,
  hours: 24,
};
const dayN = (n: number, more: Partial<WaterDay> = {}): WaterDay => ({
  ...uccle,
  date: new Date(Date.UTC(2027, 6, 6 + n)).toISOString().slice(0, 10),
  ...more,
});
const bed = (more: Partial<WaterBed> = {}): WaterBed => ({
  texture: 'loam',
  cover: OPEN,
  elevationM: 100,
  coveredOn: () => 1,
  rootsOn: () => 1,
  seedbedOn: () => false,
  mayLack: 0.45,
  ...more,
});

test('the reference of FAO-56 example 18 is 3.9 mm', () => {
  expect(referenceMm(uccle, 100)).toBeCloseTo(3.9, 1);
});

test('a film house, shut or aired, uses six to nine tenths of the open, as it was settled to; in shade less', () => {
  const open = underMm(uccle, OPEN, 100);
  for (const cover of [
    { ...HOUSE, open: 0 },
    { ...HOUSE, open: 1, warmerK: 0 },
  ]) {
    expect(underMm(uccle, cover, 100) / open).toBeGreaterThan(0.6);
    expect(underMm(uccle, cover, 100) / open).toBeLessThan(0.9);
  }
  expect(underMm(uccle, { ...HOUSE, sunPassed: 0.4 }, 100)).toBeLessThan(underMm(uccle, HOUSE, 100));
});

test('more sun, more wind, drier air: more is used; never less than nothing on a dark winter day', () => {
  const more = (d: Partial<WaterDay>) => referenceMm({ ...uccle, ...d }, 100);
  expect(more({ sunMJ: 26 })).toBeGreaterThan(more({}));
  expect(more({ windMps: 4 })).toBeGreaterThan(more({}));
  expect(more({ vapourKPa: 0.9 })).toBeGreaterThan(more({}));
  expect(
    more({ minC: -6, maxC: 1, sunMJ: 3, clearMJ: 9, vapourKPa: 0.38, windMps: 1 }),
  ).toBeGreaterThanOrEqual(0);
});

test('hours make the day they are hours of', () => {
  const hours = Array.from({ length: 24 }, (_, h) => ({
    time: new Date(Date.UTC(2027, 5, 21, h)).toISOString(),
    airC: 15 + 8 * Math.sin(((h - 9) / 24) * 2 * Math.PI),
    dewPointC: 10,
    windMs: 3,
    cloudFraction: 0,
    rainMm: h === 4 ? 5 : 0,
  }));
  const [day, ...rest] = daysOfWater(hours, { latitude: 45, longitude: 0, elevationM: 200 }, 'UTC');
  expect(rest).toEqual([]);
  expect(day).toMatchObject({ date: '2027-06-21', rainMm: 5, hours: 24 });
  expect(day!.windMps).toBeCloseTo(2.24, 2);
  // a clear midsummer day at 45 degrees brings about 31 MJ/m²
  expect(day!.sunMJ).toBeGreaterThan(28);
  expect(day!.sunMJ).toBeLessThan(33);
});

describe('the balance', () => {
  const seasons = Array.from({ length: 12 }, (_, s) => s);
  test.each(seasons)('closes to the last hundredth, season %i', (s) => {
    const random = (n: number) => Math.abs(Math.sin(1000 * s + 7.3 * n)) % 1;
    const days = Array.from({ length: 60 }, (_, n) =>
      dayN(n, { rainMm: random(n) > 0.8 ? 30 * random(n + 99) : 0, sunMJ: 30 * random(n + 5) }),
    );
    const events: WaterEvent[] = days.flatMap((d, n): WaterEvent[] =>
      random(n + 300) > 0.85
        ? [{ date: d.date, mm: 20 * random(n + 400) }]
        : random(n + 500) > 0.93
          ? [{ date: d.date, feel: (['dry', 'moist', 'wet'] as const)[n % 3]! }]
          : [],
    );
    const b = bed({ cover: s % 2 ? OPEN : HOUSE, texture: (['sand', 'loam', 'clay'] as const)[s % 3]! });
    const states = runWater(b, days, events, 5);
    const sum = (of: (x: (typeof states)[number]) => number) => states.reduce((t, x) => t + of(x), 0);
    const change = states.at(-1)!.lacksMm - 5;
    expect(sum((x) => x.usedMm + x.correctedMm + x.lostMm - x.givenMm - x.rainMm) - change).toBeCloseTo(0, 6);
    for (const x of states) {
      expect(x.lacksMm).toBeGreaterThanOrEqual(0);
      if (b.cover === HOUSE) expect(x.rainMm).toBe(0);
    }
  });

  test('a finger in the soil puts it right, and what was given that day is in it', () => {
    const b = bed();
    const felt = (feel: WaterEvent['feel'], start: number) =>
      runWater(b, [dayN(0, { sunMJ: 0, windMps: 0 })], [{ date: '2027-07-06', feel: feel! }], start)[0]!
        .lacksMm;
    expect(felt('wet', 30)).toBeLessThan(1);
    const wants = wantsAt(b, '2027-07-06');
    // and what that day used on top of it
    for (const [feel, mm] of [
      ['dry', wants],
      ['moist', wants / 2],
    ] as const) {
      expect(felt(feel, 20)).toBeGreaterThanOrEqual(mm);
      expect(felt(feel, 20)).toBeLessThan(mm + 1);
    }
  });

  test('sand wants water sooner than clay, a seedbed every few days, resting corms hardly ever', () => {
    const days = Array.from({ length: 30 }, (_, n) => dayN(n));
    const first = (b: WaterBed) => runWater(b, days, []).findIndex((x) => x.lacksMm >= wantsAt(b, x.date));
    const [sand, clay] = [first(bed({ texture: 'sand' })), first(bed({ texture: 'clay' }))];
    expect(sand).toBeLessThan(clay);
    expect(first(bed({ seedbedOn: () => true, coveredOn: () => 0 }))).toBeLessThan(3);
    expect(first(bed({ mayLack: 0.85 }))).toBeGreaterThan(first(bed()));
    expect(holdsMm(bed({ texture: 'sand' }), '2027-07-06')).toBeCloseTo(32);
  });

  test('a full cover of leaves uses the whole of the reference, bare soil three tenths', () => {
    expect(cropMm(4, 1)).toBe(4);
    expect(cropMm(4, 0)).toBeCloseTo(1.2);
  });
});

describe('when it may be watered', () => {
  const days = Array.from({ length: 5 }, (_, n) => dayN(n));
  const due = (nightC: (n: number) => number, dayC: (n: number) => number = () => 15, lacks = 40) =>
    whenDue(
      bed(),
      lacks,
      days,
      (date) => nightC(days.findIndex((d) => d.date === date)),
      (date) => dayC(days.findIndex((d) => d.date === date)),
    );

  test('a dry bed today, and enough to fill it', () => {
    expect(due(() => 8)).toMatchObject({ on: days[0]!.date, may: days[0]!.date });
    expect(due(() => 8).mm).toBeGreaterThanOrEqual(40);
  });

  test('never into a freezing night, never on a freezing day: the first that is neither', () => {
    expect(due((n) => (n < 2 ? -3 : 4))).toMatchObject({ on: days[0]!.date, may: days[2]!.date });
    expect(
      due(
        () => 2,
        (n) => (n === 0 ? 1 : 9),
      ).may,
    ).toBe(days[1]!.date);
    expect(due(() => -2)).toMatchObject({ on: days[0]!.date, may: null });
  });

  test('a full bed waits, and rain that is coming is not carried there', () => {
    expect(due(() => 8, undefined, 0)).toEqual({ on: null, mm: 0, may: null });
    const wet = days.map((d, n) => ({ ...d, rainMm: n === 1 ? 60 : 0 }));
    const b = bed();
    const at = whenDue(
      b,
      wantsAt(b, days[0]!.date) + 1,
      wet,
      () => 8,
      () => 15,
    );
    expect(at.on).toBeNull();
  });

  test('whatever the weather, no day is named whose night freezes', () => {
    for (let k = 0; k < 200; k++) {
      const nights = days.map((_, n) => 12 * Math.sin(13.7 * k + n * 2.1));
      const at = due((n) => nights[n]!);
      if (at.may !== null)
        expect(nights[days.findIndex((d) => d.date === at.may)]).toBeGreaterThanOrEqual(0.5);
    }
  });
});

describe('how far a planting is', () => {
  const carrot = cropById('carrot');
  const days = Array.from({ length: 40 }, (_, n) => dayN(n));

  test('carrots lie in their seedbed until their warmth has come, then grow', () => {
    const g = growingOf({ plantedOn: '2027-07-08' }, carrot, true, days, 0);
    expect(g.seedbedOn('2027-07-06')).toBe(false);
    expect(g.seedbedOn('2027-07-10')).toBe(true);
    expect(g.seedbedOn('2027-08-10')).toBe(false);
    expect(g.shareOn('2027-08-10')).toBeGreaterThan(g.shareOn('2027-07-25'));
    expect(g.shareOn('2027-07-01')).toBe(0);
  });

  test('what comes from a tray is no seedbed, and what was sown long ago is up', () => {
    expect(growingOf({ plantedOn: '2027-07-08' }, carrot, false, days, 0).seedbedOn('2027-07-09')).toBe(
      false,
    );
    const old = growingOf({ plantedOn: '2027-02-01' }, carrot, true, days, 0);
    expect(old.seedbedOn('2027-07-06')).toBe(false);
    expect(old.shareOn('2027-07-06')).toBe(1);
  });

  test('a small pot is watered twice on a hot day', () => {
    expect(potsDay({ litres: 2, mlDay: 250 }, 100, 4)).toEqual({ litres: 25, times: 1 });
    expect(potsDay({ litres: 2, mlDay: 400 }, 100, 7).times).toBe(2);
  });
});
