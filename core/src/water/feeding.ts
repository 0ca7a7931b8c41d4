/**
 * Feeding as a balance of nitrogen. Contract: `feedDue` says what a standing crop lacks by now of what it takes up and what soil and feed have given,
 * grams a square metre; null where it lacks nothing worth a walk, or where the days are too short to take it up.
 *
 * Uptake goes with growth: the library's nitrogen of the crop times its way to the first picking, a little ahead of it. The soil gives what a bed in
 * good heart gives (`relay/handOver.ts`). All starting values; no soil test is known here.
 */

/** What a bed in good heart gives of itself, g of nitrogen a m² and day: 110 kg/ha a year. */
const SOIL_G_DAY = 0.03;
/** And what lies ready in it at planting: 40 kg/ha, as soil tests of worked beds mostly find. */
const READY_G = 4;
/** It is fed this far ahead of its growth, and so much at a time at the most. */
const AHEAD = 0.15;
const MOST_G = 5;
const LEAST_G = 1.5;
/** In days shorter than this hardly anything is taken up, hours. */
const DARK_H = 10;

export interface Fed {
  /** What the crop takes over its life, g/m². */
  takesGM2: number;
  /** Its way to the first picking, 0 to 1, and the days that it has stood. */
  share: number;
  daysStanding: number;
  /** What it was given since it stands, g/m². */
  givenGM2: number;
  dayLengthH: number;
}

/**
 * Example: a crop that takes 12 g, half grown after 40 days and never fed, lacks 2.6 g of the 7.8 that it has taken up by then.
 * @example feedDue({ takesGM2: 12, share: 0.5, daysStanding: 40, givenGM2: 0, dayLengthH: 14 }) // 2.6
 */
export function feedDue(f: Fed): number | null {
  if (f.dayLengthH < DARK_H) return null;
  const taken = f.takesGM2 * Math.min(1, f.share + AHEAD);
  const lacks = taken - READY_G - f.givenGM2 - SOIL_G_DAY * f.daysStanding;
  return lacks < LEAST_G ? null : Math.min(MOST_G, lacks);
}
