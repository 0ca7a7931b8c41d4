/** The evening's jobs: what is to be shut and covered, each with what it saves by itself and why. */
import { failShare } from '../covers/exposed';
import { isIndoors } from '../covers/indoors';
import { sheetKey } from '../covers/ways';
import { cropOf } from '../crops/cultivars';
import { sheetOf } from '../farm/facts';
import type { Cover } from '../farm/types';
import { acceptedBeds } from '../log/apply';
import { floorMinutes, HOUR_MS } from '../time/farmTime';
import { said, type Said } from '../words/said';
import { bandOf, medianOf } from './bands';
import { CLOSE_MIN } from './choice';
import { liftShare } from './choose';
import { carryTo, minutesFor, useOf, type Job, type JobItem, type Saying } from './jobParts';
import { lostAtDark } from './evaluate';
import { asIsOutcome, chosenOutcome, type NightPlan, type PlannedBed } from './planned';
import { optionKey } from './options';
import { AS_IS, SHUT } from './tasks';
import { worthOfSheets } from './worth';

function cropsOf(b: PlannedBed): string {
  return [...new Set(b.plantings.map((p) => cropOf(p).name))].join(', ');
}

/** Bed names in order, one that gets two sheets of a kind as "N2 (double)". */
function bedNames(group: Change[]): (string | Said)[] {
  const counts = new Map<string, number>();
  for (const c of group) counts.set(c.bed.bed.name, (counts.get(c.bed.bed.name) ?? 0) + 1);
  return [...counts].map(([bed, n]) => (n > 1 ? said('names.double', { bed }) : bed));
}

interface Change {
  bed: PlannedBed;
  cover: Cover;
  on: boolean;
  done: boolean;
  recordId: string | null;
  atMs: number | null;
  /** What this act alone is expected to save, in money; under zero where a sheet is wanted elsewhere. */
  saves: number;
}

/** Expected loss of a bed under covers, with its house as it will be shut; null where that was not worked out. */
function lossUnder(b: PlannedBed, covers: readonly Cover[]): number | null {
  return b.loss[optionKey(covers)] ?? null;
}

/** As it stands, its house shut: what laying is measured against. What shutting saves is the closing job's. */
const lossShut = (b: PlannedBed): number => b.loss[SHUT] ?? b.loss[AS_IS]!;

/** What is to be put on or taken off, and what of it has been done since noon. */
function changes(plan: NightPlan): Change[] {
  const out: Change[] = [];
  for (const b of plan.beds) {
    const option = b.options.find((o) => o.key === b.chosen);
    const off = [...b.on];
    const fresh: Cover[] = [];
    for (const cover of option?.covers ?? []) {
      const i = off.indexOf(cover);
      if (i >= 0) off.splice(i, 1);
      else fresh.push(cover);
    }
    const todo = { bed: b, done: false, recordId: null, atMs: null };
    if (option) {
      const kept = [...b.on];
      for (const cover of off) kept.splice(kept.indexOf(cover), 1);
      const shut = lossShut(b);
      const bare = off.length > 0 ? lossUnder(b, kept) : shut;
      const lossOf = (covers: readonly Cover[]) =>
        covers.length === b.on.length && off.length === 0 ? shut : lossUnder(b, covers);
      worthOfSheets(kept, fresh, lossOf).forEach((saves, i) =>
        out.push({ ...todo, cover: fresh[i]!, on: true, saves }),
      );
      for (const cover of off)
        out.push({ ...todo, cover, on: false, saves: (shut - (bare ?? shut)) / off.length });
    }
    for (const c of plan.state.onBed.get(b.bed.id) ?? []) {
      if (c.sinceAtMs < plan.window.fromAtMs) continue;
      const cover = sheetOf(c, plan.data.covers);
      if (cover && !(option && off.includes(cover)))
        out.push({ bed: b, cover, on: true, done: true, recordId: c.recordId, atMs: c.sinceAtMs, saves: 0 });
    }
  }
  return out;
}

