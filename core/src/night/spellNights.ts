/**
 * Planned nights chosen together. Contract: `spellOf` makes a spell of nights that were planned one by one; `chooseTogether` has it solved and gives
 * the nights as they are then: what lies, what stays on by day, the jobs; with what that is worth, how sure it is the best, and what tonight would be
 * if the coming nights had a say in it.
 *
 * Light and damp are priced by starting values: a day's growth is a seventieth of a crop's worth where days are sixteen hours long, none where they are
 * eight; a covered day costs a thousandth of it by damp, twice that where the day is mild; a
 * day in a dark room a thirtieth.
 */
import { cropOf } from '../crops/cultivars';
import { isIndoors, isLower } from '../covers/indoors';
import { sheetKey } from '../covers/ways';
import { piecesOn } from '../farm/facts';
import type { Cover } from '../farm/types';
import { MATERIALS } from '../heat/materials';
import { dayLengthH } from '../sky/sun';
import { REST_ERROR_K } from '../calibration/belief';
import { bandOf } from './bands';
import { CLOSE_MIN } from './choice';
import { liftShare } from './choose';
import { jobsOf } from './jobs';
import type { CoverOption } from './options';
import { darkAtMs, type PlannedBed, type Workers } from './planned';
import type { PlannedNight } from './several';
import { costOf, type Choice, type Chosen, type Spell, type SpellOption } from './spell';
import { bestOf, goodOf } from './spellBest';
import { AS_IS } from './tasks';

const GROW_DAYS = 70;
/** So many days in a dark room and nothing is left of a crop. */
const DARK_DAYS = 30;
const DARK_H = 8;
const LONG_H = 16;
/** Of the light so much is lost under a bench: starting value. */
const UNDER_BENCH = 0.6;
const DAMP = 0.001;
const MILD_C = 6;
/** What stays on by day keeps so far under what spoils a crop, its house shut, K. */
const COOL_K = 3;
const NOTHING = 0.001;
/** Less is not worth another evening's plan, in the farm's money. */
const WORTH = 2;

export interface Together {
  nights: PlannedNight[];
  /** Money that choosing together saves over choosing night by night. */
  saves: number;
  /** How far it may be off the best, as a share of its cost; 0 where that is under a thousandth. */
  gap: number;
  /** Beds that would lie under something else tonight, for what comes after, and what that would save besides. */
  tonight: { saves: number; beds: { bedId: string; name: string; key: string; covers: Cover[] }[] };
}

const keysOf = (covers: readonly Cover[]): string[] => covers.map(sheetKey);
const valueOf = (b: PlannedBed): number => b.atRisk.reduce((s, a) => s + a.value, 0);
const MINUTE_MS = 60_000;

/** Options that were priced; what may stay by day is looked up in the outcome, which reaches into the afternoon with its covers on. */
function optionsOf(b: PlannedBed): SpellOption[] {
  const spoilC = Math.min(...b.plantings.map((p) => cropOf(p).spoilC));
  // in the morning there is nothing to choose but what stays
  const options = b.options.length > 0 ? b.options : [asItLies(b)];
  return options.flatMap((o): SpellOption[] => {
    const outcome = b.outcome.options.find((x) => x.key === o.key);
    const loss = b.loss[o.key];
    if (!outcome || loss === undefined || (b.fixed !== null && o.key !== b.fixed)) return [];
    const hottest = bandOf(outcome.hottestC, REST_ERROR_K).high;
    const { pieces } = o;
    return [{ key: o.key, sheets: keysOf(o.covers), loss, pieces, mayStay: hottest <= spoilC - COOL_K }];
  });
}

/** What lies, as the one option that there is. */
function asItLies(b: PlannedBed): CoverOption {
  const pieces: Record<string, number> = {};
  for (const c of b.on) pieces[c.id] = (pieces[c.id] ?? 0) + piecesOn(c, b.structure, b.bed);
  return { key: AS_IS, covers: b.on, pieces };
}

