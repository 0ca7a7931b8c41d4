/**
 * Each published situation as the engine runs it. Contract: `SITUATIONS[id]()` gives the figure that
 * `docs/published-ranges.csv` has a range for, in its unit; the ranges were written before any of this was run.
 */
import { layerGeometry, type BedSpec, type Layer } from '../src';
import {
  BARE,
  deepNight,
  excess,
  FRAME,
  HOOPS,
  HOUSE,
  LAID,
  mean,
  nightMin,
  scene,
  type Sky,
} from './scenes';

/** Air in a house at a man's height, in what is low among the crop, where its thermometer lies. */
const air = (stack: Layer[], sky: Sky = {}, more: Partial<BedSpec> = {}) => {
  const run = scene(stack, sky, more);
  const inside = stack[0]!.heightM > 1 ? run.layerAirC[0]! : run.canopyAirC;
  return nightMin(inside) - nightMin(run.outsideC);
};
const leaf = (stack: Layer[], sky: Sky = {}, more: Partial<BedSpec> = {}) =>
  nightMin(scene(stack, sky, more).leafC);
const as = (layer: Layer, more: Partial<Layer>): Layer => ({ ...layer, ...more });
const gain = (stack: Layer[], than: Layer[], sky: Sky = {}) => leaf(stack, sky) - leaf(than, sky);
const inHouse = (...inner: Layer[]) => gain([HOUSE, ...inner], [HOUSE]);
/** A stack in the open against a leaf without any. */
const open = (...stack: Layer[]) => gain(stack, []);
const doubled = (layer: Layer): Layer[] => [as(layer, { widthM: 1.3, heightM: 0.56, lengthM: 20.2 }), layer];

const rough: Sky = { windMs: 6, cloud: 1 };
const spring: Sky = { start: '2027-03-01T06:00:00Z', meanC: 5, swingK: 4, windMs: 1.5, hours: 24 };
const april: Sky = { start: '2027-04-10T06:00:00Z', meanC: 11, swingK: 5, windMs: 1.5, hours: 24 };
const may: Sky = { start: '2027-05-15T00:00:00Z', meanC: 15, swingK: 6, windMs: 2, hours: 24 };
/** Four weeks with the cloud that a month has: six tenths of a clear sky's sun. */
const month = (start: string, meanC: number): Sky => ({
  start,
  hours: 28 * 24,
  meanC,
  swingK: 5,
  windMs: 2,
  cloud: 0.8,
});
const closedAt = (stack: Layer[], sky: Sky) => {
  const run = scene(stack, sky);
  return excess(run.canopyAirC, run);
};
const opened = (layer: Layer): Layer => as(layer, { open: [{ from: '2027-01-01T00:00:00Z', fraction: 1 }] });
/** Opened by a twelfth of its floor. */
const ajar = as(HOUSE, { open: [{ from: '2027-01-01T00:00:00Z', fraction: 0.5 }] });
const peak = (stack: Layer[], sky: Sky) => Math.max(...scene(stack, sky).canopyAirC);
const shade = (material: Layer['material']) =>
  as(HOUSE, { lengthM: 24.2, widthM: 7.2, heightM: 3.1, material, ventAreaM2: 0, tightness: 'drafty' });

/** Heat that goes through the cover of a heated house, W per m² of cover and K: half overcast. */
function uValue(layer: Layer): number {
  const run = scene(
    [layer],
    { start: '2027-01-10T12:00:00Z', meanC: -2, swingK: 0, windMs: 5.5, cloud: 0.5, hours: 72 },
    { ground: { deepC: 12 }, heat: { airWm2: 110 } },
  );
  const i = run.entryAtMs.length - 8;
  const f = run.flows[i - 1]!;
  const g = layerGeometry(layer);
  const through = f.skyWm2 + f.convectionWm2;
  return (through * g.floorM2) / g.coverM2 / (run.layerAirC[0]![i]! - run.outsideC[i]!);
}

/** Air changes an hour by leakage, closed, overcast, at 5.5 m/s. */
function airChanges(layer: Layer): number {
  const run = scene([layer], { windMs: 5.5, cloud: 1 }, { heat: { airWm2: 60 } });
  const i = 18;
  const g = layerGeometry(layer);
  const m3s =
    (run.flows[i - 1]!.leakageWm2 * g.floorM2) / (1230 * (run.layerAirC[0]![i]! - run.outsideC[i]!));
  return (m3s * 3600) / g.volumeM3;
}

/** Share of global radiation over a clear day that comes to the crop. */
function passed(stack: Layer[]): number {
  const run = scene(stack, {
    start: '2027-03-01T06:00:00Z',
    meanC: 8,
    swingK: 0,
    windMs: 6,
    dewK: 9,
    hours: 12,
  });
  return mean(run.cropSunWm2) / mean(run.sunWm2);
}

/** The handbooks' nights are spring frosts: lowest −3 °C over ground that a mild spell has left at 5. */
const frost: Sky = { start: '2027-03-20T12:00:00Z', meanC: 3 };
const SPRING = { deepC: 5 };
const bareSoil = () => scene([], frost, { crop: BARE, ground: SPRING });
/** On every night from 16:00 to 09:00, as mats are laid and rolled up. */
const NIGHTLY = Array.from({ length: 16 }, (_, d) => {
  const noon = Date.parse('2027-01-30T12:00:00Z') + d * 86_400_000;
  const at = (h: number) => new Date(noon + h * 3_600_000).toISOString();
  return { from: at(4), to: at(21) };
});

