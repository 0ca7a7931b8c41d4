/** One bed: what it will be in there, for whom that is too cold, and everything needed to try other covers at once. */
import type { OptionRow, PlaceView, WhatIf } from '@fogata/contract';
import {
  BOOK_BELIEF,
  bedSpec,
  cropOf,
  fitCover,
  horizonOf,
  HOUR_MS,
  isFit,
  localDate,
  medianOf,
  optionKey,
  plantingValue,
  REST_ERROR_K,
  shadeShown,
  sheetKey,
  sortCovers,
  structureIndex,
  sunTimes,
  thresholds,
  waysHere,
  zoneOffsetC,
  type Bed,
  type Calibration,
  type Cover,
  type SoilState,
  type Structure,
  said,
  type Said,
  standingIn,
  standingOf,
  inUse,
  isIndoors,
  coversOn,
  sheetOf,
  hardeningOf,
} from '@fogata/core';
import {
  useOf,
  layAtMs,
  AS_IS,
  type Background,
  chosenOutcome,
  type NightPlan,
  type PlannedBed,
  nightColds,
} from '@fogata/core/planning';
import type { ClockView, PlanProgress } from '@fogata/contract';
import { type FarmState } from '../farm/state';
import type { FarmData } from '../farm/store';
import { plantingView, rangeOf, ribbonOf } from './glyph';
import { learntView } from './learning';

export interface PlaceInputs {
  data: FarmData;
  state: FarmState;
  clock: ClockView;
  structure: Structure;
  bed: Bed;
  background: Background;
  plan: NightPlan | null;
  progress: PlanProgress;
}

/** Every sheet in every way that it may lie here, and whatever lies here though it does not fit. */
function sheetsHere(
  stock: readonly Cover[],
  structure: Structure,
  bed: Bed,
  on: readonly Cover[],
  mayTouch: boolean,
): Cover[] {
  const fit = stock.flatMap((c) => waysHere(c, structure, bed, mayTouch).map((f) => f.cover));
  return [...fit, ...on.filter((c, n) => !fit.includes(c) && on.indexOf(c) === n)];
}

