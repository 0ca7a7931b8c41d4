/**
 * What is worth a message before it is too late. Contract: each function takes what is known and gives warnings, each with a key
 * that is the same for the same thing, so that nothing is said twice; `mayGo` says whether one may go out at this hour. Pure.
 *
 * Thresholds are starting values: a bed within a kelvin of harm whose sheet is not on when its laying has to begin; a house that is
 * not open when it was to be, and would go over what its crop bears; a forecast two kelvin colder than the plan went by; a
 * thermometer that is silent for four of its usual pauses, three hours at least; one under cover that has parted from the model
 * (`parting.ts`); one that shows more than what stands there bears.
 */
import { isIndoors } from '../covers/indoors';
import { sheetOf } from '../farm/facts';
import { clockText, HOUR_MS } from '../time/farmTime';
import { bandOf } from './bands';
import { type Job } from './jobParts';
import { said, type Said } from '../words/said';
import { asIsOutcome, type NightPlan } from './planned';

export type WarningKind = 'cold' | 'hot' | 'forecast' | 'silent' | 'parted';

export interface Warning {
  key: string;
  kind: WarningKind;
  /** A bed's night, a structure, a spot: what it is about. */
  subject: string;
  /** Lost if it waits until the morning. */
  urgent: boolean;
  title: Said;
  text: Said;
}

const NEAR_K = 1;
const SOON_MS = HOUR_MS / 4;
const COLDER_K = 2;
const SILENT_MS = 3 * HOUR_MS;

/**
 * Beds near harm whose covering should have begun.
 * @example coldWarnings(await aPlan(), await itsJobs()).length // 0
 */
export function coldWarnings(plan: NightPlan, jobs: readonly Job[]): Warning[] {
  return jobs.flatMap((job): Warning[] => {
    // by itself it would have to be begun within a quarter of an hour; the list counts its starts from now
    const beginAtMs = Math.min(job.dueAtMs, job.onByAtMs - job.minutes * 60_000);
    if (job.kind !== 'cover' || job.done || beginAtMs > plan.nowAtMs + SOON_MS) return [];
    const near = job.items.flatMap((i) => {
      const b = plan.beds.find((x) => x.bed.id === i.bedId);
      if (!b || !i.on || i.done || b.atRisk.length === 0) return [];
      const leafC = bandOf(asIsOutcome(b).minLeafC, plan.errorK).mid;
      const harmC = Math.max(...b.atRisk.map((a) => a.thresholds.harmC));
      return leafC - harmC < NEAR_K ? [{ name: b.bed.name, bedId: b.bed.id, leafC, harmC }] : [];
    });
    if (near.length === 0) return [];
    const worst = near.reduce((a, b) => (b.leafC - b.harmC < a.leafC - a.harmC ? b : a));
    const cover = sheetOf({ coverId: job.items[0]!.coverId }, plan.data.covers);
    return [
      {
        key: `cold:${plan.window.night}:${job.structureId}:${job.items[0]!.coverId}`,
        kind: 'cold',
        subject: worst.bedId,
        urgent: true,
        title: said('warn.cold', { job: job.title, onByAtMs: job.onByAtMs }),
        text: said('warn.cold.text', {
          beds: [...new Set(near.map((n) => n.name))],
          several: near.length !== 1,
          worst: worst.name,
          leafC: worst.leafC,
          harmC: worst.harmC,
          keptAt: cover?.keptAt && !isIndoors(cover) ? cover.keptAt : '',
        }),
      },
    ];
  });
}

/** A structure's day, as far as a message needs it. */
export interface HotRow {
  structureId: string;
  name: string;
  open: number;
  crop: string;
  limitC: number;
  leftC: number;
  next: { atMs: number; fraction: number } | null;
}

/**
 * A structure that will be over its limit as it stands open.
 * @example hotWarnings([], '2027-01-15', NOW) // []
 */
export function hotWarnings(rows: readonly HotRow[], date: string, nowAtMs: number): Warning[] {
  return rows.flatMap((r): Warning[] => {
    const { next } = r;
    const due = next !== null && next.fraction > r.open && next.atMs <= nowAtMs + HOUR_MS / 6;
    if (!due || r.leftC <= r.limitC) return [];
    return [
      {
        key: `hot:${date}:${r.structureId}:${next.fraction}`,
        kind: 'hot',
        subject: r.structureId,
        urgent: true,
        title: said('warn.hot', { structure: r.name }),
        text: said('warn.hot.text', {
          open: r.open,
          leafC: r.leftC,
          overK: r.leftC - r.limitC,
          crop: r.crop,
        }),
      },
    ];
  });
}

