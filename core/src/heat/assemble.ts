/**
 * The balance of one step as linear equations: every exchange between nodes, linearised by its secant at the last
 * guess, so that a converged step conserves energy. Heat W, conductance W/K.
 *
 * Convection. Outside of a cover by wind: h = 0.95 + 6.76 v^0.49 (Papadakis et al. 1992, film greenhouses), with free
 * convection 1.6 ΔT^⅓ joined by cubes. Inside: free convection of horizontal plates, 1.6 ΔT^⅓ where warm air rises,
 * ΔT^¼ where it is layered (McAdams 1954 gives 0.6 to 0.7 for level plates; a curved cover
 * keeps the air moving), plus a little for draught. Leaves: flat plates of 5 cm (Monteith and
 * Unsworth, ch. 10). Openings: Q = (A/2) C_d √(2g (H/2) ΔT/T + C_w v²), C_d 0.65, C_w 0.1 (Boulard and Baille 1995).
 */
import { saturationSurfacePa } from '../sky/air';
import { KELVIN, STEFAN_BOLTZMANN } from '../sky/longwave';
import { soilColumns } from './soilColumns';
import { AIR_JM3K, nodeCapacity, storedHeat } from './storage';
import { openGroundWm2K, windAtMs } from './prepare';
import { SNOW_MIN_M } from './radiation';
import { FLOW, type Work } from './work';

/** Latent over sensible transfer: 1 W/K of convection carries this many W for each Pa (Lewis number 1). */
const LATENT_PER_SENSIBLE = 0.0158;
/** Vapour carried by 1 m³/s of air for each Pa, W. */
export const VAPOUR_WPA = 2.5e6 * 7.75e-6;
const SNOW_CONDUCTIVITY = 0.12;

function link(w: Work, i: number, j: number, g: number): void {
  const { a, n } = w;
  a[i * n + i]! += g;
  a[j * n + j]! += g;
  if (i > j) a[i * n + j]! -= g;
  else a[j * n + i]! -= g;
}

function edge(w: Work, i: number, g: number, c: number, kind: number): void {
  w.a[i * w.n + i]! += g;
  w.b[i]! += g * c;
  const e = w.edges++;
  w.edgeNode[e] = i;
  w.edgeWK[e] = g;
  w.edgeC[e] = c;
  w.edgeKind[e] = kind;
}

function wet(w: Work, node: number, wPerPa: number, air: number, share: number, layer: number): void {
  const i = w.wets++;
  w.wetNode[i] = node;
  w.wetWPa[i] = wPerPa;
  w.wetAir[i] = air;
  w.wetShare[i] = share;
  w.wetLayer[i] = layer;
}

/**
 * Convection coefficients change slowly and feed back on themselves; each is taken once a step, from where the step
 * began, and averaged with the last one. Halving the step changes nothing that matters (see the convergence test).
 */
function keep(w: Work, h: number): number {
  const i = w.kept++;
  if (!w.reuse) {
    const last = w.keptWm2K[i]!;
    w.keptWm2K[i] = last > 0 ? 0.5 * (last + h) : h;
  }
  return w.keptWm2K[i]!;
}

const TO_SKY = -1;
const TO_GROUND = -2;

/** Radiation of a cover's sides: noted while the covers are gone through, added anew in every iteration. */
function sideways(w: Work, node: number, to: number, areaM2: number): void {
  const i = w.sides++;
  w.sideNode[i] = node;
  w.sideTo[i] = to;
  w.sideM2[i] = areaM2;
}

function sideRadiation(w: Work, skyC: number, outsideSkinC: number): void {
  for (let i = 0; i < w.sides; i++) {
    const node = w.sideNode[i]!;
    const to = w.sideTo[i]!;
    const c = to === TO_SKY ? skyC : to === TO_GROUND ? outsideSkinC : w.guess[to]!;
    const g = w.sideM2[i]! * radiative(w.guess[node]!, c);
    if (to < 0) edge(w, node, g, c, FLOW.radiationSide);
    else link(w, node, to, g);
  }
}

/** Free convection at a face, W/(m² K); `rises` where the warm side is below. */
function free(dT: number, rises: boolean): number {
  const d = Math.abs(dT);
  return rises ? Math.max(0.4, 1.6 * Math.cbrt(d)) : Math.max(0.6, 1.0 * Math.sqrt(Math.sqrt(d)));
}

