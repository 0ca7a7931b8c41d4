/** The ten seconds in which the last act can be taken back. One at a time: a new act replaces the offer. */
import { useSyncExternalStore } from 'react';

export interface Offer {
  label: string;
  undo: () => Promise<unknown>;
}

const SECONDS = 10;
let offer: Offer | null = null;
let timer: ReturnType<typeof setTimeout> | null = null;
const listeners = new Set<() => void>();

function set(next: Offer | null): void {
  offer = next;
  for (const l of listeners) l();
}

export function offerUndo(label: string, undo: () => Promise<unknown>): void {
  if (timer) clearTimeout(timer);
  timer = setTimeout(() => set(null), SECONDS * 1000);
  set({ label, undo });
}

export async function takeBack(): Promise<void> {
  const current = offer;
  if (timer) clearTimeout(timer);
  set(null);
  await current?.undo();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function useUndo(): Offer | null {
  return useSyncExternalStore(
    subscribe,
    () => offer,
    () => null,
  );
}
