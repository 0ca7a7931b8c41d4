/**
 * The outbox: records wait here until the server has them. Kept on the device, sent in order, each with its own id so
 * that sending twice keeps one. A record that the server refuses leaves the outbox with the reason.
 */
import type { FarmRecord } from '@fogata/contract';
import { NoServer, Refused, request } from './api';
import { readStored, store } from './storage';

type Listener = () => void;

class Outbox {
  private waiting: FarmRecord[] = readStored<FarmRecord[]>('outbox', []);
  private listeners = new Set<Listener>();
  private sending: Promise<void> | null = null;
  /** Records on the device that the server does not have yet. */
  count = this.waiting.length;
  /** Why the last one was refused, until it is read. */
  refused: string | null = null;

  subscribe = (listener: Listener): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private changed(): void {
    this.count = this.waiting.length;
    store('outbox', this.waiting);
    for (const l of this.listeners) l();
  }

  /** Keeps records and tries to send them. Resolves to true when the server has them, false while they wait. */
  async add(records: FarmRecord[]): Promise<boolean> {
    this.waiting.push(...records);
    this.changed();
    await this.flush();
    return !records.some((r) => this.waiting.some((w) => w.id === r.id));
  }

  flush(): Promise<void> {
    this.sending ??= this.send().finally(() => (this.sending = null));
    return this.sending;
  }

  private async send(): Promise<void> {
    while (this.waiting.length > 0) {
      const batch = this.waiting.slice(0, 100);
      try {
        await request('/api/records', 'POST', { records: batch });
        this.waiting = this.waiting.filter((w) => !batch.some((b) => b.id === w.id));
        this.changed();
      } catch (error) {
        if (error instanceof NoServer) return;
        if (!(error instanceof Refused)) throw error;
        if (error.status >= 500) return;
        await this.sortOut(batch);
      }
    }
  }

  /** One of a batch was refused: send them one by one, so that only that one is dropped. */
  private async sortOut(batch: FarmRecord[]): Promise<void> {
    for (const record of batch) {
      try {
        await request('/api/records', 'POST', { records: [record] });
      } catch (error) {
        if (!(error instanceof Refused) || error.status >= 500) return;
        this.refused = error.message;
      }
      this.waiting = this.waiting.filter((w) => w.id !== record.id);
      this.changed();
    }
  }

  clearRefused(): void {
    this.refused = null;
    this.changed();
  }
}

export const outbox = new Outbox();
