/**
 * Runs a bed through its weather: start, spin-up, the steps, what is recorded at every entry, the summary.
 */
import { carryHeat, carryWater, endedState, OPEN_BED, type LyingSnow, type SoilState } from './carry';
import { compileBed, type Column, type Network } from './network';
import { skyTemperatureC, type PreparedWeather } from './prepare';
import { startingSoilC } from './soil';
import { balance, makeBooks, setLayers, shedSnow, step, type Books } from './step';
import { BOOK_CALIBRATION, type BedSpec, type Calibration, type Ground } from './types';
import { makeWork, type OutsideTrace, type Work } from './work';

export interface RunOptions {
  calibration?: Calibration;
  /** Starts from these soils and skips the spin-up. */
  initial?: SoilState;
  /** Splits every soil cell; for convergence tests. */
  refine?: number;
  /** The bare ground outside, where it was already run under this weather. */
  outside?: OutsideTrace & { endSnow?: LyingSnow };
  /** Keep the heat flows of every entry. */
  books?: boolean;
  /** Check the energy balance of every step, for `energyErrorWm2`; on unless switched off for speed. */
  audit?: boolean;
}

/** Heat out of the bed at one moment, W per m² of the outermost floor; positive is a loss. */
export interface HeatFlows {
  skyWm2: number;
  convectionWm2: number;
  leakageWm2: number;
  ventWm2: number;
  boardsWm2: number;
  vapourWm2: number;
  sideWm2: number;
  deepWm2: number;
  sunWm2: number;
  storedWm2: number;
}

export interface BedRun {
  entryMs: number[];
  outsideC: Float64Array;
  skyC: Float64Array;
  sunWm2: Float64Array;
  /** By layer from the outermost; NaN while a layer is off. */
  layerAirC: Float64Array[];
  coverC: Float64Array[];
  canopyAirC: Float64Array;
  leafC: Float64Array;
  /** Surface, 5, 10 and 30 cm. */
  soilC: [Float64Array, Float64Array, Float64Array, Float64Array];
  /** Relative humidity inside the innermost layer, 0 to 1. */
  humidity: Float64Array;
  flows: HeatFlows[];
  minLeafC: number;
  minLeafIndex: number;
  energyErrorWm2: number;
  end: SoilState;
}

const DEPTHS_CM = [0, 5, 10, 30];

function soilAt(w: Work, column: Column, skinC: number, depthM: number): number {
  let aboveM = column.grid.mulchCells > 0 ? column.grid.centreM[0]! : 0;
  let aboveC = skinC;
  for (let j = 0; j < column.grid.count; j++) {
    const d = column.grid.centreM[j]!;
    const c = w.soil[column.first + j]!;
    if (d >= depthM) return d === aboveM ? c : aboveC + ((c - aboveC) * (depthM - aboveM)) / (d - aboveM);
    aboveM = d;
    aboveC = c;
  }
  return aboveC;
}

/** Profile of a column at the standard cells, without mulch; a bench has fewer. */
function profile(w: Work, column: Column): Float64Array {
  const n = column.grid.count - column.grid.mulchCells;
  return w.soil.slice(column.first + column.grid.mulchCells, column.first + column.grid.mulchCells + n);
}

function setProfile(w: Work, column: Column, from: Float64Array): void {
  const { mulchCells, count } = column.grid;
  for (let j = 0; j < count; j++) {
    w.soil[column.first + j] = from[Math.min(from.length - 1, Math.max(0, j - mulchCells))]!;
  }
}

function startSoil(w: Work, ground: Ground): void {
  for (const column of w.net.columns) {
    for (let j = 0; j < column.grid.count; j++) {
      const depth = Math.max(0, column.grid.centreM[j]!);
      w.soil[column.first + j] =
        ground.surfaceC === undefined ? ground.deepC : startingSoilC(depth, ground.surfaceC, ground.deepC);
    }
  }
}

