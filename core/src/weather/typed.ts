/**
 * A forecast as one reads it aloud: lowest and when, highest, wind, sky, how sure. Contract: `typedHours` shapes hours from it,
 * from the hour of `fromAtMs` on; `SURENESS` says how far each degree of sureness spreads them.
 *
 * Day: half a sine from the lowest on; night: an exponential fall from sundown to the lowest (Parton and Logan, Agricultural
 * Meteorology 23, 1981: the peak lags noon by half of a = 1.86 h, night coefficient b = 2.2). Dew point from the lowest:
 * FAO-56, equation 48 (the lowest less 0 to 2 K, more under a clear sky).
 */
import type { Site, WeatherEntry } from '../heat/types';
import { sunTimes } from '../sky/sun';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const LAG_H = 1.86;
const NIGHT_B = 2.2;

export const SURE = ['sure', 'usual', 'doubtful'] as const;
export type Sure = (typeof SURE)[number];
/** How much wider the members stand than a forecast's usual error. Hours shaped by hand are never narrower than usual. */
export const SURENESS: Record<Sure, number> = { sure: 1, usual: 1.25, doubtful: 1.8 };

export interface TypedForecast {
  /** Lowest of the coming night, °C, and when. */
  lowC: number;
  lowAtMs: number;
  /** Highest by day, °C: of today's rest and of tomorrow. */
  highC: number;
  windMs: number;
  /** 0 clear to 1 overcast. */
  cloud: number;
  sure: Sure;
  /** Rain, and fresh snow as it lies, of the whole night, mm; left out, none. It falls evenly from dusk to the lowest. */
  rainMm?: number | undefined;
  snowMm?: number | undefined;
}

interface Day {
  riseAtMs: number;
  setAtMs: number;
}

/** Sunrise and sunset of the day in which the night's lowest lies; where the sun does not cross, a day of a guess. */
function dayOfLow(site: Site, lowAtMs: number): Day {
  // the sun's day is asked for around noon, so that the low lies in its morning
  const sun = sunTimes(lowAtMs + 6 * HOUR_MS, site.latitude, site.longitude);
  return sun ?? { riseAtMs: lowAtMs, setAtMs: lowAtMs + 8 * HOUR_MS };
}

/**
 * Hours from that of `fromAtMs` to `toAtMs`; the night before the lowest, the day after it, and the evening that follows.
 * @example typedHours({ lowC: -4, lowAtMs: START_MS + 18 * 3_600_000, highC: 6, windMs: 1, cloud: 0.2, sure: 'usual' }, SITE, START_MS, START_MS + 24 * 3_600_000).length // 25
 */
export function typedHours(t: TypedForecast, site: Site, fromAtMs: number, toAtMs: number): WeatherEntry[] {
  const { riseAtMs, setAtMs } = dayOfLow(site, t.lowAtMs);
  const dayMs = setAtMs - riseAtMs;
  const swing = t.highC - t.lowC;
  const sine = (ms: number) => Math.sin((Math.PI * (ms - riseAtMs)) / (dayMs + 2 * LAG_H * HOUR_MS));
  const peakAtMs = Math.max(t.lowAtMs + HOUR_MS, riseAtMs + dayMs / 2 + LAG_H * HOUR_MS);
  const duskC = t.lowC + swing * Math.max(0.15, sine(setAtMs));
  /** Night from sundown `from` to the lowest at `to`. */
  const fall = (ms: number, from: number, to: number) => {
    const x = Math.min(1, Math.max(0, (ms - from) / Math.max(HOUR_MS, to - from)));
    const left = (Math.exp(-NIGHT_B * x) - Math.exp(-NIGHT_B)) / (1 - Math.exp(-NIGHT_B));
    return t.lowC + (duskC - t.lowC) * left;
  };
  const airAt = (ms: number): number => {
    const yesterdaySet = setAtMs - DAY_MS;
    if (ms <= t.lowAtMs) {
      if (ms >= yesterdaySet) return fall(ms, yesterdaySet, t.lowAtMs);
      // the rest of the day before, as warm as the next
      return t.lowC + swing * Math.max(0.15, sine(ms + DAY_MS));
    }
    if (ms <= peakAtMs)
      return t.lowC + swing * Math.sin((Math.PI / 2) * ((ms - t.lowAtMs) / (peakAtMs - t.lowAtMs)));
    if (ms <= setAtMs) return t.lowC + swing * Math.max(0.15, sine(ms));
    return fall(ms, setAtMs, t.lowAtMs + DAY_MS);
  };
  const fallFromAtMs = Math.min(Math.max(fromAtMs, setAtMs - DAY_MS), t.lowAtMs - HOUR_MS);
  const falls = (ms: number) => ms > fallFromAtMs && ms <= t.lowAtMs;
  const hourAt = (ms: number) => Math.floor(ms / HOUR_MS);
  const fallHours = Math.max(1, hourAt(t.lowAtMs) - hourAt(fallFromAtMs));
  const dewC = t.lowC - 2 * (1 - t.cloud);
  const hours: WeatherEntry[] = [];
  for (let ms = Math.floor(fromAtMs / HOUR_MS) * HOUR_MS; ms <= toAtMs; ms += HOUR_MS) {
    // an hour that holds the lowest shows it, wherever in it that falls
    const airC = Math.abs(ms - t.lowAtMs) <= HOUR_MS / 2 ? t.lowC : airAt(ms);
    hours.push({
      time: new Date(ms).toISOString(),
      airC,
      dewPointC: Math.min(airC - 0.1, dewC),
      windMs: t.windMs,
      cloudFraction: t.cloud,
      rainMm: falls(ms) ? (t.rainMm ?? 0) / fallHours : 0,
      snowMm: falls(ms) ? (t.snowMm ?? 0) / fallHours : 0,
    });
  }
  return hours;
}
