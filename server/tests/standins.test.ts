/** The stand-ins behind the ports: weather with something to be wrong about, thermometers with something to find. */
import { BOOK_CALIBRATION, HOUR_MS, nightOf, type BedSpec } from '@fogata/core';
import { trueHours } from '@fogata/core/standins';
import { demoClock, nextClosingAtMs, nextMorningAtMs, realClock } from '../src/clock';
import { DEMO_FARM, DEMO_START_MS } from '../src/demo/seed';
import { minMaxBetween, spotAirC } from '../src/night/spotAir';
import { isForecast, type Forecast } from '../src/sources/farmWeather';
import type { ThermometerSpot } from '../src/sources/ports';
import fc from 'fast-check';
import { hiddenProperties, simulatedThermometers } from '../src/standins/thermometers';
import { simulatedWeather } from '../src/standins/weather';
import { demoTruth, demoWeather } from './demoWeather';

const site = { latitude: 42.7, longitude: -5.4, elevationM: 860 };
const from = Math.floor(DEMO_START_MS / HOUR_MS) * HOUR_MS;

test('a forecast has its members; until a new one is issued only what was measured moves it, and less the later', async () => {
  const at = async (h: number): Promise<Forecast> => {
    const nowAtMs = from + h * HOUR_MS;
    const coming = (await demoWeather(nowAtMs, 20)).coming(
      nightOf(nowAtMs, DEMO_FARM),
      from,
      from + 20 * HOUR_MS,
    );
    if (!isForecast(coming)) throw new Error('no forecast');
    return coming;
  };
  expect((await at(0)).members).toHaveLength(20);
  const { issuedAtMs, members } = await at(0);
  expect((issuedAtMs / HOUR_MS) % 6).toBe(0);
  // drawn again at the same hour it is the same, to the last digit
  expect((await at(0)).members).toEqual(members);
  const later = await at(1);
  expect(later.issuedAtMs).toBe(issuedAtMs);
  const movedK = later.members[0]!.map((e, i) => Math.abs(e.airC - members[0]![i]!.airC));
  expect(Math.max(...movedK.slice(1))).toBe(movedK[1]);
  expect(movedK.at(-1)).toBeLessThan(0.15 * Math.max(...movedK));
  expect((await at(7)).issuedAtMs).toBe(issuedAtMs + 6 * HOUR_MS);
});

test('the demo’s three nights freeze: clear and calm, then windy, then overcast', () => {
  const night = (n: number) =>
    demoTruth(from + n * 24 * HOUR_MS + 3 * HOUR_MS, from + n * 24 * HOUR_MS + 17 * HOUR_MS);
  const mean = (n: number, key: 'cloudFraction' | 'windMs') =>
    night(n).reduce((s, e) => s + e[key], 0) / night(n).length;
  for (const n of [0, 1, 2]) expect(Math.min(...night(n).map((e) => e.airC))).toBeLessThan(-1.5);
  expect(mean(0, 'cloudFraction')).toBeLessThan(0.2);
  expect(mean(0, 'windMs')).toBeLessThan(1.3);
  expect(mean(1, 'windMs')).toBeGreaterThan(3.5);
  expect(mean(2, 'cloudFraction')).toBeGreaterThan(0.85);
});