export const SITUATIONS: Record<string, () => number> = {
  n01: () => {
    const run = scene([]);
    return nightMin(run.leafC) - nightMin(run.outsideC);
  },
  n02: () => {
    const run = scene([], {}, { crop: { heightM: 0.05, groundCover: 0.9 } });
    return nightMin(run.leafC) - nightMin(run.outsideC);
  },
  n03: () => -deepNight(bareSoil().flows.map((f) => f.skyWm2)),
  n04: () => -deepNight(bareSoil().flows.map((f) => f.storedWm2 + f.deepWm2 + f.sideWm2)),
  n05: () => open(LAID),
  n06: () => open(HOOPS),
  n07: () => open(as(HOOPS, { material: 'fleece-50' })),
  n08: () => open(...doubled(HOOPS)),
  n09: () => gain([LAID], [], rough),
  n10: () => air([as(HOOPS, { material: 'pe-film' })]),
  n11: () => air([as(HOOPS, { material: 'perforated-film' })]),
  n12: () => open(as(HOOPS, { material: 'pe-film', widthM: 1.4, heightM: 0.6 }), HOOPS),
  n13: () => air([HOUSE]),
  n14: () => air([as(HOUSE, { material: 'pe-film-ir' })]) - air([HOUSE]),
  n15: () => air([as(HOUSE, { plies: 2 })]) - air([HOUSE]),
  n16: () => air([HOUSE], rough),
  n17: () => inHouse(LAID),
  n18: () => inHouse(HOOPS),
  n19: () => inHouse(...doubled(as(HOOPS, { material: 'fleece-50' }))),
  n20: () => inHouse(as(HOOPS, { material: 'pe-film' })),
  n21: () => inHouse(as(HOOPS, { material: 'frost-blanket' })),
  n22: () => air([as(HOUSE, { material: 'polycarbonate-twin' })]) - air([HOUSE]),
  n23: () => air([as(FRAME, { footing: 'sunk' })]),
  n24: () => air([FRAME]),
  n25: () => {
    const banked = as(FRAME, { footing: 'banked' });
    const mat = as(banked, { material: 'straw-mat', lengthM: 3.1, widthM: 1.3, heightM: 0.45, on: NIGHTLY });
    return air([mat, banked]);
  },
  n26: () => leaf([HOUSE], {}, { mass: { waterLitres: 30 } }) - leaf([HOUSE]),
  n27: () => leaf([HOUSE]) - leaf([HOUSE], {}, { ground: { deepC: 6, wetness: 'dry' } }),
  n28: () =>
    leaf([], frost, { ground: { ...SPRING, mulch: { material: 'straw', thicknessM: 0.07 } } }) -
    leaf([], frost, { ground: SPRING }),
  n29: () => air([HOUSE], { snowMm: 25 }) - air([HOUSE]),
  n30: () => leaf([HOUSE, HOOPS], {}, { ground: { deepC: 6, on: 'bench' } }) - leaf([HOUSE, HOOPS]),
  d01: () => closedAt([HOUSE], spring),
  d02: () => closedAt([opened(HOUSE)], spring),
  d03: () => closedAt([LAID], spring),
  d04: () => closedAt([HOOPS], spring),
  d05: () => closedAt([HOOPS], { ...spring, windMs: 7 }),
  d06: () => closedAt([as(HOOPS, { material: 'pe-film' })], spring),
  d07: () => closedAt([as(HOOPS, { material: 'perforated-film' })], spring),
  d08: () => closedAt([FRAME], april),
  d09: () => closedAt([opened(FRAME)], april),
  d10: () => peak([shade('shade-30'), ajar], may) - peak([ajar], may),
  d11: () => peak([shade('shade-50'), ajar], may) - peak([ajar], may),
  s01: () => {
    const sky = month('2027-02-01T00:00:00Z', 3);
    const at10 = (stack: Layer[]) => mean(scene(stack, sky, { ground: { deepC: 5 } }).soilC[2], 14 * 24);
    return at10([HOUSE]) - at10([]);
  },
  s02: () => {
    const sky = month('2027-03-01T00:00:00Z', 6);
    const at5 = (stack: Layer[]) => mean(scene(stack, sky, { ground: { deepC: 6 } }).soilC[1], 14 * 24);
    return at5([LAID]) - at5([]);
  },
  o01: () => passed([HOUSE]),
  o02: () => passed([LAID]),
  o03: () => passed([as(HOOPS, { material: 'fleece-50' })]),
  u01: () => uValue(HOUSE),
  u02: () => uValue(as(HOUSE, { plies: 2 })),
  u03: () => uValue(as(HOUSE, { material: 'glass' })),
  u04: () => uValue(as(HOUSE, { material: 'polycarbonate-twin' })),
  a01: () => airChanges(HOUSE),
  a02: () => airChanges(as(HOUSE, { tightness: 'drafty' })),
};
