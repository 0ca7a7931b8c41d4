/** What a bed needs, what fits it, what is cut from which roll, and what holds it down. */
import fc from 'fast-check';
import highs from 'highs';
import {
  archLengthM,
  cutProblem,
  holdingFor,
  lackingSheets,
  orderFor,
  sharedSizes,
  sheetFor,
  sheetNeeds,
  type Bed,
  type Cover,
  type CutNeed,
  type CutPlan,
  type CutRoll,
  type Structure,
} from '../src';
import { aBed, aCover, aStructure } from './fixtures';

let solver: Awaited<ReturnType<typeof highs>>;
beforeAll(async () => {
  solver = await highs();
});

/** Cut by the kept solver, as the server does it. */
function cut(needs: CutNeed[], rolls: CutRoll[]): CutPlan {
  const problem = cutProblem(needs, rolls);
  const solved = solver.solve(problem.lp, { time_limit: 10 });
  expect(solved.Status).toBe('Optimal');
  return problem.read(
    Object.fromEntries(Object.entries(solved.Columns).map(([k, c]) => [k, 'Primal' in c ? c.Primal : 0])),
  );
}

describe('the sheet that a bed needs', () => {
  test('is the arc over its hoops and both sides wide, and comes down at closed ends', () => {
    const s = sheetFor({ lengthM: 20, widthM: 1, hoopHeightM: 0.5, sideM: 0.2, ends: 'closed' });
    expect(s.arcM).toBeCloseTo(Math.PI / 2, 3);
    expect(s.widthM).toBe(2);
    expect(s.lengthM).toBe(21.4);
  });

  test('is a little longer than the bed with open ends, and as wide as the bed laid flat', () => {
    expect(sheetFor({ lengthM: 20, widthM: 1, hoopHeightM: 0.5, sideM: 0.2, ends: 'open' }).lengthM).toBe(
      20.2,
    );
    expect(sheetFor({ lengthM: 20, widthM: 1, hoopHeightM: 0, sideM: 0.1, ends: 'open' }).widthM).toBe(1.2);
  });

  test('never comes out smaller than what it covers', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        fc.double({ min: 0.3, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        (lengthM, widthM, hoopHeightM) => {
          const s = sheetFor({ lengthM, widthM, hoopHeightM, sideM: 0.2, ends: 'closed' });
          expect(s.widthM).toBeGreaterThanOrEqual(
            (hoopHeightM > 0 ? archLengthM(widthM, hoopHeightM) : widthM) + 0.4 - 1e-6,
          );
          expect(s.lengthM).toBeGreaterThanOrEqual(lengthM + 2 * hoopHeightM);
        },
      ),
      { seed: 1 },
    );
  });
});

describe('what is lacking', () => {
  const house: Structure = aStructure();
  const beds: Bed[] = [
    aBed({ id: 'long', name: 'Long', lengthM: 18 }),
    aBed({ id: 'short', name: 'Short', lengthM: 8 }),
    aBed({ id: 'bare', name: 'Bare', hoopHeightM: 0 }),
  ];

  test('a bed without hoops needs no sheet', () => {
    expect(sheetNeeds([house], beds).map((n) => n.bedId)).toEqual(['long', 'short']);
  });

  test('the only long sheet goes to the long bed, whichever bed is asked first', () => {
    const covers: Cover[] = [
      aCover({ id: 'l', lengthM: 20, count: 1 }),
      aCover({ id: 's', lengthM: 9, count: 1 }),
    ];
    for (const order of [beds, [...beds].reverse()])
      expect(lackingSheets([house], order, covers)).toEqual([]);
    expect(lackingSheets([house], beds, covers.slice(1)).map((n) => n.bedId)).toEqual(['long']);
  });

  test('a torn sheet is not counted on', () => {
    const torn = [aCover({ lengthM: 20, count: 5, condition: 'torn' })];
    expect(lackingSheets([house], beds, torn)).toHaveLength(2);
  });

  test('sizes that nearly agree are shared, and every bed keeps a size that covers it', () => {
    const needs = [20, 19.8, 19.5, 8, 7.9].map((lengthM, i) => ({
      bedId: `${i}`,
      bedName: `B${i}`,
      widthM: 2,
      lengthM,
    }));
    const sizes = sharedSizes(needs);
    expect(sizes).toHaveLength(2);
    for (const n of needs) {
      const size = sizes.find((s) => s.beds.includes(n.bedName))!;
      expect(size.lengthM).toBeGreaterThanOrEqual(n.lengthM);
    }
  });
});

