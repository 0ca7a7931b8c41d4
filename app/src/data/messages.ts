/**
 * What the farm tells without being asked. Contract: `useMessages` gives what was not read on this device yet, the urgent first;
 * where the browser was allowed to, each is shown once as its own notification.
 */
import { api, call } from '@fogata/contract/client';
import type { Message } from '@fogata/contract/told';
import { useEffect, useSyncExternalStore } from 'react';
import { useRead } from './hooks';
import { readStored, store } from './storage';

const READ = 'read';
const SHOWN = 'shown';
/** So many keys are remembered. */
const MOST = 200;

let read: readonly string[] = readStored<string[]>(READ, []);
const listeners = new Set<() => void>();
const subscribe = (l: () => void) => {
  listeners.add(l);
  return () => void listeners.delete(l);
};

export function markRead(keys: readonly string[]): void {
  read = [...read, ...keys].slice(-MOST);
  store(READ, read);
  for (const l of listeners) l();
}

export const unread = (messages: readonly Message[], seen: readonly string[]): Message[] =>
  messages
    .filter((m) => !seen.includes(m.key))
    .sort((a, b) => Number(b.urgent) - Number(a.urgent) || b.at.localeCompare(a.at));

type Permission = 'granted' | 'denied' | 'default' | 'none';
const browser = () => (globalThis as { Notification?: typeof Notification }).Notification;
export const mayNotify = (): Permission => browser()?.permission ?? 'none';
export const askToNotify = async (): Promise<Permission> => (await browser()?.requestPermission()) ?? 'none';

/** Shows what this device has not shown yet; a device that is asked to show for the first time begins with what is new. */
export function notify(messages: readonly Message[]): void {
  const Notify = browser();
  if (Notify?.permission !== 'granted') return;
  const shown = readStored<string[]>(SHOWN, []);
  const fresh = messages.filter((m) => !shown.includes(m.key));
  if (fresh.length === 0) return;
  store(SHOWN, [...shown, ...fresh.map((m) => m.key)].slice(-MOST));
  for (const m of fresh) {
    try {
      // the tag keeps a second tab from showing it again
      new Notify(m.title, { body: m.text, tag: m.key });
    } catch {
      // some phones show them through the service worker alone
      void navigator.serviceWorker?.ready
        .then((w) => w.showNotification(m.title, { body: m.text, tag: m.key }))
        .catch(() => {});
    }
  }
}

const EVERY_MS = 60_000;

export function useMessages(): Message[] {
  const { data } = useRead(call(api.messages), { refreshInterval: EVERY_MS });
  const seen = useSyncExternalStore(
    subscribe,
    () => read,
    () => read,
  );
  useEffect(() => {
    if (data) notify(data.messages);
  }, [data]);
  return unread(data?.messages ?? [], seen);
}
