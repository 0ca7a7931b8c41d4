/**
 * What a night takes of a bed. Contract: `plannedBed` makes a bed of what its house was found to be, with what stands in it and what that is worth;
 * `take` takes outcomes in, in the place of what was known of the same options, and prices them; `setWork` says what an option takes to lay.
 */
import { cropOf } from '../crops/cultivars';
import { failShare, withoutExposed } from '../covers/exposed';
import { carriedIn, isIndoors, pastIndoors } from '../covers/indoors';
import { piecesOn } from '../farm/facts';
import type { Cover } from '../farm/types';
import { hardeningOf } from '../hardiness/before';
import { thresholds } from '../hardiness/hardiness';
import { shareLeft } from '../hardiness/left';
import { addDays, localDate } from '../time/farmTime';
import { changeMinutes, expectedLoss, plantingValue } from './choose';
import type { HouseOutcome } from './house';
import { optionKey, type CoverOption } from './options';
import { coldNights, type OptionOutcome } from './outcome';
import { isKnown, layAtMs, type PlannedBed, type Work } from './planned';
import { AS_IS, SHUT, type BedPlan } from './tasks';

/** A bed with its outcomes priced; nothing is chosen for it yet. */
export function plannedBed(w: Work, p: BedPlan, house: HouseOutcome, n: number): PlannedBed {
  const { inputs, background } = w;
  const found = house.beds[n]!;
  const zone = inputs.data.farm.timeZone;
  const past = pastIndoors(found.past, indoorSpans(w, p.bed.id));
  const atRisk = p.plantings.map((planting) => {
    const hardening = hardeningOf(planting, p.structure.kind, background.means, inputs.today);
    const limits = thresholds(cropOf(planting), hardening, planting.aim);
    const score = inputs.state.harm.get(planting.id);
    const since = past.lows
      // a night of which nobody knows the weather has killed nothing
      .filter((l) => isKnown({ history: inputs.history, worth: w.worth }, l.atMs))
      .filter((l) => l.atMs > (score?.atMs ?? -Infinity) && localDate(l.atMs, zone) > planting.plantedOn)
      .map((l) => l.leafC);
    const first = localDate(past.lows[0]?.atMs ?? inputs.nowAtMs, zone);
    // nights before those that were just run; a night is called by its evening's date
    const before = (inputs.data.pastLows?.get(p.bed.id) ?? [])
      .filter((l) => addDays(l.night, 1) < first && l.night >= planting.plantedOn)
      .filter((l) => !score || l.night >= localDate(score.atMs, zone))
      .map((l) => l.leafC);
    const left = shareLeft(limits, planting.aim, score?.score ?? null, [...before, ...since]);
    return { planting, thresholds: limits, hardening, left, value: plantingValue(planting) * left };
  });
  const minutes: Record<string, number> = { [AS_IS]: 0 };
  const laterMinutes: Record<string, number> = { [AS_IS]: 0 };
  for (const o of p.options) setWork({ ...p, minutes, laterMinutes }, o);
  const { timesAtMs, outsideC, skyC } = house;
  const { initial, outcome } = found;
  const bed: PlannedBed = {
    ...p,
    outcome: { timesAtMs, outsideC, skyC, initial, past, options: [] },
    chosen: AS_IS,
    fixed: inputs.fixed.get(p.bed.id) ?? null,
    atRisk,
    loss: {},
    calm: {},
    minutes,
    laterMinutes,
    due: null,
    lateAtMs: null,
    plannedSpec: p.asIsSpec,
    lift: null,
  };
  take(w, bed, [outcome]);
  return bed;
}

/** When a bed's crates stood in which place indoors. */
function indoorSpans({ inputs: { state, data } }: Work, bedId: string) {
  return (state.spans.get(bedId) ?? []).flatMap(({ fromAtMs, toAtMs, coverId }) => {
    const place = data.covers.find((c) => c.id === coverId && isIndoors(c));
    return place ? [{ fromAtMs, toAtMs, place }] : [];
  });
}

/** The covers of an outcome: those of its option, or what lies. */
const coversUnder = (b: PlannedBed, key: string): readonly Cover[] =>
  key === AS_IS || key === SHUT ? b.on : (b.options.find((o) => o.key === key)?.covers ?? []);

/** Takes outcomes in, in the place of what was known of the same options, and prices them. */
export function take(w: Work, bed: PlannedBed, outcomes: readonly OptionOutcome[]): void {
  const { errorK, inputs } = w;
  const options = new Map(bed.outcome.options.map((o) => [o.key, o] as const));
  for (const bare of outcomes) {
    const place = coversUnder(bed, bare.key).find(isIndoors);
    const fromAtMs = place && bed.on.includes(place) ? inputs.nowAtMs : layAtMs(inputs, bed);
    const o = place ? carriedIn(bare, bed.outcome.timesAtMs, fromAtMs, place) : bare;
    options.set(o.key, o);
    bed.calm[o.key] = bed.atRisk.reduce((sum, a) => sum + expectedLoss(a, coldNights(o), errorK), 0);
  }
  bed.outcome.options = [...options.values()];
  for (const key of Object.keys(bed.calm)) bed.loss[key] = lossInWind(w, bed, key);
}

/** What a night takes under an option, with the share of outcomes in which wind or snow takes its sheets off. */
function lossInWind({ inputs }: Work, b: PlannedBed, key: string): number {
  const calm = b.calm[key]!;
  const covers = coversUnder(b, key);
  const share = failShare(covers, b.structure, inputs.members, inputs.nowAtMs, inputs.window.toAtMs);
  if (share === 0) return calm;
  const less = b.calm[optionKey(withoutExposed(covers, b.structure))] ?? b.calm[AS_IS] ?? calm;
  return (1 - share) * calm + share * Math.max(calm, less);
}

export function setWork(
  b: Pick<PlannedBed, 'on' | 'structure' | 'bed' | 'minutes' | 'laterMinutes'>,
  o: CoverOption,
) {
  const work = changeMinutes(b.on, o, (c) => piecesOn(c, b.structure, b.bed));
  b.minutes[o.key] = work.now;
  b.laterMinutes[o.key] = work.later;
}
