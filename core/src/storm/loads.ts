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
import { said, type Said } from '../words/said';

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
  title: Said;
  steps: Said[];
  load: Said;
  caution: Said;
}

const LIGHT: Structure['kind'][] = ['frame', 'tunnel', 'open'];
/** Gusts from which light covers move, and from which anything unlashed does, m/s: starting values. */
const COVERS_MOVE_MPS = 10;
const LASH_MPS = 14;
const FABRIC_OFF_MPS = 20;
/** Loads from which props and clearing are worth the walk, kg/m²: starting values. */
const PROPS_KGM2 = 5;
const CLEAR_KGM2 = 12;

/** @example windJob(aStructure(), { atMs: 0, gustMps: 5, pressureNm2: 16, longKn: 0, shortKn: 0, side: null }) // null */
export function windJob(s: Structure, w: WindLoad): StormJob | null {
  const rated = s.windRatingMps ?? null;
  const share = rated ? w.gustMps / rated : null;
  const light = LIGHT.includes(s.kind);
  if (w.gustMps < (light ? COVERS_MOVE_MPS : LASH_MPS) && !(share !== null && share > 0.7)) return null;
  const level = (share !== null ? share > 1 : w.gustMps > FABRIC_OFF_MPS) ? 3 : w.gustMps >= LASH_MPS ? 2 : 1;
  const steps: Said[] = [];
  if (s.kind === 'open') steps.push(said('wind.sheets'));
  if (s.kind === 'tunnel') steps.push(said('wind.edges'), said('wind.windward'));
  if (s.kind === 'frame') steps.push(said('wind.lids'));
  if (s.kind === 'house') steps.push(said('wind.shut'), said('wind.loose'));
  if (level === 3) steps.push(s.kind === 'house' ? said('wind.leave') : said('wind.fabric'));
  const structure = s.name;
  return {
    structureId: s.id,
    what: 'wind',
    byAtMs: w.atMs - 2 * HOUR_MS,
    level,
    title: said(level === 3 ? 'wind.beyond' : level === 2 ? 'wind.lash' : 'wind.weigh', { structure }),
    steps,
    load: said('wind.load', {
      gustMps: w.gustMps,
      side: w.side,
      pushKn: Math.max(w.longKn, w.shortKn),
      ratedMps: rated,
    }),
    caution: rated ? said('wind.rated') : said('wind.unrated', { structure }),
  };
}

/** @example snowJob(aStructure(), { atMs: 0, fromAtMs: null, kgM2: 0, depthM: 0 }) // null */
export function snowJob(s: Structure, load: SnowLoad): StormJob | null {
  if (s.kind === 'open' || load.fromAtMs === null) return null;
  const rated = s.snowRatingKgM2 ?? null;
  const share = rated ? load.kgM2 / rated : null;
  if (load.kgM2 < PROPS_KGM2 && !(share !== null && share > 0.4)) return null;
  const level = (share !== null ? share > 0.8 : load.kgM2 > 25) ? 3 : load.kgM2 >= CLEAR_KGM2 ? 2 : 1;
  const steps = s.kind === 'house' ? [said('snow.props'), said('snow.clear')] : [said('snow.brush')];
  if (level === 3) steps.push(said('snow.nobody'));
  const structure = s.name;
  return {
    structureId: s.id,
    what: 'snow',
    byAtMs: load.fromAtMs,
    level,
    title: said(level === 3 ? 'snow.beyond' : 'snow.on', { structure }),
    steps,
    load: said('snow.load', { kgM2: load.kgM2, ratedKgM2: rated }),
    caution: rated ? said('snow.rated') : said('snow.unrated', { structure }),
  };
}

/**
 * All jobs of a farm for these hours, the first to be done first. Of open ground only what has sheets lying on it: there is
 * nothing to weigh down on bare soil.
 * @example stormJobs([{ structure: aStructure(), turnDeg: 0, covered: true }], weather({ windMs: 22 }), 'open', null)[0].what // 'wind'
 */
export function stormJobs(
  structures: readonly { structure: Structure; turnDeg: number; covered: boolean }[],
  hours: readonly WeatherEntry[],
  exposure: WindExposure,
  usualFromDeg: number | null,
): StormJob[] {
  const snow = snowOn(hours);
  return structures
    .filter(({ structure, covered }) => structure.kind !== 'open' || covered)
    .flatMap(({ structure, turnDeg }) => {
      const wind = windOn(structure, hours, exposure, turnDeg, usualFromDeg);
      return [wind ? windJob(structure, wind) : null, snowJob(structure, snow)];
    })
    .filter((j): j is StormJob => j !== null)
    .sort((a, b) => a.byAtMs - b.byAtMs || b.level - a.level);
}
