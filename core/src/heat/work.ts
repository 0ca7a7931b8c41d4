/**
 * Everything the solver touches in a step, laid out once: no allocation in the loop.
 * Temperatures °C; node order as in `Network`, with one more for snow where the weather brings any.
 */
import type { Network } from './network';
import type { PreparedWeather } from './prepare';
import { saturationPa } from '../sky/air';

/** Temperatures of the bare ground outside, step by step: the skin, and the cells of the standard grid. */
export interface OutsideTrace {
  skinC: Float64Array;
  cellsC: Float64Array;
  cellsPerStep: number;
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
  vapour: Float64Array;
  vapourOld: Float64Array;
  /** Water on the inner face of each layer, kg/m². */
  film: Float64Array;
  active: Uint8Array;
  opening: Float64Array;
  /** Innermost active layer at or outside each column's layer, −1 for none. */
  columnAir: Int32Array;
  /** Next active layer outwards of each layer, −1 for outside. */
  outer: Int32Array;
  outermost: number;
  innermost: number;
  piles: ColumnPile[];
  opticsStale: boolean;
  wetUsed: Float64Array;
  rainUsed: number;
  snowM: number;
  snowLayer: number;
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
  /** Links to the surroundings in this assembly: node, conductance W/K, temperature; for the balance. */
  edgeNode: Int32Array;
  edgeWK: Float64Array;
  edgeC: Float64Array;
  /** What each edge is, for "why": see FLOW. */
  edgeKind: Uint8Array;
  edges: number;
  /** Latent exchange surfaces: node, W/Pa, air layer (−1 outside), β. */
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
  /** 1 where the first guess of a step may go on as the last step went, 0 after a change. */
  trust: number;
  /** Share of an iteration's move that the next one still finds, as the last steps had it. */
  contraction: number;
  /** True in the later iterations of a step: coefficients stay. */
  reuse: boolean;
  /** Air exchange of each layer with the next outwards, m³/s. */
  flowM3s: Float64Array;
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
} as const;

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
  const pile = (): ColumnPile => ({
    count: 0,
    node: new Int32Array(16),
    passed: new Float64Array(16),
    reflectedTop: new Float64Array(16),
    reflectedBottom: new Float64Array(16),
    factors: new Float64Array(16 * 17),
  });
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
    factored: new Uint8Array(net.columns.length),
    beta: new Float64Array(net.cells),
    vapour: new Float64Array(layers).fill(weather.vapourPa[0] ?? saturationPa(0)),
    vapourOld: new Float64Array(layers),
    film: new Float64Array(layers),
    active: new Uint8Array(layers).fill(2),
    opening: new Float64Array(layers),
    columnAir: new Int32Array(net.columns.length).fill(-1),
    outer: new Int32Array(layers),
    outermost: -1,
    innermost: -1,
    piles: net.columns.map(pile),
    opticsStale: true,
    wetUsed: new Float64Array(layers),
    rainUsed: 0,
    snowM: 0,
    snowLayer: -2,
    a: new Float64Array(n * n),
    b: new Float64Array(n),
    base: new Float64Array(n * n),
    baseB: new Float64Array(n),
    baseEdges: 0,
    sideNode: new Int32Array(16),
    sideTo: new Int32Array(16),
    sideM2: new Float64Array(16),
    sides: 0,
    skyC: weather.skyC,
    sun: new Float64Array(n),
    sunTotalW: 0,
    edgeNode: new Int32Array(96),
    edgeWK: new Float64Array(96),
    edgeC: new Float64Array(96),
    edgeKind: new Uint8Array(96),
    edges: 0,
    wetNode: new Int32Array(32),
    wetWPa: new Float64Array(32),
    wetAir: new Int32Array(32),
    wetShare: new Float64Array(32),
    wetLayer: new Int32Array(32),
    wetPa: new Float64Array(32),
    wetSlope: new Float64Array(32),
    wetUsedShare: new Float64Array(32),
    wets: 0,
    keptWm2K: new Float64Array(64),
    kept: 0,
    trust: 0,
    contraction: 1,
    reuse: false,
    flowM3s: new Float64Array(layers),
    airSpeed: new Float64Array(layers + 1),
  };
}
