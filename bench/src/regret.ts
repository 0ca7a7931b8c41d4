/**
 * What not knowing the weather costs. On stand-in nights an evening is decided by the forecast and then run under the weather that came: by the plan; by one
 * who knew that weather; by doing nothing; by a rule of degrees a layer; by a sheet on everything where frost is said. The same farm, stock, hands,
 * engine and prices for all of them: it measures the deciding, not the engine.
 */
import { applyAll, ensemble, workCost, type CoverOption, type WeatherEntry } from '@fogata/core';
import { begin, nightAt, type NightPlan, type PlannedBed, type Workers } from '@fogata/core/planning';
import { forecastCentre, lastIssueAtMs, trueHours } from '@fogata/core/standins';
import { setMaxListeners } from 'node:events';
import { join } from 'node:path';
import { beds, cover, farm, plantings, site, structures } from './nights';
import { startThreads } from './threads';

const HOUR = 3_600_000;
const NIGHTS = 30;
const MEMBERS = 20;
/** Steps that spread nights evenly over what they may be: fractions of the plastic number. */
const PHI = [0.7549, 0.5698, 0.4302, 0.3247];
/** What the rule takes a layer to be worth, K. */
const LAYER_K = 2.5;

const data = {
  farm,
  structures: structures.slice(0, 2),
  beds: beds.slice(0, 12),
  plantings: plantings.slice(0, 12),
  covers: [
    cover('fleece-30', 'fleece-30', 6, 'hoops', 6),
    cover('fleece-50', 'fleece-50', 3, 'hoops', 7),
    cover('blanket', 'frost-blanket', 2, 'hoops', 9),
    cover('flat', 'fleece-17', 3, 'flat', 4),
  ],
};

interface StandInNight {
  nowAtMs: number;
  history: WeatherEntry[];
  truth: WeatherEntry[];
  members: WeatherEntry[][];
}

/** A winter evening with its true weather and a forecast that is as wrong as forecasts are: cold, mild, clear and dull ones. */
function standIn(n: number): StandInNight {
  const u = (channel: number) => ((n + 0.5) * PHI[channel - 1]!) % 1;
  const nowAtMs = Date.parse('2027-01-04T14:00:00Z') + n * 24 * HOUR;
  const world = {
    seed: 100 + n,
    site,
    episodes: [
      {
        fromAtMs: nowAtMs - 24 * HOUR,
        toAtMs: nowAtMs + 48 * HOUR,
        meanC: -5 + 10 * u(1),
        cloud: 0.05 + 0.8 * u(2),
        windMs: 0.8 + 2 * u(3),
        drynessK: 3 + 3 * u(4),
      },
    ],
  };
  const truth = trueHours(world, nowAtMs - HOUR, nowAtMs + 40 * HOUR);
  const issueAtMs = lastIssueAtMs(nowAtMs);
  const centre = forecastCentre(world.seed, issueAtMs, truth);
  return {
    nowAtMs,
    history: trueHours(world, nowAtMs - 5 * 24 * HOUR, nowAtMs),
    truth,
    members: ensemble(world.seed, issueAtMs, centre, MEMBERS),
  };
}

type Words = ReadonlyMap<string, string>;

/** The evening under these members, with a word for each bed where it is given. */
async function evening(
  night: StandInNight,
  members: WeatherEntry[][],
  workers: Workers,
  words: Words = new Map(),
): Promise<NightPlan> {
  const at = nightAt(night.nowAtMs, farm);
  const between = (list: WeatherEntry[], fromAtMs: number, toAtMs: number) =>
    list.filter((e) => Date.parse(e.time) >= fromAtMs && Date.parse(e.time) <= toAtMs);
  const past = between(night.history, at.pastAtMs, at.hourAtMs);
  const said = [...words].map(([bedId, key]) => ({
    kind: 'decision',
    id: bedId,
    atMs: night.nowAtMs,
    night: at.window.night,
    bedId,
    key,
    verdict: 'changed' as const,
  }));
  const { signal } = new AbortController();
  setMaxListeners(0, signal);
  return begin({
    data,
    state: applyAll(said),
    nowAtMs: night.nowAtMs,
    at,
    weather: {
      past: { hours: past, worth: past.map(() => 'measured' as const) },
      members: members.map((m) => between(m, at.hourAtMs, at.endAtMs)),
      ahead: between(members[0]!, at.hourAtMs, at.aheadAtMs),
      issuedAtMs: night.nowAtMs,
      name: 'stand-in',
      source: 'file',
    },
    background: { means: new Map(), deepC: 8 },
    beliefs: new Map(),
  }).run(workers, signal);
}

