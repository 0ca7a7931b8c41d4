/**
 * Sizes of a layer: floor, cover, air volume, edges. Lengths m, areas m², volumes m³.
 */
import type { Layer } from './types';

export interface LayerGeometry {
  floorM2: number;
  /** The sheet itself, without boards. */
  coverM2: number;
  /** Opaque side boards, 0 where there are none. */
  boardM2: number;
  volumeM3: number;
  perimeterM: number;
  heightM: number;
}

/**
 * Length of the upper half of an ellipse of full width `widthM` and height `heightM`: Ramanujan (1914), half.
 * @example archLengthM(2, 1) // 3.142
 */
export function archLengthM(widthM: number, heightM: number): number {
  const a = widthM / 2;
  const b = heightM;
  const h = ((a - b) / (a + b)) ** 2;
  return (Math.PI / 2) * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
}

/**
 * Geometry of one layer. An arch is half an ellipse with closed ends; a box has upright sides (a frame's lid
 * slopes, so its mean height is taken as 0.85 of the tallest); a flat sheet is its floor with a hand's breadth of air.
 * @example layerGeometry(HOUSE).floorM2 // 120
 */
export function layerGeometry(layer: Layer, cropHeightM = 0.1): LayerGeometry {
  const { lengthM: l, widthM: w, heightM: h } = layer;
  const floorM2 = l * w;
  const perimeterM = 2 * (l + w);
  if (layer.shape === 'arch') {
    const end = (Math.PI / 4) * w * h;
    return {
      floorM2,
      coverM2: archLengthM(w, h) * l + 2 * end,
      boardM2: 0,
      volumeM3: end * l,
      perimeterM,
      heightM: h,
    };
  }
  if (layer.shape === 'box') {
    const side = perimeterM * h * 0.85;
    // earth against the sides or around them leaves the lid alone to the air, whatever the sides are of
    const earthed = layer.footing === 'banked' || layer.footing === 'sunk';
    const boards = layer.sides === 'board' || earthed;
    return {
      floorM2,
      coverM2: boards ? floorM2 : floorM2 + side,
      boardM2: boards ? side : 0,
      volumeM3: floorM2 * h * 0.85,
      perimeterM,
      heightM: h,
    };
  }
  const height = Math.max(h, 0.5 * cropHeightM, 0.03);
  return { floorM2, coverM2: floorM2, boardM2: 0, volumeM3: floorM2 * height, perimeterM, heightM: height };
}
