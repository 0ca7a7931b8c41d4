import fc from 'fast-check';
import {
  bandOf,
  bedSpec,
  changeMinutes,
  checkCase,
  coverOptions,
  coverProblem,
  expectedLoss,
  fitCover,
  flowLines,
  isFit,
  normalBelow,
  optionKey,
  quantile,
  thawedAtMs,
  type BedChoice,
  type Cover,
} from '../src';
import { aBed, aCover, aFrame, aStructure, HOUSE, night, simulationCase, weather } from './fixtures';
import { told } from '../words';
import { style } from './eveningFixture';

const structure = aStructure();
const frame = aFrame();
const bedOf = aBed;
const cover = (id: string, more: Partial<Cover> = {}): Cover => aCover({ id, name: id, count: 3, ...more });

describe('what fits', () => {
  test('a sheet must reach over the hoops with a skirt', () => {
    // half a circle of 0.5 m is 1.57 m; with 0.1 m of skirt 1.67
    expect(isFit(fitCover(cover('c', { widthM: 1.68 }), structure, bedOf()))).toBe(true);
    expect(fitCover(cover('c', { widthM: 1.6 }), structure, bedOf())).toEqual({
      why: { say: 'fit.narrow', values: { byM: expect.closeTo(0.0708, 4) as number } },
    });
  });

  test('short sheets are overlapped by half a metre, and every piece costs its minutes', () => {
    expect(fitCover(cover('c', { lengthM: 10 }), structure, bedOf())).toEqual({ pieces: 2, minutes: 12 });
    expect(fitCover(cover('c', { lengthM: 9 }), structure, bedOf())).toEqual({ pieces: 3, minutes: 18 });
  });

  test('hoop sheets need hoops, mats go over frames only', () => {
    expect(fitCover(cover('c'), structure, bedOf({ hoopHeightM: 0 }))).toEqual({
      why: { say: 'fit.noHoops' },
    });
    expect(fitCover(cover('m', { use: 'over' }), structure, bedOf())).toEqual({
      why: { say: 'fit.over' },
    });
    expect(
      isFit(fitCover(cover('m', { use: 'over', lengthM: 3.2, widthM: 1.4 }), frame, bedOf({ lengthM: 2.8 }))),
    ).toBe(true);
  });
});

describe('combinations', () => {
  test('none, each, pairs and doubles, and never more than are in stock', () => {
    const keys = coverOptions(structure, bedOf(), [
      cover('a'),
      cover('b', { count: 1, material: 'frost-blanket' }),
    ]).map((o) => o.key);
    expect(keys).toEqual(expect.arrayContaining(['bare', 'a', 'b', 'a+a', 'b+a']));
    expect(keys).not.toContain('b+b');
  });

  test('every option can be built into a case that the engine accepts', () => {
    const stock = [
      cover('a'),
      cover('b', { material: 'frost-blanket' }),
      cover('f', { use: 'flat', material: 'fleece-17', widthM: 1.4 }),
      cover('m', { use: 'over', material: 'straw-mat' }),
    ];
    for (const s of [structure, frame, { ...structure, kind: 'open' as const }]) {
      const bed = s.kind === 'frame' ? bedOf({ lengthM: 2.8, hoopHeightM: 0 }) : bedOf();
      for (const o of coverOptions(s, bed, stock)) {
        const spec = bedSpec(s, bed, [], o.covers, { deepC: 6 });
        expect(checkCase({ ...simulationCase(spec.stack), weather: weather({ hours: 12 }) })).toBeNull();
      }
    }
  });

  test('the key does not depend on the order in which covers were laid', () => {
    const [a, b] = [cover('a'), cover('b', { material: 'frost-blanket' })];
    expect(optionKey([a, b])).toBe(optionKey([b, a]));
  });

  test('minutes count what changes, every piece of a sheet, and the lifting that follows', () => {
    const a = cover('a');
    const b = cover('b', { minutes: 10 });
    const one = () => 1;
    expect(changeMinutes([a], { key: 'a', covers: [a], pieces: { a: 1 } }, one)).toEqual({
      now: 0,
      later: 0,
    });
    expect(changeMinutes([a], { key: 'b', covers: [b], pieces: { b: 1 } }, one)).toEqual({
      now: 10 + 3,
      later: 5,
    });
    const twice = changeMinutes([], { key: 'a+a', covers: [a, a], pieces: { a: 2 } }, one);
    expect(twice).toEqual({ now: 12, later: 6 });
    // two pieces to a bed: twice the work of laying it, and twice of taking it off for another
    const two = (c: { id: string }) => (c.id === 'a' ? 2 : 1);
    expect(changeMinutes([], { key: 'a', covers: [a], pieces: { a: 2 } }, two).now).toBe(12);
    expect(changeMinutes([a], { key: 'bare', covers: [], pieces: {} }, two).now).toBe(6);
  });
});

