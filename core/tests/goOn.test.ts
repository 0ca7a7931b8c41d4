/** A night that starts where the days before ended: nothing of what the covers, the snow and the jugs held may be lost. */
import { prepareWeather, runBed, type BedSpec } from '../src';
import { bed, FLEECE, HOUSE, SITE, weather } from './fixtures';

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
