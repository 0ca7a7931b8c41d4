/**
 * What this device did, on what the server last said. Contract: each function shows a view as it stands after this device's acts,
 * at once, with or without signal, by the same `apply` as the server's; an act that the answer can know (it was asked for after
 * the act was taken) is left to the answer.
 */
import type { SentRecord } from '@fogata/contract';
import type {
  BedsView,
  DayView,
  NowView,
  PlaceView,
  RoundItem,
  SeasonView,
  StormView,
  WaterView,
} from '@fogata/contract/told';
import {
  foldOn,
  jobAsItStands,
  knownActs,
  NOTHING_STANDS,
  stackAsItStands,
  type Lain,
  type Standing,
} from '@fogata/core/telling';
import type { OwnAct } from './outbox';

/** A view and when it was asked for, by this device's clock. */
export type Asked<T> = T & { askedAtMs?: number };

interface Since {
  acts: SentRecord[];
  back: Set<string>;
}

/** The acts that an answer cannot know, without those that are taken back by another of them, and what else is taken back. */
function unknownTo(acts: readonly OwnAct[], askedAtMs: number): Since {
  const list = acts.filter((a) => a.sentAtMs === null || a.sentAtMs >= askedAtMs).map((a) => a.record);
  const back = new Set<string>();
  for (const r of [...list].reverse()) if (r.kind === 'retraction' && !back.has(r.id)) back.add(r.retracts);
  return { acts: list.filter((r) => r.kind !== 'retraction' && !back.has(r.id)), back };
}

/** `show` with the farm as it stands, where this device did something that the answer cannot know; else the answer itself. */
function shown<V extends object>(
  view: Asked<V>,
  standing: Standing | undefined,
  own: readonly OwnAct[],
  show: (state: Lain, since: Since) => V,
): V {
  const since = unknownTo(own, view.askedAtMs ?? 0);
  if (since.acts.length === 0 && since.back.size === 0) return view;
  return show(foldOn(standing ?? NOTHING_STANDS, since.acts, since.back), since);
}

function roundShown(item: RoundItem, night: string, { acts, back }: Since): RoundItem {
  const noted = acts.filter((r) => r.kind === 'reading' && r.spot === item.spot && r.night === night).at(-1);
  if (noted?.kind === 'reading')
    return { ...item, reading: { minC: noted.minC, maxC: noted.maxC, recordId: noted.id } };
  return item.reading && back.has(item.reading.recordId) ? { ...item, reading: null } : item;
}

function stormShown(job: StormView, { acts, back }: Since): StormView {
  const made = acts.find(
    (r) => r.kind === 'secured' && r.structureId === job.structureId && r.what === job.what,
  );
  if (made && !job.done) return { ...job, done: true, recordId: made.id };
  return job.recordId !== null && back.has(job.recordId) ? { ...job, done: false, recordId: null } : job;
}

export function overlay(view: Asked<NowView>, own: readonly OwnAct[]): NowView {
  return shown<NowView>(view, view.standing, own, (state, since) => {
    const known = knownActs(view.standing);
    return {
      ...view,
      jobs: view.jobs.map((j) => jobAsItStands(j, state, known)),
      places: view.places.map((p) => ({
        ...p,
        stack: stackAsItStands(p.stack, p.bedId, p.structureId, state),
      })),
      rounds: view.rounds.map((r) => roundShown(r, view.clock.window.night, since)),
      storm: view.storm.map((j) => stormShown(j, since)),
    };
  });
}

/** What lies on one bed, and how far its structure is open. */
export function overlayPlace(view: Asked<PlaceView>, own: readonly OwnAct[]): PlaceView {
  return shown<PlaceView>(view, view.standing, own, (state) => ({
    ...view,
    opening: state.openings.get(view.structure.id)?.fraction ?? view.opening,
    covers: view.covers.map((c) => {
      const lies = state.onBed
        .get(view.bed.id)
        ?.find((s) => s.coverId === c.cover.id && (s.use ?? c.cover.use) === (c.use ?? c.cover.use));
      return { ...c, on: lies !== undefined, recordId: lies?.recordId ?? null };
    }),
  }));
}

export function overlayBeds(view: Asked<BedsView>, own: readonly OwnAct[]): BedsView {
  return shown<BedsView>(view, view.standing, own, (state) => ({
    ...view,
    structures: view.structures.map((s) => ({
      ...s,
      opening: state.openings.get(s.structure.id)?.fraction ?? s.opening,
      beds: s.beds.map((b) => ({
        ...b,
        stack: stackAsItStands(b.stack, b.bed.id, s.structure.id, state),
      })),
    })),
  }));
}

/** What is to be opened: a move that has been made is none to come. */
export function overlayDay(view: Asked<DayView>, own: readonly OwnAct[]): DayView {
  const openings = view.structures.map((s) => ({
    structureId: s.structureId,
    fraction: s.open,
    atMs: 0,
    recordId: s.recordId ?? '',
    before: null,
  }));
  return shown<DayView>(view, { ...NOTHING_STANDS, openings }, own, (state) => ({
    ...view,
    structures: view.structures.map((s) => {
      const o = state.openings.get(s.structureId);
      if (!o || o.recordId === (s.recordId ?? '')) return s;
      const steps = s.steps[0]?.fraction === o.fraction ? s.steps.slice(1) : s.steps;
      return { ...s, open: o.fraction, recordId: o.recordId, steps };
    }),
  }));
}

/** The weeks' list: what was done is off it, what was moved stands on its new day. */
export function overlaySeason(view: Asked<SeasonView>, own: readonly OwnAct[]): SeasonView {
  return shown<SeasonView>(view, undefined, own, (_state, { acts }) => {
    const steps = acts.filter((r) => r.kind === 'step');
    const lastOf = (plantingId: string, step: string) =>
      steps.filter((r) => r.plantingId === plantingId && r.step === step).at(-1);
    const jobs = view.jobs.flatMap((j) => {
      const act = lastOf(j.plantingId, j.step);
      if (!act) return [j];
      return act.done ? [] : [{ ...j, date: act.on }];
    });
    return { ...view, jobs: jobs.sort((a, b) => a.date.localeCompare(b.date) || a.bed.localeCompare(b.bed)) };
  });
}

/** Water: what was given or felt is said as given; what follows from it is the server's to reckon. */
export function overlayWater(view: Asked<WaterView>, own: readonly OwnAct[]): WaterView {
  const served = { on: null, may: null, mm: 0, litres: 0, minutes: null };
  return shown<WaterView>(view, undefined, own, (_state, { acts }) => ({
    ...view,
    rows: view.rows.map((row) => {
      const fed = acts.some((a) => a.kind === 'feed' && a.bedId === row.bedId);
      const r = fed ? { ...row, feed: null } : row;
      const last = acts
        .filter((a) => (a.kind === 'water' || a.kind === 'soil') && a.bedId === r.bedId)
        .at(-1);
      if (!last) return r;
      const dry = last.kind === 'soil' && last.feel === 'dry';
      return { ...r, ...(dry ? {} : served), since: view.today };
    }),
  }));
}
