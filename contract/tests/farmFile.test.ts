/** The farm's own file and the shapes within it: what is taken, and how what is not is named. */
import {
  bedSchema,
  coverSchema,
  expectedOf,
  farmSchema,
  plantingSchema,
  readFarmFile,
  recordSchema,
  structureSchema,
  type FarmFile,
} from '../src';
import { PLAIN, told } from '@fogata/core/words';
import { inWords } from './inWords';

const readFarmFileTold = inWords(readFarmFile);

const farm = {
  name: 'Rescoldo',
  latitude: 42.7,
  longitude: -5.4,
  elevationM: 860,
  timeZone: 'Europe/Madrid',
  units: { temperature: 'C', length: 'm', clock: 24 },
  currency: '€',
  hourlyRate: 16,
  theme: 'clock',
  schools: { aim: 'crop', uncover: 'thaw', touch: 'both' },
};
const structure = {
  id: 'h',
  name: 'House',
  kind: 'house',
  shape: 'arch',
  sides: 'cover',
  lengthM: 20,
  widthM: 6,
  heightM: 2.6,
  material: 'pe-film',
  plies: 1,
  tightness: 'average',
  ventAreaM2: 8,
  order: 0,
};
const bed = {
  id: 'b',
  structureId: 'h',
  name: 'Bed 1',
  lengthM: 18,
  widthM: 1,
  rows: 4,
  on: 'ground',
  texture: 'loam',
  wetness: 'moist',
  mulchM: 0,
  hoopHeightM: 0.5,
  order: 0,
};
const cover = {
  id: 'c',
  name: 'Fleece',
  material: 'fleece-30',
  plies: 1,
  lengthM: 20,
  widthM: 2.1,
  count: 2,
  use: 'hoops',
  minutes: 6,
  order: 0,
};
const file = (more: object = {}): unknown => ({
  format: 'fogata-farm/1',
  farm,
  structures: [structure],
  beds: [bed],
  plantings: [],
  covers: [cover],
  records: [],
  ...more,
});
const taken = (json: unknown): FarmFile => {
  const read = readFarmFileTold(json);
  if ('problem' in read) throw new Error(read.problem);
  return read.file;
};
const refused = (json: unknown): string => {
  const read = readFarmFileTold(json);
  return 'problem' in read ? read.problem : 'taken';
};

test('a file from before a setting was known takes its default', () => {
  const { farm: read } = taken(file());
  expect(read.wind).toBe('open');
  expect(read.frost).toEqual({ lastSpring: null, firstAutumn: null, eitherWayDays: 14, from: 'typed' });
  expect(read.gear.sandbags).toBe(0);
  expect(read.rolls).toEqual([]);
});

test('a file from when instants did not say that they are instants is read as it was meant', () => {
  const seen = {
    id: '0b3f6a1e-6a55-4c1a-9a42-0f6d3b8f0c11',
    kind: 'note',
    atMs: 1_000,
    text: 'ice on the lids',
  };
  const at = (fromKey: string, toKey: string) => ({
    id: 'f',
    name: 'typed',
    source: 'typed',
    [`issued${fromKey}`]: 1,
    [`imported${fromKey}`]: 2,
    [`from${toKey}`]: 3,
    [`to${toKey}`]: 4,
    entries: [{ time: '2027-01-14T12:00:00Z', airC: 1, dewPointC: 0, windMs: 1, cloudFraction: 1 }],
    doubt: 1,
    active: true,
  });
  const weather = (key: string) => ({
    forecasts: [at(key, key)],
    observations: [],
    temperatures: [],
    evenings: [{ night: '2027-01-14', [`issued${key}`]: 5, data: { spots: {}, beds: {} } }],
  });
  const older = taken(file({ records: [seen], arrivedMs: [7], weather: weather('Ms') }));
  expect(older).toEqual(taken(file({ records: [seen], arrivedAtMs: [7], weather: weather('AtMs') })));
  expect(older.weather!.forecasts[0]).toMatchObject({
    issuedAtMs: 1,
    importedAtMs: 2,
    fromAtMs: 3,
    toAtMs: 4,
  });
  expect([older.arrivedAtMs, older.weather!.evenings[0]!.issuedAtMs]).toEqual([[7], 5]);
});

test('what was taken once is taken again as it is', () => {
  const once = taken(file());
  expect(taken(JSON.parse(JSON.stringify(once)))).toEqual(once);
});

