/** The first screen: what must I do until tomorrow noon? */
import type { ClockView, NowView, PlanProgress, RoundItem } from '@fogata/contract';
import {
  bandOf,
  clockText,
  closingSentence,
  cropOf,
  dayText,
  differenceText,
  HEAVY_KG,
  HOUR_MS,
  isIndoors,
  joined,
  moneyText,
  morningSentence,
  nightSentence,
  NOTHING_STANDS,
  temperatureText,
  type Lack,
  type Parted,
  type Segment,
  type Style,
} from '@fogata/core';
import {
  jobsOf,
  keptOn,
  asIsOutcome,
  lowSoFar,
  nightKnown,
  sundownAtMs,
  thawAtMs,
  type NightPlan,
  type PlannedBed,
} from '@fogata/core/planning';
import { placeRow, ribbonOf } from './glyph';
import { doubtWords, evidenceOf, movedWords, spotsOf, toMoney } from './nowWords';

export interface NightWeather {
  lowC: { low: number; mid: number; high: number };
  lowAtMs: number;
  cloud: number;
  windMps: number;
}

/** Lowest outside from now to noon, with the sky in the six hours before it. */
export function nightWeather(plan: NightPlan): NightWeather {
  const { members } = plan;
  const inNight = (ms: number) => ms >= plan.nowAtMs - HOUR_MS && ms <= plan.window.toAtMs;
  const lows = members.map((m) =>
    Math.min(...m.filter((e) => inNight(Date.parse(e.time))).map((e) => e.airC)),
  );
  const centre = plan.centre.filter((e) => inNight(Date.parse(e.time)));
  const lowest = centre.reduce((a, b) => (b.airC < a.airC ? b : a));
  const lowAtMs = Date.parse(lowest.time);
  const before = centre.filter(
    (e) => Date.parse(e.time) >= lowAtMs - 6 * HOUR_MS && Date.parse(e.time) <= lowAtMs,
  );
  const mean = (f: (e: (typeof centre)[number]) => number) =>
    before.reduce((s, e) => s + f(e), 0) / before.length;
  // what the forecast says stands in the middle, as it was said; the members only say how far it may be off
  const band = bandOf(lows, 0);
  const mid = lowest.airC;
  return {
    lowC: { low: Math.min(band.low, mid), mid, high: Math.max(band.high, mid) },
    lowAtMs,
    cloud: mean((e) => e.cloudFraction),
    windMps: mean((e) => e.windMs),
  };
}

function cautionsOf(plan: NightPlan, weather: NightWeather): string[] {
  const out: string[] = [];
  if (plan.centre.some((e) => e.windMs > 9))
    out.push('Wind: weight or lash every cover before dark, and keep lids and glass from flying.');
  if (plan.centre.some((e) => (e.snowMm ?? 0) > 0 && Date.parse(e.time) > plan.nowAtMs)) {
    out.push(
      'Snow is forecast. Only the maker’s rating says what a structure holds; do not go in under a loaded roof.',
    );
  }
  const hot = plan.beds.some((b) => {
    const o = asIsOutcome(b);
    return o.layersC.some((layer) =>
      layer.mid.some((c, i) => c > 28 && b.outcome.timesAtMs[i]! > plan.nowAtMs),
    );
  });
  if (hot)
    out.push(
      'A closed house will be hot for crops and people by midday. Open in time, and do not work in it alone.',
    );
  const heavy = plan.beds.filter(
    (b) =>
      (b.bed.crates?.kgEach ?? 0) > HEAVY_KG &&
      (b.options.find((o) => o.key === b.chosen)?.covers ?? b.on).some(isIndoors),
  );
  if (heavy.length > 0)
    out.push(
      `Crates of ${joined(heavy.map((b) => b.bed.name))} are heavy: carry them by two, on a clear path.`,
    );
  if (weather.lowC.mid < 0)
    out.push(
      'Ice on paths and lids in the morning. Any heater under cover needs ventilation and a carbon monoxide alarm.',
    );
  return out;
}

/** What an upturned pot is worth to a single plant for some hours of a still night, K: starting value. */
const TO_HAND_K = 2;

/** What anybody has for single plants, where sheets do not reach. */
function toHand(style: Style): string {
  const k = differenceText(TO_HAND_K, style.units.temperature).replace('+', '');
  return `For the best single plants: an upturned pot, a jug without its bottom, a tarp held off the leaves. Worth about ${k} for some hours (a starting value); off again once it thaws.`;
}

