/** What the stack glyph and the ribbon show of a planned bed. */
import type { GlyphLayer, PlaceRow, PlantingView, Range, RibbonView } from '@fogata/contract';
import {
  bandOf,
  cropOf,
  daysBetween,
  harmChance,
  isIndoors,
  HOUR_MS,
  MATERIALS,
  REST_ERROR_K,
  optionKey,
  shadeShown,
  sortCovers,
  verdict,
  type Band,
  type Bed,
  type Cover,
  type NightWindow,
  type Structure,
  said,
  type Said,
  type Thresholds,
  coversOn,
  middleNight,
  tollOf,
  type ColdNight,
} from '@fogata/core';
import {
  asIsOutcome,
  lowSoFar,
  nightKnown,
  nightLowsC,
  sundownAtMs,
  type NightPlan,
  type PlannedBed,
  AS_IS,
  nightColds,
} from '@fogata/core/planning';
import { type FarmState } from '../farm/state';

export function structureLayerName(structure: Structure): Said {
  if (structure.kind === 'house')
    return structure.name.toLowerCase().includes('house')
      ? said('layer.inHouse')
      : said('layer.inNamed', { structure: structure.name });
  return structure.kind === 'frame' ? said('layer.inFrame') : said('layer.inTunnel');
}

/** Layers from the outermost: the structure and what lies on the bed, with what the plan adds drawn as planned. */
export function glyphOf(
  structure: Structure,
  on: readonly Cover[],
  planned: readonly Cover[],
  opening: number,
): GlyphLayer[] {
  const base: GlyphLayer[] =
    structure.kind === 'open' ? [] : [{ name: structure.name, state: 'on', opening }];
  const left = [...on];
  const all = sortCovers([
    ...on,
    ...planned.filter((c) => {
      const i = left.indexOf(c);
      if (i >= 0) left.splice(i, 1);
      return i < 0;
    }),
  ]);
  const remaining = [...on];
  const layers = all.map((c): GlyphLayer & { over: boolean } => {
    const i = remaining.indexOf(c);
    if (i >= 0) remaining.splice(i, 1);
    const state = i >= 0 ? 'on' : 'planned';
    return { name: c.name, state, opening: 0, coverId: c.id, over: c.use === 'over' || isIndoors(c) };
  });
  const strip = ({ over: _over, ...layer }: GlyphLayer & { over: boolean }): GlyphLayer => layer;
  return [...layers.filter((l) => l.over).map(strip), ...base, ...layers.filter((l) => !l.over).map(strip)];
}

export function rangeOf(values: number[], extraK = REST_ERROR_K): Range {
  return bandOf(values, extraK);
}

function chosenCovers(b: PlannedBed): Cover[] {
  return b.options.find((o) => o.key === b.chosen)?.covers ?? b.on;
}

/** The planting of a bed that comes closest to harm, with its margin. */
export function closest(b: PlannedBed, leafC: number) {
  return (
    [...b.atRisk].sort((a, c) => c.thresholds.harmC - a.thresholds.harmC)[0] &&
    b.atRisk.reduce((worst, a) => (leafC - a.thresholds.harmC < leafC - worst.thresholds.harmC ? a : worst))
  );
}

export function placeRow(plan: NightPlan, b: PlannedBed): PlaceRow {
  const nights = nightColds(plan, b);
  const leafC = rangeOf(
    nights.map((n) => n.leafMinC),
    plan.errorK,
  );
  const bare = rangeOf(asIsOutcome(b).minLeafC, plan.errorK);
  const worst = closest(b, leafC.mid)!;
  const crop = cropOf(worst.planting);
  const opening = plan.state.openings.get(b.structure.id)?.fraction ?? 0;
  const planned = chosenCovers(b);
  return {
    bedId: b.bed.id,
    name: b.bed.name,
    structureId: b.structure.id,
    structureName: b.structure.name,
    stack: glyphOf(b.structure, b.on, planned, opening),
    leafC,
    bareLeafC: bare.mid,
    marginK: leafC.mid - worst.thresholds.harmC,
    harmChance: harmChance(worst, nights, plan.errorK),
    crop: crop.name,
    verdict: verdict(crop, worst.thresholds, middleNight(nights)),
    harmC: worst.thresholds.harmC,
    pending: planned.some((c) => !b.on.includes(c)),
    currentKey: optionKey(b.on),
  };
}

