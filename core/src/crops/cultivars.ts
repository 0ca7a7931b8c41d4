/**
 * Cultivars and seed lots of the farm. Contract: `ownFigures` gives a planting's figures that differ from the book: what its cultivar has,
 * with what was learnt of it; `sourceOf` says of each value where it comes from; `lotNow` what a lot is worth today; `packetFigures` turns
 * what a packet says into figures of the library.
 */
import { germinationNow } from '../calc/stand';
import { pickDdOfPacket } from '../growth/thermal';
import type { Planting } from '../farm/types';
import { daysBetween } from '../time/farmTime';
import { cropById, type Crop } from './crops';
import { FIGURES, figureById, withFigures, type Figures } from './figures';
import { asPicked, PICKED, type Picked } from './picked';
import type { Cultivar, SeedLot } from './seeds';

export type { Cultivar, SeedLot } from './seeds';

const called = (name: string) => name.trim().toLowerCase();

/**
 * The cultivar that a planting names; by its crop and its name, in any case.
 * @example cultivarOf([], { crop: 'spinach', cultivar: 'Brasa Verde' }) // null
 */
export function cultivarOf(
  cultivars: readonly Cultivar[],
  p: Pick<Planting, 'crop' | 'cultivar'>,
): Cultivar | null {
  const name = called(p.cultivar);
  return cultivars.find((c) => c.crop === p.crop && called(c.name) === name) ?? null;
}

/**
 * What the grower has typed of a crop and its cultivar, the cultivar's over the crop's.
 * @example typedFigures([], { crop: 'spinach', cultivar: '' }) // null
 */
export function typedFigures(
  cultivars: readonly Cultivar[],
  p: Pick<Planting, 'crop' | 'cultivar'>,
): Figures | null {
  const all = {
    ...cultivarOf(cultivars, { ...p, cultivar: '' })?.figures,
    ...cultivarOf(cultivars, p)?.figures,
  };
  return Object.keys(all).length > 0 ? all : null;
}

/**
 * Names a crop and its cultivar, in any case: what learnt figures are kept by.
 * @example seedKey({ crop: 'spinach', cultivar: ' Brasa ' }) // 'spinach brasa'
 */
export const seedKey = (p: Pick<Planting, 'crop' | 'cultivar'>): string => `${p.crop} ${called(p.cultivar)}`;

/**
 * Plantings with their own figures put to them, the same object of figures for the same cultivar. What was put there before goes.
 * @example withOwn([{ id: 'p', crop: 'lettuce', cultivar: '', picked: 'leaves' }], [], new Map())[0].own // { picked: 0 }
 */
export function withOwn(
  plantings: readonly Planting[],
  cultivars: readonly Cultivar[],
  learnt: ReadonlyMap<string, ColdBelief>,
): Planting[] {
  const known = new Map<string, Figures | undefined>();
  return plantings.map(({ own: _before, ...p }) => {
    const key = seedKey(p);
    if (!known.has(key))
      known.set(key, ownFigures(cropById(p.crop), typedFigures(cultivars, p), learnt.get(key) ?? null));
    const typed = known.get(key);
    const own = p.picked ? withPicked(typed, p.crop, p.picked) : typed;
    return own ? { ...p, own } : p;
  });
}

/** Own figures with the way in which it is picked, where that is not the crop's; the same object for the same two. */
function withPicked(own: Figures | undefined, crop: string, picked: Picked): Figures | undefined {
  const way = PICKED.indexOf(picked);
  if (asPicked(cropById(crop), picked) === cropById(crop)) return own;
  const base = own ?? NOTHING;
  const held = pickedOf.get(base) ?? new Map<number, Figures>();
  pickedOf.set(base, held);
  const made = held.get(way) ?? { ...base, picked: way };
  held.set(way, made);
  return made;
}
const NOTHING: Figures = {};
const pickedOf = new WeakMap<Figures, Map<number, Figures>>();

/**
 * The crop of a planting with its cultivar's own figures, where it has any.
 * @example cropOf({ crop: 'lettuce', own: { picked: 0 } }).habit // 'leaves'
 */
export const cropOf = (p: Pick<Planting, 'crop' | 'own'>): Crop => withFigures(cropById(p.crop), p.own);

/**
 * Names what grows alike: a crop, with its own figures where it has any. Equal names, equal answers.
 * @example kindOf({ crop: 'spinach' }) // 'spinach'
 */
export const kindOf = (p: Pick<Planting, 'crop' | 'own'>): string =>
  p.own ? `${p.crop}~${JSON.stringify(Object.entries(p.own).sort())}` : p.crop;

/** What records have taught of a cultivar's cold: its limits lie so many kelvin lower (negative) or higher than the book's. */
export interface ColdBelief {
  shiftK: number;
  sdK: number;
  /** Nights with a score that it rests on. */
  nights: number;
}

