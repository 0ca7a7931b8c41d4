/**
 * A night asked about before anything is set up. Contract: `answerAsk` works it out as the farm of one bed that `askedFarm`
 * makes, by the same planner as every other night, and keeps nothing; `keepAsked` makes that farm, its weather and what lies
 * there the grower's own, all or nothing: what Now says then is what was answered.
 */
import type { AskBody, AskOther, AskView, Farm, FarmRecord } from '@fogata/contract';
import {
  askedFarm,
  cropOf,
  FORM_INFO,
  formOf,
  harmChance,
  localDate,
  medianOf,
  nightOf,
  onHoops,
  said,
  spareSheets,
  type Said,
  verdict,
  type Bed,
  type Cover,
  type Issue,
  type OptionOutcome,
  type Phrase,
  type Structure,
  hardeningOf,
  coldNights,
  middleNight,
} from '@fogata/core';
import { asIsOutcome, type NightPlan, type PlannedBed } from '@fogata/core/planning';
import { randomUUID } from 'node:crypto';
import tzlookup from '@photostructure/tz-lookup';
import type { Db } from '../db/open';
import { writing } from '../db/write';
import { appendRecords } from '../farm/log';
import type { FarmData } from '../farm/store';
import { bringThings, FARM_ID, type Change } from '../farm/things';
import { Problem } from '../problem';
import { farmWeather } from '../sources/farmWeather';
import type { Sources } from '../sources/ports';
import { takeIssue, typedIssue } from '../sources/take';
import { rangeOf } from './glyph';
import { Planner } from './planner';
import type { NightPool } from './pool';

const HOT_C = 28;

/** The farm of one bed that is asked about: the grower's own settings where they have any, at the place asked about. */
function farmOf(body: AskBody, own: Farm, empty: boolean): Farm {
  if (!empty) return own;
  return { ...own, ...body.site, timeZone: tzlookup(body.site.latitude, body.site.longitude) };
}

/** Weather that nobody else has told: the typed forecast, and nothing measured. */
function toldOnly(issue: Issue): Sources {
  return {
    revision: () => Promise.resolve(issue.id),
    issued: { issues: () => Promise.resolve([issue]) },
    observed: { hours: () => Promise.resolve([]) },
    thermometers: { read: () => Promise.resolve(null) },
  };
}

interface Made {
  farm: Farm;
  structure: Structure;
  bed: Bed;
  covers: Cover[];
  data: FarmData;
}

function made(body: AskBody, own: Farm, empty: boolean, nowAtMs: number): Made {
  const farm = farmOf(body, own, empty);
  const today = localDate(nowAtMs, farm.timeZone);
  const asked = askedFarm(body, body.id, today);
  const { structure, bed, covers, planting } = asked;
  // the same bed under the open sky, to say what the structure is worth
  const open = askedFarm({ ...body, outer: 'none', middle: 'none', laid: false }, `${body.id}-o`, today);
  const stands = structure.kind !== 'open';
  return {
    farm,
    structure,
    bed,
    covers,
    data: {
      farm,
      structures: [structure, ...(stands ? [open.structure] : [])],
      beds: [bed, ...(stands ? [{ ...open.bed, order: 1 }] : [])],
      plantings: [planting, ...(stands ? [open.planting] : [])],
      covers: [...covers, ...spareSheets(body, asked)],
      records: layingOf(body.id, bed, covers, nowAtMs).map((record, seq) => ({
        record,
        seq,
        recordedAtMs: nowAtMs,
      })),
      harvestedKg: new Map(),
    },
  };
}

/** What lies there, as acts; the same ids each time, so that it is kept once. */
function layingOf(id: string, bed: Bed, covers: readonly Cover[], atMs: number): FarmRecord[] {
  return covers.map((c, n) => ({
    id: `${id.slice(0, -1)}${n}`,
    kind: 'cover' as const,
    atMs,
    bedId: bed.id,
    coverId: c.id,
    on: true,
    use: c.use,
  }));
}

