import {
  dayLengthH,
  deepGroundC,
  ensemble,
  forecastErrorK,
  quantile,
  zonalYearC,
  type WeatherEntry,
} from '../src';
import { forecastCentre, lastIssueAtMs, trueHours, trueWeather } from '../standins';
import { smoothNoise } from '../src/weather/noise';
import { SITE } from './fixtures';

const HOUR = 3_600_000;
const at = (text: string) => Date.parse(`${text}:00Z`);

describe('the true weather', () => {
  const world = { seed: 7, site: SITE };

  test('is the same however it is asked', () => {
    const hours = trueHours(world, at('2027-01-01T00:00'), at('2027-01-03T00:00'));
    expect(trueWeather(world, at('2027-01-02T07:00'))).toEqual(hours[31]);
  });

  test('has seasons, and the other hemisphere has them the other way round', () => {
    const mean = (latitude: number, from: string) => {
      const list = trueHours({ seed: 7, site: { ...SITE, latitude } }, at(from), at(from) + 30 * 24 * HOUR);
      return list.reduce((s, e) => s + e.airC, 0) / list.length;
    };
    expect(mean(42, '2027-07-01T00:00') - mean(42, '2027-01-01T00:00')).toBeGreaterThan(12);
    expect(mean(-42, '2027-01-01T00:00') - mean(-42, '2027-07-01T00:00')).toBeGreaterThan(12);
  });

  test('clear calm nights cool more than overcast ones', () => {
    const span = {
      fromAtMs: at('2027-01-13T00:00'),
      toAtMs: at('2027-01-18T00:00'),
      meanC: 0,
      windMs: 1,
      drynessK: 5,
    };
    const swing = (cloud: number) => {
      const list = trueHours(
        { ...world, episodes: [{ ...span, cloud }] },
        at('2027-01-15T00:00'),
        at('2027-01-16T00:00'),
      ).map((e) => e.airC);
      return Math.max(...list) - Math.min(...list);
    };
    expect(swing(0.05)).toBeGreaterThan(2 * swing(0.97));
  });

  test('stays physical over a year, dew point under air, cloud within 0 and 1', () => {
    const physical = (e: WeatherEntry) =>
      e.dewPointC <= e.airC && e.cloudFraction >= 0 && e.cloudFraction <= 1 && e.windMs > 0 && e.windMs < 45;
    const hours = trueHours(world, at('2027-01-01T00:00'), at('2027-12-31T00:00'));
    expect(hours.length).toBeGreaterThan(8700);
    expect(hours.filter((e) => !physical(e))).toEqual([]);
    expect(dayLengthH(at('2027-01-14T12:00'), 42.7)).toBeGreaterThan(9);
  });
});

describe('its forecasts', () => {
  const world = { seed: 11, site: SITE };
  const nights = Array.from({ length: 200 }, (_, d) => {
    const noon = at('2026-01-01T12:00') + d * 5 * 24 * HOUR;
    const truth = trueHours(world, noon, noon + 24 * HOUR);
    const centre = forecastCentre(11, lastIssueAtMs(noon), truth);
    const low = (list: { airC: number }[]) => Math.min(...list.map((e) => e.airC));
    return {
      truth: low(truth),
      centre: low(centre),
      members: ensemble(11, lastIssueAtMs(noon), centre, 30).map(low),
    };
  });

  test('miss tomorrow’s minimum by about 1.5 K', () => {
    const rmse = Math.sqrt(nights.reduce((s, n) => s + (n.truth - n.centre) ** 2, 0) / nights.length);
    expect(rmse).toBeGreaterThan(1.2);
    expect(rmse).toBeLessThan(1.9);
  });

  test('hold the truth in their 80 % band in 72 to 88 of 100 nights', () => {
    const held = nights.filter((n) => {
      const sorted = [...n.members].sort((a, b) => a - b);
      return n.truth >= quantile(sorted, 0.1) && n.truth <= quantile(sorted, 0.9);
    });
    expect(held.length / nights.length).toBeGreaterThan(0.72);
    expect(held.length / nights.length).toBeLessThan(0.88);
  });

  test('err more the further they look, and change little from one issue to the next', () => {
    expect(forecastErrorK(48)).toBeGreaterThan(1.5 * forecastErrorK(12));
    const night = at('2027-01-15T06:00');
    const truth = trueHours(world, night - 20 * HOUR, night);
    const a = forecastCentre(11, night - 18 * HOUR, truth).at(-1)!.airC;
    const b = forecastCentre(11, night - 12 * HOUR, truth).at(-1)!.airC;
    expect(Math.abs(a - b)).toBeLessThan(2.5);
  });
});

test('noise has unit variance between its knots as on them', () => {
  let sum = 0;
  const n = 6000;
  for (let i = 0; i < n; i++) sum += smoothNoise(3, 1, i * 7.3, 10) ** 2;
  expect(sum / n).toBeGreaterThan(0.92);
  expect(sum / n).toBeLessThan(1.08);
});

test('the ground at a metre is late and mild: in January warmer than the weeks were, in July cooler, in step in spring', () => {
  const site = { latitude: 47, longitude: 8, elevationM: 450 };
  expect(zonalYearC(site)).toBeCloseTo(7.8, 1);
  expect(deepGroundC(site, 0.8)).toBeCloseTo(4.1, 1);
  expect(deepGroundC(site, 0.8)).toBeGreaterThan(0.8 + 2);
  expect(deepGroundC(site, 17)).toBeLessThan(17);
  // weeks as the year is: a degree over the air's mean
  expect(deepGroundC(site, zonalYearC(site))).toBeCloseTo(zonalYearC(site) + 1, 9);
  // where there are no seasons there is no wave
  const equator = { latitude: 0, longitude: 0, elevationM: 0 };
  expect(deepGroundC(equator, 26.5)).toBeCloseTo(27.5, 1);
});