function radiative(tj: number, tk: number): number {
  const a = tj + KELVIN;
  const b = tk + KELVIN;
  return STEFAN_BOLTZMANN * (a * a + b * b) * (a + b);
}

function thermalRadiation(w: Work, skyC: number): void {
  const { net, guess } = w;
  for (let c = 0; c < w.piles.length; c++) {
    const p = w.piles[c]!;
    const area = net.columns[c]!.areaM2;
    const m = p.count;
    for (let j = 0; j < m; j++) {
      const nj = p.node[j]!;
      const tj = guess[nj]!;
      for (let k = 0; k < j; k++) {
        const f = p.factors[j * (m + 1) + k]!;
        if (f > 1e-5) link(w, nj, p.node[k]!, area * f * radiative(tj, guess[p.node[k]!]!));
      }
      const f = p.factors[j * (m + 1) + m]!;
      if (f > 1e-5) {
        const g = area * f * radiative(tj, skyC);
        w.a[nj * w.n + nj]! += g;
        w.b[nj]! += g * skyC;
      }
    }
  }
}

/** Air that crosses an opening of `areaM2`, m³/s. */
function throughOpening(areaM2: number, heightM: number, dT: number, windMs: number): number {
  return 0.325 * areaM2 * Math.sqrt(9.81 * heightM * (Math.abs(dT) / 280) + 0.1 * windMs * windMs);
}

function covers(w: Work, k: number): void {
  const { net, guess, weather } = w;
  const airC = weather.airC[k]!;
  const wind = weather.windMs[k]!;
  const snow = w.snowM > SNOW_MIN_M && w.snowLayer >= 0;
  for (let i = 0; i < net.layers.length; i++) {
    if (w.active[i] !== 1) continue;
    const layer = net.layers[i]!;
    const g = layer.geometry;
    const air = net.air0 + i;
    const out = w.outer[i]!;
    const outC = out < 0 ? airC : guess[net.air0 + out]!;
    const localWind = out < 0 ? windAtMs(wind, Math.max(0.2, g.heightM)) : w.airSpeed[out]!;
    // air through joints, fabric and openings
    const dT = guess[air]! - outC;
    const vent = layer.ventM2 * w.opening[i]!;
    const leaks = keep(w, throughOpening(layer.leakM2, g.heightM, dT, localWind));
    const vents = keep(w, vent > 0 ? throughOpening(2 * vent, Math.max(0.3, g.heightM), dT, localWind) : 0);
    const flow = leaks + vents;
    w.flowM3s[i] = flow;
    w.airSpeed[i] = Math.min(
      localWind,
      0.04 + (0.5 * flow) / Math.max(0.05, g.heightM * Math.sqrt(g.floorM2)),
    );
    if (out < 0) {
      edge(w, air, AIR_JM3K * leaks, airC, FLOW.leakage);
      if (vents > 0) edge(w, air, AIR_JM3K * vents, airC, FLOW.vent);
      if (layer.boardWK > 0) edge(w, air, layer.boardWK, airC, FLOW.boards);
    } else {
      link(w, air, net.air0 + out, AIR_JM3K * flow + layer.boardWK);
    }
    // outer face
    const top = layer.firstSheet;
    const side = Math.max(0, g.coverM2 - g.floorM2);
    const emit = 1 - w.piles[i]!.passed[0]!;
    if (out < 0) {
      const face = snow ? w.snowNode : top;
      const forced = 0.95 + 6.76 * Math.pow(localWind, 0.49);
      const h = keep(w, Math.cbrt(forced ** 3 + 4.1 * Math.abs(guess[face]! - airC)));
      edge(w, face, h * g.coverM2, airC, FLOW.convection);
      if (snow) link(w, w.snowNode, top, (SNOW_CONDUCTIVITY / w.snowM) * g.coverM2);
      if (side > 0) {
        // sides beyond the floor's area see half sky, half ground
        const e = 0.5 * side * net.sheets[top]!.emitTop * emit;
        sideways(w, face, TO_SKY, e);
        sideways(w, face, TO_GROUND, e);
      }
      const rain = weather.rainKgM2s[k]!;
      if (rain > 0) edge(w, face, rain * 4186 * g.floorM2, airC, FLOW.rain);
    } else {
      const h = keep(w, free(guess[top]! - outC, guess[top]! > outC) + 2.5 * Math.sqrt(w.airSpeed[out]!));
      link(w, top, net.air0 + out, h * g.coverM2);
      wet(w, top, LATENT_PER_SENSIBLE * h * g.coverM2, out, 0, -1);
      if (side > 0) {
        const e = 0.5 * side * net.sheets[top]!.emitTop * 0.8;
        const outerSheet = net.layers[out]!.lastSheet;
        const floor = net.ground0 + i - 1;
        sideways(w, top, outerSheet, e);
        sideways(w, top, floor, e);
      }
    }
    for (let s = layer.firstSheet; s < layer.lastSheet; s++) link(w, s, s + 1, net.sheets[s]!.gapWK);
    // inner face
    const inner = layer.lastSheet;
    const hIn = keep(
      w,
      free(guess[inner]! - guess[air]!, guess[inner]! < guess[air]!) + 2.5 * Math.sqrt(w.airSpeed[i]!),
    );
    link(w, inner, air, hIn * g.coverM2);
    wet(w, inner, LATENT_PER_SENSIBLE * hIn * g.coverM2, i, w.wetUsed[i]!, i);
  }
}

