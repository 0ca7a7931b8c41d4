/**
 * What is kept for seed. Contract: `savingOf` says of a crop with whom it crosses, by what its pollen travels and how far apart it must flower
 * from them; null where it is kept by cloves, bulbs or tubers. Crops of one `species` cross. Starting values from seed savers' common
 * ground, for a garden's own use, not for sale by variety: distances are halved by a hedge or a house between.
 */
import { SPECIES_NAME } from '@fogata/words/en/told/names';
export interface Saving {
  species: string;
  by: 'itself' | 'insects' | 'wind';
  /** Metres from another of its species in flower. */
  apartM: number;
  /** Plants to save from, so that it stays what it is. */
  plants: number;
}

const APART_M = { itself: 5, insects: 500, wind: 1500 } as const;
const PLANTS = { itself: 8, insects: 40, wind: 60 } as const;

/** One line a species: its crops, and how far where it is not the usual. */
const SPECIES: readonly [species: string, by: Saving['by'], crops: string[], apartM?: number][] = [
  [SPECIES_NAME.lettuce, 'itself', ['lettuce', 'lettuce-leaf', 'lettuce-romaine']],
  [SPECIES_NAME.endive, 'itself', ['endive', 'escarole'], 20],
  [SPECIES_NAME.chicory, 'insects', ['radicchio', 'sugarloaf']],
  [SPECIES_NAME.spinach, 'wind', ['spinach']],
  [SPECIES_NAME.beet, 'wind', ['chard', 'beetroot']],
  [
    SPECIES_NAME.turnipKin,
    'insects',
    ['mizuna', 'tatsoi', 'komatsuna', 'pak-choi', 'napa-cabbage', 'turnip'],
  ],
  [
    SPECIES_NAME.cabbageKin,
    'insects',
    ['kale', 'collard', 'spring-cabbage', 'savoy', 'cauliflower', 'broccoli', 'purple-sprouting', 'kohlrabi'],
  ],
  [SPECIES_NAME.radish, 'insects', ['radish', 'winter-radish']],
  [SPECIES_NAME.celery, 'insects', ['celery', 'celeriac']],
  [SPECIES_NAME.onion, 'insects', ['onion', 'shallot']],
  [SPECIES_NAME.tomato, 'itself', ['tomato', 'cherry-tomato']],
  [SPECIES_NAME.pepper, 'itself', ['pepper', 'chilli'], 50],
  [SPECIES_NAME.aubergine, 'itself', ['aubergine'], 20],
  [SPECIES_NAME.pea, 'itself', ['pea-shoots', 'snap-pea'], 10],
  [SPECIES_NAME.bean, 'itself', ['french-bean', 'climbing-bean'], 10],
  [SPECIES_NAME.broadBean, 'insects', ['broad-bean', 'field-bean']],
  [SPECIES_NAME.maize, 'wind', ['sweetcorn'], 300],
  [SPECIES_NAME.mache, 'itself', ['mache'], 30],
  [SPECIES_NAME.claytonia, 'itself', ['claytonia'], 10],
];
const BY_CROP = new Map(
  SPECIES.flatMap(([species, by, crops, apartM]) =>
    crops.map((id) => [id, { species, by, apartM: apartM ?? APART_M[by], plants: PLANTS[by] }] as const),
  ),
);
/** Kept by what is in the ground, not by seed. */
const NO_SEED = new Set([
  'garlic',
  'potato',
  'tulip',
  'narcissus',
  'freesia',
  'anemone',
  'ranunculus',
  'dahlia',
  'strawberry',
  'day-neutral',
  'fig',
  'raspberry',
  'grape',
  'mint',
  'rest',
  'solarised',
  'dahlia-boxed',
  'potato-boxed',
  'corms-boxed',
]);

/**
 * @example savingOf('mizuna')?.species // 'turnip kin'
 */
export const savingOf = (crop: string): Saving | null =>
  NO_SEED.has(crop)
    ? null
    : (BY_CROP.get(crop) ?? {
        species: crop,
        by: 'insects',
        apartM: APART_M.insects,
        plants: PLANTS.insects,
      });
