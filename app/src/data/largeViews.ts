/**
 * Large views kept on the device, so that a screen opens without signal. Contract: `keepView(path, view)` keeps the last one, `keptView(asked)` gives
 * it with the moment it was kept; null where there is none, the browser keeps nothing, or it is one that this page no longer knows. What is small
 * is in `storage`.
 */
import type { Call } from '@fogata/contract/client';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { under } from './house';

export interface KeptView<T> {
  view: T;
  keptAtMs: number;
}
interface Schema extends DBSchema {
  views: { key: string; value: KeptView<unknown> };
}

let opening: Promise<IDBPDatabase<Schema>> | null = null;
function db(): Promise<IDBPDatabase<Schema>> {
  opening ??= openDB<Schema>(under('fogata-views'), 1, {
    upgrade(made) {
      made.createObjectStore('views');
    },
  });
  opening.catch(() => (opening = null));
  return opening;
}

export async function keepView(path: string, view: unknown): Promise<void> {
  try {
    await (await db()).put('views', { view, keptAtMs: Date.now() }, path);
  } catch {
    // a screen less without signal, and nothing else
  }
}

export async function keptView<T>({ address, answer }: Call<T>): Promise<KeptView<T> | null> {
  try {
    const kept = (await (await db()).get('views', address)) as KeptView<T> | undefined;
    return kept && answer.safeParse(kept.view).success ? kept : null;
  } catch {
    return null;
  }
}
