/** The smaller parts of a season: months from a table, hours of plausible days, the farm's places, what is to be begun. */
import { cropById } from '../src';
import {
  beginning,
  clearDays,
  climateOfFarm,
  cloudOf,
  coarseMonths,
  monthOf,
  nearTown,
  dayAtMs,
  fromMonthly,
  hasRoom,
  hoursOf,
  isPlanted,
  monthDayOf,
  nextOpening,
  plausibleYears,
  asUsed,
  seasonPlaces,
  usualHow,
  usualVenting,
  type DateRow,
  type Window,
} from '../season';
import { TOWN_TABLE } from '../src/climate/townTable';
import { aBed, aCover, aFrame, aStructure } from './fixtures';

const site = { latitude: 47, longitude: 8, elevationM: 450 };
const months = [-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2].map((lowC) => ({ lowC, highC: lowC + 9 }));

describe('months that nobody typed', () => {
  test('are colder up the hill and towards the pole, and turned round in the south', () => {
    const january = (more: object) => coarseMonths({ ...site, ...more })[0]!;
    expect(january({ elevationM: 1500 }).lowC).toBeLessThan(january({}).lowC - 5);
    expect(january({ latitude: 60 }).highC).toBeLessThan(january({}).highC);
    const south = { ...site, latitude: -37, longitude: 145 };
    expect(coarseMonths(south)[0]!.lowC).toBeGreaterThan(coarseMonths(south)[6]!.lowC + 5);
    for (const m of coarseMonths(site)) expect(m.highC).toBeGreaterThan(m.lowC + 4);
  });

  test('are those of the nearest town, moved to the height; far from all, what the latitude says', () => {
    const berlin = nearTown({ latitude: 52.4, longitude: 13, elevationM: 40 })!;
    expect(berlin).toMatchObject({ name: 'Berlin', km: expect.closeTo(29.3, 1) as number });
    expect(berlin.months[0]!.lowC).toBeCloseTo(-1.5, 6);
    expect(berlin.months[6]!.highC).toBeCloseTo(25, 6);
    // a hundred metres higher, six tenths of a degree
    const higher = nearTown({ latitude: 52.4, longitude: 13, elevationM: 140 })!;
    expect(higher.months[3]!.lowC).toBeCloseTo(berlin.months[3]!.lowC - 0.6, 6);
    const atSea = { latitude: 30, longitude: -45, elevationM: 0 };
    expect(nearTown(atSea)).toBeNull();
    expect(coarseMonths(atSea)).toHaveLength(12);
  });

  test('between the months of the table lie on a year’s and a half year’s wave', () => {
    const year = [-2, 4, 14, 6];
    year.forEach((c, quarter) => expect(monthOf(year, 3 * quarter)).toBeCloseTo(c, 10));
    // two figures alike are no wave, and every month is that
    for (let m = 0; m < 12; m++) expect(monthOf([7, 7, 7, 7], m)).toBeCloseTo(7, 10);
    // February of a place whose February is known: −2.0 at night in Berlin
    expect(monthOf([-1.5, 4.5, 14.5, 6.5], 1)).toBeCloseTo(-1.3, 0);
  });

  test('everywhere in the table have a night under its day, and a summer in its own half of the year', () => {
    for (const line of TOWN_TABLE.trim().split('\n')) {
      const [name, lat, lon, m] = line.split('|').map((c) => c.trim());
      const here = { latitude: Number(lat), longitude: Number(lon), elevationM: Number(m) };
      const { months: year, name: found } = nearTown(here)!;
      expect(found).toBe(name);
      expect(year.every((x) => x.highC > x.lowC + 2 && x.highC < x.lowC + 20)).toBe(true);
      if (Math.abs(here.latitude) > 15)
        expect(Math.sign(year[6]!.highC - year[0]!.highC)).toBe(Math.sign(here.latitude));
    }
  });

  test('say that they are from the table; typed ones that they are not; eleven are none', () => {
    expect(climateOfFarm(site, null, {}).climate.from).toBe('table');
    expect(climateOfFarm(site, months, {}).climate.from).toBe('monthly');
    expect(climateOfFarm(site, months.slice(1), {}).climate.from).toBe('table');
  });
});

describe('hours of plausible days', () => {
  const years = plausibleYears(fromMonthly(site, months), 2, 3);
  const hours = hoursOf(years, site, 40, 10);

  test('each has its low near sunrise and its high at three, and the dew point is never over the air', () => {
    expect(hours).toHaveLength(240);
    for (let d = 1; d < 9; d++) {
      const day = hours.slice(d * 24, d * 24 + 24).map((h) => h.airC);
      expect(day[15]).toBeCloseTo(years.highC[40 + d]!, 4);
      expect(Math.min(...day.slice(0, 12))).toBeGreaterThanOrEqual(years.lowC[40 + d]! - 1e-6);
      expect(Math.min(...day.slice(0, 12))).toBeLessThan(years.lowC[40 + d]! + 0.6);
    }
    for (const h of hours) {
      expect(h.dewPointC).toBeLessThanOrEqual(h.airC);
      expect(h.cloudFraction).toBeGreaterThanOrEqual(0);
      expect(h.cloudFraction).toBeLessThanOrEqual(1);
    }
    expect(Date.parse(hours[0]!.time)).toBe(dayAtMs(40));
  });

  test('a clear day in June is some five times that of December, and cloud is what leaves the sun it has', () => {
    const clear = clearDays(site);
    expect(clear[172]! / clear[355]!).toBeGreaterThan(4);
    expect(clear[172]! / clear[355]!).toBeLessThan(7);
    expect(clear[172]).toBeGreaterThan(28);
    expect(clear[172]).toBeLessThan(33);
    expect(cloudOf(1)).toBe(0);
    expect(cloudOf(0.25)).toBe(1);
    expect(1 - 0.75 * cloudOf(0.6) ** 3.4).toBeCloseTo(0.6, 6);
    expect(Math.max(...clearDays({ ...site, latitude: 80 }).slice(330, 350))).toBe(0);
  });
});

