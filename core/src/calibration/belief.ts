/**
 * What is believed of a place's factors, and how surely. A night is run with factors drawn from the belief, so that the
 * band holds the model's own doubt; readings move the belief and narrow it. Contract: `drawFactors(belief, n)` gives n
 * calibrations, the first the mean; `learn(belief, nights)` gives the belief after those nights; nothing is random.
 */
import type { Calibration } from '../heat/types';
import { hashNormal } from '../weather/noise';

/** Coordinates in which the belief is normal: ln leakage, film transparency, ln soil exchange, zone offset in K. */
export const FACTORS = ['leakage', 'filmTransparency', 'soilExchange', 'zoneOffsetC'] as const;
const N = FACTORS.length;

export interface Belief {
  mean: Calibration;
  /** Covariance in those coordinates, N × N by rows. */
  covariance: number[];
  /** How many nights it has learnt from. */
  nights: number;
}

/**
 * Error of a minimum that no factor explains, K: leaf against leaf, the grid, and what no station knows of a place (a pocket of
 * cold, shelter, a sky that is not quite as it looks: each some tenths). Starting value.
 */
export const REST_ERROR_K = 0.38;

/**
 * What is believed of a structure before it is read, from what is published of real ones, not from any house of ours.
 * Leakage: engineering tables give 0.5 to 2 air changes an hour in good repair and 2 to 5 in old ones, the book's factor
 * is in the lower half: half of all houses leak 1.3 times it or more, one in six more than twice. Film: samples of a kind
 * differ by a tenth, more with age and dust. Soil: water and density move its exchange by a fourth, and under cover one bed
 * in three is drier than one thinks, which exchanges less. The thermometer:
 * unscreened, by the door or the wall, it shows half a degree less than the house's air, within half a degree more or less.
 */
const BOOK_MEAN: Calibration = { leakage: 1.3, filmTransparency: 1, soilExchange: 0.9, zoneOffsetC: -0.5 };
const BOOK_SD = [0.5, 0.1, 0.25, 0.5];

export const BOOK_BELIEF: Belief = {
  mean: BOOK_MEAN,
  covariance: BOOK_SD.flatMap((sd, i) => BOOK_SD.map((_, j) => (i === j ? sd * sd : 0))),
  nights: 0,
};

/** @example toCoordinates(BOOK_CALIBRATION).every(Number.isFinite) // true */
export function toCoordinates(c: Calibration): number[] {
  return [Math.log(c.leakage), c.filmTransparency, Math.log(c.soilExchange), c.zoneOffsetC];
}

/**
 * Back from coordinates; the film's transparency is kept within 0.5 to 1.4.
 * @example toCoordinates(toCalibration(toCoordinates(BOOK_CALIBRATION))).length // 4
 */
export function toCalibration(x: readonly number[]): Calibration {
  return {
    leakage: Math.exp(x[0]!),
    filmTransparency: Math.min(1.4, Math.max(0.5, x[1]!)),
    soilExchange: Math.exp(x[2]!),
    zoneOffsetC: x[3]!,
  };
}

/**
 * Standard deviation of one factor in its coordinate.
 * @example factorSd(BOOK_BELIEF, 0) > 0 // true
 */
export function factorSd(belief: Belief, factor: number): number {
  return Math.sqrt(Math.max(0, belief.covariance[factor * N + factor]!));
}

/** Lower triangle L of a covariance, L Lᵀ = it (Cholesky); a direction without doubt stays without. */
function root(covariance: readonly number[]): number[] {
  const l = new Array<number>(N * N).fill(0);
  for (let j = 0; j < N; j++) {
    for (let i = j; i < N; i++) {
      let s = covariance[i * N + j]!;
      for (let k = 0; k < j; k++) s -= l[i * N + k]! * l[j * N + k]!;
      if (i === j) l[i * N + j] = Math.sqrt(Math.max(0, s));
      else l[i * N + j] = l[j * N + j]! > 1e-12 ? s / l[j * N + j]! : 0;
    }
  }
  return l;
}

/** A farm's forecasts have one or two numbers of members. */
const MOST_DRAWN = 40;
const drawn = new Map<string, readonly number[]>();

