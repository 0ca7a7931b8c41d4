/**
 * What is being typed, kept on the device until it is saved: a reload or a lost connection half way takes nothing. Contract:
 * `[draft, change, clear]`; the stored one wins over `start` while it is there.
 */
import { useCallback, useState } from 'react';
import { readStored, store } from './storage';

export function useDraft<T extends object>(
  key: string,
  start: T | null,
): [T | null, (patch: Partial<T>) => void, () => void] {
  const [held, setHeld] = useState<T | null>(() => readStored<T | null>(`draft:${key}`, null));
  const draft = held ?? start;
  const change = useCallback(
    (patch: Partial<T>) =>
      setHeld((was) => {
        const next = { ...((was ?? start) as T), ...patch };
        store(`draft:${key}`, next);
        return next;
      }),
    [key, start],
  );
  const clear = useCallback(() => {
    store(`draft:${key}`, null);
    setHeld(null);
  }, [key]);
  return [draft, change, clear];
}
