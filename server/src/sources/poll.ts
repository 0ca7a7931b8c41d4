/**
 * Asks an address that the grower gave for the weather, every quarter of an hour. Contract: `pollOnce` says in words how it
 * went and never throws; an answer is the body of `POST /api/feed/weather`, at most 2 MB within ten seconds, not redirected.
 */
import { feedWeatherSchema, firstProblem } from '@fogata/contract';
import { alone, type Locks } from '../db/locks';
import type { Db } from '../db/open';
import { readMeta, writeMeta } from '../farm/store';
import { takeFeed } from './take';

const EVERY_MS = 15 * 60_000;
/** How often it is looked whether it is time to. */
const LOOK_MS = 60_000;
const TIME_MS = 10_000;
const MOST_BYTES = 2_000_000;

interface PollState {
  url: string;
  lastAtMs: number | null;
  words: string;
}

export async function pollState(db: Db): Promise<PollState | null> {
  const text = await readMeta(db, 'poll');
  return text ? (JSON.parse(text) as PollState | null) : null;
}

export async function setPoll(db: Db, url: string | null): Promise<void> {
  await writeMeta(
    db,
    'poll',
    JSON.stringify(url === null ? null : { url, lastAtMs: null, words: 'Not asked yet.' }),
  );
}

async function bodyOf(url: string): Promise<unknown> {
  const response = await fetch(url, {
    redirect: 'error',
    signal: AbortSignal.timeout(TIME_MS),
    headers: { accept: 'application/json' },
  });
  if (!response.ok) throw new Error(`it answered ${response.status}`);
  let text = '';
  const decoder = new TextDecoder();
  for await (const chunk of response.body ?? []) {
    text += decoder.decode(chunk as Uint8Array, { stream: true });
    if (text.length > MOST_BYTES) throw new Error('its answer is larger than 2 MB');
  }
  try {
    return JSON.parse(text);
  } catch {
    throw new Error('its answer is not JSON');
  }
}

function wordsOf(error: unknown): string {
  const e = error as Error;
  if (e.name === 'TimeoutError') return 'it did not answer within ten seconds';
  if (e.name === 'TypeError') return 'it could not be reached';
  return e.message;
}

export async function pollOnce(db: Db, nowAtMs: number): Promise<PollState | null> {
  const state = await pollState(db);
  if (!state) return null;
  let words: string;
  try {
    const read = feedWeatherSchema.safeParse(await bodyOf(state.url), { reportInput: true });
    if (!read.success) throw new Error(`its answer was not taken: ${firstProblem(read.error)}`);
    const { hours, fresh } = await takeFeed(db, read.data, 'poll', nowAtMs);
    words = fresh ? `${hours} hours taken.` : 'Nothing new.';
  } catch (error) {
    words = `Asked in vain: ${wordsOf(error)}.`;
  }
  const next = { ...state, lastAtMs: nowAtMs, words };
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
    void alone(locks, 'poll', () => pollDue(db, nowAtMs())).catch((e: Error) =>
      process.stderr.write(`poll: ${e.message}\n`),
    );
  ask();
  const timer = setInterval(ask, LOOK_MS);
  return () => clearInterval(timer);
}
