/**
 * Steps within steps. Contract: `partsOf` says where a step is cut: where a cover goes on or off or an opening moves, and
 * finely while snow lies; `fillBetween` writes what drives the bed at such a moment into the last, spare place of every
 * series and returns that place.
 */
import type { Network } from './network';
import { SNOW_MIN_M } from './radiation';
import type { Work } from './work';

/** Moves nearer than this to the end of a step wait for it, ms. */
const LEAST_MS = 60_000;
/** While snow lies or falls a step is no longer than this, s: it melts, slides and hides the sky in less than an hour. */
const SNOW_STEP_S = 600;

/** When anything moves, epoch ms, in order. */
export function movesOf(net: Network): number[] {
  const all = net.layers.flatMap((l) => [
    ...(l.on ?? []).flatMap((s) => [s.from, s.to]),
    ...l.open.map((o) => o.from),
  ]);
  return [...new Set(all)].sort((a, b) => a - b);
}

/** Ends of the parts of the step from `fromAtMs` to `toAtMs`, the last of them `toAtMs`. */
export function partsOf(
  w: Work,
  k: number,
  moves: readonly number[],
  fromAtMs: number,
  toAtMs: number,
): number[] {
  const snow = w.snowNode >= 0 && (w.snowM > SNOW_MIN_M || w.weather.snowMps[k]! > 0);
  if (!snow && moves.length === 0) return [toAtMs];
  const ends = moves.filter((ms) => ms > fromAtMs + LEAST_MS && ms < toAtMs - LEAST_MS);
  if (snow) {
    const n = Math.ceil((toAtMs - fromAtMs) / (SNOW_STEP_S * 1000));
    for (let i = 1; i < n; i++) ends.push(fromAtMs + ((toAtMs - fromAtMs) * i) / n);
    ends.sort((a, b) => a - b);
  }
  ends.push(toAtMs);
  return ends;
}

function mix(series: Float64Array, stride: number, k: number, spare: number, f: number): void {
  const a = (k - 1) * stride;
  const b = k * stride;
  const to = spare * stride;
  for (let i = 0; i < stride; i++) series[to + i] = series[a + i]! + f * (series[b + i]! - series[a + i]!);
}

/** Everything at the share `f` of the way from step k − 1 to k, in the spare place, whose number it returns. */
export function fillBetween(w: Work, k: number, f: number): number {
  const { weather, outside, given } = w;
  const spare = weather.steps + 1;
  for (const series of weather.linear) mix(series, 1, k, spare, f);
  // what falls in a step falls evenly in it; directions are those of its end
  for (const series of weather.held) series[spare] = series[k]!;
  if (outside) {
    mix(outside.skinC, 1, k, spare, f);
    mix(outside.cellsC, outside.cellsPerStep, k, spare, f);
  }
  if (given) {
    mix(given.rows, given.stride, k, spare, f);
    given.snowLayer[spare] = given.snowLayer[k]!;
  }
  return spare;
}
