/**
 * Rescoldo, the invented farm: a high inland valley with clear cold nights. Names of cultivars are invented; sizes,
 * dates and prices are made up to be ordinary. It opens on a January afternoon before three nights of frost.
 */
import type { Farm, FarmRecord } from '@fogata/contract';
import { atLocal, type Bed, type Cover, type Planting, type Structure } from '@fogata/core';
import type { Episode } from '@fogata/core/standins';
import { randomUUID } from 'node:crypto';

const ZONE = 'Europe/Madrid';

export const DEMO_FARM: Farm = {
  name: 'Rescoldo',
  latitude: 42.7,
  longitude: -5.4,
  elevationM: 860,
  timeZone: ZONE,
  units: { temperature: 'C', length: 'm', clock: 24 },
  currency: '€',
  hourlyRate: 16,
  hands: 1,
  theme: 'clock',
  schools: { aim: 'crop', uncover: 'thaw', touch: 'both' },
  wind: 'open',
  coldAir: 'hollow',
  windFromDeg: 300,
  frost: { lastSpring: '05-06', firstAutumn: '10-11', eitherWayDays: 12, from: 'typed' },
  gear: { hoops: 96, clips: 140, sandbags: 70, pegs: 160, jugs: 24, props: 6 },
  rolls: [
    { id: 'r-fleece', material: 'fleece-30', widthM: 3.2, lengthM: 100, count: 1 },
    { id: 'r-film', material: 'pe-film', widthM: 4, lengthM: 50, count: 1 },
  ],
};

export const DEMO_SEED = 42;
/** Thursday 14 January 2027, 15:30 on the farm's clock. */
export const DEMO_START_MS = atLocal('2027-01-14', 15, 30, ZONE);

/** Clear and calm, then windy, then overcast. */
export const DEMO_EPISODES: Episode[] = [
  {
    fromMs: atLocal('2027-01-12', 18, 0, ZONE),
    toMs: atLocal('2027-01-14', 6, 0, ZONE),
    meanC: 1.5,
    cloud: 0.35,
    windMs: 1.5,
    drynessK: 4,
  },
  {
    fromMs: atLocal('2027-01-14', 6, 0, ZONE),
    toMs: atLocal('2027-01-15', 14, 0, ZONE),
    meanC: -1,
    cloud: 0.05,
    windMs: 0.8,
    drynessK: 5.5,
  },
  {
    fromMs: atLocal('2027-01-15', 14, 0, ZONE),
    toMs: atLocal('2027-01-16', 14, 0, ZONE),
    meanC: -1.5,
    cloud: 0.2,
    windMs: 6.5,
    drynessK: 5,
  },
  {
    fromMs: atLocal('2027-01-16', 14, 0, ZONE),
    toMs: atLocal('2027-01-17', 16, 0, ZONE),
    meanC: -1.8,
    cloud: 0.96,
    windMs: 1.6,
    drynessK: 2,
  },
];

const house = { kind: 'house', shape: 'arch', sides: 'cover', material: 'pe-film', plies: 1 } as const;

export const DEMO_STRUCTURES: Structure[] = [
  {
    id: 'north',
    form: 'hoop-house',
    at: { xM: 0, yM: 14, turnDeg: 84 },
    coveredYear: 2024,
    openings: [
      { name: 'Doors', kind: 'door', areaM2: 6 },
      { name: 'Gable flaps', kind: 'hinged', areaM2: 4 },
    ],
    snowRatingKgM2: 35,
    windRatingMs: 25,
    name: 'North house',
    ...house,
    lengthM: 24,
    widthM: 7,
    heightM: 2.9,
    tightness: 'average',
    ventAreaM2: 10,
    order: 0,
  },
  {
    id: 'south',
    form: 'hoop-house',
    at: { xM: -2, yM: 2, turnDeg: 84 },
    coveredYear: 2019,
    openings: [{ name: 'Doors', kind: 'door', areaM2: 8 }],
    name: 'South house',
    ...house,
    lengthM: 18,
    widthM: 6,
    heightM: 2.6,
    tightness: 'drafty',
    ventAreaM2: 8,
    order: 1,
  },
  {
    id: 'frames',
    form: 'cold-frame',
    at: { xM: 17, yM: 3, turnDeg: 84 },
    openings: [{ name: 'Lids', kind: 'lid', areaM2: 1.2 }],
    name: 'Frames',
    kind: 'frame',
    footing: 'banked',
    shape: 'box',
    sides: 'board',
    lengthM: 3.6,
    widthM: 1.2,
    heightM: 0.4,
    material: 'glass',
    plies: 1,
    tightness: 'average',
    ventAreaM2: 1.2,
    order: 2,
  },
  {
    id: 'tunnels',
    form: 'low-tunnel',
    at: { xM: -3, yM: -8, turnDeg: 84 },
    openings: [{ name: 'One side lifted', kind: 'roll-up', areaM2: 2 }],
    name: 'Low tunnels',
    kind: 'tunnel',
    shape: 'arch',
    sides: 'cover',
    lengthM: 15,
    widthM: 1.2,
    heightM: 0.55,
    material: 'pe-film',
    plies: 1,
    tightness: 'average',
    ventAreaM2: 2,
    order: 3,
  },
  {
    id: 'open',
    form: 'open-ground',
    at: { xM: 0, yM: -14, turnDeg: 84 },
    name: 'Open beds',
    kind: 'open',
    shape: 'flat',
    sides: 'cover',
    lengthM: 20,
    widthM: 1.2,
    heightM: 0.1,
    material: 'pe-film',
    plies: 1,
    tightness: 'average',
    ventAreaM2: 0,
    order: 4,
  },
];

