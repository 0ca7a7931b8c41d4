/**
 * A true weather for any place and time from a seed: season by latitude and elevation, fronts of a few days, cloud that
 * follows them, wind, days that warm and clear still nights that cool. Invented, but with the habits of the real one.
 * Times epoch ms, hourly values are instantaneous.
 */
import type { Site, WeatherEntry } from '../src/heat/types';
import { sunTimes, sunPosition } from '../src/sky/sun';
import { smoothNoise } from '../src/weather/noise';

const HOUR_MS = 3_600_000;

/** A stretch of days whose weather is given rather than drawn, eased in and out over six hours. */
export interface Episode {
  fromAtMs: number;
  toAtMs: number;
  /** Daily mean, °C. */
  meanC: number;
  cloud: number;
  windMs: number;
  /** Daily mean minus dew point, K. */
  drynessK: number;
}

export interface WeatherSeed {
  seed: number;
  site: Site;
  episodes?: readonly Episode[];
}

interface Mood {
  meanC: number;
  cloud: number;
  windMs: number;
  drynessK: number;
}

/** Mean of the year, °C: 27 at the equator's sea level, falling with latitude and 6.5 K a kilometre. */
export function climateMeanC(site: Site): number {
  return 27 - 0.0065 * (site.elevationM ?? 0) - 0.36 * Math.max(0, Math.abs(site.latitude) - 15);
}

/** Mean of the season, °C: a cosine that turns a month after the solstice. */
export function seasonMeanC(site: Site, ms: number): number {
  const year = (ms / HOUR_MS / 24 / 365.2425 + 0) % 1;
  const warmest = site.latitude >= 0 ? 0.56 : 0.06;
  return climateMeanC(site) + 0.23 * Math.abs(site.latitude) * Math.cos(2 * Math.PI * (year - warmest));
}

function mood(w: WeatherSeed, ms: number): Mood {
  const h = ms / HOUR_MS;
  const s = w.seed;
  const fronts = 0.7 * smoothNoise(s, 1, h, 60) + 0.7 * smoothNoise(s, 2, h, 150);
  const drawn: Mood = {
    meanC: seasonMeanC(w.site, ms) + 3.6 * fronts,
    cloud: 1 / (1 + Math.exp(-(2.2 * smoothNoise(s, 3, h, 22) + 0.6 * fronts))),
    windMs: 2.4 * Math.exp(0.55 * smoothNoise(s, 4, h, 16) + 0.2 * smoothNoise(s, 5, h, 3)),
    drynessK: 4.5 + 1.5 * smoothNoise(s, 6, h, 40),
  };
  for (const e of w.episodes ?? []) {
    const k = Math.min(1, Math.max(0, Math.min(ms - e.fromAtMs, e.toAtMs - ms) / (6 * HOUR_MS) + 0.5));
    if (k <= 0) continue;
    const small = 0.6 * smoothNoise(s, 7, h, 9);
    drawn.meanC += k * (e.meanC + 0.4 * small - drawn.meanC);
    drawn.cloud += k * (Math.min(1, Math.max(0, e.cloud + 0.06 * small)) - drawn.cloud);
    drawn.windMs += k * (e.windMs * Math.exp(0.25 * small) - drawn.windMs);
    drawn.drynessK += k * (e.drynessK - drawn.drynessK);
  }
  return drawn;
}

/** −1 at sunrise, +1 two and a half hours after noon; falls fast at dusk and slowly towards dawn. */
function dailyShape(site: Site, ms: number): number {
  const times = sunTimes(ms, site.latitude, site.longitude);
  if (!times) return Math.sin((2 * Math.PI * ((ms / HOUR_MS + site.longitude / 15 - 9) % 24)) / 24);
  const peak = times.noonAtMs + 2.5 * HOUR_MS;
  if (ms >= times.riseAtMs && ms <= peak)
    return -Math.cos((Math.PI * (ms - times.riseAtMs)) / (peak - times.riseAtMs));
  const fromPeak = ms > peak ? peak : peak - 24 * HOUR_MS;
  const toRise = ms > peak ? times.riseAtMs + 24 * HOUR_MS : times.riseAtMs;
  const x = (ms - fromPeak) / (toRise - fromPeak);
  return 1 - (2 * Math.pow(x, 0.62) * (1 - 0.12 * x)) / 0.88;
}

/** The true weather at an instant. */
export function trueWeather(w: WeatherSeed, ms: number): WeatherEntry {
  const m = mood(w, ms);
  const noonSun = sunPosition(
    ms - (ms % (24 * HOUR_MS)) + (12 - w.site.longitude / 15) * HOUR_MS,
    w.site.latitude,
    w.site.longitude,
  );
  const sun = Math.max(0.15, noonSun.cosZenith);
  const calm = 1 / (1 + m.windMs / 6);
  const amplitude = (3.5 + 5.5 * sun) * (1 - 0.72 * m.cloud) * (0.5 + 0.7 * calm);
  const airC = m.meanC + amplitude * dailyShape(w.site, ms);
  const dewPointC = Math.min(airC - 0.2, m.meanC - m.drynessK * (1 - 0.6 * m.cloud));
  const wet = m.cloud > 0.85 ? smoothNoise(w.seed, 8, ms / HOUR_MS, 4) : -1;
  const fall = wet > 0.9 ? (wet - 0.9) * 2.5 : 0;
  return {
    time: new Date(ms).toISOString(),
    airC: Math.round(airC * 100) / 100,
    dewPointC: Math.round(dewPointC * 100) / 100,
    windMs:
      Math.round(Math.max(0.1, m.windMs * (0.75 + 0.4 * Math.max(0, dailyShape(w.site, ms)))) * 100) / 100,
    cloudFraction: Math.round(m.cloud * 100) / 100,
    rainMm: airC > 1 && w.episodes === undefined ? Math.round(fall * 10) / 10 : 0,
    windFromDeg: Math.round((270 + 70 * smoothNoise(w.seed, 9, ms / HOUR_MS, 40) + 720) % 360),
    snowMm: airC <= 1 && w.episodes === undefined ? Math.round(fall * 80) / 10 : 0,
  };
}

/** Hourly true weather from `fromAtMs` to `toAtMs`, both included, on whole hours. */
export function trueHours(w: WeatherSeed, fromAtMs: number, toAtMs: number): WeatherEntry[] {
  const hours: WeatherEntry[] = [];
  for (let ms = Math.floor(fromAtMs / HOUR_MS) * HOUR_MS; ms <= toAtMs; ms += HOUR_MS)
    hours.push(trueWeather(w, ms));
  return hours;
}
