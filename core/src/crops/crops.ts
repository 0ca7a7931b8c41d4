/**
 * Crops and their starting values, from the tables beside. Contract: `CROPS` in the order of the list; `cropById` gives any id
 * figures, those of leaf lettuce and a name that says so where the list has none; `isCrop` says which it has. Every figure is
 * a starting value from general horticultural literature (the kind of source is in each table's head); the grower's own
 * records move them. Temperatures are °C of the tissue unless said.
 */
import { needed, numberIn, readTable, type TableRow } from './table';
import { COLD } from './tables/cold';
import { GROWTH } from './tables/growth';
import { SEED } from './tables/seed';
import { WHAT } from './tables/what';
import { CROP_WORDS, LEAF_BURN, notInList, PLANTS_LOST } from '@fogata/words/en/told/crops';

export const AIMS = ['survive', 'grow', 'flower'] as const;
/** What a cover is for: survive the cold, keep growing, save flowers and fruit. */
export type Aim = (typeof AIMS)[number];

export const GROUPS = [
  'salad',
  'cooking',
  'brassica',
  'root',
  'onion',
  'legume',
  'herb',
  'potato',
  'fruiting',
  'strawberry',
  'flower',
  'fruit',
  'manure',
  'rest',
  'stored',
] as const;
export type CropGroup = (typeof GROUPS)[number];

/** How it is picked: outer leaves, cut and come again, whole, and so on; `none` is dug in. */
export const HABITS = ['leaves', 'cut', 'whole', 'roots', 'stems', 'fruit', 'none'] as const;
export type Habit = (typeof HABITS)[number];
export const BOLTS = ['none', 'long', 'cold', 'heat'] as const;

/** Not hardened and fully hardened, °C. */
export type SoftHard = [number, number];

export interface Crop {
  id: string;
  name: string;
  family: string;
  group: CropGroup;
  aim: Aim;
  habit: Habit;

  /** Leaf damage begins. */
  damageC: SoftHard;
  /** Half the plants die: the growing point. */
  deathC: SoftHard;
  /** Root, bulb or corm is killed, by the temperature of the soil around it. */
  rootC: SoftHard;
  /** Open flowers are lost; null where they are not what is grown. */
  flowerC: number | null;
  /** Young fruit is lost. */
  fruitC: number | null;
  /** Harmed above zero by nights below this; null where it is not. */
  chillingC: number | null;
  /** Above this a leaf no longer grows; a day above `spoilC` spoils what is to be picked. */
  stopC: number;
  spoilC: number;
  /** Days of cold after planting until fully hardened. */
  hardenDays: number;

  /** Growth stands still below `baseC` and above `upperC`, and is fastest at `bestC`. */
  baseC: number;
  bestC: number;
  upperC: number;
  /** Of the seedbed; degree days over `minC`. Null where nothing is sown or planted dry. */
  emergence: { minC: number | null; bestC: number | null; maxC: number | null; degreeDays: number } | null;
  /** Degree days over `baseC` from emergence to planting out; null where it is sown where it grows. */
  raiseDd: number | null;
  /** From emergence to the first picking. */
  pickDd: number;
  /** From the first picking until it is over. */
  standDd: number;
  /** From a cut to the next; null where it is cut once. */
  againDd: number | null;
  /** Light at the leaf, mol/m² a day: below `darkMol` growth stands still, above `fullMol` warmth alone limits it. */
  light: { darkMol: number; fullMol: number };
  bolts: { by: (typeof BOLTS)[number]; dayH: number | null; coldDays: number | null };

  heightM: number;
  spreadM: number;
  spacingM: number;
  /** Rows for a metre of bed. */
  rowsPerM: number;
  groundCover: number;
  /** Of a metre of row, over all its cuts; null of flowers and what is dug in. */
  yieldKgPerM: number | null;
  cuts: number | null;
  /** A grower's value of one metre of row, in the farm's money. */
  valuePerM: number;

  sowing: {
    depthMm: number;
    wants: 'dark' | 'light' | 'either';
    /** Plants from one seed. */
    germs: number;
    seedMg: number;
    /** Share of fresh seed that comes up, 0 to 1. */
    germination: number;
    /** Years in which half of that is gone. */
    halfLifeYears: number;
  } | null;
  /** What it takes up, g/m². */
  nitrogenGM2: number;
  /** Diseases that stay in the soil for its kin, and the years to leave. */
  shares: string[];
  yearsAway: number;
  /** Rain spoils it as it ripens. */
  rainSensitive: boolean;
  pot: { litres: number; mlDay: number } | null;

  /** What leaf damage and death look like, in plain words. */
  damageWord: string;
  deathWord: string;
}

const soft = (row: TableRow, part: string): SoftHard => [
  needed(row, `${part}-soft`),
  needed(row, `${part}-hard`),
];

function emergenceOf(g: TableRow): Crop['emergence'] {
  const degreeDays = numberIn(g, 'up-dd');
  if (degreeDays === null) return null;
  return {
    minC: numberIn(g, 'up-min'),
    bestC: numberIn(g, 'up-best'),
    maxC: numberIn(g, 'up-max'),
    degreeDays,
  };
}

function sowingOf(s: TableRow): Crop['sowing'] {
  const depthMm = numberIn(s, 'depth');
  if (depthMm === null) return null;
  return {
    depthMm,
    wants: s['in'] as 'dark' | 'light' | 'either',
    germs: needed(s, 'germs'),
    seedMg: needed(s, 'mg'),
    germination: needed(s, 'germ') / 100,
    halfLifeYears: needed(s, 'half'),
  };
}

