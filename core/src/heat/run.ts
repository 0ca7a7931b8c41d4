/**
 * Runs a bed, or all beds of a house under its one air, through their weather: start, steps, what is recorded at every
 * entry, the summary.
 */
import { advance, begin, carrySoil, spinUp, startSoil } from './begin';
import { balance, makeBooks, type Books } from './books';
import { columnsOf, endedState, type LyingSnow, type SoilState } from './carry';
import type { Column } from './columns';
import { compileBeds, type Network, type Part } from './network';
import { runOutside } from './outside';
import type { PreparedWeather } from './prepare';
import { Rows } from './rows';
import { BOOK_CALIBRATION, type BedSpec, type Calibration } from './types';
import { makeWaterTrace, recordWater, type WaterTrace } from './waterTrace';
import { FLOW, makeWork, type OutsideTrace, type SharedTrace, type Work } from './work';

export interface RunOptions {
  calibration?: Calibration;
  /** Splits every soil cell; for convergence tests. */
  refine?: number;
  /** The bare ground outside, where it was already run under this weather. */
  outside?: OutsideTrace & { endSnow?: LyingSnow };
  /** Keep the heat flows of every entry. */
  books?: boolean;
  /** Keep what water is reckoned from. */
  water?: boolean;
  /** Check the energy balance of every step, for `energyErrorWm2`; on unless switched off for speed. */
  audit?: boolean;
}

export interface BedOptions extends RunOptions {
  /** Starts from these soils and skips the spin-up. */
  initial?: SoilState;
  /** The shared layers as the whole house has them (`runHouse`), for a bed that is one of its beds. */
  given?: SharedTrace;
}

export interface HouseOptions extends RunOptions {
  /** By bed. */
  initial?: readonly SoilState[];
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
  meltWm2: number;
  sunWm2: number;
  storedWm2: number;
}

export interface BedRun {
  entryAtMs: number[];
  outsideC: Float64Array;
  skyC: Float64Array;
  sunWm2: Float64Array;
  /** Sun that comes to the leaves from above, W/m². */
  cropSunWm2: Float64Array;
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
  /** Kept where it was asked for. */
  water?: WaterTrace;
  minLeafC: number;
  minLeafIndex: number;
  energyErrorWm2: number;
  end: SoilState;
}

export interface HouseRun {
  /** By bed, in the order given. */
  beds: BedRun[];
  /** What the beds share, for one of them to be run under other covers of its own. */
  shared: SharedTrace;
}

const DEPTHS_M = [0, 0.05, 0.1, 0.3];

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

/** Layers over a bed, outermost first, as places in the network. */
function layersOf(net: Network, part: Part): number[] {
  return Array.from({ length: net.shared + part.ownLayers }, (_, i) =>
    i < net.shared ? i : part.firstLayer + i - net.shared,
  );
}

