/**
 * What a case must make sense as, beyond its shape: one problem at a time, with the field and what is expected.
 * Nothing is clamped: a case that cannot stand is refused.
 */
import { said, type Said } from '../words/said';
import type { Layer, SimulationCase } from './types';

export interface Problem {
  field: string;
  expected: Said;
}

const MINUTE = 60_000;

function weatherProblem(input: SimulationCase): Problem | null {
  const times = input.weather.map((e) => Date.parse(e.time));
  const intervalMs = times[1]! - times[0]!;
  if (![15, 30, 60].includes(intervalMs / MINUTE)) {
    return { field: 'weather[1].time', expected: said('want.interval') };
  }
  for (let i = 1; i < times.length; i++) {
    if (times[i]! - times[i - 1]! !== intervalMs) {
      return {
        field: `weather[${i}].time`,
        expected: said('want.minutesAfterLast', { minutes: intervalMs / MINUTE }),
      };
    }
    const e = input.weather[i]!;
    if (e.dewPointC > e.airC + 0.5) {
      return {
        field: `weather[${i}].dewPointC`,
        expected: said('want.noHigher', { than: 'airC', value: e.airC }),
      };
    }
  }
  const first = input.weather[0]!;
  if (first.dewPointC > first.airC + 0.5) {
    return {
      field: 'weather[0].dewPointC',
      expected: said('want.noHigher', { than: 'airC', value: first.airC }),
    };
  }
  return null;
}

function spansProblem(layer: Layer, at: string): Problem | null {
  for (const [j, span] of (layer.on ?? []).entries()) {
    if (Date.parse(span.to) <= Date.parse(span.from)) {
      return { field: `${at}.on[${j}].to`, expected: said('want.instantAfter', { field: 'from' }) };
    }
  }
  const open = layer.open ?? [];
  for (let j = 1; j < open.length; j++) {
    if (Date.parse(open[j]!.from) <= Date.parse(open[j - 1]!.from)) {
      return { field: `${at}.open[${j}].from`, expected: said('want.afterLast') };
    }
  }
  if (open.some((o) => o.fraction > 0) && (layer.ventAreaM2 ?? 0) <= 0) {
    return { field: `${at}.ventAreaM2`, expected: said('want.ventWhereOpens') };
  }
  return null;
}

function layerProblem(stack: Layer[], i: number): Problem | null {
  const layer = stack[i]!;
  const at = `stack[${i}]`;
  if (layer.sides === 'board' && layer.shape !== 'box') {
    return { field: `${at}.sides`, expected: said('want.boardOnBox') };
  }
  if (layer.footing && layer.shape !== 'box') {
    return { field: `${at}.footing`, expected: said('want.footingOnBox') };
  }
  if (layer.touchesCrop && i !== stack.length - 1) {
    return { field: `${at}.touchesCrop`, expected: said('want.touchesInnermost') };
  }
  const standing = layer.shape !== 'flat';
  if (standing && layer.heightM < 0.05) {
    return { field: `${at}.heightM`, expected: said('want.stands', { leastM: 0.05 }) };
  }
  const outer = stack[i - 1];
  if (outer) {
    const slack = 1e-6;
    if (layer.lengthM > outer.lengthM + slack) {
      return { field: `${at}.lengthM`, expected: said('want.withinLayer', { mostM: outer.lengthM }) };
    }
    if (layer.widthM > outer.widthM + slack) {
      return { field: `${at}.widthM`, expected: said('want.withinLayer', { mostM: outer.widthM }) };
    }
    if (standing && outer.shape !== 'flat' && layer.heightM > outer.heightM + slack) {
      return { field: `${at}.heightM`, expected: said('want.withinLayer', { mostM: outer.heightM }) };
    }
    if (standing && outer.shape === 'flat' && layer.heightM > Math.max(outer.heightM, 0.6)) {
      return { field: `${at}.heightM`, expected: said('want.underFlat', { mostM: 0.6 }) };
    }
  }
  return spansProblem(layer, at);
}

/**
 * The first problem of a case whose shape is right, or null where it can be run.
 * @example checkCase(simulationCase()) // null
 */
export function checkCase(input: SimulationCase): Problem | null {
  const weather = weatherProblem(input);
  if (weather) return weather;
  for (let i = 0; i < input.stack.length; i++) {
    const problem = layerProblem(input.stack, i);
    if (problem) return problem;
  }
  return null;
}
