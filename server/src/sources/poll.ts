/**
 * Asks an address that the grower gave for the weather, every quarter of an hour. Contract: `pollOnce` says how it
 * went and never throws; an answer is the body of `POST /api/feed/weather`, at most 2 MB within ten seconds, not redirected.
 */
import { feedWeatherSchema, firstProblem } from '@fogata/contract';
import { said, type Said } from '@fogata/core';
import { fault } from '../fault';
import { alone, type Locks } from '../db/locks';
import type { Db } from '../db/open';
import { readMeta, writeMeta } from '../farm/store';
import { takeFeed } from './take';

const EVERY_MS = 15 * 60_000;
/** How often it is looked whether it is time to. */
const LOOK_MS = 60_000;
const TIME_MS = 10_000;
const MOST_BYTES = 2_000_000;

/** Why nothing came of asking. */
class InVain extends Error {
  constructor(readonly why: Said) {
    super(why.say);
  }
}

interface PollState {
  url: string;
  lastAtMs: number | null;
  went: Said;
}

export async function pollState(db: Db): Promise<PollState | null> {
  const text = await readMeta(db, 'poll');
  const kept = text ? (JSON.parse(text) as (Omit<PollState, 'went'> & { went?: Said }) | null) : null;
  // an older Fogata kept how it went in words
  return (
    kept && {
      url: kept.url,
      lastAtMs: kept.lastAtMs,
      went: kept.went ?? said(kept.lastAtMs === null ? 'poll.notAsked' : 'poll.asked'),
    }
  );
}

export async function setPoll(db: Db, url: string | null): Promise<void> {
  await writeMeta(
    db,
    'poll',
    JSON.stringify(url === null ? null : { url, lastAtMs: null, went: said('poll.notAsked') }),
  );
}

async function bodyOf(url: string): Promise<unknown> {
  const response = await fetch(url, {
    redirect: 'error',
    signal: AbortSignal.timeout(TIME_MS),
    headers: { accept: 'application/json' },
  });
  if (!response.ok) throw new InVain(said('poll.status', { status: response.status }));
  let text = '';
  const decoder = new TextDecoder();
  for await (const chunk of response.body ?? []) {
    text += decoder.decode(chunk as Uint8Array, { stream: true });
    if (text.length > MOST_BYTES) throw new InVain(said('poll.large'));
  }
  try {
    return JSON.parse(text);
  } catch {
    throw new InVain(said('poll.notJson'));
  }
}

function whyOf(error: unknown): Said | string {
  if (error instanceof InVain) return error.why;
  const e = error as Error;
  if (e.name === 'TimeoutError') return said('poll.silent');
  if (e.name === 'TypeError') return said('poll.away');
  return e.message;
}

export async function pollOnce(db: Db, nowAtMs: number): Promise<PollState | null> {
  const state = await pollState(db);
  if (!state) return null;
  let went: Said;
  try {
    const read = feedWeatherSchema.safeParse(await bodyOf(state.url), { reportInput: true });
    if (!read.success) throw new InVain(said('poll.notTaken', { why: firstProblem(read.error, 'body') }));
    const { hours, fresh } = await takeFeed(db, read.data, 'poll', nowAtMs);
    went = fresh ? said('poll.taken', { hours }) : said('poll.nothingNew');
  } catch (error) {
    went = said('poll.inVain', { why: whyOf(error) });
  }
  const next = { ...state, lastAtMs: nowAtMs, went };
  // the address may have been changed meanwhile: then this answer says nothing about the new one
  if ((await pollState(db))?.url === state.url) await writeMeta(db, 'poll', JSON.stringify(next));
  return next;
}

/** Asks where nobody has for as long as that, this server or another; true where it asked. */
export async function pollDue(db: Db, nowAtMs: number): Promise<boolean> {
  const state = await pollState(db);
  if (!state || (state.lastAtMs !== null && Math.abs(nowAtMs - state.lastAtMs) < EVERY_MS - LOOK_MS))
    return false;
  await pollOnce(db, nowAtMs);
  return true;
}

/** Asks now and again, one of several servers; the return stops it. */
export function startPolling(db: Db, locks: Locks, nowAtMs: () => number): () => void {
  const ask = () =>
    void alone(locks, 'poll', () => pollDue(db, nowAtMs())).catch((e: Error) => fault('weather', e));
  ask();
  const timer = setInterval(ask, LOOK_MS);
  return () => clearInterval(timer);
}
