/**
 * A night worked out. Contract: `workOut` gives every bed with its outcomes, prices and what is chosen for it; `onBeds` is
 * told of beds as they stand, as soon as they are known. A house is run whole; what could lie on one of its beds, in the
 * air that the house was found to have; then the house once more as it was chosen, and that is what is shown.
 */
import { cropOf } from '../crops/cultivars';
import { failShare, withoutExposed } from '../covers/exposed';
import { carriedIn, isIndoors, pastIndoors } from '../covers/indoors';
import { piecesOn } from '../farm/facts';
import type { Cover } from '../farm/types';
import { hardeningOf } from '../hardiness/before';
import { thresholds } from '../hardiness/hardiness';
import { shareLeft } from '../hardiness/left';
import { addDays, floorMinutes, HOUR_MS, localDate } from '../time/farmTime';
import { choose, mayWin, moreThatMayWin } from './choice';
import { changeMinutes, expectedLoss, plantingValue } from './choose';
import type { HouseOutcome } from './house';
import { setLift } from './lifting';
import { coldNights, type OptionOutcome } from './outcome';
import { bedTask, isKnown, layAtMs, type Found, type PlannedBed, type Work } from './planned';
import { countedK, pairsOf, partedUnder } from './parting';
import { optionKey, threeOptions, type CoverOption } from './options';
import { structureIndex } from './stack';
import { AS_IS, SHUT, houseTask, plannedSpec, type BedPlan, type Roof } from './tasks';

/** Members under which beds are first looked at: before a house's air is known as it will be, and for what cannot win. */
const FIRST_LOOK = 4;