function bed(
  id: string,
  structureId: string,
  name: string,
  lengthM: number,
  widthM: number,
  rows: number,
  order: number,
  more: Partial<Bed> = {},
): Bed {
  return {
    id,
    structureId,
    name,
    lengthM,
    widthM,
    rows,
    on: 'ground',
    texture: 'loam',
    wetness: 'moist',
    mulchM: 0,
    hoopHeightM: 0,
    order,
    ...more,
  };
}

export const DEMO_BEDS: Bed[] = [
  bed('n1', 'north', 'N1', 22, 1.0, 5, 0, { hoopHeightM: 0.5, zone: 'side-left', zoneOffsetC: -0.2 }),
  bed('n2', 'north', 'N2', 22, 1.0, 4, 1, { hoopHeightM: 0.5 }),
  bed('n3', 'north', 'N3', 22, 1.0, 4, 2, { hoopHeightM: 0.5 }),
  bed('n4', 'north', 'N4', 22, 1.0, 4, 3, { hoopHeightM: 0.5 }),
  bed('n5', 'north', 'N5', 22, 1.0, 2, 4, { hoopHeightM: 0.5, wetness: 'moist' }),
  bed('s1', 'south', 'S1', 16, 1.0, 4, 0, { hoopHeightM: 0.5 }),
  bed('s2', 'south', 'S2', 16, 1.0, 4, 1, { hoopHeightM: 0.5 }),
  bed('s3', 'south', 'S3', 16, 1.0, 6, 2, { hoopHeightM: 0.5 }),
  bed('s4', 'south', 'S4 bench', 8, 0.8, 4, 3, {
    on: 'bench',
    texture: 'compost',
    crates: { count: 26, lengthM: 0.6, widthM: 0.4, plantsEach: 8 },
  }),
  bed('f1', 'frames', 'Frame 1', 3.4, 1.0, 5, 0),
  bed('f2', 'frames', 'Frame 2', 3.4, 1.0, 5, 1),
  bed('f3', 'frames', 'Frame 3', 3.4, 1.0, 4, 2),
  bed('t1', 'tunnels', 'Tunnel 1', 14.5, 1.0, 4, 0),
  bed('t2', 'tunnels', 'Tunnel 2', 14.5, 1.0, 4, 1),
  bed('o1', 'open', 'Open 1', 20, 1.0, 3, 0),
  bed('o2', 'open', 'Open 2', 20, 1.0, 3, 1, { mulchM: 0.06 }),
];

function planting(
  id: string,
  bedId: string,
  crop: string,
  cultivar: string,
  rows: [number, number],
  lengthM: number,
  plantedOn: string,
  aim: Planting['aim'] = 'survive',
): Planting {
  return {
    id,
    bedId,
    crop,
    cultivar,
    fromRow: rows[0],
    toRow: rows[1],
    lengthM,
    plantedOn,
    clearedOn: null,
    aim,
    note: '',
  };
}

