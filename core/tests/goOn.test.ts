/** A night that starts where the days before ended: nothing of what the covers, the snow and the jugs held may be lost. */
import {
  evaluateHouse,
  prepareWeather,
  runBed,
  type BedSpec,
  type HouseOutcome,
  type HouseTask,
  type Layer,
} from '../src';
import type { HouseBed } from '../src/night/house';
import { bed, FLEECE, HOUSE, SITE, START_MS, weather } from './fixtures';

/** Greatest difference in the leaf between a whole run and one that is cut at `cut` and goes on, K, from an hour after. */
function seamK(given: BedSpec, snow: boolean, cut = 20): number {
  // a given surface: else each part would be run in on its own first day
  const spec = { ...given, ground: { ...given.ground, surfaceC: 4 } };
  const entries = weather({ hours: 48, meanC: 1 }).map((e, i) => ({
    ...e,
    ...(snow && i > 8 && i < 16 ? { snowMm: 30 } : {}),
  }));
  const whole = runBed(spec, prepareWeather(SITE, entries));
  const first = runBed(spec, prepareWeather(SITE, entries.slice(0, cut + 1)));
  const second = runBed(spec, prepareWeather(SITE, entries.slice(cut)), { initial: first.end });
  return Math.max(...[...second.leafC].slice(1).map((c, i) => Math.abs(c - whole.leafC[cut + 1 + i]!)));
}

test.each([
  ['an open bed', bed([]), false],
  ['a house whose film is wet', bed([HOUSE]), false],
  ['fleece in a house', bed([HOUSE, FLEECE]), false],
  ['jugs that hold the day', bed([HOUSE], { mass: { waterLitres: 30 } }), false],
  ['snow on a house', bed([HOUSE]), true],
  ['snow on an open bed', bed([]), true],
] as [string, BedSpec, boolean][])('%s goes on as if it had never been cut', (_, spec, snow) => {
  expect(seamK(spec, snow)).toBeLessThan(0.15);
});

describe('the days before a night, run on from where an evening left them', () => {
  const HOURS = 5 * 24;
  const DAY = 86_400_000;
  const iso = (ms: number) => new Date(ms).toISOString();
  const all = weather({ hours: HOURS + 24, startAtMs: START_MS });
  const at = (fromH: number, toH: number) => all.slice(fromH, toH + 1);
  const stack = (sheets: Layer[]) => bed([{ ...HOUSE, role: 'structure' }, ...sheets], { shared: 1 });
  const on = { from: iso(START_MS + 3.8 * DAY), to: iso(START_MS + 4.6 * DAY) };
  const task = (toH: number, more: Partial<HouseBed> = {}): HouseTask => ({
    site: SITE,
    history: at(0, toH),
    members: [at(toH, HOURS + 24)],
    key: 'as',
    countFromAtMs: START_MS + toH * 3_600_000,
    beds: ['bare', 'covered'].map((id, n) => ({
      id,
      historySpec: stack(n ? [{ ...FLEECE, on: [on] }] : []),
      spec: stack([]),
      structureLayer: 0,
      placeK: n,
      ...more,
    })),
  });
  const wasAt = (fromH: number, left: HouseOutcome): HouseTask => {
    const whole = task(HOURS);
    const since = left.beds.map(({ initial, past }) => ({
      atMs: START_MS + fromH * 3_600_000,
      initial,
      past,
    }));
    return { ...whole, beds: whole.beds.map((b, n) => ({ ...b, since: since[n]! })) };
  };
  const whole = evaluateHouse(task(HOURS));

  test.each([96, 110])('it is the same night and the same last day as from the first hour on (%i)', (h) => {
    const onward = evaluateHouse(wasAt(h, evaluateHouse(task(h))));
    onward.beds.forEach((b, n) => {
      const from = whole.beds[n]!;
      expect(b.outcome.minLeafC[0]).toBeCloseTo(from.outcome.minLeafC[0]!, 1);
      expect(b.past.timesAtMs).toEqual(from.past.timesAtMs);
      for (const of of ['leafC', 'soilC', 'outsideC', 'structureC'] as const) {
        expect(b.past[of]).toHaveLength(25);
        const off = b.past[of].map((c, i) => Math.abs(c - from.past[of][i]!));
        // what is begun again by day is as it was some hours later
        expect(Math.max(...off)).toBeLessThan(0.3);
        expect(Math.max(...off.slice(4))).toBeLessThan(0.05);
      }
      expect(Math.min(...b.past.lows.map((l) => l.leafC))).toBeCloseTo(
        Math.min(...from.past.lows.map((l) => l.leafC)),
        1,
      );
    });
    if (h === 96)
      expect(onward.beds[1]!.past.lows.map((l) => l.atMs)).toEqual(
        whole.beds[1]!.past.lows.map((l) => l.atMs),
      );
  });

  test('where one bed was not left by then, or none as late as what is known, all of it is run', () => {
    const since = wasAt(96, evaluateHouse(task(96)));
    const some = { ...since, beds: since.beds.map(({ since: s, ...b }, n) => (n ? { ...b, since: s! } : b)) };
    expect(evaluateHouse(some)).toEqual(whole);
    const old = since.beds.map((b) => ({ ...b, since: { ...b.since!, atMs: START_MS - DAY } }));
    expect(evaluateHouse({ ...since, beds: old })).toEqual(whole);
  });
});
