/**
 * One process for one data directory: PGlite opens a directory twice without a word and then loses rows.
 * The lock is a file with pid and start time; one whose process is gone is stale and taken over. A pid says nothing in
 * another container or on another machine: there the lock holds while its file is fresh, and its holder keeps it so.
 */
import {
  linkSync,
  mkdirSync,
  readFileSync,
  readlinkSync,
  renameSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';

export class DirectoryInUse extends Error {}

interface Holder {
  pid: number;
  started: string;
  /** In whose numbers `pid` is: this machine's since it was started, and the container's. */
  among?: string;
}

/** The holder touches its lock so often; one that was not touched for so long is nobody's. */
const TOUCH_MS = 10_000;
const STALE_MS = 120_000;

function among(): string {
  const read = (f: () => string) => {
    try {
      return f().trim();
    } catch {
      return '';
    }
  };
  const boot = read(() => readFileSync('/proc/sys/kernel/random/boot_id', 'utf8'));
  return `${boot || hostname()} ${read(() => readlinkSync('/proc/self/ns/pid'))}`;
}

const touchedAtMs = (path: string): number => {
  try {
    return statSync(path).mtimeMs;
  } catch {
    return 0;
  }
};

/** When a process started, in the kernel's ticks; empty where the system does not tell. */
function startOf(pid: number): string {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? '';
  } catch {
    return '';
  }
}

function alive(holder: Holder, path: string): boolean {
  if (holder.among !== undefined && holder.among !== among())
    return Math.abs(Date.now() - touchedAtMs(path)) < STALE_MS;
  try {
    process.kill(holder.pid, 0);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ESRCH') return false;
  }
  const started = startOf(holder.pid);
  // the same pid may have gone to another program since
  return started === '' || holder.started === '' || started === holder.started;
}

function readHolder(path: string): Holder | null {
  try {
    return JSON.parse(readFileSync(path, 'utf8')) as Holder;
  } catch {
    return null;
  }
}

/** Takes the lock or throws `DirectoryInUse`; the return releases it. */
export function lockDirectory(directory: string): () => void {
  mkdirSync(directory, { recursive: true });
  const path = join(directory, 'fogata.lock');
  const mine = join(directory, `fogata.lock.${process.pid}`);
  writeFileSync(mine, JSON.stringify({ pid: process.pid, started: startOf(process.pid), among: among() }));
  try {
    for (let attempt = 0; attempt < 3; attempt++) {
      try {
        // a link appears whole or not at all, and fails where one is
        linkSync(mine, path);
        const touch = setInterval(() => {
          const now = new Date();
          try {
            utimesSync(path, now, now);
          } catch {
            // a disk that is away for a moment; the next touch tells
          }
        }, TOUCH_MS);
        touch.unref();
        return () => {
          clearInterval(touch);
          if (readHolder(path)?.pid === process.pid) rmSync(path, { force: true });
        };
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
      }
      const holder = readHolder(path);
      if (holder && alive(holder, path)) {
        throw new DirectoryInUse(
          holder.among !== undefined && holder.among !== among()
            ? `A Fogata in another container or on another machine is using ${directory}. Stop it first; where it is gone already, try again in two minutes.`
            : `Another Fogata (process ${holder.pid}) is using ${directory}. Stop it first, or set FOGATA_DATA to another directory.`,
        );
      }
      // stale: move it aside, so that of two that notice at once only one wins the next link
      const aside = `${mine}.stale`;
      try {
        renameSync(path, aside);
        rmSync(aside, { force: true });
      } catch {
        // someone else moved it first; try again
      }
    }
    throw new DirectoryInUse(
      `${directory} is being opened by another Fogata right now. Try again in a moment.`,
    );
  } finally {
    rmSync(mine, { force: true });
  }
}
