/**
 * Backwards from a need. Contract: `needFor` takes a crop, so many kilos a week between two days, and what the crop does in each place; it gives
 * the fewest metres of row that cover every week, as a few sowings or plantings with their days, what each gives by the week, its seed and
 * its bench. Days on which it fails oftener than the risk that is accepted are not used; weeks that nothing can cover are said. Each metre
 * is counted at what it gives in the mean year times the share of years in which it comes off.
 *
 * The least metres are a linear programme for a kept solver, handed in by whoever runs it. Sowings too small to be worth the walk are
 * left out and the rest is solved again: metres may be a little over the least, never under what is asked.
 */
import { standFor } from '../calc/stand';
import type { Crop } from '../crops/crops';
import type { How } from '../growth/course';
import { bench } from '../windows/schools';
import type { Planting } from '../farm/types';
import { dayOf, isoOf } from './course';
import { kgBetween, shifts, WEEK } from './supply';
import { strip, type Outlook, type Strip } from './year';

export interface NeedOffer {
  structureId: string;
  /** Its name, and the sheet that is reckoned with on cold nights. */
  place: string;
  cover: string | null;
  how: How;
  outlook: Outlook;
  /** Metres of row that the place has in all. */
  mostM: number;
}

export interface NeedAsk {
  crop: Crop;
  today: string;
  from: string;
  to: string;
  kgPerWeek: number;
  /** Share of years that may go wrong, 0 to 1. */
  risk: number;
  offers: readonly NeedOffer[];
}

export interface NeedSowing {
  structureId: string;
  place: string;
  cover: string | null;
  how: How;
  date: string;
  readyOn: string;
  overOn: string;
  metres: number;
  /** Share of years in which it comes off. */
  success: number;
  kg: number;
  /** Null of what is not sown, or does not come up in that soil. */
  seeds: number | null;
  grams: number | null;
  /** Cells and days on the bench; null of what is sown where it grows. */
  bench: { cells: number; days: number; from: string } | null;
}

export interface NeedWeek {
  from: string;
  kg: number;
  /** In an early or a late year, whichever gives less. */
  lowKg: number;
  shortKg: number;
}

export interface NeedAnswer {
  sowings: NeedSowing[];
  weeks: NeedWeek[];
  metres: number;
  shortKg: number;
}

interface Candidate {
  offer: NeedOffer;
  strip: Strip;
  /** Kilos of a metre in each week, by the share of years in which it comes off. */
  kg: number[];
}

/** Sowings are looked at every so many days. */
const EVERY = 5;
const BACK_DAYS = 400;
/** A kilo that is not there counts as so many metres: it is left short only where nothing can give it. */
const SHORT_M = 1000;
/** A sowing of less is not worth the walk: metres, and share of all. */
const LEAST_M = 1;
const LEAST_SHARE = 0.06;
const ROUNDS = 12;
/** Metres that fewer sowings may cost, against the least. */
const DEARER = 1.15;
/** A tenth more than plants. */
const SPARES = 1.1;
const SOWN_AT_C = 12;

/**
 * A metre of row of a crop, begun on a day: what ways and needs are reckoned by.
 * @example metreOf(cropById('kale'), 'transplant', '2027-03-01').lengthM // 1
 */
export const metreOf = (crop: Crop, how: How, date: string): Planting => ({
  id: 'need',
  bedId: '',
  crop: crop.id,
  cultivar: '',
  fromRow: 1,
  toRow: 1,
  lengthM: 1,
  plantedOn: date,
  clearedOn: null,
  aim: crop.aim,
  note: '',
  how,
});

const weeksOf = (a: NeedAsk): number[] => {
  const out: number[] = [];
  for (let d = dayOf(a.from); d <= dayOf(a.to); d += WEEK) out.push(d);
  return out;
};

/** Every day in every place that gives anything in those weeks, at the risk that is accepted. */
function candidates(a: NeedAsk, weeks: readonly number[]): Candidate[] {
  const [first, last] = [Math.max(dayOf(a.today) + 1, dayOf(a.from) - BACK_DAYS), dayOf(a.to)];
  return a.offers.flatMap((offer) => {
    const out: Candidate[] = [];
    // the benches' weeks come before the day of planting
    const lead = offer.how === 'transplant' ? Math.round(bench(a.crop)) : 0;
    for (let day = first + lead; day < last; day += EVERY) {
      const s = strip(metreOf(a.crop, offer.how, isoOf(day)), a.crop, offer.how, offer.outlook);
      if (!s.odds || s.odds.success < 1 - a.risk || s.readyDay === null) continue;
      const kg = weeks.map((w) => kgBetween(s, w, w + WEEK) * s.odds!.success);
      if (kg.some((x) => x > 1e-4)) out.push({ offer, strip: s, kg });
    }
    return out;
  });
}

/** The programme as the solver's text: least metres, every week covered or paid for. */
function programme(a: NeedAsk, list: readonly Candidate[], weeks: number): string {
  const n = (x: number) => x.toFixed(6);
  const sum = (terms: string[]) => (terms.length > 0 ? terms.join(' + ') : '0 s0');
  const costs = [
    ...list.map((_, i) => `m${i}`),
    ...Array.from({ length: weeks }, (_, w) => `${SHORT_M} s${w}`),
  ];
  const rows = Array.from({ length: weeks }, (_, w) => {
    const terms = list.flatMap((c, i) => (c.kg[w]! > 1e-6 ? [`${n(c.kg[w]!)} m${i}`] : []));
    return `w${w}: ${sum([...terms, `s${w}`])} >= ${n(a.kgPerWeek)}`;
  });
  const places = [...new Set(list.map((c) => c.offer))].map((offer, k) => {
    const terms = list.flatMap((c, i) => (c.offer === offer ? [`m${i}`] : []));
    return `p${k}: ${sum(terms)} <= ${n(offer.mostM)}`;
  });
  return `Minimize\n obj: ${costs.join(' + ')}\nSubject To\n ${[...rows, ...places].join('\n ')}\nEnd\n`;
}