/** What the plan went by when it was last looked at or worked on. */
export interface Basis {
  night: string;
  lowC: number;
}

/**
 * The night's forecast against that; only what turned colder.
 * @example forecastWarning({ night: '2027-01-14', lowC: -2 }, '2027-01-14', -5).title // { say: 'warn.forecast', values: { lowC: -5 } }
 */
export function forecastWarning(basis: Basis, night: string, lowC: number): Warning | null {
  if (basis.night !== night || basis.lowC - lowC < COLDER_K) return null;
  return {
    key: `forecast:${night}:${Math.round(lowC)}`,
    kind: 'forecast',
    subject: night,
    urgent: true,
    title: said('warn.forecast', { lowC }),
    text: said('warn.forecast.text', { k: basis.lowC - lowC }),
  };
}

/**
 * Thermometers under cover that have parted from the model, once a night and way.
 * @example partedWarnings(await aPlan()) // []
 */
export function partedWarnings(plan: NightPlan): Warning[] {
  return [...plan.spots].flatMap(([id, { pairs, parted }]): Warning[] => {
    const structure = plan.data.structures.find((s) => s.id === id);
    const last = pairs[0];
    if (!parted || !last || !structure) return [];
    const colder = parted.offK < 0;
    return [
      {
        key: `parted:${plan.window.night}:${id}:${colder ? 'colder' : 'milder'}`,
        kind: 'parted',
        subject: id,
        urgent: colder,
        title: said('warn.parted', { structure: structure.name, offK: parted.offK }),
        text: said('warn.parted.text', {
          measuredC: last.measuredC,
          atMs: last.atMs,
          modelC: last.modelC,
          colder,
        }),
      },
    ];
  });
}

/** What a thermometer under a roof shows now, against what stands there. */
export interface HeatRow {
  structureId: string;
  name: string;
  crop: string;
  limitC: number;
  airC: number;
  atMs: number;
}

/**
 * Measured, not reckoned: a house over what it bears, by day; said once an hour that it is so.
 * @example heatWarnings([{ structureId: 'h', name: 'House', crop: 'spinach', limitC: 30, airC: 34, atMs: 0 }])[0].title // { say: 'warn.heat', values: { structure: 'House', airC: 34 } }
 */
export function heatWarnings(rows: readonly HeatRow[]): Warning[] {
  return rows
    .filter((r) => r.airC > r.limitC)
    .map((r) => ({
      key: `heat:${r.structureId}:${Math.floor(r.atMs / HOUR_MS)}`,
      kind: 'hot',
      subject: r.structureId,
      urgent: true,
      title: said('warn.heat', { structure: r.name, airC: r.airC }),
      text: said('warn.heat.text', { atMs: r.atMs, crop: r.crop, limitC: r.limitC }),
    }));
}

export interface Spot {
  id: string;
  name: string | Said;
  /** Its newest temperature, and its usual pause. */
  lastAtMs: number;
  usualMs: number;
}

/** @example silentWarnings([{ id: 'h', name: 'House', lastAtMs: 0, usualMs: 600_000 }], 2 * 3_600_000) // [] */
export function silentWarnings(spots: readonly Spot[], nowAtMs: number): Warning[] {
  return spots.flatMap((s): Warning[] =>
    nowAtMs - s.lastAtMs < Math.max(SILENT_MS, 4 * s.usualMs)
      ? []
      : [
          {
            key: `silent:${s.id}:${s.lastAtMs}`,
            kind: 'silent',
            subject: s.id,
            urgent: false,
            title: said('warn.silent', { spot: s.name }),
            text: said('warn.silent.text', { lastAtMs: s.lastAtMs, usualMs: s.usualMs }),
          },
        ],
  );
}

export interface Quiet {
  on: boolean;
  /** Hours of the day as "22:00"; the same for none. */
  quietFrom: string;
  quietTo: string;
  /** What cannot wait goes out all the same. */
  urgentAnyway: boolean;
}

/**
 * Whether a warning may go out at an instant.
 * @example mayGo({ urgent: false }, Date.parse('2027-01-14T23:30:00Z'), 'UTC', { fromH: 22, toH: 6 }) // false
 */
export function mayGo(w: Pick<Warning, 'urgent'>, nowAtMs: number, timeZone: string, q: Quiet): boolean {
  if (!q.on) return false;
  const at = clockText(nowAtMs, { hours: 24, timeZone });
  const { quietFrom: from, quietTo: to } = q;
  const quiet = from <= to ? at >= from && at < to : at >= from || at < to;
  return !quiet || (w.urgent && q.urgentAnyway);
}
