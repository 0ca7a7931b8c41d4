/**
 * Where entries wait on the device: IndexedDB, one for all tabs. Contract: what `add` has resolved for survives the tab; only
 * the tab that holds the lease sends; where the browser forbids storage every call rejects and the caller says so.
 */
import type { SentRecord } from '@fogata/contract';
import { under } from './house';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

export interface Refusal {
  record: SentRecord;
  why: string;
}

interface Schema extends DBSchema {
  waiting: { key: number; value: SentRecord; indexes: { id: string } };
  refused: { key: string; value: Refusal };
  lease: { key: string; value: { owner: string; untilAtMs: number } };
}

export interface OutboxStore {
  load(): Promise<{ waiting: SentRecord[]; refused: Refusal[] }>;
  add(list: readonly SentRecord[]): Promise<void>;
  remove(ids: readonly string[]): Promise<void>;
  refuse(record: SentRecord, why: string): Promise<void>;
  read(): Promise<void>;
  /** Takes the lease for so long where nobody holds it. Resolves to who holds it now. */
  take(owner: string, nowAtMs: number, forMs: number): Promise<string>;
  release(owner: string): Promise<void>;
}

let opening: Promise<IDBPDatabase<Schema>> | null = null;
function db(): Promise<IDBPDatabase<Schema>> {
  opening ??= openDB<Schema>(under('fogata'), 1, {
    upgrade(made) {
      made.createObjectStore('waiting', { autoIncrement: true }).createIndex('id', 'id', { unique: true });
      made.createObjectStore('refused');
      made.createObjectStore('lease');
    },
  });
  opening.catch(() => (opening = null));
  return opening;
}

export const indexedOutbox: OutboxStore = {
  async load() {
    const d = await db();
    return { waiting: await d.getAll('waiting'), refused: await d.getAll('refused') };
  },
  async add(list) {
    const tx = (await db()).transaction('waiting', 'readwrite', { durability: 'strict' });
    for (const r of list) if ((await tx.store.index('id').getKey(r.id)) === undefined) await tx.store.add(r);
    await tx.done;
  },
  async remove(ids) {
    const tx = (await db()).transaction('waiting', 'readwrite');
    for (const id of ids) {
      const key = await tx.store.index('id').getKey(id);
      if (key !== undefined) await tx.store.delete(key);
    }
    await tx.done;
  },
  async refuse(record, why) {
    const tx = (await db()).transaction(['waiting', 'refused'], 'readwrite');
    await tx.objectStore('refused').put({ record, why }, record.id);
    const waiting = tx.objectStore('waiting');
    const key = await waiting.index('id').getKey(record.id);
    if (key !== undefined) await waiting.delete(key);
    await tx.done;
  },
  async read() {
    await (await db()).clear('refused');
  },
  async take(owner, nowAtMs, forMs) {
    const tx = (await db()).transaction('lease', 'readwrite');
    const held = await tx.store.get('send');
    const free = !held || held.owner === owner || !(held.untilAtMs >= nowAtMs);
    if (free) await tx.store.put({ owner, untilAtMs: nowAtMs + forMs }, 'send');
    await tx.done;
    return free ? owner : held.owner;
  },
  async release(owner) {
    const tx = (await db()).transaction('lease', 'readwrite');
    if ((await tx.store.get('send'))?.owner === owner) await tx.store.delete('send');
    await tx.done;
  },
};
