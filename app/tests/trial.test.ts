/** What the switches of a place say, as the bed that the engine runs. */
import type { WhatIf } from '@fogata/contract/told';
import type { Bed } from '@fogata/core';
import {
  asPlanned,
  isTouched,
  minutesFor,
  namesFor,
  planKey,
  requestFor,
  specFor,
} from '../src/components/place/trial';

const START = Date.parse('2027-01-14T15:00:00Z');
const HOUR = 3_600_000;
const bed = { lengthM: 18, widthM: 1, hoopHeightM: 0.5 } as Bed;
const layer = (id: string, on: boolean, spec: object): WhatIf['layers'][number] => ({
  id,
  name: id === 'structure' ? 'North house' : id,
  note: '',
  on,
  lies: false,
  drawn: on,
  stock: '',
  ventable: id === 'structure',
  minutes: id === 'structure' ? 0 : 6,
  spec: { lengthM: 18.1, widthM: 1.1, heightM: 0.5, shape: 'arch', material: 'fleece-30', ...spec },
});
const w: WhatIf = {
  site: { latitude: 42, longitude: -5 },
  weather: Array.from({ length: 30 }, (_, i) => ({
    time: new Date(START + i * HOUR).toISOString(),
    airC: 0,
    dewPointC: -2,
    windMs: 1,
    cloudFraction: 0,
  })),
  initial: { outside: [], columns: [] },
  others: [],
  awayTo: null,
  among: 0,
  openNow: 0,
  shutAtMs: START + 2 * HOUR,
  coverFromAtMs: START + 2 * HOUR,
  middleK: 0,
  base: { ground: { deepC: 6 }, stack: [], crop: { heightM: 0.1 } },
  opening: 0,
  openings: [],
  layers: [
    layer('structure', true, {
      role: 'structure',
      lengthM: 24,
      widthM: 7,
      heightM: 2.9,
      material: 'pe-film',
      ventAreaM2: 10,
    }),
    layer('blanket', false, { heightM: 0.56, material: 'frost-blanket' }),
    layer('fleece', true, {}),
  ],
  countFromAtMs: START,
  nightToAtMs: START + 20 * HOUR,
  dayFromAtMs: START + 18 * HOUR,
  dayToAtMs: START + 25 * HOUR,
  calibration: { leakage: 1.2, filmTransparency: 1, soilExchange: 1, zoneOffsetC: -0.3 },
};
const plan = asPlanned(w);

test('untouched, it is the plan: its layers, its key, its minutes', () => {
  expect(isTouched(w, plan)).toBe(false);
  expect(specFor(w, bed, plan).stack.map((l) => l.material)).toEqual(['pe-film', 'fleece-30']);
  expect(planKey(w, plan)).toBe('fleece');
  expect(minutesFor(w, plan)).toBe(6);
});

test('covers come off by day and go on again; the house never does', () => {
  const [house, fleece] = specFor(w, bed, plan).stack;
  expect(house!.on).toBeUndefined();
  expect(fleece!.on).toHaveLength(2);
  expect(Date.parse(fleece!.on![0]!.to)).toBe(w.dayFromAtMs);
  expect(Date.parse(fleece!.on![1]!.from)).toBe(w.dayToAtMs);
  // it goes on when the plan has it on, and not before
  expect(Date.parse(fleece!.on![0]!.from)).toBe(w.coverFromAtMs);
  expect(specFor(w, bed, { ...plan, dayOff: false }).stack[1]!.on).toHaveLength(1);
});

test('a house open by day is shut again before the evening', () => {
  const [house] = specFor(w, bed, { ...plan, dayOpening: 0.5 }).stack;
  expect(house!.open!.map((o) => o.fraction)).toEqual([0, 0, 0.5, 0]);
});

test('switching there and back is no change', () => {
  const there = { ...plan, on: { blanket: true } };
  expect(isTouched(w, there)).toBe(true);
  expect(planKey(w, there)).toBe('blanket+fleece');
  expect(isTouched(w, { ...there, on: { blanket: false } })).toBe(false);
});

test('what is not in stock is run and named, but cannot be planned', () => {
  const tried = { ...plan, extra: [{ material: 'foil-blanket' as const, use: 'hoops' as const }] };
  expect(namesFor(w, bed, tried, 'in the house').map((n) => n.name)).toEqual([
    'in the house',
    'under fleece',
    'under foil blanket, tried',
  ]);
  expect(planKey(w, tried)).toBeNull();
  expect(isTouched(w, tried)).toBe(true);
});

test('with everything off, the plan is bare', () => {
  expect(planKey(w, { ...plan, on: { fleece: false } })).toBe('bare');
});

test('the factors of the place go with the request, and the night ends when covers come off', () => {
  const r = requestFor(w, bed, plan);
  expect(r.calibration).toEqual(w.calibration);
  expect(r.nightToAtMs).toBe(w.dayFromAtMs);
  expect(requestFor(w, bed, { ...plan, dayOff: false }).nightToAtMs).toBe(w.nightToAtMs);
});

test('what opens by wax goes with the request, with the place of its layer', () => {
  const roof = { name: 'Roof', kind: 'hinged' as const, areaM2: 1, wax: { startC: 16, fullC: 26 } };
  expect(requestFor(w, bed, plan).wax).toBeUndefined();
  expect(requestFor({ ...w, openings: [roof] }, bed, plan).wax).toEqual({ layer: 0, openings: [roof] });
});
