/**
 * Everything the solver touches in a step, laid out once: no allocation in the loop.
 * Temperatures °C; node order as in `Network`, with one more for snow where the weather brings any.
 */
import { movesOf } from './between';
import type { Network } from './network';
import type { PreparedWeather } from './prepare';
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

export function makePile(): ColumnPile {
  return {
    count: 0,
    node: new Int32Array(16),
    passed: new Float64Array(16),
    reflectedTop: new Float64Array(16),
    reflectedBottom: new Float64Array(16),
    factors: new Float64Array(16 * 17),
  };
}

export function makeWork(
  net: Network,
  weather: PreparedWeather,
  outside: OutsideTrace | null,
  snowLies = false,
): Work {
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
    t: new Float64Array(n).fill(start),
    tOld: new Float64Array(n),
    guess: new Float64Array(n),
    soil: new Float64Array(net.cells).fill(net.deepC),
    soilOld: new Float64Array(net.cells),
    alpha: new Float64Array(net.cells),
    inverse: new Float64Array(net.cells),
    factored: new Uint8Array(columns),
    beta: new Float64Array(net.cells),
    soilW: new Float64Array(net.cells),
    pairI: new Int32Array(pairs),
    pairJ: new Int32Array(pairs),
    pairM2: new Float64Array(pairs),
    pairs: 0,
    skyM2: new Float64Array(n),
    vapour: new Float64Array(layers).fill(weather.vapourPa[0] ?? saturationPa(0)),
    vapourOld: new Float64Array(layers),
    film: new Float64Array(layers),
    dew: new Float64Array(layers),
    frost: new Float64Array(layers),
    skinWater: Float64Array.from(net.columns, (c) => c.soil.water),
    active: new Uint8Array(layers).fill(2),
    opening: new Float64Array(layers),
    columnAir: new Int32Array(columns).fill(-1),
    enclosing: new Int32Array(layers),
    outer: new Int32Array(layers),
    outermost: -1,
    piles: net.columns.map(makePile),
    opticsStale: true,
    wetUsed: new Float64Array(layers),
    dewUsed: new Float64Array(layers),
    rainUsed: 0,
    passedTop: new Float64Array(layers),
    snowM: 0,
    snowLayer: -2,
    melting: false,
    meltW: 0,
    snowRow: new Float64Array(n + 1),
    given: null,
    a: new Float64Array(n * n),
    b: new Float64Array(n),
    base: new Float64Array(n * n),
    baseB: new Float64Array(n),
    baseEdges: 0,
    sideNode: new Int32Array(sides),
    sideTo: new Int32Array(sides),
    sideM2: new Float64Array(sides),
    sides: 0,
    skyC: weather.skyC,
    sun: new Float64Array(n),
    sunTotalW: 0,
    cropSunWm2: new Float64Array(net.parts.length),
    gradientKM: new Float64Array(layers),
    edgeNode: new Int32Array(edges),
    edgeWK: new Float64Array(edges),
    edgeC: new Float64Array(edges),
    edgeKind: new Uint8Array(edges),
    edges: 0,
    wetNode: new Int32Array(wets),
    wetWPa: new Float64Array(wets),
    wetAir: new Int32Array(wets),
    wetShare: new Float64Array(wets),
    wetLayer: new Int32Array(wets),
    wetPa: new Float64Array(wets),
    wetSlope: new Float64Array(wets),
    wetUsedShare: new Float64Array(wets),
    wets: 0,
    keptWm2K: new Float64Array(6 * layers + 6 * columns),
    kept: 0,
    lastDt: 0,
    moves: movesOf(net),
    trust: 0,
    contraction: 1,
    reuse: false,
    flowM3s: new Float64Array(layers),
    vapourM3s: new Float64Array(layers),
    airSpeed: new Float64Array(layers + 1),
  };
}
