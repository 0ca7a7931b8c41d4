/** The farm's own time: zones that jump, the other hemisphere, sun that does not rise. */
import {
  addDays,
  atLocal,
  clockText,
  dayText,
  daysBetween,
  floorMinutes,
  HOUR_MS,
  localDate,
  localHour,
  nightOf,
  nightWindow,
  phaseOf,
  sunPosition,
  sunTimes,
} from '../src';

const MADRID = { latitude: 42.7, longitude: -5.4, timeZone: 'Europe/Madrid' };
const DUNEDIN = { latitude: -45.87, longitude: 170.5, timeZone: 'Pacific/Auckland' };
const TROMSO = { latitude: 69.65, longitude: 18.96, timeZone: 'Europe/Oslo' };

test('a local time is where the clock shows it, before and after the clocks change', () => {
  for (const [date, hour] of [
    ['2027-03-27', 7],
    ['2027-03-29', 7],
    ['2027-10-30', 7],
    ['2027-11-01', 7],
  ] as const) {
    const ms = atLocal(date, hour, 30, 'Europe/Madrid');
    expect(localDate(ms, 'Europe/Madrid')).toBe(date);
    expect(localHour(ms, 'Europe/Madrid')).toBeCloseTo(7.5);
  }
});

test('the night on which clocks go forward is an hour shorter, the one on which they go back an hour longer', () => {
  const length = (night: string) =>
    (nightWindow(night, MADRID).toAtMs - nightWindow(night, MADRID).fromAtMs) / HOUR_MS;
  expect(length('2027-03-27')).toBe(23);
  expect(length('2027-10-30')).toBe(25);
  expect(length('2027-01-14')).toBe(24);
});

test('days are counted across years and leap days, and back', () => {
  expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
  expect(addDays('2026-12-31', 1)).toBe('2027-01-01');
  expect(daysBetween('2028-02-01', '2028-03-01')).toBe(29);
  expect(daysBetween('2027-01-05', addDays('2027-01-05', -40))).toBe(-40);
});

test('one in the morning belongs to the night of yesterday evening, wherever the farm is', () => {
  for (const site of [MADRID, DUNEDIN]) {
    expect(nightOf(atLocal('2027-07-10', 1, 0, site.timeZone), site).night).toBe('2027-07-09');
    expect(nightOf(atLocal('2027-07-10', 13, 0, site.timeZone), site).night).toBe('2027-07-10');
  }
});

test('in the south the winter sun stands in the north at noon', () => {
  const noon = sunTimes(
    atLocal('2027-07-10', 12, 0, DUNEDIN.timeZone),
    DUNEDIN.latitude,
    DUNEDIN.longitude,
  )!.noonAtMs;
  const sun = sunPosition(noon, DUNEDIN.latitude, DUNEDIN.longitude);
  expect(Math.min(sun.azimuthDeg, 360 - sun.azimuthDeg)).toBeLessThan(3);
  expect(sun.elevationDeg).toBeGreaterThan(15);
});

test('where the sun does not rise, the day still has its closing, its night and its morning', () => {
  const window = nightWindow('2027-12-20', TROMSO);
  expect(window.sunsetAtMs).toBeNull();
  expect(phaseOf(window.fromAtMs + HOUR_MS, window)).toBe('closing');
  expect(phaseOf(window.fromAtMs + 12 * HOUR_MS, window)).toBe('night');
  expect(phaseOf(window.toAtMs - HOUR_MS, window)).toBe('morning');
});

test('phases follow each other in one order through every night of a year', () => {
  const order = { closing: 0, night: 1, morning: 2 };
  for (let d = 0; d < 365; d += 9) {
    const window = nightWindow(addDays('2027-01-01', d), MADRID);
    let last = 0;
    for (let ms = window.fromAtMs; ms < window.toAtMs; ms += HOUR_MS / 2) {
      const now = order[phaseOf(ms, window)];
      expect(now).toBeGreaterThanOrEqual(last);
      last = now;
    }
    expect(last).toBe(2);
  }
});

test('clocks of 12 and 24 hours, noon and midnight among them', () => {
  const at = (h: number, m: number) => atLocal('2027-01-14', h, m, 'Europe/Madrid');
  const twelve = { hours: 12 as const, timeZone: 'Europe/Madrid' };
  expect(clockText(at(0, 5), twelve)).toBe('12:05 am');
  expect(clockText(at(12, 0), twelve)).toBe('12:00 pm');
  expect(clockText(at(16, 50), twelve)).toBe('4:50 pm');
  expect(clockText(at(6, 5), { hours: 24, timeZone: 'Europe/Madrid' })).toBe('06:05');
  expect(dayText(at(6, 5), 'Europe/Madrid')).toBe('Thu 14 Jan');
  expect(clockText(floorMinutes(at(16, 58), 10), twelve)).toBe('4:50 pm');
});
