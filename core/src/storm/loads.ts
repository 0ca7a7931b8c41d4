/**
 * Wind and wet snow on a structure. Contract: `windOn` and `snowOn` give the worst of a forecast in the units of a maker's
 * rating, and when; `stormJobs` what to do about it in time. Nothing here certifies: a load without a rating is only a load.
 *
 * Wind pressure q = ½ ρ v², ρ 1.25 kg/m³ (dynamic pressure); gusts over the mean wind by exposure, starting values. New
 * snow weighs 100 kg/m³ when dry and cold, up to 300 when it falls near 0 °C (range of field guides).
 */
import type { Structure } from '../farm/types';
import type { WindExposure } from '../covers/holding';
import type { WeatherEntry } from '../heat/types';
import { HOUR_MS } from '../time/farmTime';

export const GUST_FACTOR: Record<WindExposure, number> = { sheltered: 1.4, open: 1.6, exposed: 1.8 };

export interface WindLoad {
  atMs: number;
  gustMps: number;
  /** Pressure of that gust, N/m². */
  pressureNm2: number;
  /** Push against the long and the short side, kN. */
  longKn: number;
  shortKn: number;
  /** Which it strikes more; null where no direction is known. */
  side: 'long' | 'short' | null;
}

/** Standing area of a side, m²: an arch shows about three quarters of its box. */
function sideM2(alongM: number, s: Structure): number {
  return alongM * s.heightM * (s.shape === 'arch' ? 0.75 : 1);
}

/**
 * The hardest gust of these hours, against both sides of a structure that lies turned by `turnDeg`.
 * @example windOn(aStructure(), [], 'open', 0, null) // null
 */
export function windOn(
  s: Structure,
  hours: readonly WeatherEntry[],
  exposure: WindExposure,
  turnDeg: number,
  usualFromDeg: number | null,
): WindLoad | null {
  if (hours.length === 0) return null;
  const worst = hours.reduce((a, b) => (b.windMs > a.windMs ? b : a));
  const gustMps = worst.windMs * GUST_FACTOR[exposure];
  const q = 0.5 * 1.25 * gustMps * gustMps;
  const from = worst.windFromDeg ?? usualFromDeg;
  const angle = from === null ? null : ((from - turnDeg) * Math.PI) / 180;
  const onLong = angle === null ? 1 : Math.abs(Math.sin(angle));
  const onShort = angle === null ? 1 : Math.abs(Math.cos(angle));
  return {
    atMs: Date.parse(worst.time),
    gustMps,
    pressureNm2: q,
    longKn: (q * sideM2(s.lengthM, s) * onLong) / 1000,
    shortKn: (q * sideM2(s.widthM, s) * onShort) / 1000,
    side: angle === null ? null : onLong >= onShort ? 'long' : 'short',
  };
}

export interface SnowLoad {
  /** When it is heaviest, and when the first 2 kg/m² lie. */
  atMs: number;
  fromAtMs: number | null;
  kgM2: number;
  depthM: number;
}

/**
 * Weight of new snow by the air it falls through, kg/m³.
 * @example newSnowKgM3(0) > newSnowKgM3(-10) // true
 */
export function newSnowKgM3(airC: number): number {
  return 100 + 200 * Math.min(1, Math.max(0, (airC + 3) / 3));
}

/**
 * Snow that gathers while none slides or melts, and rain that it soaks up: the heavy side of what may come.
 * @example snowOn([]).kgM2 // 0
 */
export function snowOn(hours: readonly WeatherEntry[]): SnowLoad {
  const out: SnowLoad = { atMs: 0, fromAtMs: null, kgM2: 0, depthM: 0 };
  for (const h of hours) {
    const depth = (h.snowMm ?? 0) / 1000;
    out.depthM += depth;
    const soaked = out.depthM > 0.01 ? (h.rainMm ?? 0) : 0;
    const more = depth * newSnowKgM3(h.airC) + soaked;
    if (more <= 0) continue;
    out.kgM2 += more;
    out.atMs = Date.parse(h.time);
    if (out.fromAtMs === null && out.kgM2 >= 2) out.fromAtMs = Date.parse(h.time);
  }
  return out;
}

export interface StormJob {
  structureId: string;
  what: 'wind' | 'snow';
  /** Have it done by. */
  byAtMs: number;
  /** 1 see to it, 2 take it seriously, 3 beyond what it bears or may bear. */
  level: 1 | 2 | 3;
  title: string;
  steps: string[];
  load: string;
  caution: string;
}

const LIGHT: Structure['kind'][] = ['frame', 'tunnel', 'open'];
/** Gusts from which light covers move, and from which anything unlashed does, m/s: starting values. */
const COVERS_MOVE_MPS = 10;
const LASH_MPS = 14;
const FABRIC_OFF_MPS = 20;
/** Loads from which props and clearing are worth the walk, kg/m²: starting values. */
const PROPS_KGM2 = 5;
const CLEAR_KGM2 = 12;

