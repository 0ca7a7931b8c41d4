/**
 * The what-if thread: the same heat engine, one bed, other covers. Contract: `tryStack(id, request)` runs one night under
 * the forecast's centre and answers with the curves; the caller drops answers that are no longer the newest.
 */
import {
  flowLines,
  HOUR_MS,
  outsideFor,
  preparedFor,
  runHouse,
  runWithWax,
  soilProps,
  sunPosition,
  thawedAtMs,
  type BedSpec,
  type Calibration,
  type FlowLine,
  type Opening,
  type Site,
  type SoilState,
  type WeatherEntry,
} from '@fogata/core';
import type { WhatIf } from '@fogata/contract/told';
import * as Comlink from 'comlink';

export interface TryRequest {
  site: Site;
  weather: WeatherEntry[];
  initial: WhatIf['initial'];
  spec: BedSpec;
  /** The other beds under its roof: they share its air. */
  others: WhatIf['others'];
  among: number;
  /** What the plan's middle is over its centre, K. */
  middleK: number;
  countFromAtMs: number;
  /** The lowest is looked for up to here, the warmest from here on. */
  nightToAtMs: number;
  /** What opens by itself, and the place of its layer in the stack. */
  wax?: { layer: number; openings: Opening[] };
  /** The factors of the place, as its readings have taught. */
  calibration: Calibration;
}

export interface TryResult {
  timesAtMs: number[];
  outsideC: number[];
  skyC: number[];
  leafC: number[];
  canopyC: number[];
  layersC: number[][];
  soil0C: number[];
  soil5C: number[];
  soil10C: number[];
  soil30C: number[];
  /** Heat that the soil gives to the bed, W/m², by hour. */
  soilGivesWm2: number[];
  humidity: number[];
  /** Where the heat goes, by hour; empty at the first. */
  flows: FlowLine[][];
  minLeafC: number;
  minIndex: number;
  /** Hour of the warmest air at the crop. */
  maxIndex: number;
  frozenH: number;
  /** When leaves that froze have thawed, epoch ms; null where they never froze. */
  thawAtMs: number | null;
  sunWm2: number[];
  /** Height of the sun, degrees. */
  sunDeg: number[];
  ms: number;
}

const soils = (i: WhatIf['initial']): SoilState => ({
  ...i,
  outside: Float64Array.from(i.outside),
  columns: i.columns.map((c) => Float64Array.from(c)),
});

function withOpen(spec: BedSpec, layer: number, open: { from: string; fraction: number }[]): BedSpec {
  if (open.length === 0) return spec;
  return { ...spec, stack: spec.stack.map((l, i) => (i === layer ? { ...l, open } : l)) };
}

function fractionAt(open: { from: string; fraction: number }[] | undefined, ms: number): number {
  return (open ?? []).reduce((f, s) => (ms >= Date.parse(s.from) ? s.fraction : f), 0);
}

export function tryStack(request: TryRequest): TryResult {
  const started = performance.now();
  const ready = preparedFor(request.site, [request.weather]);
  const weather = ready.members[0]!;
  const { calibration, among, others } = request;
  const placed = <T>(own: T, rest: T[]) => [...rest.slice(0, among), own, ...rest.slice(among)];
  const initial = placed(
    soils(request.initial),
    others.map((o) => soils(o.initial)),
  );
  const under = (spec: BedSpec) => {
    const specs = placed(
      spec,
      others.map((o) => o.spec),
    );
    const outside = outsideFor(ready, specs[0]!.ground, calibration, initial[0])[0]!;
    return runHouse(specs, weather, { initial, calibration, outside, books: true }).beds[among]!;
  };
  const { wax } = request;
  const run = wax
    ? runWithWax(
        (open) => under(withOpen(request.spec, wax.layer, open)),
        wax.layer,
        wax.openings,
        request.spec.stack[wax.layer]!.ventAreaM2 ?? 0,
        (ms) => fractionAt(request.spec.stack[wax.layer]!.open, ms),
      )
    : under(request.spec);
  const leafC = [...run.leafC].map((c) => c + request.middleK);
  const k = soilProps(request.spec.ground).conductivityWmK;
  const from = Math.max(
    0,
    run.entryAtMs.findIndex((t) => t >= request.countFromAtMs),
  );
  let minIndex = from;
  let maxIndex = from;
  let frozenH = 0;
  run.entryAtMs.forEach((ms, i) => {
    if (i < from) return;
    if (ms <= request.nightToAtMs) {
      if (leafC[i]! < leafC[minIndex]!) minIndex = i;
      if (leafC[i]! < 0) frozenH += 1;
    }
    if (run.canopyAirC[i]! > run.canopyAirC[maxIndex]!) maxIndex = i;
  });
  const night = run.entryAtMs.filter((ms) => ms <= request.nightToAtMs + 3 * HOUR_MS);
  const thawAtMs = thawedAtMs(night, leafC, from);
  return {
    timesAtMs: run.entryAtMs,
    outsideC: [...run.outsideC],
    skyC: [...run.skyC],
    leafC,
    canopyC: [...run.canopyAirC],
    layersC: run.layerAirC.map((l) => [...l]),
    soil0C: [...run.soilC[0]],
    soil5C: [...run.soilC[1]],
    soil10C: [...run.soilC[2]],
    soil30C: [...run.soilC[3]],
    soilGivesWm2: run.entryAtMs.map((_, i) => (k * (run.soilC[1][i]! - run.soilC[0][i]!)) / 0.05),
    humidity: [...run.humidity],
    flows: [[], ...run.flows.map(flowLines)],
    minLeafC: leafC[minIndex]!,
    minIndex,
    maxIndex,
    frozenH,
    thawAtMs,
    sunWm2: [...run.sunWm2],
    sunDeg: run.entryAtMs.map(
      (ms) =>
        90 -
        (Math.acos(sunPosition(ms, request.site.latitude, request.site.longitude).cosZenith) * 180) / Math.PI,
    ),
    ms: performance.now() - started,
  };
}

declare const WorkerGlobalScope: unknown;
if (typeof WorkerGlobalScope !== 'undefined') Comlink.expose({ tryStack });
