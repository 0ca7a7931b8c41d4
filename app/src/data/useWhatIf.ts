/** Trying other covers: asks the what-if thread; SWR keeps the newest answer and shows the last one meanwhile. */
import * as Comlink from 'comlink';
import useSWR from 'swr';
import type { TryRequest, TryResult } from '../worker/whatIf';

type Remote = Comlink.Remote<{ tryStack: (r: TryRequest) => TryResult }>;
let remote: Remote | null = null;

function thread(): Remote {
  remote ??= Comlink.wrap<{ tryStack: (r: TryRequest) => TryResult }>(
    new Worker(new URL('../worker/whatIf', import.meta.url)),
  );
  return remote;
}

export function useTried(request: TryRequest | null): { result: TryResult | null; failed: boolean } {
  // everything that the run hangs on, the start as well: SWR hashes it by content, and each part once
  const key = request ? ['what-if', request] : null;
  const { data, error } = useSWR(key, () => thread().tryStack(request!), {
    keepPreviousData: true,
    revalidateOnFocus: false,
    revalidateOnReconnect: false,
    revalidateIfStale: false,
    shouldRetryOnError: false,
  });
  return { result: data ?? null, failed: error !== undefined };
}
