/** One hook a need: read through SWR, change through one helper, no second store of server data. */
import type { FarmPatch, RelayView as RelaySaid, SentRecord } from '@fogata/contract';
import type { BedsView, NowView, TownRow } from '@fogata/contract/told';
import { api, call, type Call, type Query } from '@fogata/contract/client';
import { clockText } from '@fogata/core/telling';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { mutate, useSWRConfig } from 'swr';
import { NoServer, request } from './api';
import { keepView, keptView, type KeptView } from './largeViews';
import { farmSite } from './moment';
import { outbox, type OwnAct } from './outbox';
import {
  overlay,
  overlayBeds,
  overlayDay,
  overlayPlace,
  overlaySeason,
  overlayWater,
  type Asked,
} from './overlay';
import { FARM, MINUTE, useAnswer, useRead, useTold } from './read';
import { steady, steadyBeds, withoutServer } from './steady';

export { useRead, useStyle } from './read';

const NOW = call(api.now);
const DAY = call(api.day);
const SEASON = call(api.season);
const RELAY = call(api.relay);

/**
 * How often a view with a plan in it is read: quickly while the night is being worked out. Taken from the cache at every
 * render, so that the pace changes as soon as the answer does.
 */
function usePace(asked: Call<unknown> | null): number {
  const { cache } = useSWRConfig();
  const path = asked?.address;
  const held = path ? (cache.get(path)?.data as { progress?: { state: string } } | undefined) : undefined;
  return held === undefined || held.progress?.state === 'computing' ? 400 : MINUTE;
}

export const useFarm = () => useRead(FARM, { refreshInterval: MINUTE });

/** The first screen: steady while it is worked out, with what this device did over it, and something to go by without signal. */
export function useNow() {
  const read = useRead(NOW, { refreshInterval: usePace(NOW) });
  // for the round without a server: read once
  const { data: beds } = useRead(call(api.beds));
  const acts = useOwnActs();
  const [lastReady, setLastReady] = useState<Asked<NowView> | null>(null);
  const { data, error } = read;
  const deviceAtMs = useDeviceClock();
  if (data?.progress.state === 'ready' && data !== lastReady) setLastReady(data);
  const shown = useMemo(() => {
    if (!data) return undefined;
    const site = farmSite();
    const atText = site ? clockText(data.clock.nowAtMs, { hours: 24, timeZone: site.timeZone }) : '';
    const away = error instanceof NoServer && site !== null && data.clock.mode === 'real';
    const base = away ? withoutServer(data, deviceAtMs, site, beds, atText) : steady(data, lastReady);
    return overlay(base, acts);
  }, [data, error, beds, acts, lastReady, deviceAtMs]);
  return { ...read, data: shown };
}
const NO_ACTS: readonly OwnAct[] = [];

/** What this device did lately. */
const useOwnActs = () =>
  useSyncExternalStore(
    outbox.subscribe,
    () => outbox.acts,
    () => NO_ACTS,
  );

/** A view with what this device did on it. */
function useShown<T>(read: { data: T | undefined }, show: (view: Asked<T>, own: readonly OwnAct[]) => T) {
  const acts = useOwnActs();
  const { data } = read;
  return useMemo(() => (data ? show(data, acts) : undefined), [data, acts, show]);
}

/** The device's own time, to the minute. */
function useDeviceClock(): number {
  const [ms, set] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => set(Date.now()), MINUTE / 2);
    return () => clearInterval(timer);
  }, []);
  return ms;
}

export const usePlace = (bedId: string | null) => {
  const path = bedId ? call(api.place, { bedId }) : null;
  const read = useRead(path, { refreshInterval: usePace(path) });
  return { ...read, data: useShown(read, overlayPlace) };
};
export const useRibbon = (bedId: string | null) =>
  useRead(bedId ? call(api.ribbon, { bedId }) : null, { shouldRetryOnError: false });
export function useBeds(date?: string) {
  const path = call(api.beds, {}, { date });
  const read = useRead(path, { refreshInterval: usePace(path) });
  const { data } = read;
  const [lastReady, setLastReady] = useState<BedsView | null>(null);
  if (data?.progress.state === 'ready' && data !== lastReady) setLastReady(data);
  const shown = useMemo(() => (data ? steadyBeds(data, lastReady) : undefined), [data, lastReady]);
  return { ...read, data: useShown({ data: shown }, overlayBeds) };
}
export const useLog = (kinds: string, offset: number) =>
  useRead(call(api.log, {}, { offset, kinds: kinds || undefined }));
export const useNight = (night: string | null) => useRead(night ? call(api.night, { night }) : null);
export const useNights = () => useRead(call(api.nights));
export const useKit = () => useRead(call(api.kit));
/** Towns whose name begins as it is typed, the largest first. */
export const useTowns = (text: string) =>
  useRead(text.trim() === '' ? null : call(api.towns, {}, { q: text.trim() }), {
    keepPreviousData: true,
  });
/** The town whose clock this device keeps: a first guess that is shown and can be changed. */
export function useTownGuess(): TownRow | null | undefined {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const { data, error } = useRead(call(api.towns, {}, { zone }));
  return data ? (data[0] ?? null) : error ? null : undefined;
}
export const useCut = (material: string, shared: boolean) =>
  useRead(call(api.cut, {}, { material, shared: shared ? 'yes' : 'no' }));