function otherOf(what: Said, plan: NightPlan, b: PlannedBed, o: OptionOutcome): AskOther {
  const leafC = rangeOf(o.minLeafC, plan.errorK);
  const { planting, thresholds } = b.atRisk[0]!;
  return {
    what,
    leafC,
    harmChance: harmChance(b.atRisk[0]!, coldNights(o), plan.errorK),
    verdict: verdict(cropOf(planting), thresholds, middleNight(coldNights(o))),
  };
}

const idsOf = (covers: readonly Cover[]) => covers.map((c) => c.id).sort();

/** Everything that lies there and one sheet besides, the warmest of each kind of sheet. */
function oneMore(plan: NightPlan, b: PlannedBed): AskOther[] {
  const here = idsOf(b.on);
  const best = new Map<string, { o: OptionOutcome; name: string }>();
  for (const option of b.options) {
    if (option.covers.length !== here.length + 1) continue;
    const left = [...here];
    const added = option.covers.filter((c) => {
      const at = left.indexOf(c.id);
      if (at >= 0) left.splice(at, 1);
      return at < 0;
    });
    const o = b.outcome.options.find((x) => x.key === option.key);
    if (added.length !== 1 || left.length > 0 || !o) continue;
    const known = best.get(added[0]!.id);
    if (!known || medianOf(known.o.minLeafC) < medianOf(o.minLeafC))
      best.set(added[0]!.id, { o, name: added[0]!.name });
  }
  return [...best.values()]
    .map(({ o, name }) => otherOf(said('ask.besides', { cover: name }), plan, b, o))
    .sort((x, y) => y.leafC.mid - x.leafC.mid);
}

function oneLess(plan: NightPlan, b: PlannedBed): AskOther | null {
  if (b.on.length > 0) {
    // the one that lies innermost is the one that is taken off
    const gone = b.on.at(-1)!;
    const rest = idsOf(b.on.slice(0, -1));
    const option = b.options.find((o) => idsOf(o.covers).join() === rest.join());
    const o = option && b.outcome.options.find((x) => x.key === option.key);
    return o ? otherOf(said('ask.without', { cover: gone.name }), plan, b, o) : null;
  }
  const open = plan.beds.find((x) => x !== b);
  return open ? otherOf(said('ask.openSky'), plan, open, asIsOutcome(open)) : null;
}

/** The warmest that the air under the innermost cover gets by day, everything left as it is and shut. */
function dayOf(plan: NightPlan, b: PlannedBed): AskView['day'] {
  const inner = asIsOutcome(b).layersC.at(-1);
  if (!inner) return null;
  const from = plan.window.sunriseAtMs ?? plan.nowAtMs;
  let at = -1;
  b.outcome.timesAtMs.forEach((ms, i) => {
    if (ms >= from && Number.isFinite(inner.mid[i]!) && (at < 0 || inner.mid[i]! > inner.mid[at]!)) at = i;
  });
  if (at < 0) return null;
  const airC = inner.mid[at]!;
  return { airC, atMs: b.outcome.timesAtMs[at]!, tooHot: airC > HOT_C };
}

function sentenceOf(plan: NightPlan, b: PlannedBed): Phrase[] {
  const o = asIsOutcome(b);
  const { planting, thresholds } = b.atRisk[0]!;
  const crop = cropOf(planting);
  const leaf = rangeOf(o.minLeafC, plan.errorK);
  const chance = harmChance(b.atRisk[0]!, coldNights(o), plan.errorK);
  return [
    {
      text: said('ask.leaves', { crop: crop.name, leafC: leaf.mid }),
      tone: leaf.mid < thresholds.harmC ? 'frost' : 'plain',
    },
    {
      text: said('ask.when', {
        atMs: o.minAtMs,
        lowC: leaf.low,
        highC: leaf.high,
        verdict: verdict(crop, thresholds, middleNight(coldNights(o))),
        odds: said('ask.odds', { tenths: Math.round(10 * chance) }),
      }),
      tone: 'plain',
    },
  ];
}

