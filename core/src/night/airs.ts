/**
 * The air that a house's options were priced in, kept from one working-out of a night to the next. Contract: `keepAir` keeps it with what was chosen and the
 * house as that came out; `airAgain` gives it where what is planned under the roof is still that, the beds start from where they did and the house as
 * planned comes out within a tenth of a kelvin from an hour after closing on: a sheet that went on as it was planned, only sooner, then changes nothing
 * for the beds beside it. Else null. `lookAgain` gives a bed that nothing has changed for what was found of it in that air.
 */
import { isIndoors } from '../covers/indoors';
import { HOUR_MS } from '../time/farmTime';
import type { HouseOutcome } from './house';
import { optionKey, type CoverOption } from './options';
import type { OptionOutcome } from './outcome';
import type { Found, PlannedBed, Work } from './planned';
import { setWork, take } from './pricing';
import { namedTask } from './sent';
import { AS_IS, countFromAtMs, SHUT } from './tasks';

/** What may part two airs that are taken for one, K: far under what the model can tell. */
const SAME_K = 0.1;

interface LookedIn {
  house: HouseOutcome;
  under: string;
  /** By bed and what lies on it: what was only looked at under a few members. */
  few?: Found['few'];
  looked?: Found['looked'];
}

/** A bed as it was looked at, with a name for all that its figures come of. */
export interface Looked {
  name: string;
  keys: readonly string[];
  outcomes: readonly OptionOutcome[];
  calm: Readonly<Record<string, number>>;
}

export interface KeptAir {
  chosen: string;
  starts: string;
  /** Beds that hands come to only after closing, and when. */
  late: ReadonlyMap<string, number>;
  lookedIn: LookedIn;
  ended: HouseOutcome;
}

const startsOf = (w: Work, house: HouseOutcome): string => w.pool.nameOf(house.beds.map((b) => b.initial));

/** One name for a bed as it stands, with all that its outcomes come of but the air and the weather. */
export const fewKey = (w: Work, b: PlannedBed): string =>
  `${b.bed.id} ${w.pool.nameOf([b.asIsSpec, b.belief, b.placeK, b.partedK])}`;

const fewOf = (w: Work, b: PlannedBed) =>
  b.outcome.options.filter((o) => o.minLeafC.length < w.inputs.members.length);

/** One name for all that a bed's outcomes and their prices come of in an air; none where it also is the minute. */
function lookedName(w: Work, under: string, b: PlannedBed): string | null {
  const { data, members, closeAtMs, state } = w.inputs;
  const isOpen = (state.openings.get(b.structure.id)?.fraction ?? 0) > 0;
  // crates are where they are from now on
  if (isOpen || b.options.some((o) => o.covers.some(isIndoors))) return null;
  const { structure, bed, asIsSpec, belief, placeK, partedK, atRisk, fixed } = b;
  return w.pool.nameOf([
    under,
    namedTask({ members }, w.pool.nameOf),
    [structure, bed, asIsSpec, belief, placeK, partedK, b.outcome.initial, optionKey(b.on)],
    [atRisk, fixed, w.errorK, closeAtMs, countFromAtMs(w.inputs), data.farm, data.covers],
  ]);
}

const isOfTheMoment = (o: OptionOutcome) => o.key === AS_IS || o.key === SHUT;

function lookedAt(w: Work, under: string, beds: readonly PlannedBed[]): Map<string, Looked> {
  return new Map(
    beds.flatMap((b) => {
      const name = lookedName(w, under, b);
      const outcomes = b.outcome.options.filter((o) => !isOfTheMoment(o));
      const calm = Object.fromEntries(outcomes.map((o) => [o.key, b.calm[o.key]!]));
      return name === null ? [] : [[b.bed.id, { name, keys: b.options.map((o) => o.key), outcomes, calm }]];
    }),
  );
}

/** Whether a bed is as it was looked at: then it has all that was found of it; `threes` are those of three sheets, to be had beside its options. */
export function lookAgain(w: Work, f: Found, b: PlannedBed, threes: () => CoverOption[]): boolean {
  const was = f.looked?.get(b.bed.id);
  if (!was || was.name !== lookedName(w, f.under, b)) return false;
  const more = was.keys.some((key) => !b.options.some((o) => o.key === key)) ? threes() : [];
  // the sheets are those of today's farm: which lie there is told by themselves
  b.options = [...b.options, ...more.filter((o) => was.keys.includes(o.key))];
  for (const o of b.options) setWork(b, o);
  b.outcome.options = [...b.outcome.options.filter(isOfTheMoment), ...was.outcomes];
  Object.assign(b.calm, was.calm);
  take(w, b, []);
  return true;
}

export function keepAir(w: Work, f: Found, lookedIn: LookedIn): void {
  if (f.house.shared[0]?.layers === 0) return;
  w.airs?.set(f.roof.structure.id, {
    chosen: f.beds.map((b) => `${b.bed.id} ${b.chosen}`).join(),
    starts: startsOf(w, f.house),
    late: new Map(f.beds.flatMap((b) => (b.lateAtMs === null ? [] : [[b.bed.id, b.lateAtMs] as const]))),
    lookedIn: {
      ...lookedIn,
      few: new Map(f.beds.map((b) => [fewKey(w, b), fewOf(w, b)])),
      looked: lookedAt(w, lookedIn.under, f.beds),
    },
    ended: f.house,
  });
}

/** Of the beds under a roof, those that hands came to only late when it was last worked out, to be run so again. */
export function lateAgain(w: Work, f: Found): void {
  const late = w.airs?.get(f.roof.structure.id)?.late;
  for (const b of f.beds) b.lateAtMs = late?.get(b.bed.id) ?? null;
}

export function airAgain(w: Work, f: Found, planned: HouseOutcome): LookedIn | null {
  const kept = w.airs?.get(f.roof.structure.id);
  const chosen = f.beds.map((b: PlannedBed) => `${b.bed.id} ${w.before.get(b.bed.id)}`).join();
  if (!kept || kept.chosen !== chosen || kept.starts !== startsOf(w, planned)) return null;
  return apartK(kept.ended, planned, w.inputs.closeAtMs + HOUR_MS) <= SAME_K ? kept.lookedIn : null;
}

/**
 * How far the air of two runs of a house parts at most, from an instant on, over its layers and members, K; Infinity where they are not of the same hours.
 * @example apartK({ timesAtMs: [0], shared: [] }, { timesAtMs: [1], shared: [] }, 0) // Infinity
 */
export function apartK(
  a: Pick<HouseOutcome, 'timesAtMs' | 'shared'>,
  b: Pick<HouseOutcome, 'timesAtMs' | 'shared'>,
  fromAtMs: number,
): number {
  if (a.shared.length !== b.shared.length || a.timesAtMs.join() !== b.timesAtMs.join()) return Infinity;
  const span = a.timesAtMs.at(-1)! - a.timesAtMs[0]!;
  let most = 0;
  a.shared.forEach((x, m) => {
    const y = b.shared[m]!;
    if (x.rows.length !== y.rows.length || x.stride !== y.stride) most = Infinity;
    // a trace has a row a step, and one to spare
    const steps = x.rows.length / x.stride - 2;
    for (let k = 0; k <= steps; k++) {
      if (a.timesAtMs[0]! + (k / steps) * span < fromAtMs) continue;
      for (let i = 0; i < x.layers; i++) {
        const at = k * x.stride + x.sheets + i;
        most = Math.max(most, Math.abs(x.rows[at]! - y.rows[at]!));
      }
    }
  });
  return most;
}
