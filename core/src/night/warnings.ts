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
import { differenceText, temperatureText } from '../formats/units';
import { clockText, HOUR_MS } from '../time/farmTime';
import { bandOf } from './bands';
import { type Job } from './jobParts';
import { joined } from '../formats/words';
import { asIsOutcome, type NightPlan } from './planned';
import type { Style } from './words';

export type WarningKind = 'cold' | 'hot' | 'forecast' | 'silent' | 'parted';

export interface Warning {
  key: string;
  kind: WarningKind;
  /** A bed's night, a structure, a spot: what it is about. */
  subject: string;
  /** Lost if it waits until the morning. */
  urgent: boolean;
  title: string;
  text: string;
}

const NEAR_K = 1;
const SOON_MS = HOUR_MS / 4;
const COLDER_K = 2;
const SILENT_MS = 3 * HOUR_MS;

/** Beds near harm whose covering should have begun. */
export function coldWarnings(plan: NightPlan, jobs: readonly Job[], style: Style): Warning[] {
  const t = (c: number) => temperatureText(c, style.units.temperature);
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
    const kept = cover?.keptAt && !isIndoors(cover) ? ` It is kept: ${cover.keptAt}.` : '';
    return [
      {
        key: `cold:${plan.window.night}:${job.structureId}:${job.items[0]!.coverId}`,
        kind: 'cold',
        subject: worst.bedId,
        urgent: true,
        title: `${job.title}: on by ${clockText(job.onByAtMs, style)}`,
        text: `${joined([...new Set(near.map((n) => n.name))])} ${near.length === 1 ? 'is' : 'are'} not covered yet. Left so, the leaves on ${worst.name} fall to ${t(worst.leafC)}; harm begins at ${t(worst.harmC)}.${kept}`,
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

export function hotWarnings(rows: readonly HotRow[], date: string, nowAtMs: number, style: Style): Warning[] {
  return rows.flatMap((r): Warning[] => {
    const { next } = r;
    const due = next !== null && next.fraction > r.open && next.atMs <= nowAtMs + HOUR_MS / 6;
    if (!due || r.leftC <= r.limitC) return [];
    const over = differenceText(r.leftC - r.limitC, style.units.temperature).replace('+', '');
    return [
      {
        key: `hot:${date}:${r.structureId}:${next.fraction}`,
        kind: 'hot',
        subject: r.structureId,
        urgent: true,
        title: `Open ${r.name}`,
        text: `${r.open === 0 ? 'It is shut' : `It is ${Math.round(100 * r.open)} % open`}. Left so its leaves reach ${temperatureText(r.leftC, style.units.temperature)} today, ${over} too hot for ${r.crop.toLowerCase()}. A closed house is dangerous for people too.`,
      },
    ];
  });
}

/** What the plan went by when it was last looked at or worked on. */
export interface Basis {
  night: string;
  lowC: number;
}

/** The night's forecast against that; only what turned colder. */
export function forecastWarning(basis: Basis, night: string, lowC: number, style: Style): Warning | null {
  if (basis.night !== night || basis.lowC - lowC < COLDER_K) return null;
  const k = differenceText(basis.lowC - lowC, style.units.temperature).replace('+', '');
  return {
    key: `forecast:${night}:${Math.round(lowC)}`,
    kind: 'forecast',
    subject: night,
    urgent: true,
    title: `Tonight is colder than planned: ${temperatureText(lowC, style.units.temperature, 0)}`,
    text: `The forecast is ${k} colder than the one that was planned by. The plan has been worked out anew: look at it again.`,
  };
}

/** Thermometers under cover that have parted from the model, once a night and way. */
export function partedWarnings(plan: NightPlan, style: Style): Warning[] {
  const t = (c: number) => temperatureText(c, style.units.temperature);
  return [...plan.spots].flatMap(([id, { pairs, parted }]): Warning[] => {
    const structure = plan.data.structures.find((s) => s.id === id);
    const last = pairs[0];
    if (!parted || !last || !structure) return [];
    const colder = parted.offK < 0;
    const k = differenceText(Math.abs(parted.offK), style.units.temperature).replace('+', '');
    return [
      {
        key: `parted:${plan.window.night}:${id}:${colder ? 'colder' : 'milder'}`,
        kind: 'parted',
        subject: id,
        urgent: colder,
        title: `${structure.name} is ${k} ${colder ? 'colder' : 'milder'} than it should be`,
        text: `Its thermometer showed ${t(last.measuredC)} at ${clockText(last.atMs, style)}; by what is noted it should be ${t(last.modelC)}. ${
          colder
            ? 'Look for a door, an edge or a sheet that is not as noted. Until then the night is reckoned that much colder in there.'
            : 'A cover that is on and not noted, or the thermometer itself. Nothing is counted warmer for it.'
        }`,
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

/** Measured, not reckoned: a house over what it bears, by day; said once an hour that it is so. */
export function heatWarnings(rows: readonly HeatRow[], style: Style): Warning[] {
  const t = (c: number) => temperatureText(c, style.units.temperature);
  return rows
    .filter((r) => r.airC > r.limitC)
    .map((r) => ({
      key: `heat:${r.structureId}:${Math.floor(r.atMs / HOUR_MS)}`,
      kind: 'hot',
      subject: r.structureId,
      urgent: true,
      title: `${r.name} shows ${t(r.airC)}`,
      text: `Measured at ${clockText(r.atMs, style)}. ${r.crop} spoils above ${t(r.limitC)}: open everything that opens. Do not go to work in it alone.`,
    }));
}

export interface Spot {
  id: string;
  name: string;
  /** Its newest temperature, and its usual pause. */
  lastAtMs: number;
  usualMs: number;
}

export function silentWarnings(spots: readonly Spot[], nowAtMs: number, style: Style): Warning[] {
  return spots.flatMap((s): Warning[] =>
    nowAtMs - s.lastAtMs < Math.max(SILENT_MS, 4 * s.usualMs)
      ? []
      : [
          {
            key: `silent:${s.id}:${s.lastAtMs}`,
            kind: 'silent',
            subject: s.id,
            urgent: false,
            title: `No word from the thermometer: ${s.name}`,
            text: `It was last heard at ${clockText(s.lastAtMs, style)}, and used to speak every ${s.usualMs < HOUR_MS ? `${Math.max(1, Math.round(s.usualMs / 60_000))} minutes` : `${Math.round(s.usualMs / HOUR_MS)} hours`}. Battery, signal, or frost on the sensor.`,
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
