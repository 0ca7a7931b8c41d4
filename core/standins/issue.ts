/**
 * Forecasts of the true weather, issued every six hours, wrong as real ones are: the truth less an error that grows with
 * lead time, most of it shared with the next issue.
 */
import type { WeatherEntry } from '../src/heat/types';
import { errorAt, shifted } from '../src/weather/spread';

const HOUR_MS = 3_600_000;
export const ISSUE_EVERY_MS = 6 * HOUR_MS;

/** The last issue at or before `ms`. */
export function lastIssueAtMs(ms: number): number {
  return Math.floor(ms / ISSUE_EVERY_MS) * ISSUE_EVERY_MS;
}

/** The centre of the forecast issued at `issueAtMs` for these true hours: the truth less this issue's error. */
export function forecastCentre(
  seed: number,
  issueAtMs: number,
  truth: readonly WeatherEntry[],
): WeatherEntry[] {
  return truth.map((e) => shifted(e, errorAt(seed, issueAtMs, -1, Date.parse(e.time)), -1));
}
