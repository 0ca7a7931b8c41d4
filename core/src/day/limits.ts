/**
 * What a day's opening has to keep to. Contract: `Limits` are the grower's; `hoursThere` gives the instants in a span at which
 * somebody can move something; `turnsOf` the days and nights of a stretch of hours. Nothing of weather or covers is here.
 */
import { sunTimes } from '../sky/sun';
import type { Site } from '../heat/types';
import { HOUR_MS } from '../time/farmTime';

export interface Limits {
  /** Leaves should be no warmer, °C. */
  leafMaxC: number;
  /** Ground at 5 cm should be no warmer, °C; left out, it counts for nothing. */
  soilMaxC?: number;
  /** Leaves should be no colder, °C; left out, 0: nothing freezes for being opened. */
  leafMinC?: number;
  /** When somebody is there; left out, from an hour before sunrise to two after sunset. */
  there?: { fromAtMs: number; toAtMs: number }[];
  /** Swings of warm and cold are damped on purpose: they make some crops bolt. Left out, they are not minded. */
  even?: boolean;
  /** Aired whenever the sun shines, or kept warm and opened against heat. */
  style: 'air' | 'warm';
}

/** A day with its light, and the night after it. */
export interface Turn {
  riseAtMs: number;
  setAtMs: number;
  noonAtMs: number;
}

const DAY_MS = 24 * HOUR_MS;

/**
 * Days whose noon lies in a stretch; where the sun does not rise or set, six hours on either side of noon stand for it.
 * @example turnsOf(SITE, START_MS, START_MS + 2 * 86400000).length // 3
 */
export function turnsOf(site: Site, fromAtMs: number, toAtMs: number): Turn[] {
  const out: Turn[] = [];
  const first =
    Math.floor((fromAtMs + site.longitude * 240_000) / DAY_MS) * DAY_MS - site.longitude * 240_000;
  for (let ms = first + DAY_MS / 2; ms <= toAtMs + DAY_MS / 2; ms += DAY_MS) {
    const sun = sunTimes(ms, site.latitude, site.longitude);
    const turn = sun
      ? { riseAtMs: sun.riseAtMs, setAtMs: sun.setAtMs, noonAtMs: sun.noonAtMs }
      : { riseAtMs: ms - 6 * HOUR_MS, setAtMs: ms + 6 * HOUR_MS, noonAtMs: ms };
    if (turn.setAtMs > fromAtMs && turn.riseAtMs < toAtMs) out.push(turn);
  }
  return out;
}

const BEFORE_RISE_MS = HOUR_MS;
const AFTER_SET_MS = 2 * HOUR_MS;

/**
 * The full hours of a span at which somebody is there, and the moments at which they come.
 * @example hoursThere({ there: [{ fromAtMs: 1_800_000, toAtMs: 9_000_000 }] }, [], 0, 7_200_000) // [1800000, 3600000, 7200000]
 */
export function hoursThere(
  limits: Limits,
  turns: readonly Turn[],
  fromAtMs: number,
  toAtMs: number,
): number[] {
  const there =
    limits.there ??
    turns.map((t) => ({ fromAtMs: t.riseAtMs - BEFORE_RISE_MS, toAtMs: t.setAtMs + AFTER_SET_MS }));
  const out = new Set<number>();
  for (const span of there) {
    const from = Math.max(span.fromAtMs, fromAtMs);
    const to = Math.min(span.toAtMs, toAtMs);
    if (limits.there && from <= to) out.add(from);
    for (let ms = Math.ceil(from / HOUR_MS) * HOUR_MS; ms <= to; ms += HOUR_MS) out.add(ms);
  }
  return [...out].sort((a, b) => a - b);
}
