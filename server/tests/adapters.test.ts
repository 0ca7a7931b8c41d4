/** The stand-ins behind their interfaces: weather, an imported forecast over it, thermometers with something to find. */
import { BOOK_CALIBRATION, HOUR_MS, type BedSpec } from '@fogata/core';
import {
  hiddenProperties,
  minMaxBetween,
  simulatedThermometers,
  spotAirC,
  type ThermometerSpot,
} from '../src/adapters/thermometers';
import { simulatedWeather, withImported } from '../src/adapters/weather';
import { demoClock, nextClosingMs, nextMorningMs, realClock } from '../src/clock';
import { DEMO_EPISODES, DEMO_FARM, DEMO_SEED, DEMO_START_MS } from '../src/demo/seed';

const site = { latitude: 42.7, longitude: -5.4, elevationM: 860 };
const source = simulatedWeather({ seed: DEMO_SEED, site, episodes: DEMO_EPISODES });
const from = Math.floor(DEMO_START_MS / HOUR_MS) * HOUR_MS;

test('a forecast has at least twenty members and changes only when a new one is issued', () => {
  const at = (h: number) => source.forecast(from + h * HOUR_MS, from, from + 20 * HOUR_MS);
  expect(at(0).members.length).toBeGreaterThanOrEqual(20);
  const issued = at(0).issuedMs;
  expect((issued / HOUR_MS) % 6).toBe(0);
  expect(at(1).members[0]).toEqual(at(0).members[0]);
  expect(at(7).issuedMs).toBe(issued + 6 * HOUR_MS);
});

test('the demo’s three nights freeze: clear and calm, then windy, then overcast', () => {
  const night = (n: number) =>
    source.history(from + n * 24 * HOUR_MS + 3 * HOUR_MS, from + n * 24 * HOUR_MS + 17 * HOUR_MS);
  const mean = (n: number, key: 'cloudFraction' | 'windMs') =>
    night(n).reduce((s, e) => s + e[key], 0) / night(n).length;
  for (const n of [0, 1, 2]) expect(Math.min(...night(n).map((e) => e.airC))).toBeLessThan(-1.5);
  expect(mean(0, 'cloudFraction')).toBeLessThan(0.2);
  expect(mean(0, 'windMs')).toBeLessThan(1.3);
  expect(mean(1, 'windMs')).toBeGreaterThan(3.5);
  expect(mean(2, 'cloudFraction')).toBeGreaterThan(0.85);
});

describe('a forecast of one’s own', () => {
  const entries = Array.from({ length: 24 }, (_, i) => ({
    time: new Date(from + (i - 4) * HOUR_MS).toISOString(),
    airC: 11,
    dewPointC: 4,
    windMs: 2,
    cloudFraction: 0.5,
  }));
  const mine = { id: 'x', name: 'valley station', importedMs: from, entries };
  const over = withImported(source, mine, 1);

  test('replaces the hours it holds, spreads members around them, and leaves the rest', () => {
    const f = over.forecast(from, from, from + 30 * HOUR_MS);
    expect(f.members[0]![3]!.airC).toBe(11);
    expect(f.members[0]![28]).toEqual(source.forecast(from, from, from + 30 * HOUR_MS).members[0]![28]);
    expect(f.source).toBe('valley station, then the simulated forecast');
    const spread = f.members.map((m) => m[12]!.airC);
    expect(Math.max(...spread) - Math.min(...spread)).toBeGreaterThan(1);
  });

  test('counts as the record for hours that have passed', () => {
    expect(over.history(from - 2 * HOUR_MS, from).every((e) => e.airC === 11)).toBe(true);
    expect(over.history(from - 9 * HOUR_MS, from - 9 * HOUR_MS)[0]!.airC).not.toBe(11);
  });

  test('is left aside where it says nothing about the night', () => {
    expect(
      withImported(source, { ...mine, entries: entries.slice(0, 3) }, 1).forecast(
        from,
        from,
        from + 20 * HOUR_MS,
      ).source,
    ).toBe('simulated forecast');
    expect(withImported(source, null, 1)).toBe(source);
  });
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
    weather: source.history(from - 48 * HOUR_MS, from + 18 * HOUR_MS),
  });
  const thermometers = simulatedThermometers();

  test('differ from the book in a way of their own that stays the same', () => {
    const book = minMaxBetween(spotAirC(spot('north'), BOOK_CALIBRATION), from, from + 18 * HOUR_MS)!;
    const north = thermometers.read(spot('north'), from, from + 18 * HOUR_MS)!;
    expect(thermometers.read(spot('north'), from, from + 18 * HOUR_MS)).toEqual(north);
    expect(thermometers.read(spot('south'), from, from + 18 * HOUR_MS)).not.toEqual(north);
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

  test('show nothing for a span without weather', () => {
    expect(thermometers.read(spot('north'), from + 100 * HOUR_MS, from + 110 * HOUR_MS)).toBeNull();
  });
});

test('the demo’s clock goes to closing time and to the morning after sunrise; a real one stays', async () => {
  const moves: number[] = [];
  const clock = demoClock(DEMO_START_MS, (ms) => Promise.resolve(void moves.push(ms)));
  const closing = nextClosingMs(clock.nowMs(), DEMO_FARM);
  expect(closing).toBeGreaterThan(DEMO_START_MS);
  await clock.set(closing);
  expect(clock.nowMs()).toBe(closing);
  expect(moves).toEqual([closing]);
  const morning = nextMorningMs(closing, DEMO_FARM);
  expect(morning - closing).toBeLessThan(18 * HOUR_MS);
  expect(nextMorningMs(morning, DEMO_FARM)).toBeGreaterThan(morning + 20 * HOUR_MS);
  await expect(realClock.set(0)).rejects.toThrow();
});
