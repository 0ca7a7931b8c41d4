/** Plausible years against the record they are drawn from. The record is made here, by other means than those that draw. */
import {
  dayOfYear,
  fromMonthly,
  frostShare,
  monthDayOf,
  MONTH_STARTS,
  probit,
  smoothYear,
  YEAR_DAYS,
  type Climate,
} from '../src/climate/climate';
import { readDailyCsv as readDailyCsvSaid } from '../src/climate/dailyCsv';
import { withFrostDates } from '../src/climate/frost';
import { fromDaily, monthlyOf, type Day } from '../src/climate/record';
import { frostDays, middleDay, plausibleYears, type Years } from '../src/climate/years';
import { told } from '../words';
import { style } from './eveningFixture';

const readDailyCsv = (...of: Parameters<typeof readDailyCsvSaid>) => told(readDailyCsvSaid(...of), style);

const site = { latitude: 47, longitude: 8, elevationM: 450 };

/** Thirty years of an invented place: spells of two lengths, winters with a long cold tail, narrow ranges in dull weather. */
function record(years = 30): Day[] {
  let seed = 20261;
  const uniform = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  const gauss = () => Array.from({ length: 12 }, uniform).reduce((a, b) => a + b, -6);
  const out: Day[] = [];
  let [slow, quick] = [0, 0];
  for (let i = 0; i < years * 365; i++) {
    const day = i % 365;
    const cold = Math.cos((2 * Math.PI * (day - 18)) / 365);
    slow = 0.9 * slow + 0.44 * gauss();
    quick = 0.45 * quick + 0.89 * gauss();
    let off = (0.7 * slow + 0.7 * quick) * (3.3 + 0.9 * cold);
    if (off < 0 && cold > 0) off *= 1 + 0.35 * cold;
    const range = (8.5 - 3 * cold) * Math.exp(0.35 * gauss() - 0.1 * cold * slow);
    const mean = 9.5 - 9.5 * cold + off;
    const date = new Date(Date.UTC(1991 + Math.floor(i / 365), 0, 1) + day * 86_400_000);
    // by the calendar's own days, leap years run a day short
    out.push({ date: date.toISOString().slice(0, 10), lowC: mean - range / 2, highC: mean + range / 2 });
  }
  return out;
}

const days = record();
const climate = fromDaily(site, days);
const years = plausibleYears(climate, 100, 1);

const byMonth = (
  pick: (d: { lowC: number; highC: number }) => number,
  list: { month: number; lowC: number; highC: number }[],
) => MONTH_STARTS.map((_, m) => list.filter((d) => d.month === m).map(pick));
const monthIn = (y: Years) =>
  Array.from(y.lowC, (lowC, i) => ({
    month: Number(monthDayOf(i % YEAR_DAYS).slice(0, 2)) - 1,
    lowC,
    highC: y.highC[i]!,
  }));
const recorded = days.map((d) => ({ ...d, month: Number(d.date.slice(5, 7)) - 1 }));
const mean = (x: readonly number[]) => x.reduce((a, b) => a + b, 0) / x.length;
const sd = (x: readonly number[]) => Math.sqrt(mean(x.map((v) => (v - mean(x)) ** 2)));
const quantile = (x: readonly number[], q: number) =>
  [...x].sort((a, b) => a - b)[Math.floor(q * (x.length - 1))]!;

