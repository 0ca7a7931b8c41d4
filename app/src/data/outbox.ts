/**
 * The outbox: entries wait on the device until the server has them, in order, each with its own id so that sending twice keeps
 * one. Contract: an entry leaves it when our server says that it has it, or refuses it by naming a field; then it is kept with
 * the reason until it has been read. Anything else (no signal, a portal's page, a server in trouble) is a reason to wait, longer
 * each time. One bad entry never holds up the rest.
 */
import { api, call, Strange } from '@fogata/contract/client';
import type { SentRecord } from '@fogata/contract';
import { NoServer, Refused, request } from './api';
import { newId } from './id';
import { indexedOutbox, type OutboxStore, type Refusal } from './outboxStore';
import { readStored, store } from './storage';
import { Tabs } from './tabs';

type Listener = () => void;

const BATCH = 100;
const TIME_MS = 10_000;
/** Another tab that began to send and still answers is given so long. */
const LEASE_MS = 45_000;
const FIRST_PAUSE_MS = 2000;
const LONGEST_PAUSE_MS = 60_000;
const ABOUT_THE_WAY = [401, 403, 404, 421, 429];

/** An act is laid over what the server last said until that is newer than the act. */
const OVERLAY_MS = 15 * 60_000;

/** An act of this device, and when the server had it. */
export interface OwnAct {
  record: SentRecord;
  addedAtMs: number;
  sentAtMs: number | null;
}

export class Outbox {
  private waiting: SentRecord[] = [];
  private refusals: Refusal[] = [];
  private own: OwnAct[] = [];
  private readonly listeners = new Set<Listener>();
  private sending: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private pauseMs = FIRST_PAUSE_MS;
  private readonly tab = newId();
  private readonly tabs = new Tabs(this.tab, () => void this.reload().catch(() => {}));
  readonly ready: Promise<void>;
  /** Entries on the device that the server does not have yet. */
  count = 0;
  /** Why the last one was refused, until it is read. */
  refused: string | null = null;
  /** False where the browser keeps nothing: then what waits lives only as long as the page. */
  kept = true;
  /** Told when what waited is with the server. */
  onSent: () => void = () => {};

  constructor(private readonly disk: OutboxStore = indexedOutbox) {
    this.ready = this.open();
    globalThis.addEventListener?.('online', () => this.again(0));
  }

  private async open(): Promise<void> {
    // what an earlier version kept elsewhere
    const older = readStored<SentRecord[]>('outbox', []);
    try {
      if (older.length > 0) await this.disk.add(older);
      if (older.length > 0) store('outbox', []);
      await this.reload();
    } catch {
      this.kept = false;
      this.waiting = [...older, ...this.waiting];
      this.changed();
    }
    if (this.waiting.length > 0) this.again(0);
  }

  private async reload(): Promise<void> {
    const { waiting, refused } = await this.disk.load();
    const held = new Set(waiting.map((r) => r.id));
    // what is on its way to the disk is not forgotten
    this.waiting = [...waiting, ...this.waiting.filter((r) => this.writing.has(r.id) && !held.has(r.id))];
    this.refusals = refused;
    this.changed(false);
  }
  private readonly writing = new Set<string>();

  subscribe = (listener: Listener): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private changed(tell = true): void {
    this.count = this.waiting.length;
    this.refused = this.refusals.at(-1)?.why ?? null;
    const since = Date.now() - OVERLAY_MS;
    this.own = this.own.filter((a) => a.sentAtMs === null || a.sentAtMs > since);
    this.acts = [...this.own];
    if (tell) this.tabs.tell();
    for (const l of this.listeners) l();
  }

  /** What this device did lately, oldest first: waiting, or sent so recently that an answer may not know it. */
  acts: readonly OwnAct[] = [];