/** `n` is how many of the same are done before it in the same job. */
function item(c: Change, n: number): JobItem {
  const there = c.bed.on.filter((x) => x.id === c.cover.id).length;
  return {
    lying: c.on ? there + n : there - n,
    bedId: c.bed.bed.id,
    bedName: c.bed.bed.name,
    coverId: c.cover.id,
    coverName: c.cover.name,
    ...useOf(c.cover),
    on: c.on,
    done: c.done,
    recordId: c.recordId,
  };
}

const failsIn = (plan: NightPlan, c: Change): number =>
  failShare([c.cover], c.bed.structure, plan.members, plan.nowAtMs, plan.window.toAtMs);

function coverWhy(group: Change[], plan: NightPlan): Saying {
  const todo = group.filter((c) => !c.done);
  const parts: Said[] = [];
  const overdue = todo.filter((c) => c.bed.lateAtMs !== null).map((c) => c.bed.bed.name);
  if (todo.length > overdue.length) parts.push(said('why.onBy', { atMs: dueOf(group, plan) }));
  if (overdue.length > 0) parts.push(said('why.overdue', { beds: [...new Set(overdue)] }));
  const first = todo.filter((c, n) => todo.findIndex((x) => x.bed === c.bed) === n);
  for (const c of first)
    parts.push(
      said('why.bed', {
        bed: c.bed.bed.name,
        afterC: bandOf(chosenOutcome(c.bed).minLeafC, 0).mid,
        beforeC: bandOf(asIsOutcome(c.bed).minLeafC, 0).mid,
        money: todo.filter((x) => x.bed === c.bed).reduce((sum, x) => sum + x.saves, 0),
      }),
    );
  const share = Math.max(0, ...todo.filter((c) => c.on).map((c) => failsIn(plan, c)));
  if (share >= 0.1) parts.push(said('why.blown', { share }));
  const k = Math.max(0, ...todo.map((c) => lostAtDark(c.bed.due)));
  const sunset = plan.window.sunsetAtMs;
  if (k > 0.4) parts.push(said('why.dark', { k, atMs: sunset ? sunset + HOUR_MS / 2 : null }));
  return parts.length > 0 ? said('why.all', { parts }) : '';
}

/** Due time of a group, before anything is late: the earliest of its beds. */
function dueOf(group: Change[], plan: NightPlan): number {
  const due = group.filter((c) => !c.done).map((c) => c.bed.lateAtMs ?? c.bed.due?.dueAtMs ?? plan.closeAtMs);
  if (due.length > 0) return Math.min(...due);
  return Math.max(...group.map((c) => c.atMs ?? plan.nowAtMs));
}

/** What stands there, and of crates how many and how heavy they are. */
function detailOf(group: readonly Change[], done: boolean): Said {
  const crops = [...new Set(group.map((c) => cropsOf(c.bed)))];
  if (done) return said('detail.crops', { crops });
  if (!isIndoors(group[0]!.cover))
    return group.some((c) => c.bed.structure.kind !== 'open')
      ? said('detail.layered', { crops })
      : said('detail.crops', { crops });
  const crates = group.flatMap((c) => c.bed.bed.crates ?? []);
  return said('detail.crates', {
    crops,
    crates: crates.reduce((s, x) => s + x.count, 0),
    kg: crates.every((x) => x.kgEach !== undefined)
      ? crates.reduce((s, x) => s + x.count * x.kgEach!, 0)
      : null,
  });
}

function titleOf(cover: Cover, on: boolean, beds: readonly (string | Said)[]): Said {
  if (isIndoors(cover)) return carryTo(cover, on, beds);
  return on
    ? said('job.cover', { cover: cover.name, use: cover.use, beds })
    : said('job.off', { cover: cover.name, beds });
}

