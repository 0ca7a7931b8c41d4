/**
 * `npm run -s validate`: the situations of docs/heat-model.md, each run by the engine, beside what is reported for it.
 * Standard night: 42.7° N, clear and still from noon on 14 January, lowest −7 °C outside, moist loam with 6 °C below.
 */
import {
  prepareWeather,
  runBed,
  type BedRun,
  type BedSpec,
  type Layer,
  type WeatherEntry,
} from '@fogata/core';

const SITE = { latitude: 42.7, longitude: -5.4, elevationM: 860 };

function weather(
  o: {
    start?: string;
    meanC?: number;
    swingK?: number;
    windMs?: number;
    cloud?: number;
    snowMm?: number;
  } = {},
): WeatherEntry[] {
  const { start = '2027-01-14T12:00:00Z', meanC = -1, swingK = 6, windMs = 0.5, cloud = 0, snowMm = 0 } = o;
  return Array.from({ length: 37 }, (_, i) => {
    const ms = Date.parse(start) + i * 3_600_000;
    const airC = meanC + swingK * Math.cos((((ms / 3_600_000) % 24) - 15) * (Math.PI / 12));
    return {
      time: new Date(ms).toISOString(),
      airC,
      dewPointC: Math.min(airC, meanC - 6),
      windMs,
      cloudFraction: cloud,
      ...(snowMm && i > 4 && i < 9 ? { snowMm } : {}),
    };
  });
}

const house: Layer = {
  lengthM: 20,
  widthM: 6,
  heightM: 2.6,
  shape: 'arch',
  material: 'pe-film',
  ventAreaM2: 10,
};
const hooped: Layer = { lengthM: 18, widthM: 1.2, heightM: 0.5, shape: 'arch', material: 'fleece-30' };
const flat: Layer = { ...hooped, shape: 'flat', heightM: 0.1, touchesCrop: true };
const frame: Layer = {
  lengthM: 3,
  widthM: 1.2,
  heightM: 0.4,
  shape: 'box',
  sides: 'board',
  material: 'glass',
  ventAreaM2: 0.36,
};

const run = (stack: Layer[], w = weather(), more: Partial<BedSpec> = {}) =>
  runBed({ ground: { deepC: 6 }, stack, ...more }, prepareWeather(SITE, w));
const night = (series: ArrayLike<number>) => Math.min(...Array.from(series).slice(4, 23));
const air = (r: BedRun, layer = 0) => night(r.layerAirC[layer]!);
const OUT = -7;
const k = (x: number) => `${x < 0 ? '−' : '+'}${Math.abs(x).toFixed(1)} K`;

const single = run([house]);
const open = run([]);
const april = weather({ start: '2027-04-10T06:00:00Z', meanC: 13, swingK: 6 });
const noon = (r: BedRun) => Math.max(...r.canopyAirC);

const rows: [string, string, number][] = [
  ['single film house, its air against outside', '−2 to +2', air(single) - OUT],
  [
    'the same with thermal film, against plain film',
    '+1 to +3',
    air(run([{ ...house, material: 'pe-film-ir' }])) - air(single),
  ],
  ['inflated double film, against single', '+1 to +3', air(run([{ ...house, plies: 2 }])) - air(single)],
  [
    'overcast and windy (6 m/s), house against outside',
    '0 to +2',
    air(run([house], weather({ windMs: 6, cloud: 1 }))) - OUT,
  ],
  [
    'fleece 30 on hoops in the house, leaf against house alone',
    '+2 to +4',
    night(run([house, hooped]).leafC) - night(single.leafC),
  ],
  [
    'two fleeces on hoops in the house, against one',
    '+1 to +2',
    night(run([house, { ...hooped, widthM: 1.3, heightM: 0.56, lengthM: 18.2 }, hooped]).leafC) -
      night(run([house, hooped]).leafC),
  ],
  [
    'fleece 17 laid on an open bed, leaf against open leaf',
    '+1 to +3',
    night(run([{ ...flat, material: 'fleece-17' }]).leafC) - night(open.leafC),
  ],
  [
    'fleece 50 on hoops on an open bed, leaf against open leaf',
    '+3 to +5',
    night(run([{ ...hooped, material: 'fleece-50' }]).leafC) - night(open.leafC),
  ],
  [
    'film low tunnel in the open, its air against outside',
    '−1 to +2',
    air(run([{ ...hooped, material: 'pe-film' }])) - OUT,
  ],
  [
    'perforated film tunnel in the open, against outside',
    '−1 to +2',
    air(run([{ ...hooped, material: 'perforated-film' }])) - OUT,
  ],
  [
    'frost blanket on hoops in the house, leaf against house alone',
    '+4 to +7',
    night(run([house, { ...hooped, material: 'frost-blanket' }]).leafC) - night(single.leafC),
  ],
  ['glass frame with board sides, leaf against outside', '+2 to +5', night(run([frame]).leafC) - OUT],
  [
    'the same under a straw mat, against outside',
    '+6 to +10',
    night(run([{ ...frame, material: 'straw-mat', lengthM: 3.1, widthM: 1.3, heightM: 0.45 }, frame]).leafC) -
      OUT,
  ],
  [
    '30 l of water a m² in the house under fleece, against none',
    '+0.5 to +3',
    night(run([house, hooped], weather(), { mass: { waterLitres: 30 } }).leafC) -
      night(run([house, hooped]).leafC),
  ],
  [
    'wet soil against dry, leaf under fleece in the house',
    '+0.5 to +2',
    night(run([house, hooped], weather(), { ground: { deepC: 6, wetness: 'wet' } }).leafC) -
      night(run([house, hooped], weather(), { ground: { deepC: 6, wetness: 'dry' } }).leafC),
  ],
  [
    '10 cm of snow on the house, its air against bare film',
    '+1 to +5',
    air(run([house], weather({ snowMm: 25 }))) - air(single),
  ],
  ['open leaf against screen air', '−5 to −1', night(open.leafC) - OUT],
  ['closed frame at noon in April, against outside', '+16 to +31', noon(run([frame], april)) - 19],
  [
    'the same opened a tenth of its floor, against outside',
    '+6 to +12',
    noon(run([{ ...frame, open: [{ from: '2027-04-10T00:00:00Z', fraction: 1 }] }], april)) - 19,
  ],
];
for (const [what, reported, model] of rows) {
  const [low, high] = reported.split(' to ').map((x) => Number(x.replace('−', '-')));
  const fits = model >= low! - 0.3 && model <= high! + 0.3;
  process.stdout.write(
    `| ${what.padEnd(62)} | ${reported.padEnd(11)} | ${k(model).padEnd(8)} | ${fits ? 'yes' : 'no'} |\n`,
  );
}