  /** Keeps entries and tries to send them. Resolves to true when the server has them, false while they wait. */
  async add(records: SentRecord[]): Promise<boolean> {
    for (const r of records) this.writing.add(r.id);
    this.waiting.push(...records);
    this.own.push(...records.map((record) => ({ record, addedAtMs: Date.now(), sentAtMs: null })));
    this.changed(false);
    try {
      await this.ready;
      await this.disk.add(records);
    } catch {
      this.kept = false;
    }
    for (const r of records) this.writing.delete(r.id);
    this.changed();
    this.pauseMs = FIRST_PAUSE_MS;
    await this.flush();
    return !records.some((r) => this.waiting.some((w) => w.id === r.id));
  }

  flush(): Promise<void> {
    this.sending ??= this.send().finally(() => (this.sending = null));
    return this.sending;
  }

  private again(ms: number): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), ms);
  }

  private async send(): Promise<void> {
    await this.ready;
    if (this.waiting.length === 0) return;
    // another tab is at it: it tells when it is done; should it die, this one goes on
    if (!(await this.mayTake())) return this.again(LEASE_MS / 3);
    let done = true;
    const left = new Set<string>();
    try {
      for (;;) {
        const batch = this.waiting.filter((r) => !left.has(r.id)).slice(0, BATCH);
        if (batch.length === 0) break;
        const answer = await this.post(batch);
        if (answer === 'away') {
          done = false;
          break;
        }
        if (answer === 'taken') await this.drop(batch);
        else for (const r of batch) if (!(await this.alone(r))) left.add(r.id);
      }
    } finally {
      await this.disk.release(this.tab).catch(() => {});
    }
    if (done && left.size === 0) {
      this.pauseMs = FIRST_PAUSE_MS;
      this.onSent();
      return;
    }
    if (this.waiting.length < 1) return;
    this.again(this.pauseMs);
    this.pauseMs = Math.min(LONGEST_PAUSE_MS, this.pauseMs * 2);
  }

  /** True once the lease is this tab's. One that was left by a page that has gone is taken over. */
  private async mayTake(): Promise<boolean> {
    const take = () => this.disk.take(this.tab, Date.now(), LEASE_MS).catch(() => this.tab);
    const holder = await take();
    if (holder === this.tab) return true;
    if (await this.tabs.lives(holder)) return false;
    await this.disk.release(holder).catch(() => {});
    return (await take()) === this.tab;
  }

  /** One by itself, after its batch was not taken: true where it left the outbox. */
  private async alone(record: SentRecord): Promise<boolean> {
    const answer = await this.post([record]);
    if (answer === 'taken') await this.drop([record]);
    else if (answer instanceof Refused && answer.field !== undefined) {
      this.waiting = this.waiting.filter((w) => w.id !== record.id);
      this.own = this.own.filter((a) => a.record.id !== record.id);
      this.refusals = [...this.refusals, { record, why: answer.message }];
      await this.disk.refuse(record, answer.message).catch(() => {});
      this.changed();
    } else return false;
    return true;
  }

  private async post(records: readonly SentRecord[]): Promise<'taken' | 'away' | Refused> {
    try {
      await request(call(api.records), { records }, TIME_MS);
      return 'taken';
    } catch (error) {
      if (error instanceof NoServer) return 'away';
      // taken, and said in words that this page does not know
      if (error instanceof Strange) return 'taken';
      // a word about the sender, the address or the pace says nothing of what is sent
      if (error instanceof Refused && !ABOUT_THE_WAY.includes(error.status)) return error;
      return 'away';
    }
  }

  private async drop(list: readonly SentRecord[]): Promise<void> {
    const ids = new Set(list.map((r) => r.id));
    this.waiting = this.waiting.filter((w) => !ids.has(w.id));
    this.own = this.own.map((a) => (ids.has(a.record.id) ? { ...a, sentAtMs: Date.now() } : a));
    await this.disk.remove([...ids]).catch(() => {});
    this.changed();
  }

  clearRefused(): void {
    this.refusals = [];
    void this.disk.read().catch(() => {});
    this.changed();
  }
}

export const outbox = new Outbox();