/** One job for a sheet on all beds of a structure; `byTime`, one for each time by which its beds want it. */
export function coverJobs(plan: NightPlan, byTime = false): Job[] {
  const groups = new Map<string, Change[]>();
  for (const c of changes(plan)) {
    const late = c.bed.lateAtMs !== null ? `late${c.bed.lateAtMs}` : 'todo';
    const when = c.done ? 'done' : byTime ? `${late}${c.bed.due?.dueAtMs ?? ''}` : late;
    const key = `${c.on ? 'on' : 'off'}:${sheetKey(c.cover)}:${c.bed.structure.id}:${when}`;
    groups.set(key, [...(groups.get(key) ?? []), c]);
  }
  const accepted = acceptedBeds(plan.state.decisions.filter((d) => d.night === plan.window.night));
  return [...groups].map(([key, group]) => {
    const first = group[0]!;
    const done = first.done;
    const on = first.on;
    return {
      key,
      kind: 'cover' as const,
      dueAtMs: dueOf(group, plan),
      onByAtMs: on ? dueOf(group, plan) : dueOf(group, plan) - HOUR_MS / 6,
      saves: group.reduce((s, c) => s + c.saves, 0),
      title: titleOf(first.cover, on, bedNames(group)),
      detail: on ? detailOf(group, done) : isIndoors(first.cover) ? '' : said('detail.elsewhere'),
      why: on ? coverWhy(group, plan) : '',
      late: group.some((c) => !c.done && c.bed.lateAtMs !== null),
      minutes: group.reduce((s, c) => s + (c.on ? 1 : liftShare(c.cover)) * minutesFor(c.cover, c.bed), 0),
      structureId: first.bed.structure.id,
      items: group.map((c, i) => item(c, group.slice(0, i).filter((x) => !x.done && x.bed === c.bed).length)),
      accepted: group.every((c) => accepted.has(c.bed.bed.id)),
      done,
      doneAtMs: done ? Math.max(...group.map((c) => c.atMs!)) : null,
      recordIds: group.flatMap((c) => c.recordId ?? []),
      planKeys: Object.fromEntries(group.map((c) => [c.bed.bed.id, c.bed.chosen])),
    };
  });
}

/** What shutting does, as the model has it: on a clear still night a single film can be colder within than the air outside. */
function shutWhy(beds: readonly PlannedBed[], money: number, sunsetAtMs: number): Said {
  if (money >= 1) return said('why.shut', { sunsetAtMs, money });
  const gain = (b: PlannedBed) => {
    const shut = b.outcome.options.find((o) => o.key === SHUT);
    return shut ? medianOf(shut.minLeafC) - medianOf(asIsOutcome(b).minLeafC) : 0;
  };
  const gains = beds.map(gain).sort((a, b) => a - b);
  return said('why.shut.little', { sunsetAtMs, k: gains[gains.length >> 1]! });
}

/** Shut what is open, early enough to keep the last of the sun. */
export function closeJobs(plan: NightPlan): Job[] {
  const sunset = plan.window.sunsetAtMs ?? plan.closeAtMs + HOUR_MS;
  return plan.data.structures.flatMap((s): Job[] => {
    const opening = plan.state.openings.get(s.id);
    const closedToday =
      opening !== undefined && opening.fraction === 0 && opening.atMs >= plan.window.fromAtMs;
    if (!opening || (opening.fraction === 0 && !closedToday)) return [];
    const beds = plan.beds.filter((b) => b.structure.id === s.id);
    if (beds.length === 0) return [];
    // over the beds as they lie, shut against open; what covers save over that is theirs
    const saves = beds.reduce((sum, b) => sum + b.loss[AS_IS]! - lossShut(b), 0);
    return [
      {
        key: `close:${s.id}`,
        kind: 'close',
        dueAtMs: plan.nowAtMs,
        onByAtMs: closedToday ? opening.atMs : floorMinutes(plan.closeAtMs, 10),
        saves: closedToday ? 0 : saves,
        title: said('job.close', { structure: s.name }),
        detail: closedToday ? said('detail.shut') : said('detail.open', { open: opening.fraction }),
        why: shutWhy(beds, saves, sunset),
        late: false,
        minutes: CLOSE_MIN,
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