function begin(w: Work, from?: SoilState): void {
  const startMs = w.weather.entryMs[0]!;
  const soilTop = w.soil[w.net.columns[w.net.columns.length - 1]!.first]!;
  w.t.fill(0.5 * (soilTop + w.weather.airC[0]!));
  w.vapour.fill(w.weather.vapourPa[0]!);
  if (from) {
    setLayers(w, startMs + 1);
    carryWater(w, from);
  }
  for (let i = 0; i < 3; i++) step(w, 0, startMs + 1, true);
  if (from) carryHeat(w, from);
}

/** Runs the first 24 hours (or all of a shorter case) three times, so that the start is the bed's own. */
function spinUp(w: Work): void {
  const { weather } = w;
  const steps = Math.min(weather.steps, Math.round(86_400 / weather.stepS));
  for (let round = 0; round < 3; round++) {
    for (let k = 1; k <= steps; k++) {
      step(w, k, weather.entryMs[0]! + (k - 0.5) * weather.stepS * 1000);
      shedSnow(w);
    }
    w.snowM = 0;
    w.opticsStale = true;
  }
}

const OPEN_GROUND_CROP = { heightM: 0.05, groundCover: 0.2 };

/**
 * The bare ground outside under this weather, as the edge of every covered bed sees it. Run once for each weather and
 * ground, and shared.
 */
export function runOutside(
  weather: PreparedWeather,
  ground: Ground,
  calibration: Calibration = BOOK_CALIBRATION,
  initial?: Float64Array,
  refine = 1,
  snow?: LyingSnow,
): OutsideTrace & { end: Float64Array; endSnow?: LyingSnow } {
  const bare: BedSpec = {
    ground: {
      texture: ground.texture,
      wetness: ground.wetness,
      deepC: ground.deepC,
      surfaceC: ground.surfaceC,
    },
    stack: [],
    crop: OPEN_GROUND_CROP,
  };
  const net = compileBed(bare, { ...calibration, zoneOffsetC: 0 }, refine);
  const w = makeWork(net, weather, null, snow !== undefined);
  const cells = net.cells;
  const skinC = new Float64Array(weather.steps + 1);
  const cellsC = new Float64Array((weather.steps + 1) * cells);
  const keep = (k: number) => {
    skinC[k] = w.t[net.ground0]!;
    cellsC.set(w.soil, k * cells);
  };
  startSoil(w, bare.ground);
  if (initial) w.soil.set(initial.subarray(0, cells));
  begin(w, snow && { outside: new Float64Array(0), columns: [], snow: { on: OPEN_BED, ...snow } });
  if (!initial && ground.surfaceC === undefined) spinUp(w);
  keep(0);
  for (let k = 1; k <= weather.steps; k++) {
    step(w, k, weather.entryMs[0]! + (k - 0.5) * weather.stepS * 1000);
    shedSnow(w);
    keep(k);
  }
  return {
    skinC,
    cellsC,
    cellsPerStep: cells,
    end: w.soil.slice(),
    ...(w.snowM > 0 ? { endSnow: { depthM: w.snowM, snowC: w.t[w.snowNode]! } } : {}),
  };
}

function makeRun(net: Network, weather: PreparedWeather): BedRun {
  const n = weather.entryMs.length;
  const make = () => new Float64Array(n);
  return {
    entryMs: weather.entryMs,
    outsideC: make(),
    skyC: make(),
    sunWm2: make(),
    layerAirC: net.layers.map(make),
    coverC: net.layers.map(make),
    canopyAirC: make(),
    leafC: make(),
    soilC: [make(), make(), make(), make()],
    humidity: make(),
    flows: [],
    minLeafC: Infinity,
    minLeafIndex: 0,
    energyErrorWm2: 0,
    end: { outside: new Float64Array(0), columns: [] },
  };
}

