/** From the farm to the planner's units of work: each roof with its beds, the days that were, the covers that could be. */
import type { Belief } from '../calibration/belief';
import { coversOn, sheetOf, standingIn, type FarmFacts } from '../farm/facts';
import { zoneOffsetC } from '../farm/setup';
import { horizonOf } from '../farm/shade';
import type { Bed, Cover, Planting, Structure } from '../farm/types';
import type { BedSpec, WeatherEntry } from '../heat/types';
import type { Lain } from '../log/apply';
import { HOUR_MS, type NightWindow } from '../time/farmTime';
import type { HouseBed, HouseTask } from './house';
import type { Measured } from './parting';
import { BARE, coverOptions, optionKey, threeOptions, type CoverOption } from './options';
import { bedSpec, structureIndex } from './stack';

/** The bed as it stands, nothing touched: covers as they are, openings as they are. */
export const AS_IS = 'as-is';
/** As it stands, but what is open shut when it is time to. */
export const SHUT = 'shut';
export const HISTORY_MS = 4 * 24 * HOUR_MS;

export interface BedPlan {
  structure: Structure;
  bed: Bed;
  plantings: Planting[];
  on: Cover[];
  options: CoverOption[];
  historySpec: BedSpec;
  asIsSpec: BedSpec;
  deepC: number;
  placeK: number;
  /** What the roof's own thermometer showed it to be colder by, K. */
  partedK?: number;
  belief: Belief | undefined;
}

/** Beds under one roof share its air; a frame, a tunnel or open ground is each bed's own. */
export interface Roof {
  structure: Structure;
  beds: BedPlan[];
}

const iso = (ms: number) => new Date(ms).toISOString();
const FAR_MS = 8_640_000_000_000_000 / 4;

type Spans = { from: string; to: string }[];

/** A sheet with the times it lay: one that lay there on several nights is one layer, two at once are two. */
export interface LaidSheet {
  cover: Cover;
  on: Spans;
}

/**
 * What lay on a bed between two instants, with when.
 * @example sheetsBetween(evening(-7, 1).data, NOTHING_LAIN, 'hardy', NOW - 86_400_000, NOW) // []
 */
export function sheetsBetween(
  data: FarmFacts,
  state: Lain,
  bedId: string,
  fromAtMs: number,
  toAtMs: number,
): LaidSheet[] {
  const spans = [...(state.spans.get(bedId) ?? [])]
    .filter((s) => s.toAtMs > fromAtMs && s.fromAtMs < toAtMs)
    .sort((a, b) => a.fromAtMs - b.fromAtMs);
  const out: LaidSheet[] = [];
  for (const span of spans) {
    const cover = sheetOf(span, data.covers);
    if (!cover) continue;
    const on = { from: iso(span.fromAtMs), to: iso(Math.min(toAtMs, span.toAtMs)) };
    const free = out.find((x) => x.cover === cover && x.on.at(-1)!.to <= on.from);
    if (free) free.on.push(on);
    else out.push({ cover, on: [on] });
  }
  return out;
}

/**
 * The bed with every cover that lay on it between two times, each with the times it was on, and its structure's openings.
 * What is laid or opened later is not in it: a night that was does not change by what is ticked today.
 * @example asItWas(evening(-7, 1).data, NOTHING_LAIN, aStructure(), aBed(), [], NOW - 86_400_000, NOW, 6).stack.map((l) => l.role) // ['structure']
 */
export function asItWas(
  data: FarmFacts,
  state: Lain,
  structure: Structure,
  bed: Bed,
  plantings: readonly Planting[],
  fromAtMs: number,
  toAtMs: number,
  deepC: number,
): BedSpec {
  const sheets = sheetsBetween(data, state, bed.id, fromAtMs, toAtMs);
  const open = (state.ventSteps.get(structure.id) ?? [])
    .filter((s) => s.atMs < toAtMs)
    .map((s) => ({ from: iso(s.atMs), fraction: s.fraction }));
  return bedSpec(
    structure,
    bed,
    plantings,
    sheets.map((x) => x.cover),
    {
      deepC,
      open,
      timing: sheets.map((x) => ({ on: x.on })),
      horizon: horizonOf(structure, data.structures),
    },
  );
}

export interface TaskInputs {
  data: FarmFacts;
  state: Lain;
  nowAtMs: number;
  today: string;
  window: NightWindow;
  history: WeatherEntry[];
  members: WeatherEntry[][];
  deepC: number;
  /** When covers that are not on yet go on, and houses are shut. */
  closeAtMs: number;
  /** When the last one leaves, where nobody is there at dusk. */
  leavesAtMs?: number | undefined;
  /** Only what is on now, in the morning. */
  onlyAsIs: boolean;
  /** The grower's word for a bed: only this option. */
  fixed: Map<string, string>;
  /** What is believed of each structure's factors; the book's where nothing is known. */
  beliefs: Map<string, Belief>;
  /** By structure: what its thermometer showed in the last hours; left out where nobody asked it. */
  measured?: ReadonlyMap<string, readonly Measured[]>;
}

// Within an hour a task says the same, so that what was worked out for it holds until the hour is over.

/** The hour in which the members begin. */
const startAtMs = (i: TaskInputs): number => Date.parse(i.members[0]![0]!.time);
/**
 * Before anything that is run.
 * @example beforeAtMs({ members: [[{ time: '1970-01-01T02:00:00Z' }]] }) // 3600000
 */
