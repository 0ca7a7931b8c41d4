/**
 * What is run of a night, and in which order. Contract: `asPlanned` runs a roof with its beds under what is planned for them; `tryOptions` some of a bed's
 * options in the air that its roof was found to have; `tryAll` and `tryThrees` as many of them as may still be the best.
 */
import { isIndoors } from '../covers/indoors';
import type { Cover } from '../farm/types';
import { fewKey, lookAgain } from './airs';
import { mayWin, moreThatMayWin, nearEnough } from './choice';
import { drawnFromOne, drawnOut, someOf } from './drawn';
import { optionKey, threeOptions, type CoverOption } from './options';
import type { OptionOutcome } from './outcome';
import { bedTask, layAtMs, type Found, type PlannedBed, type Work } from './planned';
import { setWork, take } from './pricing';
import { structureIndex } from './stack';
import { SHUT, houseTask, plannedSpec, type Roof } from './tasks';
import { fromTwos, type Less } from './threes';

export const coversOf = (b: PlannedBed, key = b.chosen): readonly Cover[] =>
  b.options.find((o) => o.key === key)?.covers ?? b.on;

/** Members under which beds are first looked at: before a house's air is known as it will be, and for what cannot win. */
export const FIRST_LOOK = 4;

/** The roof with each bed under what is planned for it, or under what `keys` has. */
export async function asPlanned(
  w: Work,
  roof: Roof,
  beds: readonly PlannedBed[],
  keys?: ReadonlyMap<string, string>,
  only?: readonly number[],
) {
  const all = houseTask(w.inputs, roof, 'planned', (b) => {
    const bed = beds.find((x) => x.bed.id === b.bed.id)!;
    const covers = coversOf(bed, keys?.get(b.bed.id));
    const onAtMs = layAtMs(w.inputs, bed);
    const spec = plannedSpec(w.inputs, b.structure, b.bed, b.plantings, b.on, covers, onAtMs);
    return { spec, covers };
  });
  // the days before were run when it was looked at as it lies
  const was = (id: string) => {
    const { initial, past } = beds.find((x) => x.bed.id === id)!.outcome;
    return { initial, past };
  };
  const task = {
    ...all,
    ...(only ? { only } : {}),
    beds: all.beds.map((b) => ({ ...b, was: was(b.id) })),
  };
  return { house: await w.pool.house(task, w.signal), under: w.pool.nameOf(all.beds) };
}

/** What is open, shut, with everything else as it lies: what shutting alone gives, and what laying is measured against. */
export async function shutAsItLies(w: Work, f: Found): Promise<void> {
  if (!w.inputs.state.openings.get(f.roof.structure.id)?.fraction) return;
  const { house, under } = await asPlanned(w, f.roof, f.beds);
  f.house = house;
  f.under = under;
  f.beds.forEach((b, n) => take(w, b, [{ ...house.beds[n]!.outcome, key: SHUT }]));
}

export async function tryOptions(
  w: Work,
  f: Found,
  b: PlannedBed,
  members: number,
  which: readonly CoverOption[] = b.options,
  only: readonly number[] | null = null,
): Promise<void> {
  if (which.length === 0) return;
  const { inputs } = w;
  const options = which.map((o) => ({
    key: o.key,
    spec: plannedSpec(inputs, b.structure, b.bed, b.plantings, b.on, o.covers, inputs.closeAtMs),
    structureLayer: structureIndex(b.structure, o.covers),
  }));
  // what is run under a few is only chosen by
  const few = only && { only, brief: true };
  const task = { ...bedTask(w, f, b, members), ...few, options };
  const outcomes = await w.pool.evaluate(task, f.under, w.signal);
  take(w, b, only ? outcomes.map((o) => drawn(w, f, b, o, only)) : outcomes);
}

const coversUnder = (b: PlannedBed, key: string) => b.options.find((o) => o.key === key)?.covers ?? [];

/** An outcome of some members as one of all, by what is known of the bed under everyone. */
function drawn(w: Work, f: Found, b: PlannedBed, few: OptionOutcome, only: readonly number[]): OptionOutcome {
  const pattern = f.patterns?.get(b.bed.id);
  if (!pattern) return drawnOut(few, only, knownOf(w, b, few.key));
  // a place indoors lies on nothing: the bench is run bare, and what it is in there is put in its place
  const isBare = coversUnder(b, few.key).every(isIndoors);
  return drawnFromOne(few, only[0]!, pattern.bare, isBare ? pattern.bare : pattern.covered);
}

/** What is nearest to a stack: each of its sheets alone, else what lies there, else anything. */
function knownOf(w: Work, b: PlannedBed, key: string): OptionOutcome[] {
  const whole = b.outcome.options.filter(
    (o) => o.ranUnder === undefined && o.minLeafC.length === w.inputs.members.length,
  );
  const single = coversUnder(b, key).map((c) => optionKey([c]));
  const of = (keys: readonly string[]) => whole.filter((o) => keys.includes(o.key));
  return [of(single), of([optionKey(b.on)]), whole].find((list) => list.length > 0) ?? [];
}

