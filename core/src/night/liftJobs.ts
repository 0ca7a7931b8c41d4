/** The morning's jobs: what may come off, from when, and what has been lifted already. */
import { isIndoors } from '../covers/indoors';
import { sheetKey } from '../covers/ways';
import { sheetOf } from '../farm/facts';
import type { Cover } from '../farm/types';
import { HOUR_MS } from '../time/farmTime';
import { liftShare } from './choose';
import { carryTo, minutesFor, useOf, type Job } from './jobParts';
import { thawAtMs, type NightPlan, type PlannedBed } from './planned';
import { said } from '../words/said';

export function liftJobs(plan: NightPlan): Job[] {
  const light = plan.data.farm.schools.uncover === 'light';
  const groups = new Map<string, { b: PlannedBed; cover: Cover; recordId: string; atMs: number }[]>();
  for (const b of plan.beds) {
    const atMs = b.lift?.atMs;
    if (atMs == null) continue;
    for (const c of plan.state.onBed.get(b.bed.id) ?? []) {
      const cover = sheetOf(c, plan.data.covers);
      if (cover) {
        const key = `lift:${sheetKey(cover)}:${b.structure.id}`;
        groups.set(key, [...(groups.get(key) ?? []), { b, cover, recordId: c.recordId, atMs }]);
      }
    }
  }
  const jobs = [...groups].map(([key, group]): Job => {
    const beds = group.map((g) => g.b.bed.name);
    const frozen = group.some((g) => thawAtMs(g.b) !== null);
    const dueAtMs = Math.ceil(Math.max(...group.map((g) => g.atMs)) / 600_000) * 600_000;
    return {
      key,
      kind: 'lift',
      dueAtMs: Math.max(plan.nowAtMs, dueAtMs),
      onByAtMs: dueAtMs,
      saves: 0,
      title: isIndoors(group[0]!.cover)
        ? carryTo(group[0]!.cover, false, beds)
        : said('job.lift', { cover: group[0]!.cover.name, beds }),
      detail: light ? said('detail.light') : frozen ? said('detail.thawed') : said('detail.borne'),
      why: frozen ? said('why.frozen') : said('why.light'),
      late: false,
      minutes: group.reduce((s, g) => s + liftShare(g.cover) * minutesFor(g.cover, g.b), 0),
      structureId: group[0]!.b.structure.id,
      items: group.map((g, n) => ({
        bedId: g.b.bed.id,
        bedName: g.b.bed.name,
        coverId: g.cover.id,
        coverName: g.cover.name,
        ...useOf(g.cover),
        on: false,
        lying:
          g.b.on.filter((x) => x.id === g.cover.id).length -
          group.slice(0, n).filter((x) => x.b === g.b).length,
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
function liftedJobs(plan: NightPlan): Job[] {
  const since = (plan.window.sunriseAtMs ?? plan.nowAtMs) - 4 * HOUR_MS;
  const groups = new Map<string, Job>();
  const lifted = plan.beds
    .flatMap((b) => (plan.state.spans.get(b.bed.id) ?? []).map((span) => ({ b, span })))
    .filter(({ span }) => span.offId !== null && span.toAtMs >= since)
    .sort((x, y) => x.span.toAtMs - y.span.toAtMs);
  for (const { b, span } of lifted) {
    const cover = sheetOf(span, plan.data.covers);
    if (!cover) continue;
    const r = { id: span.offId!, atMs: span.toAtMs };
    const key = `lifted:${sheetKey(cover)}:${b.structure.id}`;
    const job = groups.get(key) ?? {
      key,
      kind: 'lift' as const,
      dueAtMs: r.atMs,
      onByAtMs: r.atMs,
      saves: 0,
      title: '',
      detail: said('detail.lifted'),
      why: '',
      late: false,
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
      lying: 0,
      done: true,
      recordId: r.id,
    });
    job.recordIds.push(r.id);
    const beds = job.items.map((x) => x.bedName);
    job.title = isIndoors(cover) ? carryTo(cover, false, beds) : said('job.off', { cover: cover.name, beds });
    groups.set(key, job);
  }
  return [...groups.values()];
}
