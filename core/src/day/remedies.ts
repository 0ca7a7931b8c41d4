/**
 * What else takes heat off where opening does not reach. Contract: `remediesFor` runs the day as it is to be opened once more, under shade cloth and with the
 * lids off, under every member; and says what some minutes of mist would do. Nothing of it is in the plan: it is proposed.
 */
import type { PreparedWeather } from '../heat/prepare';
import { runBed } from '../heat/run';
import type { SoilState } from '../heat/carry';
import type { BedSpec, Layer } from '../heat/types';
import { bandOf } from '../night/bands';

interface Outcome {
  low: number;
  mid: number;
  high: number;
}

export interface Remedies {
  /** Hottest leaf of the day with shade cloth over all, and with the lids taken right off, °C; null where that cannot be or does nothing. */
  shadeC: Outcome | null;
  lidsOffC: Outcome | null;
  /** Under a light fabric in place of a low tunnel's film. */
  fabricC: Outcome | null;
  /** What wetting the leaves for some minutes takes off the hottest hour, K; null where the air is too damp for it to do much. */
  mistK: number | null;
}

/** Mist brings a leaf this share of the way from the air to the wet bulb while it is wet: starting value. */
const MIST_SHARE = 0.5;
/** Less is not worth a walk, K. */
const WORTH_K = 1;
const MOST_LAYERS = 4;
const OUT_M = 0.1;
/** What one steps over is no house. */
const LOW_M = 1.2;
const FILMS = ['pe-film', 'pe-film-ir', 'perforated-film'] as const;

/**
 * Wet bulb of air at `airC` and a relative humidity of 0.05 to 0.99, °C: Stull (2011, J. Appl. Meteor. Climatol. 50, 2267), within a third of a degree
 * from −20 to 50 °C near sea level. Example: (20, 0.5) is 13.7.
 * @example wetBulbC(30, 0.5) // 22.3
 */
export function wetBulbC(airC: number, relativeHumidity: number): number {
  const rh = 100 * Math.min(0.99, Math.max(0.05, relativeHumidity));
  return (
    airC * Math.atan(0.151977 * Math.sqrt(rh + 8.313659)) +
    Math.atan(airC + rh) -
    Math.atan(rh - 1.676331) +
    0.00391838 * rh ** 1.5 * Math.atan(0.023101 * rh) -
    4.686035
  );
}

/**
 * The same under shade cloth over all; null where there is some, or no room for one more.
 * @example clothOver({ ground: {}, stack: [HOUSE] }).stack[0].material // 'shade-50'
 */
export function clothOver(spec: BedSpec): BedSpec | null {
  const outer = spec.stack[0];
  if (!outer || spec.stack.length >= MOST_LAYERS || spec.stack.some((l) => l.role === 'shade')) return null;
  const cloth: Layer = {
    role: 'shade',
    material: 'shade-50',
    lengthM: outer.lengthM + 2 * OUT_M,
    widthM: outer.widthM + 2 * OUT_M,
    heightM: outer.heightM + OUT_M,
    shape: outer.shape,
    tightness: 'drafty',
  };
  return { ...spec, stack: [cloth, ...spec.stack], ...(spec.shared ? { shared: spec.shared + 1 } : {}) };
}

/** A frame without its lids is open ground between boards. */
function lidless(spec: BedSpec): BedSpec | null {
  const lids = spec.stack.findIndex((l) => l.role === 'structure' && l.sides === 'board');
  return lids < 0 || spec.shared ? null : { ...spec, stack: spec.stack.filter((_, i) => i !== lids) };
}

/** A low tunnel with a light fabric where its film was. */
function inFabric(spec: BedSpec): BedSpec | null {
  const at = spec.stack.findIndex(
    (l) => l.role === 'structure' && l.heightM <= LOW_M && FILMS.some((m) => m === l.material),
  );
  if (at < 0) return null;
  return {
    ...spec,
    stack: spec.stack.map((l, i) => (i === at ? { ...l, material: 'fleece-17', plies: 1 } : l)),
  };
}

/**
 * What shade, mist or a lid off would take from a day that is too hot, K.
 * @example Object.keys(remediesFor(bed([HOUSE]), [prepareWeather(SITE, weather({ meanC: 18 }))], anEnd(), START_MS, START_MS + 86_400_000)).length > 0 // true
 */
export function remediesFor(
  spec: BedSpec,
  members: readonly PreparedWeather[],
  initial: SoilState,
  fromAtMs: number,
  toAtMs: number,
): Remedies {
  const runs = (s: BedSpec) => members.map((w) => runBed(s, w, { initial, audit: false }));
  const hottestOf = (run: ReturnType<typeof runBed>) => {
    let at = -1;
    run.entryAtMs.forEach((ms, i) => {
      if (ms >= fromAtMs && ms <= toAtMs && (at < 0 || run.leafC[i]! > run.leafC[at]!)) at = i;
    });
    return at;
  };
  const hottest = (s: BedSpec): Outcome =>
    bandOf(
      runs(s).map((run) => run.leafC[hottestOf(run)]!),
      0,
    );
  const as = runs(spec)[0]!;
  const at = hottestOf(as);
  const now = as.leafC[at]!;
  const better = (s: BedSpec | null): Outcome | null => {
    const o = s && hottest(s);
    return o && now - o.mid >= WORTH_K ? o : null;
  };
  const airC = as.canopyAirC[at]!;
  const mistK = MIST_SHARE * (airC - wetBulbC(airC, as.humidity[at]!));
  return {
    shadeC: better(clothOver(spec)),
    lidsOffC: better(lidless(spec)),
    fabricC: better(inFabric(spec)),
    mistK: mistK >= WORTH_K ? mistK : null,
  };
}
