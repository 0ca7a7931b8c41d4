/** From the farm to the planner's units of work: for each bed the days that were and the covers that could be. */
import {
  BARE,
  bedSpec,
  coverOptions,
  HOUR_MS,
  optionKey,
  structureIndex,
  zoneOffsetC,
  type Bed,
  type BedSpec,
  type BedTask,
  type Belief,
  type Cover,
  type CoverOption,
  type NightWindow,
  type Planting,
  type Structure,
  type WeatherEntry,
} from '@fogata/core';
import { coversOn, type FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';

/** The bed as it stands, nothing touched: covers as they are, openings as they are. */
export const AS_IS = 'as-is';
export const HISTORY_MS = 4 * 24 * HOUR_MS;

export interface BedPlan {
  structure: Structure;
  bed: Bed;
  plantings: Planting[];
  on: Cover[];
  options: CoverOption[];
  task: BedTask;
  deepC: number;
}

const iso = (ms: number) => new Date(ms).toISOString();
const FAR_MS = 8_640_000_000_000_000 / 4;

/** What stands in a bed on a date. */
export function standingIn(bedId: string, plantings: readonly Planting[], today: string): Planting[] {
  return plantings.filter(
    (p) => p.bedId === bedId && p.plantedOn <= today && (p.clearedOn === null || p.clearedOn > today),
  );
}

/** The bed with every cover that lay on it since `fromMs`, each with the times it was on, and its structure's openings. */
export function asItWas(
  data: FarmData,
  state: FarmState,
  structure: Structure,
  bed: Bed,
  plantings: readonly Planting[],
  fromMs: number,
  deepC: number,
): BedSpec {
  const spans = (state.spans.get(bed.id) ?? []).filter((s) => s.toMs > fromMs);
  const timing: Record<string, { on: { from: string; to: string }[] }> = {};
  const used: Cover[] = [];
  for (const span of spans) {
    const cover = data.covers.find((c) => c.id === span.coverId);
    if (!cover) continue;
    if (!used.includes(cover)) used.push(cover);
    (timing[cover.id] ??= { on: [] }).on.push({
      from: iso(span.fromMs),
      to: iso(Math.min(FAR_MS, span.toMs)),
    });
  }
  const open = (state.ventSteps.get(structure.id) ?? []).map((s) => ({
    from: iso(s.atMs),
    fraction: s.fraction,
  }));
  return bedSpec(structure, bed, plantings, used, { deepC, timing, open });
}

export interface TaskInputs {
  data: FarmData;
  state: FarmState;
  nowMs: number;
  today: string;
  window: NightWindow;
  history: WeatherEntry[];
  members: WeatherEntry[][];
  deepC: number;
  /** When covers that are not on yet go on, and houses are shut. */
  closeMs: number;
  /** Only what is on now, in the morning. */
  onlyAsIs: boolean;
  /** The grower's word for a bed: only this option. */
  fixed: Map<string, string>;
  /** What is believed of each structure's factors; the book's where nothing is known. */
  beliefs: Map<string, Belief>;
}

/** Covers that are already on are on throughout; the others from `closeMs`. The structure is shut at `closeMs`. */
export function plannedSpec(
  i: TaskInputs,
  structure: Structure,
  bed: Bed,
  plantings: readonly Planting[],
  on: readonly Cover[],
  option: readonly Cover[],
  closeMs: number,
): BedSpec {
  const timing: Record<string, { on: { from: string; to: string }[] }> = {};
  for (const cover of option) {
    if (!on.includes(cover)) timing[cover.id] = { on: [{ from: iso(closeMs), to: iso(FAR_MS) }] };
  }
  const opening = i.state.openings.get(structure.id)?.fraction ?? 0;
  const open =
    opening > 0
      ? [
          { from: iso(i.nowMs - HOUR_MS), fraction: opening },
          { from: iso(Math.max(closeMs, i.nowMs)), fraction: 0 },
        ]
      : [];
  return bedSpec(structure, bed, plantings, option, { deepC: i.deepC, timing, open });
}

/** The plan's work for each bed in which something stands. */
export function bedPlans(i: TaskInputs): BedPlan[] {
  const { data, state } = i;
  return data.structures.flatMap((structure) =>
    data.beds
      .filter((b) => b.structureId === structure.id)
      .flatMap((bed) => {
        const plantings = standingIn(bed.id, data.plantings, i.today);
        if (plantings.length === 0) return [];
        const on = coversOn(state, bed.id, data.covers);
        const stock =
          data.farm.schools.touch === 'hoops'
            ? data.covers.filter((c) => c.use !== 'flat' || on.includes(c))
            : data.covers;
        let options = i.onlyAsIs ? [] : coverOptions(structure, bed, stock, on);
        const wanted = i.fixed.get(bed.id);
        if (wanted !== undefined && options.some((o) => o.key === wanted)) {
          options = options.filter((o) => o.key === wanted || o.key === optionKey(on) || o.key === BARE);
        }
        const opening = state.openings.get(structure.id)?.fraction ?? 0;
        const open = opening > 0 ? [{ from: iso(i.nowMs - HOUR_MS), fraction: opening }] : [];
        const asIs = bedSpec(structure, bed, plantings, on, { deepC: i.deepC, open });
        const task: BedTask = {
          site: data.farm,
          history: i.history,
          historySpec: asItWas(data, state, structure, bed, plantings, i.nowMs - HISTORY_MS, i.deepC),
          members: i.members,
          options: [
            { key: AS_IS, spec: asIs, structureLayer: structureIndex(structure, on) },
            ...options.map((o) => ({
              key: o.key,
              spec: plannedSpec(i, structure, bed, plantings, on, o.covers, i.closeMs),
              structureLayer: structureIndex(structure, o.covers),
            })),
          ],
          ...(i.beliefs.has(structure.id) ? { belief: i.beliefs.get(structure.id)! } : {}),
          countFromMs: i.nowMs,
          zoneOffsetC: zoneOffsetC(bed),
        };
        return [{ structure, bed, plantings, on, options, task, deepC: i.deepC }];
      }),
  );
}
