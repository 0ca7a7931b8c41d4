/**
 * Radiation of the step: piles of elements for each column, their exchange factors, and the sun they absorb.
 */
import { exchangeFactors, spread } from './optics';
import type { ColumnPile, Work } from './work';

/** Water that covers a sheet's inner face wholly, kg/m². */
const FULL_FILM_KGM2 = 0.025;
/** Snow below this depth is left out, m. */
export const SNOW_MIN_M = 0.003;
const absorbed = new Float64Array(16);

function wetShare(w: Work, layer: number): number {
  return Math.min(1, w.film[layer]! / FULL_FILM_KGM2);
}

function push(p: ColumnPile, node: number, passed: number, top: number, bottom: number): void {
  const i = p.count++;
  p.node[i] = node;
  p.passed[i] = passed;
  p.reflectedTop[i] = top;
  p.reflectedBottom[i] = bottom;
}

/** Rebuilds the thermal piles where a layer went on or off, or a sheet got wet or dry enough to matter. */
export function updateThermalPiles(w: Work, raining: boolean): void {
  const rain = raining ? 1 : 0;
  let stale = w.opticsStale || rain !== w.rainUsed;
  for (let i = 0; i < w.wetUsed.length; i++)
    if (Math.abs(wetShare(w, i) - w.wetUsed[i]!) > 0.04) stale = true;
  if (!stale) return;
  w.opticsStale = false;
  w.rainUsed = rain;
  for (let i = 0; i < w.wetUsed.length; i++) w.wetUsed[i] = wetShare(w, i);
  const { net } = w;
  const last = net.columns.length - 1;
  for (let c = 0; c <= last; c++) {
    const p = w.piles[c]!;
    p.count = 0;
    if (w.snowM > SNOW_MIN_M) push(p, w.snowNode, 0, 0.03, 0.03);
    for (let i = 0; i <= c && i < net.layers.length; i++) {
      if (w.active[i] !== 1) continue;
      const layer = net.layers[i]!;
      for (let s = layer.firstSheet; s <= layer.lastSheet; s++) {
        const sheet = net.sheets[s]!;
        let wet = s === layer.lastSheet ? w.wetUsed[i]! : 0;
        if (i === w.outermost && s === layer.firstSheet && raining) wet = 1;
        const passed = sheet.thermalPassed * (1 - wet * (1 - sheet.wetFactor));
        push(p, s, passed, (1 - passed) * (1 - sheet.emitTop), (1 - passed) * (1 - sheet.emitBottom));
      }
    }
    if (c === last) push(p, net.leaf, 1 - net.leafCover, 0.03 * net.leafCover, 0.03 * net.leafCover);
    push(p, net.ground0 + c, 0, 0.04, 0);
    exchangeFactors(p, p.factors);
  }
}

const solar: ColumnPile = {
  count: 0,
  node: new Int32Array(16),
  passed: new Float64Array(16),
  reflectedTop: new Float64Array(16),
  reflectedBottom: new Float64Array(16),
  factors: new Float64Array(0),
};

/** Loss of transmission at a slant: the ASHRAE form, 1 − 0.1 (1/cosθ − 1). */
function slant(cosTheta: number): number {
  return 1 - 0.1 * (1 / cosTheta - 1);
}

/** Sun absorbed by every node in this step, W, into `w.sun`; direct and diffuse through every layer that is on. */
export function absorbSun(w: Work, k: number): void {
  const { net, weather } = w;
  w.sun.fill(0);
  w.sunTotalW = 0;
  const beam = weather.beamWm2[k]!;
  const diffuse = weather.diffuseWm2[k]!;
  if (beam + diffuse < 0.1) return;
  const cosZ = Math.max(0.02, weather.cosZenith[k]!);
  const cot = Math.sqrt(1 - cosZ * cosZ) / cosZ;
  const last = net.columns.length - 1;
  for (let c = 0; c <= last; c++) {
    let beamIn = beam;
    solar.count = 0;
    if (w.snowM > SNOW_MIN_M) {
      const passed = Math.exp(-25 * w.snowM);
      push(solar, w.snowNode, passed * 0.9, 0.8 * (1 - passed), 0.8 * (1 - passed));
    }
    for (let i = 0; i <= c && i < net.layers.length; i++) {
      if (w.active[i] !== 1) continue;
      const layer = net.layers[i]!;
      const g = layer.geometry;
      if (g.boardM2 > 0) {
        // mean shadow of upright boards over all directions of the sun: projected width is perimeter over π
        beamIn *= 1 - Math.min(0.9, (0.85 * g.heightM * cot * g.perimeterM) / (Math.PI * g.floorM2));
      }
      const flat = layer.spec.shape === 'flat' || g.boardM2 > 0;
      const cosBeam = Math.max(flat ? 0.25 : 0.55, cosZ);
      const factor = (diffuse * 0.9 + beamIn * slant(cosBeam)) / Math.max(1e-6, diffuse + beamIn);
      // an open vent or roll-up side lets that share of light in unfiltered: too small to count here
      for (let s = layer.firstSheet; s <= layer.lastSheet; s++) {
        const sheet = net.sheets[s]!;
        const passed = sheet.sunPassed * factor;
        const reflected = sheet.sunReflected + (sheet.sunPassed - passed) * 0.8;
        push(solar, s, passed, Math.min(reflected, 1 - passed), Math.min(reflected, 1 - passed));
      }
    }
    const column = net.columns[c]!;
    if (c === last) push(solar, net.leaf, 1 - 0.8 * net.leafCover, 0.2 * net.leafCover, 0.2 * net.leafCover);
    push(solar, net.ground0 + c, 0, column.albedo, 0);
    spread(solar, beamIn + diffuse, -1, 0, 0, absorbed);
    for (let j = 0; j < solar.count; j++) {
      const watts = absorbed[j]! * column.areaM2;
      w.sunTotalW += watts;
      if (c === last && j === solar.count - 1 && net.mass >= 0) {
        const share = Math.min(0.3, (0.3 * net.massAreaM2) / net.bedM2);
        w.sun[net.mass]! += share * watts;
        w.sun[solar.node[j]!]! += (1 - share) * watts;
      } else {
        w.sun[solar.node[j]!]! += watts;
      }
    }
  }
}
