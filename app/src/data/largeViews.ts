/**
 * Large views kept on the device, so that a screen opens without signal. Contract: `keepView(path, view)` keeps the last one, `keptView(path)` gives
 * it with the moment it was kept; null where there is none or the browser keeps nothing. What is small is in `storage`.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { under } from './house';

export interface KeptView<T> {
  view: T;
  keptMs: number;
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
    await (await db()).put('views', { view, keptMs: Date.now() }, path);
  } catch {
    // a screen less without signal, and nothing else
  }
}

export async function keptView<T>(path: string): Promise<KeptView<T> | null> {
  try {
    return ((await (await db()).get('views', path)) as KeptView<T> | undefined) ?? null;
  } catch {
    return null;
  }
}
