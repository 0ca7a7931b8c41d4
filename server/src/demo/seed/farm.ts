/** Rescoldo's settings, its clock and the three nights that its weather begins with. */
import { NO_RELAY, USUAL_MESSAGES, type Farm } from '@fogata/contract';
import { atLocal } from '@fogata/core';
import type { Episode } from '@fogata/core/standins';

export const ZONE = 'Europe/Madrid';

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
  schools: { aim: 'crop', uncover: 'thaw', touch: 'both', wet: 'dry', swings: 'let' },
  wind: 'open',
  coldAir: 'hollow',
  windFromDeg: 300,
  frost: { lastSpring: '05-06', firstAutumn: '10-11', eitherWayDays: 12, from: 'typed' },
  climate: [
    [-1, 7],
    [0, 10],
    [2, 14],
    [4, 16],
    [7, 20],
    [11, 25],
    [13, 28],
    [13, 28],
    [10, 24],
    [6, 17],
    [2, 11],
    [0, 8],
  ].map(([lowC, highC]) => ({ lowC: lowC!, highC: highC! })),
  gear: { hoops: 96, clips: 140, sandbags: 70, pegs: 160, jugs: 24, props: 6 },
  rolls: [
    { id: 'r-fleece', material: 'fleece-30', widthM: 3.2, lengthM: 100, count: 1 },
    { id: 'r-film', material: 'pe-film', widthM: 4, lengthM: 50, count: 1 },
  ],
  climateRecord: null,
  messages: USUAL_MESSAGES,
  nursery: { trayCells: 84, trays: 15, shelfTrays: 12, outTrays: 8 },
  away: [],
  holdBack: [],
  drip: { lines: 2, spacingM: 0.2, litresPerHour: 1, uneven: 0 },
  counters: [
    {
      id: 'count-tulips',
      name: 'Tulips in crates, cold for',
      what: 'cold',
      crop: null,
      structureId: null,
      from: '2026-11-02',
      baseC: 9,
      target: 98,
    },
    {
      id: 'count-anemones',
      name: 'Anemones to their first flower',
      what: 'bloom',
      crop: 'anemone',
      structureId: 'south',
      from: '2026-09-20',
      baseC: 3,
      target: 700,
    },
  ],
  relay: {
    ...NO_RELAY,
    demand: [
      { crop: null, from: '2027-01-11', to: '2027-11-30', kgPerWeek: 25 },
      { crop: 'lettuce', from: '2027-04-05', to: '2027-07-31', kgPerWeek: 6 },
    ],
  },
};

export const DEMO_SEED = 42;
/** Thursday 14 January 2027, 15:30 on the farm's clock. */
export const DEMO_START_MS = atLocal('2027-01-14', 15, 30, ZONE);

/** Clear and calm, then windy, then overcast. */
export const DEMO_EPISODES: Episode[] = [
  {
    fromAtMs: atLocal('2027-01-12', 18, 0, ZONE),
    toAtMs: atLocal('2027-01-14', 6, 0, ZONE),
    meanC: 1.5,
    cloud: 0.35,
    windMs: 1.5,
    drynessK: 4,
  },
  {
    fromAtMs: atLocal('2027-01-14', 6, 0, ZONE),
    toAtMs: atLocal('2027-01-15', 14, 0, ZONE),
    meanC: -1,
    cloud: 0.05,
    windMs: 0.8,
    drynessK: 5.5,
  },
  {
    fromAtMs: atLocal('2027-01-15', 14, 0, ZONE),
    toAtMs: atLocal('2027-01-16', 14, 0, ZONE),
    meanC: -1.5,
    cloud: 0.2,
    windMs: 6.5,
    drynessK: 5,
  },
  {
    fromAtMs: atLocal('2027-01-16', 14, 0, ZONE),
    toAtMs: atLocal('2027-01-17', 16, 0, ZONE),
    meanC: -1.8,
    cloud: 0.96,
    windMs: 1.6,
    drynessK: 2,
  },
  // a bright day in February, with a hard night after it
  {
    fromAtMs: atLocal('2027-02-16', 12, 0, ZONE),
    toAtMs: atLocal('2027-02-19', 12, 0, ZONE),
    meanC: 1.5,
    cloud: 0.06,
    windMs: 1,
    drynessK: 6,
  },
];