const wordsOf = (plan: NightPlan): Words => new Map(plan.beds.map((b) => [b.bed.id, b.chosen]));

/** What an evening comes to under the weather that came: what is lost and the work, in the farm's money. */
function costOf(plan: NightPlan, words: Words): number {
  return plan.beds.reduce((sum, b) => {
    if (b.chosen !== words.get(b.bed.id))
      throw new Error(`${b.bed.name} is under ${b.chosen}, not as it was said`);
    const { pieces } = b.options.find((o) => o.key === b.chosen)!;
    const [minutes, laterMinutes] = [b.minutes[b.chosen]!, b.laterMinutes[b.chosen]!];
    return (
      sum +
      b.loss[b.chosen]! +
      workCost({ key: b.chosen, loss: 0, minutes, laterMinutes, pieces }, farm.hourlyRate)
    );
  }, 0);
}

/** Bed by bed, the dearest first, the first option in the shed's own order that a rule wants and the stock still has. */
function byRule(plan: NightPlan, wants: (b: PlannedBed, o: CoverOption) => boolean): Words {
  const left = new Map(data.covers.map((c) => [c.id, c.count]));
  const words = new Map<string, string>();
  const value = (b: PlannedBed) => b.atRisk.reduce((s, a) => s + a.value, 0);
  for (const b of [...plan.beds].sort((x, y) => value(y) - value(x))) {
    const has = (o: CoverOption) => Object.entries(o.pieces).every(([id, n]) => n <= left.get(id)!);
    const options = b.options.filter(has).sort((x, y) => x.covers.length - y.covers.length);
    const most = Math.max(...options.map((o) => o.covers.length));
    // a rule that the shed cannot meet takes as many sheets as there are
    const o = options.find((x) => wants(b, x)) ?? options.find((x) => x.covers.length === most)!;
    words.set(b.bed.id, o.key);
    for (const [id, n] of Object.entries(o.pieces)) left.set(id, left.get(id)! - n);
  }
  return words;
}

export async function regret(say: (line: string) => void, root: string): Promise<void> {
  const { workers, close } = startThreads(join(root, 'server', 'dist', 'worker.mjs'), false);
  const names = [
    'by the plan',
    'nothing done',
    `a rule of ${LAYER_K} K a layer`,
    'a sheet on everything under 0 °C',
  ] as const;
  const costs = new Map<string, number[]>(names.map((n) => [n, []]));
  const best: number[] = [];
  let under = 0;
  const started = performance.now();
  for (let n = 0; n < NIGHTS; n++) {
    const night = standIn(n);
    const plan = await evening(night, night.members, workers);
    const known = await evening(night, [night.truth], workers);
    const saidLowC = Math.min(
      ...plan.centre.filter((e) => Date.parse(e.time) <= plan.window.toAtMs).map((e) => e.airC),
    );
    if (saidLowC < 0) under += 1;
    const layered = byRule(plan, (b, o) =>
      b.atRisk.every((a) => saidLowC + LAYER_K * (1 + o.covers.length) >= a.thresholds.harmC),
    );
    const frost = byRule(plan, (_b, o) => o.covers.length === (saidLowC < 0 ? 1 : 0));
    const bare = byRule(plan, (_b, o) => o.covers.length === 0);
    const outcome = async (words: Words) =>
      costOf(await evening(night, [night.truth], workers, words), words);
    best.push(await outcome(wordsOf(known)));
    for (const [name, words] of [
      [names[0], wordsOf(plan)],
      [names[1], bare],
      [names[2], layered],
      [names[3], frost],
    ] as const)
      costs.get(name)!.push(await outcome(words));
  }
  const mean = (list: number[]) => list.reduce((s, x) => s + x, 0) / list.length;
  say(
    `\n${NIGHTS} stand-in nights (${under} with frost in the forecast), ${data.beds.length} beds, ${((performance.now() - started) / 1000).toFixed(0)} s; what a night costs, loss and work, by what was decided on the forecast and came under the true weather:`,
  );
  say(`  who knew the weather: ${mean(best).toFixed(1)} €`);
  for (const [name, list] of costs) {
    const over = list.map((x, i) => x - best[i]!);
    const worst = Math.max(...over);
    say(
      `  ${name}: ${mean(list).toFixed(1)} €, ${mean(over).toFixed(1)} over who knew; the worst night ${worst.toFixed(0)} over`,
    );
  }
  await close();
}