function whatIfOf(i: PlaceInputs): WhatIf | null {
  const b = i.plan?.beds.find((x) => x.bed.id === i.bed.id);
  if (!i.plan || !b) return null;
  const { structure, bed } = i;
  const chosen = b.options.find((o) => o.key === b.chosen)?.covers ?? b.on;
  const planned = chosen.filter((c) => !isIndoors(c));
  const away = chosen.find(isIndoors);
  const stayed = b.outcome.options.find((o) => o.key === optionKey(planned));
  const here = away ? stayed : chosenOutcome(b);
  // the plan's own objects: it may have been worked out from an earlier load of the farm
  const mayTouch = i.data.farm.schools.touch !== 'hoops';
  // crates that are away are under nothing: tried is the bed as it stands here
  const fitting = sheetsHere(i.plan.data.covers, structure, bed, b.on, mayTouch).filter((c) => !isIndoors(c));
  // a sheet that the plan lays double has two switches
  const doubled = planned.filter((c, n) => planned.indexOf(c) !== n);
  const sorted = sortCovers([...fitting, ...doubled]);
  const spec = bedSpec(structure, bed, b.plantings, sorted, {
    deepC: b.deepC,
    horizon: horizonOf(structure, i.plan.data.structures),
  });
  const alone = (cover: Cover) => {
    const { stack } = bedSpec(structure, bed, b.plantings, [cover], { deepC: b.deepC });
    return cover.use === 'over' ? stack[structureIndex(structure, [cover]) - 1]! : stack.at(-1)!;
  };
  const ids = [
    ...(shadeShown(structure, sorted) ? ['shade' as const] : []),
    ...sorted.filter((c) => c.use === 'over'),
    ...(structure.kind === 'open' ? [] : [null]),
    ...sorted.filter((c) => c.use !== 'over'),
  ];
  const opening = i.state.openings.get(structure.id)?.fraction ?? 0;
  const left = [...planned];
  const lying = [...b.on];
  const shut = opening > 0 && i.plan.phase !== 'morning';
  return {
    opening: shut ? 0 : opening,
    openNow: opening,
    shutAtMs: Math.max(i.plan.closeAtMs, i.plan.nowAtMs),
    coverFromAtMs: layAtMs(i.plan, b),
    middleK: here ? medianOf(here.minLeafC) - here.minLeafC[0]! : 0,
    awayTo: away?.name ?? null,
    ...othersOf(i.plan, b),
    openings: (structure.openings ?? []).filter((o) => o.wax),
    site: {
      latitude: i.data.farm.latitude,
      longitude: i.data.farm.longitude,
      elevationM: i.data.farm.elevationM,
    },
    weather: i.plan.ahead,
    ...dayOf(i.plan, b),
    initial: plain(b.outcome.initial),
    base: { ...spec, stack: [] },
    layers: ids.map((cover, n) => {
      // each as it lies by itself: the trial puts one over the other
      const layer = cover !== null && cover !== 'shade' ? alone(cover) : spec.stack[n]!;
      if (cover === 'shade') {
        return {
          id: 'shade',
          name: said('trial.shade'),
          note: said('trial.shade.note'),
          on: true,
          lies: true,
          drawn: true,
          stock: '',
          ventable: false,
          minutes: 0,
          spec: layer,
        };
      }
      if (cover === null) {
        return {
          id: 'structure',
          name: structure.name,
          note: opening > 0 ? said('trial.open', { open: opening, toShut: shut }) : said('trial.shut'),
          on: true,
          lies: true,
          drawn: true,
          stock: '',
          ventable: structure.ventAreaM2 > 0,
          minutes: 0,
          spec: layer,
        };
      }
      const used = inUse(i.data, i.state, i.data.covers.find((c) => c.id === cover.id) ?? cover).pieces;
      const fit = fitCover(cover, structure, bed);
      const at = left.indexOf(cover);
      if (at >= 0) left.splice(at, 1);
      const on = at >= 0;
      const under = lying.indexOf(cover);
      if (under >= 0) lying.splice(under, 1);
      const lies = under >= 0;
      const twice = ids.indexOf(cover) !== n;
      const { use } = cover;
      const key = sheetKey(cover);
      return {
        id: twice ? `${key}#2` : key,
        name: twice ? said('trial.second', { cover: cover.name }) : cover.name,
        note: lies
          ? said('trial.on', { use })
          : on
            ? said('trial.planned', { use })
            : said('trial.could', { use, lengthM: cover.lengthM }),
        on,
        lies,
        drawn: on || lies,
        stock: said('trial.stock', { free: Math.max(0, cover.count - used), of: cover.count }),
        ventable: false,
        minutes: isFit(fit) ? fit.minutes : cover.minutes,
        spec: layer,
      };
    }),
    countFromAtMs: i.clock.nowAtMs,
    calibration: inZone((i.plan.beliefs.get(structure.id) ?? BOOK_BELIEF).mean, bed),
  };
}

/** When covers would come off tomorrow and go on again: after the thaw and the first hour of sun, an hour before sunset. */
function dayOf(plan: NightPlan, b: PlannedBed): Pick<WhatIf, 'nightToAtMs' | 'dayFromAtMs' | 'dayToAtMs'> {
  const { window, data } = plan;
  const thaw = chosenOutcome(b)
    .thawAtMs.filter((t): t is number => t !== null && t !== Infinity)
    .sort((x, y) => x - y);
  const rise = window.sunriseAtMs ?? window.toAtMs - 3 * HOUR_MS;
  const set = sunTimes(window.toAtMs, data.farm.latitude, data.farm.longitude)?.setAtMs;
  return {
    nightToAtMs: window.toAtMs,
    dayFromAtMs: Math.max(rise + HOUR_MS, thaw[Math.floor(thaw.length / 2)] ?? 0, plan.nowAtMs),
    dayToAtMs: (set ?? window.toAtMs + 4 * HOUR_MS) - HOUR_MS,
  };
}

/** The place's factors; where its thermometer hangs is not what its leaf feels, the bed's own corner is. */
function inZone(c: Calibration, bed: Bed): Calibration {
  return { ...c, zoneOffsetC: zoneOffsetC(bed) };
}

const plain = (s: SoilState): WhatIf['initial'] => ({
  ...s,
  outside: [...s.outside],
  columns: s.columns.map((c) => [...c]),
});

