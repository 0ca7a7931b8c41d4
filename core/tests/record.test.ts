/** What is known of weather that was, and of weather to come; and what is not. */
import {
  doubtK,
  hoursOf,
  issueFor,
  pastHours,
  shareOf,
  SURENESS,
  typedHours,
  zonalMeanC,
  type Issue,
  type TypedForecast,
  type WeatherEntry,
} from '../src';
import { sunTimes } from '../src';
import { SITE } from './fixtures';

const H = 3_600_000;
const T0 = Date.parse('2027-01-10T00:00:00Z');
const entry = (ms: number, airC: number): WeatherEntry => ({
  time: new Date(ms).toISOString(),
  airC,
  dewPointC: airC - 3,
  windMs: 1,
  cloudFraction: 0.2,
});
const series = (fromH: number, n: number, airC: (h: number) => number) =>
  Array.from({ length: n }, (_, i) => entry(T0 + (fromH + i) * H, airC(fromH + i)));
const issue = (id: string, issuedH: number, entries: WeatherEntry[]): Issue => ({
  id,
  name: id,
  source: 'file',
  issuedAtMs: T0 + issuedH * H,
  entries,
  doubt: 1,
});
const NOTHING = { observed: [], issues: [], lows: [] };
const past = (known: Partial<typeof NOTHING> | object, n = 24) =>
  pastHours({ ...NOTHING, ...known }, SITE, T0, T0 + (n - 1) * H);

describe('the days that were', () => {
  test('what was measured goes before what was issued, and the newest issue before an older', () => {
    const { hours, worth } = past({
      observed: series(0, 6, () => 1),
      issues: [
        issue(
          'new',
          -2,
          series(3, 9, () => 3),
        ),
        issue(
          'old',
          -20,
          series(0, 24, () => 2),
        ),
      ],
    });
    expect(hours.map((e) => e.airC)).toEqual([
      ...Array(6).fill(1),
      ...Array(6).fill(3),
      ...Array(12).fill(2),
    ]);
    expect(worth.slice(0, 6)).toEqual(Array(6).fill('measured'));
    expect(shareOf(worth, 'issued')).toBe(0.75);
  });

  test('a gap of two hours between measured ones is bridged, a longer one is not measured', () => {
    const gap = (n: number) =>
      past({ observed: [...series(0, 4, (h) => h), ...series(4 + n, 20 - n, (h) => h)] });
    expect(gap(2).hours[4]!.airC).toBeCloseTo(4, 9);
    expect(gap(2).worth.every((w) => w === 'measured')).toBe(true);
    expect(gap(5).worth.slice(4, 9)).toEqual(Array(5).fill('guessed'));
  });

  test('a lowest that was read outside moves the issued night to it, and no measured hour', () => {
    const night = { fromAtMs: T0 + 12 * H, toAtMs: T0 + 36 * H, minC: -6 };
    const cold = (h: number) => (h === 30 ? -2 : 0);
    const issues = [issue('a', 0, series(0, 48, cold))];
    const { hours, worth } = past({ issues, lows: [night] }, 48);
    expect(Math.min(...hours.map((e) => e.airC))).toBeCloseTo(-6, 9);
    expect(hours[12]!.airC).toBeCloseTo(0, 9);
    expect(worth[30]).toBe('corrected');
    expect(hours.every((e) => e.dewPointC < e.airC)).toBe(true);
    const seen = past({ issues, observed: series(0, 48, cold), lows: [night] }, 48);
    expect(Math.min(...seen.hours.map((e) => e.airC))).toBe(-2);
  });

  test('of days before the first forecast a guess is like it, leans to the season, and is called a guess', () => {
    const first = issue(
      'a',
      0,
      series(0, 30, (h) => -8 + 4 * Math.sin((2 * Math.PI * h) / 24)),
    );
    const before = pastHours({ ...NOTHING, issues: [first] }, SITE, T0 - 60 * 24 * H, T0 - H);
    expect(before.worth.every((w) => w === 'guessed')).toBe(true);
    const mean = (list: WeatherEntry[]) => list.reduce((s, e) => s + e.airC, 0) / list.length;
    expect(mean(before.hours.slice(-24))).toBeLessThan(-5);
    expect(mean(before.hours.slice(0, 24))).toBeCloseTo(zonalMeanC(SITE, T0 - 59.5 * 24 * H), 0);
    // and its days swing as that one does
    const day = before.hours.slice(-24).map((e) => e.airC);
    expect(Math.max(...day) - Math.min(...day)).toBeCloseTo(8, 0);
  });

  test('with nothing known at all there is the season, in either hemisphere', () => {
    const july = Date.parse('2027-07-15T00:00:00Z');
    const of = (latitude: number) => {
      const { hours, worth } = pastHours(NOTHING, { ...SITE, elevationM: 0, latitude }, july, july + 23 * H);
      expect(new Set(worth)).toEqual(new Set(['guessed']));
      return hours.reduce((s, e) => s + e.airC, 0) / 24;
    };
    expect(of(45)).toBeGreaterThan(15);
    expect(of(-45)).toBeLessThan(10);
  });

  test('the doubt grows from measured to guessed', () => {
    const of = (w: 'measured' | 'corrected' | 'issued' | 'guessed') => doubtK(Array(24).fill(w));
    expect(of('measured')).toBe(0);
    expect(of('corrected')).toBeLessThan(of('issued'));
    expect(of('issued')).toBeLessThan(of('guessed'));
  });
});