/** A bed with its outcomes priced; nothing is chosen for it yet. */
function plannedBed(w: Work, p: BedPlan, house: HouseOutcome, n: number): PlannedBed {
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
    const first = localDate(past.lows[0]?.atMs ?? inputs.nowMs, zone);
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
  const { timesMs, outsideC, skyC } = house;
  const { initial, outcome } = found;
  const bed: PlannedBed = {
    ...p,
    outcome: { timesMs, outsideC, skyC, initial, past, options: [] },
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
  return (state.spans.get(bedId) ?? []).flatMap(({ fromMs, toMs, coverId }) => {
    const place = data.covers.find((c) => c.id === coverId && isIndoors(c));
    return place ? [{ fromMs, toMs, place }] : [];
  });
}

/** The covers of an outcome: those of its option, or what lies. */
const coversUnder = (b: PlannedBed, key: string): readonly Cover[] =>
  key === AS_IS || key === SHUT ? b.on : (b.options.find((o) => o.key === key)?.covers ?? []);

/** Takes outcomes in, in the place of what was known of the same options, and prices them. */
function take(w: Work, bed: PlannedBed, outcomes: readonly OptionOutcome[]): void {
  const { errorK, inputs } = w;
  const options = new Map(bed.outcome.options.map((o) => [o.key, o] as const));
  for (const bare of outcomes) {
    const place = coversUnder(bed, bare.key).find(isIndoors);
    const fromMs = place && bed.on.includes(place) ? inputs.nowMs : layAtMs(inputs, bed);
    const o = place ? carriedIn(bare, bed.outcome.timesMs, fromMs, place) : bare;
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
  const share = failShare(covers, b.structure, inputs.members, inputs.nowMs, inputs.window.toMs);
  if (share === 0) return calm;
  const less = b.calm[optionKey(withoutExposed(covers, b.structure))] ?? b.calm[AS_IS] ?? calm;
  return (1 - share) * calm + share * Math.max(calm, less);
}

const coversOf = (b: PlannedBed, key = b.chosen): readonly Cover[] =>
  b.options.find((o) => o.key === key)?.covers ?? b.on;

/** The roof with each bed under what is planned for it, or under what `keys` has. */
async function asPlanned(
  w: Work,
  roof: Roof,
  beds: readonly PlannedBed[],
  keys?: ReadonlyMap<string, string>,
) {
  const task = houseTask(w.inputs, roof, 'planned', (b) => {
    const bed = beds.find((x) => x.bed.id === b.bed.id)!;
    const covers = coversOf(bed, keys?.get(b.bed.id));
    const onAtMs = layAtMs(w.inputs, bed);
    const spec = plannedSpec(w.inputs, b.structure, b.bed, b.plantings, b.on, covers, onAtMs);
    return { spec, covers };
  });
  return { house: await w.pool.house(task, w.signal), under: w.pool.nameOf(task.beds) };
}

/** What is open, shut, with everything else as it lies: what shutting alone gives, and what laying is measured against. */
async function shutAsItLies(w: Work, f: Found): Promise<void> {
  if (!w.inputs.state.openings.get(f.roof.structure.id)?.fraction) return;
  const { house, under } = await asPlanned(w, f.roof, f.beds);
  f.house = house;
  f.under = under;
  f.beds.forEach((b, n) => take(w, b, [{ ...house.beds[n]!.outcome, key: SHUT }]));
}

async function tryOptions(
  w: Work,
  f: Found,
  b: PlannedBed,
  members: number,
  which: readonly CoverOption[] = b.options,
): Promise<void> {
  if (which.length === 0) return;
  const { inputs } = w;
  const options = which.map((o) => ({
    key: o.key,
    spec: plannedSpec(inputs, b.structure, b.bed, b.plantings, b.on, o.covers, inputs.closeAtMs),
    structureLayer: structureIndex(b.structure, o.covers),
  }));
  const task = { ...bedTask(w, f, b, members), options };
  take(w, b, await w.pool.evaluate(task, f.under, w.signal));
}

/**
 * None and one sheet under every member first; then each two that one of its sheets alone does not leave nothing to win by; what cannot be the
 * best has its figure from a few members.
 */
async function tryAll(w: Work, f: Found, b: PlannedBed): Promise<void> {
  const everyone = w.inputs.members.length;
  if (everyone <= FIRST_LOOK || b.fixed !== null) return tryOptions(w, f, b, everyone);
  const on = optionKey(b.on);
  const first = b.options.filter((o) => o.covers.length < 2 || o.key === on);
  await tryOptions(
    w,
    f,
    b,
    everyone,
    first.filter((o) => o.key === on),
  );
  const may = mayWin(w, b);
  await tryOptions(
    w,
    f,
    b,
    everyone,
    first.filter((o) => o.key !== on && may.includes(o)),
  );
  await tryMore(w, f, b, may);
  const known = new Set(b.outcome.options.map((o) => o.key));
  await tryOptions(
    w,
    f,
    b,
    FIRST_LOOK,
    b.options.filter((o) => !known.has(o.key)),
  );
}

/** Of some options those that may still be the best and are not known under everyone. */
async function tryMore(w: Work, f: Found, b: PlannedBed, options: readonly CoverOption[]): Promise<void> {
  const everyone = w.inputs.members.length;
  const known = (o: CoverOption) =>
    b.outcome.options.find((x) => x.key === o.key)?.minLeafC.length === everyone;
  const rest = options.filter((o) => !known(o));
  await tryOptions(w, f, b, everyone, moreThatMayWin(w, b, rest));
}

/** A third sheet is looked at where no two of its three do nearly as well: on a bitter night, for what is worth it. */
async function tryThrees(w: Work, f: Found, b: PlannedBed): Promise<void> {
  if (b.fixed !== null) return;
  const { data } = w.inputs;
  const mayTouch = data.farm.schools.touch !== 'hoops';
  const known = new Set(b.options.map((o) => o.key));
  const threes = threeOptions(b.structure, b.bed, data.covers, mayTouch).filter((o) => !known.has(o.key));
  for (const o of threes) setWork(b, o);
  // late by now, one sheet alone may leave more to win than it did
  await tryMore(w, f, b, mayWin(w, b));
  const worth = moreThatMayWin(w, b, threes);
  await tryOptions(w, f, b, w.inputs.members.length, worth);
  b.options = [...b.options, ...worth];
}

function setWork(
  b: Pick<PlannedBed, 'on' | 'structure' | 'bed' | 'minutes' | 'laterMinutes'>,
  o: CoverOption,
) {
  const work = changeMinutes(b.on, o, (c) => piecesOn(c, b.structure, b.bed));
  b.minutes[o.key] = work.now;
  b.laterMinutes[o.key] = work.later;
}

/** What the coming hours under a roof are taken colder by, for what its thermometer showed of the last ones, K. */
function byItsThermometer(w: Work, { structure }: Roof, house: HouseOutcome): number {
  const measured = w.inputs.measured?.get(structure.id) ?? [];
  const pairs = pairsOf(measured, house.beds[0]!.past, w.inputs.data.farm, w.inputs.nowMs);
  if (pairs.length === 0) return 0;
  const parted = partedUnder(pairs, w.errorK);
  w.onSpot(structure.id, { pairs, parted });
  return countedK(parted);
}

export async function workOut(w: Work, onBeds: (beds: PlannedBed[]) => void): Promise<PlannedBed[]> {
  const { inputs, roofs, phase } = w;
  const found = await Promise.all(
    roofs.map(async (first): Promise<Found> => {
      const asIs = (r: Roof) => houseTask(inputs, r, AS_IS, (b) => ({ spec: b.asIsSpec, covers: b.on }));
      let [roof, task] = [first, asIs(first)];
      let house = await w.pool.house(task, w.signal);
      const partedK = byItsThermometer(w, roof, house);
      if (partedK < 0) {
        roof = { ...roof, beds: roof.beds.map((b) => ({ ...b, partedK })) };
        task = asIs(roof);
        house = await w.pool.house(task, w.signal);
      }
      const beds = roof.beds.map((p, n) => plannedBed(w, p, house, n));
      onBeds(beds);
      return { roof, beds, house, under: w.pool.nameOf(task.beds) };
    }),
  );
  const all = found.flatMap((f) => f.beds);
  if (phase === 'morning') {
    await Promise.all(found.flatMap((f) => f.beds.map((b) => setLift(w, f, b))));
    return all;
  }
  const everyone = inputs.members.length;
  await Promise.all(found.map((f) => shutAsItLies(w, f)));
  const shared = found.filter((f) => f.beds.length > 1);
  // a house is priced in its air as it will be: as it was chosen before, or as a first look has it
  const known = shared.filter((f) =>
    f.beds.every((b) => b.options.some((o) => o.key === w.before.get(b.bed.id))),
  );
  const toFind = shared.filter((f) => !known.includes(f));
  await Promise.all(
    found.map(async (f) => {
      if (known.includes(f)) Object.assign(f, await asPlanned(w, f.roof, f.beds, w.before));
      const first = (b: PlannedBed) => tryOptions(w, f, b, Math.min(FIRST_LOOK, everyone));
      await Promise.all(f.beds.map((b) => (toFind.includes(f) ? first(b) : tryAll(w, f, b))));
    }),
  );
  await choose(all, w);
  if (toFind.length > 0) {
    await Promise.all(
      toFind.map(async (f) => {
        Object.assign(f, await asPlanned(w, f.roof, f.beds));
        await Promise.all(f.beds.map((b) => tryAll(w, f, b)));
      }),
    );
    await choose(all, w);
  }
  // with each place's own latest time known, once more: what can be done by then, and what only after
  const due = () => Promise.all(found.flatMap((f) => f.beds.map((b) => setDueTime(w, f, b))));
  await due();
  await Promise.all(found.flatMap((f) => f.beds.map((b) => tryThrees(w, f, b))));
  const before = all.map((b) => b.chosen).join();
  await choose(all, w);
  if (all.map((b) => b.chosen).join() !== before) await due();
  await Promise.all(
    found.map(async (f) => {
      for (const b of f.beds)
        b.plannedSpec = plannedSpec(
          inputs,
          b.structure,
          b.bed,
          b.plantings,
          b.on,
          coversOf(b),
          layAtMs(inputs, b),
        );
      // alone under its roof and in time, a bed is as it was looked at
      if (f.beds.length < 2 && !f.beds.some((b) => b.lateAtMs !== null)) return;
      Object.assign(f, await asPlanned(w, f.roof, f.beds));
      f.beds.forEach((b, n) => take(w, b, [{ ...f.house.beds[n]!.outcome, key: b.chosen }]));
    }),
  );
  return all;
}

async function setDueTime(w: Work, f: Found, b: PlannedBed): Promise<void> {
  const i = w.inputs;
  const sunset = i.window.sunsetAtMs ?? i.closeAtMs + HOUR_MS;
  const option = b.options.find((o) => o.key === b.chosen);
  b.due = null;
  // crates that are carried in are in by dark, as all else
  if (!option || option.covers.every((c) => b.on.includes(c) || isIndoors(c))) return;
  const first = Math.max(i.nowMs, sunset - 2 * HOUR_MS);
  const times: number[] = [];
  for (let ms = first; ms < Math.max(first + 1, sunset - 0.1 * HOUR_MS); ms += HOUR_MS / 2) times.push(ms);
  // one more, after dark, for what being late costs
  times.push(Math.max(first, sunset) + HOUR_MS / 2);
  const specs = times.map((fromMs) => ({
    fromMs,
    spec: plannedSpec(i, b.structure, b.bed, b.plantings, b.on, option.covers, fromMs),
  }));
  const due = await w.pool.due({ task: bedTask(w, f, b, 1), specs }, f.under, w.signal);
  // round down to ten minutes, but never into the past
  const light = Math.min(due.dueAtMs, times[times.length - 2] ?? due.dueAtMs, i.leavesAtMs ?? Infinity);
  const later = due.later.filter((l) => l.atMs <= (i.leavesAtMs ?? Infinity));
  b.due = { dueAtMs: Math.max(i.nowMs, floorMinutes(light, 10)), later };
}