test.each([
  ['no format', file({ format: undefined }), /^format: expected the string fogata-farm\/1/],
  ['an unknown field of a bed', file({ beds: [{ ...bed, colour: 'red' }] }), /colour/],
  [
    'a bed that hangs in the air',
    file({ structures: [] }),
    /^beds\[0\]\.structureId: expected a structure of this file$/,
  ],
  [
    'a planting without its bed',
    file({
      plantings: [
        {
          id: 'p',
          bedId: 'x',
          crop: 'spinach',
          cultivar: '',
          fromRow: 1,
          toRow: 2,
          lengthM: 5,
          plantedOn: '2026-10-01',
          clearedOn: null,
          aim: 'survive',
          note: '',
        },
      ],
    }),
    /^plantings\[0\]\.bedId: expected a bed of this file$/,
  ],
  [
    'two beds of one id',
    file({ beds: [bed, bed] }),
    /^beds\[1\]\.id: expected one that no other has, not b$/,
  ],
  ['a latitude off the globe', file({ farm: { ...farm, latitude: 95 } }), /^farm\.latitude: /],
  [
    'a month that is none',
    file({
      farm: { ...farm, frost: { lastSpring: '13-01', firstAutumn: null, eitherWayDays: 3, from: 'typed' } },
    }),
    /^farm\.frost\.lastSpring: .*04-18/,
  ],
  ['half a row', file({ beds: [{ ...bed, rows: 2.5 }] }), /^beds\[0\]\.rows: .*whole number/],
  ['nothing', null, /./],
])('%s is refused in one line that names it', (_, json, why) => {
  const line = refused(json);
  expect(line).toMatch(why);
  expect(line.split('\n')).toHaveLength(1);
});

test('a file from when the wind that a maker rates had another name is read', () => {
  expect(refused(file({ structures: [{ ...structure, windRatingMs: 25 }] }))).toBe('taken');
  const line = refused(file({ structures: [{ ...structure, windRatingMs: -1 }] }));
  expect(line).toMatch(/^structures\[0\]\.windRatingMps: /);
});

test('optional things of structure, bed and cover are taken in their ranges only', () => {
  const good = structureSchema.parse({
    ...structure,
    form: 'hoop-house',
    at: { xM: -3, yM: 4, turnDeg: 0 },
    snug: { ends: 0, edges: 1, skin: 2 },
    openings: [{ name: 'Doors', kind: 'door', areaM2: 4, wax: null }],
    shade: 'shade-30',
    heat: { kind: 'manure', wm2: 60 },
    waterLitres: 100,
    snowRatingKgM2: null,
  });
  expect(good.openings).toHaveLength(1);
  for (const bad of [
    { form: 'castle' },
    { at: { xM: 0, yM: 0, turnDeg: -1 } },
    { snug: { ends: 3, edges: 0, skin: 0 } },
    { openings: [{ name: '', kind: 'door', areaM2: 4 }] },
    { openings: [{ name: 'D', kind: 'door', areaM2: 0 }] },
    { heat: { kind: 'air', wm2: 900 } },
    { coveredYear: 24 },
  ])
    expect(structureSchema.safeParse({ ...structure, ...bad }).success).toBe(false);
  expect(bedSchema.safeParse({ ...bed, zone: 'attic' }).success).toBe(false);
  expect(
    bedSchema.parse({ ...bed, crates: { count: 3, lengthM: 0.6, widthM: 0.4, plantsEach: 8 } }).crates!.count,
  ).toBe(3);
  expect(coverSchema.safeParse({ ...cover, condition: 'lost' }).success).toBe(false);
  expect(
    farmSchema.safeParse({
      ...farm,
      rolls: [{ id: 'r', material: 'wool', widthM: 3, lengthM: 50, count: 1 }],
    }).success,
  ).toBe(false);
});

test('being made ready for wind or snow is a record; for anything else it is none', () => {
  const record = {
    id: '3b0d6a52-58a4-4a8e-9a6e-000000000001',
    kind: 'secured',
    atMs: 1,
    structureId: 'h',
    what: 'snow',
  };
  expect(recordSchema.safeParse(record).success).toBe(true);
  expect(recordSchema.safeParse({ ...record, what: 'locusts' }).success).toBe(false);
});

describe('what the inside relies on is checked at the door', () => {
  const planting = {
    id: 'p',
    bedId: 'b',
    crop: 'leek',
    cultivar: '',
    fromRow: 1,
    toRow: 4,
    lengthM: 18,
    plantedOn: '2026-10-01',
    clearedOn: null,
    aim: 'survive',
    note: '',
  };

  test('a crop that is not in the list has no figures, and is refused by name; so is none', () => {
    expect(plantingSchema.safeParse(planting).success).toBe(true);
    for (const crop of ['lettus', '', '  ']) {
      const read = plantingSchema.safeParse({ ...planting, crop });
      expect(read.success).toBe(false);
      expect(read.error!.issues[0]!.path).toEqual(['crop']);
      expect(told(expectedOf(read.error!.issues[0]!), PLAIN)).toMatch(/crop .*list/);
    }
  });

  test('a time zone with one wrong letter is refused, in settings and in a farm’s file', () => {
    for (const timeZone of ['Europe/Madird', '', 'UTC+1:30 or so']) {
      expect(farmSchema.safeParse({ ...farm, timeZone }).success).toBe(false);
      expect(readFarmFileTold(file({ farm: { ...farm, timeZone } }))).toMatchObject({
        problem: expect.stringMatching(/farm\.timeZone: expected a time zone like/),
      });
    }
  });
});
