/**
 * How far a forecast may be off, as members around its centre. Its error grows with lead time (a standard deviation of about
 * 1.5 K for tomorrow's minimum, the order that verifications of public forecasts report; starting value), drifts slowly
 * through the night, and strikes cloud, wind and dew point too.
 */
import type { WeatherEntry } from '../heat/types';
import { smoothNoise } from './noise';
import { fading } from './nowcast';

const HOUR_MS = 3_600_000;
/**
 * Standard deviation of the temperature error, K, `leadH` hours ahead: 0.3 at once, 1.5 at 16 hours, up to 4.
 * @example forecastErrorK(48) > forecastErrorK(6) // true
 */
export function forecastErrorK(leadH: number): number {
  return Math.min(4, Math.sqrt(0.09 + 0.135 * Math.max(0, leadH)));
}

export interface ForecastError {
  airK: number;
  cloud: number;
  wind: number;
  dewK: number;
}

/**
 * The error of one member at an instant; member −1 is the truth’s own.
 * @example errorAt(1, 0, 3, 7_200_000).airK === errorAt(1, 0, 3, 7_200_000).airK // true
 */
export function errorAt(seed: number, issueAtMs: number, member: number, ms: number): ForecastError {
  const key =
    seed ^ Math.imul(Math.round(issueAtMs / HOUR_MS), 0x27d4eb2f) ^ Math.imul(member + 1, 0x165667b1);
  const h = ms / HOUR_MS;
  const leadH = (ms - issueAtMs) / HOUR_MS;
  const sigma = forecastErrorK(leadH);
  // one part goes through the whole forecast and much of the next one too, one drifts over half a day
  const own = seed ^ Math.imul(member + 1, 0x165667b1);
  const steady = smoothNoise(own, 20, issueAtMs / HOUR_MS, 30);
  const drift = smoothNoise(key, 21, h, 14);
  const grow = Math.min(1, 0.25 + leadH / 40);
  return {
    airK: sigma * (0.8 * steady + 0.6 * drift),
    cloud: 1.3 * grow * smoothNoise(key, 22, h, 10),
    wind: 0.4 * grow * smoothNoise(key, 23, h, 8),
    dewK: 0.8 * grow * smoothNoise(key, 24, h, 18),
  };
}

/**
 * An hour moved by an error, or back by it.
 * @example shifted(shifted(weather()[0], { airK: 1, dewK: 0, cloud: 0, wind: 0 }, 1), { airK: 1, dewK: 0, cloud: 0, wind: 0 }, -1).airC === weather()[0].airC // true
 */
export function shifted(e: WeatherEntry, d: ForecastError, sign: 1 | -1): WeatherEntry {
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

const scaled = (e: ForecastError, k: number): ForecastError => ({
  airK: k * e.airK,
  cloud: k * e.cloud,
  wind: k * e.wind,
  dewK: k * e.dewK,
});

/**
 * `count` members around a centre that was issued at `issueAtMs`. Member 0 is the centre itself; `doubt` widens or narrows the
 * others: 1 is as far off as forecasts usually are. Where the air at `knownAtMs` is measured and the centre moved by it, no member is off
 * there, and they part again as what was known fades.
 * @example ensemble(1, 0, weather(), 5).length // 5
 */
export function ensemble(
  seed: number,
  issueAtMs: number,
  centre: readonly WeatherEntry[],
  count = 20,
  doubt = 1,
  knownAtMs: number | null = null,
): WeatherEntry[][] {
  const members: WeatherEntry[][] = [centre.map((e) => ({ ...e }))];
  for (let m = 1; m < count; m++) {
    const known = knownAtMs === null ? 0 : errorAt(seed, issueAtMs, m, knownAtMs).airK;
    members.push(
      centre.map((e) => {
        const ms = Date.parse(e.time);
        const error = errorAt(seed, issueAtMs, m, ms);
        const airK = knownAtMs === null ? error.airK : error.airK - known * fading(ms, knownAtMs);
        return shifted(e, scaled({ ...error, airK }, doubt), 1);
      }),
    );
  }
  return members;
}