/** Works out what is asked; nothing of it is kept. */
export async function answerAsk(
  body: AskBody,
  own: Farm,
  empty: boolean,
  pool: NightPool,
  nowAtMs: number,
  members = 20,
): Promise<AskView> {
  const farm = farmOf(body, own, empty);
  const issue = typedIssue(body.typed, farm, nowAtMs, body.id);
  // asked in the morning of the night to come, it is looked at as it stands when that night's day begins
  const askedAtMs = Math.max(nowAtMs, nightOf(body.typed.lowAtMs, farm).fromAtMs);
  const m = made(body, own, empty, askedAtMs);
  const weather = await farmWeather(
    toldOnly({ ...issue, doubt: issue.doubt ?? 1 }),
    farm,
    askedAtMs,
    [],
    members,
  );
  const planner = new Planner({ pool });
  const plan = await planner.wait(m.data, weather, askedAtMs);
  const b = plan?.beds.find((x) => x.bed.id === m.bed.id);
  if (!plan || !b || b.atRisk.length === 0) throw new Problem(422, said('refuse.typedLowest'), 'typed');
  const { means } = await planner.backgroundFor(m.data, weather, askedAtMs);
  const { planting, thresholds } = b.atRisk[0]!;
  const outcome = asIsOutcome(b);
  return {
    sentence: sentenceOf(plan, b),
    timeZone: m.farm.timeZone,
    leafC: rangeOf(outcome.minLeafC, plan.errorK),
    minAtMs: outcome.minAtMs,
    outsideC: body.typed.lowC,
    harmC: thresholds.harmC,
    hardening: hardeningOf(planting, m.structure.kind, means, localDate(askedAtMs, m.farm.timeZone)),
    harmChance: harmChance(b.atRisk[0]!, coldNights(outcome), plan.errorK),
    verdict: verdict(cropOf(planting), thresholds, middleNight(coldNights(outcome))),
    more: oneMore(plan, b),
    less: oneLess(plan, b),
    day: dayOf(plan, b),
    assumed: [
      said('ask.form', {
        form: FORM_INFO[formOf(m.structure)].label,
        lengthM: m.structure.lengthM,
        widthM: m.structure.widthM,
      }),
      said('ask.daysBefore'),
      ...(m.covers.length > 0
        ? [said('ask.covers', { covers: m.covers.map((c) => c.name), over: !onHoops(body.outer) })]
        : []),
    ],
    cautions: [
      said('ask.hot'),
      ...(body.outer === 'glasshouse' || body.outer === 'cold-frame' ? [said('ask.glass')] : []),
    ],
  };
}

/** Keeps what was asked as the first bed; the id of the log's one entry of it. */
export function keepAsked(
  db: Db,
  body: AskBody,
  own: Farm,
  empty: boolean,
  nowAtMs: number,
): Promise<string> {
  const m = made(body, own, empty, nowAtMs);
  const planting = m.data.plantings[0]!;
  const added = (what: Change['what'], thing: object & { id: string }): Change => ({
    what,
    targetId: thing.id,
    before: null,
    after: thing as unknown as Record<string, unknown>,
  });
  const changes: Change[] = [
    ...(empty
      ? [{ what: 'farm' as const, targetId: FARM_ID, before: { ...own }, after: { ...m.farm } }]
      : []),
    added('structure', m.structure),
    added('bed', m.bed),
    ...m.covers.map((c) => added('cover', c)),
    added('planting', planting),
  ];
  return writing(db, async (tx) => {
    const recordId = await bringThings(tx, { as: 'asked' }, changes, { nowAtMs });
    await appendRecords(tx, layingOf(body.id, m.bed, m.covers, nowAtMs), Date.now(), nowAtMs);
    await takeIssue(tx, typedIssue(body.typed, m.farm, nowAtMs, body.id), nowAtMs);
    return recordId ?? randomUUID();
  });
}
