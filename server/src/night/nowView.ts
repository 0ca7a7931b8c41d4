/** The first screen: what must I do until tomorrow noon? */
import type { ClockView, NowView, PlanProgress, RoundItem } from '@fogata/contract';
import {
  bandOf,
  closingSentence,
  cropOf,
  HEAVY_KG,
  HOUR_MS,
  isIndoors,
  morningSentence,
  nightSentence,
  NOTHING_STANDS,
  type Lack,
  type Parted,
  said,
  type Said,
  type Phrase,
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
import { doubtSaid, evidenceOf, movedSaid, spotsOf, toMoney } from './nowWords';

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

function cautionsOf(plan: NightPlan, weather: NightWeather): Said[] {
  const out: Said[] = [];
  if (plan.centre.some((e) => e.windMs > 9)) out.push(said('caution.wind'));
  if (plan.centre.some((e) => (e.snowMm ?? 0) > 0 && Date.parse(e.time) > plan.nowAtMs))
    out.push(said('caution.snow'));
  const hot = plan.beds.some((b) => {
    const o = asIsOutcome(b);
    return o.layersC.some((layer) =>
      layer.mid.some((c, i) => c > 28 && b.outcome.timesAtMs[i]! > plan.nowAtMs),
    );
  });
  if (hot) out.push(said('caution.noon'));
  const heavy = plan.beds.filter(
    (b) =>
      (b.bed.crates?.kgEach ?? 0) > HEAVY_KG &&
      (b.options.find((o) => o.key === b.chosen)?.covers ?? b.on).some(isIndoors),
  );
  if (heavy.length > 0) out.push(said('caution.heavy', { beds: heavy.map((b) => b.bed.name) }));
  if (weather.lowC.mid < 0) out.push(said('caution.ice'));
  return out;
}

/** What an upturned pot is worth to a single plant for some hours of a still night, K: starting value. */
const TO_HAND_K = 2;

/** What is at risk all the same, and what anybody has for single plants where sheets do not reach. */
function remaining(plan: NightPlan): Said[] {
  const lines = plan.beds
    .map((b) => ({ b, row: placeRow(plan, b), left: b.loss[b.chosen]! }))
    .filter((x) => x.row.harmChance > 0.12)
    .sort((a, b) => b.left - a.left)
    .slice(0, 4)
    .map(({ b, row, left }) =>
      said('risk.bed', {
        bed: b.bed.name,
        crop: row.crop,
        harmTenths: Math.round(row.harmChance * 10),
        sure: row.harmChance >= 0.95,
        money: left,
      }),
    );
  return lines.length > 0 ? [...lines, said('risk.toHand', { k: TO_HAND_K })] : [];
}

/** Beds that stay covered this morning, and why. */
function staying(plan: NightPlan): Said[] {
  return keptOn(plan).map((b) => {
    const bed = b.bed.name;
    const worst = b.atRisk.reduce((x, a) => (a.thresholds.harmC > x.thresholds.harmC ? a : x));
    const { bareC } = b.lift!;
    const { harmC } = worst.thresholds;
    if (thawAtMs(b) === Infinity && bareC > harmC) return said('stay.frozen', { bed });
    return said('stay.harmed', { bed, bareC, crop: cropOf(worst.planting).name, harmC });
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

function sentenceOf(plan: NightPlan, w: NightWeather): Phrase[] {
  const jobs = jobsOf(plan);
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
    return morningSentence({
      liftAtMs: times.length > 0 ? Math.ceil(Math.max(...times) / 600_000) * 600_000 : null,
      keep: keptOn(plan).map((b) => b.bed.name),
      frozen,
      coversOn: covered,
      known: nightKnown(plan),
      lowC: lowOutside(plan),
      nowAtMs: plan.nowAtMs,
    });
  }
  if (plan.phase === 'night') {
    const rows = plan.beds.map((b) => placeRow(plan, b)).sort((a, b) => a.marginK - b.marginK);
    const now = plan.centre.find((e) => Date.parse(e.time) >= plan.nowAtMs - HOUR_MS)!;
    const first = rows[0];
    return nightSentence({
      nowC: now.airC,
      lowC: w.lowC.mid,
      lowAtMs: w.lowAtMs,
      closest: first ? { name: first.name, leafC: first.leafC.mid, marginK: first.marginK } : null,
    });
  }
  const todo = jobs.filter((j) => !j.done);
  const fresh = plan.beds.filter((b) =>
    (b.options.find((o) => o.key === b.chosen)?.covers ?? []).some((c) => !b.on.includes(c)),
  );
  return closingSentence({
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
  });
}

export const EMPTY_SENTENCE: Phrase[] = [{ text: said('now.empty'), tone: 'plain' }];
const COMPUTING: Phrase[] = [{ text: said('now.computing'), tone: 'plain' }];

/** What is lacking, in one sentence. */
function lackSentence(lack: Lack, clock: ClockView): Phrase[] {
  const ask: Phrase = { text: said('lack.tell'), tone: 'ember' };
  const morning = clock.phase === 'morning';
  if (lack.why === 'none')
    return [{ text: said('lack.none', { of: morning ? 'morning' : 'tonight' }), tone: 'plain' }, ask];
  const { fromAtMs, toAtMs } = lack;
  if (lack.why === 'late' && morning) return [{ text: said('lack.morning', { fromAtMs }), tone: 'plain' }];
  const forecast = lack.source === 'typed' ? said('lack.typed') : said('lack.named', { name: lack.name });
  const text = {
    past: said('lack.past', { forecast, toAtMs }),
    short: said('lack.short', { forecast, toAtMs }),
    late: said('lack.late', { forecast, fromAtMs }),
  }[lack.why];
  return [{ text, tone: 'plain' }, ask];
}

function openingOf(progress: PlanProgress, clock: ClockView): Phrase[] {
  if (progress.state === 'empty') return EMPTY_SENTENCE;
  return progress.state === 'waiting' && progress.lack ? lackSentence(progress.lack, clock) : COMPUTING;
}

export function nowView(
  clock: ClockView,
  progress: PlanProgress,
  plan: NightPlan | null,
  rounds: RoundItem[],
  partial: NightPlan | null = null,
  parted: Parted | null = null,
): NowView {
  const base: NowView = {
    clock,
    progress,
    sentence: openingOf(progress, clock),
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
    sentence: sentenceOf(plan, w),
    evidence: evidenceOf(plan, w),
    night: {
      ...w,
      issuedAtMs: plan.issuedAtMs,
      name: plan.forecastName,
      source: plan.source,
      doubt: doubtSaid(plan),
      moved: parted && movedSaid(parted),
    },
    money: toMoney(plan),
    atRisk: plan.phase === 'morning' ? staying(plan) : remaining(plan),
    jobs: jobsOf(plan),
    places,
    ribbon: first ? ribbonOf(plan, first) : null,
    cautions: cautionsOf(plan, w),
    spots: spotsOf(plan),
  };
}