export const useCrops = () => useRead(call(api.crops));
/** What may be begun this week; read quickly while it is being worked out. */
export function useDay() {
  const read = useRead(DAY, { refreshInterval: usePace(DAY) });
  return { ...read, data: useShown(read, overlayDay) };
}
export function useSeason() {
  const read = useRead(SEASON, { refreshInterval: usePace(SEASON) });
  return { ...read, data: useShown(read, overlaySeason) };
}
export function useSeasonCrop(crop: string | null, how: 'sow' | 'transplant' | null) {
  const path = crop === null ? null : call(api.seasonCrop, { crop }, { how: how ?? undefined });
  return useRead(path, { refreshInterval: usePace(path), shouldRetryOnError: false });
}
export function useStory(id: string) {
  const path = call(api.story, { id });
  return useRead(path, { refreshInterval: usePace(path), shouldRetryOnError: false });
}
export const useAhead = () =>
  useRead(call(api.ahead), {
    refreshInterval: (latest) => (latest?.progress.state === 'computing' ? 1500 : MINUTE),
  });
/** The board, kept on the device: without signal it is as it was last read. */
export function useRelay() {
  const read = useAnswer<RelaySaid>(RELAY, {
    refreshInterval: (latest) => (latest?.progress.state === 'computing' ? 1500 : 0),
  });
  const { data } = read;
  const [kept, setKept] = useState<KeptView<RelaySaid> | null>(null);
  useEffect(() => {
    void keptView(RELAY).then(setKept);
  }, []);
  useEffect(() => {
    if (data?.progress.state === 'ready') void keepView(RELAY.address, data);
  }, [data]);
  const away = read.error instanceof NoServer;
  const shown = useTold(data ?? (away ? kept?.view : undefined));
  return { ...read, data: shown, away };
}
export const useScenarios = (on: boolean) =>
  useRead(on ? call(api.scenarios) : null, {
    refreshInterval: (latest) =>
      latest?.scenarios.some((s) => s.relay.progress.state === 'computing') ? 1500 : 0,
  });
export const useFill = (on: boolean) =>
  useRead(on ? call(api.fill) : null, {
    refreshInterval: (latest) => (latest?.state === 'looking' || latest?.state === 'solving' ? 700 : 0),
  });
export const useNext = (asked: Query | null) =>
  useRead(asked ? call(api.next, {}, asked) : null, {
    refreshInterval: (latest) => (latest?.progress.state === 'computing' ? 1500 : 0),
  });
export const useNeed = (crop: string, asked: Query | null) =>
  useRead(asked ? call(api.need, { crop }, asked) : null, {
    refreshInterval: (latest) => (latest?.progress.state === 'computing' ? 1500 : 0),
    keepPreviousData: false,
    shouldRetryOnError: false,
  });
export const useCompare = (ways: string) =>
  useRead(call(api.compare, {}, { ways }), {
    refreshInterval: (latest) => (latest?.progress.state === 'computing' ? 1500 : 0),
    shouldRetryOnError: false,
  });
export const useCounters = () => useRead(call(api.counters));
export function useWater() {
  const read = useRead(call(api.water), { refreshInterval: MINUTE });
  return { ...read, data: useShown(read, overlayWater) };
}
export const useShade = () =>
  useRead(call(api.shade), {
    refreshInterval: (latest) => (latest?.progress.state === 'computing' ? 1500 : 10 * MINUTE),
  });
export const useMend = (id: string, asked: Query | null) =>
  useRead(asked ? call(api.mend, { id }, asked) : null, {
    refreshInterval: (latest) => (latest?.progress.state === 'computing' ? 1500 : 0),
    shouldRetryOnError: false,
  });
export const useSeeds = () => useRead(call(api.seeds));
export const useFeeds = () => useRead(call(api.feeds));
export const useForecasts = () => useRead(call(api.forecasts));

/** Everything on screen is read again. */
export function refresh(): Promise<unknown> {
  return mutate((key) => typeof key === 'string' && key.startsWith('/api/'));
}

/** Records what happened: kept on the device at once, sent when the server is there. */
export async function record(records: SentRecord[]): Promise<boolean> {
  return outbox.add(records);
}

/** Any other change: needs the server; throws `Refused` or `NoServer` with a sentence. */
export async function change<A>(asked: Call<A>, body?: unknown): Promise<A> {
  const result = await request(asked, body ?? {});
  await refresh();
  return result;
}

/** What could not be worked out is tried once more. */
export const planAgain = () => change(call(api.planAgain)).catch(() => refresh());
export const seasonAgain = () => change(call(api.seasonAgain)).catch(() => refresh());

export const patchFarm = (patch: FarmPatch) => change(call(api.patchFarm), patch);

export function useOutbox(): { count: number; refused: string | null; kept: boolean } {
  const kept = useSyncExternalStore(
    outbox.subscribe,
    () => outbox.kept,
    () => true,
  );
  const count = useSyncExternalStore(
    outbox.subscribe,
    () => outbox.count,
    () => 0,
  );
  const refused = useSyncExternalStore(
    outbox.subscribe,
    () => outbox.refused,
    () => null,
  );
  return { count, refused, kept };
}

// whatever sends, in this tab or by itself: then everything on screen is read again
outbox.onSent = () => void refresh();

/** Whether the server answers, by what the last read of the farm said; it is asked again every few seconds while it does not. */
export function useConnection(): { offline: boolean } {
  const { error } = useFarm();
  const offline = error instanceof NoServer;
  const [tick, setTick] = useState(0);
  useEffect(() => {
    if (!offline) {
      if (outbox.count > 0) void outbox.flush();
      return;
    }
    const timer = setTimeout(() => {
      setTick(tick + 1);
      void mutate(FARM.address);
    }, 4000);
    return () => clearTimeout(timer);
  }, [offline, tick]);
  return { offline };
}
