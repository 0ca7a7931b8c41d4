/** Nitrogen as a balance, and water before a frost: what each says, and what the heat of wet soil really is. */
import { feedDue, mayBank, wetWorthK, type Fed } from '../water';
import { FLEECE, HOUSE, SITE, weather } from './fixtures';
import { runBed, prepareWeather, runOutside } from '../src';

const fed = (more: Partial<Fed> = {}): number | null =>
  feedDue({ takesGM2: 12, share: 0.5, daysStanding: 40, givenGM2: 0, dayLengthH: 13, ...more });

test('what a crop has taken up less what soil and feed gave is what it lacks, five grams at a time', () => {
  expect(fed()).toBeCloseTo(12 * 0.65 - 4 - 1.2, 9);
  expect(fed({ givenGM2: 0.5 })).toBeCloseTo(2.1, 9);
  expect(fed({ givenGM2: 2 })).toBeNull();
  expect(fed({ takesGM2: 25, share: 0.8 })).toBe(5);
  expect(fed({ takesGM2: 4, share: 0.2 })).toBeNull();
});

test('in the dark weeks nothing is fed, and no crop is given more than it takes over its life', () => {
  expect(fed({ dayLengthH: 9.4 })).toBeNull();
  let given = 0;
  for (let day = 0; day <= 120; day += 5) {
    const g = fed({ share: day / 80, daysStanding: day, givenGM2: given });
    given += g ?? 0;
  }
  expect(given).toBeLessThan(12);
  expect(given).toBeGreaterThan(3);
});

test('soil is watered before a frost only on a mild day, into a night without frost, with room for it', () => {
  const day = { dayC: 8, tonightC: 2, tomorrowC: -4, lacksMm: 10 };
  expect(mayBank(day)).toBe(true);
  for (const not of [{ dayC: 2 }, { tonightC: 0 }, { tomorrowC: 1 }, { lacksMm: 1 }])
    expect(mayBank({ ...day, ...not })).toBe(false);
});

test('dry sand watered through keeps the leaves over it warmer in the frost after; soil that is wet already gains nothing', () => {
  const hours = weather({ meanC: 0, hours: 48 });
  const from = Date.parse(hours[24]!.time);
  const to = Date.parse(hours[47]!.time);
  const spec = (wetness: 'dry' | 'wet') => ({
    ground: { texture: 'sand' as const, wetness, deepC: 6 },
    stack: [HOUSE, FLEECE],
  });
  const start = (wetness: 'dry' | 'wet') => {
    const w = prepareWeather(
      SITE,
      weather({ meanC: 3, hours: 48, startAtMs: Date.parse(hours[0]!.time) - 48 * 3_600_000 }),
      1800,
    );
    return runBed(spec(wetness), w, { outside: runOutside(w, spec(wetness).ground), audit: false }).end;
  };
  const worth = (wetness: 'dry' | 'wet') => wetWorthK(SITE, spec(wetness), hours, start(wetness), from, to);
  expect(worth('dry')).toBeGreaterThan(0.1);
  // from the driest sand there is to a soaked one: the most that it can be
  expect(worth('dry')).toBeLessThan(4);
  expect(Math.abs(worth('wet'))).toBeLessThan(1e-9);
});
