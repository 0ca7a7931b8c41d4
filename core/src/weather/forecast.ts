/**
 * Forecasts of the true weather, issued every six hours, wrong as real ones are: the error grows with lead time (its
 * standard deviation is about 1.5 K for tomorrow's minimum), drifts slowly through the night, and strikes cloud and
 * wind too. The members of the ensemble are as far from their centre as the truth is, so that the band is honest.
 */
import type { WeatherEntry } from '../heat/types';
import { smoothNoise } from './noise';

const HOUR_MS = 3_600_000;
export const ISSUE_EVERY_MS = 6 * HOUR_MS;

/** The last issue at or before `ms`. */
export function lastIssueMs(ms: number): number {
  return Math.floor(ms / ISSUE_EVERY_MS) * ISSUE_EVERY_MS;
}

/** Standard deviation of the temperature error, K, `leadH` hours ahead: 0.3 at once, 1.5 at 16 hours, up to 4. */
export function forecastErrorK(leadH: number): number {
  return Math.min(4, Math.sqrt(0.09 + 0.135 * Math.max(0, leadH)));
}

interface Draw {
  airK: number;
  cloud: number;
  wind: number;
  dewK: number;
}

function draw(seed: number, issueMs: number, member: number, ms: number): Draw {
  const key = seed ^ Math.imul(Math.round(issueMs / HOUR_MS), 0x27d4eb2f) ^ Math.imul(member + 1, 0x165667b1);
  const h = ms / HOUR_MS;
  const leadH = (ms - issueMs) / HOUR_MS;
  const sigma = forecastErrorK(leadH);
  // one part goes through the whole forecast and much of the next one too, one drifts over half a day
  const own = seed ^ Math.imul(member + 1, 0x165667b1);
  const steady = smoothNoise(own, 20, issueMs / HOUR_MS, 30);
  const drift = smoothNoise(key, 21, h, 14);
  const grow = Math.min(1, 0.25 + leadH / 40);
  return {
    airK: sigma * (0.8 * steady + 0.6 * drift),
    cloud: 1.3 * grow * smoothNoise(key, 22, h, 10),
    wind: 0.4 * grow * smoothNoise(key, 23, h, 8),
    dewK: 0.8 * grow * smoothNoise(key, 24, h, 18),
  };
}

function shifted(e: WeatherEntry, d: Draw, sign: 1 | -1): WeatherEntry {
  const airC = e.airC + sign * d.airK;
  const c = Math.min(0.97, Math.max(0.03, e.cloudFraction));
  const odds = Math.log(c / (1 - c)) + sign * d.cloud;
  const cloud = 1 / (1 + Math.exp(-odds));
  return {
    time: e.time,
    airC,
    dewPointC: Math.min(airC - 0.1, e.dewPointC + sign * (0.7 * d.airK + d.dewK)),
    windMs: Math.max(0.1, e.windMs * Math.exp(sign * d.wind)),
    cloudFraction: cloud,
    rainMm: e.rainMm,
    snowMm: e.snowMm,
    windFromDeg: e.windFromDeg,
  };
}

/** The centre of the forecast issued at `issueMs` for these true hours: the truth less this issue's error. */
export function forecastCentre(
  seed: number,
  issueMs: number,
  truth: readonly WeatherEntry[],
): WeatherEntry[] {
  return truth.map((e) => shifted(e, draw(seed, issueMs, -1, Date.parse(e.time)), -1));
}

/** `count` members around a centre (a simulated or an imported one), issued at `issueMs`. Member 0 is the centre itself. */
export function ensemble(
  seed: number,
  issueMs: number,
  centre: readonly WeatherEntry[],
  count = 20,
): WeatherEntry[][] {
  const members: WeatherEntry[][] = [centre.map((e) => ({ ...e }))];
  for (let m = 1; m < count; m++) {
    members.push(centre.map((e) => shifted(e, draw(seed, issueMs, m, Date.parse(e.time)), 1)));
  }
  return members;
}