/** The beds that share this one's air, as planned. */
function othersOf(plan: NightPlan, b: PlannedBed): Pick<WhatIf, 'others' | 'among'> {
  if (b.structure.kind !== 'house') return { others: [], among: 0 };
  const all = plan.beds.filter((o) => o.structure.id === b.structure.id);
  return {
    others: all
      .filter((o) => o.bed.id !== b.bed.id)
      .map((o) => ({ spec: o.plannedSpec, initial: plain(o.outcome.initial) })),
    among: all.findIndex((o) => o.bed.id === b.bed.id),
  };
}

function optionRows(i: PlaceInputs): OptionRow[] {
  const b = i.plan?.beds.find((x) => x.bed.id === i.bed.id);
  if (!b) return [];
  const current = optionKey(b.on);
  return b.options
    .map((o) => {
      const outcome = b.outcome.options.find((x) => x.key === o.key)!;
      return {
        key: o.key,
        names: o.covers.map((c) =>
          sheetKey(c) === c.id ? c.name : said('names.way', { cover: c.name, use: c.use }),
        ),
        leafC: rangeOf(outcome.minLeafC, i.plan!.errorK),
        loss: b.loss[o.key]!,
        minutes: b.minutes[o.key]!,
        chosen: o.key === b.chosen,
        planned: b.fixed === null ? o.key === b.chosen : o.key === b.fixed,
        current: o.key === current,
      };
    })
    .sort((a, c) => c.leafC.mid - a.leafC.mid);
}

export function plantingViews(
  i: Pick<PlaceInputs, 'data' | 'state' | 'structure' | 'bed' | 'background' | 'plan' | 'clock'> & {
    /** Another day than today: what stands then, without a night. */
    date?: string;
  },
) {
  const now = localDate(i.clock.nowAtMs, i.data.farm.timeZone);
  const today = i.date ?? now;
  const b = today === now ? i.plan?.beds.find((x) => x.bed.id === i.bed.id) : undefined;
  return standingIn(i.bed.id, i.data.plantings, today).map((p) => {
    const h = hardeningOf(p, i.structure.kind, i.background.means, today);
    const t = thresholds(cropOf(p), h, p.aim);
    const left = b?.atRisk.find((a) => a.planting.id === p.id)?.left ?? 1;
    const nights = b && i.plan ? nightColds(i.plan, b) : null;
    return plantingView(
      p,
      h,
      t,
      today,
      nights,
      i.plan?.errorK ?? REST_ERROR_K,
      i.state,
      plantingValue(p),
      left,
      i.data.harvestedKg.get(p.id) ?? 0,
    );
  });
}

function cautionsFor(i: PlaceInputs): Said[] {
  const out: Said[] = [];
  if (i.structure.kind === 'frame' && i.structure.material.startsWith('glass'))
    out.push(said('caution.glass'));
  if (i.structure.kind === 'house') out.push(said('caution.house'));
  out.push(said('caution.heat'));
  return out;
}

function learntOf(i: PlaceInputs) {
  const belief = i.plan?.beliefs.get(i.structure.id);
  return belief ? learntView(i.structure.name, i.structure.id, belief) : null;
}

export function placeView(i: PlaceInputs): PlaceView {
  const b = i.plan?.beds.find((x) => x.bed.id === i.bed.id);
  const on = i.state.onBed.get(i.bed.id) ?? [];
  const mayTouch = i.data.farm.schools.touch !== 'hoops';
  const here = sheetsHere(
    i.data.covers,
    i.structure,
    i.bed,
    coversOn(i.state, i.bed.id, i.data.covers),
    mayTouch,
  );
  return {
    clock: i.clock,
    structure: i.structure,
    bed: i.bed,
    covers: here.map((cover) => {
      const found = on.find((o) => sheetOf(o, i.data.covers) === cover);
      return { cover, ...useOf(cover), on: found !== undefined, recordId: found?.recordId ?? null };
    }),
    opening: i.state.openings.get(i.structure.id)?.fraction ?? 0,
    plantings: plantingViews(i),
    progress: i.progress,
    options: optionRows(i),
    ribbon: i.plan && b ? ribbonOf(i.plan, b) : null,
    whatIf: whatIfOf(i),
    learnt: learntOf(i),
    cautions: cautionsFor(i),
    standing: standingOf(i.state, i.clock.window.fromAtMs, i.clock.window.night),
  };
}

export { AS_IS, HOUR_MS, coversOn };
