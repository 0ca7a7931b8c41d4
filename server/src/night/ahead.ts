/**
 * The nights to come, planned one after the other as far as the forecast reaches. Contract: `view` says at once what is known and how far it is; a
 * change of the farm, the weather or the quarter hour begins it anew. Tonight is the plan that Now shows, never another one.
 */
import type { AheadNight, AheadView, Farm, PlanProgress, Range } from '@fogata/contract';
import { addDays, bandOf, HOUR_MS, isIndoors, nightWindow, said, type FarmSite } from '@fogata/core';
import {
  anythingStands,
  chooseTogether,
  AS_IS,
  jobsOf,
  nightAt,
  reachAtMs,
  severalNights,
  sheetsShort,
  type NightPlan,
  type PlannedNight,
  type Together,
  type Workers,
} from '@fogata/core/planning';
import { setMaxListeners } from 'node:events';
import { fault, wholeFault } from '../fault';
import type { Moment } from '../context';
import { isForecast, needAtMs } from '../sources/farmWeather';
import { placeRow } from './glyph';
import type { Planner } from './planner';
import { stateKey } from './stateKey';

const MOST_NIGHTS = 5;

interface Work {
  key: string;
  of: number;
  nights: PlannedNight[];
  together: Together | null;
  progress: PlanProgress;
  abort: AbortController;
}

/** Nights that end before a forecast does. */
export function nightsWithin(nowAtMs: number, untilAtMs: number, farm: FarmSite): number {
  const first = nightAt(nowAtMs, farm).window.night;
  let n = 0;
  while (n < MOST_NIGHTS && needAtMs(nightWindow(addDays(first, n), farm), nowAtMs) <= untilAtMs) n += 1;
  return n;
}

function outside(plan: NightPlan): Range {
  const from = Math.max(plan.nowAtMs, plan.window.fromAtMs);
  const lows = plan.members.map((m) =>
    m.reduce((low, e) => {
      const ms = Date.parse(e.time);
      return ms >= from - HOUR_MS && ms <= plan.window.toAtMs ? Math.min(low, e.airC) : low;
    }, Infinity),
  );
  return bandOf(lows, 0);
}

function nightRow(
  plan: NightPlan,
  jobs: PlannedNight['jobs'],
  lifts: PlannedNight['lifts'] | null,
  leftOn: PlannedNight['leftOn'],
): AheadNight {
  const places = plan.beds
    .filter((b) => b.atRisk.length > 0)
    .map((b) => {
      const { bedId, name, structureName, crop, leafC, marginK, harmChance } = placeRow(plan, b);
      return { bedId, name, place: structureName, crop, leafC, marginK, harmChance };
    })
    .sort((a, b) => a.marginK - b.marginK);
  const items = jobs.flatMap((j) => j.items.filter((i) => !i.done));
  const sum = (of: (b: NightPlan['beds'][number]) => number) => plan.beds.reduce((t, b) => t + of(b), 0);
  const short = sheetsShort(plan.beds, plan.data.covers, plan.data.farm.hourlyRate);
  return {
    night: plan.window.night,
    outsideC: outside(plan),
    places,
    laid: items.filter((i) => i.on).length,
    lifted: items.filter((i) => !i.on).length,
    minutes: jobs.filter((j) => !j.done).reduce((t, j) => t + j.minutes, 0),
    lossLeft: sum((b) => b.loss[AS_IS] ?? 0),
    lossPlanned: sum((b) => b.loss[b.chosen] ?? 0),
    stays: [...(lifts ?? [])].flatMap(([id, atMs]) =>
      atMs === null ? [plan.beds.find((b) => b.bed.id === id)?.bed.name ?? id] : [],
    ),
    leftOn: [...(leftOn?.keys() ?? [])].map((id) => plan.beds.find((b) => b.bed.id === id)?.bed.name ?? id),
    // a room is not bought or cut
    short: [...short.missing]
      .filter(([id]) => !plan.data.covers.some((c) => c.id === id && isIndoors(c)))
      .map(([id, count]) => ({
        name: plan.data.covers.find((c) => c.id === id)?.name ?? id,
        count,
      })),
    shortSaves: short.saves,
  };
}

/** So many nights have to be known before anything is said of putting sheets away. */
const ENOUGH_NIGHTS = 3;

function noSheetsIn(plans: readonly NightPlan[], farm: Farm): AheadView['noSheets'] {
  const wants = plans.some((p) => p.beds.some((b) => optionCovers(b).length > 0));
  if (wants || plans.length < ENOUGH_NIGHTS) return null;
  const { lastSpring, eitherWayDays } = farm.frost;
  const year = plans[0]!.window.night.slice(0, 4);
  const safe = lastSpring && addDays(`${year}-${lastSpring}`, eitherWayDays);
  return { past: safe !== null && safe !== '' && plans[0]!.window.night > safe, lastFrost: lastSpring };
}