describe('thermometers', () => {
  const spec: BedSpec = {
    ground: { deepC: 5 },
    stack: [{ lengthM: 20, widthM: 6, heightM: 2.6, shape: 'arch', material: 'pe-film' }],
  };
  const spot = (id: string): ThermometerSpot => ({
    id,
    specs: [spec],
    structureLayer: 0,
    site,
    weather: trueHours({ seed: 42, site }, from - 48 * HOUR_MS, from + 18 * HOUR_MS),
  });
  const thermometers = simulatedThermometers();

  test('differ from the book in a way of their own that stays the same', async () => {
    const book = minMaxBetween(spotAirC(spot('north'), BOOK_CALIBRATION), from, from + 18 * HOUR_MS)!;
    const read = (id: string) => thermometers.read(spot(id), from, from + 18 * HOUR_MS);
    const north = (await read('north'))!;
    expect(await read('north')).toEqual(north);
    expect(await read('south')).not.toEqual(north);
    expect(Math.abs(north.minC - book.minC)).toBeLessThan(3.5);
    expect(north.maxC).toBeGreaterThan(north.minC);
  });

  test('hidden properties lie within what a structure can be', () => {
    for (let i = 0; i < 50; i++) {
      const h = hiddenProperties(`structure ${i}`);
      expect(h.leakage >= 0.7 && h.leakage <= 2.1).toBe(true);
      expect(h.zoneOffsetC >= -1.1 && h.zoneOffsetC <= -0.2).toBe(true);
    }
  });

  test('show nothing for a span without weather', async () => {
    expect(await thermometers.read(spot('north'), from + 100 * HOUR_MS, from + 110 * HOUR_MS)).toBeNull();
  });
});

test('the demo’s clock goes to closing time and to the morning after sunrise; a real one stays', async () => {
  const moves: number[] = [];
  const clock = demoClock(DEMO_START_MS, (ms) => Promise.resolve(void moves.push(ms)));
  const closing = nextClosingAtMs(clock.nowAtMs(), DEMO_FARM);
  expect(closing).toBeGreaterThan(DEMO_START_MS);
  await clock.set(closing);
  expect(clock.nowAtMs()).toBe(closing);
  expect(moves).toEqual([closing]);
  const morning = nextMorningAtMs(closing, DEMO_FARM);
  expect(morning - closing).toBeLessThan(18 * HOUR_MS);
  expect(nextMorningAtMs(morning, DEMO_FARM)).toBeGreaterThan(morning + 20 * HOUR_MS);
  await expect(realClock.set(0)).rejects.toThrow();
});

test('an hour of invented weather is the same whoever asks for it first, and in whichever span', async () => {
  const options = { seed: 7, site };
  const [one, other] = [simulatedWeather(options), simulatedWeather(options)];
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: -400, max: 400 }),
      fc.integer({ min: 0, max: 90 }),
      async (start, hours) => {
        const [a, b] = [from + start * HOUR_MS, from + (start + hours) * HOUR_MS];
        const drawn = await one.observed.hours(a, b);
        expect(drawn).toEqual(trueHours({ seed: 7, site }, a, b));
        expect(await one.observed.hours(a, b)).toEqual(drawn);
        // asked the other way round: the end before the whole
        await other.observed.hours(b, b);
        expect(await other.observed.hours(a, b)).toEqual(drawn);
      },
    ),
    { numRuns: 30 },
  );
});

test('a thermometer that is asked hour by hour shows what it shows over the whole, and another cover is another air', async () => {
  const weather = demoTruth(from - 48 * HOUR_MS, from + 24 * HOUR_MS);
  const house: BedSpec = {
    ground: { deepC: 5 },
    stack: [{ lengthM: 20, widthM: 6, heightM: 2.6, shape: 'arch', material: 'pe-film' }],
  };
  const double: BedSpec = { ...house, stack: [{ ...house.stack[0]!, plies: 2 }] };
  const under = (spec: BedSpec): ThermometerSpot => ({
    id: 'north',
    specs: [spec],
    structureLayer: 0,
    site,
    weather,
  });
  const there = simulatedThermometers();
  const hours = Array.from({ length: 24 }, (_, h) => from + h * HOUR_MS);
  const each = await Promise.all(hours.map((ms) => there.read(under(house), ms, ms)));
  const whole = (await there.read(under(house), from, from + 23 * HOUR_MS))!;
  expect(Math.min(...each.map((r) => r!.minC))).toBe(whole.minC);
  expect(Math.max(...each.map((r) => r!.maxC))).toBe(whole.maxC);
  // the same by another that was never asked before
  expect(await simulatedThermometers().read(under(house), from, from + 23 * HOUR_MS)).toEqual(whole);
  expect((await there.read(under(double), from, from + 23 * HOUR_MS))!.minC).toBeGreaterThan(whole.minC);
});
