/**
 * Thermometers under cover against the model, while the night runs. Contract: `pairsOf` puts what was measured in the last dark hours beside
 * what the model has there; `partedUnder` says how far they part, or null; `countedK` what of that the coming night is reckoned with.
 *
 * A house that is colder than its model for two hours of three has a door, an edge or a sheet that is not as it was said: that lasts. It is
 * counted whole until it is found. One that is milder is told and not counted: a thermometer by a warm wall has no say over the plants.
 */
import type { Site } from '../heat/types';
import { sunPosition } from '../sky/sun';
import { HOUR_MS } from '../time/farmTime';

/** Hourly air where a thermometer hangs, °C, each at its full hour. */
export interface Measured {
  atMs: number;
  airC: number;
}

/** An hour as it was measured and as the model has it, °C. */
export interface HourPair {
  atMs: number;
  measuredC: number;
  modelC: number;
}

export interface PartedSpot {
  /** Measured less model over these hours, K. */
  offK: number;
  hours: number;
}

/** Hours back that count, and how many of them have to say so. */
const LAST_H = 3;
const LEAST = 2;
/** Less than this is what a model and a thermometer differ by on any night, K: starting value. */
const PARTS_K = 1.5;
/** More than this is a thermometer that was taken indoors or counts in other degrees, K. */
const MOST_K = 15;

/**
 * The last hours in the dark at a thermometer, beside the model's air.
 * @example pairsOf([{ atMs: START_MS, airC: -3 }], { timesAtMs: [START_MS], structureC: [-2] }, SITE, START_MS + 600_000).length // 0
 */
export function pairsOf(
  measured: readonly Measured[],
  model: { timesAtMs: readonly number[]; structureC: readonly number[] },
  site: Pick<Site, 'latitude' | 'longitude'>,
  nowAtMs: number,
): HourPair[] {
  // sun on a house makes any thermometer show something else, and an hour's sun is still in the air of the next
  const lit = (ms: number) => sunPosition(ms, site.latitude, site.longitude).cosZenith > 0;
  return measured.flatMap((m) => {
    const modelC = model.structureC[model.timesAtMs.indexOf(m.atMs)];
    const counts = m.atMs > nowAtMs - LAST_H * HOUR_MS && m.atMs <= nowAtMs;
    if (!counts || modelC === undefined || Number.isNaN(modelC)) return [];
    if (lit(m.atMs) || lit(m.atMs - HOUR_MS)) return [];
    return [{ atMs: m.atMs, measuredC: m.airC, modelC }];
  });
}

/**
 * `doubtK` is what the model owns to be unsure of, K: within two of it nothing has parted.
 * @example partedUnder([], 1) // null
 */
export function partedUnder(pairs: readonly HourPair[], doubtK: number): PartedSpot | null {
  const limit = Math.max(PARTS_K, 2 * doubtK);
  const off = pairs.map((p) => p.measuredC - p.modelC);
  const beyond = off.filter((k) => Math.abs(k) >= limit && Math.abs(k) <= MOST_K);
  const oneWay = beyond.every((k) => k < 0) || beyond.every((k) => k > 0);
  if (beyond.length < LEAST || !oneWay) return null;
  return { offK: beyond.reduce((s, k) => s + k, 0) / beyond.length, hours: beyond.length };
}

/**
 * What leaves under that roof are taken to be colder by for the coming hours, K, 0 or below.
 * @example countedK(null) // 0
 */
export const countedK = (parted: PartedSpot | null): number => Math.min(0, parted?.offK ?? 0);