function makeRun(layers: number, weather: PreparedWeather, rows: Rows): BedRun {
  const n = weather.entryAtMs.length;
  const make = () => rows.f64(n);
  const each = () => Array.from({ length: layers }, make);
  return {
    entryAtMs: weather.entryAtMs,
    outsideC: make(),
    skyC: make(),
    sunWm2: make(),
    cropSunWm2: make(),
    layerAirC: each(),
    coverC: each(),
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

function record(
  w: Work,
  run: BedRun,
  part: Part,
  over: readonly number[],
  p: number,
  i: number,
  k: number,
  offsetC: number,
): void {
  const { net, weather } = w;
  run.outsideC[i] = weather.airC[k]!;
  run.skyC[i] = weather.skyC[k]!;
  run.sunWm2[i] = weather.beamWm2[k]! + weather.diffuseWm2[k]!;
  run.cropSunWm2[i] = w.cropSunWm2[p]!;
  for (let j = 0; j < over.length; j++) {
    const l = over[j]!;
    const on = w.active[l] === 1;
    run.layerAirC[j]![i] = on ? w.t[net.air0 + l]! : NaN;
    run.coverC[j]![i] = on ? w.t[net.layers[l]!.firstSheet]! : NaN;
  }
  run.canopyAirC[i] = w.t[part.canopy]! + offsetC;
  run.leafC[i] = w.t[part.leaf]! + offsetC;
  const column = net.columns[part.column]!;
  const skin = w.t[net.ground0 + part.column]!;
  for (let d = 0; d < 4; d++) run.soilC[d]![i] = soilAt(w, column, skin, DEPTHS_M[d]!);
  const inner = w.columnAir[part.column]!;
  const e = inner < 0 ? weather.vapourPa[k]! : w.vapour[inner]!;
  const air = inner < 0 ? weather.airC[k]! : w.t[net.air0 + inner]!;
  if (run.water) recordWater(w, part, run.water, i, k);
  run.humidity[i] = Math.min(1, e / (610.94 * Math.exp((17.625 * air) / (air + 243.04))));
}

function flowsOf(books: Books, floorM2: number): HeatFlows {
  const e = (kind: number) => books.edgeW[kind]! / floorM2;
  return {
    skyWm2: books.skyW / floorM2 + e(FLOW.radiationSide),
    convectionWm2: e(FLOW.convection) + e(FLOW.rain),
    leakageWm2: e(FLOW.leakage),
    ventWm2: e(FLOW.vent),
    boardsWm2: e(FLOW.boards),
    vapourWm2: books.vapourW / floorM2,
    sideWm2: e(FLOW.side),
    deepWm2: e(FLOW.deep),
    meltWm2: e(FLOW.melt),
    sunWm2: books.gainsW / floorM2,
    storedWm2: books.storedW / floorM2,
  };
}

function makeTrace(w: Work): SharedTrace {
  const layers = w.net.shared;
  const sheets = layers > 0 ? w.net.layers[layers - 1]!.lastSheet + 1 : 0;
  const stride = sheets + 6 * layers + 2;
  const n = w.weather.steps + 2;
  return { layers, sheets, stride, snowLayer: new Int16Array(n), rows: new Float64Array(n * stride) };
}

function keepShared(w: Work, trace: SharedTrace, k: number): void {
  const { net } = w;
  const { layers, sheets, rows } = trace;
  let at = k * trace.stride;
  for (let s = 0; s < sheets; s++) rows[at++] = w.t[s]!;
  for (let i = 0; i < layers; i++) rows[at++] = w.t[net.air0 + i]!;
  for (const kind of [w.vapour, w.film, w.dew, w.airSpeed, w.gradientKM])
    for (let i = 0; i < layers; i++) rows[at++] = kind[i]!;
  const lies = w.snowNode >= 0 && w.snowM > 0 && w.snowLayer >= 0 && w.snowLayer < layers;
  trace.snowLayer[k] = lies ? w.snowLayer : -1;
  rows[at++] = lies ? w.snowM : 0;
  rows[at] = lies ? w.t[w.snowNode]! : 0;
}

function run(
  specs: readonly BedSpec[],
  weather: PreparedWeather,
  options: HouseOptions,
  given: SharedTrace | null,
): HouseRun {
  const cal = options.calibration ?? BOOK_CALIBRATION;
  const refine = options.refine ?? 1;
  const lead = specs[0]!;
  const { initial } = options;
  const rows = new Rows();
  const net = compileBeds(specs, cal, refine, rows);
  const outside: (OutsideTrace & { endSnow?: LyingSnow }) | null =
    net.layers.length === 0
      ? null
      : (options.outside ??
        runOutside(weather, lead.ground, cal, initial?.[0]?.outside, refine, initial?.[0]?.outsideSnow));
  const snowLies = (initial?.some((s) => s.snow) ?? false) || (given?.snowLayer.some((l) => l >= 0) ?? false);
  const w = makeWork(net, weather, outside, snowLies, rows);
  w.given = given;
  startSoil(
    w,
    specs.map((s) => s.ground),
  );
  if (initial) carrySoil(w, initial);
  begin(w, initial);
  if (!initial && lead.ground.surfaceC === undefined) spinUp(w);
  const runs = net.parts.map((part) => makeRun(net.shared + part.ownLayers, weather, rows));
  if (options.water) for (const r of runs) r.water = makeWaterTrace(weather.entryAtMs.length, rows);
  // what is given is not found again
  const shared = given ?? makeTrace(w);
  const over = net.parts.map((part) => layersOf(net, part));
  const recordAll = (i: number, k: number) =>
    net.parts.forEach((part, p) => record(w, runs[p]!, part, over[p]!, p, i, k, cal.zoneOffsetC));
  const books = makeBooks();
  recordAll(0, 0);
  if (!given) keepShared(w, shared, 0);
  let error = 0;
  const audit = (options.audit !== false || options.books === true) && !given;
  const onPart = audit
    ? (at: number, dt: number) => {
        balance(w, at, dt, books);
        error += (Math.abs(books.imbalanceW) / net.floorM2) * (dt / weather.stepS);
      }
    : undefined;
  for (let k = 1; k <= weather.steps; k++) {
    advance(w, k, onPart);
    if (!given) keepShared(w, shared, k);
    if (k % weather.stepsPerEntry === 0) {
      recordAll(k / weather.stepsPerEntry, k);
      if (options.books && audit) for (const r of runs) r.flows.push(flowsOf(books, net.floorM2));
    }
  }
  net.parts.forEach((part, p) => {
    const r = runs[p]!;
    r.energyErrorWm2 = error / Math.max(1, weather.steps);
    r.leafC.forEach((c, i) => {
      if (c < r.minLeafC) {
        r.minLeafC = c;
        r.minLeafIndex = i;
      }
    });
    const end = (): SoilState => ({
      outside: outside
        ? outside.cellsC.slice(weather.steps * outside.cellsPerStep)
        : profile(w, net.columns[part.column]!),
      columns: columnsOf(net, part).map((c) => profile(w, net.columns[c]!)),
      ...endedState(w, part),
      ...(outside?.endSnow ? { outsideSnow: outside.endSnow } : {}),
    });
    // few go on from where a run ended: it is put together for who asks
    let ended: SoilState | null = null;
    Object.defineProperty(r, 'end', { enumerable: true, get: () => (ended ??= end()) });
  });
  return { beds: runs, shared };
}

/**
 * Runs one bed. The weather must have been prepared (it is shared between stacks); the spec must have passed
 * `checkCase`. Deterministic; for speed see `npm run bench`.
 * @example runBed(bed([HOUSE]), prepareWeather(SITE, weather())).minLeafC < 0 // true
 */
export function runBed(spec: BedSpec, weather: PreparedWeather, options: BedOptions = {}): BedRun {
  const { initial, given, ...rest } = options;
  const all = initial ? { ...rest, initial: [initial] } : rest;
  return run([spec], weather, all, given ?? null).beds[0]!;
}

/**
 * Runs all beds of a house together under its one air: each warms and dampens what the others live in. The specs must
 * have the same shared layers (`shared` of them); jugs, heaters and deep ground are the first one's.
 * @example runHouse([bed([HOUSE], { shared: 1 }), bed([HOUSE, FLEECE], { shared: 1 })], prepareWeather(SITE, weather())).beds.length // 2
 */
export function runHouse(
  specs: readonly BedSpec[],
  weather: PreparedWeather,
  options: HouseOptions = {},
): HouseRun {
  return run(specs, weather, options, null);
}