function cropOf(w: TableRow, c: TableRow, g: TableRow, s: TableRow, n: TableRow): Crop {
  const potL = numberIn(s, 'pot');
  return {
    id: w['id']!,
    name: n['name']!,
    family: w['family']!,
    group: w['group'] as CropGroup,
    aim: w['aim'] as Aim,
    habit: w['habit'] as Habit,
    damageC: soft(c, 'leaf'),
    deathC: soft(c, 'death'),
    rootC: soft(c, 'root'),
    flowerC: numberIn(c, 'flower'),
    fruitC: numberIn(c, 'fruit'),
    chillingC: numberIn(c, 'chill'),
    stopC: needed(c, 'stop'),
    spoilC: needed(c, 'spoil'),
    hardenDays: needed(c, 'days'),
    baseC: needed(g, 'base'),
    bestC: needed(g, 'best'),
    upperC: needed(g, 'upper'),
    emergence: emergenceOf(g),
    raiseDd: numberIn(g, 'raise'),
    pickDd: needed(g, 'pick'),
    standDd: needed(g, 'stand'),
    againDd: numberIn(g, 'again'),
    light: { darkMol: needed(g, 'dark'), fullMol: needed(g, 'full') },
    bolts: {
      by: g['bolts'] as Crop['bolts']['by'],
      dayH: numberIn(g, 'day-h'),
      coldDays: numberIn(g, 'cold-days'),
    },
    heightM: needed(w, 'height'),
    spreadM: needed(w, 'spread'),
    spacingM: needed(w, 'spacing'),
    rowsPerM: needed(w, 'rows/m'),
    groundCover: needed(w, 'cover'),
    yieldKgPerM: numberIn(w, 'kg/m'),
    cuts: numberIn(w, 'cuts'),
    valuePerM: needed(w, 'value'),
    sowing: sowingOf(s),
    nitrogenGM2: needed(s, 'N'),
    shares: s['shares'] === '-' ? [] : s['shares']!.split(',').map((x) => x.trim()),
    yearsAway: needed(s, 'years'),
    rainSensitive: s['rain'] === 'yes',
    pot: potL === null ? null : { litres: potL, mlDay: needed(s, 'ml') },
    damageWord: n['hurt'] || LEAF_BURN,
    deathWord: n['lost'] || PLANTS_LOST,
  };
}

function library(): Crop[] {
  const byId = (text: string) => new Map(readTable(text).map((row) => [row['id']!, row]));
  const [cold, growth, seed, words] = [byId(COLD), byId(GROWTH), byId(SEED), byId(CROP_WORDS)];
  return readTable(WHAT).map((w) => {
    const id = w['id']!;
    const [c, g, s, n] = [cold.get(id), growth.get(id), seed.get(id), words.get(id)];
    if (!c || !g || !s || !n) throw new Error(`${id} is not in every table of crops`);
    return cropOf(w, c, g, s, n);
  });
}

const LIBRARY = library();
/**
 * Whether it takes its place without growing: a rest, or what is kept in boxes through the winter.
 * @example growsNothing(cropById('dahlia-boxed')) // true
 */
export const growsNothing = (c: Pick<Crop, 'group'>): boolean => c.group === 'rest' || c.group === 'stored';
export const CROPS: readonly Crop[] = LIBRARY.filter((c) => !growsNothing(c));
/** What a row may be given to beside crops: it grows nothing, and holds the row. */
export const RESTS: readonly Crop[] = LIBRARY.filter((c) => c.group === 'rest');
/** What is kept in boxes until spring, on benches and shelves: it can freeze, and be carried in. */
export const STORED: readonly Crop[] = LIBRARY.filter((c) => c.group === 'stored');
/**
 * Whether it is a rest: nothing that a night could harm.
 * @example isRest('solarised') // true
 */
export const isRest = (id: string): boolean => RESTS.some((c) => c.id === id);
const BY_ID = new Map(LIBRARY.map((c) => [c.id, c]));

/**
 * The crop with this id; a crop that the farm invented falls back to leaf lettuce's figures and says so by its name.
 * @example cropById('kale').family // 'Brassicaceae'
 */
export function cropById(id: string): Crop {
  return (
    BY_ID.get(id) ?? {
      ...BY_ID.get('lettuce-leaf')!,
      id,
      name: notInList(id),
    }
  );
}

/**
 * Whether a crop is in the list: what is not has no figures of its own.
 * @example isCrop('triffid') // false
 */
export function isCrop(id: string): boolean {
  return BY_ID.has(id);
}

/** Half of the leaves are gone: six tenths of the way from where burn begins to where plants die. */
/**
 * A crop by its id or its name, in any case; null where the list has none.
 * @example cropNamed('Winter vetch') // 'winter-vetch'
 */
export function cropNamed(word: string): string | null {
  const low = word.toLowerCase();
  if (isCrop(low)) return low;
  return LIBRARY.find((c) => c.name.toLowerCase() === low)?.id ?? null;
}

/** @example leafDeathC(cropById('spinach')) // [-6.8, -12] */
export const leafDeathC = (crop: Crop): SoftHard => [
  crop.damageC[0] + 0.6 * (crop.deathC[0] - crop.damageC[0]),
  crop.damageC[1] + 0.6 * (crop.deathC[1] - crop.damageC[1]),
];