export const DEMO_PLANTINGS: Planting[] = [
  planting('p01', 'n1', 'spinach', 'Brasa Verde', [1, 3], 22, '2026-09-24'),
  planting('p02', 'n1', 'spring-onion', 'Hilo Blanco', [4, 5], 22, '2026-10-02'),
  planting('p03', 'n2', 'lettuce', 'Farolillo', [1, 4], 22, '2026-10-12'),
  planting('p04', 'n3', 'chard', 'Tizón', [1, 2], 22, '2026-10-05'),
  planting('p05', 'n3', 'coriander', 'Yesca', [3, 4], 22, '2026-10-20'),
  planting('p06', 'n4', 'rocket', 'Chispa', [1, 2], 22, '2026-10-08'),
  planting('p07', 'n4', 'mizuna', 'Plumilla', [3, 4], 22, '2026-10-08'),
  planting('p08', 'n5', 'potato', 'Temprana del Horno', [1, 2], 22, '2026-12-20', 'grow'),
  planting('p09', 's1', 'lettuce-leaf', 'Candil', [1, 4], 16, '2026-11-10'),
  planting('p10', 's2', 'strawberry', 'Ascua', [1, 2], 16, '2026-09-05'),
  planting('p11', 's2', 'radish', 'Perdigón', [3, 4], 16, '2026-12-15'),
  planting('p12', 's3', 'anemone', 'Sereno', [1, 6], 16, '2026-09-20', 'flower'),
  planting('p13', 's4', 'pak-choi', 'Cuenco', [1, 4], 8, '2026-11-20', 'grow'),
  planting('p14', 'f1', 'mache', 'Copito', [1, 5], 3.4, '2026-09-18'),
  planting('p15', 'f2', 'claytonia', 'Rocío', [1, 5], 3.4, '2026-09-22'),
  planting('p16', 'f3', 'parsley', 'Encaje', [1, 4], 3.4, '2026-09-01'),
  planting('p17', 't1', 'carrot', 'Rescoldina', [1, 4], 14.5, '2026-08-28'),
  planting('p18', 't2', 'endive', 'Rizo Frío', [1, 4], 14.5, '2026-09-10'),
  planting('p19', 'o1', 'kale', 'Cuero Negro', [1, 3], 20, '2026-07-28'),
  planting('p20', 'o2', 'leek', 'Largo de Nieve', [1, 3], 20, '2026-06-20'),
];

function cover(
  id: string,
  name: string,
  material: Cover['material'],
  lengthM: number,
  widthM: number,
  count: number,
  use: Cover['use'],
  minutes: number,
  order: number,
  keptAt: string,
  condition: Cover['condition'] = 'good',
): Cover {
  return { id, name, material, plies: 1, lengthM, widthM, count, use, minutes, order, keptAt, condition };
}

/** Not enough for everything: seven sheets of fleece for nine beds on hoops, two blankets. */
export const DEMO_COVERS: Cover[] = [
  cover('fleece30', 'Fleece 30', 'fleece-30', 24, 2.1, 4, 'hoops', 6, 0, 'shed, left wall'),
  cover('fleece50', 'Fleece 50', 'fleece-50', 18, 2.1, 2, 'hoops', 6, 1, 'shed, left wall', 'worn'),
  cover('blanket', 'Frost blanket', 'frost-blanket', 23, 2.4, 2, 'hoops', 9, 2, 'shed, loft'),
  cover(
    'fleece17',
    'Fleece 17, flat',
    'fleece-17',
    22,
    1.6,
    2,
    'flat',
    4,
    3,
    'North house, by the door',
    'worn',
  ),
  cover('strawmat', 'Straw mat', 'straw-mat', 3.8, 1.4, 2, 'over', 3, 4, 'by the frames'),
  cover('film', 'Tunnel film, spare', 'pe-film', 17, 2.2, 1, 'hoops', 7, 5, 'shed, loft'),
];

/** What was done in the days before: houses aired by day, fleece on the lettuce at night. */
export function demoRecords(): FarmRecord[] {
  const out: FarmRecord[] = [];
  const at = (date: string, hour: number, minute = 0) => atLocal(date, hour, minute, ZONE);
  for (const date of ['2027-01-11', '2027-01-12', '2027-01-13', '2027-01-14']) {
    for (const structureId of ['north', 'south']) {
      out.push({
        id: randomUUID(),
        kind: 'vent',
        atMs: at(date, 11, 15),
        structureId,
        fraction: structureId === 'north' ? 0.25 : 0.2,
      });
      if (date !== '2027-01-14')
        out.push({ id: randomUUID(), kind: 'vent', atMs: at(date, 16, 20), structureId, fraction: 0 });
    }
  }
  for (const [date, next] of [
    ['2027-01-12', '2027-01-13'],
    ['2027-01-13', '2027-01-14'],
  ] as const) {
    out.push({
      id: randomUUID(),
      kind: 'cover',
      atMs: at(date, 17, 5),
      bedId: 'n5',
      coverId: 'fleece30',
      on: true,
    });
    out.push({
      id: randomUUID(),
      kind: 'cover',
      atMs: at(next, 10, 10),
      bedId: 'n5',
      coverId: 'fleece30',
      on: false,
    });
  }
  out.push({ id: randomUUID(), kind: 'harvest', atMs: at('2027-01-13', 9, 40), plantingId: 'p01', kg: 6.4 });
  out.push({ id: randomUUID(), kind: 'harvest', atMs: at('2027-01-13', 10, 15), plantingId: 'p14', kg: 1.1 });
  out.push({
    id: randomUUID(),
    kind: 'note',
    atMs: at('2027-01-13', 16, 30),
    bedId: 'n2',
    text: 'Outer leaves of the door-end row soft; moved two sandbags there.',
  });
  return out;
}