describe('cutting', () => {
  const need = (id: string, widthM: number, lengthM: number, count = 1): CutNeed => ({
    id,
    label: id,
    widthM,
    lengthM,
    count,
  });

  test('two sheets that lie side by side cost one length', () => {
    const plan = cut([need('a', 1.6, 20, 2)], [{ id: 'r', widthM: 3.2, lengthM: 100, count: 1 }]);
    expect(plan.cuts).toHaveLength(1);
    expect(plan.wasteM2).toBeCloseTo(0, 6);
    expect(plan.missing).toEqual([]);
  });

  test('a short sheet is turned across where that wastes less', () => {
    const plan = cut(
      [need('long', 2, 10), need('short', 1, 3)],
      [{ id: 'r', widthM: 3, lengthM: 30, count: 1 }],
    );
    expect(plan.missing).toEqual([]);
    expect(plan.usedM2).toBeCloseTo(30, 6);
  });

  test('the cheaper of two rolls is taken', () => {
    const rolls = [
      { id: 'wide', widthM: 4, lengthM: 50, count: 1 },
      { id: 'narrow', widthM: 2.1, lengthM: 50, count: 1 },
    ];
    expect(cut([need('a', 2, 20)], rolls).cuts[0]!.rollId).toBe('narrow');
  });

  test('what no roll holds is missing, and the order says how much cloth it takes', () => {
    const plan = cut([need('a', 2, 20, 3)], [{ id: 'r', widthM: 2.1, lengthM: 50, count: 1 }]);
    expect(plan.missing).toEqual([{ needId: 'a', label: 'a', count: 1, widthM: 2, lengthM: 20 }]);
    expect(orderFor(plan.missing)).toEqual([{ widthM: 2, lengthM: 20, sheets: 1 }]);
    expect(cut([need('a', 2, 20)], []).missing).toHaveLength(1);
  });

  test('never more than there is, every sheet in one piece, no two overlapping, waste never under the bound', () => {
    const size = fc.integer({ min: 5, max: 40 }).map((x) => x / 10);
    const needs = fc.array(
      fc.record({ widthM: size, lengthM: size.map((x) => x * 5), count: fc.integer({ min: 1, max: 3 }) }),
      { minLength: 1, maxLength: 4 },
    );
    const rolls = fc.array(
      fc.record({
        widthM: fc.integer({ min: 10, max: 45 }).map((x) => x / 10),
        lengthM: fc.integer({ min: 10, max: 60 }),
        count: fc.integer({ min: 0, max: 2 }),
      }),
      { maxLength: 2 },
    );
    fc.assert(
      fc.property(needs, rolls, (n, r) => {
        const asked = n.map((x, i) => ({ ...x, id: `n${i}`, label: `n${i}` }));
        const have = r.map((x, i) => ({ ...x, id: `r${i}` }));
        const plan = cut(asked, have);
        for (const x of asked) {
          const made = plan.cuts.flatMap((c) => c.pieces).filter((p) => p.needId === x.id);
          const lost = plan.missing.find((m) => m.needId === x.id)?.count ?? 0;
          expect(made.length + lost).toBe(x.count);
          for (const p of made) expect([p.widthM, p.lengthM].sort()).toEqual([x.widthM, x.lengthM].sort());
        }
        for (const roll of have) {
          for (let no = 1; no <= roll.count; no++) {
            const on = plan.cuts.filter((c) => c.rollId === roll.id && c.rollNo === no);
            expect(on.reduce((s, c) => s + c.lengthM, 0)).toBeLessThanOrEqual(roll.lengthM + 1e-6);
            let end = 0;
            for (const c of on) {
              expect(c.fromM).toBeCloseTo(end, 6);
              end = c.fromM + c.lengthM;
              let across = 0;
              for (const p of c.pieces) {
                expect(p.acrossM).toBeCloseTo(across, 6);
                across += p.widthM;
                expect(p.lengthM).toBeLessThanOrEqual(c.lengthM + 1e-6);
              }
              expect(across).toBeLessThanOrEqual(roll.widthM + 1e-6);
            }
          }
          expect(plan.cuts.every((c) => c.rollId !== roll.id || c.rollNo <= roll.count)).toBe(true);
        }
        expect(plan.wasteM2).toBeGreaterThanOrEqual(plan.boundM2 - 1e-6);
      }),
      { numRuns: 60, seed: 11 },
    );
  });
});

test('a windy farm takes more to hold a sheet than a sheltered one, and never less than its corners', () => {
  const calm = holdingFor(20, 2, 'sheltered');
  const rough = holdingFor(20, 2, 'exposed');
  expect(rough.bags).toBeGreaterThan(calm.bags);
  expect(rough.pegs).toBeGreaterThan(rough.bags);
  expect(holdingFor(0.5, 0.5, 'sheltered').bags).toBe(4);
  expect(calm.perimeterM).toBe(44);
});
