/**
 * What holds a sheet down. Contract: `holdingFor` gives bags or pegs along a perimeter for how exposed the farm is; figures
 * are starting values from practice, never a promise in a storm.
 */
export type WindExposure = 'sheltered' | 'open' | 'exposed';

/** Distance between two, m. */
export const BAG_EVERY_M: Record<WindExposure, number> = { sheltered: 2, open: 1.5, exposed: 1 };
export const PEG_EVERY_M: Record<WindExposure, number> = { sheltered: 1.2, open: 0.9, exposed: 0.6 };

/**
 * Bags, or pegs, for a sheet of this size laid on the ground all round: one at each corner, none further apart than above.
 * @example holdingFor(20, 2, 'open') // { bags: 32, pegs: 52, perimeterM: 44 }
 */
export function holdingFor(
  lengthM: number,
  widthM: number,
  exposure: WindExposure,
): { bags: number; pegs: number; perimeterM: number } {
  const along = (every: number) => 2 * Math.ceil(lengthM / every) + 2 * Math.ceil(widthM / every);
  return {
    bags: along(BAG_EVERY_M[exposure]),
    pegs: along(PEG_EVERY_M[exposure]),
    perimeterM: 2 * (lengthM + widthM),
  };
}
