/** A programme with many yes-or-noes: looked at with the few that count, the answer is the best of all, or says how far it may be off. */
import highs from 'highs';
import { solveProgramme, type LpSolution, type LpSolver } from '../planning';
import { leaveOut } from '../src/night/programme';

let solver: LpSolver;
beforeAll(async () => {
  solver = (await highs()) as unknown as LpSolver;
});

/** Pseudo-random numbers between 0 and 1, the same every time. */
function dice(seed: number): () => number {
  let x = seed;
  return () => (x = (x * 16807) % 2147483647) / 2147483647;
}

/** One of some ways for each of the beds, with sheets and minutes that are short. */
function evening(seed: number, beds: number, ways: number): string {
  const next = dice(seed);
  const names: string[] = [];
  const cost: string[] = [];
  const sheets: string[] = [];
  const minutes: string[] = [];
  const one = Array.from({ length: beds }, (_, b) => {
    const all = Array.from({ length: ways }, (_w, o) => `x_${b}_${o}`);
    all.forEach((name, o) => {
      names.push(name);
      cost.push(`${(40 * Math.exp(-o / 6) * (0.5 + next()) + o).toFixed(3)} ${name}`);
      sheets.push(`${o % 4} ${name}`);
      minutes.push(`${(o * (1 + next())).toFixed(2)} ${name}`);
    });
    return ` bed_${b}: ${all.join(' + ')} = 1`;
  });
  return `Minimize\n c: ${cost.join(' + ')}\nSubject To\n${one.join('\n')}\n s: ${sheets.join(' + ')} <= ${beds}\n m: ${minutes.join(' + ')} <= ${3 * beds}\nBinary\n ${names.join(' ')}\nEnd\n`;
}

const costOf = (lp: string, values: Record<string, number>) =>
  [...lp.slice(0, lp.indexOf('Subject')).matchAll(/([\d.]+) (x_\d+_\d+)/g)].reduce(
    (sum, [, c, name]) => sum + Number(c) * (values[name!] ?? 0),
    0,
  );

test.each([1, 2, 3, 4, 5, 6])(
  'the best of four hundred and more, as the solver finds it by itself (%i)',
  (seed) => {
    const lp = evening(seed, 14, 32);
    const asked: string[] = [];
    const found = solveProgramme(
      {
        solve: (text, options) => {
          asked.push(text);
          return solver.solve(text, options);
        },
      },
      { lp, seconds: 20 },
    );
    expect(found.gap).toBe(0);
    expect(costOf(lp, found.values)).toBeCloseTo(solver.solve(lp).ObjectiveValue, 3);
    // with most of them left out of it
    const looked = new Set(asked[1]!.match(/x_\d+_\d+/g));
    expect(looked.size).toBeLessThan(14 * 32 - 200);
    const chosen = Object.entries(found.values).filter(([name, x]) => name.startsWith('x_') && x > 0.5);
    expect(chosen).toHaveLength(14);
  },
);

test('near enough is near enough, and how near is told', () => {
  const lp = evening(7, 20, 32);
  const best = solver.solve(lp).ObjectiveValue;
  const { values, gap } = solveProgramme(solver, { lp, seconds: 20, within: 0.05 });
  const cost = costOf(lp, values);
  expect(gap).toBeLessThanOrEqual(0.05);
  expect(cost * (1 - gap)).toBeLessThanOrEqual(best + 1e-3);
  expect(cost).toBeGreaterThanOrEqual(best - 1e-3);
});

test('where the few that look best cannot be had, the others are looked at', () => {
  // by parts half of each of two; whole, only the dear ones do
  const names = Array.from({ length: 300 }, (_, i) => `x_0_${i}`);
  const cost = names.map((n, i) => `${i < 2 ? 1 : 500 + i} ${n}`).join(' + ');
  const lp = `Minimize\n c: ${cost}\nSubject To\n one: ${names.join(' + ')} = 1\n odd: x_0_0 - x_0_1 = 0\nBinary\n ${names.join(' ')}\nEnd\n`;
  const { values, gap } = solveProgramme(solver, { lp, seconds: 20 });
  expect(values['x_0_2']).toBeCloseTo(1, 6);
  expect(gap).toBe(0);
});

test('what cannot be done at all is an error, few or many', () => {
  for (const ways of [4, 400]) {
    const names = Array.from({ length: ways }, (_, i) => `x_0_${i}`);
    const lp = `Minimize\n c: ${names.join(' + ')}\nSubject To\n one: ${names.join(' + ')} = 1\n none: ${names.join(' + ')} <= 0\nBinary\n ${names.join(' ')}\nEnd\n`;
    expect(() => solveProgramme(solver, { lp, seconds: 5 })).toThrow('the solver found no plan: Infeasible');
  }
});

describe('when the time is up', () => {
  const column = (Primal: number, Dual = 0) => ({ Primal, Dual });
  const names = Array.from({ length: 250 }, (_, i) => `x_0_${i}`);
  const lp = `Minimize\n c: ${names.join(' + ')}\nSubject To\n one: ${names.join(' + ')} = 1\nBinary\n ${names.join(' ')}\nEnd\n`;
  /** In parts it costs 90; whole, what was found by then. */
  const slow = (found: number, x: number): LpSolver => ({
    solve: (text): LpSolution =>
      text.includes('Binary')
        ? {
            Status: 'Time limit reached',
            ObjectiveValue: found,
            Columns: Object.fromEntries(names.map((n, i) => [n, column(i === 0 ? x : 0)])),
          }
        : {
            Status: 'Optimal',
            ObjectiveValue: 90,
            Columns: Object.fromEntries(names.map((n) => [n, column(0)])),
          },
  });

  test('what was found by then is taken, with how far it may be off', () => {
    const { values, gap } = solveProgramme(slow(100, 1), { lp, seconds: 1 });
    expect(values['x_0_0']).toBe(1);
    expect(gap).toBeCloseTo(0.1, 9);
  });

  test('with nothing found by then it is an error, not the first way of all', () => {
    expect(() => solveProgramme(slow(Infinity, 0), { lp, seconds: 1 })).toThrow('Time limit reached');
  });
});

describe('a programme without some of its yes-or-noes', () => {
  const body =
    'Minimize\n obj: + 2 a - 3.5 b + c\nSubject To\n one: a + b + c = 1\n was: s - 2 b <= 0\n stock: 2 b + 1.25 c <= 3';

  test('is the same with all else in its place', () => {
    expect(leaveOut(body, new Set())).toBe(body);
    expect(leaveOut(body, new Set(['b']))).toBe(
      'Minimize\n obj: + 2 a + c\nSubject To\n one: a + c = 1\n was: s <= 0\n stock: + 1.25 c <= 3',
    );
  });

  test('loses a row of which nothing is left, and is none where that row cannot be met', () => {
    expect(leaveOut(body, new Set(['b', 'c']))).not.toContain('stock');
    expect(leaveOut(body, new Set(['a', 'b', 'c']))).toBeNull();
  });
});
