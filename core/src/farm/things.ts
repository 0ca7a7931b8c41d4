/**
 * Structure, bed, planting, cover: each defined once, as it crosses every door; its type follows (`types.ts`). SI units, dates as
 * `YYYY-MM-DD` in the farm's time zone. Imported as a type everywhere in core: only doors carry Zod.
 */
import { z } from 'zod';
import { AIMS, isCrop } from '../crops/crops';
import { PICKED } from '../crops/picked';
import { FOOTINGS, MATERIAL_IDS, SHAPES, TEXTURES, TIGHTNESSES, WETNESSES } from '../heat/kinds';
import { CONDITIONS, FORMS, HEATS, HOWS, KINDS, OPENING_KINDS, SHADES, STEPS, USES, ZONES } from './kinds';

export const id = z.string().min(1).max(64);
export const date = z.iso.date({ error: 'a date like 2027-01-14' });
/** @example metres(0.1, 5).safeParse(9).success // false */
export const metres = (min: number, max: number) =>
  z.number({ error: 'a length in metres' }).min(min, `at least ${min} m`).max(max, `at most ${max} m`);
export const name = z.string().trim().min(1, 'a name').max(60, 'at most 60 letters');
const degrees = z.number({ error: 'degrees' }).min(0, '0 to 360 degrees').max(360, '0 to 360 degrees');
const onFarm = z.number({ error: 'metres' }).min(-5000, 'within 5000 m').max(5000, 'within 5000 m');
const draught = z.union([z.literal(0), z.literal(1), z.literal(2)]);

/** Something that opens. */
export const openingSchema = z.object({
  name,
  kind: z.enum(OPENING_KINDS),
  areaM2: z.number({ error: 'an area in m²' }).min(0.01, 'more than 0 m²').max(1000, 'at most 1000 m²'),
  /** A cylinder that starts to open at `startC` and has it fully open at `fullC`. */
  wax: z
    .object({
      startC: z.number().min(0, '0 to 50 °C').max(50, '0 to 50 °C'),
      fullC: z.number().min(5, '5 to 60 °C').max(60, '5 to 60 °C'),
    })
    .refine((w) => w.fullC > w.startC, 'fully open only above where it starts')
    .nullable()
    .optional(),
});

export const structureSchema = z.object({
  id,
  name,
  kind: z.enum(KINDS),
  shape: z.enum(SHAPES),
  sides: z.enum(['cover', 'board']),
  lengthM: metres(0.3, 300),
  widthM: metres(0.3, 60),
  heightM: metres(0.1, 12),
  material: z.enum(MATERIAL_IDS),
  plies: z.union([z.literal(1), z.literal(2)]),
  tightness: z.enum(TIGHTNESSES),
  ventAreaM2: z.number().min(0, '0 or more').max(2000, 'at most 2000 m²'),
  order: z.number().int(),
  // what follows may be left out
  /** What it is in a grower's words; `kind` is what the heat engine makes of it. */
  form: z.enum(FORMS).optional(),
  /** Its middle, metres east and north of the farm's own point; its length turned from north, clockwise, degrees. */
  at: z.object({ xM: onFarm, yM: onFarm, turnDeg: degrees }).optional(),
  /** Year in which it was last covered. */
  coveredYear: z
    .number({ error: 'a year' })
    .int('a whole year')
    .min(1950, 'a year like 2024')
    .max(2200, 'a year like 2024')
    .nullable()
    .optional(),
  /** Three plain questions about draughts: 0 none to feel, 1 some, 2 daylight. */
  snug: z.object({ ends: draught, edges: draught, skin: draught }).optional(),
  openings: z.array(openingSchema).max(20, 'at most 20 openings').optional(),
  /** Of a frame: how it stands. */
  footing: z.enum(FOOTINGS).optional(),
  shade: z.enum(SHADES).nullable().optional(),
  heat: z
    .object({
      kind: z.enum(HEATS),
      wm2: z.number().min(0, '0 to 300 W/m²').max(300, '0 to 300 W/m²'),
    })
    .nullable()
    .optional(),
  /** Water in jugs and barrels, litres in all. */
  waterLitres: z.number().min(0, '0 or more').max(50_000, 'at most 50000 l').optional(),
  /** The maker's or an engineer's figures, where they are known. */
  snowRatingKgM2: z.number().min(0, '0 or more').max(1000, 'at most 1000 kg/m²').nullable().optional(),
  windRatingMps: z.number().min(0, '0 or more').max(100, 'at most 100 m/s').nullable().optional(),
});

/** From when speeds and instants both ended in `Ms`. */
const OLDER_NAMES: Readonly<Record<string, string>> = {
  windRatingMs: 'windRatingMps',
  issuedMs: 'issuedAtMs',
  importedMs: 'importedAtMs',
  recordedMs: 'recordedAtMs',
  arrivedMs: 'arrivedAtMs',
  fromMs: 'fromAtMs',
  toMs: 'toAtMs',
};

/**
 * The fields of a thing or a row as they are called now: of records, backups and files that were written under older names.
 * @example namedNow({ windRatingMs: 25 }) // { windRatingMps: 25 }
 */