/**
 * None and one sheet under every member first; then each two that one of its sheets alone does not leave nothing to win by, under some of them and drawn out over all;
 * what cannot be the best has its figure from a few members.
 */
export async function tryAll(w: Work, f: Found, b: PlannedBed): Promise<void> {
  if (lookAgain(w, f, b, () => threesOf(w, b))) return;
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
  take(
    w,
    b,
    (f.few?.get(fewKey(w, b)) ?? []).filter((o) => unknownOf(b).some((x) => x.key === o.key)),
  );
  await tryOptions(w, f, b, FIRST_LOOK, unknownOf(b));
}

/** Options of which nothing was run yet. */
export function unknownOf(b: PlannedBed): CoverOption[] {
  const known = new Set(b.outcome.options.map((o) => o.key));
  return b.options.filter((o) => !known.has(o.key));
}

/** Of some options those that may still be the best and are not known under everyone. */
export async function tryMore(
  w: Work,
  f: Found,
  b: PlannedBed,
  options: readonly CoverOption[],
): Promise<void> {
  const everyone = w.inputs.members.length;
  const known = (o: CoverOption) =>
    b.outcome.options.find((x) => x.key === o.key)?.minLeafC.length === everyone;
  const rest = options.filter((o) => !known(o));
  await tryOptions(w, f, b, everyone, moreThatMayWin(w, b, rest), f.only ?? drawnFrom(b));
}

/** The members that a bed's stacks are run under where they are drawn out over the others, by its lows under what lies there. */
function drawnFrom(b: PlannedBed): number[] | null {
  const on = b.outcome.options.find((x) => x.key === optionKey(b.on));
  return on ? someOf(on.minLeafC) : null;
}

/** Three sheets, where that is what was chosen for a bed before: it is one of its options from the beginning. */
export function withChosenBefore(w: Work, b: PlannedBed): void {
  const key = w.before.get(b.bed.id);
  if (key === undefined || b.fixed !== null || b.options.some((o) => o.key === key)) return;
  const three = threesOf(w, b).find((o) => o.key === key);
  if (!three) return;
  setWork(b, three);
  b.options = [...b.options, three];
}

function threesOf(w: Work, b: PlannedBed): CoverOption[] {
  const { data } = w.inputs;
  const mayTouch = data.farm.schools.touch !== 'hoops';
  const known = new Set(b.options.map((o) => o.key));
  return threeOptions(b.structure, b.bed, data.covers, mayTouch).filter((o) => !known.has(o.key));
}

/** A third sheet is looked at where no two of its three do nearly as well: on a bitter night, for what is worth it. What it does is told from the twos; what may be wanted by that is run. */
export async function tryThrees(w: Work, f: Found, b: PlannedBed): Promise<void> {
  if (b.fixed !== null) return;
  const threes = threesOf(w, b);
  for (const o of threes) setWork(b, o);
  // late by now, one sheet alone may leave more to win than it did
  await tryMore(w, f, b, mayWin(w, b));
  const worth = moreThatMayWin(w, b, threes);
  b.options = [...b.options, ...worth];
  const ran = f.only ?? drawnFrom(b);
  if (ran) {
    const told = toldFromTwos(w, f, b, worth, ran);
    take(w, b, told);
    // a night by itself does not change its mind by what a telling is off
    const near =
      w.together > 1
        ? []
        : nearEnough(
            w,
            b,
            worth.filter((o) => told.some((x) => x.key === o.key)),
          );
    await tryOptions(w, f, b, w.inputs.members.length, near, ran);
  }
  await tryMore(w, f, b, worth);
}

/** Of some threes those of which each two were looked at in the same air, under the members at `ran` and drawn out over all. */
function toldFromTwos(
  w: Work,
  f: Found,
  b: PlannedBed,
  threes: readonly CoverOption[],
  ran: readonly number[],
): OptionOutcome[] {
  const everyone = w.inputs.members.length;
  const known = new Map(
    b.outcome.options.filter((o) => o.minLeafC.length === everyone).map((o) => [o.key, o] as const),
  );
  const under = (covers: readonly Cover[]) => known.get(optionKey(covers));
  return threes.flatMap((o) => {
    const bare = under([]);
    const ones = o.covers.map((c) => under([c]));
    const twos = o.covers.map((_, n) => under(o.covers.filter((_c, k) => k !== n)));
    if (!bare || [...ones, ...twos].some((x) => x === undefined)) return [];
    const few = fromTwos(o.key, { bare, ones, twos } as unknown as Less, ran);
    return [{ ...drawn(w, f, b, few, ran), ranUnder: 0 }];
  });
}