/** What a sheet costs by staying through the day after a night, by its key. */
function dayCosts(
  n: PlannedNight,
  b: PlannedBed,
  sheets: ReadonlyMap<string, Cover>,
): Record<string, number> {
  const { farm } = n.plan.data;
  const noonAtMs = n.plan.window.toAtMs;
  const light = Math.max(0, Math.min(1, (dayLengthH(noonAtMs, farm.latitude) - DARK_H) / (LONG_H - DARK_H)));
  const day = n.plan.centre.filter((e) => Math.abs(Date.parse(e.time) - noonAtMs) <= 3 * 3_600_000);
  const mild = day.length > 0 && day.reduce((s, e) => s + e.airC, 0) / day.length > MILD_C;
  const damp = DAMP * (mild ? 2 : 1);
  const cost = (c: Cover) => {
    if (isLower(c)) return valueOf(b) * (UNDER_BENCH * (light / GROW_DAYS) + damp);
    if (isIndoors(c)) return valueOf(b) / DARK_DAYS;
    const passed = MATERIALS[c.material].sunPassed ** c.plies;
    return valueOf(b) * (((1 - passed) * light) / GROW_DAYS + damp);
  };
  return Object.fromEntries([...sheets].map(([key, c]) => [key, cost(c)]));
}

/**
 * `firstAsPlanned` leaves the first night as it is planned.
 * @example (await (async () => { const plan = await aPlan(); return spellOf([{ plan, jobs: [], lifts: new Map() }], true).beds.map((b) => b.id); })()) // ['hardy', 'tender']
 */
export function spellOf(nights: readonly PlannedNight[], firstAsPlanned: boolean): Spell {
  const first = nights[0]!.plan;
  const { covers, farm } = first.data;
  const beds = first.beds.filter((b) => nights.every((n) => n.plan.beds.some((x) => x.bed.id === b.bed.id)));
  return {
    stock: Object.fromEntries(covers.map((c) => [c.id, c.count])),
    ratePerHour: farm.hourlyRate,
    handsMin: nights.map(({ plan, jobs }, n) => {
      const until = Math.max(darkAtMs(plan), plan.nowAtMs + 30 * MINUTE_MS) - plan.nowAtMs;
      const close = jobs.filter((j) => j.kind === 'close' && !j.done).length * CLOSE_MIN;
      // what was found to be late is late: it is not made impossible here
      const planned = plan.beds.reduce((s, b) => s + (b.minutes[b.chosen] ?? 0), 0);
      const can = farm.hands * (until / MINUTE_MS) - close;
      return n === 0 && firstAsPlanned ? Math.max(can, planned) : Math.max(0, can);
    }),
    beds: beds.map((b) => {
      const of = nights.map((n) => n.plan.beds.find((x) => x.bed.id === b.bed.id)!);
      const sheets = new Map(
        of
          .flatMap((x) => [...x.on, ...x.options.flatMap((o) => o.covers)])
          .map((c) => [sheetKey(c), c] as const),
      );
      const lay = Object.fromEntries(
        [...sheets].map(([key, c]) => [key, piecesOn(c, b.structure, b.bed) * c.minutes]),
      );
      const lift = Object.fromEntries([...sheets].map(([key, c]) => [key, lay[key]! * liftShare(c)]));
      return {
        id: b.bed.id,
        on: keysOf(b.on),
        lay,
        lift,
        day: nights.map((n, i) => dayCosts(n, of[i]!, sheets)),
        nights: nights.map((_, i) => {
          const all = optionsOf(of[i]!);
          return i === 0 && firstAsPlanned ? all.filter((o) => o.key === keyOf(of[i]!)) : all;
        }),
      };
    }),
  };
}

/** What is chosen for a bed as an option's key: what only lies as it is, is what lies. */
function keyOf(b: PlannedBed): string {
  if (b.chosen !== AS_IS) return b.chosen;
  const on = keysOf(b.on).sort().join();
  return b.options.find((o) => keysOf(o.covers).sort().join() === on)?.key ?? b.chosen;
}