export const beforeAtMs = (i: TaskInputs): number => startAtMs(i) - HOUR_MS;
/**
 * The first of the hours that count for what is to come.
 * @example countFromAtMs({ members: [[{ time: '2027-01-14T15:00:00Z' }, { time: '2027-01-14T16:00:00Z' }]], nowAtMs: Date.parse('2027-01-14T15:30:00Z') }) === Date.parse('2027-01-14T16:00:00Z') // true
 */
export const countFromAtMs = (i: Pick<TaskInputs, 'members' | 'nowAtMs'>): number =>
  i.members[0]!.map((e) => Date.parse(e.time)).find((ms) => ms >= i.nowAtMs) ?? i.nowAtMs;

/**
 * Covers that are already on stay on throughout; the others go on at `closeAtMs`. The structure is shut then, whatever is
 * planned for its beds: they share it.
 * @example plannedSpec(await anInputs(), aStructure(), aBed(), [], [], [aCover()], NOW).stack.map((l) => l.role) // ['structure', 'sheet']
 */
export function plannedSpec(
  i: TaskInputs,
  structure: Structure,
  bed: Bed,
  plantings: readonly Planting[],
  on: readonly Cover[],
  option: readonly Cover[],
  closeAtMs: number,
): BedSpec {
  const left = [...on];
  const timing = option.map((cover) => {
    const at = left.indexOf(cover);
    if (at < 0) return { on: [{ from: iso(closeAtMs), to: iso(FAR_MS) }] };
    left.splice(at, 1);
    return undefined;
  });
  const opening = i.state.openings.get(structure.id)?.fraction ?? 0;
  const shut = Math.max(i.closeAtMs, i.nowAtMs);
  const open =
    opening > 0
      ? [
          { from: iso(beforeAtMs(i)), fraction: opening },
          { from: iso(shut), fraction: 0 },
        ]
      : [];
  return bedSpec(structure, bed, plantings, option, {
    deepC: i.deepC,
    timing,
    open,
    horizon: horizonOf(structure, i.data.structures),
  });
}

function bedPlan(i: TaskInputs, structure: Structure, bed: Bed): BedPlan | null {
  const { data, state } = i;
  const plantings = standingIn(bed.id, data.plantings, i.today);
  if (plantings.length === 0) return null;
  const on = coversOn(state, bed.id, data.covers);
  const mayTouch = data.farm.schools.touch !== 'hoops';
  let options = i.onlyAsIs ? [] : coverOptions(structure, bed, data.covers, on, Infinity, mayTouch);
  const wanted = i.fixed.get(bed.id);
  // the grower's word may be of three sheets, which are else looked at only where two leave much to lose
  const three = (key: string) =>
    options.length === 0 || options.some((o) => o.key === key)
      ? []
      : threeOptions(structure, bed, data.covers, mayTouch).filter((o) => o.key === key);
  if (wanted !== undefined) options = [...options, ...three(wanted)];
  if (wanted !== undefined && options.some((o) => o.key === wanted)) {
    options = options.filter((o) => o.key === wanted || o.key === optionKey(on) || o.key === BARE);
  }
  const opening = state.openings.get(structure.id)?.fraction ?? 0;
  const open = opening > 0 ? [{ from: iso(beforeAtMs(i)), fraction: opening }] : [];
  const horizon = horizonOf(structure, data.structures);
  return {
    structure,
    bed,
    plantings,
    on,
    options,
    historySpec: asItWas(
      data,
      state,
      structure,
      bed,
      plantings,
      startAtMs(i) - HISTORY_MS,
      startAtMs(i),
      i.deepC,
    ),
    asIsSpec: bedSpec(structure, bed, plantings, on, { deepC: i.deepC, open, horizon }),
    deepC: i.deepC,
    placeK: zoneOffsetC(bed),
    belief: i.beliefs.get(structure.id),
  };
}

/**
 * The plan's work: every roof with the beds in which something stands.
 * @example roofsOf(await anInputs()).map((r) => r.beds.length) // [2]
 */
export function roofsOf(i: TaskInputs): Roof[] {
  return i.data.structures.flatMap((structure) => {
    const beds = i.data.beds
      .filter((b) => b.structureId === structure.id)
      .flatMap((bed) => bedPlan(i, structure, bed) ?? []);
    if (beds.length === 0) return [];
    return structure.kind === 'house' ? [{ structure, beds }] : beds.map((b) => ({ structure, beds: [b] }));
  });
}

/**
 * The roof's beds as the thread takes them; `specOf` says under which covers each is looked at.
 * @example (await (async () => { const i = await anInputs(); return houseTask(i, roofsOf(i)[0], 'as', (b) => ({ spec: b.asIsSpec, covers: [] })).beds.length; })()) // 2
 */
export function houseTask(
  i: TaskInputs,
  roof: Roof,
  key: string,
  specOf: (b: BedPlan) => { spec: BedSpec; covers: readonly Cover[] },
): HouseTask {
  const { belief } = roof.beds[0]!;
  return {
    site: i.data.farm,
    history: i.history,
    members: i.members,
    key,
    ...(belief ? { belief } : {}),
    countFromAtMs: countFromAtMs(i),
    beds: roof.beds.map((b): HouseBed => {
      const { spec, covers } = specOf(b);
      return {
        id: b.bed.id,
        historySpec: b.historySpec,
        spec,
        structureLayer: structureIndex(b.structure, covers),
        placeK: b.placeK,
        ...(b.partedK ? { partedK: b.partedK } : {}),
      };
    }),
  };
}
