/**
 * A crop's figures by name, so that a cultivar can have its own. Contract: `FIGURES` is every number of a crop that may be overridden, by
 * its column of the library, with its unit and range; `withFigures(crop, own)` is the crop with these in place of the book's, the same
 * object for the same two; `figuresProblem` says in one sentence what of them contradicts what. Own figures outside a crop's kind (a
 * flower's limit of a leaf crop) are left out.
 */
import { said, type Said } from '../words/said';
import type { Crop } from './crops';
import { asPicked, PICKED } from './picked';

export interface Figure {
  /** The library's column: unit in the name. */
  id: string;
  unit: '°C' | 'degree days' | 'm' | 'kg/m' | 'days' | 'mg' | 'share' | 'years' | 'mol/m²' | '';
  min: number;
  max: number;
  of: (c: Crop) => number | null;
  put: (c: Crop, x: number) => Crop;
}

type Pair = 'damageC' | 'deathC' | 'rootC';
const pair = (id: string, key: Pair, at: 0 | 1): Figure => ({
  id,
  unit: '°C',
  min: -45,
  max: 5,
  of: (c) => c[key][at],
  put: (c, x) => ({ ...c, [key]: at === 0 ? [x, c[key][1]] : [c[key][0], x] }),
});
type Plain = {
  [K in keyof Crop]: Crop[K] extends number | null ? K : never;
}[keyof Crop];
const plain = (id: string, key: Plain, unit: Figure['unit'], min: number, max: number): Figure => ({
  id,
  unit,
  min,
  max,
  of: (c) => c[key] as number | null,
  put: (c, x) => (c[key] === null ? c : { ...c, [key]: x }),
});
const sowing = (
  id: string,
  key: 'seedMg' | 'germination' | 'halfLifeYears' | 'depthMm',
  unit: Figure['unit'],
  min: number,
  max: number,
): Figure => ({
  id,
  unit,
  min,
  max,
  of: (c) => c.sowing?.[key] ?? null,
  put: (c, x) => (c.sowing ? { ...c, sowing: { ...c.sowing, [key]: x } } : c),
});

export const FIGURES: readonly Figure[] = [
  pair('leaf_damage_soft_c', 'damageC', 0),
  pair('leaf_damage_hard_c', 'damageC', 1),
  pair('death_soft_c', 'deathC', 0),
  pair('death_hard_c', 'deathC', 1),
  pair('root_death_soft_c', 'rootC', 0),
  pair('root_death_hard_c', 'rootC', 1),
  plain('flower_loss_c', 'flowerC', '°C', -15, 5),
  plain('fruit_loss_c', 'fruitC', '°C', -15, 5),
  plain('chilling_c', 'chillingC', '°C', 0, 18),
  plain('heat_stop_c', 'stopC', '°C', 15, 50),
  plain('heat_spoil_c', 'spoilC', '°C', 15, 50),
  plain('hardening_days', 'hardenDays', 'days', 1, 90),
  plain('base_c', 'baseC', '°C', -2, 18),
  plain('best_c', 'bestC', '°C', 8, 35),
  plain('upper_c', 'upperC', '°C', 18, 45),
  plain('plant_out_degree_days', 'raiseDd', 'degree days', 20, 2000),
  plain('harvest_degree_days', 'pickDd', 'degree days', 30, 6000),
  plain('stand_degree_days', 'standDd', 'degree days', 10, 6000),
  plain('regrowth_degree_days', 'againDd', 'degree days', 20, 3000),
  plain('height_m', 'heightM', 'm', 0.01, 5),
  plain('spread_m', 'spreadM', 'm', 0.01, 3),
  plain('spacing_m', 'spacingM', 'm', 0.005, 3),
  plain('yield_kg_per_m', 'yieldKgPerM', 'kg/m', 0.01, 50),
  plain('cuts', 'cuts', '', 1, 60),
  sowing('sow_depth_mm', 'depthMm', '', 0, 200),
  sowing('seed_mg', 'seedMg', 'mg', 0.005, 100_000),
  sowing('germination', 'germination', 'share', 0.01, 1),
  sowing('seed_life_years', 'halfLifeYears', 'years', 0.2, 20),
];
const BY_ID = new Map(FIGURES.map((f) => [f.id, f]));

/** Figures by their column: only those that differ from the book. A planting's own may have `picked` beside them, by its place in `PICKED`. */
export type Figures = Readonly<Record<string, number>>;

/** @example isFigure('death_hard_c') // true */
export const isFigure = (id: string): boolean => BY_ID.has(id);
/** @example figureById('cuts').max // 60 */
export const figureById = (id: string): Figure | null => BY_ID.get(id) ?? null;

const made = new WeakMap<Figures, Map<string, Crop>>();

/**
 * The crop with figures of its own: those that it has at all. Unknown names are left out.
 * @example withFigures(cropById('spinach'), { death_hard_c: -16 }).deathC[1] // -16
 */
export function withFigures(crop: Crop, own: Figures | undefined): Crop {
  if (!own) return crop;
  const held = made.get(own) ?? new Map<string, Crop>();
  made.set(own, held);
  const known = held.get(crop.id);
  if (known) return known;
  let out = crop;
  for (const [id, x] of Object.entries(own)) {
    const figure = BY_ID.get(id);
    if (figure && figure.of(crop) !== null) out = figure.put(out, x);
  }
  // last: a way of picking goes by the crop's own figures
  const way = own['picked'] === undefined ? undefined : PICKED[own['picked']];
  if (way) out = asPicked(out, way);
  held.set(crop.id, out);
  return out;
}

const ORDER: readonly (readonly [lower: string, upper: string])[] = [
  ['death_soft_c', 'leaf_damage_soft_c'],
  ['death_hard_c', 'leaf_damage_hard_c'],
  ['leaf_damage_hard_c', 'leaf_damage_soft_c'],
  ['death_hard_c', 'death_soft_c'],
  ['root_death_hard_c', 'root_death_soft_c'],
  ['base_c', 'best_c'],
  ['best_c', 'upper_c'],
];

/**
 * What is wrong with a cultivar's own figures, by the name of the field; null where nothing is.
 * @example figuresProblem(cropById('spinach'), { death_hard_c: -2 }) // { field: 'death_hard_c', expected: { say: 'want.figureThan', values: { way: 'noMore', other: 'leaf_damage_hard_c', is: -9 } } }
 */
export function figuresProblem(crop: Crop, own: Figures): { field: string; expected: Said } | null {
  for (const [id, x] of Object.entries(own)) {
    const f = BY_ID.get(id);
    if (!f) return { field: id, expected: said('want.figure') };
    if (f.of(crop) === null) return { field: id, expected: said('want.noFigure', { crop: crop.name }) };
    if (!(x >= f.min && x <= f.max))
      return { field: id, expected: said('want.between', { min: f.min, max: f.max, unit: 'none' }) };
  }
  const whole = withFigures(crop, { ...own });
  for (const [low, high] of ORDER) {
    const a = BY_ID.get(low)!.of(whole);
    const b = BY_ID.get(high)!.of(whole);
    if (a !== null && b !== null && a > b && (low in own || high in own)) {
      const [field, other, way] =
        low in own ? ([low, high, 'noMore'] as const) : ([high, low, 'noLess'] as const);
      return { field, expected: said('want.figureThan', { way, other, is: BY_ID.get(other)!.of(whole)! }) };
    }
  }
  return null;
}
