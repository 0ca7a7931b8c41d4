/** Out and in again: what went out comes back the same; what others wrote is taken for what it is, or refused by name. */
import Papa from 'papaparse';
import fc from 'fast-check';
import {
  fromGeoJson,
  MATERIAL_IDS,
  planShapes,
  planSvg,
  readStockCsv as readStockCsvSaid,
  toGeoJson,
  toStockCsv,
  type Cover,
  type Structure,
} from '../src';
import { aBed, aCover, aStructure, SITE } from './fixtures';
import { PLAIN, told } from '../words';
import { style } from './eveningFixture';

const readStockCsv = (...of: Parameters<typeof readStockCsvSaid>) => told(readStockCsvSaid(...of), style);

const FARM = [
  aStructure({ id: 'a', name: 'A & B', at: { xM: 12, yM: -7.5, turnDeg: 33 }, snowRatingKgM2: 40 }),
  aStructure({ id: 'b', name: 'Never placed' }),
];
const BEDS = [aBed({ id: 'a1', structureId: 'a', zone: 'door' }), aBed({ id: 'b1', structureId: 'b' })];

describe('GeoJSON', () => {
  test.each([SITE, { latitude: -41.3, longitude: 174.8 }, { latitude: 69.6, longitude: 18.9 }])(
    'structures and beds come back as they went out, at $latitude°',
    (site) => {
      const there = toGeoJson(site, FARM, BEDS);
      expect(fromGeoJson(site, JSON.parse(JSON.stringify(there)))).toEqual({ structures: FARM, beds: BEDS });
    },
  );

  test('rings are closed and run counter-clockwise', () => {
    for (const f of toGeoJson(SITE, FARM, BEDS).features) {
      const ring = f.geometry.coordinates[0]!;
      expect(ring[0]).toEqual(ring.at(-1));
      let twice = 0;
      for (let i = 1; i < ring.length; i++)
        twice += ring[i - 1]![0] * ring[i]![1] - ring[i]![0] * ring[i - 1]![1];
      expect(twice).toBeGreaterThan(0);
    }
  });

  test('what was moved in another program has moved here, and nothing else has', () => {
    const there = toGeoJson(SITE, FARM, BEDS);
    there.features[0]!.geometry.coordinates[0]!.forEach((p) => (p[1] += 10 / 111_320));
    const back = fromGeoJson(SITE, there) as { structures: Structure[] };
    expect(back.structures[0]!.at!.yM).toBeCloseTo(2.5, 1);
    expect(back.structures[0]!.at!.xM).toBeCloseTo(12, 1);
    expect(back.structures[0]!.at!.turnDeg).toBe(33);
    expect(back.structures[1]).toEqual(FARM[1]);
  });

  test('a polygon drawn elsewhere becomes a house of its size', () => {
    const drawn = toGeoJson(SITE, FARM.slice(0, 1), []);
    drawn.features[0]!.properties = { name: 'Field house' };
    const back = fromGeoJson(SITE, drawn) as { structures: Structure[] };
    expect(back.structures[0]).toMatchObject({ name: 'Field house', kind: 'house' });
    expect(back.structures[0]!.lengthM).toBeCloseTo(20, 1);
    expect(back.structures[0]!.widthM).toBeCloseTo(6, 1);
    expect(back.structures[0]!.at!.turnDeg).toBeCloseTo(33, 0);
  });

  test.each([
    [null, /FeatureCollection/],
    [{ type: 'Feature' }, /FeatureCollection/],
    [
      { type: 'FeatureCollection', features: [{ geometry: { type: 'Point', coordinates: [1, 2] } }] },
      /features\[0\]\.geometry/,
    ],
    [
      {
        type: 'FeatureCollection',
        features: [
          {
            geometry: {
              type: 'Polygon',
              coordinates: [
                [
                  ['x', 1],
                  [1, 1],
                  [1, 2],
                  [0, 2],
                  [0, 0],
                ],
              ],
            },
          },
        ],
      },
      /pairs of longitude and latitude/,
    ],
  ])('%j is refused in a sentence', (json, why) => {
    expect(told(fromGeoJson(SITE, json), PLAIN)).toMatchObject({
      problem: expect.stringMatching(why) as string,
    });
  });
});

