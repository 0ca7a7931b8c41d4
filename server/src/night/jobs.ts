/** The jobs of the evening and the morning, by time, each with what it saves and why. */
import type { JobItem, JobView } from '@fogata/contract';
import {
  bandOf,
  clockText,
  cropById,
  differenceText,
  floorMinutes,
  fitCover,
  HOUR_MS,
  isFit,
  moneyText,
  temperatureText,
  type Cover,
  type Style,
} from '@fogata/core';
import { asIsOutcome, chosenOutcome, thawMs, type NightPlan, type PlannedBed } from './planned';
import { ofKind } from '../farm/state';

function cropsOf(b: PlannedBed): string {
  return [...new Set(b.plantings.map((p) => cropById(p.crop).name))].join(', ');
}

function joined(words: string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

const minutesFor = (cover: Cover, b: PlannedBed) => {
  const fit = fitCover(cover, b.structure, b.bed);
  return isFit(fit) ? fit.minutes : cover.minutes;
};

/** Bed names in order, one that gets two sheets of a kind as "N2 (double)". */
function bedNames(group: Change[]): string[] {
  const counts = new Map<string, number>();
  for (const c of group) counts.set(c.bed.bed.name, (counts.get(c.bed.bed.name) ?? 0) + 1);
  return [...counts].map(([name, n]) => (n > 1 ? `${name} (double)` : name));
}

interface Change {
  bed: PlannedBed;
  cover: Cover;
  on: boolean;
  done: boolean;
  recordId: string | null;
  atMs: number | null;
}

/** What is to be put on or taken off, and what of it has been done since noon. */
function changes(plan: NightPlan): Change[] {
  const out: Change[] = [];
  for (const b of plan.beds) {
    const option = b.options.find((o) => o.key === b.chosen);
    const left = [...b.on];
    for (const cover of option?.covers ?? []) {
      const i = left.indexOf(cover);
      if (i >= 0) left.splice(i, 1);
      else out.push({ bed: b, cover, on: true, done: false, recordId: null, atMs: null });
    }
    if (option)
      for (const cover of left)
        out.push({ bed: b, cover, on: false, done: false, recordId: null, atMs: null });
    const on = plan.state.onBed.get(b.bed.id) ?? [];
    for (const c of on) {
      if (c.sinceMs < plan.window.fromMs) continue;
      const cover = plan.data.covers.find((s) => s.id === c.coverId);
      if (cover && !left.includes(cover))
        out.push({ bed: b, cover, on: true, done: true, recordId: c.recordId, atMs: c.sinceMs });
    }
  }
  return out;
}

function item(c: Change): JobItem {
  return {
    bedId: c.bed.bed.id,
    bedName: c.bed.bed.name,
    coverId: c.cover.id,
    coverName: c.cover.name,
    on: c.on,
    done: c.done,
    recordId: c.recordId,
  };
}

function coverWhy(group: Change[], plan: NightPlan, style: Style): string {
  const todo = group.filter((c) => !c.done);
  const lines: string[] = [];
  if (todo.length > 0) lines.push(`On by ${clockText(dueOf(group, plan), style)}`);
  const beds = todo
    .filter((c, n) => todo.findIndex((x) => x.bed === c.bed) === n)
    .map((c) => {
      const before = bandOf(asIsOutcome(c.bed).minLeafC, 0).mid;
      const after = bandOf(chosenOutcome(c.bed).minLeafC, 0).mid;
      const saved = c.bed.loss['as-is']! - c.bed.loss[c.bed.chosen]!;
      const t = (x: number) => temperatureText(x, style.units.temperature);
      return `${c.bed.bed.name}: leaf ${t(after)} instead of ${t(before)}, saves about ${moneyText(saved, style.currency)}`;
    });
  lines.push(...beds);
  const late = Math.max(0, ...todo.map((c) => c.bed.due?.lostK ?? 0));
  if (late > 0.4) {
    const sunset = plan.window.sunsetMs;
    const lost = differenceText(late, style.units.temperature).replace('+', '');
    lines.push(
      `Half an hour after sundown${sunset ? ` (${clockText(sunset + HOUR_MS / 2, style)})` : ''} it would come out ${lost} colder`,
    );
  }
  return lines.length > 0 ? `${lines.join('. ')}.` : '';
}

/** Due time of a group, before anything is late: the earliest of its beds. */
function dueOf(group: Change[], plan: NightPlan): number {
  const due = group.filter((c) => !c.done).map((c) => c.bed.due?.dueMs ?? plan.closeMs);
  if (due.length > 0) return Math.min(...due);
  return Math.max(...group.map((c) => c.atMs ?? plan.nowMs));
}

function coverJobs(plan: NightPlan, style: Style): JobView[] {
  const groups = new Map<string, Change[]>();
  for (const c of changes(plan)) {
    const key = `${c.on ? 'on' : 'off'}:${c.cover.id}:${c.bed.structure.id}:${c.done ? 'done' : 'todo'}`;
    groups.set(key, [...(groups.get(key) ?? []), c]);
  }
  const accepted = new Set(
    ofKind(plan.state.standing, 'decision')
      .filter((d) => d.night === plan.window.night && d.verdict === 'accepted')
      .map((d) => d.bedId),
  );
  return [...groups].map(([key, group]) => {
    const first = group[0]!;
    const names = joined(bedNames(group));
    const done = first.done;
    const on = first.on;
    const crops = joined([...new Set(group.map((c) => cropsOf(c.bed)))]);
    const layers = group.some((c) => c.bed.structure.kind !== 'open') ? ' · another layer' : '';
    const verb = first.cover.use === 'over' ? 'over' : 'on';
    return {
      key,
      kind: 'cover' as const,
      dueMs: dueOf(group, plan),
      onByMs: on ? dueOf(group, plan) : dueOf(group, plan) - HOUR_MS / 6,
      saves: [...new Set(group.map((c) => c.bed))].reduce(
        (s, b) => s + b.loss['as-is']! - b.loss[b.chosen]!,
        0,
      ),
      title: on ? `${first.cover.name} ${verb} ${names}` : `${first.cover.name} off ${names}`,
      detail: on ? `${crops}${done ? '' : layers}` : 'it does more good elsewhere tonight',
      why: on ? coverWhy(group, plan, style) : '',
      minutes: group.reduce((s, c) => s + (c.on ? 1 : 0.5) * minutesFor(c.cover, c.bed), 0),
      structureId: first.bed.structure.id,
      items: group.map(item),
      accepted: group.every((c) => accepted.has(c.bed.bed.id)),
      done,
      doneAtMs: done ? Math.max(...group.map((c) => c.atMs!)) : null,
      recordIds: group.flatMap((c) => c.recordId ?? []),
      planKeys: Object.fromEntries(group.map((c) => [c.bed.bed.id, c.bed.chosen])),
    };
  });
}

/** Shut what is open, early enough to keep the last of the sun. */
function closeJobs(plan: NightPlan, style: Style): JobView[] {
  const sunset = plan.window.sunsetMs ?? plan.closeMs + HOUR_MS;
  return plan.data.structures.flatMap((s): JobView[] => {
    const opening = plan.state.openings.get(s.id);
    const closedToday = opening !== undefined && opening.fraction === 0 && opening.atMs >= plan.window.fromMs;
    if (!opening || (opening.fraction === 0 && !closedToday)) return [];
    const beds = plan.beds.filter((b) => b.structure.id === s.id);
    if (beds.length === 0) return [];
    return [
      {
        key: `close:${s.id}`,
        kind: 'close',
        dueMs: plan.nowMs,
        onByMs: closedToday ? opening.atMs : floorMinutes(sunset - 1.75 * HOUR_MS, 10),
        saves: beds.reduce((sum, b) => sum + b.loss['as-is']!, 0),
        title: `Close ${s.name}`,
        detail: closedToday
          ? 'doors and sides shut'
          : `${Math.round(opening.fraction * 100)} % open · doors and sides`,
        why: `The last sun before ${clockText(sunset, style)} goes into the soil instead of out of the door; left open, the night runs through.`,
        minutes: 4,
        structureId: s.id,
        items: [],
        accepted: false,
        done: closedToday,
        doneAtMs: closedToday ? opening.atMs : null,
        recordIds: closedToday ? [opening.recordId] : [],
        planKeys: {},
      },
    ];
  });
}

function liftJobs(plan: NightPlan): JobView[] {
  const light = plan.data.farm.schools.uncover === 'light';
  const groups = new Map<string, { b: PlannedBed; cover: Cover; recordId: string; atMs: number }[]>();
  for (const b of plan.beds) {
    const atMs = b.lift?.atMs;
    if (atMs == null) continue;
    for (const c of plan.state.onBed.get(b.bed.id) ?? []) {
      const cover = plan.data.covers.find((s) => s.id === c.coverId);
      if (cover) {
        const key = `lift:${cover.id}:${b.structure.id}`;
        groups.set(key, [...(groups.get(key) ?? []), { b, cover, recordId: c.recordId, atMs }]);
      }
    }
  }
  const jobs = [...groups].map(([key, group]): JobView => {
    const frozen = group.some((g) => thawMs(g.b) !== null);
    const dueMs = Math.ceil(Math.max(...group.map((g) => g.atMs)) / 600_000) * 600_000;
    return {
      key,
      kind: 'lift',
      dueMs: Math.max(plan.nowMs, dueMs),
      onByMs: dueMs,
      saves: 0,
      title: `Lift ${group[0]!.cover.name} off ${joined(group.map((g) => g.b.bed.name))}`,
      detail: light
        ? 'for the light, once it is borne'
        : frozen
          ? 'after the leaves have thawed'
          : 'when what is under it bears the morning',
      why: frozen
        ? 'Frozen leaves break when touched, and sudden sun on them burns. The time is when nine of ten outcomes have thawed, and what stands there bears the rest of the morning without the cover.'
        : 'From then on what stands there bears the rest of the morning without the cover, in nine of ten outcomes; every hour of light counts now.',
      minutes: group.reduce((s, g) => s + 0.5 * minutesFor(g.cover, g.b), 0),
      structureId: group[0]!.b.structure.id,
      items: group.map((g) => ({
        bedId: g.b.bed.id,
        bedName: g.b.bed.name,
        coverId: g.cover.id,
        coverName: g.cover.name,
        on: false,
        done: false,
        recordId: null,
      })),
      accepted: false,
      done: false,
      doneAtMs: null,
      recordIds: [],
      planKeys: {},
    };
  });
  return [...jobs, ...liftedJobs(plan)];
}

/** What has been lifted this morning, so that it can be seen and undone. */
function liftedJobs(plan: NightPlan): JobView[] {
  const since = (plan.window.sunriseMs ?? plan.nowMs) - 4 * HOUR_MS;
  const groups = new Map<string, JobView>();
  for (const r of ofKind(plan.state.standing, 'cover')) {
    if (r.on || r.atMs < since) continue;
    const b = plan.beds.find((x) => x.bed.id === r.bedId);
    const cover = plan.data.covers.find((c) => c.id === r.coverId);
    if (!b || !cover) continue;
    const key = `lifted:${cover.id}:${b.structure.id}`;
    const job = groups.get(key) ?? {
      key,
      kind: 'lift' as const,
      dueMs: r.atMs,
      onByMs: r.atMs,
      saves: 0,
      title: '',
      detail: 'lifted',
      why: '',
      minutes: 0,
      structureId: b.structure.id,
      items: [],
      accepted: false,
      done: true,
      doneAtMs: r.atMs,
      recordIds: [],
      planKeys: {},
    };
    job.items.push({
      bedId: b.bed.id,
      bedName: b.bed.name,
      coverId: cover.id,
      coverName: cover.name,
      on: false,
      done: true,
      recordId: r.id,
    });
    job.recordIds.push(r.id);
    job.title = `${cover.name} off ${joined(job.items.map((x) => x.bedName))}`;
    groups.set(key, job);
  }
  return [...groups.values()];
}

/** Minutes between two starts on the plan. */
const START_STEP = 5;

/**
 * When to start each job so that one person, going from one to the next, has every cover on by its time: counted back
 * from the last. What saves most is done first among those with the same time.
 */
function startTimes(jobs: JobView[], nowMs: number): void {
  const todo = jobs.filter((j) => !j.done);
  const firstOn = Math.min(...todo.filter((j) => !takesOff(j)).map((j) => j.onByMs));
  for (const job of todo) if (takesOff(job)) job.onByMs = Math.min(job.onByMs, firstOn);
  todo.sort((a, b) => a.onByMs - b.onByMs || Number(takesOff(b)) - Number(takesOff(a)) || b.saves - a.saves);
  let next = Infinity;
  for (const job of todo.reverse()) {
    next = floorMinutes(Math.min(job.onByMs, next) - job.minutes * 60_000, START_STEP);
    job.dueMs = Math.max(nowMs, next);
  }
}

/** A sheet has to come off one bed before it can go on another. */
function takesOff(job: JobView): boolean {
  return job.kind === 'cover' && job.items.some((i) => !i.on);
}

/** All jobs of the phase in the order of their times; what is done stays where it was. */
export function jobsOf(plan: NightPlan, style: Style): JobView[] {
  const jobs =
    plan.phase === 'morning' ? liftJobs(plan) : [...closeJobs(plan, style), ...coverJobs(plan, style)];
  if (plan.phase !== 'morning') startTimes(jobs, plan.nowMs);
  return jobs.sort(
    (a, b) =>
      (a.doneAtMs ?? a.dueMs) - (b.doneAtMs ?? b.dueMs) ||
      Number(takesOff(b)) - Number(takesOff(a)) ||
      b.saves - a.saves ||
      a.title.localeCompare(b.title),
  );
}
