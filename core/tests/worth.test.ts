/** What each act is worth, and rows that two plantings claim. */
import { moneyOf, sharedRows, worthOfSheets, type Cover, type Planting } from '../src';

const sheet = (id: string) => ({ id }) as Cover;
const [a, b, c] = [sheet('a'), sheet('b'), sheet('c')];

/** Losses by what lies there, order aside. */
const table =
  (rows: Record<string, number>) =>
  (covers: readonly Cover[]): number | null =>
    rows[
      covers
        .map((x) => x.id)
        .sort()
        .join('')
    ] ?? null;

describe('what sheets are worth', () => {
  test('two layers on a bed share what they save together, the better one more', () => {
    const lossOf = table({ '': 100, a: 40, b: 70, ab: 20 });
    const [forA, forB] = worthOfSheets([], [a, b], lossOf) as [number, number];
    expect(forA + forB).toBeCloseTo(80, 9);
    // a first saves 60 and b then 20; b first saves 30 and a then 50
    expect(forA).toBeCloseTo(55, 9);
    expect(forB).toBeCloseTo(25, 9);
  });

  test('a double sheet is two halves', () => {
    expect(worthOfSheets([], [a, a], table({ '': 10, a: 4, aa: 2 }))).toEqual([4, 4]);
  });

  test('over what lies there already, and alike where a part was not worked out', () => {
    expect(worthOfSheets([c], [a], table({ c: 9, ac: 2 }))).toEqual([7]);
    expect(worthOfSheets([], [a, b], table({ '': 9, ab: 1 }))).toEqual([4, 4]);
    expect(worthOfSheets([], [a], table({}))).toEqual([0]);
  });

  test.each([2, 3, 4])('%s sheets: the shares add up to the whole, whatever the losses', (n) => {
    const all = ['a', 'b', 'c', 'd'].slice(0, n).map(sheet);
    let seed = n;
    const known = new Map<string, number>();
    const lossOf = (covers: readonly Cover[]) => {
      const key = covers
        .map((x) => x.id)
        .sort()
        .join('');
      if (!known.has(key)) known.set(key, (seed = (seed * 48271) % 2147483647) % 500);
      return known.get(key)!;
    };
    const shares = worthOfSheets([], all, lossOf);
    expect(shares.reduce((s, x) => s + x, 0)).toBeCloseTo(lossOf([])! - lossOf(all)!, 6);
  });

  test('what is lost either way is not among what is saved', () => {
    const money = moneyOf([
      { asItIs: 550, asPlanned: 510 },
      { asItIs: 60, asPlanned: 0 },
      // a sheet moved away from it costs this bed
      { asItIs: 5, asPlanned: 15 },
    ]);
    expect(money).toEqual({ saved: 100, eitherWay: 515 });
  });
});

describe('shared rows', () => {
  const bed = { id: 'b1', lengthM: 20 };
  const p = (over: Partial<Planting>) =>
    ({ bedId: 'b1', lengthM: 20, plantedOn: '2026-09-01', clearedOn: null, ...over }) as Planting;
  const mine = p({ id: 'mine', fromRow: 2, toRow: 4 });

  test.each([
    ['rows beside it', { fromRow: 5, toRow: 6 }, 0],
    ['a row in common', { fromRow: 4, toRow: 6 }, 1],
    ['cleared before', { fromRow: 4, toRow: 6, plantedOn: '2026-05-01', clearedOn: '2026-09-01' }, 0],
    ['another bed', { bedId: 'b2', fromRow: 2, toRow: 4 }, 0],
  ] as const)('%s', (_, over, n) => {
    expect(sharedRows(mine, [mine, p({ id: 'other', ...over })], bed)).toHaveLength(n);
  });

  test('half a row each is not shared, and the rows in common are named', () => {
    const half = { ...mine, lengthM: 10 };
    expect(sharedRows(half, [p({ id: 'o', fromRow: 1, toRow: 3, lengthM: 10 })], bed)).toEqual([]);
    expect(sharedRows(half, [p({ id: 'o', fromRow: 1, toRow: 3, lengthM: 12 })], bed)).toMatchObject([
      { fromRow: 2, toRow: 3 },
    ]);
  });
});
