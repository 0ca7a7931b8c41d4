/**
 * What a server is told as it starts. Contract: `readOrder(order, root)` gives where the farm is kept, at which door it listens, and by
 * how many threads; what cannot be is thrown as `CannotStart`, in a sentence that names the setting.
 */
import { starting as words } from '@fogata/words/en/told/starting';
import { join, resolve } from 'node:path';
import { isLoopback, type GuardOptions } from './guard';
import { usualThreads } from './night/pool';

/** Why it cannot start, in a sentence. */
export class CannotStart extends Error {}

export interface Order {
  /** As on the command line: `--demo`, `--practice FILE`, `--on DAY`, `--restore FILE`. */
  words: readonly string[];
  /** As in the environment: `PORT`, `HOST`, `DATABASE_URL` and what begins with `FOGATA_`. */
  settings: Readonly<Record<string, string | undefined>>;
  /** Where a rehearsal is kept while it lasts, made and taken away by whoever orders it; else null. */
  passing: string | null;
  say: (line: string) => void;
  warn: (line: string) => void;
}

export interface Read {
  demo: boolean;
  /** A backup, for a rehearsal on a day or for good. */
  practice: string | null;
  on: string | null;
  restore: string | null;
  directory: string;
  databaseUrl: string | null;
  port: number;
  threads: number;
  guard: GuardOptions;
  /** Fewer outcomes than the farm's own count, where that is wanted. */
  members: number | null;
}

/** What follows a word of the order, null without the word. */
function valueOf({ words }: Order, word: string): string | null {
  const at = words.indexOf(word);
  return at < 0 ? null : (words[at + 1] ?? '');
}

export function readOrder(order: Order, root: string): Read {
  const { settings, passing } = order;
  const demo = order.words.includes('--demo');
  const host = settings['HOST'] ?? '127.0.0.1';
  const passcode = settings['FOGATA_PASSCODE'] ?? null;
  if (!isLoopback(host) && (passcode === null || passcode.length < 8))
    throw new CannotStart(words.noPasscode(host));
  const port = Number(settings['PORT'] ?? (passing ? 4311 : 4310));
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new CannotStart(words.notAPort(settings['PORT']));
  const threads = Number(settings['FOGATA_THREADS'] ?? usualThreads());
  if (!Number.isInteger(threads) || threads < 1 || threads > 64)
    throw new CannotStart(words.notThreads(settings['FOGATA_THREADS']));
  return {
    demo,
    practice: valueOf(order, '--practice'),
    on: valueOf(order, '--on'),
    restore: valueOf(order, '--restore'),
    directory: passing ?? resolve(settings['FOGATA_DATA'] ?? join(root, demo ? '.fogata-demo' : '.fogata')),
    databaseUrl: passing ? null : settings['DATABASE_URL'] || null,
    port,
    threads,
    guard: {
      host,
      names: (settings['FOGATA_NAMES'] ?? '')
        .split(',')
        .map((n) => n.trim())
        .filter(Boolean),
      passcode: isLoopback(host) && !settings['FOGATA_PASSCODE'] ? null : passcode,
    },
    members: settings['FOGATA_MEMBERS'] ? Number(settings['FOGATA_MEMBERS']) : null,
  };
}
