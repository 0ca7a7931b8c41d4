/**
 * Several nights one after the other, each planned as the app plans it in its evening, done as it says, and lifted in its
 * morning. Contract: `severalNights` gives for each night the evening's plan, its jobs, and when each bed's covers may come off;
 * what lies where goes on from night to night. Each night is chosen by itself; `spellNights.ts` chooses them together.
 */
import type { Belief } from '../calibration/belief';
import { zonalMeanC, deepGroundC } from '../climate/zonal';
import type { FarmFacts } from '../farm/facts';
import { dailyMeans } from '../hardiness/before';
import type { Cover } from '../farm/types';
import type { WeatherEntry } from '../heat/types';
import { applyAll, type Act, type Lain } from '../log/apply';
import { addDays, HOUR_MS, nightWindow, type NightWindow } from '../time/farmTime';
import { begin, nightAt } from './evening';
import type { Job } from './jobParts';
import { jobsOf } from './jobs';
import type { WasAt } from './house';
import { LIFT_MEMBERS } from './lifting';
import { darkAtMs, type Background, type NightPlan, type PlannedBed, type Workers } from './planned';

export interface SeveralNights {
  data: FarmFacts;
  state: Lain;
  nowAtMs: number;
  /** Hours that were, up to the moment; at least a day of them. */
  history: readonly WeatherEntry[];
  /** What may come: equally likely, each through the last night's morning. */
  members: readonly (readonly WeatherEntry[])[];
  nights: number;
  beliefs?: Map<string, Belief>;
  /** The first of them where it is worked out already: what is to come begins from it. */
  tonight?: NightPlan;
}

export interface PlannedNight {
  plan: NightPlan;
  jobs: Job[];
  /** By bed with covers on in the morning: when they may come off; null where they have to stay. */
  lifts: Map<string, number | null>;
  /** By bed: sheets that stay on through the day after, where the nights were chosen together. */
  leftOn?: Map<string, Cover[]>;
}

const atMs = (e: WeatherEntry) => Date.parse(e.time);
/** Two hours before sundown there is time to do what an evening asks for. */
const BEFORE_SUNSET_MS = 2 * HOUR_MS;
const BACK_DAYS = 62;

/**
 * The hours of a series from one instant to another, on the line between what it has; it has to reach over both.
 * @example hoursBetween([{ ...weather()[0], time: '2027-01-14T12:00:00Z', airC: 0 }, { ...weather()[0], time: '2027-01-14T15:00:00Z', airC: 3 }], Date.parse('2027-01-14T12:00:00Z'), Date.parse('2027-01-14T14:00:00Z')).map((e) => e.airC) // [0, 1, 2]
 */
export function hoursBetween(
  series: readonly WeatherEntry[],
  fromAtMs: number,
  toAtMs: number,
): WeatherEntry[] {
  const out: WeatherEntry[] = [];
  let i = 0;
  for (let ms = fromAtMs; ms <= toAtMs; ms += HOUR_MS) {
    while (i + 1 < series.length && atMs(series[i + 1]!) <= ms) i++;
    const [a, b] = [series[i]!, series[Math.min(series.length - 1, i + 1)]!];
    const f = b === a || atMs(a) >= ms ? 0 : Math.min(1, (ms - atMs(a)) / (atMs(b) - atMs(a)));
    out.push(f === 0 ? { ...a, time: new Date(ms).toISOString() } : mix([a, b], [1 - f, f], ms));
  }
  return out;
}

