import {
  coldBelief,
  cropById,
  cropOf,
  CROPS,
  FIGURES,
  figuresProblem,
  kindOf,
  lotNow,
  ownFigures,
  packetFigures,
  said,
  readCultivarsCsv as readCultivarsCsvSaid,
  readLibraryCsv as readLibraryCsvSaid,
  readLotsCsv as readLotsCsvSaid,
  saidFigures,
  toCultivarsCsv,
  toLotsCsv,
  withFigures,
  withOwn,
  type Cultivar,
  type Planting,
  type ScoredNight,
  type SeedLot,
} from '../src';
import { LIBRARY_COLUMNS, libraryCsv, packetDays } from '../season';
import { told } from '../words';
import { style } from './eveningFixture';

const readCultivarsCsv = (...of: Parameters<typeof readCultivarsCsvSaid>) =>
  told(readCultivarsCsvSaid(...of), style);
const readLotsCsv = (...of: Parameters<typeof readLotsCsvSaid>) => told(readLotsCsvSaid(...of), style);
const readLibraryCsv = (...of: Parameters<typeof readLibraryCsvSaid>) =>
  told(readLibraryCsvSaid(...of), style);

const spinach = cropById('spinach');
const plain = { liked: 'plain', note: '' } as const;
const cultivar = (name: string, figures: Record<string, number>): Cultivar => ({
  id: `c-${name}`,
  crop: 'spinach',
  name,
  figures,
  ...plain,
});
const planting = (name: string): Planting => ({
  id: name || 'none',
  bedId: 'b',
  crop: 'spinach',
  cultivar: name,
  fromRow: 1,
  toRow: 2,
  lengthM: 10,
  plantedOn: '2026-09-20',
  clearedOn: null,
  aim: 'survive',
  note: '',
});

describe('figures of its own', () => {
  test('every figure is a column of the library, and what is put in comes out', () => {
    for (const f of FIGURES) {
      expect(LIBRARY_COLUMNS).toContain(f.id);
      for (const crop of CROPS) {
        const book = f.of(crop);
        if (book === null) continue;
        expect(book).toBeGreaterThanOrEqual(f.min);
        expect(book).toBeLessThanOrEqual(f.max);
        expect(f.of(f.put(crop, book))).toBe(book);
      }
    }
  });

  test('the book itself contradicts nothing', () => {
    for (const crop of CROPS) {
      const whole = Object.fromEntries(
        FIGURES.flatMap((f) => (f.of(crop) === null ? [] : [[f.id, f.of(crop)!]])),
      );
      expect([crop.id, figuresProblem(crop, whole)]).toEqual([crop.id, null]);
    }
  });

  test('what contradicts another is said by both names', () => {
    expect(figuresProblem(spinach, { death_hard_c: -2 })).toEqual({
      field: 'death_hard_c',
      expected: said('want.figureThan', { way: 'noMore', other: 'leaf_damage_hard_c', is: -9 }),
    });
    expect(figuresProblem(spinach, { base_c: 99 })?.expected.say).toBe('want.between');
    expect(figuresProblem(spinach, { flower_loss_c: -2 })?.expected.say).toBe('want.noFigure');
  });

  test("a cultivar's figures go over the crop's, and a planting without one keeps the crop's", () => {
    const own = [cultivar('', { height_m: 0.2 }), cultivar('Brasa Verde', { death_hard_c: -16 })];
    const [named, other, book] = withOwn(
      [planting('brasa verde'), planting('Otra'), { ...planting(''), crop: 'kale' }],
      own,
      new Map(),
    );
    expect(cropOf(named!)).toMatchObject({ heightM: 0.2, deathC: [-8, -16] });
    expect(cropOf(other!)).toMatchObject({ heightM: 0.2, deathC: [-8, -14] });
    expect(cropOf(book!)).toBe(cropById('kale'));
    expect(kindOf(named!)).not.toBe(kindOf(other!));
    // what was put there before does not stay
    expect(withOwn([named!], [], new Map())[0]).not.toHaveProperty('own');
  });

  test('each value says where it comes from', () => {
    const said = saidFigures(spinach, { death_hard_c: -16 }, { shiftK: -1, sdK: 0.5, nights: 3 });
    const by = Object.fromEntries(said.map((s) => [s.id, s]));
    expect(by['height_m']).toMatchObject({ from: 'book', value: 0.12 });
    expect(by['death_hard_c']).toMatchObject({ from: 'record', value: -17, book: -14 });
    expect(saidFigures(spinach, { height_m: 0.3 }, null).find((s) => s.id === 'height_m')?.from).toBe(
      'cultivar',
    );
    expect(ownFigures(spinach, null, { shiftK: 0.04, sdK: 0.6, nights: 1 })).toBeUndefined();
  });
});

