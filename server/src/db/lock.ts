/**
 * One process for one data directory: PGlite opens a directory twice without a word and then loses rows.
 * The lock is a file with pid and start time; one whose process is gone is stale and taken over.
 */
import { linkSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export class DirectoryInUse extends Error {}

interface Holder {
  pid: number;
  started: string;
}

/** When a process started, in the kernel's ticks; empty where the system does not tell. */
function startOf(pid: number): string {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? '';
  } catch {
    return '';
  }
}

function alive(holder: Holder): boolean {
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
  writeFileSync(mine, JSON.stringify({ pid: process.pid, started: startOf(process.pid) }));
  try {
    for (let attempt = 0; attempt < 3; attempt++) {
      try {
        // a link appears whole or not at all, and fails where one is
        linkSync(mine, path);
        return () => {
          if (readHolder(path)?.pid === process.pid) rmSync(path, { force: true });
        };
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
      }
      const holder = readHolder(path);
      if (holder && alive(holder)) {
        throw new DirectoryInUse(
          `Another Fogata (process ${holder.pid}) is using ${directory}. Stop it first, or set FOGATA_DATA to another directory.`,
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
