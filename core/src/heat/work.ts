/**
 * Everything the solver touches in a step, laid out once: no allocation in the loop.
 * Temperatures °C; node order as in `Network`, with one more for snow where the weather brings any.
 */
import { movesOf } from './between';
import type { Network } from './network';
import type { PreparedWeather } from './prepare';
import { Rows } from './rows';
import { saturationPa } from '../sky/air';

/** Temperatures of the bare ground outside, step by step: the skin, and the cells of the standard grid. */
export interface OutsideTrace {
  skinC: Float64Array;
  cellsC: Float64Array;
  cellsPerStep: number;
  /** Depth of each cell's centre, m. */
  centreM: Float64Array;
}

/**
 * Shared layers through a run, step by step: temperatures of their sheets, then air, vapour, water inside and outside, air
 * speed by layer, then depth and temperature of snow.
 */
export interface SharedTrace {
  layers: number;
  sheets: number;
  stride: number;
  /** Layer on which snow lies, by step. */
  snowLayer: Int16Array;
  rows: Float64Array;
}

/** One column's pile of elements at the moment: which node each is, and the factors between them. */
export interface ColumnPile {
  count: number;
  node: Int32Array;
  passed: Float64Array;
  reflectedTop: Float64Array;
  reflectedBottom: Float64Array;
  factors: Float64Array;
}

export interface Work {
  net: Network;
  weather: PreparedWeather;
  outside: OutsideTrace | null;
  n: number;
  snowNode: number;
  t: Float64Array;
  tOld: Float64Array;
  guess: Float64Array;
  soil: Float64Array;
  soilOld: Float64Array;
  alpha: Float64Array;
  inverse: Float64Array;
  /** 1 where a column's elimination stands from an earlier step. */
  factored: Uint8Array;
  beta: Float64Array;
  /** What comes to each cell of soil from aside and below in this step, W. */
  soilW: Float64Array;
  /** Radiating pairs of nodes with their exchange areas, m², and each node's area towards the sky. */
  pairI: Int32Array;
  pairJ: Int32Array;
  pairM2: Float64Array;
  pairs: number;
  skyM2: Float64Array;
  vapour: Float64Array;
  vapourOld: Float64Array;
  /** Water on the inner face of each layer, on its outer face, and what of both is ice, kg/m². */
  film: Float64Array;
  dew: Float64Array;
  frost: Float64Array;
  /** Water by volume in the skin of each column. */
  skinWater: Float64Array;
  active: Uint8Array;
  opening: Float64Array;
  /** Innermost active layer at or outside each column's layer, −1 for none. */
  columnAir: Int32Array;
  /** The same for each layer itself; next active layer outwards of each layer, −1 for outside. */
  enclosing: Int32Array;
  outer: Int32Array;
  outermost: number;
  piles: ColumnPile[];
  opticsStale: boolean;
  wetUsed: Float64Array;
  dewUsed: Float64Array;
  rainUsed: number;
  /** Thermal radiation that the outermost sheet of each layer passes as it is now. */
  passedTop: Float64Array;
  snowM: number;
  /** Layer on which snow lies, −1 for the ground or crop. */
  snowLayer: number;
  /** True while the snow melts: it stays at 0 °C and what comes to it melts it, W. */
  melting: boolean;
  meltW: number;
  /** The snow's own line of the balance before it was held, for what melts it; the right side last. */
  snowRow: Float64Array;
  /** Shared layers as a whole house has them, where they are given and not to be found. */
  given: SharedTrace | null;
  a: Float64Array;
  b: Float64Array;
  /** Matrix, right side and edges before what depends on the guess. */
  base: Float64Array;
  baseB: Float64Array;
  baseEdges: number;
  /** Radiation of covers' sides in this step: node, other node (−1 sky, −2 ground outside), area. */
  sideNode: Int32Array;
  sideTo: Int32Array;
  sideM2: Float64Array;
  sides: number;
  /** Sky temperature at every step, °C: the weather's own. */
  skyC: Float64Array;
  /** Absorbed sun by node, W. */
  sun: Float64Array;
  sunTotalW: number;
  /** Sun that comes to each bed's leaves from above, W/m². */
  cropSunWm2: Float64Array;
  /** How much warmer a metre is than the one below it in each layer's air, K/m. */
  gradientKM: Float64Array;
  /** Links to the surroundings in this assembly: node, conductance W/K, temperature; for the balance. */
  edgeNode: Int32Array;
  edgeWK: Float64Array;
  edgeC: Float64Array;
  /** What each edge is, for "why": see FLOW. */
  edgeKind: Uint8Array;
  edges: number;
  /** Latent exchange surfaces: node, W/Pa, air layer (−1 outside), share of a wet surface's, and whose water it is (see `wet`). */
  wetNode: Int32Array;
  wetWPa: Float64Array;
  wetAir: Int32Array;
  wetShare: Float64Array;
  wetLayer: Int32Array;
  /** Saturation at the surface as a line in its temperature: Pa at 0 °C, Pa/K; and the share that held at the guess. */
  wetPa: Float64Array;
  wetSlope: Float64Array;
  wetUsedShare: Float64Array;
  wets: number;
  /** Convection coefficients of this step in the order they are asked for. */
  keptWm2K: Float64Array;
  kept: number;
  /** Length of the last step, s; when covers and openings move, epoch ms. */
  lastDt: number;
  moves: readonly number[];
  /** 1 where the first guess of a step may go on as the last step went, 0 after a change. */
  trust: number;
  /** Share of an iteration's move that the next one still finds, as the last steps had it. */
  contraction: number;
  /** True in the later iterations of a step: coefficients stay. */
  reuse: boolean;
  /** Air exchange of each layer with the next outwards, m³/s. */
  flowM3s: Float64Array;
  /** The same for vapour, which besides goes straight through cloth. */
  vapourM3s: Float64Array;
  airSpeed: Float64Array;
}