/** `count` standard normal numbers for a factor, with mean 0 and variance 1 over the lot; 0 first. The same each time, and drawn once. */
function normals(factor: number, count: number): readonly number[] {
  const name = `${factor} of ${count}`;
  const found = drawn.get(name) ?? drawNormals(factor, count);
  if (drawn.size < MOST_DRAWN) drawn.set(name, found);
  return found;
}

function drawNormals(factor: number, count: number): number[] {
  const z = Array.from({ length: count - 1 }, (_, m) => hashNormal(0x5eed, factor, m));
  const mean = z.reduce((s, x) => s + x, 0) / Math.max(1, z.length);
  const sd = Math.sqrt(z.reduce((s, x) => s + (x - mean) ** 2, 0) / Math.max(1, z.length)) || 1;
  return [0, ...z.map((x) => (x - mean) / sd)];
}

/**
 * As many calibrations as there are members of a forecast: the first is the mean, the others spread as the belief does.
 * @example drawFactors(BOOK_BELIEF, 5).length // 5
 */
export function drawFactors(belief: Belief, count: number): Calibration[] {
  const l = root(belief.covariance);
  const z = FACTORS.map((_, f) => normals(f, count));
  const mean = toCoordinates(belief.mean);
  return Array.from({ length: count }, (_, m) =>
    toCalibration(
      mean.map((x, i) => x + FACTORS.reduce((s, _f, k) => s + (k <= i ? l[i * N + k]! * z[k]![m]! : 0), 0)),
    ),
  );
}

/** One night at one spot: what was measured, what the model gives for it, and how that answers to each factor. */
export interface LearntNight {
  measuredC: number;
  /** The model's minimum with the belief's mean and the weather as it came, °C. */
  modelC: number;
  /** Change of that minimum for one unit of each coordinate. */
  slopes: number[];
  /** Doubt about that night's weather, K; 0 where it was measured. */
  doubtK?: number;
}

/** How far each factor is moved to see how the minimum answers. */
const NUDGE = [0.3, 0.08, 0.15];

/**
 * Builds a night for `learn` from a function that runs it: `minimum(calibration)` in °C, without the zone's offset counted twice.
 * @example nightFor(BOOK_BELIEF, -3, () => -2).modelC // -2
 */
export function nightFor(
  belief: Belief,
  measuredC: number,
  minimum: (c: Calibration) => number,
): LearntNight {
  const x = toCoordinates(belief.mean);
  const modelC = minimum(belief.mean);
  const slopes = NUDGE.map((d, i) => {
    const moved = x.map((v, j) => (i === j ? v + d : v));
    return (minimum(toCalibration(moved)) - modelC) / d;
  });
  return { measuredC, modelC, slopes: [...slopes, 1] };
}

/** Doubt about one reading, K: the instrument, where exactly it hangs, and what no factor explains. */
const READING_SD_K = 0.45;
/** A reading this many standard deviations off counts for less, the further the less: a slip of the pen moves little. */
const FAR_SD = 2.5;

/**
 * The belief after these nights, all taken as linear around the belief's mean: Bayes' rule for normal errors, a night at
 * a time (the measurement update of Kalman 1960).
 * @example learn(BOOK_BELIEF, []).nights // 0
 */
export function learn(belief: Belief, nights: readonly LearntNight[]): Belief {
  const start = toCoordinates(belief.mean);
  const x = [...start];
  const p = [...belief.covariance];
  for (const night of nights) {
    const h = night.slopes;
    const ph = x.map((_, i) => h.reduce((s, hk, k) => s + p[i * N + k]! * hk, 0));
    const spread = h.reduce((s, hk, k) => s + hk * ph[k]!, 0);
    const expected = night.modelC + h.reduce((s, hk, k) => s + hk * (x[k]! - start[k]!), 0);
    const off = night.measuredC - expected;
    const doubt = READING_SD_K ** 2 + (night.doubtK ?? 0) ** 2;
    const far = Math.abs(off) / Math.sqrt(spread + doubt) / FAR_SD;
    const noise = doubt * Math.max(1, far * far) + (far > 1 ? spread * (far * far - 1) : 0);
    const gain = ph.map((v) => v / (spread + noise));
    gain.forEach((g, i) => (x[i] = x[i]! + g * off));
    for (let i = 0; i < N; i++) for (let j = 0; j < N; j++) p[i * N + j]! -= gain[i]! * ph[j]!;
  }
  return { mean: toCalibration(x), covariance: p, nights: belief.nights + nights.length };
}