function remaining(plan: NightPlan, style: Style): string[] {
  const lines = plan.beds
    .map((b) => ({ b, row: placeRow(plan, b), left: b.loss[b.chosen]! }))
    .filter((x) => x.row.harmChance > 0.12)
    .sort((a, b) => b.left - a.left)
    .slice(0, 4)
    .map(({ b, row, left }) => {
      const nights = row.harmChance >= 0.95 ? 'almost surely' : `${Math.round(row.harmChance * 10)} in 10`;
      return `${b.bed.name}, ${row.crop}: ${row.harmChance < 0.95 ? `harm in ${nights} outcomes` : `harm ${nights}`}${left >= 1 ? `, about ${moneyText(left, style.currency)}` : ''}`;
    });
  return lines.length > 0 ? [...lines, toHand(style)] : [];
}

/** Beds that stay covered this morning, and why. */
function staying(plan: NightPlan, style: Style): string[] {
  const t = (c: number) => temperatureText(c, style.units.temperature, 1);
  return keptOn(plan).map((b) => {
    const worst = b.atRisk.reduce((x, a) => (a.thresholds.harmC > x.thresholds.harmC ? a : x));
    const crop = cropOf(worst.planting).name;
    if (thawAtMs(b) === Infinity && b.lift!.bareC > worst.thresholds.harmC)
      return `Leave ${b.bed.name} covered: its leaves do not thaw this morning.`;
    return `Leave ${b.bed.name} covered: its leaves would come to ${t(b.lift!.bareC)}, and ${crop} is harmed below ${t(worst.thresholds.harmC)}.`;
  });
}

/** Hours of this night, up to now, in which the model has the bed's leaves below freezing. */
function frozenHours(b: PlannedBed, plan: NightPlan): number {
  const { timesAtMs, leafC } = b.outcome.past;
  if (lowSoFar(plan, b) === null) return 0;
  return timesAtMs.filter((t, i) => t >= plan.window.fromAtMs && t < plan.nowAtMs && leafC[i]! < 0).length;
}

/** The night's lowest outside, as it was; null where nobody knows it. */
function lowOutside(plan: NightPlan): number | null {
  const was = plan.history.filter((e) => Date.parse(e.time) >= sundownAtMs(plan));
  return was.length > 0 && nightKnown(plan) ? Math.min(...was.map((e) => e.airC)) : null;
}

function sentenceOf(plan: NightPlan, w: NightWeather, style: Style): Segment[] {
  const jobs = jobsOf(plan, style);
  if (plan.phase === 'morning') {
    // what the night did, the worst first
    const frozen = plan.beds
      .map((b) => ({ name: b.bed.name, hours: frozenHours(b, plan), marginK: placeRow(plan, b).marginK }))
      .filter((f) => f.hours > 0)
      .sort((a, b) => a.marginK - b.marginK);
    const covered = plan.beds.some((b) => b.on.length > 0);
    // the sentence says what the jobs say: the last of them, and what has none
    const due = jobs.filter((j) => j.kind === 'lift' && !j.done).map((j) => j.dueAtMs);
    const bare = plan.beds.map(thawAtMs).filter((t): t is number => t !== null);
    const times = covered ? due : bare;
    return morningSentence(
      {
        liftAtMs: times.length > 0 ? Math.ceil(Math.max(...times) / 600_000) * 600_000 : null,
        keep: keptOn(plan).map((b) => b.bed.name),
        frozen,
        coversOn: covered,
        known: nightKnown(plan),
        lowC: lowOutside(plan),
        nowAtMs: plan.nowAtMs,
      },
      style,
    );
  }
  if (plan.phase === 'night') {
    const rows = plan.beds.map((b) => placeRow(plan, b)).sort((a, b) => a.marginK - b.marginK);
    const now = plan.centre.find((e) => Date.parse(e.time) >= plan.nowAtMs - HOUR_MS)!;
    const first = rows[0];
    return nightSentence(
      {
        nowC: now.airC,
        lowC: w.lowC.mid,
        lowAtMs: w.lowAtMs,
        closest: first ? { name: first.name, leafC: first.leafC.mid, marginK: first.marginK } : null,
      },
      style,
    );
  }
  const todo = jobs.filter((j) => !j.done);
  const fresh = plan.beds.filter((b) =>
    (b.options.find((o) => o.key === b.chosen)?.covers ?? []).some((c) => !b.on.includes(c)),
  );
  return closingSentence(
    {
      lowC: w.lowC.mid,
      lowAtMs: w.lowAtMs,
      cloud: w.cloud,
      windMps: w.windMps,
      bedsToCover: fresh.length,
      secondLayers: fresh.filter((b) => b.structure.kind !== 'open' || b.on.length > 0).length,
      firstDueAtMs:
        todo
          .filter((j) => j.kind === 'cover')
          .map((j) => j.dueAtMs)
          .sort((a, b) => a - b)[0] ??
        todo[0]?.dueAtMs ??
        null,
      done: jobs.filter((j) => j.done).length,
      toClose: todo.filter((j) => j.kind === 'close').length,
    },
    style,
  );
}