/** Kinds of flow to the surroundings. */
export const FLOW = {
  convection: 0,
  leakage: 1,
  vent: 2,
  boards: 3,
  side: 4,
  deep: 5,
  rain: 6,
  radiationSide: 7,
  melt: 8,
} as const;
export const FLOWS = 9;

export function makePile(rows = new Rows()): ColumnPile {
  return {
    count: 0,
    node: rows.i32(16),
    passed: rows.f64(16),
    reflectedTop: rows.f64(16),
    reflectedBottom: rows.f64(16),
    factors: rows.f64(16 * 17),
  };
}

export function makeWork(
  net: Network,
  weather: PreparedWeather,
  outside: OutsideTrace | null,
  snowLies = false,
  rows = new Rows(),
): Work {
  const skinWater = rows.f64(net.columns.length);
  net.columns.forEach((c, i) => (skinWater[i] = c.soil.water));
  const snow = weather.hasSnow || snowLies;
  const snowNode = snow ? net.nodes : -1;
  const n = net.nodes + (snow ? 1 : 0);
  const layers = net.layers.length;
  const start = weather.airC[0]!;
  const columns = net.columns.length;
  const wets = 2 * layers + columns + net.parts.length;
  const edges = 8 * (layers + 1) + 3 * columns;
  const sides = 4 * layers;
  const pairs = net.columns.reduce((sum, c) => sum + (2 * c.path.length + 3) ** 2, 0);
  return {
    net,
    weather,
    outside,
    n,
    snowNode,
    t: rows.f64(n).fill(start),
    tOld: rows.f64(n),
    guess: rows.f64(n),
    soil: rows.f64(net.cells).fill(net.deepC),
    soilOld: rows.f64(net.cells),
    alpha: rows.f64(net.cells),
    inverse: rows.f64(net.cells),
    factored: rows.u8(columns),
    beta: rows.f64(net.cells),
    soilW: rows.f64(net.cells),
    pairI: rows.i32(pairs),
    pairJ: rows.i32(pairs),
    pairM2: rows.f64(pairs),
    pairs: 0,
    skyM2: rows.f64(n),
    vapour: rows.f64(layers).fill(weather.vapourPa[0] ?? saturationPa(0)),
    vapourOld: rows.f64(layers),
    film: rows.f64(layers),
    dew: rows.f64(layers),
    frost: rows.f64(layers),
    skinWater,
    active: rows.u8(layers).fill(2),
    opening: rows.f64(layers),
    columnAir: rows.i32(columns).fill(-1),
    enclosing: rows.i32(layers),
    outer: rows.i32(layers),
    outermost: -1,
    piles: net.columns.map(() => makePile(rows)),
    opticsStale: true,
    wetUsed: rows.f64(layers),
    dewUsed: rows.f64(layers),
    rainUsed: 0,
    passedTop: rows.f64(layers),
    snowM: 0,
    snowLayer: -2,
    melting: false,
    meltW: 0,
    snowRow: rows.f64(n + 1),
    given: null,
    a: rows.f64(n * n),
    b: rows.f64(n),
    base: rows.f64(n * n),
    baseB: rows.f64(n),
    baseEdges: 0,
    sideNode: rows.i32(sides),
    sideTo: rows.i32(sides),
    sideM2: rows.f64(sides),
    sides: 0,
    skyC: weather.skyC,
    sun: rows.f64(n),
    sunTotalW: 0,
    cropSunWm2: rows.f64(net.parts.length),
    gradientKM: rows.f64(layers),
    edgeNode: rows.i32(edges),
    edgeWK: rows.f64(edges),
    edgeC: rows.f64(edges),
    edgeKind: rows.u8(edges),
    edges: 0,
    wetNode: rows.i32(wets),
    wetWPa: rows.f64(wets),
    wetAir: rows.i32(wets),
    wetShare: rows.f64(wets),
    wetLayer: rows.i32(wets),
    wetPa: rows.f64(wets),
    wetSlope: rows.f64(wets),
    wetUsedShare: rows.f64(wets),
    wets: 0,
    keptWm2K: rows.f64(6 * layers + 6 * columns),
    kept: 0,
    lastDt: 0,
    moves: movesOf(net),
    trust: 0,
    contraction: 1,
    reuse: false,
    flowM3s: rows.f64(layers),
    vapourM3s: rows.f64(layers),
    airSpeed: rows.f64(layers + 1),
  };
}
