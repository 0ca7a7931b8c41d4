/**
 * Radiation of the step: piles of elements for each column, their exchange factors, and the sun they absorb.
 */
import { exchangeFactors, spread } from './optics';
import type { Horizon } from './types';
import { makePile, type ColumnPile, type Work } from './work';

/** Water that covers as much of a face as drops do, kg/m². */
const FULL_FILM_KGM2 = 0.025;
/** Snow below this depth is left out, m. */
export const SNOW_MIN_M = 0.003;
const absorbed = new Float64Array(16);
const arriving = new Float64Array(16);

/**
 * How far a face is covered by its water, 0 to 1.
 * @example wetShare(0) // 0
 */
export function wetShare(kgM2: number): number {
  return Math.min(1, kgM2 / FULL_FILM_KGM2);
}

function push(p: ColumnPile, node: number, passed: number, top: number, bottom: number): void {
  const i = p.count++;
  p.node[i] = node;
  p.passed[i] = passed;
  p.reflectedTop[i] = top;
  p.reflectedBottom[i] = bottom;
}

function refreshWetness(w: Work, rain: number): boolean {
  let stale = w.opticsStale || rain !== w.rainUsed;
  for (let i = 0; i < w.film.length; i++) {
    if (Math.abs(wetShare(w.film[i]!) - w.wetUsed[i]!) > 0.04) stale = true;
    if (Math.abs(wetShare(w.dew[i]!) - w.dewUsed[i]!) > 0.04) stale = true;
  }
  if (!stale) return false;
  w.opticsStale = false;
  w.rainUsed = rain;
  for (let i = 0; i < w.film.length; i++) {
    w.wetUsed[i] = wetShare(w.film[i]!);
    w.dewUsed[i] = wetShare(w.dew[i]!);
  }
  return true;
}

const snowLies = (w: Work, on: number) => w.snowM > SNOW_MIN_M && w.snowLayer === on;

/** Rebuilds the thermal piles where a layer went on or off, or a sheet got wet or dry enough to matter. */
export function updateThermalPiles(w: Work, raining: boolean): void {
  if (!refreshWetness(w, raining ? 1 : 0)) return;
  const { net } = w;
  for (let c = 0; c < net.columns.length; c++) {
    const column = net.columns[c]!;
    const p = w.piles[c]!;
    p.count = 0;
    for (const i of column.path) {
      if (w.active[i] !== 1) continue;
      if (snowLies(w, i)) push(p, w.snowNode, 0, 0.03, 0.03);
      const layer = net.layers[i]!;
      for (let s = layer.firstSheet; s <= layer.lastSheet; s++) {
        const sheet = net.sheets[s]!;
        const inside = s === layer.lastSheet ? w.wetUsed[i]! : 0;
        const outside = s !== layer.firstSheet ? 0 : i === w.outermost && raining ? 1 : w.dewUsed[i]!;
        // drops on the two faces lie where they like: each hides its share of what the other leaves
        const passed =
          sheet.thermalPassed * (1 - inside * (1 - sheet.wetFactor)) * (1 - outside * (1 - sheet.wetFactor));
        if (s === layer.firstSheet) w.passedTop[i] = snowLies(w, i) ? 0 : passed;
        push(p, s, passed, (1 - passed) * (1 - sheet.emitTop), (1 - passed) * (1 - sheet.emitBottom));
      }
    }
    const part = net.parts[column.part];
    if (part) {
      if (snowLies(w, -1)) push(p, w.snowNode, 0, 0.03, 0.03);
      push(p, part.leaf, 1 - part.leafCover, 0.03 * part.leafCover, 0.03 * part.leafCover);
    }
    push(p, net.ground0 + c, 0, 0.04, 0);
    exchangeFactors(p, p.factors);
  }
  listPairs(w);
}

/** Every pair of nodes that radiate to each other, once, whichever columns they do it in. */
function listPairs(w: Work): void {
  const { net } = w;
  w.pairs = 0;
  w.skyM2.fill(0);
  for (let c = 0; c < w.piles.length; c++) {
    const p = w.piles[c]!;
    const area = net.columns[c]!.areaM2;
    const m = p.count;
    for (let j = 0; j < m; j++) {
      const nj = p.node[j]!;
      for (let k = 0; k < j; k++) {
        const f = p.factors[j * (m + 1) + k]!;
        if (f > 1e-5) addPair(w, nj, p.node[k]!, area * f);
      }
      const f = p.factors[j * (m + 1) + m]!;
      if (f > 1e-5) w.skyM2[nj]! += area * f;
    }
  }
}

function addPair(w: Work, i: number, j: number, areaM2: number): void {
  const a = Math.max(i, j);
  const b = Math.min(i, j);
  for (let x = 0; x < w.pairs; x++) {
    if (w.pairI[x] !== a || w.pairJ[x] !== b) continue;
    w.pairM2[x]! += areaM2;
    return;
  }
  w.pairI[w.pairs] = a;
  w.pairJ[w.pairs] = b;
  w.pairM2[w.pairs] = areaM2;
  w.pairs += 1;
}

const solar: ColumnPile = makePile();

/** Light that drops on a cover turn back (Pieters et al. 1997 measured 5 to 15 % on films). */
const DROPS_DARKEN = 0.1;

/** Loss of transmission at a slant: the ASHRAE form, 1 − 0.1 (1/cosθ − 1). */
function slant(cosTheta: number): number {
  return 1 - 0.1 * (1 / cosTheta - 1);
}

/**
 * Cosine at which the beam meets a cover, as a mean over what it crosses on its way to the floor: an arch offers every
 * tilt across its length and none along it, so that only the sun's part along the length makes the slant.
 */
