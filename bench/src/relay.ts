/** The relay: a farm's year of 400 plantings checked, one dragged, and 30 beds filled for 40 weeks out of 40 crops. */
import highs from 'highs';
import { CROPS, type Layer } from '@fogata/core';
import {
  checkRelay,
  dayOf,
  fillGaps,
  isoOf,
  strip,
  type FillAsk,
  type Outlook,
  type RelayBed,
  type RelayYear,
  type SparseSolver,
  type Strip,
} from '@fogata/core/relay';
import { answer, fromMonthly, placeOf, usualHow, usualVenting } from '@fogata/core/season';

const site = { latitude: 47, longitude: 8, elevationM: 450 };
const lows = [-3, -3, 0, 4, 8, 11, 13, 13, 9, 6, 1, -2];
const swings = [5, 7, 10, 11, 11, 12, 12, 12, 11, 8, 6, 4];
const climate = fromMonthly(
  site,
  lows.map((lowC, m) => ({ lowC, highC: lowC + swings[m]! })),
);
const house: Layer = {
  lengthM: 24,
  widthM: 7,
  heightM: 3,
  shape: 'arch',
  material: 'pe-film',
  ventAreaM2: 20,
};
const fleece: Layer = { lengthM: 20, widthM: 1.2, heightM: 0.5, shape: 'arch', material: 'fleece-30' };
const PLACES: [string, Layer[], number | null][] = [
  ['open', [], null],
  ['house', [house], 3],
  ['fleece in the house', [house, fleece], 3],
  ['tunnel', [{ ...fleece, material: 'pe-film', ventAreaM2: 4 }], 0.5],
];

const FROM = dayOf('2026-08-03');
const WEEKS = 40;
const YEARS = 40;
const grown = CROPS.filter((c) => c.habit !== 'none' && c.pickDd < 1600).slice(0, 40);

export function relayBeds(): RelayBed[] {
  return Array.from({ length: 30 }, (_, n): RelayBed => {
    const [place, , headroomM] = PLACES[n % PLACES.length]!;
    return {
      id: `b${n}`,
      name: `B${n}`,
      structureId: place,
      place,
      rows: 4,
      lengthM: [12, 18, 25][n % 3]!,
      widthM: 1.1,
      turnDeg: 90,
      acrossM: 1.6 * (Math.floor(n / 4) - 3.5),
      headroomM,
      xM: 0,
      yM: 1.6 * n,
      paths: [true, true],
      bench: false,
      mixOn: null,
    };
  });
}

/** A year that no gardener would plan: each row full, one crop after another, the next in before the last is out. */
function fullYear(beds: readonly RelayBed[], outlook: FillAsk['outlook']): RelayYear {
  const strips: Strip[] = [];
  for (let n = 0; strips.length < 400; n++) {
    const bed = beds[n % beds.length]!;
    const turn = Math.floor(n / beds.length);
    const crop = grown[(n * 7) % grown.length]!;
    const how = usualHow(crop);
    const from = FROM + turn * 26 + (n % 5);
    const row = 1 + (turn % 4);
    const planting = {
      id: `p${n}`,
      bedId: bed.id,
      crop: crop.id,
      cultivar: '',
      fromRow: row,
      toRow: row,
      lengthM: bed.lengthM,
      plantedOn: isoOf(from),
      clearedOn: isoOf(from + 80),
      aim: crop.aim,
      note: '',
      planned: true,
    };
    strips.push(strip(planting, crop, how, outlook(bed, crop, how)));
  }
  const demand = [
    { crop: null, from: isoOf(FROM), to: isoOf(FROM + 400), kgPerWeek: 60 },
    { crop: 'lettuce', from: isoOf(FROM), to: isoOf(FROM + 400), kgPerWeek: 6 },
  ];
  return { latitude: site.latitude, today: FROM, beds, strips, demand, cells: 2000, risk: 0.2 };
}