describe('what scores teach', () => {
  const night = (leafC: number, score: ScoredNight['score']): ScoredNight => ({
    leafC,
    sdK: 0.5,
    hardening: 1,
    score,
  });

  test('nights that did nothing where the book has burn make it hardier, and each of them more surely', () => {
    const one = coldBelief(spinach, [night(-11, 'none')])!;
    const three = coldBelief(spinach, [night(-11, 'none'), night(-11.5, 'none'), night(-11, 'none')])!;
    expect(one.shiftK).toBeLessThan(-0.5);
    expect(three.shiftK).toBeLessThan(one.shiftK);
    expect(three.sdK).toBeLessThan(one.sdK);
    expect(one.sdK).toBeLessThan(1.5);
  });

  test('burn in a night that the book calls harmless makes it softer', () => {
    expect(coldBelief(spinach, [night(-7, 'leaves')])!.shiftK).toBeGreaterThan(1);
  });

  test('a mild night without harm teaches next to nothing', () => {
    const b = coldBelief(spinach, [night(2, 'none')])!;
    expect(Math.abs(b.shiftK)).toBeLessThan(0.05);
    expect(b.sdK).toBeGreaterThan(1.4);
  });

  test('the true limit of an invented cultivar is found from what it shows', () => {
    const truth = withFigures(spinach, {
      leaf_damage_hard_c: -10.5,
      death_hard_c: -15.5,
    });
    const nights = [-8, -9, -10, -11, -11.5, -12, -12.5, -13, -13.5, -14].map((leafC): ScoredNight => {
      // as `injuryOf` has it of the true one, by its own thresholds
      const depth = Math.max(0, (truth.damageC[1] - leafC) / (0.6 * (truth.damageC[1] - truth.deathC[1])));
      const leaves = 1 - 2 ** -(depth * depth);
      return night(leafC, leaves < 0.03 ? 'none' : leaves < 0.2 ? 'tips' : leaves < 0.65 ? 'leaves' : 'dead');
    });
    const b = coldBelief(spinach, nights)!;
    expect(Math.abs(b.shiftK - -1.5)).toBeLessThan(2 * b.sdK);
    expect(b.sdK).toBeLessThan(0.5);
  });
});

describe('seed lots and packets', () => {
  const lot: SeedLot = {
    id: 'l',
    crop: 'parsnip',
    cultivar: '',
    year: 2025,
    tested: null,
    grams: 5,
    seeds: null,
    note: '',
  };
  const parsnip = cropById('parsnip');

  test('parsnip loses half of what is fresh in its half-life', () => {
    const { halfLifeYears, germination, seedMg } = parsnip.sowing!;
    const now = lotNow(lot, parsnip, '2026-10-01')!;
    expect(now.germination).toBeCloseTo(germination * 0.5 ** (0.9993 / halfLifeYears), 3);
    expect(now.seeds).toBe(Math.round(5000 / seedMg));
    expect(now.from).toBe('usual');
    expect(lotNow({ ...lot, year: 2020 }, parsnip, '2026-10-01')!.old).toBe(true);
  });

  test('a test counts from its day on, and what is not sown has no germination', () => {
    const tested = { share: 0.6, on: '2026-10-01' };
    expect(lotNow({ ...lot, tested }, parsnip, '2026-10-01')).toMatchObject({
      germination: 0.6,
      from: 'tested',
    });
    expect(lotNow({ ...lot, crop: 'strawberry' }, cropById('strawberry'), '2026-10-01')).toBeNull();
  });

  test("a packet's days come back as its days", () => {
    const figures = packetFigures(spinach, {
      daysToHarvest: 50,
      germination: 0.75,
      seedsPerGram: 80,
      spacingM: null,
      depthMm: null,
    });
    expect(packetDays(withFigures(spinach, figures))).toBeCloseTo(50, 0);
    expect(figures).toMatchObject({ germination: 0.75, seed_mg: 12.5 });
    expect(Object.keys(figures)).not.toContain('spacing_m');
  });

  test('tables come back as they went, and bad rows are named', () => {
    const cultivars = [cultivar('=Brasa', { death_hard_c: -16, base_c: 1.5 }), cultivar('Otra', {})];
    expect(readCultivarsCsv(toCultivarsCsv(cultivars), () => 'x')).toEqual({ cultivars, badRows: [] });
    const lots = [
      lot,
      { ...lot, id: 'm', tested: { share: 0.4, on: '2026-01-02' }, grams: null, seeds: 300 },
    ];
    expect(readLotsCsv(toLotsCsv(lots), () => 'x')).toEqual({ lots, badRows: [] });
    expect(readLotsCsv('crop,year\nspinach,26', () => 'x').badRows).toEqual([
      { row: 2, reason: 'year: expected a whole number from 1980 to 2200' },
    ]);
    expect(readCultivarsCsv('crop,name,death_hard_c\nspinach,A,warm', () => 'x').badRows[0]!.reason).toBe(
      'death_hard_c: expected a number, not warm',
    );
  });

  test('a changed library gives what was changed, and an unchanged one nothing', () => {
    expect(readLibraryCsv(libraryCsv(), () => 'x')).toEqual({ cultivars: [], badRows: [] });
    const own = CROPS.map((c) => (c.id === 'spinach' ? withFigures(c, { death_hard_c: -15.5 }) : c));
    expect(readLibraryCsv(libraryCsv(own), () => 'x').cultivars).toEqual([
      { id: 'x', crop: 'spinach', name: '', figures: { death_hard_c: -15.5 }, ...plain },
    ]);
  });
});
