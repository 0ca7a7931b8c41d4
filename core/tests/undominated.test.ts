/** What is left out of the evening's programme: nothing that a best choice would need, by going through all of them. */
import fc from 'fast-check';
import { undominated, workCost, type PricedOption } from '../src/night/choose';

const RATE = 12;
const HANDS = 2;
const STOCK: Record<string, number> = { thin: 3, thick: 1 };

const option = fc
  .record({
    loss: fc.integer({ min: 0, max: 12 }),
    minutes: fc.integer({ min: 0, max: 4 }).map((n) => 5 * n),
    thin: fc.integer({ min: 0, max: 2 }),
    thick: fc.integer({ min: 0, max: 1 }),
    byMin: fc.constantFrom(10, 20, 60),
  })
  .map(({ loss, minutes, thin, thick, byMin }): Omit<PricedOption, 'key'> => ({
    loss,
    minutes,
    byMin,
    pieces: { ...(thin > 0 ? { thin } : {}), ...(thick > 0 ? { thick } : {}) },
  }));
const bed = fc
  .array(option, { minLength: 1, maxLength: 6 })
  .map((list): PricedOption[] => [
    { key: 'none', loss: 15, minutes: 0, pieces: {} },
    ...list.map((o, n) => ({ ...o, key: `o${n}` })),
  ]);

/** The least that any choice costs which the sheets and the hands allow. */
function least(beds: readonly (readonly PricedOption[])[]): number {
  const ways = beds.reduce<PricedOption[][]>(
    (all, options) => all.flatMap((way) => options.map((o) => [...way, o])),
    [[]],
  );
  const fits = (way: PricedOption[]) =>
    Object.entries(STOCK).every(([id, n]) => way.reduce((s, o) => s + (o.pieces[id] ?? 0), 0) <= n) &&
    [10, 20, 60].every(
      (t) =>
        way.reduce((s, o) => s + ((o.byMin ?? Infinity) <= t && o.minutes > 0 ? o.minutes : 0), 0) <=
        HANDS * t,
    );
  return Math.min(...ways.filter(fits).map((way) => way.reduce((s, o) => s + o.loss + workCost(o, RATE), 0)));
}

test('with what is useless left out, the best choice costs the same', () => {
  let left = 0;
  fc.assert(
    fc.property(fc.array(bed, { minLength: 2, maxLength: 3 }), (beds) => {
      const fewer = beds.map((options) => undominated(options, RATE));
      left += beds.flat().length - fewer.flat().length;
      expect(least(fewer)).toBeCloseTo(least(beds), 9);
    }),
    { numRuns: 300 },
  );
  // and much is
  expect(left).toBeGreaterThan(300);
});

test('of two that are alike the first stays; one that is better in one thing and worse in another stays too', () => {
  const a = { key: 'a', loss: 3, minutes: 5, pieces: { thin: 1 } };
  const keys = (list: PricedOption[]) => undominated(list, RATE).map((o) => o.key);
  expect(keys([a, { ...a, key: 'b' }])).toEqual(['a']);
  expect(keys([a, { ...a, key: 'b', loss: 2, pieces: { thick: 1 } }])).toEqual(['a', 'b']);
  expect(
    keys([
      { ...a, byMin: 10 },
      { ...a, key: 'b', byMin: 20, loss: 4 },
    ]),
  ).toEqual(['a', 'b']);
  expect(
    keys([
      { ...a, byMin: 20 },
      { ...a, key: 'b', byMin: 10 },
    ]),
  ).toEqual(['a']);
  // late for nothing is still late
  const late = { ...a, key: 'b', byMin: 90, lateAtMs: 5_400_000 };
  expect(keys([{ ...a, byMin: 60 }, late])).toEqual(['a', 'b']);
  expect(keys([late, { ...late, key: 'c', lateAtMs: 7_200_000, byMin: 120 }])).toEqual(['b', 'c']);
});
