/**
 * Covers tried on a bed, as plain data. Contract: `Trial` is what the switches say; `specFor` is the bed that the engine
 * runs for it; `planKey` is what "plan this" would decide; nothing here knows the screen.
 */
import type { PlaceView, WhatIf } from '@fogata/contract/told';
import {
  isSaid,
  BARE,
  HOUR_MS,
  localDate,
  MATERIALS,
  nested,
  withTried,
  type Bed,
  type BedSpec,
  type Layer,
  type MaterialId,
} from '@fogata/core';
import type { TryRequest } from '../../worker/whatIf';
import { trial as words } from '@fogata/words/en/screens/trial';

export interface Trial {
  /** Switched by hand, by layer id; the others are as the plan has them. */
  on: Record<string, boolean>;
  /** How far the structure stands open, 0 to 1, through the night and through tomorrow. */
  opening: number;
  dayOpening: number;
  /** Whether covers come off tomorrow. */
  dayOff: boolean;
  /** Covers that are not in stock. */
  extra: { material: MaterialId; use: 'hoops' | 'flat' }[];
}

export type TriedLayer = WhatIf['layers'][number];

export const asPlanned = (w: WhatIf): Trial => ({
  on: {},
  opening: w.opening,
  dayOpening: w.opening,
  dayOff: true,
  extra: [],
});

/** The day that the trial's daylight is in, as one says it: past midnight it is today. */
export function dayWord(v: Pick<PlaceView, 'clock' | 'whatIf'>, timeZone: string): 'today' | 'tomorrow' {
  const day = (ms: number) => localDate(ms, timeZone);
  return day(v.whatIf!.dayFromAtMs) === day(v.clock.nowAtMs) ? 'today' : 'tomorrow';
}

export const isOn = (s: Trial, l: TriedLayer) => s.on[l.id] ?? l.on;

/** Whether the night differs from the plan. */
export function isTouched(w: WhatIf, s: Trial): boolean {
  return w.layers.some((l) => isOn(s, l) !== l.on) || s.opening !== w.opening || s.extra.length > 0;
}

const iso = (ms: number) => new Date(ms).toISOString();

/** The bed's own sheets put one over the other as `nested` has it; what a layer was known as goes over to its new self. */
function standing(stack: Layer[], structural: Set<object>, lies: Set<object>): Layer[] {
  const at = stack.findLastIndex((l) => structural.has(l)) + 1;
  const own = nested(stack.slice(at), at > 0 ? stack[at - 1]! : null);
  own.forEach((l, i) => lies.has(stack[at + i]!) && lies.add(l));
  return [...stack.slice(0, at), ...own];
}

/**
 * Covers on through the night (those that do not lie yet, from when the plan has them on) and, unless they come off,
 * through the day; the structure open as far as each has it, from now to when the plan moves it.
 */
export function specFor(w: WhatIf, bed: Bed, s: Trial): BedSpec {
  const startAtMs = Date.parse(w.weather[0]!.time);
  const endAtMs = Date.parse(w.weather.at(-1)!.time) + HOUR_MS;
  const spans = (fromAtMs: number) =>
    s.dayOff
      ? [
          { from: iso(fromAtMs), to: iso(w.dayFromAtMs) },
          { from: iso(w.dayToAtMs), to: iso(endAtMs) },
        ]
      : [{ from: iso(fromAtMs), to: iso(endAtMs) }];
  const lain = spans(startAtMs - HOUR_MS);
  const fresh = spans(w.coverFromAtMs);
  const openings = [
    { from: iso(startAtMs - HOUR_MS), fraction: w.openNow },
    { from: iso(w.shutAtMs), fraction: s.opening },
    { from: iso(w.dayFromAtMs), fraction: s.dayOpening },
    { from: iso(w.dayToAtMs), fraction: 0 },
  ].filter((o, i, all) => i === 0 || o.from > all[i - 1]!.from);
  const opens = w.openNow > 0 || s.opening > 0 || s.dayOpening > 0;
  const structural = new Set<object>();
  const lies = new Set<object>();
  let stack = w.layers
    .filter((l) => isOn(s, l))
    .map((l) => {
      const layer = l.ventable && opens ? { ...l.spec, open: openings } : { ...l.spec };
      if (l.id === 'structure' || l.id === 'shade') structural.add(layer);
      if (l.lies) lies.add(layer);
      return layer;
    });
  stack = standing(stack, structural, lies);
  for (const e of s.extra) {
    const next = withTried(stack, bed, e.material, e.use, w.base.crop?.heightM ?? 0.1);
    if (!isSaid(next)) stack = next;
  }
  return {
    ...w.base,
    ...(w.base.shared ? { shared: structural.size } : {}),
    stack: stack.map((l) => (structural.has(l) ? l : { ...l, on: lies.has(l) ? lain : fresh })),
  };
}

export function requestFor(w: WhatIf, bed: Bed, s: Trial): TryRequest {
  const spec = specFor(w, bed, s);
  const layer = spec.stack.findIndex((l) => l.role === 'structure');
  return {
    ...(w.openings.length > 0 && layer >= 0 ? { wax: { layer, openings: w.openings } } : {}),
    site: w.site,
    weather: w.weather,
    initial: w.initial,
    // without its house the bed shares no air
    others: spec.shared ? w.others : [],
    among: spec.shared ? w.among : 0,
    middleK: w.middleK,
    spec,
    countFromAtMs: w.countFromAtMs,
    // the night ends when the covers come off
    nightToAtMs: s.dayOff ? Math.min(w.nightToAtMs, w.dayFromAtMs) : w.nightToAtMs,
    calibration: w.calibration,
  };
}

/** A layer of the trial by its place in the stack that was run, with the name of the air in it. */
export interface NamedLayer {
  id: string;
  name: string;
  /** What it is, whichever air is meant. */
  cover: string;
}

/** Names of the layers that were run, outermost first. */
export function namesFor(w: WhatIf, bed: Bed, s: Trial, inStructure: string): NamedLayer[] {
  const known = w.layers.filter((l) => isOn(s, l));
  const spec = specFor(w, bed, { ...s, dayOff: false });
  let next = 0;
  return spec.stack.map((layer, i) => {
    const l = known[next];
    // heights change as one goes over another: material and shape in their order say which it is
    if (l && l.spec.material === layer.material && l.spec.shape === layer.shape) {
      next += 1;
      if (l.id === 'structure') return { id: l.id, name: inStructure, cover: inStructure };
      // a sheet that lies double is called by the one it doubles
      const one = w.layers.find((x) => `${x.id}#2` === l.id);
      const cover = (one ?? l).name.toLowerCase();
      return { id: l.id, name: one ? words.underTwice(cover) : words.under(cover), cover };
    }
    const { name } = MATERIALS[layer.material];
    return { id: `tried-${i}`, name: words.underTried(name), cover: words.triedCover(name) };
  });
}

/** What "plan this" decides: an option key, or null where it holds a cover that is not in stock. */
export function planKey(w: WhatIf, s: Trial): string | null {
  if (s.extra.length > 0) return null;
  const ids = w.layers
    .filter((l) => l.id !== 'structure' && l.id !== 'shade' && isOn(s, l))
    .map((l) => l.id.replace('#2', ''));
  return ids.length === 0 ? BARE : ids.join('+');
}

/** Minutes to lay what is on in the trial. */
export function minutesFor(w: WhatIf, s: Trial): number {
  return w.layers.filter((l) => isOn(s, l)).reduce((sum, l) => sum + l.minutes, 0);
}
