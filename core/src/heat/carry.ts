/**
 * Where a run ended, for another to go on from. Contract: `endedState` says all that covers, crop, snow and jugs hold;
 * `carryWater` and `carryHeat` put it into the work of another run, where its covers are the same.
 */
import type { Layer } from './types';
import type { Network, Part } from './network';
import type { Work } from './work';

/** A cover at one moment, with the air inside it. */
export interface LayerState {
  sheetsC: number[];
  airC: number;
  vapourPa: number;
  /** Water on its inner face and on its outer, and what of both is ice, kg/m². */
  filmKgM2: number;
  dewKgM2?: number;
  frostKgM2?: number;
}

/**
 * Where a run ended, for another to go on from: soil at the standard cells of the grid, by column from outside in; the
 * covers, by what and how large they are; snow on the outermost; the crop and the jugs. Only the soil has to be given.
 */
export interface SoilState {
  outside: Float64Array;
  columns: Float64Array[];
  /** Water by volume in the skin of each column. */
  skinWater?: number[];
  /** By `layerKey`. */
  layers?: Record<string, LayerState>;
  crop?: { canopyC: number; leafC: number };
  /** Depth in m, its temperature, and what it lies on: a `layerKey`, or the open bed. */
  snow?: { on: string; depthM: number; snowC: number };
  massC?: number;
  /** Snow on the bare ground outside. */
  outsideSnow?: LyingSnow;
}

export interface LyingSnow {
  depthM: number;
  snowC: number;
}

export const OPEN_BED = 'open bed';

/** A cover is the same cover in another stack where its material and size are. */
function layerKey(l: Layer): string {
  let key = keys.get(l);
  if (key === undefined) {
    key = [l.material, l.shape, l.lengthM, l.widthM, l.heightM].join('/');
    keys.set(l, key);
  }
  return key;
}
const keys = new WeakMap<Layer, string>();

/** The layers that stand over a bed, outermost first. */
function layersOver(net: Network, part: Part): number[] {
  const own = Array.from({ length: part.ownLayers }, (_, i) => part.firstLayer + i);
  return [...Array.from({ length: net.shared }, (_, i) => i), ...own];
}

/**
 * Water on the covers and snow: they decide what the first hour looks like. `from` by bed.
 * @example runBed(bed([HOUSE]), prepareWeather(SITE, weather({ hours: 12 })), { initial: anEnd() }).humidity[0] > 0.5 // true
 */
export function carryWater(w: Work, from: readonly SoilState[]): void {
  const { net } = w;
  net.parts.forEach((part, p) => {
    for (const i of layersOver(net, part)) {
      const was = from[p]?.layers?.[layerKey(net.layers[i]!.spec)];
      w.film[i] = was?.filmKgM2 ?? 0;
      w.dew[i] = was?.dewKgM2 ?? 0;
      w.frost[i] = was?.frostKgM2 ?? 0;
    }
  });
  const snow = from[0]?.snow;
  if (w.snowNode < 0 || !snow) return;
  // what lies on the crop lies there still when a sheet has come over it; what lay on a cover, while that is there
  const at =
    snow.on === OPEN_BED
      ? -1
      : net.layers.findIndex((l, i) => w.active[i] === 1 && layerKey(l.spec) === snow.on);
  if (at < 0 && snow.on !== OPEN_BED) return;
  w.snowM = snow.depthM;
  w.snowLayer = at;
  w.t[w.snowNode] = snow.snowC;
  w.opticsStale = true;
}

/**
 * What is known of where it was takes the place of the steady start.
 * @example Math.abs(runBed(bed([HOUSE]), prepareWeather(SITE, weather({ hours: 12 })), { initial: anEnd() }).leafC[0] - anEnd().crop.leafC) < 0.01 // true
 */
export function carryHeat(w: Work, from: readonly SoilState[]): void {
  const { net } = w;
  net.parts.forEach((part, p) => {
    const state = from[p];
    if (!state) return;
    for (const i of layersOver(net, part)) {
      const layer = net.layers[i]!;
      const was = state.layers?.[layerKey(layer.spec)];
      if (!was || w.active[i] !== 1) continue;
      was.sheetsC.forEach((c, j) => (w.t[layer.firstSheet + j] = c));
      w.t[net.air0 + i] = was.airC;
      w.vapour[i] = was.vapourPa;
    }
    if (state.crop) {
      w.t[part.canopy] = state.crop.canopyC;
      w.t[part.leaf] = state.crop.leafC;
    }
  });
  const first = from[0];
  if (net.mass >= 0 && first?.massC !== undefined) w.t[net.mass] = first.massC;
  if (w.snowM > 0 && first?.snow) w.t[w.snowNode] = first.snow.snowC;
}

/**
 * Columns of ground of a bed, from the outermost in.
 * @example (() => { const net = compileBeds([bed([HOUSE, FLEECE])], BOOK_CALIBRATION); return columnsOf(net, net.parts[0]).length; })() // 2
 */
export function columnsOf(net: Network, part: Part): number[] {
  const out: number[] = [];
  for (let c = part.column; c >= 0; c = net.columns[c]!.outer) out.unshift(c);
  return out;
}

/**
 * What a bed's covers, crop and skins hold at the end of a run.
 * @example anEnd().layers['pe-film/arch/20/6/2.6'].sheetsC.length // 1
 */
export function endedState(
  w: Work,
  part: Part,
): Pick<SoilState, 'layers' | 'crop' | 'snow' | 'massC' | 'skinWater'> {
  const { net, t } = w;
  const on = w.snowLayer < 0 ? OPEN_BED : layerKey(net.layers[w.snowLayer]!.spec);
  return {
    skinWater: columnsOf(net, part).map((c) => w.skinWater[c]!),
    layers: Object.fromEntries(
      layersOver(net, part).flatMap((i) => {
        const l = net.layers[i]!;
        if (w.active[i] !== 1) return [];
        const state: LayerState = {
          sheetsC: [...t.subarray(l.firstSheet, l.lastSheet + 1)],
          airC: t[net.air0 + i]!,
          vapourPa: w.vapour[i]!,
          filmKgM2: w.film[i]!,
          dewKgM2: w.dew[i]!,
          frostKgM2: w.frost[i]!,
        };
        return [[layerKey(l.spec), state]];
      }),
    ),
    crop: { canopyC: t[part.canopy]!, leafC: t[part.leaf]! },
    ...(w.snowM > 0 ? { snow: { on, depthM: w.snowM, snowC: t[w.snowNode]! } } : {}),
    ...(net.mass >= 0 ? { massC: t[net.mass]! } : {}),
  };
}
