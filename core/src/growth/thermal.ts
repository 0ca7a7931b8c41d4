/**
 * Warmth and light as growth. Contract: `degreeDays` of one day between its lowest and highest; `lightShare` of a day's light; both pure
 * and cheap. Temperatures °C of the leaf (of the seedbed for `risingDays`), light mol/m² a day at the leaf.
 */
import type { Crop } from '../crops/crops';

/**
 * Warmth over base at one temperature: rising to the best, falling to nothing at the upper, K.
 * @example warmthK(10, { baseC: 4, bestC: 18, upperC: 30 }) // 6
 */
export function warmthK(c: number, crop: Pick<Crop, 'baseC' | 'bestC' | 'upperC'>): number {
  if (c <= crop.baseC || c >= crop.upperC) return 0;
  if (c <= crop.bestC) return c - crop.baseC;
  return ((crop.bestC - crop.baseC) * (crop.upperC - c)) / (crop.upperC - crop.bestC);
}

/** Cosines of the middles of six equal parts of half a wave. */
const PARTS = Array.from({ length: 6 }, (_, i) => Math.cos((Math.PI * (i + 0.5)) / 6));

/**
 * Degree days of a day that swings as a wave between its lowest and its highest. Example: base 4, best 18: from 10 to 14 °C
 * all day over base: 8; from 0 to 8 °C: 1.3, not nothing.
 * @example degreeDays(4, 12, { baseC: 4, bestC: 18, upperC: 30 }) // 4
 */
export function degreeDays(
  lowC: number,
  highC: number,
  crop: Pick<Crop, 'baseC' | 'bestC' | 'upperC'>,
): number {
  const mean = (lowC + highC) / 2;
  const half = (highC - lowC) / 2;
  let sum = 0;
  for (const p of PARTS) sum += warmthK(mean + half * p, crop);
  return sum / PARTS.length;
}

/**
 * Degree days of a seedbed that is this warm: over the least, no faster than at the best, none above the most.
 * @example risingDays(10, { minC: 2, bestC: 18, maxC: 28, degreeDays: 80 }) // 8
 */
export function risingDays(soilC: number, e: NonNullable<Crop['emergence']>): number {
  const minC = e.minC ?? 0;
  if (soilC <= minC || (e.maxC !== null && soilC > e.maxC)) return 0;
  return Math.min(soilC, e.bestC ?? soilC) - minC;
}

/**
 * What light leaves of the growth that warmth would allow, 0 to 1.
 * @example lightShare(6, { darkMol: 2, fullMol: 10 }) // 0.5
 */
export function lightShare(mol: number, light: Crop['light']): number {
  return Math.min(1, Math.max(0, (mol - light.darkMol) / (light.fullMol - light.darkMol)));
}

/** Flower and fruit go on in the dark weeks by warmth, if slower; leaves and roots do not. */
const DARK_SHARE: Partial<Record<Crop['habit'], number>> = { stems: 0.4, fruit: 0.4 };

/**
 * One day's way towards the picking, degree days that count.
 * @example growthOf(cropById('spinach'), 2, 2, 20) // 0
 */
export function growthOf(crop: Crop, lowC: number, highC: number, mol: number): number {
  const least = DARK_SHARE[crop.habit] ?? 0;
  return degreeDays(lowC, highC, crop) * (least + (1 - least) * lightShare(mol, crop.light));
}

/** Warmth that a packet's days are meant at: a mild spring day, °C. */
const PACKET_C = 15;
/**
 * Days from sowing to the first picking in full light at 15 °C: what a packet would say. Example: spinach: 40.
 * @example packetDays(cropById('radish')) < packetDays(cropById('carrot')) // true
 */
export function packetDays(crop: Crop): number {
  const rise = crop.emergence
    ? crop.emergence.degreeDays / Math.max(2, risingDays(PACKET_C, crop.emergence))
    : 0;
  return rise + crop.pickDd / Math.max(3, warmthK(Math.max(PACKET_C, crop.baseC + 8), crop));
}

/**
 * A packet's days turned into degree days to the first picking, from emergence: `days` as `packetDays` counts them.
 * @example Math.round(pickDdOfPacket(cropById('spinach'), packetDays(cropById('spinach')))) // 420
 */
export function pickDdOfPacket(crop: Crop, days: number): number {
  const rise = crop.emergence
    ? crop.emergence.degreeDays / Math.max(2, risingDays(PACKET_C, crop.emergence))
    : 0;
  return Math.max(0, days - rise) * Math.max(3, warmthK(Math.max(PACKET_C, crop.baseC + 8), crop));
}
