/**
 * One bed, one night: what each combination of covers leads to under every member of the forecast. This is the unit of
 * work that the server's threads take; plain data in and out.
 */
import { prepareWeather, type PreparedWeather } from '../heat/prepare';
import type { LyingSnow, SoilState } from '../heat/carry';
import { runOutside } from '../heat/outside';
import { runBed, type BedRun } from '../heat/run';
import type { OutsideTrace } from '../heat/work';
import type { BedSpec, Calibration, Site, WeatherEntry } from '../heat/types';
import { BOOK_BELIEF, drawFactors, REST_ERROR_K, type Belief } from '../calibration/belief';

export interface BedTask {
  site: Site;
  /** The last days as they were, up to the hour the members start. */
  history: WeatherEntry[];
  /** The bed as it was covered through those days. */
  historySpec: BedSpec;
  members: WeatherEntry[][];
  /** `structureLayer` is the place of the house, frame or tunnel in the stack, −1 in the open. */
  options: { key: string; spec: BedSpec; structureLayer: number }[];
  /** What is believed of the place's factors; the book's where it is left out. */
  belief?: Belief;
  /** What the bed's corner adds to its leaf, K; the thermometer hangs elsewhere. */
  zoneOffsetC?: number;
  /** Only what happens from here on counts for the minimum, epoch ms. */
  countFromMs: number;
}

export interface Band {
  low: number[];
  mid: number[];
  high: number[];
}

export interface OptionOutcome {
  key: string;
  /** Lowest leaf temperature of each member, °C, and when. */
  minLeafC: number[];
  minAtMs: number;
  /** Lowest air in the structure itself where its thermometer hangs, each member, °C; empty in the open. */
  structureMinC: number[];
  /** When the leaves have thawed, each member, epoch ms; null where they never froze. */
  thawMs: (number | null)[];
  hoursFrozen: number;
  leafC: Band;
  /** Air in each layer from the outermost; NaN while it is off. */
  layersC: Band[];
  /** Soil at 5 cm, median member. */
  soilC: number[];
  humidity: number[];
}

export interface BedOutcome {
  timesMs: number[];
  outsideC: Band;
  skyC: number[];
  initial: SoilState;
  /** The last day as the model has it under the covers that were on, hour by hour up to the start. */
  past: { timesMs: number[]; outsideC: number[]; leafC: number[]; soilC: number[] };
  options: OptionOutcome[];
}

/** Sorted sample quantile by linear interpolation. */
export function quantile(sorted: readonly number[], q: number): number {
  const x = (sorted.length - 1) * q;
  const i = Math.floor(x);
  const a = sorted[i]!;
  const b = sorted[Math.min(i + 1, sorted.length - 1)]!;
  return a + (x - i) * (b - a);
}

/** Where 10 and 90 % of all outcomes lie, judged from a few: a sample's own tenths hold too little (Weibull's (n + 1) q). */
function outer(sorted: readonly number[], q: number): number {
  const n = sorted.length;
  return quantile(sorted, n < 2 ? q : Math.min(1, Math.max(0, ((n + 1) * q - 1) / (n - 1))));
}

/** Middle and 80 % band of members, widened by an error of `extraK` that the members do not hold. */
export function bandOf(values: number[], extraK: number): { low: number; mid: number; high: number } {
  const sorted = Float64Array.from(values).sort() as unknown as number[];
  const mid = quantile(sorted, 0.5);
  const low = outer(sorted, 0.1);
  const high = outer(sorted, 0.9);
  const half = (high - low) / 2;
  const extra = 1.2816 * extraK;
  const wide = half > 1e-6 ? Math.sqrt(half * half + extra * extra) / half : 1;
  if (half <= 1e-6) return { low: mid - extra, mid, high: mid + extra };
  return {
    low: mid + (low - mid) * wide,
    mid,
    high: mid + (high - mid) * wide,
  };
}

