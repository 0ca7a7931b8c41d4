/** How a run starts. Contract: soil as given or as it was, a steady start for the rest, a spin-up where nothing is known. */
import { fillBetween, partsOf } from './between';
import { carryHeat, carryWater, columnsOf, type SoilState } from './carry';
import type { Column } from './columns';
import { shedSnow } from './snow';
import { startingSoilC } from './soil';
import { setLayers, step } from './step';
import type { Ground } from './types';
import type { Work } from './work';

function setProfile(w: Work, column: Column, from: Float64Array): void {
  const { mulchCells, count } = column.grid;
  for (let j = 0; j < count; j++) {
    w.soil[column.first + j] = from[Math.min(from.length - 1, Math.max(0, j - mulchCells))]!;
  }
}

/** Soil as the grounds say, by bed; what several beds share starts as the first's. */
export function startSoil(w: Work, grounds: readonly Ground[]): void {
  for (const column of w.net.columns) {
    const ground = grounds[Math.max(0, column.part)]!;
    for (let j = 0; j < column.grid.count; j++) {
      const depth = Math.max(0, column.grid.centreM[j]!);
      w.soil[column.first + j] =
        ground.surfaceC === undefined ? ground.deepC : startingSoilC(depth, ground.surfaceC, ground.deepC);
    }
  }
}

/** Soil as it was, by bed, from outside in; a bed that had fewer covers then gives its own for what is new. */
export function carrySoil(w: Work, states: readonly SoilState[]): void {
  const { net } = w;
  net.parts.forEach((part, p) => {
    const state = states[p];
    if (!state || state.columns.length === 0) return;
    const columns = columnsOf(net, part);
    columns.forEach((c, i) => {
      const last = state.columns.length - 1;
      const at = i === columns.length - 1 ? last : Math.min(i, last);
      setProfile(w, net.columns[c]!, state.columns[at]!);
      w.skinWater[c] = state.skinWater?.[at] ?? w.skinWater[c]!;
    });
  });
}

export function begin(w: Work, from?: readonly SoilState[]): void {
  const startAtMs = w.weather.entryAtMs[0]!;
  const soilTop = w.soil[w.net.columns[w.net.parts[0]!.column]!.first]!;
  w.t.fill(0.5 * (soilTop + w.weather.airC[0]!));
  w.vapour.fill(w.weather.vapourPa[0]!);
  if (from) {
    setLayers(w, startAtMs + 1);
    carryWater(w, from);
  }
  for (let i = 0; i < 3; i++) step(w, 0, startAtMs + 1, w.weather.stepS, true);
  if (from) carryHeat(w, from);
}

/**
 * Goes on to the end of step k, in parts where something moves or snow lies. `onPart` is told of each part when it has
 * been taken, before its snow is shed: where its drivers stand, and how long it was, s.
 */
export function advance(w: Work, k: number, onPart?: (at: number, dt: number) => void): void {
  const { weather } = w;
  const startAtMs = weather.entryAtMs[0]!;
  const stepMs = weather.stepS * 1000;
  const fromAtMs = startAtMs + (k - 1) * stepMs;
  const ends = partsOf(w, k, w.moves, fromAtMs, fromAtMs + stepMs);
  let last = fromAtMs;
  for (const end of ends) {
    const at = end === fromAtMs + stepMs ? k : fillBetween(w, k, (end - fromAtMs) / stepMs);
    const dt = (end - last) / 1000;
    step(w, at, (last + end) / 2, dt);
    onPart?.(at, dt);
    shedSnow(w, dt);
    last = end;
  }
}

/** Runs the first 24 hours (or all of a shorter case) three times, so that the start is the bed's own. */
export function spinUp(w: Work): void {
  const { weather } = w;
  const steps = Math.min(weather.steps, Math.round(86_400 / weather.stepS));
  for (let round = 0; round < 3; round++) {
    for (let k = 1; k <= steps; k++) advance(w, k);
    w.snowM = 0;
    w.melting = false;
    w.opticsStale = true;
  }
}