function mix(list: readonly WeatherEntry[], weights: readonly number[], ms: number): WeatherEntry {
  const of = (key: 'airC' | 'dewPointC' | 'windMs' | 'cloudFraction' | 'globalWm2' | 'rainMm' | 'snowMm') =>
    list.reduce((sum, e, i) => sum + (e[key] ?? 0) * weights[i]!, 0);
  const has = (key: 'globalWm2' | 'rainMm' | 'snowMm') => list.every((e) => e[key] !== undefined);
  return {
    time: new Date(ms).toISOString(),
    airC: of('airC'),
    dewPointC: Math.min(of('dewPointC'), of('airC')),
    windMs: of('windMs'),
    cloudFraction: of('cloudFraction'),
    ...(has('globalWm2') ? { globalWm2: of('globalWm2') } : {}),
    ...(has('rainMm') ? { rainMm: of('rainMm') } : {}),
    ...(has('snowMm') ? { snowMm: of('snowMm') } : {}),
  };
}

/** The middle of what may come stands before its members, as a forecast's own line does. */
function withCentre(members: WeatherEntry[][]): WeatherEntry[][] {
  if (members.length < 2) return members;
  const weights = members.map(() => 1 / members.length);
  const centre = members[0]!.map((e, h) =>
    mix(
      members.map((m) => m[h]!),
      weights,
      atMs(e),
    ),
  );
  return [centre, ...members];
}

/** The weeks before: measured as far as they are given, the season's usual before that. */
function backgroundOf(i: SeveralNights, history: readonly WeatherEntry[]): Background {
  const { farm } = i.data;
  const means = new Map<string, number>();
  for (let d = BACK_DAYS; d >= 0; d--) {
    const ms = i.nowAtMs - d * 24 * HOUR_MS;
    means.set(new Date(ms).toISOString().slice(0, 10), zonalMeanC(farm, ms));
  }
  for (const [day, mean] of dailyMeans(history, farm.timeZone)) means.set(day, mean);
  const all = [...means.values()];
  return { means, deepC: deepGroundC(farm, all.reduce((s, c) => s + c, 0) / all.length) };
}

/** What the days before had left of a bed as the plan begins. */
const leftBy = (plan: NightPlan, { outcome: { initial, past } }: PlannedBed): WasAt => ({
  atMs: atMs(plan.centre[0]!),
  initial,
  past,
});

/** What the plan's jobs are once they are done, each at the end of its minutes. */
function actsOf(jobs: readonly Job[]): Act[] {
  return jobs
    .filter((j) => !j.done)
    .flatMap((j): Act[] => {
      const doneAtMs = j.dueAtMs + j.minutes * 60_000;
      if (j.kind === 'close')
        return [{ kind: 'vent', id: j.key, atMs: doneAtMs, structureId: j.structureId, fraction: 0 }];
      return j.items
        .filter((x) => !x.done)
        .map((x, n) => ({
          kind: 'cover',
          id: `${j.key} ${n}`,
          atMs: doneAtMs,
          bedId: x.bedId,
          coverId: x.coverId,
          on: x.on,
          ...(x.use ? { use: x.use } : {}),
        }));
    })
    .sort((a, b) => a.atMs - b.atMs);
}

/**
 * When the last of the nights ends: so far the members have to reach.
 * @example new Date(reachAtMs(NOW, 1, farm)).toISOString() // '2027-01-16T14:00:00.000Z'
 */
export function reachAtMs(nowAtMs: number, nights: number, farm: FarmFacts['farm']): number {
  const { window } = nightAt(nowAtMs, farm);
  return nightWindow(addDays(window.night, nights - 1), farm).toAtMs + 3 * HOUR_MS;
}

/** When the morning is looked at: as the sun is up, and not before the evening is over. */
const morningAtMs = (plan: NightPlan, w: NightWindow): number =>
  Math.max(
    darkAtMs(plan) + HOUR_MS,
    w.sunriseAtMs === null ? w.toAtMs - 5.25 * HOUR_MS : w.sunriseAtMs + HOUR_MS / 4,
  );

/**
 * Each night planned as the app plans it in its evening, from where the last one ends.
 * @example (await severalNights({ data: evening(-7, 1).data, state: NOTHING_LAIN, nowAtMs: NOW, history: weather({ startAtMs: NOW - 172_800_000 }), members: [weather({ startAtMs: NOW - 3_600_000, hours: 60 })], nights: 1 }, workers, new AbortController().signal)).length // 1
 */
