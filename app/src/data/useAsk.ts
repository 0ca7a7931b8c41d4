/**
 * A night that is asked about. Contract: `useAsk(body)` gives the newest answer to what stands there now, and keeps the last
 * one on screen while the next is worked out; null asks nothing.
 */
import { api, call } from '@fogata/contract/client';
import type { AskBody, AskView as AskSaid } from '@fogata/contract';
import type { AskView } from '@fogata/contract/told';
import { useEffect, useMemo, useState } from 'react';
import useSWR from 'swr';
import { told } from '@fogata/core/words';
import { request } from './api';
import { useStyle } from './hooks';

/** A thumb on a stepper is waited for so long. */
const PAUSE_MS = 350;

export interface Answer {
  view: AskView | null;
  working: boolean;
  problem: string | null;
}

export function useAsk(body: AskBody | null): Answer {
  const key = body === null ? null : JSON.stringify(body);
  const [settled, setSettled] = useState<string | null>(key);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(key), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [key]);
  const style = useStyle();
  const { data, error, isLoading } = useSWR<AskSaid, Error>(
    settled === null ? null : ['ask', settled],
    ([, text]: [string, string]) => request(call(api.ask), JSON.parse(text)),
    {
      keepPreviousData: true,
      revalidateOnFocus: false,
      revalidateOnReconnect: true,
      shouldRetryOnError: false,
    },
  );
  // in the time of the place that is asked about
  const view = useMemo(
    () => (data && style ? told(data, { ...style, timeZone: data.timeZone }) : null),
    [data, style],
  );
  return {
    view,
    working: key !== null && (isLoading || key !== settled),
    problem: key !== null && error && key === settled ? error.message : null,
  };
}