describe('stock as CSV', () => {
  test('any stock comes back as it went out, with commas, quotes and umlauts in its names', () => {
    const text = fc
      .string({
        minLength: 1,
        maxLength: 20,
        unit: fc.constantFrom('a', 'ü', ',', '"', ';', '=', "'", 'Ñ', '5', ' '),
      })
      .map((s) => s.trim())
      .filter((s) => s !== '');
    const cover: fc.Arbitrary<Cover> = fc.record({
      id: fc.uuid(),
      name: text,
      material: fc.constantFrom(...MATERIAL_IDS),
      use: fc.constantFrom('hoops' as const, 'flat' as const, 'over' as const),
      plies: fc.constantFrom(1 as const, 2 as const),
      lengthM: fc.integer({ min: 3, max: 3000 }).map((x) => x / 10),
      widthM: fc.integer({ min: 2, max: 300 }).map((x) => x / 10),
      count: fc.integer({ min: 0, max: 999 }),
      minutes: fc.integer({ min: 0, max: 240 }),
      order: fc.integer({ min: 0, max: 99 }),
    });
    const withMore = fc
      .tuple(cover, fc.option(fc.constantFrom('good', 'worn', 'torn')), fc.option(text))
      .map(
        ([c, condition, keptAt]) =>
          ({ ...c, ...(condition ? { condition } : {}), ...(keptAt ? { keptAt } : {}) }) as Cover,
      );
    fc.assert(
      fc.property(
        fc.uniqueArray(withMore, { maxLength: 8, minLength: 1, selector: (c) => c.id }),
        (covers) => {
          // no cell begins as a formula does
          const cells = Papa.parse<string[]>(toStockCsv(covers), { delimiter: ',' }).data.flat();
          expect(cells.filter((c) => /^[=+\-@]/.test(c))).toEqual([]);
          expect(readStockCsv(toStockCsv(covers))).toEqual({ covers, badRows: [] });
        },
      ),
      { seed: 4, numRuns: 100 },
    );
  });

  test('a table made by hand needs five columns; the rest is ordinary', () => {
    const read = readStockCsv('Name;Material;Length m;Width m;Pieces\nLong fleece;fleece-30;24;2,1;4');
    expect(read.badRows).toEqual([]);
    expect(read.covers[0]).toMatchObject({
      name: 'Long fleece',
      widthM: 2.1,
      count: 4,
      use: 'hoops',
      plies: 1,
    });
  });

  test.each([
    ['name,material\nA,fleece-30', 1, 'length_m: expected a column of that name'],
    ['name,material,length_m,width_m,pieces\nA,wool,2,2,1', 2, /^material: expected one of pe-film/],
    [
      'name,material,length_m,width_m,pieces\nA,fleece-30,2,2,1\nB,fleece-30,-2,2,1',
      3,
      'length_m: expected a number from 0.3 to 300',
    ],
    [
      'name,material,length_m,width_m,pieces\nA,fleece-30,2,2,1.5',
      2,
      'pieces: expected a whole number from 0 to 999',
    ],
    [
      'id,name,material,length_m,width_m,pieces\nx,A,tarp,2,2,1\nx,B,tarp,2,2,1',
      3,
      /^id: expected one that no other row has/,
    ],
  ])('%j is refused at its line', (csv, row, reason) => {
    const read = readStockCsv(csv);
    expect(read.covers).toEqual([]);
    expect(read.badRows[0]!.row).toBe(row);
    expect(read.badRows[0]!.reason).toMatch(reason);
  });
});

describe('the plan', () => {
  test('draws every structure and bed once, beds over what they lie in', () => {
    const shapes = planShapes(FARM, BEDS);
    expect(shapes.map((s) => s.id)).toEqual(['a', 'b', 'a1', 'b1']);
  });

  test('as SVG it is to scale, one unit a centimetre, and keeps odd names harmless', () => {
    const svg = planSvg('Farm <of> ours', FARM, BEDS);
    expect(svg).toContain('Farm &lt;of&gt; ours');
    expect(svg).toContain('A &amp; B');
    const points = /id="a" points="([^"]+)"/
      .exec(svg)![1]!
      .split(' ')
      .map((p) => p.split(',').map(Number));
    const side = Math.hypot(points[1]![0]! - points[0]![0]!, points[1]![1]! - points[0]![1]!);
    expect(side).toBeGreaterThan(1998);
    expect(side).toBeLessThan(2002);
  });

  test('an empty farm draws too', () => {
    expect(planSvg('Empty', [], [])).toContain('</svg>');
    expect(planShapes([], [])).toEqual([]);
  });
});

test('a cover without its optional fields stays without them', () => {
  expect(readStockCsv(toStockCsv([aCover()])).covers[0]).toEqual(aCover());
});
