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
  const key = request
    ? [
        'what-if',
        request.countFromMs,
        request.weather[0]?.airC,
        request.calibration,
        request.wax,
        JSON.stringify(request.spec),
      ]
    : null;
  const { data, error } = useSWR(key, () => thread().tryStack(request!), {
    keepPreviousData: true,
    revalidateOnFocus: false,
    revalidateOnReconnect: false,
    revalidateIfStale: false,
    shouldRetryOnError: false,
  });
  return { result: data ?? null, failed: error !== undefined };
}