export const EMPTY_SENTENCE: Segment[] = [
  {
    text: 'Nothing stands in a bed yet. Add a structure, a bed and a planting, and the night can be worked out.',
    tone: 'plain',
  },
];
const COMPUTING: Segment[] = [{ text: 'Working out the night…', tone: 'plain' }];

/** What is lacking, in one sentence. */
function lackSentence(lack: Lack, clock: ClockView, style: Style): Segment[] {
  const ask: Segment = { text: 'Tell it what yours says.', tone: 'ember' };
  const when = (ms: number) => `${dayText(ms, style.timeZone)} ${clockText(ms, style)}`;
  if (lack.why === 'none')
    return [
      {
        text: `There is no forecast for ${clock.phase === 'morning' ? 'this morning and what comes' : 'tonight'}. `,
        tone: 'plain',
      },
      ask,
    ];
  if (lack.why === 'late' && clock.phase === 'morning')
    return [
      {
        text: `No forecast says anything of this morning; tonight’s begins ${clockText(lack.fromAtMs, style)}.`,
        tone: 'plain',
      },
    ];
  const name = lack.source === 'typed' ? 'The forecast that was typed' : `The forecast “${lack.name}”`;
  const words = {
    past: `${name} ended ${when(lack.toAtMs)}. `,
    short: `${name} ends ${when(lack.toAtMs)}, before the night does. `,
    late: `${name} begins only ${when(lack.fromAtMs)}. `,
  }[lack.why];
  return [{ text: words, tone: 'plain' }, ask];
}

function openingOf(progress: PlanProgress, clock: ClockView, style: Style): Segment[] {
  if (progress.state === 'empty') return EMPTY_SENTENCE;
  return progress.state === 'waiting' && progress.lack
    ? lackSentence(progress.lack, clock, style)
    : COMPUTING;
}

export function nowView(
  clock: ClockView,
  progress: PlanProgress,
  plan: NightPlan | null,
  rounds: RoundItem[],
  style: Style,
  partial: NightPlan | null = null,
  parted: Parted | null = null,
): NowView {
  const base: NowView = {
    clock,
    progress,
    sentence: openingOf(progress, clock, style),
    evidence: '',
    night: null,
    money: null,
    atRisk: [],
    jobs: [],
    places: [],
    ribbon: null,
    rounds,
    who: {},
    leftOn: [],
    spots: [],
    storm: [],
    cautions: [],
    standing: NOTHING_STANDS,
  };
  if (!plan) {
    // bed by bed, as they stand
    const places = (partial?.beds ?? [])
      .map((b) => placeRow(partial!, b))
      .sort((a, b) => a.marginK - b.marginK);
    return { ...base, places };
  }
  if (plan.beds.length === 0) return base;
  const w = nightWeather(plan);
  const places = plan.beds.map((b) => placeRow(plan, b)).sort((a, b) => a.marginK - b.marginK);
  const first = plan.beds.find((b) => b.bed.id === places[0]?.bedId);
  return {
    ...base,
    sentence: sentenceOf(plan, w, style),
    evidence: evidenceOf(plan, w, style),
    night: {
      ...w,
      issuedAtMs: plan.issuedAtMs,
      name: plan.forecastName,
      source: plan.source,
      doubt: doubtWords(plan, style),
      moved: parted && movedWords(parted, style),
    },
    money: toMoney(plan),
    atRisk: plan.phase === 'morning' ? staying(plan, style) : remaining(plan, style),
    jobs: jobsOf(plan, style),
    places,
    ribbon: first ? ribbonOf(plan, first, style) : null,
    cautions: cautionsOf(plan, w),
    spots: spotsOf(plan, style),
  };
}