/** Share at which leaves give off water: open stomata in light and above freezing, a trace otherwise. */
function leafWetness(w: Work, leafC: number): number {
  const light = Math.min(1, w.sun[w.net.leaf]! / Math.max(0.1, w.net.bedM2) / 120);
  return leafC > 2 ? 0.04 + 0.3 * light : 0.03;
}

function groundAndCrop(w: Work, k: number): void {
  const { net, guess, weather } = w;
  const airC = weather.airC[k]!;
  const last = net.columns.length - 1;
  const wind = weather.windMs[k]!;
  const buried = w.snowM > SNOW_MIN_M && w.snowLayer === -1;
  for (let c = 0; c <= last; c++) {
    const column = net.columns[c]!;
    const skin = net.ground0 + c;
    const layer = w.columnAir[c]!;
    const area = column.areaM2;
    let h: number;
    if (c === last) {
      const canopyC = guess[net.canopy]!;
      const speed = layer < 0 ? 0.5 * windAtMs(wind, Math.max(0.2, net.cropHeightM)) : w.airSpeed[layer]!;
      h = keep(w, free(guess[skin]! - canopyC, guess[skin]! > canopyC) + 2 * Math.sqrt(speed));
      link(w, skin, net.canopy, h * area);
      const buoyant = 1.4 * Math.sqrt(Math.sqrt(Math.abs(guess[net.leaf]! - canopyC) / 0.05));
      const hLeaf = keep(w, 0.7 * Math.max(buoyant, 8 * Math.sqrt(speed / 0.05)));
      const leafWK = 2 * net.leafAreaM2 * hLeaf;
      link(w, net.leaf, net.canopy, leafWK);
      wet(w, net.leaf, LATENT_PER_SENSIBLE * leafWK * 0.5, layer, leafWetness(w, guess[net.leaf]!), -1);
      if (layer < 0) {
        const open = keep(w, openGroundWm2K(wind, airC, canopyC, Math.max(0.005, 0.1 * net.cropHeightM)));
        if (buried) {
          link(w, net.canopy, w.snowNode, (SNOW_CONDUCTIVITY / w.snowM) * area);
          edge(w, w.snowNode, open * area, airC, FLOW.convection);
        } else edge(w, net.canopy, open * area, airC, FLOW.convection);
        h = 1 / (1 / h + 1 / open);
      } else {
        const inside = net.layers[layer]!;
        const mixing = inside.spec.shape === 'flat' ? 20 : inside.spec.heightM > 0.7 ? 9 : 15;
        link(w, net.canopy, net.air0 + layer, mixing * area);
        if (inside.touches) link(w, net.leaf, inside.lastSheet, 6 * net.leafCover * area);
      }
      if (net.mass >= 0) {
        const target = layer < 0 ? net.canopy : net.air0 + layer;
        link(w, net.mass, target, 8 * net.massAreaM2);
      }
      if (layer >= 0 && net.airW > 0) w.b[net.air0 + layer]! += net.airW;
      else if (net.airW > 0) w.b[net.canopy]! += net.airW;
    } else if (layer < 0) {
      h = keep(w, openGroundWm2K(wind, airC, guess[skin]!, 0.01));
      edge(w, skin, h * area, airC, FLOW.convection);
    } else {
      const air = net.air0 + layer;
      h = keep(
        w,
        free(guess[skin]! - guess[air]!, guess[skin]! > guess[air]!) + 2 * Math.sqrt(w.airSpeed[layer]!),
      );
      link(w, skin, air, h * area);
    }
    wet(w, skin, LATENT_PER_SENSIBLE * h * area, layer, column.evaporation, -1);
  }
}