/** The coming night of one bed, hour by hour, as planned. */
export function ribbonOf(plan: NightPlan, b: PlannedBed, key = b.chosen): RibbonView {
  const o = b.outcome.options.find((x) => x.key === key) ?? asIsOutcome(b);
  const covers = key === AS_IS ? b.on : (b.options.find((x) => x.key === key)?.covers ?? b.on);
  const sorted = sortCovers(covers).filter((c) => !isIndoors(c));
  const names = [
    ...(shadeShown(b.structure, covers) ? [said('layer.underShade')] : []),
    ...sorted.filter((c) => c.use === 'over').map((c) => said('layer.under', { cover: c.name })),
    ...(b.structure.kind === 'open' ? [] : [structureLayerName(b.structure)]),
    ...sorted
      .filter((c) => c.use !== 'over')
      .map((c) => said('layer.underMaterial', { material: MATERIALS[c.material].name })),
  ];
  const shown = key === b.chosen ? nightLowsC(plan, b) : o.minLeafC;
  const low = rangeOf(shown, plan.errorK);
  const was = plan.phase === 'morning' && key === b.chosen ? lowSoFar(plan, b) : null;
  const worst = closest(b, low.mid);
  const marks: RibbonView['marks'] = [];
  const fresh = covers.filter((c) => !b.on.includes(c));
  if (fresh.length > 0)
    marks.push({
      atMs: b.due?.dueAtMs ?? plan.closeAtMs,
      label: said('mark.on', { covers: fresh.map((c) => c.name) }),
    });
  const thaw = o.thawAtMs.filter((t): t is number => t !== null && t !== Infinity).sort((a, c) => a - c);
  const atMs = thaw[Math.floor(thaw.length / 2)];
  if (atMs !== undefined && thaw.length > o.thawAtMs.length / 2)
    marks.push({ atMs, label: said('mark.thawed', { atMs }) });
  // in the night and in the morning the hours since sundown stand before those to come
  const { past } = b.outcome;
  const since = sundownAtMs(plan) - HOUR_MS;
  const shows = plan.phase !== 'closing' && nightKnown(plan);
  const from = shows ? past.timesAtMs.findIndex((t) => t >= since) : past.timesAtMs.length;
  const before = from < 0 ? [] : past.timesAtMs.slice(from, -1);
  const at = (list: readonly number[]) => list.slice(list.length - 1 - before.length, -1);
  const band = (was: readonly number[], x: Band): Band => ({
    low: [...at(was), ...x.low],
    mid: [...at(was), ...x.mid],
    high: [...at(was), ...x.high],
  });
  return {
    bedId: b.bed.id,
    name: b.bed.name,
    timesAtMs: [...before, ...b.outcome.timesAtMs],
    outsideC: band(past.outsideC, b.outcome.outsideC),
    leafC: band(past.leafC, o.leafC),
    layers: o.layersC.map((air, i) => {
      const whole = (list: readonly number[]) => [...before.map(() => NaN), ...list];
      return {
        name: names[i] ?? said('layer.nth', { n: i + 1 }),
        airC: whole(air.mid),
        lowC: whole(air.low),
        highC: whole(air.high),
      };
    }),
    soilC: [...at(past.soilC), ...o.soilC],
    harmC: worst ? worst.thresholds.harmC : null,
    marks,
    min: { atMs: was && was.leafC <= rangeOf(o.minLeafC).mid ? was.atMs : o.minAtMs, leafC: low.mid },
  };
}

/** One planting as a screen shows it, with the night's outcome where there is one. */
export function plantingView(
  p: PlantingView['planting'],
  harden: number,
  limits: Thresholds,
  today: string,
  nights: ColdNight[] | null,
  errorK: number,
  state: FarmState,
  value: number,
  left: number,
  harvestedKg: number,
): PlantingView {
  const crop = cropOf(p);
  const leafC = nights
    ? rangeOf(
        nights.map((n) => n.leafMinC),
        errorK,
      )
    : null;
  const harm = state.harm.get(p.id);
  return {
    planting: p,
    cropName: crop.name,
    hardening: harden,
    daysSince: daysBetween(p.plantedOn, today),
    damageC: limits.damageC,
    deathC: limits.deathC,
    flowerC: limits.flowerC,
    harmC: limits.harmC,
    leafC,
    verdict: nights ? verdict(crop, limits, middleNight(nights)) : null,
    harmChance: nights ? harmChance({ planting: p, thresholds: limits, value }, nights, errorK) : null,
    toll: nights ? tollOf(limits, nights, errorK) : null,
    lastHarm: harm?.score ?? null,
    left,
    harvestedKg,
  };
}

export function currentGlyph(
  structure: Structure,
  bed: Bed,
  state: FarmState,
  stock: readonly Cover[],
): GlyphLayer[] {
  return glyphOf(
    structure,
    coversOn(state, bed.id, stock),
    [],
    state.openings.get(structure.id)?.fraction ?? 0,
  );
}

export type { NightWindow };