describe("the farm's places", () => {
  const house = aStructure({ id: 'h', name: 'Long house' });
  const frame = { ...aFrame(), id: 'f', name: 'Frame' };
  const climate = fromMonthly(site, months);

  test('a place for each structure with a bed, under it alone, and none for one without', () => {
    const beds = [aBed({ structureId: 'h' }), aBed({ id: 'x', structureId: 'h' })];
    const places = seasonPlaces([house, frame], beds, climate, 'air');
    expect(places.map((p) => p.name)).toEqual(['Long house']);
    expect(places[0]!.spec.stack.map((l) => l.material)).toEqual(['pe-film']);
    expect(places[0]!.spec.ground).not.toHaveProperty('deepC');
    const open = aStructure({ id: 'o', kind: 'open' });
    expect(seasonPlaces([open], [aBed({ structureId: 'o' })], climate, 'air')[0]!.spec.stack).toEqual([]);
  });

  test('and once more with the sheet of cold nights: of those that fit and let light through, the one of which there are most', () => {
    const bed = aBed({ structureId: 'h', hoopHeightM: 0.5 });
    const stock = [
      aCover({ id: 'few', name: 'Few', count: 1 }),
      aCover({ id: 'many', name: 'Many', count: 5 }),
      aCover({ id: 'dark', name: 'Dark', count: 9, material: 'straw-mat', use: 'over' }),
      aCover({ id: 'short', name: 'Short', count: 9, lengthM: 2 }),
    ];
    const places = seasonPlaces([house], [bed], climate, 'air', stock);
    expect(places.map((p) => [p.id, p.cover])).toEqual([
      ['h', null],
      ['h+many', 'Many'],
    ]);
    expect(places[1]!.spec.stack).toHaveLength(2);
    expect(asUsed(places).map((p) => p.id)).toEqual(['h+many']);
    expect(asUsed(seasonPlaces([house], [bed], climate, 'air')).map((p) => p.id)).toEqual(['h']);
  });

  test('nothing taller than it goes into a frame; heads and what fruits are planted, leaves and roots sown', () => {
    expect(hasRoom(frame, cropById('tomato'))).toBe(false);
    expect(hasRoom(frame, cropById('lettuce'))).toBe(true);
    expect(hasRoom(house, cropById('tomato'))).toBe(true);
    const how = (id: string) => usualHow(cropById(id));
    expect(['lettuce', 'kale', 'tomato', 'leek'].map(how)).toEqual(Array(4).fill('transplant'));
    expect(['spinach', 'carrot', 'radish', 'garlic', 'rye'].map(how)).toEqual(Array(5).fill('sow'));
    // a clove is planted though nobody raised it, a beet's seed is sown
    expect(isPlanted(cropById('garlic'), 'sow')).toBe(true);
    expect(isPlanted(cropById('strawberry'), 'sow')).toBe(true);
    expect(isPlanted(cropById('beetroot'), 'sow')).toBe(false);
    expect([usualVenting(cropById('spinach')), usualVenting(cropById('cucumber'))]).toEqual(['air', 'warm']);
  });
});

describe('what is to be begun', () => {
  const window = (earliest: number, latest: number, school: Window['school'] = 'risk'): Window => ({
    school,
    season: 'autumn',
    earliest,
    best: earliest,
    latest,
    reasons: [],
  });
  const rows = Array.from({ length: 73 }, (_, i): DateRow => ({
    day: i * 5,
    ready: { early: null, middle: null, late: null },
    upDays: null,
    mildew: 0,
    overDays: null,
    lostToCold: 0,
    notReady: i / 73,
    notClear: 0,
    bolted: 0,
    cooked: 0,
    success: 1 - i / 73,
  }));
  const on = (day: number) => `2027-${monthDayOf(day)}`;

  test('is in its window, with the days that are left, or opens soon; what is far off is not', () => {
    expect(beginning([window(200, 240)], rows, on(210))).toMatchObject({ inDays: 0, leftDays: 30 });
    expect(beginning([window(200, 240)], rows, on(190))).toMatchObject({ inDays: 10, leftDays: 50 });
    expect(beginning([window(200, 240)], rows, on(150))).toBeNull();
    expect(beginning([window(200, 240)], rows, on(241))).toBeNull();
    expect(beginning([window(200, 240, 'light')], rows, on(210))).toBeNull();
  });

  test('over the turn of the year too, and with what becomes of it now and too late', () => {
    const b = beginning([window(350, 20)], rows, on(10))!;
    expect(b).toMatchObject({ inDays: 0, leftDays: 10 });
    expect(b.now.day).toBe(10);
    expect(b.after.day).toBe(35);
    expect(beginning([window(350, 20)], rows, on(360))).toMatchObject({ inDays: 0, leftDays: 25 });
  });

  test('the next to open is told by its date, none where there is none', () => {
    expect(nextOpening([window(350, 20), window(60, 90)], on(30))).toEqual({ inDays: 30, date: '03-02' });
    expect(nextOpening([{ ...window(1, 2), earliest: null }], on(30))).toBeNull();
  });
});
