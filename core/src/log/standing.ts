/**
 * What stands by the last answer and by what this device did since. Contract: `standingOf(state, sinceAtMs)` is what an answer
 * carries of it; `foldOn(standing, acts, back)` takes back what of it was taken back, then applies the acts, by the one `apply`;
 * the other functions show a job, a stack, an opening as that state has them. Pure, the same on a phone and on the server.
 */
import {
  acceptedBeds,
  applyAll,
  NOTHING_LAIN,
  type Act,
  type DecisionAct,
  type Lain,
  type OnBed,
  type Span,
} from './apply';

/** Small enough for every answer: what lies where, what was lifted lately, how far each structure is open. */
export interface Standing {
  sheets: ({ bedId: string } & OnBed)[];
  lifted: ({ bedId: string } & OnBed & { toAtMs: number; offId: string })[];
  /** `before`: how far it was open before that act, null where that is not known. */
  openings: {
    structureId: string;
    fraction: number;
    atMs: number;
    recordId: string;
    before: number | null;
  }[];
  /** What was decided of this night, in the order in which it was said. An answer kept by an older Fogata has none. */
  night?: string;
  decisions?: DecisionAct[];
}

export const NOTHING_STANDS: Standing = { sheets: [], lifted: [], openings: [] };

/**
 * What lies and is open, with what was lifted since `sinceAtMs` (so that it can be taken back) and decided of `night`.
 * @example standingOf(applyAll([]), 0).sheets // []
 */
export function standingOf(state: Lain, sinceAtMs: number, night = ''): Standing {
  const how = (s: Span | OnBed) => (s.use === undefined ? {} : { use: s.use });
  return {
    sheets: [...state.onBed].flatMap(([bedId, list]) => list.map((s) => ({ bedId, ...s }))),
    lifted: [...state.spans].flatMap(([bedId, list]) =>
      list.flatMap((s) =>
        s.offId !== null && s.toAtMs >= sinceAtMs
          ? [
              {
                bedId,
                coverId: s.coverId,
                sinceAtMs: s.fromAtMs,
                recordId: s.onId,
                toAtMs: s.toAtMs,
                offId: s.offId,
                ...how(s),
              },
            ]
          : [],
      ),
    ),
    openings: [...state.openings].map(([structureId, o]) => ({
      structureId,
      ...o,
      before: state.ventSteps.get(structureId)?.at(-2)?.fraction ?? null,
    })),
    night,
    decisions: state.decisions.filter((d) => d.night === night),
  };
}

function pushed<T>(map: Map<string, T[]>, key: string, value: T): void {
  map.set(key, [...(map.get(key) ?? []), value]);
}

/**
 * The state that an answer told, without what `back` (ids of acts) takes back of it, and with `acts` applied, oldest first.
 * @example foldOn(NOTHING_STANDS, [{ kind: 'vent', id: 'v', structureId: 's', fraction: 0.5, atMs: 0 }], new Set()).openings.get('s').fraction // 0.5
 */
export function foldOn(standing: Standing, acts: readonly Act[], back: ReadonlySet<string>): Lain {
  const onBed = new Map<string, OnBed[]>();
  const spans = new Map<string, Span[]>();
  const lie = (bedId: string, sheet: OnBed) => {
    pushed(onBed, bedId, sheet);
    const { coverId, sinceAtMs: fromAtMs, recordId: onId, use } = sheet;
    pushed(spans, bedId, { coverId, fromAtMs, toAtMs: Infinity, onId, offId: null, ...(use ? { use } : {}) });
  };
  for (const { bedId, toAtMs, offId, ...sheet } of standing.lifted) {
    if (back.has(sheet.recordId)) continue;
    if (back.has(offId)) lie(bedId, sheet);
    else {
      const { coverId, sinceAtMs: fromAtMs, recordId: onId, use } = sheet;
      pushed(spans, bedId, { coverId, fromAtMs, toAtMs, onId, offId, ...(use ? { use } : {}) });
    }
  }
  for (const { bedId, ...sheet } of standing.sheets) if (!back.has(sheet.recordId)) lie(bedId, sheet);
  const openings = new Map<string, { fraction: number; atMs: number; recordId: string }>();
  for (const { structureId, fraction, atMs, recordId, before } of standing.openings) {
    if (!back.has(recordId)) openings.set(structureId, { fraction, atMs, recordId });
    else if (before !== null) openings.set(structureId, { fraction: before, atMs, recordId: '' });
  }
  const decisions = (standing.decisions ?? []).filter((d) => !back.has(d.id));
  const after = applyAll(acts, { ...NOTHING_LAIN, onBed, spans, openings, decisions });
  return { ...after, decisions: after.decisions.filter((d) => (standing.night ?? d.night) === d.night) };
}

interface ItemLike {
  bedId: string;
  coverId: string;
  use?: string | undefined;
  on: boolean;
  done: boolean;
  lying: number;
  recordId: string | null;
}
interface JobLike<I extends ItemLike> {
  kind: string;
  structureId: string;
  items: I[];
  accepted: boolean;
  done: boolean;
  doneAtMs: number | null;
  recordIds: string[];
}

type By = { id: string; atMs: number } | null;

