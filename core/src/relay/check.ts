/**
 * A whole farm's year, checked. Contract: `checkRelay` gives every quarrel of what is still to come; handed the check before, it looks anew only at
 * beds and structures whose strips are others (strips are made anew when they move), and says the same as from nothing.
 */
import { handOvers } from './handOver';
import { crosses } from './crosses';
import { neighbours } from './neighbours';
import { quarrel, type Quarrel } from './quarrel';
import { outOfReach, walks } from './reach';
import { rotation, tooCool } from './rotation';
import { askedIn, inTrays, kgBetween, WEEK } from './supply';
import type { RelayYear, Strip } from './year';

export interface RelayCheck {
  quarrels: Quarrel[];
  /** What was found in each bed, and from which strips. */
  beds: ReadonlyMap<string, Held>;
  /** And among the beds of each structure. */
  places: ReadonlyMap<string, Held>;
  year: RelayYear;
}

interface Held {
  strips: readonly Strip[];
  quarrels: Quarrel[];
}

/** What is begun on a day on which it fails more often than is accepted. */
function fails(s: Strip, risk: number, today: number): Quarrel[] {
  if (!s.odds || s.planting.planned !== true || s.startDay < today) return [];
  const { success } = s.odds;
  if (success >= 1 - risk) return [];
  const { odds } = s;
  const kinds = ['lostToCold', 'notReady', 'bolted', 'cooked'] as const;
  const most = kinds.reduce((a, b) => (odds[b] > odds[a] ? b : a));
  return [
    quarrel('fails', s.planting.bedId, [s.planting.id], [s.startDay, s.endDay], {
      success,
      most,
      share: odds[most],
    }),
  ];
}

/** So much more than is asked for in a week is a glut, and over this, kg. */
const GLUT = 1.5;
const GLUT_KG = 3;

/**
 * Weeks in which more of a crop has to be picked than is asked for of it by name: one quarrel for each crop and spell.
 * @example gluts(aYear([aBedOf('a')], [])) // []
 */
export function gluts(year: RelayYear): Quarrel[] {
  const named = [...new Set(year.demand.flatMap((d) => d.crop ?? []))];
  return named.flatMap((crop) => {
    const strips = year.strips.filter(
      (s) => s.crop.id === crop && s.endDay > year.today && s.readyDay !== null,
    );
    if (strips.length === 0) return [];
    const from = Math.max(year.today, Math.min(...strips.map((s) => s.readyDay!)));
    const to = Math.max(...strips.map((s) => s.endDay));
    let worst: { day: number; kg: number; asked: number; of: Strip[] } | null = null;
    for (let day = from; day < to; day += WEEK) {
      const asked = askedIn(year.demand, day).get(crop) ?? 0;
      const of = strips.filter((s) => kgBetween(s, day, day + WEEK) > 0);
      const kg = of.reduce((sum, s) => sum + kgBetween(s, day, day + WEEK), 0);
      if (kg > asked * GLUT && kg - asked > GLUT_KG && (!worst || kg - asked > worst.kg - worst.asked))
        worst = { day, kg, asked, of };
    }
    if (!worst) return [];
    const { day, kg, asked, of } = worst;
    const ids = of.map((s) => s.planting.id);
    return [
      quarrel('glut', of[0]!.planting.bedId, ids, [day, day + WEEK], { crop, kg, askedKg: asked }, crop),
    ];
  });
}

/** Weeks in which trays are full: one quarrel for the fullest. */
function trays(year: RelayYear): Quarrel[] {
  const { cells } = year;
  if (cells === null) return [];
  const raised = year.strips.flatMap((s) => {
    const trays = s.startDay > year.today ? inTrays(s) : null;
    return trays ? [{ s, ...trays }] : [];
  });
  const on = (day: number) => raised.filter((r) => day >= r.fromDay && day < r.toDay);
  let worst: { day: number; wanted: number } | null = null;
  for (const { toDay } of raised) {
    // they are fullest just before something leaves them
    const day = toDay - 1;
    const wanted = on(day).reduce((sum, r) => sum + r.cells, 0);
    if (wanted > cells && (!worst || wanted > worst.wanted)) worst = { day, wanted };
  }
  if (!worst) return [];
  const ids = on(worst.day).map(({ s }) => s.planting.id);
  return [quarrel('trays', null, ids, [worst.day, worst.day + 1], { wanted: worst.wanted, cells })];
}

const same = (a: readonly Strip[], b: readonly Strip[]) =>
  a.length === b.length && a.every((s, i) => s === b[i]);

const groupedBy = (strips: readonly Strip[], of: (s: Strip) => string | undefined): Map<string, Strip[]> => {
  const out = new Map<string, Strip[]>();
  for (const s of strips) {
    const key = of(s);
    if (key === undefined) continue;
    const list = out.get(key);
    if (list) list.push(s);
    else out.set(key, [s]);
  }
  return out;
};

/** What is the same as before is what it was; the rest is looked at anew. */
function looked(
  groups: ReadonlyMap<string, Strip[]>,
  before: ReadonlyMap<string, Held> | null,
  look: (id: string, strips: Strip[]) => Quarrel[],
): Map<string, Held> {
  return new Map(
    [...groups].map(([id, strips]) => {
      const old = before?.get(id);
      return [id, old && same(old.strips, strips) ? old : { strips, quarrels: look(id, strips) }];
    }),
  );
}

/**
 * Every quarrel of a year; from a check before it, only what changed is looked at again.
 * @example checkRelay(aYear([aBedOf('a')], [])).quarrels // []
 */
export function checkRelay(year: RelayYear, before: RelayCheck | null = null): RelayCheck {
  const bedOf = new Map(year.beds.map((b) => [b.id, b]));
  const mayKeep =
    before !== null &&
    before.year.today === year.today &&
    before.year.risk === year.risk &&
    before.year.latitude === year.latitude &&
    before.year.beds === year.beds;
  const old = mayKeep ? before : null;
  const known = year.strips.filter((s) => bedOf.has(s.planting.bedId));
  const beds = looked(
    groupedBy(known, (s) => s.planting.bedId),
    old?.beds ?? null,
    (id, own) => {
      const bed = bedOf.get(id)!;
      return [
        ...handOvers(bed, own, year.risk, year.today),
        ...rotation(bed, own, year.today, year.latitude),
        ...tooCool(bed, own, year.today, year.latitude),
        ...outOfReach(bed, own, year.today),
        ...own.flatMap((s) => fails(s, year.risk, year.today)),
      ];
    },
  );
  const byPlace = groupedBy(known, (s) => bedOf.get(s.planting.bedId)?.structureId);
  const places = looked(byPlace, old?.places ?? null, (_id, own) =>
    neighbours(
      year.latitude,
      own.map((s) => ({ bed: bedOf.get(s.planting.bedId)!, strip: s })),
      year.today,
    ),
  );
  const held = [...beds.values(), ...places.values()].flatMap((h) => h.quarrels);
  return {
    quarrels: [...held, ...gluts(year), ...trays(year), ...crosses(year), ...walks(year)],
    beds,
    places,
    year,
  };
}

/**
 * Checks one year after the other, each from the one before.
 * @example relayChecker()(aYear([aBedOf('a')], [])).quarrels // []
 */
export function relayChecker(): (year: RelayYear) => RelayCheck {
  let last: RelayCheck | null = null;
  return (year) => (last = checkRelay(year, last));
}