/** First hour after the coldest at which leaves that froze stay above +0.5 °C, epoch ms; null where they never froze. */
export function thawTimeMs(
  timesMs: readonly number[],
  leafC: ArrayLike<number>,
  fromIndex = 0,
): number | null {
  let last = -1;
  for (let i = fromIndex; i < timesMs.length; i++) if (leafC[i]! < -0.2) last = i;
  if (last < 0) return null;
  for (let i = last + 1; i < timesMs.length; i++) {
    const a = leafC[i - 1]!;
    const b = leafC[i]!;
    if (b >= 0.5) {
      const f = b === a ? 1 : Math.min(1, Math.max(0, (0.5 - a) / (b - a)));
      return timesMs[i - 1]! + f * (timesMs[i]! - timesMs[i - 1]!);
    }
  }
  return timesMs[timesMs.length - 1]!;
}

interface Prepared {
  key: string;
  history: PreparedWeather;
  members: PreparedWeather[];
  outside: Map<
    string,
    { history: OutsideTrace & { end: Float64Array; endSnow?: LyingSnow }; members: OutsideTrace[] }
  >;
}

let held: Prepared | null = null;

function prepared(task: BedTask): Prepared {
  const m0 = task.members[0]!;
  const key = JSON.stringify([
    task.site,
    task.history.length,
    m0,
    task.members.length,
    task.history[0],
    task.history.at(-1),
  ]);
  if (held?.key !== key) {
    held = {
      key,
      history: prepareWeather(task.site, task.history, 1200),
      members: task.members.map((m) => prepareWeather(task.site, m, 1200)),
      outside: new Map(),
    };
  }
  return held;
}

function outsideOf(p: Prepared, task: BedTask) {
  const { ground } = task.historySpec;
  const mean = (task.belief ?? BOOK_BELIEF).mean;
  const key = JSON.stringify([ground.texture, ground.wetness, ground.deepC, mean.soilExchange]);
  let found = p.outside.get(key);
  if (!found) {
    const history = runOutside(p.history, ground, mean);
    found = {
      history,
      members: p.members.map((m) => runOutside(m, ground, mean, history.end, 1, history.endSnow)),
    };
    p.outside.set(key, found);
  }
  return found;
}

function inZone(c: Calibration, task: BedTask): Calibration {
  return { ...c, zoneOffsetC: c.zoneOffsetC + (task.zoneOffsetC ?? 0) };
}

/** The bed through the days that were, under the covers that were on: its soil now, and its last day. */
function pastOf(p: Prepared, task: BedTask): { initial: SoilState; past: BedOutcome['past'] } {
  const run = runBed(task.historySpec, p.history, {
    calibration: inZone((task.belief ?? BOOK_BELIEF).mean, task),
    outside: outsideOf(p, task).history,
    audit: false,
  });
  const from = Math.max(0, run.entryMs.length - 25);
  return {
    initial: { ...run.end, outside: outsideOf(p, task).history.end },
    past: {
      timesMs: run.entryMs.slice(from),
      outsideC: [...run.outsideC.subarray(from)],
      leafC: [...run.leafC.subarray(from)],
      soilC: [...run.soilC[1].subarray(from)],
    },
  };
}

const medianOf = (values: number[]) =>
  quantile(
    [...values].sort((a, b) => a - b),
    0.5,
  );

/** The members' band at every hour. */
function bandSeries(members: ArrayLike<number>[], extraK: number): Band {
  const band: Band = { low: [], mid: [], high: [] };
  for (let i = 0; i < members[0]!.length; i++) {
    const b = bandOf(
      members.map((m) => m[i]!),
      extraK,
    );
    band.low.push(b.low);
    band.mid.push(b.mid);
    band.high.push(b.high);
  }
  return band;
}

function lowest(series: Float64Array, from: number): number {
  let min = Infinity;
  for (let i = from; i < series.length; i++) if (series[i]! < min) min = series[i]!;
  return min;
}

