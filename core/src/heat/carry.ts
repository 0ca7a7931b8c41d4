/**
 * Where a run ended, for another to go on from. Contract: `endedState` says all that covers, crop, snow and jugs hold;
 * `carryWater` and `carryHeat` put it into the work of another run, where its covers are the same.
 */
import type { Layer } from './types';
import type { Work } from './work';

/** A cover at one moment, with the air inside it. */
export interface LayerState {
  sheetsC: number[];
  airC: number;
  vapourPa: number;
  /** Water on its inner face, kg/m². */
  filmKgM2: number;
}

/**
 * Where a run ended, for another to go on from: soil at the standard cells of the grid, by column from outside in; the
 * covers, by what and how large they are; snow on the outermost; the crop and the jugs. Only the soil has to be given.
 */
export interface SoilState {
  outside: Float64Array;
  columns: Float64Array[];
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
  return [l.material, l.shape, l.lengthM, l.widthM, l.heightM].join('/');
}

/** Water on the covers and snow: they decide what the first hour looks like. */
export function carryWater(w: Work, from: SoilState): void {
  w.net.layers.forEach((layer, i) => (w.film[i] = from.layers?.[layerKey(layer.spec)]?.filmKgM2 ?? 0));
  const top = w.outermost;
  const on = top < 0 ? OPEN_BED : layerKey(w.net.layers[top]!.spec);
  if (w.snowNode >= 0 && from.snow?.on === on) {
    w.snowM = from.snow.depthM;
    w.snowLayer = top;
    w.t[w.snowNode] = from.snow.snowC;
    w.opticsStale = true;
  }
}

/** What is known of where it was takes the place of the steady start. */
export function carryHeat(w: Work, from: SoilState): void {
  const { net } = w;
  net.layers.forEach((layer, i) => {
    const was = from.layers?.[layerKey(layer.spec)];
    if (!was || w.active[i] !== 1) return;
    was.sheetsC.forEach((c, j) => (w.t[layer.firstSheet + j] = c));
    w.t[net.air0 + i] = was.airC;
    w.vapour[i] = was.vapourPa;
  });
  if (from.crop) {
    w.t[net.canopy] = from.crop.canopyC;
    w.t[net.leaf] = from.crop.leafC;
  }
  if (net.mass >= 0 && from.massC !== undefined) w.t[net.mass] = from.massC;
  if (w.snowM > 0 && from.snow) w.t[w.snowNode] = from.snow.snowC;
}

export function endedState(w: Work): Pick<SoilState, 'layers' | 'crop' | 'snow' | 'massC'> {
  const { net, t } = w;
  const on = w.outermost < 0 ? OPEN_BED : layerKey(net.layers[w.outermost]!.spec);
  return {
    layers: Object.fromEntries(
      net.layers.flatMap((l, i) =>
        w.active[i] === 1
          ? [
              [
                layerKey(l.spec),
                {
                  sheetsC: [...t.subarray(l.firstSheet, l.lastSheet + 1)],
                  airC: t[net.air0 + i]!,
                  vapourPa: w.vapour[i]!,
                  filmKgM2: w.film[i]!,
                },
              ],
            ]
          : [],
      ),
    ),
    crop: { canopyC: t[net.canopy]!, leafC: t[net.leaf]! },
    ...(w.snowM > 0 ? { snow: { on, depthM: w.snowM, snowC: t[w.snowNode]! } } : {}),
    ...(net.mass >= 0 ? { massC: t[net.mass]! } : {}),
  };
}