export async function relay(say: (line: string) => void): Promise<void> {
  const known = new Map<string, Outlook>();
  const years = new Map<string, ReturnType<typeof placeOf>>();
  const outlook: FillAsk['outlook'] = (bed, crop, how) => {
    const venting = usualVenting(crop);
    const at = `${bed.place} ${venting}`;
    const stack = PLACES.find(([name]) => name === bed.place)![1];
    if (!years.has(at)) years.set(at, placeOf({ site, climate, stack, venting }, YEARS, 1));
    const key = `${at} ${crop.id} ${how}`;
    if (!known.has(key)) known.set(key, answer(years.get(at)!, crop, how, null, 0.2, true));
    return known.get(key)!;
  };
  const beds = relayBeds();
  const began = performance.now();
  for (const bed of beds.slice(0, 4)) for (const crop of grown) outlook(bed, crop, usualHow(crop));
  say(
    `\nRelay: 4 places x 40 crops over ${YEARS} years in ${((performance.now() - began) / 1000).toFixed(1)} s, before what follows`,
  );
  const year = fullYear(beds, outlook);
  checkRelay(year);
  const times = Array.from({ length: 9 }, () => {
    const t = performance.now();
    checkRelay({ ...year });
    return performance.now() - t;
  }).sort((a, b) => a - b);
  let check = checkRelay(year);
  const drags = Array.from({ length: 30 }, (_, k) => {
    const at = (k * 13) % year.strips.length;
    const s = year.strips[at]!;
    const t = performance.now();
    const bed = beds.find((b) => b.id === s.planting.bedId)!;
    const plantedOn = isoOf(s.startDay + 1 + (k % 9));
    const moved = strip({ ...s.planting, plantedOn }, s.crop, s.how, outlook(bed, s.crop, s.how));
    const strips = year.strips.map((x, i) => (i === at ? moved : x));
    check = checkRelay({ ...year, strips }, check);
    return performance.now() - t;
  }).sort((a, b) => a - b);
  say(
    `  a year of ${year.strips.length} plantings checked in ${times[4]!.toFixed(0)} ms (${check.quarrels.length} quarrels); one moved, in ${drags[15]!.toFixed(1)} ms, slowest ${drags[29]!.toFixed(1)} ms`,
  );
  const solver = (await highs()) as unknown as SparseSolver;
  const ask: FillAsk = {
    fromDay: FROM,
    weeks: WEEKS,
    beds,
    strips: [],
    crops: grown.map((crop) => ({ crop, how: usualHow(crop), valuePerM: crop.valuePerM, mostM: null })),
    outlook,
    demand: [],
    cells: 6000,
    minutesPerWeek: 60 * 60,
    hourlyRate: 15,
    risk: 0.2,
    aim: 'value',
    sellsKg: 10,
    refused: new Set(),
  };
  for (const [name, more] of [
    ['nobody asks for anything', {}],
    [
      '60 kg a week asked for',
      { demand: [{ crop: null, from: isoOf(FROM), to: isoOf(FROM + 400), kgPerWeek: 60 }], aim: 'supply' },
    ],
  ] as const) {
    let twoPercent: number | null = null;
    const t = performance.now();
    const f = fillGaps({ ...ask, ...more }, solver, {
      seconds: 60,
      gap: 0.02,
      nowAtMs: () => performance.now(),
      onProgress: ({ money, boundMoney }) => {
        if (twoPercent === null && boundMoney !== null && boundMoney - money <= 0.02 * boundMoney)
          twoPercent = (performance.now() - t) / 1000;
      },
    });
    say(
      `  30 beds x 40 weeks x 40 crops, ${name}: ${f.candidates} candidates, first answer in ${f.firstSeconds.toFixed(1)} s, ${(100 * f.gap).toFixed(1)} % of the bound in ${f.seconds.toFixed(1)} s; ${f.proposals.length} plantings worth ${f.money.toFixed(0)}, by the longest waiting crop first ${f.simpleMoney.toFixed(0)} (${((100 * f.money) / f.simpleMoney - 100).toFixed(0)} % more)`,
    );
  }
}
