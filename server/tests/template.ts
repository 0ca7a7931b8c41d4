/**
 * A farm made once a run and copied by every suite. Contract: `madeOnce(name, make)` gives the dump that the first caller of this
 * run made, whichever process it is in; without FOGATA_TEMPLATES (a suite by itself) it is null, and a farm is made from nothing.
 */
import { existsSync, mkdirSync, openAsBlob, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

/** Longer than the slowest making: whoever began it is gone then, and it is made here. */
const PATIENCE_MS = 280_000;

export async function madeOnce(name: string, make: () => Promise<Blob>): Promise<Blob | null> {
  const directory = process.env['FOGATA_TEMPLATES'];
  if (directory === undefined) return null;
  const file = join(directory, name);
  const making = `${file}.making`;
  const until = Date.now() + PATIENCE_MS;
  while (!existsSync(file)) {
    try {
      mkdirSync(making);
    } catch {
      if (Date.now() < until) {
        await sleep(100);
        continue;
      }
    }
    try {
      const dump = await make();
      writeFileSync(`${making}.tar`, Buffer.from(await dump.arrayBuffer()));
      renameSync(`${making}.tar`, file);
    } finally {
      rmSync(making, { recursive: true, force: true });
    }
  }
  return openAsBlob(file);
}