describe('drawn from a record', () => {
  const drawn = monthIn(years);

  test('months have its means and its spread, low and high', () => {
    for (const pick of [(d: { lowC: number }) => d.lowC, (d: { highC: number }) => d.highC]) {
      const was = byMonth(pick as never, recorded);
      const is = byMonth(pick as never, drawn);
      was.forEach((w, m) => {
        expect(Math.abs(mean(is[m]!) - mean(w))).toBeLessThan(0.6);
        expect(sd(is[m]!) / sd(w)).toBeGreaterThan(0.87);
        expect(sd(is[m]!) / sd(w)).toBeLessThan(1.13);
      });
    }
  });

  test('a day follows the day before as it did there', () => {
    const lag = (low: readonly number[], high: readonly number[], season: Climate) => {
      const z = low.map((l, i) => (l + high[i]!) / 2 - (season.lowC[i % 365]! + season.highC[i % 365]!) / 2);
      return mean(z.slice(1).map((x, i) => x * z[i]!)) / mean(z.map((x) => x * x));
    };
    const was = lag(
      days.map((d) => d.lowC),
      days.map((d) => d.highC),
      climate,
    );
    const is = lag(Array.from(years.lowC), Array.from(years.highC), climate);
    expect(Math.abs(is - was)).toBeLessThan(0.06);
  });

  test('frosts end and begin, and the coldest nights come out, as they did there', () => {
    const asYears: Years = {
      ...years,
      count: 30,
      lowC: Float32Array.from(days, (d) => d.lowC),
      highC: Float32Array.from(days, (d) => d.highC),
    };
    const [was, is] = [frostDays(asYears, 47), frostDays(years, 47)];
    for (const which of ['last', 'first'] as const)
      expect(Math.abs(middleDay(is[which], 0)! - middleDay(was[which], 0)!)).toBeLessThan(8);
    const coldest = (y: Years) =>
      Array.from({ length: y.count }, (_, n) =>
        Math.min(...y.lowC.slice(n * YEAR_DAYS, (n + 1) * YEAR_DAYS)),
      );
    expect(Math.abs(mean(coldest(years)) - mean(coldest(asYears)))).toBeLessThan(1.2);
    expect(Math.abs(quantile(coldest(years), 0.1) - quantile(coldest(asYears), 0.1))).toBeLessThan(3);
  });

  test('the same seed draws the same years, another others', () => {
    expect(plausibleYears(climate, 3, 1).lowC).toEqual(years.lowC.slice(0, 3 * YEAR_DAYS));
    expect(plausibleYears(climate, 3, 2).lowC).not.toEqual(years.lowC.slice(0, 3 * YEAR_DAYS));
    for (let i = 0; i < years.lowC.length; i++) {
      if (years.highC[i]! < years.lowC[i]! || years.sunShare[i]! > 1 || years.sunShare[i]! < 0.2)
        throw new Error(`day ${i} is none`);
    }
  });

  test('a record of too few days is refused in words', () => {
    expect(() => fromDaily(site, days.slice(0, 500))).toThrow(
      /500 days is too short; expected at least three years/,
    );
  });
});

describe('from twelve monthly means', () => {
  const lows = [-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2];
  const months = lows.map((lowC, m) => ({
    lowC,
    highC: lowC + [5, 7, 10, 11, 11, 12, 12, 12, 11, 8, 6, 4][m]!,
  }));

  test('the smooth year has its months again', () => {
    const back = monthlyOf(smoothYear(lows), smoothYear(months.map((m) => m.highC)));
    back.forEach((b, m) => {
      expect(Math.abs(b.lowC - lows[m]!)).toBeLessThan(0.35);
      expect(Math.abs(b.highC - months[m]!.highC)).toBeLessThan(0.35);
    });
  });

  test('inland it spreads wider than by the sea, in winter wider than in summer', () => {
    const sea = fromMonthly(
      site,
      lows.map((c) => ({ lowC: 5 + c * 0.4, highC: 10 + c * 0.4 })),
    );
    const land = fromMonthly(site, months);
    expect(land.meanSdK[20]!).toBeGreaterThan(sea.meanSdK[20]!);
    expect(land.meanSdK[20]!).toBeGreaterThan(land.meanSdK[200]!);
    const south = fromMonthly({ ...site, latitude: -47 }, [...months.slice(6), ...months.slice(0, 6)]);
    expect(south.meanSdK[200]!).toBeGreaterThan(south.meanSdK[20]!);
  });

  test('frosts end and begin when the grower says, in both hemispheres, and what cannot be met is named', () => {
    const half = { lastSpring: '05-12', firstAutumn: '10-02' };
    const made = withFrostDates(fromMonthly(site, months), half);
    expect(made.missed).toEqual([]);
    const found = frostDays(plausibleYears(made.climate, 200, 5), 47);
    expect(Math.abs(middleDay(found.last, 0)! - dayOfYear('2001-05-12'))).toBeLessThan(6);
    expect(Math.abs(middleDay(found.first, 0)! - dayOfYear('2001-10-02'))).toBeLessThan(6);
    const south = fromMonthly({ ...site, latitude: -47 }, [...months.slice(6), ...months.slice(0, 6)]);
    const there = withFrostDates(south, { lastSpring: '11-08', firstAutumn: '04-05' });
    const days2 = frostDays(plausibleYears(there.climate, 200, 5), -47);
    expect(Math.abs(middleDay(days2.last, 182)! - dayOfYear('2001-11-08'))).toBeLessThan(7);
    expect(Math.abs(middleDay(days2.first, 182)! - dayOfYear('2001-04-05'))).toBeLessThan(7);
    const hot = fromMonthly(
      site,
      months.map((m) => ({ lowC: m.lowC + 25, highC: m.highC + 25 })),
    );
    expect(withFrostDates(hot, half).missed).toEqual(['lastSpring', 'firstAutumn']);
  });

  test('a place without frost has no frost days', () => {
    const warm = fromMonthly(
      site,
      months.map((m) => ({ lowC: m.lowC + 30, highC: m.highC + 30 })),
    );
    const found = frostDays(plausibleYears(warm, 20, 1), 47);
    expect(middleDay(found.last, 0)).toBeNull();
  });
});