function cosOnCover(flat: boolean, turnDeg: number | undefined, cosZ: number, azimuthDeg: number): number {
  if (flat) return Math.max(0.25, cosZ);
  const sin2 = 1 - cosZ * cosZ;
  const along =
    turnDeg === undefined ? 0.5 * sin2 : sin2 * Math.cos(((azimuthDeg - turnDeg) * Math.PI) / 180) ** 2;
  return Math.max(0.25, 0.87 * Math.sqrt(1 - along));
}

const OPEN_SKY = { beam: 1, diffuse: 1 } as const;

/**
 * What neighbours leave of the beam and of the diffuse light, 0 to 1. An even sky: what is hidden up to h counts by sin²h.
 * @example openSky(null, 0.5, 180) // { beam: 1, diffuse: 1 }
 */
export function openSky(
  horizon: Horizon | null,
  cosZ: number,
  azimuthDeg: number,
): { beam: number; diffuse: number } {
  if (!horizon || horizon.deg.length === 0) return OPEN_SKY;
  const { deg, passes } = horizon;
  const n = deg.length;
  const x = (((azimuthDeg % 360) + 360) % 360) / (360 / n);
  const a = deg[Math.floor(x) % n]!;
  const b = deg[(Math.floor(x) + 1) % n]!;
  const there = a + (b - a) * (x - Math.floor(x));
  const sunDeg = 90 - (Math.acos(Math.min(1, Math.max(-1, cosZ))) * 180) / Math.PI;
  const hidden = deg.reduce((s, h) => s + Math.sin((Math.max(0, h) * Math.PI) / 180) ** 2, 0) / n;
  return { beam: sunDeg > there ? 1 : passes, diffuse: 1 - (1 - passes) * hidden };
}

/** Sun absorbed by every node in this step, W, into `w.sun`; direct and diffuse through every layer that is on. */
export function absorbSun(w: Work, k: number): void {
  const { net, weather } = w;
  w.sun.fill(0);
  w.sunTotalW = 0;
  w.cropSunWm2.fill(0);
  const cosZ = Math.max(0.02, weather.cosZenith[k]!);
  const azimuth = weather.sunAzimuthDeg[k]!;
  const sky = openSky(net.horizon, cosZ, azimuth);
  const beam = weather.beamWm2[k]! * sky.beam;
  const diffuse = weather.diffuseWm2[k]! * sky.diffuse;
  if (beam + diffuse < 0.1) return;
  const cot = Math.sqrt(1 - cosZ * cosZ) / cosZ;
  for (let c = 0; c < net.columns.length; c++) {
    const column = net.columns[c]!;
    const part = net.parts[column.part];
    let beamIn = beam;
    solar.count = 0;
    const snow = () => {
      const passed = Math.exp(-25 * w.snowM);
      push(solar, w.snowNode, passed * 0.9, 0.8 * (1 - passed), 0.8 * (1 - passed));
    };
    for (const i of column.path) {
      if (w.active[i] !== 1) continue;
      if (snowLies(w, i)) snow();
      const layer = net.layers[i]!;
      const g = layer.geometry;
      if (g.boardM2 > 0) {
        // mean shadow of upright boards over all directions of the sun: projected width is perimeter over π
        beamIn *= 1 - Math.min(0.9, (0.85 * g.heightM * cot * g.perimeterM) / (Math.PI * g.floorM2));
      }
      const flat = layer.spec.shape === 'flat' || g.boardM2 > 0;
      const cosBeam = cosOnCover(flat, layer.spec.turnDeg, cosZ, azimuth);
      const factor = (diffuse * 0.9 + beamIn * slant(cosBeam)) / Math.max(1e-6, diffuse + beamIn);
      // an open vent or roll-up side lets that share of light in unfiltered: too small to count here
      for (let s = layer.firstSheet; s <= layer.lastSheet; s++) {
        const sheet = net.sheets[s]!;
        const drops = s === layer.lastSheet ? 1 - DROPS_DARKEN * w.wetUsed[i]! : 1;
        const passed = sheet.sunPassed * factor * drops;
        const reflected = sheet.sunReflected + (sheet.sunPassed - passed) * 0.8;
        push(solar, s, passed, Math.min(reflected, 1 - passed), Math.min(reflected, 1 - passed));
      }
    }
    const crop = solar.count + (part && snowLies(w, -1) ? 1 : 0);
    if (part) {
      if (snowLies(w, -1)) snow();
      // leaves take up 0.55 of the whole spectrum (0.85 of what they grow by, a sixth of the near infrared)
      push(solar, part.leaf, 1 - 0.8 * part.leafCover, 0.25 * part.leafCover, 0.25 * part.leafCover);
    }
    push(solar, net.ground0 + c, 0, column.albedo, 0);
    spread(solar, beamIn + diffuse, -1, 0, 0, absorbed, arriving);
    if (part) w.cropSunWm2[column.part] = arriving[crop]!;
    takeSun(w, c);
  }
}

/** Gives each node its watts; jugs take a share of what falls on their floor. */
function takeSun(w: Work, c: number): void {
  const { net } = w;
  const column = net.columns[c]!;
  for (let j = 0; j < solar.count; j++) {
    const watts = absorbed[j]! * column.areaM2;
    w.sunTotalW += watts;
    const onFloor = j === solar.count - 1;
    if (onFloor && net.mass >= 0 && c === net.massColumn) {
      const share = Math.min(0.3, (0.3 * net.massAreaM2) / column.areaM2);
      w.sun[net.mass]! += share * watts;
      w.sun[solar.node[j]!]! += (1 - share) * watts;
    } else {
      w.sun[solar.node[j]!]! += watts;
    }
  }
}
