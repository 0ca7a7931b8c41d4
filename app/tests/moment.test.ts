/** When an act happens, and in which night a reading belongs: by the device on a real farm, by its own clock in the demo. */
import type { FarmView } from '@fogata/contract/told';
import { nightWindow } from '@fogata/core';
import { farmSite, instant, learnFarm, nightFor } from '../src/data/moment';

const site = { latitude: 42.7, longitude: -5.4, timeZone: 'Europe/Madrid' };
const H = 3_600_000;
const view = (mode: 'real' | 'demo') =>
  ({ farm: { ...site }, clock: { mode } }) as unknown as Pick<FarmView, 'farm' | 'clock'>;
const SHOWN = Date.parse('2027-01-14T15:30:00Z');

afterEach(() => jest.useRealTimers());

test('a real farm’s act is of now, however old the answer on the screen; the demo’s is of the demo’s hour', () => {
  jest.useFakeTimers({ now: SHOWN + 9 * H });
  learnFarm(view('real'));
  expect(instant(SHOWN)).toBe(SHOWN + 9 * H);
  learnFarm(view('demo'));
  expect(instant(SHOWN)).toBe(SHOWN);
  expect(farmSite()).toEqual(site);
});

test('a morning’s reading is of the night that was, up to three hours past noon', () => {
  learnFarm(view('real'));
  const { toAtMs } = nightWindow('2027-01-13', site);
  expect(nightFor(toAtMs - 5 * H, '2027-01-13')).toBe('2027-01-13');
  expect(nightFor(toAtMs + 2 * H, '2027-01-13')).toBe('2027-01-13');
  expect(nightFor(toAtMs + 4 * H, '2027-01-13')).toBe('2027-01-14');
});

test('a screen left open for days is not believed', () => {
  learnFarm(view('real'));
  const { fromAtMs } = nightWindow('2027-01-20', site);
  expect(nightFor(fromAtMs + 18 * H, '2027-01-13')).toBe('2027-01-20');
  // in the demo the clock stands where it was put
  learnFarm(view('demo'));
  expect(nightFor(fromAtMs + 18 * H, '2027-01-13')).toBe('2027-01-13');
});

test('the night is the farm’s own, wherever the device thinks it is', () => {
  learnFarm({
    ...view('real'),
    farm: { ...site, longitude: 174.8, latitude: -41.3, timeZone: 'Pacific/Auckland' },
  } as never);
  // seven in the morning there: the night that began the evening before
  expect(nightFor(Date.parse('2027-07-14T19:00:00Z'), '2027-07-01')).toBe('2027-07-14');
});
