/**
 * Crops and their starting values. Temperatures are of the leaf, °C, from general horticultural literature
 * (extension tables, cold-tolerance trials); the grower's own records move them. Every figure is a starting value.
 */

export const AIMS = ['survive', 'grow', 'flower'] as const;
/** What a cover is for: survive the cold, keep growing, save flowers and fruit. */
export type Aim = (typeof AIMS)[number];

export interface Crop {
  id: string;
  name: string;
  family: string;
  /** Leaf damage begins, not hardened and fully hardened. */
  damageC: [number, number];
  /** Half the plants die, not hardened and fully hardened. */
  deathC: [number, number];
  /** Open flowers or young fruit are lost; null where they are not what is sold. */
  flowerC: number | null;
  /** Growth stops below this. */
  baseC: number;
  /** Days of cold after planting until fully hardened. */
  hardenDays: number;
  heightM: number;
  groundCover: number;
  rowsPerM: number;
  /** A grower's value of one metre of row, in the farm's money. */
  valuePerM: number;
  aim: Aim;
  /** What leaf damage and death look like, in plain words. */
  damageWord: string;
  deathWord: string;
}

function crop(
  id: string,
  name: string,
  family: string,
  damageC: [number, number],
  deathC: [number, number],
  rest: Partial<Crop> & { heightM: number; valuePerM: number },
): Crop {
  return {
    id,
    name,
    family,
    damageC,
    deathC,
    flowerC: null,
    baseC: 3,
    hardenDays: 24,
    groundCover: 0.6,
    rowsPerM: 4,
    aim: 'survive',
    damageWord: 'leaf burn',
    deathWord: 'plants lost',
    ...rest,
  };
}

export const CROPS: readonly Crop[] = [
  crop('mache', 'mâche', 'Caprifoliaceae', [-6, -12], [-9, -18], {
    heightM: 0.06,
    valuePerM: 7,
    groundCover: 0.7,
  }),
  crop('spinach', 'spinach', 'Amaranthaceae', [-5, -9], [-8, -14], { heightM: 0.12, valuePerM: 6 }),
  crop('lettuce', 'lettuce heads', 'Asteraceae', [-1.5, -3.5], [-4, -7], {
    heightM: 0.15,
    valuePerM: 8,
    baseC: 4,
  }),
  crop('lettuce-leaf', 'leaf lettuce', 'Asteraceae', [-1.5, -4], [-4, -8], {
    heightM: 0.1,
    valuePerM: 7,
    baseC: 4,
  }),
  crop('endive', 'endive', 'Asteraceae', [-3, -6], [-5, -9], { heightM: 0.15, valuePerM: 7 }),
  crop('claytonia', 'claytonia', 'Montiaceae', [-5, -10], [-8, -15], { heightM: 0.08, valuePerM: 6 }),
  crop('mizuna', 'mizuna', 'Brassicaceae', [-3, -6], [-6, -10], { heightM: 0.2, valuePerM: 6 }),
  crop('rocket', 'rocket', 'Brassicaceae', [-3, -6], [-5, -9], { heightM: 0.15, valuePerM: 7 }),
  crop('pak-choi', 'pak choi', 'Brassicaceae', [-2, -4.5], [-4, -8], {
    heightM: 0.2,
    valuePerM: 7,
    baseC: 4,
  }),
  crop('kale', 'kale', 'Brassicaceae', [-5, -9], [-8, -14], { heightM: 0.4, valuePerM: 6, groundCover: 0.7 }),
  crop('chard', 'chard', 'Amaranthaceae', [-2, -4.5], [-5, -9], { heightM: 0.25, valuePerM: 6, baseC: 5 }),
  crop('radish', 'radish', 'Brassicaceae', [-2, -4], [-4, -7], {
    heightM: 0.1,
    valuePerM: 5,
    baseC: 4,
    hardenDays: 18,
  }),
  crop('carrot', 'carrots', 'Apiaceae', [-4, -7], [-8, -13], {
    heightM: 0.2,
    valuePerM: 5,
    damageWord: 'tops burnt, roots safe',
  }),
  crop('spring-onion', 'spring onions', 'Amaryllidaceae', [-4, -8], [-8, -14], {
    heightM: 0.25,
    valuePerM: 5,
    groundCover: 0.3,
  }),
  crop('leek', 'leeks', 'Amaryllidaceae', [-6, -10], [-9, -16], {
    heightM: 0.4,
    valuePerM: 6,
    groundCover: 0.35,
  }),
  crop('parsley', 'parsley', 'Apiaceae', [-4, -8], [-7, -12], { heightM: 0.2, valuePerM: 8 }),
  crop('coriander', 'coriander', 'Apiaceae', [-3, -6], [-6, -10], { heightM: 0.18, valuePerM: 7 }),
  crop('pea-shoots', 'peas', 'Fabaceae', [-2, -5], [-4, -8], { heightM: 0.3, valuePerM: 6, baseC: 4 }),
  crop('broad-bean', 'broad beans', 'Fabaceae', [-4, -7], [-7, -11], { heightM: 0.4, valuePerM: 4 }),
  crop('potato', 'early potatoes', 'Solanaceae', [-0.8, -1], [-2, -2.5], {
    heightM: 0.15,
    valuePerM: 9,
    baseC: 7,
    hardenDays: 10,
    aim: 'grow',
    damageWord: 'tops burnt',
    deathWord: 'tops lost',
  }),
  crop('strawberry', 'strawberries', 'Rosaceae', [-4, -8], [-9, -14], {
    heightM: 0.15,
    valuePerM: 14,
    flowerC: -1,
    aim: 'flower',
    damageWord: 'leaf burn',
  }),
  crop('anemone', 'anemones', 'Ranunculaceae', [-3, -5], [-5, -9], {
    heightM: 0.2,
    valuePerM: 16,
    flowerC: -2.5,
    aim: 'flower',
  }),
  crop('stock', 'stocks', 'Brassicaceae', [-2, -4], [-4, -7], {
    heightM: 0.3,
    valuePerM: 15,
    flowerC: -2,
    aim: 'flower',
  }),
  crop('tomato', 'tomatoes', 'Solanaceae', [0.2, 0], [-1, -1.2], {
    heightM: 0.4,
    valuePerM: 30,
    baseC: 10,
    rowsPerM: 1,
    flowerC: 0,
    aim: 'grow',
    damageWord: 'chilled',
  }),
];

/** The crop with this id; a crop that the farm invented falls back to leaf lettuce's figures and says so by its name. */
export function cropById(id: string): Crop {
  return (
    CROPS.find((c) => c.id === id) ?? {
      ...CROPS.find((c) => c.id === 'lettuce-leaf')!,
      id,
      name: `${id}, not in the list: reckoned as lettuce`,
    }
  );
}

/** Whether a crop is in the list: what is not has no figures of its own. */
export function isCrop(id: string): boolean {
  return CROPS.some((c) => c.id === id);
}