const optionCovers = (b: NightPlan['beds'][number]) =>
  b.options.find((o) => o.key === b.chosen)?.covers ?? b.on;

export class Ahead {
  private work: Work | null = null;

  constructor(
    private readonly workers: Workers,
    private readonly planner: Planner,
  ) {}

  async view(m: Moment): Promise<AheadView> {
    const { farm } = m.data;
    const at = nightAt(m.nowAtMs, farm);
    const base: AheadView = {
      nowAtMs: m.nowAtMs,
      untilAtMs: null,
      lack: null,
      nights: [],
      together: null,
      noSheets: null,
      progress: { state: 'empty', done: 0, of: 0 },
    };
    if (!anythingStands(m.data, at.today)) return base;
    const tonight = m.weather.coming(at.window, at.hourAtMs, at.endAtMs);
    if (!isForecast(tonight)) return { ...base, lack: tonight };
    const of = Math.max(1, nightsWithin(m.nowAtMs, tonight.untilAtMs, farm));
    const now = await this.planner.ask(m.data, m.weather, m.nowAtMs);
    // tonight comes first: what is to come begins from it
    if (!now.plan) return { ...base, untilAtMs: tonight.untilAtMs, progress: { ...now.progress, of } };
    const key = stateKey(m.data, m.weather.key, m.nowAtMs);
    if (this.work?.key !== key) await this.begin(key, of, m, now.plan);
    const { nights, progress, together } = this.work!;
    const later = nights.filter((n) => n.plan.window.night !== now.plan!.window.night);
    const first = nights.find((n) => n.plan.window.night === now.plan!.window.night);
    return {
      ...base,
      untilAtMs: tonight.untilAtMs,
      nights: [
        nightRow(now.plan, jobsOf(now.plan), first?.lifts ?? null, first?.leftOn),
        ...later.map((n) => nightRow(n.plan, n.jobs, n.lifts, n.leftOn)),
      ],
      noSheets: progress.state === 'ready' ? noSheetsIn([now.plan, ...later.map((n) => n.plan)], farm) : null,
      together: together && {
        saves: together.saves,
        gap: together.gap,
        tonight: {
          saves: together.tonight.saves,
          beds: together.tonight.beds.map(({ covers, ...b }) => ({
            ...b,
            covers: covers.map((c) => c.name),
          })),
        },
      },
      progress,
    };
  }

  private async begin(key: string, of: number, m: Moment, plan: NightPlan): Promise<void> {
    this.work?.abort.abort();
    const abort = new AbortController();
    setMaxListeners(0, abort.signal);
    const work: Work = {
      key,
      of,
      nights: [],
      together: null,
      abort,
      progress: { state: 'computing', done: 0, of },
    };
    this.work = work;
    const { farm } = m.data;
    const at = nightAt(m.nowAtMs, farm);
    const past = await m.weather.past(at.pastAtMs, m.nowAtMs);
    const coming = m.weather.coming(at.window, at.hourAtMs, reachAtMs(m.nowAtMs, of, farm));
    if (!isForecast(coming)) return;
    void severalNights(
      {
        data: m.data,
        state: m.state,
        nowAtMs: m.nowAtMs,
        history: past.hours,
        members: coming.members,
        nights: of,
        beliefs: plan.beliefs,
        tonight: plan,
      },
      this.workers,
      abort.signal,
      (done, night) => {
        work.nights.push(night);
        work.progress = { state: 'computing', done, of };
      },
    )
      .then((nights) => this.together(work, nights))
      .catch((error: unknown) => {
        if (abort.signal.aborted) return;
        wholeFault('nights', error);
        work.progress = {
          ...work.progress,
          state: 'failed',
          message: said('problem.ahead'),
        };
      });
  }

  /** All nights once more as one choice; where that fails, each stands as it was chosen by itself. */
  private async together(work: Work, nights: readonly PlannedNight[]): Promise<void> {
    const { signal } = work.abort;
    try {
      work.together = await chooseTogether(nights, this.workers, signal);
      work.nights = work.together.nights;
    } catch (e) {
      if (signal.aborted) return;
      fault('together', e);
    }
    work.progress = { state: 'ready', done: work.of, of: work.of };
  }

  /** Beds whose covers the nights to come would have left on through the day after a night; empty where that is not worked out. */
  leftOn(night: string): string[] {
    const n = this.work?.nights.find((x) => x.plan.window.night === night);
    return [...(n?.leftOn?.keys() ?? [])].map(
      (id) => n!.plan.beds.find((b) => b.bed.id === id)?.bed.name ?? id,
    );
  }

  /** What failed is worked out anew when it is asked for next. */
  again(): void {
    if (this.work?.progress.state === 'failed') this.work = null;
  }

  stop(): void {
    this.work?.abort.abort();
  }
}
