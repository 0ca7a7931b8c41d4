/**
 * What is so, from what happened. Contract: `apply(state, event)` gives the state after an act, pure, the same on a phone and
 * on the server; `applyAll` that of a whole list, oldest first. Only what stands is given: what was taken back is left out by
 * the caller. An act that changes nothing (a sheet off that does not lie there) leaves the state as it is.
 */
import type { CoverUse } from '../farm/types';
import type { HarmScore } from '../hardiness/left';

export interface CoverAct {
  kind: 'cover';
  id: string;
  atMs: number;
  bedId: string;
  coverId: string;
  on: boolean;
  /** How it lies; left out, the sheet's usual way. */
  use?: CoverUse | undefined;
}
export interface VentAct {
  kind: 'vent';
  id: string;
  atMs: number;
  structureId: string;
  /** 0 shut to 1 wide open. */
  fraction: number;
}
/** How a planting was seen after a night. */
export interface HarmAct {
  kind: 'harm';
  id: string;
  atMs: number;
  plantingId: string;
  score: HarmScore;
}
/** What the grower wants on a bed in a night: an option's key, null for what the plan has. */
export interface DecisionAct {
  kind: 'decision';
  id: string;
  atMs: number;
  night: string;
  bedId: string;
  key: string | null;
  verdict: 'accepted' | 'changed' | 'refused' | 'withdrawn';
}
export type Act = CoverAct | VentAct | HarmAct | DecisionAct | { kind: string; id: string; atMs: number };

export interface OnBed {
  coverId: string;
  sinceAtMs: number;
  recordId: string;
  use?: CoverUse | undefined;
}

export interface Span {
  coverId: string;
  fromAtMs: number;
  /** Infinity while it lies there. */
  toAtMs: number;
  /** The acts that laid and lifted it. */
  onId: string;
  offId: string | null;
  use?: CoverUse | undefined;
}

export interface Lain {
  onBed: ReadonlyMap<string, readonly OnBed[]>;
  /** When which cover lay on a bed, those that lie there still up to Infinity, in the order of their ends. */
  spans: ReadonlyMap<string, readonly Span[]>;
  openings: ReadonlyMap<string, { fraction: number; atMs: number; recordId: string }>;
  ventSteps: ReadonlyMap<string, readonly { atMs: number; fraction: number }[]>;
  /** The newest score of each planting that was ever scored. */
  harm: ReadonlyMap<string, { score: HarmScore; atMs: number }>;
  /** What was decided, in the order in which it was said. */
  decisions: readonly DecisionAct[];
}

export const NOTHING_LAIN: Lain = {
  onBed: new Map(),
  spans: new Map(),
  openings: new Map(),
  ventSteps: new Map(),
  harm: new Map(),
  decisions: [],
};

const isCover = (a: Act): a is CoverAct => a.kind === 'cover';
const isVent = (a: Act): a is VentAct => a.kind === 'vent';
const isHarm = (a: Act): a is HarmAct => a.kind === 'harm';
const isDecision = (a: Act): a is DecisionAct => a.kind === 'decision';
const put = <T>(map: ReadonlyMap<string, T>, key: string, value: T): ReadonlyMap<string, T> =>
  new Map(map).set(key, value);

function applyCover(state: Lain, a: CoverAct): Lain {
  const on = state.onBed.get(a.bedId) ?? [];
  const spans = state.spans.get(a.bedId) ?? [];
  if (a.on) {
    const how = a.use === undefined ? {} : { use: a.use };
    const lies: OnBed = { coverId: a.coverId, sinceAtMs: a.atMs, recordId: a.id, ...how };
    const span: Span = {
      coverId: a.coverId,
      fromAtMs: a.atMs,
      toAtMs: Infinity,
      onId: a.id,
      offId: null,
      ...how,
    };
    return {
      ...state,
      onBed: put(state.onBed, a.bedId, [...on, lies]),
      spans: put(state.spans, a.bedId, [...spans, span]),
    };
  }
  // the one that lies as was said, else whichever of the kind there is
  const asSaid = on.findIndex((c) => c.coverId === a.coverId && c.use === a.use);
  const i = asSaid >= 0 ? asSaid : on.findIndex((c) => c.coverId === a.coverId);
  if (i < 0) return state;
  const { recordId } = on[i]!;
  const ended = spans.map((s) => (s.onId === recordId ? { ...s, toAtMs: a.atMs, offId: a.id } : s));
  return {
    ...state,
    onBed: put(
      state.onBed,
      a.bedId,
      on.filter((_, j) => j !== i),
    ),
    spans: put(
      state.spans,
      a.bedId,
      ended.sort((x, y) => x.toAtMs - y.toAtMs || x.fromAtMs - y.fromAtMs),
    ),
  };
}

function applyVent(state: Lain, a: VentAct): Lain {
  const steps = state.ventSteps.get(a.structureId) ?? [];
  // two moves at one instant: the later word counts
  const before = steps.at(-1)?.atMs === a.atMs ? steps.slice(0, -1) : steps;
  const opening = { fraction: a.fraction, atMs: a.atMs, recordId: a.id };
  return {
    ...state,
    openings: put(state.openings, a.structureId, opening),
    ventSteps: put(state.ventSteps, a.structureId, [...before, { atMs: a.atMs, fraction: a.fraction }]),
  };
}

function applyHarm(state: Lain, a: HarmAct): Lain {
  const before = state.harm.get(a.plantingId);
  if (before && before.atMs > a.atMs) return state;
  return { ...state, harm: put(state.harm, a.plantingId, { score: a.score, atMs: a.atMs }) };
}

/** @example apply(NOTHING_LAIN, { kind: 'vent', id: 'v', structureId: 's', fraction: 0.5, atMs: 0 }).openings.get('s').fraction // 0.5 */
export function apply(state: Lain, act: Act): Lain {
  if (isCover(act)) return applyCover(state, act);
  if (isVent(act)) return applyVent(state, act);
  if (isDecision(act)) return { ...state, decisions: [...state.decisions, act] };
  return isHarm(act) ? applyHarm(state, act) : state;
}

/** @example applyAll([]).decisions // [] */
export const applyAll = (acts: readonly Act[], start: Lain = NOTHING_LAIN): Lain => acts.reduce(apply, start);

/**
 * How many sheets of a kind lie on a bed.
 * @example lying(applyAll([{ kind: 'cover', id: 'r', bedId: 'b', coverId: 'c', on: true, atMs: 0 }]), 'b', 'c') // 1
 */
export function lying(state: Lain, bedId: string, coverId: string): number {
  return (state.onBed.get(bedId) ?? []).filter((c) => c.coverId === coverId).length;
}

/**
 * Beds for which the last word on what the plan has was yes.
 * @example acceptedBeds([{ kind: 'decision', id: 'd', atMs: 0, night: '2027-01-14', bedId: 'n1', key: 'bare', verdict: 'accepted' }]).has('n1') // true
 */
export function acceptedBeds(decisions: readonly DecisionAct[]): Set<string> {
  const last = new Map(decisions.map((d) => [d.bedId, d.verdict]));
  return new Set([...last].flatMap(([bedId, verdict]) => (verdict === 'accepted' ? [bedId] : [])));
}