export interface StormWords {
  speed: (ms: number) => string;
  load: (kgM2: number) => string;
}

export function windJob(s: Structure, w: WindLoad, words: StormWords): StormJob | null {
  const rated = s.windRatingMps ?? null;
  const share = rated ? w.gustMps / rated : null;
  const light = LIGHT.includes(s.kind);
  if (w.gustMps < (light ? COVERS_MOVE_MPS : LASH_MPS) && !(share !== null && share > 0.7)) return null;
  const level = (share !== null ? share > 1 : w.gustMps > FABRIC_OFF_MPS) ? 3 : w.gustMps >= LASH_MPS ? 2 : 1;
  const steps: string[] = [];
  if (s.kind === 'open') steps.push('Weigh down every sheet, ends first.');
  if (s.kind === 'tunnel') steps.push('Weigh down the edges', 'close the windward end');
  if (s.kind === 'frame') steps.push('Shut and tie the lids; loose glass flies.');
  if (s.kind === 'house')
    steps.push('Shut the windward end and side', 'lash what is loose, check the film’s fixings');
  if (level === 3)
    steps.push(
      s.kind === 'house'
        ? 'leave it: stay out of it while it blows'
        : 'take the fabric off before it comes, if what stands there bears the night',
    );
  const side = w.side ? ` on its ${w.side} side` : '';
  const push = Math.max(w.longKn, w.shortKn);
  return {
    structureId: s.id,
    what: 'wind',
    byAtMs: w.atMs - 2 * HOUR_MS,
    level,
    title: `${s.name}: ${level === 3 ? 'wind beyond what it may bear' : level === 2 ? 'lash and close up' : 'weigh it down'}`,
    steps,
    load: `Gusts to about ${words.speed(w.gustMps)}${side}${push >= 0.5 ? `, a push of ${push.toFixed(1)} kN` : ''}${rated ? `; its maker rates it for ${words.speed(rated)}` : ''}.`,
    caution: rated
      ? 'The rating holds for sound anchors and film. The tool knows neither.'
      : `No wind rating is entered for ${s.name}: nobody here can say what it bears. The maker or an engineer can.`,
  };
}

export function snowJob(s: Structure, load: SnowLoad, words: StormWords): StormJob | null {
  if (s.kind === 'open' || load.fromAtMs === null) return null;
  const rated = s.snowRatingKgM2 ?? null;
  const share = rated ? load.kgM2 / rated : null;
  if (load.kgM2 < PROPS_KGM2 && !(share !== null && share > 0.4)) return null;
  const level = (share !== null ? share > 0.8 : load.kgM2 > 25) ? 3 : load.kgM2 >= CLEAR_KGM2 ? 2 : 1;
  const steps =
    s.kind === 'house'
      ? [
          'Set props under the ridge before it falls',
          'clear snow from outside as it gathers, both sides evenly',
        ]
      : ['Brush it off from outside before it packs'];
  if (level === 3) steps.push('nobody goes in while it lies');
  return {
    structureId: s.id,
    what: 'snow',
    byAtMs: load.fromAtMs,
    level,
    title: `${s.name}: ${level === 3 ? 'snow beyond what it may bear' : 'snow on it'}`,
    steps,
    load: `Up to ${words.load(load.kgM2)} if none slides${rated ? `; its maker rates it for ${words.load(rated)}` : ''}.`,
    caution: rated
      ? 'The rating holds for an even load and a sound frame. Never go in under a loaded roof.'
      : `No snow rating is entered for ${s.name}: nobody here can say what it bears. Never go in under a loaded roof.`,
  };
}

/**
 * All jobs of a farm for these hours, the first to be done first. Of open ground only what has sheets lying on it: there is
 * nothing to weigh down on bare soil.
 */
export function stormJobs(
  structures: readonly { structure: Structure; turnDeg: number; covered: boolean }[],
  hours: readonly WeatherEntry[],
  exposure: WindExposure,
  usualFromDeg: number | null,
  words: StormWords,
): StormJob[] {
  const snow = snowOn(hours);
  return structures
    .filter(({ structure, covered }) => structure.kind !== 'open' || covered)
    .flatMap(({ structure, turnDeg }) => {
      const wind = windOn(structure, hours, exposure, turnDeg, usualFromDeg);
      return [wind ? windJob(structure, wind, words) : null, snowJob(structure, snow, words)];
    })
    .filter((j): j is StormJob => j !== null)
    .sort((a, b) => a.byAtMs - b.byAtMs || b.level - a.level);
}
