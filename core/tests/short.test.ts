/** What is short is what beds would take beyond the stock, and no more than they would gain by. */
import type { Cover } from '../src';
import { sheetsShort, type PlannedBed } from '../planning';

const sheet = (id: string) => ({ id, name: id, use: 'hoops' }) as Cover;
/** A bed that loses `bare` without a sheet and `under` with one, and has what `chosen` says. */
const bed = (bare: number, under: number, chosen: 'bare' | 'a'): PlannedBed =>
  ({
    options: [
      { key: 'bare', covers: [], pieces: {} },
      { key: 'a', covers: [sheet('a')], pieces: { a: 1 } },
    ],
    loss: { bare, a: under },
    minutes: { bare: 0, a: 10 },
    laterMinutes: { bare: 0, a: 5 },
    chosen,
  }) as unknown as PlannedBed;
const stock = (count: number) => [{ id: 'a', count }];

test('two beds want a sheet and there is one: one is short, and it would save what the bed loses less its work', () => {
  const s = sheetsShort([bed(100, 5, 'a'), bed(60, 10, 'bare')], stock(1), 12);
  expect([...s.missing]).toEqual([['a', 1]]);
  // 60 lost, or 10 and a quarter of an hour of work
  expect(s.saves).toBeCloseTo(60 - 10 - 3, 1);
});

test('a sheet that costs more work than it saves is not wanted, and enough is not short', () => {
  expect(sheetsShort([bed(100, 5, 'a'), bed(2, 0, 'bare')], stock(1), 12)).toEqual({
    missing: new Map(),
    saves: 0,
  });
  expect(sheetsShort([bed(100, 5, 'a'), bed(60, 10, 'a')], stock(2), 12).missing.size).toBe(0);
});
