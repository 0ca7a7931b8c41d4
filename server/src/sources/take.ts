/** Writes what comes in: issues, measured hours, temperatures. Contract: all of a delivery or nothing, and the revision moves with it. */
import type { FeedHour, FeedWeather } from '@fogata/contract';
import {
  append,
  entryFrom,
  HOUR_MS,
  nightOf,
  typedHours,
  SURENESS,
  withDewPoints,
  type FarmSite,
  type LoggedC,
  type Site,
  type TypedForecast,
  type WeatherEntry,
  isSaid,
  said,
  type Said,
  FORECAST_NAME,
} from '@fogata/core';
import { sql } from 'drizzle-orm';
import { createHash, randomUUID } from 'node:crypto';
import { chunks } from '../chunks';
import type { Db } from '../db/open';
import { forecasts, observations, temperatures } from '../db/schema';
import { writing } from '../db/write';
import { Problem } from '../problem';
import { weatherChanged } from './kept';

const refuse = (detail: Said, field: string) =>
  new Problem(422, said('refuse.field', { field, detail }), field);
const expect = (expected: Said, field: string) =>
  new Problem(422, said('refuse.expected', { field, expected }), field);

/** Where the dew point was estimated the whole forecast is doubted more. */
export const ESTIMATED_DOUBT = 1.25;

export interface NewIssue {
  id?: string;
  name: string;
  source: 'typed' | 'file' | 'push' | 'poll';
  issuedAtMs: number;
  entries: WeatherEntry[];
  doubt?: number;
  typed?: TypedForecast;
}

/** Keeps an issue; one that is already there, by its id, stays as it is. True where it is new. */
export async function takeIssue(db: Db, issue: NewIssue, nowAtMs: number): Promise<boolean> {
  return writing(db, async (tx) => {
    const rows = await tx
      .insert(forecasts)
      .values({
        id: issue.id ?? randomUUID(),
        name: issue.name,
        source: issue.source,
        issuedAtMs: issue.issuedAtMs,
        importedAtMs: nowAtMs,
        fromAtMs: Date.parse(issue.entries[0]!.time),
        toAtMs: Date.parse(issue.entries.at(-1)!.time),
        entries: issue.entries,
        doubt: issue.doubt ?? 1,
        typed: issue.typed ?? null,
        active: true,
      })
      .onConflictDoNothing()
      .returning({ id: forecasts.id });
    if (rows.length > 0) await weatherChanged(tx);
    return rows.length > 0;
  });
}

/** The typed forecast as hours up to the evening after its night: the night after that one asks again. */
export function typedIssue(
  t: TypedForecast,
  farm: FarmSite & Site,
  nowAtMs: number,
  id: string = randomUUID(),
): NewIssue & { id: string } {
  if (t.lowAtMs < nowAtMs - 2 * HOUR_MS || t.lowAtMs > nowAtMs + 36 * HOUR_MS)
    throw expect(said('want.comingNight'), 'lowAtMs');
  const night = nightOf(t.lowAtMs, farm);
  // told in the morning of the night to come, it says nothing of this morning
  const entries = typedHours(t, farm, Math.max(nowAtMs, night.fromAtMs), night.toAtMs + 8 * HOUR_MS);
  return {
    id,
    name: FORECAST_NAME.typed,
    source: 'typed',
    issuedAtMs: nowAtMs,
    entries,
    doubt: SURENESS[t.sure],
    typed: t,
  };
}

export async function takeTyped(
  db: Db,
  t: TypedForecast,
  farm: FarmSite & Site,
  nowAtMs: number,
): Promise<string> {
  const issue = typedIssue(t, farm, nowAtMs);
  await takeIssue(db, issue, nowAtMs);
  return issue.id;
}

/** Measured hours; a later word on an hour stands. Hours to come cannot have been measured. */
export async function takeObserved(
  db: Db,
  entries: readonly WeatherEntry[],
  source: string,
  nowAtMs: number,
): Promise<void> {
  const ahead = entries.findIndex((e) => Date.parse(e.time) > nowAtMs + HOUR_MS);
  if (ahead >= 0) throw expect(said('want.pastHours', { iso: entries[ahead]!.time }), 'hours');
  await writing(db, async (tx) => {
    for (const part of chunks(entries))
      await tx
        .insert(observations)
        .values(part.map((entry) => ({ atMs: Date.parse(entry.time), entry, source })))
        .onConflictDoUpdate({
          target: observations.atMs,
          set: { entry: sql`excluded.entry`, source: sql`excluded.source` },
        });
    await weatherChanged(tx);
  });
}

export async function takeTemperatures(
  db: Db,
  list: readonly LoggedC[],
  source: string,
  nowAtMs: number,
): Promise<void> {
  if (list.some((r) => r.atMs > nowAtMs + HOUR_MS)) throw expect(said('want.pastInstants'), 'readings');
  // of two at one instant the later row stands
  const rows = [...new Map(list.map((r) => [`${r.spot}/${r.atMs}`, { ...r, source }])).values()];
  await writing(db, async (tx) => {
    for (const part of chunks(rows))
      await tx
        .insert(temperatures)
        .values(part)
        .onConflictDoUpdate({
          target: [temperatures.spot, temperatures.atMs],
          set: { c: sql`excluded.c`, source: sql`excluded.source` },
        });
    await weatherChanged(tx);
  });
}

function entriesOf(hours: readonly FeedHour[]): { entries: WeatherEntry[]; estimated: boolean } {
  const entries: WeatherEntry[] = [];
  hours.forEach((h, i) => {
    const entry = entryFrom(Date.parse(h.time), {
      air: h.airC,
      wind: h.windMs,
      ...(h.dewPointC === undefined ? {} : { dew: h.dewPointC }),
      ...(h.humidity === undefined ? {} : { humidity: h.humidity }),
      ...(h.windFromDeg === undefined ? {} : { windFrom: h.windFromDeg }),
      ...(h.cloudFraction === undefined ? {} : { cloud: h.cloudFraction }),
      ...(h.globalWm2 === undefined ? {} : { global: h.globalWm2 }),
      ...(h.rainMm === undefined ? {} : { rain: h.rainMm }),
      ...(h.snowMm === undefined ? {} : { snow: h.snowMm }),
    });
    const problem = isSaid(entry) ? entry : append(entries, entry);
    if (problem !== null) throw refuse(problem, `hours[${i}]`);
  });
  return {
    entries: withDewPoints(entries),
    estimated: hours.some((h) => h.dewPointC === undefined && h.humidity === undefined),
  };
}

/** What a feed brought, pushed or polled; the same delivery twice is kept once. */
export async function takeFeed(
  db: Db,
  feed: FeedWeather,
  source: 'push' | 'poll',
  nowAtMs: number,
): Promise<{ hours: number; fresh: boolean }> {
  const { entries, estimated } = entriesOf(feed.hours);
  if (feed.kind === 'observed') {
    await takeObserved(db, entries, source, nowAtMs);
    return { hours: entries.length, fresh: true };
  }
  const issuedAtMs = feed.issued === undefined ? nowAtMs : Date.parse(feed.issued);
  if (issuedAtMs > nowAtMs + HOUR_MS) throw expect(said('want.past'), 'issued');
  const id = createHash('sha1')
    .update(JSON.stringify([feed.name, feed.issued ?? null, entries]))
    .digest('hex');
  const doubt = estimated ? ESTIMATED_DOUBT : 1;
  const fresh = await takeIssue(db, { id, name: feed.name, source, issuedAtMs, entries, doubt }, nowAtMs);
  return { hours: entries.length, fresh };
}
