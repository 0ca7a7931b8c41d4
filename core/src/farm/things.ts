/**
 * Structure, bed, planting, cover: each defined once, as it crosses every door; its type follows (`types.ts`). SI units, dates as
 * `YYYY-MM-DD` in the farm's time zone. Imported as a type everywhere in core: only doors carry Zod.
 */
import { z } from 'zod';
import { wants } from '../words/wants';
import { AIMS, isCrop } from '../crops/crops';
import { PICKED } from '../crops/picked';
import { FOOTINGS, MATERIAL_IDS, SHAPES, TEXTURES, TIGHTNESSES, WETNESSES } from '../heat/kinds';
import { CONDITIONS, FORMS, HEATS, HOWS, KINDS, OPENING_KINDS, SHADES, STEPS, USES, ZONES } from './kinds';

export const id = z.string().min(1).max(64);
export const date = z.iso.date();
/** @example metres(0.1, 5).safeParse(9).success // false */
export const metres = (min: number, max: number) => z.number().min(min).max(max);
export const name = z.string().trim().min(1).max(60);
const degrees = z.number().min(0).max(360);
const onFarm = z.number().min(-5000).max(5000);
const draught = z.union([z.literal(0), z.literal(1), z.literal(2)]);

/** Something that opens. */
export const openingSchema = z.object({
  name,
  kind: z.enum(OPENING_KINDS),
  areaM2: z.number().min(0.01).max(1000),
  /** A cylinder that starts to open at `startC` and has it fully open at `fullC`. */
  wax: z
    .object({
      startC: z.number().min(0).max(50),
      fullC: z.number().min(5).max(60),
    })
    .refine((w) => w.fullC > w.startC, wants('want.fullAboveStart'))
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
  ventAreaM2: z.number().min(0).max(2000),
  order: z.number().int(),
  // what follows may be left out
  /** What it is in a grower's words; `kind` is what the heat engine makes of it. */
  form: z.enum(FORMS).optional(),
  /** Its middle, metres east and north of the farm's own point; its length turned from north, clockwise, degrees. */
  at: z.object({ xM: onFarm, yM: onFarm, turnDeg: degrees }).optional(),
  /** Year in which it was last covered. */
  coveredYear: z.number().int().min(1950).max(2200).nullable().optional(),
  /** Three plain questions about draughts: 0 none to feel, 1 some, 2 daylight. */
  snug: z.object({ ends: draught, edges: draught, skin: draught }).optional(),
  openings: z.array(openingSchema).max(20).optional(),
  /** Of a frame: how it stands. */
  footing: z.enum(FOOTINGS).optional(),
  shade: z.enum(SHADES).nullable().optional(),
  heat: z
    .object({
      kind: z.enum(HEATS),
      wm2: z.number().min(0).max(300),
    })
    .nullable()
    .optional(),
  /** Water in jugs and barrels, litres in all. */
  waterLitres: z.number().min(0).max(50_000).optional(),
  /** The maker's or an engineer's figures, where they are known. */
  snowRatingKgM2: z.number().min(0).max(1000).nullable().optional(),
  windRatingMps: z.number().min(0).max(100).nullable().optional(),
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
  rows: z.number().int().min(1).max(40),
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
  zoneOffsetC: z.number().min(-10).max(10).nullable().optional(),
  /** Its middle, metres along the structure's length and across it, from the structure's middle. */
  at: z.object({ alongM: onFarm, acrossM: onFarm }).optional(),
  /** Crates or trays on a bench. */
  crates: z
    .object({
      count: z.number().int().min(1).max(9999),
      lengthM: metres(0.05, 5),
      widthM: metres(0.05, 5),
      plantsEach: z.number().int().min(1).max(2000),
      /** What one weighs, watered. */
      kgEach: z.number().min(0.1).max(200).optional(),
    })
    .nullable()
    .optional(),
  /** In crates or on a bench: the day on which their soil was last new. */
  mixOn: date.nullable().optional(),
});

export const plantingSchema = z.object({
  id,
  bedId: id,
  crop: z.string().trim().max(40).refine(isCrop, wants('want.crop')),
  cultivar: z.string().trim().max(60),
  fromRow: z.number().int().min(1),
  toRow: z.number().int().min(1),
  lengthM: metres(0.1, 300),
  plantedOn: date,
  /** In the future: when it is to be clear. */
  clearedOn: date.nullable(),
  aim: z.enum(AIMS),
  note: z.string().max(500),
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
  count: z.number().int().min(0).max(999),
  use: z.enum(USES),
  /** Minutes to fetch and lay one piece. */
  minutes: z.number().min(0).max(240),
  order: z.number().int(),
  // what follows may be left out
  condition: z.enum(CONDITIONS).optional(),
  keptAt: z.string().trim().max(60).optional(),
  /** What it was cut or sewn for. */
  madeFor: z.string().trim().max(60).optional(),
  /** In which other ways than its usual one it may lie; left out, as its cloth bears. */
  ways: z.array(z.enum(USES)).max(3).optional(),
  /** Of a place indoors, whose pieces are crates that it has room for: the coldest that it gets there in a night, °C. */
  nightC: z.number().min(-10).max(30).nullable().optional(),
  /** Of a place that is no room but lower down in a house or frame, under a bench or on the floor: which one, and by how much warmer it is there, K. */
  lowerIn: id.nullable().optional(),
  warmerK: z.number().min(0).max(8).nullable().optional(),
});
