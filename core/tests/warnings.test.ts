/** What is told without being asked: in time, once, and not in the quiet hours. */
import fc from 'fast-check';
import { forecastWarning, hotWarnings, mayGo, silentWarnings, type HotRow, type Quiet } from '../planning';
import { told } from '../words';

const HOUR = 3_600_000;
const NOW = Date.parse('2027-03-14T09:00:00Z');
const style = {
  units: { temperature: 'C', length: 'm', clock: 24 },
  currency: '€',
  hours: 24,
  timeZone: 'UTC',
} as const;
const house = (more: Partial<HotRow> = {}): HotRow => ({
  structureId: 'south',
  name: 'South house',
  open: 0,
  crop: 'Anemones',
  limitC: 26,
  leftC: 34.2,
  next: { atMs: NOW + 5 * 60_000, fraction: 0.5 },
  ...more,
});
const hot = (r: HotRow) => told(hotWarnings([r], '2027-03-14', NOW), style);

test('a house that is to be opened now and would go over what stands in it', () => {
  const [w] = hot(house());
  expect(w).toMatchObject({
    kind: 'hot',
    urgent: true,
    title: 'Open South house',
    key: 'hot:2027-03-14:south:0.5',
  });
  expect(w!.text).toContain('It is shut. Left so its leaves reach 34.2 °C today, 8.2° too hot for anemones');
  // its time has not come, it stands open as it should, it is to be shut, it does not get too hot
  expect(hot(house({ next: { atMs: NOW + HOUR, fraction: 0.5 } }))).toEqual([]);
  expect(hot(house({ open: 0.5 }))).toEqual([]);
  expect(hot(house({ open: 0.5, next: { atMs: NOW, fraction: 0 } }))).toEqual([]);
  expect(hot(house({ leftC: 25 }))).toEqual([]);
  expect(hot(house({ next: null }))).toEqual([]);
});

test('a forecast that turned two kelvin colder than what was planned by; of a warmer one nothing is said', () => {
  const of = (lowC: number, night = '2027-03-14') =>
    told(forecastWarning({ night: '2027-03-14', lowC: -2 }, night, lowC), style);
  expect(of(-4.1)!.title).toBe('Tonight is colder than planned: −4 °C');
  expect([of(-3.9), of(1), of(-9, '2027-03-15')]).toEqual([null, null, null]);
});

test('a thermometer that is silent for four of its pauses, three hours at least', () => {
  const silent = (hours: number, usualMin: number) =>
    told(
      silentWarnings(
        [{ id: 's', name: 'South house', lastAtMs: NOW - hours * HOUR, usualMs: usualMin * 60_000 }],
        NOW,
      ),
      style,
    );
  expect(silent(2.9, 10)).toEqual([]);
  expect(silent(3.1, 10)[0]).toMatchObject({ urgent: false, kind: 'silent' });
  expect(silent(3.1, 10)[0]!.text).toContain('last heard at 05:54, and used to speak every 10 minutes');
  expect(silent(3.1, 60)).toEqual([]);
  expect(silent(5, 60)).toHaveLength(1);
});

test('quiet hours over midnight or within a day; what cannot wait goes where that was said', () => {
  const quiet = (more: Partial<Quiet> = {}): Quiet => ({
    on: true,
    quietFrom: '22:00',
    quietTo: '05:30',
    urgentAnyway: true,
    ...more,
  });
  const at = (h: number) => Date.parse('2027-03-14T00:00:00Z') + h * HOUR;
  const goes = (h: number, urgent: boolean, more: Partial<Quiet> = {}) =>
    mayGo({ urgent }, at(h), 'UTC', quiet(more));
  expect([21.9, 22, 3, 5.4, 5.5].map((h) => goes(h, false))).toEqual([true, false, false, false, true]);
  expect(goes(3, true)).toBe(true);
  expect(goes(3, true, { urgentAnyway: false })).toBe(false);
  expect(goes(12, true, { on: false })).toBe(false);
  expect(goes(3, false, { quietFrom: '00:00', quietTo: '00:00' })).toBe(true);
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 47 }),
      fc.integer({ min: 0, max: 47 }),
      fc.integer({ min: 0, max: 47 }),
      (f, t, h) => {
        const text = (x: number) => `${String(Math.floor(x / 2)).padStart(2, '0')}:${x % 2 ? '30' : '00'}`;
        const within = f === t ? false : f < t ? h >= f && h < t : h >= f || h < t;
        expect(goes(h / 2, false, { quietFrom: text(f), quietTo: text(t) })).toBe(!within);
      },
    ),
  );
});