describe('the hours to come', () => {
  const now = T0 + 15 * H;
  const need = T0 + 33 * H;
  const whole = issue(
    'whole',
    14,
    series(14, 30, () => 0),
  );

  test.each([
    ['none', []],
    [
      'past',
      [
        issue(
          'a',
          0,
          series(0, 12, () => 0),
        ),
      ],
    ],
    [
      'short',
      [
        issue(
          'a',
          14,
          series(14, 10, () => 0),
        ),
      ],
    ],
    [
      'late',
      [
        issue(
          'a',
          14,
          series(20, 30, () => 0),
        ),
      ],
    ],
  ] as const)('%s is said, and no hour is invented', (why, issues) => {
    expect(issueFor(issues, now, need)).toMatchObject({ why });
  });

  test('the newest that reaches through the night is taken, whole; two are never put together', () => {
    const short = issue(
      'short',
      15,
      series(15, 6, () => 9),
    );
    const used = issueFor([short, whole], now, need) as Issue;
    expect(used.id).toBe('whole');
    expect(hoursOf(used, now, need).every((e) => e.airC === 0)).toBe(true);
  });

  test('after its last hour the day before stands again, for what is tried by day', () => {
    const day = issue(
      'a',
      14,
      series(14, 24, (h) => h),
    );
    const hours = hoursOf(day, now, T0 + 50 * H);
    expect(hours.at(-1)!.airC).toBe(26);
    expect(hours.map((e) => Date.parse(e.time))).toEqual(hours.map((_, i) => now + i * H));
  });
});

describe('a forecast that was typed', () => {
  const low = Date.parse('2027-01-15T07:00:00Z');
  const t: TypedForecast = { lowC: -6, lowAtMs: low, highC: 8, windMs: 1, cloud: 0, sure: 'usual' };
  const from = Date.parse('2027-01-14T14:30:00Z');
  const hours = typedHours(t, SITE, from, from + 30 * H);
  const at = (text: string) => hours.find((e) => e.time === new Date(text).toISOString())!.airC;

  test('is lowest when it was said to be, and never beyond either figure', () => {
    expect(hours[0]!.time).toBe('2027-01-14T14:00:00.000Z');
    expect(at('2027-01-15T07:00:00Z')).toBe(-6);
    for (const e of hours) {
      expect(e.airC).toBeGreaterThanOrEqual(-6);
      expect(e.airC).toBeLessThanOrEqual(8 + 1e-9);
      expect(e.dewPointC).toBeLessThan(e.airC);
    }
    expect(Math.max(...hours.map((e) => e.airC))).toBeGreaterThan(7.5);
  });

  test('what falls in the night is all there, between dusk and the lowest', () => {
    const wet = typedHours({ ...t, rainMm: 6, snowMm: 80 }, SITE, from, from + 30 * H);
    const sum = (f: (e: WeatherEntry) => number) => wet.reduce((s, e) => s + f(e), 0);
    expect(sum((e) => e.rainMm!)).toBeCloseTo(6, 9);
    expect(sum((e) => e.snowMm!)).toBeCloseTo(80, 9);
    const set = sunTimes(from, SITE.latitude, SITE.longitude)!.setAtMs;
    const fallen = wet.filter((e) => e.rainMm! > 0).map((e) => Date.parse(e.time));
    expect(Math.min(...fallen)).toBeGreaterThan(set);
    expect(Math.max(...fallen)).toBeLessThanOrEqual(t.lowAtMs);
    // told an hour before the lowest, it still falls
    const late = typedHours({ ...t, rainMm: 6 }, SITE, t.lowAtMs - H, t.lowAtMs + 9 * H);
    expect(late.reduce((s, e) => s + e.rainMm!, 0)).toBeCloseTo(6, 9);
  });

  test('falls fast at dusk and slowly towards dawn', () => {
    const set = sunTimes(from, SITE.latitude, SITE.longitude)!.setAtMs;
    const hour = Math.ceil(set / H) * H;
    const iso = (ms: number) => new Date(ms).toISOString();
    const dusk = at(iso(hour)) - at(iso(hour + 2 * H));
    const dawn = at(iso(low - 3 * H)) - at(iso(low - H));
    expect(dusk).toBeGreaterThan(2 * dawn);
    expect(dawn).toBeGreaterThan(0);
  });

  test.each([
    ['a warm front, lowest at midnight', { lowAtMs: Date.parse('2027-01-15T00:00:00Z') }, SITE],
    ['polar night', {}, { ...SITE, latitude: 75 }],
    ['midsummer near the pole', { lowAtMs: Date.parse('2027-07-15T03:00:00Z') }, { ...SITE, latitude: 75 }],
    [
      'the southern hemisphere',
      { lowAtMs: Date.parse('2027-07-15T20:00:00Z') },
      { ...SITE, latitude: -43, longitude: 172 },
    ],
    ['one figure for both', { highC: -6 }, SITE],
  ] as const)('%s', (_, over, site) => {
    const typed = { ...t, ...over };
    const list = typedHours(typed, site, typed.lowAtMs - 14 * H, typed.lowAtMs + 12 * H);
    expect(
      list.every((e) => Number.isFinite(e.airC) && e.airC >= typed.lowC && e.airC <= typed.highC + 1e-9),
    ).toBe(true);
    expect(Math.min(...list.map((e) => e.airC))).toBe(typed.lowC);
  });

  test('the less sure, the wider; never narrower than forecasts are', () => {
    expect(SURENESS.sure).toBe(1);
    expect(SURENESS.usual).toBeGreaterThan(1);
    expect(SURENESS.doubtful).toBeGreaterThan(SURENESS.usual);
  });
});