function record(w: Work, run: BedRun, i: number, k: number, offsetC: number): void {
  const { net, weather } = w;
  run.outsideC[i] = weather.airC[k]!;
  run.skyC[i] = skyTemperatureC(weather.skyWm2[k]!);
  run.sunWm2[i] = weather.beamWm2[k]! + weather.diffuseWm2[k]!;
  net.layers.forEach((layer, j) => {
    const on = w.active[j] === 1;
    run.layerAirC[j]![i] = on ? w.t[net.air0 + j]! : NaN;
    run.coverC[j]![i] = on ? w.t[layer.firstSheet]! : NaN;
  });
  run.canopyAirC[i] = w.t[net.canopy]! + offsetC;
  run.leafC[i] = w.t[net.leaf]! + offsetC;
  const column = net.columns[net.columns.length - 1]!;
  const skin = w.t[net.ground0 + net.columns.length - 1]!;
  DEPTHS_CM.forEach((cm, d) => (run.soilC[d]![i] = soilAt(w, column, skin, cm / 100)));
  const inner = w.innermost;
  const e = inner < 0 ? weather.vapourPa[k]! : w.vapour[inner]!;
  const air = inner < 0 ? weather.airC[k]! : w.t[net.air0 + inner]!;
  run.humidity[i] = Math.min(1, e / (610.94 * Math.exp((17.625 * air) / (air + 243.04))));
}

function flowsOf(books: Books, floorM2: number): HeatFlows {
  const e = books.edgeW;
  return {
    skyWm2: (books.skyW + e[7]!) / floorM2,
    convectionWm2: (e[0]! + e[6]!) / floorM2,
    leakageWm2: e[1]! / floorM2,
    ventWm2: e[2]! / floorM2,
    boardsWm2: e[3]! / floorM2,
    vapourWm2: books.vapourW / floorM2,
    sideWm2: e[4]! / floorM2,
    deepWm2: e[5]! / floorM2,
    sunWm2: books.gainsW / floorM2,
    storedWm2: books.storedW / floorM2,
  };
}

/**
 * Runs one bed. The weather must have been prepared (it is shared between stacks); the spec must have passed
 * `checkCase`. Deterministic; for speed see `npm run bench`.
 */
export function runBed(spec: BedSpec, weather: PreparedWeather, options: RunOptions = {}): BedRun {
  const cal = options.calibration ?? BOOK_CALIBRATION;
  const refine = options.refine ?? 1;
  const net = compileBed(spec, cal, refine);
  const outside: (OutsideTrace & { endSnow?: LyingSnow }) | null =
    spec.stack.length === 0
      ? null
      : (options.outside ??
        runOutside(
          weather,
          spec.ground,
          cal,
          options.initial?.outside,
          refine,
          options.initial?.outsideSnow,
        ));
  const w = makeWork(net, weather, outside, options.initial?.snow !== undefined);
  startSoil(w, spec.ground);
  if (options.initial) {
    const from = options.initial.columns;
    net.columns.forEach((column, c) =>
      setProfile(
        w,
        column,
        from[c === net.columns.length - 1 ? from.length - 1 : Math.min(c, from.length - 1)]!,
      ),
    );
  }
  begin(w, options.initial);
  if (!options.initial && spec.ground.surfaceC === undefined) spinUp(w);
  const run = makeRun(net, weather);
  const books = makeBooks();
  const floorM2 = net.layers[0]?.geometry.floorM2 ?? net.bedM2;
  record(w, run, 0, 0, cal.zoneOffsetC);
  let error = 0;
  const audit = options.audit !== false || options.books === true;
  for (let k = 1; k <= weather.steps; k++) {
    step(w, k, weather.entryMs[0]! + (k - 0.5) * weather.stepS * 1000);
    if (audit) balance(w, k, weather.stepS, books);
    shedSnow(w);
    if (audit) error += Math.abs(books.imbalanceW) / floorM2;
    if (k % weather.stepsPerEntry === 0) {
      record(w, run, k / weather.stepsPerEntry, k, cal.zoneOffsetC);
      if (options.books) run.flows.push(flowsOf(books, floorM2));
    }
  }
  run.energyErrorWm2 = error / Math.max(1, weather.steps);
  run.leafC.forEach((c, i) => {
    if (c < run.minLeafC) {
      run.minLeafC = c;
      run.minLeafIndex = i;
    }
  });
  run.end = {
    outside: outside
      ? outside.cellsC.slice(weather.steps * outside.cellsPerStep)
      : profile(w, net.columns[0]!),
    columns: net.columns.map((column) => profile(w, column)),
    ...endedState(w),
    ...(outside?.endSnow ? { outsideSnow: outside.endSnow } : {}),
  };
  return run;
}
