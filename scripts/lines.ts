/** What the command lines share. Contract: one line on standard error that says what is wrong, and exit 2. */
import type { Said } from '@fogata/core';
import { PLAIN, told } from '@fogata/core/words';
import { readFileSync } from 'node:fs';

export function refuse(why: string | Said, of?: string): never {
  process.stderr.write(`${of === undefined ? '' : `${of}: `}${told(why, PLAIN) as string}\n`);
  process.exit(2);
}

/** A file, or standard input for `-`, as text; null where it cannot be read. */
export function textOf(path: string): string | null {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch {
    return null;
  }
}

export function jsonOf(path: string): unknown {
  const text = textOf(path) ?? refuse(`${path}: cannot be read`);
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    return refuse(`${path}: not JSON: ${(error as Error).message}`);
  }
}

export const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value, null, 1)}\n`);
