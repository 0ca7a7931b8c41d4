import { under } from './house';

/** A little that is kept on the device between visits; nothing breaks where the browser forbids it. */
export function readStored<T>(key: string, fallback: T): T {
  try {
    const text = globalThis.localStorage?.getItem(`fogata:${under(key)}`);
    return text ? (JSON.parse(text) as T) : fallback;
  } catch {
    return fallback;
  }
}

/** False where it could not be kept. */
export function store(key: string, value: unknown): boolean {
  try {
    globalThis.localStorage?.setItem(`fogata:${under(key)}`, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}
