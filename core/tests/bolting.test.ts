/** Running to flower while it can be avoided, and the buttons of what stood cold when it was small. */
import { cropById } from '../src/crops/crops';
import { YEAR_DAYS } from '../src/climate/climate';
import type { Under } from '../src/climate/underCover';
import { course, makesButtons, season, USUAL_LUCK } from '../src/growth/course';
import { boltingOf } from '../src/windows/bolting';
import type { DateRow } from '../src/windows/dates';
import { dayLengths } from '../src/windows/request';
import { evenOutlook } from './relayFixture';

const rows = (bolted: (day: number) => number): DateRow[] =>
  evenOutlook(60).rows.map((r) => ({ ...r, bolted: bolted(r.day), success: 1 - bolted(r.day) }));

test('what hardly ever runs to flower is not said', () => {
  expect(
    boltingOf(
      rows(() => 0.05),
      60,
    ),
  ).toBeNull();
  expect(boltingOf([], 60)).toBeNull();
});

test('the nearest day within a month that halves it is offered, sooner or later', () => {
  // the later the more: five days from here on each side differ
  const later = boltingOf(
    rows((d) => Math.max(0, Math.min(0.9, (d - 20) / 100))),
    60,
  );
  expect(later).toEqual({ share: 0.4, better: { days: -20, share: 0.2 } });
  const sooner = boltingOf(
    rows((d) => (d < 75 ? 0.4 : 0.1)),
    60,
  );
  expect(sooner).toEqual({ share: 0.4, better: { days: 15, share: 0.1 } });
  expect(
    boltingOf(
      rows(() => 0.4),
      60,
    ),
  ).toEqual({ share: 0.4, better: null });
});

test('over the turn of the year the day is still near', () => {
  expect(
    boltingOf(
      rows((d) => (d === 0 ? 0.1 : 0.5)),
      355,
    ),
  ).toEqual({
    share: 0.5,
    better: { days: 10, share: 0.1 },
  });
});

describe('buttons', () => {
  const place = (meanC: (day: number) => number): Under => {
    const n = 2 * YEAR_DAYS;
    const of = (f: (d: number) => number) => Float32Array.from({ length: n }, (_, d) => f(d));
    return {
      count: 2,
      meanC: of(meanC),
      leafMinC: of((d) => meanC(d) - 2),
      maxC: of((d) => meanC(d) + 2),
      soilC: of(meanC),
      lightMol: of(() => 30),
      damp: new Uint8Array(n),
    };
  };
  const fate = (crop: string, coldFrom: number, coldDays: number) =>
    course(
      season(
        cropById(crop),
        place((d) => (d >= coldFrom && d < coldFrom + coldDays ? 6 : 14)),
        dayLengths(47),
      ),
      100,
      'transplant',
      USUAL_LUCK,
    ).fate;

  test('weeks of cold while it is small make them; the same cold when it is tall, or fewer days of it, do not', () => {
    expect(makesButtons('cauliflower')).toBe(true);
    expect(fate('cauliflower', 120, 40)).toBe('bolted');
    expect(fate('cauliflower', 120, 10)).not.toBe('bolted');
    expect(fate('cauliflower', 175, 20)).not.toBe('bolted');
  });

  test('a cabbage does not', () => {
    expect(makesButtons('savoy')).toBe(false);
    expect(fate('savoy', 120, 20)).not.toBe('bolted');
  });
});
