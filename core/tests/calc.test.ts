/** Reckonings on the back of an envelope, against ones done by hand. */
import { amountForGain, cratesFor, dripFor, frostDates, hoopsFor, mixFor, said, traysFor } from '../src';
import { refusal } from './refusal';

test('hoops: one more than the gaps between them', () => {
  const h = hoopsFor({ lengthM: 20, arcM: 1.6, spacingM: 1.5, footM: 0.2 });
  expect(h.hoops).toBe(15);
  expect(h.everyM).toBeCloseTo(20 / 14);
  expect(h.rodM).toBeCloseTo(2);
  expect(h.rodsM).toBeCloseTo(30);
});

test('drip: 5 mm on a bed of 20 × 1 m through 134 emitters of 1.6 l/h', () => {
  const d = dripFor({ lengthM: 20, widthM: 1, lines: 2, spacingM: 0.3, litresPerHour: 1.6, mm: 5 });
  expect(d.emitters).toBe(134);
  expect(d.litres).toBeCloseTo(100);
  expect(d.minutes).toBeCloseTo((100 / (134 * 1.6)) * 60);
});

test('drip: litres for each pot are one emitter’s', () => {
  const d = dripFor({ lengthM: 10, widthM: 1, lines: 1, spacingM: 0.5, litresPerHour: 2, litresPerPot: 1 });
  expect(d.emitters).toBe(21);
  expect(d.minutes).toBeCloseTo(30);
});

test('crates are turned where more of them fit', () => {
  const c = cratesFor({
    benchLengthM: 8,
    benchWidthM: 0.8,
    benches: 2,
    crateLengthM: 0.6,
    crateWidthM: 0.4,
    gapM: 0,
    plantsEach: 8,
  });
  expect(c).toMatchObject({ turned: false, inRow: 13, rows: 2, perBench: 26, crates: 52, plants: 416 });
  expect(
    cratesFor({
      benchLengthM: 8,
      benchWidthM: 0.6,
      benches: 1,
      crateLengthM: 0.6,
      crateWidthM: 0.4,
      gapM: 0,
      plantsEach: 1,
    }),
  ).toMatchObject({ turned: true, crates: 20 });
});

test('trays: two poor seeds a cell stand more often than one', () => {
  const base = {
    plants: 300,
    emerges: 0.7,
    spare: 0.1,
    cells: 60,
    trayLengthM: 0.6,
    trayWidthM: 0.4,
    shelfDepthM: 0.8,
  };
  const one = traysFor({ ...base, seedsPerCell: 1 });
  expect(one.sownCells).toBe(472);
  expect(one.trays).toBe(8);
  expect(one.shelfM).toBeCloseTo(2.4);
  const two = traysFor({ ...base, seedsPerCell: 2 });
  expect(two.sownCells).toBe(Math.ceil(330 / 0.91));
  expect(two.seeds).toBeGreaterThan(one.seeds);
});

test('a mix is shared out by its parts, with what settles added', () => {
  const m = mixFor({
    vessels: 10,
    litresEach: 9,
    settles: 0.1,
    parts: [
      { name: 'compost', parts: 2 },
      { name: 'sand', parts: 1 },
    ],
  });
  expect(m.litres).toBeCloseTo(100);
  expect(m.of[0]!.litres).toBeCloseTo(66.667, 2);
});

test.each([
  [() => hoopsFor({ lengthM: 0, arcM: 1, spacingM: 1, footM: 0 }), 'Length: more than 0.'],
  [
    () => dripFor({ lengthM: 1, widthM: 1, lines: 1, spacingM: 0.3, litresPerHour: 0, mm: 1 }),
    'Flow of an emitter: more than 0.',
  ],
  [
    () =>
      traysFor({
        plants: 1,
        emerges: 1.2,
        spare: 0,
        cells: 1,
        seedsPerCell: 1,
        trayLengthM: 1,
        trayWidthM: 1,
        shelfDepthM: 1,
      }),
    'Share that comes up: more than 0, up to 1.',
  ],
  [
    () =>
      traysFor({
        plants: 1,
        emerges: 1,
        spare: 0,
        cells: 1,
        seedsPerCell: 1,
        trayLengthM: 1,
        trayWidthM: 0.4,
        shelfDepthM: 0.3,
      }),
    'Depth of the shelf: at least 0.4 m, the width of a tray.',
  ],
  [
    () => mixFor({ vessels: 1, litresEach: 1, settles: 0, parts: [] }),
    'Parts: at least one part, none under 0.',
  ],
])('what makes no sense is refused by name', (run, message) => {
  expect(refusal(run)).toBe(message);
});

test('jugs for a gain lie between the runs that were made, and more than the most is none', () => {
  const runs = [
    { amount: 0, leafC: -4 },
    { amount: 20, leafC: -2.5 },
    { amount: 40, leafC: -1.5 },
  ];
  expect(amountForGain(runs, 2)).toBeCloseTo(30);
  expect(amountForGain(runs, 3)).toBeNull();
});

describe('frost dates from daily records', () => {
  const year = (y: number, last: number, first: number) =>
    Array.from({ length: 365 }, (_, d) => ({
      date: new Date(Date.UTC(y, 0, 1) + d * 86_400_000).toISOString().slice(0, 10),
      minC: d <= last || d >= first ? -1 : 5,
    }));

  test('are the mean of the last in spring and the first in autumn', () => {
    const days = [...year(2021, 100, 290), ...year(2022, 110, 300), ...year(2023, 120, 310)];
    expect(frostDates(days, false)).toEqual({
      lastSpring: '04-21',
      firstAutumn: '10-28',
      eitherWayDays: 13,
      years: 3,
    });
  });

  test('two years are too few, and it says what is needed', () => {
    expect(frostDates([...year(2021, 100, 290), ...year(2022, 100, 290)], false)).toEqual({
      problem: said('calc.fewYears', { years: 2 }),
    });
  });

  test('south of the equator spring ends in October', () => {
    const south = [2020, 2021, 2022, 2023, 2024].flatMap((y) =>
      Array.from({ length: 365 }, (_, d) => {
        const date = new Date(Date.UTC(y, 0, 1) + d * 86_400_000).toISOString().slice(0, 10);
        const monthDay = date.slice(5);
        return { date, minC: monthDay >= '05-10' && monthDay <= '10-05' ? -1 : 6 };
      }),
    );
    const found = frostDates(south, true);
    expect(found).toMatchObject({ lastSpring: '10-05', firstAutumn: '05-10' });
  });
});