export async function severalNights(
  i: SeveralNights,
  workers: Workers,
  signal: AbortSignal,
  onNight: (done: number, night: PlannedNight) => void = () => undefined,
): Promise<PlannedNight[]> {
  const { farm } = i.data;
  let { state } = i;
  const out: PlannedNight[] = [];
  const firstHour = Math.floor(i.nowAtMs / HOUR_MS) * HOUR_MS;
  const reach = Math.ceil(reachAtMs(i.nowAtMs, i.nights, farm) / HOUR_MS) * HOUR_MS;
  const all = withCentre(i.members.map((m) => hoursBetween(m, firstHour, reach)));
  const first = nightAt(i.nowAtMs, farm).window.night;
  let since = new Map<string, WasAt>();
  const lookAt = async (nowAtMs: number, members: number, onShown: (shown: Promise<unknown>) => void) => {
    const at = nightAt(nowAtMs, farm);
    const startAtMs = Math.max(at.pastAtMs, Math.ceil(atMs(i.history[0]!) / HOUR_MS) * HOUR_MS);
    const measuredTo = Math.min(at.hourAtMs, firstHour);
    const past = [
      ...hoursBetween(i.history, startAtMs, measuredTo),
      // what lies between the moment and a later evening is the forecast's own line
      ...all[0]!.filter((e) => atMs(e) > measuredTo && atMs(e) <= at.hourAtMs),
    ];
    const from = (m: WeatherEntry[], toAtMs: number) =>
      m.filter((e) => atMs(e) >= at.hourAtMs && atMs(e) <= toAtMs);
    const begun = begin({
      data: i.data,
      state,
      nowAtMs,
      at,
      weather: {
        past: { hours: past, worth: past.map((e) => (atMs(e) <= firstHour ? 'measured' : 'issued')) },
        members: all.slice(0, members).map((m) => from(m, at.endAtMs)),
        ahead: from(all[0]!, at.aheadAtMs),
        issuedAtMs: i.nowAtMs,
        name: 'members',
        source: 'file',
      },
      background: backgroundOf(i, i.history),
      beliefs: i.beliefs ?? new Map(),
      together: i.nights,
      since,
    });
    return begun.run(workers, signal, new Map(), { onShown });
  };
  for (let n = 0; n < i.nights; n++) {
    const night = addDays(first, n);
    const w = nightWindow(night, farm);
    const nowAtMs = n === 0 ? i.nowAtMs : (w.sunsetAtMs ?? w.fromAtMs + 6 * HOUR_MS) - BEFORE_SUNSET_MS;
    const being: Promise<unknown>[] = [];
    const onShown = (shown: Promise<unknown>) => void being.push(shown);
    const plan = (n === 0 ? i.tonight : undefined) ?? (await lookAt(nowAtMs, all.length, onShown));
    // its morning and the next evening go on from it
    since = new Map(plan.beds.map((b) => [b.bed.id, leftBy(plan, b)]));
    state = applyAll(actsOf(jobsOf(plan)), state);
    // the morning follows from what is chosen: it does not wait for what is shown of the night; only when covers may come off is asked of it
    const morning =
      plan.phase === 'morning' ? plan : await lookAt(morningAtMs(plan, w), LIFT_MEMBERS, onShown);
    await Promise.all(being);
    const jobs = jobsOf(plan);
    const lifts = new Map(
      morning.beds.filter((b) => b.lift !== null).map((b) => [b.bed.id, b.lift!.atMs] as const),
    );
    if (morning !== plan) state = applyAll(actsOf(jobsOf(morning)), state);
    const planned = { plan, jobs, lifts };
    out.push(planned);
    onNight(n + 1, planned);
  }
  return out;
}