const asPlanned = (nights: readonly PlannedNight[], s: Spell): Choice =>
  new Map(
    s.beds.map((bed) => [
      bed.id,
      nights.map((n): Chosen => ({
        key: keyOf(n.plan.beds.find((b) => b.bed.id === bed.id)!),
        stay: [],
      })),
    ]),
  );

/** A night as it was chosen together with the others: its beds begin with what stayed on, and its jobs follow. */
function nightAs(n: PlannedNight, i: number, choice: Choice): PlannedNight {
  const beds = n.plan.beds.map((b): PlannedBed => {
    const c = choice.get(b.bed.id)?.[i];
    const option = c && b.options.find((o) => o.key === c.key);
    if (!c || !option || i === 0) return b;
    const stays = c.stay.flatMap((key) => option.covers.find((x) => sheetKey(x) === key) ?? []);
    const left = [...stays];
    const fresh = option.covers.filter((x) => {
      const at = left.indexOf(x);
      if (at >= 0) left.splice(at, 1);
      return at < 0;
    });
    const minutes = fresh.reduce((s, x) => s + piecesOn(x, b.structure, b.bed) * x.minutes, 0);
    const same = b.chosen === c.key;
    return {
      ...b,
      on: stays,
      chosen: c.key,
      minutes: { ...b.minutes, [c.key]: minutes },
      due: same ? b.due : null,
      lateAtMs: same ? b.lateAtMs : null,
    };
  });
  const plan = i === 0 ? n.plan : { ...n.plan, beds };
  return { ...n, plan, jobs: i === 0 ? n.jobs : jobsOf(plan) };
}

/** Every night with what stays on through the day after it. */
const withLeft = (nights: PlannedNight[]): PlannedNight[] =>
  nights.map((n, i) => {
    const next = nights[i + 1];
    if (!next) return n;
    const left = next.plan.beds.flatMap((b) => (b.on.length > 0 ? [[b.bed.id, b.on] as const] : []));
    const lifts = new Map(n.lifts);
    for (const [id, covers] of left) {
      const b = n.plan.beds.find((x) => x.bed.id === id);
      const lies = b?.options.find((o) => o.key === keyOf(b))?.covers ?? b?.on;
      if (lies?.length === covers.length) lifts.delete(id);
    }
    return { ...n, leftOn: new Map(left), lifts };
  });

/**
 * The nights chosen as one; with fewer than two there is nothing to choose together.
 * @example (await chooseTogether([], workers, new AbortController().signal)).saves // 0
 */
export async function chooseTogether(
  nights: readonly PlannedNight[],
  workers: Workers,
  signal: AbortSignal,
): Promise<Together> {
  const alone: Together = { nights: [...nights], saves: 0, gap: 0, tonight: { saves: 0, beds: [] } };
  if (nights.length < 2) return alone;
  const isMorning = nights[0]!.plan.phase === 'morning';
  const held = spellOf(nights, true);
  if (held.beds.length === 0 || held.beds.some((b) => b.nights.some((o) => o.length === 0))) return alone;
  const [as, free] = await Promise.all([
    bestOf(held, workers, signal),
    isMorning ? null : goodOf(spellOf(nights, false), workers, signal),
  ]);
  const first = nights[0]!.plan.beds;
  const beds = held.beds.flatMap(({ id }) => {
    const b = first.find((x) => x.bed.id === id)!;
    const key = free?.choice.get(id)![0]!.key;
    if (key === undefined || key === keyOf(b)) return [];
    const covers = b.options.find((o) => o.key === key)?.covers ?? [];
    return [{ bedId: id, name: b.bed.name, key, covers }];
  });
  // not what the one may be off the best
  const more = free ? as.cost * (1 - as.gap) - free.cost : 0;
  return {
    nights: withLeft(nights.map((n, i) => nightAs(n, i, as.choice))),
    saves: Math.max(0, costOf(held, asPlanned(nights, held)) - as.cost),
    gap: as.gap < NOTHING ? 0 : as.gap,
    tonight: more >= WORTH ? { saves: more, beds } : { saves: 0, beds: [] },
  };
}
