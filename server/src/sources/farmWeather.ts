/**
 * A farm's weather at a moment. Contract: `past` gives every hour with what it is worth; `coming` a forecast that reaches
 * through the night, or what is lacking; `key` changes when either may have. Nothing here invents an hour of a night to come.
 */
import {
  ensemble,
  HOUR_MS,
  hoursOf,
  issueFor,
  movedCentre,
  partedBy,
  pastHours,
  type Issue,
  type Lack,
  type NightWindow,
  type OutsideLow,
  type Parted,
  type PastHours,
  type Site,
  type WeatherEntry,
} from '@fogata/core';
import type { Measured } from '@fogata/core/planning';
import { createHash } from 'node:crypto';
import { OUTSIDE } from '../night/spots';
import type { Sources, Thermometers, ThermometerSpot } from './ports';

export interface Forecast {
  id: string;
  issuedAtMs: number;
  name: string;
  source: Issue['source'];
  members: WeatherEntry[][];
  /** Its last hour: beyond it nothing is said. */
  untilAtMs: number;
  /** How far the last hours' air is off what was said of them; null where that is not known or hardly so. */
  parted: Parted | null;
}

export type Coming = Forecast | Lack;
export const isForecast = (c: Coming): c is Forecast => 'members' in c;

/** Known days beyond both ends that guesses may lean on. */
const AROUND_MS = 3 * 24 * HOUR_MS;

/** A forecast that ran out so long ago is still named as the last one. */
const SPENT_MS = 10 * 24 * HOUR_MS;

export interface FarmWeather {
  key: string;
  thermometers: Thermometers;
  past(fromAtMs: number, toAtMs: number): Promise<PastHours>;
  coming(window: NightWindow, fromAtMs: number, toAtMs: number): Coming;
}

/**
 * A number from what an issue says, so that its members are the same whenever they are drawn, and brought a second time it is the same
 * night again. What was typed is named by the device and keeps that name from the asked night to the kept one; a stand-in has one as well.
 */
const seedOf = ({ id, source, entries }: Issue): number => {
  const said = source === 'typed' || source === 'simulated' ? id : JSON.stringify(entries);
  return createHash('sha1').update(said).digest().readInt32BE(0);
};

/** How far the night has to be known: two hours past sunrise, when what froze has been seen; noon where it does not rise. */
export function needAtMs(window: NightWindow, nowAtMs: number): number {
  const dawn = window.sunriseAtMs === null ? window.toAtMs - 3 * HOUR_MS : window.sunriseAtMs + 2 * HOUR_MS;
  return Math.min(window.toAtMs, Math.max(dawn, nowAtMs));
}

const LAST_H = 3;
/** Air of the last hours as it was measured: by a station, else by a thermometer that hangs outside. */
async function lastHours(sources: Sources, site: Site, nowAtMs: number): Promise<WeatherEntry[]> {
  const measured = await sources.observed.hours(nowAtMs - LAST_H * HOUR_MS, nowAtMs);
  if (measured.length > 0) return measured;
  const spot = { id: OUTSIDE, specs: null, structureLayer: 0, site, weather: [] };
  const read = await hoursAt(sources.thermometers, spot, nowAtMs);
  return read.map(({ atMs, airC }) => ({
    time: new Date(atMs).toISOString(),
    airC,
    dewPointC: airC - 1,
    windMs: 1,
    cloudFraction: 0.5,
  }));
}

/** The last full hours at a thermometer, the newest first; what it did not show is left out. */
export async function hoursAt(
  thermometers: Thermometers,
  spot: ThermometerSpot,
  nowAtMs: number,
): Promise<Measured[]> {
  const full = Math.floor(nowAtMs / HOUR_MS) * HOUR_MS;
  const read = await Promise.all(
    Array.from({ length: LAST_H }, async (_, h): Promise<Measured | null> => {
      const atMs = full - h * HOUR_MS;
      const half = HOUR_MS / 2;
      // an hour that is not over yet would begin the night anew with every reading
      if (atMs + half > nowAtMs) return null;
      const r = await thermometers.read(spot, atMs - half, atMs + half);
      return r && { atMs, airC: (r.minC + r.maxC) / 2 };
    }),
  );
  return read.filter((e): e is Measured => e !== null);
}

export async function farmWeather(
  sources: Sources,
  site: Site,
  nowAtMs: number,
  lows: readonly OutsideLow[],
  memberCount: number,
): Promise<FarmWeather> {
  const [issues, revision, last] = await Promise.all([
    sources.issued.issues(nowAtMs, nowAtMs),
    sources.revision(nowAtMs),
    lastHours(sources, site, nowAtMs),
  ]);
  const key = createHash('sha1')
    .update(JSON.stringify([issues.map((i) => i.id), revision, lows, last.map((e) => e.airC)]))
    .digest('hex');
  // where nothing reaches past now, the last that did is named
  const spent =
    issues.length > 0 ? [] : (await sources.issued.issues(nowAtMs, nowAtMs - SPENT_MS)).slice(0, 1);
  return {
    key,
    thermometers: sources.thermometers,
    past: async (fromAtMs, toAtMs) => {
      const [observed, held] = await Promise.all([
        sources.observed.hours(fromAtMs - AROUND_MS, Math.min(nowAtMs, toAtMs + AROUND_MS)),
        sources.issued.issues(nowAtMs, fromAtMs - AROUND_MS),
      ]);
      return pastHours({ observed, issues: held, lows }, site, fromAtMs, toAtMs);
    },
    coming: (window, fromAtMs, toAtMs) => {
      const issue = issueFor(issues.length > 0 ? issues : spent, nowAtMs, needAtMs(window, nowAtMs));
      if ('why' in issue) return issue;
      const parted = partedBy(issue, last, nowAtMs);
      const said = hoursOf(issue, fromAtMs, toAtMs);
      const centre = parted ? movedCentre(said, parted, nowAtMs) : said;
      const issuedAtMs = Math.min(issue.issuedAtMs, nowAtMs);
      return {
        id: issue.id,
        issuedAtMs,
        name: issue.name,
        source: issue.source,
        untilAtMs: Date.parse(issue.entries.at(-1)!.time),
        members: ensemble(
          seedOf(issue),
          issuedAtMs,
          centre,
          memberCount,
          issue.doubt,
          parted ? nowAtMs : null,
        ),
        parted,
      };
    },
  };
}