/**
 * Seed of so many metres of row: plants as they stand, nine in ten sure, in a seedbed of a mild day; of a lot that germinates so far, or as
 * usual. Nulls where nothing is sown, or no number of seeds gives that stand.
 * @example seedOf(cropById('tulip'), 'sow', 10).seeds > 100 // true
 */
export function seedOf(
  crop: Crop,
  how: How,
  metres: number,
  germination: number | null = null,
): { seeds: number | null; grams: number | null } {
  if (!crop.sowing || !crop.emergence) return { seeds: null, grams: null };
  const plants = metres / crop.spacingM;
  try {
    const s = standFor({
      crop,
      germination: germination ?? crop.sowing.germination,
      ageYears: 0,
      soilC: Math.max(SOWN_AT_C, (crop.emergence.minC ?? 0) + 8),
      per: how === 'sow' ? 'metre' : 'hole',
      plantsPerMetre: Math.max(1, Math.round(1 / crop.spacingM)),
      count: how === 'sow' ? metres : Math.ceil(plants * SPARES),
      confidence: 0.9,
      spare: 0,
    });
    return { seeds: s.all, grams: s.grams };
  } catch {
    return { seeds: null, grams: null };
  }
}

const half = (m: number) => Math.ceil(m * 2 - 1e-6) / 2;

/** Least metres of these, and what stays short. */
async function least(
  a: NeedAsk,
  list: readonly Candidate[],
  weeks: number,
  solve: (lp: string) => Promise<Record<string, number>>,
): Promise<{ metres: number[]; shortKg: number }> {
  if (list.length === 0) return { metres: [], shortKg: Infinity };
  const found = await solve(programme(a, list, weeks));
  return {
    metres: list.map((_, i) => found[`m${i}`] ?? 0),
    shortKg: Array.from({ length: weeks }, (_, w) => found[`s${w}`] ?? 0).reduce((s, x) => s + x, 0),
  };
}

/**
 * What to sow when and where for so many kilos a week; what cannot be had is said.
 * @example (await needFor({ crop: cropById('radish'), today: '2027-01-14', from: '2027-04-01', to: '2027-05-01', kgPerWeek: 5, risk: 0.2, offers: [] }, () => Promise.resolve({}))).sowings // []
 */
export async function needFor(
  a: NeedAsk,
  solve: (lp: string) => Promise<Record<string, number>>,
): Promise<NeedAnswer> {
  const weeks = weeksOf(a);
  let list = candidates(a, weeks);
  let found = await least(a, list, weeks.length, solve);
  // the smallest goes for as long as the others can do its work
  for (let round = 0; round < ROUNDS; round++) {
    const used = list.flatMap((c, i) => (found.metres[i]! > 1e-6 ? [{ c, m: found.metres[i]! }] : []));
    const all = used.reduce((s, u) => s + u.m, 0);
    const small = used.reduce((x, y) => (y.m < x.m ? y : x), { c: null as Candidate | null, m: Infinity });
    if (used.length < 2 || small.m >= Math.max(LEAST_M, LEAST_SHARE * all)) break;
    const rest = used.filter((u) => u.c !== small.c).map((u) => u.c);
    const without = await least(a, rest, weeks.length, solve);
    const more = without.metres.reduce((s, m) => s + m, 0);
    if (without.shortKg > found.shortKg + 0.01 * a.kgPerWeek || more > DEARER * all) break;
    [list, found] = [rest, without];
  }
  const { metres } = found;
  const chosen = list
    .map((c, i) => ({ ...c, metres: half(metres[i] ?? 0) }))
    .filter((c) => c.metres > 0)
    .sort((x, y) => x.strip.startDay - y.strip.startDay);
  const out = weeks.map((w, i): NeedWeek => {
    const kg = chosen.reduce((s, c) => s + c.metres * c.kg[i]!, 0);
    const low = chosen.reduce((s, c) => {
      const [early, late] = shifts(c.strip);
      const three = [0, early, late].map((shift) => kgBetween(c.strip, w, w + WEEK, shift));
      return s + c.metres * Math.min(...three) * c.strip.odds!.success;
    }, 0);
    return { from: isoOf(w), kg, lowKg: low, shortKg: Math.max(0, a.kgPerWeek - kg) };
  });
  const lead = Math.round(bench(a.crop));
  return {
    sowings: chosen.map((c): NeedSowing => {
      const { strip: s, offer } = c;
      const seed = seedOf(a.crop, offer.how, c.metres);
      return {
        structureId: offer.structureId,
        place: offer.place,
        cover: offer.cover,
        how: offer.how,
        date: isoOf(s.startDay),
        readyOn: isoOf(s.readyDay!),
        overOn: isoOf(s.overDay ?? s.endDay),
        metres: c.metres,
        success: s.odds!.success,
        kg: c.metres * c.kg.reduce((sum, x) => sum + x, 0),
        ...seed,
        bench:
          offer.how === 'transplant'
            ? {
                cells: Math.ceil((c.metres / a.crop.spacingM) * SPARES),
                days: lead,
                from: isoOf(s.startDay - lead),
              }
            : null,
      };
    }),
    weeks: out,
    metres: chosen.reduce((s, c) => s + c.metres, 0),
    shortKg: out.reduce((s, w) => s + (w.shortKg > 0.01 * a.kgPerWeek ? w.shortKg : 0), 0),
  };
}