/** Latent heat at every wet surface: gives off at its share, takes dew at full rate; linear in its own temperature. */
function latentHeat(w: Work, vapourOutPa: number): void {
  for (let i = 0; i < w.wets; i++) {
    const node = w.wetNode[i]!;
    const c = w.guess[node]!;
    const es = saturationSurfacePa(c);
    const slope =
      (es * (c < 0 ? 6185 : 4283)) / ((c + (c < 0 ? 273.86 : 243.04)) * (c + (c < 0 ? 273.86 : 243.04)));
    w.wetPa[i] = es - slope * c;
    w.wetSlope[i] = slope;
    const air = w.wetAir[i]!;
    const e = air < 0 ? vapourOutPa : w.vapour[air]!;
    const share = es < e ? 1 : w.wetShare[i]!;
    w.wetUsedShare[i] = share;
    if (share <= 0) continue;
    const g = w.wetWPa[i]! * share;
    w.a[node * w.n + node]! += g * slope;
    w.b[node]! += g * (e - w.wetPa[i]!);
  }
}

/**
 * What stays the same while a step is iterated: storage, convection, conduction, air. Kept as `base`, so that the later
 * iterations only add what depends on the guess.
 */
function assembleBase(w: Work, k: number, dt: number, steady: boolean): void {
  const { net, n, a, b } = w;
  a.fill(0);
  w.edges = 0;
  w.sides = 0;
  w.wets = 0;
  w.kept = 0;
  for (let i = 0; i < n; i++) {
    const changing = i === net.mass || i === w.snowNode;
    const c = steady || changing ? 0 : nodeCapacity(w, i) / dt;
    a[i * n + i] = c + 1e-9;
    b[i] = w.sun[i]! + c * w.tOld[i]!;
  }
  covers(w, k);
  groundAndCrop(w, k);
  w.base.set(a);
  w.baseB.set(b);
  w.baseEdges = w.edges;
}

/** Heat held by water that freezes and snow that melts, by Newton's slope at the guess. */
function changingStorage(w: Work, node: number, dt: number): void {
  const c = nodeCapacity(w, node) / dt;
  w.a[node * w.n + node]! += c;
  w.b[node]! +=
    c * w.guess[node]! + (storedHeat(w, node, w.tOld[node]!) - storedHeat(w, node, w.guess[node]!)) / dt;
}

/** Writes matrix and right side for step k; `dt` in s; `steady` drops all storage but the soil's. */
export function assemble(w: Work, k: number, dt: number, steady: boolean): void {
  const { net } = w;
  if (w.reuse) {
    w.a.set(w.base);
    w.b.set(w.baseB);
    w.edges = w.baseEdges;
  } else assembleBase(w, k, dt, steady);
  if (!steady && net.mass >= 0) changingStorage(w, net.mass, dt);
  if (!steady && w.snowNode >= 0 && w.snowM > SNOW_MIN_M) changingStorage(w, w.snowNode, dt);
  const skyC = w.skyC[k]!;
  const outsideSkinC = w.outside ? w.outside.skinC[k]! : w.weather.airC[k]!;
  thermalRadiation(w, skyC);
  sideRadiation(w, skyC, outsideSkinC);
  latentHeat(w, w.weather.vapourPa[k]!);
  soilColumns(w, k, dt);
  // layers that are off, and snow that is not there, follow the air around them
  for (let i = 0; i < net.layers.length; i++) {
    if (w.active[i] === 1) continue;
    const layer = net.layers[i]!;
    for (let s = layer.firstSheet; s <= layer.lastSheet; s++) pin(w, s, airAround(w, i, k));
    pin(w, net.air0 + i, airAround(w, i, k));
  }
  if (w.snowNode >= 0 && w.snowM <= SNOW_MIN_M) pin(w, w.snowNode, w.weather.airC[k]!);
}

function airAround(w: Work, layer: number, k: number): number {
  const out = w.columnAir[layer]!;
  return out < 0 ? w.weather.airC[k]! : w.guess[w.net.air0 + out]!;
}

function pin(w: Work, node: number, c: number): void {
  const { a, n } = w;
  for (let j = 0; j < n; j++) {
    a[node * n + j] = 0;
    if (j > node) a[j * n + node] = 0;
  }
  a[node * n + node] = 1;
  w.b[node] = c;
}
