/**
 * A night that is one of several, in a few of the runs. Contract: `seeQuickly` looks at a roof as it lies; `lookQuickly` then prices each bed's stacks in the air that its house will have, every one of them
 * run under one member, a cold one (three sheets are told from the twos of them), and drawn out over all by what the bed does bare and under a sheet, and chooses one for each;
 * `mayLookQuickly` says whether there are members enough for that. What is chosen is run under everyone by who asked. All the nights are
 * chosen once more together: what a bed gets then and did not have has the figure that is drawn.
 */
import { isIndoors } from '../covers/indoors';
import { sheetKey } from '../covers/ways';
import type { Cover } from '../farm/types';
import { choose, mayWin } from './choice';
import { outcomeOf } from './choose';
import { someOf } from './drawn';
import { copyOf, oneMore } from './firstChoice';
import { asPlanned, tryMore, tryOptions } from './looks';
import { optionKey, type CoverOption } from './options';
import type { Found, Pattern, PlannedBed, Work } from './planned';

/** The members are halved by what the beds under a roof do with a sheet on them, and of the colder half the middle one is run. */
const HALVES = 2;

function coldOf(w: Work, patterns: readonly Pattern[]): number {
  const meanC = (m: number) => patterns.reduce((s, p) => s + p.covered.minLeafC[m]!, 0) / patterns.length;
  const of = someOf(
    w.inputs.members.map((_, m) => meanC(m)),
    HALVES,
  )!;
  return of.reduce((a, m) => (meanC(m) < meanC(a) ? m : a));
}

const isSheets = (covers: readonly Cover[]) => covers.length > 0 && !covers.some(isIndoors);

/** What a bed does bare and under a sheet, in the air as it is: one of them is how it lies, where it is not carried in. */
async function patternOf(w: Work, f: Found, b: PlannedBed): Promise<Pattern> {
  const lies = b.outcome.options.at(-1)!;
  const run = async (o: CoverOption | undefined) => {
    if (!o) return lies;
    await tryOptions(w, f, b, w.inputs.members.length, [o]);
    return outcomeOf(b.outcome.options, o.key);
  };
  const bare = b.options.find((o) => o.covers.length === 0);
  const sheet = b.options.find((o) => isSheets(o.covers));
  return {
    bare: b.on.length === 0 ? lies : await run(bare),
    covered: isSheets(b.on) ? lies : await run(sheet ?? bare),
  };
}

/** A bed's stacks in the air of its house: none, one sheet and what lies there, then of the others what can win. */
async function tryEach(w: Work, f: Found, b: PlannedBed, only: readonly number[]): Promise<void> {
  const { length } = w.inputs.members;
  const lies = optionKey(b.on);
  await tryOptions(
    w,
    f,
    b,
    length,
    b.options.filter((o) => o.covers.length < 2 || o.key === lies),
    only,
  );
  const may = mayWin(w, b);
  await tryMore(w, f, b, may);
}

/** One sheet more as it usually lies: for the air of the house it makes no difference how. */
const asUsual = (b: PlannedBed) =>
  oneMore(b).filter(
    (o) => o.key === b.fixed || o.covers.every((c) => b.on.includes(c) || sheetKey(c) === c.id),
  );

/** With at most one sheet more on each bed: so its house will be, near enough for its air. */
async function houseAsItWillBe(w: Work, f: Found, beds: readonly PlannedBed[], only: readonly number[]) {
  const keys = new Map(beds.map((b) => [b.bed.id, b.chosen]));
  // what is due is looked up under the centre, which stands first
  Object.assign(f, await asPlanned(w, f.roof, f.beds, keys, [...new Set([0, ...only])]));
}

/** A roof as it lies: what each of its beds does bare and under a sheet, and with one sheet more. */
export interface Seen {
  f: Found;
  only: readonly number[];
  looked: PlannedBed[];
}

/** Whether the night is one of several, and there are members enough. */
export const mayLookQuickly = (w: Work): boolean =>
  w.together > 1 && someOf(new Array<number>(w.inputs.members.length).fill(0), HALVES) !== null;

export async function seeQuickly(w: Work, f: Found): Promise<Seen> {
  const looked = f.beds.map(copyOf);
  const patterns = await Promise.all(looked.map((b) => patternOf(w, f, b)));
  f.patterns = new Map(f.beds.map((b, n) => [b.bed.id, patterns[n]!]));
  const only = [coldOf(w, patterns)];
  const { length } = w.inputs.members;
  await Promise.all(looked.map((b) => tryOptions(w, f, b, length, asUsual(b), only)));
  return { f, only, looked };
}

export async function lookQuickly(w: Work, seen: readonly Seen[]): Promise<void> {
  await choose(
    seen.flatMap((s) => s.looked),
    w,
  );
  await Promise.all(
    seen.map(async ({ f, only, looked }) => {
      if (f.beds.length > 1) await houseAsItWillBe(w, f, looked, only);
      f.only = only;
      await Promise.all(f.beds.map((b) => tryEach(w, f, b, only)));
    }),
  );
  await choose(
    seen.flatMap(({ f }) => f.beds),
    w,
  );
}