/** What an act that was done so far stands as: still there, or taken back. */
function stillDone(i: ItemLike, state: Lain): By {
  const sheet = (state.onBed.get(i.bedId) ?? []).find((s) => s.recordId === i.recordId);
  if (i.on) return sheet ? { id: sheet.recordId, atMs: sheet.sinceAtMs } : null;
  const span = (state.spans.get(i.bedId) ?? []).find((s) => s.offId === i.recordId);
  return span ? { id: span.offId!, atMs: span.toAtMs } : null;
}

/** The act since the answer that does what an item asks, and no other item had. */
function freshFor(i: ItemLike, state: Lain, known: ReadonlySet<string>): By {
  const spans = (state.spans.get(i.bedId) ?? []).filter((s) => s.coverId === i.coverId && s.use === i.use);
  const span = i.on
    ? spans.find((s) => s.offId === null && !known.has(s.onId))
    : spans.find((s) => s.offId !== null && !known.has(s.offId));
  return span
    ? i.on
      ? { id: span.onId, atMs: span.fromAtMs }
      : { id: span.offId!, atMs: span.toAtMs }
    : null;
}

/**
 * Ids of the acts that an answer's standing came from.
 * @example knownActs(NOTHING_STANDS).size // 0
 */
export const knownActs = (s: Standing): Set<string> =>
  new Set([...s.sheets.map((x) => x.recordId), ...s.lifted.map((x) => x.offId)]);

/**
 * A job with what of it is done and accepted in `state`; `known` are the acts that its answer had.
 * @example jobAsItStands({ key: 'k', kind: 'cover', items: [], done: false, recordIds: [] }, NOTHING_LAIN, new Set()).key // 'k'
 */
export function jobAsItStands<I extends ItemLike, J extends JobLike<I>>(
  job: J,
  state: Lain,
  known: ReadonlySet<string>,
): J {
  const stands = doneAsItStands<I, J>(job, state, known);
  if (job.kind !== 'cover') return stands;
  const beds = acceptedBeds(state.decisions);
  const accepted = job.items.length > 0 && job.items.every((i) => beds.has(i.bedId));
  return accepted === stands.accepted ? stands : { ...stands, accepted };
}

function doneAsItStands<I extends ItemLike, J extends JobLike<I>>(
  job: J,
  state: Lain,
  known: ReadonlySet<string>,
): J {
  if (job.kind === 'close') {
    const o = state.openings.get(job.structureId);
    if (o?.fraction === 0)
      return job.done ? job : { ...job, done: true, doneAtMs: o.atMs, recordIds: [o.recordId] };
    return job.done ? { ...job, done: false, doneAtMs: null, recordIds: [] } : job;
  }
  const taken = new Set(known);
  for (const i of job.items) if (i.recordId !== null) taken.add(i.recordId);
  const by = job.items.map((i): By => {
    const act = i.done ? stillDone(i, state) : freshFor(i, state, taken);
    if (act) taken.add(act.id);
    return act;
  });
  if (by.every((b, n) => (b !== null) === job.items[n]!.done)) return job;
  const waits = new Map<string, number>();
  const items = job.items.map((i, n) => {
    if (by[n]) return { ...i, done: true, recordId: by[n].id };
    const kind = `${i.bedId} ${i.coverId}`;
    const before = waits.get(kind) ?? 0;
    waits.set(kind, before + 1);
    const there = (state.onBed.get(i.bedId) ?? []).filter((s) => s.coverId === i.coverId).length;
    // one that was done and is not any more expects what lies there now
    const lying = i.done ? (i.on ? there + before : there - before) : i.lying;
    return { ...i, lying, done: false, recordId: null };
  });
  const done = items.every((i) => i.done);
  return {
    ...job,
    items,
    done,
    doneAtMs: done ? Math.max(...by.map((b) => b!.atMs)) : null,
    recordIds: by.flatMap((b) => b?.id ?? []),
  };
}

interface GlyphLike {
  state: 'on' | 'off' | 'planned';
  opening: number;
  /** The kind of sheet; left out of the structure itself. */
  coverId?: string;
}

/**
 * A bed's stack with the sheets that lie there in `state`, its structure as far open as it is. A sheet it never had is not drawn.
 * @example stackAsItStands([{ state: 'planned', opening: 0, coverId: 'a' }], 'b', 's', applyAll([{ kind: 'cover', id: 'r', bedId: 'b', coverId: 'a', on: true, atMs: 0 }]))[0].state // 'on'
 */
export function stackAsItStands<G extends GlyphLike>(
  stack: readonly G[],
  bedId: string,
  structureId: string,
  state: Lain,
): G[] {
  const left = new Map<string, number>();
  for (const s of state.onBed.get(bedId) ?? []) left.set(s.coverId, (left.get(s.coverId) ?? 0) + 1);
  return stack.flatMap((layer): G[] => {
    if (layer.coverId === undefined)
      return [{ ...layer, opening: state.openings.get(structureId)?.fraction ?? layer.opening }];
    const n = left.get(layer.coverId) ?? 0;
    left.set(layer.coverId, n - 1);
    if (n > 0) return [{ ...layer, state: 'on' }];
    return layer.state === 'on' ? [] : [layer];
  });
}