test('days of the year and back, and the normal curve read backwards', () => {
  for (let d = 0; d < YEAR_DAYS; d++) expect(dayOfYear(`2001-${monthDayOf(d)}`)).toBe(d);
  expect(monthDayOf(-1)).toBe('12-31');
  expect(dayOfYear('2024-02-29')).toBe(dayOfYear('2023-02-28'));
  expect(probit(0.975)).toBeCloseTo(1.959964, 5);
  expect(probit(0.01)).toBeCloseTo(-2.326348, 5);
  expect(probit(0.5)).toBeCloseTo(0, 9);
});

describe('a record as CSV', () => {
  test('with units, gaps, day first and decimal comma', () => {
    expect(readDailyCsv('date,low (°F),high (°F)\n2020-01-01,32,50\n2020-01-02,NA,41').days).toEqual([
      { date: '2020-01-01', lowC: 0, highC: 10 },
    ]);
    const read = readDailyCsv('Date;Tmin;Tmax\n31/01/2020;-3,5;4,5\n01/02/2020;;2\n02/02/2020;-9999;3\n');
    expect(read).toEqual({ days: [{ date: '2020-01-31', lowC: -3.5, highC: 4.5 }], gaps: 2, badRows: [] });
    expect(readDailyCsv('date,min,max\n2020-02-28,1,2\n2020-02-29,1,2').days).toHaveLength(1);
  });

  test.each([
    ['date,low,high\n2020-01-01,5,3', 2, /high 3 is under the low 5/],
    ['date,low,high\n2020-13-01,5,7', 2, /is not one like 2027-01-14/],
    ['date,low,high\n2020-01-01,5,7\n2020-01-01,5,7', 3, /comes twice/],
    ['date,low,high\n2020-01-01,5,warm', 2, /“warm” is not a temperature/],
    [
      'date,low (K),high (K)\n2020-01-01,273,280',
      1,
      /unit “K” of “low \(K\)” is not known; expected °C or °F/,
    ],
    ['date,high\n2020-01-01,5', 1, /no column for the low/],
    ['low,high\n1,5', 1, /no column called date/],
    ['date,low,high', 1, /no rows/],
    ['date,low,high\n2020-01-01,-90,7', 2, /outside −70 to 60/],
  ])('%j is refused, by its line', (text, row, reason) => {
    const read = readDailyCsv(text);
    expect(read.days).toEqual([]);
    expect(read.badRows[0]!.row).toBe(row);
    expect(read.badRows[0]!.reason).toMatch(reason);
  });
});

test('frost outside: half of the nights where the mean low is at zero, fewer as it is warmer, with the seasons of its half of the earth', () => {
  const months = (latitude: number, shift: number) =>
    fromMonthly(
      { latitude, longitude: 0, elevationM: 100 },
      Array.from({ length: 12 }, (_, m) => {
        const cold = Math.cos((2 * Math.PI * (m - shift)) / 12);
        return { lowC: 6 - 8 * cold, highC: 14 - 8 * cold };
      }),
    );
  const north = months(45, 0);
  const share = (c: typeof north, day: number) => frostShare(c, day);
  expect(share(north, 15)).toBeGreaterThan(0.5);
  expect(share(north, 196)).toBeLessThan(0.01);
  const zero = { ...north, lowC: north.lowC.map(() => 0), lowShiftK: north.lowShiftK.map(() => 0) };
  expect(share(zero, 100)).toBeCloseTo(0.5, 6);
  const south = months(-45, 6);
  expect(share(south, 196)).toBeGreaterThan(share(south, 15) + 0.4);
  expect(share(north, 15 + 365)).toBe(share(north, 15));
});