const COLD = [
  'leaf_damage_soft_c',
  'leaf_damage_hard_c',
  'death_soft_c',
  'death_hard_c',
  'root_death_soft_c',
  'root_death_hard_c',
] as const;
/** A shift under this is nothing that a grower would act on, K. */
const LEAST_SHIFT_K = 0.1;

/**
 * Figures that differ from the book: a cultivar's own, its cold limits moved by what was learnt. Undefined where nothing differs.
 * @example ownFigures(cropById('spinach'), { death_hard_c: -16 }, null) // { death_hard_c: -16 }
 */
export function ownFigures(
  crop: Crop,
  typed: Figures | null,
  learnt: ColdBelief | null,
): Figures | undefined {
  const out: Record<string, number> = { ...typed };
  if (learnt && Math.abs(learnt.shiftK) >= LEAST_SHIFT_K) {
    const base = withFigures(crop, typed ?? undefined);
    for (const id of COLD) {
      const x = figureById(id)!.of(base);
      if (x !== null) out[id] = Math.round((x + learnt.shiftK) * 100) / 100;
    }
  }
  return Object.keys(out).length > 0 ? out : undefined;
}

export type FigureSource = 'book' | 'cultivar' | 'record';

export interface SaidFigure {
  id: string;
  value: number;
  book: number;
  from: FigureSource;
}

/**
 * Every figure of a crop with where it comes from, in the library's order.
 * @example saidFigures(cropById('spinach'), null, null)[0] // { id: 'leaf_damage_soft_c', value: -5, book: -5, from: 'book' }
 */
export function saidFigures(crop: Crop, typed: Figures | null, learnt: ColdBelief | null): SaidFigure[] {
  const own = ownFigures(crop, typed, learnt) ?? {};
  return FIGURES.flatMap((f): SaidFigure[] => {
    const book = f.of(crop);
    if (book === null) return [];
    const before = typed?.[f.id];
    const value = own[f.id] ?? book;
    const from =
      f.id in own && value !== (before ?? book) ? 'record' : before !== undefined ? 'cultivar' : 'book';
    return [{ id: f.id, value, book, from }];
  });
}

export interface LotNow {
  germination: number;
  /** Whether it was tested, or is the crop's usual by its age. */
  from: 'tested' | 'usual';
  /** Seeds that are left, where they were counted or weighed. */
  seeds: number | null;
  /** Half of what it once was, or less. */
  old: boolean;
}

/**
 * What a lot is worth on a day: a test falls with the time since, the usual with the time since harvest (half gone in the crop's own
 * half-life, kept cool and dry). A lot is of the autumn of its year: half a year old in the spring after.
 * @example lotNow({ crop: 'parsnip', year: 2026 }, cropById('parsnip'), '2027-10-01').germination // 0.33
 */
export function lotNow(lot: SeedLot, crop: Crop, today: string): LotNow | null {
  const { sowing } = crop;
  if (!sowing) return null;
  const since = (from: string) => Math.max(0, daysBetween(from, today) / 365.25);
  const tested = lot.tested ?? null;
  const germination = tested
    ? germinationNow(tested.share, since(tested.on), sowing.halfLifeYears)
    : germinationNow(sowing.germination, since(`${lot.year}-10-01`), sowing.halfLifeYears);
  const seeds =
    lot.seeds ?? (lot.grams === null || lot.grams === undefined ? null : (lot.grams * 1000) / sowing.seedMg);
  return {
    germination,
    from: tested ? 'tested' : 'usual',
    seeds: seeds === null ? null : Math.round(seeds),
    old: germination < sowing.germination / 2,
  };
}

/** What stands on a packet, each null where it says nothing. */
export interface Packet {
  daysToHarvest: number | null;
  germination: number | null;
  seedsPerGram: number | null;
  spacingM: number | null;
  depthMm: number | null;
}

/**
 * A packet's words as figures: its days count from sowing to the first picking on mild spring days in full light.
 * @example packetFigures(cropById('spinach'), { daysToHarvest: 45, germination: null, seedsPerGram: 100, spacingM: null, depthMm: null }).seed_mg // 10
 */
export function packetFigures(crop: Crop, p: Packet): Figures {
  const out: Record<string, number> = {};
  const whole = (x: number) => Math.round(x * 100) / 100;
  if (p.daysToHarvest !== null)
    out['harvest_degree_days'] = Math.round(pickDdOfPacket(crop, p.daysToHarvest));
  if (crop.sowing) {
    if (p.germination !== null) out['germination'] = whole(p.germination);
    if (p.seedsPerGram !== null) out['seed_mg'] = Number((1000 / p.seedsPerGram).toPrecision(3));
    if (p.depthMm !== null) out['sow_depth_mm'] = p.depthMm;
  }
  if (p.spacingM !== null) out['spacing_m'] = p.spacingM;
  return out;
}