export function namedNow<T extends object>(fields: T): T {
  if (!Object.keys(fields).some((k) => k in OLDER_NAMES)) return fields;
  return Object.fromEntries(Object.entries(fields).map(([k, v]) => [OLDER_NAMES[k] ?? k, v])) as T;
}

export const bedSchema = z.object({
  id,
  structureId: id,
  name,
  lengthM: metres(0.3, 300),
  widthM: metres(0.2, 10),
  rows: z
    .number({ error: 'a number of rows' })
    .int('a whole number of rows')
    .min(1, 'at least one row')
    .max(40, 'at most 40 rows'),
  on: z.enum(['ground', 'bench']),
  texture: z.enum(TEXTURES),
  wetness: z.enum(WETNESSES),
  mulchM: metres(0, 0.3),
  /** 0 where it has no hoops. */
  hoopHeightM: metres(0, 2),
  order: z.number().int(),
  // what follows may be left out
  zone: z.enum(ZONES).optional(),
  /** K against the centre; null or left out: the zone's starting value. */
  zoneOffsetC: z.number().min(-10, '−10 to 10 K').max(10, '−10 to 10 K').nullable().optional(),
  /** Its middle, metres along the structure's length and across it, from the structure's middle. */
  at: z.object({ alongM: onFarm, acrossM: onFarm }).optional(),
  /** Crates or trays on a bench. */
  crates: z
    .object({
      count: z.number().int('whole crates').min(1).max(9999),
      lengthM: metres(0.05, 5),
      widthM: metres(0.05, 5),
      plantsEach: z.number().int('whole plants').min(1).max(2000),
      /** What one weighs, watered. */
      kgEach: z.number({ error: 'kilos' }).min(0.1, '0.1 kg or more').max(200, 'at most 200 kg').optional(),
    })
    .nullable()
    .optional(),
  /** In crates or on a bench: the day on which their soil was last new. */
  mixOn: date.nullable().optional(),
});

export const plantingSchema = z.object({
  id,
  bedId: id,
  crop: z
    .string()
    .trim()
    .min(1, 'choose a crop from the list')
    .max(40, 'at most 40 letters')
    .refine(isCrop, 'a crop of the list, as GET /api/crops has it'),
  cultivar: z.string().trim().max(60, 'at most 60 letters'),
  fromRow: z.number({ error: 'a row' }).int('a whole row').min(1, 'row 1 or more'),
  toRow: z.number({ error: 'a row' }).int('a whole row').min(1, 'row 1 or more'),
  lengthM: metres(0.1, 300),
  plantedOn: date,
  /** In the future: when it is to be clear. */
  clearedOn: date.nullable(),
  aim: z.enum(AIMS),
  note: z.string().max(500, 'at most 500 letters'),
  /** Sown where it grows or brought from a tray; left out, as the crop usually is. */
  how: z.enum(HOWS).optional(),
  /** How it is picked; left out, as the crop usually is. */
  picked: z.enum(PICKED).optional(),
  /** Left to flower and to ripen seed: nothing is picked of it. */
  forSeed: z.boolean().optional(),
  /** Thought of, and not said to be in the ground yet: `plantedOn` is the day that is meant. */
  planned: z.boolean().optional(),
  /** What was done of its steps, and on which day. */
  done: z.partialRecord(z.enum(STEPS), date).optional(),
});
export const coverSchema = z.object({
  id,
  name,
  material: z.enum(MATERIAL_IDS),
  plies: z.union([z.literal(1), z.literal(2)]),
  lengthM: metres(0.3, 300),
  widthM: metres(0.2, 30),
  count: z
    .number({ error: 'a number of pieces' })
    .int('whole pieces')
    .min(0, '0 or more')
    .max(999, 'at most 999'),
  use: z.enum(USES),
  /** Minutes to fetch and lay one piece. */
  minutes: z.number().min(0, '0 or more').max(240, 'at most 240'),
  order: z.number().int(),
  // what follows may be left out
  condition: z.enum(CONDITIONS).optional(),
  keptAt: z.string().trim().max(60, 'at most 60 letters').optional(),
  /** What it was cut or sewn for. */
  madeFor: z.string().trim().max(60, 'at most 60 letters').optional(),
  /** In which other ways than its usual one it may lie; left out, as its cloth bears. */
  ways: z.array(z.enum(USES)).max(3).optional(),
  /** Of a place indoors, whose pieces are crates that it has room for: the coldest that it gets there in a night, °C. */
  nightC: z
    .number({ error: 'degrees' })
    .min(-10, '−10 to 30 °C')
    .max(30, '−10 to 30 °C')
    .nullable()
    .optional(),
  /** Of a place that is no room but lower down in a house or frame, under a bench or on the floor: which one, and by how much warmer it is there, K. */
  lowerIn: id.nullable().optional(),
  warmerK: z.number({ error: 'degrees' }).min(0, '0 to 8 K').max(8, '0 to 8 K').nullable().optional(),
});