test('with minutes for one of two beds before dark, the one that saves more is covered', () => {
  const beds = [30, 80].map((loss, n) => ({
    bedId: `b${n}`,
    options: [
      { key: 'bare', loss, minutes: 0, pieces: {} },
      { key: 'a', loss: 1, minutes: 20, laterMinutes: 10, pieces: { a: 1 } },
    ],
  }));
  const due = (byMin: (n: number) => number | undefined) =>
    beds.map((b, n) => ({ ...b, options: b.options.map((o) => ({ ...o, byMin: byMin(n) })) }));
  const lp = (byMin: (n: number) => number | undefined, busyMin = 0) =>
    coverProblem(due(byMin) as BedChoice[], { a: 2 }, 10, { count: 1, busyMin }).lp;
  expect(lp(() => 30)).toMatch(/time_0: 20\.000 x_0_1 \+ 20\.000 x_1_1 <= 30\.000/);
  expect(lp(() => undefined)).not.toContain('time_');
  // each by its own time: the first by itself, and both by the later; what else has to be done comes off both
  expect(lp((n) => 25 + 30 * n, 5)).toMatch(
    /time_0: 20\.000 x_0_1 <= 20\.000\n time_1: 20\.000 x_0_1 \+ 20\.000 x_1_1 <= 50\.000/,
  );
  // 20 minutes now and 10 to lift it again, at 10 an hour, and a cent for the sheet
  expect(lp(() => 30)).toContain('6.0100 x_0_1');
});

test('the linear programme reads back one option for each bed', () => {
  const beds = [1, 2].map((n) => ({
    bedId: `b${n}`,
    options: [
      { key: 'bare', loss: 50, minutes: 0, pieces: {} },
      { key: 'a', loss: 1, minutes: 6, pieces: { a: 1 } },
    ],
  }));
  const problem = coverProblem(beds, { a: 1 }, 10);
  expect(problem.lp).toContain('stock_0: 1 x_0_1 + 1 x_1_1 <= 1');
  // variables without a choice are no plan: nothing is taken in their place
  expect(() => problem.read({ x_0_1: 1 })).toThrow('chose nothing for the bed b2');
  const chosen = problem.read({ x_0_1: 1, x_1_0: 1 });
  expect([chosen['b1']!.key, chosen['b2']!.key]).toEqual(['a', 'bare']);
});

test('expected loss lies between the best and the worst member', () => {
  const planting = {
    id: 'p',
    bedId: 'b',
    crop: 'lettuce',
    cultivar: '',
    fromRow: 1,
    toRow: 2,
    lengthM: 10,
    plantedOn: '2026-10-01',
    clearedOn: null,
    aim: 'survive' as const,
    note: '',
  };
  const risk = {
    planting,
    thresholds: { damageC: -3.5, deathC: -7, flowerC: null, rootC: null, chillingC: null, harmC: -3.5 },
    value: 100,
  };
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -12, max: 5, noNaN: true }), { minLength: 1, maxLength: 20 }),
      (mins) => {
        const each = mins.map((m) => expectedLoss(risk, [{ leafMinC: m }]));
        const all = expectedLoss(
          risk,
          mins.map((leafMinC) => ({ leafMinC })),
        );
        expect(all).toBeGreaterThanOrEqual(Math.min(...each) - 1e-9);
        expect(all).toBeLessThanOrEqual(Math.max(...each) + 1e-9);
      },
    ),
  );
});

test('quantiles, bands and the normal curve have their textbook values', () => {
  expect(quantile([1, 2, 3, 4, 5], 0.5)).toBe(3);
  expect(quantile([1, 2, 3, 4, 5], 0.1)).toBeCloseTo(1.4);
  const band = bandOf([0, 0, 0], 1);
  expect(band.low).toBeCloseTo(-1.2816);
  // of nine, the tenth part below and above lies at the outermost: (n + 1) q
  expect(bandOf([-4, -3, -2, -1, 0, 1, 2, 3, 4], 0).high).toBeCloseTo(4);
  expect(bandOf([-4, -3, -2, -1, 0, 1, 2, 3, 4], 0).mid).toBeCloseTo(0);
  expect(normalBelow(0)).toBeCloseTo(0.5, 6);
  expect(normalBelow(1.2816)).toBeCloseTo(0.9, 4);
  expect(normalBelow(-1.96)).toBeCloseTo(0.025, 4);
});

test('heat flows are told by their shares, and what leaves equals what comes in', () => {
  const run = night([HOUSE], {}, {}, { books: true });
  const flows = run.flows[14]!;
  const lines = flowLines(flows);
  const sum = (way: string) => lines.filter((l) => l.way === way).reduce((s, l) => s + l.wattsM2, 0);
  expect(Math.abs(sum('out') - sum('in'))).toBeLessThan(2.5);
  expect(told(lines[0]!.words, style)).toMatch(/radiates to the sky$/);
  expect(lines.find((l) => told(l.words, style).includes('given up by soil'))!.wattsM2).toBeGreaterThan(20);
  for (const way of ['out', 'in'])
    expect(lines.filter((l) => l.way === way).reduce((s, l) => s + l.share, 0)).toBeCloseTo(1);
});

test('leaves have thawed when they stay half a degree above freezing after the last frost', () => {
  const times = [0, 1, 2, 3, 4, 5].map((h) => h * 3_600_000);
  expect(thawedAtMs(times, [2, -1, -2, -1, 1, 3])).toBeCloseTo(3.75 * 3_600_000);
  expect(thawedAtMs(times, [2, -1, 1, -1, 2, 3])).toBeCloseTo(3.5 * 3_600_000);
  expect(thawedAtMs(times, [2, 1, 1, 1, 1, 2])).toBeNull();
  // far north, or in a hard week: the last hour that is known is no thaw
  expect(thawedAtMs(times, [2, -1, -2, -1, -1, 0.2])).toBe(Infinity);
  expect(thawedAtMs(times, [2, 1, 1, 1, 1, -3])).toBe(Infinity);
});