function outcome(
  key: string,
  runs: BedRun[],
  offsets: number[],
  from: number,
  structureLayer: number,
): OptionOutcome {
  const times = runs[0]!.entryMs;
  const minLeafC: number[] = [];
  const minAt: number[] = [];
  const thawMs: (number | null)[] = [];
  let frozen = 0;
  for (const run of runs) {
    let min = Infinity;
    let at = from;
    for (let i = from; i < times.length; i++) {
      if (run.leafC[i]! < min) {
        min = run.leafC[i]!;
        at = i;
      }
      if (run.leafC[i]! < 0) frozen += 1 / runs.length;
    }
    minLeafC.push(min);
    minAt.push(times[at]!);
    thawMs.push(thawTimeMs(times, run.leafC, from));
  }
  const series = (pick: (r: BedRun) => Float64Array) => bandSeries(runs.map(pick), REST_ERROR_K);
  return {
    key,
    minLeafC,
    minAtMs: medianOf(minAt),
    structureMinC:
      structureLayer < 0 ? [] : runs.map((r, m) => lowest(r.layerAirC[structureLayer]!, from) + offsets[m]!),
    thawMs,
    hoursFrozen: frozen,
    leafC: series((r) => r.leafC),
    layersC: runs[0]!.layerAirC.map((_, l) => series((r) => r.layerAirC[l]!)),
    soilC: times.map((_, i) => medianOf(runs.map((r) => r.soilC[1][i]!))),
    humidity: times.map((_, i) => medianOf(runs.map((r) => r.humidity[i]!))),
  };
}

/** Runs every option under every member. `onOption` is told how many of them are done. */
export function evaluateBed(task: BedTask, onOption?: (done: number) => void): BedOutcome {
  const p = prepared(task);
  const { initial, past } = pastOf(p, task);
  const outside = outsideOf(p, task).members;
  const factors = drawFactors(task.belief ?? BOOK_BELIEF, p.members.length);
  const times = p.members[0]!.entryMs;
  const from = Math.max(
    0,
    times.findIndex((t) => t >= task.countFromMs),
  );
  const options = task.options.map((option, n) => {
    const runs = p.members.map((weather, m) =>
      runBed(option.spec, weather, {
        calibration: inZone(factors[m]!, task),
        initial,
        outside: outside[m]!,
        audit: false,
      }),
    );
    onOption?.(n + 1);
    return outcome(
      option.key,
      runs,
      factors.map((f) => f.zoneOffsetC),
      from,
      option.structureLayer,
    );
  });
  return {
    timesMs: times,
    outsideC: bandSeries(
      task.members.map((m) => m.map((e) => e.airC)),
      0,
    ),
    skyC: times.map((_, i) =>
      medianOf(p.members.map((m) => Math.pow(m.skyWm2[i * m.stepsPerEntry]! / 5.670374e-8, 0.25) - 273.15)),
    ),
    initial,
    past,
    options,
  };
}

/** A bed's work cut into `parts`, option by option in turn, so that several threads reach its answer sooner. */
export function splitTask(task: BedTask, parts: number): BedTask[] {
  const n = Math.max(1, Math.min(parts, Math.floor(task.options.length / 3)));
  return Array.from({ length: n }, (_, p) => ({
    ...task,
    options: task.options.filter((_o, i) => i % n === p),
  }));
}

/** The parts' answers as one, options in the order of the whole task. */
export function joinOutcomes(task: BedTask, parts: readonly BedOutcome[]): BedOutcome {
  const found = new Map(parts.flatMap((p) => p.options.map((o) => [o.key, o] as const)));
  return { ...parts[0]!, options: task.options.map((o) => found.get(o.key)!) };
}

/**
 * The latest time, out of `candidatesMs`, at which the covers can go on and still leave the leaf within 0.3 K of what
 * the first of them gives, under the forecast's centre. `specAt` builds the bed with the covers on from that time.
 */
export function latestCoverMs(
  task: BedTask,
  initial: SoilState,
  specs: { fromMs: number; spec: BedSpec }[],
): { dueMs: number; lostK: number } {
  const p = prepared(task);
  const outside = outsideOf(p, task).members[0]!;
  const minima = specs.map(({ spec }) => {
    const run = runBed(spec, p.members[0]!, {
      calibration: inZone((task.belief ?? BOOK_BELIEF).mean, task),
      initial,
      outside,
      audit: false,
    });
    return run.minLeafC;
  });
  const best = Math.max(...minima);
  let due = 0;
  minima.forEach((min, i) => {
    if (min >= best - 0.3) due = i;
  });
  return { dueMs: specs[due]!.fromMs, lostK: best - minima[minima.length - 1]! };
}
