/**
 * Reading from the server. Contract: `useAnswer(call)` is an answer as it came, kept on the device for when there is no server;
 * `useRead(call)` the same in the farm's words, as soon as the farm is known; nothing is told in units that may not be its own.
 */
import type { FarmView } from '@fogata/contract/told';
import { api, call, type Call } from '@fogata/contract/client';
import { told, type Style, type Told } from '@fogata/core/words';
import { useMemo } from 'react';
import useSWR, { type SWRConfiguration } from 'swr';
import { request } from './api';
import { learnFarm } from './moment';
import type { Asked } from './overlay';
import { press } from './still';
import { readStored, store } from './storage';

/** Views that this device's own acts are shown on before the server has them. */
const SHOWS_ACTS = /^\/api\/(now|day|season|water|beds(\?.*)?|places\/[^/]+)$/;

export const FARM = call(api.farm);

async function get<A>(asked: Call<A>): Promise<A> {
  const askedAtMs = Date.now();
  const answer = await request(asked);
  await press.over();
  if (asked.address === FARM.address) learnFarm(answer as FarmView);
  return SHOWS_ACTS.test(asked.address) ? { ...answer, askedAtMs } : answer;
}

/** What was last known, so that a screen opens without the server. */
const lastKnown = new Map<string, unknown>(Object.entries(readStored<Record<string, unknown>>('last', {})));
const KEEP = ['/api/farm', '/api/now', '/api/beds', '/api/kit', '/api/crops', '/api/season', '/api/water'];

/** What this device knew of an answer; nothing where another version of the page kept it in another form. */
function knownOf(asked: Call<unknown>): unknown {
  const known = lastKnown.get(asked.address);
  if (known === undefined || checked.has(asked.address)) return known;
  checked.add(asked.address);
  if (asked.answer.safeParse(known).success) return known;
  lastKnown.delete(asked.address);
  return undefined;
}
const checked = new Set<string>();

/** An answer as it came, its sentences still ids. */
export function useAnswer<S>(asked: Call<unknown> | null, config: SWRConfiguration<S> = {}) {
  const path = asked?.address ?? null;
  return useSWR<S>(path, () => get(asked!) as Promise<S>, {
    fallbackData: asked ? (knownOf(asked) as S | undefined) : undefined,
    revalidateOnMount: true,
    keepPreviousData: true,
    dedupingInterval: 200,
    errorRetryInterval: 3000,
    ...config,
    onSuccess: (data: S) => {
      if (path && KEEP.includes(path)) {
        lastKnown.set(path, data);
        store('last', Object.fromEntries(lastKnown));
      }
    },
  });
}

export const MINUTE = 60_000;

/** How this farm is told of things; null as long as it is not known, and then nothing is told. */
export function useStyle(): Style | null {
  const { data } = useAnswer<FarmView>(FARM, { refreshInterval: MINUTE });
  const units = data?.farm.units;
  const { timeZone, currency } = data?.farm ?? {};
  return useMemo(
    () =>
      units && timeZone !== undefined && currency !== undefined
        ? { units, hours: units.clock, timeZone, currency }
        : null,
    [units, timeZone, currency],
  );
}

/** A view in the farm's words. */
export function useTold<T>(said: T | undefined): Told<T> | undefined {
  const style = useStyle();
  return useMemo(() => (said === undefined || style === null ? undefined : told(said, style)), [said, style]);
}

/** An answer in the farm's words. Only what is asked of it is followed, as SWR does. */
export function useRead<A>(asked: Call<A> | null, config: SWRConfiguration<A> = {}) {
  type Shown = Asked<Told<A>>;
  const read = useAnswer<A>(asked, config);
  const data = useTold(read.data);
  return {
    data: data as Shown | undefined,
    get error(): unknown {
      return read.error;
    },
    get isLoading() {
      return read.isLoading;
    },
    get isValidating() {
      return read.isValidating;
    },
    mutate: read.mutate,
  };
}
